// For tests: presets with decisions made anew, built at full scale, so that what is typed is what is cut.
import { expect } from 'vitest';
import { boxOf, inspect, type Part } from '../assembly/index.ts';
import { scaleFromRatio, UM } from '../measure/index.ts';
import { bounds } from '../shape/index.ts';
import { buildPiece, fromPreset, type Means, type Piece, type PieceProblem, PRESETS, withValueAt } from './index.ts';
import type { Built } from './parts/built.ts';
import { boardOf } from './randomDecisions.testing.ts';

const ONE = scaleFromRatio(1);

/** A size of the doll's own. */
export const mm = (value: number) => ({ doll: Math.round(value * UM.mm) });

/** A preset with decisions made anew, by their paths. */
export const decided = (key: string, decisions: Readonly<Record<string, unknown>> = {}): Piece => {
  const preset = PRESETS.find((each) => each.key === key);
  if (!preset) throw new Error(key);
  return Object.entries(decisions).reduce((piece, [path, value]) => withValueAt(piece, path.split('.'), value), fromPreset(preset, 'p', 1));
};

/** Means at full scale with boards so thick, the first of them the usual one. */
export const meansWith = (...thicknesses: readonly number[]): Means => ({
  scale: ONE,
  body: ONE,
  boards: thicknesses.map((each, index) => boardOf(each, index === 0 ? 'white' : `board-${each}`)),
});

const build = (piece: Piece, thickness: number | readonly number[]) => buildPiece(piece, meansWith(...[thickness].flat()));

/** Builds it and sees to it that it is right: of one board so thick, or of several. */
export const builtOf = (piece: Piece, thickness: number | readonly number[]): Built => {
  const built = build(piece, thickness);
  if (!built.ok) throw new Error(JSON.stringify(built.error));
  expect(inspect(built.value.assembly)).toMatchObject({ interference: [], closes: true, clearIsFree: true, loose: [], stopped: [] });
  return built.value;
};

export const partsOf = (piece: Piece, thickness: number | readonly number[]): readonly Part[] => builtOf(piece, thickness).assembly.parts;

/** Why it cannot be built. */
export const refusalOf = (piece: Piece, thickness: number | readonly number[]): PieceProblem => {
  const built = build(piece, thickness);
  if (built.ok) throw new Error('it was built');
  return built.error;
};

/** How wide and high a part is in its own plane, in µm. */
export const sides = ({ region }: Part): readonly [number, number] => {
  const { x0, y0, x1, y1 } = bounds(region.outline);
  return [x1 - x0, y1 - y0];
};

/** Parts whose name or id says so. */
export const like = (parts: readonly Part[], words: RegExp): readonly Part[] =>
  parts.filter(({ id, name }) => words.test(name) || words.test(id));

/** The two ends of a part along an axis, in mm. */
export const span = (part: Part, axis: 0 | 1 | 2): readonly [number, number] => {
  const { min, max } = boxOf(part);
  return [min[axis] / UM.mm, max[axis] / UM.mm];
};
