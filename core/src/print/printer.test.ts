import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PAPERS, PRINTER_KINDS } from '../stock/index.ts';
import { correctionOf, type PageRules, percentOf, printable, SIDES, UNMEASURED } from './index.ts';
import { fieldOf } from './sheet.ts';

const rules = (
  change: Partial<PageRules> & { readonly x?: number; readonly y?: number; readonly kind?: 'own' | 'inkjet' | 'laser' },
): PageRules => {
  const { x = 1, y = 1, kind = 'own', ...rest } = change;
  return { paper: 'a4', margin: 10_000, overlap: 12_000, printer: { ...UNMEASURED, kind, x, y }, ...rest };
};

describe('what can be printed on', () => {
  it('is the page less its margins for a printer that prints true or larger', () => {
    for (const x of [1, 1.06]) expect(printable(rules({ x, y: x }))).toEqual({ x0: 10_000, y0: 10_000, x1: 200_000, y1: 287_000 });
  });

  it('is no wider than the page comes out where a printer shrinks: 94 % of 210 mm are 197.4', () => {
    const { x0, x1, y0, y1 } = printable(rules({ x: 0.94, kind: 'laser' }));
    expect(x1 - x0).toBeCloseTo(197_400, 6);
    expect([y0, y1]).toEqual([4_300, 297_000 - 4_300]);
  });

  it('holds all that a corrected page draws within the paper, for every printer, paper and side', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PRINTER_KINDS),
        fc.constantFrom('a4' as const, 'letter' as const),
        fc.constantFrom(...SIDES),
        fc.double({ min: 0.94, max: 1.06, noNaN: true }),
        fc.double({ min: 0.94, max: 1.06, noNaN: true }),
        fc.integer({ min: 3_000, max: 25_000 }),
        (kind, paper, sides, x, y, margin) => {
          const all = rules({ kind, paper, sides, x, y, margin });
          const [field, room, { width, height }] = [fieldOf(all), printable(all), PAPERS[paper]];
          const [byX, byY] = correctionOf(all);
          // Where the corners of what can be printed on are drawn: still on the paper.
          for (const at of [room.x0, room.x1]) expect(Math.abs(at - width / 2) * byX).toBeLessThanOrEqual(width / 2 + 1e-6);
          for (const at of [room.y0, room.y1]) expect(Math.abs(at - height / 2) * byY).toBeLessThanOrEqual(height / 2 + 1e-6);
          expect(field.x0 > room.x0 && field.y0 > room.y0 && field.x1 <= room.x1 && field.y1 < room.y1).toBe(true);
          // A hundred millimetres each way always have room for the bars.
          expect(Math.min(field.x1 - field.x0, field.y1 - field.y0)).toBeGreaterThan(100_000);
          // Fronts and backs of one sheet have the same field, whichever way it is turned.
          if (sides !== 'one') expect([field.x0 + field.x1, field.y0 + field.y1].map(Math.round)).toEqual([width, height].map(Math.round));
        },
      ),
      { numRuns: 300 },
    );
  });
});

it('a share in words, to a hundredth of a percent', () => {
  expect([0.971, 1, 1.0137, 0.94].map(percentOf)).toEqual(['97.1 %', '100 %', '101.37 %', '94 %']);
});
