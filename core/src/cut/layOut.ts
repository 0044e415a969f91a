// µm, doll size, origin at the sheet's lower left corner.
import { blockOf, groupsOf } from './block.ts';
import { countedKinds, kindKey, leastCost } from './bounds.ts';
import { type CutItem, type Lot, single } from './lots.ts';
import { type BoundView, boundViews, nestFreely, sharings } from './nest/index.ts';
import {
  costOf,
  type Effort,
  type FilledSheet,
  firstAnswer,
  type Items,
  improve,
  itemsOf,
  type Kind,
  type PackedSheet,
  type PackItem,
  packedOf,
  tidiedSheets,
} from './pack/index.ts';
import { provesInfeasible } from './provesInfeasible.ts';
import { type LayingOut, nestedSheet, outlinesOn, roomierAtOnce, roomiest, type Sheet, sheetOf } from './sheet.ts';
import { type CutRules, costsOf, roomOf, type SheetKind, suppliesOf } from './supplies.ts';

/** Sheets laid out; the least number any layout could need; what is larger than every sheet; what has to be bought costs, and could least cost,
 *  in the maker's money, where all sheets have a price. */
export type CutLayout = {
  readonly sheets: readonly Sheet[];
  readonly least: number;
  readonly tooLarge: readonly string[];
  readonly price: number | null;
  readonly leastPrice: number | null;
  /** True when no layout can be better in cost and number of sheets. */
  readonly proven: boolean;
};

/** How long to look: a first answer, or with the search behind it. */
export type Search = Omit<Effort, 'better'> & { readonly better?: (layout: CutLayout) => void };

/** No search: the best of the first answers. */
export const FIRST_ANSWER: Search = { random: () => 0.5, goOn: () => true, tries: 0 };

const fitsOn = ({ width, height, turns }: Lot, kind: SheetKind, rules: CutRules): boolean => {
  const room = roomOf(kind, rules);
  return (width <= room.width && height <= room.height) || (turns && height <= room.width && width <= room.height);
};

/** As the packer sees it: grown by the knife gap. */
const toPack = ({ width, height, turns }: Lot, gap: number): PackItem => ({ width: width + gap, height: height + gap, turns });

/** Sheets as a layout: what it costs, and how near to the least it is. */
const layoutOf = (sheets: readonly Sheet[], plan: LayingOut, cost: ReturnType<typeof leastCost>): CutLayout => {
  // What lies there is cut first.
  const turn = ({ kind, bought }: Sheet): number => (kind.offcut !== null ? 0 : bought ? 2 : 1);
  const priced = plan.supplies.every(({ kind }) => kind.offcut !== null || kind.price !== null);
  const price = priced ? sheets.reduce((sum, { kind, bought }) => sum + (bought ? (kind.price ?? 0) : 0), 0) : null;
  return {
    sheets: [...sheets].sort((a, b) => turn(a) - turn(b)),
    least: plan.least,
    tooLarge: plan.tooLarge,
    price,
    leastPrice: priced ? Math.min(price ?? 0, cost.price) : null,
    proven: sheets.reduce((sum, sheet) => sum + costOfSheet(sheet, plan), 0) <= cost.cost + 1e-9,
  };
};

const supplyOf = ({ kind, bought }: Sheet, { supplies }: LayingOut): number =>
  supplies.findIndex((supply) => supply.kind === kind && supply.bought === bought);

const costOfSheet = (sheet: Sheet, plan: LayingOut): number => (plan.kinds[supplyOf(sheet, plan)] as Kind).cost;

/** Does without one sheet after another, the dearest and emptiest first, as long as outlines find room on the others. */
const nested = (
  sheets: readonly Sheet[],
  plan: LayingOut,
  search: Search,
  better: (sheets: readonly Sheet[]) => void,
): readonly Sheet[] => {
  let now = sheets;
  for (;;) {
    const all = now.map((sheet) => outlinesOn(sheet, supplyOf(sheet, plan), plan));
    const worth = ({ kind }: { readonly kind: number }): number => (plan.kinds[kind] as Kind).cost;
    const spared = [...all].sort((a, b) => worth(b) - worth(a) || a.parts.length - b.parts.length)[0];
    const next = spared && worth(spared) > 0 ? nestFreely(all, spared, plan.rules.gap, search) : undefined;
    if (!next) return now;
    now = next.map((sheet) => nestedSheet(sheet, plan));
    better(now);
  }
};

const NOBODY = (): void => undefined;

/** Lots that the parts were put into, and the first answer with them. */
type Attempt = { readonly plan: LayingOut; readonly packing: Items; readonly first: readonly FilledSheet[]; readonly cost: number };

const rank = (a: SheetKind, b: SheetKind): number => a.width * a.height - b.width * b.height || a.name.localeCompare(b.name);

/** True when it is shown, within the seconds there are for it, that one sheet less would be too few; for sheets of one kind. */
const noFewer = (
  sheets: readonly Sheet[],
  bounded: BoundView,
  room: { readonly width: number; readonly height: number },
  { choose }: Search,
): boolean => {
  if (!choose?.proving) return false;
  const kinds = countedKinds([...bounded.values()]);
  const known = sheets.map(({ placements }) => {
    const lying = placements.flatMap(({ id }) => {
      const item = bounded.get(id);
      return item ? [kindKey(item)] : [];
    });
    return [...kinds.keys()].map((key) => lying.filter((each) => each === key).length);
  });
  return provesInfeasible([...kinds.values()], room, sheets.length - 1, known, choose.solve, choose.proving);
};

type Bound = ReturnType<typeof leastCost>;

/** What all bounds say together. */
const sharpest = (bounds: readonly Bound[]): Bound =>
  bounds.reduce((one, other) => ({
    sheets: Math.max(one.sheets, other.sheets),
    cost: Math.max(one.cost, other.cost),
    price: Math.max(one.price, other.price),
  }));

/** Lays cut items on sheets.
 *  Shape: n items → k sheets, each item that fits placed exactly once; the order of items does not matter. With a count of tries behind
 *  `goOn`, equal input gives equal output.
 *  Units: µm, doll size; origin at the sheet's lower left; one knife gap between neighbours, none at the trimmed edge.
 *  Items larger than every sheet come back in `tooLarge`; nothing is thrown. Offcuts are used first, then what is at hand, then the least money
 *  (or area, without prices) and the fewest sheets. `better` hears of every answer on the way. */
export const layOut = (items: readonly CutItem[], kinds: readonly SheetKind[], rules: CutRules, search: Search): CutLayout => {
  const usable = [...kinds].sort(rank).filter((kind) => roomOf(kind, rules).width > 0 && roomOf(kind, rules).height > 0);
  const sorted = [...items].sort((a, b) => (a.id < b.id ? -1 : 1));
  // An offcut is there only once: what fits nothing else waits for it, but two such could not both have it.
  const bought = usable.filter(({ offcut }) => offcut === null);
  const placeable = sorted.filter((item) => bought.some((kind) => fitsOn(single(item), kind, rules)));
  const fitting = new Set(placeable);
  const tooLarge = sorted.filter((item) => !fitting.has(item)).map(({ id }) => id);
  const nothing: CutLayout = { sheets: [], least: 0, tooLarge, price: 0, leastPrice: 0, proven: true };
  if (placeable.length === 0) return nothing;
  const supplies = suppliesOf(usable);
  const costs = costsOf(supplies, rules.wishes);
  const packKinds = supplies.map(({ kind, count }, index): Kind => {
    const { width, height } = roomOf(kind, rules);
    return { width: width + rules.gap, height: height + rules.gap, cost: costs[index] as number, count };
  });
  const prices = supplies.map(({ kind, bought: buys }) => (buys ? (kind.price ?? 0) : 0));
  const views = boundViews(placeable, rules.gap);
  const boundOf = (effort: 'quick' | 'thorough') => sharpest(views.map((view) => leastCost([...view.values()], packKinds, prices, effort)));
  let bound = boundOf('quick');
  const met = ({ cost }: { readonly cost: number }): boolean => cost <= bound.cost + 1e-9;
  const rooms = bought.map((kind) => roomOf(kind, rules));
  const sizes = new Map(placeable.map((item) => [item.id, item]));
  const attempt = (lots: readonly Lot[]): readonly Attempt[] => {
    const packItems = lots.map((lot) => toPack(lot, rules.gap));
    const packing = itemsOf(packItems);
    const first = firstAnswer(packing, packKinds, rules.mode, bound.cost, NOBODY);
    const plan: LayingOut = { sizes, lots, packItems, supplies, kinds: packKinds, rules, least: bound.sheets, tooLarge };
    return first ? [{ plan, packing, first, cost: costOf(first, packKinds) }] : [];
  };
  const asLayout = (sheets: readonly Sheet[], plan: LayingOut): CutLayout => layoutOf(sheets, { ...plan, least: bound.sheets }, bound);
  // As it lies for an answer on the way, with the largest rest for the last one.
  const laid = (plan: LayingOut, packed: readonly PackedSheet[], lay: typeof sheetOf = roomiest): CutLayout =>
    asLayout(
      packed.map((sheet) => lay(sheet, plan)),
      plan,
    );
  const { groups, rest } = groupsOf(placeable);
  // A group that no sheet takes comes apart.
  const blocks = groups.flatMap((group): readonly Lot[] => {
    const block = blockOf(group, rooms, rules);
    return block ? [block] : group.map(single);
  });
  const [alone] = attempt([...blocks, ...rest.map(single)]);
  if (!alone) return nothing;
  if (search.tries === 0) return laid(alone.plan, tidiedSheets(alone.first, alone.packing, rules.mode), roomierAtOnce);
  const tell = ({ plan }: Attempt, packed: readonly PackedSheet[]): void => search.better?.(laid(plan, packed, sheetOf));
  tell(alone, alone.first.map(packedOf));
  // Of answers that cost the same the one with more parts in one rectangle leaves more.
  const attempts = [alone, ...sharings(rest, rooms, rules.gap).flatMap((lots) => attempt([...blocks, ...lots]))]
    .reverse()
    .sort((a, b) => a.cost - b.cost);
  if (!attempts.some(met)) bound = boundOf('thorough');
  let best: { readonly attempt: Attempt; readonly packed: readonly PackedSheet[]; readonly cost: number } | undefined;
  for (const each of attempts) {
    if (best && met(best)) break;
    const { plan, packing, first } = each;
    const better = (packed: readonly PackedSheet[]): void => {
      if (!best || costOf(packed, packKinds) < best.cost - 1e-9) tell(each, packed);
    };
    better(first.map(packedOf));
    const packed = met(each)
      ? tidiedSheets(first, packing, rules.mode)
      : improve(first, plan.packItems, packing, packKinds, rules.mode, bound.cost, { ...search, better });
    const cost = costOf(packed, packKinds);
    if (!best || cost < best.cost - 1e-9) best = { attempt: each, packed, cost };
  }
  if (!best) return nothing;
  const { plan } = best.attempt;
  let layout = laid(plan, best.packed);
  const [only] = packKinds;
  if (!layout.proven && only && packKinds.length === 1 && views.some((view) => noFewer(layout.sheets, view, only, search))) {
    bound = { sheets: layout.sheets.length, cost: best.cost, price: layout.price ?? 0 };
    layout = asLayout(layout.sheets, plan);
  }
  if (rules.mode === 'straight' || layout.proven || groups.length > 0 || placeable.every(({ outline }) => !outline)) return layout;
  return asLayout(
    nested(layout.sheets, plan, search, (sheets) => search.better?.(asLayout(sheets, plan))),
    plan,
  );
};
