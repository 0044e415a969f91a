// µm, doll size. Cutting sticks to length: one dimension, so the fewest sticks can be proven. Sources, recalled from memory: Martello & Toth,
// "Knapsack Problems" (1990), bound L2; Gilmore & Gomory, "A linear programming approach to the cutting stock problem" (1961), columns.
import type { Solver } from './solver.ts';

/** A piece to cut off a stick. */
export type StickItem = { readonly id: string; readonly length: number };

/** A stick as it is bought: its length, and what is cut off each end first, where it is rounded. The saw takes `kerf` at every cut. `rests` lie
 *  there from other work, shorter than a stick and with straight ends, and cost nothing. */
export type StickStock = { readonly length: number; readonly ends: number; readonly kerf: number; readonly rests?: readonly StickItem[] };

/** What is cut from one stick, in order, and what is left of it; `from` is the rest that it is, by id, or null for a new one. */
export type CutStick = { readonly pieces: readonly StickItem[]; readonly rest: number; readonly from: string | null };

/** Sticks with their pieces, the fewest new ones that could do, and what is longer than a stick. */
export type StickLayout = { readonly sticks: readonly CutStick[]; readonly least: number; readonly tooLong: readonly string[] };

/** Pieces of one length, grown by the kerf. A rest is a stick of which a piece is missing: `missing` is that piece, and no stick misses two. */
type Kind = { readonly length: number; readonly items: readonly StickItem[]; readonly missing: boolean };

/** How many pieces of each kind one stick gives. */
type Pattern = readonly number[];

/** The fewest sticks by L2: what is over a half needs one each; what is left over of those takes only so much of the rest. */
const leastByLength = (kinds: readonly Kind[], capacity: number): number => {
  const lengths = kinds.map(({ length, items }) => ({ length, count: items.length }));
  const limits = [0, ...lengths.map(({ length }) => length).filter((length) => 2 * length <= capacity)];
  return Math.max(
    ...limits.map((limit) => {
      let [whole, half, left, small] = [0, 0, 0, 0];
      for (const { length, count } of lengths) {
        if (length > capacity - limit) whole += count;
        else if (2 * length > capacity) {
          half += count;
          left += count * (capacity - length);
        } else if (length >= limit) small += count * length;
      }
      return whole + half + Math.max(0, Math.ceil((small - left) / capacity - 1e-9));
    }),
  );
};

/** The longest first, each on the fullest stick that still takes it. */
const bestFit = (kinds: readonly Kind[], demand: readonly number[], capacity: number): readonly Pattern[] => {
  const sticks: { rest: number; short: boolean; readonly pattern: number[] }[] = [];
  kinds.forEach(({ length, missing }, kind) => {
    for (let piece = 0; piece < (demand[kind] as number); piece += 1) {
      let best: (typeof sticks)[number] | undefined;
      for (const stick of sticks) if (stick.rest >= length && !(missing && stick.short) && (!best || stick.rest < best.rest)) best = stick;
      if (!best) {
        best = { rest: capacity, short: false, pattern: kinds.map(() => 0) };
        sticks.push(best);
      }
      best.rest -= length;
      best.short ||= missing;
      best.pattern[kind] = (best.pattern[kind] as number) + 1;
    }
  });
  return sticks.map(({ pattern }) => pattern);
};

/** How many pieces of a kind what is left of a stick takes. */
const mostOf = ({ length, items, missing }: Kind, left: number, short: boolean): number =>
  missing && short ? 0 : Math.min(items.length, Math.floor(left / length), missing ? 1 : Number.POSITIVE_INFINITY);

/** The pattern worth most by the kinds' values: branch and bound, the best value for its length first. */
const worthMost = (
  kinds: readonly Kind[],
  values: readonly number[],
  capacity: number,
): { readonly pattern: Pattern; readonly worth: number } => {
  const order = kinds
    .map((_, kind) => kind)
    .filter((kind) => (values[kind] as number) > 1e-9)
    .sort((a, b) => (values[b] as number) / (kinds[b] as Kind).length - (values[a] as number) / (kinds[a] as Kind).length);
  const now = kinds.map(() => 0);
  let best: { pattern: Pattern; worth: number } = { pattern: [...now], worth: 0 };
  let steps = 0;
  const from = (at: number, left: number, worth: number, short: boolean): void => {
    steps += 1;
    if (worth > best.worth + 1e-12) best = { pattern: [...now], worth };
    const kind = order[at];
    if (kind === undefined || steps > 200_000) return;
    const [length, value] = [(kinds[kind] as Kind).length, values[kind] as number];
    if (worth + (left * value) / length <= best.worth + 1e-12) return;
    for (let count = mostOf(kinds[kind] as Kind, left, short); count >= 0; count -= 1) {
      now[kind] = count;
      from(at + 1, left - count * length, worth + count * value, short || ((kinds[kind] as Kind).missing && count > 0));
    }
    now[kind] = 0;
  };
  from(0, capacity, 0, false);
  return best;
};

const programOf = (patterns: readonly Pattern[], kinds: readonly Kind[], whole: boolean, most: number | null): string => {
  const total = patterns.map((_, column) => `x${column}`).join(' + ');
  const rows = kinds.map(({ items }, kind) => {
    const terms = patterns.flatMap((pattern, column) => ((pattern[kind] as number) > 0 ? [`${pattern[kind]} x${column}`] : []));
    return ` r${kind}: ${terms.join(' + ')} >= ${items.length}`;
  });
  const limit = most === null ? [] : [` most: ${total} <= ${most}`];
  const general = whole ? `General\n ${patterns.map((_, column) => `x${column}`).join(' ')}\n` : '';
  return `Minimize\n sticks: ${total}\nSubject To\n${[...rows, ...limit].join('\n')}\n${general}End`;
};

const MOST_COLUMNS = 600;

/** Columns, the bound they give, and the linear answer: how often each is taken, its value, and what a piece of each kind is worth by it. */
type Columns = {
  readonly patterns: readonly Pattern[];
  readonly least: number;
  readonly shares: readonly number[];
  readonly value: number;
  readonly values: readonly number[];
};

/** Adds the column worth most until none is worth more than a stick: the linear program's value, rounded up, is a bound. */
const generate = (kinds: readonly Kind[], capacity: number, first: readonly Pattern[], solve: Solver): Columns | undefined => {
  const patterns = [...new Map(first.map((pattern) => [pattern.join(' '), pattern])).values()];
  for (;;) {
    const solved = solve(programOf(patterns, kinds, false, null), 2);
    if (!solved || solved === 'impossible') return undefined;
    const values = kinds.map((_, kind) => Math.max(0, solved.duals[kind] ?? 0));
    const { pattern, worth } = worthMost(kinds, values, capacity);
    const shares = patterns.map((_, column) => solved.columns[`x${column}`] ?? 0);
    const sum = shares.reduce((total, share) => total + share, 0);
    // Stopped early, Farley's bound still holds: the value over what the best column is worth.
    if (worth <= 1 + 1e-7) return { patterns, least: Math.ceil(sum - 1e-6), shares, value: sum, values };
    if (patterns.length >= MOST_COLUMNS)
      return { patterns, least: Math.ceil(sum / worth - 1e-6), shares, value: sum / worth, values: values.map((each) => each / worth) };
    patterns.push(pattern);
  }
};

const MOST_PATTERNS = 4_000;

/** Every pattern that is worth so much by the kinds' values; undefined when there are too many. */
const allWorth = (kinds: readonly Kind[], values: readonly number[], capacity: number, least: number): readonly Pattern[] | undefined => {
  const found: Pattern[] = [];
  const density = (kind: number): number => (values[kind] as number) / (kinds[kind] as Kind).length;
  const order = kinds.map((_, kind) => kind).sort((a, b) => density(b) - density(a));
  const now = kinds.map(() => 0);
  let steps = 0;
  const from = (at: number, left: number, worth: number, short: boolean): void => {
    steps += 1;
    if (found.length > MOST_PATTERNS || steps > MOST_STEPS) return;
    const kind = order[at];
    if (kind === undefined) {
      if (worth >= least) found.push([...now]);
      return;
    }
    if (worth + left * density(kind) < least) return;
    const { length, missing } = kinds[kind] as Kind;
    for (let count = mostOf(kinds[kind] as Kind, left, short); count >= 0; count -= 1) {
      now[kind] = count;
      from(at + 1, left - count * length, worth + count * (values[kind] as number), short || (missing && count > 0));
    }
    now[kind] = 0;
  };
  from(0, capacity, 0, false);
  return found.length > MOST_PATTERNS || steps > MOST_STEPS ? undefined : found;
};

const MOST_STEPS = 3_000_000;

const chosen = (patterns: readonly Pattern[], columns: Readonly<Record<string, number>>): readonly Pattern[] =>
  patterns.flatMap((pattern, column) => Array.from({ length: Math.round(columns[`x${column}`] ?? 0) }, () => pattern));

/** Whole sticks of a linear answer, the rest laid by best fit. */
const rounded = ({ patterns, shares }: Columns, kinds: readonly Kind[], capacity: number): readonly Pattern[] => {
  const whole = patterns.flatMap((pattern, column) => Array.from({ length: Math.floor((shares[column] as number) + 1e-7) }, () => pattern));
  const left = kinds.map(({ items }, kind) =>
    Math.max(0, items.length - whole.reduce((sum, pattern) => sum + (pattern[kind] as number), 0)),
  );
  return [...whole, ...bestFit(kinds, left, capacity)];
};

type Answer = { readonly patterns: readonly Pattern[]; readonly least: number };

const proven = (kinds: readonly Kind[], capacity: number, solve: Solver | undefined): Answer => {
  const demand = kinds.map(({ items }) => items.length);
  let patterns = bestFit(kinds, demand, capacity);
  let least = leastByLength(kinds, capacity);
  if (patterns.length <= least || !solve) return { patterns, least };
  const columns = generate(kinds, capacity, patterns, solve);
  if (!columns) return { patterns, least };
  least = Math.max(least, columns.least);
  const laid = rounded(columns, kinds, capacity);
  if (laid.length < patterns.length) patterns = laid;
  while (patterns.length > least) {
    const few = solve(programOf(columns.patterns, kinds, true, least), 3);
    if (few && few !== 'impossible') return { patterns: chosen(columns.patterns, few.columns), least };
    // Columns that nearly come to a stick's worth do it most often.
    const short = least - columns.value + 1e-7;
    for (const missing of [0.004, 0.012, 0.03, 0.1, 0.25].filter((each) => each < short)) {
      const good = allWorth(kinds, columns.values, capacity, 1 - missing);
      const some = good && solve(programOf(good, kinds, true, least), 4);
      if (good && some && some !== 'impossible') return { patterns: chosen(good, some.columns), least };
    }
    // An answer with so few sticks takes no column that falls short of a stick's worth by more than what the linear answer leaves. Such columns,
    // all of them, either do or prove that one stick more is needed.
    const every = allWorth(kinds, columns.values, capacity, 1 - short);
    const all = every && solve(programOf(every, kinds, true, least), 8);
    if (!every || all === undefined) break;
    if (all !== 'impossible') return { patterns: chosen(every, all.columns), least };
    least += 1;
  }
  return { patterns, least };
};

/** What pieces may be cut from: rounded ends are cut off with a kerf each. */
export const usableOf = ({ length, ends, kerf }: StickStock): number => length - 2 * ends - (ends > 0 ? 2 * kerf : 0);

/** Cuts pieces from sticks.
 *  Shape: n pieces → k sticks, each piece that fits once, and the fewest sticks that could do. With a solver the two are the same but for rare
 *  cases; without one the longest are laid first, and the bound is by lengths alone. */
export const cutSticks = (items: readonly StickItem[], stock: StickStock, solve?: Solver): StickLayout => {
  const { kerf } = stock;
  // n pieces take n − 1 kerfs; one that fills the stick to its end takes none.
  const usable = usableOf(stock);
  const capacity = usable + kerf;
  const sorted = [...items].sort((a, b) => b.length - a.length || (a.id < b.id ? -1 : 1));
  const tooLong = sorted.filter((item) => item.length > usable).map(({ id }) => id);
  const rests = (stock.rests ?? []).filter(({ length }) => length > 0).map((each) => ({ ...each, length: Math.min(each.length, usable) }));
  const grouped = (list: readonly StickItem[], missing: boolean): readonly Kind[] => {
    const byLength = new Map<number, StickItem[]>();
    for (const item of list) byLength.set(item.length, [...(byLength.get(item.length) ?? []), item]);
    return [...byLength].map(([length, same]): Kind => ({ length, items: same, missing }));
  };
  const cut = sorted.filter((item) => item.length <= usable);
  if (cut.length === 0) return { sticks: [], least: 0, tooLong };
  const wanted = grouped(
    cut.map((item) => ({ ...item, length: item.length + kerf })),
    false,
  );
  const missing = grouped(
    rests.map((rest) => ({ ...rest, length: Math.max(1, usable - rest.length) })),
    true,
  );
  const kinds = [...wanted, ...missing].sort((a, b) => b.length - a.length);
  const { patterns, least } = proven(kinds, capacity, solve);
  const waiting = kinds.map(({ items: list }) => [...list]);
  const asCut = new Map(cut.map((item) => [item.id, item]));
  const sticks = patterns.map((pattern): CutStick => {
    const taken = pattern.map((count, kind) => (waiting[kind] as StickItem[]).splice(0, count));
    const pieces = taken.flatMap((list, kind) => ((kinds[kind] as Kind).missing ? [] : list.map(({ id }) => asCut.get(id) as StickItem)));
    const [from] = taken.flatMap((list, kind) => ((kinds[kind] as Kind).missing ? list : []));
    const room = from ? capacity - from.length : capacity;
    return { pieces, rest: Math.max(0, room - pieces.reduce((sum, piece) => sum + piece.length + kerf, 0)), from: from?.id ?? null };
  });
  const used = sticks.filter(({ pieces }) => pieces.length > 0);
  return {
    // What lies there is cut first.
    sticks: used.sort((a, b) => Number(a.from === null) - Number(b.from === null) || a.rest - b.rest),
    least: Math.max(0, least - rests.length),
    tooLong,
  };
};
