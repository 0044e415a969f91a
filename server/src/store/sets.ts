import { err, ok, type Result } from '@parlor/core/kit';
import type { SetDocument } from '@parlor/core/set';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Database } from './database.ts';
import { sets } from './schema.ts';

/** A set as the shelf lists it. */
export type SetSummary = {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly revision: number;
  readonly updatedAt: string;
};

/** A stored document is checked again at its door when it is read. */
export type StoredSet = { readonly id: string; readonly revision: number; readonly document: unknown };

export type StoreError =
  | { readonly code: 'set-not-found'; readonly id: string }
  | { readonly code: 'stale-revision'; readonly id: string; readonly revision: number };

type Db = Database['db'];

const present = (id: string) => and(eq(sets.id, id), isNull(sets.deletedAt));

export const listSets = async (db: Db): Promise<readonly SetSummary[]> => {
  const rows = await db
    .select({ id: sets.id, name: sets.name, about: sets.about, revision: sets.revision, updatedAt: sets.updatedAt })
    .from(sets)
    .where(isNull(sets.deletedAt))
    .orderBy(sets.createdAt, desc(sets.id));
  return rows.map((row) => ({ ...row, updatedAt: row.updatedAt.toISOString() }));
};

export const getSet = async (db: Db, id: string): Promise<Result<StoredSet, StoreError>> => {
  const [row] = await db.select({ id: sets.id, revision: sets.revision, document: sets.document }).from(sets).where(present(id));
  return row ? ok(row) : err({ code: 'set-not-found', id });
};

export const createSet = async (db: Db, id: string, document: SetDocument): Promise<StoredSet> => {
  await db.insert(sets).values({ id, name: document.name, about: document.about, revision: 1, document });
  return { id, revision: 1, document };
};

/** Saves a document over the revision it is based on; compare and write are one statement, so of two saves on one revision one wins.
 *  Errors: 'stale-revision' with the revision that stands now. */
export const saveSet = async (db: Db, id: string, basedOn: number, document: SetDocument): Promise<Result<number, StoreError>> => {
  const [row] = await db
    .update(sets)
    .set({ document, name: document.name, about: document.about, revision: sql`${sets.revision} + 1`, updatedAt: sql`now()` })
    .where(and(present(id), eq(sets.revision, basedOn)))
    .returning({ revision: sets.revision });
  if (row) return ok(row.revision);
  const now = await getSet(db, id);
  return now.ok ? err({ code: 'stale-revision', id, revision: now.value.revision }) : now;
};

/** Hides a set, or brings it back. */
export const setDeleted = async (db: Db, id: string, deleted: boolean): Promise<Result<string, StoreError>> => {
  const [row] = await db
    .update(sets)
    .set({ deletedAt: deleted ? sql`now()` : null })
    .where(eq(sets.id, id))
    .returning({ id: sets.id });
  return row ? ok(row.id) : err({ code: 'set-not-found', id });
};
