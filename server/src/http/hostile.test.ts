// Requests that nobody polite would send, by seed: none may crash the application, hang it, or leave anything half-written.
import { gzipSync } from 'node:zlib';
import { readSet } from '@parlor/core/set';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getSet, listSets } from '../store/index.ts';
import { type Served, serve } from './serve.testing.ts';
import { sendWild } from './wild.testing.ts';

const REQUESTS = 10_000;
const AT_ONCE = 8;

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.stop());

const host = () => new URL(served.base).host;

describe(`${REQUESTS} hostile requests`, () => {
  it('are all answered, none with a fault, a stack or a path, and what stands in the store can be read', { timeout: 240_000 }, async () => {
    const counts = new Map<number, number>();
    const send = async (seed: number): Promise<void> => {
      const { status, fault } = await sendWild(served, seed);
      counts.set(status, (counts.get(status) ?? 0) + 1);
      expect(fault).toBeNull();
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

describe('documents that cost', () => {
  it('more than anybody has time for are refused, and others are answered meanwhile', { timeout: 90_000 }, async () => {
    // Four megabytes in which everything is wrong: told one by one it took a minute and five gigabytes.
    const cut = Array.from({ length: 300 }, () => ({ parts: Array.from({ length: 2_900 }, () => ({})) }));
    const sent = served.ask('POST', '/api/sets', { document: { format: 'bashful-parlor-set', version: 1, cutting: { cut } } });
    const waits: number[] = [];
    let done = false;
    const looking = (async () => {
      while (!done) {
        const before = performance.now();
        expect((await served.ask('GET', '/api/sets')).status).toBe(200);
        waits.push(performance.now() - before);
        await new Promise((later) => setTimeout(later, 50));
      }
    })();
    const { status, body } = await sent;
    done = true;
    await looking;
    expect([status, body.error.code]).toEqual([422, 'document-too-heavy']);
    expect(waits.length).toBeGreaterThan(5);
    expect((await served.ask('POST', '/api/sets', { document: { format: 'bashful-parlor-set', version: 1, name: 'After' } })).status).toBe(
      201,
    );
  });

  it('of which a hundred things are wrong are told, and that there is more', async () => {
    const pieces = Array.from({ length: 200 }, () => ({ width: -1, height: -1 }));
    const { status, body } = await served.ask('POST', '/api/sets', { document: { format: 'bashful-parlor-set', version: 1, pieces } });
    expect([status, body.error.issues.length]).toEqual([422, 101]);
    expect(body.error.issues.at(-1)?.message).toMatch(/There is more/);
  });

  it('that are larger written out than any set may be are refused when they are made, not when they are saved', async () => {
    const pieces = Array.from({ length: 200 }, (_, index) => ({
      name: `${index} ${'x'.repeat(100)}`,
      front: { kind: 'columns', slots: Array.from({ length: 12 }, () => ({ cell: { kind: 'drawers', count: 1 } })) },
    }));
    const made = await served.ask('POST', '/api/sets', { document: { format: 'bashful-parlor-set', version: 1, pieces } });
    if (made.status === 201) {
      const again = await served.ask('PUT', `/api/sets/${made.body.id}`, { basedOn: 1, document: made.body.document });
      expect(again.status).toBe(200);
    } else expect([413, 422]).toContain(made.status);
  });
});
