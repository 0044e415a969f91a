// µm, doll size, y up. Regions added to and taken from one another; all by clipping, so that outlines of any shape do.
import { areaD, difference, EndType, FillRule, inflatePaths, intersect, JoinType, type Paths64, union } from 'clipper2-ts';
import { toPaths } from './clip.ts';
import {
  asRect,
  bounds,
  isInRing,
  liesIn,
  overlapOfRects,
  type Point,
  type Rect,
  type Region,
  type Ring,
  rectRing,
  ringArea,
  signedArea,
} from './plane.ts';

/** Less than this is what rounding leaves, in µm²: a hundredth of a square millimetre. */
const CRUMB = 10_000;

/** Regions from the clipper's rings, each hole with the outline that it lies in. */
const regionsFrom = (paths: Paths64): readonly Region[] => {
  const rings = paths.filter((path) => Math.abs(areaD(path)) > CRUMB).map((path): Ring => path.map(({ x, y }): Point => [x, y]));
  const [outlines, holes] = [rings.filter((ring) => signedArea(ring) > 0), rings.filter((ring) => signedArea(ring) < 0)];
  if (outlines.length === 1) return [{ outline: outlines[0] as Ring, holes }];
  // A hole belongs to the smallest outline round it: rings may lie within rings.
  const bySize = outlines.map((outline) => ({ outline, box: bounds(outline), size: signedArea(outline) })).sort((a, b) => a.size - b.size);
  const ownerOf = (hole: Ring): Ring | undefined => {
    const [box, middle] = [bounds(hole), middleOfSide(hole)];
    return bySize.find((each) => overlapOfRects(box, each.box) && isInRing(each.outline, ...middle))?.outline;
  };
  const owned = holes.map((hole) => ({ hole, owner: ownerOf(hole) }));
  return outlines.map((outline) => ({ outline, holes: owned.flatMap(({ hole, owner }) => (owner === outline ? [hole] : [])) }));
};

/** A point a hair inside the matter beside a hole's longest side, so that a hole that touches an outline at a corner is told apart. */
const middleOfSide = (ring: Ring): Point => {
  let best: { readonly length: number; readonly at: Point } = { length: -1, at: ring[0] as Point };
  ring.forEach(([xa, ya], index) => {
    const [xb, yb] = ring[(index + 1) % ring.length] as Point;
    const length = Math.hypot(xb - xa, yb - ya);
    if (length > best.length) best = { length, at: [(xa + xb) / 2, (ya + yb) / 2] };
  });
  return best.at;
};

const pathsOf = (regions: readonly Region[]): Paths64 => regions.flatMap(toPaths);

const overlap = (a: Rect, b: Rect): Rect => ({
  x0: Math.max(a.x0, b.x0),
  y0: Math.max(a.y0, b.y0),
  x1: Math.min(a.x1, b.x1),
  y1: Math.min(a.y1, b.y1),
});

const covers = (outer: Rect, inner: Rect): boolean =>
  outer.x0 <= inner.x0 && outer.y0 <= inner.y0 && outer.x1 >= inner.x1 && outer.y1 >= inner.y1;

const wholeRect = ({ outline, holes }: Region): Rect | undefined => (holes.length === 0 ? asRect(outline) : undefined);

const asRegion = ({ x0, y0, x1, y1 }: Rect): Region => ({ outline: rectRing(x0, y0, x1, y1), holes: [] });

/** A rectangle less rectangles that each cut right across what they meet; undefined where one does not. Boards with shelves glued to them are
 *  like that, and need no clipper. */
const lessAcross = (whole: Rect, cutters: readonly Rect[]): readonly Region[] | undefined => {
  let left: Rect[] = [whole];
  for (const cut of cutters) {
    const next: Rect[] = [];
    for (const rect of left) {
      if (cut.x0 >= rect.x1 || cut.x1 <= rect.x0 || cut.y0 >= rect.y1 || cut.y1 <= rect.y0) {
        next.push(rect);
        continue;
      }
      const [wide, high] = [cut.x0 <= rect.x0 && cut.x1 >= rect.x1, cut.y0 <= rect.y0 && cut.y1 >= rect.y1];
      if (!wide && !high) return undefined;
      if (wide && cut.y0 > rect.y0) next.push({ ...rect, y1: cut.y0 });
      if (wide && cut.y1 < rect.y1) next.push({ ...rect, y0: cut.y1 });
      if (!wide && cut.x0 > rect.x0) next.push({ ...rect, x1: cut.x0 });
      if (!wide && cut.x1 < rect.x1) next.push({ ...rect, x0: cut.x1 });
    }
    left = next;
  }
  return left.map(asRegion);
};

/** Every one of them as a rectangle, or nothing when one is none. */
const allRects = (regions: readonly Region[]): readonly Rect[] | undefined => {
  const rects: Rect[] = [];
  for (const region of regions) {
    const rect = wholeRect(region);
    if (!rect) return undefined;
    rects.push(rect);
  }
  return rects;
};

/** Whether a side of one ring has all of another on its outer side: so rings that only share a side need no clipper. Counter-clockwise rings
 *  of few corners are tried; a micrometre of rounding is none. */
const isApart = (ring: Ring, other: Ring): boolean => {
  if (ring.length > 8) return false;
  return ring.some(([xa, ya], index) => {
    const [xb, yb] = ring[(index + 1) % ring.length] as Point;
    const length = Math.hypot(xb - xa, yb - ya);
    const off = ([x, y]: Point): number => ((xb - xa) * (y - ya) - (yb - ya) * (x - xa)) / length;
    return other.every((point) => off(point) <= 1) && ring.every((point) => off(point) >= -1);
  });
};

/** What is left of a region when others are taken from it: one region, several, or none. */
export const less = (region: Region, others: readonly Region[]): readonly Region[] => {
  const box = bounds(region.outline);
  const near = others.filter((other) => overlapOfRects(bounds(other.outline), box));
  if (near.length === 0) return [region];
  const rects = allRects(near);
  if (rects?.some((rect) => covers(rect, box))) return [];
  const whole = rects && wholeRect(region);
  const across = whole && lessAcross(whole, rects);
  if (!whole && near.every((other) => isApart(region.outline, other.outline))) return [region];
  return across ?? regionsFrom(difference(toPaths(region), pathsOf(near), FillRule.NonZero));
};

/** What a rectangle leaves of a region: one region, several, or none. */
export const without = (region: Region, { x0, y0, x1, y1 }: Rect): readonly Region[] =>
  less(region, [{ outline: rectRing(x0, y0, x1, y1), holes: [] }]);

/** What a region shares with others that do not overlap one another. */
export const common = (region: Region, others: readonly Region[]): readonly Region[] => {
  const box = bounds(region.outline);
  const near = others.filter((other) => overlapOfRects(bounds(other.outline), box));
  if (near.length === 0) return [];
  const rects = allRects(near);
  if (rects?.some((rect) => covers(rect, box))) return [region];
  const whole = rects && wholeRect(region);
  if (whole) return rects.flatMap((rect) => asRegion(overlap(whole, rect)));
  if (near.length === 1) {
    const lies = liesIn(box, near[0] as Region);
    if (lies !== undefined) return lies ? [region] : [];
  }
  return regionsFrom(intersect(toPaths(region), pathsOf(near), FillRule.NonZero));
};

/** Regions as one figure: where they overlap or share a side they become one. */
export const merged = (regions: readonly Region[]): readonly Region[] => {
  if (regions.length < 2) return regions;
  const boxes = regions.map(({ outline }) => bounds(outline));
  const touches = (a: Rect, b: Rect): boolean => a.x0 <= b.x1 && b.x0 <= a.x1 && a.y0 <= b.y1 && b.y0 <= a.y1;
  const isAlone = boxes.map((box, index) => boxes.every((other, at) => at === index || !touches(box, other)));
  const together = regions.filter((_, index) => !isAlone[index]);
  const alone = regions.filter((_, index) => isAlone[index]);
  return together.length === 0 ? regions : [...alone, ...regionsFrom(union(pathsOf(together), FillRule.NonZero))];
};

/** A corner that an offset would carry further away than so many times the offset is cut off. */
const MITER = 4;

/** A ring whose every side is moved to its right by so much, each corner with it; undefined where a side would turn round or a corner would be carried
 *  too far, for then corners must be taken apart. What the moved sides cross is left to the clipper. */
const movedSides = (ring: Ring, by: number): Ring | undefined => {
  const moved: Point[] = [];
  const count = ring.length;
  for (let index = 0; index < count; index += 1) {
    const [a, b, c] = [ring[(index + count - 1) % count] as Point, ring[index] as Point, ring[(index + 1) % count] as Point];
    const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
    const [u, v] = [Math.hypot(ux, uy), Math.hypot(vx, vy)];
    // The two normals added, by one and the cosine between them: as far as the corner goes.
    const one = 1 + (ux * vx + uy * vy) / (u * v);
    if (!(one > 2 / MITER ** 2)) return undefined;
    moved.push([Math.round(b[0] + (by * (uy / u + vy / v)) / one), Math.round(b[1] - (by * (ux / u + vx / v)) / one)]);
  }
  const turned = moved.some(([x, y], index) => {
    const [next, from, to] = [moved[(index + 1) % count] as Point, ring[index] as Point, ring[(index + 1) % count] as Point];
    return (next[0] - x) * (to[0] - from[0]) + (next[1] - y) * (to[1] - from[1]) <= 0;
  });
  return turned ? undefined : moved;
};

/** A region whose every side is moved outwards by so much, or inwards; corners stay corners. */
export const grown = (region: Region, by: number): readonly Region[] => {
  if (by === 0) return [region];
  const paths = toPaths(region);
  // The clipper takes every corner apart before it joins them again, which costs curves dearly.
  const moved = paths.map((path) =>
    movedSides(
      path.map(({ x, y }): Point => [x, y]),
      by,
    ),
  );
  return moved.every((ring) => ring !== undefined)
    ? regionsFrom(
        union(
          moved.map((ring) => ring.map(([x, y]) => ({ x, y, z: 0 }))),
          FillRule.Positive,
        ),
      )
    : regionsFrom(inflatePaths(paths, by, JoinType.Miter, EndType.Polygon, MITER));
};

/** The area of several regions that do not overlap, in µm². */
export const areaOf = (regions: readonly Region[]): number =>
  regions.reduce((sum, { outline, holes }) => holes.reduce((left, hole) => left - ringArea(hole), sum + ringArea(outline)), 0);

/** Rings as they were drawn, whichever way they run, as regions that cross nothing: what lies in an odd number of them is matter. */
export const asSimple = (rings: readonly Ring[]): readonly Region[] =>
  regionsFrom(
    union(
      rings.map((ring) => ring.map(([x, y]) => ({ x, y, z: 0 }))),
      FillRule.EvenOdd,
    ),
  );
