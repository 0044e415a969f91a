import { randomUUID } from 'node:crypto';
import Router from '@koa/router';
import type { Result } from '@parlor/core/kit';
import { readSet, type SetDocument } from '@parlor/core/set';
import type { Context } from 'koa';
import { z } from 'zod';
import { createSet, type Database, getSet, listSets, saveSet, setDeleted } from '../store/index.ts';
import { answerFailure, type Failure } from './failure.ts';

const createBody = z.strictObject({ document: z.unknown() });
const saveBody = z.strictObject({ basedOn: z.number().int().min(1), document: z.unknown() });

/** Reads a request's body, or answers what is wrong with it. */
const readBody = <T>(context: Context, schema: z.ZodType<T>): T | undefined => {
  const read = schema.safeParse((context.request as { body?: unknown }).body ?? {});
  if (read.success) return read.data;
  answerFailure(context, {
    code: 'bad-request',
    issues: read.error.issues.map(({ path, message }) => ({ path: path.join('.'), message })),
  });
  return undefined;
};

const readDocument = (context: Context, data: unknown): SetDocument | undefined => {
  const read = readSet(data);
  if (read.ok) return read.value;
  answerFailure(context, { code: 'bad-document', issues: read.error });
  return undefined;
};

const answer = <T>(context: Context, result: Result<T, Failure>, body: (value: T) => unknown): void => {
  if (result.ok) context.body = body(result.value);
  else answerFailure(context, result.error);
};

/** The interface under /api: sets listed, read, made, saved over the revision they are based on, hidden and brought back. */
export const routes = ({ db }: Database): Router => {
  const router = new Router({ prefix: '/api' });
  const idOf = (context: { params: Record<string, string> }): string => context.params['id'] ?? '';

  router.get('/sets', async (context) => {
    context.body = { sets: await listSets(db) };
  });
  router.post('/sets', async (context) => {
    const body = readBody(context, createBody);
    const document = body && readDocument(context, body.document);
    if (!document) return;
    context.status = 201;
    context.body = await createSet(db, randomUUID(), document);
  });
  router.get('/sets/:id', async (context) => {
    const found = await getSet(db, idOf(context));
    if (!found.ok) return answerFailure(context, found.error);
    const document = readDocument(context, found.value.document);
    if (document) context.body = { ...found.value, document };
  });
  router.put('/sets/:id', async (context) => {
    const body = readBody(context, saveBody);
    const document = body && readDocument(context, body.document);
    if (!body || !document) return;
    answer(context, await saveSet(db, idOf(context), body.basedOn, document), (revision) => ({ revision }));
  });
  router.delete('/sets/:id', async (context) => {
    answer(context, await setDeleted(db, idOf(context), true), (id) => ({ id }));
  });
  router.post('/sets/:id/restore', async (context) => {
    answer(context, await setDeleted(db, idOf(context), false), (id) => ({ id }));
  });
  router.all('/{*rest}', (context) => answerFailure(context, { code: 'not-found' }));
  return router;
};
