// How a figure with its lower left corner at the origin comes to lie elsewhere.
import type { Point } from './plane.ts';

/** Mirrored first (left to right, as a board laid on its face) where it is, then turned counter-clockwise by so many quarters. */
export type Orientation = { readonly turn: Quarters; readonly mirrored: boolean };

export type Quarters = 0 | 1 | 2 | 3;

export const AS_DRAWN: Orientation = { turn: 0, mirrored: false };

type Size = { readonly width: number; readonly height: number };

/** What a figure takes up across and along as it lies. */
export const orientedSize = ({ width, height }: Size, { turn }: Pick<Orientation, 'turn'>): Size =>
  turn % 2 === 0 ? { width, height } : { width: height, height: width };

/** Brings a figure's own points to where they lie, again with the lower left corner at the origin. */
export const oriented =
  ({ width, height }: Size, { turn, mirrored }: Orientation): ((point: Point) => Point) =>
  ([px, y]) => {
    const x = mirrored ? width - px : px;
    if (turn === 0) return [x, y];
    if (turn === 1) return [height - y, x];
    return turn === 2 ? [width - x, height - y] : [y, width - x];
  };

/** Turned once more, by so many quarters. */
export const turnedBy = ({ turn, mirrored }: Orientation, more: Quarters): Orientation => ({
  turn: ((turn + more) % 4) as Quarters,
  mirrored,
});
