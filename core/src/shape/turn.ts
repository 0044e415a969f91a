// Turns in space.
import { dot, type Vec3 } from './pose.ts';

/** A turn about an axis through `at`, as the rows of its matrix. */
export type Turn = { readonly at: Vec3; readonly rows: readonly [Vec3, Vec3, Vec3] };

/** The turn by an angle (right-handed, radians) about an axis through a point along a unit vector: Rodrigues' rotation. */
export const turnAbout = (at: Vec3, [kx, ky, kz]: Vec3, angle: number): Turn => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const rest = 1 - cos;
  return {
    at,
    rows: [
      [cos + kx * kx * rest, kx * ky * rest - kz * sin, kx * kz * rest + ky * sin],
      [ky * kx * rest + kz * sin, cos + ky * ky * rest, ky * kz * rest - kx * sin],
      [kz * kx * rest - ky * sin, kz * ky * rest + kx * sin, cos + kz * kz * rest],
    ],
  };
};

/** A direction, turned. */
export const directionTurned = ({ rows: [r0, r1, r2] }: Turn, vector: Vec3): Vec3 => [dot(r0, vector), dot(r1, vector), dot(r2, vector)];
