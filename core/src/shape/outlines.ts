// µm. Outlines that are not rectangles; curves are flattened so that no chord stands off its arc by more than 0.01 mm.
import type { Point, Ring } from './plane.ts';

export const CHORD_ERROR = 10;

/** How many chords a full circle takes: a multiple of four, so that its extremes are points of it. */
export const chordsOf = (radius: number): number => {
  const step = radius <= CHORD_ERROR ? Math.PI / 4 : 2 * Math.acos(1 - CHORD_ERROR / radius);
  return Math.max(12, 4 * Math.ceil((2 * Math.PI) / step / 4));
};

const rounded = (x: number, y: number): Point => [Math.round(x) + 0, Math.round(y) + 0];

const known = new Map<number, readonly Point[]>();

/** So many unit vectors, evenly all round. */
const directions = (count: number): readonly Point[] => {
  const made =
    known.get(count) ??
    Array.from({ length: count }, (_, index): Point => {
      const angle = (2 * Math.PI * index) / count;
      return [Math.cos(angle), Math.sin(angle)];
    });
  known.set(count, made);
  return made;
};

/** An ellipse, or with one radius a circle, counter-clockwise, its first point at the right. Rings that are to lie on one another all round are
 *  given as many chords as the largest of them needs. */
export const ellipseRing = (cx: number, cy: number, rx: number, ry: number = rx, chords: number = chordsOf(Math.max(rx, ry))): Ring => {
  const ways = directions(chords);
  return ways.map(([cos, sin]) => rounded(cx + rx * cos, cy + ry * sin));
};

/** How the upper edge of a board is shaped. */
export const TOP_EDGES = ['straight', 'arch', 'half-round', 'battlements'] as const;
export type TopEdge = (typeof TOP_EDGES)[number];

/** The upper edge from right to left of an arc through both shoulders and the middle's height. */
const arc = (width: number, shoulder: number, height: number): Ring => {
  const rise = height - shoulder;
  const radius = (width * width) / (8 * rise) + rise / 2;
  const half = Math.asin(Math.min(1, width / 2 / radius));
  const count = Math.max(4, 2 * Math.ceil((chordsOf(radius) * half) / Math.PI / 2));
  return Array.from({ length: count + 1 }, (_, index) => {
    const angle = half - (2 * half * index) / count;
    return rounded(width / 2 + radius * Math.sin(angle), height - radius + radius * Math.cos(angle));
  });
};

/** Merlons at both ends and as many between as keep them about as wide as they are high. */
const merlons = (width: number, shoulder: number, height: number): Ring => {
  const rise = height - shoulder;
  const count = 2 * Math.max(1, Math.floor(width / rise / 2 / 1.2)) + 1;
  const at = (index: number) => Math.round((width * (count - index)) / count);
  return Array.from({ length: count }, (_, index) => {
    const level = index % 2 === 0 ? height : shoulder;
    return [rounded(at(index), level), rounded(at(index + 1), level)];
  }).flat();
};

/** A board that stands on its straight lower edge at the origin, its upper edge shaped; `height` is the highest point. A half-round
 *  edge rises by half the width, or by what height there is; an arch and battlements rise by `rise`. The shoulders keep at least the
 *  height that is asked for. */
export const boardWithEdge = (width: number, height: number, edge: TopEdge, rise: number, leastShoulder = 1): Ring => {
  const lower: Ring = [
    [0, 0],
    [width, 0],
  ];
  if (edge === 'straight') return [...lower, [width, height], [0, height]];
  const wanted = edge === 'half-round' ? Math.round(width / 2) : rise;
  const most = edge === 'battlements' ? height : Math.round(width / 2);
  const shoulder = height - Math.max(1, Math.min(wanted, height - leastShoulder, most));
  const upper = edge === 'battlements' ? merlons(width, shoulder, height) : arc(width, shoulder, height);
  return [...lower, ...upper];
};
