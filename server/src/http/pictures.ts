// Pictures that a maker brings in, and their bytes given back.
import type { Context } from 'koa';
import getRawBody from 'raw-body';
import type { PictureReader } from '../reading/index.ts';
import { getPicture, keepPicture, type Store } from '../store/index.ts';
import { answerFailure } from './failure.ts';

/** Larger files are refused. */
export const MOST_BYTES = 25 * 1024 * 1024;

/** Set off when whoever asks has gone before the answer. */
const goneFrom = (context: Context): AbortSignal => {
  const gone = new AbortController();
  context.res.once('close', () => {
    if (!context.res.writableFinished) gone.abort();
  });
  return gone.signal;
};

/** Takes a picture from a request's bare body. */
export const takePicture = async (context: Context, store: Store, pictures: PictureReader, clock: () => Date): Promise<void> => {
  const gone = goneFrom(context);
  const file = await getRawBody(context.req, { limit: MOST_BYTES }).catch((problem: { status?: number }) =>
    problem.status === 413 ? ('too large' as const) : ('broken off' as const),
  );
  if (file === 'too large') return answerFailure(context, { code: 'picture-too-large', megabytes: MOST_BYTES / 1024 / 1024 });
  if (file === 'broken off' || file.length === 0) return answerFailure(context, { code: 'picture-unreadable' });
  const read = await pictures.read(file, gone);
  if (!read.ok) return answerFailure(context, read.error);
  const kept = await keepPicture(store, read.value, clock());
  if (!kept.ok) return answerFailure(context, kept.error);
  context.status = 201;
  context.body = kept.value;
};

/** Answers a picture's bytes. They never change under their name, so a browser may keep them. */
export const showPicture = async (context: Context, store: Store, id: string): Promise<void> => {
  const found = await getPicture(store, id);
  if (!found.ok) return answerFailure(context, found.error);
  context.type = found.value.mime;
  context.set('Cache-Control', 'private, max-age=31536000, immutable');
  context.body = Buffer.from(found.value.bytes);
};
