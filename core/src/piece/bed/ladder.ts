// µm, doll size. The ladder to a bed up high.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import type { Ring } from '../../shape/index.ts';
import type { StickName } from '../../stock/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { layered, type Space, sectionOf, stickIn } from '../parts/panels.ts';
import { type BedPlan, type Level, railTop, word } from './plan.ts';

const RUNG: StickName = 'craft stick';

/** How far a ladder's foot stands before the bed, a quarter of its height, and how wide its sides are. */
export const ladderSizes = (plan: BedPlan): { readonly reach: number; readonly wide: number; readonly high: number } => {
  const high = railTop(plan, plan.levels.at(-1) as Level);
  return { reach: Math.round(high / 4), wide: sectionOf(RUNG).width + 4_000, high };
};

/** Two sides that lean against the front rail, their upper ends cut upright to lie on it, and rungs between them. */
export const ladder = (plan: BedPlan): Result<readonly Part[], PieceProblem> => {
  const { piece, frame, bed, sheets, sizes } = plan;
  if (piece.ladder === 'none') return ok([]);
  const { reach, wide, high } = ladderSizes(plan);
  const t = sheets.frame.one;
  const across = Math.round(Math.min(sizes.rungs * 1.5, (bed.x1 - bed.x0) / 3));
  const x0 = piece.ladder === 'left' ? bed.x0 : bed.x1 - across - 2 * t;
  const top = Math.min(plan.rail, Math.round(high / 3));
  const rung = sectionOf(RUNG);
  const count = Math.floor((high - rung.thickness) / sizes.rungs);
  const problem = lack('a ladder of rungs so far apart', high, 2 * sizes.rungs) ?? lack('a rung', across, 4 * rung.thickness);
  if (problem) return err(problem);
  // From the front, x towards the bed: the foot, and at the top a stretch upright against the rail.
  const outline: Ring = [
    [0, 0],
    [wide, 0],
    [wide + reach, high - top],
    [wide + reach, high],
    [reach, high],
  ];
  const sides = (['left', 'right'] as const).flatMap((side) => {
    const from = side === 'left' ? x0 : x0 + t + across;
    const space: Space = { x0: from, x1: from + t, y0: 0, y1: high, z0: frame.z1, z1: frame.z1 + reach + wide };
    return layered(space, word(plan, `ladder-${side}`, { role: 'post', name: 'ladder side', shows: 'right', outline }), {
      ...sheets.frame,
      layers: 1,
      thickness: t,
    });
  });
  const rungs = Array.from({ length: count }, (_, index) => {
    const y0 = (index + 1) * sizes.rungs - rung.thickness;
    // Midway between where the side's two leaning edges stand at its height.
    const inner = Math.min(wide + reach, wide + (reach * y0) / (high - top));
    const outer = (reach * (y0 + rung.thickness)) / high;
    const middle = Math.round((inner + outer) / 2);
    const z1 = frame.z1 + reach + wide - middle + Math.round(rung.width / 2);
    return stickIn(
      { x0: x0 + t, x1: x0 + t + across, y0, y1: y0 + rung.thickness, z0: z1 - rung.width, z1 },
      word(plan, `rung-${index}`, { role: 'slat', name: 'rung', shows: 'up' }),
      RUNG,
    );
  });
  return ok([...sides, ...rungs]);
};
