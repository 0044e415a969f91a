import { assertNever } from '../../kit/index.ts';
import { type Cell, type CellPath, cellAt, frontOf, withCellAt } from '../../piece/index.ts';
import type { Board } from '../../stock/index.ts';
import type { Piece, SetDocument } from './document.ts';

/** The parts of a document that are changed, compared and chosen as wholes. */
export const SETTINGS = [
  'name',
  'about',
  'units',
  'doll',
  'company',
  'cloths',
  'palette',
  'finishes',
  'booklets',
  'cutting',
  'printing',
  'layouts',
] as const satisfies readonly (keyof SetDocument)[];
export type Setting = (typeof SETTINGS)[number];

export type Settings = Pick<SetDocument, Setting>;

/** A change of any family's fields; which family a piece is of never changes. */
export type PieceChange = { [F in Piece as F['family']]: Partial<Omit<F, 'id' | 'family'>> }[Piece['family']];

/** Every way in which a document changes. Each can be inverted, so undo is never written by hand. */
export type Edit =
  | { readonly kind: 'change-set'; readonly change: Partial<Settings> }
  | { readonly kind: 'change-piece'; readonly id: string; readonly change: PieceChange }
  | { readonly kind: 'put-cell'; readonly id: string; readonly path: CellPath; readonly cell: Cell }
  | { readonly kind: 'add-piece'; readonly at: number; readonly piece: Piece }
  | { readonly kind: 'remove-piece'; readonly id: string }
  | { readonly kind: 'change-board'; readonly id: string; readonly change: Partial<Omit<Board, 'id'>> }
  | { readonly kind: 'add-board'; readonly at: number; readonly board: Board }
  | { readonly kind: 'remove-board'; readonly id: string }
  | { readonly kind: 'replace'; readonly document: SetDocument }
  | { readonly kind: 'all'; readonly edits: readonly Edit[] };

/** A document after an edit, and the edit that takes it back. */
export type Edited = { readonly document: SetDocument; readonly inverse: Edit };

const NOTHING: Edit = { kind: 'all', edits: [] };

/** The values that a change replaces. */
const before = <T extends object>(whole: T, change: Partial<T>): Partial<T> =>
  Object.fromEntries(Object.keys(change).map((key) => [key, whole[key as keyof T]])) as Partial<T>;

const inserted = <T>(list: readonly T[], at: number, item: T): readonly T[] => [...list.slice(0, at), item, ...list.slice(at)];

const replaced = <T extends { readonly id: string }>(list: readonly T[], id: string, change: Partial<NoInfer<T>>): readonly T[] =>
  list.map((item) => (item.id === id ? { ...item, ...change } : item));

const all = (document: SetDocument, edits: readonly Edit[]): Edited => {
  const inverses: Edit[] = [];
  let now = document;
  for (const edit of edits) {
    const done = applyEdit(now, edit);
    now = done.document;
    inverses.unshift(done.inverse);
  }
  return { document: now, inverse: { kind: 'all', edits: inverses } };
};

const onPiece = (document: SetDocument, edit: Edit & { kind: 'change-piece' | 'put-cell' | 'remove-piece' }): Edited => {
  const at = document.pieces.findIndex(({ id }) => id === edit.id);
  const piece = document.pieces[at];
  if (!piece) return { document, inverse: NOTHING };
  if (edit.kind === 'remove-piece') {
    return {
      document: { ...document, pieces: document.pieces.filter(({ id }) => id !== edit.id) },
      inverse: { kind: 'add-piece', at, piece },
    };
  }
  if (edit.kind === 'change-piece') {
    const pieces = replaced(document.pieces, edit.id, edit.change as Partial<Piece>);
    return { document: { ...document, pieces }, inverse: { ...edit, change: before(piece, edit.change as Partial<Piece>) as PieceChange } };
  }
  const front = frontOf(piece);
  const old = front && cellAt(front, edit.path);
  if (!front || !old) return { document, inverse: NOTHING };
  const pieces = replaced(document.pieces, edit.id, { front: withCellAt(front, edit.path, edit.cell) } as Partial<Piece>);
  return { document: { ...document, pieces }, inverse: { ...edit, cell: old } };
};

const onBoard = (document: SetDocument, edit: Edit & { kind: 'change-board' | 'remove-board' }): Edited => {
  const at = document.boards.findIndex(({ id }) => id === edit.id);
  const board = document.boards[at];
  if (!board || (edit.kind === 'remove-board' && document.boards.length === 1)) return { document, inverse: NOTHING };
  return edit.kind === 'remove-board'
    ? { document: { ...document, boards: document.boards.filter(({ id }) => id !== edit.id) }, inverse: { kind: 'add-board', at, board } }
    : {
        document: { ...document, boards: replaced(document.boards, edit.id, edit.change) },
        inverse: { ...edit, change: before(board, edit.change) },
      };
};

/** Applies an edit. An edit that names something no longer there, or adds what is there, changes nothing.
 *  Law: applying the inverse to the result gives the document back, equal in every field. */
export const applyEdit = (document: SetDocument, edit: Edit): Edited => {
  switch (edit.kind) {
    case 'change-set':
      return { document: { ...document, ...edit.change }, inverse: { ...edit, change: before<Settings>(document, edit.change) } };
    case 'add-piece':
      if (document.pieces.some(({ id }) => id === edit.piece.id)) return { document, inverse: NOTHING };
      return {
        document: { ...document, pieces: inserted(document.pieces, edit.at, edit.piece) },
        inverse: { kind: 'remove-piece', id: edit.piece.id },
      };
    case 'add-board':
      if (document.boards.some(({ id }) => id === edit.board.id)) return { document, inverse: NOTHING };
      return {
        document: { ...document, boards: inserted(document.boards, edit.at, edit.board) },
        inverse: { kind: 'remove-board', id: edit.board.id },
      };
    case 'change-piece':
    case 'put-cell':
    case 'remove-piece':
      return onPiece(document, edit);
    case 'change-board':
    case 'remove-board':
      return onBoard(document, edit);
    case 'replace':
      return { document: edit.document, inverse: { kind: 'replace', document } };
    case 'all':
      return all(document, edit.edits);
    default:
      return assertNever(edit);
  }
};

/** The change that makes one state of a piece another. */
export const changeBetween = <P extends Pick<Piece, 'family'>>(piece: P, next: P): PieceChange =>
  Object.fromEntries((Object.keys(next) as (keyof P)[]).flatMap((key) => (next[key] === piece[key] ? [] : [[key, next[key]]])));
