import { defineFamily } from '../family/family.ts';
import { type Bed, bedModel } from './bed.ts';
import { buildBed } from './buildBed.ts';
import { BED_FIELDS } from './fields.ts';
import { bedOffers, bedPlaces } from './offers.ts';
import { BED_PRESETS } from './presets.ts';

const OTHER_SIDE = { none: 'none', left: 'right', right: 'left' } as const;

export const BED = defineFamily<Bed>({
  model: bedModel,
  fields: BED_FIELDS,
  presets: BED_PRESETS,
  build: buildBed,
  mirrored: (piece) => ({ ...piece, head: piece.foot, foot: piece.head, ladder: OTHER_SIDE[piece.ladder] }),
  places: bedPlaces,
  offers: bedOffers,
  spanRole: ({ role }) => (role === 'bottom' ? 'base' : undefined),
});
