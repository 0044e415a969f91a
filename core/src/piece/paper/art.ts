// What is printed on the panels of a small good.
import { z } from 'zod';
import { SIGN_FACES, type SignFace, wordsField } from '../../cover/index.ts';
import { textField } from '../../kit/index.ts';
import { type Measure, measureField, UM } from '../../measure/index.ts';

/** Drawings that ship: columns of print, staves, a month, squares of a board, an address with its stamp, a stamp, land and water, the edges of pages,
 *  ruled lines, a frame. */
export const MOTIFS = [
  'none',
  'print',
  'staves',
  'month',
  'squares',
  'address',
  'stamp',
  'land',
  'page edges',
  'lines',
  'frame',
  'stripes',
  'slate',
] as const;
export type Motif = (typeof MOTIFS)[number];

/** The art of one panel, or of several that it is laid across. */
export type PrintedArt = {
  /** The panel that it stands on; what is laid across others begins with this one. */
  readonly panel: string;
  readonly across: readonly string[];
  /** A colour of the palette; a finish of the tray; null leaves the paper as it is. */
  readonly ground: string | null;
  readonly finish: string | null;
  readonly motif: Motif;
  /** Words, line by line. “{n}” is the number of the copy, “{title}” and “{name}” come from the word list. */
  readonly words: string;
  readonly face: SignFace;
  readonly align: 'left' | 'middle';
  readonly ink: string | null;
  /** How high its letters are, from the foot of a line to the next; null fills the panel. */
  readonly high: Measure | null;
  /** Quarters that it is turned by, counter-clockwise, from the right way up. */
  readonly turn: 0 | 1 | 2 | 3;
};

export const artSchema: z.ZodType<PrintedArt> = z.strictObject({
  panel: textField(60, 1),
  across: z.array(textField(60, 1)).max(20).default([]),
  ground: textField(60, 1).nullable().default(null),
  finish: textField(60, 1).nullable().default(null),
  motif: z.enum(MOTIFS).default('none'),
  words: wordsField.default(''),
  face: z.enum(SIGN_FACES).default('text'),
  align: z.enum(['left', 'middle']).default('middle'),
  ink: textField(60, 1).nullable().default(null),
  high: measureField({ min: 0.2 * UM.mm, max: 3 * UM.m })
    .nullable()
    .default(null),
  turn: z.literal([0, 1, 2, 3]).default(0),
});

/** The art that a panel begins with. */
export const newArt = (panel: string): PrintedArt => artSchema.parse({ panel });
