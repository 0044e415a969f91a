import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeDoor, namesOf, newSalt, waitAfter } from './index.ts';
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

describe('the door', () => {
  let time = Date.parse('2026-05-01T10:00:00Z');
  let served: Served;
  const salt = newSalt();
  beforeAll(async () => {
    served = await serve({ door: await makeDoor('paper and pins', salt, () => time), clock: () => new Date(time) });
  });
  afterAll(() => served.stop());
  const knock = (phrase: string) => served.ask('POST', '/api/door', { phrase });
  const cookieOf = (headers: Headers): string => (headers.get('set-cookie') ?? '').split(';')[0] ?? '';

  it('shows nobody a set who has not said the phrase, however they ask', async () => {
    for (const [method, path] of [
      ['GET', '/api/sets'],
      ['GET', '/api/sets/potting-shed'],
      ['GET', '/api/sets/potting-shed/revisions'],
      ['GET', '/api/away'],
      ['POST', '/api/sets'],
      ['DELETE', '/api/sets/potting-shed'],
      ['GET', '/api/door/../sets'],
      ['GET', '/api/doors'],
    ] as const) {
      expect((await served.raw(method, path, { host: '127.0.0.1' })).status, path).toBe(401);
    }
    expect((await served.ask('GET', '/api/door')).body).toEqual({ needed: true, inside: false });
    expect((await fetch(served.base)).status).toBe(200);
  });

  it('opens to the phrase with a cookie that scripts cannot read and other sites do not send', async () => {
    const { status, headers } = await knock('paper and pins');
    expect(status).toBe(200);
    expect(headers.get('set-cookie')).toMatch(/httponly/i);
    expect(headers.get('set-cookie')).toMatch(/samesite=strict/i);
    expect((await served.ask('GET', '/api/sets', undefined, { cookie: cookieOf(headers) })).status).toBe(200);
  });

  it('takes no cookie that was tampered with, made with another phrase, or is too old', async () => {
    const cookie = cookieOf((await knock('paper and pins')).headers);
    const [until, once, signature] = cookie.replace('parlor-session=', '').split('.');
    for (const forged of [
      `${Number(until) + 1}.${once}.${signature}`,
      `${until}.${once}.${'0'.repeat(64)}`,
      `${until}.${once}`,
      'x',
      '..',
      `${until}`,
    ]) {
      expect((await served.ask('GET', '/api/sets', undefined, { cookie: `parlor-session=${forged}` })).status).toBe(401);
    }
    const other = await serve({ door: await makeDoor('another phrase', salt, () => time) });
    expect((await other.ask('GET', '/api/sets', undefined, { cookie })).status).toBe(401);
    await other.stop();
    time += 31 * 86_400_000;
    expect((await served.ask('GET', '/api/sets', undefined, { cookie })).status).toBe(401);
  });

  it('is shared by all processes with the same phrase and salt', async () => {
    const cookie = cookieOf((await knock('paper and pins')).headers);
    const other = await serve({ door: await makeDoor('paper and pins', salt, () => time) });
    expect((await other.ask('GET', '/api/sets', undefined, { cookie })).status).toBe(200);
    await other.stop();
  });

  it('slows down after wrong tries, and a right one in between does not get past', async () => {
    const answers = [];
    for (let tries = 0; tries < 4; tries += 1) answers.push((await knock(`guess ${tries}`)).status);
    expect(answers).toEqual([403, 403, 403, 429]);
    const refused = await knock('paper and pins');
    expect(refused).toMatchObject({ status: 429, body: { error: { code: 'too-many-tries', seconds: 1 } } });
    expect(refused.headers.get('retry-after')).toBe('1');
    time += 1_000;
    expect((await knock('still wrong')).body.error.seconds).toBe(2);
    time += 2_000;
    expect((await knock('paper and pins')).status).toBe(200);
    expect((await knock('wrong again')).status).toBe(403);
  });

  it('waits longer with each wrong try, up to five minutes', () => {
    expect([0, 1, 2, 3, 4, 5, 9, 30].map(waitAfter)).toEqual([0, 0, 0, 1, 2, 4, 64, 300]);
  });

  it('guesses sent all at once are counted too', async () => {
    time += 3_600_000;
    const statuses = (await Promise.all(Array.from({ length: 12 }, (_, index) => knock(`at once ${index}`)))).map(({ status }) => status);
    expect(statuses.filter((status) => status === 403).length).toBeLessThanOrEqual(3);
  });

  it('closes behind those who leave', async () => {
    expect((await served.ask('DELETE', '/api/door')).headers.get('set-cookie')).toMatch(/parlor-session=;/);
  });
});
