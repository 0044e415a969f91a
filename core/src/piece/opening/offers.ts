// µm, doll size. What doors and windows offer a body, in a wall or by themselves.
import type { Assembly } from '../../assembly/index.ts';
import type { Offer } from '../family/family.ts';
import type { Means } from '../family/means.ts';
import { asDoll, dollIn } from '../family/offers.ts';
import type { Opening } from './opening.ts';

/** What something in a wall offers, by its form; `up` is from the floor to it, null where that is not known. */
export const offersThrough = (
  form: string,
  height: number,
  width: number,
  up: number | null,
  of: string,
): readonly Omit<Offer<Opening>, 'change'>[] =>
  form === 'door' || (form === 'arch' && up === 0)
    ? [
        { rule: 'doorHeight', value: height, of },
        { rule: 'doorWidth', value: width, of },
      ]
    : form === 'window' && up !== null
      ? [{ rule: 'sill', value: up, of }]
      : [];

/** The height and width of what one goes through. */
export const openingOffers = (piece: Opening, _: Assembly, means: Means): readonly Offer<Opening>[] => {
  const doll = dollIn(means);
  return offersThrough(piece.form, doll(piece.height), doll(piece.width), null, '').map((offer) => ({
    ...offer,
    change: (to) => ({ [offer.rule === 'doorWidth' ? 'width' : 'height']: asDoll(to) }),
  }));
};
