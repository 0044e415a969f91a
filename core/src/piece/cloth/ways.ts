import type { Vec3 } from '../../shape/index.ts';

/** Ways in space: to the right, to the left, towards the viewer, away. */
export const X: Vec3 = [1, 0, 0];
export const LEFT: Vec3 = [-1, 0, 0];
export const FRONT: Vec3 = [0, 0, 1];
export const BACK: Vec3 = [0, 0, -1];
