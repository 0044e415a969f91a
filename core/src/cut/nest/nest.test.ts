import fc from 'fast-check';
import Module, { type CrossSection } from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import { boardWithEdge, ellipseRing, oriented, type Region, type Ring, rectRing } from '../../shape/index.ts';
import { type CutItem, type CutLayout, layOut } from '../index.ts';
import { kind, rules, searching } from '../searching.testing.ts';

const kernel = await Module();
beforeAll(() => kernel.setup());

const shaped = (id: string, outline: Ring, holes: readonly Ring[] = [], more: Partial<CutItem> = {}): CutItem => ({
  id,
  width: Math.max(...outline.map(([x]) => x)),
  height: Math.max(...outline.map(([, y]) => y)),
  lies: 'either',
  outline: { outline, holes },
  flips: true,
  ...more,
});

const triangle = (id: string, width: number, height: number, more: Partial<CutItem> = {}): CutItem =>
  shaped(
    id,
    [
      [0, 0],
      [width, 0],
      [0, height],
    ],
    [],
    more,
  );

const leg = (id: string, width: number, height: number, wide: number): CutItem =>
  shaped(id, [
    [0, 0],
    [width, 0],
    [width, wide],
    [wide, wide],
    [wide, height],
    [0, height],
  ]);

const disc = (id: string, radius: number): CutItem => shaped(id, ellipseRing(radius, radius, radius));

const ring = (id: string, outer: number, inner: number): CutItem =>
  shaped(id, ellipseRing(outer, outer, outer), [[...ellipseRing(outer, outer, inner)].reverse()]);

const panel = (id: string, width: number, height: number): CutItem => ({ id, width, height, lies: 'either' });

/** A part where it lies, by the solid kernel, which shares no code with the nesting. */
const solidOf = (
  region: Region,
  item: CutItem,
  { x, y, turn, mirrored }: CutLayout['sheets'][number]['placements'][number],
): CrossSection => {
  const place = oriented(item, { turn, mirrored });
  const rings = [region.outline, ...region.holes].map((each) =>
    each.map((point): [number, number] => [...place(point)] as [number, number]),
  );
  return new kernel.CrossSection(rings, 'EvenOdd').translate([x, y]);
};

/** What may be wrong: parts over the edge or nearer to each other than the gap (less what rounding takes), parts lost or laid twice. */
const faults = (items: readonly CutItem[], layout: CutLayout, gap: number): readonly string[] => {
  const laid = layout.sheets.flatMap(({ placements }) => placements.map(({ id }) => id));
  const lost = items.filter(({ id }) => laid.filter((each) => each === id).length !== 1 && !layout.tooLarge.includes(id));
  return [
    ...lost.map(({ id }) => `${id} is not laid once`),
    ...layout.sheets.flatMap(({ kind: sheet, placements }) => {
      const solids = placements.map((placement) => {
        const item = items.find(({ id }) => id === placement.id) as CutItem;
        return {
          id: item.id,
          solid: solidOf(item.outline ?? { outline: rectRing(0, 0, item.width, item.height), holes: [] }, item, placement),
        };
      });
      return solids.flatMap(({ id, solid }, index) => {
        const { min, max } = solid.bounds();
        const over = min[0] < -1 || min[1] < -1 || max[0] > sheet.width + 1 || max[1] > sheet.height + 1;
        const grown = solid.offset(Math.max(0, gap - 3), 'Round');
        const near = solids.slice(index + 1).filter((other) => grown.intersect(other.solid).area() > 3_000);
        return [...(over ? [`${id} over the edge`] : []), ...near.map((other) => `${id} runs into ${other.id}`)];
      });
    }),
  ];
};

describe('parts that are not rectangles', () => {
  it('two triangle brackets share a rectangle, and a sheet of just that size holds both', () => {
    const brackets = [triangle('a', 80_000, 120_000), triangle('b', 80_000, 120_000)];
    for (const mode of ['straight', 'free'] as const) {
      const layout = layOut(brackets, [kind(80_000, 120_000)], rules(0, 0, mode), searching(2_000, 300));
      expect(layout).toMatchObject({ tooLarge: [], least: 1, proven: true, sheets: [{ placements: [{ id: 'a' }, { id: 'b' }] }] });
      expect(faults(brackets, layout, 0)).toEqual([]);
    }
  });

  it('two brackets of which one is the mirror image share one too, turned over where the faces are alike, else not', () => {
    const mirror = (more: Partial<CutItem>): CutItem =>
      shaped(
        'b',
        [
          [0, 0],
          [80_000, 0],
          [80_000, 120_000],
        ],
        [],
        more,
      );
    const sheets = (flips: boolean, lies: CutItem['lies']): number => {
      const both = [triangle('a', 80_000, 120_000, { flips, lies }), mirror({ flips, lies })];
      const layout = layOut(both, [kind(80_000, 120_000)], rules(), searching(2_000, 300));
      expect(faults(both, layout, 0)).toEqual([]);
      return layout.sheets.length;
    };
    expect(sheets(true, 'drawn')).toBe(1);
    expect(sheets(false, 'drawn')).toBe(2);
  });

  it('four L-legs go into each other: two by two they nearly fill a rectangle', () => {
    const legs = [1, 2, 3, 4].map((number) => leg(`leg ${number}`, 60_000, 90_000, 28_000));
    // By the rectangles round them only two lie on such a sheet.
    const layout = layOut(legs, [kind(90_000, 240_000)], rules(500), searching(2_000, 300));
    expect(layout.sheets.length).toBe(1);
    expect(faults(legs, layout, 500)).toEqual([]);
  });

  it('lays small discs in the hole of a ring, and what fits in a window into the window', () => {
    const list = [
      ring('ring', 60_000, 45_000),
      disc('small', 40_000),
      shaped('frame', rectRing(0, 0, 200_000, 120_000), [
        [
          [20_000, 20_000],
          [20_000, 100_000],
          [180_000, 100_000],
          [180_000, 20_000],
        ],
      ]),
      panel('door', 150_000, 70_000),
    ];
    for (const mode of ['straight', 'free'] as const) {
      const layout = layOut(list, [kind(200_000, 242_000)], rules(1_000, 0, mode), searching(2_000, 300));
      expect(layout.sheets.length).toBe(1);
      expect(faults(list, layout, 1_000)).toEqual([]);
      const at = (id: string) => layout.sheets[0]?.placements.find((each) => each.id === id) as { x: number; y: number };
      expect(Math.abs(at('small').x + 40_000 - at('ring').x - 60_000)).toBeLessThan(5_000);
    }
  });

  it('cut freely, discs lie like honeycomb where that saves a sheet: rows half a disc aside are √3 ÷ 2 apart', () => {
    const discs = Array.from({ length: 38 }, (_, index) => disc(`disc ${index}`, 30_000));
    const sheet = kind(331_000, 430_000);
    // In rows and columns 5 × 7 lie on it; in shifted rows of five there is room for 1 + ⌊(430 − 60) ÷ 51.96⌋ = 8 rows.
    expect(layOut(discs, [sheet], rules(0, 0, 'straight'), searching(2_000, 300)).sheets.length).toBe(2);
    const told: number[] = [];
    const layout = layOut(discs, [sheet], rules(0, 0, 'free'), {
      ...searching(2_000, 300),
      better: ({ sheets }) => told.push(sheets.length),
    });
    expect(layout).toMatchObject({ least: 1, proven: true });
    expect(layout.sheets.length).toBe(1);
    expect(faults(discs, layout, 0)).toEqual([]);
    expect(told.at(-1)).toBe(1);
  });

  it('a layout by outlines takes no more sheets than one by the rectangles round them, and never says less than the bound', () => {
    const some = fc.oneof(
      fc.record({
        is: fc.constant('triangle' as const),
        w: fc.integer({ min: 20_000, max: 200_000 }),
        h: fc.integer({ min: 20_000, max: 200_000 }),
      }),
      fc.record({
        is: fc.constant('leg' as const),
        w: fc.integer({ min: 40_000, max: 200_000 }),
        h: fc.integer({ min: 40_000, max: 200_000 }),
      }),
      fc.record({ is: fc.constant('disc' as const), w: fc.integer({ min: 8_000, max: 80_000 }), h: fc.constant(0) }),
      fc.record({ is: fc.constant('ring' as const), w: fc.integer({ min: 30_000, max: 90_000 }), h: fc.constant(0) }),
      fc.record({
        is: fc.constant('arch' as const),
        w: fc.integer({ min: 40_000, max: 200_000 }),
        h: fc.integer({ min: 110_000, max: 250_000 }),
      }),
      fc.record({
        is: fc.constant('panel' as const),
        w: fc.integer({ min: 10_000, max: 250_000 }),
        h: fc.integer({ min: 10_000, max: 250_000 }),
      }),
    );
    const make = ({ is, w, h }: { is: string; w: number; h: number }, index: number): CutItem => {
      const id = `part ${index}`;
      if (is === 'triangle') return triangle(id, w, h);
      if (is === 'leg') return leg(id, w, h, Math.round(Math.min(w, h) / 3));
      if (is === 'disc') return disc(id, w);
      if (is === 'ring') return ring(id, w, Math.round(w * 0.7));
      return is === 'arch' ? shaped(id, boardWithEdge(w, h, 'half-round', 0)) : panel(id, w, h);
    };
    fc.assert(
      fc.property(
        fc.array(some, { minLength: 2, maxLength: 14 }),
        fc.integer({ min: 0, max: 2_000 }),
        fc.constantFrom('straight', 'free'),
        (list, gap, mode) => {
          const items = list.map(make);
          const [sheet] = [kind(300_000, 420_000)];
          const layout = layOut(items, [sheet], rules(gap, 0, mode), searching(2_000, 300));
          expect(faults(items, layout, gap)).toEqual([]);
          const boxes = layOut(
            items.map(({ outline: _, ...item }) => item),
            [sheet],
            rules(gap, 0, mode),
            searching(2_000, 300),
          );
          expect(layout.sheets.length).toBeLessThanOrEqual(boxes.sheets.length);
          expect(layout.least).toBeLessThanOrEqual(layout.sheets.length);
        },
      ),
      { seed: 71, numRuns: 15 },
    );
  });
});
