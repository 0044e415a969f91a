import { and, eq, isNull, lte, sql } from 'drizzle-orm';
import type { Db } from './database.ts';
import { makeWhole } from './documents.ts';
import { revisions } from './schema.ts';

/** So many of the newest saves are kept one by one; of older ones the last of each day. */
const NEWEST = 200;
const THIN_EVERY = 50;

/** Thins what is old in the history of a set, now and then. */
export const thin = async (tx: Db, id: string, newest: number): Promise<void> => {
  if (newest % THIN_EVERY !== 0) return;
  const old = and(eq(revisions.setId, id), lte(revisions.revision, newest - NEWEST));
  const lastOfDays = tx
    .select({ last: sql<number>`max(${revisions.revision})` })
    .from(revisions)
    .where(old)
    .groupBy(sql`date_trunc('day', ${revisions.savedAt})`);
  const bare = await tx
    .select({ revision: revisions.revision })
    .from(revisions)
    .where(and(old, isNull(revisions.document), sql`${revisions.revision} in (${lastOfDays})`))
    .orderBy(revisions.revision);
  await makeWhole(
    tx,
    id,
    bare.map(({ revision }) => revision),
  );
  await tx.delete(revisions).where(and(old, sql`${revisions.revision} not in (${lastOfDays})`));
};
