// Follows the open document: pieces are derived and boards laid out whenever it has changed.
import type { SetDocument } from '@parlor/core/set';
import { isAnyOf } from '@reduxjs/toolkit';
import {
  type CutJobs,
  coverNotesThere,
  cuttingNotesThere,
  deriveThere,
  followEdit,
  jobsThere,
  layOutThere,
  rememberPiece,
  roomNotesThere,
  StoppedSearch,
  searchThere,
  stopCutting,
  whenTooLong,
} from '../engine/index.ts';
import {
  coveringsLookedAt,
  derivationFailed,
  derived,
  derivedCleared,
  derivedFirst,
  derivingStopped,
  laidBetter,
  laidOut,
  layOutBegan,
  layOutStopped,
  roomsLookedAt,
  searchBegan,
  searchEnded,
  searched,
  searchStopped,
} from './derivedSlice.ts';
import { editOf } from './editOf.ts';
import { lookedAt } from './lookedAt.ts';
import { opened, saved } from './openSet.ts';
import { changes, type Dispatch, listen, type State, store } from './store.ts';
import { noticed } from './uiSlice.ts';

whenTooLong(() => {
  store.dispatch(
    noticed({ text: 'That took too long and was stopped. Nothing is lost; try again, or make the set simpler.', action: null }),
  );
});

type Work = (document: SetDocument, dispatch: Dispatch) => Promise<void>;

/** Work on the newest document: while it goes on, later changes wait, and only the last of them is taken up. */
const onNewest = (work: Work, failed: (problem: unknown, dispatch: Dispatch) => void) => {
  let busy = false;
  return async (getState: () => State, dispatch: Dispatch): Promise<void> => {
    if (busy) return;
    busy = true;
    try {
      for (let done: SetDocument | null = null; ; ) {
        const { document } = getState().openSet;
        if (!document || document === done) break;
        await work(document, dispatch);
        done = document;
      }
    } catch (problem) {
      failed(problem, dispatch);
    } finally {
      busy = false;
    }
  };
};

const deriveNewest = onNewest(
  async (from, dispatch) => {
    const set = await deriveThere(from, lookedAt(from), (piece, scale) => dispatch(derivedFirst({ piece, scale })));
    dispatch(derived({ set, from }));
  },
  (problem, dispatch) => dispatch(problem instanceof StoppedSearch ? derivingStopped() : derivationFailed()),
);

/** How rooms are arranged is judged when the pieces stand. */
const judgeRoomsNewest = onNewest(
  async (from, dispatch) => {
    dispatch(roomsLookedAt(await roomNotesThere(from)));
  },
  (problem, dispatch) => dispatch(problem instanceof StoppedSearch ? derivingStopped() : derivationFailed()),
);

/** What is to be cut of the newest document, and what of that was laid out last. */
let wanted: CutJobs = { boards: [], sticks: [] };
let laid = '';
/** What is searched for at the moment. */
let searching = '';

const keysOf = ({ boards, sticks }: CutJobs): string => JSON.stringify([boards.map(({ key }) => key), sticks.map(({ key }) => key)]);

const layOutNewest = onNewest(
  async (from, dispatch) => {
    wanted = await jobsThere(from);
    const keys = keysOf(wanted);
    const known = store.getState().derived;
    // An edit that changes nothing that is cut leaves the layouts, and the search for better ones, as they are.
    if (keys === laid) {
      const sticks = known.sticks.map((plan, index) => ({ ...plan, marked: wanted.sticks[index]?.marked ?? plan.marked }));
      dispatch(laidOut({ layouts: known.layouts, sticks, from }));
      return;
    }
    if (searching !== '') endSearch(dispatch);
    laid = '';
    dispatch(layOutBegan());
    const { layouts, sticks } = await layOutThere(wanted);
    laid = keys;
    dispatch(laidOut({ layouts, sticks, from }));
  },
  (problem, dispatch) => dispatch(problem instanceof StoppedSearch ? layOutStopped() : derivationFailed()),
);

/** Who needs the machine for something else turns the search off in this browser; the browser tests do. It is still made when it is asked for by hand. */
const isQuiet = (): boolean => {
  try {
    return localStorage.getItem('parlor.search') === 'off';
  } catch {
    return false;
  }
};

/** Somebody who is still typing is not searched for. */
const PAUSE_MS = 500;

let searchWaits: ReturnType<typeof setTimeout> | undefined;

/** Ends a search that is under way. */
const endSearch = (dispatch: Dispatch): void => {
  searching = '';
  stopCutting();
  dispatch(searchEnded());
};

/** Gives up a search that is under way, or about to begin. */
const dropSearch = (dispatch: Dispatch): void => {
  clearTimeout(searchWaits);
  if (searching !== '') endSearch(dispatch);
  dispatch(searchEnded());
};

/** Notes about coverings take seconds and can wait until all else is done. */
const lookAtCoverings = async (from: SetDocument, getState: () => State, dispatch: Dispatch): Promise<void> => {
  const findings = from.finishes.length > 0 ? await coverNotesThere(from) : [];
  if (findings && getState().openSet.document === from) dispatch(coveringsLookedAt(findings));
};

/** Searches what was laid out last for better layouts, unless that goes on already. */
const searchNow = async (getState: () => State, dispatch: Dispatch): Promise<void> => {
  if (searching === laid) return;
  const mine = laid;
  searching = mine;
  try {
    // Whoever was stopped meanwhile is told again what is laid out.
    await layOutThere(wanted);
    const found = await searchThere((layout) => {
      if (laid === mine) dispatch(laidBetter(layout));
    });
    searching = '';
    const { document } = getState().openSet;
    if (laid !== mine || !document) return;
    const findings = await cuttingNotesThere(document, found.layouts);
    if (laid === mine) dispatch(searched({ ...found, findings }));
  } catch (problem) {
    if (!(problem instanceof StoppedSearch)) throw problem;
  }
};

/** Looks for better layouts once the first answers to the newest document stand and nothing has changed for a moment, and then at its coverings. */
const searchSoon = (getState: () => State, dispatch: Dispatch): void => {
  clearTimeout(searchWaits);
  if (searching === '') dispatch(searchBegan());
  searchWaits = setTimeout(async () => {
    const { openSet, derived: now } = getState();
    const from = openSet.document;
    // What is still being laid out is searched once that is done.
    if (!from || now.layoutsFrom !== from) {
      dispatch(searchEnded());
      return;
    }
    try {
      if (now.layouts.length + now.sticks.length > 0) await searchNow(getState, dispatch);
      else dispatch(searchEnded());
      await lookAtCoverings(from, getState, dispatch);
    } catch (problem) {
      dispatch(problem instanceof StoppedSearch ? searchEnded() : derivationFailed());
    }
  }, PAUSE_MS);
};

/** A piece is kept when nothing has changed for so long. */
const KEEP_AFTER_MS = 3000;
let keepWaits: ReturnType<typeof setTimeout> | undefined;

/** Keeps the piece that is looked at as it stands in the newest save. */
const keepLookedAt = (getState: () => State): void => {
  clearTimeout(keepWaits);
  keepWaits = setTimeout(() => {
    const { openSet, derived: now } = getState();
    if (openSet.id === null || openSet.document === null || now.from !== openSet.savedDocument || now.from !== openSet.document) return;
    const id = lookedAt(openSet.document);
    const piece = now.set?.pieces.find((each) => each.id === id);
    if (piece && now.set) void rememberPiece(openSet.id, { revision: openSet.revision, scale: now.set.scale, piece });
  }, KEEP_AFTER_MS);
};

listen({ matcher: isAnyOf(derived, saved), effect: (_, { getState }) => keepLookedAt(getState) });

listen({
  matcher: changes,
  effect: async (action, { getState, getOriginalState, dispatch }) => {
    const [was, is] = [getOriginalState().openSet, getState().openSet];
    const edit = editOf(action, was);
    if (edit && was.document && is.document) followEdit(was.document, edit, is.document);
    clearTimeout(searchWaits);
    if (opened.match(action)) {
      dropSearch(dispatch);
      laid = '';
      dispatch(derivedCleared());
    }
    const pieces = deriveNewest(getState, dispatch).then(() => judgeRoomsNewest(getState, dispatch));
    await Promise.all([pieces, layOutNewest(getState, dispatch)]);
    if (isQuiet()) dispatch(searchEnded());
    else searchSoon(getState, dispatch);
  },
});

/** Gives up the search for better layouts; what was found so far stays, without notes, which were of another search. */
export const stopSearching = (): void => {
  dropSearch(store.dispatch);
  store.dispatch(searchStopped());
};

/** Gives up the search until it is taken up again; everything stays where it is. */
export const pauseSearching = (): void => dropSearch(store.dispatch);

/** Takes up the search again after it was given up. */
export const searchAgain = (): void => searchSoon(store.getState, store.dispatch);

/** Stops laying out; the boards stay as they were. */
export const stopLayingOut = (): void => stopCutting();

/** Takes the laying out up again after it was stopped. */
export const layOutAgain = async (): Promise<void> => {
  await layOutNewest(store.getState, store.dispatch);
  searchAgain();
};

/** Takes the working out of the pieces up again after it was stopped. */
export const deriveAgain = (): void => {
  void deriveNewest(store.getState, store.dispatch).then(() => judgeRoomsNewest(store.getState, store.dispatch));
};
