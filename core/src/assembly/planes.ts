// µm, doll size. The faces of parts, gathered by the planes that they lie in.
import {
  AXES,
  add,
  bounds,
  cross,
  dot,
  minus,
  normalOf,
  type Point,
  type Pose,
  type Rect,
  type Region,
  scaled,
  toSpace,
  unit,
  type Vec3,
  vec3,
} from '../shape/index.ts';
import { type Box, isPlainBox, isSquare, type Part, upperOf } from './part.ts';
import { type FaceName, isFacet } from './touching.ts';

/** A face in its plane; `region` is null where the face is the whole of its box, and drawn only when it is asked for. */
export type PlaneFace = {
  readonly part: number;
  readonly name: FaceName;
  readonly looks: 1 | -1;
  readonly region: (() => Region) | null;
  readonly box: Rect;
};
export type Plane = { readonly basis: Pose; readonly faces: PlaneFace[] };

const basisOf = (normal: Vec3, offset: number): Pose => {
  const away: Vec3 = Math.abs(normal[1]) === 1 ? [0, 0, 1] : [0, 1, 0];
  const u = unit(cross(away, normal));
  return { origin: scaled(normal, offset), u, v: cross(normal, u) };
};

/** Maps points of a pose's figure, raised by `height`, into a plane's own axes. */
const into = (basis: Pose, pose: Pose, height: number): ((point: Point) => Point) => {
  const from = minus(add(pose.origin, scaled(normalOf(pose), height)), basis.origin);
  const [ox, oy] = [dot(from, basis.u), dot(from, basis.v)];
  const [ux, uy] = [dot(pose.u, basis.u), dot(pose.u, basis.v)];
  const [vx, vy] = [dot(pose.v, basis.u), dot(pose.v, basis.v)];
  return (point) => [Math.round(ox + point[0] * ux + point[1] * vx), Math.round(oy + point[0] * uy + point[1] * vy)];
};

/** Slanted faces are born from rounded outlines, and short ones turn by more than a thousandth for it: they lie in one plane when they look
 *  alike and all their corners are within a hundredth of a millimetre of it. */
const SAME_DIRECTION = 2e-3;
const SAME_PLANE = 12;

/** A face that is put into its plane after the exact ones: where it looks to, where its corners are, how it is drawn there. */
type Leaning = {
  readonly part: number;
  readonly name: FaceName;
  readonly normal: Vec3;
  readonly corners: readonly Vec3[];
  readonly draw: (basis: Pose) => Region;
};

type Found = { readonly planes: Map<number, Plane>; readonly slanted: Plane[]; readonly leaning: Leaning[] };

/** Twice as large as any offset that the schema allows, so that axis and offset make one number. */
const STRIDE = 1e9;

type Axis = 0 | 1 | 2;

const squarePlane = ({ planes }: Found, axis: Axis, at: number): Plane => {
  const offset = Math.round(at);
  const key = axis * STRIDE + offset;
  const known = planes.get(key);
  if (known) return known;
  const normal = vec3((each) => (each === axis ? 1 : 0));
  const plane: Plane = { basis: basisOf(normal, offset), faces: [] };
  planes.set(key, plane);
  return plane;
};

/** The axis that a face looks along, when it looks along one. */
const squareAxis = (normal: Vec3, within = 1e-9): Axis | undefined => AXES.find((each) => Math.abs(normal[each]) > 1 - within);

/** Where a box's face across an axis lies in that axis's plane, as `basisOf` lays it out. */
const FACE_RECT: Readonly<Record<Axis, (min: Vec3, max: Vec3) => Rect>> = {
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
      squarePlane(found, axis, (looks > 0 ? max : min)[axis]).faces.push({ part: index, name, looks, region: null, box });
    }
  }
};

const drawnOn =
  (corners: readonly Vec3[]) =>
  (basis: Pose): Region => {
    const flat = corners.map((corner): Point => {
      const off = minus(corner, basis.origin);
      return [Math.round(dot(off, basis.u)), Math.round(dot(off, basis.v))];
    });
    return { outline: flat, holes: [] };
  };

/** A side of what tapers or is cut at a slant, between two corners below and the two above them. */
const addSlant = (found: Found, { pose, thickness }: Part, part: number, flat: readonly [Point, Point, Point, Point]): void => {
  const [from, to, beyond, above] = flat;
  const corners = [toSpace(pose, from), toSpace(pose, to), toSpace(pose, beyond, thickness), toSpace(pose, above, thickness)] as const;
  const along = from[0] === to[0] && from[1] === to[1] ? minus(corners[2], corners[3]) : minus(corners[1], corners[0]);
  const normal = cross(along, minus(corners[3], corners[0]));
  const length = Math.hypot(...normal);
  if (length < 1) return;
  found.leaning.push({ part, name: 'edge', normal: scaled(normal, 1 / length), corners, draw: drawnOn(corners) });
};

const addEdge = (found: Found, part: Part, index: number, square: boolean, from: Point, to: Point, facets: boolean): void => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const upright = from[0] === to[0] || from[1] === to[1];
  if (facets && isFacet(from, to)) return;
  const { pose, thickness } = part;
  // Counter-clockwise rings have their matter on the left, so the outward normal is to the right of the way.
  const normal = add(scaled(pose.u, (to[1] - from[1]) / length), scaled(pose.v, (from[0] - to[0]) / length));
  const axis = upright && square ? squareAxis(normal) : undefined;
  if (axis === undefined) {
    const corners = [toSpace(pose, from), toSpace(pose, to), toSpace(pose, to, thickness), toSpace(pose, from, thickness)];
    found.leaning.push({ part: index, name: 'edge', normal, corners, draw: drawnOn(corners) });
    return;
  }
  const plane = squarePlane(found, axis, toSpace(pose, from)[axis]);
  const [low, high] = [into(plane.basis, pose, 0), into(plane.basis, pose, thickness)];
  const box = bounds([low(from), low(to), high(to), high(from)]);
  plane.faces.push({ part: index, name: 'edge', looks: normal[axis] > 0 ? 1 : -1, region: null, box });
};

const addBroad = (found: Found, part: Part, index: number, square: boolean, name: 'front' | 'back', { min, max }: Box): void => {
  const { pose } = part;
  const [height, shown] = name === 'front' ? [part.thickness, upperOf(part)] : [0, part.region];
  const normal = scaled(normalOf(pose), name === 'front' ? 1 : -1);
  const draw = (basis: Pose): Region => {
    const place = into(basis, pose, height);
    return { outline: shown.outline.map(place), holes: shown.holes.map((hole) => hole.map(place)) };
  };
  const axis = square ? squareAxis(normal) : undefined;
  if (axis === undefined) {
    found.leaning.push({ part: index, name, normal, corners: shown.outline.map((point) => toSpace(pose, point, height)), draw });
    return;
  }
  const plane = squarePlane(found, axis, toSpace(pose, shown.outline[0] as Point, height)[axis]);
  // The box round a part that lies square is the box round its faces.
  plane.faces.push({
    part: index,
    name,
    looks: normal[axis] > 0 ? 1 : -1,
    region: () => draw(plane.basis),
    box: FACE_RECT[axis](min, max),
  });
};

const addFaces = (found: Found, part: Part, index: number, square: boolean, box: Box): void => {
  addBroad(found, part, index, square, 'front', box);
  addBroad(found, part, index, square, 'back', box);
  const over = part.upper && [part.upper.outline, ...part.upper.holes];
  for (const [number, ring] of [part.region.outline, ...part.region.holes].entries()) {
    const facets = ring.length > 12;
    const above = over?.[number];
    if (above && facets) continue;
    ring.forEach((from, corner) => {
      const next = (corner + 1) % ring.length;
      const to = ring[next] as Point;
      if (above) addSlant(found, part, index, [from, to, above[next] as Point, above[corner] as Point]);
      else addEdge(found, part, index, square, from, to, facets);
    });
  }
};

const liesIn = ({ basis }: Plane, normal: Vec3, corners: readonly Vec3[]): boolean => {
  const way = normalOf(basis);
  if (Math.abs(dot(way, normal)) <= 1 - SAME_DIRECTION ** 2 / 2) return false;
  const at = dot(way, basis.origin);
  for (const corner of corners) if (Math.abs(dot(way, corner) - at) > SAME_PLANE) return false;
  return true;
};

/** A plane that stands square and is as near as rounding can be off. */
const nearSquare = ({ planes }: Found, normal: Vec3, corners: readonly Vec3[]): Plane | undefined => {
  const axis = squareAxis(normal, SAME_DIRECTION ** 2 / 2);
  if (axis === undefined) return undefined;
  const key = axis * STRIDE + Math.round((corners[0] as Vec3)[axis]);
  for (let off = 0; off <= SAME_PLANE; off += 1) {
    const near = [planes.get(key + off), planes.get(key - off)].find((plane) => plane && liesIn(plane, normal, corners));
    if (near) return near;
  }
  return undefined;
};

/** The direction of a plane without its sign: the first number that is not nought is positive. */
const unsigned = (normal: Vec3): Vec3 => ((normal.find((value) => Math.abs(value) > 1e-9) ?? 1) > 0 ? normal : scaled(normal, -1));

/** How far a face's corners lie from its first one. */
const sizeOf = (corners: readonly Vec3[]): number => {
  const [x, y, z] = corners[0] as Vec3;
  let most = 0;
  for (const corner of corners) {
    const [dx, dy, dz] = [corner[0] - x, corner[1] - y, corner[2] - z];
    most = Math.max(most, dx * dx + dy * dy + dz * dz);
  }
  return Math.sqrt(most);
};

/** Faces that lean are put into planes the largest first, so that each plane is as exact as it can be. */
const putLeaning = (found: Found): void => {
  const sorted = found.leaning.map((face) => ({ face, size: sizeOf(face.corners) })).sort((a, b) => b.size - a.size);
  for (const { face } of sorted) {
    const { part, name, normal, corners, draw } = face;
    let plane = nearSquare(found, normal, corners) ?? found.slanted.find((each) => liesIn(each, normal, corners));
    if (!plane) {
      const axis = squareAxis(normal);
      const way = unsigned(normal);
      plane =
        axis === undefined
          ? { basis: basisOf(way, dot(way, corners[0] as Vec3)), faces: [] }
          : squarePlane(found, axis, (corners[0] as Vec3)[axis]);
      if (axis === undefined) found.slanted.push(plane);
    }
    const region = draw(plane.basis);
    const looks = dot(normal, normalOf(plane.basis)) > 0 ? 1 : -1;
    plane.faces.push({ part, name, looks, region: () => region, box: bounds(region.outline) });
  }
};

/** The faces of parts by the planes that they lie in. */
export const planesOf = (parts: readonly Part[], boxes: readonly Box[]): readonly Plane[] => {
  const found: Found = { planes: new Map(), slanted: [], leaning: [] };
  for (const [index, part] of parts.entries()) {
    const square = isSquare(part);
    if (square && isPlainBox(part)) addBoxFaces(found, part, index, boxes[index] as Box);
    else addFaces(found, part, index, square, boxes[index] as Box);
  }
  putLeaning(found);
  return [...found.planes.values(), ...found.slanted];
};
