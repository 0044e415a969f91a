// µm, doll size. Parts as convex solids, for those that do not stand square: found by separating axes (Gottschalk, Lin & Manocha 1996,
// recalled), at rest and while one moves along a line.
import {
  AXES,
  add,
  cornersOfTriangles,
  cross,
  directionTurned,
  dot,
  isConvex,
  minus,
  normalOf,
  type Point,
  type Region,
  type Ring,
  regionArea,
  ringArea,
  scaled,
  type Turn,
  toSpace,
  type Vec3,
} from '../shape/index.ts';
import { type Box, type Part, upperOf } from './part.ts';

type Directions = { readonly normals: readonly Vec3[]; readonly edges: readonly Vec3[] };

/** A convex solid by its corners, the box round them, and the directions of its faces and of its edges (parallel ones once), which most
 *  solids are never asked for: their boxes tell them apart. */
export type Convex = {
  readonly points: readonly Vec3[];
  readonly bounds: Box;
  readonly directions: () => Directions;
};

const once = <T>(make: () => T): (() => T) => {
  let made: T | undefined;
  return () => {
    made ??= make();
    return made;
  };
};

const boxRound = (points: readonly Vec3[]): Box => {
  const min: [number, number, number] = [Infinity, Infinity, Infinity];
  const max: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const point of points) {
    for (const axis of AXES) {
      const value = point[axis];
      if (value < min[axis]) min[axis] = value;
      if (value > max[axis]) max[axis] = value;
    }
  }
  return { min, max };
};

/** The directions of a ring's sides in its plane, parallel ones once: told apart by their angle to a millionth. */
const waysOf = (ring: readonly Point[]): readonly Point[] => {
  const ways = new Map<number, Point>();
  ring.forEach((from, index) => {
    const to = ring[(index + 1) % ring.length] as Point;
    const [x, y] = [to[0] - from[0], to[1] - from[1]];
    const length = Math.hypot(x, y);
    const half = Math.round((Math.atan2(y, x) / Math.PI) * 1e6);
    ways.set(((half % 1e6) + 1e6) % 1e6, [x / length, y / length]);
  });
  return [...ways.values()];
};

/** A convex ring and the one above it, where edges do not stand square: the ways of its faces and edges, each once. */
const taper = (part: Part, low: Ring, high: Ring, more: readonly Vec3[] = []): Convex => {
  const { pose, thickness } = part;
  const [under, over] = [low.map((point) => toSpace(pose, point)), high.map((point) => toSpace(pose, point, thickness))];
  const directions = once(() => {
    const found = { normals: new Map<string, Vec3>(), edges: new Map<string, Vec3>() };
    const put = (into: Map<string, Vec3>, vector: Vec3): void => {
      const length = Math.hypot(...vector);
      if (length < 1e-6) return;
      const sign = (vector.find((value) => Math.abs(value) > 1e-7 * length) ?? 1) < 0 ? -1 : 1;
      const unit = scaled(vector, sign / length);
      into.set(unit.map((value) => Math.round(value * 1e6)).join(' '), unit);
    };
    put(found.normals, normalOf(pose));
    for (const normal of more) put(found.normals, normal);
    under.forEach((at, index) => {
      const next = (index + 1) % under.length;
      const [to, above, beyond] = [under[next] as Vec3, over[index] as Vec3, over[next] as Vec3];
      const [along, up] = [minus(to, at), minus(above, at)];
      put(found.edges, along);
      put(found.edges, minus(beyond, above));
      put(found.edges, up);
      // Where a side ends in a point below, the one above tells which way its face lies.
      put(found.normals, cross(Math.hypot(...along) > 1 ? along : minus(beyond, above), up));
    });
    return { normals: [...found.normals.values()], edges: [...found.edges.values()] };
  });
  const points = [...under, ...over];
  return { points, bounds: boxRound(points), directions };
};

const prism = (part: Part, ring: readonly Point[]): Convex => {
  const { pose, thickness } = part;
  const normal = normalOf(pose);
  const points = ring.flatMap((point) => [toSpace(pose, point), toSpace(pose, point, thickness)]);
  const directions = once(() => {
    const ways = waysOf(ring).map(([x, y]) => add(scaled(pose.u, x), scaled(pose.v, y)));
    return { normals: [normal, ...ways.map((way) => cross(way, normal))], edges: [normal, ...ways] };
  });
  return { points, bounds: boxRound(points), directions };
};

/** What lies between an outline and a hole of as many points, as the quarters between their corners; nothing where those do not do. */
const segmentsOf = ({ region }: Part): readonly (readonly number[])[] | undefined => {
  const [hole] = region.holes;
  const { outline } = region;
  const count = outline.length;
  if (region.holes.length !== 1 || hole?.length !== count) return undefined;
  const points = [...outline, ...hole];
  const away = (index: number): number =>
    Math.hypot(...([0, 1] as const).map((axis) => (outline[0] as Point)[axis] - (hole[index] as Point)[axis]));
  const first = hole.reduce((best, _, index) => (away(index) < away(best) ? index : best), 0);
  for (const way of [1, -1]) {
    const inner = (index: number): number => count + ((((first + way * index) % count) + count) % count);
    const segments = outline.map((_, index) => [index, (index + 1) % count, inner(index + 1), inner(index)]);
    const rings = segments.map((corners) => corners.map((corner) => points[corner] as Point));
    const area = rings.reduce((sum, ring) => sum + ringArea(ring), 0);
    if (rings.every(isConvex) && Math.abs(area - regionArea(region)) < 1) return segments;
  }
  return undefined;
};

/** The ways in which the slanting sides of a part look. Its triangles are twisted where one corner slants and the next does not; the sides of the
 *  whole tell them apart from what lies against them. */
const slantNormals = ({ pose, thickness, region, upper }: Part): readonly Vec3[] =>
  upper && region.outline.length <= 24
    ? region.outline.map((from, index) => {
        const to = region.outline[(index + 1) % region.outline.length] as Point;
        const at = toSpace(pose, from);
        return cross(minus(toSpace(pose, to), at), minus(toSpace(pose, upper.outline[index] as Point, thickness), at));
      })
    : [];

const solidsOf = (part: Part): readonly Convex[] => {
  const { region, upper } = part;
  const whole = region.holes.length === 0 && isConvex(region.outline) && (!upper || isConvex(upper.outline));
  const segments = whole ? [region.outline.map((_, index) => index)] : segmentsOf(part);
  const corners = segments ?? cornersOfTriangles(region);
  const more = segments ? [] : slantNormals(part);
  const pointsOf = ({ outline, holes }: Region): Ring => [outline, ...holes].flat();
  const [low, high] = [pointsOf(region), pointsOf(upperOf(part))];
  return corners.map((each) => {
    const at = (points: Ring): Ring => each.map((corner) => points[corner] as Point);
    return upper ? taper(part, at(low), at(high), more) : prism(part, at(low));
  });
};

/** Parts are never written to, so what was made of one holds as long as it lives. */
const made = new WeakMap<Part, readonly Convex[]>();

/** A part as convex solids: one when its outline is convex and whole, else its triangles, or the stretches of what goes round. */
export const convexOf = (part: Part): readonly Convex[] => {
  const known = made.get(part) ?? solidsOf(part);
  made.set(part, known);
  return known;
};

/** Solids nearer than this only touch: it swallows what rounding slanted outlines to the micrometre costs. */
export const TOUCH = 12;

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
  const [mine, theirs] = [a.directions(), b.directions()];
  yield* mine.normals;
  yield* theirs.normals;
  for (const one of mine.edges) {
    for (const other of theirs.edges) {
      const axis = cross(one, other);
      const length = Math.hypot(...axis);
      if (length > 1e-6) yield scaled(axis, 1 / length);
    }
  }
};

/** True when `a`, moving by `way` (unit vector) over `far`, runs into `b` which stands; with `far` 0 when they share volume. */
export const meets = (a: Convex, b: Convex, way: Vec3 = [0, 0, 0], far = 0): boolean => {
  let [from, to] = [0, far];
  /** False when the two are apart along an axis all the while. Overlapping while  lowA + s·t < highB − touch  and  lowB + touch < highA + s·t. */
  const overlap = (lowA: number, highA: number, lowB: number, highB: number, speed: number): boolean => {
    const [ahead, behind] = [highB - TOUCH - lowA, lowB + TOUCH - highA];
    if (Math.abs(speed) < 1e-9) return ahead > 0 && behind < 0;
    const [first, second] = [behind / speed, ahead / speed];
    from = Math.max(from, Math.min(first, second));
    to = Math.min(to, Math.max(first, second));
    return from <= to && (far === 0 || from !== to);
  };
  // Their boxes tell most pairs apart.
  for (const axis of [0, 1, 2] as const)
    if (!overlap(a.bounds.min[axis], a.bounds.max[axis], b.bounds.min[axis], b.bounds.max[axis], way[axis])) return false;
  for (const axis of axesBetween(a, b)) {
    const [spanA, spanB] = [spanOn(axis, a.points), spanOn(axis, b.points)];
    if (!overlap(spanA.low, spanA.high, spanB.low, spanB.high, dot(axis, way))) return false;
  }
  return true;
};

/** A box that what is in a box surely stays in when it is turned: half the box's size goes with the absolute values of the matrix. */
export const boxTurned = ({ at, rows }: Turn, { min, max }: Box): Box => {
  const [cx, cy, cz] = [(min[0] + max[0]) / 2 - at[0], (min[1] + max[1]) / 2 - at[1], (min[2] + max[2]) / 2 - at[2]];
  const [hx, hy, hz] = [(max[0] - min[0]) / 2, (max[1] - min[1]) / 2, (max[2] - min[2]) / 2];
  const low: [number, number, number] = [0, 0, 0];
  const high: [number, number, number] = [0, 0, 0];
  for (const axis of [0, 1, 2] as const) {
    const [a, b, c] = rows[axis];
    const middle = a * cx + b * cy + c * cz + at[axis];
    const half = Math.abs(a) * hx + Math.abs(b) * hy + Math.abs(c) * hz;
    low[axis] = middle - half;
    high[axis] = middle + half;
  }
  return { min: low, max: high };
};

/** A convex solid turned. */
export const turned = (turn: Turn, solid: Convex): Convex => {
  const { at } = turn;
  const points = solid.points.map(([x, y, z]): Vec3 => add(directionTurned(turn, [x - at[0], y - at[1], z - at[2]]), at));
  const direction = (vector: Vec3): Vec3 => directionTurned(turn, vector);
  const directions = once(() => {
    const { normals, edges } = solid.directions();
    return { normals: normals.map(direction), edges: edges.map(direction) };
  });
  return { points, bounds: boxRound(points), directions };
};
