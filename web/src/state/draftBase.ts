// A document is written to the browser's store whole once, as a base; after that what is kept of it is what has changed since. So a size that is
// typed costs the same in a large set as in a small one.
import { doSentEdits, editBetween, type SentEdits, type SetDocument, sentEdit } from '@parlor/core/set';
import { delMany, get, keys, promisifyRequest, set, type UseStore } from 'idb-keyval';

/** A document as it is kept: whole, or as edits of a base that stands under its own key. */
export type Packed = { readonly document: unknown } | { readonly base: string; readonly edits: SentEdits };

const BASE = 'parlor.base.';

/** Longer edits are better written as a new base. */
const MOST_LETTERS = 20_000;

/** The base of the set that lies open in this page, once it is written. */
let base: { readonly key: string; readonly document: SetDocument; readonly store: () => UseStore } | null = null;

const prefixOf = (id: string, tab: string): string => `${BASE}${id}/${tab}/`;

/** The page that wrote a base, by its key. */
export const tabOfBase = (key: string): string | null => (key.startsWith(BASE) ? (key.slice(BASE.length).split('/')[1] ?? null) : null);

/** What makes a document of the base, where that is known and is little. */
const sinceBase = (id: string, tab: string, document: SetDocument, store: () => UseStore): Packed | null => {
  if (base?.store !== store || !base.key.startsWith(prefixOf(id, tab))) return null;
  const edit = editBetween(base.document, document);
  const edits = edit && (sentEdit(edit) ?? []);
  return edits && JSON.stringify(edits).length <= MOST_LETTERS ? { base: base.key, edits } : null;
};

/** Packs a document without waiting: whole where there is no base yet. */
export const packedAtOnce = (id: string, tab: string, document: SetDocument, store: () => UseStore): Packed =>
  sinceBase(id, tab, document, store) ?? { document };

/** Whether a key stands in the store; what the browser cleared away must not be built on. */
const stands = (key: string, store: UseStore): Promise<boolean> =>
  store('readonly', (objects) => promisifyRequest(objects.getKey(key))).then((found) => found !== undefined);

/** Packs a document; a new base is written first where it is needed. `inUse` are those that must stay besides. One after the other, or a base would go that is about to be needed. */
export const packed = async (
  id: string,
  tab: string,
  document: SetDocument,
  places: () => UseStore,
  inUse: () => Promise<readonly (string | undefined)[]>,
): Promise<Packed> => {
  const store = places();
  if (base && !(await stands(base.key, store))) base = null;
  const since = sinceBase(id, tab, document, places);
  if (since) return since;
  const before = base?.key;
  const key = `${prefixOf(id, tab)}${Date.now()}-${Math.random().toString(36).slice(2, 8)}`;
  await set(key, document, store);
  base = { key, document, store: places };
  // What was kept just before may still be all that there is, until what is packed now is written.
  const stay = new Set([key, before, ...(await inUse())]);
  const own = (await keys<string>(store)).filter((each) => each.startsWith(prefixOf(id, tab)) && !stay.has(each));
  await delMany(own, store);
  return { base: key, edits: [] };
};

/** The document again; undefined where its base is gone. */
export const unpacked = async (kept: unknown, store: () => UseStore): Promise<unknown> => {
  const { document, base: key, edits } = (kept ?? {}) as { document?: unknown; base?: unknown; edits?: unknown };
  if (document !== undefined || typeof key !== 'string') return document;
  const whole = await get(key, store());
  return whole === undefined ? undefined : doSentEdits(whole, edits);
};
