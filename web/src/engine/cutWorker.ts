// Boards and sticks are laid out here, and better layouts looked for. It knows nothing of pieces: what is to be cut comes as plain jobs.

import '../noEval.ts';
import {
  type BoardJob,
  type BoardLayout,
  boughtSticks,
  cutStickJobs,
  layOutJobs,
  type Solver,
  searchOf,
  solverFrom,
} from '@parlor/core/cut';
import type { StickKindJob, StickPlan } from '@parlor/core/set';
import { expose } from 'comlink';
import type { FoundLayout } from './foundLayouts.ts';

export type CutReply = { readonly layouts: readonly BoardLayout[]; readonly sticks: readonly StickPlan[] };

/** A board that is to be cut, or the key of one that was told before. */
export type ToldJob = BoardJob | { readonly key: string };

let jobs: readonly BoardJob[] = [];
let layouts: readonly BoardLayout[] = [];
let sticks: readonly StickPlan[] = [];
/** What was found by searching before, by its key. */
const found = new Map<string, FoundLayout>();

const boardsFound = (): readonly BoardLayout[] => [...found.values()].flatMap((each) => ('searched' in each ? each : []));
const sticksFound = () => [...found.values()].flatMap(({ key, layout }) => ('sticks' in layout ? { key, layout } : []));

/** The solver is larger than all the rest of the worker, and is fetched when a search begins. Without it the search does what it can. */
let asked: Promise<Solver | undefined> | undefined;
const solver = (): Promise<Solver | undefined> => {
  asked ??= Promise.all([import('highs'), import('highs/runtime?url')])
    .then(async ([{ default: load }, { default: url }]) => solverFrom(await load({ locateFile: () => url })))
    .catch(() => undefined);
  return asked;
};

/** Seconds left of so many, counted from when they are asked for first. */
const secondsLeft = (seconds: number): (() => number) => {
  let began: number | undefined;
  return () => {
    began ??= performance.now();
    return seconds - (performance.now() - began) / 1000;
  };
};

const isDone = ({ searched }: BoardLayout): boolean => searched;
const isProven = ({ layout }: StickPlan): boolean => boughtSticks(layout).length === layout.least;

const work = {
  /** Takes over what was found by searching before. */
  recall: (known: readonly FoundLayout[]): void => {
    for (const each of known) found.set(each.key, each);
  },
  /** First layouts, at once; the best that were found where their boards were searched before. */
  layOut: (told: readonly ToldJob[], wanted: readonly StickKindJob[]): CutReply => {
    const known = new Map(jobs.map((job) => [job.key, job]));
    jobs = told.flatMap((job) => ('items' in job ? job : (known.get(job.key) ?? [])));
    layouts = layOutJobs(jobs, [...boardsFound(), ...layouts]);
    sticks = cutStickJobs(wanted, [...sticksFound(), ...sticks]);
    return { layouts, sticks };
  },
  /** Searches for better layouts than the first answers, and proves the sticks; what was searched before is not searched again. */
  search: async (onBetter: (layout: BoardLayout) => void): Promise<CutReply> => {
    if (!layouts.every(isDone) || !sticks.every(isProven)) {
      const solve = await solver();
      const choose = solve && { solve, seconds: 1, proving: secondsLeft(5) };
      layouts = layOutJobs(jobs, layouts, () => searchOf(choose), onBetter);
      sticks = cutStickJobs(sticks, sticks, solve);
      for (const each of [...layouts, ...sticks.map(({ key, layout }) => ({ key, layout }))]) found.set(each.key, each);
    }
    return { layouts, sticks };
  },
};

export type CutWork = typeof work;
expose(work);
