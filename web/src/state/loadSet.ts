import { readSet } from '@parlor/core/set';
import { dequal } from 'dequal/lite';
import { rememberedPiece } from '../engine/index.ts';
import { api } from './api.ts';
import { derivedFirst } from './derivedSlice.ts';
import { findHeld, findKept, forget, letGo, putAside } from './draftStorage.ts';
import { lookedAt } from './lookedAt.ts';
import { notSaved, opened } from './openSet.ts';
import { livingPages, thisPage } from './pageId.ts';
import { type Dispatch, store } from './store.ts';
import { noticed } from './uiSlice.ts';

export type Opening = 'open' | 'missing' | 'offline' | 'unreadable' | 'closed';

const FAILED: Readonly<Record<string, Opening>> = {
  'set-not-found': 'missing',
  'not-found': 'missing',
  'bad-document': 'unreadable',
  'document-too-heavy': 'unreadable',
  'pass-phrase-needed': 'closed',
};

/** What this browser still had to send of a set, read at its own door. What another page left behind is taken over as one's own; what cannot be
 *  read is put aside, and offered on the page of sets. */
const waitingFor = async (id: string, dispatch: Dispatch) => {
  const [tab, living] = await Promise.all([thisPage, livingPages()]);
  const found = await findKept(id, tab, living);
  const read = found ? readSet(found.document) : null;
  if (found && !read?.ok) {
    await putAside(id, found);
    dispatch(noticed({ text: 'Changes kept in this browser could not be read here. They wait on the page of sets.', action: null }));
    return { tab, found: null, mine: null };
  }
  return { tab, found, mine: found && read?.ok ? { basedOn: found.basedOn, document: read.value } : null };
};

/** The save that this browser was answered last, where the server has only an older one: it was lost there. */
const lostThere = async (id: string, revision: number) => {
  const held = await findHeld(id);
  if (!held || held.revision <= revision) return null;
  const read = readSet(held.document);
  return read.ok ? { basedOn: held.revision, document: read.value } : null;
};

/** Opens a set: the server's document, or what this browser still had to send. If both moved on, what is here stays open and the
 *  maker is asked. */
const loadSet = async (id: string, dispatch: Dispatch): Promise<Opening> => {
  const [answer, { tab, found, mine: waiting }] = await Promise.all([api.read(id), waitingFor(id, dispatch)]);
  const open = (document: NonNullable<typeof waiting>['document'], revision: number, unsaved: boolean): Opening => {
    dispatch(opened({ id, revision, document, unsaved }));
    if (found && found.tab !== tab) void forget(id, found.tab);
    return 'open';
  };
  if (!answer.ok) {
    const failed = FAILED[answer.error.code] ?? 'offline';
    return failed === 'offline' && waiting ? open(waiting.document, waiting.basedOn, true) : failed;
  }
  const { revision, document } = answer.value;
  const looked = lookedAt(document);
  const kept = looked === null ? null : await rememberedPiece(id, looked, revision);
  const lost = waiting ? null : await lostThere(id, revision);
  const mine = waiting ?? lost;
  if (lost) {
    dispatch(noticed({ text: 'This browser holds a newer save than the shelf has; choose what counts.', action: null }));
    await letGo(id);
  }
  if (mine?.basedOn === revision) return open(mine.document, revision, true);
  if (mine && !dequal(mine.document, document)) {
    open(mine.document, mine.basedOn, true);
    dispatch(notSaved({ save: 'stale' }));
    return 'open';
  }
  if (found) void forget(id, found.tab);
  open(document, revision, false);
  if (kept) dispatch(derivedFirst(kept));
  return 'open';
};

/** The set that the address names when the page begins. */
let early: { readonly id: string; readonly outcome: Promise<Opening> } | null = null;

/** Begins to open the set that an address names, before the view is there that shows it. */
export const openEarly = (path: string, dispatch: Dispatch): void => {
  const [, id] = /^\/sets\/([\w-]+)/.exec(path) ?? [];
  if (id === undefined) return;
  const outcome = loadSet(id, dispatch).finally(() => {
    early = null;
  });
  early = { id, outcome };
};

/** Opens a set, or waits for it where that has begun already. */
export const openSet = (id: string, dispatch: Dispatch): Promise<Opening> => (early?.id === id ? early.outcome : loadSet(id, dispatch));

/** Another page saved a set. When it lies open here with nothing unsaved, the newest is taken; else the next save asks. */
export const takeNewest = async (id: string, revision: number, dispatch: Dispatch): Promise<boolean> => {
  const now = store.getState().openSet;
  if (now.id !== id || now.revision >= revision || now.version !== now.savedVersion) return false;
  const answer = await api.read(id);
  const later = store.getState().openSet;
  if (!answer.ok || later.id !== id || later.version !== now.version) return false;
  dispatch(opened({ id, revision: answer.value.revision, document: answer.value.document, unsaved: false }));
  return true;
};
