// Opens the shelf in a data directory: its database, or, where that cannot be read or holds less than it must, one made anew from the newest whole
// copy and the journal. Nothing that is found damaged is deleted.
import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { eq, isNotNull } from 'drizzle-orm';
import {
  type JournalRead,
  makeOwnDirectory,
  openJournal,
  putDamageAside,
  readJournal,
  removeDurably,
  renameDurably,
  segmentsIn,
  writeDurably,
} from '../disk/index.ts';
import {
  copyPrepared,
  type Database,
  type Db,
  databaseIn,
  type Entry,
  faultOfFiles,
  journalMark,
  noteJournal,
  openAt,
  type PictureFiles,
  pictures,
  type Store,
} from '../store/index.ts';
import { copyKeeper } from './copyKeeper.ts';
import { expectedOf, missingFrom } from './expected.ts';
import { copiesIn, type Generation, listGenerations } from './generations.ts';
import { addNotices, type Notice } from './notices.ts';
import { ownStore, replay } from './ownStore.ts';
import { asideIn, begunIn, isDistrusted, journalIn, markBegun, type OwnPlaces, picturesOf } from './places.ts';
import { entriesAfter, missingAfter, rebuildAt } from './rebuild.ts';

/** What came of opening. */
export type OpenedOwn = {
  readonly store: Store;
  readonly replayed: number;
  readonly notices: readonly Notice[];
  /** Makes a copy of the shelf where the newest is not of today and something was changed since. */
  readonly copyIfDue: () => Promise<void>;
};

type Found = { readonly generations: readonly Generation[]; readonly journal: JournalRead<Entry>; readonly journalBegins: number };

/** A place for what is put aside at this start, made when it is first needed. */
const asideFor = (directory: string, at: Date): (() => string) => {
  const place = join(asideIn(directory), at.toISOString().slice(0, 19).replaceAll(':', ''));
  return () => {
    makeOwnDirectory(place);
    return place;
  };
};

type Fault = { readonly fault: string };
type Current = { readonly known: number; readonly replayed: number };
type Tried = (Current & { readonly database: Database }) | Fault;

/** Brings a database up to the journal and compares it with what it must hold. */
const bringUp = async (db: Db, files: PictureFiles, { generations, journal }: Found): Promise<Current | Fault> => {
  const [newest] = generations;
  const known = await journalMark(db);
  // A checkpoint comes before each copy: a database that knows less than the newest one is another, or has lost what it had.
  if (newest && known < newest.number) return { fault: 'older than the newest copy' };
  const replayed = await replay(db, journal.entries, files);
  const since = newest ? entriesAfter(journal, newest.number) : journal.entries;
  if ((await missingFrom(db, expectedOf(newest, since))) > 0) return { fault: 'holds less than it must' };
  // What can be read but not written is damaged too. What is missing is told this once, and not again.
  await noteJournal(db, Math.max(await journalMark(db), journal.next - 1));
  return { known, replayed };
};

/** Opens what stands there. Only what was not closed in order is opened with care: the rest is quick. */
const tryOpen = async (places: OwnPlaces, files: PictureFiles, found: Found, unclean: boolean): Promise<Tried> => {
  const target = databaseIn(places.directory);
  const fault = faultOfFiles(target) ?? (isDistrusted(places.directory) ? 'damaged' : null);
  if (fault) return { fault };
  if (unclean && places.probe && !(await places.probe(target))) return { fault: 'does not open' };
  let database: Database | undefined;
  try {
    database = await openAt(target, places.migrations);
    const came = await bringUp(database.db, files, found);
    if ('known' in came) return { ...came, database };
    await database.close();
    return came;
  } catch (problem) {
    await database?.close().catch(() => undefined);
    // A shortage of room or files is no fault of the database's.
    if (/^E(NOSPC|DQUOT|MFILE|NFILE|ROFS|ACCES|PERM)$/.test(String((problem as { code?: unknown }).code))) throw problem;
    return { fault: 'does not open' };
  }
};

/** Pictures used to stand in the database; each gets its file, then the database lets go of it. */
const movePicturesOut = async (db: Db, files: PictureFiles): Promise<void> => {
  for (const { id } of await db.select({ id: pictures.id }).from(pictures).where(isNotNull(pictures.bytes))) {
    const [row] = await db.select({ bytes: pictures.bytes }).from(pictures).where(eq(pictures.id, id));
    if (row?.bytes) files.write(id, row.bytes);
    await db.update(pictures).set({ bytes: null }).where(eq(pictures.id, id));
  }
};

type NoteMaker = (what: Notice['what'], why: string, aside: string | null, entries: number, missing: number) => Notice;

const noteAt =
  (at: Date): NoteMaker =>
  (what, why, aside, entries, missing) => ({ id: randomUUID(), at: at.toISOString(), what, why, aside, entries, missing });

/** What damage of the journal costs. Told are only entries that the database does not have. */
const journalNotices = (journal: JournalRead<Entry>, known: number, place: string | null, note: NoteMaker): readonly Notice[] => {
  const missing = missingAfter(journal, known);
  const damaged = journal.damage.some(({ kind }) => kind === 'damaged') || journal.unchained.length > 0;
  if (missing > 0) return [note('entries-missing', damaged ? 'damaged' : 'gone', place, 0, missing)];
  return damaged ? [note('journal-damaged', 'damaged', place, 0, 0)] : [];
};

const lookAround = (directory: string): Found => {
  const generations = listGenerations(directory).sound;
  const segments = segmentsIn(journalIn(directory));
  return {
    generations,
    journal: readJournal<Entry>(journalIn(directory), generations[0]?.number ?? 0),
    journalBegins: Number(segments[0]?.slice(0, 12) ?? 1),
  };
};

/** The database is put aside, and the journal as it is copied beside it, whatever is trimmed later. */
const putAside = (directory: string, place: string): void => {
  if (existsSync(databaseIn(directory))) renameDurably(databaseIn(directory), join(place, 'database'));
  for (const segment of segmentsIn(journalIn(directory))) {
    const path = join(journalIn(directory), segment);
    if (statSync(path).isFile() && statSync(path).size > 0) writeDurably(join(place, segment), readFileSync(path));
  }
};

type Base = { readonly database: Database; readonly replayed: number; readonly notices: readonly Notice[] };

const openOrRebuild = async (places: OwnPlaces, files: PictureFiles, found: Found, unclean: boolean, at: Date): Promise<Base> => {
  const { directory, migrations } = places;
  const [note, place] = [noteAt(at), asideFor(directory, at)];
  const damaged = found.journal.damage.length > 0;
  if (damaged) putDamageAside(journalIn(directory), found.journal.damage, place());
  const tried = await tryOpen(places, files, found, unclean);
  if ('database' in tried) {
    const { database, replayed, known } = tried;
    return { database, replayed, notices: journalNotices(found.journal, known, damaged ? place() : null, note) };
  }
  putAside(directory, place());
  const unfinished = `${databaseIn(directory)}.rebuilt`;
  const { database, entries, missing } = await rebuildAt(unfinished, places, files);
  await database.close();
  renameDurably(unfinished, databaseIn(directory));
  removeDurably(directory, ['distrusted']);
  const opened = await openAt(databaseIn(directory), migrations);
  await noteJournal(opened.db, Math.max(await journalMark(opened.db), found.journal.next - 1));
  return { database: opened, replayed: entries, notices: [note('rebuilt', tried.fault, place(), entries, missing)] };
};

const isFirst = (directory: string, { generations, journal, journalBegins }: Found): boolean =>
  begunIn(directory) === null &&
  generations.length === 0 &&
  journal.entries.length === 0 &&
  journal.damage.length === 0 &&
  journalBegins === 1 &&
  !existsSync(databaseIn(directory));

/** The first database of a directory. What an earlier start left unfinished is put aside: it may be all that somebody has. */
const beginHere = ({ directory, prepared }: OwnPlaces, at: Date): void => {
  const left = `${databaseIn(directory)}.unfinished`;
  if (existsSync(left)) renameDurably(left, join(asideFor(directory, at)(), 'database.unfinished'));
  copyPrepared(prepared, databaseIn(directory));
};

/** Files that were being written or brought in when the application ended. */
const sweep = (directory: string): void => {
  const unfinished = (name: string): boolean => /^incoming-|\.unfinished$/.test(name);
  removeDurably(
    directory,
    readdirSync(directory).filter((name) => name.startsWith('incoming-')),
  );
  for (const place of [copiesIn(directory), join(directory, 'pictures')]) removeDurably(place, readdirSync(place).filter(unfinished));
};

/** Opens the shelf in a data directory whose lock is held. `unclean` says that whoever held it before did not close it.
 *  Errors: a StartError where nothing can be read at all. */
export const openOwn = async (
  places: OwnPlaces,
  unclean: boolean,
  clock: () => Date,
  onFault: (problem: unknown) => void,
): Promise<OpenedOwn> => {
  const { directory, migrations } = places;
  makeOwnDirectory(journalIn(directory));
  const files = picturesOf(directory);
  sweep(directory);
  const found = lookAround(directory);
  if (isFirst(directory, found)) beginHere(places, clock());
  // From here on nothing that is missing is taken for a shelf that never was.
  if (begunIn(directory) === null) markBegun(directory, clock());
  const { database, replayed, notices } = await openOrRebuild(places, files, found, unclean, clock());
  addNotices(directory, notices);
  await movePicturesOut(database.db, files);
  const next = Math.max((await journalMark(database.db)) + 1, found.journal.next);
  const [newest] = found.generations;
  const journal = openJournal<Entry>(journalIn(directory), next, found.journal.chain, newest?.number ?? 0);
  const reopen = async (): Promise<Database> => {
    const again = await openAt(databaseIn(directory), migrations);
    await replay(again.db, readJournal<Entry>(journalIn(directory), await journalMark(again.db)).entries, files);
    return again;
  };
  const keeper = copyKeeper({ directory, journal, files, newest, clock, onFault });
  const store = ownStore({
    ...{ database, journal, pictures: files, reopen, onFault },
    recorded: () => keeper.recorded(store),
    close: async () => {
      await keeper.settled();
      journal.close();
    },
  });
  return { store, replayed, notices, copyIfDue: () => keeper.copyIfDue(store) };
};
