// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer.
import { ok, type Result } from '../../kit/index.ts';
import type { Means } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Built, SizeMark } from '../parts/built.ts';
import { cot, fence, plateRack, shelves } from './frames.ts';
import { easel, ladder, rack, wallRail } from './leaning.ts';
import { type PartsResult, planStickwork, type StickworkPlan } from './plan.ts';
import type { Form, Stickwork } from './stickwork.ts';

const BUILD: Readonly<Record<Form, (plan: StickworkPlan) => PartsResult>> = {
  fence,
  cot,
  rack,
  ladder,
  easel,
  rail: wallRail,
  shelves,
  'plate rack': plateRack,
};

/** Forms whose lowest rail, shelf or ledge is decided. */
export const LOW: ReadonlySet<Form> = new Set(['fence', 'cot', 'rack', 'easel', 'shelves']);

/** Forms that lean, and are seen best from the side. */
export const LEANS: ReadonlySet<Form> = new Set(['rack', 'ladder', 'easel']);

/** Builds what is made of sticks.
 *  Shape: piece, means → sticks with their lengths and end cuts, and a board where one is needed. Errors: 'does-not-fit' for posts, rails, slats,
 *  shelves, legs that lean too far. */
export const buildStickwork = (piece: Stickwork, means: Means): Result<Built, PieceProblem> => {
  const plan = planStickwork(piece, means);
  const drawn = BUILD[piece.form](plan);
  if (!drawn.ok) return drawn;
  const { parts, outside } = drawn.value;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  const marks: SizeMark[] = LOW.has(piece.form)
    ? [{ path: ['low'], sight: 'front', way: 'up', from: 0, to: plan.low, at: outside[0] }]
    : [];
  return ok({ assembly: { parts, outside: { min: [0, 0, 0], max: outside }, clear, motions: [] }, bays: [], openings: [], marks });
};
