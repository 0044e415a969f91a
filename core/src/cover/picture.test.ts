import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UM } from '../measure/index.ts';
import { bounds, type Rect } from '../shape/index.ts';
import { affineAt, dotsPerInch, LEAST_DPI, type PictureUse, picturePlacements, usedPixels } from './picture.ts';

const use = (change: Partial<PictureUse> = {}): PictureUse => ({
  picture: { id: 'a'.repeat(64), width: 1_200, height: 800, name: 'x' },
  crop: { left: 0, right: 0, top: 0, bottom: 0 },
  quarters: 0,
  tiles: 'repeat',
  width: 60_000,
  ...change,
});

const WINDOW: Rect = { x0: -30_000, y0: -70_000, x1: 100_000, y1: 50_000 };

/** Where a point of the whole picture, in shares from its lower left, comes to lie. */
const at = (each: PictureUse, x: number, y: number, index = 0, fit: Rect = WINDOW) => {
  const place = picturePlacements(each, WINDOW, fit)[index];
  if (!place) throw new Error('nowhere');
  const [px, py] = affineAt(place.matrix, [x, y]);
  return [Math.round(px), Math.round(py)];
};

describe('a picture', () => {
  it('of a known width keeps its shape, its lower left corner at the origin', () => {
    const once = use({ tiles: 'once' });
    expect([at(once, 0, 0), at(once, 1, 1)]).toEqual([
      [0, 0],
      [60_000, 40_000],
    ]);
  });

  it('turned goes counter-clockwise, quarter by quarter, and is as wide as it was said to be', () => {
    const lowerLeft = ([0, 1, 2, 3] as const).map((quarters) => at(use({ tiles: 'once', quarters }), 0, 0));
    // 1200 × 800 on its side is 800 × 1200: 60 mm wide, 90 mm high.
    expect(lowerLeft).toEqual([
      [0, 0],
      [60_000, 0],
      [60_000, 40_000],
      [0, 90_000],
    ]);
    expect(usedPixels(use({ quarters: 1 }))).toEqual({ width: 800, height: 1_200 });
  });

  it('cropped is stretched to its width, and what is cut off lies outside of what is seen', () => {
    const cropped = use({ tiles: 'once', crop: { left: 0.25, right: 0.25, top: 0, bottom: 0.5 } });
    expect(at(cropped, 0.25, 0.5)).toEqual([0, 0]);
    expect(at(cropped, 0.75, 1)).toEqual([60_000, 40_000]);
    expect(at(cropped, 0, 0)).toEqual([-30_000, -40_000]);
    expect(bounds(picturePlacements(cropped, WINDOW, WINDOW)[0]?.clip ?? [])).toEqual({ x0: 0, y0: 0, x1: 60_000, y1: 40_000 });
  });

  it('repeated covers its window without gap; mirrored, neighbours meet in the same points of the picture', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5_000, max: 80_000 }),
        fc.constantFrom(0, 1, 2, 3),
        fc.constantFrom('repeat', 'mirror'),
        (width, quarters, tiles) => {
          const each = use({ width, quarters: quarters as 0, tiles: tiles as 'repeat' });
          const places = picturePlacements(each, WINDOW, WINDOW);
          const boxes = places.map(({ clip }) => bounds(clip));
          const area = boxes.reduce((sum, { x0, y0, x1, y1 }) => sum + (x1 - x0) * (y1 - y0), 0);
          const all = bounds(boxes.flatMap(({ x0, y0, x1, y1 }) => [[x0, y0] as const, [x1, y1] as const]));
          expect(area / ((all.x1 - all.x0) * (all.y1 - all.y0))).toBeCloseTo(1, 9);
          expect(all.x0 <= WINDOW.x0 && all.y0 <= WINDOW.y0 && all.x1 >= WINDOW.x1 && all.y1 >= WINDOW.y1).toBe(true);
          if (tiles !== 'mirror') return;
          // Where two cells share a side, the point of the picture that lies there is the same in both.
          const [first, second] = places as [(typeof places)[number], (typeof places)[number]];
          if (bounds(first.clip).y0 !== bounds(second.clip).y0) return;
          for (const [u, v] of [
            [0, 0.3],
            [1, 0.3],
            [0.3, 0],
            [0.3, 1],
          ] as const) {
            const [x, y] = affineAt(first.matrix, [u, v]);
            if (Math.abs(x - bounds(first.clip).x1) > 1) continue;
            const other = affineAt(second.matrix, [u, v]);
            expect([Math.round(other[0]), Math.round(other[1])]).toEqual([Math.round(x), Math.round(y)]);
          }
        },
      ),
      { seed: 7, numRuns: 200 },
    );
  });

  it('fitted fills its face all over, keeps its shape, and stands over evenly on one pair of sides', () => {
    const fit: Rect = { x0: 10_000, y0: 5_000, x1: 40_000, y1: 65_000 };
    const fitted = use({ width: null });
    expect(picturePlacements(fitted, WINDOW, fit).length).toBe(1);
    const [[x0, y0], [x1, y1]] = [at(fitted, 0, 0, 0, fit), at(fitted, 1, 1, 0, fit)] as [[number, number], [number, number]];
    expect((x1 - x0) / (y1 - y0)).toBeCloseTo(1.5, 6);
    expect([y0, y1]).toEqual([5_000, 65_000]);
    expect(fit.x0 - x0).toBe(x1 - fit.x1);
  });

  it('has its pixels to the inch: 1200 on 4 in are 300, and a millimetre over 8 in is too coarse', () => {
    expect(dotsPerInch(use(), 4 * UM.in)).toBe(300);
    expect(dotsPerInch(use(), 8 * UM.in)).toBe(LEAST_DPI);
    expect(dotsPerInch(use(), 8 * UM.in + 1_000)).toBeLessThan(LEAST_DPI);
    expect(dotsPerInch(use({ quarters: 1 }), 4 * UM.in)).toBe(200);
  });
});
