import type { ReadIssue } from '@parlor/core/set';
import type { Middleware } from 'koa';
import type { StoreError } from '../store/index.ts';

/** Everything that a request can be answered with instead of what it asked for. */
export type Failure =
  | StoreError
  | { readonly code: 'bad-document'; readonly issues: readonly ReadIssue[] }
  | { readonly code: 'bad-request'; readonly issues: readonly ReadIssue[] }
  | { readonly code: 'not-found' | 'body-too-large' | 'not-json' | 'internal' };

const STATUS: Readonly<Record<Failure['code'], number>> = {
  'set-not-found': 404,
  'not-found': 404,
  'stale-revision': 409,
  'body-too-large': 413,
  'bad-document': 422,
  'bad-request': 400,
  'not-json': 400,
  internal: 500,
};

/** The one place that gives a failure its status. */
export const answerFailure = (context: { status: number; body: unknown }, failure: Failure): void => {
  context.status = STATUS[failure.code];
  context.body = { error: failure };
};

const fromThrown = (problem: unknown): Failure => {
  const status = (problem as { status?: number }).status;
  if (status === 413) return { code: 'body-too-large' };
  if (status === 404) return { code: 'not-found' };
  return { code: status !== undefined && status < 500 ? 'not-json' : 'internal' };
};

/** Turns what the libraries below throw into failures; what nobody foresaw is logged and answered without its inside. */
export const catchFailures =
  (log: (line: string) => void): Middleware =>
  async (context, next) => {
    try {
      await next();
    } catch (problem) {
      const failure = fromThrown(problem);
      if (failure.code === 'internal')
        log(`error ${context.method} ${context.path}: ${problem instanceof Error ? problem.stack : String(problem)}`);
      answerFailure(context, failure);
    }
  };
