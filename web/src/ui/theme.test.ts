// Source: WCAG 2.2, success criteria 1.4.3 (text, 4.5 : 1) and 1.4.11 (what is not text, 3 : 1); relative luminance as defined there.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const css = readFileSync(join(import.meta.dirname, 'theme.css'), 'utf8');

const coloursOf = (selector: string): ReadonlyMap<string, string> => {
  const block = new RegExp(`^${selector} \\{([^}]*)\\}`, 'm').exec(css)?.[1] ?? '';
  return new Map([...block.matchAll(/--([\w-]+):\s*(#[0-9a-f]{6})/g)].map(([, name = '', value = '']) => [name, value]));
};

const channel = (value: number): number => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4);

const luminance = (hex: string): number => {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => channel(Number.parseInt(hex.slice(at, at + 2), 16) / 255));
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
};

const contrast = (one: string, other: string): number => {
  const [light, dark] = [luminance(one), luminance(other)].sort((a, b) => b - a) as [number, number];
  return (light + 0.05) / (dark + 0.05);
};

const TEXT: readonly (readonly [string, readonly string[]])[] = [
  ['ink', ['paper', 'leaf', 'table', 'tab', 'oat', 'sprig', 'rule', 'steel', 'blush']],
  ['graphite', ['paper', 'leaf', 'oat']],
  ['rose', ['paper', 'leaf', 'table', 'rule']],
  ['moss', ['paper', 'leaf']],
];

/** Lines without which a drawing or a field is not understood. */
const LINES: readonly (readonly [string, readonly string[]])[] = [
  ['ink', ['paper', 'leaf', 'oat', 'blush', 'sprig']],
  ['graphite', ['paper', 'leaf']],
  ['line', ['paper', 'leaf']],
  ['figure-line', ['paper', 'leaf']],
  ['moss', ['paper', 'leaf', 'rule', 'steel']],
  ['rose', ['paper', 'leaf', 'rule', 'steel']],
];

const pairs = (list: typeof TEXT) => list.flatMap(([front, backs]) => backs.map((back) => [front, back] as const));

it('the formula gives the values of the standard: black on white 21, grey #767676 on white 4.54', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
});

describe.each([
  ['day', ':root'],
  ['night', '\\.night'],
])('by %s', (_, selector) => {
  const colours = coloursOf(selector);
  const of = (front: string, back: string) => contrast(colours.get(front) ?? '', colours.get(back) ?? '');

  it('both versions name the same colours', () => {
    expect([...colours.keys()].sort()).toEqual([...coloursOf(':root').keys()].sort());
    expect(colours.size).toBeGreaterThan(15);
  });

  it.each(pairs(TEXT))('words in %s can be read on %s', (front, back) => {
    expect(of(front, back)).toBeGreaterThanOrEqual(4.5);
  });

  it.each(pairs(LINES))('lines in %s are seen on %s', (front, back) => {
    expect(of(front, back)).toBeGreaterThanOrEqual(3);
  });
});
