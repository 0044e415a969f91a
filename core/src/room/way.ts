// µm, doll size. The doll's way through a room: where she can stand, walking in from its open sides and doors.
import type { Body } from '../doll/index.ts';
import { isInRing, type Point } from '../shape/index.ts';
import type { StandingThing } from './place.ts';
import { lengthOf, pointOn, type RoomSide, type RoomSpace } from './space.ts';

/** A field of squares over the plan: true where the middle of the doll can be. */
export type WalkField = {
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

/** Looks at the squares that may lie within a distance of a stretch: their indices, and how far off their middles are, squared. */
const alongStretch = (
  { cell, columns, rows }: Field,
  [[ax, az], [bx, bz]]: readonly [Point, Point],
  within: number,
  look: (index: number, squared: number) => void,
): void => {
  const [dx, dz] = [bx - ax, bz - az];
  const long = dx * dx + dz * dz;
  const first = (a: number, b: number): number => Math.max(0, Math.floor((Math.min(a, b) - within) / cell) - 1);
  const last = (a: number, b: number, count: number): number => Math.min(count - 1, Math.ceil((Math.max(a, b) + within) / cell) + 1);
  const [x0, x1, z0, z1] = [first(ax, bx), last(ax, bx, columns), first(az, bz), last(az, bz, rows)];
  for (let row = z0; row <= z1; row += 1) {
    const z = (row + 0.5) * cell - az;
    for (let column = x0; column <= x1; column += 1) {
      const x = (column + 0.5) * cell - ax;
      const share = Math.max(0, Math.min(1, (x * dx + z * dz) / long));
      const [offX, offZ] = [x - share * dx, z - share * dz];
      look(row * columns + column, offX * offX + offZ * offZ);
    }
  }
};

/** A stretch less what stands in it: from end to end, in pairs. */
const besideDoors = (from: number, to: number, doors: RoomSide['doors']): readonly (readonly [number, number])[] => {
  const edges = [from, ...[...doors].sort((a, b) => a[0] - b[0]).flat(), to];
  return Array.from({ length: edges.length / 2 }, (_, index) => [edges[2 * index] as number, edges[2 * index + 1] as number] as const);
};

const between = (side: RoomSide, [a, b]: readonly [number, number]): readonly [Point, Point] => [pointOn(side, a), pointOn(side, b)];

/** The stretches of a side that are walls: all of it, or what its doors leave. */
const wallsOf = (side: RoomSide): readonly (readonly [Point, Point])[] =>
  side.walled ? besideDoors(0, lengthOf(side), side.doors).map((stretch) => between(side, stretch)) : [];

/** What doors leave of a wall between two rooms. */
const partsOf = ({ x0, x1, from, to, doors }: RoomSpace['between'][number]): readonly Rect[] =>
  besideDoors(from, to, doors).map(([a, b]): Rect => [x0, a, x1, b]);

/** Where she walks in: the open sides, and the doors of the others. */
const entrancesOf = (sides: readonly RoomSide[]): readonly (readonly [Point, Point])[] =>
  sides.flatMap((side) => (side.walled ? side.doors.map((door) => between(side, door)) : [[side.from, side.to] as const]));

/** Squares by their numbers. */
type Squares = Int32Array;

/** The squares whose middles are nearer than so much to one of several rectangles. */
const squaresNear = ({ cell, columns, rows }: Field, rects: readonly Rect[], by: number): Squares => {
  const found = new Set<number>();
  for (const [x0, z0, x1, z1] of rects) {
    const [from, to] = [Math.max(0, Math.floor((x0 - by) / cell)), Math.min(columns - 1, Math.ceil((x1 + by) / cell))];
    const [low, high] = [Math.max(0, Math.floor((z0 - by) / cell)), Math.min(rows - 1, Math.ceil((z1 + by) / cell))];
    for (let row = low; row <= high; row += 1) {
      const z = (row + 0.5) * cell;
      const dz = Math.max(z0 - z, 0, z - z1);
      for (let column = from; column <= to; column += 1) {
        const x = (column + 0.5) * cell;
        const dx = Math.max(x0 - x, 0, x - x1);
        if (dx * dx + dz * dz < by * by) found.add(row * columns + column);
      }
    }
  }
  return Int32Array.from(found);
};

/** Without those that lie in another one. */
const outermost = (rects: readonly Rect[]): readonly Rect[] => {
  const bySize = [...rects].sort((a, b) => (b[2] - b[0]) * (b[3] - b[1]) - (a[2] - a[0]) * (a[3] - a[1]));
  return bySize.reduce<Rect[]>((kept, rect) => {
    const inside = kept.some(([x0, z0, x1, z1]) => rect[0] >= x0 && rect[1] >= z0 && rect[2] <= x1 && rect[3] <= z1);
    if (!inside) kept.push(rect);
    return kept;
  }, []);
};

/** What a thing takes of the squares: those where she cannot be for it, and those from which she comes up to it. */
type Taken = { readonly key: string; readonly blocked: Squares; readonly near: Squares };

const takenBy = new WeakMap<StandingThing, readonly Taken[]>();

/** So many bodies are asked about in turn: one doll as broad as she is, and as broad as she would like the way to be. */
const BODIES = 2;

const comesUp = (body: Body, field: Field): number => body.shoulderBreadth * (0.5 + COMES_UP) + field.cell;

/** Things stay where they are while one is dragged: what each takes is worked out once. */
const takenOf = (standing: StandingThing, space: RoomSpace, field: Field, body: Body): Taken => {
  const [cx, floor, cz] = space.corner;
  const key = [cx, floor, cz, field.cell, field.columns, field.rows, body.shoulderBreadth, body.height].join(' ');
  const kept = takenBy.get(standing) ?? [];
  const known = kept.find((each) => each.key === key);
  if (known) return known;
  const rects = outermost(
    standing.body.boxes
      .filter(({ min, max }) => max[1] > floor + body.height * STEPS_OVER && min[1] < floor + body.height)
      .map(({ min, max }): Rect => [min[0] - cx, min[2] - cz, max[0] - cx, max[2] - cz]),
  );
  const taken: Taken = {
    key,
    blocked: squaresNear(field, rects, body.shoulderBreadth / 2),
    near: squaresNear(field, rects, comesUp(body, field)),
  };
  takenBy.set(standing, [taken, ...kept].slice(0, BODIES));
  return taken;
};

/** An empty room's squares: where she can be, and where she walks in. */
type Empty = { readonly key: number; readonly free: Uint8Array; readonly entered: Squares };

const emptyOf = new WeakMap<RoomSpace, readonly Empty[]>();

const emptyRoom = (space: RoomSpace, field: Field, half: number): Empty => {
  const kept = emptyOf.get(space) ?? [];
  const known = kept.find(({ key }) => key === half);
  if (known) return known;
  const { columns, rows, middle, cell } = field;
  const walls = space.sides.flatMap(wallsOf);
  const free = new Uint8Array(columns * rows);
  for (let index = 0; index < free.length; index += 1) {
    const [x, z] = middle(index);
    free[index] = isInRing(space.ring, x, z) ? 1 : 0;
  }
  for (const wall of walls)
    alongStretch(field, wall, half, (index, squared) => {
      if (squared < half * half) free[index] = 0;
    });
  for (const index of squaresNear(field, space.between.flatMap(partsOf), half)) free[index] = 0;
  const entrances = entrancesOf(space.sides);
  const atDoor = new Uint8Array(free.length).fill(entrances.length === 0 ? 1 : 0);
  for (const entrance of entrances)
    alongStretch(field, entrance, half + cell, (index, squared) => {
      if (squared <= (half + cell) ** 2) atDoor[index] = 1;
    });
  const entered: number[] = [];
  for (let index = 0; index < free.length; index += 1) if (free[index] && atDoor[index]) entered.push(index);
  const empty: Empty = { key: half, free, entered: Int32Array.from(entered) };
  emptyOf.set(space, [empty, ...kept].slice(0, BODIES));
  return empty;
};

/** The doll's way through a room.
 *  Shape: room, things, body → squares where she can be and where she comes to, and the pieces that she cannot come up to. A room that is shut on all sides
 *  is entered from above: every free square counts as reached. */
export const wayThrough = (space: RoomSpace, standing: readonly StandingThing[], body: Body): WalkField => {
  const field = fieldOf(space.ring);
  const { cell, columns, rows } = field;
  const empty = emptyRoom(space, field, body.shoulderBreadth / 2);
  const taken = standing.map((each) => takenOf(each, space, field, body));
  const free = empty.free.slice();
  for (const { blocked } of taken) for (const index of blocked) free[index] = 0;
  const reached = new Uint8Array(free.length);
  const ahead: number[] = [];
  for (const index of empty.entered) {
    if (!free[index]) continue;
    reached[index] = 1;
    ahead.push(index);
  }
  const step = (next: number): void => {
    if (next < 0 || next >= free.length || !free[next] || reached[next]) return;
    reached[next] = 1;
    ahead.push(next);
  };
  for (let at = ahead.pop(); at !== undefined; at = ahead.pop()) {
    const column = at % columns;
    if (column > 0) step(at - 1);
    if (column < columns - 1) step(at + 1);
    step(at - columns);
    step(at + columns);
  }
  const unreached = standing.flatMap(({ placed }, index) => {
    const { near } = taken[index] as Taken;
    return near.length === 0 || near.some((square) => reached[square] === 1) ? [] : [placed.piece];
  });
  return { cell, columns, rows, free, reached, unreached };
};
