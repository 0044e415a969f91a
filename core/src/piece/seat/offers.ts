// µm, doll size. What a seat offers a body.
import { type Assembly, boxOf, type Part } from '../../assembly/index.ts';
import { type Body, seatRules } from '../../doll/index.ts';
import { type DollUm, dollOf, realOf } from '../../measure/index.ts';
import type { Offer, Sitting } from '../family/family.ts';
import type { Means } from '../family/means.ts';
import { asDoll, bodyScaleOf, SAT_AT } from '../family/offers.ts';
import type { Seat } from './seat.ts';

/** How deep a seat is before its back. */
const clearSeat = (parts: readonly Part[], level: number, front: number, middle: number): number => {
  const behind = parts
    .map(boxOf)
    .filter(
      ({ min, max }) => min[0] < middle && max[0] > middle && max[1] > level + 2_000 && max[1] - min[1] > max[2] - min[2] && max[2] < front,
    );
  return front - Math.max(0, ...behind.map(({ max }) => max[2]));
};

/** How high above the floor one sits. */
export const seatHeight = (piece: Seat, means: Means): DollUm => dollOf(piece.seat, bodyScaleOf(piece, means));

/** Where one sits on a seat. */
export const seatSitting = (piece: Seat, { parts, outside: { max } }: Assembly, means: Means): Sitting => {
  const level = seatHeight(piece, means);
  return { level, deep: clearSeat(parts, level, max[2], max[0] / 2 + 1), front: max[2], middle: max[0] / 2 };
};

/** How high and how deep it is. */
export const seatOffers = (piece: Seat, assembly: Assembly, means: Means, body: Body): readonly Offer<Seat>[] => {
  const scale = bodyScaleOf(piece, means);
  const rules = seatRules(body);
  if (!rules) return [];
  const { level, deep } = seatSitting(piece, assembly, means);
  const more = dollOf(piece.depth, means.scale) - deep;
  // On a high stool the feet stand on its rungs.
  const rung = piece.rungs === null || realOf(piece.seat, scale) < SAT_AT || !body.bends.knees ? 0 : dollOf(piece.rungs, means.scale);
  return [
    {
      rule: rules.height,
      value: level - rung,
      of: rung > 0 ? 'over its rungs' : '',
      change: (to) => ({ seat: asDoll((to + rung) as DollUm) }),
    },
    { rule: rules.depth, value: deep, of: '', change: (to) => ({ depth: asDoll((to + more) as DollUm) }) },
  ];
};
