import { differs } from '../family/changes.ts';
import { defineFamily } from '../family/family.ts';
import { buildCloth } from './buildCloth.ts';
import { type ClothForm, type ClothThing, clothModel } from './cloth.ts';
import { CLOTH_FIELDS } from './fields.ts';
import { CLOTH_PRESETS } from './presets.ts';

/** What goes round a block: it stands where the block does, and not on it. */
const GOES_ROUND: ReadonlySet<ClothForm> = new Set(['mattress cover', 'upholstery', 'fitted sheet']);

export const CLOTH = defineFamily<ClothThing>({
  model: clothModel,
  fields: CLOTH_FIELDS,
  presets: CLOTH_PRESETS,
  build: buildCloth,
  mirrored: (piece) => ({ ...piece, drops: { ...piece.drops, left: piece.drops.right, right: piece.drops.left } }),
  liesFlat: ({ form }) => form === 'rug' || form === 'towel',
  goesRound: ({ form }, { kind }) => GOES_ROUND.has(form) || (form === 'seat cover' && kind === 'pad'),
  changes: (was, is) => [
    ...differs('its cloth', was.cloths, is.cloths),
    ...differs(is.on ? 'what it lies or hangs on' : 'it lies on nothing any more', was.on, is.on),
    ...differs(is.fits ? 'it takes its size from there' : 'its size is its own', was.fits, is.fits),
  ],
});
