// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer. What every fitting of a shop is measured from.
import type { Part } from '../../assembly/index.ts';
import type { Result } from '../../kit/index.ts';
import type { Measure } from '../../measure/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import type { Sheeting } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import { leaningBoard, leaningDepth } from '../parts/leaning.ts';
import type { Put } from '../parts/put.ts';
import type { Shop, ShopRole } from './shop.ts';

export type ShopPlan = {
  readonly piece: Shop;
  readonly sheets: Readonly<Record<ShopRole, Sheeting>>;
  readonly width: number;
  readonly height: number;
  readonly depth: number;
  readonly low: number;
  readonly top: number;
  readonly doll: (measure: Measure) => number;
  readonly put: Put;
};

export type PartsResult = Result<{ readonly parts: readonly Part[]; readonly outside: Vec3 }, PieceProblem>;

/** What a sloping or upright pane is made of: clear sheet, or the front's board. */
export const paneOf = ({
  piece,
  sheets,
}: ShopPlan): { readonly stuff: Part['stuff']; readonly board: string; readonly one: number; readonly layers: number } =>
  piece.glazing === 'clear'
    ? { stuff: 'clear', board: CLEAR_SHEET.name, one: CLEAR_SHEET.thickness, layers: 1 }
    : { stuff: 'board', board: sheets.front.board, one: sheets.front.one, layers: sheets.front.layers };

/** A pane that slopes from the front below to the top's edge above, between two cheeks; its front lies in their slope. */
export const slope = (plan: ShopPlan, x0: number, x1: number, y0: number, y1: number, z0: number, z1: number): readonly Part[] => {
  const pane = paneOf(plan);
  const deep = leaningDepth(pane.one * pane.layers, y1 - y0, z1 - z0);
  return leaningBoard(
    { x0, x1, y0, y1, z: z1 - deep, lean: z1 - z0 },
    { id: `${plan.piece.id}/slope`, role: 'front', name: 'sloping front', stuff: pane.stuff },
    pane,
  );
};
