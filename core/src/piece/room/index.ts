import { differs, listChange } from '../family/changes.ts';
import { defineFamily } from '../family/family.ts';
import { buildRoom } from './buildRoom.ts';
import { ROOM_FIELDS } from './fields.ts';
import { roomOffers } from './offers.ts';
import { isOfOpening } from './opened.ts';
import { roomPlaces } from './places.ts';
import { ROOM_PRESETS } from './presets.ts';
import { mirroredRoom, type Room, roomModel } from './room.ts';
import { roomWithout } from './without.ts';

export const ROOM = defineFamily<Room>({
  model: roomModel,
  fields: ROOM_FIELDS,
  presets: ROOM_PRESETS,
  editors: { size: ['walls'] },
  build: buildRoom,
  isTrim: isOfOpening,
  mirrored: mirroredRoom,
  sight: () => 'top',
  without: roomWithout,
  places: roomPlaces,
  offers: roomOffers,
  changes: (was, is) => [
    ...differs('its walls', [was.walls, was.corners, was.between], [is.walls, is.corners, is.between]),
    ...differs('its plan', was.points, is.points),
    ...listChange('joined shells', was.shells, is.shells),
  ],
});
