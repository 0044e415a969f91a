// µm, doll size. Things that lie, stand or hang on others: moved there, and what the place is called.
import type { Part } from '../../assembly/index.ts';
import { showLength, type Units } from '../../measure/index.ts';
import { goesRound, type Piece, type PlaceAt, type PlaceOf } from '../../piece/index.ts';
import { turnUpright, type Vec3 } from '../../shape/index.ts';

/** Where the middle of a place is for a thing: what is itself the mattress, or goes round it, begins where the mattress does; a seat's cover where its padding does. */
export const spotOf = ({ middle, base, space }: PlaceAt, thing: Piece): Vec3 => (goesRound(thing, space) ? base : middle);

/** Parts of a thing moved to its place, in the space of the piece that has the place: its anchor comes to the middle, and it faces outwards. */
export const putAt = (parts: readonly Part[], anchor: Vec3, spot: Vec3, [cos, sin]: PlaceAt['turn']): readonly Part[] => {
  const turn = turnUpright(cos, sin);
  const whole = ([x, y, z]: Vec3): Vec3 => [Math.round(x), Math.round(y), Math.round(z)];
  return parts.map((part) => {
    const { origin, u, v } = part.pose;
    const [dx, dy, dz] = turn([origin[0] - anchor[0], origin[1] - anchor[1], origin[2] - anchor[2]]);
    return { ...part, pose: { origin: whole([spot[0] + dx, spot[1] + dy, spot[2] + dz]), u: turn(u), v: turn(v) } };
  });
};

/** What a place is called where it is chosen. */
export const placeWords = ({ label, space }: PlaceAt, units: Units): string =>
  `${label}, ${showLength(Math.round(space.width), units)} × ${showLength(Math.round(space.depth), units)}`;

/** A place by its name. */
export const placeNamed = (places: readonly PlaceAt[], { at }: Pick<PlaceOf, 'at'>): PlaceAt | undefined =>
  places.find((place) => place.at === at);
