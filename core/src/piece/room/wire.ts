// µm, doll size. How the wire of a wall's lamps runs behind it, and where their battery box hangs.
import type { Point } from '../../shape/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { lampsIn } from './lamps.ts';
import type { Opened } from './opened.ts';
import type { RoomPlan } from './plan.ts';
import type { Wall } from './wall.ts';

/** A battery box behind a wall: along it from its left end, and up from the floor. */
export type BoxAt = { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number; readonly depth: number };

export const boxIn = ({ doll }: RoomPlan, { lights }: Wall, length: number): BoxAt | undefined => {
  if (!lights?.box) return undefined;
  const { end, from, up, width, height, depth } = lights.box;
  const x0 = end === 'left' ? doll(from) : length - doll(from) - width;
  return { x0, x1: x0 + width, y0: doll(up), y1: doll(up) + height, depth };
};

/** Play round the box, and the least that two fingers need to reach its switch. Common practice, no source. */
const PLAY = 2_000;
const FINGERS = 30_000;

/** The opening behind a box that hangs between two walls, through which a hand reaches it. */
export const accessOf = ({ x0, x1, y0, y1 }: BoxAt): Omit<BoxAt, 'depth'> => {
  const [w, h] = [Math.max(x1 - x0 + 2 * PLAY, FINGERS), Math.max(y1 - y0 + 2 * PLAY, FINGERS)];
  const [x, y] = [Math.round((x0 + x1 - w) / 2), Math.round((y0 + y1 - h) / 2)];
  return { x0: x, x1: x + w, y0: y, y1: y + h };
};

/** A box that does not go where it is meant to. */
export const boxProblem = (
  plan: RoomPlan,
  wall: Wall,
  opened: readonly Opened[],
  length: number,
  ends: readonly [number, number],
): PieceProblem | undefined => {
  const box = boxIn(plan, wall, length);
  if (!box) return undefined;
  const hole = wall.cavity > 0 ? accessOf(box) : box;
  const half = 1_000;
  const clash = opened.some(({ x0, x1, y0, y1, border }) => {
    const by = border + half;
    return hole.x0 < x1 + by && hole.x1 > x0 - by && hole.y0 < y1 + by && hole.y1 > y0 - by;
  });
  const lamps = lampsIn(plan, wall, length).some(({ at: [x, y], across }) => {
    const reach = across / 2 + half;
    return x > hole.x0 - reach && x < hole.x1 + reach && y > hole.y0 - reach && y < hole.y1 + reach;
  });
  return (
    (wall.cavity > 0 ? lack('the battery box in the cavity', wall.cavity, box.depth) : undefined) ??
    lack('the battery box from the wall’s left end', hole.x0, ends[0] + plan.sheets.wall.one + half) ??
    lack('the battery box in the wall’s length', length - hole.x1, ends[1] + plan.sheets.wall.one + half) ??
    lack('the battery box above the floor', hole.y0, half) ??
    lack('the battery box under the wall’s upper edge', plan.clear - hole.y1, half) ??
    (clash ? lack('the battery box beside the openings', 0, 1) : undefined) ??
    (lamps ? lack('the battery box beside the lamps', 0, 1) : undefined)
  );
};

/** How the wire runs along a wall, from the farthest lamp to the box or the wall's foot, and how long it is with what is left to join it. */
export type WireAlong = { readonly path: readonly Point[]; readonly length: number; readonly box: BoxAt | null };

/** What is left over at the box, to reach into it. Common practice, no source. */
const LEFT_OVER = 30_000;

/** The wire keeps so far from openings. Common practice, no source. */
const BESIDE = 3_000;

type Rect = { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number };

/** Whether a straight piece of wire that lies or stands crosses an opening. */
const crosses = ([ax, ay]: Point, [bx, by]: Point, { x0, x1, y0, y1 }: Rect): boolean =>
  Math.max(ax, bx) > x0 && Math.min(ax, bx) < x1 && Math.max(ay, by) > y0 && Math.min(ay, by) < y1;

/** The shortest way of lying and standing pieces from one point to another round openings, by the lines that these lay over the wall. */
const roundThem = (from: Point, to: Point, rects: readonly Rect[]): readonly Point[] => {
  const lines = (pick: (rect: Rect) => readonly number[], own: readonly number[]): readonly number[] => [
    ...new Set([...own, ...rects.flatMap(pick)]),
  ];
  const xs = lines(({ x0, x1 }) => [x0, x1], [from[0], to[0]]);
  const ys = lines(({ y0, y1 }) => [y0, y1], [from[1], to[1]]);
  const key = ([x, y]: Point): string => `${x} ${y}`;
  const best = new Map<string, { readonly at: Point; readonly cost: number; readonly by: string | undefined }>([
    [key(from), { at: from, cost: 0, by: undefined }],
  ]);
  const done = new Set<string>();
  for (;;) {
    const open = [...best.entries()].filter(([name]) => !done.has(name)).sort((a, b) => a[1].cost - b[1].cost)[0];
    if (!open || open[0] === key(to)) break;
    const [name, { at, cost }] = open;
    done.add(name);
    const next: readonly Point[] = [...xs.map((x): Point => [x, at[1]]), ...ys.map((y): Point => [at[0], y])];
    for (const each of next) {
      if (done.has(key(each)) || rects.some((rect) => crosses(at, each, rect))) continue;
      const total = cost + Math.abs(each[0] - at[0]) + Math.abs(each[1] - at[1]) + 1;
      if (total < (best.get(key(each))?.cost ?? Infinity)) best.set(key(each), { at: each, cost: total, by: name });
    }
  }
  const way: Point[] = [];
  for (let step = best.get(key(to)); step; step = step.by === undefined ? undefined : best.get(step.by)) way.unshift(step.at);
  return way.length > 0 ? way : [from, to];
};

const lengthOf = (path: readonly Point[]): number =>
  path.slice(1).reduce((sum, [x, y], index) => sum + Math.hypot(x - (path[index] as Point)[0], y - (path[index] as Point)[1]), 0);

/** The way of a wall's wire behind it.
 *  Shape: wall, its length → corners of the way along it and up from the floor, nothing where no lamps are. Openings are gone round. */
export const wireOf = (plan: RoomPlan, wall: Wall, length: number, opened: readonly Opened[]): WireAlong | null => {
  const box = boxIn(plan, wall, length);
  const lamps = [...lampsIn(plan, wall, length)].map(({ at }) => at);
  const [first, last] = [lamps[0], lamps.at(-1)];
  if (!first || !last) return null;
  const rects = opened.map(({ x0, x1, y0, y1, border }): Rect => {
    const by = border + BESIDE;
    return { x0: x0 - by, x1: x1 + by, y0: y0 - by, y1: y1 + by };
  });
  const to: Point = box ? [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2] : [last[0], 0];
  // The lamp that is nearest to the box comes last.
  const near = (point: Point): number => Math.abs(point[0] - to[0]) + Math.abs(point[1] - to[1]);
  const row = near(first) < near(last) ? lamps.toReversed() : lamps;
  const stops = [...row, to];
  const path: readonly Point[] = [
    row[0] as Point,
    ...stops.slice(1).flatMap((stop, index) => roundThem(stops[index] as Point, stop, rects).slice(1)),
  ];
  return { path, length: Math.round(lengthOf(path) + LEFT_OVER), box: box ?? null };
};
