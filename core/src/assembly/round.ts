// µm, doll size. Parts that go round an axis: discs, rings, tubes, cones, dowels. Two that have their axis in common are told apart by their
// profiles alone, and touch all round where those lie on one another.
import {
  AXES,
  add,
  dot,
  minus,
  normalOf,
  type Point,
  type Pose,
  type Ring,
  ringArea,
  scaled,
  toSpace,
  unit,
  type Vec3,
} from '../shape/index.ts';
import { type Convex, meets } from './convex.ts';
import { type Part, upperOf } from './part.ts';
import { type Contact, isFacet } from './touching.ts';

/** The radii outside and inside at one end; nought inside what is solid. */
type Girth = { readonly outer: number; readonly inner: number };

/** A part that goes round: from where to where along its axis, how far out and how far in at either end. */
export type Round = { readonly from: number; readonly to: number; readonly low: Girth; readonly high: Girth };

/** Points of circles are rounded to the micrometre. */
const ROUNDED = 1.5;

const LEAST_CHORDS = 12;

const radiusOf = (ring: Ring, [cx, cy]: Point): number | undefined => {
  const [first] = ring as [Point];
  const radius = Math.hypot(first[0] - cx, first[1] - cy);
  const [least, most] = [Math.max(0, radius - ROUNDED) ** 2, (radius + ROUNDED) ** 2];
  for (const point of ring) {
    const [dx, dy] = [point[0] - cx, point[1] - cy];
    const square = dx * dx + dy * dy;
    if (square <= least || square >= most) return undefined;
  }
  return radius;
};

/** The middle of a ring that goes round: halfway between opposite points. */
const middleOf = (ring: Ring): Point => {
  const [first, opposite] = [ring[0] as Point, ring[ring.length / 2] as Point];
  return [(first[0] + opposite[0]) / 2, (first[1] + opposite[1]) / 2];
};

const girthOf = (part: Part, middle: Point, which: 'region' | 'upper'): Girth | undefined => {
  const { outline, holes } = which === 'region' ? part.region : upperOf(part);
  const outer = radiusOf(outline, middle);
  const inner = holes.length === 0 ? 0 : radiusOf(holes[0] as Ring, middle);
  return outer === undefined || inner === undefined ? undefined : { outer, inner };
};

type Turned = Round & { readonly key: string; readonly middle: Point };

const turnedOf = (part: Part): Turned | null => {
  const { outline, holes } = part.region;
  const count = outline.length;
  const round = count >= LEAST_CHORDS && count % 2 === 0 && holes.length <= 1;
  if (!round) return null;
  const middle = middleOf(outline);
  const [low, high] = [girthOf(part, middle, 'region'), girthOf(part, middle, 'upper')];
  if (!low || !high) return null;
  const axis = normalOf(part.pose);
  const forwards = (axis.find((value) => Math.abs(value) > 1e-9) ?? 1) > 0;
  const [way, at] = [forwards ? axis : scaled(axis, -1), toSpace(part.pose, middle)];
  const along = dot(at, way);
  const off = add(at, scaled(way, -along));
  const [from, to] = forwards ? [along, along + part.thickness] : [along - part.thickness, along];
  const key = [...way.map((value) => value * 1e6), ...off].map((value) => Math.round(value) + 0).join(' ');
  return { from, to, low: forwards ? low : high, high: forwards ? high : low, key, middle };
};

const known = new WeakMap<Part, Turned | null>();

const turned = (part: Part): Turned | null => {
  // Most parts are plain boards, and are told at once.
  if (part.region.outline.length < LEAST_CHORDS) return null;
  const found = known.get(part);
  if (found !== undefined) return found;
  const made = turnedOf(part);
  known.set(part, made);
  return made;
};

/** Both parts as they go round, when they go round one axis. */
export const coaxial = (a: Part, b: Part): readonly [Round, Round] | undefined => {
  if (a.region.outline.length < LEAST_CHORDS || b.region.outline.length < LEAST_CHORDS) return undefined;
  const [one, other] = [turned(a), turned(b)];
  return one && other && one.key === other.key ? [one, other] : undefined;
};

/** A profile as a convex solid: outwards, along the axis, and so deep that depth tells nothing apart. */
const profileOf = ({ from, to, low, high }: Round): Convex => {
  const corners = [
    [low.inner, from],
    [low.outer, from],
    [high.outer, to],
    [high.inner, to],
  ] as const;
  const points = [0, 1e6].flatMap((depth) => corners.map(([x, y]): Vec3 => [x, y, depth]));
  const edges = corners.flatMap(([x, y], index): readonly Vec3[] => {
    const [nextX, nextY] = corners[(index + 1) % 4] as (typeof corners)[number];
    const length = Math.hypot(nextX - x, nextY - y);
    return length < 1 ? [] : [[(nextX - x) / length, (nextY - y) / length, 0]];
  });
  const normals = edges.map(([x, y]): Vec3 => [y, -x, 0]);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const bounds = { min: [Math.min(...xs), Math.min(...ys), 0], max: [Math.max(...xs), Math.max(...ys), 1e6] } as const;
  return { points, bounds, directions: () => ({ normals, edges: [...edges, [0, 0, 1]] }) };
};

/** Whether two that go round one axis share volume; or, moving `far` along it (−1 or 1), whether the first runs into the other. */
export const roundsMeet = ([a, b]: readonly [Round, Round], way = 0, far = 0): boolean =>
  meets(profileOf(a), profileOf(b), [0, way, 0], far);

/** A surface that goes round: the outside of a part, or the inside of a hole in it, from where to where along its axis and how far off it. */
type Surface = {
  readonly part: number;
  readonly inside: boolean;
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  readonly count: number;
};

type Keyed = Surface & { readonly key: string };

/** The outside of what goes round, and the inside of its hole. */
const roundSurfaces = (part: Part, index: number, { key, low, high, from, to }: Turned): readonly Keyed[] => {
  const { outline, holes } = part.region;
  const base = { part: index, key, from, to };
  const outside = { ...base, count: outline.length, inside: false, low: low.outer, high: high.outer };
  return low.inner > 0 ? [outside, { ...base, count: holes[0]?.length ?? 0, inside: true, low: low.inner, high: high.inner }] : [outside];
};

/** A curved ring of a part as a surface that lies on rings of its own shape. */
const shapeSurface = (part: Part, index: number, ring: Ring, inside: boolean): Keyed => ({
  ...spanOf(part),
  key: shapeKey(part, ring),
  part: index,
  inside,
  low: 0,
  high: 0,
  count: ring.length,
});

/** Curved holes in a board of any other outline: they take a dowel all the same, or what has their own shape. */
const holeSurfaces = (part: Part, index: number): readonly Keyed[] =>
  part.region.holes
    .filter((ring) => ring.length > LEAST_CHORDS)
    .map((ring) => {
      const disc = turnedOf({ ...part, region: { outline: ring, holes: [] } });
      return disc
        ? { ...disc, part: index, count: ring.length, inside: true, low: disc.low.outer, high: disc.high.outer }
        : shapeSurface(part, index, ring, true);
    });

/** From where to where a part reaches along its normal, counted in the sense in which that is positive. */
const spanOf = (part: Part): { readonly from: number; readonly to: number } => {
  const normal = normalOf(part.pose);
  const forwards = (normal.find((value) => Math.abs(value) > 1e-9) ?? 1) > 0;
  const along = dot(part.pose.origin, forwards ? normal : scaled(normal, -1));
  return forwards ? { from: along, to: along + part.thickness } : { from: along - part.thickness, to: along };
};

const SHAPE = 'shape';

/** What two curved outlines have in common that lie on one another: the way they look, how many points and how much they hold, and the box round
 *  them in space. */
const shapeKey = ({ pose }: Part, ring: Ring): string => {
  const corners = ring.map((point) => toSpace(pose, point));
  const normal = normalOf(pose).map((value) => Math.abs(Math.round(value * 1e6)));
  const across = AXES.filter((axis) => (normal[axis] as number) < 999_999);
  const box = across.flatMap((axis) => {
    const values = corners.map((corner) => corner[axis]);
    return [Math.min(...values), Math.max(...values)].map(Math.round);
  });
  return [SHAPE, ...normal, ring.length, Math.round(ringArea(ring)), ...box].join(' ');
};

const radiusAt = ({ from, to, low, high }: Surface, at: number): number => low + ((high - low) * (at - from)) / (to - from);

/** What is glued must be higher than this. */
const LEAST_HEIGHT = 2;

/** A facet of a part's outside between two heights above its own lower face, as its plane and what lies in it. */
const facet = (part: Part, index: number, low: number, high: number): { readonly plane: Pose; readonly ring: Ring } => {
  const [under, over] = [part.region.outline, upperOf(part).outline];
  const at = (corner: number, height: number): Vec3 => {
    const [a, b] = [under[corner % under.length] as Point, over[corner % over.length] as Point];
    const share = height / part.thickness;
    return toSpace(part.pose, [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share], height);
  };
  const corners = [at(index, low), at(index + 1, low), at(index + 1, high), at(index, high)] as const;
  const u = unit(minus(corners[1], corners[0]));
  const rib = minus(corners[3], corners[0]);
  const plane: Pose = { origin: corners[0], u, v: unit(minus(rib, scaled(u, dot(rib, u)))) };
  const ring = corners.map((corner): Point => {
    const from = minus(corner, plane.origin);
    return [Math.round(dot(from, plane.u)), Math.round(dot(from, plane.v))];
  });
  return { plane, ring };
};

/** Where the outside of one lies on the inside of another all round. */
const touchingRound = (parts: readonly Part[], core: Surface, shell: Surface): readonly Contact[] => {
  if (core.part === shell.part || core.count !== shell.count) return [];
  const [from, to] = [Math.max(core.from, shell.from), Math.min(core.to, shell.to)];
  const flush = [from, to].every((at) => Math.abs(radiusAt(core, at) - radiusAt(shell, at)) < 2 * ROUNDED);
  if (to - from < LEAST_HEIGHT || !flush) return [];
  const part = parts[core.part] as Part;
  const axis = normalOf(part.pose);
  const forwards = (axis.find((value) => Math.abs(value) > 1e-9) ?? 1) > 0;
  const [low, high] = forwards ? [from - core.from, to - core.from] : [core.to - to, core.to - from];
  const [a, b] = [Math.min(core.part, shell.part), Math.max(core.part, shell.part)];
  const { outline } = part.region;
  return outline.flatMap((at, index): readonly Contact[] => {
    // Long and upright sides of other outlines are found where all plane faces are.
    if (core.low === 0 && !isFacet(at, outline[(index + 1) % outline.length] as Point)) return [];
    const { plane, ring } = facet(part, index, low, high);
    return [{ a, b, faceA: 'edge', faceB: 'edge', plane, ring, area: ringArea(ring) }];
  });
};

/** Where parts that go round one axis touch all round: a disc in its tube, a dowel in its hole, a tube in another.
 *  Shape: n parts → contacts, one for each chord. */
export const roundContacts = (parts: readonly Part[]): readonly Contact[] => {
  if (!parts.some(({ region }) => region.holes.some((hole) => hole.length >= LEAST_CHORDS))) return [];
  const axes = new Map<string, Surface[]>();
  const note = (surface: Keyed): void => {
    const known = axes.get(surface.key);
    if (known) known.push(surface);
    else axes.set(surface.key, [surface]);
  };
  const shaped: number[] = [];
  parts.forEach((part, index) => {
    const round = turned(part);
    if (round) for (const surface of roundSurfaces(part, index, round)) note(surface);
    else if (!part.upper) {
      if (part.region.outline.length > LEAST_CHORDS) shaped.push(index);
      for (const surface of holeSurfaces(part, index)) note(surface);
    }
  });
  // Other outlines are looked at only where there is a hole that one of them may lie in.
  if ([...axes.keys()].some((key) => key.startsWith(SHAPE)))
    for (const index of shaped) note(shapeSurface(parts[index] as Part, index, (parts[index] as Part).region.outline, false));
  return [...axes.values()].flatMap((group) => {
    const shells = group.filter(({ inside }) => inside);
    return shells.length === 0
      ? []
      : group.flatMap((core) => (core.inside ? [] : shells.flatMap((shell) => touchingRound(parts, core, shell))));
  });
};
