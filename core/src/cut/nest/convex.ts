// Outlines as convex pieces, and what two of them cannot share. µm; rings run counter-clockwise.
import { EndType, FillRule, inflatePaths, intersect, JoinType, type Paths64, simplifyPaths, union } from 'clipper2-ts';
import {
  bounds,
  isConvex,
  type Point,
  type Rect,
  type Region,
  type Ring,
  rectRing,
  signedArea,
  trianglesOf,
  turnAt,
} from '../../shape/index.ts';

/** Drops corners that lie on a line with their neighbours. */
const plain = (ring: Ring): Ring =>
  ring.filter((point, index) => turnAt(ring.at(index - 1) as Point, point, ring[(index + 1) % ring.length] as Point) !== 0);

const same = (a: Point, b: Point): boolean => a[0] === b[0] && a[1] === b[1];

/** Two convex pieces along their common side as one, when that is convex too. */
const joined = (a: Ring, b: Ring): Ring | undefined => {
  for (let i = 0; i < a.length; i += 1) {
    const [from, to] = [a[i] as Point, a[(i + 1) % a.length] as Point];
    const at = b.findIndex((point, index) => same(point, to) && same(b[(index + 1) % b.length] as Point, from));
    if (at < 0) continue;
    const around = Array.from({ length: b.length - 2 }, (_, step) => b[(at + 2 + step) % b.length] as Point);
    const ring = [...a.slice(0, i + 1), ...around, ...a.slice(i + 1)];
    return isConvex(ring) ? plain(ring) : undefined;
  }
  return undefined;
};

/** Rings as the clipper takes them. */
export const toPaths = (rings: readonly Ring[]): Paths64 => rings.map((ring) => ring.map(([x, y]) => ({ x, y, z: 0 })));

const toRings = (paths: Paths64): readonly Ring[] => paths.map((path) => path.map(({ x, y }): Point => [x, y]));

/** Outlines with more corners than this are curves. */
const MANY = 24;

/** A curve stands off the figure that is nested in its place by so much at most: less than a blade wanders. */
const SLACK = 250;

/** A figure with fewer corners that holds a region, with its curves, and stays in the rectangle round it. */
const simpler = (region: Region): Region => {
  const rings = [region.outline, ...region.holes];
  if (rings.every(({ length }) => length <= MANY)) return region;
  const upright = rings.map((ring, index) => (signedArea(ring) > 0 === (index === 0) ? ring : [...ring].reverse()));
  const { x0, y0, x1, y1 } = bounds(region.outline);
  const slack = Math.min(SLACK, Math.min(x1 - x0, y1 - y0) / 80);
  const round = simplifyPaths(inflatePaths(toPaths(upright), slack, JoinType.Miter, EndType.Polygon), slack);
  const [outline, ...holes] = [...toRings(intersect(round, toPaths([rectRing(x0, y0, x1, y1)]), FillRule.NonZero))].sort(
    (a, b) => signedArea(b) - signedArea(a),
  );
  return outline ? { outline, holes } : region;
};

/** A region as convex pieces that meet without overlap: its triangles, joined while they stay convex (Hertel & Mehlhorn 1983, recalled). */
export const convexPieces = (region: Region): readonly Ring[] => {
  const { outline, holes } = simpler(region);
  const upright = signedArea(outline) < 0 ? [...outline].reverse() : outline;
  if (holes.length === 0 && isConvex(upright)) return [plain(upright)];
  const pieces = [...trianglesOf({ outline, holes })];
  for (let index = 0; index < pieces.length; index += 1) {
    for (let other = index + 1; other < pieces.length; other += 1) {
      const both = joined(pieces[index] as Ring, pieces[other] as Ring);
      if (!both) continue;
      pieces[index] = both;
      pieces.splice(other, 1);
      // What did not go with the piece before may go with the larger one.
      other = index;
    }
  }
  return pieces;
};

/** From the lowest corner, of those the leftmost. */
const fromLowest = (ring: Ring): Ring => {
  const first = ring.reduce((best, point, index) => {
    const [x, y] = ring[best] as Point;
    return point[1] < y || (point[1] === y && point[0] < x) ? index : best;
  }, 0);
  return [...ring.slice(first), ...ring.slice(0, first)];
};

/** All sums of a point of one convex ring and a point of another: their sides in the order of their directions. */
const sum = (one: Ring, other: Ring): Ring => {
  const [a, b] = [fromLowest(one), fromLowest(other)];
  const side = (ring: Ring, at: number): Point => {
    const [from, to] = [ring[at % ring.length] as Point, ring[(at + 1) % ring.length] as Point];
    return [to[0] - from[0], to[1] - from[1]];
  };
  const ring: Point[] = [];
  let [x, y] = [(a[0] as Point)[0] + (b[0] as Point)[0], (a[0] as Point)[1] + (b[0] as Point)[1]];
  for (let [i, j] = [0, 0]; i < a.length || j < b.length; ) {
    ring.push([x, y]);
    const [p, q] = [side(a, i), side(b, j)];
    const turn = i >= a.length ? -1 : j >= b.length ? 1 : p[0] * q[1] - p[1] * q[0];
    if (turn >= 0) {
      x += p[0];
      y += p[1];
      i += 1;
    }
    if (turn <= 0) {
      x += q[0];
      y += q[1];
      j += 1;
    }
  }
  return plain(ring);
};

/** Where the lower left corner of one figure may not lie, when the other stands with its own at the origin: rings that may touch, holes run
 *  clockwise. `box` is round all of them. */
export type NoFit = { readonly rings: readonly Ring[]; readonly box: Rect };

/** Where a moving figure would share more than its edge with a standing one, or come nearer to it than the knife gap, along either axis.
 *  Shape: convex pieces of both → rings of offsets, in µm. */
export const noFit = (standing: readonly Ring[], moving: readonly Ring[], gap: number): NoFit => {
  const square: Ring = [
    [-gap, -gap],
    [gap, -gap],
    [gap, gap],
    [-gap, gap],
  ];
  const away = moving.map((ring): Ring => ring.map(([x, y]): Point => [0 - x, 0 - y]));
  const sums = standing.flatMap((piece) => {
    const grown = gap > 0 ? sum(piece, square) : piece;
    return away.map((other) => sum(grown, other));
  });
  const rings = sums.length === 1 ? sums : toRings(union(toPaths(sums), FillRule.NonZero));
  return { rings, box: boxRound(rings) };
};

const boxRound = (rings: readonly Ring[]): Rect => bounds(rings.flat());

/** Where a point stands to rings: in them by more than a micrometre, or not. */
export const isInside = ({ rings, box }: NoFit, x: number, y: number): boolean => {
  if (x <= box.x0 || x >= box.x1 || y <= box.y0 || y >= box.y1) return false;
  let inside = false;
  for (const ring of rings) {
    let last = ring[ring.length - 1] as Point;
    for (const point of ring) {
      const [dx, dy] = [point[0] - last[0], point[1] - last[1]];
      const length = Math.hypot(dx, dy);
      const along = ((x - last[0]) * dx + (y - last[1]) * dy) / length;
      const off = Math.abs((x - last[0]) * dy - (y - last[1]) * dx) / length;
      // On an edge, to within what whole micrometres can say.
      if (off <= 1 && along >= -1 && along <= length + 1) return false;
      if (point[1] > y !== last[1] > y && x < ((last[0] - point[0]) * (y - point[1])) / (last[1] - point[1]) + point[0]) inside = !inside;
      last = point;
    }
  }
  return inside;
};
