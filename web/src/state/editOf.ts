import type { Edit } from '@parlor/core/set';
import type { UnknownAction } from '@reduxjs/toolkit';
import { broughtTogether, edited, type OpenSet, redone, undone } from './openSet.ts';

/** The edit by which an action changes the open set, as that stood before it; null for an action that is none, or opens another set. */
export const editOf = (action: UnknownAction, before: OpenSet): Edit | null => {
  if (edited.match(action)) return action.payload.edit;
  if (undone.match(action)) return before.past.at(-1)?.undo ?? null;
  if (redone.match(action)) return before.future[0]?.redo ?? null;
  return broughtTogether.match(action) ? { kind: 'replace', document: action.payload.document } : null;
};
