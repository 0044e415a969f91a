import type { Part } from '@parlor/core/assembly';
import type { ClothThing, OddThing } from '@parlor/core/piece';
import { meansOf, type PlaceAt, placeNamed, placesOf, spotOf } from '@parlor/core/set';
import { useMemo } from 'react';
import { useAppSelector, useSet } from '../../state/index.ts';

/** What a thing lies, stands or hangs on, and the place; null where it is by itself. Fronts are left out where they would hide it. */
export const useThere = (
  thing: ClothThing | OddThing,
): { readonly host: readonly Part[]; readonly place: PlaceAt; readonly at: readonly [number, number, number] } | null => {
  const set = useSet();
  const made = useAppSelector((state) => (thing.on ? state.derived.set?.pieces.find(({ id }) => id === thing.on?.piece)?.made : null));
  return useMemo(() => {
    const host = set.pieces.find(({ id }) => id === thing.on?.piece);
    if (!made || !host || !thing.on) return null;
    const place = placeNamed(placesOf(host, made.assembly, meansOf(set)), thing.on);
    if (!place) return null;
    // Of a room only what is near the window is seen: its walls.
    const parts = made.assembly.parts.filter(({ stuff, role }) => stuff !== 'found' && role !== 'top');
    return { host: parts, place, at: spotOf(place, thing) };
  }, [set, made, thing]);
};
