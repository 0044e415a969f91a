// The whole way of a maker with a printer that shrinks: test page, rule, correction, and a rule again. Poppler draws the pages, the simulated
// printer prints them, and what a rule would say is read off the pixels.
import { beforeAll, describe, expect, it } from 'vitest';
import {
  type Habit,
  impose,
  marginsOf,
  type PageRules,
  type Pixels,
  printable,
  shareFrom,
  TEST_BARS,
  testPage,
  throughPrinter,
} from '../print/index.ts';
import { derive, readSet, templatePages } from '../set/index.ts';
import { bounds, type Point, rectRing } from '../shape/index.ts';
import { PAPERS } from '../stock/index.ts';
import { writePdf } from './index.ts';
import { readPdf, shippedFonts } from './readPdf.testing.ts';
import { darkMiddles, darkness, renderPdf } from './renderPdf.testing.ts';

const DPI = 300;
const NONE = { left: 0, right: 0, top: 0, bottom: 0 };
const RULES: PageRules = { paper: 'a4', margin: 10_000, overlap: 12_000 };

const drawn = async (pages: Parameters<typeof writePdf>[0], dpi = DPI): Promise<readonly Pixels[]> =>
  renderPdf(await writePdf(pages, shippedFonts(), 'test'), dpi);

/** The dark middles along a way, in µm from the left or from the lower edge. */
const along = (picture: Pixels, way: 'row' | 'column', off: number, { paper }: PageRules): readonly number[] => {
  const { width, height } = PAPERS[paper];
  if (way === 'row') {
    const row = Math.round(picture.height * (1 - off / height));
    return darkMiddles(picture, row, 'row', 0, picture.width).map((x) => (x / picture.width) * width);
  }
  const column = Math.round((picture.width * off) / width);
  return darkMiddles(picture, column, 'column', 0, picture.height)
    .map((y) => height * (1 - y / picture.height))
    .sort((a, b) => a - b);
};

const span = (places: readonly number[]): number => (places.at(-1) as number) - (places[0] as number);

/** What a rule says of the two bars of a printed test page, to the tenth of a millimetre that an eye can read. */
const readBars = (picture: Pixels, habit: Habit, rules: PageRules): { readonly x: number; readonly y: number } => {
  const { width, height } = PAPERS[rules.paper];
  // Where the bars' corner comes to lie, from the page's middle.
  const corner: Point = [
    width / 2 + ((width - TEST_BARS.x) / 2 + 6_000 - width / 2) * habit.x,
    height / 2 + ((height - TEST_BARS.y) / 2 - 12_000 - height / 2) * habit.y,
  ];
  const read = (um: number) => Math.round(um / 100) * 100;
  return {
    x: read(span(along(picture, 'row', corner[1] + 6_500 * habit.y, rules))),
    y: read(span(along(picture, 'column', corner[0] + 6_500 * habit.x, rules))),
  };
};

const sheet = (rules: PageRules) =>
  impose(
    [
      {
        tag: '1A',
        name: 'board',
        width: 120_000,
        height: 90_000,
        marks: [{ kind: 'line', style: 'cut', closed: true, points: rectRing(0, 0, 120_000, 90_000) }],
      },
    ],
    rules,
    'set',
  );

describe('calibration with the simulated printer', () => {
  let test: Pixels;
  let letter: Pixels;
  beforeAll(async () => {
    [test] = (await drawn([testPage(RULES, false)])) as [Pixels];
    [letter] = (await drawn([testPage({ ...RULES, paper: 'letter' }, false)])) as [Pixels];
  });

  it.each([
    [0.94, 1.06, 'a4'],
    [1.06, 0.94, 'a4'],
    [0.971, 0.985, 'a4'],
    [1.0137, 0.9611, 'letter'],
    [0.9999, 1.0421, 'letter'],
  ] as const)('a printer that makes %s across and %s up is corrected to a tenth of a millimetre in a hundred (%s)', async (x, y, paper) => {
    const habit: Habit = { x, y, margins: NONE };
    const rules: PageRules = { ...RULES, paper };
    const said = readBars(throughPrinter(paper === 'a4' ? test : letter, paper, habit), habit, rules);
    const [byX, byY] = [shareFrom(said.x, 'x'), shareFrom(said.y, 'y')];
    if (byX === null || byY === null) throw new Error(`a rule that says ${said.x} and ${said.y}`);
    const corrected: PageRules = { ...rules, printer: { kind: 'own', x: byX, y: byY, measured: '2026-11-26', changed: null } };
    const [picture] = (await drawn(sheet(corrected))) as [Pixels];
    const printed = throughPrinter(picture, paper, habit);
    const { x0, y0 } = printable(corrected);
    // The first, the middle and the last tick of the hundred are higher than the rest.
    const across = along(printed, 'row', y0 + 3_000 + 2_300, rules).slice(0, 3);
    const up = along(printed, 'column', x0 + 3_000 + 2_300, rules).slice(0, 3);
    expect([across.length, up.length]).toEqual([3, 3]);
    expect(Math.abs(span(across) - 100_000)).toBeLessThanOrEqual(100);
    expect(Math.abs(span(up) - 100_000)).toBeLessThanOrEqual(100);
  });

  it('what the rule says must be what a printer does by itself', () => {
    expect(shareFrom(150_000, 'x')).toBe(1);
    expect(shareFrom(188_000, 'y')).toBe(0.94);
    expect(shareFrom(140_000, 'x')).toBeNull();
    expect(shareFrom(213_000, 'y')).toBeNull();
  });

  it('nothing of a corrected page falls into the white that the printer leaves', async () => {
    for (const [x, y, kind] of [
      [0.94, 0.96, 'inkjet'],
      [1.06, 1.03, 'laser'],
      [1, 0.97, 'own'],
    ] as const) {
      const rules: PageRules = { ...RULES, printer: { kind, x, y, measured: null, changed: null } };
      const [picture] = (await drawn(sheet(rules), 100)) as [Pixels];
      const [all, kept] = [NONE, marginsOf(rules)].map((margins) => throughPrinter(picture, 'a4', { x, y, margins })) as [Pixels, Pixels];
      const ink = (page: Pixels) => {
        let sum = 0;
        for (let row = 0; row < page.height; row += 1) for (let at = 0; at < page.width; at += 1) sum += darkness(page, at, row);
        return sum;
      };
      expect(ink(kept)).toBeGreaterThan(300);
      expect(Math.abs(ink(all) - ink(kept))).toBeLessThan(1);
    }
  });
});

describe('corrected pages read back by another library', () => {
  it('are larger by just the share that the printer takes away, and say so', async () => {
    const read = readSet({
      format: 'bashful-parlor-set',
      version: 1,
      printing: { printer: { kind: 'laser', x: 0.97, y: 0.985, measured: '2026-11-20' } },
      pieces: [{ name: 'rack', width: '720 mm', height: '900 mm', depth: '300 mm', front: { kind: 'shelves', count: 2 } }],
    });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    const derived = derive(read.value);
    const seen = await readPdf(await writePdf(templatePages(read.value, derived, { pieces: null }), shippedFonts(), 'templates'));
    expect(seen[0]?.texts.join(' ')).toContain('corrected: this printer makes 97 % × 98.5 %');
    const boxes = seen.flatMap(({ paths }) => paths.filter(({ closed }) => closed).map(({ points }) => bounds(points)));
    for (const part of derived.pieces[0]?.made?.assembly.parts ?? []) {
      const { x1, y1 } = bounds(part.region.outline);
      const sides = [
        [x1, y1],
        [y1, x1],
      ].map(([w, h]) => [(w as number) / 970, (h as number) / 985] as const);
      const found = boxes.some((box) =>
        sides.some(([w, h]) => Math.abs(box.x1 - box.x0 - w) < 0.011 && Math.abs(box.y1 - box.y0 - h) < 0.011),
      );
      expect(found, `${part.name} ${x1} × ${y1}`).toBe(true);
    }
  });
});
