// The standing figure, drawn from a stature: fractions of it, y up from the floor, x from the middle.
import type { Point, Ring } from '../shape/index.ts';

/** Heights and breadths of the body as fractions of stature: Drillis & Contini 1966, as drawn in Winter, Biomechanics and
 *  Motor Control of Human Movement; recalled from memory. */
export const BODY = {
  ankle: 0.039,
  knee: 0.285,
  hip: 0.53,
  shoulder: 0.818,
  chin: 0.87,
  eye: 0.936,
  shoulderBreadth: 0.259,
  hipBreadth: 0.191,
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
  foot: 0.152,
} as const;

const half = BODY.shoulderBreadth / 2;
const hips = BODY.hipBreadth / 2;
const fingertip = BODY.shoulder - BODY.upperArm - BODY.forearm - BODY.hand;

/** The right half of the outline, from the crown down round the arm and leg to the crotch. Between the measured joints the
 *  curve is drawn by eye. */
const HALF: readonly Point[] = [
  [0, 1],
  [0.036, 0.99],
  [0.056, 0.955],
  [0.053, 0.91],
  [0.034, 0.878],
  [0.024, BODY.chin],
  [0.025, 0.84],
  [0.06, 0.826],
  [half * 0.86, BODY.shoulder],
  [half * 1.06, 0.785],
  [half * 1.16, 0.7],
  [half * 1.24, BODY.shoulder - BODY.upperArm],
  [half * 1.36, 0.55],
  [half * 1.45, fingertip + BODY.hand],
  [half * 1.52, fingertip + 0.06],
  [half * 1.46, fingertip],
  [half * 1.3, fingertip + 0.02],
  [half * 1.22, fingertip + BODY.hand],
  [half * 1.06, 0.58],
  [half * 0.95, 0.66],
  [half * 0.84, 0.745],
  [half * 0.76, 0.7],
  [half * 0.66, 0.62],
  [hips * 0.98, 0.56],
  [hips * 1.06, BODY.hip - 0.04],
  [hips * 0.98, 0.4],
  [hips * 0.8, BODY.knee],
  [hips * 0.78, 0.2],
  [hips * 0.56, BODY.ankle + 0.02],
  [hips * 0.86, 0.012],
  [hips * 0.84, 0],
  [hips * 0.2, 0],
  [hips * 0.2, BODY.ankle],
  [hips * 0.18, 0.16],
  [hips * 0.2, BODY.knee],
  [hips * 0.1, 0.42],
  [0, 0.475],
];

/** One step of a uniform Catmull-Rom curve through b and c. */
const between = (a: Point, b: Point, c: Point, d: Point, t: number): Point => {
  const blend = (p: number, q: number, r: number, s: number) =>
    0.5 * (2 * q + (r - p) * t + (2 * p - 5 * q + 4 * r - s) * t * t + (3 * q - p - 3 * r + s) * t * t * t);
  return [blend(a[0], b[0], c[0], d[0]), blend(a[1], b[1], c[1], d[1])];
};

/** The standing figure's outline for a body of this height, feet on y = 0, x = 0 in the middle; whole units of `height`. */
export const figureOutline = (height: number, stepsBetween = 4): Ring => {
  const mirrored = HALF.slice(1, -1)
    .reverse()
    .map(([x, y]): Point => [-x, y]);
  const knots = [...HALF, ...mirrored];
  const at = (index: number) => knots[(index + knots.length) % knots.length] as Point;
  return knots.flatMap((_, index) =>
    Array.from({ length: stepsBetween }, (_unused, step): Point => {
      const [x, y] = between(at(index - 1), at(index), at(index + 1), at(index + 2), step / stepsBetween);
      return [Math.round(x * height), Math.round(Math.max(0, y) * height)];
    }),
  );
};
