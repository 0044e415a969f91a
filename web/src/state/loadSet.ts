import { readSet, type SetDocument } from '@parlor/core/set';
import { api } from './api.ts';
import { forget, kept } from './keep.ts';
import { notSaved, opened } from './openSet.ts';
import type { Dispatch } from './store.ts';

/** Opens a set: the server's document, or what this browser still had to send. If both moved on, what is here stays open and the
 *  maker is asked. */
export const loadSet = async (id: string, dispatch: Dispatch): Promise<'open' | 'missing' | 'offline' | 'unreadable'> => {
  const answer = await api.read(id);
  const waiting = kept(id);
  const mine = waiting ? readSet(waiting.document) : null;
  if (!answer.ok && answer.error.code === 'offline' && mine?.ok && typeof waiting?.basedOn === 'number') {
    dispatch(opened({ id, revision: waiting.basedOn, document: mine.value, unsaved: true }));
    return 'open';
  }
  if (!answer.ok)
    return answer.error.code === 'set-not-found' ? 'missing' : answer.error.code === 'bad-document' ? 'unreadable' : 'offline';
  const { revision, document } = answer.value;
  if (mine?.ok && waiting?.basedOn === revision) {
    dispatch(opened({ id, revision, document: mine.value, unsaved: true }));
  } else if (mine?.ok && !same(mine.value, document)) {
    dispatch(opened({ id, revision: Number(waiting?.basedOn), document: mine.value, unsaved: true }));
    dispatch(notSaved('stale'));
  } else {
    forget(id);
    dispatch(opened({ id, revision, document, unsaved: false }));
  }
  return 'open';
};

const same = (a: SetDocument, b: SetDocument): boolean => JSON.stringify(a) === JSON.stringify(b);
