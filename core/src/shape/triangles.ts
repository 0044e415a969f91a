import earcut from 'earcut';
import type { Point, Region, Ring } from './plane.ts';

/** Twice the area that a way round a corner turns over: positive to the left. */
export const turnAt = (a: Point, b: Point, c: Point): number => (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);

/** True when a counter-clockwise ring turns right nowhere. */
export const isConvex = (ring: Ring): boolean =>
  ring.every((point, index) => turnAt(point, ring[(index + 1) % ring.length] as Point, ring[(index + 2) % ring.length] as Point) >= 0);

/** The convex outline round points, counter-clockwise. Source: Andrew's monotone chain (1979), recalled. */
export const hullOf = (points: readonly Point[]): Ring => {
  const sorted = points.toSorted((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (all: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const point of all) {
      while (chain.length > 1 && turnAt(chain.at(-2) as Point, chain.at(-1) as Point, point) <= 0) chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
};

/** A region cut into triangles that run counter-clockwise, by the numbers of their corners: first the outline's points are counted, then the
 *  holes'. Those without area are left out. */
export const cornersOfTriangles = ({ outline, holes }: Region): readonly (readonly [number, number, number])[] => {
  const rings = [outline, ...holes];
  const points = rings.flat();
  const starts = rings.slice(0, -1).map((_, index) => rings.slice(0, index + 1).flat().length);
  const corners = earcut(points.flat(), starts);
  return Array.from({ length: corners.length / 3 }, (_, index): readonly (readonly [number, number, number])[] => {
    const [a, b, c] = corners.slice(index * 3, index * 3 + 3) as [number, number, number];
    const turn = turnAt(points[a] as Point, points[b] as Point, points[c] as Point);
    if (turn === 0) return [];
    return [turn > 0 ? [a, b, c] : [a, c, b]];
  }).flat();
};

/** A region cut into triangles that run counter-clockwise; those without area are left out. */
export const trianglesOf = (region: Region): readonly Ring[] => {
  const points = [region.outline, ...region.holes].flat();
  return cornersOfTriangles(region).map((corners) => corners.map((corner) => points[corner] as Point));
};
