// µm on paper. What a printer does to a page, how it is measured, and how pages are drawn so that it does no harm.
import type { Rect } from '../shape/index.ts';
import { type Margins, PAPERS, type PaperName, PRINTERS, type PrinterKind } from '../stock/index.ts';

/** The maker's printer: its kind, and what it makes of a length on the page, across and up (0.97 when 100 mm come out as 97). `measured` and
 *  `changed` are days, such as 2026-11-26: when it was measured, and when something about it last changed. */
export type Printer = {
  readonly kind: PrinterKind;
  readonly x: number;
  readonly y: number;
  readonly measured: string | null;
  readonly changed: string | null;
};

/** One that was never measured, and is thought to be true. */
export const UNMEASURED: Printer = { kind: 'own', x: 1, y: 1, measured: null, changed: null };

/** A printer that makes less or more than this of a page is not corrected: something else is wrong. */
export const LEAST_SHARE = 0.94;
export const MOST_SHARE = 1.06;

/** On which sides of the paper is printed: on one; on both, turned over its long or its short edge. */
export const SIDES = ['one', 'long', 'short'] as const;
export type Sides = (typeof SIDES)[number];

/** How pages are made up: the paper, the margin a printer leaves free (its own, where nothing else is known), the overlap of tiles, the printer
 *  and the sides. */
export type PageRules = {
  readonly paper: PaperName;
  readonly margin: number;
  readonly overlap: number;
  readonly printer?: Printer | undefined;
  readonly sides?: Sides | undefined;
  /** Its bars are in inches. */
  readonly inches?: boolean | undefined;
};

/** What stays white on each side. */
export const marginsOf = ({ margin, printer }: PageRules): Readonly<Record<keyof Margins, number>> =>
  PRINTERS[printer?.kind ?? 'own'].margins ?? { left: margin, right: margin, top: margin, bottom: margin };

/** How much larger a page is drawn, across and up, so that it comes out true. */
export const correctionOf = ({ printer }: PageRules): readonly [number, number] => [1 / (printer?.x ?? 1), 1 / (printer?.y ?? 1)];

/** A share in words, to a hundredth of a percent: 0.971 → 97.1 %. */
export const percentOf = (share: number): string => `${Number((share * 100).toFixed(2))} %`;

export const isCorrected = ([x, y]: readonly [number, number]): boolean => x !== 1 || y !== 1;

/** What of the paper can be printed on, where things come to lie: inside the margins, and, where the printer shrinks, no further out than the
 *  page's own edge comes. Both sides of one sheet have the narrower of the two. */
export const printable = (rules: PageRules): Rect => {
  const { width, height } = PAPERS[rules.paper];
  const { left, right, top, bottom } = marginsOf(rules);
  const [byX, byY] = correctionOf(rules);
  const [lostX, lostY] = [Math.max(0, (width - width / byX) / 2), Math.max(0, (height - height / byY) / 2)];
  const one = {
    x0: Math.max(left, lostX),
    y0: Math.max(bottom, lostY),
    x1: width - Math.max(right, lostX),
    y1: height - Math.max(top, lostY),
  };
  if (rules.sides === undefined || rules.sides === 'one') return one;
  const [x, y] = [Math.max(one.x0, width - one.x1), Math.max(one.y0, height - one.y1)];
  return { x0: x, y0: y, x1: width - x, y1: height - y };
};
