import type { Context } from 'koa';
import type { z } from 'zod';
import { answerFailure } from './failure.ts';

/** Reads a request's body, or answers what is wrong with it. */
export const readBody = <T>(context: Context, schema: z.ZodType<T>): T | undefined => {
  const read = schema.safeParse((context.request as { body?: unknown }).body ?? {});
  if (read.success) return read.data;
  answerFailure(context, {
    code: 'bad-request',
    issues: read.error.issues.slice(0, 100).map(({ path, message }) => ({ path: path.join('.'), message })),
  });
  return undefined;
};
