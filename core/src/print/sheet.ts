// µm on paper, origin at the page's lower left corner, y up.

import type { Rect } from '../shape/index.ts';
import { PAPERS, type PaperName } from '../stock/index.ts';
import { fitText, line, type Mark, type Page, type TextMark } from './page.ts';

/** How pages are made up: the paper, the margin a printer leaves free, and the overlap of tiles. */
export type PageRules = { readonly paper: PaperName; readonly margin: number; readonly overlap: number };

const HEAD = 8_000;
const FOOT = 9_000;
const SIDE = 9_000;
const BAR = 100_000;

/** The field of a page that templates may use: inside the margin, clear of the head and of the two bars. */
export const fieldOf = ({ paper, margin }: PageRules): Rect => {
  const { width, height } = PAPERS[paper];
  return { x0: margin + SIDE, y0: margin + FOOT, x1: width - margin, y1: height - margin - HEAD };
};

const label = (text: string, at: readonly [number, number], anchor: TextMark['anchor'], angle: 0 | 90 = 0): Mark => ({
  kind: 'text',
  text,
  at,
  size: 2_600,
  anchor,
  angle,
});

/** A bar of 100 mm with a tick every 10, along x and along y, to hold a rule against. */
const bars = (rules: PageRules): readonly Mark[] => {
  const { x0, y0 } = fieldOf(rules);
  const [low, left] = [rules.margin + 3_000, rules.margin + 3_000];
  const ticks = Array.from({ length: 11 }, (_, index) => index * (BAR / 10));
  const tick = (index: number) => (index % (BAR / 2) === 0 ? 3_000 : 1_600);
  return [
    line('bar', [
      [x0, low],
      [x0 + BAR, low],
    ]),
    ...ticks.map((at) =>
      line('bar', [
        [x0 + at, low],
        [x0 + at, low + tick(at)],
      ]),
    ),
    line('bar', [
      [left, y0],
      [left, y0 + BAR],
    ]),
    ...ticks.map((at) =>
      line('bar', [
        [left, y0 + at],
        [left + tick(at), y0 + at],
      ]),
    ),
    label('100 mm', [x0 + BAR + 2_000, low + 1_200], 'start'),
    label('100 mm', [left + 1_000, y0 + BAR + 2_000], 'start', 90),
  ];
};

/** What a page carries beside its templates. */
export type Sheetful = { readonly title: string; readonly marks: readonly Mark[] };

/** Puts head and bars round what stands in the field. */
export const makePage = (content: Sheetful, number: number, count: number, heading: string, rules: PageRules): Page => {
  const { width, height } = PAPERS[rules.paper];
  const right = `print at 100 % · page ${number} of ${count}`;
  const top = height - rules.margin - 3_000;
  const room = width - 2 * rules.margin - 62_000;
  return {
    width,
    height,
    title: content.title,
    marks: [
      label(fitText(`${heading} · ${content.title}`, 2_600, room), [rules.margin, top], 'start'),
      label(right, [width - rules.margin, top], 'end'),
      ...bars(rules),
      ...content.marks,
    ],
  };
};
