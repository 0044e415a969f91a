import { readSet } from '@parlor/core/set';
import { describe, expect, it } from 'vitest';
import { usualThere } from './usualThere.ts';

const begun = (language: string) => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'new', ...usualThere(language) });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return [read.value.units.unit, read.value.printing.paper];
};

describe('a new set', () => {
  it.each([
    ['en-US', 'in', 'letter'],
    ['es-US', 'in', 'letter'],
    ['en-CA', 'mm', 'letter'],
    ['fr-CA', 'mm', 'letter'],
    ['es-MX', 'mm', 'letter'],
    ['en-GB', 'mm', 'a4'],
    ['de-DE', 'mm', 'a4'],
    ['zh-Hant-TW', 'mm', 'a4'],
    ['en', 'mm', 'a4'],
    ['', 'mm', 'a4'],
  ])('begun in %s is measured in %s and printed on %s', (language, unit, paper) => {
    expect(begun(language)).toEqual([unit, paper]);
  });
});
