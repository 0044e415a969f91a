import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { base, mm, roundStick, side } from '../family/sizes.ts';

export const WALL_ROLES = ['board', 'bracket', 'strip'] as const;
export type WallRole = (typeof WALL_ROLES)[number];

export const WALL_FORMS = ['shelf', 'pegs', 'frame', 'clock'] as const;
export const FRAMED = ['picture', 'mirror', 'sign'] as const;
export type WallForm = (typeof WALL_FORMS)[number];

export const wallThingSchema = z.strictObject({
  family: z.literal('wall'),
  ...pieceFields(WALL_ROLES),
  name: textField(80).default('wall shelf'),
  form: z.enum(WALL_FORMS).default('shelf'),
  /** What a frame is round: she looks into a mirror, so it hangs where her face is. */
  holds: z.enum(FRAMED).default('picture'),
  width: side.default(mm(600)),
  height: side.default(mm(200)),
  depth: side.default(mm(200)),
  /** Brackets or pegs side by side. */
  count: z.number().int().min(1).max(20).default(2),
  bracket: z.enum(['triangle', 'curved', 'square']).default('triangle'),
  /** A board on the wall behind the brackets; a shelf over the pegs. */
  backed: z.boolean().default(false),
  peg: roundStick.default('round dowel, 3 mm'),
  /** How far pegs rise towards their ends. */
  rise: base.default(mm(20)),
  /** How wide the frame's strips or the clock's rim are; 0 for none. */
  border: base.default(mm(40)),
  corners: z.enum(['mitred', 'butted']).default('mitred'),
  /** Clear sheet in front of the picture. */
  glazed: z.boolean().default(false),
});

/** Something flat that hangs on a wall: a shelf on brackets, a rail with pegs, a frame round a picture, mirror or sign, a clock. */
export type WallThing = PieceOf<typeof wallThingSchema>;

export const wallModel = defineModel({
  schema: wallThingSchema,
  roles: WALL_ROLES,
  partsAbout: ({ count }) => 8 + 2 * count,
});
