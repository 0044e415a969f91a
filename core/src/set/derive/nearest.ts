// What cannot be built as it was typed: the smallest change to one of its decisions with which it can.

import { UM } from '../../measure/index.ts';
import { type Built, buildPiece, type Field, type Means, type Piece, valueAt, withValueAt } from '../../piece/index.ts';
import type { Mend } from '../findings/finding.ts';
import { mendPiece } from '../findings/judged.ts';
import { decisionsOf } from './decisions.ts';

/** The nearest that stands, and the one decision that differs. */
export type Nearest = { readonly piece: Piece; readonly built: Built; readonly mend: Mend };

/** Sizes are tried so much larger or smaller, the nearest first. */
const FACTORS = [1.05, 0.95, 1.12, 0.9, 1.25, 0.8, 1.5, 0.67, 2, 0.5, 3, 0.33, 5, 0.2, 8];

/** A size is brought back towards what was typed so often, by half the way each time. */
const HALVINGS = 6;

/** No more is tried for one piece. */
const MOST_TRIED = 240;

type Tried = { readonly field: Field; readonly value: unknown; readonly far: number };

const lengthIn = (value: unknown): number | null => {
  if (typeof value === 'number') return value;
  return typeof value === 'object' && value !== null && 'doll' in value ? Number(value.doll) : null;
};

/** The same kind of size with another length, to the tenth of a millimetre of its world. */
const sized = (value: unknown, length: number): unknown => {
  const whole = Math.round(length / (UM.mm / 10)) * (UM.mm / 10);
  return typeof value === 'number' ? whole : { doll: whole };
};

/** How else one decision could be, and how far that is from what was typed. */
const waysOf = (piece: Piece, field: Field): readonly Tried[] => {
  const { kind, path } = field;
  const value = valueAt(piece, path);
  switch (kind.kind) {
    case 'size':
    case 'doll-size': {
      const length = lengthIn(value);
      if (length === null || length === 0) return [];
      return FACTORS.map((factor) => ({ field, value: sized(value, length * factor), far: Math.abs(Math.log(factor)) }));
    }
    case 'count': {
      const count = Number(value);
      return [1, 2, 3].flatMap((less) => (count - less >= kind.min ? [{ field, value: count - less, far: 0.12 * less }] : []));
    }
    case 'optional':
      return value === null ? [] : [{ field, value: null, far: 0.6 }];
    case 'yes':
      return value === true ? [{ field, value: false, far: 0.5 }] : [];
    default:
      return [];
  }
};

const inLimits = ({ field: { kind }, value }: Tried): boolean => {
  const length = lengthIn(value);
  return (kind.kind !== 'size' && kind.kind !== 'doll-size') || length === null || (length >= kind.min && length <= kind.max);
};

/** The nearest that stands: one decision otherwise, by as little as can be; nothing where no single one helps.
 *  Shape: a piece that cannot be built, means, and what may be otherwise by how much (a logarithm) → that piece, what was built of it, and the change as a mend that was tried. */
export const nearestThatStands = (
  piece: Piece,
  means: Means,
  allowed: (field: Field, far: number) => boolean = () => true,
): Nearest | null => {
  const tries = decisionsOf(piece)
    .flatMap((field) => waysOf(piece, field))
    .filter((each) => inLimits(each) && allowed(each.field, each.far))
    .toSorted((a, b) => a.far - b.far)
    .slice(0, MOST_TRIED);
  const build = ({ field, value }: Tried) => {
    const other = withValueAt(piece, field.path, value);
    const built = buildPiece(other, means);
    return built.ok ? { piece: other, built: built.value } : null;
  };
  for (const each of tries) {
    const first = build(each);
    if (!first) continue;
    let [best, stands] = [each, first];
    const was = lengthIn(valueAt(piece, each.field.path));
    const is = lengthIn(each.value);
    if (was !== null && is !== null) {
      let [bad, good] = [was, is];
      for (let half = 0; half < HALVINGS; half += 1) {
        const between = { ...each, value: sized(each.value, (bad + good) / 2) };
        const found = build(between);
        if (found) [good, best, stands] = [(bad + good) / 2, between, found];
        else bad = (bad + good) / 2;
      }
      // Whole millimetres read better, where they stand too.
      const whole = { ...each, value: sized(each.value, (good > was ? Math.ceil : Math.floor)(good / UM.mm) * UM.mm) };
      const found = inLimits(whole) ? build(whole) : null;
      if (found) [best, stands] = [whole, found];
    }
    return { ...stands, mend: mendOf(piece, stands.piece, best) };
  }
  return null;
};

const mendOf = (piece: Piece, other: Piece, { field, value }: Tried): Mend => {
  const key = field.path[0] as keyof Piece;
  const detail = field.label.toLowerCase();
  const change = { [key]: other[key] } as Parameters<typeof mendPiece>[2];
  const length = lengthIn(value);
  if (field.kind.kind === 'size' || field.kind.kind === 'doll-size') return mendPiece(piece, 'set-size', change, detail, length ?? 0);
  if (field.kind.kind === 'count') return mendPiece(piece, 'set-count', change, `${detail} ${value}`);
  return mendPiece(piece, 'leave-off', change, detail);
};
