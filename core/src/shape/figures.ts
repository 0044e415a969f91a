// µm. Closed outlines by name, each filling a box of the size that is asked for; curves are flattened to within 0.01 mm.
import type { OutlineName } from './figureNames.ts';
import { boardWithEdge, CHORD_ERROR, ellipseRing } from './outlines.ts';
import { bounds, type Point, type Ring, rectRing } from './plane.ts';
import { merged } from './regions.ts';

/** How an outline is drawn where there is a choice: so many corners, points or spikes; corners rounded by so much. */
export type FigureSize = { readonly width: number; readonly height: number; readonly corners: number; readonly round: number };

/** Points of a cubic curve after its first, near enough that no chord is off by more than is allowed (the second differences bound it; Wang's
 *  formula, recalled). */
export const cubic = (a: Point, b: Point, c: Point, d: Point, within: number = CHORD_ERROR): Ring => {
  const bend = (p: Point, q: Point, r: Point): number => Math.hypot(p[0] - 2 * q[0] + r[0], p[1] - 2 * q[1] + r[1]);
  const count = Math.max(1, Math.ceil(Math.sqrt((6 * Math.max(bend(a, b, c), bend(b, c, d))) / (8 * within))));
  return Array.from({ length: count }, (_, index): Point => {
    const t = (index + 1) / count;
    const s = 1 - t;
    const at = (axis: 0 | 1): number => s * s * s * a[axis] + 3 * s * s * t * b[axis] + 3 * s * t * t * c[axis] + t * t * t * d[axis];
    return [at(0), at(1)];
  });
};

/** A ring stretched to fill a box from the origin, rounded to the micrometre. */
export const filling = (ring: Ring, width: number, height: number): Ring => {
  const { x0, y0, x1, y1 } = bounds(ring);
  const points = ring.map(
    ([x, y]): Point => [Math.round(((x - x0) * width) / (x1 - x0)) + 0, Math.round(((y - y0) * height) / (y1 - y0)) + 0],
  );
  return points.filter(([x, y], index) => {
    const [px, py] = points[(index + points.length - 1) % points.length] as Point;
    return x !== px || y !== py;
  });
};

const onCircle = (count: number, radiusOf: (index: number) => number): Ring =>
  Array.from({ length: count }, (_, index): Point => {
    const angle = Math.PI / 2 + (2 * Math.PI * index) / count;
    return [radiusOf(index) * Math.cos(angle), radiusOf(index) * Math.sin(angle)];
  });

/** A rectangle whose corners are quarter circles. */
const roundedRing = (width: number, height: number, round: number): Ring => {
  const r = Math.max(0, Math.min(round, Math.floor(width / 2), Math.floor(height / 2)));
  if (r === 0) return rectRing(0, 0, width, height);
  const corners = [
    [width - r, height - r],
    [r, height - r],
    [r, r],
    [width - r, r],
  ] as const;
  return corners.flatMap(([cx, cy], corner) => {
    const circle = ellipseRing(cx, cy, r);
    const quarter = circle.length / 4;
    return Array.from({ length: quarter + 1 }, (_, step) => circle[(corner * quarter + step) % circle.length] as Point);
  });
};

/** Two lobes above a point. The numbers are our own drawing. */
const heartRing = (width: number, height: number): Ring => {
  const at = (x: number, y: number): Point => [x * width, y * height];
  const right = [
    ...cubic(at(0.5, 0), at(0.62, 0.16), at(1, 0.38), at(1, 0.7)),
    ...cubic(at(1, 0.7), at(1, 0.9), at(0.87, 1), at(0.75, 1)),
    ...cubic(at(0.75, 1), at(0.64, 1), at(0.54, 0.93), at(0.5, 0.8)),
  ];
  const left = right.slice(0, -1).map(([x, y]): Point => [width - x, y]);
  return [at(0.5, 0), ...right, ...left.reverse()];
};

/** Five lobes on a flat foot. The numbers are our own drawing. */
const cloudRing = (width: number, height: number): Ring => {
  const lobes = [
    [0.18, 0.3, 0.18, 0.3],
    [0.35, 0.62, 0.2, 0.34],
    [0.6, 0.66, 0.22, 0.34],
    [0.82, 0.36, 0.18, 0.32],
    [0.5, 0.25, 0.36, 0.25],
  ] as const;
  const rings = lobes.map(([x, y, rx, ry]) =>
    ellipseRing(Math.round(x * width), Math.round(y * height), Math.round(rx * width), Math.round(ry * height)),
  );
  const [whole] = merged(rings.map((outline) => ({ outline, holes: [] })));
  return whole?.outline ?? rectRing(0, 0, width, height);
};

/** A band with so many spikes. */
const crownRing = (width: number, height: number, spikes: number): Ring => {
  const low = height * 0.55;
  const upper = Array.from(
    { length: 2 * spikes - 1 },
    (_, index): Point => [width - (width * index) / (2 * spikes - 2), index % 2 === 0 ? height : low],
  );
  return [[0, 0], [width, 0], ...upper];
};

/** An outline by its name, lower left corner of its box at the origin, counter-clockwise. */
export const figureRing = (figure: OutlineName, { width, height, corners, round }: FigureSize): Ring => {
  const filled = (ring: Ring): Ring => filling(ring, width, height);
  switch (figure) {
    case 'rectangle':
      return rectRing(0, 0, width, height);
    case 'rounded':
      return roundedRing(width, height, round);
    case 'circle':
      return filled(ellipseRing(width / 2, height / 2, width / 2, height / 2));
    case 'polygon':
      return filled(onCircle(corners, () => 1));
    case 'star':
      return filled(onCircle(2 * corners, (index) => (index % 2 === 0 ? 1 : 0.45)));
    case 'heart':
      return filled(heartRing(width, height));
    case 'cloud':
      return filled(cloudRing(width, height));
    case 'crown':
      return filled(crownRing(width, height, Math.max(2, corners)));
    case 'arch':
      return boardWithEdge(width, height, 'half-round', 0, 1);
  }
};
