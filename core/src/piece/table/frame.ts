// µm, doll size. Aprons and stretchers between the legs.
import type { Part } from '../../assembly/index.ts';
import { type Facing, layered, type Space } from '../parts/panels.ts';
import { isRound, legSizes } from './legs.ts';
import { type TablePlan, word } from './plan.ts';

/** Aprons under the top between the legs, flush with them outside; round legs stand inside their frame. */
export const aprons = (plan: TablePlan): readonly Part[] => {
  const { piece, apron, under, sheets } = plan;
  if (apron === 0 || piece.stands === 'trestles') return [];
  const t = sheets.apron.thickness;
  const { wide, deep } = legSizes(plan);
  const band: Space = { ...under, y0: under.y1 - apron };
  const long: Space = { ...band, x0: band.x0 + wide, x1: band.x1 - wide };
  const short: Space = {
    ...band,
    z0: band.z0 + Math.max(deep, isRound(plan) ? t : 0),
    z1: band.z1 - Math.max(deep, isRound(plan) ? t : 0),
  };
  const rail = (id: string, name: string, space: Space, shows: Facing) =>
    layered(space, word(plan, id, { role: 'rail', name, shows }), sheets.apron);
  return [
    ...rail('apron-back', 'apron', { ...long, z1: long.z0 + t }, 'front'),
    ...(piece.drawers > 0 ? [] : rail('apron-front', 'apron', { ...long, z0: long.z1 - t }, 'front')),
    ...(piece.stands === 'panels'
      ? []
      : [
          ...rail('apron-left', 'side apron', { ...short, x1: short.x0 + t }, 'right'),
          ...rail('apron-right', 'side apron', { ...short, x0: short.x1 - t }, 'left'),
        ]),
  ];
};

/** Rails low between the legs: all round, or one at each side and one between those. Trestles have one between their posts. */
export const stretchers = (plan: TablePlan): readonly Part[] => {
  const { piece, under, sheets, stretcherUp } = plan;
  // A rail butted against a round leg has nothing to be glued to.
  if (piece.stretchers === 'none' || isRound(plan)) return [];
  const { thickness: t, board, one } = sheets.apron;
  const high = Math.max(2 * one, Math.round(plan.apron * 0.6));
  const { wide, deep } = legSizes(plan);
  const band: Space = { ...under, y0: stretcherUp, y1: stretcherUp + high };
  const rail = (id: string, space: Space, shows: Facing) =>
    layered(space, word(plan, `stretcher-${id}`, { role: 'rail', name: 'stretcher', shows }), {
      board,
      one,
      layers: sheets.apron.layers,
      thickness: t,
    });
  const middle = Math.round((under.z0 + under.z1) / 2) - Math.round(t / 2);
  const between = { ...band, x0: band.x0 + wide, x1: band.x1 - wide };
  const centre = { ...between, z0: middle, z1: middle + t };
  if (piece.stands === 'trestles' || piece.stands === 'panels') return rail('middle', centre, 'front');
  const side: Space = { ...band, z0: band.z0 + deep, z1: band.z1 - deep };
  const sides = [...rail('left', { ...side, x1: side.x0 + t }, 'right'), ...rail('right', { ...side, x0: side.x1 - t }, 'left')];
  if (piece.stretchers === 'H') return [...sides, ...rail('middle', { ...centre, x0: side.x0 + t, x1: side.x1 - t }, 'front')];
  return [
    ...sides,
    ...rail('front', { ...between, z0: between.z1 - t }, 'front'),
    ...rail('back', { ...between, z1: between.z0 + t }, 'front'),
  ];
};
