// Requests that nobody polite would send, by seed: none may crash the application, hang it, or leave anything half-written.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { seededRandom } from '@parlor/core/kit';
import { readSet } from '@parlor/core/set';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mutated } from '../../../core/src/set/mutate.testing.ts';
import { getSet, listSets } from '../store/index.ts';
import { type Raw, root, type Served, serve } from './serve.testing.ts';

const REQUESTS = 10_000;
const AT_ONCE = 8;

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.stop());

const whole = JSON.parse(readFileSync(join(root, 'demo/1-harbour-post-office.parlor.json'), 'utf8')) as { pieces: object[] };
const good = { ...whole, pieces: whole.pieces.slice(0, 3) };
const host = () => new URL(served.base).host;

type Wild = { readonly method: string; readonly path: string; readonly headers: Record<string, string>; readonly body: string };

const METHODS = ['GET', 'GET', 'PUT', 'PUT', 'PUT', 'POST', 'POST', 'POST', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS'];
const PIECES = [
  'sets',
  'away',
  'door',
  'potting-shed',
  'harbour-post-office',
  'revisions',
  'restore',
  '1',
  '2',
  '99999999999999999999',
  '-1',
  '..',
  '%2e%2e',
  '%00',
  '%ff',
  '%ed%a0%80',
  "' or 1=1 --",
  '*',
  'a'.repeat(2000),
  '__proto__',
];

const wild = (seed: number): Wild => {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const known = random() < 0.5;
  const path = known
    ? pick([
        '/api/sets',
        '/api/sets',
        '/api/sets/potting-shed',
        '/api/sets/harbour-post-office',
        '/api/sets/potting-shed/restore',
        '/api/away',
      ])
    : `/api/${Array.from({ length: 1 + Math.floor(random() * 4) }, () => pick(PIECES)).join('/')}`;
  const bodies: readonly (() => string)[] = [
    () => JSON.stringify({ document: random() < 0.2 ? good : mutated(good, seed) }),
    () => JSON.stringify({ document: random() < 0.5 ? good : mutated(good, seed), basedOn: Math.floor(random() * 40) }),
    () => JSON.stringify(mutated({ document: good, basedOn: 1 }, seed)),
    () => JSON.stringify({ document: good, basedOn: 1 }).slice(0, Math.floor(random() * 800)),
    () => '['.repeat(Math.floor(random() * 60_000)),
    () => '\u0000\ud800{"a":1e999}',
    () => '',
  ];
  return {
    method: pick(METHODS),
    path: path.replaceAll(' ', '%20'),
    headers: {
      host: pick([host(), host(), host(), host(), 'attacker.example']),
      'content-type': pick(['application/json', 'application/json', 'application/json', 'text/plain', 'application/json; charset=klingon']),
      ...(random() < 0.1 && { origin: 'https://attacker.example' }),
      ...(random() < 0.05 && { 'content-encoding': pick(['gzip', 'br', 'zip']) }),
      ...(random() < 0.05 && { cookie: `parlor-session=${'.'.repeat(30)}` }),
    },
    body: pick(bodies)(),
  };
};

describe(`${REQUESTS} hostile requests`, () => {
  it('are all answered, none with a fault, a stack or a path, and what stands in the store can be read', { timeout: 240_000 }, async () => {
    const counts = new Map<number, number>();
    const send = async (seed: number): Promise<void> => {
      const { method, path, headers, body } = wild(seed);
      const answer: Raw = await served.raw(method, path, headers, method === 'GET' || method === 'HEAD' ? undefined : body);
      counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
      expect(
        answer.status,
        `seed ${seed}: ${method} ${path} ${answer.text.slice(0, 200)} ${answer.status === 500 ? JSON.stringify(served.log.filter(({ event }) => event === 'fault').at(-1)) : ''}`,
      ).not.toBe(500);
      expect(answer.text, `seed ${seed}`).not.toMatch(/node_modules|\.ts:\d|\/work\/|\/home\/| at \w+ \(/);
    };
    for (let seed = 1; seed <= REQUESTS; seed += AT_ONCE)
      await Promise.all(Array.from({ length: AT_ONCE }, (_, index) => send(seed + index)));
    for (const status of [200, 201, 400, 403, 404, 409, 415, 421, 422])
      expect(counts.get(status) ?? 0, `status ${status}`).toBeGreaterThan(0);
    for (const { id, revision } of await listSets(served.store)) {
      const found = await getSet(served.store.db, id);
      expect(found).toMatchObject({ ok: true, value: { revision } });
      expect(found.ok && readSet(found.value.document).ok, id).toBe(true);
    }
  });
});

describe('bodies that grow', () => {
  const send = (bytes: Buffer, encoding: string) =>
    served.raw('POST', '/api/sets', { host: host(), 'content-type': 'application/json', 'content-encoding': encoding }, bytes);

  it('a small packed body that unpacks to a gigabyte is refused before it does', async () => {
    // 1 MB of noughts packs to 1 kB; a thousand such members one behind the other are one valid gzip stream.
    const bomb = Buffer.concat(Array.from({ length: 1000 }, () => gzipSync(Buffer.alloc(1_000_000, 32))));
    const before = process.memoryUsage().rss;
    // The answer may come before all of it was sent; then the sender hears only that the line was cut.
    const { status } = await send(bomb, 'gzip').catch((problem) => ({ status: problem.code }));
    expect([415, 'ECONNRESET', 'EPIPE']).toContain(status);
    expect((await served.ask('GET', '/api/sets')).status).toBe(200);
    expect(process.memoryUsage().rss - before).toBeLessThan(300_000_000);
  });

  it.each(['br', 'zip', 'gzip, gzip'])('a body packed as “%s” is refused', async (encoding) => {
    expect((await send(Buffer.from('{"document":{}}'), encoding)).status).toBe(415);
  });
});
