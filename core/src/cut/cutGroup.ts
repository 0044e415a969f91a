// µm, doll size.
import type { Slant, Stuff } from '../assembly/index.ts';
import type { Region } from '../shape/index.ts';

/** Identical parts of one piece: same stuff, same outline to within a few micrometres. `tag` is the piece's mark and a letter,
 *  such as 2B; the outline is the first part's. */
export type CutGroup = {
  readonly tag: string;
  readonly name: string;
  readonly stuff: Stuff;
  /** The board's id, or the name of the stick, sheet, wire or found thing. */
  readonly stock: string;
  readonly thickness: number;
  /** Length to cut of sticks and wire; null for what is cut from a sheet. */
  readonly length: number | null;
  /** Across and along as the part is drawn; with grain, along is the grain's way. */
  readonly width: number;
  readonly height: number;
  readonly region: Region;
  readonly grained: boolean;
  /** Cuts that are not square. */
  readonly slants: readonly Slant[];
  readonly parts: readonly number[];
};
