import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bounds, type Point, rectRing } from '../shape/index.ts';
import { PAPERS } from '../stock/index.ts';
import { type Drawing, impose, type Mark, type PageRules, printable, tileJoins, UNMEASURED } from './index.ts';
import { fieldOf } from './sheet.ts';

const RULES: PageRules = { paper: 'a4', margin: 10_000, overlap: 12_000, printer: UNMEASURED };

const outline = (width: number, height: number): Mark => ({
  kind: 'line',
  style: 'cut',
  closed: true,
  points: rectRing(0, 0, width, height),
});

/** A small triangle near one corner: whichever way a back is turned wrongly, it shows. */
const flag = (x: number, y: number): Mark => ({
  kind: 'line',
  style: 'score',
  closed: true,
  points: [
    [x, y],
    [x + 4_000, y],
    [x, y + 9_000],
  ],
});

/** A drawing whose back carries the same triangle, seen from behind. */
const twoSided = (tag: string, width: number, height: number): Drawing => ({
  tag,
  name: tag,
  width,
  height,
  marks: [outline(width, height), flag(3_000, 5_000)],
  back: [
    outline(width, height),
    {
      kind: 'line',
      style: 'score',
      closed: true,
      points: [
        [width - 3_000, 5_000],
        [width - 7_000, 5_000],
        [width - 3_000, 14_000],
      ],
    },
  ],
});

/** The flags: the key of the page shows a line that is open. */
const scores = (marks: readonly Mark[]): readonly (readonly Point[])[] =>
  marks.flatMap((mark) => (mark.kind === 'line' && mark.style === 'score' && mark.closed ? [mark.points] : []));

const sorted = (points: readonly Point[]): readonly Point[] => [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);

describe('both sides of the paper', () => {
  it.each(['long', 'short'] as const)('turned over the %s edge, what belongs together lies on the same spot of the sheet', (sides) => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 20, max: 165 }), fc.integer({ min: 20, max: 250 })), { minLength: 1, maxLength: 12 }),
        (sizes) => {
          const drawings = sizes.map(([width, height], index) => twoSided(`${index + 1}A`, width * 1_000, height * 1_000));
          const pages = impose(drawings, { ...RULES, sides }, 'set');
          expect(pages.length % 2).toBe(0);
          const { width, height } = PAPERS.a4;
          for (let index = 0; index < pages.length; index += 2) {
            const [front, back] = [scores(pages[index]?.marks ?? []), scores(pages[index + 1]?.marks ?? [])];
            // Where a point of the back lies on the sheet, as one looks at its front.
            const through = ([x, y]: Point): Point => (sides === 'long' ? [width - x, y] : [x, height - y]);
            const [one, other] = [front, back.map((ring) => ring.map(through))].map((rings) =>
              rings.map((ring) => JSON.stringify(sorted(ring))).sort(),
            );
            expect(other).toEqual(one);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('crosses of front and back lie on one another, and stay inside the margins', () => {
    for (const sides of ['long', 'short'] as const) {
      const [front, back] = impose([twoSided('1A', 100_000, 80_000)], { ...RULES, sides }, 'set');
      const crosses = (marks: readonly Mark[]) =>
        marks.flatMap((mark) => (mark.kind === 'line' && mark.style === 'map' ? [bounds(mark.points)] : []));
      const middles = (marks: readonly Mark[]) =>
        [...new Set(crosses(marks).map(({ x0, x1, y0, y1 }) => `${(x0 + x1) / 2} ${(y0 + y1) / 2}`))].sort();
      const { width, height } = PAPERS.a4;
      const through = middles(back?.marks ?? [])
        .map((middle) => middle.split(' ').map(Number) as [number, number])
        .map(([x, y]) => (sides === 'long' ? `${width - x} ${y}` : `${x} ${height - y}`))
        .sort();
      expect(through).toEqual(middles(front?.marks ?? []));
      const room = printable({ ...RULES, sides });
      for (const { x0, y0, x1, y1 } of crosses(front?.marks ?? []))
        expect(x0 >= room.x0 && y0 >= room.y0 && x1 <= room.x1 && y1 <= room.y1).toBe(true);
    }
  });

  it('without backs, or on one side, there are no blank pages', () => {
    const plain: Drawing = { tag: '1A', name: 'a', width: 50_000, height: 50_000, marks: [outline(50_000, 50_000)] };
    expect(impose([plain], { ...RULES, sides: 'long' }, 'set')).toHaveLength(1);
    expect(impose([twoSided('1A', 50_000, 50_000)], { ...RULES, sides: 'one' }, 'set')).toHaveLength(1);
  });
});

describe('kinds of paper', () => {
  it('have pages of their own, and each page says what it is printed on', () => {
    const drawings = ['plain', 'card', 'plain', 'label', 'card'].map(
      (on, index): Drawing => ({
        tag: `${index}A`,
        name: on,
        width: 60_000,
        height: 40_000,
        marks: [outline(60_000, 40_000)],
        on: on as 'plain',
      }),
    );
    const pages = impose(drawings, RULES, 'set');
    expect(pages.map(({ on, parts }) => [on, parts])).toEqual([
      ['plain', ['0A', '2A']],
      ['card', ['1A', '4A']],
      ['label', ['3A']],
    ]);
    const heads = pages.map(({ marks }) => marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])).join(' '));
    expect(heads.map((head) => /on (card|label paper) · print at 100 %/.exec(head)?.[1])).toEqual([undefined, 'card', 'label paper']);
  });
});

describe('outlines', () => {
  it('of triangles share a page that their rectangles could not', () => {
    const triangle = (tag: string): Drawing => {
      const points: readonly Point[] = [
        [0, 0],
        [140_000, 0],
        [0, 200_000],
      ];
      return {
        tag,
        name: tag,
        width: 140_000,
        height: 200_000,
        outline: { outline: points, holes: [] },
        marks: [{ kind: 'line', style: 'cut', closed: true, points }],
      };
    };
    const both = [triangle('1A'), triangle('2A')];
    const plain = both.map(({ outline: _, ...rest }): Drawing => rest);
    expect(impose(plain, RULES, 'set')).toHaveLength(2);
    const [page, ...others] = impose(both, RULES, 'set');
    expect(others).toEqual([]);
    expect(page?.parts).toEqual(['1A', '2A']);
    // Every side is as long as it was, however it was turned.
    const cuts = (page?.marks ?? []).flatMap((mark) => (mark.kind === 'line' && mark.style === 'cut' && mark.closed ? [mark.points] : []));
    for (const points of cuts)
      expect(
        points
          .map(([x, y], at) => Math.round(Math.hypot(x - (points[(at + 1) % 3]?.[0] ?? 0), y - (points[(at + 1) % 3]?.[1] ?? 0))))
          .sort((a, b) => a - b),
      ).toEqual([140_000, 200_000, 244_131]);
  });
});

describe('tiles of a pattern', () => {
  const field = fieldOf(RULES);
  const strip = (repeats: Drawing['repeats']): Drawing => ({
    tag: '1A',
    name: 'wall',
    width: 500_000,
    height: 700_000,
    marks: [],
    ...(repeats ? { repeats } : {}),
  });

  it('meet on its lines, overlap by no less than was said, and reach from end to end', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2_000, max: 60_000 }),
        fc.integer({ min: 2_000, max: 60_000 }),
        fc.integer({ min: -90_000, max: 90_000 }),
        (stepX, stepY, from) => {
          const repeats = { x: { from, step: stepX }, y: { from: -from, step: stepY } };
          const { x, y, lying } = tileJoins(strip(repeats), field, RULES.overlap);
          const turned = { x: { from: 700_000 + from, step: stepY }, y: repeats.x };
          const lines = lying ? turned : repeats;
          for (const [joins, { from: first, step }, room] of [
            [x, lines.x, field.x1 - field.x0],
            [y, lines.y, field.y1 - field.y0],
          ] as const) {
            for (const [index, at] of joins.entries()) {
              const off = Math.abs((at - first) / step - Math.round((at - first) / step)) * step;
              expect(off).toBeLessThan(1e-6 * 1e6 * 0.01);
              const start = index === 0 ? 0 : (joins[index - 1] as number) - RULES.overlap / 2;
              expect(at + RULES.overlap / 2).toBeLessThanOrEqual(start + room + 1e-6);
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('without a pattern they are as large as they can be', () => {
    const { x, y, tiles } = tileJoins(strip(undefined), field, RULES.overlap);
    expect(tiles).toBe((x.length + 1) * (y.length + 1));
    expect(y[0]).toBe(field.y1 - field.y0 - RULES.overlap / 2);
  });
});
