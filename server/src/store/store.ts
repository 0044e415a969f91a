// The database and its journal as one: what changes the shelf is written to both, or to neither.
import { existsSync } from 'node:fs';
import { open, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { err, type Result } from '@parlor/core/kit';
import { eq, sql } from 'drizzle-orm';
import { type Database, type Db, databaseIn } from './database.ts';
import { type Entry, type Journal, type Numbered, openJournal, readJournal } from './journal.ts';
import { marks, pictures, presets, revisions, sets } from './schema.ts';

/** Where sets are kept. Without a journal (on a database server, which syncs by itself) only the database is written. */
export type Store = { readonly db: Db; readonly record: (tx: Db, entry: Entry) => Promise<void>; readonly close: () => Promise<void> };

export type StoreError =
  | { readonly code: 'set-not-found'; readonly id: string }
  | { readonly code: 'revision-not-found'; readonly id: string; readonly revision: number }
  | { readonly code: 'stale-revision'; readonly id: string; readonly revision: number }
  | { readonly code: 'preset-not-found'; readonly id: string }
  | { readonly code: 'too-many-presets'; readonly most: number }
  | { readonly code: 'picture-not-found'; readonly id: string }
  | { readonly code: 'storage-full' };

const JOURNAL_MARK = 'journal';

/** Beyond this many bytes the journal is trimmed while the application runs. */
const TRIM_AT = 8_000_000;

const noteMark = (tx: Db, name: string, value: string) =>
  tx.insert(marks).values({ name, value }).onConflictDoUpdate({ target: marks.name, set: { value } });

const readMark = async (db: Db, name: string): Promise<string | undefined> =>
  (await db.select({ value: marks.value }).from(marks).where(eq(marks.name, name)))[0]?.value;

/** The value of a mark; the first process that asks sets it. */
export const markOnce = async (db: Db, name: string, value: string): Promise<{ readonly value: string; readonly first: boolean }> => {
  const made = await db.insert(marks).values({ name, value }).onConflictDoNothing().returning({ value: marks.value });
  return { value: made[0]?.value ?? (await readMark(db, name)) ?? value, first: made.length > 0 };
};

/** Does an entry again, whether or not the database still knows of it. */
const doAgain = async (tx: Db, entry: Entry): Promise<void> => {
  if (entry.kind === 'purge') {
    for (const id of entry.ids) await tx.delete(sets).where(eq(sets.id, id));
    return;
  }
  if (entry.kind === 'forget') {
    await tx.delete(presets).where(eq(presets.id, entry.id));
    return;
  }
  if (entry.kind === 'picture') {
    const { id, mime, width, height } = entry;
    const kept = { id, mime, width, height, bytes: new Uint8Array(Buffer.from(entry.bytes, 'base64')), createdAt: new Date(entry.at) };
    await tx.insert(pictures).values(kept).onConflictDoNothing();
    return;
  }
  if (entry.kind === 'preset') {
    const { id, name, piece } = entry;
    await tx
      .insert(presets)
      .values({ id, name, piece, createdAt: new Date(entry.at) })
      .onConflictDoUpdate({ target: presets.id, set: { name, piece } });
    return;
  }
  const at = entry.at === null ? null : new Date(entry.at);
  if (entry.kind === 'away') {
    await tx.update(sets).set({ deletedAt: at }).where(eq(sets.id, entry.id));
    return;
  }
  const { id, revision, words, document } = entry;
  const { name, about } = document as { name: string; about: string };
  const now = { name, about, revision, document, updatedAt: at as Date };
  await tx
    .insert(sets)
    .values({ id, ...now, createdAt: at as Date })
    .onConflictDoUpdate({ target: sets.id, set: now });
  const saved = { words, document, savedAt: at as Date };
  await tx
    .insert(revisions)
    .values({ setId: id, revision, ...saved })
    .onConflictDoUpdate({ target: [revisions.setId, revisions.revision], set: saved });
};

/** Brings a database that lost its last writes up to its journal. */
const replay = async (db: Db, entries: readonly Numbered[]): Promise<number> => {
  const known = Number((await readMark(db, JOURNAL_MARK)) ?? 0);
  const lost = entries.filter(({ number }) => number > known);
  for (const { number, entry } of lost) {
    await db.transaction(async (transaction) => {
      await doAgain(transaction as Db, entry);
      await noteMark(transaction as Db, JOURNAL_MARK, String(number));
    });
  }
  return lost.length;
};

const syncFile = async (path: string): Promise<void> => {
  const handle = await open(path, 'r').catch(() => undefined);
  // A file that the database has removed meanwhile needs no syncing.
  await handle?.sync().finally(() => handle.close());
};

const syncTree = async (directory: string): Promise<void> => {
  for (const entry of await readdir(directory, { withFileTypes: true })) {
    const path = join(directory, entry.name);
    if (entry.isDirectory()) await syncTree(path);
    else if (entry.isFile()) await syncFile(path);
  }
  await syncFile(directory);
};

/** Puts the database's own files on the disk, and only then drops the segments that they make needless. */
const settle = async (db: Db, directory: string, journal: Journal): Promise<void> => {
  // Inside a transaction no save is under way: what stands in the older segments is in the database.
  const needless = await db.transaction(async () => journal.turn());
  if (needless.length === 0) return;
  await db.execute(sql`checkpoint`);
  await syncTree(databaseIn(directory));
  journal.drop(needless);
};

/** What came of opening a store, for the log. */
export type Opened = { readonly store: Store; readonly replayed: number; readonly torn: number };

/** The built-in database with its journal: first what the database lost is done again, then both are written side by side. */
export const openStore = async (database: Database, directory: string): Promise<Opened> => {
  const { db } = database;
  const place = join(directory, 'journal');
  const { entries, torn } = readJournal(place);
  const replayed = await replay(db, entries);
  const last = Math.max(Number((await readMark(db, JOURNAL_MARK)) ?? 0), entries.at(-1)?.number ?? 0);
  const journal = openJournal(place, last + 1);
  await settle(db, directory, journal);
  let settling: Promise<void> | null = null;
  const record = async (tx: Db, entry: Entry): Promise<void> => {
    await noteMark(tx, JOURNAL_MARK, String(journal.append(entry)));
    if (journal.size() < TRIM_AT || settling) return;
    settling = settle(db, directory, journal)
      .catch(() => undefined)
      .then(() => {
        settling = null;
      });
  };
  const close = async (): Promise<void> => {
    await settling;
    await settle(db, directory, journal);
    journal.close();
    await database.close();
    if (existsSync(databaseIn(directory))) await syncTree(databaseIn(directory));
  };
  return { store: { db, record, close }, replayed, torn };
};

/** A store on a database server, which needs no journal. */
export const serverStore = ({ db, close }: Database): Store => ({ db, record: async () => undefined, close });

const causeOf = (problem: unknown): { readonly code?: unknown } =>
  ((problem as { cause?: unknown }).cause ?? problem) as { readonly code?: unknown };

/** Disk full: from the system itself, or from PostgreSQL (53100). */
const FULL = new Set<unknown>(['ENOSPC', 'EDQUOT', 'EFBIG', '53100']);

/** Runs what changes the shelf in one transaction; a disk without room is an answer, not a fault. */
export const change = async <T>(store: Store, work: (tx: Db) => Promise<Result<T, StoreError>>): Promise<Result<T, StoreError>> => {
  try {
    return await store.db.transaction((transaction) => work(transaction as Db));
  } catch (problem) {
    if (FULL.has(causeOf(problem).code)) return err({ code: 'storage-full' });
    throw problem;
  }
};
