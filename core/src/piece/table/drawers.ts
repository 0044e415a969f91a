// µm, doll size. Drawers under a top.
import type { Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { insetDrawer } from '../parts/drawer.ts';
import { layered, type Space, sectionOf } from '../parts/panels.ts';
import { isRound, legSizes } from './legs.ts';
import { type PartsResult, type TablePlan, word } from './plan.ts';

/** Drawers side by side behind where the front apron would be: a floor, boards between, and a tray in each. */
export const drawerParts = (plan: TablePlan): Result<PartsResult, PieceProblem> => {
  const { piece, apron, under, sheets } = plan;
  if (piece.drawers === 0 || piece.stands === 'trestles' || piece.stands === 'wall') return ok({ parts: [], motions: [] });
  const t = sheets.apron.one;
  const { wide } = legSizes(plan);
  const sideRail = piece.stands === 'panels' ? 0 : sheets.apron.thickness;
  const aside = isRound(plan) ? sideRail + sectionOf(piece.stick).width : Math.max(wide, sideRail);
  const [x0, x1] = [under.x0 + aside, under.x1 - aside];
  const space: Space = { x0, x1, y0: under.y1 - apron, y1: under.y1, z0: under.z0 + sheets.apron.thickness, z1: under.z1 };
  const floor = { ...space, y1: space.y0 + t };
  const each = Math.floor((x1 - x0 - (piece.drawers - 1) * t) / piece.drawers);
  const problem = lack('a drawer under the top', apron, 3 * sheets.drawer.one) ?? lack('drawers side by side', each, 4 * sheets.drawer.one);
  if (problem) return err(problem);
  const parts: Part[] = [
    ...layered(floor, word(plan, 'drawer-floor', { role: 'shelf', name: 'drawer runner', shows: 'up' }), {
      ...sheets.apron,
      layers: 1,
      thickness: t,
    }),
  ];
  const motions: Motion[] = [];
  for (let index = 0; index < piece.drawers; index += 1) {
    const from = x0 + index * (each + t);
    const last = index === piece.drawers - 1;
    const bay: Space = { ...space, x0: from, x1: last ? x1 : from + each, y0: floor.y1 };
    const made = insetDrawer(`${piece.id}/drawer-${index}`, bay, piece.grip, sheets.drawer, sheets.apron);
    if (!('motion' in made))
      return err({ code: 'does-not-fit', what: 'a drawer under the top', available: made.available, needed: made.needed });
    parts.push(...made.parts);
    motions.push(made.motion);
    if (!last) {
      const upright: Space = { ...bay, x0: bay.x1, x1: bay.x1 + t };
      parts.push(
        ...layered(upright, word(plan, `drawer-upright-${index}`, { role: 'divider', name: 'drawer upright', shows: 'right' }), {
          ...sheets.apron,
          layers: 1,
          thickness: t,
        }),
      );
    }
  }
  return ok({ parts, motions });
};
