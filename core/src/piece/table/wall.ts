// µm, doll size. Tops that hang on a wall, fixed or folding.
import type { Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import type { Ring } from '../../shape/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { layered, type Space } from '../parts/panels.ts';
import { type PartsResult, type TablePlan, word } from './plan.ts';

/** A top on the wall: a board against the wall, triangular brackets on it. One that folds is hinged to a strip over the board, and its
 *  brackets turn aside first. */
export const onTheWall = (plan: TablePlan): Result<PartsResult, PieceProblem> => {
  const { piece, outside, under, sheets, bracket } = plan;
  const t = sheets.leg.thickness;
  const low = under.y1 - bracket;
  const strip = piece.folds ? 2 * t : 0;
  const reach = Math.min(outside.z1 - t, Math.max(outside.z1 - t - Math.round(bracket / 8), 2 * t));
  const problem =
    lack('the brackets between floor and top', under.y1, bracket) ??
    lack('the brackets side by side', under.x1 - under.x0, piece.brackets * t) ??
    lack('a bracket', Math.min(reach, outside.z1 - strip), 4 * t) ??
    (piece.folds ? lack('brackets that fold aside', (under.x1 - under.x0) / piece.brackets, reach + t) : undefined);
  if (problem) return err(problem);
  const top: Space = { ...outside, y0: under.y1, z0: strip };
  const held = piece.folds ? ({ held: 'hinge' } as const) : {};
  const tops = layered(top, word(plan, 'top', { role: piece.folds ? 'door' : 'top', name: 'top', shows: 'up', ...held }), sheets.top);
  const fixed = piece.folds
    ? layered({ ...top, z0: 0, z1: strip }, word(plan, 'strip', { role: 'top', name: 'wall strip', shows: 'up' }), sheets.top)
    : [];
  const board: Space = { x0: under.x0, x1: under.x1, y0: low, y1: under.y1, z0: 0, z1: t };
  const wall = layered(board, word(plan, 'board', { role: 'back', name: 'wall board', shows: 'front' }), sheets.leg);
  // From the front: x runs from the bracket's point to the wall.
  const triangle: Ring = [
    [reach, 0],
    [reach, bracket],
    [0, bracket],
  ];
  const brackets = Array.from({ length: piece.brackets }, (_, index) => {
    const each = (under.x1 - under.x0 - t) / Math.max(1, piece.brackets - (piece.folds ? 0 : 1));
    const x0 = under.x0 + Math.round(index * each);
    const space: Space = { x0, x1: x0 + t, y0: low, y1: under.y1, z0: t, z1: t + reach };
    return layered(
      space,
      word(plan, `bracket-${index}`, { role: piece.folds ? 'door' : 'post', name: 'bracket', shows: 'right', outline: triangle, ...held }),
      sheets.leg,
    );
  });
  if (!piece.folds) return ok({ parts: [...wall, ...brackets.flat(), ...tops], motions: [] });
  const ids = (parts: readonly Part[]) => parts.map(({ id }) => id);
  const aside = ids(brackets.flat());
  const leaf = Math.min(12_000, strip);
  const motions: Motion[] = [
    ...brackets.map((parts, index): Motion => {
      const each = (under.x1 - under.x0 - t) / piece.brackets;
      const x1 = under.x0 + Math.round(index * each) + t;
      return {
        kind: 'swing',
        door: ids(parts)[0] as string,
        parts: ids(parts),
        aside: [],
        at: [x1, low, t],
        along: [0, 1, 0],
        angle: Math.PI / 2,
        hinge: { kind: 'paper', leaf: Math.min(12_000, Math.round(reach / 4)), length: bracket },
      };
    }),
    {
      kind: 'swing',
      door: ids(tops)[0] as string,
      parts: ids(tops),
      aside,
      at: [0, under.y1, strip],
      along: [1, 0, 0],
      angle: Math.PI / 2,
      hinge: { kind: 'paper', leaf, length: outside.x1 },
    },
  ];
  return ok({ parts: [...wall, ...fixed, ...brackets.flat(), ...tops], motions });
};
