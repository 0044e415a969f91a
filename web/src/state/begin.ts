// A piece is begun from a preset, as it best suits the open set.
import { type DerivedPiece, type Edit, freshName, type Piece } from '@parlor/core/set';
import { useStore } from 'react-redux';
import { suitThere } from '../engine/index.ts';
import { useEdit } from './hooks.ts';
import type { State } from './store.ts';

/** A piece as the next of a set: with an id, a mark and a name of its own. */
export const nextPiece = <P extends Piece>(from: P, pieces: readonly Piece[]): P => ({
  ...from,
  id: crypto.randomUUID(),
  mark: Math.max(0, ...pieces.map(({ mark }) => mark)) + 1,
  name: freshName(
    from.name,
    pieces.map(({ name }) => name),
  ),
});

/** Puts a piece into the set, with the board that it takes where the set has none; gives it back as it came in, or nothing where that set does not lie open
 *  any more. `look` is the piece as it is derived in the set: one of which there is nothing to notice comes in as it is, and so does the maker's own. */
export const useBegin = (): ((from: Piece, look: DerivedPiece | 'own' | undefined) => Promise<Piece | null>) => {
  const edit = useEdit();
  const { getState } = useStore<State>();
  return async (from, look) => {
    const { id: setId, document } = getState().openSet;
    if (!document) return null;
    const isWell = look === 'own' || (look?.findings.every(({ severity }) => severity === 'note') ?? false);
    const asItIs = { piece: from, board: null };
    const { piece: suited, board } = isWell ? asItIs : await suitThere(document, from).catch(() => asItIs);
    const now = getState().openSet;
    if (!now.document || now.id !== setId) return null;
    const { pieces, boards } = now.document;
    const piece = nextPiece(suited, pieces);
    const add: Edit = { kind: 'add-piece', at: pieces.length, piece };
    if (board)
      edit(`${piece.name} added, and ${board.name} for it`, { kind: 'all', edits: [{ kind: 'add-board', at: boards.length, board }, add] });
    else edit(`${piece.name} added`, add);
    return piece;
  };
};
