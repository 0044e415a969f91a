// µm, doll size. What one sheet could hold at most, as far as pairs of dual feasible functions tell: each part lies in one way there, and every
// pair must hold at once. By chance, quickly; and by looking through all of them, the way a knapsack is proven full.
import { type BoundItem, type BoundSheet, fitsIn, sidesOf } from './bounds.ts';
import type { Random } from './pack/index.ts';

/** How many of each kind of part lie on one sheet. */
export type Column = readonly number[];

/** What lies on a sheet: ways of lying, each with how often. The ways are the kinds as drawn, then the kinds turned. */
type Lying = readonly (readonly [way: number, times: number])[];

/** A pair of functions as a row: what each way of lying takes of the 1 that a sheet holds. */
type Row = Float64Array;

/** More than a sheet holds, by more than the noise of sums. */
const OVER = 1 + 1e-5;
/** Full sheets that are tried by chance in a round, and how many of them are kept. */
const TRIES = 200;
const KEPT = 40;
/** So many steps are enough to find more once something has been found. */
const ENOUGH = 30_000;
/** And so many pairs may turn out to be broken in one search. */
const ROOM = 500;

/** Functions that count all these lengths alike are one. */
const withoutDoubles = (functions: readonly Float64Array[]): readonly Float64Array[] => [
  ...new Map(functions.map((each) => [each.join(), each])).values(),
];

/** The parts and the sheet as the search sees them; `rows` are those pairs that have mattered so far. */
export class PriceTable {
  readonly counts: readonly number[];
  readonly most: readonly number[];
  /** The ways in which parts can lie at all. */
  readonly ways: readonly number[];
  readonly rows: Row[] = [];
  private readonly across: readonly Float64Array[];
  private readonly along: readonly Float64Array[];

  constructor(items: readonly BoundItem[], sheet: BoundSheet) {
    const n = items.length;
    const sides = sidesOf(items, sheet, 'thorough');
    this.across = withoutDoubles(sides.across);
    this.along = withoutDoubles(sides.along);
    this.counts = items.map(({ count }) => count);
    this.most = items.map(({ count, width, height }) => Math.min(count, Math.floor((sheet.width * sheet.height) / (width * height))));
    const turns = ({ turns: may, width, height }: BoundItem) => may && width !== height && fitsIn(height, width, sheet);
    this.ways = items.flatMap((item, kind) => [
      ...(fitsIn(item.width, item.height, sheet) ? [kind] : []),
      ...(turns(item) ? [kind + n] : []),
    ]);
    this.add(0, 0);
  }

  kindOf(way: number): number {
    return way % this.counts.length;
  }

  /** True when every pair of functions holds; else the one that is broken most is minded from now on. */
  holds(lying: Lying): boolean {
    let [worst, atF, atG] = [OVER, -1, -1];
    for (const [f, one] of this.across.entries())
      for (const [g, two] of this.along.entries()) {
        let sum = 0;
        for (const [way, times] of lying) sum += times * (one[way] as number) * (two[way] as number);
        if (sum > worst) [worst, atF, atG] = [sum, f, g];
      }
    if (atF < 0) return true;
    this.add(atF, atG);
    return false;
  }

  private add(f: number, g: number): void {
    const [one, two] = [this.across[f] as Float64Array, this.along[g] as Float64Array];
    this.rows.push(one.map((value, way) => value * (two[way] as number)));
  }
}

const columnOf = (lying: Lying, table: PriceTable): Column => {
  const column = table.counts.map(() => 0);
  for (const [way, times] of lying) column[table.kindOf(way)] = (column[table.kindOf(way)] as number) + times;
  return column;
};

/** Fills a sheet with what is worth most for what it takes of two rows, the same with a little chance. */
const filled = (worth: readonly number[], ways: readonly number[], table: PriceTable, random: Random): { lying: Lying; holds: number } => {
  const { rows, most } = table;
  const pick = (): Row => rows[Math.floor(random() * rows.length)] as Row;
  const [one, other] = [pick(), pick()];
  const scored = ways.map((way) => {
    const takes = 0.02 + (one[way] as number) + (other[way] as number);
    return { way, score: ((worth[table.kindOf(way)] as number) * (0.8 + 0.4 * random())) / takes };
  });
  const used = new Float64Array(rows.length);
  const left = [...most];
  const lying: (readonly [number, number])[] = [];
  let holds = 0;
  for (const { way } of scored.sort((a, b) => b.score - a.score)) {
    const kind = table.kindOf(way);
    let times = 0;
    while (times < (left[kind] as number) && rows.every((row, at) => (used[at] as number) + (row[way] as number) <= 1 + 1e-9)) {
      rows.forEach((row, at) => {
        used[at] = (used[at] as number) + (row[way] as number);
      });
      times += 1;
    }
    if (times === 0) continue;
    left[kind] = (left[kind] as number) - times;
    holds += times * (worth[kind] as number);
    lying.push([way, times]);
  }
  return { lying, holds };
};

/** Full sheets worth more than 1, found by chance. */
export const byChance = (worth: readonly number[], table: PriceTable, random: Random): readonly Column[] => {
  const ways = table.ways.filter((way) => (worth[table.kindOf(way)] as number) > 1e-6);
  const found = new Map<string, { readonly column: Column; readonly holds: number }>();
  for (let round = 0; round < TRIES; round += 1) {
    const { lying, holds } = filled(worth, ways, table, random);
    if (holds <= 1.001) continue;
    const column = columnOf(lying, table);
    const key = column.join();
    if (!found.has(key) && table.holds(lying)) found.set(key, { column, holds });
  }
  return [...found.values()]
    .sort((a, b) => b.holds - a.holds)
    .slice(0, KEPT)
    .map(({ column }) => column);
};

/** A kind of part in the search for one sheet: its ways of lying, and what one of it adds beyond what it takes at those prices. */
type Choice = {
  readonly kind: number;
  readonly most: number;
  readonly ways: readonly number[];
  readonly gains: readonly number[];
  readonly best: number;
};

/** Looks through all sheets that could be worth so much: some that every pair of functions allows, none when there is none, or nothing when
 *  the time is up. A sheet falls short of what prices allow by what each of its parts gains less than it could; only so much may be lost. */
export const sheetsWorth = (
  worth: readonly number[],
  least: number,
  table: PriceTable,
  prices: readonly number[],
  left: () => number,
): readonly Column[] | undefined => {
  const { counts, most } = table;
  const choices = counts
    .map((_, kind): Choice => {
      const ways = table.ways.filter((way) => table.kindOf(way) === kind);
      const gains = ways.map(
        (way) => (worth[kind] as number) - prices.reduce((sum, price, at) => sum + price * ((table.rows[at] as Row)[way] as number), 0),
      );
      return { kind, most: most[kind] as number, ways, gains, best: Math.max(0, ...gains) };
    })
    .filter(({ kind }) => (worth[kind] as number) > 1e-9)
    // What is decided by its gain alone first.
    .sort((a, b) => Math.abs(Math.max(...b.gains)) - Math.abs(Math.max(...a.gains)));
  // Way by way, the dearest rows first: what does not fit mostly fails there. Pairs that turn out to be broken are minded as they come.
  const order = table.rows.map((_, at) => at).sort((a, b) => (prices[b] as number) - (prices[a] as number));
  let size = order.length;
  const takes = new Map(
    table.ways.map((way) => {
      const column = new Float64Array(size + ROOM);
      order.forEach((row, at) => {
        column[at] = (table.rows[row] as Row)[way] as number;
      });
      return [way, column];
    }),
  );
  const taking = (way: number): Float64Array => takes.get(way) as Float64Array;
  // What is left of a row lets no more worth in than at the best rate of what has not been decided yet; the dearest rows tell most.
  const telling = [order.indexOf(0), ...order.keys()].slice(0, 25);
  const rates = telling.map((at) => {
    const best = new Float64Array(choices.length + 1);
    for (let index = choices.length - 1; index >= 0; index -= 1) {
      const { kind, ways } = choices[index] as Choice;
      best[index] = Math.max(best[index + 1] as number, ...ways.map((way) => (worth[kind] as number) / (taking(way)[at] as number)));
    }
    return best;
  });
  const lying: (readonly [number, number])[] = [];
  let holding = 0;
  const used = new Float64Array(size + ROOM);
  let nodes = 0;
  let given = false;
  /** What is asked for rises with what is found. */
  let asked = least;
  const found: Column[] = [];
  const lay = (way: number, times: number): void => {
    holding += times * (worth[table.kindOf(way)] as number);
    const column = taking(way);
    for (let at = 0; at < size; at += 1) used[at] = (used[at] as number) + times * (column[at] as number);
  };
  const fits = (way: number): boolean => {
    const column = taking(way);
    for (let at = 0; at < size; at += 1) if ((used[at] as number) + (column[at] as number) > OVER) return false;
    return true;
  };
  /** True when the search is over. */
  const from = (at: number, spare: number): boolean => {
    nodes += 1;
    if (nodes % 1024 === 0 && (left() <= 0 || (found.length > 0 && nodes > ENOUGH))) {
      given = true;
      return true;
    }
    if (spare < asked - least) return false;
    for (let index = 0; index < telling.length; index += 1) {
      const rate = (rates[index] as Float64Array)[at] as number;
      if (Number.isFinite(rate) && holding + (OVER - (used[telling[index] as number] as number)) * rate < asked - 1e-9) return false;
    }
    const choice = choices[at];
    if (!choice) {
      if (holding < asked) return false;
      const rows = table.rows.length;
      if (table.holds(lying)) {
        found.push(columnOf(lying, table));
        asked = Math.max(asked, holding + 1e-6);
        return found.length >= KEPT;
      }
      if (size === used.length) return false;
      const row = table.rows[rows] as Row;
      for (const [way, column] of takes) column[size] = row[way] as number;
      used[size] = lying.reduce((sum, [way, times]) => sum + times * (row[way] as number), 0);
      size += 1;
      return false;
    }
    /** Lays more of this kind, by the ways from one on. */
    const more = (index: number, room: number, lost: number): boolean => {
      const way = choice.ways[index];
      if (way === undefined) return from(at + 1, spare - lost - room * choice.best);
      const loss = choice.best - (choice.gains[index] as number);
      let times = 0;
      let over = false;
      for (;;) {
        const rest = lost + times * loss;
        // At best the others of the kind lose nothing.
        if (spare - rest < asked - least) break;
        if (times > 0) lying.push([way, times]);
        over = more(index + 1, room - times, rest);
        if (times > 0) lying.pop();
        if (over || times === room || !fits(way)) break;
        lay(way, 1);
        times += 1;
      }
      lay(way, -times);
      return over;
    };
    return more(0, choice.most, 0);
  };
  const all = prices.reduce((sum, price) => sum + price, 0) + choices.reduce((sum, { best, most: units }) => sum + best * units, 0);
  from(0, all - least);
  return given && found.length === 0 ? undefined : found;
};
