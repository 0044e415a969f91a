// µm, doll size. What every part of a bed is measured from.
import type { Motion, Part } from '../../assembly/index.ts';
import { dollOf } from '../../measure/index.ts';
import type { StickName } from '../../stock/index.ts';
import { bodyHeight, type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import { type PanelKind, type Space, sectionOf } from '../parts/panels.ts';
import { BED_ROLES, type Bed, type BedRole } from './bed.ts';

export type Level = { readonly word: string; readonly lies: number };

export type BedPlan = {
  readonly piece: Bed;
  readonly sheets: Readonly<Record<BedRole, Sheeting>>;
  /** The bed without its ladder; rails stand at its front and back, boards at its ends. */
  readonly frame: Space;
  /** Where mattresses lie: between ends and rails. */
  readonly bed: Space;
  readonly levels: readonly Level[];
  readonly recess: number;
  readonly rail: number;
  readonly baseDepth: number;
  readonly sizes: { readonly clear: number; readonly rungs: number; readonly slatGap: number; readonly mattress: number };
  readonly means: Means;
};

export type PartsResult = { readonly parts: readonly Part[]; readonly motions: readonly Motion[] };

/** The stick that slats rest on, along the rails. */
export const CLEAT: StickName = 'square dowel, 3 mm';

export const planBed = (piece: Bed, means: Means): BedPlan => {
  const doll = (measure: Bed['lies']) => dollOf(measure, means.scale);
  const sheets = sheetsFor(piece, BED_ROLES, means);
  // A bed must be as long as who sleeps in it, and as high as lets her sit on it.
  const length = bodyHeight(piece.mattressLength, piece.bodyScale, means) + 2 * piece.play;
  const width = doll(piece.mattressWidth) + 2 * piece.play;
  const [end, rail] = [sheets.head.thickness, sheets.frame.thickness];
  const bed: Space = { x0: end, x1: end + length, y0: 0, y1: 0, z0: rail, z1: rail + width };
  const baseDepth = piece.base === 'board' ? sheets.base.thickness : sectionOf(piece.slat).thickness;
  const mattress = doll(piece.mattressThickness);
  const lies = bodyHeight(piece.lies, piece.bodyScale, means);
  const clear = doll(piece.clear);
  // What hangs lowest under the upper mattress is clear of who stands or sits below: the base, what slats rest on, or the rails.
  const cleat = piece.base === 'slats' ? sectionOf(CLEAT).width : 0;
  const hangs = Math.max(baseDepth + cleat, doll(piece.rail) - doll(piece.recess));
  const upper = piece.levels === 'loft' ? clear + hangs : lies + mattress + clear + hangs;
  const levels: readonly Level[] =
    piece.levels === 'one'
      ? [{ word: 'bed', lies }]
      : piece.levels === 'loft'
        ? [{ word: 'upper', lies: upper }]
        : [
            { word: 'lower', lies },
            { word: 'upper', lies: upper },
          ];
  const top = Math.max(...levels.map((level) => level.lies)) + doll(piece.recess);
  return {
    piece,
    sheets,
    frame: { x0: 0, x1: length + 2 * end, y0: 0, y1: top, z0: 0, z1: width + 2 * rail },
    bed,
    levels,
    recess: doll(piece.recess),
    rail: doll(piece.rail),
    baseDepth,
    sizes: { clear, rungs: doll(piece.rungs), slatGap: doll(piece.slatGap), mattress },
    means,
  };
};

export const word = (plan: BedPlan, id: string, kind: Omit<PanelKind, 'id'>): PanelKind => ({ ...kind, id: `${plan.piece.id}/${id}` });

export const railTop = (plan: BedPlan, level: Level): number => level.lies + plan.recess;
export const railLow = (plan: BedPlan, level: Level): number => railTop(plan, level) - plan.rail;

export const reachesFloor = (plan: BedPlan, which: 'head' | 'foot'): boolean =>
  dollOf(plan.piece[which].height, plan.means.scale) > railTop(plan, plan.levels.at(-1) as Level);
