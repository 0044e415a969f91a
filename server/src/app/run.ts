import type { Server } from 'node:http';
import { hostname } from 'node:os';
import { createApp, type Door, type Log, makeDoor, namesOf, newSalt } from '../http/index.ts';
import { documentReader, pictureReader } from '../reading/index.ts';
import { StartError } from '../shelf/index.ts';
import { markOnce, type Store } from '../store/index.ts';
import type { Config } from './config.ts';
import { listen } from './listen.ts';
import { openShelf } from './openShelf.ts';
import type { Places } from './places.ts';

/** A running application and the way to stop it. `told` is what whoever started it should read. */
type Running = { readonly address: string; readonly told: readonly string[]; readonly stop: () => Promise<void> };

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

const OPEN_AIR = `Others on the network reach this without encryption: whoever can listen on the way reads the pass phrase and your sets.
At home that may be well; elsewhere put a server with TLS before it (README, "On a network").`;

/** Why nobody can be listened to, in words. */
const portError = (problem: unknown, { host, port }: Config): unknown => {
  const { code } = problem as NodeJS.ErrnoException;
  if (code === 'EACCES')
    return new StartError(
      `Port ${port} is not for this account (ports below 1024 mostly are not).\nSet PORT to another one, such as 5180.`,
    );
  if (code === 'EADDRINUSE') return new StartError(`Port ${port} and the twenty after it are busy.\nSet PORT to another one.`);
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND')
    return new StartError(`${host} is no address of this machine.\nSet PARLOR_HOST to one of its addresses, or leave it out.`);
  return problem;
};

/** Starts the application: the shelf with its lock, the door, the port, in this order, and undoes them in the other.
 *  Throws a StartError with a way on when the data directory or the port cannot be used. */
export const run = async (config: Config, places: Places, log: Log): Promise<Running> => {
  const { store, desk } = await openShelf(config, places, log);
  const documents = documentReader(places.documentReader);
  const pictures = pictureReader(places.pictureReader);
  const closeReaders = (): void => {
    documents.close();
    pictures.close();
  };
  try {
    const names = config.onNetwork ? [...config.names, hostname(), `${hostname()}.local`] : config.names;
    const app = createApp({
      ...{ store, desk, documents, pictures, log },
      webRoot: places.web,
      door: await openDoor(store, config.phrase),
      answersTo: namesOf(names, config.onNetwork),
      proxies: new Set(config.proxies),
      clock: () => new Date(),
    });
    const { server, port } = await listen(app.callback(), config.host, config.port).catch((problem) => {
      throw portError(problem, config);
    });
    const stop = async () => {
      await closeServer(server);
      closeReaders();
      await store.close();
    };
    const host = config.host.includes(':') ? `[${config.host}]` : config.host;
    const told = [
      ...(config.port !== 0 && port !== config.port ? [`Port ${config.port} is busy, so the next free one is used.`] : []),
      ...(config.onNetwork && config.proxies.length === 0 ? [OPEN_AIR] : []),
      ...(desk.notices().length > 0 ? ['The shelf has something to tell about what was found; it stands on the page of sets.'] : []),
    ];
    return { address: `http://${host}:${port}/`, told, stop };
  } catch (problem) {
    closeReaders();
    await store.close();
    throw problem;
  }
};
