import { type Art, type Look, lookOf } from '@parlor/core/cover';
import type { Scale } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';

/** Looks by what they are made of, so that a swatch is drawn again only when it has changed. */
const known = new WeakMap<Art, { readonly palette: SetDocument['palette']; readonly ratio: number; readonly look: Look }>();

export const lookOfArt = (art: Art, palette: SetDocument['palette'], scale: Scale): Look => {
  const ratio = scale.doll / scale.real;
  const old = known.get(art);
  if (old && old.palette === palette && old.ratio === ratio) return old.look;
  const look = lookOf(art, palette, scale);
  known.set(art, { palette, ratio, look });
  return look;
};
