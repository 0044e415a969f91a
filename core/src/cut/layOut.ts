// µm, doll size, origin at the sheet's lower left corner.
import { leastCost } from './bounds.ts';
import { type CutNode, cutsIn, cutTree, treePlacements } from './cutTree.ts';
import {
  costOf,
  type Effort,
  firstAnswer,
  improve,
  itemsOf,
  type Kind,
  laidAnew,
  type Mode,
  type PackedSheet,
  type PackItem,
  tidied,
} from './pack/index.ts';
import { largestRest } from './rest.ts';

/** A rectangle to be cut from a board, as it is drawn, and how it may lie: either way, or (with grain) only as drawn or only
 *  turned a quarter. */
export type CutItem = {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly lies: 'either' | 'drawn' | 'turned';
};

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
};

/** What is cut off each edge of a sheet before anything else; offcuts are not trimmed again. */
export type Trim = { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number };

/** The knife takes `gap` between neighbours. Straight cuts each run from edge to edge. */
export type CutRules = { readonly gap: number; readonly trim: Trim; readonly mode: Mode };

export type Placement = { readonly id: string; readonly x: number; readonly y: number; readonly rotated: boolean };

export type Sheet = {
  readonly kind: SheetKind;
  /** True for one that must be bought. */
  readonly bought: boolean;
  readonly placements: readonly Placement[];
  /** How it is cut apart inside its trim, from edge to edge; null where it is cut freely. */
  readonly cuts: CutNode | null;
  /** The largest rectangle left whole. */
  readonly offcut: { readonly width: number; readonly height: number };
};

/** Sheets laid out; the least number any layout could need; what is larger than every sheet; what has to be bought costs, and could least cost,
 *  in the maker's money, where all sheets have a price. */
export type Layout = {
  readonly sheets: readonly Sheet[];
  readonly least: number;
  readonly tooLarge: readonly string[];
  readonly price: number | null;
  readonly leastPrice: number | null;
  /** True when no layout can be better in cost and number of sheets. */
  readonly proven: boolean;
};

/** How long to look: a first answer, or with the search behind it. */
export type Search = Omit<Effort, 'better'> & { readonly better?: (layout: Layout) => void };

/** No search: the best of the first answers. */
export const FIRST_ANSWER: Search = { random: () => 0.5, goOn: () => true, tries: 0 };

const NO_TRIM: Trim = { left: 0, right: 0, bottom: 0, top: 0 };

const trimOf = (kind: SheetKind, { trim }: CutRules): Trim => (kind.offcut === null ? trim : NO_TRIM);

/** The room inside the trim. */
const roomOf = (kind: SheetKind, rules: CutRules): { readonly width: number; readonly height: number } => {
  const { left, right, bottom, top } = trimOf(kind, rules);
  return { width: kind.width - left - right, height: kind.height - bottom - top };
};

const fitsOn = (item: CutItem, kind: SheetKind, rules: CutRules): boolean => {
  const { width, height } = roomOf(kind, rules);
  return (
    (item.lies !== 'turned' && item.width <= width && item.height <= height) ||
    (item.lies !== 'drawn' && item.height <= width && item.width <= height)
  );
};

/** As the packer sees it: grown by the knife gap, and lying as it must. */
const toPack = (item: CutItem, gap: number): PackItem => {
  const [width, height] = item.lies === 'turned' ? [item.height, item.width] : [item.width, item.height];
  return { width: width + gap, height: height + gap, turns: item.lies === 'either' };
};

/** One of these is begun without paying; the rest are bought. */
type Supply = { readonly kind: SheetKind; readonly bought: boolean; readonly count: number };

const suppliesOf = (kinds: readonly SheetKind[]): readonly Supply[] =>
  kinds.flatMap((kind): readonly Supply[] => {
    if (kind.offcut !== null) return [{ kind, bought: false, count: 1 }];
    const owned = kind.atHand > 0 ? [{ kind, bought: false, count: kind.atHand }] : [];
    return [...owned, { kind, bought: true, count: Number.POSITIVE_INFINITY }];
  });

/** A sheet that lies there costs a hundredth of what it would cost to buy, so that money is spent last. An offcut costs less than nothing, so
 *  that it is used where anything fits it. Where a price is missing, area stands for it everywhere. */
const costsOf = (supplies: readonly Supply[]): readonly number[] => {
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

type Plan = {
  readonly items: readonly CutItem[];
  readonly packItems: readonly PackItem[];
  readonly supplies: readonly Supply[];
  readonly kinds: readonly Kind[];
  readonly rules: CutRules;
  readonly least: number;
  readonly tooLarge: readonly string[];
};

const sheetOf = ({ kind, items: packed }: PackedSheet, plan: Plan): Sheet => {
  const { items, supplies, rules } = plan;
  const supply = supplies[kind] as Supply;
  const { left, bottom } = trimOf(supply.kind, rules);
  const room = roomOf(supply.kind, rules);
  const placed = packed.map(({ item, x, y, turned }) => {
    const { id, lies, width, height } = items[item] as CutItem;
    const rotated = turned || lies === 'turned';
    return { id, x, y, rotated, width: rotated ? height : width, height: rotated ? width : height };
  });
  const tree = rules.mode === 'straight' ? cutTree(room, placed, rules.gap) : undefined;
  // Strips lie again in the order in which they are best cut.
  const lying = tree ? treePlacements(tree, rules.gap) : placed;
  const rotated = new Map(placed.map((each) => [each.id, each.rotated]));
  return {
    kind: supply.kind,
    bought: supply.bought,
    placements: lying.map(({ id, x, y }) => ({ id, x: x + left, y: y + bottom, rotated: rotated.get(id) ?? false })),
    cuts: tree ?? null,
    offcut: largestRest(room, lying, rules.gap),
  };
};

/** A sheet that is fuller than this has no rest worth looking for. */
const FULL = 0.9;

/** Of all ways to lay what lies on a sheet, the one that leaves the largest rest, and among those the one with the fewest cuts. */
const roomiest = (packed: PackedSheet, plan: Plan): Sheet => {
  const { width, height } = plan.kinds[packed.kind] as Kind;
  const filled = packed.items.reduce(
    (sum, { item }) => sum + (plan.packItems[item] as PackItem).width * (plan.packItems[item] as PackItem).height,
    0,
  );
  if (filled > FULL * width * height) return sheetOf(packed, plan);
  const size = ({ offcut }: Sheet): number => offcut.width * offcut.height;
  const cuts = (sheet: Sheet): number => (sheet.cuts ? cutsIn(sheet.cuts) : 0);
  return laidAnew(packed, plan.packItems, { width, height }, plan.rules.mode)
    .map((way) => sheetOf(way, plan))
    .reduce((best, sheet) => (size(sheet) > size(best) || (size(sheet) === size(best) && cuts(sheet) < cuts(best)) ? sheet : best));
};

/** `lay` brings each sheet into its last form: as it lies for an answer on the way, with the largest rest for the last one. */
const layoutOf = (
  packed: readonly PackedSheet[],
  plan: Plan,
  cost: ReturnType<typeof leastCost>,
  lay: (sheet: PackedSheet, plan: Plan) => Sheet = roomiest,
): Layout => {
  // What lies there is cut first.
  const turn = ({ kind, bought }: Sheet): number => (kind.offcut !== null ? 0 : bought ? 2 : 1);
  const sheets = packed.map((sheet) => lay(sheet, plan)).sort((a, b) => turn(a) - turn(b));
  const priced = plan.supplies.every(({ kind }) => kind.offcut !== null || kind.price !== null);
  const price = priced ? sheets.reduce((sum, { kind, bought }) => sum + (bought ? (kind.price ?? 0) : 0), 0) : null;
  const total = packed.reduce((sum, { kind }) => sum + (plan.kinds[kind] as Kind).cost, 0);
  return {
    sheets,
    least: plan.least,
    tooLarge: plan.tooLarge,
    price,
    leastPrice: priced ? Math.min(price ?? 0, cost.price) : null,
    proven: total <= cost.cost + 1e-9,
  };
};

const NOBODY = (): void => undefined;

const rank = (a: SheetKind, b: SheetKind): number => a.width * a.height - b.width * b.height || a.name.localeCompare(b.name);

/** Lays cut items on sheets.
 *  Shape: n items → k sheets, each item that fits placed exactly once; the order of items does not matter. With a count of tries behind
 *  `goOn`, equal input gives equal output.
 *  Units: µm, doll size; origin at the sheet's lower left; one knife gap between neighbours, none at the trimmed edge.
 *  Items larger than every sheet come back in `tooLarge`; nothing is thrown. Offcuts are used first, then what is at hand, then the least money
 *  (or area, without prices) and the fewest sheets. `better` hears of every answer on the way. */
export const layOut = (items: readonly CutItem[], kinds: readonly SheetKind[], rules: CutRules, search: Search): Layout => {
  const usable = [...kinds].sort(rank).filter((kind) => roomOf(kind, rules).width > 0 && roomOf(kind, rules).height > 0);
  const sorted = [...items].sort((a, b) => (a.id < b.id ? -1 : 1));
  // An offcut is there only once: what fits nothing else waits for it, but two such could not both have it.
  const bought = usable.filter(({ offcut }) => offcut === null);
  const placeable = sorted.filter((item) => bought.some((kind) => fitsOn(item, kind, rules)));
  const tooLarge = sorted.filter((item) => !placeable.includes(item)).map(({ id }) => id);
  const nothing: Layout = { sheets: [], least: 0, tooLarge, price: 0, leastPrice: 0, proven: true };
  if (placeable.length === 0) return nothing;
  const inflated = placeable.map((item) => toPack(item, rules.gap));
  const supplies = suppliesOf(usable);
  const costs = costsOf(supplies);
  const packKinds = supplies.map(({ kind, count }, index): Kind => {
    const { width, height } = roomOf(kind, rules);
    return { width: width + rules.gap, height: height + rules.gap, cost: costs[index] as number, count };
  });
  const prices = supplies.map(({ kind, bought: buys }) => (buys ? (kind.price ?? 0) : 0));
  const boundOf = (effort: 'quick' | 'thorough') => leastCost(inflated, packKinds, prices, effort);
  let bound = boundOf('quick');
  const plan: Plan = { items: placeable, packItems: inflated, supplies, kinds: packKinds, rules, least: bound.sheets, tooLarge };
  const told = (packed: readonly PackedSheet[]): void =>
    search.better?.(layoutOf(packed, { ...plan, least: bound.sheets }, bound, sheetOf));
  const packing = itemsOf(inflated);
  const first = firstAnswer(packing, packKinds, rules.mode, bound.cost, search.better ? told : NOBODY);
  if (!first) return nothing;
  if (costOf(first, packKinds) > bound.cost + 1e-9 && search.tries > 0) bound = boundOf('thorough');
  const sure: Plan = { ...plan, least: bound.sheets };
  const enough = search.tries === 0 || costOf(first, packKinds) <= bound.cost + 1e-9;
  const found = enough
    ? tidied(first, packing, rules.mode)
    : improve(first, inflated, packing, packKinds, rules.mode, bound.cost, { ...search, better: search.better ? told : NOBODY });
  return layoutOf(found, sure, bound);
};
