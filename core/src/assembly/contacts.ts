// µm, doll size. Faces that lie in one plane, look at each other and overlap, touch.
import {
  add,
  bounds,
  cross,
  dot,
  intersection,
  normalOf,
  type Point,
  type Pose,
  type Rect,
  type Region,
  type Ring,
  rectRing,
  scaled,
  signedArea,
  toSpace,
  type Vec3,
} from '../shape/index.ts';
import { isPlainBox } from './interference.ts';
import { type Box, boxOf, isSquare, type Part } from './part.ts';

/** Which face of a part: the one its template shows, the one behind, or one of its cut edges. */
export type FaceName = 'front' | 'back' | 'edge';

/** Two parts, by index, that touch: on which face of each, over which outline in space. */
export type Contact = {
  readonly a: number;
  readonly b: number;
  readonly faceA: FaceName;
  readonly faceB: FaceName;
  readonly outline: readonly Vec3[];
  /** In µm²; negative for the ring of a hole in what touches. */
  readonly area: number;
};

/** A face in its plane; `region` is null where the face is the whole of its box. */
type Face = {
  readonly part: number;
  readonly name: FaceName;
  readonly looks: 1 | -1;
  readonly region: Region | null;
  readonly box: Rect;
};
type Plane = { readonly basis: Pose; readonly faces: Face[] };

/** Unit normals and offsets are rounded once, so that faces born from different sums still meet in one bucket. */
const rounded = (vector: Vec3): Vec3 => vector.map((value) => Math.round(value * 1e9) / 1e9 + 0) as unknown as Vec3;

/** The direction of a plane without its sign: the first number that is not nought is positive. */
const unsigned = (normal: Vec3): { readonly normal: Vec3; readonly looks: 1 | -1 } => {
  const first = normal.find((value) => value !== 0) ?? 1;
  return first > 0 ? { normal, looks: 1 } : { normal: rounded(scaled(normal, -1)), looks: -1 };
};

const basisOf = (normal: Vec3, offset: number): Pose => {
  const away: Vec3 = Math.abs(normal[1]) === 1 ? [0, 0, 1] : [0, 1, 0];
  const across = cross(away, normal);
  const u = scaled(across, 1 / Math.hypot(...across));
  return { origin: scaled(normal, offset), u, v: cross(normal, u) };
};

const flatten = ({ origin, u, v }: Pose, points: readonly Vec3[]): Ring =>
  points.map(([px, py, pz]): Point => {
    const [x, y, z] = [px - origin[0], py - origin[1], pz - origin[2]];
    return [Math.round(x * u[0] + y * u[1] + z * u[2]), Math.round(x * v[0] + y * v[1] + z * v[2])];
  });

type RawFace = { readonly name: FaceName; readonly normal: Vec3; readonly rings: readonly (readonly Vec3[])[] };

/** A slanted edge shorter than this, of an outline with many corners, is a facet of a curve: it meets other parts along a line, and nothing is glued to it. */
const FACET = 5_000;

const edgeFaces = (part: Part, ring: Ring): readonly RawFace[] =>
  ring.flatMap((from, index): readonly RawFace[] => {
    const to = ring[(index + 1) % ring.length] as Point;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    if (ring.length > 12 && length < FACET && from[0] !== to[0] && from[1] !== to[1]) return [];
    // Counter-clockwise rings have their matter on the left, so the outward normal is to the right of the way.
    const [outX, outY] = [(to[1] - from[1]) / length, (from[0] - to[0]) / length];
    const normal = add(scaled(part.pose.u, outX), scaled(part.pose.v, outY));
    const { thickness, pose } = part;
    const outline = [toSpace(pose, from), toSpace(pose, to), toSpace(pose, to, thickness), toSpace(pose, from, thickness)];
    return [{ name: 'edge', normal, rings: [outline] }];
  });

const facesOf = (part: Part): readonly RawFace[] => {
  const { pose, thickness, region } = part;
  const normal = normalOf(pose);
  const at = (height: number) => [region.outline, ...region.holes].map((ring) => ring.map((point) => toSpace(pose, point, height)));
  return [
    { name: 'front', normal, rings: at(thickness) },
    { name: 'back', normal: scaled(normal, -1), rings: at(0) },
    ...edgeFaces(part, region.outline),
    ...region.holes.flatMap((hole) => edgeFaces(part, hole)),
  ];
};

/** Slanted faces are born from rounded outlines: they lie in one plane when their directions agree to a ten-thousandth and their
 *  corners to a hundredth of a millimetre. */
const SAME_DIRECTION = 1e-4;
const SAME_PLANE = 12;

type Found = { readonly planes: Map<number, Plane>; readonly slanted: Map<string, Plane[]> };

const coarse = (normal: Vec3): string => normal.map((value) => Math.round(value * 20)).join(' ');

const slantedPlane = (found: Found, normal: Vec3, corner: Vec3): Plane => {
  const near = [-1, 0, 1].flatMap((dx) =>
    [-1, 0, 1].flatMap((dy) =>
      [-1, 0, 1].flatMap((dz) => {
        const [x, y, z] = normal.map((value) => Math.round(value * 20)) as [number, number, number];
        return found.slanted.get(`${x + dx} ${y + dy} ${z + dz}`) ?? [];
      }),
    ),
  );
  const known = near.find(({ basis }) => {
    const other = normalOf(basis);
    const apart = Math.hypot(other[0] - normal[0], other[1] - normal[1], other[2] - normal[2]);
    return apart < SAME_DIRECTION && Math.abs(dot(other, add(corner, scaled(basis.origin, -1)))) < SAME_PLANE;
  });
  if (known) return known;
  const plane: Plane = { basis: basisOf(normal, dot(normal, corner)), faces: [] };
  const key = coarse(normal);
  found.slanted.set(key, [...(found.slanted.get(key) ?? []), plane]);
  return plane;
};

/** Twice as large as any offset that the schema allows, so that axis and offset make one number. */
const STRIDE = 1e9;

const squarePlane = (found: Found, axis: 0 | 1 | 2, corner: Vec3): Plane => {
  const offset = Math.round(corner[axis]);
  const key = axis * STRIDE + offset;
  const known = found.planes.get(key);
  if (known) return known;
  const normal = [0, 1, 2].map((each) => (each === axis ? 1 : 0)) as unknown as Vec3;
  const plane: Plane = { basis: basisOf(normal, offset), faces: [] };
  found.planes.set(key, plane);
  return plane;
};

/** The axis that a face looks along, when it looks along one. */
const squareAxis = (normal: Vec3): 0 | 1 | 2 | undefined => {
  const axis = ([0, 1, 2] as const).find((each) => Math.abs(normal[each]) > 1 - 1e-9);
  return axis;
};

/** Where a box's face across an axis lies in that axis's plane, as `basisOf` lays it out. */
const FACE_RECT: Readonly<Record<0 | 1 | 2, (min: Vec3, max: Vec3) => Rect>> = {
  0: (min, max) => ({ x0: -max[2], x1: -min[2], y0: min[1], y1: max[1] }),
  1: (min, max) => ({ x0: -max[0], x1: -min[0], y0: min[2], y1: max[2] }),
  2: (min, max) => ({ x0: min[0], x1: max[0], y0: min[1], y1: max[1] }),
};

/** The six faces of a plain box need no outlines to be drawn. */
const addBoxFaces = (found: Found, part: Part, index: number, { min, max }: Box): void => {
  const normal = normalOf(part.pose);
  for (const axis of [0, 1, 2] as const) {
    const box = FACE_RECT[axis](min, max);
    const way = normal[axis];
    for (const looks of [1, -1] as const) {
      const name: FaceName = Math.abs(way) < 0.5 ? 'edge' : way * looks > 0 ? 'front' : 'back';
      squarePlane(found, axis, looks > 0 ? max : min).faces.push({ part: index, name, looks, region: null, box });
    }
  }
};

const addFaces = (found: Found, part: Part, index: number): void => {
  for (const face of facesOf(part)) {
    const corner = face.rings[0]?.[0] ?? [0, 0, 0];
    const axis = squareAxis(face.normal);
    const slant = axis === undefined ? unsigned(rounded(face.normal)) : undefined;
    const looks = slant ? slant.looks : face.normal[axis as 0] > 0 ? 1 : -1;
    const plane = slant ? slantedPlane(found, slant.normal, corner) : squarePlane(found, axis as 0, corner);
    const [outline = [], ...holes] = face.rings.map((ring) => flatten(plane.basis, ring));
    plane.faces.push({ part: index, name: face.name, looks, region: { outline, holes }, box: bounds(outline) });
  }
};

const planesOf = (parts: readonly Part[], boxes: readonly Box[]): Iterable<Plane> => {
  const found: Found = { planes: new Map(), slanted: new Map() };
  for (const [index, part] of parts.entries()) {
    if (isSquare(part) && isPlainBox(part)) addBoxFaces(found, part, index, boxes[index] as Box);
    else addFaces(found, part, index);
  }
  return [...found.planes.values(), ...[...found.slanted.values()].flat()];
};

const regionOf = ({ region, box }: Face): Region => region ?? { outline: rectRing(box.x0, box.y0, box.x1, box.y1), holes: [] };

const sharedBy = (a: Face, b: Face): readonly Ring[] => {
  if (a.region || b.region) return intersection(regionOf(a), regionOf(b));
  const [x0, y0, x1, y1] = [
    Math.max(a.box.x0, b.box.x0),
    Math.max(a.box.y0, b.box.y0),
    Math.min(a.box.x1, b.box.x1),
    Math.min(a.box.y1, b.box.y1),
  ];
  return [rectRing(x0, y0, x1, y1)];
};

const touch = (a: Face, b: Face): boolean =>
  a.looks !== b.looks && a.part !== b.part && a.box.x0 < b.box.x1 && b.box.x0 < a.box.x1 && a.box.y0 < b.box.y1 && b.box.y0 < a.box.y1;

const contactsOf = (one: Face, other: Face, basis: Pose): readonly Contact[] => {
  const [first, second] = one.part < other.part ? [one, other] : [other, one];
  return sharedBy(one, other).map(
    (ring): Contact => ({
      a: first.part,
      b: second.part,
      faceA: first.name,
      faceB: second.name,
      outline: ring.map((point): Vec3 => {
        const [x, y, z] = toSpace(basis, point);
        return [Math.round(x), Math.round(y), Math.round(z)];
      }),
      area: signedArea(ring),
    }),
  );
};

/** Sweeps over a plane from the left, so that only faces side by side are compared. */
const contactsIn = ({ basis, faces }: Plane): readonly Contact[] => {
  if (faces.length < 2) return [];
  const sorted = [...faces].sort((a, b) => a.box.x0 - b.box.x0);
  const found: Contact[] = [];
  let active: Face[] = [];
  for (const face of sorted) {
    active = active.filter((other) => other.box.x1 > face.box.x0);
    for (const other of active) if (touch(face, other)) found.push(...contactsOf(face, other, basis));
    active.push(face);
  }
  return found;
};

/** Where parts touch.
 *  Shape: n parts → contacts with area, by index, a < b. Near-linear: faces are bucketed by plane, and only faces of one
 *  plane that look at each other are compared. */
export const findContacts = (parts: readonly Part[], boxes: readonly Box[] = parts.map(boxOf)): readonly Contact[] =>
  [...planesOf(parts, boxes)].flatMap(contactsIn).sort((p, q) => p.a - q.a || p.b - q.b);
