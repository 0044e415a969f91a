import { z } from 'zod';
import { textField } from '../kit/index.ts';
import { type RealUm, realField, realUm, UM } from '../measure/index.ts';
import { type Cell, cellSchema, cellsOf, OPEN } from './cell.ts';

/** The roles that a casework's boards are chosen for. */
export const BOARD_ROLES = ['carcass', 'back', 'inner', 'door', 'plinth'] as const;
export type BoardRole = (typeof BOARD_ROLES)[number];

/** Casework: a box of boards, open or closed at the front, divided into a tree of bays. Sizes are those of the real thing. */
export type Casework = {
  readonly family: 'casework';
  readonly id: string;
  /** The number that leads its parts' tags: 2 in 2B. It stays when other pieces come and go. */
  readonly mark: number;
  readonly name: string;
  readonly width: RealUm;
  readonly height: RealUm;
  readonly depth: RealUm;
  /** What the sizes say: the box round the piece, or the clear space in it. */
  readonly hold: 'outside' | 'inside';
  /** Which panels run over at the corners: sides from floor to top, or top and bottom across the sides. */
  readonly corner: 'sides' | 'top';
  readonly back: 'inset' | 'over' | 'none';
  /** The base under the bottom panel; 0 for none. */
  readonly plinth: RealUm;
  /** How far the plinth stands back from the front. */
  readonly setback: RealUm;
  /** A board for each role; null is the carcass's board, and for the carcass the set's first. */
  readonly boards: Readonly<Record<BoardRole, string | null>>;
  readonly standing: 'free' | 'fixed to the wall';
  readonly front: Cell;
};

/** More bays than this are one piece too many for one drawing. */
export const MOST_CELLS = 600;

/** About how many parts a front asks for, carcass and all; enough to refuse what no maker would ever cut. */
export const partsAbout = (front: Cell): number =>
  cellsOf(front).reduce((sum, { cell }) => {
    if (cell.kind === 'shelves') return sum + cell.count;
    if (cell.kind === 'door') return sum + (cell.hinge === 'pair' ? 2 : 1);
    return cell.kind === 'open' ? sum : sum + cell.slots.length - 1;
  }, 10);

const side = realField({ min: 10 * UM.mm, max: 10 * UM.m });
const base = realField({ min: 0, max: 2 * UM.m });
const boardId = textField(60).nullable().default(null);
const noBoards = { carcass: null, back: null, inner: null, door: null, plinth: null };

const checkFront = (front: Cell, context: z.RefinementCtx): void => {
  const cells = cellsOf(front);
  if (cells.length > MOST_CELLS)
    context.addIssue({ code: 'custom', message: `This front has ${cells.length} bays; ${MOST_CELLS} are the most.` });
  if (cells.some(({ cell, doorsBefore }) => cell.kind === 'door' && doorsBefore > 0)) {
    context.addIssue({ code: 'custom', message: 'A door cannot stand behind another door.' });
  }
};

/** A casework as it may stand in a file; `id` and `mark` are filled in by the set where they are left out. */
export const caseworkSchema = z.strictObject({
  family: z.literal('casework').default('casework'),
  id: textField(80, 1).optional(),
  mark: z.number().int().min(1).max(9999).optional(),
  name: textField(80).default('bookcase'),
  width: side.default(realUm(900 * UM.mm)),
  height: side.default(realUm(1800 * UM.mm)),
  depth: side.default(realUm(300 * UM.mm)),
  hold: z.enum(['outside', 'inside']).default('outside'),
  corner: z.enum(['sides', 'top']).default('sides'),
  back: z.enum(['inset', 'over', 'none']).default('inset'),
  plinth: base.default(realUm(0)),
  setback: base.default(realUm(0)),
  boards: z.strictObject({ carcass: boardId, back: boardId, inner: boardId, door: boardId, plinth: boardId }).default(noBoards),
  standing: z.enum(['free', 'fixed to the wall']).default('free'),
  front: cellSchema.default(OPEN).superRefine(checkFront),
});
