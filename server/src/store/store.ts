// Where sets are kept, whichever way: what changes the shelf goes through `change`, which records it too.
import { err, type Result } from '@parlor/core/kit';
import { eq } from 'drizzle-orm';
import type { Database, Db } from './database.ts';
import type { Entry } from './entry.ts';
import type { PictureFiles } from './pictureFiles.ts';
import { marks } from './schema.ts';

/** Where sets are kept. On a database server, which syncs by itself, nothing is recorded, and pictures stand in the database (`pictures` null). */
export type Store = {
  readonly db: Db;
  readonly pictures: PictureFiles | null;
  /** Runs work in one transaction, and takes back what it recorded when that comes to nothing. */
  readonly transaction: <T>(work: (tx: Db) => Promise<T>) => Promise<T>;
  readonly record: (tx: Db, entry: Entry) => Promise<void>;
  /** Whether what is recorded has had a set whole, so that its edits can stand by themselves. */
  readonly hasWhole: (id: string) => boolean;
  readonly close: () => Promise<void>;
};

export type StoreError =
  | { readonly code: 'set-not-found'; readonly id: string }
  | { readonly code: 'revision-not-found'; readonly id: string; readonly revision: number }
  | { readonly code: 'stale-revision'; readonly id: string; readonly revision: number }
  | { readonly code: 'preset-not-found'; readonly id: string }
  | { readonly code: 'too-many-presets' | 'too-many-sets' | 'too-many-pictures'; readonly most: number }
  | { readonly code: 'picture-not-found'; readonly id: string }
  | { readonly code: 'storage-full' };

const JOURNAL_MARK = 'journal';

export const noteMark = (tx: Db, name: string, value: string) =>
  tx.insert(marks).values({ name, value }).onConflictDoUpdate({ target: marks.name, set: { value } });

export const readMark = async (db: Db, name: string): Promise<string | undefined> =>
  (await db.select({ value: marks.value }).from(marks).where(eq(marks.name, name)))[0]?.value;

/** The number of the last journal entry that is in the database. */
export const journalMark = async (db: Db): Promise<number> => Number((await readMark(db, JOURNAL_MARK)) ?? 0);

export const noteJournal = (tx: Db, number: number) => noteMark(tx, JOURNAL_MARK, String(number));

/** The value of a mark; the first process that asks sets it. */
export const markOnce = async (db: Db, name: string, value: string): Promise<{ readonly value: string; readonly first: boolean }> => {
  const made = await db.insert(marks).values({ name, value }).onConflictDoNothing().returning({ value: marks.value });
  return { value: made[0]?.value ?? (await readMark(db, name)) ?? value, first: made.length > 0 };
};

/** A store on a database server, or while one is made. */
export const serverStore = ({ db, close }: Database): Store => ({
  db,
  pictures: null,
  transaction: (work) => db.transaction((transaction) => work(transaction as Db)),
  record: async () => undefined,
  hasWhole: () => true,
  close,
});

const causeOf = (problem: unknown): { readonly code?: unknown } =>
  ((problem as { cause?: unknown }).cause ?? problem) as { readonly code?: unknown };

export const codeOf = (problem: unknown): string => String(causeOf(problem).code ?? '');

/** Disk full, or read only: from the system itself, or from PostgreSQL (53100). */
const FULL = new Set(['ENOSPC', 'EDQUOT', 'EFBIG', 'EROFS', '53100']);

/** Runs what changes the shelf in one transaction; a disk without room is an answer, not a fault. */
export const change = async <T>(store: Store, work: (tx: Db) => Promise<Result<T, StoreError>>): Promise<Result<T, StoreError>> => {
  try {
    return await store.transaction(work);
  } catch (problem) {
    if (FULL.has(codeOf(problem))) return err({ code: 'storage-full' });
    throw problem;
  }
};
