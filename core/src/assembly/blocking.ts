// µm, doll size. Who stands in whose way when a piece is taken apart, along the six ways of space and, for slanted parts, their own.
import { bounds, normalOf, type Ring, rectRing, type Vec3 } from '../shape/index.ts';
import { convexOf, meets } from './convex.ts';
import { isPlainBox, shareVolume } from './interference.ts';
import { type Box, isSquare, type Part, plainly } from './part.ts';

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

/** Beyond every piece that the schema allows. */
const FAR = 20_000_000;

/** A part drawn out along a way, as a part. Along its thickness that is exact; across it, its outline counts as its box, so that a way
 *  that is called free is free. */
const drawnOut = (part: Part, way: Vec3): Part => {
  const n = normalOf(part.pose);
  const along = way[0] * n[0] + way[1] * n[1] + way[2] * n[2];
  if (along > 0) return { ...part, thickness: part.thickness + FAR };
  if (along < 0) {
    const origin = part.pose.origin.map((value, axis) => value + (way[axis] as number) * FAR) as unknown as Vec3;
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
  min: box.min.map((value, axis) => value + Math.min(0, (way[axis] as number) * FAR)) as unknown as Vec3,
  max: box.max.map((value, axis) => value + Math.max(0, (way[axis] as number) * FAR)) as unknown as Vec3,
});

/** Discs, arches and other curved outlines without holes count as their boxes: a way that is called free is free all the same. */
const countsAsBox = (part: Part): boolean =>
  isSquare(part) && (isPlainBox(part) || (part.region.holes.length === 0 && part.region.outline.length > 12));

/** For each part the ways in which it may leave, and for each way the parts, by index, that it would run into. */
export type Blocking = readonly { readonly ways: readonly Vec3[]; readonly by: readonly Set<number>[] }[];

/** Whether the boxes overlap when looked at along an axis. */
const overlapAcross = (a: Box, b: Box, axis: Axis): boolean => {
  const one = axis === 0 ? 1 : 0;
  const two = axis === 2 ? 1 : 2;
  return a.min[one] < b.max[one] && b.min[one] < a.max[one] && a.min[two] < b.max[two] && b.min[two] < a.max[two];
};

/** Who stands in whose way.
 *  Shape: n parts and their boxes → n lists. What leaves forwards past another is what the other would leave backwards past it, so each
 *  pair is looked at once for each way. */
export const blockingOf = (parts: readonly Part[], boxes: readonly Box[]): Blocking => {
  const square = parts.map(isSquare);
  const plain = parts.map(countsAsBox);
  const all = parts.map((part, index) => {
    const n = normalOf(part.pose);
    const ways = square[index] ? WAYS : [...WAYS, n, [-n[0], -n[1], -n[2]] as Vec3, part.pose.u, part.pose.v];
    return { ways, by: ways.map(() => new Set<number>()) };
  });
  const rough = parts.map(plainly);
  const meetsOnWay = (a: number, b: number, way: Vec3): boolean => {
    const [one, other] = [parts[a] as Part, parts[b] as Part];
    if (plain[a] && plain[b]) return true;
    if (square[a] && square[b]) return shareVolume(drawnOut(one, way), other, sweptBox(boxes[a] as Box, way), boxes[b] as Box);
    return convexOf(rough[a] as Part).some((mover) => convexOf(rough[b] as Part).some((stands) => meets(mover, stands, way, FAR)));
  };
  for (let a = 0; a < parts.length; a += 1) {
    const boxA = boxes[a] as Box;
    for (let b = a + 1; b < parts.length; b += 1) {
      const boxB = boxes[b] as Box;
      for (const axis of [0, 1, 2] as const) {
        if (!overlapAcross(boxA, boxB, axis)) continue;
        for (const forwards of [true, false]) {
          const ahead = forwards ? boxB.max[axis] > boxA.min[axis] : boxB.min[axis] < boxA.max[axis];
          const way = WAYS[wayIndex(axis, forwards)] as Vec3;
          if (!ahead || !meetsOnWay(a, b, way)) continue;
          all[a]?.by[wayIndex(axis, forwards)]?.add(b);
          all[b]?.by[wayIndex(axis, !forwards)]?.add(a);
        }
      }
    }
    if (square[a]) continue;
    all[a]?.ways.slice(WAYS.length).forEach((way, number) => {
      for (let b = 0; b < parts.length; b += 1) if (b !== a && meetsOnWay(a, b, way)) all[a]?.by[WAYS.length + number]?.add(b);
    });
  }
  return all;
};
