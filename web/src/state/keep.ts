// What is typed is kept in the browser before it is sent, so that nothing is lost when the server or the page goes away.
import type { SetDocument } from '@parlor/core/set';

/** A document that the server does not have yet, and the revision it was made from. */
export type Kept = { readonly basedOn: number; readonly document: SetDocument };

const keyOf = (id: string): string => `parlor.unsaved.${id}`;

/** Keeps a document; false when the browser has no room or does not allow it. */
export const keep = (id: string, kept: Kept): boolean => {
  try {
    localStorage.setItem(keyOf(id), JSON.stringify(kept));
    return true;
  } catch {
    return false;
  }
};

export const forget = (id: string): void => {
  try {
    localStorage.removeItem(keyOf(id));
  } catch {
    // Where nothing can be kept, nothing needs forgetting.
  }
};

/** What was kept for a set, if anything; the caller reads the document at its own door. */
export const kept = (id: string): { readonly basedOn: unknown; readonly document: unknown } | null => {
  try {
    return JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null');
  } catch {
    return null;
  }
};
