import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import type { Measure } from '../../measure/index.ts';
import type { StickName } from '../../stock/index.ts';
import { type Piecelike, pieceFields } from '../kit/base.ts';
import { GRIPS, type Grip } from '../kit/grips.ts';
import { anyStick, base, edgedStick, mm, side, some } from '../kit/sizes.ts';

export const SEAT_ROLES = ['seat', 'carcass', 'back', 'tray'] as const;
export type SeatRole = (typeof SEAT_ROLES)[number];

/** Something to sit on: stool, chair, armchair, sofa, bench. */
export type Seat = Piecelike<'seat', SeatRole> & {
  readonly width: Measure;
  /** From the front to where the back leans farthest. */
  readonly depth: Measure;
  /** Floor to the top of the back; what has no back is as high as its seat. */
  readonly height: Measure;
  /** Floor to what is sat on, padding and all. */
  readonly seat: Measure;
  readonly shape: 'rectangle' | 'round';
  /** Legs of stick under the seat; two boards as sides; a box. */
  readonly stands: 'sticks' | 'sides' | 'box';
  readonly stick: StickName;
  /** How far legs stand in from the seat's edge, above; how far they spread outwards from there to the floor. */
  readonly inset: Measure;
  readonly splay: Measure;
  /** Rungs all round, so high above the floor; null for none. */
  readonly rungs: Measure | null;
  readonly rung: StickName;
  readonly back: 'none' | 'board' | 'rails' | 'slats';
  readonly post: StickName;
  /** How far the back leans back from the seat to its top, and how high above the seat a chair's back begins. */
  readonly lean: Measure;
  readonly backFrom: Measure;
  /** How many rails; the largest gap between slats. */
  readonly rails: number;
  readonly gap: Measure;
  /** Padding on the seat, so thick; on the back too; in so many cushions side by side. 0 for none. */
  readonly pad: Measure;
  readonly backPad: boolean;
  readonly pads: number;
  /** Floor to the arms, which are the sides; null for none. */
  readonly arms: Measure | null;
  /** Floor to the carcass: blocks of stick as feet. 0 stands on the floor. */
  readonly feet: Measure;
  readonly box: 'closed' | 'lid' | 'boxes';
  readonly boxes: number;
  readonly grip: Grip;
};

export const seatSchema = z.strictObject({
  family: z.literal('seat'),
  ...pieceFields(SEAT_ROLES),
  name: textField(80).default('chair'),
  width: side.default(mm(450)),
  depth: side.default(mm(480)),
  height: side.default(mm(850)),
  seat: side.default(mm(450)),
  shape: z.enum(['rectangle', 'round']).default('rectangle'),
  stands: z.enum(['sticks', 'sides', 'box']).default('sticks'),
  stick: anyStick.default('square dowel, 5 mm'),
  inset: base.default(mm(20)),
  splay: base.default(mm(0)),
  rungs: base.nullable().default(null),
  rung: edgedStick.default('square dowel, 3 mm'),
  back: z.enum(['none', 'board', 'rails', 'slats']).default('none'),
  post: edgedStick.default('square dowel, 5 mm'),
  lean: base.default(mm(60)),
  backFrom: base.default(mm(120)),
  rails: z.number().int().min(1).max(8).default(2),
  gap: some.default(mm(60)),
  pad: base.default(mm(0)),
  backPad: z.boolean().default(false),
  pads: z.number().int().min(1).max(5).default(1),
  arms: base.nullable().default(null),
  feet: base.default(mm(0)),
  box: z.enum(['closed', 'lid', 'boxes']).default('closed'),
  boxes: z.number().int().min(1).max(6).default(2),
  grip: z.enum(GRIPS).default('none'),
});
