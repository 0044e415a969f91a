// µm, doll size. Two parts interfere when they share volume: exactly, for parts square to the axes with any outlines; beyond a hundredth
// of a millimetre, where one of them slants.
import {
  AXES,
  asRect,
  bounds,
  intersection,
  liesIn,
  normalOf,
  type Point,
  type Rect,
  type Region,
  rectRing,
  toSpace,
} from '../shape/index.ts';
import { convexOf, meets } from './convex.ts';
import { axisOf, type Box, type Boxed, boxesOverlap, boxOf, isPlainBox, isSquare, type Part } from './part.ts';
import { coaxial, roundsMeet } from './round.ts';

/** Two parts, by index, that share volume. */
export type Interference = { readonly a: number; readonly b: number };

type Span = readonly [from: number, to: number];
type Axis = 0 | 1 | 2;

type InSpace = { readonly region: Region; readonly normal: Axis; readonly plane: readonly [Axis, Axis] };

/** The axes that a plane spans, by its normal. */
const SPANNED = [
  [1, 2],
  [0, 2],
  [0, 1],
] as const;

/** The region in space axes: x and y become the two axes that the part's plane spans, in ascending order. */
const inSpaceAxes = (part: Part): InSpace => {
  const normal = axisOf(normalOf(part.pose)) as Axis;
  const plane = SPANNED[normal];
  const place = (point: Point): Point => {
    const at = toSpace(part.pose, point);
    return [at[plane[0]], at[plane[1]]];
  };
  return { region: { outline: part.region.outline.map(place), holes: part.region.holes.map((hole) => hole.map(place)) }, normal, plane };
};

/** Where along `axis` the part has matter while its other plane axis is within `other`. */
const spansAlong = ({ region, plane }: InSpace, axis: Axis, other: Span): readonly Span[] => {
  const first = plane[0] === axis;
  const box: Rect = bounds(region.outline);
  if (region.holes.length === 0 && asRect(region.outline)) {
    const [low, high] = first ? [box.y0, box.y1] : [box.x0, box.x1];
    return low < other[1] && other[0] < high ? [first ? [box.x0, box.x1] : [box.y0, box.y1]] : [];
  }
  const strip = first ? rectRing(box.x0, other[0], box.x1, other[1]) : rectRing(other[0], box.y0, other[1], box.y1);
  return intersection(region, { outline: strip, holes: [] }).map((ring): Span => {
    const shared = bounds(ring);
    return first ? [shared.x0, shared.x1] : [shared.y0, shared.y1];
  });
};

/** Whether two parts square to the axes, whose boxes overlap, share volume. Exact: with parallel planes the regions must overlap;
 *  with crossing planes each is sliced by the other's thickness, and the slices must share a stretch of the common axis. */
export const shareVolume = (a: Part, b: Part, boxA: Box, boxB: Box): boolean => {
  if (isPlainBox(a) && isPlainBox(b)) return true;
  const [inA, inB] = [inSpaceAxes(a), inSpaceAxes(b)];
  // Most pairs are told by the box that they share: it lies in a notch of one, or in the matter of both.
  const sharedIn = ({ plane: [x, y], region }: InSpace): boolean | undefined => {
    const [from, to] = [(axis: Axis) => Math.max(boxA.min[axis], boxB.min[axis]), (axis: Axis) => Math.min(boxA.max[axis], boxB.max[axis])];
    return liesIn({ x0: from(x), y0: from(y), x1: to(x), y1: to(y) }, region);
  };
  const filled = [sharedIn(inA), sharedIn(inB)];
  if (filled.includes(false)) return false;
  if (filled.every(Boolean)) return true;
  if (inA.normal === inB.normal) return intersection(inA.region, inB.region).length > 0;
  const common = AXES.find((axis) => axis !== inA.normal && axis !== inB.normal) as Axis;
  const alongA = spansAlong(inA, common, [boxB.min[inB.normal], boxB.max[inB.normal]]);
  const alongB = spansAlong(inB, common, [boxA.min[inA.normal], boxA.max[inA.normal]]);
  return alongA.some(([from, to]) => alongB.some(([start, end]) => from < end && start < to));
};

/** Parts whose boxes share no more than this in some direction only touch: what stands against another was put there by hand. */
const TOUCHES = 60;

const overlapsWell = (a: Box, b: Box): boolean =>
  AXES.every((axis) => Math.min(a.max[axis], b.max[axis]) - Math.max(a.min[axis], b.min[axis]) > TOUCHES);

/** Whether two things that were put beside each other share volume; gives the first pair of parts that does, by index. */
export const clashOf = (a: Boxed, b: Boxed): readonly [number, number] | undefined => {
  if (!overlapsWell(a.whole, b.whole)) return undefined;
  for (const [index, box] of a.boxes.entries()) {
    if (!overlapsWell(box, b.whole)) continue;
    for (const [number, other] of b.boxes.entries()) {
      if (!overlapsWell(box, other)) continue;
      const [one, two] = [a.parts[index] as Part, b.parts[number] as Part];
      const shares =
        isSquare(one) && isSquare(two)
          ? shareVolume(one, two, box, other)
          : convexOf(one).some((mine) => convexOf(two).some((theirs) => meets(mine, theirs)));
      if (shares) return [index, number];
    }
  }
  return undefined;
};

/** Every pair of parts that share volume.
 *  Shape: n parts → pairs of indices, a < b. Sweeps along x, so only near neighbours are compared. */
export const findInterference = (parts: readonly Part[], boxes: readonly Box[] = parts.map(boxOf)): readonly Interference[] => {
  const square = parts.map(isSquare);
  const share = (a: number, b: number): boolean => {
    const round = coaxial(parts[a] as Part, parts[b] as Part);
    if (round) return roundsMeet(round);
    return square[a] && square[b]
      ? shareVolume(parts[a] as Part, parts[b] as Part, boxes[a] as Box, boxes[b] as Box)
      : convexOf(parts[a] as Part).some((one) => convexOf(parts[b] as Part).some((other) => meets(one, other)));
  };
  const order = parts.map((_, index) => index).sort((a, b) => (boxes[a] as Box).min[0] - (boxes[b] as Box).min[0]);
  const found: Interference[] = [];
  let active: number[] = [];
  for (const index of order) {
    const box = boxes[index] as Box;
    active = active.filter((other) => (boxes[other] as Box).max[0] > box.min[0]);
    for (const other of active) {
      const otherBox = boxes[other] as Box;
      if (!boxesOverlap(box, otherBox) || !share(index, other)) continue;
      found.push({ a: Math.min(index, other), b: Math.max(index, other) });
    }
    active.push(index);
  }
  return found.sort((p, q) => p.a - q.a || p.b - q.b);
};
