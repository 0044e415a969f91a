import { defineFamily } from '../family/family.ts';
import { padPlaces, topPlace } from '../family/placeAt.ts';
import { buildSeat } from './buildSeat.ts';
import { SEAT_FIELDS } from './fields.ts';
import { seatHeight, seatOffers, seatSitting } from './offers.ts';
import { SEAT_PRESETS } from './presets.ts';
import { type Seat, seatModel } from './seat.ts';

export const SEAT = defineFamily<Seat>({
  model: seatModel,
  fields: SEAT_FIELDS,
  presets: SEAT_PRESETS,
  build: buildSeat,
  sight: () => 'side',
  places: (_, assembly) => {
    const pads = padPlaces(assembly);
    return pads.length > 0 ? pads : topPlace(assembly, 'seat');
  },
  offers: seatOffers,
  seatHeight,
  sitting: seatSitting,
});
