// µm, doll size. Pieces moved and turned to where they stand in a room.
import { type Assembly, around, type Boxed, boxed, boxOf, type Motion, movedMotion, type Part } from '../assembly/index.ts';
import { add, minus, movedPose, turnUpright, type Vec3 } from '../shape/index.ts';
import type { Placement } from './layout.ts';
import type { RoomSpace } from './space.ts';

/** A turn about the upright axis through a point, which then comes to another. */
type Move = { readonly turn: (way: Vec3) => Vec3; readonly from: Vec3; readonly to: Vec3 };

/** Cosine and sine of whole degrees; quarters exactly. */
const turnOf = (degrees: number): { readonly cos: number; readonly sin: number } => {
  const quarter = degrees / 90;
  if (Number.isInteger(quarter)) {
    const at = ((quarter % 4) + 4) % 4;
    return { cos: [1, 0, -1, 0][at] as number, sin: [0, 1, 0, -1][at] as number };
  }
  return { cos: Math.cos((degrees * Math.PI) / 180), sin: Math.sin((degrees * Math.PI) / 180) };
};

const reaches = new WeakMap<Assembly, Boxed['whole']>();

/** The box round all parts of an assembly: knobs, and strips behind joints, need their room too. */
const reachOf = (assembly: Assembly): Boxed['whole'] => {
  const known = reaches.get(assembly) ?? around(assembly.parts.map(boxOf));
  reaches.set(assembly, known);
  return known;
};

/** How an assembly comes to its place: it turns about the middle of the floor that it covers, and that comes to the place. */
const moveTo = (assembly: Assembly, { x, z, up, turn }: Placement, { corner }: RoomSpace): Move => {
  const { min, max } = reachOf(assembly);
  const from: Vec3 = [(min[0] + max[0]) / 2, min[1], (min[2] + max[2]) / 2];
  const quarter = turn % 180 === 90;
  const [wide, deep] = quarter ? [max[2] - min[2], max[0] - min[0]] : [max[0] - min[0], max[2] - min[2]];
  // Odd sizes would put corners between two micrometres: the left back corner falls on a whole one.
  const whole = (middle: number, size: number): number => Math.round(middle - size / 2) + size / 2;
  const { cos, sin } = turnOf(turn);
  return { turn: turnUpright(cos, sin), from, to: [whole(corner[0] + x, wide), corner[1] + up, whole(corner[2] + z, deep)] };
};

/** Parts that belong to a piece, as they lie in the room where it stands: what nobody has made, like the room that legs take before a seat. */
export const besideIt = (assembly: Assembly, placed: Placement, space: RoomSpace, parts: readonly Part[]): Boxed => {
  const { turn, from, to } = moveTo(assembly, placed, space);
  return boxed(parts.map((part): Part => ({ ...part, pose: movedPose(part.pose, turn, from, to) })));
};

/** A piece where it stands: its parts in the room's space with their boxes, and what turns or slides of it. */
export type StandingThing = { readonly placed: Placement; readonly body: Boxed; readonly motions: readonly Motion[]; readonly size: Vec3 };

/** Puts a piece where it was placed. */
export const standAt = (assembly: Assembly, placed: Placement, space: RoomSpace): StandingThing => {
  const { turn, from, to } = moveTo(assembly, placed, space);
  const { min, max } = reachOf(assembly);
  return {
    placed,
    body: besideIt(assembly, placed, space, assembly.parts),
    motions: assembly.motions.map((motion) => movedMotion(motion, (at) => add(to, turn(minus(at, from))), turn)),
    size: minus(max, min),
  };
};
