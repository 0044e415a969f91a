// Reads everything that is kept and says what is whole; mends only when told.
import { createReadStream, existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { doSentEdits, readSet } from '@parlor/core/set';
import { makeOwnDirectory, readCopy, readJournal, renameDurably, takeLock } from '../disk/index.ts';
import { asideIn, begunIn, copiesIn, distrustIn, isWhole, journalIn, listGenerations, openOwn, picturesOf } from '../shelf/index.ts';
import { type Db, databaseIn, type Entry, faultOfFiles, openAt, pictures, rowsOf } from '../store/index.ts';
import type { Config } from './config.ts';
import { ownPlaces } from './openShelf.ts';
import type { Places } from './places.ts';

type Say = (line: string) => void;

const counted = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

const checkCopies = async ({ data }: Config, mend: boolean, say: Say): Promise<number> => {
  const { sound, damaged } = listGenerations(data);
  const broken = [...damaged];
  for (const generation of sound) {
    const whole = await isWhole(data, generation);
    const readable = whole && (await readAll(join(copiesIn(data), `${generation.name}.shelf`)));
    if (!readable) broken.push(generation.name);
    say(`${readable ? 'whole  ' : 'DAMAGED'} copy of ${generation.at} (${counted(generation.sets.length, 'set', 'sets')})`);
  }
  for (const name of damaged) say(`DAMAGED copy ${name}: its list cannot be read`);
  if (mend && broken.length > 0) {
    makeOwnDirectory(asideIn(data));
    for (const name of broken.flatMap((each) => [`${each}.shelf`, `${each}.json`]))
      if (existsSync(join(copiesIn(data), name))) renameDurably(join(copiesIn(data), name), join(asideIn(data), name));
    say(`mended  ${counted(broken.length, 'damaged copy', 'damaged copies')} put into ${asideIn(data)}`);
  }
  return broken.length;
};

const readAll = async (path: string): Promise<boolean> => {
  try {
    for await (const _ of readCopy(createReadStream(path)));
    return true;
  } catch {
    return false;
  }
};

const checkJournal = ({ data }: Config, say: Say): number => {
  const [oldest] = [...listGenerations(data).sound].reverse();
  const { entries, damage, gaps, unchained } = readJournal<Entry>(journalIn(data), oldest?.number ?? 0);
  const damaged = damage.filter(({ kind }) => kind === 'damaged');
  for (const { segment, from, bytes } of damaged) say(`DAMAGED journal ${segment}: ${bytes} bytes from ${from} on are no entry`);
  for (const { from, to } of gaps) say(`MISSING entries ${from} to ${to} of the journal`);
  for (const number of unchained) say(`DAMAGED entry ${number} of the journal does not follow the one before it`);
  say(
    `${damaged.length + gaps.length + unchained.length === 0 ? 'whole  ' : 'partly '} journal, ${counted(entries.length, 'entry', 'entries')}`,
  );
  return damaged.length + gaps.length + unchained.length;
};

const checkPictures = async ({ data }: Config, db: Db, say: Say): Promise<number> => {
  const files = picturesOf(data);
  const ids = (await db.select({ id: pictures.id }).from(pictures)).map(({ id }) => id);
  // Reading brings a damaged one back from its second file.
  const lost = ids.filter((id) => files.read(id) === null);
  for (const id of lost) say(`MISSING picture ${id.slice(0, 12)}…`);
  say(`${lost.length === 0 ? 'whole  ' : 'partly '} ${counted(ids.length, 'picture', 'pictures')}`);
  return lost.length;
};

const checkRows = async (db: Db, say: Say): Promise<number> => {
  let [sets, revisions, bad] = [0, 0, 0];
  let before: unknown;
  for await (const line of rowsOf(db, null)) {
    const row = JSON.parse(line);
    if (row.kind === 'set') sets += 1;
    if (row.kind === 'revision') revisions += 1;
    if (row.kind !== 'set' && row.kind !== 'revision') continue;
    // A save is the document whole, or the edits since the save before it.
    const document = row.document ?? doSentEdits(before, row.edits);
    before = row.kind === 'revision' ? document : undefined;
    if (!readSet(document).ok) {
      bad += 1;
      say(`DAMAGED ${row.kind === 'set' ? `set ${row.id}` : `save ${row.revision} of set ${row.set}`} is no document of this version`);
    }
  }
  say(`${bad === 0 ? 'whole  ' : 'partly '} database, ${counted(sets, 'set', 'sets')} with ${counted(revisions, 'save', 'saves')}`);
  return bad;
};

/** Opens a copy of nothing: the database itself, which nobody else may have open. */
const checkDatabase = async (config: Config, places: Places, say: Say): Promise<number> => {
  const target = databaseIn(config.data);
  const { probe, migrations } = ownPlaces(config, places);
  const opens = faultOfFiles(target) === null && (!probe || (await probe(target)));
  const database = opens ? await openAt(target, migrations).catch(() => null) : null;
  if (!database) {
    say('DAMAGED database: it does not open');
    return 1;
  }
  try {
    return (await checkRows(database.db, say)) + (await checkPictures(config, database.db, say));
  } catch {
    say('DAMAGED database: not all of it can be read');
    return 1;
  } finally {
    await database.close().catch(() => undefined);
  }
};

/** Checks a data directory. Gives back how many things are wrong with it. */
export const checkShelf = async (config: Config, places: Places, mend: boolean, say: Say): Promise<number> => {
  const { data } = config;
  if (begunIn(data) === null && !existsSync(databaseIn(data))) {
    say(`No shelf was begun in ${data}.`);
    return 0;
  }
  const lock = await takeLock(data);
  try {
    const copies = await checkCopies(config, mend && lock.ok, say);
    const journal = checkJournal(config, say);
    if (!lock.ok) {
      say('not read database: the application is running; stop it to have its database read too');
      return copies + journal;
    }
    const database = await checkDatabase(config, places, say);
    if (database === 0 || !mend) return copies + journal + database;
    writeFileSync(distrustIn(data), 'asked for');
    const { store, notices } = await openOwn(
      ownPlaces(config, places),
      false,
      () => new Date(),
      () => undefined,
    );
    await store.close();
    const missing = notices.reduce((sum, each) => sum + each.missing, 0);
    say(
      `mended  database made anew from the newest copy and the journal; ${counted(missing, 'save', 'saves')} missing; the old one is in ${asideIn(data)}`,
    );
    return copies + journal + missing;
  } finally {
    if (lock.ok) lock.value.release();
  }
};

/** A place that is gone when the work is done. */
export const withScratch = async <T>(work: (directory: string) => Promise<T>): Promise<T> => {
  const directory = mkdtempSync(join(tmpdir(), 'parlor-shelf-'));
  try {
    return await work(directory);
  } finally {
    rmSync(directory, { recursive: true, force: true });
  }
};
