// First answers: items in some order, each laid by a rule on the sheets begun so far, else on a new one.
import { type BestPlace, layBest, type PackingRule, seek } from './fit.ts';
import type { Items } from './items.ts';
import { layIn, type Mode, newSpace, type SheetSpace } from './space.ts';

/** A kind of sheet: its room inside the trim, grown by one gap, what one costs, and how many there are. */
export type Kind = { readonly width: number; readonly height: number; readonly cost: number; readonly count: number };

/** A sheet of a kind, by index, with what lies on it. */
export type FilledSheet = { readonly kind: number; readonly space: SheetSpace };

export const ORDERS: readonly ((items: Items, item: number) => number)[] = [
  ({ area }, item) => area[item] as number,
  ({ width, height }, item) => (height[item] as number) * 4e6 + (width[item] as number),
  ({ width, height }, item) => (width[item] as number) * 4e6 + (height[item] as number),
  ({ width, height }, item) => longer(width, height, item) * 4e6 + shorter(width, height, item),
  ({ width, height }, item) => (width[item] as number) + (height[item] as number),
  ({ width, height }, item) => shorter(width, height, item) * 4e6 + longer(width, height, item),
];

const longer = (width: Int32Array, height: Int32Array, item: number): number => Math.max(width[item] as number, height[item] as number);
const shorter = (width: Int32Array, height: Int32Array, item: number): number => Math.min(width[item] as number, height[item] as number);

/** All items from the largest to the smallest, as one of the orders sees it. */
export const sortedBy = (items: Items, order: number): readonly number[] => {
  const key = ORDERS[order] as (typeof ORDERS)[number];
  return Array.from({ length: items.count }, (_, index) => index).sort((a, b) => key(items, b) - key(items, a) || a - b);
};

export const fitsKind = (items: Items, item: number, kind: Kind): boolean => {
  const [w, h] = [items.width[item] as number, items.height[item] as number];
  return (w <= kind.width && h <= kind.height) || (items.turns[item] === 1 && h <= kind.width && w <= kind.height);
};

/** How one first answer is made: in which order, by which rule, on the first sheet that takes an item or on the best of all, and which kinds of
 *  sheet are begun first. */
export type PackingRecipe = {
  readonly order: readonly number[];
  readonly rule: PackingRule;
  readonly onFirst: boolean;
  readonly kinds: readonly number[];
};

/** Sheets that are better used than not, offcuts, lie open from the beginning. */
export const emptyOffcuts = (items: Items, kinds: readonly Kind[], which: readonly number[]): FilledSheet[] =>
  which.flatMap((kind) => {
    const { cost, count, width, height } = kinds[kind] as Kind;
    return cost < 0 ? Array.from({ length: count }, () => ({ kind, space: newSpace(width, height, items) })) : [];
  });

/** Lays out everything by one recipe; undefined when there are too few sheets. */
export const construct = (items: Items, kinds: readonly Kind[], recipe: PackingRecipe, mode: Mode): readonly FilledSheet[] | undefined => {
  const sheets: FilledSheet[] = emptyOffcuts(
    items,
    kinds,
    kinds.map((_, kind) => kind),
  );
  const left = kinds.map(({ count, cost }) => (cost < 0 ? 0 : count));
  const found: BestPlace = { space: undefined, index: -1, turned: false, score: 0 };
  for (const item of recipe.order) {
    found.space = undefined;
    found.score = Number.POSITIVE_INFINITY;
    for (const { space } of sheets) {
      seek(space, items, item, recipe.rule, found);
      if (found.space && recipe.onFirst) break;
    }
    if (found.space) {
      layIn(found.space, mode, found.index, items, item, found.turned);
      continue;
    }
    const kind = recipe.kinds.find((index) => (left[index] as number) > 0 && fitsKind(items, item, kinds[index] as Kind));
    if (kind === undefined) return undefined;
    const { width, height } = kinds[kind] as Kind;
    const space = newSpace(width, height, items);
    left[kind] = (left[kind] as number) - 1;
    sheets.push({ kind, space });
    layBest(space, mode, items, item, recipe.rule);
  }
  return sheets.filter(({ space }) => space.count > 0);
};
