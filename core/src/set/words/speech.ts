import { showExact, showLength, showTwo, UM, type Units } from '../../measure/index.ts';
import type { Finding, FindingCase } from '../findings/finding.ts';

/** A finding in a person's words: what it is, and why with its numbers, all at doll size. */
export type Described = { readonly title: string; readonly reason: string };

export type FindingOf<Code extends Finding['code']> = Pick<Finding, 'severity' | 'where' | 'mend'> &
  Extract<FindingCase, { readonly code: Code }>;

/** The words of each of some findings. */
export type Words<Code extends Finding['code']> = { readonly [C in Code]: (finding: FindingOf<C>, speech: Speech) => Described };

/** Numbers in the maker's units. */
export type Speech = {
  /** A length as a rule shows it. */
  readonly show: (lengthUm: number) => string;
  /** A length to the last mark of a rule. */
  readonly finer: (lengthUm: number) => string;
  /** A length of which no rule tells tenths: thickness of board and paper. */
  readonly fine: (lengthUm: number) => string;
  /** Two lengths that must be told apart. */
  readonly two: (one: number, other: number) => readonly [string, string];
  /** An area in squares of the unit. */
  readonly squares: (squareUm: number) => string;
};

export const speechIn = (units: Units): Speech => ({
  show: (lengthUm) => showLength(lengthUm, units),
  finer: (lengthUm) => showLength(lengthUm, { ...units, fine: true }),
  fine: (lengthUm) => showExact(lengthUm, units),
  two: (one, other) => showTwo(one, other, units),
  squares: (squareUm) => {
    const area = squareUm / UM[units.unit] ** 2;
    return `${Number(area < 1 ? area.toPrecision(2) : area.toFixed(1))} ${units.unit}²`;
  },
});

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export const article = (thing: string): string => `${/^[aeiou]/.test(thing) ? 'An' : 'A'} ${thing}`;

export const listed = (names: readonly string[]): string =>
  names.length > 6 ? `${names.slice(0, 5).join(', ')} and ${names.length - 5} more` : names.join(', ');
