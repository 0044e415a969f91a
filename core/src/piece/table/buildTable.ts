// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { ellipseRing, type Ring } from '../../shape/index.ts';
import type { Means } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Built } from '../parts/built.ts';
import { layered, sectionOf } from '../parts/panels.ts';
import { drawerParts } from './drawers.ts';
import { aprons, stretchers } from './frame.ts';
import { isRound, legSizes, legsOf } from './legs.ts';
import { planTable, type TablePlan, word } from './plan.ts';
import type { Table } from './table.ts';
import { onTheWall } from './wall.ts';

const topParts = (plan: TablePlan): readonly Part[] => {
  const { outside, under, piece, sheets } = plan;
  const [rx, rz] = [outside.x1 / 2, outside.z1 / 2];
  const outline: { outline?: Ring } = piece.shape === 'round' ? { outline: ellipseRing(rx, rz, rx, rz) } : {};
  return layered({ ...outside, y0: under.y1 }, word(plan, 'top', { role: 'top', name: 'top', shows: 'up', ...outline }), sheets.top);
};

const tooSmall = (plan: TablePlan): PieceProblem | undefined => {
  const { under, apron, stretcherUp, piece, legWidth, sheets } = plan;
  const { wide, deep } = legSizes(plan);
  const stick = sectionOf(piece.stick);
  const inside = isRound(plan) ? 2 * (sheets.apron.thickness + stick.width) : 0;
  const t = sheets.apron.thickness;
  const needs: readonly (readonly [string, number, number])[] = [
    ['legs side by side', under.x1 - under.x0, Math.max(2 * wide, inside, 2 * t) + 2_000],
    [
      'legs one behind the other',
      under.z1 - under.z0,
      Math.max(2 * deep, inside, piece.stands === 'trestles' ? legWidth : 0, 2 * t) + 2_000,
    ],
    ['the aprons under the top', under.y1, apron],
    ['the top above the floor', under.y1, piece.stands === 'trestles' ? 2 * legWidth + 1_000 : 1],
    [
      'the stretchers between floor and aprons',
      under.y1 - (piece.stands === 'trestles' ? legWidth : apron),
      piece.stretchers === 'none' ? 0 : stretcherUp + Math.max(2 * sheets.apron.one, Math.round(apron * 0.6)),
    ],
    ['an L and its board', piece.stands === 'L' ? legWidth : Number.POSITIVE_INFINITY, sheets.leg.thickness + 1],
    [
      'an apron beside its leg',
      (piece.stands === 'L' || (piece.stands === 'sticks' && !isRound(plan))) && apron > 0
        ? Math.min(wide, deep)
        : Number.POSITIVE_INFINITY,
      t,
    ],
  ];
  const [found] = needs.filter(([, available, needed]) => available < needed);
  return found && { code: 'does-not-fit', what: found[0], available: Math.max(0, found[1]), needed: found[2] };
};

/** Builds a table or desk from its decisions.
 *  Shape: piece, means → parts that fill the stated box to the micrometre. Errors: 'does-not-fit' for legs, aprons, drawers, brackets. */
export const buildTable = (piece: Table, means: Means): Result<Built, PieceProblem> => {
  const plan = planTable(piece, means);
  const { outside, under } = plan;
  if (under.y1 <= 0) return err({ code: 'too-small', direction: 'height', available: outside.y1, needed: outside.y1 - under.y1 + 1 });
  const wall = piece.stands === 'wall';
  const problem = wall ? undefined : tooSmall(plan);
  if (problem) return err(problem);
  const drawn = wall ? onTheWall(plan) : drawerParts(plan);
  if (!drawn.ok) return drawn;
  const parts = wall ? drawn.value.parts : [...topParts(plan), ...legsOf(plan), ...aprons(plan), ...stretchers(plan), ...drawn.value.parts];
  const low = wall ? under.y1 - plan.bracket : 0;
  const box = { min: [0, low, 0], max: [outside.x1, outside.y1, outside.z1] } as const;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  return ok({ assembly: { parts, outside: box, clear, motions: drawn.value.motions }, bays: [], openings: [], marks: [] });
};
