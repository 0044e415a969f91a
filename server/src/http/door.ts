// The door of an application that others on the network can reach: a pass phrase, a session cookie, and patience after wrong tries.
import { createHmac, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import Router from '@koa/router';
import type { Context, Middleware } from 'koa';
import { z } from 'zod';
import { answerFailure } from './failure.ts';
import { readBody } from './readBody.ts';

const COOKIE = 'parlor-session';
const DAYS = 30;
const FREE_TRIES = 3;
const LONGEST_WAIT = 300;

const derive = promisify<string, Buffer, number, Buffer>(scrypt);

/** Who may go in: the key that sessions are signed with, and the clock. */
export type Door = { readonly key: Buffer; readonly salt: Buffer; readonly now: () => number };

/** Makes a door from the pass phrase. `salt` must be the same for all processes of one application, so that they share sessions.
 *  Source: RFC 7914 (scrypt), with Node's default cost of 16384. */
export const makeDoor = async (phrase: string, salt: string, now: () => number): Promise<Door> => {
  const bytes = Buffer.from(salt, 'hex');
  return { key: await derive(phrase.normalize('NFC'), bytes, 32), salt: bytes, now };
};

/** A salt for a new application. */
export const newSalt = (): string => randomBytes(16).toString('hex');

const sign = ({ key }: Door, text: string): string => createHmac('sha256', key).update(text).digest('hex');

const same = (a: string, b: string): boolean => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

const ticket = (door: Door): string => {
  const text = `${door.now() + DAYS * 86_400_000}.${randomBytes(12).toString('hex')}`;
  return `${text}.${sign(door, text)}`;
};

const isInside = (door: Door, context: Context): boolean => {
  const [until = '', once = '', signature = ''] = (context.cookies.get(COOKIE) ?? '').split('.');
  return Number(until) > door.now() && same(signature, sign(door, `${until}.${once}`));
};

type Tries = { count: number; notBefore: number };

/** Seconds to wait after so many wrong tries: none for the first few, then doubling. */
export const waitAfter = (wrong: number): number => (wrong < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT, 2 ** (wrong - FREE_TRIES)));

/** Counts wrong tries by address, and all of them together, so that many addresses do not help. */
const patience = (now: () => number) => {
  const byAddress = new Map<string, Tries>();
  const of = (address: string): Tries => {
    const known = byAddress.get(address) ?? { count: 0, notBefore: 0 };
    if (byAddress.size > 10_000) byAddress.clear();
    byAddress.set(address, known);
    return known;
  };
  return {
    wait: (address: string): number => Math.max(0, Math.ceil((Math.max(of(address).notBefore, of('all').notBefore) - now()) / 1000)),
    wrong: (address: string): void => {
      for (const [name, free] of [
        [address, 0],
        ['all', 30],
      ] as const) {
        const tries = of(name);
        tries.count += 1;
        tries.notBefore = now() + waitAfter(Math.max(0, tries.count - free)) * 1000;
      }
    },
    right: (address: string): void => {
      byAddress.delete(address);
    },
  };
};

const phraseBody = z.strictObject({ phrase: z.string().max(1000) });

const COOKIE_RULES = { httpOnly: true, sameSite: 'strict', overwrite: true } as const;

/** Routes to knock, come in and leave. Without a door everybody is inside. */
export const doorRoutes = (door: Door | null): Router => {
  const router = new Router({ prefix: '/api/door' });
  const tries = patience(door?.now ?? (() => 0));
  router.get('/', (context) => {
    context.body = { needed: door !== null, inside: door === null || isInside(door, context) };
  });
  router.post('/', async (context) => {
    if (!door) return answerFailure(context, { code: 'not-found' });
    const body = readBody(context, phraseBody);
    if (!body) return;
    const seconds = tries.wait(context.ip);
    if (seconds > 0) return answerFailure(context, { code: 'too-many-tries', seconds });
    // Counted before the slow check, so that many tries at once are counted too.
    tries.wrong(context.ip);
    const key = await derive(body.phrase.normalize('NFC'), door.salt, 32);
    if (!timingSafeEqual(key, door.key)) return answerFailure(context, { code: 'wrong-phrase', seconds: tries.wait(context.ip) });
    tries.right(context.ip);
    context.cookies.set(COOKIE, ticket(door), { ...COOKIE_RULES, maxAge: DAYS * 86_400_000 });
    context.body = { needed: true, inside: true };
  });
  router.delete('/', (context) => {
    context.cookies.set(COOKIE, '', { ...COOKIE_RULES, maxAge: 0 });
    context.body = { needed: door !== null, inside: door === null };
  });
  return router;
};

/** Lets nobody to the sets who is not inside; the application's own files are for everybody. */
export const doorkeeper =
  (door: Door | null): Middleware =>
  async (context, next) => {
    const closed = door !== null && context.path.startsWith('/api') && !/^\/api\/door\/?$/.test(context.path);
    if (closed && !isInside(door, context)) return answerFailure(context, { code: 'pass-phrase-needed' });
    return next();
  };
