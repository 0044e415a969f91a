// Everything on the shelf as rows of JSON, and back: what copies of the shelf are made of, wherever it is kept.
import { eq, sql } from 'drizzle-orm';
import type { Db } from './database.ts';
import { newestDocument } from './documents.ts';
import type { PictureFiles } from './pictureFiles.ts';
import { marks, pictures, presets, revisions, sets } from './schema.ts';

export type SetRow = {
  readonly kind: 'set';
  readonly id: string;
  readonly revision: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly deletedAt: string | null;
  readonly awayDay: number | null;
  readonly document: unknown;
};
export type RevisionRow = {
  readonly kind: 'revision';
  readonly set: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly words: string;
  /** One of the two at least: the document whole, or the edits that it was since the save before. */
  readonly document?: unknown;
  readonly edits?: unknown;
};
export type PresetRow = {
  readonly kind: 'preset';
  readonly id: string;
  readonly name: string;
  readonly at: string;
  readonly piece: unknown;
};
export type PictureRow = {
  readonly kind: 'picture';
  readonly id: string;
  readonly mime: string;
  readonly width: number;
  readonly height: number;
  readonly size: number;
  readonly at: string;
  /** In base 64; left out where the bytes are kept beside the copy. */
  readonly bytes?: string;
};
type MarkRow = { readonly kind: 'mark'; readonly name: string; readonly value: string };

/** Times are ISO 8601. */
export type Row = SetRow | RevisionRow | PresetRow | PictureRow | MarkRow;

/** Marks that belong to one place and one moment, and mean nothing elsewhere. */
const OWN_MARKS = new Set(['journal', 'session-salt', 'device-key']);

const iso = (moment: Date | null): string | null => moment?.toISOString() ?? null;

/** A row whose document is JSON already: it is as large as all the rest together, and is not read and written again for nothing. */
const withText = (row: object, key: 'document' | 'edits' | 'piece', text: string): string =>
  `${JSON.stringify(row).slice(0, -1)},"${key}":${text}}`;

async function* setsOf(db: Db): AsyncGenerator<string> {
  const ids = await db.select({ id: sets.id }).from(sets).orderBy(sets.createdAt, sets.id);
  for (const { id } of ids) {
    const [set] = await db
      .select({
        revision: sets.revision,
        createdAt: sets.createdAt,
        updatedAt: sets.updatedAt,
        deletedAt: sets.deletedAt,
        awayDay: sets.awayDay,
        documentRevision: sets.documentRevision,
        text: sql<string>`${sets.document}::text`,
      })
      .from(sets)
      .where(eq(sets.id, id));
    if (!set) continue;
    const { revision, createdAt, updatedAt, deletedAt, awayDay, documentRevision } = set;
    const text =
      documentRevision === revision
        ? set.text
        : JSON.stringify(await newestDocument(db, { id, revision, documentRevision, document: JSON.parse(set.text) }));
    const times = { createdAt: iso(createdAt), updatedAt: iso(updatedAt), deletedAt: iso(deletedAt) };
    yield withText({ kind: 'set', id, revision, ...times, awayDay }, 'document', text);
    yield* revisionsOf(db, id);
  }
}

/** One after the other: a long history is larger than what should be in memory at once, and others want to be answered in between. */
async function* revisionsOf(db: Db, id: string): AsyncGenerator<string> {
  const list = await db.select({ revision: revisions.revision }).from(revisions).where(eq(revisions.setId, id)).orderBy(revisions.revision);
  for (const { revision } of list) {
    const [found] = await db
      .select({
        savedAt: revisions.savedAt,
        words: revisions.words,
        document: sql<string | null>`${revisions.document}::text`,
        edits: sql<string | null>`${revisions.edits}::text`,
      })
      .from(revisions)
      .where(sql`${revisions.setId} = ${id} and ${revisions.revision} = ${revision}`);
    if (!found) continue;
    const row = { kind: 'revision', set: id, revision, savedAt: iso(found.savedAt), words: found.words };
    yield found.document === null ? withText(row, 'edits', found.edits ?? '[]') : withText(row, 'document', found.document);
  }
}

async function* picturesOf(db: Db, bytesOf: ((id: string) => Uint8Array | null) | null, inDatabase: boolean): AsyncGenerator<string> {
  const columns = { id: pictures.id, mime: pictures.mime, width: pictures.width, height: pictures.height, size: pictures.size };
  for (const { createdAt, ...picture } of await db.select({ ...columns, createdAt: pictures.createdAt }).from(pictures)) {
    const row = { kind: 'picture', ...picture, at: iso(createdAt) };
    const stored = inDatabase
      ? (await db.select({ bytes: pictures.bytes }).from(pictures).where(eq(pictures.id, picture.id)))[0]?.bytes
      : bytesOf?.(picture.id);
    if (bytesOf === null) yield JSON.stringify(row);
    else if (stored) yield JSON.stringify({ ...row, bytes: Buffer.from(stored).toString('base64') });
  }
}

/** Everything on the shelf, each set followed by its history. With `bytesOf` pictures bring their bytes along; a picture whose bytes are gone is
 *  left out then. What is changed meanwhile may be in it or not; the entries of the journal from before the first row on settle that. */
export async function* rowsOf(db: Db, bytesOf: ((id: string) => Uint8Array | null) | null, inDatabase = false): AsyncGenerator<string> {
  for (const mark of await db.select().from(marks)) if (!OWN_MARKS.has(mark.name)) yield JSON.stringify({ kind: 'mark', ...mark });
  yield* picturesOf(db, bytesOf, inDatabase);
  const kept = await db
    .select({ id: presets.id, name: presets.name, at: presets.createdAt, text: sql<string>`${presets.piece}::text` })
    .from(presets);
  for (const { id, name, at, text } of kept) yield withText({ kind: 'preset', id, name, at: iso(at) }, 'piece', text);
  yield* setsOf(db);
}

const putSet = async (tx: Db, { id, revision, document, ...row }: SetRow): Promise<void> => {
  const { name, about } = document as { name: string; about: string };
  const now = {
    ...{ name, about, revision, document, documentRevision: revision, awayDay: row.awayDay, updatedAt: new Date(row.updatedAt) },
    deletedAt: row.deletedAt === null ? null : new Date(row.deletedAt),
  };
  await tx
    .insert(sets)
    .values({ id, ...now, createdAt: new Date(row.createdAt) })
    .onConflictDoUpdate({ target: sets.id, set: now });
};

/** Puts a row where it belongs, over what stands there. */
export const putRow = async (tx: Db, row: Row, files: PictureFiles | null): Promise<void> => {
  switch (row.kind) {
    case 'set':
      return putSet(tx, row);
    case 'revision': {
      const saved = { words: row.words, document: row.document ?? null, edits: row.edits ?? null, savedAt: new Date(row.savedAt) };
      await tx
        .insert(revisions)
        .values({ setId: row.set, revision: row.revision, ...saved })
        .onConflictDoUpdate({ target: [revisions.setId, revisions.revision], set: saved });
      return;
    }
    case 'preset': {
      const { id, name, piece } = row;
      await tx
        .insert(presets)
        .values({ id, name, piece, createdAt: new Date(row.at) })
        .onConflictDoUpdate({ target: presets.id, set: { name, piece } });
      return;
    }
    case 'picture': {
      const { id, mime, width, height, size } = row;
      const bytes = row.bytes === undefined ? null : new Uint8Array(Buffer.from(row.bytes, 'base64'));
      if (bytes) files?.write(id, bytes);
      const values = { id, mime, width, height, size, bytes: files ? null : bytes, createdAt: new Date(row.at) };
      await tx.insert(pictures).values(values).onConflictDoNothing();
      return;
    }
    case 'mark':
      await tx
        .insert(marks)
        .values({ name: row.name, value: row.value })
        .onConflictDoUpdate({ target: marks.name, set: { value: row.value } });
      return;
  }
};
