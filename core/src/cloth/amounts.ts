// µm, doll size. What a pattern takes beside its cloth: thread, glue, tape, and what it is filled with.
import { cross, dot, minus } from '../shape/index.ts';
import { meshOf } from './bend.ts';
import { edgeLength, type SewingPattern, stretchOf } from './pattern.ts';

/** How much longer thread is than the seam it sews, twice through: common practice, no source. */
export const THREAD = 3;

/** How long all is that is sewn or glued: each seam once, and every hem. */
export const workLength = ({ pieces, seams }: SewingPattern): { readonly seams: number; readonly hems: number } => ({
  seams: seams.reduce((sum, { one, other }) => sum + Math.min(stretchOf(pieces, one), stretchOf(pieces, other)), 0),
  hems: pieces.reduce(
    (sum, piece) =>
      piece.edges
        .filter(({ kind }) => kind === 'hem' || kind === 'double hem' || kind === 'pocket')
        .reduce((own, { name }) => own + edgeLength(piece, name), sum),
    0,
  ),
});

/** Filling is weighed by the hand: a mesh so coarse is near enough, within a few hundredths. */
const COARSE = 24;

/** The space that patches close in, in µm³: the sum over triangles of a sixth of the product of their corners. */
export const volumeWithin = ({ patches }: SewingPattern): number => {
  let sum = 0;
  const from = patches[0] ? (meshOf(patches[0]).space[0] ?? [0, 0, 0]) : ([0, 0, 0] as const);
  for (const patch of patches) {
    const { space, triangles } = meshOf({ ...patch, fine: [Math.min(COARSE, patch.fine[0]), Math.min(COARSE, patch.fine[1])] });
    for (const [a, b, c] of triangles) {
      const [p, q, r] = [space[a], space[b], space[c]].map((point) => minus(point ?? from, from));
      if (p && q && r) sum += dot(p, cross(q, r)) / 6;
    }
  }
  return Math.abs(sum);
};

/** Loose filling: what a litre of it weighs when it is pressed as in a cushion, in grams. Common practice, no source. */
export const FILLING_GRAMS_PER_LITRE = 18;
