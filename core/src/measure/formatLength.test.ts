import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength, parseLength, ruleStep, showExact, showLength, showTwo, UM, type Units } from './index.ts';

const unitsGiven = fc.record({ unit: fc.constantFrom('in', 'mm', 'cm'), fine: fc.boolean() }) as fc.Arbitrary<Units>;

describe('lengths on the maker’s rule', () => {
  it.each<[number, Units, string]>([
    [300_038, { unit: 'in', fine: false }, '11 13/16 in'],
    [19_050, { unit: 'in', fine: false }, '3/4 in'],
    [25_400, { unit: 'in', fine: false }, '1 in'],
    [3_969, { unit: 'in', fine: true }, '5/32 in'],
    [34_600, { unit: 'mm', fine: false }, '34.5 mm'],
    [34_600, { unit: 'mm', fine: true }, '34.6 mm'],
    [68_500, { unit: 'cm', fine: false }, '6.85 cm'],
    [0, { unit: 'in', fine: false }, '0 in'],
  ])('%i µm', (lengthUm, units, text) => {
    expect(formatLength(lengthUm, units).text).toBe(text);
  });

  it('says by how much its words are off, and marks what is off by more than a tenth of a millimetre', () => {
    expect(formatLength(34_600, { unit: 'mm', fine: false }).errorUm).toBe(-100);
    expect(showLength(34_600, { unit: 'mm', fine: false })).toBe('34.5 mm');
    expect(showLength(34_750, { unit: 'mm', fine: false })).toBe('≈ 35 mm');
  });

  it('round trip: what is formatted reads back to within half a step, and by exactly the error it states', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000_000 }), unitsGiven, (lengthUm, units) => {
        const { text, errorUm } = formatLength(lengthUm, units);
        const back = parseLength(text, undefined);
        expect(back.ok).toBe(true);
        if (!back.ok) return;
        expect(Math.abs(back.value - lengthUm)).toBeLessThanOrEqual(ruleStep(units) / 2 + 1);
        expect(Math.abs(back.value - lengthUm - errorUm)).toBeLessThanOrEqual(1);
      }),
      { seed: 20261, numRuns: 2000 },
    );
  });

  it('round trip: any whole inches, feet and fraction of any denominator', () => {
    fc.assert(
      fc.property(fc.nat(12), fc.nat(11), fc.integer({ min: 1, max: 128 }), fc.nat(127), (feet, inches, bottom, top) => {
        const parsed = parseLength(`${feet}' ${inches} ${top % bottom}/${bottom}"`, undefined);
        expect(parsed).toEqual({ ok: true, value: Math.round(feet * UM.ft + (inches + (top % bottom) / bottom) * UM.in) });
      }),
      { seed: 20262, numRuns: 1000 },
    );
  });
});

describe('what no rule tells apart', () => {
  const inch: Units = { unit: 'in', fine: false };
  const mm: Units = { unit: 'mm', fine: false };

  it('is said as a gauge reads it, and never as nothing', () => {
    expect(showLength(300, inch)).toBe('0.012 in');
    expect(showLength(200, mm)).toBe('0.2 mm');
    expect(showLength(30, mm)).toBe('0.03 mm');
    expect(showLength(0, mm)).toBe('0 mm');
    expect(showExact(4_800, { unit: 'cm', fine: false })).toBe('0.48 cm');
  });

  it('two lengths that differ read differently, in the maker’s unit alone, the larger one as the larger', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 900_000 }),
        fc.integer({ min: 1, max: 4_000 }),
        fc.constantFrom<Units>(inch, mm, { unit: 'cm', fine: true }),
        (low, more, units) => {
          const [one, other] = showTwo(low, low + more, units);
          const number = (text: string): number =>
            text
              .replace(/≈ | (in|mm|cm)$/g, '')
              .split(' ')
              .reduce(
                (sum, each) => sum + each.split('/').reduce((top, bottom, at) => (at === 0 ? Number(bottom) : top / Number(bottom)), 0),
                0,
              );
          expect(number(one)).toBeLessThan(number(other));
          expect([one, other].every((text) => text.endsWith(` ${units.unit}`))).toBe(true);
          expect(showTwo(low + more, low, units)).toEqual([other, one]);
        },
      ),
      { seed: 24, numRuns: 500 },
    );
  });
});
