import { randomUUID } from 'node:crypto';
import Router from '@koa/router';
import type { Result } from '@parlor/core/kit';
import { MOST_BYTES, type Piece, readPiece, type SetDocument } from '@parlor/core/set';
import type { Context } from 'koa';
import { z } from 'zod';
import type { DocumentReader } from '../reading/index.ts';
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
  saveSet,
  setAway,
} from '../store/index.ts';
import { heldDocuments } from './documents.ts';
import { type House, sessionRoutes } from './door.ts';
import { answerFailure, type Failure } from './failure.ts';
import type { AppParts } from './parts.ts';
import { showPicture, takePicture } from './pictures.ts';
import { readBody } from './readBody.ts';
import { shelfRoutes } from './shelf.ts';

const LAST_REVISION = 2_147_483_646;
const createBody = z.strictObject({ document: z.unknown(), words: z.enum(['begun', 'brought in', 'a copy']).default('begun') });
const presetBody = z.strictObject({ piece: z.unknown() });
const basedOn = z.number().int().min(1).max(LAST_REVISION);
const saveBody = z.strictObject({ basedOn, document: z.unknown() });
const editBody = z.strictObject({ basedOn, edits: z.unknown() });

/** Edits that are longer are better sent as the document that comes of them. */
const MOST_EDIT_BYTES = 64_000;

/** About how many bytes a request's body came as. */
const sizeOf = (context: Context): number => Number(context.get('content-length')) || MOST_BYTES;

/** Reads a document, or answers what is wrong with it; with the one before it, what changed in words. */
const readDocument = async (
  context: Context,
  documents: DocumentReader,
  data: unknown,
  size: number,
  before: string | null = null,
): Promise<{ readonly document: SetDocument; readonly words: string } | undefined> => {
  const read = await documents.read(data, size, before);
  if (read.ok && read.value.bytes <= MOST_BYTES) return read.value;
  answerFailure(context, read.ok ? { code: 'body-too-large' } : read.error);
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
const answerStored = async (
  context: Context,
  documents: DocumentReader,
  found: Result<{ readonly document: unknown }, Failure>,
): Promise<void> => {
  if (!found.ok) return answerFailure(context, found.error);
  const { document } = found.value;
  const read = await documents.read(document, JSON.stringify(document).length);
  if (read.ok) context.body = { ...found.value, document: read.value.document };
  else answerFailure(context, read.error);
};

/** The names that sets have; anything else names none. */
const ID = /^[\w-]{1,80}$/;
const NUMBER = /^[1-9]\d{0,8}$/;

/** Presets are never changed under their names, so each is read at its door once. */
const presetReader = () => {
  const known = new Map<string, Piece | null>();
  return (id: string, data: unknown): Piece | null => {
    const before = known.get(id);
    if (before !== undefined) return before;
    const read = readPiece(data);
    const piece = read.ok ? read.value : null;
    known.set(id, piece);
    return piece;
  };
};

/** The interface under /api for those inside: sets listed, read, made, saved over the revision they are based on, their history, taken off the
 *  shelf and put back; the maker's own presets and pictures; the shelf as a whole; who else is inside. */
export const routes = ({ store, desk, documents, pictures, door, clock }: AppParts, house: House): Router => {
  const router = new Router({ prefix: '/api', sensitive: true, strict: true });
  router.param('id', (id, context, next) => (ID.test(id) ? next() : answerFailure(context, { code: 'not-found' })));
  router.param('revision', (revision, context, next) => (NUMBER.test(revision) ? next() : answerFailure(context, { code: 'not-found' })));
  const named = (context: { params: Record<string, string> }, name = 'id'): string => context.params[name] ?? '';

  const held = heldDocuments(store, documents);
  router.get('/sets', async (context) => {
    context.body = { sets: await listSets(store) };
  });
  router.get('/away', async (context) => {
    context.body = { sets: await listAway(store) };
  });
  router.post('/sets', async (context) => {
    const body = readBody(context, createBody);
    const read = body && (await readDocument(context, documents, body.document, sizeOf(context)));
    if (!body || !read) return;
    const made = await createSet(store, randomUUID(), read.document, clock(), body.words);
    context.status = 201;
    answer(context, made);
  });
  router.get('/sets/:id', async (context) => {
    await answerStored(context, documents, await getSet(store.db, named(context)));
  });
  router.put('/sets/:id', async (context) => {
    const body = readBody(context, saveBody);
    if (!body) return;
    const id = named(context);
    // What a stale save would change needs no words.
    const before = await held.at(id, body.basedOn);
    const text = before.ok ? JSON.stringify(before.value) : null;
    const read = await readDocument(context, documents, body.document, sizeOf(context), text);
    if (!read) return;
    const words = before.ok ? read.words : 'everything anew';
    const saved = await saveSet(store, id, body.basedOn, { document: read.document, edits: null, words }, clock());
    if (saved.ok) held.hold(id, saved.value.revision, read.document);
    answer(context, saved);
  });
  router.post('/sets/:id/edits', async (context) => {
    const body = readBody(context, editBody);
    if (!body) return;
    const id = named(context);
    if (sizeOf(context) > MOST_EDIT_BYTES) return answerFailure(context, { code: 'body-too-large' });
    const edited = await held.edited(id, body.basedOn, body.edits);
    if (!edited.ok) return answerFailure(context, edited.error);
    const saved = await saveSet(store, id, body.basedOn, edited.value, clock());
    if (saved.ok) held.hold(id, saved.value.revision, edited.value.document);
    answer(context, saved);
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
    await answerStored(context, documents, await getRevision(store, named(context), Number(named(context, 'revision'))));
  });
  const presetOf = presetReader();
  router.get('/presets', async (context) => {
    // What no longer passes its door is left out, not failed for.
    const kept = (await listPresets(store)).flatMap(({ id, piece }) => {
      const read = presetOf(id, piece);
      return read ? [{ id, piece: read }] : [];
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
  router.post('/pictures', (context) => takePicture(context, store, pictures, clock));
  router.get('/pictures/:id', (context) => showPicture(context, store, named(context)));
  shelfRoutes(router, { store, desk, clock, restored: held.forget });
  sessionRoutes(router, door, house);
  return router;
};
