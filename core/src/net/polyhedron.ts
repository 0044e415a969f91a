// µm, doll size. Solids with flat faces, and some that are open, as paper is folded to them: corners, and faces that run round counter-clockwise as
// they are seen from outside.
import { AXES, cross, dot, minus, type Pose, scaled, type Vec3 } from '../shape/index.ts';

export type PolyFace = { readonly name: string; readonly ring: readonly number[] };
export type Polyhedron = { readonly corners: readonly Vec3[]; readonly faces: readonly PolyFace[] };

const SIDES = ['front', 'right', 'back', 'left'] as const;

/** The corners of a regular polygon in the plane of x and z, from the front one to the right, and its sides' names. */
const polygon = (sides: number, radius: number, y: number): readonly Vec3[] =>
  Array.from({ length: sides }, (_, index): Vec3 => {
    const angle = (2 * Math.PI * (index - 0.5)) / sides;
    return [radius * Math.sin(angle), y, radius * Math.cos(angle)];
  });

const sideNames = (count: number): readonly string[] =>
  count === 4 ? SIDES : Array.from({ length: count }, (_, index) => `side ${index + 1}`);

/** What stands between a polygon below and one above it, each corner under its like. */
const between = (low: readonly Vec3[], high: readonly Vec3[], names: readonly string[], lid: boolean): Polyhedron => {
  const count = low.length;
  const next = (index: number): number => (index + 1) % count;
  return {
    corners: [...low, ...high],
    faces: [
      { name: 'bottom', ring: Array.from({ length: count }, (_, index) => count - 1 - index) },
      ...low.map((_, index): PolyFace => ({ name: names[index] ?? '', ring: [index, next(index), count + next(index), count + index] })),
      ...(lid ? [{ name: 'top', ring: Array.from({ length: count }, (_, index) => count + index) }] : []),
    ],
  };
};

const rectangle = (width: number, depth: number, y: number): readonly Vec3[] => [
  [0, y, depth],
  [width, y, depth],
  [width, y, 0],
  [0, y, 0],
];

/** A box with six faces; without its top it is a tray. */
export const boxSolid = (width: number, depth: number, height: number, open = false): Polyhedron =>
  between(rectangle(width, depth, 0), rectangle(width, depth, height), SIDES, !open);

/** A prism on a regular polygon with sides so long. */
export const prismOf = (sides: number, side: number, height: number, open = false): Polyhedron => {
  const radius = side / (2 * Math.sin(Math.PI / sides));
  return between(polygon(sides, radius, 0), polygon(sides, radius, height), sideNames(sides), !open);
};

/** What tapers from one regular polygon to a smaller one above it: a cup, a shade, a pot. */
export const taperOf = (sides: number, low: number, high: number, height: number, open = false): Polyhedron => {
  const radius = (side: number): number => side / (2 * Math.sin(Math.PI / sides));
  return between(polygon(sides, radius(low), 0), polygon(sides, radius(high), height), sideNames(sides), !open);
};

/** A pyramid on a regular polygon with sides so long. */
export const pyramidOf = (sides: number, side: number, height: number): Polyhedron => {
  const low = polygon(sides, side / (2 * Math.sin(Math.PI / sides)), 0);
  return {
    corners: [...low, [0, height, 0]],
    faces: [
      { name: 'bottom', ring: low.map((_, index) => sides - 1 - index) },
      ...low.map((_, index): PolyFace => ({ name: sideNames(sides)[index] ?? '', ring: [index, (index + 1) % sides, sides] })),
    ],
  };
};

/** A box in the shape of a house: its ridge runs from the front to the back. */
export const houseOf = (width: number, depth: number, wall: number, ridge: number): Polyhedron => {
  const gable = (z: number): readonly Vec3[] => [
    [0, 0, z],
    [width, 0, z],
    [width, wall, z],
    [width / 2, ridge, z],
    [0, wall, z],
  ];
  return {
    corners: [...gable(depth), ...gable(0)],
    faces: [
      { name: 'bottom', ring: [0, 5, 6, 1] },
      { name: 'front', ring: [0, 1, 2, 3, 4] },
      { name: 'right', ring: [1, 6, 7, 2] },
      { name: 'right roof', ring: [2, 7, 8, 3] },
      { name: 'left roof', ring: [3, 8, 9, 4] },
      { name: 'left', ring: [4, 9, 5, 0] },
      { name: 'back', ring: [6, 5, 9, 8, 7] },
    ],
  };
};

/** Which way a face looks: unit normal, outwards. */
export const normalOfFace = ({ corners }: Polyhedron, { ring }: PolyFace): Vec3 => {
  const [a, b, c] = AXES.map((index) => corners[ring[index] as number] as Vec3) as [Vec3, Vec3, Vec3];
  const n = cross(minus(b, a), minus(c, b));
  const length = Math.hypot(...n);
  return [n[0] / length, n[1] / length, n[2] / length];
};

/** The volume that faces enclose; of an open one, what a lid of one corner would close. Source: divergence theorem, as in any handbook of geometry. */
export const volumeOf = (faces: readonly (readonly Vec3[])[]): number =>
  faces.reduce((sum, ring) => {
    const [a] = ring as readonly [Vec3];
    return ring.slice(1, -1).reduce((all, b, index) => all + dot(a, cross(b, ring[index + 2] as Vec3)) / 6, sum);
  }, 0);

/** Where the first face of a net of a solid stands: it is laid with its first side along x. */
export const poseOfFace = (solid: Polyhedron, face: PolyFace): Pose => {
  const [i, j] = face.ring as readonly [number, number];
  const [origin, next] = [solid.corners[i] as Vec3, solid.corners[j] as Vec3];
  const way = minus(next, origin);
  const u = scaled(way, 1 / Math.hypot(...way));
  return { origin, u, v: cross(normalOfFace(solid, face), u) };
};
