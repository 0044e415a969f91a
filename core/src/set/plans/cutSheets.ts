// What has been cut: it is planned no more, and what it left goes to the offcuts.
import { cutRests, type Sheet } from '../../cut/index.ts';
import { dollUm } from '../../measure/index.ts';
import { type Board, type Offcut, WHOLE } from '../../stock/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { CutSheet, SetDocument } from '../document/document.ts';
import type { Edit } from '../document/edit.ts';
import { partsById } from './boardPlans.ts';

const cuttingWith = ({ cutting }: SetDocument, cut: readonly CutSheet[]): Edit => {
  // What is cut is pinned no more.
  const done = new Set(cut.flatMap(({ parts }) => parts.map(({ id }) => id)));
  const pinned = cutting.pinned
    .map((sheet) => ({ ...sheet, parts: sheet.parts.filter(({ id }) => !done.has(id)) }))
    .filter(({ parts }) => parts.length > 0);
  return { kind: 'change-set', change: { cutting: { ...cutting, cut, pinned } } };
};

/** What of a sheet is worth keeping: every rest of its cuts that is large enough on both sides; of one that is cut freely the largest. */
const keptOf = ({ cuts, offcut }: Sheet, least: number, newId: () => string): readonly Offcut[] =>
  (cuts ? cutRests(cuts) : [offcut])
    .filter(({ width, height }) => Math.min(width, height) >= least)
    .map(({ width, height }) => ({ id: newId(), width: dollUm(width), height: dollUm(height), shape: WHOLE }));

/** The edit that ticks a sheet as cut: its parts are planned no more, its rests become offcuts, and it is no longer at hand.
 *  Units: µm. `newId` gives a new id each time. */
export const tickCut = (document: SetDocument, derived: DerivedSet, board: Board, sheet: Sheet, newId: () => string): Edit => {
  const parts = partsById(derived);
  const left = keptOf(sheet, document.cutting.keep, newId);
  const used = board.offcuts.find(({ id }) => id === sheet.kind.offcut) ?? null;
  const kind = board.sheets.find(({ name }) => name === sheet.kind.name && sheet.kind.offcut === null);
  const atHand = kind !== undefined && kind.atHand > 0 && !sheet.bought;
  const done: CutSheet = {
    id: newId(),
    board: board.id,
    name: sheet.kind.name,
    width: dollUm(sheet.kind.width),
    height: dollUm(sheet.kind.height),
    parts: sheet.placements.map((placement) => {
      const { width = 0, height = 0 } = parts.get(placement.id) ?? {};
      return { ...placement, width, height };
    }),
    offcut: used,
    atHand,
    left: left.map(({ id }) => id),
  };
  const change: Partial<Board> = {
    offcuts: [...board.offcuts.filter((each) => each !== used), ...left],
    sheets: board.sheets.map((each) => (atHand && each === kind ? { ...each, atHand: each.atHand - 1 } : each)),
  };
  return {
    kind: 'all',
    edits: [cuttingWith(document, [...document.cutting.cut, done]), { kind: 'change-board', id: board.id, change }],
  };
};

/** The edit that takes a tick back: the sheet is there again, and the offcuts that it left are gone, if they still lie there. */
export const untickCut = (document: SetDocument, sheet: CutSheet): Edit => {
  const board = document.boards.find(({ id }) => id === sheet.board);
  const cutting = cuttingWith(
    document,
    document.cutting.cut.filter(({ id }) => id !== sheet.id),
  );
  if (!board) return cutting;
  const change: Partial<Board> = {
    offcuts: [...(sheet.offcut ? [sheet.offcut] : []), ...board.offcuts.filter(({ id }) => !sheet.left.includes(id))],
    sheets: board.sheets.map((each) => (sheet.atHand && each.name === sheet.name ? { ...each, atHand: each.atHand + 1 } : each)),
  };
  return { kind: 'all', edits: [cutting, { kind: 'change-board', id: board.id, change }] };
};
