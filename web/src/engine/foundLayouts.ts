// What the search for better layouts found is kept in the browser, so that a set that is opened again is not searched again.
import type { BoardLayout, StickLayout } from '@parlor/core/cut';
import { createStore, delMany, entries, getMany, setMany, type UseStore } from 'idb-keyval';

/** What was found for a board or a kind of stick, under the key of its job. */
export type FoundLayout = BoardLayout | { readonly key: string; readonly layout: StickLayout };

type Kept = { readonly found: FoundLayout; readonly at: number };

/** Beyond so many the oldest are let go. */
const MOST = 400;

/** A short name for a long key (FNV-1a with two primes; Fowler, Noll, Vo, recalled). The key itself is compared when it is read. */
const nameOf = (program: string, key: string): string => {
  let [one, other] = [0x811c9dc5, 0x01234567];
  for (let at = 0; at < key.length; at += 1) {
    const code = key.charCodeAt(at);
    one = Math.imul(one ^ code, 0x01000193);
    other = Math.imul(other ^ code, 0x01000197);
  }
  return `${program} ${(one >>> 0).toString(36)}${(other >>> 0).toString(36)}`;
};

let opened: UseStore | undefined;
const here = (): UseStore => {
  opened ??= createStore('parlor-found', 'layouts');
  return opened;
};

/** What was found for jobs of such keys. Another program may search better: what an earlier one found is not taken over. */
export const keptLayouts = async (
  program: string,
  keys: readonly string[],
  store: () => UseStore = here,
): Promise<readonly FoundLayout[]> => {
  if (keys.length === 0) return [];
  try {
    const kept = await getMany<Kept | undefined>(
      keys.map((key) => nameOf(program, key)),
      store(),
    );
    return kept.flatMap((each, index) => (each && each.found.key === keys[index] ? [each.found] : []));
  } catch {
    // Where nothing can be kept, nothing is found either.
    return [];
  }
};

/** Keeps what was found. */
export const keepLayouts = async (
  program: string,
  found: readonly FoundLayout[],
  store: () => UseStore = here,
  now = Date.now(),
): Promise<void> => {
  if (found.length === 0) return;
  try {
    await setMany(
      found.map((each): [string, Kept] => [nameOf(program, each.key), { found: each, at: now }]),
      store(),
    );
    const all = await entries<string, Kept>(store());
    const old = all.toSorted(([, a], [, b]) => b.at - a.at).slice(MOST);
    if (old.length > 0)
      await delMany(
        old.map(([name]) => name),
        store(),
      );
  } catch {
    // It is searched again then.
  }
};
