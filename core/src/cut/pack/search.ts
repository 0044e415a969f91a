// Ruin and recreate, towards a goal: everything on a given list of sheets, which is cheaper than the best answer so far.
import { type FilledSheet, fitsKind, type Kind, ORDERS } from './construct.ts';
import { type BestPlace, layBest, PACKING_RULES, type PackingRule, seek } from './fit.ts';
import type { Items } from './items.ts';
import { clear, layAgain, layIn, type Mode, newSpace, type SheetSpace } from './space.ts';

/** A source of numbers from 0 up to 1, the same for the same seed. */
export type Random = () => number;

/** The sheets to fill, what lies on them already, and what is still to be laid. */
export type Goal = { readonly sheets: readonly FilledSheet[]; readonly unplaced: readonly number[] };

// What follows was tuned on the open ones of the published classes; see docs/benchmarks.md.

/** How full a sheet is counts by its square, so that full ones and empty ones are better than even ones. */
const FULLNESS = 0.15;

/** The heat falls from one to the other over so many tries, and begins anew. */
const HOT = 0.02;
const COLD = 0.002;
const PERIOD = 1_500;

/** What stays unplaced weighs more each time it does. */
const HEAVIER = 1.03;

const pick = (random: Random, below: number): number => Math.floor(random() * below);

/** How many sheets to open: mostly two, one to four. */
const howMany = (random: Random, most: number): number => {
  const at = random();
  return Math.min(most, at < 0.15 ? 1 : at < 0.65 ? 2 : at < 0.9 ? 3 : 4);
};

/** Puts items into a random order: by one of the usual orders with noise, now and then by none. `keys` is room to work in. */
const shuffle = (random: Random, orders: readonly Float64Array[], keys: Float64Array, list: number[]): number[] => {
  const order = orders[pick(random, orders.length)] as Float64Array;
  const noise = random() < 0.15 ? 8 : random() * 0.5;
  for (const item of list) keys[item] = (order[item] as number) * (1 + noise * random());
  return list.sort((a, b) => (keys[b] as number) - (keys[a] as number));
};

/** Tries to lay everything on the goal's sheets.
 *  Shape: goal → filled sheets, or undefined when `goOn` says that it is enough. `met` is shown every sheet that was filled anew and kept. */
export const reach = (
  goal: Goal,
  items: Items,
  kinds: readonly Kind[],
  mode: Mode,
  random: Random,
  goOn: (tries: number) => boolean,
  met: (kind: number, space: SheetSpace) => void,
): readonly FilledSheet[] | undefined => {
  const sheets = goal.sheets.map(({ kind, space }): { kind: number; space: SheetSpace } => ({ kind, space }));
  const spare = new Map<number, SheetSpace[]>();
  const take = (kind: number): SheetSpace => {
    const { width, height } = kinds[kind] as Kind;
    return spare.get(kind)?.pop() ?? newSpace(width, height, items);
  };
  const give = (kind: number, space: SheetSpace): void => {
    const list = spare.get(kind);
    if (list) list.push(space);
    else spare.set(kind, [space]);
  };
  // The goal's own sheets are not written to: they belong to the best answer.
  const borrowed = new Set(sheets.map(({ space }) => space));
  const whole = Math.max(...sheets.map(({ space }) => space.width * space.height));
  const weight = new Float64Array(items.count).fill(1);
  const keys = new Float64Array(items.count);
  const orders = ORDERS.map((order) => Float64Array.from(keys, (_, item) => order(items, item)));
  let unplaced = [...goal.unplaced];

  const lacking = (list: readonly number[]): number =>
    list.reduce((sum, item) => sum + (weight[item] as number) * (0.05 + (items.area[item] as number) / whole), 0);
  const fullness = (space: SheetSpace): number =>
    FULLNESS * (space.filled / (space.width * space.height)) ** 2 * ((space.width * space.height) / whole);

  /** Lays what it can of the unplaced on all sheets. */
  const settle = (): void => {
    unplaced = unplaced.filter((item) => {
      const found: BestPlace = { space: undefined, index: -1, turned: false, score: Number.POSITIVE_INFINITY };
      for (const sheet of sheets) if (fitsKind(items, item, kinds[sheet.kind] as Kind)) seek(sheet.space, items, item, 0, found);
      if (!found.space) return true;
      const sheet = sheets.find(({ space }) => space === found.space) as { kind: number; space: SheetSpace };
      if (borrowed.has(sheet.space)) {
        const own = take(sheet.kind);
        layAgain(own, sheet.space, mode, items, sheet.space.count);
        sheet.space = own;
        if (!layBest(own, mode, items, item, 0)) return true;
      } else layIn(found.space, mode, found.index, items, item, found.turned);
      met(sheet.kind, sheet.space);
      return false;
    });
  };

  settle();
  for (let tries = 0; unplaced.length > 0; tries += 1) {
    if (!goOn(tries)) return undefined;
    const opened: number[] = [];
    for (let count = howMany(random, sheets.length); opened.length < count; ) {
      const at = pick(random, sheets.length);
      if (!opened.includes(at)) opened.push(at);
    }
    const wholly = random() < 0.35;
    const list = [...unplaced];
    const fresh = opened.map((at) => {
      const { kind, space } = sheets[at] as { kind: number; space: SheetSpace };
      const kept = wholly ? 0 : pick(random, space.count + 1);
      const next = take(kind);
      if (kept > 0) layAgain(next, space, mode, items, kept);
      else clear(next);
      for (let index = kept; index < space.count; index += 1) list.push(space.item[index] as number);
      return next;
    });
    const rule = pick(random, PACKING_RULES.length) as PackingRule;
    const onFirst = random() < 0.6;
    const found: BestPlace = { space: undefined, index: -1, turned: false, score: 0 };
    const over: number[] = [];
    for (const item of shuffle(random, orders, keys, list)) {
      found.space = undefined;
      found.score = Number.POSITIVE_INFINITY;
      for (const space of fresh) {
        seek(space, items, item, rule, found);
        if (found.space && onFirst) break;
      }
      if (found.space) layIn(found.space, mode, found.index, items, item, found.turned);
      else over.push(item);
    }
    let change = lacking(over) - lacking(unplaced);
    opened.forEach((at, index) => {
      change += fullness((sheets[at] as FilledSheet).space) - fullness(fresh[index] as SheetSpace);
    });
    const heat = HOT * (COLD / HOT) ** ((tries % PERIOD) / PERIOD);
    if (change <= 0 || random() < Math.exp(-change / heat)) {
      opened.forEach((at, index) => {
        const sheet = sheets[at] as { kind: number; space: SheetSpace };
        if (!borrowed.has(sheet.space)) give(sheet.kind, sheet.space);
        sheet.space = fresh[index] as SheetSpace;
        met(sheet.kind, sheet.space);
      });
      unplaced = over;
      settle();
      for (const item of unplaced) weight[item] = Math.min(8, (weight[item] as number) * HEAVIER);
    } else for (const [index, at] of opened.entries()) give((sheets[at] as FilledSheet).kind, fresh[index] as SheetSpace);
  }
  return sheets;
};
