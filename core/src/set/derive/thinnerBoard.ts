// What has no room with the board it is cut from may have it with a thinner one.
import { buildPiece, fieldsOf, type Means, type Piece, withValueAt } from '../../piece/index.ts';
import { type Board, boardsToGet, thicknessOf } from '../../stock/index.ts';
import type { Mend } from '../findings/finding.ts';
import { mendPiece } from '../findings/judged.ts';

/** A piece of which all is cut from one board. */
export const cutFrom = (piece: Piece, board: Board): Piece =>
  fieldsOf(piece).reduce((made, { path, kind }) => (kind.kind === 'board' ? withValueAt(made, path, board.id) : made), piece);

/** The thickest of thinner boards from which a piece that has no room can be built: one that the set has, else one to get, from which then the whole set
 *  is cut. */
export const thinnerBoard = (piece: Piece, means: Means): Mend | null => {
  const [usual] = means.boards;
  if (!usual) return null;
  const thinner = (boards: readonly Board[]): readonly Board[] =>
    boards.filter((board) => thicknessOf(board) < thicknessOf(usual)).toSorted((a, b) => thicknessOf(b) - thicknessOf(a));
  for (const board of thinner(means.boards)) {
    const cut = cutFrom(piece, board);
    if (cut !== piece && buildPiece(cut, means).ok)
      return mendPiece(piece, 'other-board', { boards: cut.boards } as Parameters<typeof mendPiece>[2], board.name, thicknessOf(board));
  }
  const board = thinner(boardsToGet(means.boards)).find((each) => buildPiece(piece, { ...means, boards: [each, ...means.boards] }).ok);
  return board ? { kind: 'thinner-board', detail: board.name, size: thicknessOf(board), edit: { kind: 'add-board', at: 0, board } } : null;
};
