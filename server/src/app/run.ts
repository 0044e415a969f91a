import type { Server } from 'node:http';
import { hostname } from 'node:os';
import { createApp, type Door, type Log, makeDoor, namesOf, newSalt } from '../http/index.ts';
import { markOnce, type Store } from '../store/index.ts';
import type { Config } from './config.ts';
import { listen } from './listen.ts';
import { openShelf } from './openShelf.ts';
import type { Places } from './places.ts';

/** A running application and the way to stop it. */
type Running = { readonly address: string; readonly moved: boolean; readonly stop: () => Promise<void> };

const closeServer = (server: Server): Promise<void> =>
  new Promise((resolve) => {
    server.close(() => resolve());
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  });

const openDoor = async (store: Store, phrase: string | null): Promise<Door | null> => {
  if (phrase === null) return null;
  const { value } = await markOnce(store.db, 'session-salt', newSalt());
  return makeDoor(phrase, value, Date.now);
};

/** Starts the application: the shelf with its lock, the door, the port, in this order, and undoes them in the other.
 *  Throws when another process has the data directory, naming it. */
export const run = async (config: Config, places: Places, log: Log): Promise<Running> => {
  const store = await openShelf(config, places, log);
  try {
    const names = config.onNetwork ? [...config.names, hostname(), `${hostname()}.local`] : config.names;
    const app = createApp({
      store,
      webRoot: places.web,
      log,
      door: await openDoor(store, config.phrase),
      answersTo: namesOf(names, config.onNetwork),
      clock: () => new Date(),
    });
    const { server, port } = await listen(app.callback(), config.host, config.port);
    const stop = async () => {
      await closeServer(server);
      await store.close();
    };
    const host = config.host.includes(':') ? `[${config.host}]` : config.host;
    return { address: `http://${host}:${port}/`, moved: config.port !== 0 && port !== config.port, stop };
  } catch (problem) {
    await store.close();
    throw problem;
  }
};
