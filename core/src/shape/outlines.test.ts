import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boardWithEdge, bounds, ellipseRing, type Point, type Ring, ringArea, signedArea, TOP_EDGES } from './index.ts';

const edges = (ring: Ring): readonly (readonly [Point, Point])[] =>
  ring.map((from, index) => [from, ring[(index + 1) % ring.length] as Point]);

describe('curved outlines', () => {
  it('stand off their circle by no more than 0.01 mm, and a micrometre of rounding', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 400_000 }), (radius) => {
        for (const [[x0, y0], [x1, y1]] of edges(ellipseRing(0, 0, radius))) {
          expect(radius - Math.hypot((x0 + x1) / 2, (y0 + y1) / 2)).toBeLessThanOrEqual(11.5);
          expect(Math.abs(Math.hypot(x0, y0) - radius)).toBeLessThanOrEqual(1);
        }
      }),
      { seed: 7, numRuns: 60 },
    );
  });

  it('have the area and the extremes of their ellipse', () => {
    for (const [rx, ry] of [
      [50_000, 50_000],
      [91_667, 40_000],
    ] as const) {
      const ring = ellipseRing(rx, ry, rx, ry);
      expect(ringArea(ring) / (Math.PI * rx * ry)).toBeCloseTo(1, 3);
      expect(bounds(ring)).toEqual({ x0: 0, y0: 0, x1: 2 * rx, y1: 2 * ry });
      expect(signedArea(ring)).toBeGreaterThan(0);
    }
  });
});

describe('boards with a shaped upper edge', () => {
  it('stand on a straight lower edge, reach their height, run counter-clockwise in whole micrometres, and keep their shoulders', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TOP_EDGES),
        fc.integer({ min: 20_000, max: 400_000 }),
        fc.integer({ min: 20_000, max: 300_000 }),
        fc.integer({ min: 1_000, max: 200_000 }),
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        (edge, width, height, rise, share) => {
          const shoulder = Math.round(height * share);
          const ring = boardWithEdge(width, height, edge, rise, shoulder);
          expect(bounds(ring)).toEqual({ x0: 0, y0: 0, x1: width, y1: height });
          expect(ring.flat().every(Number.isInteger)).toBe(true);
          expect(signedArea(ring)).toBeGreaterThan(0);
          const upper = ring.filter(([, y]) => y > 0);
          expect(Math.min(...upper.map(([, y]) => y))).toBeGreaterThanOrEqual(shoulder - 1);
          expect(signedArea(ring)).toBeLessThanOrEqual(width * height);
        },
      ),
      { seed: 8, numRuns: 200 },
    );
  });

  it('battlements are as wide at both ends, with a gap between each two', () => {
    const ring = boardWithEdge(100_000, 60_000, 'battlements', 10_000);
    const tops = edges(ring).filter(([[, y0], [, y1]]) => y0 === 60_000 && y1 === 60_000);
    const gaps = edges(ring).filter(([[x0, y0], [x1, y1]]) => y0 === 50_000 && y1 === 50_000 && x0 !== x1);
    expect(tops.length).toBe(gaps.length + 1);
    const wide = tops.map(([[x0], [x1]]) => x0 - x1);
    expect(Math.max(...wide) - Math.min(...wide)).toBeLessThanOrEqual(1);
  });
});
