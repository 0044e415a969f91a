import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { measureField, realUm, UM } from '../../measure/index.ts';
import { STICK_NAMES, type StickName } from '../../stock/index.ts';
import { pieceFields } from '../family/base.ts';
import { GRIPS } from '../family/grips.ts';
import { defineModel, type PieceOf } from '../family/model.ts';

export const TABLE_ROLES = ['top', 'apron', 'leg', 'drawer'] as const;
export type TableRole = (typeof TABLE_ROLES)[number];

const side = measureField({ min: 10 * UM.mm, max: 10 * UM.m });
const base = measureField({ min: 0, max: 2 * UM.m });
const some = measureField({ min: UM.mm, max: 2 * UM.m });
const mm = (millimetres: number) => realUm(millimetres * UM.mm);

export const tableSchema = z.strictObject({
  family: z.literal('table'),
  ...pieceFields(TABLE_ROLES),
  name: textField(80).default('table'),
  width: side.default(mm(1600)),
  depth: side.default(mm(800)),
  /** Floor to the top's upper face. */
  height: side.default(mm(740)),
  shape: z.enum(['rectangle', 'round']).default('rectangle'),
  /** Legs of stick, two boards at a right angle, whole boards at both ends, trestles, or brackets on the wall. */
  stands: z.enum(['sticks', 'L', 'panels', 'trestles', 'wall']).default('sticks'),
  stick: z.enum(STICK_NAMES as [StickName, ...StickName[]]).default('square dowel, 10 mm'),
  /** How wide an L is on each side, and how high and wide a trestle's members are. */
  legWidth: some.default(mm(90)),
  /** How far legs stand in from the top's edge. */
  inset: base.default(mm(40)),
  /** How high the aprons are; 0 for none. */
  apron: base.default(mm(90)),
  stretchers: z.enum(['none', 'H', 'all round']).default('none'),
  stretcherUp: base.default(mm(150)),
  /** Running drawers side by side behind the front apron's place. */
  drawers: z.number().int().min(0).max(6).default(0),
  grip: z.enum(GRIPS).default('knob'),
  /** Triangular brackets under a top on the wall, and how high they are; folded aside, the top folds down. */
  brackets: z.number().int().min(2).max(8).default(2),
  bracketHeight: some.default(mm(300)),
  folds: z.boolean().default(false),
  /** What the table must pass under: the height of a sill, a shelf, another top; null for nothing. */
  under: base.nullable().default(null),
});

/** A table or desk: a top, what carries it, and what holds that together. */
export type Table = PieceOf<typeof tableSchema>;

export const tableModel = defineModel({
  schema: tableSchema,
  roles: TABLE_ROLES,
  partsAbout: ({ drawers }) => 20 + 12 * drawers,
});
