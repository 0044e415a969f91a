// µm, doll size. What several families do with parts.

import type { Part } from '../../assembly/index.ts';
import { around, boxOf } from '../../assembly/index.ts';
import { mapVec } from '../../shape/index.ts';
import { PADDING } from '../../stock/index.ts';
import { type PanelKind, panel, type Space } from './panels.ts';

/** A block of padding that fills a space: its size is cut from foam or batting. */
export const padIn = (space: Space, kind: PanelKind): Part => ({ ...panel(space, kind, PADDING.name), stuff: 'pad' });

/** Parts moved in space. */
export const movedParts = (parts: readonly Part[], [dx, dy, dz]: readonly [number, number, number]): readonly Part[] =>
  dx === 0 && dy === 0 && dz === 0
    ? parts
    : parts.map((part) => {
        const [x, y, z] = part.pose.origin;
        return { ...part, pose: { ...part.pose, origin: [x + dx, y + dy, z + dz] } };
      });

/** What rounding puts a leaning part's corner off by. */
const ROUNDED = 2;

/** How far parts must be moved for nothing to reach beyond the lower left back corner, in whole micrometres. */
export const overhangOf = (parts: readonly Part[]): readonly [number, number, number] => {
  const { min } = around(parts.map(boxOf));
  return mapVec(min, (value) => Math.max(0, Math.ceil(-value - ROUNDED)));
};
