import { randomUUID } from 'node:crypto';
import Router from '@koa/router';
import type { Result } from '@parlor/core/kit';
import { type Piece, readPiece, readSet, type SetDocument } from '@parlor/core/set';
import type { Context } from 'koa';
import { z } from 'zod';
import {
  createSet,
  forgetPreset,
  getRevision,
  getSet,
  keepPreset,
  listAway,
  listPresets,
  listRevisions,
  listSets,
  type Store,
  saveSet,
  setAway,
} from '../store/index.ts';
import { answerFailure, type Failure } from './failure.ts';
import { showPicture, takePicture } from './pictures.ts';
import { readBody } from './readBody.ts';

const LAST_REVISION = 2_147_483_646;
const createBody = z.strictObject({ document: z.unknown(), words: z.enum(['begun', 'brought in', 'a copy']).default('begun') });
const presetBody = z.strictObject({ piece: z.unknown() });
const saveBody = z.strictObject({ basedOn: z.number().int().min(1).max(LAST_REVISION), document: z.unknown() });

const readDocument = (context: Context, data: unknown): SetDocument | undefined => {
  const read = readSet(data);
  if (read.ok) return read.value;
  answerFailure(context, { code: 'bad-document', issues: read.error });
  return undefined;
};

const readOne = (context: Context, data: unknown): Piece | undefined => {
  const read = readPiece(data);
  if (read.ok) return read.value;
  answerFailure(context, { code: 'bad-document', issues: read.error });
  return undefined;
};

const answer = <T>(context: Context, result: Result<T, Failure>, body: (value: T) => unknown = (value) => value): void => {
  if (result.ok) context.body = body(result.value);
  else answerFailure(context, result.error);
};

/** Answers a stored document once it has passed its door again. */
const answerStored = (context: Context, found: Result<{ readonly document: unknown }, Failure>): void => {
  const document = found.ok ? readDocument(context, found.value.document) : undefined;
  if (!found.ok) answerFailure(context, found.error);
  else if (document) context.body = { ...found.value, document };
};

/** The names that sets have; anything else names none. */
const ID = /^[\w-]{1,80}$/;
const NUMBER = /^[1-9]\d{0,8}$/;

/** The interface under /api: sets listed, read, made, saved over the revision they are based on, their history, taken off the shelf and
 *  put back; and the maker's own presets. */
export const routes = (store: Store, clock: () => Date): Router => {
  const router = new Router({ prefix: '/api' });
  router.param('id', (id, context, next) => (ID.test(id) ? next() : answerFailure(context, { code: 'not-found' })));
  router.param('revision', (revision, context, next) => (NUMBER.test(revision) ? next() : answerFailure(context, { code: 'not-found' })));
  const named = (context: { params: Record<string, string> }, name = 'id'): string => context.params[name] ?? '';

  router.get('/sets', async (context) => {
    context.body = { sets: await listSets(store) };
  });
  router.get('/away', async (context) => {
    context.body = { sets: await listAway(store) };
  });
  router.post('/sets', async (context) => {
    const body = readBody(context, createBody);
    const document = body && readDocument(context, body.document);
    if (!body || !document) return;
    const made = await createSet(store, randomUUID(), document, clock(), body.words);
    context.status = 201;
    answer(context, made);
  });
  router.get('/sets/:id', async (context) => {
    answerStored(context, await getSet(store.db, named(context)));
  });
  router.put('/sets/:id', async (context) => {
    const body = readBody(context, saveBody);
    const document = body && readDocument(context, body.document);
    if (!body || !document) return;
    answer(context, await saveSet(store, named(context), body.basedOn, document, clock()));
  });
  router.delete('/sets/:id', async (context) => {
    answer(context, await setAway(store, named(context), clock()));
  });
  router.post('/sets/:id/restore', async (context) => {
    answer(context, await setAway(store, named(context), null));
  });
  router.get('/sets/:id/revisions', async (context) => {
    answer(context, await listRevisions(store, named(context)), (list) => ({ revisions: list }));
  });
  router.get('/sets/:id/revisions/:revision', async (context) => {
    answerStored(context, await getRevision(store, named(context), Number(named(context, 'revision'))));
  });
  router.get('/presets', async (context) => {
    // What no longer passes its door is left out, not failed for.
    const kept = (await listPresets(store)).flatMap(({ id, piece }) => {
      const read = readPiece(piece);
      return read.ok ? [{ id, piece: read.value }] : [];
    });
    context.body = { presets: kept };
  });
  router.post('/presets', async (context) => {
    const body = readBody(context, presetBody);
    const piece = body && readOne(context, body.piece);
    if (!body || !piece) return;
    const kept = await keepPreset(store, randomUUID(), piece, clock());
    if (kept.ok) context.status = 201;
    answer(context, kept);
  });
  router.delete('/presets/:id', async (context) => {
    answer(context, await forgetPreset(store, named(context)));
  });
  router.post('/pictures', (context) => takePicture(context, store, clock));
  router.get('/pictures/:id', (context) => showPicture(context, store, named(context)));
  router.all('/{*rest}', (context) => answerFailure(context, { code: 'not-found' }));
  return router;
};
