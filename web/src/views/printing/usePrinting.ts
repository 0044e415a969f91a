import type { SetDocument } from '@parlor/core/set';
import { useEdit, useSet } from '../../state/index.ts';

export type Printing = SetDocument['printing'];

/** What is decided about printing, and a way to change some of it in one step with a name. */
export const usePrinting = (): { readonly printing: Printing; readonly change: (words: string, part: Partial<Printing>) => void } => {
  const { printing } = useSet();
  const edit = useEdit();
  return { printing, change: (words, part) => edit(words, { kind: 'change-set', change: { printing: { ...printing, ...part } } }) };
};
