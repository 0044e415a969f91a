import { err, ok, type Result } from '@parlor/core/kit';
import { and, eq, inArray, isNotNull, isNull, lte, sql } from 'drizzle-orm';
import type { Db } from './database.ts';
import { countedDays } from './days.ts';
import { sumOf } from './pictureFiles.ts';
import { pictures, presets, revisions, sets } from './schema.ts';
import { change, type Store, type StoreError } from './store.ts';

/** A picture as it is kept: upright, JPEG or PNG. */
export type Kept = { readonly mime: string; readonly width: number; readonly height: number; readonly bytes: Uint8Array };

/** So many pictures, and so many bytes of them, are kept at the most. */
export const MOST_PICTURES = 2_000;
const MOST_PICTURE_BYTES = 4_000_000_000;

/** A picture that no set names any more, its history included, is forgotten after so many counted days. */
const UNUSED_DAYS = 30;

/** How many pictures are kept, and of how many bytes. */
export const pictureCounts = async (db: Db): Promise<{ readonly count: number; readonly bytes: number }> => {
  const [row] = await db
    .select({ count: sql<number>`count(*)::int`, bytes: sql<string>`coalesce(sum(${pictures.size}), 0)` })
    .from(pictures);
  return { count: row?.count ?? 0, bytes: Number(row?.bytes ?? 0) };
};

/** Keeps a picture under the sum of its bytes; one that is there already is kept once. The file is on the disk before anything names it.
 *  Errors: 'storage-full', 'too-many-pictures'. */
export const keepPicture = (
  store: Store,
  { mime, width, height, bytes }: Kept,
  at: Date,
): Promise<Result<{ readonly id: string; readonly width: number; readonly height: number }, StoreError>> =>
  change(store, async (tx) => {
    const id = sumOf(bytes);
    const [there] = await tx.select({ id: pictures.id }).from(pictures).where(eq(pictures.id, id));
    if (there) return ok({ id, width, height });
    const { count, bytes: all } = await pictureCounts(tx);
    if (count >= MOST_PICTURES || all + bytes.length > MOST_PICTURE_BYTES) return err({ code: 'too-many-pictures', most: MOST_PICTURES });
    store.pictures?.write(id, bytes);
    const kept = { id, mime, width, height, size: bytes.length };
    const made = await tx
      .insert(pictures)
      .values({ ...kept, bytes: store.pictures ? null : bytes, createdAt: at })
      .onConflictDoNothing()
      .returning({ id: pictures.id });
    if (made.length > 0) await store.record(tx, { kind: 'picture', ...kept, at: at.toISOString() });
    return ok({ id, width, height });
  });

/** Errors: 'picture-not-found', also where its bytes are gone or are no longer what they were. */
export const getPicture = async ({ db, pictures: files }: Store, id: string): Promise<Result<Kept, StoreError>> => {
  const [row] = await db.select().from(pictures).where(eq(pictures.id, id));
  const bytes = row?.bytes ?? (row && files?.read(id));
  return row && bytes ? ok({ mime: row.mime, width: row.width, height: row.height, bytes }) : err({ code: 'picture-not-found', id });
};

/** The pictures that a set, a save of its history, or a preset names. */
const namedPictures = async (db: Db): Promise<ReadonlySet<string>> => {
  const named = (column: typeof sets.document | typeof revisions.document | typeof revisions.edits | typeof presets.piece) =>
    sql<string>`(regexp_matches(${column}::text, '"id": ?"([0-9a-f]{64})"', 'g'))[1]`;
  const found = [
    ...(await db.selectDistinct({ id: named(sets.document) }).from(sets)),
    ...(await db.selectDistinct({ id: named(revisions.document) }).from(revisions)),
    ...(await db.selectDistinct({ id: named(revisions.edits) }).from(revisions)),
    ...(await db.selectDistinct({ id: named(presets.piece) }).from(presets)),
  ];
  return new Set(found.map(({ id }) => id));
};

/** Notes which pictures nothing names, and forgets those that nothing has named for long. Gives back what was forgotten. */
export const collectPictures = async (store: Store): Promise<Result<readonly string[], StoreError>> => {
  const rows = await store.db.select({ id: pictures.id }).from(pictures);
  if (rows.length === 0) return ok([]);
  const named = await namedPictures(store.db);
  const unused = rows.map(({ id }) => id).filter((id) => !named.has(id));
  const used = rows.map(({ id }) => id).filter((id) => named.has(id));
  const gone = await change(store, async (tx) => {
    const today = await countedDays(tx);
    if (used.length > 0)
      await tx
        .update(pictures)
        .set({ unusedDay: null })
        .where(and(inArray(pictures.id, used), isNotNull(pictures.unusedDay)));
    if (unused.length === 0) return ok([]);
    await tx
      .update(pictures)
      .set({ unusedDay: today })
      .where(and(inArray(pictures.id, unused), isNull(pictures.unusedDay)));
    const dropped = await tx
      .delete(pictures)
      .where(and(inArray(pictures.id, unused), lte(pictures.unusedDay, today - UNUSED_DAYS)))
      .returning({ id: pictures.id });
    const ids = dropped.map(({ id }) => id);
    if (ids.length > 0) await store.record(tx, { kind: 'drop-pictures', ids });
    return ok(ids);
  });
  if (gone.ok) store.pictures?.remove(gone.value);
  return gone;
};
