// An independent solid-geometry kernel (Manifold, a general-purpose library that knows nothing of boards) for the truth tests.
import Module, { type ManifoldToplevel } from 'manifold-3d';
import type { Part } from '../assembly/index.ts';
import { normalOf, type Region, type Ring, signedArea, toSpace } from '../shape/index.ts';

/** The kernel, ready; call it once before the tests. */
export const openKernel = async (): Promise<ManifoldToplevel> => {
  const kernel = await Module();
  kernel.setup();
  return kernel;
};

type Solid = InstanceType<ManifoldToplevel['Manifold']>;

/** What tapers, as the triangles of its two broad faces and of its sides. */
const taperOf = (kernel: ManifoldToplevel, { region, upper, thickness, pose }: Part): Solid => {
  const flat = ({ outline, holes }: Region): Ring => [outline, ...holes].flat();
  const [low, high] = [flat(region), flat(upper as Region)];
  const corners = [...low.map((point) => toSpace(pose, point)), ...high.map((point) => toSpace(pose, point, thickness))];
  // The kernel's own triangles: corners in one line leave none of them out.
  const caps = kernel.triangulate(
    [region.outline, ...region.holes].map((ring) => ring.map(([x, y]): [number, number] => [x / 1000, y / 1000])),
  );
  let start = 0;
  const sides = [region.outline, ...region.holes].flatMap((ring, number) => {
    const from = start;
    start += ring.length;
    const matterOnTheLeft = signedArea(ring) > 0 === (number === 0);
    return ring.flatMap((_, index) => {
      const [a, b] = [from + index, from + ((index + 1) % ring.length)];
      const [one, other] = matterOnTheLeft ? [a, b] : [b, a];
      return [
        [one, other, other + low.length],
        [one, other + low.length, one + low.length],
      ];
    });
  });
  const triangles = [...caps.map(([a, b, c]) => [a, c, b]), ...caps.map((cap) => cap.map((corner) => corner + low.length)), ...sides];
  const mesh = new kernel.Mesh({
    numProp: 3,
    vertProperties: Float32Array.from(corners.flat().map((value) => value / 1000)),
    triVerts: Uint32Array.from(triangles.flat()),
  });
  return kernel.Manifold.ofMesh(mesh);
};

/** A part as a solid, in millimetres, to keep the kernel's single-precision sums small. */
export const solidOf = (kernel: ManifoldToplevel, part: Part): Solid => {
  if (part.upper) return taperOf(kernel, part);
  const { region, thickness, pose } = part;
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
