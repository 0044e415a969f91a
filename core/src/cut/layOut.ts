// µm, doll size, origin at the sheet's lower left corner.
import { type BoundItem, leastSheets } from './bound.ts';
import { type PackedSheet, type PackItem, pack, RECIPES, type Recipe } from './guillotine.ts';

/** A rectangle to be cut from a board, as it is drawn, and how it may lie: either way, or (with grain) only as drawn or only
 *  turned a quarter. */
export type CutItem = {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly lies: 'either' | 'drawn' | 'turned';
};

/** A kind of sheet the board comes in. */
export type SheetKind = { readonly name: string; readonly width: number; readonly height: number };

/** The knife takes `gap` between neighbours; `trim` is cut off each sheet edge before anything else. */
export type CutRules = { readonly gap: number; readonly trim: number };

export type Placement = { readonly id: string; readonly x: number; readonly y: number; readonly rotated: boolean };

export type Sheet = {
  readonly kind: SheetKind;
  readonly placements: readonly Placement[];
  /** The largest rectangle left whole. */
  readonly offcut: { readonly width: number; readonly height: number };
};

/** Sheets laid out, the least number any layout could need, and what is larger than every sheet. */
export type Layout = { readonly sheets: readonly Sheet[]; readonly least: number; readonly tooLarge: readonly string[] };

const fitsOn = (item: CutItem, kind: SheetKind, { trim }: CutRules): boolean => {
  const [width, height] = [kind.width - 2 * trim, kind.height - 2 * trim];
  return (
    (item.lies !== 'turned' && item.width <= width && item.height <= height) ||
    (item.lies !== 'drawn' && item.height <= width && item.width <= height)
  );
};

/** As the packer sees it: grown by the knife gap, and lying as it must. */
const toPack = (item: CutItem, key: number, gap: number): PackItem => {
  const [width, height] = item.lies === 'turned' ? [item.height, item.width] : [item.width, item.height];
  return { key, width: width + gap, height: height + gap, turns: item.lies === 'either' };
};

/** Orders of preference for a new sheet: each kind first, the others behind it from small to large. */
const preferences = (kinds: readonly SheetKind[]): readonly (readonly SheetKind[])[] => {
  const bySize = [...kinds].sort((a, b) => a.width * a.height - b.width * b.height || a.name.localeCompare(b.name));
  return bySize.map((first) => [first, ...bySize.filter((kind) => kind !== first)]);
};

type Cost = readonly [area: number, sheets: number, minusOffcut: number];

const costOf = (sheets: readonly PackedSheet[], kinds: readonly SheetKind[]): Cost => {
  const area = sheets.reduce((sum, { kind }) => sum + (kinds[kind] as SheetKind).width * (kinds[kind] as SheetKind).height, 0);
  return [area, sheets.length, -Math.max(0, ...sheets.map(({ largestFree }) => largestFree.width * largestFree.height))];
};

const cheaper = (one: Cost, other: Cost): boolean => {
  for (const [index, value] of one.entries()) {
    const against = other[index] as number;
    if (value !== against) return value < against;
  }
  return false;
};

type Try = { readonly sheets: readonly PackedSheet[]; readonly kinds: readonly SheetKind[]; readonly cost: Cost };

/** With few parts every recipe is tried for the sake of a larger offcut; with many, the first that meets the bound will do. */
const FEW = 120;

/** So many parts can be tried with every recipe in about half a second; a recipe's time grows with the square of their number. */
const ALL_RECIPES_UP_TO = 500;
const LEAST_RECIPES = 4;

/** Recipes spread evenly over all of them, as many as there is time for. */
const recipesFor = (items: number, kinds: number): readonly Recipe[] => {
  const share = (ALL_RECIPES_UP_TO / Math.max(items, ALL_RECIPES_UP_TO)) ** 2 / (items > FEW ? kinds : 1);
  const count = Math.min(RECIPES.length, Math.max(LEAST_RECIPES, Math.floor(RECIPES.length * share)));
  return Array.from({ length: count }, (_, index) => RECIPES[Math.floor((index * RECIPES.length) / count)] as Recipe);
};

const bestPacking = (items: readonly PackItem[], kinds: readonly SheetKind[], { gap, trim }: CutRules, least: number): Try | undefined => {
  let best: Try | undefined;
  for (const order of preferences(kinds)) {
    const inner = order.map((kind) => ({ width: kind.width - 2 * trim + gap, height: kind.height - 2 * trim + gap }));
    for (const recipe of recipesFor(items.length, kinds.length)) {
      const sheets = pack(items, inner, recipe);
      const cost = costOf(sheets, order);
      if (!best || cheaper(cost, best.cost)) best = { sheets, kinds: order, cost };
      if (items.length > FEW && kinds.length === 1 && best.sheets.length === least) return best;
    }
  }
  return best;
};

const bound = (items: readonly PackItem[], kinds: readonly SheetKind[], { gap, trim }: CutRules): number => {
  const grouped = new Map<string, BoundItem>();
  for (const { width, height, turns } of items) {
    const key = `${width} ${height} ${turns}`;
    grouped.set(key, { width, height, turns, count: (grouped.get(key)?.count ?? 0) + 1 });
  }
  // A sheet as wide as the widest and as high as the highest holds whatever any of them holds.
  const most = (pick: (kind: SheetKind) => number) => Math.max(...kinds.map(pick)) - 2 * trim + gap;
  return leastSheets([...grouped.values()], { width: most((kind) => kind.width), height: most((kind) => kind.height) });
};

/** Lays cut items on sheets with edge-to-edge cuts.
 *  Shape: n items → k sheets, each item that fits placed exactly once; the order of items does not matter.
 *  Units: µm, doll size; origin at the sheet's lower left; one knife gap between neighbours, none at the trimmed edge.
 *  Items larger than every sheet come back in `tooLarge`; nothing is thrown. Least total sheet area wins, then fewer sheets, then the larger offcut. */
export const layOut = (items: readonly CutItem[], kinds: readonly SheetKind[], rules: CutRules): Layout => {
  const usable = kinds.filter((kind) => kind.width > 2 * rules.trim && kind.height > 2 * rules.trim);
  const sorted = [...items].sort((a, b) => (a.id < b.id ? -1 : 1));
  const placeable = sorted.filter((item) => usable.some((kind) => fitsOn(item, kind, rules)));
  const tooLarge = sorted.filter((item) => !placeable.includes(item)).map(({ id }) => id);
  if (placeable.length === 0) return { sheets: [], least: 0, tooLarge };
  const inflated = placeable.map((item, key) => toPack(item, key, rules.gap));
  const least = bound(inflated, usable, rules);
  const best = bestPacking(inflated, usable, rules, least) as Try;
  const sheets = best.sheets.map(
    ({ kind, items: packed, largestFree }): Sheet => ({
      kind: best.kinds[kind] as SheetKind,
      placements: packed.map(({ key, x, y, rotated }) => {
        const { id, lies } = placeable[key] as CutItem;
        return { id, x: x + rules.trim, y: y + rules.trim, rotated: rotated || lies === 'turned' };
      }),
      offcut: { width: Math.max(0, largestFree.width - rules.gap), height: Math.max(0, largestFree.height - rules.gap) },
    }),
  );
  return { sheets, least, tooLarge };
};
