// µm, doll size. A room's plan: x to the right, z towards the viewer. Rings run so that the room is on the right of the way as it is drawn, with z
// downwards; every side is walked from left to right as it is seen from inside.
import { dollOf, type Measure, type Scale } from '../../measure/index.ts';
import type { Pose } from '../../shape/index.ts';
import { STICKS, type StickName } from '../../stock/index.ts';
import type { Means, Sheeting } from '../family/means.ts';
import { sheetsFor } from '../family/means.ts';
import { single } from '../parts/put.ts';
import { type Corner, ROOM_ROLES, type Room, type RoomRole } from './room.ts';
import { newWall, type Wall } from './wall.ts';

export type At = readonly [x: number, z: number];

/** One side of a plan: from its left end to its right one as seen from inside, the way it runs, and the way that leads into the room. */
export type Side = { readonly from: At; readonly to: At; readonly way: At; readonly inward: At; readonly length: number };

const WALLED: ReadonlySet<Wall['kind']> = new Set(['wall', 'removable', 'shop']);

export const isWalled = ({ kind }: Wall): boolean => WALLED.has(kind);

const NONE_THERE = newWall({ kind: 'open' });

/** A wall of a plan by its number; open where a plan of its own has none. */
export const wallAt = ({ walls }: Pick<RoomPlan, 'walls'>, index: number): Wall => walls[index] ?? NONE_THERE;

export const sideBetween = (from: At, to: At): Side => {
  const [dx, dz] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dz);
  const way = [dx / length + 0, dz / length + 0] as const;
  return { from, to, way, inward: [0 - way[1], way[0]], length };
};

export const sidesOf = (ring: readonly At[]): readonly Side[] =>
  ring.map((from, index) => sideBetween(from, ring[(index + 1) % ring.length] as At));

/** A point of a side: so far along it, and so far into the room. */
export const pointAt = ({ from, way, inward }: Side, along: number, into = 0): At => [
  from[0] + way[0] * along + inward[0] * into,
  from[1] + way[1] * along + inward[1] * into,
];

/** A pose on a side: x runs along it from its left end, y up; it looks into the room. */
export const poseOn = (side: Side, into: number, up: number): Pose => {
  const [x, z] = pointAt(side, 0, into);
  return { origin: [x, up, z], u: [side.way[0], 0, side.way[1]], v: [0, 1, 0] };
};

/** By how much the way turns from one side to the next: its sine, positive where the corner is an ordinary one, and its cosine. */
export const turnOf = (before: Side, after: Side): { readonly sin: number; readonly cos: number } => ({
  sin: before.way[0] * after.way[1] - before.way[1] * after.way[0],
  cos: before.way[0] * after.way[0] + before.way[1] * after.way[1],
});

/** Where the corner between two sides goes when each is moved out of the room by so much. */
export const cornerOut = (before: Side, after: Side, outBefore: number, outAfter: number): At => {
  const [px, pz] = after.from;
  const [ax, az, bx, bz] = [-before.inward[0], -before.inward[1], -after.inward[0], -after.inward[1]];
  const turn = ax * bz - az * bx;
  // Sides that run on in one line have one distance.
  if (Math.abs(turn) < 1e-9) return [px + ax * outBefore, pz + az * outBefore];
  return [px + (outBefore * bz - outAfter * az) / turn, pz + (ax * outAfter - bx * outBefore) / turn];
};

/** A ring with each side moved out by its own distance, corners rounded to the micrometre. */
export const movedOut = (ring: readonly At[], out: readonly number[]): readonly At[] => {
  const sides = sidesOf(ring);
  return ring.map((_, index): At => {
    const last = (index + ring.length - 1) % ring.length;
    const [x, z] = cornerOut(sides[last] as Side, sides[index] as Side, out[last] as number, out[index] as number);
    return [Math.round(x) + 0, Math.round(z) + 0];
  });
};

/** What strips are cut from: board of a thickness, or a stick, which is as wide as it is. */
export type StripStock = { readonly sheet: Sheeting; readonly thick: number; readonly stick: StickName | null };

/** How wide a strip is: as it was decided, or as its stick; none stays none. */
export const stripWide = ({ stick }: StripStock, decided: number): number => (stick && decided > 0 ? STICKS[stick].width : decided);

export type RoomPlan = {
  readonly room: Room;
  readonly means: Means;
  readonly sheets: Readonly<Record<RoomRole, Sheeting>>;
  readonly doll: (measure: Measure) => number;
  /** The clear room's corners; the walls by side; how thick each is, nought where there is none. */
  readonly ring: readonly At[];
  readonly walls: readonly Wall[];
  readonly corners: readonly Corner[];
  readonly thick: readonly number[];
  /** Where a wall between two cells begins and how far it is clear on its left. */
  readonly cells: readonly { readonly x0: number; readonly x1: number }[];
  /** The height of what is clear, and how high one storey is with its floor. */
  readonly clear: number;
  readonly strip: StripStock;
  /** How much higher its walls are filled up to stand level with what it is joined to. */
  readonly raise: number;
  /** How high the face is that strips run on: to what it is filled up to, where no ceiling lies between. */
  readonly tall: number;
  /** What strips over the seams to its neighbours take at the left and the right end of its back wall. */
  readonly seamed: readonly [left: number, right: number];
};

const USUAL: readonly Corner[] = ['right', 'left', 'left', 'right'];

const ownRing = ({ points, pointsAre }: Room, { doll, real }: Scale): readonly At[] => {
  const factor = pointsAre === 'doll' ? 1 : doll / real;
  const scaled = points.map(([x, z]): At => [Math.round(x * factor), Math.round(z * factor)]);
  const [left, back] = [Math.min(...scaled.map(([x]) => x)), Math.min(...scaled.map(([, z]) => z))];
  return scaled.map(([x, z]): At => [x - left, z - back]);
};

/** The plan of a room as it is decided, the back left corner of the clear room at the origin. */
export const shellPlanOf = (
  room: Room,
  means: Means,
  { raise = 0, seamed = [0, 0] }: Partial<Pick<RoomPlan, 'raise' | 'seamed'>> = {},
): RoomPlan => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const sheets = sheetsFor(room, ROOM_ROLES, means);
  const count = room.plan === 'own' ? room.points.length : 4;
  const walls = Array.from(
    { length: count },
    (_, index) => room.walls[index] ?? newWall(index === 2 && count === 4 ? { kind: 'open' } : {}),
  );
  const corners = Array.from(
    { length: count },
    (_, index) => room.corners[index] ?? (room.plan === 'own' ? 'mitred' : (USUAL[index] as Corner)),
  );
  const t = sheets.wall.thickness;
  const thick = walls.map((wall) => (isWalled(wall) ? t : 0));
  const outer = room.hold === 'outside';
  const [tb, tr, tf, tl] = thick as [number, number, number, number];
  // The strips that face a shop's pillars stand out beyond its wall.
  const [fb, fr, ff, fl] = walls.map(({ kind }) => (kind === 'shop' ? single(sheets.trim).one : 0)) as [number, number, number, number];
  const width = doll(room.width) - (outer ? tl + tr + fl + fr : 0);
  const depth = doll(room.depth) - (outer ? tb + tf + fb + ff : 0);
  const below = sheets.floor.thickness;
  const clear = doll(room.height) - (outer ? below + (room.ceiling && room.storeys === 1 ? below : 0) : 0);
  const ring: readonly At[] =
    room.plan === 'own'
      ? ownRing(room, means.scale)
      : [
          [0, 0],
          [width, 0],
          [width, depth],
          [0, depth],
        ];
  const cells = room.plan === 'own' ? 1 : room.cells;
  const each = (width - (cells - 1) * t) / cells;
  const at = (number: number): number => Math.round(number * (each + t));
  return {
    room,
    means,
    sheets,
    doll,
    ring,
    walls,
    corners,
    thick,
    cells: Array.from({ length: cells }, (_, index) => ({ x0: at(index), x1: index === cells - 1 ? width : at(index + 1) - t })),
    clear,
    strip: {
      sheet: single(sheets.trim),
      thick: room.trimStick ? STICKS[room.trimStick].thickness : sheets.trim.one,
      stick: room.trimStick,
    },
    raise,
    tall: clear + (room.ceiling ? 0 : raise),
    seamed,
  };
};

/** The walls between cells, from the left. */
export const betweenOf = ({ room, cells }: RoomPlan): readonly Wall[] =>
  Array.from({ length: cells.length - 1 }, (_, index) => room.between[index] ?? newWall());
