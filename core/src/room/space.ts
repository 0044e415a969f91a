// µm, doll size. A room as things stand in it: its clear plan, its walls and its floor, in the space of its assembly.
import { type Assembly, type Boxed, boxed } from '../assembly/index.ts';
import { floorCorner, type Means, type PlanBetween, type PlanSide, type Room, roomPlan } from '../piece/index.ts';
import type { Point, Vec3 } from '../shape/index.ts';

/** One side of the room as it is seen from inside. Doors are counted from its left end. */
export type RoomSide = PlanSide;

/** A room. `corner` is the clear plan's back left corner on the floor, in the assembly's space; points of the plan are from there, x to the right, z
 *  towards the viewer. */
export type RoomSpace = {
  readonly corner: Vec3;
  readonly ring: readonly Point[];
  readonly sides: readonly RoomSide[];
  readonly height: number;
  /** How far what runs round the walls at the floor stands out before them. */
  readonly skirting: number;
  /** Walls between rooms side by side: the strip of the plan that each takes, and doors in it from the back. */
  readonly between: readonly PlanBetween[];
  readonly shell: Boxed;
};

/** A point along a side, from its left end as it is seen from inside. */
export const pointOn = ({ from, to }: Pick<RoomSide, 'from' | 'to'>, along: number): Point => {
  const share = along / lengthOf({ from, to });
  return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
};

export const lengthOf = ({ from, to }: Pick<RoomSide, 'from' | 'to'>): number => Math.hypot(to[0] - from[0], to[1] - from[1]);

/** The space of a room that stands.
 *  Shape: room, its assembly, means → plan, sides, shell. Nothing where the floor is not found. */
export const spaceOf = (room: Room, assembly: Assembly, means: Means): RoomSpace | undefined => {
  const plan = roomPlan(room, means);
  const corner = floorCorner(room, assembly, plan);
  if (!corner) return undefined;
  const { ring, sides, clear, skirting, between } = plan;
  return {
    corner,
    ring,
    sides,
    height: clear,
    skirting,
    between,
    shell: boxed(assembly.parts),
  };
};
