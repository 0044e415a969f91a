import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { dollField, dollUm, measureField, UM } from '../../measure/index.ts';
import { PRINT_STOCK_NAMES, type PrintStock, STICK_NAMES, type StickName } from '../../stock/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { placeSchema } from '../family/place.ts';
import { base, mm } from '../family/sizes.ts';

export const ODD_ROLES = ['body', 'base'] as const;
export type OddRole = (typeof ODD_ROLES)[number];

/** Things that are put together of this and that, or found. */
export const ODD_FORMS = [
  'lamp',
  'plant',
  'vase',
  'candle',
  'cake',
  'loaf',
  'bottle',
  'plate',
  'tray',
  'pencil',
  'hanger',
  'key',
  'frame',
  'log',
] as const;
export type OddForm = (typeof ODD_FORMS)[number];

export const MOST_ODD_COPIES = 60;

const side = measureField({ min: UM.mm, max: 4 * UM.m });
const whole = (least: number, most: number, usual: number) => z.number().int().min(least).max(most).default(usual);

export const oddSchema = z.strictObject({
  family: z.literal('odd'),
  ...pieceFields(ODD_ROLES),
  name: textField(80).default('lamp'),
  form: z.enum(ODD_FORMS).default('lamp'),
  width: side.default(mm(300)),
  height: side.default(mm(500)),
  depth: side.default(mm(200)),
  /** Across the other end of what tapers: above a shade, under a pot; a bottle's neck; what is eaten off a plate. */
  above: base.default(mm(160)),
  /** How high a shade, a pot, a bottle's shoulder is; how long a point or a hook. */
  part: base.default(mm(200)),
  /** Across a foot or base. */
  foot: base.default(mm(160)),
  /** Sides of a thing that is cut with straight cuts instead of round; fewer than three are round. */
  sides: whole(0, 24, 0),
  /** Slices that it is cut into, and how many of them are gone. */
  slices: whole(1, 24, 1),
  gone: whole(0, 23, 0),
  /** Leaves, things for decoration, so large. */
  extras: whole(0, 60, 8),
  bead: dollField({ min: 0.5 * UM.mm, max: 30 * UM.mm }).default(dollUm(3 * UM.mm)),
  stick: z.enum(STICK_NAMES as [StickName, ...StickName[]]).default('round dowel, 3 mm'),
  /** What is rolled or folded of it, and how thick that is where it was measured. */
  on: placeSchema.nullable().default(null),
  paper: z.enum(PRINT_STOCK_NAMES as [PrintStock, ...PrintStock[]]).default('card'),
  thickness: dollField({ min: 20, max: 3 * UM.mm })
    .nullable()
    .default(null),
  tab: dollField({ min: UM.mm, max: 30 * UM.mm }).default(dollUm(4 * UM.mm)),
  /** Colours of the palette for what is printed, in turn. */
  grounds: z.array(textField(60, 1)).max(12).default([]),
  /** Made by the recipe, or found: then it only takes its place. */
  found: z.boolean().default(false),
  count: whole(1, MOST_ODD_COPIES, 1),
});

/** A found or mixed thing, so many of it. */
export type OddThing = PieceOf<typeof oddSchema>;

export const oddModel = defineModel({
  schema: oddSchema,
  roles: ODD_ROLES,
  partsAbout: ({ count, slices }) => count * (4 + 2 * slices),
  small: true,
  host: ({ on }) => on?.piece ?? null,
});
