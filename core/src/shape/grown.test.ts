import { areaD, EndType, inflatePaths, JoinType, PointInPolygonResult, pointInPolygon } from 'clipper2-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toPaths } from './clip.ts';
import { FIGURES } from './figureNames.ts';
import { areaOf, figureRing, grown, type Region, rectRing } from './index.ts';

const figures = fc
  .record({
    name: fc.constantFrom(...FIGURES),
    width: fc.integer({ min: 5_000, max: 65_000 }),
    height: fc.integer({ min: 5_000, max: 65_000 }),
    corners: fc.integer({ min: 3, max: 9 }),
    roundness: fc.double({ min: 0, max: 0.5, noNaN: true }),
    hole: fc.boolean(),
    by: fc.double({ min: -0.4, max: 0.25, noNaN: true }),
  })
  .map(({ name, width, height, corners, roundness, hole, by }) => {
    const least = Math.min(width, height);
    const outline = figureRing(name, { width, height, corners, round: Math.round(least * roundness) });
    const [x0, y0, x1, y1] = [width * 0.4, height * 0.4, width * 0.6, height * 0.6].map(Math.round) as [number, number, number, number];
    const region: Region = { outline, holes: hole ? [[...rectRing(x0, y0, x1, y1)].reverse()] : [] };
    return { region, by: Math.round(least * by), girth: 2 * (width + height) };
  });

describe('a region whose sides are moved', () => {
  // Source: an independent way of the general-purpose clipping library, which takes every corner apart before it joins them again.
  it('is what a clipping library makes of it by its own offset, for every figure, holes included', () => {
    fc.assert(
      fc.property(figures, ({ region, by, girth }) => {
        const theirs = by === 0 ? toPaths(region) : inflatePaths(toPaths(region), by, JoinType.Miter, EndType.Polygon, 4);
        const area = theirs.reduce((sum, path) => sum + areaD(path), 0);
        // Corners are rounded to the micrometre, and crumbs are left out.
        expect(Math.abs(areaOf(grown(region, by)) - area)).toBeLessThan(3 * (girth + 6 * Math.abs(by)) + 20_000);
      }),
      { numRuns: 600 },
    );
  });

  it('lies inside what it was made from when they are moved inwards, and round it when outwards', () => {
    fc.assert(
      fc.property(figures, ({ region, by }) => {
        // Corners are rounded to the micrometre: sides that are hardly moved may cross by one.
        fc.pre(by === 0 || Math.abs(by) > 3);
        const [inner, outer] = by < 0 ? [grown(region, by), [region]] : [[region], grown(region, by)];
        const [around] = toPaths(outer[0] as Region);
        for (const { outline } of inner)
          for (const [x, y] of outline) expect(pointInPolygon({ x, y, z: 0 }, around as never)).not.toBe(PointInPolygonResult.IsOutside);
      }),
      { seed: 62, numRuns: 100 },
    );
  });

  it('has exactly the sides that plane geometry says, where it is a rectangle', () => {
    const made = grown({ outline: rectRing(0, 0, 30_000, 20_000), holes: [rectRing(10_000, 5_000, 20_000, 12_000).toReversed()] }, -1_000);
    expect(areaOf(made)).toBe(28_000 * 18_000 - 12_000 * 9_000);
    expect(areaOf(grown({ outline: rectRing(0, 0, 30_000, 20_000), holes: [] }, 2_500))).toBe(35_000 * 25_000);
  });

  it('comes in as many bits as its necks part it into, and in none when nothing is left', () => {
    // A dumb-bell: two squares of 20 mm and a neck 4 mm wide.
    const bell = [
      [0, 0],
      [20_000, 0],
      [20_000, 8_000],
      [30_000, 8_000],
      [30_000, 0],
      [50_000, 0],
      [50_000, 20_000],
      [30_000, 20_000],
      [30_000, 12_000],
      [20_000, 12_000],
      [20_000, 20_000],
      [0, 20_000],
    ] as const;
    expect(grown({ outline: bell, holes: [] }, -1_900)).toHaveLength(1);
    expect(grown({ outline: bell, holes: [] }, -2_100)).toHaveLength(2);
    expect(grown({ outline: bell, holes: [] }, -10_100)).toHaveLength(0);
  });
});
