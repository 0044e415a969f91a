/** Why a piece cannot be built. Numbers are µm at doll size.
 *  'no-room': a row of bays, by its path, whose fixed sizes and boards need more than there is; 'too-small': boards alone are as large as
 *  the piece in a direction; 'does-not-fit': a named thing needs more than its place gives; 'unknown-face': a panel is placed against one
 *  that is not there. */
export type PieceProblem =
  | { readonly code: 'no-room'; readonly path: readonly number[]; readonly available: number; readonly needed: number }
  | { readonly code: 'too-small'; readonly direction: 'width' | 'height' | 'depth'; readonly available: number; readonly needed: number }
  | { readonly code: 'does-not-fit'; readonly what: string; readonly available: number; readonly needed: number }
  | { readonly code: 'unknown-face'; readonly what: string; readonly face: string };

/** What lacks room: nothing when there is enough. */
export const lack = (what: string, available: number, needed: number): PieceProblem | undefined =>
  available < needed ? { code: 'does-not-fit', what, available: Math.max(0, Math.floor(available)), needed: Math.ceil(needed) } : undefined;

/** What is not so though it must be, where no length says why: nothing when it holds. Its `needed` of 1 is no length, and no words show it. */
export const unless = (what: string, holds: boolean): PieceProblem | undefined => lack(what, holds ? 1 : 0, 1);
