import { accessSync, constants, existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeDirectory, takeLock } from '../disk/index.ts';
import { faultDetails, type Log, type ShelfDesk } from '../http/index.ts';
import {
  copiesIn,
  dropNotice,
  listGenerations,
  type Notice,
  type OwnPlaces,
  openOwn,
  picturesOf,
  readNotices,
  rebuildAt,
  StartError,
  startErrorFor,
} from '../shelf/index.ts';
import { collectPictures, countDay, isBare, markOnce, openServer, purgeAway, type Store, serverStore } from '../store/index.ts';
import type { Config } from './config.ts';
import { layOutDemo } from './layOutDemo.ts';
import type { Places } from './places.ts';
import { probeWith } from './probe.ts';
import { weeklyCopy } from './weeklyCopy.ts';

/** An open shelf, what lies about it, and what is done for it once a day. */
export type Shelf = { readonly store: Store; readonly desk: ShelfDesk; readonly daily: () => Promise<void> };

export const ownPlaces = ({ data }: Config, { migrations, prepared, probe }: Places): OwnPlaces => ({
  ...{ directory: data, migrations, prepared },
  probe: existsSync(probe) ? probeWith(probe, migrations) : null,
});

/** Takes the data directory.
 *  Errors: a StartError that names who has it, or what is wrong with the directory. */
export const lockData = async (data: string, log: Log) => {
  const lock = await takeLock(data, () => log({ level: 'warn', event: 'waiting-for-another', data })).catch((problem) => {
    throw startErrorFor(data, problem);
  });
  if (lock.ok) return lock.value;
  const { pid, host } = lock.error;
  throw new StartError(
    `The data directory ${data} is in use by another Bashful Parlor (process ${pid}${host === '' ? '' : ` on ${host}`}).\nStop that one first, or set PARLOR_DATA to another directory.`,
  );
};

const deskIn = (directory: string, more: readonly Notice[] = []): ShelfDesk => ({
  notices: () => [...more, ...readNotices(directory)],
  dropNotice: (id) => dropNotice(directory, id),
  newestCopy: () => (existsSync(copiesIn(directory)) ? (listGenerations(directory).sound[0]?.at ?? null) : null),
  incoming: directory,
});

const onFault = (log: Log) => (problem: unknown) => log({ level: 'error', event: 'storage-fault', ...faultDetails(problem) });

const openHere = async (config: Config, places: Places, log: Log): Promise<Shelf> => {
  const lock = await lockData(config.data, log);
  try {
    const { store, replayed, notices, copyIfDue } = await openOwn(ownPlaces(config, places), lock.stale, () => new Date(), onFault(log));
    if (replayed > 0) log({ level: 'warn', event: 'journal-replayed', entries: replayed });
    for (const { what, why, aside, entries, missing } of notices)
      log({ level: 'warn', event: what, why, aside: aside ?? undefined, entries, missing });
    return { store: { ...proxied(store), close: () => store.close().finally(lock.release) }, desk: deskIn(config.data), daily: copyIfDue };
  } catch (problem) {
    lock.release();
    throw startErrorFor(config.data, problem);
  }
};

/** The same store under another object; its database may be another one later. */
const proxied = (store: Store): Omit<Store, 'close'> => ({
  get db() {
    return store.db;
  },
  pictures: store.pictures,
  hasWhole: store.hasWhole,
  transaction: store.transaction,
  record: store.record,
});

const READ_ONLY = new Set(['ENOSPC', 'EDQUOT', 'EROFS']);

const codeIn = (problem: unknown): string => String((problem as { readonly code?: unknown } | null)?.code ?? '');

/** Where the disk takes nothing, the shelf is made anew elsewhere, for reading: everything can be looked at, printed and taken out as files. */
const openForReading = async (config: Config, places: Places, why: string): Promise<Shelf> => {
  const target = join(mkdtempSync(join(tmpdir(), 'parlor-reading-')), 'database');
  const { database } = await rebuildAt(target, { ...ownPlaces(config, places), probe: null }, null);
  const pictures = picturesOf(config.data);
  const refuse = (): never => {
    throw Object.assign(new Error('for reading only'), { code: 'EROFS' });
  };
  const store: Store = { ...serverStore(database), pictures, transaction: async () => refuse(), record: async () => refuse() };
  const notice: Notice = {
    id: 'reading-only',
    at: new Date().toISOString(),
    what: 'reading-only',
    why,
    aside: null,
    entries: 0,
    missing: 0,
  };
  return {
    store,
    desk: { ...deskIn(config.data, [notice]), dropNotice: () => undefined, incoming: tmpdir() },
    daily: async () => undefined,
  };
};

const openOwnShelf = async (config: Config, places: Places, log: Log): Promise<Shelf> => {
  try {
    makeDirectory(config.data);
    accessSync(config.data, constants.R_OK | constants.W_OK | constants.X_OK);
    return await openHere(config, places, log);
  } catch (problem) {
    const code = codeIn(problem) || codeIn((problem as { cause?: unknown }).cause);
    if (!READ_ONLY.has(code) || !existsSync(copiesIn(config.data))) throw startErrorFor(config.data, problem);
    log({ level: 'error', event: 'reading-only', code });
    return openForReading(config, places, code).catch(() => {
      throw startErrorFor(config.data, problem);
    });
  }
};

const openElsewhere = async (url: string, places: Places, log: Log): Promise<Shelf> => {
  const database = await openServer(url, places.migrations, () => log({ level: 'warn', event: 'database-connection-lost' })).catch(
    (problem) => {
      throw new StartError(
        `The PostgreSQL server that DATABASE_URL names cannot be used (${codeIn(problem) || codeIn((problem as { cause?: unknown }).cause) || 'no answer'}).\nIs it running, and may this account use that database?`,
      );
    },
  );
  const store = serverStore(database);
  // Of several processes that start at once, one lays out the demo sets.
  const { first } = await markOnce(store.db, 'demo', 'laid out');
  if (first && (await isBare(store.db))) await layOutDemo(store, places.demo, new Date());
  const desk: ShelfDesk = { notices: () => [], dropNotice: () => undefined, newestCopy: () => null, incoming: tmpdir() };
  return { store, desk, daily: async () => undefined };
};

/** How often it is looked whether a day has begun. */
const HOUR = 3_600_000;

/** What is done once a day: the day is counted, what was off the shelf for too long and pictures that nothing names are forgotten, copies are made. */
const everyDay = async ({ store, daily }: Shelf, config: Config): Promise<void> => {
  await countDay(store.db, new Date().toISOString().slice(0, 10));
  await purgeAway(store, new Date());
  await collectPictures(store);
  await daily();
  if (config.keep !== null) await weeklyCopy(store, config.keep, new Date());
};

/** Opens the shelf of sets wherever it is kept. */
export const openShelf = async (config: Config, places: Places, log: Log): Promise<Shelf> => {
  const shelf = config.databaseUrl ? await openElsewhere(config.databaseUrl, places, log) : await openOwnShelf(config, places, log);
  let running: Promise<void> = Promise.resolve();
  const look = () => {
    running = running
      .then(() => everyDay(shelf, config))
      .catch((problem) => log({ level: 'warn', event: 'daily-work-failed', ...faultDetails(problem) }));
  };
  look();
  const timer = setInterval(look, HOUR);
  timer.unref();
  const { store } = shelf;
  const close = async (): Promise<void> => {
    clearInterval(timer);
    await running;
    await store.close();
  };
  return { ...shelf, store: { ...proxied(store), close } };
};
