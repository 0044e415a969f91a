// Poses place a plane figure in space: µm, doll size, right-handed, x right, y up, z towards the viewer.
import type { Point } from './plane.ts';

export type Vec3 = readonly [x: number, y: number, z: number];

/** An axis of space: x, y, z. */
export type AxisIndex = 0 | 1 | 2;
export const AXES: readonly AxisIndex[] = [0, 1, 2];

/** A vector by what it is along each axis. */
export const vec3 = (along: (axis: AxisIndex) => number): Vec3 => [along(0), along(1), along(2)];

/** A tuple of four, each made anew. */
export const mapFour = <T, U>([a, b, c, d]: readonly [T, T, T, T], to: (value: T) => U): readonly [U, U, U, U] => [
  to(a),
  to(b),
  to(c),
  to(d),
];

/** A vector with each of its three made anew. */
export const mapVec = ([x, y, z]: Vec3, to: (value: number, axis: AxisIndex) => number): Vec3 => [to(x, 0), to(y, 1), to(z, 2)];

/** Where a plane figure lies: a point (x, y) of it stands at origin + x·u + y·v; u and v are unit vectors. */
export type Pose = { readonly origin: Vec3; readonly u: Vec3; readonly v: Vec3 };

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

export const scaled = (a: Vec3, factor: number): Vec3 => [a[0] * factor, a[1] * factor, a[2] * factor];

/** From b to a. */
export const minus = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];

/** A vector's direction, one long. */
export const unit = (a: Vec3): Vec3 => scaled(a, 1 / Math.hypot(...a));

export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

export const cross = (a: Vec3, b: Vec3): Vec3 => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];

/** The direction a sheet's shown face looks to: u × v. */
export const normalOf = (pose: Pose): Vec3 => cross(pose.u, pose.v);

/** A point of the figure, raised by `height` along the normal, in space. */
export const toSpace = ({ origin, u, v }: Pose, [x, y]: Point, height = 0): Vec3 => {
  const [ux, uy, uz] = u;
  const [vx, vy, vz] = v;
  return [
    origin[0] + x * ux + y * vx + height * (uy * vz - uz * vy),
    origin[1] + x * uy + y * vy + height * (uz * vx - ux * vz),
    origin[2] + x * uz + y * vz + height * (ux * vy - uy * vx),
  ];
};

/** Where a point of space falls on the figure's plane, rounded to the micrometre. */
export const toPlane = (pose: Pose, point: Vec3): Point => {
  const from = minus(point, pose.origin);
  return [Math.round(dot(from, pose.u)), Math.round(dot(from, pose.v))];
};

/** A turn about the upright axis, by its cosine and sine: to the left, as seen from above. */
export const turnUpright =
  (cos: number, sin: number) =>
  ([x, y, z]: Vec3): Vec3 => [x * cos + z * sin + 0, y, z * cos - x * sin + 0];

/** A pose turned about a point, which then comes to another. */
export const movedPose = ({ origin, u, v }: Pose, turn: (way: Vec3) => Vec3, from: Vec3, to: Vec3): Pose => ({
  origin: add(to, turn(minus(origin, from))),
  u: turn(u),
  v: turn(v),
});
