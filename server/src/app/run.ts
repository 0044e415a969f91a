import type { Server } from 'node:http';
import { createApp } from '../http/index.ts';
import { openDatabase, takeLock } from '../store/index.ts';
import type { Config } from './config.ts';
import { listen } from './listen.ts';
import type { Places } from './places.ts';

/** A running application and the way to stop it. */
export type Running = { readonly address: string; readonly moved: boolean; readonly stop: () => Promise<void> };

const closeServer = (server: Server): Promise<void> =>
  new Promise((resolve) => {
    server.close(() => resolve());
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  });

/** Starts the application: lock, database, port, in this order, and undoes them in the other.
 *  Throws when another process has the data directory, naming it. */
export const run = async (config: Config, places: Places, log: (line: string) => void): Promise<Running> => {
  const lock = takeLock(config.data);
  if (!lock.ok) {
    throw new Error(
      `The data directory ${config.data} is in use by another Bashful Parlor (process ${lock.error.pid}).\nStop that one first, or set PARLOR_DATA to another directory.`,
    );
  }
  try {
    const database = await openDatabase(config.data, places.migrations, places.prepared);
    const { server, port } = await listen(createApp(database, places.web, log).callback(), config.host, config.port);
    const stop = async () => {
      await closeServer(server);
      await database.close();
      lock.value.release();
    };
    const host = config.host.includes(':') ? `[${config.host}]` : config.host;
    return { address: `http://${host}:${port}/`, moved: config.port !== 0 && port !== config.port, stop };
  } catch (problem) {
    lock.value.release();
    throw problem;
  }
};
