// µm, doll size. Posts, and what the mattress lies on.
import type { Part } from '../../assembly/index.ts';
import { evenSlats } from '../parts/evenSlats.ts';
import { layered, type Space, sectionOf, stickIn } from '../parts/panels.ts';
import { type BedPlan, CLEAT, type Level, railLow, railTop, reachesFloor, word } from './plan.ts';

/** Posts stand inside the corners, under the lowest base or through every level to the topmost rail. */
export const postSpaces = (plan: BedPlan): readonly (Space & { readonly word: string })[] => {
  const { bed, piece, levels } = plan;
  const stick = sectionOf(piece.post);
  const lowest = levels[0] as Level;
  const tall = piece.levels === 'one' ? lowest.lies - plan.baseDepth : railTop(plan, levels.at(-1) as Level);
  return (['head', 'foot'] as const).flatMap((end) =>
    reachesFloor(plan, end)
      ? []
      : (['front', 'back'] as const).map((side) => ({
          word: `${end}-${side}`,
          y0: 0,
          y1: tall,
          ...(end === 'head' ? { x0: bed.x0, x1: bed.x0 + stick.width } : { x0: bed.x1 - stick.width, x1: bed.x1 }),
          ...(side === 'back' ? { z0: bed.z0, z1: bed.z0 + stick.thickness } : { z0: bed.z1 - stick.thickness, z1: bed.z1 }),
        })),
  );
};

export const posts = (plan: BedPlan): readonly Part[] =>
  postSpaces(plan).map(({ word: at, ...space }) =>
    stickIn(space, word(plan, `post-${at}`, { role: 'post', name: 'post', shows: 'right' }), plan.piece.post),
  );

/** How far posts that run through a level keep its base off both ends. */
export const postInset = (plan: BedPlan): { readonly head: number; readonly foot: number } => {
  const width = plan.piece.levels === 'one' ? 0 : sectionOf(plan.piece.post).width;
  return { head: reachesFloor(plan, 'head') ? 0 : width, foot: reachesFloor(plan, 'foot') ? 0 : width };
};

export const baseParts = (plan: BedPlan, level: Level): readonly Part[] => {
  const { bed, piece, sheets, baseDepth } = plan;
  const inset = postInset(plan);
  const lying: Space = { ...bed, x0: bed.x0 + inset.head, x1: bed.x1 - inset.foot, y0: level.lies - baseDepth, y1: level.lies };
  if (piece.base === 'board')
    return layered(lying, word(plan, `base-${level.word}`, { role: 'bottom', name: 'bed base', shows: 'up' }), sheets.base);
  const cleat = sectionOf(CLEAT);
  // Cleats stop short of posts that stand under the slats.
  const short = piece.levels === 'one' ? sectionOf(piece.post).width : 0;
  const run: Space = {
    ...lying,
    x0: lying.x0 + (reachesFloor(plan, 'head') ? 0 : short),
    x1: lying.x1 - (reachesFloor(plan, 'foot') ? 0 : short),
    y0: lying.y0 - cleat.width,
    y1: lying.y0,
  };
  const stick = sectionOf(piece.slat);
  const { count, gap } = evenSlats(lying.x1 - lying.x0, stick.width, plan.sizes.slatGap);
  return [
    stickIn(
      { ...run, z1: run.z0 + cleat.thickness },
      word(plan, `cleat-back-${level.word}`, { role: 'rail', name: 'cleat', shows: 'front' }),
      CLEAT,
    ),
    stickIn(
      { ...run, z0: run.z1 - cleat.thickness },
      word(plan, `cleat-front-${level.word}`, { role: 'rail', name: 'cleat', shows: 'front' }),
      CLEAT,
    ),
    ...Array.from({ length: count }, (_, index) => {
      const x0 = lying.x0 + Math.round((index + 1) * gap + index * stick.width);
      return stickIn(
        { ...lying, x0, x1: x0 + stick.width },
        word(plan, `slat-${level.word}-${index}`, { role: 'slat', name: 'slat', shows: 'up' }),
        piece.slat,
      );
    }),
  ];
};

/** A bed whose rails reach the floor needs nothing below them. */
export const lowestOf = (plan: BedPlan): number =>
  reachesFloor(plan, 'head') || reachesFloor(plan, 'foot') || postSpaces(plan).length > 0 || plan.piece.drawers > 0 || plan.piece.backBoard
    ? 0
    : railLow(plan, plan.levels[0] as Level);
