// The shelf as a whole: what it has to tell, a copy of everything, and back from one.

import { randomUUID } from 'node:crypto';
import { createWriteStream, rmSync } from 'node:fs';
import { join } from 'node:path';
import { PassThrough, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type Router from '@koa/router';
import type { Context } from 'koa';
import { packInto } from '../disk/index.ts';
import { everything, type Notice, restoreFrom } from '../shelf/index.ts';
import { pictureCounts, type Store } from '../store/index.ts';
import { answerFailure } from './failure.ts';

/** What the shelf has lying about it, wherever it is kept. */
export type ShelfDesk = {
  readonly notices: () => readonly Notice[];
  readonly dropNotice: (id: string) => void;
  /** When the newest copy beside the database was made; null where none is kept. */
  readonly newestCopy: () => string | null;
  /** Where files may lie that are being read. */
  readonly incoming: string;
};

const MOST_BYTES = 2_000_000_000;

class TooLarge extends Error {}

/** Lets so many bytes through. */
const bounded = (most: number): Transform => {
  let passed = 0;
  return new Transform({
    transform(chunk: Buffer, _, done) {
      passed += chunk.length;
      done(passed > most ? new TooLarge() : null, chunk);
    },
  });
};

const sendCopy = (context: Context, store: Store, at: Date): void => {
  const stream = new PassThrough();
  context.type = 'application/gzip';
  context.set('Content-Disposition', `attachment; filename="everything-${at.toISOString().slice(0, 10)}.parlor-shelf"`);
  context.body = stream;
  // What goes wrong on the way breaks the file off, and its sum says so.
  packInto(everything(store, at), stream).then(
    () => stream.end(),
    (problem) => stream.destroy(problem),
  );
};

const takeCopy = async (context: Context, { store, desk: { incoming }, restored: told }: Parts): Promise<void> => {
  const path = join(incoming, `incoming-${randomUUID()}`);
  // A large copy is checked for longer than others may be silent.
  context.req.socket.setTimeout(0);
  try {
    await pipeline(context.req, bounded(MOST_BYTES), createWriteStream(path, { mode: 0o600 }));
    const restored = await restoreFrom(store, path);
    told();
    if (restored.ok) context.body = restored.value;
    else answerFailure(context, restored.error);
  } catch (problem) {
    if (problem instanceof TooLarge) return answerFailure(context, { code: 'copy-too-large', megabytes: MOST_BYTES / 1e6 });
    if ((problem as NodeJS.ErrnoException).code === 'ENOSPC') return answerFailure(context, { code: 'storage-full' });
    throw problem;
  } finally {
    rmSync(path, { force: true });
  }
};

type Parts = {
  readonly store: Store;
  readonly desk: ShelfDesk;
  readonly clock: () => Date;
  /** Called when sets have come back from a copy. */
  readonly restored: () => void;
};

export const shelfRoutes = (router: Router, parts: Parts): void => {
  const { store, desk, clock } = parts;
  router.get('/shelf', async (context) => {
    context.body = { notices: desk.notices(), newestCopy: desk.newestCopy(), pictures: await pictureCounts(store.db) };
  });
  router.delete('/shelf/notices/:id', (context) => {
    desk.dropNotice(context.params['id'] ?? '');
    context.body = { notices: desk.notices() };
  });
  router.get('/shelf/copy', (context) => sendCopy(context, store, clock()));
  router.post('/shelf/copy', (context) => takeCopy(context, parts));
};
