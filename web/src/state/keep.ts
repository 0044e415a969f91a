// What is typed is kept in the browser before it is sent, so that nothing is lost when the server or the page goes away. Each page keeps
// its own, so that two pages on one set do not write over each other.
import type { SetDocument } from '@parlor/core/set';

/** A document that the server does not have yet, the revision it was made from, and by whom it was kept. */
export type Kept = { readonly basedOn: number; readonly document: SetDocument };

/** What was found of a page; its document has not passed a door yet. */
export type Found = { readonly tab: string; readonly basedOn: number; readonly document: unknown };

const BEFORE = 'parlor.unsaved.';
const keyOf = (id: string, tab: string): string => `${BEFORE}${id}/${tab}`;

type Storage = Pick<globalThis.Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

const here = (): Storage => localStorage;

/** Keeps a document; false when the browser has no room or does not allow it. */
export const keep = (id: string, tab: string, kept: Kept, storage = here): boolean => {
  try {
    storage().setItem(keyOf(id, tab), JSON.stringify(kept));
    return true;
  } catch {
    return false;
  }
};

export const forget = (id: string, tab: string, storage = here): void => {
  try {
    storage().removeItem(keyOf(id, tab));
  } catch {
    // Where nothing can be kept, nothing needs forgetting.
  }
};

const read = (storage: Storage, key: string, tab: string): Found | null => {
  try {
    const { basedOn, document } = JSON.parse(storage.getItem(key) ?? 'null');
    return typeof basedOn === 'number' ? { tab, basedOn, document } : null;
  } catch {
    return null;
  }
};

/** What this page kept of a set, else what a page kept that is gone. `living` are the pages that still look after their own; where that
 *  is not known (null), others' are left alone. */
export const findKept = (id: string, tab: string, living: ReadonlySet<string> | null, storage = here): Found | null => {
  try {
    const store = storage();
    const own = read(store, keyOf(id, tab), tab);
    if (own) return own;
    const keys = Array.from({ length: store.length }, (_, index) => store.key(index) ?? '').filter((key) => key.startsWith(keyOf(id, '')));
    for (const key of living ? keys : []) {
      const other = key.slice(keyOf(id, '').length);
      const found = living?.has(other) ? null : read(store, key, other);
      if (found) return found;
    }
    return null;
  } catch {
    return null;
  }
};
