// µm, doll size. Drawers under a bed.
import type { Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import type { Sheeting } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { insetDrawer } from '../parts/drawer.ts';
import { layered, type Space, sectionOf } from '../parts/panels.ts';

import { type BedPlan, CLEAT, type Level, type PartsResult, railLow, reachesFloor, word } from './plan.ts';

/** A board on the floor, uprights between, and a tray in each place, under the bed and behind the front rail. */
export const drawerParts = (plan: BedPlan): Result<PartsResult, PieceProblem> => {
  const { piece, bed, frame, sheets } = plan;
  const level = plan.levels[0] as Level;
  if (piece.drawers === 0) return ok({ parts: [], motions: [] });
  const t = sheets.frame.one;
  const one: Sheeting = { ...sheets.frame, layers: 1, thickness: t };
  const post = sectionOf(piece.post);
  const head = reachesFloor(plan, 'head') ? 0 : post.width;
  const foot = reachesFloor(plan, 'foot') ? 0 : post.width;
  const cleats = piece.base === 'slats' ? sectionOf(CLEAT).width : 0;
  const space: Space = {
    x0: bed.x0 + head,
    x1: bed.x1 - foot,
    y0: 0,
    y1: Math.min(level.lies - plan.baseDepth - cleats, railLow(plan, level)),
    z0: bed.z0,
    z1: frame.z1,
  };
  const each = Math.floor((space.x1 - space.x0 - (piece.drawers + 1) * t) / piece.drawers);
  const problem =
    lack('drawers under the bed, in height', space.y1, 4 * sheets.drawer.one + t) ??
    lack('drawers side by side', each, 4 * sheets.drawer.one);
  if (problem) return err(problem);
  const parts: Part[] = [...layered({ ...space, y1: t }, word(plan, 'floor', { role: 'bottom', name: 'drawer floor', shows: 'up' }), one)];
  const motions: Motion[] = [];
  for (let index = 0; index <= piece.drawers; index += 1) {
    const from = index === piece.drawers ? space.x1 - t : space.x0 + index * (each + t);
    const upright: Space = { ...space, x0: from, x1: from + t, y0: t };
    parts.push(...layered(upright, word(plan, `upright-${index}`, { role: 'divider', name: 'drawer upright', shows: 'right' }), one));
    if (index === piece.drawers) break;
    const next = index === piece.drawers - 1 ? space.x1 - t : from + t + each;
    const bay: Space = { ...space, x0: from + t, x1: next, y0: t };
    const made = insetDrawer(`${piece.id}/drawer-${index}`, bay, piece.grip, sheets.drawer, sheets.frame);
    if (!('motion' in made))
      return err({ code: 'does-not-fit', what: 'a drawer under the bed', available: made.available, needed: made.needed });
    parts.push(...made.parts);
    motions.push(made.motion);
  }
  return ok({ parts, motions });
};
