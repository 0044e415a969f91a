// µm, doll size. How far a thing stands from what is next to it, and several things at equal distances.
import type { Box } from '../assembly/index.ts';
import { dollUm } from '../measure/index.ts';
import type { Point } from '../shape/index.ts';
import type { Placement } from './layout.ts';
import type { StandingThing } from './place.ts';
import type { RoomSpace } from './space.ts';

/** The four ways along the plan's edges. */
export const GAP_WAYS = ['left', 'right', 'back', 'front'] as const;
export type GapWay = (typeof GAP_WAYS)[number];

/** How far it is to what is next that way; `to` is the thing there, or null for a wall or the open edge of the floor. */
export type Gap = { readonly way: GapWay; readonly gap: number; readonly to: string | null };

/** Along x or along z, and whether towards smaller values. */
const AXIS: Readonly<Record<GapWay, readonly [axis: 0 | 1, down: boolean]>> = {
  left: [0, true],
  right: [0, false],
  back: [1, true],
  front: [1, false],
};

/** A footprint on the plan, with its height. */
type Print = { readonly min: Point; readonly max: Point; readonly low: number; readonly high: number };

const printOf = ({ min, max }: Box, { corner }: RoomSpace): Print => ({
  min: [min[0] - corner[0], min[2] - corner[2]],
  max: [max[0] - corner[0], max[2] - corner[2]],
  low: min[1],
  high: max[1],
});

const beside = (one: Print, other: Print, axis: 0 | 1): boolean => {
  const across = axis === 0 ? 1 : 0;
  return one.min[across] < other.max[across] && other.min[across] < one.max[across] && one.low < other.high && other.low < one.high;
};

/** Where an edge of the plan is met within the strip that a footprint covers, by its least and greatest value along the axis. */
const edgeWithin = (from: Point, to: Point, axis: 0 | 1, low: number, high: number): readonly number[] => {
  const across = axis === 0 ? 1 : 0;
  const [a, b] = from[across] <= to[across] ? [from, to] : [to, from];
  if (b[across] <= low || a[across] >= high || a[across] === b[across]) return [];
  return [Math.max(low, a[across]), Math.min(high, b[across])].map(
    (value) => a[axis] + ((b[axis] - a[axis]) * (value - a[across])) / (b[across] - a[across]),
  );
};

/** Where walls are met along an axis, in the strip that a footprint covers. */
const wallsAcross = ({ ring, between }: RoomSpace, print: Print, axis: 0 | 1): readonly number[] => {
  const across = axis === 0 ? 1 : 0;
  const [low, high] = [print.min[across], print.max[across]];
  const inner = between.flatMap(({ x0, x1, from, to }): readonly (readonly Point[])[] => [
    [
      [x0, from],
      [x1, from],
      [x1, to],
      [x0, to],
    ],
  ]);
  return [ring, ...inner].flatMap((corners) =>
    corners.flatMap((from, index) => edgeWithin(from, corners[(index + 1) % corners.length] as Point, axis, low, high)),
  );
};

/** How far a thing is from what is next to it, each way where something is.
 *  Shape: a room, what stands there, the thing's piece → up to four gaps, in µm; a thing that reaches into another has none that way. */
export const gapsOf = (space: RoomSpace, standing: readonly StandingThing[], piece: string): readonly Gap[] => {
  const mine = standing.find(({ placed }) => placed.piece === piece);
  if (!mine) return [];
  const print = printOf(mine.body.whole, space);
  return GAP_WAYS.flatMap((way): readonly Gap[] => {
    const [axis, down] = AXIS[way];
    const edge = down ? print.min[axis] : print.max[axis];
    const far = (value: number): number => (down ? edge - value : value - edge);
    const things = standing.flatMap(({ placed, body }) => {
      const other = printOf(body.whole, space);
      return placed.piece !== piece && beside(print, other, axis)
        ? [{ way, gap: far(down ? other.max[axis] : other.min[axis]), to: placed.piece }]
        : [];
    });
    const walls = wallsAcross(space, print, axis).map((value) => ({ way, gap: far(value), to: null }));
    const [next] = [...things, ...walls].filter(({ gap }) => gap > -1).sort((a, b) => a.gap - b.gap || (a.to === null ? 1 : -1));
    return next ? [{ ...next, gap: Math.max(0, Math.round(next.gap)) }] : [];
  });
};

/** A thing moved so that it stands as far from what is next to it as was typed. */
export const withGap = (placed: Placement, { way, gap }: Gap, wanted: number): Placement => {
  const [axis, down] = AXIS[way];
  const by = down ? wanted - gap : gap - wanted;
  return axis === 0 ? { ...placed, x: dollUm(placed.x + by) } : { ...placed, z: dollUm(placed.z + by) };
};

/** A row of things beside one, and where its things go when they stand evenly. */
export type EvenRow = {
  readonly along: 'x' | 'z';
  readonly ends: 'stay' | 'walls';
  readonly gap: number;
  readonly placed: readonly Placement[];
};

/** The ways in which the row that a thing stands in can be spaced evenly: from side to side and from back to front, with its ends where they are (three or
 *  more), or from wall to wall. None where the row has no room. */
export const evenRows = (space: RoomSpace, standing: readonly StandingThing[], piece: string): readonly EvenRow[] => {
  const mine = standing.find(({ placed }) => placed.piece === piece);
  if (!mine) return [];
  const print = printOf(mine.body.whole, space);
  return ([0, 1] as const).flatMap((axis) => {
    const walls = wallsAcross(space, print, axis);
    const [low, high] = [
      Math.max(...walls.filter((value) => value <= print.min[axis] + 1)),
      Math.min(...walls.filter((value) => value >= print.max[axis] - 1)),
    ];
    // What stands behind a wall is no neighbour.
    const row = standing
      .map((each) => ({ placed: each.placed, print: printOf(each.body.whole, space) }))
      .filter(({ placed, print: own }) => {
        const here = own.min[axis] >= low - 1 && own.max[axis] <= high + 1;
        return placed.piece === piece || (here && beside(print, own, axis));
      })
      .sort((a, b) => a.print.min[axis] - b.print.min[axis]);
    const [first, last] = [row[0] as (typeof row)[number], row.at(-1) as (typeof row)[number]];
    const sizes = row.reduce((sum, each) => sum + each.print.max[axis] - each.print.min[axis], 0);
    const spread = (from: number, gap: number): readonly Placement[] => {
      let at = from;
      return row.map(({ placed, print: own }) => {
        const by = Math.round(at - own.min[axis]);
        at += own.max[axis] - own.min[axis] + gap;
        return axis === 0 ? { ...placed, x: dollUm(placed.x + by) } : { ...placed, z: dollUm(placed.z + by) };
      });
    };
    const rows = (ends: EvenRow['ends'], from: number, to: number, gaps: number): readonly EvenRow[] => {
      const gap = (to - from - sizes) / gaps;
      const start = ends === 'walls' ? from + gap : from;
      return gap >= 0 ? [{ along: axis === 0 ? 'x' : 'z', ends, gap: Math.round(gap), placed: spread(start, gap) }] : [];
    };
    return [
      ...(row.length > 2 ? rows('stay', first.print.min[axis], last.print.max[axis], row.length - 1) : []),
      ...(Number.isFinite(low) && Number.isFinite(high) ? rows('walls', low, high, row.length + 1) : []),
    ];
  });
};
