// A plane figure moved and turned, never mirrored: x' = cos·x − sin·y + dx, y' = sin·x + cos·y + dy. µm.
import { dot, mapVec, type Point, type Pose, type Region, type Ring } from '../shape/index.ts';

export type Iso = { readonly cos: number; readonly sin: number; readonly dx: number; readonly dy: number };

export const STAY: Iso = { cos: 1, sin: 0, dx: 0, dy: 0 };

export const moveBy = ({ cos, sin, dx, dy }: Iso, [x, y]: Point): Point => [cos * x - sin * y + dx, sin * x + cos * y + dy];

/** First `one`, then `other`. */
export const after = (one: Iso, other: Iso): Iso => {
  const [dx, dy] = moveBy(other, [one.dx, one.dy]);
  return { cos: one.cos * other.cos - one.sin * other.sin, sin: one.sin * other.cos + one.cos * other.sin, dx, dy };
};

export const inverse = ({ cos, sin, dx, dy }: Iso): Iso => ({ cos, sin: -sin, dx: -(cos * dx + sin * dy), dy: -(-sin * dx + cos * dy) });

const rounded = ([x, y]: Point): Point => [Math.round(x) + 0, Math.round(y) + 0];

export const movedRing = (iso: Iso, ring: Ring): Ring => ring.map((point) => rounded(moveBy(iso, point)));

export const movedRegion = (iso: Iso, { outline, holes }: Region): Region => ({
  outline: movedRing(iso, outline),
  holes: holes.map((hole) => movedRing(iso, hole)),
});

/** The move that brings a figure's point `at` to `to` and its x direction to `along`. */
export const bringing = (at: Point, along: Point, to: Point, toAlong: Point): Iso => {
  const cos = along[0] * toAlong[0] + along[1] * toAlong[1];
  const sin = along[0] * toAlong[1] - along[1] * toAlong[0];
  const [x, y] = moveBy({ cos, sin, dx: 0, dy: 0 }, at);
  return { cos, sin, dx: to[0] - x, dy: to[1] - y };
};

/** Between two planes that look the same way: a point of the first as a point of the other. */
export const between = (one: Pose, other: Pose): Iso => {
  const from = mapVec(one.origin, (value, axis) => value - other.origin[axis]);
  return { cos: dot(one.u, other.u), sin: dot(one.u, other.v), dx: dot(from, other.u), dy: dot(from, other.v) };
};
