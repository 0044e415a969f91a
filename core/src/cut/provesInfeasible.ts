// µm, doll size. Shows that so many sheets are too few, where no single pair of dual feasible functions does. Each part is given a worth, such
// that all are worth more than so many sheets could hold if none held more than a certain worth; then one sheet is looked for that holds as
// much, where each part lies in one way and every pair of functions holds at once. There is none: so many sheets are too few. There is
// one: worth is shared out anew. Sources, recalled from memory: columns and worth, Gilmore & Gomory, "A linear programming approach to the
// cutting stock problem" (1961); the bound before the last round, Farley, "A note on bounding a class of linear programming problems" (1990).
import { seededRandom } from '../kit/index.ts';
import type { BoundItem, BoundSheet } from './bounds.ts';
import { byChance, type Column, PriceTable, sheetsWorth } from './relaxedSheet.ts';
import type { Solver } from './solver.ts';

const sumText = (terms: readonly (readonly [number, string])[]): string =>
  terms.flatMap(([factor, name]) => (factor === 0 ? [] : [`${factor} ${name}`])).join(' + ');

/** Shares worth out so that no column known is worth more than 1 and all parts together are worth the most. */
const shareWorth = (columns: readonly Column[], counts: readonly number[], solve: Solver): readonly number[] | undefined => {
  const rows = counts.map(
    (count, kind) => ` r${kind}: ${sumText(columns.map((column, at) => [column[kind] as number, `x${at}`] as const))} >= ${count}`,
  );
  const all = sumText(columns.map((_, at) => [1, `x${at}`] as const));
  const answer = solve(`Minimize\n sheets: ${all}\nSubject To\n${rows.join('\n')}\nEnd`, 5);
  return answer && answer !== 'impossible' ? answer.duals.map((dual) => Math.max(0, dual)) : undefined;
};

/** What each row is worth where the sheet is filled by fractions: with these as prices no sheet is worth more than all prices together and what
 *  parts are worth beyond what they take. */
const pricesOf = (worth: readonly number[], table: PriceTable, solve: Solver): readonly number[] | undefined => {
  const { rows, ways, most, counts } = table;
  const named = (way: number): string => `x${way}`;
  const text = rows.map((row, at) => ` r${at}: ${sumText(ways.map((way) => [row[way] as number, named(way)] as const))} <= 1`);
  const both = counts.flatMap((_, kind) => {
    const own = ways.filter((way) => table.kindOf(way) === kind).map(named);
    return own.length === 0 ? [] : [` k${kind}: ${own.join(' + ')} <= ${most[kind]}`];
  });
  const value = sumText(ways.map((way) => [worth[table.kindOf(way)] as number, named(way)] as const));
  const answer = solve(`Maximize\n worth: ${value}\nSubject To\n${[...text, ...both].join('\n')}\nEnd`, 5);
  return answer && answer !== 'impossible' ? answer.duals.slice(0, rows.length).map(Math.abs) : undefined;
};

/** Sums of worth are known so well; what is asked for is less by that. */
const NOISE = 1e-4;
/** When chance finds fewer than so many, all are looked through. */
const FEW = 5;
/** Columns more than that take the solver longer than they are good for. */
const MOST_COLUMNS = 3000;

const worthIn = (column: Column, worth: readonly number[]): number =>
  column.reduce((sum, count, kind) => sum + count * (worth[kind] as number), 0);

/** True when it is shown that `sheets` sheets are too few for the parts; false when that is not so, or could not be shown within the time left.
 *  Units: µm, knife gaps added to parts and sheet beforehand; `left` says how many seconds are left. `known` are sheets of any layout, as counts
 *  of each kind of part: the search begins with them. */
export const provesInfeasible = (
  items: readonly BoundItem[],
  sheet: BoundSheet,
  sheets: number,
  known: readonly Column[],
  solve: Solver,
  left: () => number,
): boolean => {
  const table = new PriceTable(items, sheet);
  const { counts } = table;
  const random = seededRandom(7);
  let columns: Column[] = [...known, ...counts.map((_, kind) => counts.map((_count, other) => (other === kind ? 1 : 0)))];
  while (left() > 0) {
    const worth = shareWorth(columns, counts, solve);
    if (!worth) return false;
    const all = worthIn(counts, worth);
    // What one sheet must hold at least, if so many could hold everything.
    const each = all / sheets;
    if (each <= 1 + 2 * NOISE) return false;
    // What is worth much less than a sheet is in no choice of sheets, and would only be carried along.
    if (columns.length > MOST_COLUMNS) columns = columns.filter((column) => worthIn(column, worth) > 0.9);
    const more = byChance(worth, table, random);
    columns.push(...more);
    if (more.length >= FEW) continue;
    const prices = pricesOf(worth, table, solve);
    const found = prices && sheetsWorth(worth, each - NOISE, table, prices, left);
    if (!found) return false;
    if (found.length === 0) return true;
    columns.push(...found);
  }
  return false;
};
