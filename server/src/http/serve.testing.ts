// An application on a port of its own, for tests, with ways to ask it politely and rudely.
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freshStore, root } from '../fresh.testing.ts';
import { documentReader, pictureReader } from '../reading/index.ts';
import { dropNotice, readNotices } from '../shelf/index.ts';
import type { Store } from '../store/index.ts';
import { createApp, type Door, type LogEntry, namesOf, type ShelfDesk } from './index.ts';

/** What answers may hold, as far as the checks look. */
export type Body = {
  readonly id: string;
  readonly revision: number;
  readonly sets: readonly { readonly id: string; readonly name: string; readonly until: string }[];
  readonly revisions: readonly { readonly revision: number; readonly words: string; readonly savedAt: string }[];
  readonly document: { readonly name: string };
  readonly error: {
    readonly code: string;
    readonly seconds: number;
    readonly issues: readonly { readonly path: string; readonly message: string }[];
  };
  readonly presets: readonly { readonly id: string; readonly piece: unknown }[];
  readonly piece: unknown;
};

export type Answer = { readonly status: number; readonly body: Body; readonly headers: Headers };
export type Raw = { readonly status: number; readonly text: string; readonly headers: Record<string, string | string[] | undefined> };

export type Served = {
  readonly base: string;
  readonly directory: string;
  readonly store: Store;
  readonly log: readonly LogEntry[];
  readonly ask: (method: string, path: string, body?: unknown, headers?: Record<string, string>) => Promise<Answer>;
  /** Any bytes under any headers. */
  readonly raw: (method: string, path: string, headers: Record<string, string>, body?: Buffer | string) => Promise<Raw>;
  readonly stop: () => Promise<void>;
};

export type Wishes = {
  readonly door?: Door | null;
  readonly clock?: () => Date;
  readonly answersTo?: (host: string) => boolean;
  readonly store?: Store;
  readonly proxies?: readonly string[];
};

export const serve = async ({
  door = null,
  clock = () => new Date(),
  answersTo = namesOf([], false),
  store: given,
  proxies = [],
}: Wishes = {}): Promise<Served> => {
  const directory = mkdtempSync(join(tmpdir(), 'parlor-http-'));
  const webRoot = join(directory, 'web');
  mkdirSync(join(webRoot, 'assets'), { recursive: true });
  writeFileSync(join(webRoot, 'index.html'), '<title>start page</title>');
  writeFileSync(join(webRoot, 'assets/x-123.js'), 'x');
  const store = given ?? (await freshStore(directory)).store;
  const log: LogEntry[] = [];
  const documents = documentReader(join(root, 'server/dist/readerMain.js'));
  const pictures = pictureReader(join(root, 'server/dist/pictureMain.js'));
  const desk: ShelfDesk = {
    notices: () => readNotices(directory),
    dropNotice: (id) => dropNotice(directory, id),
    newestCopy: () => null,
    incoming: directory,
  };
  const app = createApp({
    ...{ store, desk, documents, pictures, webRoot, door, answersTo, clock },
    log: (entry) => log.push(entry),
    proxies: new Set(proxies),
  });
  const server = createServer(app.callback()).listen(0, '127.0.0.1');
  await new Promise((ready) => server.once('listening', ready));
  // On a machine that is busy for seconds a connection kept for the next request must not be dropped just when that is sent.
  server.keepAliveTimeout = 60_000;
  const { port } = server.address() as AddressInfo;
  const base = `http://127.0.0.1:${port}`;
  const ask: Served['ask'] = async (method, path, body, headers = {}) => {
    const response = await fetch(base + path, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    return { status: response.status, body: (await response.json().catch(() => null)) as Body, headers: response.headers };
  };
  const raw: Served['raw'] = (method, path, headers, body) =>
    new Promise((answered, failed) => {
      const asked = request({ host: '127.0.0.1', port, method, path, headers }, (response) => {
        let text = '';
        response.setEncoding('utf8');
        response.on('data', (chunk: string) => {
          text += chunk;
        });
        response.on('end', () => answered({ status: response.statusCode ?? 0, text, headers: response.headers }));
        response.on('error', failed);
      });
      asked.on('error', failed);
      asked.end(body);
    });
  const stop = async () => {
    server.closeAllConnections();
    server.close();
    documents.close();
    pictures.close();
    await store.close();
  };
  return { base, directory, store, log, ask, raw, stop };
};
