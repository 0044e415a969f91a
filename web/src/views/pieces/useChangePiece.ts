import { withValueAt } from '@parlor/core/piece';
import type { Piece, PieceChange } from '@parlor/core/set';
import { useEdit } from '../../state/index.ts';

/** Changes a piece at the end of a path; the document sees its first step. */
export const useChangePiece = (piece: Piece) => {
  const edit = useEdit();
  return (words: string, path: readonly string[], value: unknown): void => {
    const key = path[0] as keyof Piece;
    const change = { [key]: withValueAt(piece, path, value)[key] } as unknown as PieceChange;
    edit(`${words} of ${piece.name}`, { kind: 'change-piece', id: piece.id, change });
  };
};
