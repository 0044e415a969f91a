// µm, doll size.
import { asRect, bounds, type Point, type Region, type Ring, ringArea } from '../shape/index.ts';

/** The turns and flips under which two outlines count as one: all eight when the board has no grain, four when it has. */
const TURNS: readonly (readonly [number, number, number, number])[] = [
  [1, 0, 0, 1],
  [-1, 0, 0, -1],
  [-1, 0, 0, 1],
  [1, 0, 0, -1],
  [0, 1, 1, 0],
  [0, -1, -1, 0],
  [0, -1, 1, 0],
  [0, 1, -1, 0],
];

/** The ring from its least point on, counter to nothing: whichever direction gives the lesser text. */
const normalRing = (ring: Ring): string => {
  const write = (points: Ring): string => {
    let start = 0;
    points.forEach(([x, y], index) => {
      const [leastX, leastY] = points[start] as Point;
      if (x < leastX || (x === leastX && y < leastY)) start = index;
    });
    return [...points.slice(start), ...points.slice(0, start)].map(([x, y]) => `${x},${y}`).join(' ');
  };
  const [one, other] = [write(ring), write([...ring].reverse())];
  return one < other ? one : other;
};

/** Rings of many corners are curves that were flattened. */
export const isCurve = (ring: Ring): boolean => ring.length > 24;

const HUNDREDTH = 10;

/** A flattened curve by what no turn or flip changes: how many corners it has, its area, how far it runs round, and how far its corners
 *  lie from their middle; to a hundredth of a millimetre. Its sides keep their order where grain forbids quarter turns. */
const curveKey = (ring: Ring, grained: boolean): string => {
  const { x0, y0, x1, y1 } = bounds(ring);
  const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const near = (value: number) => Math.round(value / HUNDREDTH);
  const spread = ring.reduce((sum, [x, y]) => sum + Math.hypot(x - cx, y - cy), 0) / ring.length;
  const round = ring.reduce((sum, [x, y], index) => {
    const [nx, ny] = ring[(index + 1) % ring.length] as Point;
    return sum + Math.hypot(nx - x, ny - y);
  }, 0);
  const sides = [near(x1 - x0), near(y1 - y0)];
  return [ring.length, near(Math.sqrt(ringArea(ring))), near(round), near(spread), ...(grained ? sides : sides.sort((a, b) => a - b))].join(
    '~',
  );
};

/** The two sides of a rectangle as text, in either order unless grain tells them apart. */
export const sizeKey = (wide: number, high: number, grained: boolean): string =>
  grained || wide < high ? `${wide} × ${high}` : `${high} × ${wide}`;

/** A quick text that congruent outlines share, and others may. */
export const roughKey = ({ outline, holes }: Region, grained: boolean): string => {
  // Without grain an outline may be turned by any angle, which changes the box round it.
  if (!grained || isCurve(outline) || holes.some(isCurve)) return `shaped ${outline.length} ${holes.length}`;
  const { x0, y0, x1, y1 } = bounds(outline);
  const area = [outline, ...holes].reduce((sum, ring) => sum + ringArea(ring), 0);
  return `${sizeKey(x1 - x0, y1 - y0, grained)} ${outline.length} ${holes.length} ${area}`;
};

/** A text that congruent outlines share. With grain only half turns and flips are allowed, so that it stays upright. */
export const outlineKey = (region: Region, grained: boolean): string => {
  const rings = [region.outline, ...region.holes];
  if (rings.some(isCurve)) {
    const [outline, ...holes] = rings.map((ring) => curveKey(ring, grained));
    return [outline, ...holes.sort()].join(';');
  }
  if (region.holes.length === 0 && asRect(region.outline)) {
    const { x0, y0, x1, y1 } = bounds(region.outline);
    return sizeKey(x1 - x0, y1 - y0, grained);
  }
  const keys = TURNS.slice(0, grained ? 4 : 8).map(([a, b, c, d]) => {
    const turn = (ring: Ring): Ring => ring.map(([x, y]): Point => [a * x + b * y, c * x + d * y]);
    const outline = turn(region.outline);
    const [left, low] = [Math.min(...outline.map(([x]) => x)), Math.min(...outline.map(([, y]) => y))];
    const home = (ring: Ring): Ring => ring.map(([x, y]): Point => [x - left, y - low]);
    return [normalRing(home(outline)), ...region.holes.map((hole) => normalRing(home(turn(hole)))).sort()].join(';');
  });
  return keys.reduce((least, key) => (key < least ? key : least));
};

/** Equal shares of a length that does not divide evenly differ by a micrometre; no knife and no eye tells them apart. */
const SAME_WITHIN = 3;

/** Maps each value to the least value of its cluster, so that outlines which differ by a few micrometres share a key. */
export const snapper = (values: readonly number[]): ((value: number) => number) => {
  const homes = new Map<number, number>();
  let home = Number.NEGATIVE_INFINITY;
  for (const value of [...new Set(values)].sort((a, b) => a - b)) {
    if (value - home > SAME_WITHIN) home = value;
    homes.set(value, home);
  }
  return (value) => homes.get(value) ?? value;
};
