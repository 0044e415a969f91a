// Boards as they are bought for a scale.
import { type Scale, UM } from '../measure/index.ts';
import { type Board, boardSchema } from './board.ts';

/** Thicknesses that foam board, mount board and card are sold in, in mm. Common practice, no source. */
const SOLD = [10, 5, 3, 2, 1, 0.5] as const;

/** So many times smaller than life a thickness is used down to: 5 mm for 1:8, 3 mm for 1:12, 2 mm for 1:24, 1 mm for 1:48. Common practice, no source. */
const SUITS = [
  [10, 5],
  [20, 3],
  [40, 2],
] as const;

const named = (mm: number): string => (mm >= 3 ? 'white foam board' : mm === 2 ? 'mount board' : 'card');

/** A board so thick of which nothing else is known. */
const boardOf = (mm: number): Board =>
  boardSchema.parse({ id: `${named(mm).replaceAll(' ', '-')}-${mm}`, name: named(mm), nominal: mm * UM.mm });

/** The board that a set of this scale begins with. */
export const usualBoard = ({ real, doll }: Scale): Board => {
  const times = real / doll;
  const mm = SUITS.find(([most]) => times < most)?.[1] ?? 1;
  return { ...boardOf(mm), id: 'white' };
};

/** Boards that could be bought beside those of a set, the thickest first. */
export const boardsToGet = (boards: readonly Board[]): readonly Board[] =>
  SOLD.map(boardOf).filter(({ id, nominal }) => !boards.some((had) => had.id === id || (had.measured ?? had.nominal) === nominal));
