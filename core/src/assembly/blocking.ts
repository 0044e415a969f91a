// µm, doll size. Who stands in whose way when a piece is taken apart, along the six ways of space and, for slanted parts, their own.
import { bounds, dot, isConvex, mapVec, normalOf, type Ring, rectRing, type Vec3 } from '../shape/index.ts';
import { convexOf, meets } from './convex.ts';
import { shareVolume } from './interference.ts';
import { type Box, isPlainBox, isSquare, type Part, plainly } from './part.ts';
import { coaxial, roundsMeet } from './round.ts';

type Axis = 0 | 1 | 2;

/** The ways in which a part may leave, the front first: makers reach in from there. */
const WAYS: readonly Vec3[] = [
  [0, 0, 1],
  [1, 0, 0],
  [0, 1, 0],
  [-1, 0, 0],
  [0, 0, -1],
  [0, -1, 0],
];

const wayIndex = (axis: Axis, forwards: boolean): number => (forwards ? [1, 2, 0] : [3, 5, 4])[axis] as number;

/** The axis of each of the ways; the first three lead forwards. */
const AXES: readonly Axis[] = [2, 0, 1, 0, 2, 1];

/** Beyond every piece that the schema allows. */
const FAR = 20_000_000;

/** A part drawn out along a way, as a part. Along its thickness that is exact; across it, its outline counts as its box, so that a way
 *  that is called free is free. */
const drawnOut = (part: Part, way: Vec3): Part => {
  const n = normalOf(part.pose);
  const along = way[0] * n[0] + way[1] * n[1] + way[2] * n[2];
  if (along > 0) return { ...part, thickness: part.thickness + FAR };
  if (along < 0) {
    const origin = mapVec(part.pose.origin, (value, axis) => value + way[axis] * FAR);
    return { ...part, thickness: part.thickness + FAR, pose: { ...part.pose, origin } };
  }
  const { x0, y0, x1, y1 } = bounds(part.region.outline);
  const { u, v } = part.pose;
  const [x, y] = [way[0] * u[0] + way[1] * u[1] + way[2] * u[2], way[0] * v[0] + way[1] * v[1] + way[2] * v[2]];
  const outline: Ring = rectRing(
    x0 + Math.min(0, x * FAR),
    y0 + Math.min(0, y * FAR),
    x1 + Math.max(0, x * FAR),
    y1 + Math.max(0, y * FAR),
  );
  return { ...part, region: { outline, holes: [] } };
};

const sweptBox = (box: Box, way: Vec3): Box => ({
  min: mapVec(box.min, (value, axis) => value + Math.min(0, way[axis] * FAR)),
  max: mapVec(box.max, (value, axis) => value + Math.max(0, way[axis] * FAR)),
});

/** Discs, arches and other curved outlines without holes count as their boxes: a way that is called free is free all the same. */
const countsAsBox = (part: Part): boolean =>
  isSquare(part) &&
  (isPlainBox(part) || (part.region.holes.length === 0 && part.region.outline.length > 12 && isConvex(part.region.outline)));

/** For each part the ways in which it may leave, and for each way the parts, by index, that it would run into. */
export type Blocking = readonly { readonly ways: readonly Vec3[]; readonly by: readonly Set<number>[] }[];

/** Whether the boxes overlap when looked at along an axis. */
const overlapAcross = (a: Box, b: Box, axis: Axis): boolean => {
  const one = axis === 0 ? 1 : 0;
  const two = axis === 2 ? 1 : 2;
  return a.min[one] < b.max[one] && b.min[one] < a.max[one] && a.min[two] < b.max[two] && b.min[two] < a.max[two];
};

/** The ways in which each part may leave, and whether another stands in such a way. */
type Blockers = {
  readonly ways: readonly (readonly Vec3[])[];
  readonly meetsOnWay: (mover: number, other: number, way: Vec3) => boolean;
};

const blockersOf = (parts: readonly Part[], boxes: readonly Box[]): Blockers => {
  const square = parts.map(isSquare);
  const plain = parts.map(countsAsBox);
  const rough = parts.map(plainly);
  const ways = parts.map(({ pose }, index) => {
    const n = normalOf(pose);
    return square[index] ? WAYS : [...WAYS, n, [-n[0], -n[1], -n[2]] as Vec3, pose.u, pose.v];
  });
  const meetsOnWay = (a: number, b: number, way: Vec3): boolean => {
    const [one, other] = [parts[a] as Part, parts[b] as Part];
    const along = dot(way, normalOf(one.pose));
    const round = Math.abs(along) > 1 - 1e-9 ? coaxial(one, other) : undefined;
    if (round) {
      const axis = normalOf(one.pose);
      const forwards = (axis.find((value) => Math.abs(value) > 1e-9) ?? 1) > 0;
      return roundsMeet(round, along > 0 === forwards ? 1 : -1, FAR);
    }
    if (plain[a] && plain[b]) return true;
    if (square[a] && square[b]) return shareVolume(drawnOut(one, way), other, sweptBox(boxes[a] as Box, way), boxes[b] as Box);
    return convexOf(rough[a] as Part).some((mover) => convexOf(rough[b] as Part).some((stands) => meets(mover, stands, way, FAR)));
  };
  return { ways, meetsOnWay };
};

/** Whether a box lies in the way of another that leaves along an axis. */
const lies = (mover: Box, other: Box, axis: Axis, forwards: boolean): boolean =>
  overlapAcross(mover, other, axis) && (forwards ? other.max[axis] > mover.min[axis] : other.min[axis] < mover.max[axis]);

/** Who stands in whose way.
 *  Shape: n parts and their boxes → n lists. What leaves forwards past another is what the other would leave backwards past it, so each
 *  pair is looked at once for each way. */
export const blockingOf = (parts: readonly Part[], boxes: readonly Box[]): Blocking => {
  const { ways, meetsOnWay } = blockersOf(parts, boxes);
  const all = ways.map((mine) => ({ ways: mine, by: mine.map(() => new Set<number>()) }));
  for (let a = 0; a < parts.length; a += 1) {
    for (let b = a + 1; b < parts.length; b += 1) {
      for (const axis of [0, 1, 2] as const) {
        for (const forwards of [true, false]) {
          const way = WAYS[wayIndex(axis, forwards)] as Vec3;
          if (!lies(boxes[a] as Box, boxes[b] as Box, axis, forwards) || !meetsOnWay(a, b, way)) continue;
          all[a]?.by[wayIndex(axis, forwards)]?.add(b);
          all[b]?.by[wayIndex(axis, !forwards)]?.add(a);
        }
      }
    }
    ways[a]?.slice(WAYS.length).forEach((way, number) => {
      for (let b = 0; b < parts.length; b += 1) if (b !== a && meetsOnWay(a, b, way)) all[a]?.by[WAYS.length + number]?.add(b);
    });
  }
  return all;
};

/** The parts, by index, that no order can bring to their places, because each is in another's way; empty for what can be built.
 *  A part that is out of a way never comes into it again, so each way remembers how far it was looked along. */
export const stuckIn = (parts: readonly Part[], boxes: readonly Box[]): readonly number[] => {
  const { ways, meetsOnWay } = blockersOf(parts, boxes);
  const clear = ways.map((mine) => mine.map(() => 0));
  const standing = new Set(parts.keys());
  const inTheWay = (part: number, way: number, other: number): boolean => {
    if (other === part || !standing.has(other)) return false;
    const axis = AXES[way];
    if (axis !== undefined && !lies(boxes[part] as Box, boxes[other] as Box, axis, way < 3)) return false;
    // What leaves forwards past another is what the other would leave backwards past it.
    return axis !== undefined && other < part
      ? meetsOnWay(other, part, WAYS[wayIndex(axis, way >= 3)] as Vec3)
      : meetsOnWay(part, other, ways[part]?.[way] as Vec3);
  };
  const isFree = (part: number): boolean =>
    (ways[part] as readonly Vec3[]).some((_, way) => {
      const looked = clear[part] as number[];
      while ((looked[way] as number) < parts.length && !inTheWay(part, way, looked[way] as number)) (looked[way] as number) += 1;
      return looked[way] === parts.length;
    });
  for (let before = -1; before !== standing.size; ) {
    before = standing.size;
    for (const part of standing) if (isFree(part)) standing.delete(part);
  }
  return [...standing];
};
