// When copies of the shelf are made: whenever the journal has grown long, and once a day on which something was changed.
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { type Journal, writeDurably } from '../disk/index.ts';
import { codeOf, type Entry, type PictureFiles, type Store } from '../store/index.ts';
import { dropOldGenerations, type Generation, writeGeneration } from './generations.ts';

/** Beyond this many bytes of journal, and as many as the newest copy has, a new copy is made and the journal is trimmed. */
const TRIM_AT = 8_000_000;
/** Every start begins a segment; beyond so many a new copy is made at the next start, for each start reads them all. */
const MOST_SEGMENTS = 40;

type Parts = {
  readonly directory: string;
  readonly journal: Journal<Entry>;
  readonly files: PictureFiles;
  readonly newest: Generation | undefined;
  readonly clock: () => Date;
  readonly onFault: (problem: unknown) => void;
};

/** Data that the database itself finds damaged (PostgreSQL's XX001 and XX002). */
const isDamage = (problem: unknown): boolean => /^XX00[12]$/.test(codeOf(problem));

export const copyKeeper = ({ directory, journal, files, newest: found, clock, onFault }: Parts) => {
  let newest = found;
  let settling: Promise<void> | null = null;
  /** A new copy; then what it makes needless is dropped: older copies, and the journal up to the oldest that is kept. */
  const settle = async (store: Store): Promise<void> => {
    // Inside a transaction no save is under way: what stands in the older segments is in the database.
    const number = await store.transaction(async () => journal.turn());
    await store.db.execute(sql`vacuum`);
    await store.db.execute(sql`checkpoint`);
    newest = await writeGeneration(store.db, directory, number, clock());
    const kept = dropOldGenerations(directory);
    files.keepSeconds(new Set(kept.flatMap((each) => each.pictures)));
    journal.dropBefore(Math.min(...kept.map((each) => each.number)));
  };
  const soon = (store: Store): Promise<void> => {
    settling ??= settle(store)
      .catch((problem) => {
        onFault(problem);
        // Nothing is wrong yet that a copy and the journal could not mend; the next start does.
        if (isDamage(problem)) writeDurably(join(directory, 'distrusted'), clock().toISOString());
      })
      .then(() => {
        settling = null;
      });
    return settling;
  };
  return {
    recorded: (store: Store): void => {
      if (journal.size() > Math.max(TRIM_AT, newest?.bytes ?? 0)) void soon(store);
    },
    copyIfDue: async (store: Store): Promise<void> => {
      const today = clock().toISOString().slice(0, 10);
      const old = newest && newest.at.slice(0, 10) !== today && journal.last() > newest.number;
      if (!newest || old || journal.segments() > MOST_SEGMENTS) await soon(store);
    },
    settled: async (): Promise<void> => {
      await settling;
    },
  };
};
