// µm, doll size. What a cell is told of the place where it stands, and what it gives back.
import type { Motion, Part } from '../../assembly/index.ts';
import type { Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Space } from '../parts/panels.ts';
import type { Cell, CellPath, DoorFit } from './cell.ts';
import type { CarcassPlan } from './plan.ts';

/** A bay or a divided field of the front: which cell it is and the clear space it has. */
export type Bay = { readonly path: CellPath; readonly kind: Cell['kind']; readonly space: Space };

/** How far an overlay door may reach over the panel on each side. */
export type DoorReach = { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number };

/** Where fronts lie: before `face`, or up to it where they sit inside. Behind a door everything sits inside. */
export type FrontPlace = {
  readonly space: Space;
  readonly reach: DoorReach;
  readonly path: CellPath;
  readonly face: number;
  readonly behindDoor: boolean;
};

/** How a front sits where it is: behind a door it cannot lie on anything. */
export const sits = (fit: DoorFit['fit'], { behindDoor }: Pick<FrontPlace, 'behindDoor'>): DoorFit['fit'] => (behindDoor ? 'inset' : fit);

export type BayFilled = { readonly parts: readonly Part[]; readonly bays: readonly Bay[]; readonly motions: readonly Motion[] };

export type BayFill = Result<BayFilled, PieceProblem>;

export const NOTHING: BayFilled = { parts: [], bays: [], motions: [] };

export const filledWith = (parts: readonly Part[], motions: readonly Motion[] = []): BayFilled => ({ parts, bays: [], motions });

export const joined = (...all: readonly BayFilled[]): BayFilled => ({
  parts: all.flatMap(({ parts }) => parts),
  bays: all.flatMap(({ bays }) => bays),
  motions: all.flatMap(({ motions }) => motions),
});

export const idOf = (plan: CarcassPlan, word: string, path: CellPath, number?: number): string =>
  [`${plan.piece.id}/${word}`, ...path, ...(number === undefined ? [] : [number])].join('-');

export const sizeIn = (plan: CarcassPlan, measure: Measure): number => dollOf(measure, plan.means.scale);

/** The part of `space` from `from` on, `length` long, along the way the split runs. */
export const stretch = (space: Space, kind: 'columns' | 'rows', from: number, length: number): Space =>
  kind === 'columns'
    ? { ...space, x0: space.x0 + from, x1: space.x0 + from + length }
    : { ...space, y0: space.y0 + from, y1: space.y0 + from + length };

/** The field that a front closes, `depth` thick: lying before the face and lapping over the opening, or inside it with its gap. With a
 *  face frame the opening is the frame's. */
export const frontField = ({ fit, lap, gap }: DoorFit, place: FrontPlace, plan: CarcassPlan, depth: number): Space => {
  const { space, reach, face } = place;
  const lip = place.behindDoor ? 0 : plan.lip;
  const opening = { x0: space.x0 + lip, x1: space.x1 - lip, y0: space.y0 + lip, y1: space.y1 - lip };
  if (sits(fit, place) === 'inset')
    return { x0: opening.x0 + gap, x1: opening.x1 - gap, y0: opening.y0 + gap, y1: opening.y1 - gap, z0: face - depth, z1: face };
  // Two fronts on one panel keep the gap between them, so each may cover half the panel less half the gap.
  const over = (limit: number) => Math.max(0, Math.min(lap, limit + lip - Math.ceil(gap / 2)));
  return {
    x0: opening.x0 - over(reach.left),
    x1: opening.x1 + over(reach.right),
    y0: opening.y0 - over(reach.bottom),
    y1: opening.y1 + over(reach.top),
    z0: face,
    z1: face + depth,
  };
};

/** What is left of a bay behind an inset front. */
export const behindFront = ({ fit, gap }: DoorFit, place: FrontPlace, depth: number): Space =>
  sits(fit, place) === 'inset' ? { ...place.space, z1: Math.min(place.space.z1, place.face - depth - gap) } : place.space;

export const isFlat = (space: Space): boolean => space.x1 <= space.x0 || space.y1 <= space.y0 || space.z1 <= space.z0;
