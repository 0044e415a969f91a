import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dollOf, dollUm, inWorld, isDollSize, measureField, realOf, realUm, type Scale, UM } from './index.ts';

const scales: fc.Arbitrary<Scale> = fc
  .tuple(fc.integer({ min: 20_000, max: 500_000 }), fc.integer({ min: 600_000, max: 2_200_000 }))
  .map(([doll, real]) => ({ doll: dollUm(doll), real: realUm(real) }));

describe('a size in either world', () => {
  it('is cut the same when it is said in the other world', () => {
    fc.assert(
      fc.property(scales, fc.integer({ min: 1_000, max: 9_000_000 }), (scale, um) => {
        const real = realUm(um);
        const doll = inWorld(real, 'doll', scale);
        expect(isDollSize(doll) && !isDollSize(real)).toBe(true);
        expect(dollOf(doll, scale)).toBe(dollOf(real, scale));
        expect(dollOf(inWorld(doll, 'real', scale), scale)).toBe(dollOf(doll, scale));
        // The real size comes back to what one micrometre of the doll's stands for.
        expect(Math.abs(realOf(doll, scale) - real)).toBeLessThanOrEqual(scale.real / scale.doll);
      }),
      { seed: 3, numRuns: 400 },
    );
  });

  it('is read as text or micrometres, of the real thing or the doll, and refused with its reason', () => {
    const field = measureField({ min: UM.mm, max: UM.m });
    expect(field.parse('35 cm')).toBe(350_000);
    expect(field.parse({ doll: '4.8 mm' })).toEqual({ doll: 4_800 });
    expect(field.parse({ doll: 10 })).toEqual({ doll: 10 });
    for (const bad of ['2 m', '-1 mm', 0.5, { doll: '2 m' }, { doll: 4, real: 5 }, {}, null])
      expect(field.safeParse(bad).success, JSON.stringify(bad)).toBe(false);
  });
});
