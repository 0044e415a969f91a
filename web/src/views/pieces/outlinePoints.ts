// A maker's own outline as points: which is nearest, and the same with one of them moved, put in or taken out. Units are the outline's own.
import type { Point, Ring } from '@parlor/core/shape';

/** A point by its ring and its number there. */
export type PointAt = { readonly ring: number; readonly index: number };

/** The point nearest to a place. */
export const nearestPoint = (rings: readonly Ring[], [x, y]: Point): PointAt | null => {
  let best: PointAt | null = null;
  let least = Infinity;
  rings.forEach((ring, number) => {
    ring.forEach(([px, py], index) => {
      const off = (px - x) * (px - x) + (py - y) * (py - y);
      if (off >= least) return;
      least = off;
      best = { ring: number, index };
    });
  });
  return best;
};

export const pointAt = (rings: readonly Ring[], at: PointAt | null): Point | undefined => (at ? rings[at.ring]?.[at.index] : undefined);

const changedRing = (rings: readonly Ring[], number: number, ring: Ring): readonly Ring[] =>
  rings.map((each, index) => (index === number ? ring : each));

export const withPointMoved = (rings: readonly Ring[], { ring, index }: PointAt, [x, y]: Point): readonly Ring[] =>
  changedRing(rings, ring, (rings[ring] as Ring).with(index, [Math.round(x), Math.round(y)]));

/** Another point halfway to the next one. */
export const withPointAdded = (
  rings: readonly Ring[],
  { ring, index }: PointAt,
): { readonly rings: readonly Ring[]; readonly at: PointAt } => {
  const points = rings[ring] as Ring;
  const [[ax, ay], [bx, by]] = [points[index] as Point, points[(index + 1) % points.length] as Point];
  const middle: Point = [Math.round((ax + bx) / 2), Math.round((ay + by) / 2)];
  return { rings: changedRing(rings, ring, points.toSpliced(index + 1, 0, middle)), at: { ring, index: index + 1 } };
};

/** Without a point; a hole that has only three goes altogether, an outline keeps three. */
export const withPointGone = (rings: readonly Ring[], { ring, index }: PointAt): readonly Ring[] => {
  const points = rings[ring] as Ring;
  if (points.length > 3) return changedRing(rings, ring, points.toSpliced(index, 1));
  return ring === 0 ? rings : rings.toSpliced(ring, 1);
};
