import { err, ok, type Result } from '../kit/index.ts';
import { UM, type UnitName } from './length.ts';
import { isVulgar, type Token, tokenize } from './tokens.ts';

/** Why a typed length could not be read, and where: `at` counts characters from 0, `text` is the part in question. */
export type LengthError = {
  readonly code:
    | 'empty'
    | 'unknown-text'
    | 'number-missing'
    | 'unit-missing'
    | 'unit-order'
    | 'divided-by-zero'
    | 'broken-fraction'
    | 'negative'
    | 'too-long'
    | 'ambiguous-comma';
  readonly at: number;
  readonly text: string;
};

/** Nothing a maker measures is longer than this; it keeps every sum far inside exact integers. */
const LONGEST_UM = 1_000 * UM.m;

type Term = { readonly value: number; readonly unit: UnitName | undefined; readonly at: number; readonly text: string };
type Cursor = { readonly tokens: readonly Token[]; at: number };

const fail = (code: LengthError['code'], token: { at: number; text: string }) => err<LengthError>({ code, at: token.at, text: token.text });

const isWhole = (token: Token | undefined): token is Token & { kind: 'number' } => token?.kind === 'number' && /^\d+$/.test(token.text);

/** Reads `n`, `n/d`, `n n/d`, `n-n/d` or `n¾` and moves the cursor past it. */
const readQuantity = (cursor: Cursor): Result<number, LengthError> => {
  const { tokens } = cursor;
  const first = tokens[cursor.at];
  if (first?.kind !== 'number') return fail('number-missing', first ?? { at: 0, text: '' });
  const fraction = (start: number): Result<number, LengthError> | undefined => {
    const [top, slash, bottom] = tokens.slice(start, start + 3);
    if (top?.kind !== 'number' || slash?.kind !== 'slash') return undefined;
    if (!isWhole(top) || !isWhole(bottom)) return fail('broken-fraction', isWhole(top) ? (bottom ?? slash) : top);
    if (bottom.value === 0) return fail('divided-by-zero', bottom);
    cursor.at = start + 3;
    return ok(top.value / bottom.value);
  };
  const alone = fraction(cursor.at);
  if (alone) return alone;
  cursor.at += 1;
  const next = tokens[cursor.at];
  if (!isWhole(first) || !next) return ok(first.value);
  if (next.kind === 'number' && isVulgar(next.text)) {
    cursor.at += 1;
    return ok(first.value + next.value);
  }
  const mixed = fraction(next.kind === 'minus' ? cursor.at + 1 : cursor.at);
  if (!mixed) return ok(first.value);
  return mixed.ok ? ok(first.value + mixed.value) : mixed;
};

const readTerms = (tokens: readonly Token[]): Result<readonly Term[], LengthError> => {
  const terms: Term[] = [];
  const cursor: Cursor = { tokens, at: 0 };
  while (cursor.at < tokens.length) {
    const start = tokens[cursor.at];
    if (!start) break;
    if (start.kind === 'minus') return fail('negative', start);
    const quantity = readQuantity(cursor);
    if (!quantity.ok) return quantity;
    const unit = tokens[cursor.at];
    if (unit?.kind === 'slash') return fail('broken-fraction', unit);
    if (unit?.kind === 'unit') cursor.at += 1;
    terms.push({ value: quantity.value, unit: unit?.kind === 'unit' ? unit.unit : undefined, at: start.at, text: start.text });
  }
  return ok(terms);
};

/** The unit a bare number has: after feet it counts inches (5' 6); alone it takes the set's unit. */
const unitOf = (term: Term, before: Term | undefined, alone: boolean, bare: UnitName | undefined): UnitName | undefined =>
  term.unit ?? (before?.unit === 'ft' ? 'in' : alone ? bare : undefined);

/** Reads a length as people type it: `12 1/4 in`, `12¼"`, `2' 6"`, `35 cm`, `2,5cm`, `1 m 20 cm`, `3/16`.
 *  Shape: text → whole micrometres; a number without a unit takes `bare`, or is refused when there is none.
 *  Errors: LengthError, with the place and the text in question. */
export const parseLength = (text: string, bare: UnitName | undefined): Result<number, LengthError> => {
  const tokens = tokenize(text);
  if (tokens.length === 0) return fail('empty', { at: 0, text: '' });
  for (const token of tokens) {
    if (token.kind === 'unknown') return fail('unknown-text', token);
    if (token.kind === 'ambiguous-comma') return fail('ambiguous-comma', token);
  }
  const terms = readTerms(tokens);
  if (!terms.ok) return terms;
  let sum = 0;
  let smallest = Number.POSITIVE_INFINITY;
  for (const [index, term] of terms.value.entries()) {
    const unit = unitOf(term, terms.value[index - 1], terms.value.length === 1, bare);
    if (!unit) return fail('unit-missing', term);
    if (UM[unit] >= smallest) return fail('unit-order', term);
    smallest = UM[unit];
    sum += term.value * UM[unit];
  }
  if (sum > LONGEST_UM) return fail('too-long', tokens[0] ?? { at: 0, text });
  return ok(Math.round(sum));
};

const WORDS: Readonly<Record<LengthError['code'], (text: string) => string>> = {
  empty: () => 'A size is missing here',
  'unknown-text': (text) => `“${text}” is not a number or a unit I know (in, ft, mm, cm, m)`,
  'number-missing': (text) => `A number is missing before “${text}”`,
  'unit-missing': (text) => `“${text}” needs a unit, such as in or mm`,
  'unit-order': (text) => `“${text}” comes after a unit that is the same or smaller; write the larger unit first`,
  'divided-by-zero': () => 'A fraction cannot be divided by 0',
  'broken-fraction': () => 'A fraction needs whole numbers above and below its stroke, such as 3/16',
  negative: () => 'A size cannot be negative',
  'too-long': () => 'That is longer than a kilometre',
  'ambiguous-comma': (text) =>
    `“${text}” could mean ${text.replace(',', '.')} or ${text.replaceAll(',', '')}: leave the comma out, or use a point`,
};

/** A length error in a person's words, with the character it starts at (counted from 1). */
export const explainLength = (error: LengthError): string => {
  const words = WORDS[error.code](error.text);
  return error.code === 'empty' ? `${words}.` : `${words} (character ${error.at + 1}).`;
};
