import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength, parseLength, ruleStep, showLength, UM, type Units } from './index.ts';

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
