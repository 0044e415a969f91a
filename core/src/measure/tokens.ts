import type { UnitName } from './length.ts';

/** A piece of a typed length. `at` is the zero-based place in what was typed. */
export type Token =
  | { readonly kind: 'number'; readonly value: number; readonly text: string; readonly at: number }
  | { readonly kind: 'unit'; readonly unit: UnitName; readonly text: string; readonly at: number }
  | { readonly kind: 'slash' | 'minus' | 'unknown' | 'ambiguous-comma'; readonly text: string; readonly at: number };

const VULGAR: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅐': 1 / 7,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅑': 1 / 9,
  '⅒': 1 / 10,
};

const UNITS: readonly (readonly [RegExp, UnitName])[] = [
  [/^(?:millimet(?:re|er)s?|mm)(?![a-z])/i, 'mm'],
  [/^(?:centimet(?:re|er)s?|cm)(?![a-z])/i, 'cm'],
  [/^(?:met(?:re|er)s?|m)(?![a-z])/i, 'm'],
  [/^(?:inch(?:es)?|ins?\.?)(?![a-z])/i, 'in'],
  [/^(?:feet|foot|ft\.?)(?![a-z])/i, 'ft'],
  [/^(?:''|′′|’’|["″”“„])/, 'in'],
  [/^['′’‘]/, 'ft'],
];

const numberToken = (text: string, at: number): Token => {
  if (/^[1-9]\d{0,2}(?:,\d{3})+$/.test(text)) return { kind: 'ambiguous-comma', text, at };
  return { kind: 'number', value: Number(text.replace(',', '.')), text, at };
};

const tokenAt = (text: string, at: number): Token => {
  const rest = text.slice(at);
  const digits = /^(?:\d+(?:[.,]\d+)*|[.,]\d+)/.exec(rest)?.[0];
  if (digits !== undefined) {
    return (digits.match(/[.,]/g)?.length ?? 0) > 1 ? { kind: 'unknown', text: digits, at } : numberToken(digits, at);
  }
  const letter = rest[0] ?? '';
  const vulgar = VULGAR[letter];
  if (vulgar !== undefined) return { kind: 'number', value: vulgar, text: letter, at };
  for (const [pattern, unit] of UNITS) {
    const found = pattern.exec(rest)?.[0];
    if (found !== undefined) return { kind: 'unit', unit, text: found, at };
  }
  if (/^[/⁄∕÷]/.test(rest)) return { kind: 'slash', text: letter, at };
  if (/^[-−–]/.test(rest)) return { kind: 'minus', text: letter, at };
  return { kind: 'unknown', text: /^\p{L}+/u.exec(rest)?.[0] ?? String.fromCodePoint(rest.codePointAt(0) ?? 0), at };
};

/** Splits what was typed into numbers, units and signs; white space only separates. */
export const tokenize = (text: string): readonly Token[] => {
  const tokens: Token[] = [];
  let at = 0;
  while (at < text.length) {
    if (/\s/.test(text[at] ?? '')) {
      at += 1;
      continue;
    }
    const token = tokenAt(text, at);
    tokens.push(token);
    at += token.text.length;
  }
  return tokens;
};

/** True for a character such as ¾, which may follow a whole number without a space. */
export const isVulgar = (text: string): boolean => VULGAR[text] !== undefined;
