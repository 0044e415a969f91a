import { expect, it } from 'vitest';
import { freshName } from '../index.ts';

it('a name that is taken gets the next number that is free', () => {
  expect(freshName('Tray', [])).toBe('Tray');
  expect(freshName('Tray', ['Tray', 'Tray 2'])).toBe('Tray 3');
  expect(freshName('Tray 2', ['Tray', 'Tray 2'])).toBe('Tray 3');
  expect(freshName('', [''])).toBe('');
  expect(freshName('T'.repeat(80), ['T'.repeat(80)])).toHaveLength(72);
});
