// µm, doll size. The doll's way through a room: where she can stand, walking in from its open sides and doors.
import type { Body } from '../doll/index.ts';
import { isInRing, type Point } from '../shape/index.ts';
import type { Standing } from './place.ts';
import type { RoomSide, RoomSpace } from './space.ts';

/** A field of squares over the plan: true where the middle of the doll can be. */
export type Way = {
  readonly cell: number;
  readonly columns: number;
  readonly rows: number;
  readonly free: Uint8Array;
  readonly reached: Uint8Array;
  /** Pieces that she cannot come up to. */
  readonly unreached: readonly string[];
};

/** What lies lower than this share of her height is stepped over: a rug, a threshold. Common practice, no source. */
const STEPS_OVER = 0.06;

/** She reaches from where she stands as far as this share of her shoulders' breadth beyond their half. Common practice, no source. */
const COMES_UP = 0.6;

/** Squares along the plan's longer side. */
const FINE = 120;

type Field = { readonly cell: number; readonly columns: number; readonly rows: number; readonly middle: (index: number) => Point };

const fieldOf = (ring: readonly Point[]): Field => {
  const [width, depth] = [Math.max(...ring.map(([x]) => x)), Math.max(...ring.map(([, z]) => z))];
  const cell = Math.max(width, depth) / FINE;
  const [columns, rows] = [Math.max(1, Math.round(width / cell)), Math.max(1, Math.round(depth / cell))];
  return { cell, columns, rows, middle: (index) => [((index % columns) + 0.5) * cell, (Math.floor(index / columns) + 0.5) * cell] };
};

type Rect = readonly [x0: number, z0: number, x1: number, z1: number];

const away = ([x, z]: Point, [x0, z0, x1, z1]: Rect): number => Math.hypot(Math.max(x0 - x, 0, x - x1), Math.max(z0 - z, 0, z - z1));

const awayFromSide = ([x, z]: Point, [ax, az]: Point, [bx, bz]: Point): number => {
  const [dx, dz] = [bx - ax, bz - az];
  const share = Math.max(0, Math.min(1, ((x - ax) * dx + (z - az) * dz) / (dx * dx + dz * dz)));
  return Math.hypot(x - ax - share * dx, z - az - share * dz);
};

/** The stretches of a side that are walls: all of it, or what its doors leave. */
const wallsOf = ({ from, to, walled, doors }: RoomSide): readonly (readonly [Point, Point])[] => {
  if (!walled) return [];
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const at = (along: number): Point => [from[0] + ((to[0] - from[0]) * along) / length, from[1] + ((to[1] - from[1]) * along) / length];
  const edges = [0, ...[...doors].sort((a, b) => a[0] - b[0]).flat(), length];
  return Array.from(
    { length: edges.length / 2 },
    (_, index) => [at(edges[2 * index] as number), at(edges[2 * index + 1] as number)] as const,
  );
};

/** What doors leave of a wall between two rooms. */
const partsOf = ({ x0, x1, from, to, doors }: RoomSpace['between'][number]): readonly Rect[] => {
  const edges = [from, ...[...doors].sort((a, b) => a[0] - b[0]).flat(), to];
  return Array.from({ length: edges.length / 2 }, (_, index): Rect => [x0, edges[2 * index] as number, x1, edges[2 * index + 1] as number]);
};

/** Where she walks in: the open sides, and the middles of doors. */
const entrancesOf = (sides: readonly RoomSide[]): readonly (readonly [Point, Point])[] =>
  sides.flatMap(({ from, to, walled, doors }): readonly (readonly [Point, Point])[] => {
    if (!walled) return [[from, to]];
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const at = (along: number): Point => [from[0] + ((to[0] - from[0]) * along) / length, from[1] + ((to[1] - from[1]) * along) / length];
    return doors.map(([a, b]) => [at(a), at(b)] as const);
  });

/** The doll's way through a room.
 *  Shape: room, things, body → squares where she can be and where she comes to, and the pieces that she cannot come up to. A room that is shut on all sides
 *  is entered from above: every free square counts as reached. */
export const wayThrough = (space: RoomSpace, standing: readonly Standing[], body: Body): Way => {
  const { cell, columns, rows, middle } = fieldOf(space.ring);
  const half = body.shoulderBreadth / 2;
  const [cx, floor, cz] = space.corner;
  const steps = floor + body.height * STEPS_OVER;
  const rects = standing.map(({ placed, body: { boxes } }) => ({
    piece: placed.piece,
    list: boxes
      .filter(({ min, max }) => max[1] > steps && min[1] < floor + body.height)
      .map(({ min, max }): Rect => [min[0] - cx, min[2] - cz, max[0] - cx, max[2] - cz]),
  }));
  const free = new Uint8Array(columns * rows);
  for (let index = 0; index < free.length; index += 1) free[index] = isInRing(space.ring, ...middle(index)) ? 1 : 0;
  /** Does something at every square whose middle may be nearer than so much to a rectangle. */
  const around = ([x0, z0, x1, z1]: Rect, by: number, at: (index: number) => boolean): boolean => {
    const [from, to] = [Math.max(0, Math.floor((x0 - by) / cell)), Math.min(columns - 1, Math.ceil((x1 + by) / cell))];
    const [low, high] = [Math.max(0, Math.floor((z0 - by) / cell)), Math.min(rows - 1, Math.ceil((z1 + by) / cell))];
    for (let row = low; row <= high; row += 1)
      for (let column = from; column <= to; column += 1) if (at(row * columns + column)) return true;
    return false;
  };
  for (const rect of rects.flatMap(({ list }) => list))
    around(rect, half, (index) => {
      if (free[index] && away(middle(index), rect) < half) free[index] = 0;
      return false;
    });
  for (const rect of space.between.flatMap(partsOf))
    around(rect, half, (index) => {
      if (free[index] && away(middle(index), rect) < half) free[index] = 0;
      return false;
    });
  for (const [a, b] of space.sides.flatMap(wallsOf)) {
    const box: Rect = [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1])];
    around(box, half, (index) => {
      if (free[index] && awayFromSide(middle(index), a, b) < half) free[index] = 0;
      return false;
    });
  }
  const reached = new Uint8Array(free.length);
  const entrances = entrancesOf(space.sides);
  const ahead: number[] = [];
  for (let index = 0; index < free.length; index += 1) {
    if (!free[index]) continue;
    const at = middle(index);
    if (entrances.length > 0 && !entrances.some(([a, b]) => awayFromSide(at, a, b) <= half + cell)) continue;
    reached[index] = 1;
    ahead.push(index);
  }
  for (let at = ahead.pop(); at !== undefined; at = ahead.pop()) {
    const column = at % columns;
    for (const next of [column > 0 ? at - 1 : -1, column < columns - 1 ? at + 1 : -1, at - columns, at + columns]) {
      if (next < 0 || next >= free.length || !free[next] || reached[next]) continue;
      reached[next] = 1;
      ahead.push(next);
    }
  }
  const comesUp = half + body.shoulderBreadth * COMES_UP + cell;
  const unreached = rects.flatMap(({ piece, list }) => {
    const near = (rect: Rect): boolean => around(rect, comesUp, (index) => reached[index] === 1 && away(middle(index), rect) <= comesUp);
    return list.length === 0 || list.some(near) ? [] : [piece];
  });
  return { cell, columns, rows, free, reached, unreached };
};
