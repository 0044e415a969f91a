import { assertNever } from '../kit/index.ts';
import { UM, type UnitName } from './length.ts';

/** How a maker reads lengths: in inches to 1/16 (fine: 1/32), or in mm or cm to 0.5 mm (fine: 0.1 mm). */
export type Units = { readonly unit: 'in' | 'mm' | 'cm'; readonly fine: boolean };

/** A length in words, and by how much the words differ from it (shown − true, in micrometres). */
export type Formatted = { readonly text: string; readonly errorUm: number };

/** The step of the maker's rule in micrometres: 1/16 in, 1/32 in, 0.5 mm or 0.1 mm. */
export const ruleStep = (units: Units): number => {
  if (units.unit === 'in') return UM.in / (units.fine ? 32 : 16);
  return units.fine ? 100 : 500;
};

/** The unit that a bare number takes when it is typed. */
export const bareUnit = (units: Units): UnitName => units.unit;

const inchText = (steps: number, denominator: number): string => {
  const whole = Math.floor(steps / denominator);
  let top = steps % denominator;
  let bottom = denominator;
  if (top === 0) return String(whole);
  while (top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  return whole === 0 ? `${top}/${bottom}` : `${whole} ${top}/${bottom}`;
};

const numberText = (steps: number, units: Units): string => {
  switch (units.unit) {
    case 'in':
      return inchText(steps, units.fine ? 32 : 16);
    case 'mm':
      return String(Number((units.fine ? steps / 10 : steps / 2).toFixed(1)));
    case 'cm':
      return String(Number((units.fine ? steps / 100 : steps / 20).toFixed(2)));
    default:
      return assertNever(units.unit);
  }
};

/** A length on the maker's rule without its unit, for rows of numbers that share one. Never negative. */
export const formatNumber = (lengthUm: number, units: Units): Formatted => {
  const step = ruleStep(units);
  const steps = Math.round(Math.max(0, lengthUm) / step);
  return { text: numberText(steps, units), errorUm: Math.round(steps * step - lengthUm) };
};

/** A length on the maker's rule, with its unit: `11 13/16 in`, `34.5 mm`, `6.85 cm`. */
export const formatLength = (lengthUm: number, units: Units): Formatted => {
  const { text, errorUm } = formatNumber(lengthUm, units);
  return { text: `${text} ${units.unit}`, errorUm };
};

/** Beyond this a shown size is marked as rounded: a tenth of a millimetre is about a pencil line's edge. */
export const ROUNDING_TOLERANCE_UM = 100;

/** A length as a gauge reads it, for what no rule tells apart: to 0.1 mm, 0.01 cm or a thousandth of an inch; below that by two figures. Sizes of boards,
 *  gaps and letters are said so. */
export const showExact = (lengthUm: number, { unit }: Units): string => {
  const length = lengthUm / UM[unit];
  // Paper and film are told apart by hundredths of a millimetre.
  const digits = { mm: lengthUm < UM.mm ? 2 : 1, cm: lengthUm < UM.mm ? 3 : 2, in: 3 }[unit];
  const shown = Number(length.toFixed(digits));
  return `${shown === 0 && length > 0 ? Number(length.toPrecision(1)) : shown} ${unit}`;
};

/** A length in words, led by `≈` when the words are off by more than the tolerance. What the rule would call nothing is said as a gauge reads it. */
export const showLength = (lengthUm: number, units: Units): string => {
  const { text, errorUm } = formatLength(lengthUm, units);
  if (lengthUm > 0 && 2 * lengthUm < ruleStep(units)) return showExact(lengthUm, units);
  return Math.abs(errorUm) > ROUNDING_TOLERANCE_UM ? `≈ ${text}` : text;
};

/** Two lengths that are compared, so that they read differently whenever they are: on the rule, on a finer one, or as a gauge reads them. A refusal
 *  that says “2 in needed, 2 in there” tells nobody anything. */
export const showTwo = (one: number, other: number, units: Units): readonly [string, string] => {
  const ways = [showLength, (um: number) => showLength(um, { ...units, fine: true }), showExact] as const;
  const [first] = ways;
  if (one === other) return [first(one, units), first(other, units)];
  const plain = (text: string): string => text.replace('≈ ', '');
  for (const way of ways) {
    const [a, b] = [way(one, units), way(other, units)];
    if (plain(a) !== plain(b)) return [a, b];
  }
  const step = { mm: 100, cm: 100, in: UM.in / 1_000 }[units.unit];
  // A hair apart: the larger one goes up to the next mark of the gauge.
  const [low, high] = [Math.floor(Math.min(one, other) / step) * step, (Math.floor(Math.min(one, other) / step) + 1) * step];
  return one < other ? [showExact(low, units), showExact(high, units)] : [showExact(high, units), showExact(low, units)];
};
