// A save is mostly kept as the edits that it was: what a set was at a save is the newest whole document before it, with the edits since.
import { doSentEdits } from '@parlor/core/set';
import { and, desc, eq, gt, isNotNull, isNull, lte } from 'drizzle-orm';
import type { Db } from './database.ts';
import { revisions, sets } from './schema.ts';

/** Of so many saves one is kept whole, by its number, so that of the newest 200 the first stands by itself. */
const WHOLE_EVERY = 25;

export const isKeptWhole = (revision: number): boolean => revision % WHOLE_EVERY === 1;

type Whole = { readonly revision: number; readonly document: unknown };

/** The edits of the saves after one and up to another, done on its document. A save that is missing is passed over: what came after it stays. */
const withEdits = async (db: Db, id: string, from: Whole, to: number): Promise<unknown> => {
  if (from.revision === to) return from.document;
  const rows = await db
    .select({ edits: revisions.edits })
    .from(revisions)
    .where(and(eq(revisions.setId, id), gt(revisions.revision, from.revision), lte(revisions.revision, to), isNotNull(revisions.edits)))
    .orderBy(revisions.revision);
  return rows.reduce((document: unknown, { edits }) => doSentEdits(document, edits), from.document);
};

/** A set as it was at a save of its history; undefined where that cannot be said any more. */
export const documentAt = async (db: Db, id: string, revision: number): Promise<unknown> => {
  const [whole] = await db
    .select({ revision: revisions.revision, document: revisions.document })
    .from(revisions)
    .where(and(eq(revisions.setId, id), lte(revisions.revision, revision), isNotNull(revisions.document)))
    .orderBy(desc(revisions.revision))
    .limit(1);
  return whole && withEdits(db, id, whole, revision);
};

/** A set by its row as it is now. */
export const newestDocument = async (
  db: Db,
  {
    id,
    revision,
    documentRevision,
    document,
  }: { readonly id: string; readonly revision: number; readonly documentRevision: number; readonly document: unknown },
): Promise<unknown> =>
  documentRevision <= revision
    ? withEdits(db, id, { revision: documentRevision, document }, revision)
    : ((await documentAt(db, id, revision)) ?? document);

/** What the row of a set says of its document. */
export const documentColumns = { id: sets.id, revision: sets.revision, documentRevision: sets.documentRevision, document: sets.document };

/** Makes saves whole that were kept as edits, for those before them will not be kept. */
export const makeWhole = async (tx: Db, id: string, wanted: readonly number[]): Promise<void> => {
  for (const revision of wanted) {
    const document = await documentAt(tx, id, revision);
    if (document !== undefined)
      await tx
        .update(revisions)
        .set({ document })
        .where(and(eq(revisions.setId, id), eq(revisions.revision, revision), isNull(revisions.document)));
  }
};
