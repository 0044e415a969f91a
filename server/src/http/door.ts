// The door of an application that others on the network can reach: a pass phrase, a session that can be ended, and patience after wrong tries.
import { createHash, createHmac, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import Router from '@koa/router';
import type { Context, Middleware } from 'koa';
import { z } from 'zod';
import { beginSession, endSession, isSession, listSessions, SESSION_DAYS, type Store } from '../store/index.ts';
import { addressOf, isSecure, networkOf, type Proxies } from './address.ts';
import { answerFailure } from './failure.ts';
import type { Log } from './log.ts';
import { patience } from './patience.ts';
import { readBody } from './readBody.ts';

const YEAR = 365 * 86_400_000;

/** OWASP's least for scrypt: 128 MB and a third of a second a try. Source: OWASP Password Storage Cheat Sheet (recalled from memory). */
const COST = { N: 2 ** 17, r: 8, p: 1, maxmem: 192 * 1024 * 1024 };

const derive = promisify<string, Buffer, number, typeof COST, Buffer>(scrypt);

/** Who may go in. `mark` tells sessions that this phrase opened from those that another one did. */
export type Door = { readonly key: Buffer; readonly salt: Buffer; readonly mark: string; readonly now: () => number };

/** What the door needs to know of its house. */
export type House = { readonly store: Store; readonly log: Log; readonly proxies: Proxies };

/** Makes a door from the pass phrase. `salt` must be the same for all processes of one application, so that they share sessions.
 *  Source: RFC 7914 (scrypt). */
export const makeDoor = async (phrase: string, salt: string, now: () => number): Promise<Door> => {
  const bytes = Buffer.from(salt, 'hex');
  const key = await derive(phrase.normalize('NFC'), bytes, 32, COST);
  return { key, salt: bytes, mark: createHmac('sha256', key).update('phrase').digest('hex').slice(0, 32), now };
};

/** A salt for a new application. */
export const newSalt = (): string => randomBytes(16).toString('hex');

const same = (a: string, b: string): boolean => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

const idOf = (ticket: string): string => createHash('sha256').update(ticket).digest('hex');

/** Cookies know no ports: two parlors of one machine have cookies of different names. Behind TLS the name itself says that no other site set it. */
const nameOf = (door: Door, what: 'session' | 'known', secure: boolean): string =>
  `${secure ? '__Host-' : ''}parlor-${what}-${createHash('sha256').update(door.salt).digest('hex').slice(0, 8)}`;

const rules = (secure: boolean) => ({ httpOnly: true, sameSite: 'strict', overwrite: true, path: '/', secure }) as const;

const ticketOf = (door: Door, context: Context, proxies: Proxies): string =>
  context.cookies.get(nameOf(door, 'session', isSecure(context.req, proxies))) ?? '';

const TICKET = /^[0-9a-f]{64}$/;

const isInside = async (door: Door, context: Context, { store, proxies }: House): Promise<boolean> => {
  const ticket = ticketOf(door, context, proxies);
  return TICKET.test(ticket) && (await isSession(store, idOf(ticket), door.mark, new Date(door.now())));
};

const signed = (door: Door, once: string): string => `${once}.${createHmac('sha256', door.key).update(`known ${once}`).digest('hex')}`;

/** A browser that was let in before is known by a sign of its own: what strangers get wrong does not keep it waiting. */
const visitorOf = (door: Door, context: Context, proxies: Proxies): string => {
  const sign = context.cookies.get(nameOf(door, 'known', isSecure(context.req, proxies))) ?? '';
  const [once = ''] = sign.split('.');
  return once !== '' && same(sign, signed(door, once)) ? `known ${once}` : `from ${networkOf(addressOf(context.req, proxies))}`;
};

const phraseBody = z.strictObject({ phrase: z.string().max(1000) });

/** So many tries are worked at or wait at one time, from everywhere together: each takes a core for a third of a second. */
const MOST_TRIES = 20;

const letIn = async (door: Door, context: Context, { store, proxies }: House): Promise<boolean> => {
  const secure = isSecure(context.req, proxies);
  const ticket = randomBytes(32).toString('hex');
  const begun = await beginSession(store, idOf(ticket), door.mark, new Date(door.now()));
  if (!begun.ok) {
    answerFailure(context, begun.error);
    return false;
  }
  context.cookies.set(nameOf(door, 'session', secure), ticket, { ...rules(secure), maxAge: SESSION_DAYS * 86_400_000 });
  context.cookies.set(nameOf(door, 'known', secure), signed(door, randomBytes(12).toString('hex')), { ...rules(secure), maxAge: YEAR });
  return true;
};

/** Knocking: the pass phrase is worked out one try after the other, so that many at once take no more than one core. */
const knocker = (door: Door, house: House) => {
  const { log, proxies } = house;
  const tries = patience(door.now);
  let last: Promise<unknown> = Promise.resolve();
  let waiting = 0;
  const isRight = (phrase: string): Promise<boolean> => {
    waiting += 1;
    const tried = last.then(async () => timingSafeEqual(await derive(phrase.normalize('NFC'), door.salt, 32, COST), door.key));
    last = tried
      .catch(() => undefined)
      .finally(() => {
        waiting -= 1;
      });
    return tried;
  };
  return async (context: Context): Promise<void> => {
    const body = readBody(context, phraseBody);
    if (!body) return;
    const who = visitorOf(door, context, proxies);
    const seconds = Math.max(tries.wait(who), waiting >= MOST_TRIES && !who.startsWith('known') ? 2 : 0);
    if (seconds > 0) return answerFailure(context, { code: 'too-many-tries', seconds });
    tries.begin(who);
    const right = await isRight(body.phrase).catch(() => false);
    tries.end(who, right);
    log({ level: right ? 'info' : 'warn', event: right ? 'door-opened' : 'wrong-phrase', from: addressOf(context.req, proxies) });
    if (!right) return answerFailure(context, { code: 'wrong-phrase', seconds: tries.wait(who) });
    if (await letIn(door, context, house)) context.body = { needed: true, inside: true };
  };
};

/** What everybody may ask: whether there is a door and who asks is inside, to be let in, and to leave. Without a door everybody is inside. */
export const doorRoutes = (door: Door | null, house: House): Router => {
  const router = new Router({ prefix: '/api', sensitive: true, strict: true });
  const knock = door && knocker(door, house);
  router.get('/door', async (context) => {
    context.body = { needed: door !== null, inside: door === null || (await isInside(door, context, house)) };
  });
  router.post('/door', (context) => (knock ? knock(context) : answerFailure(context, { code: 'not-found' })));
  router.delete('/door', async (context) => {
    const ticket = door ? ticketOf(door, context, house.proxies) : '';
    const ended = TICKET.test(ticket) ? await endSession(house.store, idOf(ticket)) : null;
    if (ended && !ended.ok) return answerFailure(context, ended.error);
    const secure = isSecure(context.req, house.proxies);
    if (door) context.cookies.set(nameOf(door, 'session', secure), '', { ...rules(secure), maxAge: 0 });
    context.body = { needed: door !== null, inside: door === null };
  });
  // Whether it answers at all, for whoever watches over it; nothing of what is kept.
  router.get('/health', (context) => {
    context.body = { ok: true };
  });
  return router;
};

/** What those inside may ask of the door: who else is, and to send everybody out. */
export const sessionRoutes = (router: Router, door: Door | null, { store, proxies }: House): void => {
  router.get('/sessions', async (context) => {
    const list = door ? await listSessions(store, door.mark, new Date(door.now())) : [];
    const own = door ? idOf(ticketOf(door, context, proxies)) : '';
    context.body = {
      sessions: list.map(({ id, createdAt, seenAt }) => ({
        id,
        createdAt: createdAt.toISOString(),
        seenAt: seenAt.toISOString(),
        own: id === own,
      })),
    };
  });
  router.delete('/sessions', async (context) => {
    const ended = await endSession(store, null);
    if (ended.ok) context.body = { ended: true };
    else answerFailure(context, ended.error);
  });
};

/** Stands before everything that is registered after it, whatever it is called: nobody goes on who is not inside. */
export const doorkeeper =
  (door: Door | null, house: House): Middleware =>
  async (context, next) => {
    if (door !== null && !(await isInside(door, context, house))) return answerFailure(context, { code: 'pass-phrase-needed' });
    return next();
  };
