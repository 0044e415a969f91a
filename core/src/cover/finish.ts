import { z } from 'zod';
import { textField } from '../kit/index.ts';
import { type DollUm, dollField, dollUm, type RealUm, realField, UM } from '../measure/index.ts';
import { PRINT_STOCK_NAMES, type PrintStock } from '../stock/index.ts';
import { PATTERN_NAMES, PATTERNS, type PatternName } from './pattern/index.ts';
import type { PictureUse } from './picture.ts';

/** A colour of the set's palette. */
export type Swatch = { readonly id: string; readonly name: string; readonly colour: string };

/** What a covering looks like: one colour, or a pattern with its sizes as the real thing's, its inks by swatch (null keeps the pattern's
 *  own colour) and the number that its chance begins with. */
export type Art =
  | { readonly kind: 'plain'; readonly ink: string }
  | {
      readonly kind: 'pattern';
      readonly pattern: PatternName;
      readonly sizes: Readonly<Record<string, RealUm>>;
      readonly inks: readonly (string | null)[];
      readonly seed: number;
    }
  | PictureArt
  | SignArt;

/** A picture of the maker's own: as wide as she says the real thing is, or fitted to each face. */
export type PictureArt = Omit<PictureUse, 'width'> & { readonly kind: 'picture'; readonly across: RealUm | null };

/** Words on a ground, fitted into a box of an exact size in the middle of what wears them. */
export type SignArt = {
  readonly kind: 'sign';
  readonly words: string;
  readonly face: SignFace;
  readonly align: 'left' | 'middle';
  readonly ink: string;
  readonly ground: string;
  readonly border: boolean;
  readonly width: RealUm;
  readonly height: RealUm;
};

/** The shipped faces that signs are written in. */
export const SIGN_FACES = ['text', 'name', 'hand'] as const;
export type SignFace = (typeof SIGN_FACES)[number];

/** Where paper and film come from: the maker's printer, on one side or on both, for a sign that hangs; sheets of one size; a roll of one width. How many sheets, or how much of the roll,
 *  lie there, and what one sheet or a metre costs, where that is known. What is larger is laid in strips, edge to edge, or with a trim so wide
 *  over every seam. */
export type Supply =
  | { readonly kind: 'printed'; readonly on: PrintStock; readonly both: boolean }
  | ({ readonly kind: 'sheets'; readonly width: DollUm; readonly height: DollUm; readonly atHand: number } & Bought)
  | ({ readonly kind: 'roll'; readonly width: DollUm; readonly atHand: DollUm } & Bought);

type Bought = { readonly price: number | null; readonly trim: DollUm | null };

/** How the edges of a board are covered: by flaps of its paper, by strips as wide as the board, or not at all. */
export const EDGE_WAYS = ['wrapped', 'strips', 'raw'] as const;
export type EdgeWay = (typeof EDGE_WAYS)[number];

/** A finish of the swatch tray. */
export type Finish = {
  readonly id: string;
  readonly name: string;
  readonly how: 'paint' | 'paper' | 'film';
  readonly art: Art;
  readonly edges: EdgeWay;
  /** How far a flap goes on over the face behind. */
  readonly turn: DollUm;
  /** Coats of paint, and how many square metres a litre of it covers once. */
  readonly coats: number;
  readonly spread: number;
  readonly supply: Supply;
};

/** The sides of a sheet of patterned craft paper: common practice, no source. */
const CRAFT_SHEET = dollUm(12 * UM.in);

/** A trim as wide as a craft stick hides a seam, and is at hand: common practice, no source. */
export const USUAL_TRIM = dollUm(9.5 * UM.mm);

/** A litre of water-based paint covers about ten square metres once: usual on labels, recalled from memory. */
export const USUAL_SPREAD = 10;

const colour = z.string().regex(/^#[0-9a-f]{6}$/, 'A colour is # and six signs of 0–9 and a–f, such as #b0435a.');
const side = dollField({ min: 20 * UM.mm, max: 3 * UM.m });
const trim = dollField({ min: 1 * UM.mm, max: 60 * UM.mm })
  .nullable()
  .default(null);
const price = z.number().min(0).max(1e6).nullable().default(null);

export const swatchSchema: z.ZodType<Swatch> = z.strictObject({
  id: textField(60, 1),
  name: textField(60).default('colour'),
  colour,
});

const patternArt = z
  .strictObject({
    kind: z.literal('pattern'),
    pattern: z.enum(PATTERN_NAMES),
    sizes: z.record(z.string().max(40), realField({ min: 0, max: 10 * UM.m })).default({}),
    inks: z.array(textField(60, 1).nullable()).max(8).default([]),
    seed: z.number().int().min(0).max(999_999).default(1),
  })
  .superRefine(({ pattern, sizes }, context) => {
    for (const [key, value] of Object.entries(sizes)) {
      const known = PATTERNS[pattern].sizes[key];
      if (!known) context.addIssue({ code: 'custom', path: ['sizes', key], message: `${pattern} has no size “${key}”.` });
      else if (value < known.min * UM.mm || value > known.max * UM.mm)
        context.addIssue({
          code: 'custom',
          path: ['sizes', key],
          message: `${known.label}: between ${known.min} and ${known.max} mm on the real thing.`,
        });
    }
  });

const share = z.number().min(0).max(0.95).default(0);

const pictureArt = z
  .strictObject({
    kind: z.literal('picture'),
    picture: z.strictObject({
      id: z.string().regex(/^[0-9a-f]{64}$/, 'A picture is named by the 64 signs of its sum.'),
      width: z.number().int().min(1).max(100_000),
      height: z.number().int().min(1).max(100_000),
      name: textField(120).default('picture'),
    }),
    crop: z.strictObject({ left: share, right: share, top: share, bottom: share }).prefault({}),
    quarters: z.literal([0, 1, 2, 3]).default(0),
    tiles: z.enum(['once', 'repeat', 'mirror']).default('repeat'),
    across: realField({ min: 1 * UM.mm, max: 20 * UM.m })
      .nullable()
      .default(null),
  })
  .superRefine(({ crop }, context) => {
    if (crop.left + crop.right > 0.95 || crop.top + crop.bottom > 0.95)
      context.addIssue({ code: 'custom', path: ['crop'], message: 'At least a twentieth of the picture must be left.' });
  });

const LINES = 40;

/** Words line by line, as they are printed. */
export const wordsField = z
  .string()
  .max(600)
  .refine((text) => text.split('\n').length <= LINES, `At most ${LINES} lines.`)
  .refine((text) => !/[\p{Cc}\p{Cs}]/u.test(text.replaceAll('\n', '')), 'There is a sign in these words that cannot be written.');

const signArt = z.strictObject({
  kind: z.literal('sign'),
  words: wordsField,
  face: z.enum(SIGN_FACES).default('text'),
  align: z.enum(['left', 'middle']).default('middle'),
  ink: textField(60, 1),
  ground: textField(60, 1),
  border: z.boolean().default(true),
  width: realField({ min: 5 * UM.mm, max: 10 * UM.m }),
  height: realField({ min: 5 * UM.mm, max: 10 * UM.m }),
});

const artSchema: z.ZodType<Art> = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('plain'), ink: textField(60, 1) }),
  patternArt,
  pictureArt,
  signArt,
]);

const supplySchema: z.ZodType<Supply> = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('printed'),
    on: z.enum(PRINT_STOCK_NAMES as [PrintStock, ...PrintStock[]]).default('plain'),
    both: z.boolean().default(false),
  }),
  z.strictObject({
    kind: z.literal('sheets'),
    width: side.default(CRAFT_SHEET),
    height: side.default(CRAFT_SHEET),
    atHand: z.number().int().min(0).max(999).default(0),
    price,
    trim,
  }),
  z.strictObject({
    kind: z.literal('roll'),
    width: side.default(dollUm(450 * UM.mm)),
    atHand: dollField({ min: 0, max: 100 * UM.m }).default(dollUm(0)),
    price,
    trim,
  }),
]);

/** A supply of a kind, of the usual sizes, of which nothing is there yet. */
export const usualSupply = (kind: Supply['kind']): Supply => supplySchema.parse({ kind });

export const finishSchema: z.ZodType<Finish> = z.strictObject({
  id: textField(60, 1),
  name: textField(60).default('finish'),
  how: z.enum(['paint', 'paper', 'film']).default('paper'),
  art: artSchema,
  edges: z.enum(EDGE_WAYS).default('wrapped'),
  turn: dollField({ min: 0, max: 60 * UM.mm }).default(dollUm(8 * UM.mm)),
  coats: z.number().int().min(1).max(9).default(2),
  spread: z.number().min(1).max(40).default(USUAL_SPREAD),
  supply: supplySchema.prefault({ kind: 'printed' }),
});

/** The colours that a set begins with. */
export const FIRST_PALETTE: readonly Swatch[] = [
  { id: 'chalk', name: 'chalk white', colour: '#f4efe4' },
  { id: 'oat', name: 'oat', colour: '#d8c7a2' },
  { id: 'moss', name: 'moss', colour: '#6f8a5c' },
  { id: 'rose', name: 'bashful rose', colour: '#b0435a' },
  { id: 'slate', name: 'slate', colour: '#4d5a6b' },
  { id: 'walnut', name: 'walnut', colour: '#6b4a32' },
];
