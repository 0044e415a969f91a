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

/** Two parts, by index, that touch: on which face of each, over which ring of the plane that they share. */
export type Contact = {
  readonly a: number;
  readonly b: number;
  readonly faceA: FaceName;
  readonly faceB: FaceName;
  readonly plane: Pose;
  readonly ring: Ring;
  /** In µm²; negative for the ring of a hole in what touches. */
  readonly area: number;
};

/** Where two parts touch, in space, to the micrometre. */
export const outlineOf = ({ plane, ring }: Contact): readonly Vec3[] =>
  ring.map((point): Vec3 => {
    const [x, y, z] = toSpace(plane, point);
    return [Math.round(x), Math.round(y), Math.round(z)];
  });

/** A face in its plane; `region` is null where the face is the whole of its box, and drawn only when it is asked for. */
type Face = {
  readonly part: number;
  readonly name: FaceName;
  readonly looks: 1 | -1;
  readonly region: (() => Region) | null;
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

/** Maps points of a pose's figure, raised by `height`, into a plane's own axes. */
const into = (basis: Pose, pose: Pose, height: number): ((point: Point) => Point) => {
  const from = add(add(pose.origin, scaled(normalOf(pose), height)), scaled(basis.origin, -1));
  const [ox, oy] = [dot(from, basis.u), dot(from, basis.v)];
  const [ux, uy] = [dot(pose.u, basis.u), dot(pose.u, basis.v)];
  const [vx, vy] = [dot(pose.v, basis.u), dot(pose.v, basis.v)];
  return (point) => [Math.round(ox + point[0] * ux + point[1] * vx), Math.round(oy + point[0] * uy + point[1] * vy)];
};

/** A slanted edge shorter than this, of an outline with many corners, is a facet of a curve: it meets other parts along a line, and nothing is glued to it. */
const FACET = 5_000;

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

/** The plane that a face lies in, and the side that it looks to. */
const planeFor = (found: Found, normal: Vec3, corner: Vec3): { readonly plane: Plane; readonly looks: 1 | -1 } => {
  const axis = squareAxis(normal);
  if (axis !== undefined) return { plane: squarePlane(found, axis, corner), looks: normal[axis] > 0 ? 1 : -1 };
  const { normal: direction, looks } = unsigned(rounded(normal));
  return { plane: slantedPlane(found, direction, corner), looks };
};

const addEdge = (found: Found, part: Part, index: number, from: Point, to: Point, facets: boolean): void => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const upright = from[0] === to[0] || from[1] === to[1];
  if (facets && length < FACET && !upright) return;
  const { pose, thickness } = part;
  // Counter-clockwise rings have their matter on the left, so the outward normal is to the right of the way.
  const normal = add(scaled(pose.u, (to[1] - from[1]) / length), scaled(pose.v, (from[0] - to[0]) / length));
  const { plane, looks } = planeFor(found, normal, toSpace(pose, from));
  const [low, high] = [into(plane.basis, pose, 0), into(plane.basis, pose, thickness)];
  const outline = [low(from), low(to), high(to), high(from)];
  const region = upright && isSquare(part) ? null : () => ({ outline, holes: [] });
  plane.faces.push({ part: index, name: 'edge', looks, region, box: bounds(outline) });
};

const addFaces = (found: Found, part: Part, index: number, { min, max }: Box): void => {
  const { pose, thickness, region } = part;
  const normal = normalOf(pose);
  const axis = squareAxis(normal);
  const first = region.outline[0] as Point;
  for (const [name, height, way] of [
    ['front', thickness, normal],
    ['back', 0, scaled(normal, -1)],
  ] as const) {
    const { plane, looks } = planeFor(found, way, toSpace(pose, first, height));
    const draw = (): Region => {
      const place = into(plane.basis, pose, height);
      return { outline: region.outline.map(place), holes: region.holes.map((hole) => hole.map(place)) };
    };
    // The box round a part that lies square is the box round its faces.
    const box = axis !== undefined && isSquare(part) ? FACE_RECT[axis](min, max) : bounds(draw().outline);
    plane.faces.push({ part: index, name, looks, region: draw, box });
  }
  for (const ring of [region.outline, ...region.holes]) {
    const facets = ring.length > 12;
    ring.forEach((from, corner) => {
      addEdge(found, part, index, from, ring[(corner + 1) % ring.length] as Point, facets);
    });
  }
};

const planesOf = (parts: readonly Part[], boxes: readonly Box[]): Iterable<Plane> => {
  const found: Found = { planes: new Map(), slanted: new Map() };
  for (const [index, part] of parts.entries()) {
    if (isSquare(part) && isPlainBox(part)) addBoxFaces(found, part, index, boxes[index] as Box);
    else addFaces(found, part, index, boxes[index] as Box);
  }
  return [...found.planes.values(), ...[...found.slanted.values()].flat()];
};

const regionOf = ({ region, box }: Face): Region => region?.() ?? { outline: rectRing(box.x0, box.y0, box.x1, box.y1), holes: [] };

const sharedBy = (a: Face, b: Face): readonly Ring[] => {
  if (a.region || b.region) return intersection(regionOf(a), regionOf(b), a.box, b.box);
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
      plane: basis,
      ring,
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
