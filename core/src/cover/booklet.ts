// Something to read that folds: a menu, a timetable, a stamp book. Sizes are the real thing's.
import { z } from 'zod';
import { textField } from '../kit/index.ts';
import { type RealUm, realField, UM } from '../measure/index.ts';
import { PRINT_STOCK_NAMES, type PrintStock } from '../stock/index.ts';

import { SIGN_FACES, type SignFace, wordsField } from './finish.ts';

/** `pages` in the order in which they are read, the first is the cover and the last the back; `width` and `height` are those of the closed
 *  booklet. `ink` and `ground` are colours of the palette. */
export type Booklet = {
  readonly id: string;
  readonly name: string;
  readonly width: RealUm;
  readonly height: RealUm;
  readonly pages: readonly string[];
  readonly face: SignFace;
  readonly align: 'left' | 'middle';
  readonly ink: string;
  readonly ground: string;
  readonly on: PrintStock;
};

export const bookletSchema: z.ZodType<Booklet> = z.strictObject({
  id: textField(60, 1),
  name: textField(60).default('booklet'),
  width: realField({ min: 20 * UM.mm, max: UM.m }),
  height: realField({ min: 20 * UM.mm, max: UM.m }),
  pages: z.array(wordsField).min(1).max(64),
  face: z.enum(SIGN_FACES).default('text'),
  align: z.enum(['left', 'middle']).default('middle'),
  ink: textField(60, 1),
  ground: textField(60, 1),
  on: z.enum(PRINT_STOCK_NAMES as [PrintStock, ...PrintStock[]]).default('plain'),
});

/** A leaf of a booklet lies open: what is on its left and right, outside and inside, as places in the order of reading; null where nothing is. */
export type Leaf = { readonly outside: readonly [Place, Place]; readonly inside: readonly [Place, Place] };
type Place = number | null;

/** Pages laid out for leaves that are folded once and laid into one another, the outermost first. Common practice (a stitched booklet): the
 *  number of pages is made up to whole leaves with blank ones before the last, so that the cover and the back lie outside.
 *  Shape: n pages → ⌈n / 4⌉ leaves. */
export const leavesOf = (count: number): readonly Leaf[] => {
  const leaves = Math.ceil(count / 4);
  const all = leaves * 4;
  // One page alone is a cover without a back.
  const place = (at: number): Place => (at < count - 1 || count === 1 ? (at < count ? at : null) : at === all - 1 ? count - 1 : null);
  return Array.from({ length: leaves }, (_, leaf) => ({
    outside: [place(all - 1 - 2 * leaf), place(2 * leaf)],
    inside: [place(1 + 2 * leaf), place(all - 2 - 2 * leaf)],
  }));
};
