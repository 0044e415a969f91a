// The shelf made anew: from the newest copy that is whole, and everything that the journal has since.
import { existsSync, rmSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import { type JournalRead, readJournal, segmentsIn } from '../disk/index.ts';
import {
  copyPrepared,
  type Database,
  type Db,
  type Entry,
  marks,
  noteJournal,
  openAt,
  type PictureFiles,
  pictures,
  presets,
  putRow,
  revisions,
  sessions,
  sets,
} from '../store/index.ts';
import { type Generation, isWhole, listGenerations, rowsIn } from './generations.ts';
import { replay } from './ownStore.ts';
import { begunIn, journalIn, type OwnPlaces } from './places.ts';
import { StartError } from './startError.ts';

/** What came of it: the open database, how many entries were done again after the copy, and how many are known of and could not be. */
export type Rebuilt = { readonly database: Database; readonly entries: number; readonly missing: number };

const tables = [sets, revisions, presets, pictures, sessions, marks] as const;

const empty = async (db: Db): Promise<void> => {
  for (const table of tables) await db.delete(table);
};

/** Fills an emptied database with the rows of a copy. */
const fill = async (db: Db, directory: string, generation: Generation, files: PictureFiles | null): Promise<void> => {
  await db.transaction(async (transaction) => {
    const tx = transaction as Db;
    await empty(tx);
    for await (const row of rowsIn(directory, generation)) await putRow(tx, row, files);
    await noteJournal(tx, generation.number);
  });
};

export const entriesAfter = (journal: JournalRead<Entry>, number: number) => journal.entries.filter((each) => each.number > number);

/** How many entries after a number are known to have been there, and cannot be read. */
export const missingAfter = (journal: JournalRead<Entry>, number: number): number =>
  Math.max(0, journal.next - 1 - number - entriesAfter(journal, number).length);

/** The newest copy that is whole; the others are left where they are. */
const newestWhole = async (directory: string): Promise<Generation | undefined> => {
  for (const generation of listGenerations(directory).sound) if (await isWhole(directory, generation)) return generation;
  return undefined;
};

const NOTHING = (directory: string): string =>
  `The data directory ${directory} has held a shelf of sets (begun ${begunIn(directory) ?? 'earlier'}), but neither its database nor a copy of it can be read.
Nothing was deleted; what was there is in its folder "aside".
If you have a copy of the directory, put it back and start again. To begin a new shelf, set PARLOR_DATA to another directory.`;

/** Makes the shelf of a data directory anew at another place. Nothing in the directory is changed.
 *  Errors: a StartError where there is neither a whole copy nor anything in the journal. */
export const rebuildAt = async (
  target: string,
  { directory, migrations, prepared }: OwnPlaces,
  files: PictureFiles | null,
): Promise<Rebuilt> => {
  rmSync(target, { recursive: true, force: true });
  const base = await newestWhole(directory);
  const hasJournal = existsSync(journalIn(directory)) && segmentsIn(journalIn(directory)).length > 0;
  if (!base && !hasJournal) throw new StartError(NOTHING(directory));
  const journal = readJournal<Entry>(journalIn(directory), base?.number ?? 0);
  const [first] = journal.entries;
  // A journal that is whole from the first entry on begins where the prepared shelf ends.
  const fromTheStart = first ? first.number === 1 : journal.next === 1;
  if (!base && !first && !fromTheStart) throw new StartError(NOTHING(directory));
  copyPrepared(prepared, target);
  const database = await openAt(target, migrations);
  try {
    if (base) await fill(database.db, directory, base, files);
    else if (!fromTheStart) await empty(database.db);
    const entries = entriesAfter(journal, base?.number ?? 0);
    await replay(database.db, entries, files);
    await database.db.execute(sql`checkpoint`);
    return { database, entries: entries.length, missing: missingAfter(journal, base?.number ?? 0) };
  } catch (problem) {
    await database.close().catch(() => undefined);
    throw problem;
  }
};
