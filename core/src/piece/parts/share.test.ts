import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { share } from './share.ts';

const wishes = fc.array(
  fc.oneof(fc.record({ share: fc.integer({ min: 1, max: 9 }) }), fc.record({ fixed: fc.integer({ min: 1, max: 40_000 }) })),
  { minLength: 1, maxLength: 12 },
);

describe('a row divided', () => {
  it('loses no micrometre: clear sizes and boards add up to the whole', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1_000, max: 900_000 }), wishes, fc.integer({ min: 0, max: 10_000 }), (length, row, between) => {
        const divided = share(length, row, between);
        if (!divided.ok) {
          expect(divided.error.needed).toBeGreaterThan(length - row.length);
          return;
        }
        expect(divided.value.reduce((sum, each) => sum + each, 0) + between * (row.length - 1)).toBe(length);
        expect(divided.value.every((each) => Number.isInteger(each) && each > 0)).toBe(true);
      }),
      { seed: 11, numRuns: 2000 },
    );
  });

  it('gives the fixed their size, and equal shares what is left to within a micrometre', () => {
    const divided = share(100_000, [{ fixed: 30_000 }, { share: 1 }, { share: 1 }, { share: 1 }], 5_000);
    expect(divided).toEqual({ ok: true, value: [30_000, 18_333, 18_334, 18_333] });
  });

  it('lets the last of only fixed ones take what is over, and refuses when they are too many', () => {
    expect(share(100, [{ fixed: 40 }, { fixed: 40 }], 10)).toEqual({ ok: true, value: [40, 50] });
    expect(share(80, [{ fixed: 40 }, { fixed: 40 }], 10)).toEqual({ ok: false, error: { code: 'no-room', available: 80, needed: 90 } });
  });
});
