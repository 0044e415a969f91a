// µm, doll size. Where mattresses lie in a bed that stands, and how large each is.
import type { Means } from '../family/means.ts';
import type { Space } from '../parts/panels.ts';
import type { Bed } from './bed.ts';
import { planBed } from './plan.ts';

/** The mattress of each level, from the lowest up: the space that it takes, without its play. */
export const mattressesOf = (piece: Bed, means: Means): readonly { readonly word: string; readonly space: Space }[] => {
  const { bed, levels, sizes } = planBed(piece, means);
  const { play } = piece;
  return levels.map(({ word, lies }) => ({
    word,
    space: { x0: bed.x0 + play, x1: bed.x1 - play, z0: bed.z0 + play, z1: bed.z1 - play, y0: lies, y1: lies + sizes.mattress },
  }));
};
