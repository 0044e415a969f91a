// What can be built of a piece that cannot be built as it is decided: without what there is no room for. Each thing that is left out is named, with
// why, and with what would mend it.

import type { Built } from '../parts/built.ts';
import type { Piecelike } from './base.ts';
import type { PieceProblem } from './problem.ts';

/** What mends it: moved along its wall, lowered, made smaller, or taken out. */
export type LeftMend = 'opening-moved' | 'opening-lowered' | 'opening-smaller' | 'take-out';

/** Something that was left out: what it is, the bay it is where it is one, why it cannot be built, and the piece with it mended. */
export type LeftOut<P = Piecelike> = {
  readonly name: string;
  readonly bay: readonly number[] | null;
  /** The opening it is, where it is one of an outer wall: its shell, the wall of that, which of the wall's. */
  readonly opening: { readonly shell: number; readonly wall: number; readonly index: number } | null;
  readonly problem: PieceProblem;
  readonly mend: LeftMend;
  readonly mended: P;
};

/** A piece as far as it can be built, and what was left out. */
export type BuiltWithout<P = Piecelike> = { readonly piece: P; readonly built: Built; readonly left: readonly LeftOut<P>[] };
