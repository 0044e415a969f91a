// A family as data: what stands in documents, before anything is built.
import type { z } from 'zod';
import type { BoardChoice } from './means.ts';

/** A value as it stands in a document: read, never written to. */
export type Frozen<T> = T extends string | number | boolean | null | undefined ? T : { readonly [K in keyof T]: Frozen<T[K]> };

/** A piece of the family that a schema describes. A file may leave out its id and its mark; in a document they are there. */
export type PieceOf<S extends z.ZodType> = Frozen<z.output<S>> & { readonly id: string; readonly mark: number };

/** What a family is as data: the first page needs no more of it. */
export type FamilyModel<S extends z.ZodType = z.ZodType> = {
  /** A piece as it may stand in a file; what is left out is as usual. */
  readonly schema: S;
  /** What its boards are chosen for. */
  readonly roles: readonly string[];
  /** About how many parts a piece has, before anything is built. */
  readonly partsAbout: (piece: Frozen<z.output<S>>) => number;
  /** Small things that are folded, sewn or put together of what is found: they stand among the small goods. */
  readonly small?: boolean;
  /** The boards of what a piece is made up of beside its own, and the way to each. */
  readonly boardsWithin?: (
    piece: Frozen<z.output<S>>,
  ) => readonly { readonly path: readonly (string | number)[]; readonly boards: BoardChoice }[];
  /** The piece of the set on which one stands, lies or hangs, or whose shelf it fills: it goes where that goes. */
  readonly host?: (piece: Frozen<z.output<S>>) => string | null;
};

export const defineModel = <S extends z.ZodType>(model: FamilyModel<S>): FamilyModel<S> => model;
