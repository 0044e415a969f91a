import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { dollField, dollUm, type Measure, measureField, realUm, UM } from '../../measure/index.ts';
import { TOP_EDGES, type TopEdge } from '../../shape/index.ts';
import { STICK_NAMES, type StickName } from '../../stock/index.ts';
import { pieceFields } from '../family/base.ts';
import { GRIPS } from '../family/grips.ts';
import { defineModel, type PieceOf } from '../family/model.ts';

export const BED_ROLES = ['frame', 'head', 'base', 'drawer'] as const;
export type BedRole = (typeof BED_ROLES)[number];

/** A board at an end of a bed: how high it stands above the floor, and how its upper edge is shaped. A height below the rails' is theirs. */
export type EndBoard = { readonly height: Measure; readonly edge: TopEdge; readonly rise: Measure };

const some = measureField({ min: 5 * UM.mm, max: 5 * UM.m });
const base = measureField({ min: 0, max: 3 * UM.m });
const stick = z.enum(STICK_NAMES as [StickName, ...StickName[]]);
const mm = (millimetres: number) => realUm(millimetres * UM.mm);

const endBoard = (height: number): z.ZodDefault<z.ZodType<EndBoard>> =>
  z
    .strictObject({
      height: base.default(mm(height)),
      edge: z.enum(TOP_EDGES).default('straight'),
      rise: some.default(mm(150)),
    })
    .prefault({}) as unknown as z.ZodDefault<z.ZodType<EndBoard>>;

export const bedSchema = z.strictObject({
  family: z.literal('bed'),
  ...pieceFields(BED_ROLES),
  name: textField(80).default('bed'),
  mattressLength: some.default(mm(2000)),
  mattressWidth: some.default(mm(900)),
  mattressThickness: some.default(mm(180)),
  /** Room round the mattress for cloth, on each side. */
  play: dollField({ min: 0, max: 20 * UM.mm }).default(dollUm(1.5 * UM.mm)),
  /** Floor to what the mattress lies on. A loft bed's and a bunk's upper one follow from the clear height under them. */
  lies: base.default(mm(300)),
  /** How deep the mattress sits below the rails' upper edge; 0 lies on top of them. */
  recess: base.default(mm(60)),
  /** How high the rails are. */
  rail: some.default(mm(200)),
  head: endBoard(900),
  foot: endBoard(0),
  /** A board along the back, as on a daybed; null for none. */
  backBoard: endBoard(800).nullable().default(null),
  base: z.enum(['board', 'slats']).default('board'),
  slat: stick.default('craft stick'),
  /** The largest gap between slats. */
  slatGap: some.default(mm(80)),
  /** Legs of stick where no board reaches the floor, and the posts of beds one above the other. */
  post: stick.default('square dowel, 8 mm'),
  levels: z.enum(['one', 'loft', 'bunk']).default('one'),
  /** Clear height under the upper bed: from the floor, or from the mattress below. */
  clear: base.default(mm(1300)),
  ladder: z.enum(['none', 'left', 'right']).default('none'),
  rungs: some.default(mm(280)),
  /** Running drawers under the bed, side by side. */
  drawers: z.number().int().min(0).max(6).default(0),
  grip: z.enum(GRIPS).default('knob'),
});

/** A bed, drawn with its long side to the front and its head at the left. The mattress is what is held: everything is built round it. */
export type Bed = PieceOf<typeof bedSchema>;

export const bedModel = defineModel({
  schema: bedSchema,
  roles: BED_ROLES,
  partsAbout: ({ drawers, base, levels }) => 24 + 12 * drawers + (base === 'slats' ? 20 : 0) * (levels === 'bunk' ? 2 : 1),
});
