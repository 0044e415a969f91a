// µm, doll size.
import type { Point, Region, Ring } from '../shape/index.ts';

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

/** A text that congruent outlines share. With grain only half turns and flips are allowed, so that it stays upright. */
export const outlineKey = (region: Region, grained: boolean): string => {
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
