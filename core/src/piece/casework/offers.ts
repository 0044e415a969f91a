// µm, doll size. What casework offers a body.
import { type Assembly, boxOf } from '../../assembly/index.ts';
import { type DollUm, UM } from '../../measure/index.ts';
import type { Offer } from '../family/family.ts';
import type { Means } from '../family/means.ts';
import { asDoll } from '../family/offers.ts';
import type { Casework } from './casework.ts';

/** The height of its worktop, and of its highest shelf. */
export const caseworkOffers = (piece: Casework, { parts, outside }: Assembly, means: Means): readonly Offer<Casework>[] => {
  const high = outside.max[1];
  const real = (high * means.scale.real) / means.scale.doll;
  const shelves = parts.filter(({ role }) => role === 'shelf').map((part) => boxOf(part).max[1]);
  return [
    ...(piece.worktop && real > 700 * UM.mm && real < 1_200 * UM.mm
      ? [{ rule: 'worktop', value: high, of: '', change: (to: DollUm) => ({ height: asDoll(to) }) } as const]
      : []),
    ...(shelves.length > 0 ? [{ rule: 'reach', value: Math.max(...shelves), of: '', change: null } as const] : []),
  ];
};
