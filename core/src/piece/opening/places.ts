// µm, doll size. Where something may hang on a window: at its frame.
import type { Assembly } from '../../assembly/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import { AHEAD, type PlaceAt } from '../family/placeAt.ts';
import type { Opening } from './opening.ts';

/** The frame of a window; none on a door. */
export const openingPlaces = ({ form }: Opening, { outside: { min, max } }: Assembly): readonly PlaceAt[] => {
  if (form !== 'window') return [];
  const middle: Vec3 = [(min[0] + max[0]) / 2, max[1], max[2]];
  return [
    {
      at: 'window',
      label: 'its frame',
      space: { kind: 'window', width: max[0] - min[0], depth: max[1] - min[1], thick: 0, above: null, round: false },
      middle,
      base: middle,
      turn: AHEAD,
    },
  ];
};
