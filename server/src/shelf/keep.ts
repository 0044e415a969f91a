// A copy of everything in one file, for wherever the maker wants it, and back from it beside what is there.

import { randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { isDeepStrictEqual } from 'node:util';
import { err, ok, type Result } from '@parlor/core/kit';
import { readPiece, readSet } from '@parlor/core/set';
import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { CopyFault, type CopyProblem, copyLines, readCopy } from '../disk/index.ts';
import {
  change,
  type Db,
  documentColumns,
  newestDocument,
  type PictureRow,
  type PresetRow,
  pictures,
  presets,
  putRow,
  type RevisionRow,
  type Row,
  rowsOf,
  type SetRow,
  type Store,
  type StoreError,
  sets,
  sumOf,
} from '../store/index.ts';

/** Everything on the shelf as the lines of a copy, pictures with their bytes. */
export const everything = (store: Store, at: Date): AsyncGenerator<string> =>
  copyLines(
    0,
    at.toISOString(),
    rowsOf(store.db, (id) => store.pictures?.read(id) ?? null, store.pictures === null),
  );

/** What came back, and what was there already or had to get another name to stand beside what has its own. */
export type Restored = {
  readonly sets: number;
  readonly besides: number;
  readonly already: number;
  readonly presets: number;
  readonly pictures: number;
};

export type RestoreError = StoreError | CopyProblem | { readonly code: 'copy-row'; readonly row: number; readonly reason: string };

const moment = z.iso.datetime();
const id = z.string().regex(/^[\w-]{1,80}$/);
const revision = z.number().int().min(1).max(2_147_483_646);
const side = z.number().int().min(1).max(100_000);

const rowSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('set'),
    ...{ id, revision, createdAt: moment, updatedAt: moment, deletedAt: moment.nullable(), awayDay: z.number().int().nullable() },
    document: z.looseObject({ name: z.string(), about: z.string() }),
  }),
  z
    .strictObject({
      kind: z.literal('revision'),
      ...{ set: id, revision, savedAt: moment, words: z.string().max(100_000) },
      document: z.looseObject({ name: z.string(), about: z.string() }).optional(),
      edits: z.array(z.looseObject({ kind: z.string() })).optional(),
    })
    .refine(({ document, edits }) => document !== undefined || edits !== undefined, 'a save has neither its document nor its edits'),
  z.strictObject({ kind: z.literal('preset'), id, name: z.string().max(1_000), at: moment, piece: z.looseObject({}) }),
  z.strictObject({
    kind: z.literal('picture'),
    id: z.string().regex(/^[0-9a-f]{64}$/),
    mime: z.enum(['image/png', 'image/jpeg']),
    ...{ width: side, height: side, size: z.number().int().min(0), at: moment },
    bytes: z.base64(),
  }),
  z.strictObject({ kind: z.literal('mark'), name: z.string().max(100), value: z.string().max(1_000) }),
]);

const MAGIC = { 'image/png': '89504e47', 'image/jpeg': 'ffd8ff' } as const;

/** What is wrong with a row beyond its shape; null where nothing is. */
const wrongWith = (row: z.infer<typeof rowSchema>): string | null => {
  if (row.kind === 'set') return readSet(row.document).ok ? null : `the set “${row.document.name.slice(0, 60)}” is none`;
  if (row.kind === 'preset') return readPiece(row.piece).ok ? null : `the template “${row.name.slice(0, 60)}” is none`;
  if (row.kind !== 'picture') return null;
  const bytes = Buffer.from(row.bytes, 'base64');
  if (sumOf(bytes) !== row.id) return 'a picture is not the one that its name says';
  return bytes.toString('hex', 0, 8).startsWith(MAGIC[row.mime]) ? null : 'a picture is of another kind than it says';
};

/** No shelf unpacks to more. */
const MOST_BYTES = 20_000_000_000;

async function* checkedRows(path: string, checked: boolean): AsyncGenerator<Row> {
  let number = 0;
  let set = '';
  for await (const line of readCopy(createReadStream(path), MOST_BYTES)) {
    number += 1;
    const refuse = (reason: string): never => {
      throw Object.assign(new Error(reason), { row: number, reason });
    };
    let data: unknown;
    try {
      data = JSON.parse(line);
    } catch {
      refuse('it is no JSON');
    }
    const read = rowSchema.safeParse(data);
    if (!read.success) {
      refuse(read.error.issues[0]?.message ?? 'it cannot be read');
      continue;
    }
    const wrong = checked ? null : wrongWith(read.data);
    if (wrong !== null) refuse(wrong);
    if (read.data.kind === 'set') set = read.data.id;
    if (read.data.kind === 'revision' && read.data.set !== set) refuse('a save stands apart from its set');
    yield read.data as Row;
  }
}

type Group = SetRow | PresetRow | PictureRow | { readonly set: SetRow; readonly history: readonly RevisionRow[] };

/** A set with its whole history at once; the rest row by row. */
async function* grouped(rows: AsyncIterable<Row>): AsyncGenerator<Group> {
  let set: SetRow | null = null;
  let history: RevisionRow[] = [];
  for await (const row of rows) {
    if (row.kind === 'revision') history.push(row);
    else {
      if (set) yield { set, history };
      [set, history] = [row.kind === 'set' ? row : null, []];
      if (row.kind === 'preset' || row.kind === 'picture') yield row;
    }
  }
  if (set) yield { set, history };
}

const isSame = async (tx: Db, { id: wanted, revision: at, document }: SetRow): Promise<boolean> => {
  const [row] = await tx.select(documentColumns).from(sets).where(eq(sets.id, wanted));
  return row?.revision === at && isDeepStrictEqual(JSON.parse(JSON.stringify(await newestDocument(tx, row))), document);
};

type Kind = 'sets' | 'besides' | 'already' | 'presets' | 'pictures';

const putSet = (
  store: Store,
  { set, history }: { readonly set: SetRow; readonly history: readonly RevisionRow[] },
): Promise<Result<Kind, StoreError>> =>
  change(store, async (tx) => {
    const [there] = await tx.select({ id: sets.id }).from(sets).where(eq(sets.id, set.id));
    if (there && (await isSame(tx, set))) return ok('already');
    const own = there ? randomUUID() : set.id;
    // Away for as long as it was; by whose count is known only here.
    const rows: readonly Row[] = [{ ...set, id: own, awayDay: null }, ...history.map((row) => ({ ...row, set: own }))];
    for (const row of rows) await putRow(tx, row, store.pictures);
    await store.record(tx, { kind: 'rows', rows });
    return ok(there ? 'besides' : 'sets');
  });

const putOther = (store: Store, row: PresetRow | PictureRow): Promise<Result<Kind, StoreError>> =>
  change(store, async (tx) => {
    const table = row.kind === 'preset' ? presets : pictures;
    const [there] = await tx.select({ id: table.id }).from(table).where(eq(table.id, row.id));
    if (there) return ok('already');
    await putRow(tx, row, store.pictures);
    // The bytes have their file; the journal needs none.
    const recorded = row.kind === 'picture' && store.pictures ? { ...row, bytes: undefined } : row;
    await store.record(tx, { kind: 'rows', rows: [recorded as Row] });
    return ok(row.kind === 'preset' ? 'presets' : 'pictures');
  });

const errorOf = (problem: unknown): RestoreError | null => {
  if (problem instanceof CopyFault) return problem.problem;
  const { row, reason } = problem as { readonly row?: number; readonly reason?: string };
  return row !== undefined && reason !== undefined ? { code: 'copy-row', row, reason } : null;
};

/** Brings a copy back beside what is there: nothing is written over. All of it is read and checked before anything of it is kept; what is there
 *  already just as it is in the copy is left, and a set whose name in the store another one has comes beside it.
 *  Errors: a CopyProblem, 'copy-row' with the row's number and what is wrong with it, or what the store says. */
export const restoreFrom = async (store: Store, path: string): Promise<Result<Restored, RestoreError>> => {
  const counts = { sets: 0, besides: 0, already: 0, presets: 0, pictures: 0 };
  try {
    for await (const _ of checkedRows(path, false));
    for await (const group of grouped(checkedRows(path, true))) {
      const put = 'set' in group ? await putSet(store, group) : group.kind === 'set' ? null : await putOther(store, group);
      if (put && !put.ok) return put;
      if (put) counts[put.value] += 1;
    }
    return ok(counts);
  } catch (problem) {
    const error = errorOf(problem);
    if (error) return err(error);
    throw problem;
  }
};
