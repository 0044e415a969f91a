// µm on paper, origin at the page's lower left corner. The page that a printer is measured by.
import { PAPERS } from '../stock/index.ts';
import { line, type Mark, type Page, type TextMark } from './page.ts';
import { correctionOf, LEAST_SHARE, MOST_SHARE, type PageRules } from './printer.ts';

/** The two bars of the test page: as long as both kinds of page have room for, so that a rule tells little errors. */
export const TEST_BARS = { x: 150_000, y: 200_000 } as const;

/** A rule is read to a tenth of a millimetre or two. */
const UNSURE = 0.0015;

/** What a printer makes of a length, from what the rule says of a bar.
 *  Shape: (146 mm, across) → 0.9733; nothing for what no printer does by itself. */
export const shareFrom = (read: number, way: keyof typeof TEST_BARS): number | null => {
  const share = read / TEST_BARS[way];
  if (share < LEAST_SHARE - UNSURE || share > MOST_SHARE + UNSURE) return null;
  return Number(Math.min(MOST_SHARE, Math.max(LEAST_SHARE, share)).toFixed(5));
};

const text = (words: string, x: number, y: number, size: number, anchor: TextMark['anchor'] = 'start', angle: 0 | 90 = 0): Mark => ({
  kind: 'text',
  text: words,
  at: [x, y],
  size,
  anchor,
  angle,
});

const tickLength = (mm: number): number => (mm % 50 === 0 ? 8_000 : mm % 10 === 0 ? 5_000 : mm % 5 === 0 ? 3_000 : 1_500);

/** A bar with a tick to every millimetre and a number to every ten. */
const bar = (x: number, y: number, length: number, upright: boolean): readonly Mark[] => {
  const at = (along: number, beside: number): readonly [number, number] => (upright ? [x + beside, y + along] : [x + along, y + beside]);
  const ticks = Array.from({ length: length / 1_000 + 1 }, (_, mm) => mm);
  return [
    line('cut', [at(0, 0), at(length, 0)]),
    ...ticks.map((mm) => line(mm === 0 || mm * 1_000 === length ? 'cut' : 'bar', [at(mm * 1_000, 0), at(mm * 1_000, tickLength(mm))])),
    ...ticks
      .filter((mm) => mm % 10 === 0)
      .map((mm) => {
        const [tx, ty] = at(mm * 1_000, upright ? -1_500 : 10_500);
        return text(String(mm), tx, ty, 2_800, upright ? 'end' : 'middle');
      }),
  ];
};

/** Stairs of short lines from an edge inwards, two to sixteen millimetres from it: the outermost that is printed says how wide the margin is. */
const stairs = (width: number, height: number): readonly Mark[] =>
  Array.from({ length: 8 }, (_, step) => (step + 1) * 2_000).flatMap((off, step) => {
    const along = 8_000 * step;
    const [x, y] = [width / 2 - 60_000 + along, height / 2 - 30_000 + along];
    const lines: readonly (readonly [number, number, number, number])[] = [
      [x, off, x + 7_000, off],
      [x, height - off, x + 7_000, height - off],
      [off, y, off, y + 7_000],
      [width - off, y, width - off, y + 7_000],
    ];
    const words = String(off / 1_000);
    return [
      ...lines.map(([xa, ya, xb, yb]) =>
        line('bar', [
          [xa, ya],
          [xb, yb],
        ]),
      ),
      text(words, x + 3_500, off + 1_900, 2_400, 'middle'),
      text(words, x + 3_500, height - off - 1_900, 2_400, 'middle'),
      text(words, off + 1_000, y + 3_500, 2_400),
      text(words, width - off - 1_000, y + 3_500, 2_400, 'end'),
    ];
  });

/** The test page: as the printer makes it by itself, or (`corrected`) as it comes out with what is known of the printer. */
export const testPage = (rules: PageRules, corrected: boolean): Page => {
  const { width, height } = PAPERS[rules.paper];
  const [left, low] = [(width - TEST_BARS.x) / 2 + 6_000, (height - TEST_BARS.y) / 2 - 12_000];
  const words = corrected
    ? ['Both bars are drawn as your printer needs them.', 'The rule must now say 150 mm across and 200 mm up.']
    : ['Print this page as you print everything else, at 100 %.', 'Then lay a rule along both bars, and type what it says at their ends.'];
  return {
    width,
    height,
    title: corrected ? 'test page, corrected' : 'test page',
    parts: [],
    on: 'plain',
    ink: 0,
    correction: corrected ? correctionOf(rules) : [1, 1],
    marks: [
      ...bar(left, low, TEST_BARS.x, false),
      ...bar(left, low, TEST_BARS.y, true),
      text('Bashful Parlor · printer test page', left + 22_000, low + 150_000, 6_000),
      ...words.map((each, index) => text(each, left + 22_000, low + 138_000 - index * 6_000, 3_600)),
      text('Along each edge: the smallest number that you can see', left + 22_000, low + 118_000, 3_200),
      text('says how many millimetres your printer leaves white there.', left + 22_000, low + 113_000, 3_200),
      ...stairs(width, height),
    ],
  };
};
