// µm, doll size.
import type { Assembly } from '../assembly/index.ts';
import { err, ok, type Result } from '../kit/index.ts';
import { type Scale, toDoll } from '../measure/index.ts';
import { type Board, thicknessOf } from '../stock/index.ts';
import { type Bay, type BayProblem, fill, type Reach } from './bays.ts';
import { type CarcassPlan, carcassPanels, clearSpace, type Sheeting } from './carcass.ts';
import type { BoardRole, Casework } from './casework.ts';
import { cellsOf } from './cell.ts';
import type { Space } from './panels.ts';

/** A piece that stands: its assembly and the bays of its front, parents before children. */
export type Built = { readonly assembly: Assembly; readonly bays: readonly Bay[] };

/** Why a piece cannot be built: a bay without room, or a direction in which the boards alone are as large as the piece. */
export type PieceProblem =
  | BayProblem
  | { readonly code: 'too-small'; readonly direction: 'width' | 'height' | 'depth'; readonly available: number; readonly needed: number };

/** The board a role is cut from: its own, else the carcass's, else the set's first. */
export const boardFor = (piece: Casework, role: BoardRole, boards: readonly Board[]): Board => {
  const wanted = piece.boards[role] ?? piece.boards.carcass;
  const board = boards.find(({ id }) => id === wanted) ?? boards[0];
  if (!board) throw new Error('a set has at least one board');
  return board;
};

const sheeting = (piece: Casework, role: BoardRole, boards: readonly Board[]): Sheeting => {
  const board = boardFor(piece, role, boards);
  return { board: board.id, thickness: thicknessOf(board) };
};

/** What doors take from the depth: overlay doors lie before the carcass; behind inset ones the space ends at their backs. */
const doorDepths = (piece: Casework, door: Sheeting): { readonly before: number; readonly inside: number } => {
  const doors = cellsOf(piece.front).flatMap(({ cell }) => (cell.kind === 'door' ? [cell] : []));
  const insetGaps = doors.filter((cell) => cell.fit === 'inset').map((cell) => cell.gap as number);
  return {
    before: doors.some((cell) => cell.fit === 'overlay') ? door.thickness : 0,
    inside: insetGaps.length > 0 ? door.thickness + Math.max(...insetGaps) : 0,
  };
};

type Layout = { readonly plan: CarcassPlan; readonly door: Sheeting; readonly depth: number; readonly inside: number };

/** Outside held: the stated sizes are the box. Inside held: boards are added to the stated clear space. */
const planCarcass = (piece: Casework, scale: Scale, boards: readonly Board[]): Layout => {
  const [carcass, back, base, door] = (['carcass', 'back', 'plinth', 'door'] as const).map((role) => sheeting(piece, role, boards)) as [
    Sheeting,
    Sheeting,
    Sheeting,
    Sheeting,
  ];
  const plinth = toDoll(piece.plinth, scale);
  const { before, inside } = doorDepths(piece, door);
  const grown = piece.hold === 'inside';
  const behind = piece.back === 'none' ? 0 : back.thickness;
  const depth = toDoll(piece.depth, scale) + (grown ? behind + before + inside : 0);
  const plan: CarcassPlan = {
    piece,
    carcass,
    back,
    base,
    plinth,
    setback: toDoll(piece.setback, scale),
    width: toDoll(piece.width, scale) + (grown ? 2 * carcass.thickness : 0),
    height: toDoll(piece.height, scale) + (grown ? 2 * carcass.thickness + plinth : 0),
    front: depth - before,
  };
  return { plan, door, depth, inside };
};

const tooSmall = ({ plan, depth, inside }: Layout): PieceProblem | undefined => {
  const clear = clearSpace(plan);
  const behind = plan.piece.back === 'over' ? plan.back.thickness : 0;
  const base = plan.plinth === 0 ? 0 : behind + plan.setback + plan.base.thickness * (plan.piece.corner === 'top' ? 2 : 1);
  const lacks = (direction: 'width' | 'height' | 'depth', available: number, room: number): PieceProblem | undefined =>
    room > 0 ? undefined : { code: 'too-small', direction, available, needed: available - room + 1 };
  return (
    lacks('width', plan.width, clear.x1 - clear.x0) ??
    lacks('height', plan.height, clear.y1 - clear.y0) ??
    lacks('depth', depth, Math.min(clear.z1 - clear.z0 - inside, clear.z1 - base))
  );
};

const boxFrom = (space: Space): Assembly['clear'] => ({ min: [space.x0, space.y0, space.z0], max: [space.x1, space.y1, space.z1] });

/** Builds a casework from its decisions: every part where it stands.
 *  Shape: piece, scale, boards → parts that fill the stated box (or leave the stated space) to the micrometre, and its bays.
 *  Errors: 'too-small' when boards leave no clear space, 'no-room' with the path of a bay whose row does not divide. */
export const buildCasework = (piece: Casework, scale: Scale, boards: readonly Board[]): Result<Built, PieceProblem> => {
  const layout = planCarcass(piece, scale, boards);
  const problem = tooSmall(layout);
  if (problem) return err(problem);
  const { plan, door, depth, inside } = layout;
  const space = clearSpace(plan);
  const reach: Reach = {
    left: plan.carcass.thickness,
    right: plan.carcass.thickness,
    bottom: plan.carcass.thickness,
    top: plan.carcass.thickness,
  };
  const setting = { pieceId: piece.id, scale, inner: sheeting(piece, 'inner', boards), door };
  const filled = fill(piece.front, { space, reach, path: [] }, setting);
  if (!filled.ok) return filled;
  const outside: Space = { x0: 0, x1: plan.width, y0: 0, y1: plan.height, z0: 0, z1: depth };
  return ok({
    assembly: {
      parts: [...carcassPanels(plan), ...filled.value.parts],
      outside: boxFrom(outside),
      clear: boxFrom({ ...space, z1: space.z1 - inside }),
    },
    bays: filled.value.bays,
  });
};
