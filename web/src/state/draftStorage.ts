// What is typed is kept in the browser before it is sent, so that nothing is lost when the server or the page goes away. Each page keeps its own,
// so that two pages on one set do not write over each other. What the server does not accept, and what cannot be read, is kept too, under a name of
// its own, until the maker says what becomes of it.
import type { SetDocument } from '@parlor/core/set';
import { createStore, del, delMany, get, getMany, keys, set, type UseStore } from 'idb-keyval';
import { packed, packedAtOnce, tabOfBase, unpacked } from './draftBase.ts';

/** A document that the server does not have yet, the revision it was made from, and when it was kept (milliseconds). */
export type KeptDraft = { readonly basedOn: number; readonly document: SetDocument; readonly at: number };

/** What was found of a page; its document has not passed a door yet. */
export type Found = { readonly tab: string; readonly basedOn: number; readonly document: unknown; readonly at: number };

/** What was put aside: a document that could not be read, or that the server did not have when it was looked for. */
export type KeptAside = {
  readonly key: string;
  readonly id: string;
  readonly name: string;
  readonly at: number;
  readonly document: unknown;
};

/** The last save of a set that was acknowledged here: it is offered when the server has lost it. */
export type Held = { readonly revision: number; readonly document: unknown; readonly at: number };

const BEFORE = 'parlor.unsaved.';
const ASIDE = 'parlor.aside.';
const HELD = 'parlor.held.';
const keyOf = (id: string, tab: string): string => `${BEFORE}${id}/${tab}`;

type Local = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** Where it is kept: a store with room for large sets, and a small one that can be written the moment before a page goes. */
export type DraftPlaces = { readonly store: () => UseStore; readonly local: () => Local };

let opened: UseStore | undefined;
const here: DraftPlaces = {
  store: () => {
    opened ??= createStore('parlor', 'kept');
    return opened;
  },
  local: () => localStorage,
};

const quietly = async <T>(work: () => Promise<T>, otherwise: T): Promise<T> => {
  try {
    return await work();
  } catch {
    // Where nothing can be kept, nothing is found either.
    return otherwise;
  }
};

/** Keeps a document in the small store, which is done when this returns; false when there is no room or it is not allowed. */
export const keepAtOnce = (id: string, tab: string, { document, ...kept }: KeptDraft, { local, store } = here): boolean => {
  try {
    local().setItem(keyOf(id, tab), JSON.stringify({ ...kept, ...packedAtOnce(id, tab, document, store) }));
    return true;
  } catch {
    return false;
  }
};

let lastWritten: Promise<unknown> = Promise.resolve();

/** Writes something with its document packed; one after the other. */
const setPacked = (
  key: string,
  id: string,
  tab: string,
  { document, ...more }: { readonly document: SetDocument },
  store: () => UseStore,
): Promise<true> => {
  const inUse = async () =>
    (await getMany<{ base?: string } | undefined>([`${HELD}${id}`, keyOf(id, tab)], store())).map((record) => record?.base);
  const write = async (): Promise<true> => {
    await set(key, { ...more, ...(await packed(id, tab, document, store, inUse)) }, store());
    return true;
  };
  const written = lastWritten.then(write, write);
  lastWritten = written;
  return written;
};

/** Keeps a document; false when the browser has no room or does not allow it. */
export const keep = async (id: string, tab: string, kept: KeptDraft, places = here): Promise<boolean> =>
  (await quietly(() => setPacked(keyOf(id, tab), id, tab, kept, places.store), false)) || keepAtOnce(id, tab, kept, places);

const forgetLocal = (key: string, local: () => Local): void => {
  try {
    local().removeItem(key);
  } catch {
    // Where nothing can be kept, nothing needs forgetting.
  }
};

/** Forgets what a page kept of a set; with `upTo`, only what was kept no later. */
export const forget = async (id: string, tab: string, places = here): Promise<void> => {
  forgetLocal(keyOf(id, tab), places.local);
  await quietly(() => del(keyOf(id, tab), places.store()), undefined);
};

const asFound = async (tab: string, data: unknown, store: () => UseStore): Promise<Found | null> => {
  const { basedOn, at = 0 } = (data ?? {}) as { basedOn?: unknown; at?: number };
  const document = await unpacked(data, store);
  return typeof basedOn === 'number' && document !== undefined ? { tab, basedOn, document, at } : null;
};

const inLocal = (key: string, local: () => Local): unknown => {
  try {
    return JSON.parse(local().getItem(key) ?? 'null');
  } catch {
    return null;
  }
};

const later = (one: Found | null, other: Found | null): Found | null => (!one || (other && other.at > one.at) ? other : one);

const readKept = async (id: string, tab: string, { store, local }: DraftPlaces): Promise<Found | null> => {
  const large = await quietly(async () => asFound(tab, await get(keyOf(id, tab), store()), store), null);
  const small = await quietly(() => asFound(tab, inLocal(keyOf(id, tab), local), store), null);
  return later(large, small);
};

const localKeys = (local: () => Local): readonly string[] => {
  try {
    const store = local();
    return Array.from({ length: store.length }, (_, index) => store.key(index) ?? '');
  } catch {
    return [];
  }
};

/** Every key in both stores. */
const allKeys = async ({ store, local }: DraftPlaces): Promise<readonly string[]> => {
  const large = await quietly(() => keys<string>(store()), []);
  return [...new Set([...large, ...localKeys(local)])];
};

/** Clears away the bases of pages that are gone, where nothing that is kept needs them. */
const clearBases = (living: ReadonlySet<string>, { store, local }: DraftPlaces): Promise<void> =>
  quietly(async () => {
    const all = await keys<string>(store());
    const orphans = all.filter((key) => tabOfBase(key) !== null && !living.has(tabOfBase(key) ?? ''));
    if (orphans.length === 0) return;
    const records = await getMany<{ base?: string } | undefined>(
      all.filter((key) => key.startsWith(BEFORE) || key.startsWith(HELD)),
      store(),
    );
    const small = localKeys(local).map((key) => (key.startsWith(BEFORE) ? (inLocal(key, local) as { base?: string } | null) : null));
    const needed = new Set([...records, ...small].map((record) => record?.base));
    await delMany(
      orphans.filter((key) => !needed.has(key)),
      store(),
    );
  }, undefined);

/** What this page kept of a set, else what a page kept that is gone. `living` are the pages that still look after their own; where that is not
 *  known (null), others' are left alone. */
export const findKept = async (id: string, tab: string, living: ReadonlySet<string> | null, places = here): Promise<Found | null> => {
  const own = await readKept(id, tab, places);
  if (living) void clearBases(new Set([...living, tab]), places);
  if (own || !living) return own;
  for (const key of await allKeys(places)) {
    if (!key.startsWith(keyOf(id, ''))) continue;
    const other = key.slice(keyOf(id, '').length);
    const found = living.has(other) ? null : await readKept(id, other, places);
    if (found) return found;
  }
  return null;
};

/** The sets of which something is kept here that the server does not have yet. */
export const unsentSets = async (places = here): Promise<ReadonlySet<string>> =>
  new Set((await allKeys(places)).flatMap((key) => (key.startsWith(BEFORE) ? [key.slice(BEFORE.length).split('/')[0] ?? ''] : [])));

const nameIn = (document: unknown): string => {
  const name = (document as { name?: unknown } | null)?.name;
  return typeof name === 'string' ? name : '';
};

/** Puts aside what a page kept, so that neither a save nor a reload touches it; true once it is kept there. */
export const putAside = async (id: string, found: Found, places = here): Promise<boolean> => {
  const aside = { id, name: nameIn(found.document), at: found.at, document: found.document };
  const key = `${ASIDE}${id}/${found.tab}/${found.at}`;
  const done = await quietly(() => set(key, aside, places.store()).then(() => true), false);
  // Only what is safe under its new name loses its old one.
  if (done) await forget(id, found.tab, places);
  return done;
};

/** What was put aside, the newest first. */
export const listAside = async (places = here): Promise<readonly KeptAside[]> => {
  const found = await quietly(async () => {
    const names = (await keys<string>(places.store())).filter((key) => key.startsWith(ASIDE));
    const list = await getMany<Omit<KeptAside, 'key'>>(names, places.store());
    return list.map((aside, index): KeptAside => ({ ...(aside as Omit<KeptAside, 'key'>), key: names[index] ?? '' }));
  }, []);
  return found.sort((a, b) => b.at - a.at);
};

export const dropAside = (key: string, places = here): Promise<void> => quietly(() => del(key, places.store()), undefined);

/** So many sets' last saves are held. */
const MOST_HELD = 20;

/** Holds the save that was acknowledged last. */
export const hold = (
  id: string,
  tab: string,
  held: { readonly revision: number; readonly document: SetDocument; readonly at: number },
  places = here,
): Promise<void> =>
  quietly(async () => {
    const store = places.store();
    await setPacked(`${HELD}${id}`, id, tab, held, places.store);
    const all = (await keys<string>(store)).filter((key) => key.startsWith(HELD));
    if (all.length <= MOST_HELD) return;
    const times = await getMany<Held | undefined>(all, store);
    const old = all.map((key, index) => [key, times[index]?.at ?? 0] as const).sort(([, a], [, b]) => b - a);
    await delMany(
      old.slice(MOST_HELD).map(([key]) => key),
      store,
    );
  }, undefined);

export const findHeld = (id: string, places = here): Promise<Held | undefined> =>
  quietly(async () => {
    const held = await get<Held>(`${HELD}${id}`, places.store());
    const document = await unpacked(held, places.store);
    return held && document !== undefined ? { revision: held.revision, at: held.at, document } : undefined;
  }, undefined);

export const letGo = (id: string, places = here): Promise<void> => quietly(() => del(`${HELD}${id}`, places.store()), undefined);

/** Asks the browser not to clear this away when its disk is short; some ask the maker. */
export const askToPersist = (): void => {
  void navigator.storage?.persist?.().catch(() => false);
};
