import { describe, expect, it } from 'vitest';
import { STICK_NAMES, stockWords } from './index.ts';

describe('the names of stocks', () => {
  it('speak the maker’s unit', () => {
    expect(stockWords('square dowel, 5 mm', { unit: 'mm', fine: false })).toBe('square dowel, 5 mm');
    expect(stockWords('square dowel, 5 mm', { unit: 'cm', fine: false })).toBe('square dowel, 0.5 cm');
    // 1/8 in is 3.175 mm, 3/8 in is 9.525 mm: so dowels are sold where inches are spoken.
    expect(stockWords('round dowel, 3 mm', { unit: 'in', fine: false })).toBe('round dowel, ≈ 1/8 in');
    expect(stockWords('tube, 42 mm across', { unit: 'in', fine: false })).toMatch(/^tube, ≈ 1 \d+\/\d+ in across$/);
    for (const name of STICK_NAMES) expect(stockWords(name, { unit: 'in', fine: true })).not.toMatch(/mm/);
  });
});
