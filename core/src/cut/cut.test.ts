import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UM } from '../measure/index.ts';
import { rectRing } from '../shape/index.ts';
import { canBeCutStraight, sheetFaults } from './checkLayout.testing.ts';
import { fewest } from './fewest.testing.ts';
import { type CutItem, cutSteps, cutTree, FIRST_ANSWER, layOut, leastSheets, letters, treePlacements } from './index.ts';
import { replay } from './replay.testing.ts';
import { kind, rules, searching } from './searching.testing.ts';

const inches = kind(20 * UM.in, 30 * UM.in, { name: '20 × 30 in' });

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
    .map((list): readonly CutItem[] => list.map((item, index) => ({ ...item, id: `part ${index}`, lies: item.lies })));

const lyingOn = (sheet: ReturnType<typeof layOut>['sheets'][number], all: readonly CutItem[]) =>
  sheet.placements.map(({ id, x, y, turn }) => {
    const item = all.find((each) => each.id === id) as CutItem;
    const rotated = turn % 2 === 1;
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
        fc.constantFrom('straight', 'free'),
        fc.constantFrom(0, 400),
        (list, gap, trim, two, mode, tries) => {
          const kinds = two ? [inches, kind(297_000, 420_000)] : [inches];
          const { sheets, tooLarge, least } = layOut(list, kinds, rules(gap, trim, mode), tries > 0 ? searching(tries) : FIRST_ANSWER);
          const lying = sheets.flatMap((sheet) => lyingOn(sheet, list));
          expect([...lying.map(({ id }) => id), ...tooLarge].sort()).toEqual(list.map(({ id }) => id).sort());
          for (const sheet of sheets) {
            const parts = lyingOn(sheet, list);
            expect(sheetFaults(sheet.kind.width, sheet.kind.height, parts, gap, trim)).toEqual([]);
            if (mode === 'straight') expect(canBeCutStraight(parts)).toBe(true);
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
        expect(layOut([...list].reverse(), [inches], rules(500), searching(300))).toEqual(
          layOut(list, [inches], rules(500), searching(300)),
        );
      }),
      { seed: 52, numRuns: 30 },
    );
  });

  it('names what is larger than every sheet and lays out the rest', () => {
    const list: CutItem[] = [
      { id: 'wall', width: 900_000, height: 600_000, lies: 'either' },
      { id: 'shelf', width: 100_000, height: 50_000, lies: 'either' },
    ];
    expect(layOut(list, [inches], rules(), FIRST_ANSWER)).toMatchObject({
      tooLarge: ['wall'],
      least: 1,
      sheets: [{ placements: [{ id: 'shelf' }] }],
    });
  });

  it('fills four quarters of a sheet without a gap, and knows that one sheet is the least', () => {
    const quarters = Array.from({ length: 4 }, (_, index): CutItem => ({ id: `${index}`, width: 254_000, height: 381_000, lies: 'drawn' }));
    expect(layOut(quarters, [inches], rules(), FIRST_ANSWER)).toMatchObject({
      least: 1,
      tooLarge: [],
      sheets: [{ offcut: { width: 0, height: 0 } }],
    });
    // With a knife gap four quarters no longer fit on one; the bound knows that too.
    expect(layOut(quarters, [inches], rules(1_000), FIRST_ANSWER).least).toBe(4);
  });

  it('takes the smaller sheet where it is enough', () => {
    const one: CutItem[] = [{ id: 'a', width: 100_000, height: 100_000, lies: 'either' }];
    expect(
      layOut(one, [inches, kind(297_000, 420_000, { name: 'A3' })], rules(), FIRST_ANSWER).sheets.map((sheet) => sheet.kind.name),
    ).toEqual(['A3']);
  });
});

describe('kinds of sheet', () => {
  const strips = (count: number, width: number, height: number): readonly CutItem[] =>
    Array.from({ length: count }, (_, index) => ({ id: `strip ${String(index).padStart(3, '0')}`, width, height, lies: 'drawn' as const }));
  const large = kind(600_000, 600_000, { name: 'large', price: 10 });
  const small = kind(300_000, 600_000, { name: 'small', price: 4 });

  it('with prices: the least money wins, not the fewest sheets', () => {
    const { sheets, price, leastPrice, proven } = layOut(strips(4, 150_000, 600_000), [large, small], rules(), searching());
    expect(sheets.map((sheet) => sheet.kind.name)).toEqual(['small', 'small']);
    expect([price, leastPrice, proven]).toEqual([8, 8, true]);
    // A dear small sheet is not worth having.
    const dear = layOut(strips(4, 150_000, 600_000), [large, { ...small, price: 6 }], rules(), searching());
    expect(dear.sheets.map((sheet) => sheet.kind.name)).toEqual(['large']);
  });

  it('at hand are used before any is bought, and only as many as there are', () => {
    const { sheets, price } = layOut(strips(6, 150_000, 600_000), [{ ...small, atHand: 2 }], rules(), searching());
    expect(sheets.map(({ bought }) => bought).sort()).toEqual([false, false, true]);
    expect(price).toBe(4);
  });

  it('offcuts are used first, each once, and not trimmed again', () => {
    const offcut = kind(150_000, 600_000, { name: 'offcut', offcut: 'left over' });
    const { sheets } = layOut(strips(3, 150_000, 600_000), [kind(310_000, 610_000), offcut], rules(0, 5_000), searching());
    expect(sheets.map((sheet) => [sheet.kind.offcut, sheet.placements.length])).toEqual([
      ['left over', 1],
      [null, 2],
    ]);
    expect(sheets[0]?.placements[0]).toMatchObject({ x: 0, y: 0 });
  });

  it('an offcut that only one of two large parts could have does not make the other fit', () => {
    const offcut = kind(700_000, 700_000, { name: 'offcut', offcut: 'left over' });
    const { tooLarge } = layOut(strips(2, 650_000, 650_000), [large, offcut], rules(), FIRST_ANSWER);
    expect(tooLarge).toHaveLength(2);
  });

  it('never cost less than the bound says, and what is called proven meets it', () => {
    fc.assert(
      fc.property(items(14), fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 }), fc.boolean(), (list, one, two, owned) => {
        const kinds = [kind(750_000, 750_000, { price: one }), kind(700_000, 900_000, { price: two, atHand: owned ? 1 : 0 })];
        const { sheets, price, leastPrice, least } = layOut(list, kinds, rules(1_000), searching(500));
        expect(sheets.length).toBeGreaterThanOrEqual(least);
        expect(price).toBe(sheets.reduce((sum, sheet) => sum + (sheet.bought ? (sheet.kind.price ?? 0) : 0), 0));
        expect(leastPrice).toBeLessThanOrEqual(price ?? 0);
      }),
      { seed: 54, numRuns: 60 },
    );
  });

  it('the search finds what first answers miss: a dissected sheet without waste', () => {
    // 2 × 3 of one size and 3 × 2 of another fill a square that greedy layouts leave gaps in.
    const parts: CutItem[] = [
      ...Array.from({ length: 4 }, (_, index): CutItem => ({ id: `a${index}`, width: 300_000, height: 200_000, lies: 'either' })),
      ...Array.from({ length: 2 }, (_, index): CutItem => ({ id: `b${index}`, width: 200_000, height: 150_000, lies: 'either' })),
      { id: 'c', width: 60_000, height: 300_000, lies: 'either' },
      { id: 'd', width: 340_000, height: 100_000, lies: 'either' },
    ];
    const area = parts.reduce((sum, { width, height }) => sum + width * height, 0);
    const { sheets, proven } = layOut(parts, [kind(600_000, 600_000)], rules(), searching(20_000));
    expect(area).toBe(600_000 * 600_000 - 8_000e6 + 0 + (area - 352_000e6));
    expect(sheets.length).toBe(1);
    expect(proven).toBe(true);
  });
});

describe('the order of cuts', () => {
  it('cuts exactly the parts, each where the layout says, as a table with a knife and a rule finds out', () => {
    let parts = 0;
    fc.assert(
      fc.property(items(40), fc.integer({ min: 0, max: 3_000 }), fc.integer({ min: 0, max: 9_000 }), (list, gap, trim) => {
        const one = rules(gap, trim);
        const { sheets } = layOut(list, [inches, kind(750_000, 750_000)], one, FIRST_ANSWER);
        for (const sheet of sheets) {
          const lying = lyingOn(sheet, list).map(({ id, left, low, right, high }) => ({
            id,
            x: left - trim,
            y: low - trim,
            width: right - left,
            height: high - low,
          }));
          const tree = sheet.cuts;
          if (!tree) throw new Error('it cannot be cut');
          const settings = cutSteps(sheet.kind, one.trim, tree, gap);
          const done = replay(
            sheet.kind,
            gap,
            settings.flatMap(({ steps }) => steps),
            tree.kind === 'part' && trim === 0 ? new Map([[0, tree.id]]) : new Map(),
          );
          expect(done.faults).toEqual([]);
          expect(new Map([...done.parts].sort())).toEqual(
            new Map(
              lying
                .map(({ id, x, y, width, height }) => [id, { x: x + trim, y: y + trim, width, height }] as const)
                .sort((a, b) => (a[0] < b[0] ? -1 : 1)),
            ),
          );
          for (const { setting, way, steps } of settings)
            expect(steps.every((step) => step.setting === setting && step.way === way)).toBe(true);
          parts += done.parts.size;
        }
      }),
      { seed: 55, numRuns: 150 },
    );
    expect(parts).toBeGreaterThan(800);
  });

  it('cuts equal strips at one setting, and lets what is left fall off in one piece', () => {
    const shelves = Array.from({ length: 6 }, (_, index) => ({
      id: `shelf ${index}`,
      x: (index % 2) * 201_000,
      y: Math.floor(index / 2) * 51_000,
      width: 200_000,
      height: 50_000,
    }));
    const tree = cutTree({ width: 500_000, height: 700_000 }, shelves, 1_000);
    if (!tree) throw new Error('it cannot be cut');
    const settings = cutSteps({ width: 500_000, height: 700_000 }, { left: 0, right: 0, bottom: 0, top: 0 }, tree, 1_000);
    // Three strips of 50 mm, then all six shelves of 200 mm, or two strips of 200 mm and shelves of 50 mm: two settings either way, and one for what is left.
    expect(settings.length).toBeLessThanOrEqual(3);
    expect(treePlacements(tree, 1_000)).toHaveLength(6);
  });

  it('says that a pinwheel cannot be cut with straight cuts', () => {
    const wheel = [
      { id: 'a', x: 0, y: 0, width: 200, height: 100 },
      { id: 'b', x: 200, y: 0, width: 100, height: 200 },
      { id: 'c', x: 100, y: 200, width: 200, height: 100 },
      { id: 'd', x: 0, y: 100, width: 100, height: 200 },
    ];
    expect(cutTree({ width: 300, height: 300 }, wheel, 0)).toBeUndefined();
    expect(
      canBeCutStraight(wheel.map(({ id, x, y, width, height }) => ({ id, left: x, low: y, right: x + width, high: y + height }))),
    ).toBe(false);
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

  it('raised sizes never say more than the fewest strips that enumeration finds', () => {
    // One row of items on a sheet as high as they are: bin packing of lengths, small enough to try every way.
    let sharper = 0;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 9 }), (lengths) => {
        const grouped = [...new Set(lengths)].map((width) => ({
          width,
          height: 10,
          turns: false,
          count: lengths.filter((each) => each === width).length,
        }));
        const [quick, thorough] = [
          leastSheets(grouped, { width: 30, height: 10 }),
          leastSheets(grouped, { width: 30, height: 10 }, 'thorough'),
        ];
        const true_ = fewest(lengths, 30);
        expect(quick).toBeLessThanOrEqual(true_);
        expect(thorough).toBeLessThanOrEqual(true_);
        if (thorough > quick) sharper += 1;
      }),
      { seed: 56, numRuns: 600 },
    );
    expect(sharper).toBeGreaterThan(0);
  });

  it('with turning never says more than a layout that was found, on squares and on other sheets', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 20 })), { minLength: 1, maxLength: 25 }),
        fc.constantFrom(20, 26),
        (sizes, high) => {
          const list = sizes.map(([width, height], index): CutItem => ({ id: `${index}`, width, height, lies: 'either' }));
          const { sheets, tooLarge } = layOut(list, [kind(20, high)], rules(0, 0, 'free'), searching(300));
          expect(tooLarge).toEqual([]);
          const grouped = sizes.map(([width, height]) => ({ width, height, turns: true, count: 1 }));
          expect(leastSheets(grouped, { width: 20, height: high }, 'thorough')).toBeLessThanOrEqual(sheets.length);
        },
      ),
      { seed: 57, numRuns: 150 },
    );
  });

  const framed = (id: string, width: number, height: number, [x0, y0, x1, y1]: readonly [number, number, number, number]): CutItem => ({
    id,
    width,
    height,
    lies: 'either',
    outline: { outline: rectRing(0, 0, width, height), holes: [rectRing(x0, y0, x1, y1).toReversed()] },
  });

  it('a floor and three walls with a window each, of which no two share a sheet, need four; small parts in the windows change nothing', () => {
    const inch = UM.in;
    const wall = (id: string, width: number) => framed(id, width * inch, 12 * inch, [4 * inch, 4 * inch, 10 * inch, 9 * inch]);
    const large: readonly CutItem[] = [
      { id: 'floor', width: 18 * inch, height: 14 * inch, lies: 'either' },
      wall('back', 18),
      wall('left', 14),
      wall('right', 14),
    ];
    const sash: CutItem = { id: 'sash', width: 5 * inch, height: 4 * inch, lies: 'either' };
    const sheet = kind(20 * inch, 20 * inch);
    for (const list of [large, [...large, sash]]) {
      const { sheets, least, proven } = layOut(list, [sheet], rules(0, 0, 'free'), searching(50));
      expect([sheets.length, least, proven]).toEqual([4, 4, true]);
    }
  });

  it('of parts with openings, by enumeration of pairs: as many as share no sheet are needed, and never more than were found', () => {
    const side = fc.integer({ min: 8, max: 20 });
    let alone = 0;
    fc.assert(
      fc.property(fc.array(fc.tuple(side, side, fc.boolean()), { minLength: 2, maxLength: 6 }), (sizes) => {
        const list = sizes.map(
          ([w, h, open], index): CutItem =>
            open && w > 4 && h > 4
              ? framed(`${index}`, w, h, [2, 2, w - 2, h - 2])
              : { id: `${index}`, width: w, height: h, lies: 'either' },
        );
        const turns = ([w, h]: readonly [number, number, boolean]) => [[w, h] as const, [h, w] as const];
        // Two rectangles lie on one sheet where an upright or a level line parts them.
        const share = (a: number, b: number): boolean =>
          turns(sizes[a] as (typeof sizes)[number]).some(([w, h]) =>
            turns(sizes[b] as (typeof sizes)[number]).some(
              ([v, g]) => (w + v <= 20 && Math.max(h, g) <= 20) || (h + g <= 20 && Math.max(w, v) <= 20),
            ),
          );
        const inside = (a: number, b: number): boolean => {
          const [[w, h], [v, g, open]] = [sizes[a] as (typeof sizes)[number], sizes[b] as (typeof sizes)[number]];
          return open && ((w <= v - 4 && h <= g - 4) || (h <= v - 4 && w <= g - 4));
        };
        const { sheets, least } = layOut(list, [kind(20, 20)], rules(0, 0, 'free'), searching(30));
        expect(least).toBeLessThanOrEqual(sheets.length);
        const pairs = list.flatMap((_, a) => list.map((__, b) => [a, b] as const)).filter(([a, b]) => a !== b);
        if (pairs.some(([a, b]) => share(a, b) || inside(a, b))) return;
        alone += 1;
        expect(least).toBe(list.length);
      }),
      { seed: 58, numRuns: 400 },
    );
    expect(alone).toBeGreaterThan(20);
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
