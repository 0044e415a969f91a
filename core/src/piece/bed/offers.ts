// µm, doll size. What a bed offers a body, and what lies on it.
import type { Assembly } from '../../assembly/index.ts';
import { type DollUm, dollOf } from '../../measure/index.ts';
import type { Offer } from '../family/family.ts';
import type { Means } from '../family/means.ts';
import { asDoll, bodyScaleOf } from '../family/offers.ts';
import { flatPlace, type PlaceAt } from '../family/placeAt.ts';
import type { Bed } from './bed.ts';
import { mattressesOf } from './mattresses.ts';

/** Its length and width, the room under an upper bed, its rungs. */
export const bedOffers = (piece: Bed, _: Assembly, means: Means): readonly Offer<Bed>[] => {
  const scale = bodyScaleOf(piece, means);
  return [
    { rule: 'bedLength', value: dollOf(piece.mattressLength, scale), of: '', change: (to) => ({ mattressLength: asDoll(to) }) },
    { rule: 'bedWidth', value: dollOf(piece.mattressWidth, means.scale), of: '', change: (to) => ({ mattressWidth: asDoll(to) }) },
    ...(piece.levels === 'one'
      ? []
      : [
          {
            rule: 'headroom',
            value: dollOf(piece.clear, means.scale),
            of: 'under the upper bed',
            change: (to: DollUm) => ({ clear: asDoll(to) }),
          } as const,
        ]),
    ...(piece.ladder === 'none'
      ? []
      : [{ rule: 'rungs', value: dollOf(piece.rungs, means.scale), of: '', change: (to: DollUm) => ({ rungs: asDoll(to) }) } as const]),
  ];
};

/** Its mattresses. */
export const bedPlaces = (piece: Bed, _: Assembly, means: Means): readonly PlaceAt[] =>
  mattressesOf(piece, means).map(({ word, space }, index, all) =>
    flatPlace(
      `mattress ${index + 1}`,
      all.length === 1 ? 'its mattress' : `the ${word} mattress`,
      'mattress',
      { min: [space.x0, space.y0, space.z0], max: [space.x1, space.y1, space.z1] },
      false,
      space.y1 - space.y0,
    ),
  );
