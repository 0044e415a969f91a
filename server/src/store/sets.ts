import { err, ok, type Result } from '@parlor/core/kit';
import type { SentEdits, SetDocument } from '@parlor/core/set';
import { and, desc, eq, isNotNull, isNull, lt, lte, sql } from 'drizzle-orm';
import type { Db } from './database.ts';
import { countedDays } from './days.ts';
import { documentColumns, isKeptWhole, newestDocument } from './documents.ts';
import { keepRevision } from './history.ts';
import { sets } from './schema.ts';
import { change, type Store, type StoreError } from './store.ts';

/** A set as the shelf lists it. */
export type SetSummary = {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly revision: number;
  readonly updatedAt: string;
};

/** A set off the shelf; until `until` it can be put back. */
export type AwaySummary = SetSummary & { readonly until: string };

/** A stored document is checked again at its door when it is read. */
export type StoredSet = { readonly id: string; readonly revision: number; readonly document: unknown };

/** How long a set that was taken off the shelf is kept. */
const KEPT_DAYS = 30;
const DAY = 86_400_000;

/** So many sets are on the shelf and off it at the most. */
export const MOST_SETS = 5_000;

const columns = { id: sets.id, name: sets.name, about: sets.about, revision: sets.revision, updatedAt: sets.updatedAt };

const present = (id: string) => and(eq(sets.id, id), isNull(sets.deletedAt));

export const listSets = async ({ db }: Store): Promise<readonly SetSummary[]> => {
  const rows = await db.select(columns).from(sets).where(isNull(sets.deletedAt)).orderBy(sets.createdAt, desc(sets.id));
  return rows.map((row) => ({ ...row, updatedAt: row.updatedAt.toISOString() }));
};

/** Sets off the shelf, the one that was taken last first. */
export const listAway = async ({ db }: Store): Promise<readonly AwaySummary[]> => {
  const rows = await db
    .select({ ...columns, deletedAt: sets.deletedAt })
    .from(sets)
    .where(isNotNull(sets.deletedAt))
    .orderBy(desc(sets.deletedAt));
  return rows.map(({ deletedAt, ...row }) => ({
    ...row,
    updatedAt: row.updatedAt.toISOString(),
    until: new Date((deletedAt as Date).getTime() + KEPT_DAYS * DAY).toISOString(),
  }));
};

export const getSet = async (db: Db, id: string): Promise<Result<StoredSet, StoreError>> => {
  const [row] = await db.select(documentColumns).from(sets).where(present(id));
  return row ? ok({ id, revision: row.revision, document: await newestDocument(db, row) }) : err({ code: 'set-not-found', id });
};

/** Puts a new set on the shelf; `words` say where it came from. */
export const createSet = (
  store: Store,
  id: string,
  document: SetDocument,
  at: Date,
  words = 'begun',
): Promise<Result<StoredSet, StoreError>> =>
  change(store, async (tx) => {
    const { name, about } = document;
    const [row] = await tx.select({ count: sql<number>`count(*)::int` }).from(sets);
    if ((row?.count ?? 0) >= MOST_SETS) return err({ code: 'too-many-sets', most: MOST_SETS });
    await tx.insert(sets).values({ id, name, about, revision: 1, document, documentRevision: 1, createdAt: at, updatedAt: at });
    await keepRevision(tx, { id, revision: 1, words, at, document, edits: null });
    await store.record(tx, { kind: 'save', id, revision: 1, words, at: at.toISOString(), document });
    return ok({ id, revision: 1, document });
  });

/** What is saved: the document that came of it, and the edits that it was, where no whole document was sent. */
export type Save = { readonly document: SetDocument; readonly edits: SentEdits | null; readonly words: string };

/** Saves over the revision that it is based on; `words` say what changed. The row is locked first, so of two saves on one revision one wins.
 *  Edits are kept as what they are; their document is written now and then.
 *  Errors: 'stale-revision' with the revision that stands now, 'set-not-found', 'storage-full' (then nothing is saved). */
export const saveSet = (
  store: Store,
  id: string,
  basedOn: number,
  { document, edits, words }: Save,
  at: Date,
): Promise<Result<{ readonly revision: number }, StoreError>> =>
  change(store, async (tx) => {
    const [before] = await tx.select({ revision: sets.revision }).from(sets).where(present(id)).for('update');
    if (!before) return err({ code: 'set-not-found', id });
    if (before.revision !== basedOn) return err({ code: 'stale-revision', id, revision: before.revision });
    const revision = basedOn + 1;
    const { name, about } = document;
    const whole = edits === null || isKeptWhole(revision) || !store.hasWhole(id);
    const now = { name, about, revision, updatedAt: at };
    await tx
      .update(sets)
      .set(whole ? { ...now, document, documentRevision: revision } : now)
      .where(eq(sets.id, id));
    await keepRevision(tx, { id, revision, words, at, document: whole ? document : null, edits });
    const entry = { id, revision, words, at: at.toISOString() };
    await store.record(tx, whole ? { kind: 'save', ...entry, document } : { kind: 'edit', ...entry, name, about, edits });
    return ok({ revision });
  });

/** Takes a set off the shelf at a time, or puts it back (null). */
export const setAway = (store: Store, id: string, at: Date | null): Promise<Result<{ readonly id: string }, StoreError>> =>
  change(store, async (tx) => {
    const day = at === null ? null : await countedDays(tx);
    const [row] = await tx.update(sets).set({ deletedAt: at, awayDay: day }).where(eq(sets.id, id)).returning({ id: sets.id });
    if (!row) return err({ code: 'set-not-found', id });
    await store.record(tx, { kind: 'away', id, at: at?.toISOString() ?? null, day });
    return ok(row);
  });

/** Forgets the sets that have been off the shelf for longer than they are kept: by the clock, and by the days that were counted, for a clock that
 *  was wrong once must not cost a set. */
export const purgeAway = (store: Store, now: Date): Promise<Result<readonly string[], StoreError>> =>
  change(store, async (tx) => {
    const days = await countedDays(tx);
    // What was put away before days were counted is counted from now on.
    await tx
      .update(sets)
      .set({ awayDay: days })
      .where(and(isNotNull(sets.deletedAt), isNull(sets.awayDay)));
    const gone = await tx
      .delete(sets)
      .where(and(lt(sets.deletedAt, new Date(now.getTime() - KEPT_DAYS * DAY)), lte(sets.awayDay, days - KEPT_DAYS)))
      .returning({ id: sets.id });
    const ids = gone.map(({ id }) => id);
    if (ids.length > 0) await store.record(tx, { kind: 'purge', ids });
    return ok(ids);
  });

/** True while nothing was ever put on the shelf. */
export const isBare = async (db: Db): Promise<boolean> =>
  (await db.select({ count: sql<number>`count(*)::int` }).from(sets))[0]?.count === 0;
