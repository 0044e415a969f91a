// µm, doll size. Strips on a wall, of board or cut from sticks.
import type { Part } from '../../assembly/index.ts';
import { type Region, rectRing } from '../../shape/index.ts';
import { boardAt } from '../parts/boardAt.ts';
import { poseOn, type Side, type StripStock } from './plan.ts';

export type TrimStretch = readonly [number, number];

/** What is in a wall, along it and up from its floor, and how wide the frame round it is. */
export type InWall = { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number; readonly border: number };

/** A stretch less others. */
export const lessStretches = (whole: TrimStretch, others: readonly TrimStretch[]): readonly TrimStretch[] =>
  [...others]
    .sort((a, b) => a[0] - b[0])
    .reduce<readonly TrimStretch[]>(
      (left, [from, to]) => {
        const [start, end] = left.at(-1) ?? [0, 0];
        if (left.length === 0 || to <= start || from >= end) return left;
        return [...left.slice(0, -1), ...(from > start ? [[start, from] as const] : []), ...(to < end ? [[to, end] as const] : [])];
      },
      [whole],
    );

/** Shorter than this no strip is cut. */
export const LEAST = 1_000;

/** A strip on a wall.
 *  Shape: side, stretches of its hidden and its shown face along it, heights → the part. It lies along its longer way. */
export const strip = (
  side: Side,
  [from, to]: TrimStretch,
  [ends, endsTo]: TrimStretch,
  [low, high]: TrimStretch,
  { sheet, thick, stick }: StripStock,
  id: string,
  name: string,
): Part => {
  const face = (a: number, b: number): Region => ({ outline: rectRing(a, 0, b, high - low), holes: [] });
  const lies = to - from >= high - low;
  const board = boardAt({ id, role: 'border', name }, { ...sheet, one: thick }, face(from, to), poseOn(side, 0, low), lies ? 'x' : 'y');
  const cut: Part = stick ? { ...board, stuff: 'stick', stock: stick, length: lies ? to - from : high - low } : board;
  return ends !== from || endsTo !== to ? { ...cut, upper: face(ends, endsTo) } : cut;
};
