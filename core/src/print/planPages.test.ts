import { describe, expect, it } from 'vitest';
import { writePdf } from '../pdf/index.ts';
import { readPdf, shippedFonts } from '../pdf/readPdf.testing.ts';
import { boardPlans, derive, layOutSet, readSet } from '../set/index.ts';
import { PAPERS } from '../stock/index.ts';
import { planPages } from './planPages.ts';

const read = readSet({
  format: 'bashful-parlor-set',
  version: 1,
  name: 'A hall',
  boards: [{ id: 'white', nominal: '5 mm', sheets: ['20 × 30 in', 'A3'] }],
  pieces: [
    { name: 'case', width: '900 mm', height: '1800 mm', depth: '300 mm', front: { kind: 'shelves', count: 5 } },
    { name: 'chest', width: '1200 mm', height: '900 mm', depth: '500 mm' },
    { family: 'bed', name: 'bed', mattressWidth: '1400 mm', head: { height: '1100 mm', edge: 'arch', rise: '220 mm' } },
  ],
});
if (!read.ok) throw new Error(JSON.stringify(read.error));
const document = read.value;
const derived = derive(document);
const plans = boardPlans(document, derived, layOutSet(document, derived));

describe('the boards on paper', () => {
  it.each(['a4', 'letter'] as const)(
    'on %s: every sheet at one scale, every part with its tag and sizes, inside the margin, read back by another library',
    async (paper) => {
      const rules = { paper, margin: 10_000, overlap: 12_000 };
      const pages = planPages(plans, rules, document.name);
      const scale = Number(/at 1 : ([\d.]+),/.exec(JSON.stringify(pages[0]?.marks))?.[1]);
      const drawn = await readPdf(await writePdf(pages, shippedFonts(), 'plan'));
      const words = drawn.flatMap(({ texts }) => texts).join(' ');
      for (const { texts } of plans)
        for (const { text, sizes } of texts) {
          expect(words).toContain(text);
          expect(words).toContain(sizes);
        }
      // Sheets and parts as the library reads them are so many times smaller than they are.
      const sides = (points: readonly (readonly [number, number])[]): readonly number[] => {
        const xs = points.map(([x]) => x);
        const ys = points.map(([, y]) => y);
        return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
      };
      const closed = drawn.flatMap(({ paths }) => paths.filter((each) => each.closed).map(({ points }) => sides(points)));
      for (const { width, height } of plans)
        expect(
          closed.some(
            ([w, h]) => Math.abs((w as number) * scale - width / 1000) < 0.1 && Math.abs((h as number) * scale - height / 1000) < 0.1,
          ),
        ).toBe(true);
      expect(closed.length).toBe(
        plans.reduce((sum, { lines }) => sum + lines.filter(({ layer }) => layer === 'sheet' || layer === 'cut').length, 0),
      );
      for (const { marks } of pages)
        for (const mark of marks)
          for (const [x, y] of mark.kind === 'line' ? mark.points : mark.kind === 'text' ? [mark.at] : []) {
            expect(x >= 10_000 - 1 && x <= PAPERS[paper].width - 10_000 + 1).toBe(true);
            expect(y >= 10_000 - 1 && y <= PAPERS[paper].height - 10_000 + 1).toBe(true);
          }
    },
  );

  it('no boards, no pages', () => {
    expect(planPages([], { paper: 'a4', margin: 10_000, overlap: 12_000 }, 'x')).toEqual([]);
  });
});
