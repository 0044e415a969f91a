// The boards on paper, smaller than they are: what lies where, with its sizes. µm on paper, origin at the page's lower left corner.
import type { Point, Ring } from '../shape/index.ts';
import { PAPERS } from '../stock/index.ts';
import type { BoardPlan, PlanLine } from './boardPlan.ts';
import { fitText, textWidth } from './letterWidths.ts';
import { type LineStyle, line, type Mark, type Page } from './page.ts';
import { correctionOf, type PageRules, printable } from './printer.ts';

/** Boards are drawn at one of these, so that a rule and a head can still work with it. */
const SCALES = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 6.5, 7, 8, 10, 12, 15, 20, 25, 30, 40, 50] as const;

/** Guides and centres are too fine for a drawing so small. */
const PLAN_STYLES: Readonly<Partial<Record<PlanLine['layer'], LineStyle>>> = {
  sheet: 'bar',
  cut: 'cut',
  score: 'score',
  'score-behind': 'fold',
};

const WORDS = 2_400;
const TAG = 3_200;
const HEAD = 9_000;
const GAP = 6_000;
const LINE = 3_400;

const text = (words: string, at: Point, size: number, anchor: 'start' | 'middle' | 'end', angle: 0 | 90 = 0): Mark => ({
  kind: 'text',
  text: words,
  at,
  size,
  anchor,
  angle,
});

/** Tag and sizes in the middle of a part; what has no room for its sizes says so by leaving them to the list below. */
const named = (
  at: Point,
  width: number,
  height: number,
  tag: string,
  sizes: string,
): { readonly marks: readonly Mark[]; readonly listed: boolean } => {
  const angle = height > width * 1.3 ? 90 : 0;
  const [along, across] = angle === 90 ? [height, width] : [width, height];
  const whole = along > textWidth(sizes, WORDS) + 1_500 && across > TAG + WORDS + 1_500;
  const size = Math.min(TAG, across * 0.7, along * 0.4);
  const off = whole ? WORDS * 0.75 : 0;
  const [x, y] = at;
  const marks = [text(tag, angle === 90 ? [x - off, y] : [x, y + off], size, 'middle', angle)];
  if (whole) marks.push(text(sizes, angle === 90 ? [x + off + 600, y] : [x, y - off - 600], WORDS, 'middle', angle));
  return { marks, listed: !whole };
};

type Drawn = { readonly plan: BoardPlan; readonly width: number; readonly height: number; readonly list: readonly string[] };

/** Words in lines that are no wider than said. */
const wrapped = (words: readonly string[], width: number): readonly string[] => {
  const lines: string[] = [];
  for (const word of words) {
    const last = lines.at(-1);
    if (last !== undefined && textWidth(`${last} · ${word}`, WORDS) <= width) lines[lines.length - 1] = `${last} · ${word}`;
    else lines.push(word);
  }
  return lines.map((each) => fitText(each, WORDS, width));
};

const drawnAt = (plan: BoardPlan, scale: number, width: number): Drawn => {
  const small = plan.texts.filter(({ at, width: w, height: h, text: tag, sizes }) => named(at, w / scale, h / scale, tag, sizes).listed);
  const list = [...new Set(small.map(({ text: tag, sizes }) => `${tag} ${sizes}`))];
  return { plan, width: plan.width / scale, height: plan.height / scale, list: wrapped(list, width) };
};

const heightOf = ({ height, list }: Drawn): number => 2 * LINE + height + list.length * LINE + GAP;

const marksOf = ({ plan, height, list }: Drawn, scale: number, left: number, top: number, column: number): readonly Mark[] => {
  const low = top - 2 * LINE - height;
  const place = ([x, y]: Point): Point => [left + x / scale, low + y / scale];
  const ring = (points: Ring): Ring => points.map(place);
  return [
    text(fitText(`${plan.heading} · ${plan.size}`, WORDS + 400, column), [left, top - LINE], WORDS + 400, 'start'),
    ...plan.lines.flatMap(({ layer, points, closed }) => {
      const style = PLAN_STYLES[layer];
      return style ? [line(style, ring(points), closed)] : [];
    }),
    ...plan.texts.flatMap(({ at, width: w, height: h, text: tag, sizes }) => named(place(at), w / scale, h / scale, tag, sizes).marks),
    ...list.map((words, index) => text(words, [left, low - (index + 1) * LINE], WORDS, 'start')),
  ];
};

/** A plan whose list is longer than a column, as one that is not and what goes on in further columns. */
const inColumns = (drawn: Drawn, room: number): readonly Drawn[] => {
  const most = Math.max(1, Math.floor((room - heightOf({ ...drawn, list: [] })) / LINE));
  if (drawn.list.length <= most) return [drawn];
  const { plan, list } = drawn;
  const goesOn: BoardPlan = { ...plan, heading: `${plan.heading}, the list goes on`, width: 0, height: 0, lines: [], texts: [] };
  const rest: Drawn = { plan: goesOn, width: 0, height: 0, list: list.slice(most) };
  return [{ ...drawn, list: list.slice(0, most) }, ...inColumns(rest, room)];
};

/** Board plans on pages, several on one, all at the one scale at which two of the widest stand side by side.
 *  Shape: n plans → pages, each plan whole on one of them. Units: µm. */
export const planPages = (plans: readonly BoardPlan[], rules: PageRules, setName: string, what = 'boards'): readonly Page[] => {
  if (plans.length === 0) return [];
  const paper = PAPERS[rules.paper];
  const { x0: left, y0: low, x1: right, y1 } = printable(rules);
  const top = y1 - HEAD;
  const column = (right - left - GAP) / 2;
  const fits = (scale: number): boolean =>
    plans.every((plan) => {
      const drawn = drawnAt(plan, scale, column);
      return drawn.width <= column && heightOf(drawn) <= top - low;
    });
  // Where a list is longer than a page at any scale, the drawing counts, and the list goes on in the next column.
  const shows = (scale: number): boolean =>
    plans.every((plan) => plan.width / scale <= column && plan.height / scale + 3 * LINE + GAP <= (top - low) * 0.6);
  const scale = SCALES.find(fits) ?? SCALES.find(shows) ?? (SCALES.at(-1) as number);
  const pages: { title: string; marks: Mark[] }[] = [];
  let [used, side] = [[Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY], 0];
  for (const drawn of plans.flatMap((plan) => inColumns(drawnAt(plan, scale, column), top - low))) {
    const room = (at: number): boolean => (used[at] as number) + heightOf(drawn) <= top - low;
    side = room(0) && (used[0] as number) <= (used[1] as number) ? 0 : room(1) ? 1 : room(0) ? 0 : -1;
    if (side < 0) {
      pages.push({ title: what, marks: [] });
      [used, side] = [[0, 0], 0];
    }
    const page = pages.at(-1) as (typeof pages)[number];
    page.marks.push(...marksOf(drawn, scale, left + side * (column + GAP), top - (used[side] as number), column));
    used[side] = (used[side] as number) + heightOf(drawn);
  }
  const headline = top + HEAD - 3_000;
  return pages.map(({ title, marks }, index) => ({
    width: paper.width,
    height: paper.height,
    title,
    parts: [],
    on: 'plain',
    ink: 0,
    correction: correctionOf(rules),
    marks: [
      text(
        fitText(`${setName} · ${what} · at 1 : ${scale}, not true to size`, 2_600, right - left - 40_000),
        [left, headline],
        2_600,
        'start',
      ),
      text(`page ${index + 1} of ${pages.length}`, [right, headline], 2_600, 'end'),
      ...marks,
    ],
  }));
};
