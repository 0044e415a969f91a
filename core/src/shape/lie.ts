// How a figure with its lower left corner at the origin comes to lie elsewhere.
import type { Point } from './plane.ts';

/** Mirrored first (left to right, as a board laid on its face) where it is, then turned counter-clockwise by so many quarters. */
export type Lie = { readonly turn: Quarters; readonly mirrored: boolean };

export type Quarters = 0 | 1 | 2 | 3;

export const AS_DRAWN: Lie = { turn: 0, mirrored: false };

type Size = { readonly width: number; readonly height: number };

/** What a figure takes up across and along as it lies. */
export const lyingSize = ({ width, height }: Size, { turn }: Pick<Lie, 'turn'>): Size =>
  turn % 2 === 0 ? { width, height } : { width: height, height: width };

/** Brings a figure's own points to where they lie, again with the lower left corner at the origin. */
export const lain =
  ({ width, height }: Size, { turn, mirrored }: Lie): ((point: Point) => Point) =>
  ([px, y]) => {
    const x = mirrored ? width - px : px;
    if (turn === 0) return [x, y];
    if (turn === 1) return [height - y, x];
    return turn === 2 ? [width - x, height - y] : [y, width - x];
  };

/** Turned once more, by so many quarters. */
export const turnedBy = ({ turn, mirrored }: Lie, more: Quarters): Lie => ({ turn: ((turn + more) % 4) as Quarters, mirrored });
