import type { ReadIssue } from '@parlor/core/set';
import type { Middleware } from 'koa';
import type { DocumentProblem, ReadingProblem } from '../reading/index.ts';
import type { RestoreError } from '../shelf/index.ts';
import type { StoreError } from '../store/index.ts';
import { faultDetails, type Log } from './log.ts';

/** Everything that a request can be answered with instead of what it asked for. */
export type Failure =
  | StoreError
  | RestoreError
  | DocumentProblem
  | ReadingProblem
  | { readonly code: 'bad-request'; readonly issues: readonly ReadIssue[] }
  | { readonly code: 'picture-too-large' | 'copy-too-large'; readonly megabytes: number }
  | { readonly code: 'wrong-phrase' | 'too-many-tries'; readonly seconds: number }
  | { readonly code: 'not-found' | 'body-too-large' | 'not-json' | 'foreign-host' | 'foreign-origin' | 'pass-phrase-needed' | 'internal' };

const STATUS: Readonly<Record<Failure['code'], number>> = {
  'set-not-found': 404,
  'revision-not-found': 404,
  'preset-not-found': 404,
  'too-many-presets': 409,
  'too-many-sets': 409,
  'too-many-pictures': 409,
  'picture-not-found': 404,
  'picture-too-large': 413,
  'picture-too-many-pixels': 413,
  'picture-unreadable': 422,
  'picture-of-other-kind': 415,
  'picture-too-slow': 422,
  'picture-too-heavy': 422,
  'svg-unreadable': 422,
  'svg-too-large': 422,
  'svg-filters': 422,
  'svg-foreign': 422,
  'svg-repeats': 422,
  'svg-entities': 422,
  'copy-unreadable': 422,
  'copy-of-newer-version': 422,
  'copy-damaged': 422,
  'copy-row': 422,
  'copy-too-large': 413,
  'not-found': 404,
  'stale-revision': 409,
  'storage-full': 507,
  'body-too-large': 413,
  'bad-document': 422,
  'document-too-heavy': 422,
  busy: 503,
  'bad-request': 400,
  'not-json': 415,
  'foreign-host': 421,
  'foreign-origin': 403,
  'pass-phrase-needed': 401,
  'wrong-phrase': 403,
  'too-many-tries': 429,
  internal: 500,
};

type Answer = { status: number; body: unknown; set: (name: string, value: string) => void };

/** The one place that gives a failure its status. */
export const answerFailure = (context: Answer, failure: Failure): void => {
  context.status = STATUS[failure.code];
  if (failure.code === 'too-many-tries') context.set('Retry-After', String(failure.seconds));
  if (failure.code === 'busy') context.set('Retry-After', '5');
  context.body = { error: failure };
};

const fromThrown = (problem: unknown): Failure => {
  const status = (problem as { status?: number }).status;
  if (status === 413) return { code: 'body-too-large' };
  if (status === 404) return { code: 'not-found' };
  if (status !== undefined && status < 500) return { code: 'bad-request', issues: [{ path: '', message: 'The request cannot be read.' }] };
  return { code: 'internal' };
};

/** Turns what the libraries below throw into failures; what nobody foresaw is logged without its words, and answered without its inside. */
export const catchFailures =
  (log: Log): Middleware =>
  async (context, next) => {
    try {
      await next();
    } catch (problem) {
      const failure = fromThrown(problem);
      if (failure.code === 'internal') log({ level: 'error', event: 'fault', method: context.method, ...faultDetails(problem) });
      answerFailure(context, failure);
    }
  };

/** One line for each request that was answered by anything but a file of the application's own, with its status and how long it took. */
export const logRequests =
  (log: Log, now: () => number): Middleware =>
  async (context, next) => {
    const start = now();
    await next();
    if (context.status < 400 && !context.path.startsWith('/api/')) return;
    const level = context.status >= 500 ? 'warn' : 'info';
    log({ level, event: 'request', method: context.method, status: context.status, ms: Math.round(now() - start) });
  };
