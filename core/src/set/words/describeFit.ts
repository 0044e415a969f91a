import { RULES } from '../../doll/index.ts';
import { showLength, type Units } from '../../measure/index.ts';
import { capital, type Described, type FindingOf } from './speech.ts';

/** What is good, in words: from one size to another, at least, at most. µm, doll size; null is no end. */
export const goodWords = (low: number | null, high: number | null, units: Units): string => {
  const show = (um: number): string => showLength(um, units);
  if (low === null && high === null) return 'any size';
  if (low === null) return `at most ${show(high as number)}`;
  return high === null ? `at least ${show(low)}` : `${show(low)} to ${show(high)}`;
};

/** What is said about a body and a thing. */
export const describeFit = (finding: FindingOf<'does-not-suit'>, units: Units): Described => {
  const rule = RULES[finding.rule];
  const { value, low, high } = finding.numbers;
  const of = finding.of === '' ? '' : `, ${finding.of}`;
  const good = goodWords(low < 0 ? null : low, high < 0 ? null : high, units);
  return {
    title: capital(finding.off === 'low' ? rule.low : rule.high),
    reason: `For ${finding.doll}: ${rule.what}${of} is ${showLength(value, units)}; ${good} suits ${rule.against}.`,
  };
};
