import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { anyStick, base, edgedStick, mm, roundStick, side, some } from '../family/sizes.ts';

export const STICKWORK_ROLES = ['base', 'finial'] as const;
export type StickworkRole = (typeof STICKWORK_ROLES)[number];

export const FORMS = ['fence', 'cot', 'rack', 'ladder', 'easel', 'rail', 'shelves', 'plate rack'] as const;
export type Form = (typeof FORMS)[number];

export const stickworkSchema = z.strictObject({
  family: z.literal('stickwork'),
  ...pieceFields(STICKWORK_ROLES),
  name: textField(80).default('stickwork'),
  /** A fence or side of a cot; a cot; an A-frame to hang clothes on; a ladder that leans; an easel; a rod on the wall with finials; shelves of
   *  sticks; a rack for plates. */
  form: z.enum(FORMS).default('fence'),
  width: side.default(mm(1200)),
  height: side.default(mm(900)),
  depth: side.default(mm(600)),
  post: edgedStick.default('square dowel, 5 mm'),
  rail: edgedStick.default('square dowel, 5 mm'),
  slat: anyStick.default('square dowel, 3 mm'),
  /** What hangs or stands is carried by a round stick. */
  rod: roundStick.default('round dowel, 5 mm'),
  /** The largest gap between slats, pegs or rungs. */
  gap: some.default(mm(60)),
  /** How many posts, rails, shelves, brackets. */
  count: z.number().int().min(1).max(20).default(2),
  /** Floor to the lowest rail, shelf or ledge. */
  low: base.default(mm(150)),
  /** Clear height between shelves. */
  clear: some.default(mm(280)),
  /** Sticks glued on one another for a shelf. */
  layers: z.number().int().min(1).max(6).default(1),
  /** A cot's front: slats like the others, or open, so that it is a small bed. */
  front: z.enum(['slats', 'open']).default('slats'),
  /** How wide a finial is. */
  knob: some.default(mm(60)),
});

/** Frames of posts, rails and slats, and what else is made of sticks alone. */
export type Stickwork = PieceOf<typeof stickworkSchema>;

export const stickworkModel = defineModel({
  schema: stickworkSchema,
  roles: STICKWORK_ROLES,
  partsAbout: ({ count, layers }) => 60 + 4 * count * layers,
});
