import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { type Measure, measureField, realUm, UM } from '../../measure/index.ts';
import { FIGURES, type OutlineName } from '../../shape/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';

export const STACK_ROLES = ['first', 'second', 'third'] as const;
export type StackRole = (typeof STACK_ROLES)[number];

export const OUTLINE_KINDS = [...FIGURES, 'own'] as const;
export type OutlineKind = OutlineName | 'own';

/** One layer of an outline: larger or smaller all round, solid or a rim so wide, in so many boards. `beside` lies at the level of the one before
 *  it, in its opening or round it. */
export type StackLayer = {
  readonly out: Measure;
  readonly in: Measure;
  readonly rim: Measure;
  readonly boards: number;
  readonly board: StackRole;
  readonly level: 'on' | 'beside';
};

export const MOST_LAYERS = 20;
export const MOST_POINTS = 5_000;

const side = measureField({ min: 2 * UM.mm, max: 10 * UM.m });
const base = measureField({ min: 0, max: 2 * UM.m });
const mm = (millimetres: number) => realUm(millimetres * UM.mm);

const layerSchema: z.ZodType<StackLayer> = z.strictObject({
  out: base.default(mm(0)),
  in: base.default(mm(0)),
  rim: base.default(mm(0)),
  boards: z.number().int().min(1).max(12).default(1),
  board: z.enum(STACK_ROLES).default('first'),
  level: z.enum(['on', 'beside']).default('on'),
});

const coordinate = z.number().int().min(-1e9).max(1e9);
const ring = z
  .array(z.tuple([coordinate, coordinate]))
  .min(3)
  .max(MOST_POINTS);

export const stackSchema = z.strictObject({
  family: z.literal('stack'),
  ...pieceFields(STACK_ROLES),
  name: textField(80).default('shape'),
  outline: z.enum(OUTLINE_KINDS).default('circle'),
  width: side.default(mm(300)),
  height: side.default(mm(300)),
  /** Corners of a polygon, points of a star, spikes of a crown. */
  corners: z.number().int().min(3).max(24).default(5),
  /** How far a rounded rectangle's corners are rounded. */
  round: base.default(mm(40)),
  /** The maker's own outline: rings of points in any unit, y up, the outer one first; stretched to fill width and height. */
  points: z
    .array(ring)
    .max(60)
    .default([])
    .refine(
      (rings) => rings.reduce((sum, each) => sum + each.length, 0) <= MOST_POINTS,
      `An outline has ${MOST_POINTS} points at the most.`,
    ),
  lies: z.enum(['lies', 'stands']).default('lies'),
  layers: z.array(layerSchema).min(1).max(MOST_LAYERS).prefault([{}]),
});

/** Things of any outline in layers: signs, cakes, pans, clouds. */
export type Stack = PieceOf<typeof stackSchema>;

export const stackModel = defineModel({
  schema: stackSchema,
  roles: STACK_ROLES,
  partsAbout: ({ layers }) => layers.reduce((sum, { boards }) => sum + boards, 0),
});

/** A layer to begin with. */
export const newLayer = (): StackLayer => layerSchema.parse({});
