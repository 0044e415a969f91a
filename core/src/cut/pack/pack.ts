// Packs rectangles on sheets: first answers, then the search for a cheaper list of sheets, until the bound is met or it is enough.

import type { Solver } from '../solver.ts';
import { construct, emptyOffcuts, type FilledSheet, fitsKind, type Kind, type PackingRecipe, sortedBy } from './construct.ts';
import { newPatterns } from './cover.ts';
import { layBest, PACKING_RULES, type PackingRule } from './fit.ts';
import type { Items, PackedSheet, PackItem } from './items.ts';
import { mergeAll } from './merge.ts';
import { type Goal, type Random, reach } from './search.ts';
import { type Mode, newSpace } from './space.ts';

/** What a search is allowed, and whom it tells. `goOn` is asked again and again; a clock may stand behind it, or a count. */
export type Effort = {
  readonly random: Random;
  readonly goOn: () => boolean;
  /** Tries towards one goal before the next is taken up. */
  readonly tries: number;
  readonly better?: (sheets: readonly PackedSheet[]) => void;
  /** Chooses among the sheets that the search met, when it has not met the bound; `seconds` are allowed. When that has not met it either,
   *  one looks for a proof that nothing less would do, as long as `proving` says that seconds are left. */
  readonly choose?: { readonly solve: Solver; readonly seconds: number; readonly proving?: () => number };
};

export const costOf = (sheets: readonly { readonly kind: number }[], kinds: readonly Kind[]): number =>
  sheets.reduce((sum, { kind }) => sum + (kinds[kind] as Kind).cost, 0);

export const packedOf = ({ kind, space }: FilledSheet): PackedSheet => ({
  kind,
  items: Array.from({ length: space.count }, (_, at) => ({
    item: space.item[at] as number,
    x: space.x[at] as number,
    y: space.y[at] as number,
    turned: space.turned[at] === 1,
  })),
});

/** In which order kinds are begun: each kind first once, the rest by what a unit of their area costs. */
const preferences = (kinds: readonly Kind[]): readonly (readonly number[])[] => {
  const byWorth = kinds
    .map((_, index) => index)
    .sort((a, b) => {
      const worth = ({ cost, width, height }: Kind) => cost / (width * height);
      return worth(kinds[a] as Kind) - worth(kinds[b] as Kind) || a - b;
    });
  return byWorth.map((first) => [first, ...byWorth.filter((kind) => kind !== first)]);
};

const MOST_PAIRS = 1e6;

const recipesFor = (items: Items, kinds: readonly Kind[]): readonly PackingRecipe[] => {
  const orders = [0, 1, 2, 3, 4, 5].map((order) => sortedBy(items, order));
  const all = [true, false].flatMap((onFirst) =>
    PACKING_RULES.flatMap((_, rule) =>
      orders.flatMap((order) =>
        preferences(kinds).map((preference): PackingRecipe => ({ order, rule: rule as PackingRule, onFirst, kinds: preference })),
      ),
    ),
  );
  // A first answer takes as long as the square of the number of items; with many, few must do.
  const most = Math.max(2, Math.min(all.length, Math.floor(MOST_PAIRS / items.count ** 2)));
  return Array.from({ length: most }, (_, index) => all[Math.floor((index * all.length) / most)] as PackingRecipe);
};

/** Goals that cost less than an answer, the greatest saving first: without one of its sheets, with a cheaper kind for one, or with one for two. */
const goalsBelow = (best: readonly FilledSheet[], items: Items, kinds: readonly Kind[], least: number): readonly Goal[] => {
  const used = kinds.map((_, kind) => best.filter((sheet) => sheet.kind === kind).length);
  const left = (kind: number): boolean => (used[kind] as number) < (kinds[kind] as Kind).count;
  const emptiest = [...best].sort((a, b) => a.space.filled / costAreaOf(a) - b.space.filled / costAreaOf(b));
  const oneOfEach = kinds.flatMap((_, kind) => emptiest.find((sheet) => sheet.kind === kind) ?? []);
  const pairs = oneOfEach.flatMap((first) =>
    oneOfEach.map((second) => [first, emptiest.find((sheet) => sheet.kind === second.kind && sheet !== first)]),
  );
  const changes: { readonly out: readonly FilledSheet[]; readonly into: number | null }[] = [
    ...oneOfEach.map((sheet) => ({ out: [sheet], into: null })),
    ...oneOfEach.flatMap((sheet) => kinds.map((_, into) => ({ out: [sheet], into }))),
    ...pairs.flatMap(([first, second]) => (first && second ? kinds.map((_, into) => ({ out: [first, second], into })) : [])),
  ];
  const unused = emptyOffcuts(
    items,
    kinds,
    kinds.map((_, kind) => kind).filter((kind) => used[kind] === 0),
  );
  const area = items.area.reduce((sum, each) => sum + each, 0);
  const cost = costOf(best, kinds);
  return changes
    .flatMap(({ out, into }) => {
      if (into !== null && !left(into) && !out.some(({ kind }) => kind === into)) return [];
      const saved = costOf(out, kinds) - (into === null ? 0 : (kinds[into] as Kind).cost);
      if (saved <= 0 || cost - saved < least - 1e-9) return [];
      const kept = [...best.filter((sheet) => !out.includes(sheet)), ...unused];
      const sheets =
        into === null ? kept : [...kept, { kind: into, space: newSpace((kinds[into] as Kind).width, (kinds[into] as Kind).height, items) }];
      const room = sheets.reduce((sum, { space }) => sum + space.width * space.height, 0);
      if (room < area) return [];
      const unplaced = out.flatMap(({ space }) => [...space.item.subarray(0, space.count)]);
      if (unplaced.some((item) => !sheets.some(({ kind }) => fitsKind(items, item, kinds[kind] as Kind)))) return [];
      return [{ saved, goal: { sheets, unplaced } }];
    })
    .sort((a, b) => b.saved - a.saved)
    .map(({ goal }) => goal);
};

const costAreaOf = ({ space }: FilledSheet): number => space.width * space.height;

/** The best of the first answers.
 *  Shape: n items → k filled sheets, each item once; undefined when there are too few sheets. `least` is a lower bound on the cost: an answer
 *  that meets it is given at once. */
export const firstAnswer = (
  items: Items,
  kinds: readonly Kind[],
  mode: Mode,
  least: number,
  better: (sheets: readonly PackedSheet[]) => void,
): readonly FilledSheet[] | undefined => {
  let best: readonly FilledSheet[] | undefined;
  for (const recipe of recipesFor(items, kinds)) {
    const answer = construct(items, kinds, recipe, mode);
    if (!answer || (best && costOf(answer, kinds) >= costOf(best, kinds) - 1e-9)) continue;
    best = answer;
    better(answer.map(packedOf));
    if (costOf(answer, kinds) <= least + 1e-9) break;
  }
  return best;
};

/** Looks for sheets that cost less than an answer, until the bound is met or it is enough. The answer's spaces are used up by that. */
export const improve = (
  answer: readonly FilledSheet[],
  list: readonly PackItem[],
  items: Items,
  kinds: readonly Kind[],
  mode: Mode,
  least: number,
  effort: Effort,
): readonly PackedSheet[] => {
  let best = answer;
  const done = (): boolean => costOf(best, kinds) <= least + 1e-9;
  for (const [kind, room] of kinds.entries()) {
    const whole = !done() && room.cost < costOf(best, kinds) && room.count > 0 ? mergeAll(list, room) : undefined;
    if (whole) return [{ kind, items: whole }];
  }
  const patterns = newPatterns(items, kinds, packedOf);
  for (const { kind, space } of best) patterns.met(kind, space);
  const goOn = (tries: number): boolean => tries < effort.tries && effort.goOn();
  while (!done() && effort.goOn()) {
    let reached: readonly FilledSheet[] | undefined;
    for (const goal of goalsBelow(best, items, kinds, least)) {
      reached = reach(goal, items, kinds, mode, effort.random, goOn, effort.choose ? patterns.met : NOBODY);
      if (reached) break;
    }
    if (!reached) break;
    best = reached.filter(({ space }) => space.count > 0);
    effort.better?.(best.map(packedOf));
  }
  const chosen = done() || !effort.choose ? undefined : patterns.choose(effort.choose.solve, effort.choose.seconds, costOf(best, kinds));
  if (!chosen || costOf(chosen, kinds) >= costOf(best, kinds) - 1e-9) return tidiedSheets(best, items, mode);
  effort.better?.(chosen);
  return chosen;
};

/** Moves what finds room elsewhere off the emptiest sheet, so that what is left of it is large. The spaces are used up by that. */
export const tidiedSheets = (sheets: readonly FilledSheet[], items: Items, mode: Mode): readonly PackedSheet[] => {
  const share = ({ space }: FilledSheet): number => space.filled / (space.width * space.height);
  const last = sheets.reduce((least, sheet) => (share(sheet) < share(least) ? sheet : least));
  const others = sheets.filter((sheet) => sheet !== last);
  const laid = packedOf(last);
  const staying = new Set(
    sortedBy(items, 0).filter(
      (item) => laid.items.some((one) => one.item === item) && !others.some(({ space }) => layBest(space, mode, items, item, 0)),
    ),
  );
  const rest: PackedSheet = { kind: last.kind, items: laid.items.filter(({ item }) => staying.has(item)) };
  return [...others.map(packedOf), ...(rest.items.length > 0 ? [rest] : [])];
};

const NOBODY = (): void => undefined;
