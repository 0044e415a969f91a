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
  ringArea,
  scaled,
  toSpace,
  type Vec3,
} from '../shape/index.ts';
import type { Part } from './part.ts';

/** Which face of a part: the one its template shows, the one behind, or one of its cut edges. */
export type FaceName = 'front' | 'back' | 'edge';

/** Two parts, by index, that touch: on which face of each, over which outline in space. */
export type Contact = {
  readonly a: number;
  readonly b: number;
  readonly faceA: FaceName;
  readonly faceB: FaceName;
  readonly outline: readonly Vec3[];
  /** In µm². */
  readonly area: number;
};

type Face = { readonly part: number; readonly name: FaceName; readonly looks: 1 | -1; readonly region: Region; readonly box: Rect };
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

const flatten = (basis: Pose, points: readonly Vec3[]): Ring =>
  points.map((point): Point => {
    const from = add(point, scaled(basis.origin, -1));
    return [Math.round(dot(from, basis.u)), Math.round(dot(from, basis.v))];
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

type Found = { readonly planes: Map<string, Plane>; readonly slanted: Map<string, Plane[]> };

const AXES = new Set(['1 0 0', '0 1 0', '0 0 1']);

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

const squarePlane = (found: Found, direction: string, normal: Vec3, corner: Vec3): Plane => {
  const offset = Math.round(dot(normal, corner));
  const key = `${direction} ${offset}`;
  const plane = found.planes.get(key) ?? { basis: basisOf(normal, offset), faces: [] };
  found.planes.set(key, plane);
  return plane;
};

const planesOf = (parts: readonly Part[]): Iterable<Plane> => {
  const found: Found = { planes: new Map(), slanted: new Map() };
  for (const [index, part] of parts.entries()) {
    for (const face of facesOf(part)) {
      const { normal, looks } = unsigned(rounded(face.normal));
      const direction = normal.join(' ');
      const square = AXES.has(direction);
      const corner = face.rings[0]?.[0] ?? [0, 0, 0];
      const plane = square ? squarePlane(found, direction, normal, corner) : slantedPlane(found, normal, corner);
      const [outline = [], ...holes] = face.rings.map((ring) => flatten(plane.basis, ring));
      plane.faces.push({ part: index, name: face.name, looks, region: { outline, holes }, box: bounds(outline) });
    }
  }
  return [...found.planes.values(), ...[...found.slanted.values()].flat()];
};

const rectsMeet = (a: Rect, b: Rect): boolean => a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1;

const contactsIn = (plane: Plane): readonly Contact[] => {
  const towards = plane.faces.filter((face) => face.looks === 1);
  const away = plane.faces.filter((face) => face.looks === -1);
  return towards.flatMap((one) =>
    away.flatMap((other) =>
      one.part === other.part || !rectsMeet(one.box, other.box)
        ? []
        : intersection(one.region, other.region).map((ring): Contact => {
            const [first, second] = one.part < other.part ? [one, other] : [other, one];
            return {
              a: first.part,
              b: second.part,
              faceA: first.name,
              faceB: second.name,
              outline: ring.map((point) => toSpace(plane.basis, point).map(Math.round) as unknown as Vec3),
              area: ringArea(ring),
            };
          }),
    ),
  );
};

/** Where parts touch.
 *  Shape: n parts → contacts with area, by index, a < b. Near-linear: faces are bucketed by plane, and only faces of one
 *  plane that look at each other are compared. */
export const findContacts = (parts: readonly Part[]): readonly Contact[] =>
  [...planesOf(parts)].flatMap(contactsIn).sort((p, q) => p.a - q.a || p.b - q.b);
