import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { pieceFields } from '../family/base.ts';
import { GRIPS } from '../family/grips.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { anyStick, base, edgedStick, mm, side, some } from '../family/sizes.ts';

export const SEAT_ROLES = ['seat', 'carcass', 'back', 'tray'] as const;
export type SeatRole = (typeof SEAT_ROLES)[number];

export const seatSchema = z.strictObject({
  family: z.literal('seat'),
  ...pieceFields(SEAT_ROLES),
  name: textField(80).default('chair'),
  width: side.default(mm(450)),
  /** From the front to where the back leans farthest. */
  depth: side.default(mm(480)),
  /** Floor to the top of the back; what has no back is as high as its seat. */
  height: side.default(mm(850)),
  /** Floor to what is sat on, padding and all. */
  seat: side.default(mm(450)),
  shape: z.enum(['rectangle', 'round']).default('rectangle'),
  /** Legs of stick under the seat; two boards as sides; a box. */
  stands: z.enum(['sticks', 'sides', 'box']).default('sticks'),
  stick: anyStick.default('square dowel, 5 mm'),
  /** How far legs stand in from the seat's edge, above; how far they spread outwards from there to the floor. */
  inset: base.default(mm(20)),
  splay: base.default(mm(0)),
  /** Rungs all round, so high above the floor; null for none. */
  rungs: base.nullable().default(null),
  rung: edgedStick.default('square dowel, 3 mm'),
  back: z.enum(['none', 'board', 'rails', 'slats']).default('none'),
  post: edgedStick.default('square dowel, 5 mm'),
  /** How far the back leans back from the seat to its top, and how high above the seat a chair's back begins. */
  lean: base.default(mm(60)),
  backFrom: base.default(mm(120)),
  /** How many rails; the largest gap between slats. */
  rails: z.number().int().min(1).max(8).default(2),
  gap: some.default(mm(60)),
  /** Padding on the seat, so thick; on the back too; in so many cushions side by side. 0 for none. */
  pad: base.default(mm(0)),
  backPad: z.boolean().default(false),
  pads: z.number().int().min(1).max(5).default(1),
  /** Floor to the arms, which are the sides; null for none. */
  arms: base.nullable().default(null),
  /** Floor to the carcass: blocks of stick as feet. 0 stands on the floor. */
  feet: base.default(mm(0)),
  box: z.enum(['closed', 'lid', 'boxes']).default('closed'),
  boxes: z.number().int().min(1).max(6).default(2),
  grip: z.enum(GRIPS).default('none'),
});

/** Something to sit on: stool, chair, armchair, sofa, bench. */
export type Seat = PieceOf<typeof seatSchema>;

export const seatModel = defineModel({
  schema: seatSchema,
  roles: SEAT_ROLES,
  partsAbout: ({ boxes, pads }) => 30 + 10 * boxes + 2 * pads,
});
