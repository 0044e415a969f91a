import type { SetDocument } from '@parlor/core/set';
import { configureStore, createListenerMiddleware, isAnyOf, type TypedStartListening } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api.ts';
import { derivationFailed, derived, derivedCleared, derivedReducer, laidOut } from './derivedSlice.ts';
import { deskReducer } from './desk.ts';
import { forget, keep } from './keep.ts';
import { edited, notSaved, type OpenSet, opened, openSetReducer, redone, saved, saving, undone } from './openSet.ts';
import { deriveThere, layOutThere } from './workshop.ts';

const listener = createListenerMiddleware();

export const store = configureStore({
  reducer: { openSet: openSetReducer, derived: derivedReducer, desk: deskReducer },
  // Documents and derived sets are large and never written to; checking every one on every action would cost more than the work.
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).prepend(listener.middleware),
});

export type State = ReturnType<typeof store.getState>;
export type Dispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<Dispatch>();
export const useAppSelector = useSelector.withTypes<State>();

const listen = listener.startListening as TypedStartListening<State, Dispatch>;
const changes = isAnyOf(opened, edited, undone, redone);

/** Work on the newest document: while it goes on, later changes wait, and only the last of them is taken up. */
const onNewest = (work: (document: SetDocument, dispatch: Dispatch) => Promise<void>) => {
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
    } catch {
      dispatch(derivationFailed());
    } finally {
      busy = false;
    }
  };
};

const deriveNewest = onNewest(async (from, dispatch) => {
  dispatch(derived({ set: await deriveThere(from), from }));
});

const layOutNewest = onNewest(async (from, dispatch) => {
  dispatch(laidOut({ layouts: await layOutThere(from), from }));
});

/** The set that lay open before may still have work to send; if that fails, the browser keeps it until it is opened again. */
const sendBehind = async ({ id, document, revision, version, savedVersion }: OpenSet, now: string): Promise<void> => {
  if (!id || id === now || !document || version === savedVersion) return;
  if ((await api.save(id, revision, document)).ok) forget(id);
};

listen({
  matcher: changes,
  effect: async (action, { getState, getOriginalState, dispatch }) => {
    if (opened.match(action)) {
      dispatch(derivedCleared());
      void sendBehind(getOriginalState().openSet, action.payload.id);
    }
    await Promise.all([deriveNewest(getState, dispatch), layOutNewest(getState, dispatch)]);
  },
});

const SAVE_AFTER = 500;
const RETRY_AFTER = 3000;

const saveNewest = async (getState: () => State, dispatch: Dispatch): Promise<'done' | 'again'> => {
  const { id, document, revision, version, savedVersion } = getState().openSet;
  if (!id || !document || version === savedVersion) return 'done';
  dispatch(saving());
  const answer = await api.save(id, revision, document);
  if (getState().openSet.id !== id) return 'done';
  if (answer.ok) {
    dispatch(saved({ version, revision: answer.value.revision }));
    const now = getState().openSet;
    if (now.version === version) forget(id);
    else if (now.document) keep(id, { basedOn: now.revision, document: now.document });
    return now.version === version ? 'done' : 'again';
  }
  if (answer.error.code === 'stale-revision') dispatch(notSaved('stale'));
  else dispatch(notSaved(answer.error.code === 'bad-document' ? 'refused' : 'offline'));
  return answer.error.code === 'stale-revision' || answer.error.code === 'bad-document' ? 'done' : 'again';
};

let saveRuns = false;
listen({
  matcher: changes,
  effect: async (_, { getState, dispatch, delay }) => {
    const { id, document, revision, version, savedVersion } = getState().openSet;
    if (id && document && version !== savedVersion) keep(id, { basedOn: revision, document });
    if (saveRuns) return;
    saveRuns = true;
    try {
      await delay(SAVE_AFTER);
      while (getState().openSet.save !== 'stale' && (await saveNewest(getState, dispatch)) === 'again') {
        await delay(getState().openSet.save === 'offline' ? RETRY_AFTER : SAVE_AFTER);
      }
    } finally {
      saveRuns = false;
    }
  },
});
