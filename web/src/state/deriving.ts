// Follows the open document: pieces are derived and boards laid out whenever it has changed.
import type { SetDocument } from '@parlor/core/set';
import { derivationFailed, derived, derivedCleared, derivingStopped, laidOut, layOutBegan, layOutStopped } from './derivedSlice.ts';
import { opened } from './openSet.ts';
import { changes, type Dispatch, listen, type State, store } from './store.ts';
import { deriveThere, layOutThere, Stopped, stopLayOut } from './workshop.ts';

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
    dispatch(derived({ set: await deriveThere(from), from }));
  },
  (problem, dispatch) => dispatch(problem instanceof Stopped ? derivingStopped() : derivationFailed()),
);

const layOutNewest = onNewest(
  async (from, dispatch) => {
    dispatch(layOutBegan());
    dispatch(laidOut({ layouts: await layOutThere(from), from }));
  },
  (problem, dispatch) => dispatch(problem instanceof Stopped ? layOutStopped() : derivationFailed()),
);

listen({
  matcher: changes,
  effect: async (action, { getState, dispatch }) => {
    if (opened.match(action)) dispatch(derivedCleared());
    await Promise.all([deriveNewest(getState, dispatch), layOutNewest(getState, dispatch)]);
  },
});

/** Stops laying out; the boards stay as they were. */
export const stopLayingOut = (): void => stopLayOut();

/** Takes the laying out up again after it was stopped. */
export const layOutAgain = (): void => {
  void layOutNewest(store.getState, store.dispatch);
};

/** Takes the working out of the pieces up again after it was stopped. */
export const deriveAgain = (): void => {
  void deriveNewest(store.getState, store.dispatch);
};
