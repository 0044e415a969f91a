// The documents of sets that are worked on: they stay in memory from one save to the next, so that an edit costs what it changes, not what the set is.
import { err, ok, type Result } from '@parlor/core/kit';
import { bytesOf, describeChange, editBetween, MOST_BYTES, type Piece, readEdited, type SetDocument, sentEdit } from '@parlor/core/set';
import type { DocumentProblem, DocumentReader } from '../reading/index.ts';
import { getSet, type Save, type Store, type StoreError } from '../store/index.ts';

type Problem = StoreError | DocumentProblem | { readonly code: 'body-too-large' };

/** So many sets are held. */
const MOST_HELD = 12;

/** Edits of larger pieces are read as whole documents are, in the thread with its bounds; whoever sent them sends that. */
const MOST_PIECE_BYTES = 64_000;

const bytesOfPieces = (pieces: readonly Piece[], ids: ReadonlySet<unknown>): number =>
  pieces.reduce((sum, piece) => sum + (ids.has(piece.id) ? JSON.stringify(piece).length : 0), 0);

const idsIn = (edits: unknown): ReadonlySet<unknown> =>
  new Set(Array.isArray(edits) ? edits.map((edit: { readonly id?: unknown } | null) => edit?.id) : []);

/** The documents of one store, each read at its door once. */
export const heldDocuments = (store: Store, documents: DocumentReader) => {
  const held = new Map<string, { readonly revision: number; readonly document: SetDocument }>();
  const hold = (id: string, revision: number, document: SetDocument): void => {
    held.delete(id);
    held.set(id, { revision, document });
    const [oldest] = held.keys();
    if (held.size > MOST_HELD && oldest !== undefined) held.delete(oldest);
  };
  const at = async (id: string, revision: number): Promise<Result<SetDocument, Problem>> => {
    const known = held.get(id);
    if (known?.revision === revision) return ok(known.document);
    const found = await getSet(store.db, id);
    if (!found.ok) return found;
    if (found.value.revision !== revision) return err({ code: 'stale-revision', id, revision: found.value.revision });
    const read = await documents.read(found.value.document, JSON.stringify(found.value.document).length);
    if (!read.ok) return read;
    hold(id, revision, read.value.document);
    return ok(read.value.document);
  };
  return {
    hold,
    /** A set at a revision, which is its newest. */
    at,
    /** Forgets all of them: under a name and a number may stand another document now. */
    forget: (): void => held.clear(),
    /** What edits make of a set at a revision, and what changed in words.
     *  Errors: 'stale-revision', 'set-not-found', 'bad-document' with what is wrong, 'body-too-large'. */
    edited: async (id: string, basedOn: number, data: unknown): Promise<Result<Save, Problem>> => {
      const before = await at(id, basedOn);
      if (!before.ok) return before;
      if (bytesOfPieces(before.value.pieces, idsIn(data)) > MOST_PIECE_BYTES) return err({ code: 'body-too-large' });
      const done = readEdited(before.value, data);
      if (!done.ok) return err({ code: 'bad-document', issues: done.error });
      const document = done.value;
      if (bytesOf(document) > MOST_BYTES) return err({ code: 'body-too-large' });
      // Kept is what was read, not what was sent: ids, marks and defaults that were left out are decided once.
      const edit = editBetween(before.value, document);
      return ok({ document, edits: edit && sentEdit(edit), words: describeChange(before.value, document) });
    },
  };
};
