import { createServer, type RequestListener, type Server } from 'node:http';

/** So many connections at one time, and no more files than a process may have open. */
const MOST_CONNECTIONS = 400;

/** Whoever sends slowly is waited for so long: the head of a request, all of it (a large copy over a slow line), silence in between. */
const PATIENCE = { headers: 10_000, request: 900_000, silence: 60_000, look: 2_000 };

const tryPort = (handler: RequestListener, host: string, port: number): Promise<Server> =>
  new Promise((resolve, reject) => {
    const server = createServer(
      { headersTimeout: PATIENCE.headers, requestTimeout: PATIENCE.request, connectionsCheckingInterval: PATIENCE.look },
      handler,
    );
    server.maxConnections = MOST_CONNECTIONS;
    server.timeout = PATIENCE.silence;
    server.once('error', reject);
    server.listen(port, host, () => resolve(server));
  });

/** Listens on the wished port, or on the next free one after it (twenty are tried). */
export const listen = async (
  handler: RequestListener,
  host: string,
  wished: number,
): Promise<{ readonly server: Server; readonly port: number }> => {
  for (let port = wished; ; port += 1) {
    try {
      const server = await tryPort(handler, host, port);
      const address = server.address();
      return { server, port: typeof address === 'object' && address !== null ? address.port : port };
    } catch (problem) {
      if ((problem as NodeJS.ErrnoException).code !== 'EADDRINUSE' || port >= wished + 20) throw problem;
    }
  }
};
