// µm, doll size. What a table offers a body.
import { type Assembly, boxOf, type Part } from '../../assembly/index.ts';
import { type DollUm, dollOf, realOf } from '../../measure/index.ts';
import type { Offer } from '../family/family.ts';
import type { Means } from '../family/means.ts';
import { asDoll, bodyScaleOf, SAT_AT } from '../family/offers.ts';
import type { Table } from './table.ts';

/** What is clear under a top towards its front, where knees go: at the best of three places. */
const clearUnder = (parts: readonly Part[], { max }: Assembly['outside']): number => {
  const boxes = parts.map(boxOf).filter(({ min }) => min[1] > max[1] * 0.3);
  const front = max[2] * 0.75;
  const clearAt = (x: number): number =>
    Math.min(
      max[1],
      ...boxes.filter((box) => box.min[0] < x && box.max[0] > x && box.min[2] < front && box.max[2] > front).map(({ min }) => min[1]),
    );
  return Math.max(...[0.3, 0.5, 0.7].map((share) => clearAt(max[0] * share)));
};

/** The height at which one sits at a table; null where it is too low for that. */
export const tableSatAt = (
  piece: Table,
  means: Means,
): { readonly height: DollUm; readonly change: (to: DollUm) => Partial<Table> } | null => {
  const scale = bodyScaleOf(piece, means);
  return realOf(piece.height, scale) < SAT_AT ? null : { height: dollOf(piece.height, scale), change: (to) => ({ height: asDoll(to) }) };
};

/** How high its top is, and what is clear under it. */
export const tableOffers = (piece: Table, assembly: Assembly, means: Means): readonly Offer<Table>[] => {
  const at = tableSatAt(piece, means);
  if (!at) return [];
  return [
    { rule: 'tableHeight', value: at.height, of: '', change: at.change },
    { rule: 'kneeRoom', value: clearUnder(assembly.parts, assembly.outside), of: '', change: null },
  ];
};
