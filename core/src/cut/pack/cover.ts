// The last step: of all good sheets that the search has met, the cheapest choice that holds every item, as a whole-number program. Source:
// set covering for bin packing, Monaci & Toth, "A set-covering-based heuristic approach for bin-packing problems" (2006), recalled.

import { seededRandom } from '../../kit/index.ts';
import type { Solver } from '../solver.ts';
import type { FilledSheet, Kind } from './construct.ts';
import type { Items, PackedSheet } from './items.ts';
import type { SheetSpace } from './space.ts';

/** More sheets than this are not remembered: the program would not be done in its time. */
const MOST_PATTERNS = 700;

type Pattern = { readonly kind: number; readonly filled: number; readonly sheet: PackedSheet; readonly units: ReadonlyMap<number, number> };

/** Remembers the fullest sheets that a search meets. Items of one size count as the same. */
export const newPatterns = (items: Items, kinds: readonly Kind[], packedOf: (filled: FilledSheet) => PackedSheet) => {
  const typeOf = new Int32Array(items.count);
  const types = new Map<string, number>();
  for (let item = 0; item < items.count; item += 1) {
    const key = `${items.width[item]} ${items.height[item]} ${items.turns[item]}`;
    typeOf[item] = types.get(key) ?? types.size;
    types.set(key, typeOf[item] as number);
  }
  // Each size has a whole number of its own at random, so that the sum over a sheet tells what lies there.
  const random = seededRandom(1);
  const mark = Float64Array.from({ length: types.size }, () => 64 * Math.floor(random() * 2 ** 40));
  const known = new Map<number, Pattern>();
  // What is much emptier than all sheets on average is in no cheaper choice.
  const whole = kinds.reduce((most, { width, height }) => Math.max(most, width * height), 0);
  const area = items.area.reduce((sum, each) => sum + each, 0);
  let bar = area / (whole * Math.ceil(area / whole)) - 0.1;
  const met = (kind: number, space: SheetSpace): void => {
    const filled = space.filled / (space.width * space.height);
    if (filled < bar) return;
    let key = kind;
    for (let at = 0; at < space.count; at += 1) key += mark[typeOf[space.item[at] as number] as number] as number;
    if (known.has(key)) return;
    const units = new Map<number, number>();
    for (let at = 0; at < space.count; at += 1) {
      const type = typeOf[space.item[at] as number] as number;
      units.set(type, (units.get(type) ?? 0) + 1);
    }
    known.set(key, { kind, filled, units, sheet: packedOf({ kind, space }) });
    if (known.size < 2 * MOST_PATTERNS) return;
    const best = [...known].sort((a, b) => b[1].filled - a[1].filled).slice(0, MOST_PATTERNS);
    known.clear();
    for (const [name, pattern] of best) known.set(name, pattern);
    bar = best.at(-1)?.[1].filled ?? 0;
  };
  /** The program: one column for each remembered sheet, one row for each size of item, one for each kind of sheet that is short, and one that
   *  asks for less than what is known already. */
  const choose = (solve: Solver, seconds: number, below: number): readonly PackedSheet[] | undefined => {
    const patterns = [...known.values()].sort((a, b) => b.filled - a.filled).slice(0, MOST_PATTERNS);
    const demand = new Map<number, number>();
    for (const type of typeOf) demand.set(type, (demand.get(type) ?? 0) + 1);
    const rows = new Map<number, string[]>();
    patterns.forEach(({ units }, column) => {
      for (const [type, count] of units) rows.set(type, [...(rows.get(type) ?? []), `${count} x${column}`]);
    });
    if ([...demand.keys()].some((type) => !rows.has(type))) return undefined;
    const cost = patterns.map(({ kind }, column) => `${(kinds[kind] as Kind).cost} x${column}`).join(' + ');
    const covers = [...demand].map(([type, count]) => `${(rows.get(type) as string[]).join(' + ')} >= ${count}`);
    const stocks = kinds.flatMap(({ count }, kind) => {
      const columns = patterns.flatMap((pattern, column) => (pattern.kind === kind ? [`x${column}`] : []));
      return Number.isFinite(count) && columns.length > 0 ? [`${columns.join(' + ')} <= ${count}`] : [];
    });
    const prices = new Set(kinds.map((kind) => kind.cost));
    const most = prices.size === 1 ? below - (kinds[0] as Kind).cost : below * (1 - 1e-6);
    const rowsText = [...covers, ...stocks, `${cost} <= ${most}`].map((row, index) => ` r${index}: ${row}`).join('\n');
    const columns = patterns.map((_, column) => `x${column}`).join(' ');
    const taken = solve(`Minimize\n cost: ${cost}\nSubject To\n${rowsText}\nGeneral\n ${columns}\nEnd`, seconds);
    if (!taken || taken === 'impossible') return undefined;
    return withoutDoubles(
      patterns.flatMap(({ sheet }, column) => Array.from({ length: Math.round(taken.columns[`x${column}`] ?? 0) }, () => sheet)),
      items,
      typeOf,
    );
  };
  return { met, choose };
};

/** What is covered twice is cut once: each size's items are given out in turn, and what is left over leaves its place empty. */
const withoutDoubles = (sheets: readonly PackedSheet[], items: Items, typeOf: Int32Array): readonly PackedSheet[] | undefined => {
  const waiting = new Map<number, number[]>();
  for (let item = items.count - 1; item >= 0; item -= 1) {
    const type = typeOf[item] as number;
    waiting.set(type, [...(waiting.get(type) ?? []), item]);
  }
  const given = sheets.map(({ kind, items: packed }) => ({
    kind,
    items: packed.flatMap((one) => {
      const item = waiting.get(typeOf[one.item] as number)?.pop();
      return item === undefined ? [] : [{ ...one, item }];
    }),
  }));
  return [...waiting.values()].every((list) => list.length === 0) ? given.filter(({ items: packed }) => packed.length > 0) : undefined;
};
