import type Router from '@koa/router';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addressOf, isSecure, networkOf } from './address.ts';
import { doorRoutes } from './door.ts';
import { makeDoor, newSalt, waitAfter } from './index.ts';
import { patience } from './patience.ts';
import { routes } from './routes.ts';
import { type Served, serve } from './serve.testing.ts';

let time = Date.parse('2026-05-01T10:00:00Z');
const salt = newSalt();
let served: Served;
beforeAll(async () => {
  served = await serve({
    door: await makeDoor('paper and pins', salt, () => time),
    clock: () => new Date(time),
    proxies: ['loopback'],
  });
});
afterAll(() => served.stop());

const knock = (phrase: string, headers: Record<string, string> = {}) => served.ask('POST', '/api/door', { phrase }, headers);
const cookiesOf = (headers: Headers): string =>
  headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
const from = (address: string) => ({ 'x-forwarded-for': address });

/** Every address that is registered, with something in the place of its names. */
const registered = (router: Router): readonly { readonly methods: readonly string[]; readonly path: string }[] =>
  router.stack.map(({ methods, path }) => ({ methods, path: String(path).replace(/:\w+/g, 'potting-shed') }));

/** Ways in which a careless program could take an address for another one's. */
const spellings = (path: string): readonly string[] => [
  path,
  path.toUpperCase(),
  path.replace('/api', '/API'),
  path.replace('/api', '/Api'),
  path.replace('/api', '/%61pi'),
  path.replace('/api', '/%2561pi'),
  path.replace('/api', '//api'),
  path.replace('/api', '/./api'),
  path.replace('/api', '/x/../api'),
  path.replace('/api', '/api;x=1'),
  path.replace('/api', '/api/'),
  path.replace('/api', '\\api'),
  path.replace(/\/(\w)/g, (_, sign: string) => `/%${sign.charCodeAt(0).toString(16)}`),
  path.replace(/\//g, '%2f').replace('%2f', '/'),
  `${path}/`,
  `${path}?door`,
  `${path}#/api/door`,
  `${path}/..`,
  `/api/door/..${path.replace('/api', '')}`,
  `/api/door%2f..${path.replace('/api', '')}`,
  `/assets/..${path}`,
  `http://127.0.0.1${path}`,
];

describe('the door stands before everything', () => {
  const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'];

  it('every registered address, in every spelling and by every method, lets nobody through without a ticket', async () => {
    const parts = { store: served.store, clock: () => new Date() } as Parameters<typeof routes>[0];
    const house = { store: served.store, log: () => undefined, proxies: new Set<string>() };
    const inside = registered(routes(parts, house));
    const outside = registered(doorRoutes(null, house));
    expect(inside.length).toBeGreaterThanOrEqual(20);
    expect(outside.map(({ path }) => path).sort()).toEqual(['/api/door', '/api/door', '/api/door', '/api/health']);
    let asked = 0;
    for (const { path } of inside)
      for (const spelling of spellings(path))
        for (const method of METHODS) {
          const json = method === 'GET' || method === 'HEAD' ? {} : { 'content-type': 'application/json' };
          const body = method === 'GET' || method === 'HEAD' ? undefined : '{}';
          const { status, text } = await served.raw(method, spelling, { host: '127.0.0.1', ...json }, body);
          asked += 1;
          // The page itself is for everybody; nothing that is kept is.
          const isPage = status === 200 && (text === '<title>start page</title>' || (method === 'HEAD' && text === ''));
          const isDoor = /^\/api\/door(\?|#|$)/.test(spelling);
          expect(isPage || isDoor || status >= 400, `${method} ${spelling}: ${status} ${text.slice(0, 80)}`).toBe(true);
          expect(text).not.toMatch(/Potting|revision|presets":|sets":/);
        }
    expect(asked).toBeGreaterThan(2_000);
    expect(
      (await served.ask('GET', '/api/sets', undefined, { cookie: cookiesOf((await knock('paper and pins')).headers) })).body.sets,
    ).toHaveLength(3);
  });

  it('what came past the old door is refused, and every refusal is logged', async () => {
    for (const [method, path] of [
      ['GET', '/API/sets'],
      ['DELETE', '/Api/sets/potting-shed'],
      ['GET', '/api/sets'],
      ['POST', '/api/shelf/copy'],
      ['GET', '/api/shelf/copy'],
    ] as const) {
      const before = served.log.length;
      const { status } = await served.raw(method, path, { host: '127.0.0.1' });
      expect([401, 404], path).toContain(status);
      expect(served.log.slice(before), path).toMatchObject([{ event: 'request', method, status }]);
    }
  });

  it('tells those outside that it is there, and that it lives, and shows the page', async () => {
    expect((await served.ask('GET', '/api/door')).body).toEqual({ needed: true, inside: false });
    expect((await served.ask('GET', '/api/health')).body).toEqual({ ok: true });
    expect((await fetch(served.base)).status).toBe(200);
  });
});

describe('a session', () => {
  it('has a cookie that scripts cannot read and other sites do not send; behind TLS one that no other site can set', async () => {
    const plain = (await knock('paper and pins')).headers.getSetCookie();
    for (const cookie of plain) expect(cookie).toMatch(/^parlor-\w+-[0-9a-f]{8}=.*samesite=strict.*httponly/i);
    const secure = (await knock('paper and pins', { 'x-forwarded-proto': 'https' })).headers.getSetCookie();
    for (const cookie of secure) expect(cookie).toMatch(/^__Host-parlor-.*path=\/;.*secure/i);
  });

  it('ends on the server when one leaves, wherever its ticket is; and everywhere when one says so', async () => {
    const [one, two] = [cookiesOf((await knock('paper and pins')).headers), cookiesOf((await knock('paper and pins')).headers)];
    const inside = async (cookie: string) => (await served.ask('GET', '/api/sets', undefined, { cookie })).status === 200;
    expect([await inside(one), await inside(two)]).toEqual([true, true]);
    await served.ask('DELETE', '/api/door', undefined, { cookie: one });
    expect([await inside(one), await inside(two)]).toEqual([false, true]);
    const three = cookiesOf((await knock('paper and pins')).headers);
    const { body } = await served.ask('GET', '/api/sessions', undefined, { cookie: three });
    const { sessions } = body as unknown as { sessions: { own: boolean }[] };
    expect(sessions.filter(({ own }) => own)).toHaveLength(1);
    expect((await served.ask('DELETE', '/api/sessions', undefined, { cookie: three })).status).toBe(200);
    expect([await inside(two), await inside(three)]).toEqual([false, false]);
  });

  it('takes no cookie that was tampered with, was opened by another phrase, or is too old', async () => {
    const cookie = cookiesOf((await knock('paper and pins')).headers);
    const [name = '', ticket = ''] = (cookie.split(';')[0] ?? '').split('=');
    for (const forged of [`${ticket.slice(0, -1)}${ticket.endsWith('0') ? '1' : '0'}`, '', '0'.repeat(64), "' or 1=1 --", `${ticket}0`])
      expect((await served.ask('GET', '/api/sets', undefined, { cookie: `${name}=${forged}` })).status).toBe(401);
    const changed = await serve({ door: await makeDoor('another phrase', salt, () => time), store: served.store });
    expect((await changed.ask('GET', '/api/sets', undefined, { cookie })).status).toBe(401);
    const shared = await serve({ door: await makeDoor('paper and pins', salt, () => time), store: served.store });
    expect((await shared.ask('GET', '/api/sets', undefined, { cookie })).status).toBe(200);
    time += 8 * 86_400_000;
    expect((await served.ask('GET', '/api/sets', undefined, { cookie })).status).toBe(401);
  });
});

describe('patience', () => {
  it('grows with each wrong try, up to five minutes, for whoever tries, and a right one in between does not get past', async () => {
    expect([0, 1, 2, 3, 4, 5, 9, 30].map(waitAfter)).toEqual([0, 0, 0, 1, 2, 4, 64, 300]);
    const answers = [];
    for (let tries = 0; tries < 4; tries += 1) answers.push((await knock(`guess ${tries}`, from('203.0.113.1'))).status);
    expect(answers).toEqual([403, 403, 403, 429]);
    const refused = await knock('paper and pins', from('203.0.113.1'));
    expect(refused).toMatchObject({ status: 429, body: { error: { code: 'too-many-tries', seconds: 1 } } });
    expect(refused.headers.get('retry-after')).toBe('1');
    time += 1_000;
    expect((await knock('still wrong', from('203.0.113.1'))).body.error.seconds).toBe(2);
    time += 2_000;
    expect((await knock('paper and pins', from('203.0.113.1'))).status).toBe(200);
  });

  it('of strangers keeps nobody out: neither from another place, nor at the same one whoever was let in before', async () => {
    const known = cookiesOf((await knock('paper and pins', from('203.0.113.9'))).headers);
    for (let tries = 0; tries < 12; tries += 1) {
      await knock(`guess ${tries}`, from('203.0.113.9'));
      time += 400_000 * (tries % 2);
    }
    expect((await knock('guess', from('203.0.113.9'))).status).toBe(403);
    expect((await knock('guess', from('203.0.113.9'))).status).toBe(429);
    expect((await knock('paper and pins', from('203.0.113.10'))).status).toBe(200);
    const outside = known
      .split('; ')
      .filter((each) => each.startsWith('parlor-known'))
      .join('; ');
    expect((await knock('paper and pins', { ...from('203.0.113.9'), cookie: outside })).status).toBe(200);
    expect(served.log.filter(({ event }) => event === 'wrong-phrase').at(-1)).toMatchObject({ level: 'warn', from: '203.0.113.9' });
  });

  it('does not run out for those who say the right phrase, however often', async () => {
    for (let times = 0; times < 12; times += 1) expect((await knock('paper and pins', from('198.51.100.7'))).status, `${times}`).toBe(200);
  });

  it('guesses sent all at once are tried one by one', async () => {
    const statuses = (await Promise.all(Array.from({ length: 12 }, (_, index) => knock(`at once ${index}`, from('203.0.113.77'))))).map(
      ({ status }) => status,
    );
    expect(statuses.filter((status) => status === 403).length).toBeLessThanOrEqual(3);
    expect(statuses.filter((status) => status === 429).length).toBeGreaterThanOrEqual(9);
  });

  it('remembers ten thousand, and forgets the oldest first', () => {
    const tries = patience(() => 0);
    for (let count = 0; count < 5; count += 1) tries.end('first', false);
    for (let who = 0; who < 9_999; who += 1) tries.end(`${who}`, false);
    expect(tries.wait('first')).toBe(4);
    tries.end('one more', false);
    expect(tries.wait('first')).toBe(0);
  });
});

describe('who asks', () => {
  const asking = (remoteAddress: string, headers: Record<string, string> = {}) =>
    ({ socket: { remoteAddress }, headers }) as unknown as Parameters<typeof addressOf>[0];

  it('is told by the connection, and by others only where they are believed', () => {
    const lied = { 'x-forwarded-for': '1.2.3.4', 'x-forwarded-proto': 'https' };
    expect(addressOf(asking('203.0.113.5', lied), new Set())).toBe('203.0.113.5');
    expect(addressOf(asking('203.0.113.5', lied), new Set(['loopback']))).toBe('203.0.113.5');
    expect(addressOf(asking('::ffff:127.0.0.1', lied), new Set(['loopback']))).toBe('1.2.3.4');
    // What the asker wrote himself stands before what the one in front wrote.
    expect(addressOf(asking('10.0.0.2', { 'x-forwarded-for': '6.6.6.6, 203.0.113.5, 10.0.0.3' }), new Set(['10.0.0.2', '10.0.0.3']))).toBe(
      '203.0.113.5',
    );
    expect(isSecure(asking('203.0.113.5', lied), new Set(['loopback']))).toBe(false);
    expect(isSecure(asking('127.0.0.1', lied), new Set(['loopback']))).toBe(true);
  });

  it('from one network of IPv6 is one', () => {
    expect(networkOf('2001:db8:1:2:3:4:5:6')).toBe(networkOf('2001:db8:1:2::9'));
    expect(networkOf('2001:db8:1:2::9')).not.toBe(networkOf('2001:db8:1:3::9'));
    expect(networkOf('203.0.113.5')).toBe('203.0.113.5');
  });
});
