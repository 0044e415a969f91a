// µm, doll size. Pieces moved and turned to where they stand in a room.
import { type Assembly, around, type Boxed, boxOf, type Motion, type Part } from '../assembly/index.ts';
import type { Pose, Vec3 } from '../shape/index.ts';
import type { Placed } from './layout.ts';
import { boxed, type RoomSpace } from './space.ts';

/** A turn about the upright axis and a move. */
type Move = { readonly cos: number; readonly sin: number; readonly from: Vec3; readonly to: Vec3 };

/** Cosine and sine of whole degrees; quarters exactly. */
const turnOf = (degrees: number): { readonly cos: number; readonly sin: number } => {
  const quarter = degrees / 90;
  if (Number.isInteger(quarter)) {
    const at = ((quarter % 4) + 4) % 4;
    return { cos: [1, 0, -1, 0][at] as number, sin: [0, 1, 0, -1][at] as number };
  }
  return { cos: Math.cos((degrees * Math.PI) / 180), sin: Math.sin((degrees * Math.PI) / 180) };
};

const wayIn = ({ cos, sin }: Move, [x, y, z]: Vec3): Vec3 => [x * cos + z * sin + 0, y, z * cos - x * sin + 0];

const pointIn = (move: Move, [x, y, z]: Vec3): Vec3 => {
  const [dx, dy, dz] = wayIn(move, [x - move.from[0], y - move.from[1], z - move.from[2]]);
  return [move.to[0] + dx, move.to[1] + dy, move.to[2] + dz];
};

const reaches = new WeakMap<Assembly, Boxed['whole']>();

/** The box round all parts of an assembly: knobs, and strips behind joints, need their room too. */
const reachOf = (assembly: Assembly): Boxed['whole'] => {
  const known = reaches.get(assembly) ?? around(assembly.parts.map(boxOf));
  reaches.set(assembly, known);
  return known;
};

/** How an assembly comes to its place: it turns about the middle of the floor that it covers, and that comes to the place. */
const moveTo = (assembly: Assembly, { x, z, up, turn }: Placed, { corner }: RoomSpace): Move => {
  const { min, max } = reachOf(assembly);
  const from: Vec3 = [(min[0] + max[0]) / 2, min[1], (min[2] + max[2]) / 2];
  const quarter = turn % 180 === 90;
  const [wide, deep] = quarter ? [max[2] - min[2], max[0] - min[0]] : [max[0] - min[0], max[2] - min[2]];
  // Odd sizes would put corners between two micrometres: the left back corner falls on a whole one.
  const whole = (middle: number, size: number): number => Math.round(middle - size / 2) + size / 2;
  return { ...turnOf(turn), from, to: [whole(corner[0] + x, wide), corner[1] + up, whole(corner[2] + z, deep)] };
};

const poseIn = (move: Move, { origin, u, v }: Pose): Pose => ({ origin: pointIn(move, origin), u: wayIn(move, u), v: wayIn(move, v) });

/** A piece where it stands: its parts in the room's space with their boxes, and what turns or slides of it. */
export type Standing = { readonly placed: Placed; readonly body: Boxed; readonly motions: readonly Motion[]; readonly size: Vec3 };

const partsAt = (parts: readonly Part[], move: Move): readonly Part[] => parts.map((part) => ({ ...part, pose: poseIn(move, part.pose) }));

/** Puts a piece where it was placed. */
export const standAt = (assembly: Assembly, placed: Placed, space: RoomSpace): Standing => {
  const move = moveTo(assembly, placed, space);
  const { min, max } = reachOf(assembly);
  return {
    placed,
    body: boxed(partsAt(assembly.parts, move)),
    motions: assembly.motions.map(
      (motion): Motion =>
        motion.kind === 'swing'
          ? { ...motion, at: pointIn(move, motion.at), along: wayIn(move, motion.along) }
          : { ...motion, along: wayIn(move, motion.along) },
    ),
    size: [max[0] - min[0], max[1] - min[1], max[2] - min[2]],
  };
};

/** A turn about any axis: Rodrigues' rotation. */
const turnedAbout = ([kx, ky, kz]: Vec3, angle: number): ((vector: Vec3) => Vec3) => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return ([x, y, z]) => {
    const along = (kx * x + ky * y + kz * z) * (1 - cos);
    return [
      x * cos + (ky * z - kz * y) * sin + kx * along,
      y * cos + (kz * x - kx * z) * sin + ky * along,
      z * cos + (kx * y - ky * x) * sin + kz * along,
    ];
  };
};

/** What moves of a piece, moved by a share of its way. */
export const movedBy = ({ body }: Standing, motion: Motion, share: number): Boxed => {
  const moving = new Set(motion.parts);
  const parts = body.parts.filter(({ id }) => moving.has(id));
  if (motion.kind === 'slide') {
    const [dx, dy, dz] = motion.along.map((value) => value * motion.by * share) as unknown as Vec3;
    return boxed(
      parts.map((part) => ({
        ...part,
        pose: { ...part.pose, origin: [part.pose.origin[0] + dx, part.pose.origin[1] + dy, part.pose.origin[2] + dz] },
      })),
    );
  }
  const turn = turnedAbout(motion.along, motion.angle * share);
  const { at } = motion;
  return boxed(
    parts.map((part) => {
      const [x, y, z] = turn([part.pose.origin[0] - at[0], part.pose.origin[1] - at[1], part.pose.origin[2] - at[2]]);
      return { ...part, pose: { origin: [at[0] + x, at[1] + y, at[2] + z], u: turn(part.pose.u), v: turn(part.pose.v) } };
    }),
  );
};
