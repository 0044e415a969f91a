import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { dollField, dollUm, measureField, UM } from '../../measure/index.ts';
import { PRINT_STOCK_NAMES, type PrintStock } from '../../stock/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { base, mm } from '../family/sizes.ts';
import { artSchema } from './art.ts';

export const GOOD_ROLES = ['block', 'frame'] as const;
export type GoodRole = (typeof GOOD_ROLES)[number];

/** What can be folded, rolled or cut from paper. */
export const GOOD_FORMS = [
  'tray',
  'lidded box',
  'carton',
  'flat box',
  'case',
  'drawer box',
  'crate',
  'bag',
  'parcel',
  'envelope',
  'folder',
  'can',
  'tube',
  'cone',
  'pyramid',
  'prism',
  'ring',
  'awning',
  'house',
  'book',
  'spines',
  'leaves',
  'map',
  'sheet',
  'roll',
  'disc',
] as const;
export type GoodForm = (typeof GOOD_FORMS)[number];

/** What is inside a book's cover: nothing but a folded box with page edges, boards glued together, or its pages. */
export const BODIES = ['hollow', 'boards', 'pages'] as const;

/** How several stand: side by side, on one another, in rows. */
export const STANDS = ['row', 'stack', 'rows'] as const;

export const MOST_COPIES = 200;

const side = measureField({ min: 2 * UM.mm, max: 5 * UM.m });

const shelfSchema = z.strictObject({
  piece: textField(80, 1),
  bay: z.array(z.number().int().min(0).max(60)).max(8),
  gap: z.number().int().min(0).max(60).default(0),
});

export const goodSchema = z.strictObject({
  family: z.literal('paper'),
  ...pieceFields(GOOD_ROLES),
  name: textField(80).default('box'),
  form: z.enum(GOOD_FORMS).default('tray'),
  width: side.default(mm(300)),
  height: side.default(mm(150)),
  depth: side.default(mm(200)),
  /** Across the upper end of what tapers; the depth of a lid, a flap, a valance; across a hole, a window, a core: 0 for none. */
  above: base.default(mm(100)),
  lid: base.default(mm(50)),
  hole: base.default(mm(0)),
  /** Sides of a polygon. */
  sides: z.number().int().min(3).max(12).default(6),
  /** Folds of a map, fields of a sheet, slots of a crate: across and up. */
  across: z.number().int().min(1).max(12).default(1),
  up: z.number().int().min(1).max(12).default(1),
  /** Pages of what is read. */
  pages: z.number().int().min(1).max(2_000).default(8),
  body: z.enum(BODIES).default('hollow'),
  /** Boards in a cover: it is wrapped round them and turned in. */
  hard: z.boolean().default(false),
  /** Without a top; shut. */
  open: z.boolean().default(false),
  lies: z.boolean().default(false),
  /** Strips of board round a sheet, so wide. */
  border: base.default(mm(0)),
  /** What it is printed on, and how thick that is where it was measured. */
  on: z.enum(PRINT_STOCK_NAMES as [PrintStock, ...PrintStock[]]).default('card'),
  thickness: dollField({ min: 20, max: 2 * UM.mm })
    .nullable()
    .default(null),
  /** How deep tabs, overlaps and turn-ins are, and by how much a lid, sleeve or cover is larger on each side. */
  tab: dollField({ min: 1 * UM.mm, max: 30 * UM.mm }).default(dollUm(5 * UM.mm)),
  play: dollField({ min: 0, max: 5 * UM.mm }).default(dollUm(0.3 * UM.mm)),
  count: z.number().int().min(1).max(MOST_COPIES).default(1),
  stands: z.enum(STANDS).default('row'),
  /** Sizes differ from one to the next by at most this share, in hundredths, by chance that begins with the seed. */
  vary: z.number().int().min(0).max(60).default(0),
  seed: z.number().int().min(0).max(999_999).default(1),
  fills: shelfSchema.nullable().default(null),
  /** The colour of the paper or what is printed all over: swatches of the palette, taken in turn; none is the white of the paper. */
  grounds: z.array(textField(60, 1)).max(12).default([]),
  art: z.array(artSchema).max(80).default([]),
});

/** A small thing of paper or card, so many of it. */
export type Good = PieceOf<typeof goodSchema>;

export const paperModel = defineModel({
  schema: goodSchema,
  roles: GOOD_ROLES,
  partsAbout: ({ count, form, fills }) => (fills ? MOST_COPIES / 4 : count) * (form === 'book' || form === 'sheet' ? 4 : 1),
  small: true,
  host: ({ fills }) => fills?.piece ?? null,
});

/** Whether boards belong to a good: a block behind backs or between covers, a frame. */
export const hasBoards = ({ form, body, border, lies }: Good): boolean =>
  form === 'spines' || (form === 'book' && body === 'boards') || (form === 'sheet' && border !== 0 && !lies);
