// µm, doll size, origin at the sheet's lower left. Every free rectangle is split by an edge-to-edge cut, so the layout can be cut with
// knife and rule. Source: the guillotine placing rules collected in Jylänki, "A thousand ways to pack the bin" (2010), recalled.

/** A rectangle to place. */
export type PackItem = { readonly key: number; readonly width: number; readonly height: number; readonly turns: boolean };

/** Where an item lies: its lower left corner; `rotated` by a quarter turn. */
export type Packed = { readonly key: number; readonly x: number; readonly y: number; readonly rotated: boolean };

/** A filled sheet: its kind by index, what lies on it, and its largest free rectangle. */
export type PackedSheet = {
  readonly kind: number;
  readonly items: readonly Packed[];
  readonly largestFree: { readonly width: number; readonly height: number };
};

type Free = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
type Bin = { readonly kind: number; readonly items: Packed[]; free: Free[] };
type Kind = { readonly width: number; readonly height: number };
type Fit = { readonly bin: Bin; readonly index: number; readonly rotated: boolean; readonly score: number };

/** How well an item suits a free rectangle: less is better. */
const SCORES = {
  area: (free: Free, width: number, height: number) => free.width * free.height - width * height,
  shortSide: (free: Free, width: number, height: number) => Math.min(free.width - width, free.height - height),
  longSide: (free: Free, width: number, height: number) => Math.max(free.width - width, free.height - height),
} as const;

/** Which way the first cut runs when an item leaves an L: true for a cut across (the piece above gets the full width). */
const SPLITS = {
  shorterLeftover: (free: Free, width: number, height: number) => free.width - width < free.height - height,
  longerLeftover: (free: Free, width: number, height: number) => free.width - width >= free.height - height,
  largerRest: (free: Free, width: number, height: number) => width * (free.height - height) > height * (free.width - width),
} as const;

const ORDERS = {
  area: (item: PackItem) => item.width * item.height,
  height: (item: PackItem) => item.height * 1e7 + item.width,
  width: (item: PackItem) => item.width * 1e7 + item.height,
  longSide: (item: PackItem) => Math.max(item.width, item.height) * 1e7 + Math.min(item.width, item.height),
  shortSide: (item: PackItem) => Math.min(item.width, item.height) * 1e7 + Math.max(item.width, item.height),
  perimeter: (item: PackItem) => item.width + item.height,
} as const;

export type Recipe = { readonly order: keyof typeof ORDERS; readonly score: keyof typeof SCORES; readonly split: keyof typeof SPLITS };

const keysOf = <T extends object>(table: T) => Object.keys(table) as (keyof T)[];

export const RECIPES: readonly Recipe[] = keysOf(ORDERS).flatMap((order) =>
  keysOf(SCORES).flatMap((score) => keysOf(SPLITS).map((split) => ({ order, score, split }))),
);

const bestIn = (bin: Bin, item: PackItem, recipe: Recipe, best: Fit | undefined): Fit | undefined => {
  let found = best;
  for (let index = 0; index < bin.free.length; index += 1) {
    const free = bin.free[index] as Free;
    for (const rotated of item.turns && item.width !== item.height ? [false, true] : [false]) {
      const [width, height] = rotated ? [item.height, item.width] : [item.width, item.height];
      if (width > free.width || height > free.height) continue;
      const score = SCORES[recipe.score](free, width, height);
      if (!found || score < found.score) found = { bin, index, rotated, score };
    }
  }
  return found;
};

const place = (fit: Fit, item: PackItem, recipe: Recipe): void => {
  const free = fit.bin.free[fit.index] as Free;
  const [width, height] = fit.rotated ? [item.height, item.width] : [item.width, item.height];
  fit.bin.items.push({ key: item.key, x: free.x, y: free.y, rotated: fit.rotated });
  const across = SPLITS[recipe.split](free, width, height);
  const right = { x: free.x + width, y: free.y, width: free.width - width, height: across ? height : free.height };
  const above = { x: free.x, y: free.y + height, width: across ? free.width : width, height: free.height - height };
  fit.bin.free.splice(fit.index, 1, ...[right, above].filter((rest) => rest.width > 0 && rest.height > 0));
};

const fits = (item: PackItem, kind: Kind): boolean =>
  (item.width <= kind.width && item.height <= kind.height) || (item.turns && item.height <= kind.width && item.width <= kind.height);

const largest = (free: readonly Free[]): { width: number; height: number } =>
  free.reduce((best, each) => (each.width * each.height > best.width * best.height ? each : best), { width: 0, height: 0 });

/** Packs items by one recipe; a new sheet is the first of `kinds` that takes the item.
 *  Shape: n items that each fit some kind → k sheets, each item once. */
export const pack = (items: readonly PackItem[], kinds: readonly Kind[], recipe: Recipe): readonly PackedSheet[] => {
  const bins: Bin[] = [];
  const order = ORDERS[recipe.order];
  for (const item of [...items].sort((a, b) => order(b) - order(a) || a.key - b.key)) {
    let fit: Fit | undefined;
    for (const bin of bins) fit = bestIn(bin, item, recipe, fit);
    if (!fit) {
      const kind = kinds.findIndex((each) => fits(item, each));
      const { width, height } = kinds[kind] as Kind;
      const bin: Bin = { kind, items: [], free: [{ x: 0, y: 0, width, height }] };
      bins.push(bin);
      fit = bestIn(bin, item, recipe, undefined);
    }
    if (fit) place(fit, item, recipe);
  }
  return bins.map(({ kind, items: placed, free }) => {
    const { width, height } = largest(free);
    return { kind, items: placed, largestFree: { width, height } };
  });
};
