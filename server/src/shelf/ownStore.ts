// The built-in database and its journal as one: what changes the shelf is written to both, or to neither.
import type { Journal, Numbered } from '../disk/index.ts';
import {
  codeOf,
  type Database,
  type Db,
  doAgain,
  type Entry,
  journalMark,
  noteJournal,
  type PictureFiles,
  type Store,
} from '../store/index.ts';

/** Does entries again that a database does not know of. */
export const replay = async (db: Db, entries: readonly Numbered<Entry>[], files: PictureFiles | null): Promise<number> => {
  const known = await journalMark(db);
  const lost = entries.filter(({ number }) => number > known);
  for (const { number, entry } of lost) {
    await db.transaction(async (transaction) => {
      await doAgain(transaction as Db, entry, files);
      await noteJournal(transaction as Db, number);
    });
  }
  return lost.length;
};

/** Runs one after the other what is handed to it. */
export const inTurn = (): (<T>(work: () => Promise<T>) => Promise<T>) => {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const done = last.then(work, work);
    last = done.catch(() => undefined);
    return done;
  };
};

/** Faults of the database itself, not of what it was asked: of the system below it (58), of its inside (XX), of what it has to work with (53, but
 *  for a full disk), or none of PostgreSQL's at all, which is the end of the compiled program. */
const isOwnFault = (problem: unknown): boolean => {
  const code = codeOf(problem);
  if (/^E[A-Z]+$/.test(code)) return false;
  return !/^[0-9A-Z]{5}$/.test(code) || (/^(58|XX|53|57)/.test(code) && code !== '53100');
};

export type OwnParts = {
  readonly database: Database;
  readonly journal: Journal<Entry>;
  readonly pictures: PictureFiles;
  /** Opens the database anew and brings it up to the journal. */
  readonly reopen: () => Promise<Database>;
  /** Called after each entry. */
  readonly recorded: () => void;
  readonly onFault: (problem: unknown) => void;
  readonly close: (store: Store) => Promise<void>;
};

/** The least time between two tries to open a database again that failed. */
const REOPEN_AFTER = 2_000;

/** A store of the built-in database. Work that fails by a fault of the database has it opened anew: what is wrong with it mostly is so only in
 *  memory, and what is acknowledged stands in the journal. */
export const ownStore = ({ database, journal, pictures, reopen, recorded, onFault, close }: OwnParts): Store => {
  const turn = inTurn();
  let current = database;
  // The first save of a set after a start, or after the journal was trimmed, is written whole: whatever is lost before, from there on it stands.
  let whole = { since: journal.mark(), ids: new Set<string>() };
  let reopened = Number.NEGATIVE_INFINITY;
  const heal = async (problem: unknown): Promise<void> => {
    if (!isOwnFault(problem) || performance.now() - reopened < REOPEN_AFTER) return;
    onFault(problem);
    reopened = performance.now();
    await current.close().catch(() => undefined);
    current = await reopen();
  };
  const store: Store = {
    get db() {
      return current.db;
    },
    pictures,
    transaction: (work) =>
      turn(async () => {
        const before = journal.last();
        try {
          const done = await current.db.transaction((transaction) => work(transaction as Db));
          if (journal.last() > before) recorded();
          return done;
        } catch (problem) {
          // What nobody was answered is not done again. A transaction records once.
          if (journal.last() > before) journal.undo();
          whole.ids.clear();
          await heal(problem).catch(onFault);
          throw problem;
        }
      }),
    record: async (tx, entry) => {
      await noteJournal(tx, journal.append(entry));
      if (entry.kind === 'save') whole.ids.add(entry.id);
    },
    hasWhole: (id) => {
      if (journal.mark() !== whole.since) whole = { since: journal.mark(), ids: new Set() };
      return whole.ids.has(id);
    },
    close: () => turn(() => close(store)).finally(() => current.close().catch(() => undefined)),
  };
  return store;
};
