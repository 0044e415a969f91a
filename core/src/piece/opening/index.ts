import { defineFamily } from '../family/family.ts';
import { buildOpening } from './buildOpening.ts';
import { OPENING_FIELDS } from './fields.ts';
import { openingOffers } from './offers.ts';
import { type Opening, openingModel } from './opening.ts';
import { openingPlaces } from './places.ts';
import { OPENING_PRESETS } from './presets.ts';

export const OPENING = defineFamily<Opening>({
  model: openingModel,
  fields: OPENING_FIELDS,
  presets: OPENING_PRESETS,
  build: buildOpening,
  // Lining, bars and sill are strips; only a leaf is a board of its own.
  isTrim: ({ role }) => role !== 'door',
  mirrored: (piece) => ({ ...piece, hinge: piece.hinge === 'left' ? 'right' : 'left' }),
  places: openingPlaces,
  offers: openingOffers,
});
