// µm, doll size: lower left back corner at the origin, x right along the bed's length, y up, z towards the viewer.
import type { Assembly } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf } from '../../measure/index.ts';
import type { Means } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import type { Built } from '../parts/built.ts';
import { sectionOf } from '../parts/panels.ts';
import { baseParts, lowestOf, postInset, postSpaces, posts } from './base.ts';
import type { Bed } from './bed.ts';
import { endParts, sideRails } from './boards.ts';
import { drawerParts } from './drawers.ts';
import { ladder, ladderSizes } from './ladder.ts';
import { type BedPlan, CLEAT, type Level, planBed, railLow, railTop } from './plan.ts';

const tooSmall = (plan: BedPlan): PieceProblem | undefined => {
  const { piece, levels, bed, rail, baseDepth, recess, sheets } = plan;
  const lowest = levels[0] as Level;
  const post = sectionOf(piece.post);
  const needsPosts = postSpaces(plan).length > 0;
  const cleat = piece.base === 'slats' ? sectionOf(CLEAT).width : 0;
  const [first, second] = levels;
  const widest = Math.max(dollOf(piece.head.height, plan.means.scale), dollOf(piece.foot.height, plan.means.scale));
  return (
    lack('the rails above the floor', lowest.lies + recess, rail) ??
    lack('the base between floor and mattress', lowest.lies, baseDepth + cleat + (needsPosts ? 1_000 : 0)) ??
    lack('the base behind its rail', rail, recess + baseDepth + cleat) ??
    lack('the posts along the bed', bed.x1 - bed.x0, 2 * post.width + 2_000) ??
    lack('the posts across the bed', bed.z1 - bed.z0, 2 * post.thickness + 2_000) ??
    (second && first
      ? lack('the upper bed above the lower one’s rails', railLow(plan, second), railTop(plan, first) + 1_000)
      : undefined) ??
    lack('the board at an end', widest === 0 ? sheets.head.thickness : widest, sheets.head.thickness)
  );
};

/** Builds a bed from its decisions.
 *  Shape: piece, means → parts; the space between rails and ends is the mattress and its play, to the micrometre.
 *  Errors: 'does-not-fit' for rails, base, posts, drawers, ladder. */
export const buildBed = (piece: Bed, means: Means): Result<Built, PieceProblem> => {
  const plan = planBed(piece, means);
  const problem = tooSmall(plan);
  if (problem) return err(problem);
  const drawers = drawerParts(plan);
  if (!drawers.ok) return drawers;
  const climbs = ladder(plan);
  if (!climbs.ok) return climbs;
  const parts = [
    ...plan.levels.flatMap((level) => baseParts(plan, level)),
    ...endParts(plan, 'head'),
    ...sideRails(plan),
    ...posts(plan),
    ...drawers.value.parts,
    ...endParts(plan, 'foot'),
    ...climbs.value,
  ];
  const { frame, bed } = plan;
  const highest = Math.max(
    frame.y1,
    ...(['head', 'foot'] as const).map((end) => dollOf(piece[end].height, means.scale)),
    piece.backBoard ? dollOf(piece.backBoard.height, means.scale) : 0,
  );
  const size = ladderSizes(plan);
  const top = plan.levels.at(-1) as Level;
  const assembly: Assembly = {
    parts,
    outside: { min: [0, lowestOf(plan), 0], max: [frame.x1, highest, frame.z1 + (piece.ladder === 'none' ? 0 : size.reach + size.wide)] },
    // What is held: the place of the mattress.
    clear: {
      min: [bed.x0 + postInset(plan).head, top.lies, bed.z0],
      max: [bed.x1 - postInset(plan).foot, top.lies + Math.max(1, plan.recess), bed.z1],
    },
    motions: drawers.value.motions,
  };
  return ok({ assembly, bays: [], openings: [], marks: [] });
};
