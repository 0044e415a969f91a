// µm, doll size. The assembly stands with its lower left back corner at the origin: x right, y up, z towards the viewer.
import { AXES, asRect, bounds, normalOf, type Point, type Pose, type Region, rectRing, toSpace, type Vec3, vec3 } from '../shape/index.ts';
import type { Motion } from './moves.ts';

/** What a part is in its piece, in the order in which parts usually go on: what stands first, what is inside before the last side,
 *  fronts before that side, doors and what sits on them last. */
export const ROLES = [
  'bottom',
  'back',
  'strip',
  'side',
  'post',
  'top',
  'rail',
  'lining',
  'divider',
  'shelf',
  'slide',
  'light',
  'found',
  'front',
  'last side',
  'plinth',
  'foot',
  'panel',
  'slat',
  'worktop',
  'frame',
  'tray',
  'rack',
  'door',
  'glass',
  'border',
  'fitting',
  'pad',
] as const;
export type Role = (typeof ROLES)[number];

/** What a part is made of: board or card from a sheet, a stick, clear sheet, wire, padding, or something found that is not cut at all. */
export type Stuff = 'board' | 'stick' | 'clear' | 'wire' | 'pad' | 'found';

/** What is cut for a part that is rolled: a strip for a tube, a sector of a ring for a cone, so thick. */
export type FlatBlank = { readonly region: Region; readonly thickness: number };

/** A part: a plane region, drawn out by its thickness along u × v. The face at full thickness is the one its template shows. A stick
 *  is the region of its broad face, or of its section when it is round; bent wire is the region of its bend. */
export type Part = {
  readonly id: string;
  readonly role: Role;
  readonly name: string;
  readonly stuff: Stuff;
  /** The board's id, or the name of the stick, sheet, wire or found thing. */
  readonly stock: string;
  readonly thickness: number;
  readonly region: Region;
  /** The outline at full thickness where it is another than the region: bevelled, tapering, cut at a slant. It has the region's rings, point
   *  for point, and what lies between two sides is plane. */
  readonly upper?: Region | undefined;
  /** What is cut, where it is neither the region nor its blank: what is rolled. */
  readonly flat?: FlatBlank | undefined;
  readonly pose: Pose;
  /** Which way the board's grain should run: along the region's x, its y, or either. */
  readonly grain: 'x' | 'y' | 'any';
  /** Glued where it touches; a hinged part is held by its hinge, a sliding one only lies there. */
  readonly held: 'glue' | 'hinge' | 'slides';
  /** Length to cut of a stick or of a wire before it is bent; null for what is cut from a sheet. */
  readonly length: number | null;
  /** Centres of holes that are drilled or pierced, in the region's plane. */
  readonly centres: readonly (readonly [x: number, y: number])[];
  /** Lines along which it is scored and folds, in the region's plane. */
  readonly scores?: readonly (readonly [Point, Point])[] | undefined;
};

/** A box in space, by its least and greatest corner. */
export type Box = { readonly min: Vec3; readonly max: Vec3 };

/** A part with all its fields in one order, whatever built it: an engine that meets one kind of object is half as slow again with three. */
export const alike = (part: Part): Part => ({
  id: part.id,
  role: part.role,
  name: part.name,
  stuff: part.stuff,
  stock: part.stock,
  thickness: part.thickness,
  region: part.region,
  upper: part.upper,
  flat: part.flat,
  pose: part.pose,
  grain: part.grain,
  held: part.held,
  length: part.length,
  centres: part.centres,
  scores: part.scores,
});

/** A piece put together: its parts and what was promised about it. */
export type Assembly = {
  readonly parts: readonly Part[];
  /** The box that the parts must fill to the micrometre; knobs, grips and discs stand out beyond it. */
  readonly outside: Box;
  /** The clear space that the carcass must leave free. */
  readonly clear: Box;
  /** What turns or slides once it is built. */
  readonly motions: readonly Motion[];
};

/** Parts that stand out beyond the stated size: knobs, grips, burners, strips behind a joint. */
export const standsOut = (part: Part): boolean => part.role === 'fitting' || part.role === 'strip';

/** The outline at full thickness. */
export const upperOf = ({ region, upper }: Part): Region => upper ?? region;

/** The box round what tapers or is cut at a slant. */
const boxOfTaper = (part: Part): Box => {
  const corners = [
    ...part.region.outline.map((point) => toSpace(part.pose, point)),
    ...upperOf(part).outline.map((point) => toSpace(part.pose, point, part.thickness)),
  ];
  const by = (pick: (...values: number[]) => number, first: number): Vec3 =>
    vec3((axis) => corners.reduce((found, corner) => pick(found, corner[axis]), first));
  return { min: by(Math.min, Infinity), max: by(Math.max, -Infinity) };
};

/** The box round a part. */
export const boxOf = (part: Part): Box => {
  if (part.upper) return boxOfTaper(part);
  const { origin, u, v } = part.pose;
  const n = normalOf(part.pose);
  const min: [number, number, number] = [0, 0, 0];
  const max: [number, number, number] = [0, 0, 0];
  for (const axis of AXES) {
    let [low, high] = [Infinity, -Infinity];
    const [o, a, b] = [origin[axis], u[axis], v[axis]];
    for (const [x, y] of part.region.outline) {
      const value = o + a * x + b * y;
      if (value < low) low = value;
      if (value > high) high = value;
    }
    const through = n[axis] * part.thickness;
    min[axis] = low + Math.min(0, through);
    max[axis] = high + Math.max(0, through);
  }
  return { min, max };
};

/** A part as it counts when only what is surely free may be called free: a curved outline as its box, and without curved holes. */
export const plainly = (part: Part): Part => {
  const isPlain = ({ outline, holes }: Region): boolean => outline.length <= 12 && holes.every((hole) => hole.length <= 12);
  if (isPlain(part.region)) return part;
  const plain = (region: Region): Region => {
    const { x0, y0, x1, y1 } = bounds(region.outline);
    const curved = region.outline.length > 12;
    return {
      outline: curved ? rectRing(x0, y0, x1, y1) : region.outline,
      holes: curved ? [] : region.holes.filter((hole) => hole.length <= 12),
    };
  };
  return { ...part, region: plain(part.region), ...(part.upper && { upper: plain(part.upper) }) };
};

/** The axis (0 x, 1 y, 2 z) that a vector runs along, when it runs along one; otherwise undefined. */
export const axisOf = ([x, y, z]: Vec3): 0 | 1 | 2 | undefined => {
  if (y === 0 && z === 0) return Math.abs(x) === 1 ? 0 : undefined;
  if (x === 0 && z === 0) return Math.abs(y) === 1 ? 1 : undefined;
  return x === 0 && y === 0 && Math.abs(z) === 1 ? 2 : undefined;
};

/** True when the part's plane stands square to the axes and its edges stand square to it, so that its solid is bounded by upright planes
 *  or edges. */
export const isSquare = (part: Part): boolean =>
  part.upper === undefined && axisOf(part.pose.u) !== undefined && axisOf(normalOf(part.pose)) !== undefined;

/** True when the part is a whole rectangle drawn straight up: a box. */
export const isPlainBox = (part: Part): boolean =>
  part.upper === undefined && part.region.holes.length === 0 && asRect(part.region.outline) !== undefined;

/** The box round several boxes. */
export const around = (boxes: readonly Box[]): Box => ({
  min: vec3((axis) => Math.min(...boxes.map((box) => box.min[axis]))),
  max: vec3((axis) => Math.max(...boxes.map((box) => box.max[axis]))),
});

/** True when two boxes share volume. */
export const boxesOverlap = (a: Box, b: Box): boolean =>
  a.min[0] < b.max[0] && b.min[0] < a.max[0] && a.min[1] < b.max[1] && b.min[1] < a.max[1] && a.min[2] < b.max[2] && b.min[2] < a.max[2];

/** Parts with the box round each, and round all of them. */
export type Boxed = { readonly parts: readonly Part[]; readonly boxes: readonly Box[]; readonly whole: Box };

export const boxed = (parts: readonly Part[]): Boxed => {
  const boxes = parts.map(boxOf);
  return { parts, boxes, whole: boxes.length > 0 ? around(boxes) : { min: [0, 0, 0], max: [0, 0, 0] } };
};
