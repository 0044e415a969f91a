// The front elevation as rectangles to paint, back to front. Millimetres, y up.
import { boxOf, type Part } from '@parlor/core/assembly';

export type FrontRect = {
  readonly index: number;
  readonly role: Part['role'];
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
};

/** What is seen from the front, nearest last. */
export const frontView = (parts: readonly Part[]): readonly FrontRect[] =>
  parts
    .map((part, index) => ({ part, index, box: boxOf(part) }))
    .sort((a, b) => a.box.max[2] - b.box.max[2] || a.index - b.index)
    .map(({ part, index, box: { min, max } }) => ({
      index,
      role: part.role,
      name: part.name,
      x: min[0] / 1000,
      y: min[1] / 1000,
      width: (max[0] - min[0]) / 1000,
      height: (max[1] - min[1]) / 1000,
    }));

/** How each role is painted. */
export const FRONT_FILL: Readonly<Record<Part['role'], string>> = {
  back: 'var(--paper)',
  side: 'var(--leaf)',
  top: 'var(--leaf)',
  bottom: 'var(--leaf)',
  divider: 'var(--leaf)',
  shelf: 'var(--leaf)',
  plinth: 'var(--oat)',
  door: 'var(--blush)',
};
