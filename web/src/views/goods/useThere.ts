import type { Part } from '@parlor/core/assembly';
import { type ClothThing, isRoom, type OddThing, type PlaceAt, placesOf } from '@parlor/core/piece';
import { belongingTo, meansOf, placeNamed, spotOf } from '@parlor/core/set';
import { useMemo } from 'react';
import { useAppSelector, useSet } from '../../state/index.ts';

/** What a thing lies, stands or hangs on, and the place; null where it is by itself. Fronts are left out where they would hide it. */
export const useThere = (
  thing: ClothThing | OddThing,
): { readonly host: readonly Part[]; readonly place: PlaceAt; readonly at: readonly [number, number, number] } | null => {
  const set = useSet();
  const made = useAppSelector((state) => (thing.on ? state.derived.set?.pieces.find(({ id }) => id === thing.on?.piece)?.made : null));
  const derived = useAppSelector((state) => state.derived.set);
  return useMemo(() => {
    const host = set.pieces.find(({ id }) => id === thing.on?.piece);
    if (!made || !host || !thing.on) return null;
    const place = placeNamed(placesOf(host, made.assembly, meansOf(set)), thing.on);
    if (!place) return null;
    // Into a room one looks from above.
    const parts = made.assembly.parts.filter(({ stuff, role }) => stuff !== 'found' && (!isRoom(host) || role !== 'top'));
    const others = derived ? belongingTo(set, derived, host.id).filter(({ piece }) => piece !== thing.id) : [];
    return { host: [...parts, ...others.flatMap((each) => each.parts)], place, at: spotOf(place, thing) };
  }, [set, derived, made, thing]);
};
