import { err, ok, type Result } from '@parlor/core/kit';
import type { SentEdits } from '@parlor/core/set';
import { and, desc, eq } from 'drizzle-orm';
import type { Db } from './database.ts';
import { documentAt } from './documents.ts';
import { revisions, sets } from './schema.ts';
import type { Store, StoreError } from './store.ts';
import { thin } from './thin.ts';

/** A save as the history lists it. */
export type RevisionSummary = { readonly revision: number; readonly savedAt: string; readonly words: string };

type Revision = {
  readonly id: string;
  readonly revision: number;
  readonly words: string;
  readonly at: Date;
  readonly document: unknown;
  readonly edits: SentEdits | null;
};

/** Keeps a save in the history, whole (then it may have edits besides) or as its edits (then its document is null), and thins what is old now and then. */
export const keepRevision = async (tx: Db, { id, revision, words, at, document, edits }: Revision): Promise<void> => {
  await tx.insert(revisions).values({ setId: id, revision, words, savedAt: at, document, edits });
  await thin(tx, id, revision);
};

/** The saves of a set that are kept, the newest first. */
export const listRevisions = async ({ db }: Store, id: string): Promise<Result<readonly RevisionSummary[], StoreError>> => {
  const [set] = await db.select({ id: sets.id }).from(sets).where(eq(sets.id, id));
  if (!set) return err({ code: 'set-not-found', id });
  const rows = await db
    .select({ revision: revisions.revision, savedAt: revisions.savedAt, words: revisions.words })
    .from(revisions)
    .where(eq(revisions.setId, id))
    .orderBy(desc(revisions.revision));
  return ok(rows.map((row) => ({ ...row, savedAt: row.savedAt.toISOString() })));
};

/** A set as it was at a save. */
export const getRevision = async (
  { db }: Store,
  id: string,
  revision: number,
): Promise<Result<{ readonly revision: number; readonly document: unknown }, StoreError>> => {
  const [row] = await db
    .select({ document: revisions.document })
    .from(revisions)
    .where(and(eq(revisions.setId, id), eq(revisions.revision, revision)));
  const document = row && (row.document ?? (await documentAt(db, id, revision)));
  return document ? ok({ revision, document }) : err({ code: 'revision-not-found', id, revision });
};
