// What is done to the shelf, as the journal keeps it, so that it can be done again.
import { eq, inArray } from 'drizzle-orm';
import type { Db } from './database.ts';
import type { PictureFiles } from './pictureFiles.ts';
import { putRow, type Row } from './rows.ts';
import { pictures, presets, revisions, sessions, sets } from './schema.ts';
import { thin } from './thin.ts';

type PictureEntry = {
  readonly kind: 'picture';
  readonly id: string;
  readonly mime: string;
  readonly width: number;
  readonly height: number;
  readonly at: string;
  /** Of the file that holds it. */
  readonly size?: number;
  /** In base 64, as it was before pictures had files of their own. */
  readonly bytes?: string;
};

/** Times are ISO 8601. */
export type Entry =
  | {
      readonly kind: 'save';
      readonly id: string;
      readonly revision: number;
      readonly words: string;
      readonly at: string;
      readonly document: unknown;
    }
  /** A save that is kept as its edits. */
  | {
      readonly kind: 'edit';
      readonly id: string;
      readonly revision: number;
      readonly words: string;
      readonly at: string;
      readonly name: string;
      readonly about: string;
      readonly edits: unknown;
    }
  | { readonly kind: 'away'; readonly id: string; readonly at: string | null; readonly day?: number | null }
  | { readonly kind: 'purge'; readonly ids: readonly string[] }
  | { readonly kind: 'preset'; readonly id: string; readonly name: string; readonly at: string; readonly piece: unknown }
  | { readonly kind: 'forget'; readonly id: string }
  | PictureEntry
  | { readonly kind: 'drop-pictures'; readonly ids: readonly string[] }
  | { readonly kind: 'rows'; readonly rows: readonly Row[] }
  | { readonly kind: 'session'; readonly id: string; readonly phrase: string; readonly at: string }
  /** Null ends all of them. */
  | { readonly kind: 'session-end'; readonly id: string | null };

const savePicture = async (tx: Db, entry: PictureEntry, files: PictureFiles | null): Promise<void> => {
  const { id, mime, width, height } = entry;
  const bytes = entry.bytes === undefined ? null : new Uint8Array(Buffer.from(entry.bytes, 'base64'));
  if (bytes && files) files.write(id, bytes);
  const kept = { id, mime, width, height, size: entry.size ?? bytes?.length ?? 0, bytes: files ? null : bytes };
  await tx
    .insert(pictures)
    .values({ ...kept, createdAt: new Date(entry.at) })
    .onConflictDoNothing();
};

/** Keeps a save in the history again. */
const keepAgain = async (
  tx: Db,
  { id, revision, words, at }: { readonly id: string; readonly revision: number; readonly words: string; readonly at: string },
  what: { readonly document: unknown } | { readonly edits: unknown },
): Promise<void> => {
  const saved = { words, ...what, savedAt: new Date(at) };
  await tx
    .insert(revisions)
    .values({ setId: id, revision, ...saved })
    .onConflictDoUpdate({ target: [revisions.setId, revisions.revision], set: saved });
  await thin(tx, id, revision);
};

const saveSetAgain = async (tx: Db, { id, revision, words, document, at }: Entry & { readonly kind: 'save' }): Promise<void> => {
  const { name, about } = document as { name: string; about: string };
  const now = { name, about, revision, document, documentRevision: revision, updatedAt: new Date(at) };
  await tx
    .insert(sets)
    .values({ id, ...now, createdAt: new Date(at) })
    .onConflictDoUpdate({ target: sets.id, set: now });
  await keepAgain(tx, { id, revision, words, at }, { document });
};

const editSetAgain = async (tx: Db, { id, revision, words, at, name, about, edits }: Entry & { readonly kind: 'edit' }): Promise<void> => {
  const [set] = await tx
    .update(sets)
    .set({ name, about, revision, updatedAt: new Date(at) })
    .where(eq(sets.id, id))
    .returning({ id: sets.id });
  // A set that is not there was forgotten later than this.
  if (!set) return;
  await keepAgain(tx, { id, revision, words, at }, { edits });
};

/** Does an entry again, whether or not the database still knows of it. */
export const doAgain = async (tx: Db, entry: Entry, files: PictureFiles | null): Promise<void> => {
  switch (entry.kind) {
    case 'save':
      return saveSetAgain(tx, entry);
    case 'edit':
      return editSetAgain(tx, entry);
    case 'away':
      await tx
        .update(sets)
        .set({ deletedAt: entry.at === null ? null : new Date(entry.at), awayDay: entry.day ?? null })
        .where(eq(sets.id, entry.id));
      return;
    case 'purge':
      for (const id of entry.ids) await tx.delete(sets).where(eq(sets.id, id));
      return;
    case 'preset':
      return putRow(tx, entry, files);
    case 'forget':
      await tx.delete(presets).where(eq(presets.id, entry.id));
      return;
    case 'picture':
      return savePicture(tx, entry, files);
    case 'drop-pictures':
      if (entry.ids.length > 0) await tx.delete(pictures).where(inArray(pictures.id, [...entry.ids]));
      return;
    case 'rows':
      for (const row of entry.rows) await putRow(tx, row, files);
      return;
    case 'session': {
      const at = new Date(entry.at);
      await tx.insert(sessions).values({ id: entry.id, phrase: entry.phrase, createdAt: at, seenAt: at }).onConflictDoNothing();
      return;
    }
    case 'session-end':
      await (entry.id === null ? tx.delete(sessions) : tx.delete(sessions).where(eq(sessions.id, entry.id)));
      return;
  }
};
