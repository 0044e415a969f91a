import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { namesOf } from './index.ts';
import { type Served, serve } from './serve.testing.ts';

const document = { format: 'bashful-parlor-set', version: 1, name: 'Attic' };
const body = JSON.stringify({ document });

describe('who may ask', () => {
  let served: Served;
  beforeAll(async () => {
    served = await serve();
  });
  afterAll(() => served.stop());
  const here = () => new URL(served.base).host;

  // DNS rebinding: the browser believes it talks to the attacker's own name, which now leads here.
  it.each(['parlor.attacker.example', 'attacker.example:5180', '10.0.0.7', '127.0.0.1.attacker.example', 'a b', '[::1'])(
    'a host called “%s” is not ours, even for reading',
    async (host) => {
      const { status, text } = await served.raw('GET', '/api/sets', { host });
      expect(status).toBe(421);
      expect(text).not.toContain('potting-shed');
    },
  );

  it.each(['localhost', '127.0.0.1:5180', '[::1]:5180', 'LOCALHOST:1'])('%s is', async (host) => {
    expect((await served.raw('GET', '/api/sets', { host })).status).toBe(200);
  });

  it.each<[string, Record<string, string>]>([
    ['another site', { origin: 'https://attacker.example', 'content-type': 'application/json' }],
    ['another port of this machine', { origin: 'http://127.0.0.1:1', 'content-type': 'application/json' }],
    ['nobody in particular', { origin: 'null', 'content-type': 'application/json' }],
    ['another site by its fetch headers alone', { 'sec-fetch-site': 'cross-site', 'content-type': 'application/json' }],
  ])('a post from %s is refused, and nothing is made', async (_, headers) => {
    const before = (await served.ask('GET', '/api/sets')).body.sets.length;
    expect((await served.raw('POST', '/api/sets', { host: here(), ...headers }, body)).status).toBe(403);
    expect((await served.ask('GET', '/api/sets')).body.sets).toHaveLength(before);
  });

  it.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', ''])(
    'a body of the kind “%s”, which any page may post, is refused',
    async (type) => {
      expect((await served.raw('POST', '/api/sets', { host: here(), ...(type && { 'content-type': type }) }, body)).status).toBe(415);
    },
  );

  it('its own pages and the command line may post', async () => {
    const json = { host: here(), 'content-type': 'application/json' };
    expect((await served.raw('POST', '/api/sets', { ...json, origin: served.base, 'sec-fetch-site': 'same-origin' }, body)).status).toBe(
      201,
    );
    expect((await served.raw('POST', '/api/sets', json, body)).status).toBe(201);
  });

  it('a request with two hosts is answered as neither', async () => {
    const { port } = new URL(served.base);
    const answer = await new Promise<string>((resolve) => {
      const socket = connect(Number(port), '127.0.0.1', () =>
        socket.write('GET /api/sets HTTP/1.1\r\nHost: localhost\r\nHost: attacker.example\r\nConnection: close\r\n\r\n'),
      );
      let text = '';
      socket.on('data', (chunk: Buffer) => {
        text += chunk.toString();
      });
      socket.on('close', () => resolve(text));
    });
    // Node refuses it before us with 400.
    expect(answer).toMatch(/^HTTP\/1\.1 4(00|21) /);
    expect(answer).not.toContain('potting-shed');
  });

  it('answers of the interface are kept by nobody on the way, and files are known only when they are ours', async () => {
    expect((await served.ask('GET', '/api/sets')).headers.get('cache-control')).toBe('no-store');
    for (const path of ['/../../../../etc/resolv.conf', '/../../../../etc/no-such.conf', '/assets/../../../../etc/hostname.txt'])
      expect((await served.raw('GET', path, { host: here() })).status, path).toBe(404);
  });

  it('the policy lets no script and no style in that stands in a page, but for those with the sign of that very answer', async () => {
    const policies = await Promise.all(
      ['/', '/sets/x/pieces', '/api/sets'].map(async (path) =>
        String((await served.raw('GET', path, { host: here() })).headers['content-security-policy']),
      ),
    );
    for (const policy of policies) {
      expect(policy).not.toMatch(/unsafe-inline|unsafe-eval(?<!wasm-unsafe-eval)/);
      expect(policy).toMatch(/default-src 'self';.*style-src 'self' 'nonce-[\w-]{22}'/);
    }
    expect(new Set(policies).size).toBe(3);
  });

  it('no answer lets another site read it', async () => {
    const { headers } = await served.raw('GET', '/api/sets', { host: here(), origin: 'https://attacker.example' });
    expect(headers['access-control-allow-origin']).toBeUndefined();
    expect(headers['cross-origin-resource-policy']).toBe('same-origin');
  });
});

describe('on a network', () => {
  it('addresses are answered, names only when they are its own', () => {
    const answers = namesOf(['Workbench.local'], true);
    expect(['192.168.1.20:5180', '[fe80::1]:5180', 'workbench.local:5180', 'localhost'].map(answers)).toEqual([true, true, true, true]);
    expect(['attacker.example', '1.2.3.4.attacker.example', ''].map(answers)).toEqual([false, false, false]);
    expect(namesOf([], false)('192.168.1.20')).toBe(false);
  });
});
