// Follows the open document: pieces are derived and boards laid out whenever it has changed.
import type { BoardLayout, SetDocument } from '@parlor/core/set';
import {
  coveringsLookedAt,
  derivationFailed,
  derived,
  derivedCleared,
  derivingStopped,
  laidBetter,
  laidOut,
  layOutBegan,
  layOutStopped,
  searchBegan,
  searchEnded,
  searched,
  searchStopped,
} from './derivedSlice.ts';
import { opened } from './openSet.ts';
import { changes, type Dispatch, listen, type State, store } from './store.ts';
import { noticed } from './uiSlice.ts';
import { coverNotesThere, deriveThere, layOutThere, StoppedSearch, searchThere, stopLayOut, stopSearch, whenTooLong } from './workers.ts';

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
    dispatch(derived({ ...(await deriveThere(from)), from }));
  },
  (problem, dispatch) => dispatch(problem instanceof StoppedSearch ? derivingStopped() : derivationFailed()),
);

const layOutNewest = onNewest(
  async (from, dispatch) => {
    dispatch(layOutBegan());
    const { layouts, sticks } = await layOutThere(from);
    // A board that an edit left alone keeps the better layout that was found for it.
    const best = layouts.map((layout) => remembered.find(({ key }) => key === layout.key) ?? layout);
    dispatch(laidOut({ layouts: best, sticks, from }));
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

/** Gives up a search that is under way, or about to begin. */
const dropSearch = (dispatch: Dispatch): void => {
  clearTimeout(searchWaits);
  stopSearch();
  dispatch(searchEnded());
};

/** Notes about coverings take seconds and can wait until all else is done. */
const lookAtCoverings = async (from: SetDocument, getState: () => State, dispatch: Dispatch): Promise<void> => {
  const findings = from.finishes.length > 0 ? await coverNotesThere(from) : [];
  if (getState().openSet.document === from) dispatch(coveringsLookedAt(findings));
};

/** Looks for better layouts once the first answers to the newest document stand and nothing has changed for a moment. Only layouts of this very
 *  document are put in place. */
const searchSoon = (getState: () => State, dispatch: Dispatch): void => {
  clearTimeout(searchWaits);
  dispatch(searchBegan());
  searchWaits = setTimeout(async () => {
    const { openSet, derived: now } = getState();
    const from = openSet.document;
    // What is still being laid out is searched once that is done.
    if (!from || now.layoutsFrom !== from) {
      dispatch(searchEnded());
      return;
    }
    try {
      if (now.layouts.length + now.sticks.length === 0) {
        dispatch(searchEnded());
        await lookAtCoverings(from, getState, dispatch);
        return;
      }
      const known = [...now.layouts, ...remembered];
      const found = await searchThere(from, known, now.sticks, (layout) => {
        if (getState().derived.layoutsFrom === from) dispatch(laidBetter(layout));
      });
      remembered = found.layouts;
      if (getState().derived.layoutsFrom === from) dispatch(searched(found));
      await lookAtCoverings(from, getState, dispatch);
    } catch (problem) {
      dispatch(problem instanceof StoppedSearch ? searchEnded() : derivationFailed());
    }
  }, PAUSE_MS);
};

/** What was searched last: boards that an edit left alone need no search again. */
let remembered: readonly BoardLayout[] = [];

listen({
  matcher: changes,
  effect: async (action, { getState, dispatch }) => {
    if (opened.match(action)) dispatch(derivedCleared());
    dropSearch(dispatch);
    await Promise.all([deriveNewest(getState, dispatch), layOutNewest(getState, dispatch)]);
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
export const stopLayingOut = (): void => stopLayOut();

/** Takes the laying out up again after it was stopped. */
export const layOutAgain = async (): Promise<void> => {
  await layOutNewest(store.getState, store.dispatch);
  searchAgain();
};

/** Takes the working out of the pieces up again after it was stopped. */
export const deriveAgain = (): void => {
  void deriveNewest(store.getState, store.dispatch);
};
