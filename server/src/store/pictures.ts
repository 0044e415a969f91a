import { createHash } from 'node:crypto';
import { err, ok, type Result } from '@parlor/core/kit';
import { eq } from 'drizzle-orm';
import { pictures } from './schema.ts';
import { change, type Store, type StoreError } from './store.ts';

/** A picture as it is kept: upright, JPEG or PNG. */
export type Kept = { readonly mime: string; readonly width: number; readonly height: number; readonly bytes: Uint8Array };

/** Keeps a picture under the sum of its bytes; one that is there already is kept once. Errors: 'storage-full'. */
export const keepPicture = (
  store: Store,
  { mime, width, height, bytes }: Kept,
  at: Date,
): Promise<Result<{ readonly id: string; readonly width: number; readonly height: number }, StoreError>> =>
  change(store, async (tx) => {
    const id = createHash('sha256').update(bytes).digest('hex');
    const made = await tx
      .insert(pictures)
      .values({ id, mime, width, height, bytes, createdAt: at })
      .onConflictDoNothing()
      .returning({ id: pictures.id });
    if (made.length > 0)
      await store.record(tx, {
        kind: 'picture',
        id,
        mime,
        width,
        height,
        at: at.toISOString(),
        bytes: Buffer.from(bytes).toString('base64'),
      });
    return ok({ id, width, height });
  });

/** Errors: 'picture-not-found'. */
export const getPicture = async ({ db }: Store, id: string): Promise<Result<Kept, StoreError>> => {
  const [row] = await db.select().from(pictures).where(eq(pictures.id, id));
  return row ? ok(row) : err({ code: 'picture-not-found', id });
};
