import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Point } from '../shape/index.ts';
import { line, type Mark } from './page.ts';
import { clipped, moved, turned } from './place.ts';
import { tile } from './tile.ts';

const point = fc.tuple(fc.integer({ min: -50_000, max: 350_000 }), fc.integer({ min: -50_000, max: 450_000 })) as fc.Arbitrary<Point>;
const polyline = fc
  .record({ points: fc.array(point, { minLength: 2, maxLength: 6 }), closed: fc.boolean() })
  .map(({ points, closed }): Mark => line('cut', points, closed && points.length > 2));
const marks = fc.array(polyline, { maxLength: 5 });

const segmentsOf = (list: readonly Mark[]): readonly (readonly [Point, Point])[] =>
  list.flatMap((mark) => {
    if (mark.kind !== 'line') return [];
    const count = mark.closed ? mark.points.length : mark.points.length - 1;
    return Array.from(
      { length: count },
      (_, index) => [mark.points[index] as Point, mark.points[(index + 1) % mark.points.length] as Point] as const,
    );
  });

const lengthOf = (list: readonly Mark[]): number =>
  segmentsOf(list).reduce((sum, [[x0, y0], [x1, y1]]) => sum + Math.hypot(x1 - x0, y1 - y0), 0);

describe('moving and turning marks', () => {
  it('moved there and back they are the same, and keep their length', () => {
    fc.assert(
      fc.property(marks, fc.integer({ min: -9_999, max: 9_999 }), fc.integer({ min: -9_999, max: 9_999 }), (list, x, y) => {
        expect(moved(moved(list, x, y), -x, -y)).toEqual(list);
        expect(lengthOf(moved(list, x, y))).toBeCloseTo(lengthOf(list), 3);
      }),
      { seed: 21 },
    );
  });

  it('turned by a quarter they keep every distance; four quarters bring lines back', () => {
    fc.assert(
      fc.property(marks, (list) => {
        const [width, height] = [300_000, 400_000];
        expect(lengthOf(turned(list, height))).toBeCloseTo(lengthOf(list), 3);
        expect(turned(turned(turned(turned(list, height), width), height), width)).toEqual(list);
      }),
      { seed: 22 },
    );
  });

  it('words turn with what they stand on', () => {
    const word: Mark = { kind: 'text', text: '1A', at: [10, 20], size: 5, anchor: 'middle', angle: 0 };
    expect(turned([word], 100)).toEqual([{ ...word, at: [80, 10], angle: 90 }]);
  });
});

describe('clipping', () => {
  const window = { x0: 0, y0: 0, x1: 150_000, y1: 200_000 };

  it('keeps nothing outside the window, and two halves of a drawing have the length of the whole', () => {
    fc.assert(
      fc.property(marks, (list) => {
        for (const [from, to] of segmentsOf(clipped(list, window))) {
          for (const [x, y] of [from, to]) {
            expect(x).toBeGreaterThanOrEqual(window.x0 - 0.01);
            expect(x).toBeLessThanOrEqual(window.x1 + 0.01);
            expect(y).toBeGreaterThanOrEqual(window.y0 - 0.01);
            expect(y).toBeLessThanOrEqual(window.y1 + 0.01);
          }
        }
        const all = { x0: -60_000, y0: -60_000, x1: 400_000, y1: 500_000 };
        const at = 123_456.5;
        const halves = [...clipped(list, { ...all, x1: at }), ...clipped(list, { ...all, x0: at })];
        expect(lengthOf(halves)).toBeCloseTo(lengthOf(clipped(list, all)), 1);
      }),
      { seed: 23, numRuns: 300 },
    );
  });
});

describe('tiles', () => {
  const field = { x0: 19_000, y0: 19_000, x1: 200_000, y1: 279_000 };

  it('of any drawing larger than a page cover every point of its outline, and overlap by at least what was asked', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 190_000, max: 900_000 }),
        fc.integer({ min: 100_000, max: 900_000 }),
        fc.integer({ min: 5_000, max: 40_000 }),
        (width, height, overlap) => {
          const outline = line(
            'cut',
            [
              [0, 0],
              [width, 0],
              [width, height],
              [0, height],
            ],
            true,
          );
          const pages = tile({ tag: '2A', name: 'side', width, height, marks: [outline] }, field, overlap);
          const [roomX, roomY] = [field.x1 - field.x0, field.y1 - field.y0];
          const least = (length: number, room: number) => Math.max(1, Math.ceil((length - overlap) / (room - overlap)));
          expect(pages.length).toBe(Math.min(least(width, roomX) * least(height, roomY), least(height, roomX) * least(width, roomY)));
          // The outline's own length is on the pages at least once; in the overlaps twice.
          const cut = pages.flatMap(({ marks: drawn }) => drawn).filter((mark) => mark.kind === 'line' && mark.style === 'cut');
          const straight = segmentsOf(cut).filter(([[x0, y0], [x1, y1]]) => (x0 === x1) !== (y0 === y1));
          const drawn = straight.reduce((sum, [[x0, y0], [x1, y1]]) => sum + Math.abs(x1 - x0) + Math.abs(y1 - y0), 0);
          expect(drawn).toBeGreaterThanOrEqual(2 * (width + height));
          expect(new Set(pages.map(({ title }) => title)).size).toBe(pages.length);
        },
      ),
      { seed: 24, numRuns: 200 },
    );
  });

  it('neighbours carry the same match marks, as far apart as the tiles are', () => {
    const outline = line(
      'cut',
      [
        [0, 0],
        [500_000, 0],
        [500_000, 100_000],
        [0, 100_000],
      ],
      true,
    );
    const pages = tile({ tag: '1A', name: '', width: 500_000, height: 100_000, marks: [outline] }, field, 12_000);
    const joinsOf = (index: number) =>
      (pages[index]?.marks ?? []).flatMap((mark) =>
        mark.kind === 'line' && mark.style === 'join' && mark.closed ? [mark.points[0] as Point] : [],
      );
    expect(pages.length).toBeGreaterThan(1);
    for (let index = 0; index + 1 < pages.length; index += 1) {
      const [here, there] = [joinsOf(index), joinsOf(index + 1)];
      const shifts = here.flatMap(([x, y]) =>
        there.filter(([u, v]) => u === x || v === y).map(([u, v]) => Math.round(Math.hypot(u - x, v - y))),
      );
      expect(shifts.length).toBeGreaterThan(0);
    }
  });
});
