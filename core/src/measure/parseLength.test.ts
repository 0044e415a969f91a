import { describe, expect, it } from 'vitest';
import { explainLength, parseLength, UM } from './index.ts';

const um = (text: string, bare: 'in' | 'mm' | 'cm' | undefined = 'mm') => {
  const parsed = parseLength(text, bare);
  return parsed.ok ? parsed.value : parsed.error;
};

describe('lengths as people type them', () => {
  // The inch is 25.4 mm exactly: International Yard and Pound Agreement, 1959.
  it.each([
    ['1 in', 25_400],
    ['12 1/4 in', 311_150],
    ['12¼"', 311_150],
    ['12-1/4 in', 311_150],
    ['12 1/4″', 311_150],
    ['12¼ inches', 311_150],
    ['2\' 6"', 762_000],
    ['2′ 6″', 762_000],
    ['2’ 6”', 762_000],
    ["2'6", 762_000],
    ['5\' 6"', 1_676_400],
    ['5 ft 6 in', 1_676_400],
    ['5 feet 6 1/2 inches', 1_689_100],
    ["6'", 1_828_800],
    ["6''", 152_400],
    ['35 cm', 350_000],
    ['2,5cm', 25_000],
    ['2.5 cm', 25_000],
    ['.5 in', 12_700],
    ['0,5 mm', 500],
    ['1 m 20 cm', 1_200_000],
    ['1.8 m', 1_800_000],
    ['1 metre', 1_000_000],
    ['3/16 in', 4_763],
    ['7/64"', 2_778],
    ['11 13/16 in', 300_038],
    ['⅜ in', 9_525],
    ['3⁄16 in', 4_763],
    ['1800', 1_800_000],
    ['4.5', 4_500],
    ['1 1/2', 1_500],
    ['1000 mm', 1_000_000],
    ['2 ft 5 cm', 659_600],
    ['  35   cm ', 350_000],
    ['35CM', 350_000],
  ])('%s', (text, expected) => {
    expect(um(text)).toBe(expected);
  });

  it('gives a bare number the unit of the set', () => {
    expect(um('3/16', 'in')).toBe(4_763);
    expect(um('35', 'cm')).toBe(350_000);
  });

  it.each([
    ['', 'empty', 0],
    ['5 feat', 'unknown-text', 2],
    ['abc', 'unknown-text', 0],
    ['in', 'number-missing', 0],
    ['5 in in', 'number-missing', 5],
    ['3/0 in', 'divided-by-zero', 2],
    ['3/ in', 'broken-fraction', 3],
    ['1.5/2 in', 'broken-fraction', 0],
    ['1/2/3 in', 'broken-fraction', 3],
    ['-4 mm', 'negative', 0],
    ['6 in 2 ft', 'unit-order', 5],
    ['1 m 20', 'unit-missing', 4],
    ['99999999 m', 'too-long', 0],
    ['1,200 mm', 'ambiguous-comma', 0],
    ['1.2.3 mm', 'unknown-text', 0],
    ['35 cm!', 'unknown-text', 5],
  ])('refuses “%s” as %s at %i', (text, code, at) => {
    const error = um(text);
    expect(error).toMatchObject({ code, at });
    expect(explainLength(error as Exclude<typeof error, number>).length).toBeGreaterThan(10);
  });

  it('refuses a bare number where a unit is needed', () => {
    expect(parseLength('35', undefined)).toMatchObject({ ok: false, error: { code: 'unit-missing' } });
  });

  it('names the character the trouble starts at, counted from one', () => {
    const parsed = parseLength('12 bananas', 'mm');
    expect(!parsed.ok && explainLength(parsed.error)).toBe('“bananas” is not a number or a unit I know (in, ft, mm, cm, m) (character 4).');
  });

  it('keeps every unit a whole number of micrometres', () => {
    expect(UM.in * 12).toBe(UM.ft);
    expect(Object.values(UM).every(Number.isInteger)).toBe(true);
  });
});
