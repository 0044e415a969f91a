// Which sheets there are, what room they have, and what it costs to begin one. µm, doll size.
import type { Ring } from '../shape/index.ts';
import type { Mode } from './pack/index.ts';

/** A kind of sheet the board comes in. `price` is what one more costs, or null where nobody said; `atHand` are there already, and an offcut is
 *  there just once. */
export type SheetKind = {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly price: number | null;
  readonly atHand: number;
  /** The id of the offcut that it is, or null for a sheet that can be bought. */
  readonly offcut: string | null;
  /** What it is inside its rectangle, for an offcut that is not all of it. */
  readonly outline?: Ring | undefined;
};

/** What is cut off each edge of a sheet before anything else; offcuts are not trimmed again. */
export type Trim = { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number };

/** What counts first: the money that is spent, or the number of sheets; and then, among layouts that are alike in that: one large rest, or few
 *  settings of the rule. */
export type Wishes = { readonly first: 'money' | 'sheets'; readonly next: 'rest' | 'settings' };

export const USUAL_WISHES: Wishes = { first: 'money', next: 'rest' };

/** The knife takes `gap` between neighbours. Straight cuts each run from edge to edge. */
export type CutRules = { readonly gap: number; readonly trim: Trim; readonly mode: Mode; readonly wishes: Wishes };

const NO_TRIM: Trim = { left: 0, right: 0, bottom: 0, top: 0 };

export const trimOf = (kind: SheetKind, { trim }: CutRules): Trim => (kind.offcut === null ? trim : NO_TRIM);

/** The room inside the trim. */
export const roomOf = (kind: SheetKind, rules: CutRules): { readonly width: number; readonly height: number } => {
  const { left, right, bottom, top } = trimOf(kind, rules);
  return { width: kind.width - left - right, height: kind.height - bottom - top };
};

/** One of these is begun without paying; the rest are bought. */
export type SheetSupply = { readonly kind: SheetKind; readonly bought: boolean; readonly count: number };

export const suppliesOf = (kinds: readonly SheetKind[]): readonly SheetSupply[] =>
  kinds.flatMap((kind): readonly SheetSupply[] => {
    if (kind.offcut !== null) return [{ kind, bought: false, count: 1 }];
    const owned = kind.atHand > 0 ? [{ kind, bought: false, count: kind.atHand }] : [];
    return [...owned, { kind, bought: true, count: Number.POSITIVE_INFINITY }];
  });

/** Every sheet costs one, and a little of its money; one that lies there a little less. */
const countedCosts = (supplies: readonly SheetSupply[]): readonly number[] => {
  const dearest = Math.max(1e-6, ...supplies.map(({ kind }) => kind.price ?? kind.width * kind.height));
  return supplies.map(({ kind, bought }) => {
    const share = (kind.price ?? kind.width * kind.height) / dearest;
    return kind.offcut !== null ? -1e-4 : 1 + (bought ? 1e-2 : 1e-3) * share;
  });
};

/** A sheet that lies there costs a hundredth of what it would cost to buy, so that money is spent last. An offcut costs less than nothing, so
 *  that it is used where anything fits it. Where a price is missing, area stands for it everywhere. */
export const costsOf = (supplies: readonly SheetSupply[], { first }: Wishes): readonly number[] => {
  if (first === 'sheets') return countedCosts(supplies);
  const priced = supplies.every(({ kind }) => kind.offcut !== null || kind.price !== null);
  const area = ({ width, height }: SheetKind): number => (width * height) / 1e9;
  const dearest = Math.max(1e-6, ...supplies.map(({ kind }) => (priced ? (kind.price ?? 0) : area(kind))));
  return supplies.map(({ kind, bought }) => {
    // Among equal prices the smaller and fewer sheets win.
    const tie = dearest * (1e-4 + 1e-5 * area(kind));
    if (kind.offcut !== null) return -tie;
    return tie + (priced ? (kind.price ?? 0) : area(kind)) * (bought ? 1 : 0.01);
  });
};
