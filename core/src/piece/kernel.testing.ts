// An independent solid-geometry kernel (Manifold, a general-purpose library that knows nothing of boards) for the truth tests.
import Module, { type ManifoldToplevel } from 'manifold-3d';
import type { Part } from '../assembly/index.ts';
import { normalOf, type Ring } from '../shape/index.ts';

/** The kernel, ready; call it once before the tests. */
export const openKernel = async (): Promise<ManifoldToplevel> => {
  const kernel = await Module();
  kernel.setup();
  return kernel;
};

type Solid = InstanceType<ManifoldToplevel['Manifold']>;

/** A part as a solid, in millimetres, to keep the kernel's single-precision sums small. */
export const solidOf = (kernel: ManifoldToplevel, { region, thickness, pose }: Part): Solid => {
  const ring = (points: Ring): [number, number][] => points.map(([x, y]) => [x / 1000, y / 1000]);
  const flat = new kernel.CrossSection([ring(region.outline), ...region.holes.map(ring)], 'EvenOdd');
  const [u, v, n, o] = [pose.u, pose.v, normalOf(pose), pose.origin];
  return flat.extrude(thickness / 1000).transform([...u, 0, ...v, 0, ...n, 0, o[0] / 1000, o[1] / 1000, o[2] / 1000, 1]);
};

/** A solid turned about an axis through a point (µm) by an angle in radians. */
export const solidTurned = (solid: Solid, at: readonly number[], along: readonly number[], angle: number): Solid => {
  const [x, y, z] = at.map((value) => value / 1000) as [number, number, number];
  const degrees = (angle * 180) / Math.PI;
  const turn = along.map((value) => value * degrees) as [number, number, number];
  return solid.translate([-x, -y, -z]).rotate(turn).translate([x, y, z]);
};
