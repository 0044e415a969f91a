// µm, doll size, y up. Rings are closed without repeating their first point; outer rings run counter-clockwise.

export type Point = readonly [x: number, y: number];
export type Ring = readonly Point[];

/** A plane figure: an outer ring and the holes in it. */
export type Region = { readonly outline: Ring; readonly holes: readonly Ring[] };

/** An upright rectangle, by its lower left and upper right corner. */
export type Rect = { readonly x0: number; readonly y0: number; readonly x1: number; readonly y1: number };

export const rectRing = (x0: number, y0: number, x1: number, y1: number): Ring => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

export const bounds = (ring: Ring): Rect => {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let index = 0; index < ring.length; index += 1) {
    const point = ring[index] as Point;
    const [x, y] = [point[0], point[1]];
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
  }
  return { x0, y0, x1, y1 };
};

/** Twice the signed area by the shoelace rule: positive when the ring runs counter-clockwise. */
export const doubleArea = (ring: Ring): number => {
  let sum = 0;
  let last = ring[ring.length - 1];
  for (let index = 0; index < ring.length; index += 1) {
    const point = ring[index] as Point;
    if (last) sum += last[0] * point[1] - point[0] * last[1];
    last = point;
  }
  return sum;
};

/** The area inside a ring, in µm²: negative when the ring runs clockwise, as holes do. */
export const signedArea = (ring: Ring): number => doubleArea(ring) / 2;

/** The area inside a ring, in µm², whichever way it runs. */
export const ringArea = (ring: Ring): number => Math.abs(doubleArea(ring)) / 2;

/** The area of a region less its holes, in µm². */
export const regionArea = (region: Region): number => region.holes.reduce((area, hole) => area - ringArea(hole), ringArea(region.outline));

/** The rectangle that a ring is, when its four sides stand upright; otherwise undefined. */
export const asRect = (ring: Ring): Rect | undefined => {
  if (ring.length !== 4) return undefined;
  const box = bounds(ring);
  const onCorner = ([x, y]: Point) => (x === box.x0 || x === box.x1) && (y === box.y0 || y === box.y1);
  return ring.every(onCorner) && ringArea(ring) === (box.x1 - box.x0) * (box.y1 - box.y0) ? box : undefined;
};

export const overlapOfRects = (a: Rect, b: Rect): Ring | undefined => {
  const [x0, y0, x1, y1] = [Math.max(a.x0, b.x0), Math.max(a.y0, b.y0), Math.min(a.x1, b.x1), Math.min(a.y1, b.y1)];
  return x0 < x1 && y0 < y1 ? rectRing(x0, y0, x1, y1) : undefined;
};

export const sameRing = (a: Ring, b: Ring): boolean =>
  a.length === b.length && a.every(([x, y], index) => x === b[index]?.[0] && y === b[index]?.[1]);

/** True when two regions have the very same corners in the same order. */
export const sameRegion = (a: Region, b: Region): boolean =>
  a.holes.length === b.holes.length &&
  sameRing(a.outline, b.outline) &&
  a.holes.every((hole, index) => sameRing(hole, b.holes[index] as Ring));

/** True when a side from one point to another runs through the inside of a rectangle: by separating axes. */
export const enters = ([xa, ya]: Point, [xb, yb]: Point, { x0, y0, x1, y1 }: Rect): boolean => {
  if (Math.max(xa, xb) <= x0 || Math.min(xa, xb) >= x1 || Math.max(ya, yb) <= y0 || Math.min(ya, yb) >= y1) return false;
  if (xa === xb || ya === yb) return true;
  const side = (x: number, y: number): number => Math.sign((xb - xa) * (y - ya) - (yb - ya) * (x - xa));
  const sides = [side(x0, y0), side(x1, y0), side(x1, y1), side(x0, y1)];
  return sides.includes(1) && sides.includes(-1);
};

/** Whether a point lies in a ring; on its sides either may be said. */
export const isInRing = (ring: Ring, x: number, y: number): boolean => {
  let inside = false;
  let last = ring[ring.length - 1] as Point;
  for (const point of ring) {
    if (point[1] > y !== last[1] > y && x < ((last[0] - point[0]) * (y - point[1])) / (last[1] - point[1]) + point[0]) inside = !inside;
    last = point;
  }
  return inside;
};

/** Whether a rectangle lies wholly in a region or wholly out of it; undefined when a side of the region runs through it. */
export const liesIn = (box: Rect, { outline, holes }: Region): boolean | undefined => {
  for (const ring of holes.length > 0 ? [outline, ...holes] : [outline]) {
    let last = ring[ring.length - 1] as Point;
    for (const point of ring) {
      if (enters(last, point, box)) return undefined;
      last = point;
    }
  }
  const [x, y] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2];
  return isInRing(outline, x, y) && !holes.some((hole) => isInRing(hole, x, y));
};

/** The ring as seen from behind: x mirrored, still counter-clockwise. */
export const mirroredRing = (ring: Ring, width: number): Ring => ring.map(([x, y]): Point => [width - x, y]).reverse();

/** A ring moved by (dx, dy). */
export const movedRing = (ring: Ring, dx: number, dy: number): Ring => ring.map(([x, y]): Point => [x + dx, y + dy]);
