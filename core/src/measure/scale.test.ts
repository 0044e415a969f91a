import fc from 'fast-check';
import { describe, expect, expectTypeOf, it } from 'vitest';
import { type DollUm, dollUm, type RealUm, realUm, scaleFromRatio, timesSmaller, toDoll, toReal, UM } from './index.ts';

describe('scale', () => {
  // Common practice, no source: a real book 9 in tall is 3/4 in at 1:12.
  it('brings a real book of 9 in to 3/4 in at 1:12', () => {
    expect(toDoll(realUm(9 * UM.in), scaleFromRatio(12))).toBe(0.75 * UM.in);
  });

  it('is a ratio of two lengths', () => {
    expect(timesSmaller({ doll: dollUm(460_000), real: realUm(1_380_000) })).toBe(3);
  });

  it('comes back to within the rounding of one micrometre at doll size', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10_000_000 }), fc.integer({ min: 1, max: 48 }), (real, ratio) => {
        const scale = scaleFromRatio(ratio);
        expect(Math.abs(toReal(toDoll(realUm(real), scale), scale) - real)).toBeLessThanOrEqual(ratio / 2 + 1);
      }),
      { seed: 7 },
    );
  });

  it('keeps the two worlds apart: neither is assignable to the other', () => {
    expectTypeOf<RealUm>().not.toExtend<DollUm>();
    expectTypeOf<DollUm>().not.toExtend<RealUm>();
    expectTypeOf(toDoll).parameter(0).toEqualTypeOf<RealUm>();
    // @ts-expect-error board thickness is born doll-size and is never scaled
    toDoll(dollUm(5000), scaleFromRatio(6));
    // @ts-expect-error a bare number belongs to no world
    toDoll(5000, scaleFromRatio(6));
  });
});
