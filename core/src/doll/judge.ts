// µm, doll size. A size held against a body by a rule.
import type { Body } from './body.ts';
import { type Band, NO_END, RULES, type Rule, type RuleName } from './rules.ts';

/** How a size suits a body. */
export const VERDICTS = ['good', 'odd', 'wrong'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** A verdict with what it rests on. µm: the value, and the ends of the good band, null where it has none. */
export type Judgement = {
  readonly rule: RuleName;
  readonly value: number;
  readonly verdict: Verdict;
  readonly low: number | null;
  readonly high: number | null;
  /** Where it lies when it is not good. */
  readonly off: 'low' | 'high' | null;
};

const end = (share: number, of: number): number | null => (share <= 0 || share >= NO_END ? null : Math.round(share * of));

/** Judges a size by a rule.
 *  Shape: rule, size, body → verdict. Law: what is scaled together gets the same verdict. */
export const judge = (name: RuleName, value: number, body: Body): Judgement => {
  const rule: Rule = RULES[name];
  const of = rule.of(body);
  const share = value / of;
  const within = ([low, high]: Band): boolean => share >= low - 1e-4 && share <= high + 1e-4;
  const verdict = within(rule.good) ? 'good' : within(rule.odd) ? 'odd' : 'wrong';
  return {
    rule: name,
    value,
    verdict,
    low: end(rule.good[0], of),
    high: end(rule.good[1], of),
    off: verdict === 'good' ? null : share < rule.good[0] ? 'low' : 'high',
  };
};

/** The size that a rule would take for a body: the middle of what is good, or a little over its one end. */
export const proposed = (name: RuleName, body: Body): number => {
  const { good, of }: Rule = RULES[name];
  const [low, high] = good;
  const share = high >= NO_END ? low * 1.05 : low <= 0 ? high * 0.9 : (low + high) / 2;
  return Math.round(share * of(body));
};

/** Which seat rules a body is judged by: one whose knees do not bend sits with its legs out in front; one whose hips do not bend sits on nothing, and
 *  seats are not judged for it. */
export const seatRules = (body: Body): { readonly height: RuleName; readonly depth: RuleName } | undefined => {
  if (!body.bends.hips) return undefined;
  return !body.bends.knees ? { height: 'sitsStraight', depth: 'straightSeat' } : { height: 'seatHeight', depth: 'seatDepth' };
};
