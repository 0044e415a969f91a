import type { Units } from '@parlor/core/measure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ruleTicks } from './ruleTicks.ts';
import { pageBeside } from './views.ts';

describe('the ticks of a rule', () => {
  const units: fc.Arbitrary<Units> = fc.record({ unit: fc.constantFrom('in', 'mm', 'cm'), fine: fc.boolean() });

  it('stand evenly, far enough apart to be told apart, and their numbers do not touch', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 2500 }), fc.integer({ min: 50, max: 20_000 }), units, (width, perPx, each) => {
        const ticks = ruleTicks(width, perPx, each);
        const steps = ticks.slice(1).map(({ x }, index) => x - (ticks[index]?.x ?? 0));
        expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(0.001);
        expect(Math.min(...steps)).toBeGreaterThanOrEqual(each.unit === 'in' && perPx > 500_000 ? 0 : 5.99);
        const numbered = ticks.filter(({ label }) => label !== null);
        expect(numbered.every(({ rank }) => rank === 2)).toBe(true);
        for (const [index, { x }] of numbered.slice(1).entries()) expect(x - (numbered[index]?.x ?? 0)).toBeGreaterThanOrEqual(53.9);
        expect(ticks.at(-1)?.x).toBeLessThanOrEqual(width);
      }),
      { seed: 9, numRuns: 300 },
    );
  });

  it('say where they stand', () => {
    const ticks = ruleTicks(1000, 1000, { unit: 'mm', fine: false }).filter(({ label }) => label !== null);
    expect(ticks.map(({ x, label }) => [x, label])).toContainEqual([100, '100']);
    const inches = ruleTicks(1000, 25_400 / 100, { unit: 'in', fine: false }).filter(({ label }) => label !== null);
    expect(inches.map(({ x, label }) => [Math.round(x), label])).toContainEqual([300, '3']);
  });
});

describe('turning pages', () => {
  it('goes through the views in the order of the work, and stays at the ends', () => {
    const way = ['/sets'];
    for (let path = '/sets/attic/doll'; ; path = pageBeside(path, 1)) {
      if (way.at(-1) === path) break;
      way.push(path);
    }
    expect(way).toEqual([
      '/sets',
      '/sets/attic/doll',
      '/sets/attic/pieces',
      '/sets/attic/room',
      '/sets/attic/coverings',
      '/sets/attic/goods',
      '/sets/attic/cutting',
      '/sets/attic/printing',
    ]);
    expect(pageBeside('/sets/attic/pieces/piece-3', -1)).toBe('/sets/attic/doll');
    expect(pageBeside('/sets/attic/doll', -1)).toBe('/sets');
    expect(pageBeside('/sets', 1)).toBe('/sets');
    expect(pageBeside('/sets/attic/history', 1)).toBe('/sets/attic/history');
  });
});
