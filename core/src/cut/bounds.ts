// µm, doll size. A lower bound on the number of sheets, by dual feasible functions: maps f with Σ f(xᵢ) ≤ f(C) whenever Σ xᵢ ≤ C, so that
// the mapped areas still bound the sheets. Sources, recalled from memory and tested against enumeration: Fekete & Schepers, "A general
// framework for bounds for higher-dimensional orthogonal packing problems" (2004), u(k) and U(ε); Carlier, Clautiaux & Moukrim, "New reduction
// procedures and lower bounds for the two-dimensional bin packing problem with fixed orientation" (2007), f(k) and the raising of sizes.

import { apartFromAll, type BoundItem, type BoundSheet, type OneItem } from './apart.ts';

export type { BoundItem, BoundSheet } from './apart.ts';

type Feasible = (length: number) => number;

/** u(k), f(C) = 1: lengths that are a whole multiple of C/(k+1) keep their share, others round down to k-ths. */
const stepped =
  (capacity: number, k: number): Feasible =>
  (length) => {
    const scaled = (length * (k + 1)) / capacity;
    return Number.isInteger(scaled) ? length / capacity : Math.floor(scaled) / k;
  };

/** U(ε), f(C) = 1: what is larger than C − ε counts whole, what is smaller than ε not at all. */
const threshold =
  (capacity: number, least: number): Feasible =>
  (length) => {
    if (length > capacity - least) return 1;
    return length >= least ? length / capacity : 0;
  };

/** f(k), brought to f(C) = 1: lengths count by how many k they hold, those over a half by how many the rest could not. */
const counted = (capacity: number, k: number): Feasible => {
  const most = Math.floor(capacity / k);
  return (length) => {
    if (2 * length === capacity) return 1 / 2;
    return 2 * length < capacity ? Math.floor(length / k) / most : (most - Math.floor((capacity - length) / k)) / most;
  };
};

const MOST_PER_FAMILY = 40;
/** A quick look at very many kinds takes fewer: every pair of functions is asked about every kind. */
const FEWER_PER_FAMILY = 14;
const MANY_KINDS = 150;

const spread = (values: readonly number[], most: number): readonly number[] =>
  values.length <= most ? values : Array.from({ length: most }, (_, index) => values[Math.floor((index * values.length) / most)] as number);

const families = (capacity: number, lengths: readonly number[], most: number): readonly Feasible[] => {
  const distinct = [...new Set(lengths.flatMap((length) => [length, capacity - length]))].filter(
    (length) => length > 0 && 2 * length <= capacity,
  );
  const halves = spread(
    distinct.sort((a, b) => b - a),
    most,
  );
  return [
    (length) => length / capacity,
    ...[1, 2, 3, 4, 5, 6].map((k) => stepped(capacity, k)),
    ...halves.map((least) => threshold(capacity, least)),
    ...halves.map((k) => counted(capacity, k)),
  ];
};

/** One number for each kind of item, and each of its two ways of lying: what it takes up across and along. */
type Sizes = { readonly width: Float64Array; readonly height: Float64Array };

type Kinds = readonly { readonly units: number; readonly ways: readonly number[] }[];

/** Marks every length up to `most` that units of the kinds may fill together; `ways` names the sizes that one unit may add. */
const fillable = (most: number, sizes: Int32Array, kinds: Kinds): Uint8Array => {
  const reached = new Uint8Array(most + 1);
  reached[0] = 1;
  let top = 0;
  for (const { units, ways } of kinds) {
    for (let unit = 0; unit < units; unit += 1) {
      let grew = false;
      // Downwards, so that what this unit reaches is not reached by it again.
      for (let sum = top; sum >= 0; sum -= 1) {
        if (reached[sum] === 0) continue;
        for (const way of ways) {
          const more = sum + (sizes[way] as number);
          if (more > most || reached[more] === 1) continue;
          reached[more] = 1;
          if (more > top) top = more;
          grew = true;
        }
      }
      if (!grew) break;
    }
  }
  return reached;
};

/** Raises sizes one kind after another, the largest first, to what they take up at least: where no set of the others could fill the rest of
 *  the sheet, nobody can use it. All units of a kind are raised together, so for each number of them side by side the rest is shared out. */
const raised = (capacity: number, sizes: Int32Array, counts: readonly number[], ways: readonly (readonly number[])[]): Int32Array => {
  const result = Int32Array.from(sizes);
  const used = ways.flat().sort((p, q) => (sizes[q] as number) - (sizes[p] as number));
  for (const at of used) {
    const [size, owner] = [result[at] as number, at % counts.length];
    if (size >= capacity) continue;
    const own = (ways[owner] as readonly number[]).filter((way) => way !== at);
    const kinds = counts.map((count, kind) =>
      kind === owner ? { units: own.length > 0 ? count - 1 : 0, ways: own } : { units: count, ways: ways[kind] as readonly number[] },
    );
    const reached = fillable(capacity - size, result, kinds);
    let best = Number.POSITIVE_INFINITY;
    for (let units = 1; units <= (counts[owner] as number) && units * size <= capacity; units += 1) {
      const most = reached.lastIndexOf(1, capacity - units * size);
      best = Math.min(best, Math.floor((capacity - most) / units));
    }
    result[at] = Math.max(size, best);
  }
  return result;
};

/** Raising may look at so many lengths altogether; beyond that it would take longer than it gives. */
const MOST_STEPS = 2e7;

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));

export const fitsIn = (width: number, height: number, sheet: BoundSheet): boolean => width <= sheet.width && height <= sheet.height;

/** What each kind of item takes up: its own sizes first, then those when it is turned. Turned sizes of what does not turn are not looked at. */
const sizesOf = (items: readonly BoundItem[], sheet: BoundSheet, effort: BoundEffort): Sizes => {
  const width = Int32Array.from([...items.map((item) => item.width), ...items.map((item) => item.height)]);
  const height = Int32Array.from([...items.map((item) => item.height), ...items.map((item) => item.width)]);
  const counts = items.map(({ count }) => count);
  const ways = items.map(({ turns }, index) => (turns ? [index, index + items.length] : [index]));
  const units = counts.reduce((sum, count) => sum + count, 0);
  const along = (sizes: Int32Array, capacity: number): Float64Array => {
    const unit = sizes.reduce(divisor, capacity);
    if (effort === 'quick' || (capacity / unit) * units * sizes.length > MOST_STEPS) return Float64Array.from(sizes);
    const scaled = raised(
      capacity / unit,
      sizes.map((size) => size / unit),
      counts,
      ways,
    );
    return Float64Array.from(scaled, (size) => size * unit);
  };
  return { width: along(width, sheet.width), height: along(height, sheet.height) };
};

/** How hard to look: sizes may be raised first, which takes longer and sometimes shows one sheet more. */
export type BoundEffort = 'quick' | 'thorough';

/** What makes items one kind. */
export const kindKey = ({ width, height, turns }: OneItem): string => `${width} ${height} ${turns}`;

/** Items counted by their kind. */
export const countedKinds = (items: readonly OneItem[]): ReadonlyMap<string, BoundItem> => {
  const kinds = new Map<string, BoundItem>();
  for (const { width, height, turns } of items) {
    const key = kindKey({ width, height, turns });
    kinds.set(key, { width, height, turns, count: (kinds.get(key)?.count ?? 0) + 1 });
  }
  return kinds;
};

/** A kind of sheet in a bound: its room, what one costs, and how many there are. */
export type BoundKind = BoundSheet & { readonly cost: number; readonly count: number };

/** The sizes of each kind, and the functions of them across and along. */
const functionsOf = (items: readonly BoundItem[], sheet: BoundSheet, effort: BoundEffort) => {
  const { width, height } = sizesOf(items, sheet, effort);
  const used = (sizes: Float64Array) => [...sizes].filter((_, index) => index < items.length || items[index - items.length]?.turns);
  const most = effort === 'quick' && items.length > MANY_KINDS ? FEWER_PER_FAMILY : MOST_PER_FAMILY;
  return { width, height, across: families(sheet.width, used(width), most), along: families(sheet.height, used(height), most) };
};

/** What each function makes of the sides of each kind, as drawn and then turned; the sheet's own sides are 1. */
export const sidesOf = (items: readonly BoundItem[], sheet: BoundSheet, effort: BoundEffort) => {
  const { width, height, across, along } = functionsOf(items, sheet, effort);
  return { across: across.map((f) => Float64Array.from(width, f)), along: along.map((f) => Float64Array.from(height, f)) };
};

/** For each pair of functions, what all items come to, and what one sheet of each kind can hold of it. The functions are maximal, so a smaller
 *  sheet holds no more than the value of its own sides. */
const measures = function* (
  items: readonly BoundItem[],
  kinds: readonly BoundSheet[],
  effort: BoundEffort,
): Generator<{ readonly total: number; readonly holds: readonly number[] }> {
  const sheet: BoundSheet = { width: Math.max(...kinds.map(({ width }) => width)), height: Math.max(...kinds.map(({ height }) => height)) };
  const alike = kinds.every(({ width, height }) => width === sheet.width && height === sheet.height);
  const found = functionsOf(items, sheet, alike ? effort : 'quick');
  const square = alike && sheet.width === sheet.height && items.every(({ turns, width: w, height: h }) => turns || w === h);
  const across = found.across.map((f) => ({ of: Float64Array.from(found.width, f), holds: kinds.map((kind) => f(kind.width)) }));
  const along = found.along.map((g) => ({ of: Float64Array.from(found.height, g), holds: kinds.map((kind) => g(kind.height)) }));
  const upright = items.map((item) => fitsIn(item.width, item.height, sheet));
  const turned = items.map((item) => item.turns && fitsIn(item.height, item.width, sheet));
  for (const f of across) {
    for (const g of along) {
      let total = 0;
      for (let index = 0; index < items.length; index += 1) {
        const other = index + items.length;
        const one = upright[index] ? (f.of[index] as number) * (g.of[index] as number) : Number.POSITIVE_INFINITY;
        const two = turned[index] ? (f.of[other] as number) * (g.of[other] as number) : Number.POSITIVE_INFINITY;
        total += (items[index] as BoundItem).count * (square ? (one + (turned[index] ? two : one)) / 2 : Math.min(one, two));
      }
      yield { total, holds: kinds.map((_, kind) => (f.holds[kind] as number) * (g.holds[kind] as number)) };
    }
  }
};

/** The last digits of a sum are noise: 2.0000000001 sheets are two. */
const NOISE = 1e-9;

/** The least number of sheets that could hold the items: no layout uses fewer.
 *  Units: µm; knife gaps are to be added to items and sheet alike beforehand. On a square sheet what may turn counts both ways by half (the
 *  mirror image of a layout is one too), on others the cheaper way. */
export const leastSheets = (items: readonly BoundItem[], sheet: BoundSheet, effort: BoundEffort = 'quick'): number => {
  let best = 0;
  for (const { total } of measures(items, [sheet], effort)) best = Math.max(best, Math.ceil(total - NOISE));
  return best;
};

/** The least cost of sheets that hold so much, when parts of sheets could be had. Asked for each pair of functions, so nothing is put in order:
 *  the kind that is worth most is looked for again and again. */
const shareCost = (total: number, kinds: readonly BoundKind[], holds: readonly number[]): number => {
  let [left, cost, used] = [total - NOISE, 0, 0];
  for (let round = 0; round < kinds.length; round += 1) {
    let [best, worth] = [-1, Number.POSITIVE_INFINITY];
    for (let index = 0; index < kinds.length; index += 1) {
      const each = (kinds[index] as BoundKind).cost / (holds[index] as number);
      // A bit for each kind: layouts have few.
      if (Math.floor(used / 2 ** index) % 2 === 1 || (holds[index] as number) <= 0 || each >= worth) continue;
      [best, worth] = [index, each];
    }
    const kind = kinds[best];
    if (!kind || (left <= 0 && kind.cost >= 0)) break;
    used += 2 ** best;
    // What is better used than not, an offcut, is used altogether.
    const sheets = kind.cost < 0 ? kind.count : Math.max(0, Math.min(kind.count, left / (holds[best] as number)));
    cost += sheets * kind.cost;
    left -= sheets * (holds[best] as number);
  }
  return cost;
};

/** Whole sheets: every number of the first kind is tried, the rest bounded by shares. So many steps are allowed; beyond them shares must do. */
const wholeCost = (total: number, kinds: readonly BoundKind[], holds: readonly number[]): number => {
  let steps = 0;
  const from = (at: number, left: number): number => {
    steps += 1;
    const [rest, room] = [kinds.slice(at), holds.slice(at)];
    if (steps > 20_000 || (rest.every(({ cost }) => cost >= 0) && left <= NOISE)) return shareCost(left, rest, room);
    const [kind, holdsOne] = [rest[0], room[0] as number];
    if (!kind) return left <= NOISE ? 0 : Number.POSITIVE_INFINITY;
    const most = kind.cost < 0 ? kind.count : holdsOne > 0 ? Math.min(kind.count, Math.ceil(left / holdsOne - NOISE)) : 0;
    let best = Number.POSITIVE_INFINITY;
    for (let count = most; count >= 0; count -= 1) {
      const open = Math.max(0, left - count * holdsOne);
      if (count * kind.cost + shareCost(open, rest.slice(1), room.slice(1)) >= best - NOISE) continue;
      best = Math.min(best, count * kind.cost + from(at + 1, open));
    }
    return best;
  };
  return from(0, total);
};

/** What cannot be told from rectangles: parts that are not rectangles cover at least so much. */
const areaMeasure = (
  items: readonly { readonly area: number }[],
  kinds: readonly BoundSheet[],
): { readonly total: number; readonly holds: readonly number[] } => {
  const areas = kinds.map(({ width, height }) => width * height);
  const most = Math.max(...areas);
  return { total: items.reduce((sum, { area }) => sum + area / most, 0), holds: areas.map((area) => area / most) };
};

/** Bounds on a layout on several kinds of sheet. A part that is not a rectangle comes as one that lies in it, and with all its area.
 *  Shape: items, kinds with cost and count, what each costs in money → least number of sheets, least cost, least money. */
export const leastCost = (
  items: readonly (Omit<BoundItem, 'count'> & { readonly area: number })[],
  kinds: readonly BoundKind[],
  prices: readonly number[],
  effort: BoundEffort,
): { readonly sheets: number; readonly cost: number; readonly price: number } => {
  const grouped = countedKinds(items);
  const inMoney = kinds.map((kind, index) => ({ ...kind, cost: prices[index] as number }));
  let [sheets, cost, price] = [0, 0, 0];
  let sharpest: { readonly total: number; readonly holds: readonly number[] } | undefined;
  const all = function* () {
    yield areaMeasure(items, kinds);
    // Every sheet holds one of those that share none.
    yield { total: apartFromAll([...grouped.values()], kinds), holds: kinds.map(() => 1) };
    yield* measures([...grouped.values()], kinds, effort);
  };
  for (const measure of all()) {
    sheets = Math.max(sheets, Math.ceil(measure.total / Math.max(...measure.holds) - NOISE));
    const shared = shareCost(measure.total, kinds, measure.holds);
    if (shared > cost) {
      cost = shared;
      sharpest = measure;
    }
    price = Math.max(price, shareCost(measure.total, inMoney, measure.holds));
  }
  if (!sharpest) return { sheets, cost, price };
  const whole = wholeCost(sharpest.total, kinds, sharpest.holds);
  const money = wholeCost(sharpest.total, inMoney, sharpest.holds);
  return { sheets, cost: Math.max(cost, whole), price: Math.max(price, money) };
};
