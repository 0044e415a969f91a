// µm on paper, origin at the page's lower left corner, y up.

import { UM } from '../measure/index.ts';
import type { Rect } from '../shape/index.ts';
import { PAPERS, PRINT_STOCKS, type PrintStock } from '../stock/index.ts';
import { fitText, textWidth } from './letterWidths.ts';
import { type LineStyle, line, type Mark, type Page, type TextMark } from './page.ts';
import { correctionOf, isCorrected, type PageRules, percentOf, printable, UNMEASURED } from './printer.ts';

const HEAD = 8_000;
const FOOT = 9_000;
const SIDE = 9_000;
/** The bars of a page: how long, how many ticks, which of them are longer, and what stands beside them. */
const barOf = ({
  inches,
}: PageRules): { readonly length: number; readonly ticks: number; readonly longer: number; readonly words: string } =>
  inches ? { length: 4 * UM.in, ticks: 16, longer: 4, words: '4 in' } : { length: 100 * UM.mm, ticks: 10, longer: 5, words: '100 mm' };

/** The field of a page that templates may use: inside the margins, clear of the head and of the two bars. Where both sides are printed the bars
 *  have their room on either side, so that fronts and backs lie on one another. */
export const fieldOf = (rules: PageRules): Rect => {
  const { x0, y0, x1, y1 } = printable(rules);
  const both = rules.sides !== undefined && rules.sides !== 'one';
  const [across, up] = both ? [SIDE, Math.max(HEAD, FOOT)] : [0, HEAD];
  return { x0: x0 + SIDE, y0: y0 + (both ? up : FOOT), x1: x1 - across, y1: y1 - up };
};

const label = (text: string, at: readonly [number, number], anchor: TextMark['anchor'], angle: 0 | 90 = 0): Mark => ({
  kind: 'text',
  text,
  at,
  size: 2_600,
  anchor,
  angle,
});

/** A bar of 100 mm with a tick every 10, or of 4 in with one every quarter, along x and along y, to hold a rule against. */
const bars = (rules: PageRules): readonly Mark[] => {
  const { x0, y0 } = fieldOf(rules);
  const { x0: left0, y0: low0 } = printable(rules);
  const [low, left] = [low0 + 3_000, left0 + 3_000];
  const { length, ticks: count, longer, words } = barOf(rules);
  const ticks = Array.from({ length: count + 1 }, (_, index) => [index * (length / count), index % longer === 0 ? 3_000 : 1_600] as const);
  return [
    line('bar', [
      [x0, low],
      [x0 + length, low],
    ]),
    ...ticks.map(([at, long]) =>
      line('bar', [
        [x0 + at, low],
        [x0 + at, low + long],
      ]),
    ),
    line('bar', [
      [left, y0],
      [left, y0 + length],
    ]),
    ...ticks.map(([at, long]) =>
      line('bar', [
        [left, y0 + at],
        [left + long, y0 + at],
      ]),
    ),
    label(words, [x0 + length + 2_000, low + 1_200], 'start'),
    label(words, [left + 1_000, y0 + length + 2_000], 'start', 90),
  ];
};

/** What each kind of line says to whoever holds the page, in the order in which they are needed; lines that are told elsewhere have no word. */
const LINE_WORDS: Readonly<Partial<Record<LineStyle, string>>> = {
  cut: 'cut',
  score: 'score',
  fold: 'fold back',
  valley: 'fold towards you',
  stitch: 'sew',
  glue: 'glue here',
  guide: 'something stands here',
  'guide-behind': 'the same, on the back',
  centre: 'hole, centre',
  axis: 'centre line, no cut',
  join: 'pages meet, or stays open',
};

const stylesIn = (marks: readonly Mark[]): readonly LineStyle[] =>
  marks.flatMap((mark) => (mark.kind === 'line' ? [mark.style] : mark.kind === 'group' ? stylesIn(mark.marks) : []));

const KEY = { size: 2_000, sample: 8_000, row: 2_700, entry: 34_000 } as const;

/** A key of the lines that a page uses, and of no others, in the strip on its left above the upright bar: to be read from the right. */
const keyOf = (content: readonly Mark[], rules: PageRules): readonly Mark[] => {
  const used = new Set(stylesIn(content));
  const named = (Object.keys(LINE_WORDS) as LineStyle[]).filter((style) => used.has(style));
  const { x0, y1 } = printable(rules);
  const low = fieldOf(rules).y0 + barOf(rules).length + 16_000;
  const rows = Math.max(1, Math.floor((y1 - HEAD - low) / KEY.entry));
  return named.flatMap((style, index): readonly Mark[] => {
    const [x, y] = [x0 + 1_500 + KEY.row * Math.floor(index / rows), low + KEY.entry * (index % rows)];
    return [
      line(style, [
        [x, y],
        [x, y + KEY.sample],
      ]),
      { ...label(LINE_WORDS[style] as string, [x, y + KEY.sample + 1_000], 'start', 90), size: KEY.size } as TextMark,
    ];
  });
};

/** What a page carries in its field, what it is printed on, and what stands on its back where both sides are printed. */
export type Sheetful = {
  readonly title: string;
  readonly marks: readonly Mark[];
  readonly parts: readonly string[];
  readonly on: PrintStock;
  /** µm² of ink, were it all black. */
  readonly ink: number;
  readonly back: readonly Mark[] | null;
};

/** What a page's head says about the way it is printed. */
const manner = (rules: PageRules, on: PrintStock): string => {
  const { x, y } = rules.printer ?? UNMEASURED;
  const corrected = isCorrected([x, y]) ? ` · corrected: this printer makes ${percentOf(x)} × ${percentOf(y)}` : '';
  return `${on === 'plain' ? '' : `on ${PRINT_STOCKS[on].name} · `}print at 100 %${corrected}`;
};

/** Puts head and bars round what stands in the field. */
export const makePage = (content: Omit<Sheetful, 'back'>, number: number, count: number, heading: string, rules: PageRules): Page => {
  const { width, height } = PAPERS[rules.paper];
  const right = `${manner(rules, content.on)} · page ${number} of ${count}`;
  const { x0, x1, y1 } = printable(rules);
  const top = y1 - 3_000;
  const room = x1 - x0 - textWidth(right, 2_600) - 4_000;
  return {
    width,
    height,
    title: content.title,
    parts: content.parts,
    on: content.on,
    ink: content.ink / (width * height),
    correction: correctionOf(rules),
    marks: [
      label(fitText(`${heading} · ${content.title}`, 2_600, room), [x0, top], 'start'),
      label(right, [x1, top], 'end'),
      ...bars(rules),
      ...keyOf(content.marks, rules),
      ...content.marks,
    ],
  };
};
