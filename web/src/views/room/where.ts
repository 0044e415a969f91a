// Where things and the doll go on the plan. µm at doll size.
import { dollUm } from '@parlor/core/measure';
import type { Arranged } from '@parlor/core/set';

/** Which way the arrow keys go on the plan. */
export const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Which way they go on a wall: to the right, and up. */
export const UP_THE_WALL: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** A step of the rule: a millimetre, or a sixteenth of an inch. */
export const gridOf = (unit: string): number => dollUm(unit === 'in' ? 25_400 / 16 : 1_000);

/** Where the doll stands on the plan: of all that she comes to, nearest to the middle of the room’s front half, and in no doorway if she can help it. */
export const whereSheStands = ({ way, space }: Arranged): readonly [number, number] => {
  const [width, depth] = [Math.max(...space.ring.map(([x]) => x)), Math.max(...space.ring.map(([, z]) => z))];
  const [wx, wz] = [width * 0.5, depth * 0.75];
  const beside = depth * 0.15;
  const inDoorway = (x: number): boolean => space.between.some(({ x0, x1 }) => x > x0 - beside && x < x1 + beside);
  let [best, nearest]: [readonly [number, number], number] = [[wx, wz], Infinity];
  for (let index = 0; index < way.reached.length; index += 1) {
    if (!way.reached[index]) continue;
    const [x, z] = [((index % way.columns) + 0.5) * way.cell, (Math.floor(index / way.columns) + 0.5) * way.cell];
    const off = Math.hypot(x - wx, z - wz) + (inDoorway(x) ? width + depth : 0);
    if (off < nearest) [best, nearest] = [[x, z], off];
  }
  return best;
};

/** Whether she can be where she was put: nothing stands there that she would have to be in. */
export const isFreeForHer = ({ way }: Arranged, [x, z]: readonly [number, number]): boolean => {
  const [column, row] = [Math.floor(x / way.cell), Math.floor(z / way.cell)];
  return column >= 0 && row >= 0 && column < way.columns && row < way.rows && way.free[row * way.columns + column] === 1;
};
