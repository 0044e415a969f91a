// Sends what has changed, keeps it in the browser until it is taken, and tries again for as long as it takes.
import type { SetDocument } from '@parlor/core/set';
import { dequal } from 'dequal/lite';
import { type ApiError, type ApiResult, api } from './api.ts';
import { doorOpened } from './desk.ts';
import { forget, keep } from './keep.ts';
import { keptAside, notSaved, type OpenSet, opened, type SaveState, saved, saving } from './openSet.ts';
import { tellOthers } from './others.ts';
import { changes, type Dispatch, listen, type State, store } from './store.ts';
import { thisTab } from './tab.ts';

const SAVE_AFTER = 500;
const LONGEST_WAIT = 15_000;

let tab = '';
void thisTab.then((name) => {
  tab = name;
});

const isUnsaved = ({ id, document, version, savedVersion }: OpenSet): boolean =>
  id !== null && document !== null && version !== savedVersion;

/** Keeps the newest in the browser; nobody waits for it. */
const keepNewest = (getState: () => State, dispatch: Dispatch): void => {
  const { openSet } = getState();
  const { id, document, revision, keptHere } = openSet;
  if (!id || !document || !isUnsaved(openSet)) return;
  const done = keep(id, tab, { basedOn: revision, document });
  if (done !== keptHere) dispatch(keptAside(done));
};

/** The set that lay open before may still have work to send; if that fails, the browser keeps it until it is opened again. */
const sendBehind = async (before: OpenSet, now: string): Promise<void> => {
  const { id, document, revision } = before;
  if (!id || id === now || !document || !isUnsaved(before)) return;
  if ((await api.save(id, revision, document)).ok) forget(id, tab);
};

const STATES: Readonly<Record<string, Exclude<SaveState, 'saved' | 'saving'>>> = {
  'stale-revision': 'stale',
  'bad-document': 'refused',
  'body-too-large': 'refused',
  'set-not-found': 'gone',
  'pass-phrase-needed': 'closed',
  'storage-full': 'full',
};

/** What came of a refused save; after `offline` and `full` it is tried again by itself. */
const refused = (error: ApiError, dispatch: Dispatch): 'done' | 'again' => {
  const save = STATES[error.code] ?? 'offline';
  const reasons = (error.issues ?? []).map(({ path, message }) => `${path}: ${message}`);
  dispatch(notSaved({ save, reasons: error.code === 'body-too-large' ? ['The set is larger than 4 MB.'] : reasons }));
  return save === 'offline' || save === 'full' ? 'again' : 'done';
};

/** Saves, and finds out when the very same save had come through before, but its answer was lost on the way. */
const send = async (id: string, revision: number, document: SetDocument): Promise<ApiResult<{ readonly revision: number }>> => {
  const answer = await api.save(id, revision, document);
  if (answer.ok || answer.error.code !== 'stale-revision') return answer;
  const there = await api.read(id);
  return there.ok && dequal(there.value.document, document) ? { ok: true, value: { revision: there.value.revision } } : answer;
};

const saveNewest = async (getState: () => State, dispatch: Dispatch): Promise<'done' | 'again'> => {
  const { openSet } = getState();
  const { id, document, revision, version } = openSet;
  if (!id || !document || !isUnsaved(openSet)) return 'done';
  dispatch(saving());
  const answer = await send(id, revision, document);
  if (getState().openSet.id !== id) return 'done';
  if (!answer.ok) return refused(answer.error, dispatch);
  dispatch(saved({ version, revision: answer.value.revision }));
  tellOthers({ id, revision: answer.value.revision });
  if (getState().openSet.version === version) {
    forget(id, tab);
    return 'done';
  }
  keepNewest(getState, dispatch);
  return 'again';
};

const mayTry = ({ save }: OpenSet): boolean => save !== 'stale' && save !== 'gone' && save !== 'closed';

let wake: () => void = () => undefined;

/** Waits, or until somebody says that trying is worth while again. */
const pause = (ms: number): Promise<void> =>
  new Promise((resume) => {
    const timer = setTimeout(resume, ms);
    wake = () => {
      clearTimeout(timer);
      resume();
    };
  });

let running = false;

/** Saves until everything is saved, or until the maker must choose. */
const saveOn = async (getState: () => State, dispatch: Dispatch): Promise<void> => {
  if (running) return;
  running = true;
  try {
    await pause(SAVE_AFTER);
    for (let misses = 0; mayTry(getState().openSet) && (await saveNewest(getState, dispatch)) === 'again'; ) {
      const { save } = getState().openSet;
      misses = save === 'offline' || save === 'full' ? misses + 1 : 0;
      await pause(misses === 0 ? SAVE_AFTER : Math.min(LONGEST_WAIT, 1000 * 2 ** (misses - 1)));
    }
  } finally {
    running = false;
  }
};

listen({
  matcher: changes,
  effect: async (action, { getState, getOriginalState, dispatch }) => {
    keepNewest(getState, dispatch);
    if (opened.match(action)) void sendBehind(getOriginalState().openSet, action.payload.id);
    await saveOn(getState, dispatch);
  },
});

/** Tries at once, whatever stood in the way before. */
export const saveAgain = (): void => {
  const { openSet } = store.getState();
  if (openSet.save === 'closed' || openSet.save === 'gone') store.dispatch(notSaved({ save: 'unsaved' }));
  wake();
  void saveOn(store.getState, store.dispatch);
};

listen({ actionCreator: doorOpened, effect: saveAgain });
globalThis.addEventListener?.('online', saveAgain);

// A page that is about to go takes the field that is being typed in with it, so the field is left first.
globalThis.addEventListener?.('pagehide', () => {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  keepNewest(store.getState, store.dispatch);
});

/** What this page kept of a set is no longer needed: it was taken over elsewhere. */
export const forgetOpen = (id: string): void => forget(id, tab);
