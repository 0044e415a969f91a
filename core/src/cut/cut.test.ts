import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UM } from '../measure/index.ts';
import { canBeCutStraight, sheetFaults } from './checkLayout.testing.ts';
import { type CutItem, layOut, leastSheets, letters, type SheetKind } from './index.ts';

const kind = (width: number, height: number, name = `${width} × ${height}`): SheetKind => ({ name, width, height });

const inches: SheetKind = kind(20 * UM.in, 30 * UM.in, '20 × 30 in');

const items = (most: number) =>
  fc
    .array(
      fc.record({
        width: fc.integer({ min: 4_000, max: 700_000 }),
        height: fc.integer({ min: 4_000, max: 700_000 }),
        lies: fc.constantFrom('either', 'drawn', 'turned'),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list): readonly CutItem[] => list.map((item, index) => ({ ...item, id: `part ${index}`, lies: item.lies as CutItem['lies'] })));

const lyingOn = (sheet: ReturnType<typeof layOut>['sheets'][number], all: readonly CutItem[]) =>
  sheet.placements.map(({ id, x, y, rotated }) => {
    const item = all.find((each) => each.id === id) as CutItem;
    const [w, h] = rotated ? [item.height, item.width] : [item.width, item.height];
    return { id, left: x, low: y, right: x + w, high: y + h, item, rotated };
  });

describe('boards laid out', () => {
  it('every part that fits lies once, apart by the knife gap, inside the trim, with its grain, cut edge to edge', () => {
    fc.assert(
      fc.property(
        items(60),
        fc.integer({ min: 0, max: 3_000 }),
        fc.integer({ min: 0, max: 10_000 }),
        fc.boolean(),
        (list, gap, trim, two) => {
          const kinds = two ? [inches, kind(297_000, 420_000)] : [inches];
          const { sheets, tooLarge, least } = layOut(list, kinds, { gap, trim });
          const lying = sheets.flatMap((sheet) => lyingOn(sheet, list));
          expect([...lying.map(({ id }) => id), ...tooLarge].sort()).toEqual(list.map(({ id }) => id).sort());
          for (const sheet of sheets) {
            const parts = lyingOn(sheet, list);
            expect(sheetFaults(sheet.kind.width, sheet.kind.height, parts, gap, trim)).toEqual([]);
            expect(canBeCutStraight(parts)).toBe(true);
          }
          for (const { item, rotated } of lying) if (item.lies !== 'either') expect(rotated).toBe(item.lies === 'turned');
          expect(least).toBeLessThanOrEqual(sheets.length);
        },
      ),
      { seed: 51, numRuns: 120 },
    );
  });

  it('the order in which parts come makes no difference', () => {
    fc.assert(
      fc.property(items(25), (list) => {
        expect(layOut([...list].reverse(), [inches], { gap: 500, trim: 0 })).toEqual(layOut(list, [inches], { gap: 500, trim: 0 }));
      }),
      { seed: 52, numRuns: 30 },
    );
  });

  it('names what is larger than every sheet and lays out the rest', () => {
    const list: CutItem[] = [
      { id: 'wall', width: 900_000, height: 600_000, lies: 'either' },
      { id: 'shelf', width: 100_000, height: 50_000, lies: 'either' },
    ];
    expect(layOut(list, [inches], { gap: 0, trim: 0 })).toMatchObject({
      tooLarge: ['wall'],
      least: 1,
      sheets: [{ placements: [{ id: 'shelf' }] }],
    });
  });

  it('fills four quarters of a sheet without a gap, and knows that one sheet is the least', () => {
    const quarters = Array.from({ length: 4 }, (_, index): CutItem => ({ id: `${index}`, width: 254_000, height: 381_000, lies: 'drawn' }));
    expect(layOut(quarters, [inches], { gap: 0, trim: 0 })).toMatchObject({
      least: 1,
      tooLarge: [],
      sheets: [{ offcut: { width: 0, height: 0 } }],
    });
    // With a knife gap four quarters no longer fit on one; the bound knows that too.
    expect(layOut(quarters, [inches], { gap: 1_000, trim: 0 }).least).toBe(4);
  });

  it('takes the smaller sheet where it is enough', () => {
    const one: CutItem[] = [{ id: 'a', width: 100_000, height: 100_000, lies: 'either' }];
    expect(layOut(one, [inches, kind(297_000, 420_000, 'A3')], { gap: 0, trim: 0 }).sheets.map((sheet) => sheet.kind.name)).toEqual(['A3']);
  });
});

/** The least number of sheets for unit squares of equal parts, by hand: floor(C/w) · floor(C/h) to a sheet. */
const gridLeast = (count: number, side: number, capacity: number): number => Math.ceil(count / Math.floor(capacity / side) ** 2);

describe('the least number of sheets', () => {
  it('never says more than what a layout has shown to be possible', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 60_000, max: 500_000 }), (count, side) => {
        const bound = leastSheets([{ width: side, height: side, count, turns: true }], { width: 500_000, height: 500_000 });
        expect(bound).toBeLessThanOrEqual(gridLeast(count, side, 500_000));
        // Squares over half the side need a sheet each, which area alone does not see.
        if (side > 250_000) expect(bound).toBe(count);
      }),
      { seed: 53, numRuns: 300 },
    );
  });

  it('is exact where thirds leave no room for a fourth', () => {
    expect(leastSheets([{ width: 251, height: 1, count: 7, turns: false }], { width: 1000, height: 1 })).toBe(3);
    expect(leastSheets([{ width: 334, height: 334, count: 9, turns: false }], { width: 1000, height: 1000 })).toBe(3);
  });
});

describe('letters', () => {
  it.each([
    [0, 'A'],
    [25, 'Z'],
    [26, 'AA'],
    [51, 'AZ'],
    [52, 'BA'],
    [701, 'ZZ'],
    [702, 'AAA'],
  ])('%i is %s', (index, text) => {
    expect(letters(index)).toBe(text);
  });
});
