// µm, doll size. What is cut for a part, and at which angles.
import {
  bounds,
  cross,
  dot,
  merged,
  minus,
  type Point,
  type Region,
  type Ring,
  rectRing,
  regionArea,
  scaled,
  toSpace,
  unit,
  type Vec3,
} from '../shape/index.ts';
import { isPlainBox, type Part, upperOf } from './part.ts';

const known = new WeakMap<Part, Region>();

/** The outline that both faces of a part with slanting edges come out of: the larger of them, or what the two cover together. */
const blankOf = (part: Part): Region => {
  const upper = upperOf(part);
  const together = merged([part.region, upper]);
  const [first] = together;
  if (first && together.length === 1) return regionArea(first) - regionArea(upper) < 1 ? upper : first;
  const { x0, y0, x1, y1 } = bounds([...part.region.outline, ...upper.outline]);
  return { outline: rectRing(x0, y0, x1, y1), holes: [] };
};

/** The outline that is cut for a part: its own; a blank, where edges slant; the strip or sector that is rolled. In the part's own plane, save
 *  for what is rolled. */
export const cutRegionOf = (part: Part): Region => {
  if (part.flat) return part.flat.region;
  if (!part.upper) return part.region;
  const found = known.get(part) ?? blankOf(part);
  known.set(part, found);
  return found;
};

/** How thick what is cut is. */
export const cutThicknessOf = (part: Part): number => part.flat?.thickness ?? part.thickness;

/** Which way a stick runs: along its region's sides, or out of its section. */
export const runOf = (part: Part): Vec3 => {
  const { x0, y0, x1, y1 } = bounds([...part.region.outline, ...upperOf(part).outline]);
  if (part.length === x1 - x0) return part.pose.u;
  if (part.length === y1 - y0) return part.pose.v;
  const [from, to] = [
    toSpace(part.pose, part.region.outline[0] as Point),
    toSpace(part.pose, upperOf(part).outline[0] as Point, part.thickness),
  ];
  return unit(minus(to, from));
};

/** A cut that is not square: at an end of a stick or strip (a mitre), or along an edge of a board (a bevel); off square by so many radians;
 *  how long the part is from point to point, and where it has its full section. */
export type Slant = { readonly at: 'end' | 'edge'; readonly angle: number; readonly long: number; readonly short: number };

/** Less than this is square to any knife: a third of a degree. */
const SQUARE = 0.006;

/** The way in which the plane through points looks. */
const planeThrough = (points: readonly Vec3[]): Vec3 | undefined => {
  const [first] = points as [Vec3];
  for (let one = 1; one < points.length; one += 1) {
    for (let other = one + 1; other < points.length; other += 1) {
      const normal = cross(minus(points[one] as Vec3, first), minus(points[other] as Vec3, first));
      const length = Math.hypot(...normal);
      if (length > 1e5) return scaled(normal, 1 / length);
    }
  }
  return undefined;
};

const stickSlants = (part: Part): readonly Slant[] => {
  const way = runOf(part);
  const corners = [
    ...part.region.outline.map((point) => toSpace(part.pose, point)),
    ...upperOf(part).outline.map((point) => toSpace(part.pose, point, part.thickness)),
  ];
  const along = corners.map((corner) => dot(corner, way));
  const middle = (Math.min(...along) + Math.max(...along)) / 2;
  const ends = [true, false].map((low) => corners.filter((_, index) => (along[index] as number) < middle === low));
  const spans = ends.map((points) => points.map((point) => dot(point, way)));
  const [start, end] = spans as [number[], number[]];
  const long = Math.round(Math.max(...end) - Math.min(...start));
  const short = Math.round(Math.min(...end) - Math.max(...start));
  return ends.flatMap((points): readonly Slant[] => {
    const normal = planeThrough(points);
    const angle = normal ? Math.acos(Math.min(1, Math.abs(dot(normal, way)))) : 0;
    return angle < SQUARE ? [] : [{ at: 'end', angle, long, short }];
  });
};

/** How far a side of one ring stands off the line of a side of another: the distance of the two, when they run alike. */
const apart = ([a, b]: readonly [Point, Point], [c]: readonly [Point, Point]): number => {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  return ((c[0] - a[0]) * dy - (c[1] - a[1]) * dx) / Math.hypot(dx, dy);
};

const sideOf = (ring: Ring, index: number): readonly [Point, Point] => [ring[index] as Point, ring[(index + 1) % ring.length] as Point];

/** How far a ring reaches across a way. */
const across = (ring: Ring, [a, b]: readonly [Point, Point]): number => {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const length = Math.hypot(dx, dy);
  const off = ring.map(([x, y]) => ((x - a[0]) * dy - (y - a[1]) * dx) / length);
  return Math.max(...off) - Math.min(...off);
};

const bevels = (part: Part): readonly Slant[] => {
  const [under, over] = [part.region.outline, upperOf(part).outline];
  if (!part.upper || under.length > 12) return [];
  return under.flatMap((_, index): readonly Slant[] => {
    const [low, high] = [sideOf(under, index), sideOf(over, index)];
    const angle = Math.atan(Math.abs(apart(low, high)) / part.thickness);
    if (!(angle >= SQUARE)) return [];
    const sizes = [across([...under, ...over], low), Math.min(across(under, low), across(over, high))].map(Math.round);
    return [{ at: 'edge', angle, long: sizes[0] as number, short: sizes[1] as number }];
  });
};

/** The mitres of a strip: a board of four corners whose long sides run alike and whose ends do not stand square. */
const mitres = (part: Part): readonly Slant[] => {
  const ring = part.region.outline;
  if (part.upper || part.flat || ring.length !== 4 || part.region.holes.length > 0) return [];
  const lengths = ring.map((_, index) =>
    Math.hypot(...([0, 1] as const).map((axis) => sideOf(ring, index)[1][axis] - sideOf(ring, index)[0][axis])),
  );
  const first = (lengths[0] as number) + (lengths[2] as number) >= (lengths[1] as number) + (lengths[3] as number) ? 0 : 1;
  const [side, other] = [sideOf(ring, first), sideOf(ring, first + 2)];
  const [dx, dy] = [side[1][0] - side[0][0], side[1][1] - side[0][1]];
  const [ex, ey] = [other[0][0] - other[1][0], other[0][1] - other[1][1]];
  if (Math.abs(dx * ey - dy * ex) > 1e-4 * Math.hypot(dx, dy) * Math.hypot(ex, ey)) return [];
  const along = ([x, y]: Point): number => (x * dx + y * dy) / Math.hypot(dx, dy);
  const [start, end] = [
    [side[0], other[1]],
    [side[1], other[0]],
  ].map((points) => points.map(along)) as [number[], number[]];
  const long = Math.round(Math.max(...end) - Math.min(...start));
  const short = Math.round(Math.min(...end) - Math.max(...start));
  const wide = Math.abs(apart(side, other));
  return [start, end].flatMap((points): readonly Slant[] => {
    const angle = Math.atan(Math.abs((points[0] as number) - (points[1] as number)) / wide);
    return angle < SQUARE ? [] : [{ at: 'end', angle, long, short }];
  });
};

/** What is thinner than this has no slant to its edges. Common practice, no source. */
const THIN = 1_000;

/** The cuts of a part that are not square, with their angle and both lengths.
 *  Shape: part → one for each slanting end of a stick or strip, and for each bevelled edge of a board. Radians, µm. */
export const slantsOf = (part: Part): readonly Slant[] => {
  // A box has none, and most parts are boxes.
  if (isPlainBox(part)) return [];
  if (part.stuff === 'stick') return stickSlants(part);
  // A knife cuts film and card square, whatever their edges meet.
  if (cutThicknessOf(part) < THIN) return [];
  return part.stuff === 'board' || part.stuff === 'clear' ? [...bevels(part), ...mitres(part)] : [];
};
