// What differs between two states of a piece, in words.
import { dequal } from 'dequal/lite';

/** The word, where two values differ. */
export const differs = (word: string, was: unknown, is: unknown): readonly string[] => (dequal(was, is) ? [] : [word]);

/** How a list of sections or layers changed: how many there are, or that some are others. */
export const listChange = (what: string, was: readonly object[], is: readonly object[]): readonly string[] =>
  differs(was.length === is.length ? `its ${what}` : `${what} ${was.length} → ${is.length}`, was, is);
