import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import type { Measure } from '../../measure/index.ts';
import type { StickName } from '../../stock/index.ts';
import { type Piecelike, pieceFields } from '../kit/base.ts';
import { anyStick, base, edgedStick, mm, roundStick, side, some } from '../kit/sizes.ts';

export const STICKWORK_ROLES = ['base', 'finial'] as const;
export type StickworkRole = (typeof STICKWORK_ROLES)[number];

export const FORMS = ['fence', 'cot', 'rack', 'ladder', 'easel', 'rail', 'shelves', 'plate rack'] as const;
export type Form = (typeof FORMS)[number];

/** Frames of posts, rails and slats, and what else is made of sticks alone. */
export type Stickwork = Piecelike<'stickwork', StickworkRole> & {
  /** A fence or side of a cot; a cot; an A-frame to hang clothes on; a ladder that leans; an easel; a rod on the wall with finials; shelves of
   *  sticks; a rack for plates. */
  readonly form: Form;
  readonly width: Measure;
  readonly height: Measure;
  readonly depth: Measure;
  readonly post: StickName;
  readonly rail: StickName;
  readonly slat: StickName;
  /** What hangs or stands is carried by a round stick. */
  readonly rod: StickName;
  /** The largest gap between slats, pegs or rungs. */
  readonly gap: Measure;
  /** How many posts, rails, shelves, brackets. */
  readonly count: number;
  /** Floor to the lowest rail, shelf or ledge. */
  readonly low: Measure;
  /** Clear height between shelves. */
  readonly clear: Measure;
  /** Sticks glued on one another for a shelf. */
  readonly layers: number;
  /** A cot's front: slats like the others, or open, so that it is a small bed. */
  readonly front: 'slats' | 'open';
  /** How wide a finial is. */
  readonly knob: Measure;
};

export const stickworkSchema = z.strictObject({
  family: z.literal('stickwork'),
  ...pieceFields(STICKWORK_ROLES),
  name: textField(80).default('stickwork'),
  form: z.enum(FORMS).default('fence'),
  width: side.default(mm(1200)),
  height: side.default(mm(900)),
  depth: side.default(mm(600)),
  post: edgedStick.default('square dowel, 5 mm'),
  rail: edgedStick.default('square dowel, 5 mm'),
  slat: anyStick.default('square dowel, 3 mm'),
  rod: roundStick.default('round dowel, 5 mm'),
  gap: some.default(mm(60)),
  count: z.number().int().min(1).max(20).default(2),
  low: base.default(mm(150)),
  clear: some.default(mm(280)),
  layers: z.number().int().min(1).max(6).default(1),
  front: z.enum(['slats', 'open']).default('slats'),
  knob: some.default(mm(60)),
});
