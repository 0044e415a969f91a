import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Database, openDatabase } from '../store/index.ts';
import { createApp } from './index.ts';

const root = resolve(import.meta.dirname, '../../..');
const directory = mkdtempSync(join(tmpdir(), 'parlor-http-'));
const web = join(directory, 'web');
const log: string[] = [];
let database: Database;
let server: Server;
let base: string;

beforeAll(async () => {
  mkdirSync(join(web, 'assets'), { recursive: true });
  writeFileSync(join(web, 'index.html'), '<title>start page</title>');
  writeFileSync(join(web, 'assets/x-123.js'), 'x');
  database = await openDatabase(directory, join(root, 'server/migrations'), join(root, 'server/dist/prepared'));
  server = createServer(createApp(database, web, (line) => log.push(line)).callback()).listen(0, '127.0.0.1');
  await new Promise((ready) => server.once('listening', ready));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  server.close();
  await database.close();
});

/** What answers may hold, as far as the checks below look. */
type Body = {
  readonly id: string;
  readonly sets: readonly { readonly id: string }[];
  readonly document: { readonly name: string };
  readonly error: { readonly issues: readonly { readonly path: string }[] };
};

const ask = async (method: string, path: string, body?: unknown) => {
  const response = await fetch(base + path, {
    method,
    ...(body === undefined
      ? {}
      : { headers: { 'content-type': 'application/json' }, body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  return { status: response.status, body: (await response.json().catch(() => null)) as Body, headers: response.headers };
};

const document = { format: 'bashful-parlor-set', version: 1, name: 'Attic', pieces: [{ name: 'chest' }] };

describe('sets over HTTP', () => {
  it('begin with the three demo sets', async () => {
    const { body } = await ask('GET', '/api/sets');
    expect(body.sets.map(({ id }: { id: string }) => id)).toEqual(['harbour-post-office', 'potting-shed', 'night-ferry-hall']);
  });

  it('are made, read, saved over the revision they are based on', async () => {
    const made = await ask('POST', '/api/sets', { document });
    expect(made).toMatchObject({ status: 201, body: { revision: 1, document: { pieces: [{ id: 'piece-1', mark: 1 }] } } });
    const saved = await ask('PUT', `/api/sets/${made.body.id}`, { basedOn: 1, document: { ...made.body.document, name: 'Loft' } });
    expect(saved).toMatchObject({ status: 200, body: { revision: 2 } });
    const read = await ask('GET', `/api/sets/${made.body.id}`);
    expect(read.body).toMatchObject({ revision: 2, document: { name: 'Loft' } });
  });

  it('a stale save is refused with 409 and changes nothing', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    await ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document: { ...document, name: 'theirs' } });
    expect(await ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document: { ...document, name: 'mine' } })).toMatchObject({
      status: 409,
      body: { error: { code: 'stale-revision', revision: 2 } },
    });
    expect((await ask('GET', `/api/sets/${body.id}`)).body.document.name).toBe('theirs');
  });

  it('of many saves on one revision exactly one wins', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, index) =>
        ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document: { ...document, name: `try ${index}` } }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array(11).fill(409)]);
  });

  it('are taken off the shelf and put back', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    expect((await ask('DELETE', `/api/sets/${body.id}`)).status).toBe(200);
    expect((await ask('GET', `/api/sets/${body.id}`)).status).toBe(404);
    expect((await ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document })).status).toBe(404);
    expect((await ask('POST', `/api/sets/${body.id}/restore`)).status).toBe(200);
    expect((await ask('GET', `/api/sets/${body.id}`)).body.document.name).toBe('Attic');
  });

  it('a bad document comes back with every issue and its path', async () => {
    const { status, body } = await ask('POST', '/api/sets', { document: { ...document, pieces: [{ width: '5 feat' }, { height: -1 }] } });
    expect(status).toBe(422);
    expect(body.error.issues.map(({ path }: { path: string }) => path)).toEqual(['pieces[0].width', 'pieces[1].height']);
  });

  it.each<[string, string, string, unknown, number, string]>([
    ['no JSON', 'POST', '/api/sets', '{"document":', 400, 'not-json'],
    ['no revision', 'PUT', '/api/sets/potting-shed', { document }, 400, 'bad-request'],
    ['an unknown set', 'GET', '/api/sets/nowhere', undefined, 404, 'set-not-found'],
    ['an unknown way', 'GET', '/api/sheds', undefined, 404, 'not-found'],
    ['too much', 'POST', '/api/sets', { document: { ...document, about: 'x'.repeat(5_000_000) } }, 413, 'body-too-large'],
  ])('%s is answered with a code', async (_, method, path, body, status, code) => {
    expect(await ask(method, path, body)).toMatchObject({ status, body: { error: { code } } });
  });

  it('what nobody foresaw is logged, and answered without its inside', async () => {
    const broken = createServer(createApp({ ...database, db: undefined as never }, web, (line) => log.push(line)).callback()).listen(
      0,
      '127.0.0.1',
    );
    await new Promise((ready) => broken.once('listening', ready));
    const response = await fetch(`http://127.0.0.1:${(broken.address() as AddressInfo).port}/api/sets`);
    expect(response.status).toBe(500);
    expect(await response.json()).toEqual({ error: { code: 'internal' } });
    expect(log.join()).toContain('/api/sets');
    broken.close();
  });
});

describe('files and headers', () => {
  it('every view’s address gets the start page, hashed files may be kept, what is missing is missing', async () => {
    for (const path of ['/', '/sets', '/sets/a/pieces/b']) expect(await (await fetch(base + path)).text()).toContain('start page');
    expect((await fetch(`${base}/assets/x-123.js`)).headers.get('cache-control')).toContain('immutable');
    expect((await ask('GET', '/assets/gone.js')).status).toBe(404);
    expect((await ask('GET', '/..%2f..%2fpackage.json')).status).toBeGreaterThanOrEqual(400);
  });

  it('nothing may be loaded from elsewhere', async () => {
    const policy = (await fetch(base)).headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policy).not.toMatch(/https?:/);
  });
});
