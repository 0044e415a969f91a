// µm, doll size. How a room is put away: the flat boards that it comes apart into, or folded.
import { boxOf, type Part } from '../assembly/index.ts';
import type { Room } from '../piece/index.ts';
import { AXES, bounds, dot, normalOf } from '../shape/index.ts';

/** A room put away. Taken apart: so many boards, the largest of them, and how high they are on one another with what is glued to them; a room that is
 *  glued does not come apart, and is as large as it stands. */
export type Stored = {
  readonly apart: boolean;
  readonly boards: number;
  readonly width: number;
  readonly depth: number;
  readonly height: number;
};

/** Boards that come apart: floors, walls, ceilings, what stands between rooms; each with all that is glued to it. */
const MAIN = /\/(?:storey-\d+-)?(?:floor|ceiling|wall-\d+|between-\d+)(?:~\d+)?$/;

/** How much room a shell takes when it is put away.
 *  Shape: room, parts → sizes of the pile. What stands out from a wall (frames, sills, strips) counts to its thickness. */
export const storedOf = (room: Room, parts: readonly Part[]): Stored => {
  const whole = parts.map(boxOf);
  const size = AXES.map((axis) => Math.max(...whole.map(({ max }) => max[axis])) - Math.min(...whole.map(({ min }) => min[axis])));
  const [wide, high, deep] = size as [number, number, number];
  if (room.joined === 'glued') return { apart: false, boards: 1, width: wide, depth: deep, height: high };
  const mains = parts.filter(({ id }) => MAIN.test(id));
  const piles = mains.map((main) => {
    const stem = main.id.replace(/~\d+$/, '');
    const own = parts.filter(({ id }) => id === main.id || id.startsWith(`${stem}/`));
    // How far what belongs to it reaches along the wall's own normal.
    const n = normalOf(main.pose);
    const reach = own.map(boxOf).flatMap(({ min, max }) => [dot(min, n), dot(max, n)]);
    const { x0, y0, x1, y1 } = bounds(main.region.outline);
    // Folded at its score it is as long as its longer half, and twice as thick.
    const score = main.scores?.[0]?.[0][0];
    const [a, b] = [score === undefined ? x1 - x0 : Math.max(score - x0, x1 - score), y1 - y0];
    const thick = (Math.max(...reach) - Math.min(...reach)) * (score === undefined ? 1 : 2);
    return { long: Math.max(a, b), short: Math.min(a, b), thick };
  });
  return {
    apart: true,
    boards: piles.length,
    width: Math.max(...piles.map(({ long }) => long)),
    depth: Math.max(...piles.map(({ short }) => short)),
    height: Math.round(piles.reduce((sum, { thick }) => sum + thick, 0)),
  };
};

/** Whether a pile goes into a place, lying any way round. */
export const goesInto = (stored: Stored, place: readonly [number, number, number]): boolean => {
  const [mine, theirs] = [[stored.width, stored.depth, stored.height], [...place]].map((sizes) => sizes.sort((a, b) => a - b)) as [
    number[],
    number[],
  ];
  return mine.every((size, index) => size <= (theirs[index] as number));
};
