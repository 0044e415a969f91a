// What makes one document another, as one edit that can be sent and kept: small whatever the size of the set, and of a form that outlives changes of
// the document's shape, for it only names keys and what stands in them.
import { dequal } from 'dequal/lite';
import type { SetDocument } from './document.ts';
import { applyEdit, type Edit, type PieceChange, type Settings } from './edit.ts';

/** The keys of an object whose values are no longer the same. */
const changedKeys = <T extends object>(before: T, after: T): readonly (keyof T)[] =>
  ([...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof T)[]).filter((key) => !dequal(before[key], after[key]));

const changeOf = <T extends object>(after: T, keys: readonly (keyof T)[]): Partial<T> =>
  Object.fromEntries(keys.map((key) => [key, after[key]])) as Partial<T>;

type Listed = { readonly id: string };

/** The edits that make one list another; null where those that stay changed places, or one changed into another thing under its id. */
const listEdits = <T extends Listed>(
  before: readonly T[],
  after: readonly T[],
  edits: {
    readonly add: (at: number, item: T) => Edit;
    readonly remove: (id: string) => Edit;
    readonly change: (id: string, change: Partial<T>) => Edit;
  },
  fixed: readonly (keyof T)[],
): readonly Edit[] | null => {
  if (before === after) return [];
  const was = new Map(before.map((item) => [item.id, item]));
  const is = new Set(after.map(({ id }) => id));
  const stayed = before.filter(({ id }) => is.has(id));
  const kept = after.filter(({ id }) => was.has(id));
  if (is.size !== after.length || kept.some(({ id }, index) => stayed[index]?.id !== id)) return null;
  const changes: Edit[] = [];
  for (const item of kept) {
    const old = was.get(item.id) as T;
    const keys = changedKeys(old, item);
    if (keys.some((key) => fixed.includes(key))) return null;
    if (keys.length > 0) changes.push(edits.change(item.id, changeOf(item, keys)));
  }
  const removed = before.filter(({ id }) => !is.has(id)).map(({ id }) => edits.remove(id));
  const added = after.flatMap((item, at) => (was.has(item.id) ? [] : [edits.add(at, item)]));
  // Of boards one must stay, so what is new comes first where all that was there goes.
  return stayed.length === 0 ? [...added, ...removed] : [...removed, ...added, ...changes];
};

/** The edit that makes one document another: of settings, pieces and boards what is no longer the same; what is the very same object is not looked into.
 *  Null where only the whole document says it: a new order, or a piece that became one of another family. */
export const editBetween = (before: SetDocument, after: SetDocument): Edit | null => {
  const keys = changedKeys(before, after).filter((key) => key !== 'pieces' && key !== 'boards');
  if (keys.some((key) => key === 'format' || key === 'version')) return null;
  const pieces = listEdits(
    before.pieces,
    after.pieces,
    {
      add: (at, piece) => ({ kind: 'add-piece', at, piece }),
      remove: (id) => ({ kind: 'remove-piece', id }),
      change: (id, change) => ({ kind: 'change-piece', id, change: change as PieceChange }),
    },
    ['family'],
  );
  const boards = listEdits(
    before.boards,
    after.boards,
    {
      add: (at, board) => ({ kind: 'add-board', at, board }),
      remove: (id) => ({ kind: 'remove-board', id }),
      change: (id, change) => ({ kind: 'change-board', id, change }),
    },
    [],
  );
  if (!pieces || !boards) return null;
  const settings: readonly Edit[] = keys.length === 0 ? [] : [{ kind: 'change-set', change: changeOf(after, keys) as Partial<Settings> }];
  return { kind: 'all', edits: [...settings, ...boards, ...pieces] };
};

/** Edits as JSON, as they stand in a request, a journal or a row: what JSON cannot say of a change, that a key is taken away, stands beside it. */
export type SentEdits = readonly (
  | Exclude<Edit, { readonly kind: 'put-cell' | 'replace' | 'all' | 'change-piece' | 'change-board' }>
  | {
      readonly kind: 'change-piece' | 'change-board';
      readonly id: string;
      readonly change: object;
      readonly without?: readonly string[] | undefined;
    }
)[];

const flat = (edit: Edit): readonly Edit[] => (edit.kind === 'all' ? edit.edits.flatMap(flat) : [edit]);

const asJson = (edit: Edit): SentEdits[number] | null => {
  if (edit.kind === 'put-cell' || edit.kind === 'replace' || edit.kind === 'all') return null;
  if (edit.kind !== 'change-piece' && edit.kind !== 'change-board') return edit;
  const without = Object.entries(edit.change).flatMap(([key, value]) => (value === undefined ? [key] : []));
  return without.length === 0 ? edit : { ...edit, without };
};

/** An edit as it is sent; null for one that can only be sent as the whole document that comes of it, or that does nothing. */
export const sentEdit = (edit: Edit): SentEdits | null => {
  const all = flat(edit).map(asJson);
  const sent = all.filter((each) => each !== null);
  return sent.length === 0 || sent.length < all.length ? null : sent;
};

/** What was sent as an edit again. Nothing in it has been judged; that is done with what comes of it. */
const received = (sent: SentEdits): Edit => ({
  kind: 'all',
  edits: sent.map((each): Edit => {
    if (each.kind !== 'change-piece' && each.kind !== 'change-board') return each;
    const { without = [], ...edit } = each;
    return { ...edit, change: { ...edit.change, ...Object.fromEntries(without.map((key) => [key, undefined])) } } as Edit;
  }),
});

/** Does edits on a document that was kept with them, without asking what comes of it: that passes its door as a whole when it is read. What an edit
 *  names and is not there is left. */
export const doSentEdits = (document: unknown, sent: unknown): unknown =>
  applyEdit(document as SetDocument, received(sent as SentEdits)).document;
