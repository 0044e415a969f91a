// µm, doll size. What every part of a table is measured from.
import type { Motion, Part } from '../../assembly/index.ts';
import { dollOf } from '../../measure/index.ts';
import { bodyHeight, type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import type { PanelKind, Space } from '../parts/panels.ts';
import { TABLE_ROLES, type Table, type TableRole } from './table.ts';

export type TablePlan = {
  readonly piece: Table;
  readonly sheets: Readonly<Record<TableRole, Sheeting>>;
  readonly outside: Space;
  /** Under the top, where legs may stand. */
  readonly under: Space;
  readonly apron: number;
  readonly legWidth: number;
  readonly stretcherUp: number;
  readonly bracket: number;
};

export const planTable = (piece: Table, means: Means): TablePlan => {
  const doll = (measure: Table['width']) => dollOf(measure, means.scale);
  const sheets = sheetsFor(piece, TABLE_ROLES, means);
  const outside: Space = {
    x0: 0,
    x1: doll(piece.width),
    y0: 0,
    y1: bodyHeight(piece.height, piece.bodyScale, means),
    z0: 0,
    z1: doll(piece.depth),
  };
  // Under a round top legs stand on the square that its circle holds.
  const keep = piece.shape === 'round' ? (1 - Math.SQRT1_2) / 2 : 0;
  const [across, along] = [Math.ceil(outside.x1 * keep) + doll(piece.inset), Math.ceil(outside.z1 * keep) + doll(piece.inset)];
  const under: Space = {
    x0: across,
    x1: outside.x1 - across,
    y0: 0,
    y1: outside.y1 - sheets.top.thickness,
    z0: along,
    z1: outside.z1 - along,
  };
  return {
    piece,
    sheets,
    outside,
    under,
    apron: doll(piece.apron),
    legWidth: doll(piece.legWidth),
    stretcherUp: doll(piece.stretcherUp),
    bracket: doll(piece.bracketHeight),
  };
};

export const word = (plan: TablePlan, id: string, kind: Omit<PanelKind, 'id'>): PanelKind => ({ ...kind, id: `${plan.piece.id}/${id}` });

export type PartsResult = { readonly parts: readonly Part[]; readonly motions: readonly Motion[] };
