// µm, doll size. Parts as convex solids, for those that do not stand square: found by separating axes (Gottschalk, Lin & Manocha 1996,
// recalled), at rest and while one moves along a line.
import earcut from 'earcut';
import { add, cross, dot, normalOf, type Point, scaled, toSpace, type Vec3 } from '../shape/index.ts';
import type { Box, Part } from './part.ts';

/** A convex solid by its corners, the box round them, the directions of its faces and of its edges (parallel ones once). */
export type Convex = {
  readonly points: readonly Vec3[];
  readonly bounds: Box;
  readonly normals: readonly Vec3[];
  readonly edges: readonly Vec3[];
};

const boxRound = (points: readonly Vec3[]): Box => {
  const [min, max]: [number[], number[]] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (const point of points) {
    for (let axis = 0; axis < 3; axis += 1) {
      const value = point[axis] as number;
      if (value < (min[axis] as number)) min[axis] = value;
      if (value > (max[axis] as number)) max[axis] = value;
    }
  }
  return { min: min as unknown as Vec3, max: max as unknown as Vec3 };
};

/** Directions without their sign, each once. */
const distinct = (directions: readonly Vec3[]): readonly Vec3[] => {
  const kept: Vec3[] = [];
  for (const one of directions) if (!kept.some((other) => Math.abs(dot(one, other)) > 1 - 1e-9)) kept.push(one);
  return kept;
};

const turns = (a: Point, b: Point, c: Point): number => (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);

const isConvex = (ring: readonly Point[]): boolean =>
  ring.every((point, index) => turns(point, ring[(index + 1) % ring.length] as Point, ring[(index + 2) % ring.length] as Point) >= 0);

const unit = (vector: Vec3): Vec3 => scaled(vector, 1 / Math.hypot(...vector));

const prism = (part: Part, ring: readonly Point[]): Convex => {
  const { pose, thickness } = part;
  const normal = normalOf(pose);
  const edges = ring.map((from, index): Vec3 => {
    const to = ring[(index + 1) % ring.length] as Point;
    return unit(add(scaled(pose.u, to[0] - from[0]), scaled(pose.v, to[1] - from[1])));
  });
  const points = ring.flatMap((point) => [toSpace(pose, point), toSpace(pose, point, thickness)]);
  const ways = distinct(edges);
  return { points, bounds: boxRound(points), normals: [normal, ...ways.map((edge) => cross(edge, normal))], edges: [normal, ...ways] };
};

/** A part as convex solids: one when its outline is convex and whole, else its triangles. */
export const convexOf = (part: Part): readonly Convex[] => {
  const { outline, holes } = part.region;
  if (holes.length === 0 && isConvex(outline)) return [prism(part, outline)];
  const rings = [outline, ...holes];
  const points = rings.flat();
  const starts = rings.slice(0, -1).map((_, index) => rings.slice(0, index + 1).flat().length);
  const corners = earcut(points.flat(), starts);
  return Array.from({ length: corners.length / 3 }, (_, index) => {
    const [a, b, c] = [0, 1, 2].map((corner) => points[corners[index * 3 + corner] as number] as Point) as [Point, Point, Point];
    return turns(a, b, c) > 0 ? [a, b, c] : [a, c, b];
  })
    .filter(([a, b, c]) => turns(a as Point, b as Point, c as Point) !== 0)
    .map((triangle) => prism(part, triangle));
};

/** Solids nearer than this only touch: it swallows what rounding slanted outlines to the micrometre costs. */
const TOUCH = 12;

type Span = { readonly low: number; readonly high: number };

const spanOn = (axis: Vec3, points: readonly Vec3[]): Span => {
  let [low, high] = [Infinity, -Infinity];
  for (const point of points) {
    const value = axis[0] * point[0] + axis[1] * point[1] + axis[2] * point[2];
    if (value < low) low = value;
    if (value > high) high = value;
  }
  return { low, high };
};

const axesBetween = function* (a: Convex, b: Convex): Iterable<Vec3> {
  yield* a.normals;
  yield* b.normals;
  for (const one of a.edges) {
    for (const other of b.edges) {
      const axis = cross(one, other);
      const length = Math.hypot(...axis);
      if (length > 1e-6) yield scaled(axis, 1 / length);
    }
  }
};

/** True when `a`, moving by `way` (unit vector) over `far`, runs into `b` which stands; with `far` 0 when they share volume. */
export const meets = (a: Convex, b: Convex, way: Vec3 = [0, 0, 0], far = 0): boolean => {
  let [from, to] = [0, far];
  for (const axis of axesBetween(a, b)) {
    const [spanA, spanB, speed] = [spanOn(axis, a.points), spanOn(axis, b.points), dot(axis, way)];
    // Overlapping while  lowA + s·t < highB − touch  and  lowB + touch < highA + s·t.
    const [ahead, behind] = [spanB.high - TOUCH - spanA.low, spanB.low + TOUCH - spanA.high];
    if (Math.abs(speed) < 1e-9) {
      if (ahead <= 0 || behind >= 0) return false;
      continue;
    }
    const [first, second] = [behind / speed, ahead / speed];
    from = Math.max(from, Math.min(first, second));
    to = Math.min(to, Math.max(first, second));
    if (from > to || (far > 0 && from === to)) return false;
  }
  return true;
};

/** Rodrigues' rotation: a vector turned by an angle (right-handed, radians) about a unit vector. */
const turnAbout =
  (along: Vec3, angle: number) =>
  (vector: Vec3): Vec3 => {
    const [cos, sin, [kx, ky, kz], [x, y, z]] = [Math.cos(angle), Math.sin(angle), along, vector];
    const on = (kx * x + ky * y + kz * z) * (1 - cos);
    return [
      x * cos + (ky * z - kz * y) * sin + kx * on,
      y * cos + (kz * x - kx * z) * sin + ky * on,
      z * cos + (kx * y - ky * x) * sin + kz * on,
    ];
  };

const pointsTurned = (solid: Convex, at: Vec3, along: Vec3, angle: number): readonly Vec3[] => {
  const turn = turnAbout(along, angle);
  return solid.points.map(([x, y, z]) => {
    const [tx, ty, tz] = turn([x - at[0], y - at[1], z - at[2]]);
    return [tx + at[0], ty + at[1], tz + at[2]];
  });
};

/** A box that a convex solid surely stays in when it is turned by an angle about an axis: that of its own box's corners. */
export const turnedBounds = ({ bounds: { min, max } }: Convex, at: Vec3, along: Vec3, angle: number): Box => {
  const turn = turnAbout(along, angle);
  return boxRound(
    [0, 1, 2, 3, 4, 5, 6, 7].map((bits): Vec3 => {
      const [x, y, z] = turn([(bits & 1 ? max : min)[0] - at[0], (bits & 2 ? max : min)[1] - at[1], (bits & 4 ? max : min)[2] - at[2]]);
      return [x + at[0], y + at[1], z + at[2]];
    }),
  );
};

/** A convex solid turned by an angle (right-handed, radians) about an axis through a point along a unit vector. */
export const turned = (solid: Convex, at: Vec3, along: Vec3, angle: number): Convex => {
  const turn = turnAbout(along, angle);
  const points = pointsTurned(solid, at, along, angle);
  return { points, bounds: boxRound(points), normals: solid.normals.map(turn), edges: solid.edges.map(turn) };
};
