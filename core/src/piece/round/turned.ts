import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { dollField, dollUm, type Measure, measureField, realUm, UM } from '../../measure/index.ts';
import { ROUND_STICKS, type StickName } from '../../stock/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';

export const ROUND_ROLES = ['disc', 'wall'] as const;
export type RoundRole = (typeof ROUND_ROLES)[number];

/** What a section of a round thing can be: a disc of board (a ring, with a hole in it), a tube or a cone of a rolled strip, a tube that was found, a
 *  dowel, a shade that hangs round the dowel below it, a rim round the disc below it, battlements, padding. */
export const SECTIONS = ['disc', 'tube', 'found tube', 'cone', 'stem', 'shade', 'rim', 'merlons', 'pad'] as const;
export type SectionKind = (typeof SECTIONS)[number];

/** One section. Which of its sizes mean something follows from what it is. */
export type Section = {
  readonly kind: SectionKind;
  /** Across the outside, below and above. */
  readonly across: Measure;
  readonly above: Measure;
  /** Across the hole of a ring, and inside battlements; 0 for none. */
  readonly hole: Measure;
  readonly height: Measure;
  readonly stick: StickName;
  readonly count: number;
};

export const MOST_SECTIONS = 20;

const across = measureField({ min: UM.mm, max: 5 * UM.m });
const base = measureField({ min: 0, max: 5 * UM.m });
const mm = (millimetres: number) => realUm(millimetres * UM.mm);

const sectionSchema: z.ZodType<Section> = z.strictObject({
  kind: z.enum(SECTIONS).default('disc'),
  across: across.default(mm(200)),
  above: across.default(mm(150)),
  hole: base.default(mm(0)),
  height: across.default(mm(30)),
  stick: z.enum(ROUND_STICKS as [StickName, ...StickName[]]).default('round dowel, 3 mm'),
  count: z.number().int().min(2).max(40).default(8),
});

export const roundSchema = z.strictObject({
  family: z.literal('round'),
  ...pieceFields(ROUND_ROLES),
  name: textField(80).default('round'),
  sections: z.array(sectionSchema).min(1).max(MOST_SECTIONS).prefault([{}]),
  /** How far the end of a rolled strip goes under its beginning. */
  lap: dollField({ min: 0, max: 30 * UM.mm }).default(dollUm(4 * UM.mm)),
});

/** Something round that stands on an upright axis: its sections, from below. */
export type Turned = PieceOf<typeof roundSchema>;

export const roundModel = defineModel({
  schema: roundSchema,
  roles: ROUND_ROLES,
  partsAbout: ({ sections }) => sections.reduce((sum, { kind, count }) => sum + (kind === 'merlons' ? 2 * count : 4), 0),
});

/** A section to begin with. */
export const newSection = (kind: SectionKind): Section => sectionSchema.parse({ kind });
