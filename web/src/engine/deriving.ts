// What a worker knows of the set that lies open. What did not change since the last answer is sent back by its key only.
import { type DerivedPiece, type DerivedSet, derive, onlyWithHost, type SetDocument } from '@parlor/core/set';
import { documentHeld } from './documents.ts';

/** The document that a worker was told of. */
export const documentOf = documentHeld();

let known: DerivedSet | undefined;

/** Derives a set, taking over what is known of it. */
export const derivedOf = (document: SetDocument): DerivedSet => {
  known = derive(document, known);
  return known;
};

/** One piece of a set, before all others of it; what that took is known when the rest is derived. */
export const derivedAlone = (
  document: SetDocument,
  id: string,
): { readonly piece: DerivedPiece | undefined; readonly scale: DerivedSet['scale'] } => {
  const { scale, pieces } = derive(onlyWithHost(document, id), known);
  known = { scale, pieces: [...(known?.pieces ?? []), ...pieces] };
  return { piece: pieces.find((piece) => piece.id === id), scale };
};

/** What was derived last. */
export const derivedLast = (): DerivedSet | undefined => known;

/** Things by their key alone where they were there before. */
export const elided = <T extends { readonly key: string }>(now: readonly T[], before: readonly T[]): (T | { key: string })[] =>
  now.map((item) => (before.includes(item) ? { key: item.key } : item));

/** A piece without what only a worker computes with: where parts touch, and the pencil lines that follow from it. They are the larger half. */
export const slim = (piece: DerivedPiece): DerivedPiece =>
  piece.made ? { ...piece, made: { ...piece.made, inspection: { ...piece.made.inspection, contacts: [] } } } : piece;
