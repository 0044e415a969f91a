// What a table of boards or sticks is given to cut, as plain data, and what comes of it. µm.
import { seededRandom } from '../kit/index.ts';
import { type CutLayout, FIRST_ANSWER, type Search } from './layOut.ts';
import type { CutItem } from './lots.ts';
import { layOutPinned, type PinnedSheet } from './pinned.ts';
import type { Solver } from './solver.ts';
import { cutSticks, type StickItem, type StickLayout, type StickStock } from './sticks.ts';
import type { CutRules, SheetKind } from './supplies.ts';

/** What is cut from one board: `key` is all that the layout depends on. */
export type BoardJob = {
  readonly key: string;
  readonly board: string;
  readonly items: readonly CutItem[];
  readonly kinds: readonly SheetKind[];
  readonly pinned: readonly PinnedSheet[];
  readonly rules: CutRules;
};

/** The sheets of one board, under the key of its job; `searched` says that the search has had its turn. */
export type BoardLayout = { readonly key: string; readonly board: string; readonly layout: CutLayout; readonly searched: boolean };

/** So many tries are made for each board before its best layout stands: about a second's work on a table of a hundred parts. Counted, not
 *  timed, so that equal sets come out equal everywhere. */
const TRIES_IN_ALL = 60_000;
const TRIES_PER_GOAL = 20_000;

/** What the search of one board is allowed: a count of tries, and whatever stops it from outside. */
export const searchOf = (choose: Search['choose'], goOn: () => boolean = () => true): Search => {
  let tries = 0;
  return {
    random: seededRandom(1),
    tries: TRIES_PER_GOAL,
    goOn: () => {
      tries += 1;
      return tries < TRIES_IN_ALL && goOn();
    },
    ...(choose ? { choose } : {}),
  };
};

/** Lays out boards, one job after another.
 *  Shape: jobs → a layout for each, in their order. A job whose key is among the previous layouts keeps that one, searched for where a search is asked
 *  for. Without a search the first answers stand. `better` hears of each answer on the way. */
export const layOutJobs = (
  jobs: readonly BoardJob[],
  previous: readonly BoardLayout[] = [],
  search: (() => Search) | null = null,
  better: (layout: BoardLayout) => void = () => undefined,
): readonly BoardLayout[] =>
  jobs.map(({ key, board, items, kinds, pinned, rules }): BoardLayout => {
    const known = previous.find((layout) => layout.key === key);
    if (known && (known.searched || search === null)) return known;
    const told = (layout: CutLayout): void => better({ key, board, layout, searched: false });
    const layout = layOutPinned(items, kinds, pinned, rules, search ? { ...search(), better: told } : FIRST_ANSWER);
    return { key, board, layout, searched: search !== null || layout.proven };
  });

/** What is cut from one kind of stick, and whatever else is told of it: `key` is all that the plan depends on. */
export type StickJob = { readonly key: string; readonly stock: StickStock; readonly items: readonly StickItem[] };

/** The sticks that are bought new. */
export const boughtSticks = ({ sticks }: StickLayout): StickLayout['sticks'] => sticks.filter(({ from }) => from === null);

/** Cuts sticks, one job after another: a job whose key was cut before keeps its plan; one that was planned without a solver, and may take fewer, is
 *  planned anew when there is one. */
export const cutStickJobs = <J extends StickJob>(
  jobs: readonly J[],
  previous: readonly { readonly key: string; readonly layout: StickLayout }[] = [],
  solve?: Solver,
): readonly (J & { readonly layout: StickLayout })[] =>
  jobs.map((job) => {
    const known = previous.find(({ key }) => key === job.key)?.layout;
    const isBest = known && boughtSticks(known).length === known.least;
    return { ...job, layout: known && (isBest || !solve) ? known : cutSticks(job.items, job.stock, solve) };
  });
