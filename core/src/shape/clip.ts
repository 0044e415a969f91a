// µm, doll size, y up. What two regions share, by clipping where nothing simpler answers. Apart from `plane.ts`, because the clipper is large.
import { areaD, FillRule, intersect, type Paths64 } from 'clipper2-ts';
import {
  asRect,
  bounds,
  doubleArea,
  liesIn,
  overlapOfRects,
  type Point,
  type Rect,
  type Region,
  type Ring,
  sameRegion,
  sameRing,
} from './plane.ts';

/** A region as the clipper takes it: outlines counter-clockwise, holes clockwise. */
export const toPaths = (region: Region): Paths64 =>
  [region.outline, ...region.holes].map((ring, index) => {
    const wantsCounterClockwise = index === 0;
    const points = ring.map(([x, y]) => ({ x, y, z: 0 }));
    return doubleArea(ring) > 0 === wantsCounterClockwise ? points : points.reverse();
  });

const isWholeRect = ({ outline, holes }: Region): boolean => holes.length === 0 && asRect(outline) !== undefined;

/** What a rectangle with openings shares with a whole one, when each opening lies clear of the shared rectangle or wholly inside it. */
const openingsIn = ({ outline, holes }: Region, other: Rect): readonly Ring[] | undefined => {
  const frame = asRect(outline);
  const shared = frame && overlapOfRects(frame, other);
  if (!shared) return undefined;
  const within = bounds(shared);
  const near = holes.filter((hole) => overlapOfRects(bounds(hole), within));
  const inside = near.every((hole) => {
    const { x0, y0, x1, y1 } = bounds(hole);
    return within.x0 < x0 && within.y0 < y0 && within.x1 > x1 && within.y1 > y1;
  });
  return inside ? [shared, ...near.map((hole) => (doubleArea(hole) > 0 ? [...hole].reverse() : hole))] : undefined;
};

/** A region's rings as they are promised: the outline counter-clockwise, holes clockwise. */
const ringsOf = ({ outline, holes }: Region): readonly Ring[] => [
  doubleArea(outline) < 0 ? [...outline].reverse() : outline,
  ...holes.map((hole) => (doubleArea(hole) > 0 ? [...hole].reverse() : hole)),
];

/** Whether a counter-clockwise ring that turns one way only has all points of another within it, to a micrometre. */
const coversConvex = (ring: Ring, other: Ring): boolean => {
  // Read by index: this is asked of every pair of curved faces.
  const points = other.flat();
  const count = ring.length;
  for (let index = 0; index < count; index += 1) {
    const [a, b, c] = [ring[index] as Point, ring[(index + 1) % count] as Point, ring[(index + 2) % count] as Point];
    const [xa, ya] = [a[0], a[1]];
    const dx = b[0] - xa;
    const dy = b[1] - ya;
    if (dx * (c[1] - b[1]) - dy * (c[0] - b[0]) < 0) return false;
    const off = dy * xa - dx * ya + Math.sqrt(dx * dx + dy * dy);
    for (let at = 0; at < points.length; at += 2) if (dx * (points[at + 1] as number) - dy * (points[at] as number) + off < 0) return false;
  }
  return true;
};

/** The rings that two regions share: outer rings counter-clockwise, holes clockwise. Upright rectangles are
 *  answered without clipping; whole micrometres in, whole micrometres out. Who knows the rectangles round them gives them. */
export const intersection = (a: Region, b: Region, boxA: Rect = bounds(a.outline), boxB: Rect = bounds(b.outline)): readonly Ring[] => {
  if (!overlapOfRects(boxA, boxB)) return [];
  const [rectA, rectB] = [isWholeRect(a), isWholeRect(b)];
  if (rectA && rectB) {
    const shared = overlapOfRects(boxA, boxB);
    return shared ? [shared] : [];
  }
  // One disc on another of its size shares all of it.
  if (sameRegion(a, b)) return ringsOf(a);
  if (a.holes.length === 0 && sameRing(a.outline, b.outline)) return ringsOf(b);
  if (b.holes.length === 0 && sameRing(a.outline, b.outline)) return ringsOf(a);
  // What lies with all its box in the other is all of what the two share; what lies there in an opening shares nothing.
  const aInB = liesIn(boxA, b);
  if (aInB !== undefined) return aInB ? ringsOf(a) : [];
  const bInA = liesIn(boxB, a);
  if (bInA !== undefined) return bInA ? ringsOf(b) : [];
  if (b.holes.length === 0 && coversConvex(b.outline, a.outline)) return ringsOf(a);
  if (a.holes.length === 0 && coversConvex(a.outline, b.outline)) return ringsOf(b);
  const plain = rectB && !rectA ? openingsIn(a, boxB) : rectA && !rectB ? openingsIn(b, boxA) : undefined;
  if (plain) return plain;
  return intersect(toPaths(a), toPaths(b), FillRule.NonZero)
    .filter((path) => Math.abs(areaD(path)) > 0)
    .map((path) => path.map(({ x, y }): Point => [x, y]));
};
