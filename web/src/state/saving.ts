// Sends what has changed, keeps it in the browser until it is taken, and tries again for as long as it takes.
import { editBetween, type SentEdits, sentEdit } from '@parlor/core/set';
import { dequal } from 'dequal/lite';
import { type ApiError, type ApiResult, api } from './api.ts';
import { askToPersist, forget, hold, keep, keepAtOnce } from './draftStorage.ts';
import { edited, keptAside, notSaved, type OpenSet, opened, type SaveState, saved, saving } from './openSet.ts';
import { tellOtherPages } from './otherPages.ts';
import { thisPage } from './pageId.ts';
import { changes, type Dispatch, listen, type State, store } from './store.ts';
import { doorOpened, noticed } from './uiSlice.ts';

const SAVE_AFTER = 500;
const LONGEST_WAIT = 15_000;

let tab = '';
void thisPage.then((name) => {
  tab = name;
});

const isUnsaved = ({ id, document, version, savedVersion }: OpenSet): boolean =>
  id !== null && document !== null && version !== savedVersion;

/** What is being kept just now, and whether something newer waits for that. */
let keeping = false;
let newer = false;

/** Keeps the newest in the browser; nobody waits for it. While one is being written only the newest of all later ones waits. */
const keepNewest = async (getState: () => State, dispatch: Dispatch): Promise<void> => {
  newer = true;
  if (keeping) return;
  keeping = true;
  while (newer) {
    newer = false;
    const { openSet } = getState();
    const { id, document, revision } = openSet;
    if (!id || !document || !isUnsaved(openSet)) continue;
    const done = await keep(id, tab, { basedOn: revision, document, at: Date.now() });
    const after = getState().openSet;
    // Saved meanwhile: then what was just written is needed no longer.
    if (after.id === id && !isUnsaved(after)) await forget(id, tab);
    if (after.id === id && done !== after.keptHere) dispatch(keptAside(done));
  }
  keeping = false;
};

type Unsaved = { readonly id: string; readonly revision: number; readonly document: NonNullable<OpenSet['document']> };

/** What is to be sent of a set: its edits since the last save, none where it is as it was, or null: then it goes as a whole. */
const editsOf = ({ document, savedDocument }: OpenSet): SentEdits | null => {
  const edit = document && savedDocument && editBetween(savedDocument, document);
  return edit && (sentEdit(edit) ?? []);
};

/** Longer edits are sent as the document that comes of them. */
const MOST_LETTERS = 60_000;

/** What a whole document may still be taken for. */
const WHOLE_INSTEAD: ReadonlySet<string> = new Set(['bad-document', 'bad-request', 'body-too-large', 'not-found', 'internal']);

/** Saves as edits; as a whole where there are none, they are long, or the server does not understand them. */
const sendWork = async (
  { id, revision, document }: Unsaved,
  edits: SentEdits | null,
): Promise<ApiResult<{ readonly revision: number }>> => {
  if (edits?.length === 0) return { ok: true, value: { revision } };
  if (edits && JSON.stringify(edits).length <= MOST_LETTERS) {
    const answer = await api.saveEdits(id, revision, edits);
    if (answer.ok || !WHOLE_INSTEAD.has(answer.error.code)) return answer;
  }
  return api.save(id, revision, document);
};

/** The set that lay open before may still have work to send; if that fails, the browser keeps it until it is opened again. */
const sendBehind = async (before: OpenSet, now: string): Promise<void> => {
  const { id, document, revision } = before;
  if (!id || id === now || !document || !isUnsaved(before)) return;
  if ((await sendWork({ id, revision, document }, editsOf(before))).ok) await forget(id, tab);
};

const STATES: Readonly<Record<string, Exclude<SaveState, 'saved' | 'saving'>>> = {
  'stale-revision': 'stale',
  'bad-document': 'refused',
  'body-too-large': 'refused',
  'document-too-heavy': 'refused',
  'bad-request': 'refused',
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

/** A document as it comes through a door: what is undefined is not there. */
const plain = (document: unknown): unknown => JSON.parse(JSON.stringify(document));

/** A state of the open set, by its number. */
type Sent = { readonly id: string; readonly version: number; readonly document: Unsaved['document'] };

/** What was sent and not answered, the newest first: any of it may have come through. */
let unanswered: readonly Sent[] = [];

/** So many tries are remembered; who has no answer tries every few seconds. */
const MOST_TRIES = 8;

/** Saves, and finds out when this save, or the one before it, had come through, but its answer was lost on the way. Gives the state that is saved. */
const send = async (
  work: Unsaved,
  version: number,
  edits: SentEdits | null,
): Promise<ApiResult<{ readonly revision: number; readonly sent: Sent }>> => {
  const answer = await sendWork(work, edits);
  const sent: Sent = { id: work.id, version, document: work.document };
  const tries = [sent, ...unanswered].filter(({ id }) => id === work.id);
  unanswered = !answer.ok && answer.error.code === 'offline' ? tries.slice(0, MOST_TRIES) : [];
  if (answer.ok) return { ok: true, value: { revision: answer.value.revision, sent } };
  if (answer.error.code !== 'stale-revision') return answer;
  const there = await api.read(work.id);
  const mine = there.ok ? tries.find(({ document }) => dequal(there.value.document, plain(document))) : undefined;
  return there.ok && mine ? { ok: true, value: { revision: there.value.revision, sent: mine } } : answer;
};

const saveNewest = async (getState: () => State, dispatch: Dispatch): Promise<'done' | 'again'> => {
  const { openSet } = getState();
  const { id, document, revision, version } = openSet;
  if (!id || !document || !isUnsaved(openSet)) return 'done';
  dispatch(saving());
  const answer = await send({ id, revision, document }, version, editsOf(openSet));
  if (getState().openSet.id !== id) return 'done';
  if (!answer.ok) return refused(answer.error, dispatch);
  const { revision: now, sent } = answer.value;
  dispatch(saved({ version: sent.version, revision: now, document: sent.document }));
  tellOtherPages({ id, revision: now });
  void hold(id, tab, { revision: now, document: sent.document, at: Date.now() });
  if (getState().openSet.version === sent.version) {
    void forget(id, tab);
    return 'done';
  }
  void keepNewest(getState, dispatch);
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
    void keepNewest(getState, dispatch);
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

/** A field that is being typed in is left, so that what stands in it counts. */
const leaveField = (): void => {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
};

globalThis.addEventListener?.('beforeunload', (event) => {
  leaveField();
  if (isUnsaved(store.getState().openSet)) event.preventDefault();
});

/** Edits where there are any, else the whole. */
const lastWork = (openSet: OpenSet, document: Unsaved['document']) => {
  const edits = editsOf(openSet);
  return edits && edits.length > 0 ? { edits } : { document };
};

/** Browsers send no more than this on behalf of a page that is gone. */
const MOST_LAST_WORDS = 60_000;

// The last moment of a page: what is unsaved is written where that is done at once, and sent if it is short enough to be sent by itself.
globalThis.addEventListener?.('pagehide', () => {
  leaveField();
  const { openSet } = store.getState();
  const { id, document, revision, save } = openSet;
  if (!id || !document || !isUnsaved(openSet)) return;
  keepAtOnce(id, tab, { basedOn: revision, document, at: Date.now() });
  if (mayTry(openSet) && save !== 'refused') api.sendLast(id, revision, lastWork(openSet, document), MOST_LAST_WORDS);
});

/** What this page kept of a set is no longer needed: it was taken over elsewhere. */
export const forgetOpen = (id: string): void => void forget(id, tab);

// An edit that breaks a limit was refused where it was made; why is said at once.
listen({
  predicate: (_, now, before) => now.openSet.limit !== before.openSet.limit && now.openSet.limit !== null,
  effect: (_, { getState, dispatch }) => {
    const { limit } = getState().openSet;
    if (limit) dispatch(noticed({ text: `Not done: ${limit.why}`, action: null }));
  },
});

// The first thing that is changed is worth asking the browser to look after it.
listen({
  actionCreator: edited,
  effect: (_, { unsubscribe }) => {
    unsubscribe();
    askToPersist();
  },
});
