import type { Log } from '../http/index.ts';
import { isBare, markOnce, openDatabase, openServer, openStore, purgeAway, type Store, serverStore, takeLock } from '../store/index.ts';
import type { Config } from './config.ts';
import type { Places } from './places.ts';
import { layOutDemo } from './prepare.ts';

const openOwn = async (config: Config, places: Places, log: Log): Promise<Store> => {
  const lock = takeLock(config.data);
  if (!lock.ok) {
    throw new Error(
      `The data directory ${config.data} is in use by another Bashful Parlor (process ${lock.error.pid}).\nStop that one first, or set PARLOR_DATA to another directory.`,
    );
  }
  const { release } = lock.value;
  try {
    const database = await openDatabase(config.data, places.migrations, places.prepared);
    const { store, replayed, torn } = await openStore(database, config.data);
    if (replayed > 0 || torn > 0) log({ level: 'warn', event: 'journal-replayed', entries: replayed, torn });
    return { ...store, close: () => store.close().finally(release) };
  } catch (problem) {
    release();
    throw problem;
  }
};

const openElsewhere = async (url: string, places: Places, log: Log): Promise<Store> => {
  const database = await openServer(url, places.migrations, () => log({ level: 'warn', event: 'database-connection-lost' }));
  const store = serverStore(database);
  // Of several processes that start at once, one lays out the demo sets.
  const { first } = await markOnce(store.db, 'demo', 'laid out');
  if (first && (await isBare(store.db))) await layOutDemo(store, places.demo, new Date());
  return store;
};

const DAY = 86_400_000;

/** Opens the shelf of sets wherever it is kept; what was off the shelf for too long is forgotten now and once a day. */
export const openShelf = async (config: Config, places: Places, log: Log): Promise<Store> => {
  const store = config.databaseUrl ? await openElsewhere(config.databaseUrl, places, log) : await openOwn(config, places, log);
  const purge = () => purgeAway(store, new Date()).catch(() => log({ level: 'warn', event: 'purge-failed' }));
  await purge();
  const timer = setInterval(() => void purge(), DAY);
  timer.unref();
  return {
    ...store,
    close: () => {
      clearInterval(timer);
      return store.close();
    },
  };
};
