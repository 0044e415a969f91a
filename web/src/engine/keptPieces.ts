// The piece that was looked at is kept in the browser as it was worked out, so that a set that is opened again shows it at once, before any worker
// has begun.
import type { DerivedPiece, DerivedSet } from '@parlor/core/set';
import { createStore, delMany, entries, get, keys, set, type UseStore } from 'idb-keyval';

/** A piece as it stood in a save of its set. */
export type KeptPiece = { readonly revision: number; readonly scale: DerivedSet['scale']; readonly piece: DerivedPiece };

type Kept = KeptPiece & { readonly program: string; readonly at: number };

/** So many are kept; they are counted out only when there are half as many more, for that reads all of them. */
const MOST = 40;

let opened: UseStore | undefined;
const here = (): UseStore => {
  opened ??= createStore('parlor-pieces', 'looked-at');
  return opened;
};

const nameOf = (setId: string, pieceId: string): string => `${setId}/${pieceId}`;

/** A piece of a set as this very program worked it out for the save that counts; null where that is not known. */
export const keptPiece = async (
  program: string,
  setId: string,
  pieceId: string,
  store: () => UseStore = here,
): Promise<KeptPiece | null> => {
  try {
    const kept = await get<Kept>(nameOf(setId, pieceId), store());
    return kept?.program === program ? kept : null;
  } catch {
    // Where nothing can be kept, nothing is found either.
    return null;
  }
};

/** Keeps a piece for its set and save. */
export const keepPiece = async (
  program: string,
  setId: string,
  { revision, scale, piece }: KeptPiece,
  store: () => UseStore = here,
  at = Date.now(),
): Promise<void> => {
  try {
    await set(nameOf(setId, piece.id), { program, revision, scale, piece, at } satisfies Kept, store());
    if ((await keys(store())).length < 1.5 * MOST) return;
    const all = await entries<string, Kept>(store());
    const newestFirst = [...all].sort(([, a], [, b]) => b.at - a.at);
    await delMany(
      newestFirst.slice(MOST).map(([name]) => name),
      store(),
    );
  } catch {
    // It is worked out again.
  }
};
