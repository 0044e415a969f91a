// What a careful maker would notice about boards that are laid out.

import type { BoardLayout, Sheet } from '../../cut/index.ts';
import { dollUm } from '../../measure/index.ts';
import { orientedSize } from '../../shape/index.ts';
import { type Board, USUAL_SHEETS } from '../../stock/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import { applyEdit, type Edit } from '../document/edit.ts';
import type { Finding, Mend } from '../findings/finding.ts';
import { partsById } from './boardPlans.ts';
import { layOutSet } from './boards.ts';

type Laid = { readonly document: SetDocument; readonly derived: DerivedSet; readonly board: Board; readonly laid: BoardLayout };

/** How many sheets this board would take after an edit; pieces do not change by any of these. */
const sheetsAfter = ({ document, derived, board }: Laid, edit: Edit): number => {
  const after = applyEdit(document, edit).document;
  const only = { ...after, boards: after.boards.filter(({ id }) => id === board.id) };
  return layOutSet(only, derived)[0]?.layout.sheets.length ?? 0;
};

/** Edits that may save a sheet, the gentlest first. */
const savings = ({ document, board }: Laid): readonly Mend[] => {
  const { cutting } = document;
  const cut = (kind: Mend['kind'], change: Partial<SetDocument['cutting']>): Mend => ({
    kind,
    detail: '',
    edit: { kind: 'change-set', change: { cutting: { ...cutting, ...change } } },
  });
  const none = dollUm(0);
  const { left, right, bottom, top } = cutting.trim;
  const largest = [...USUAL_SHEETS].find(({ name }) => !board.sheets.some((sheet) => sheet.name === name));
  return [
    ...(cutting.mode === 'straight' ? [cut('cut-freely', { mode: 'free' })] : []),
    ...(left + right + bottom + top > 0 ? [cut('no-trim', { trim: { left: none, right: none, bottom: none, top: none } })] : []),
    ...(cutting.gap > 0 ? [cut('no-gap', { gap: none })] : []),
    ...(board.grain === 'along' ? [noGrain(board)] : []),
    ...(largest
      ? [
          {
            kind: 'add-sheet' as const,
            detail: largest.name,
            edit: {
              kind: 'change-board' as const,
              id: board.id,
              change: { sheets: [...board.sheets, { ...largest, price: null, atHand: 0 }] },
            },
          },
        ]
      : []),
  ];
};

const noGrain = (board: Board): Mend => ({
  kind: 'no-grain',
  detail: '',
  edit: { kind: 'change-board', id: board.id, change: { grain: 'none' } },
});

/** A sheet that less than this share of lies under parts is one more for little. */
const LITTLE = 0.08;

const sheetForLittle = (laid: Laid): readonly Finding[] => {
  const { board, derived } = laid;
  const { sheets, least } = laid.laid.layout;
  if (sheets.length < 2) return [];
  const parts = partsById(derived);
  const share = ({ kind, placements }: Sheet): number =>
    placements.reduce((sum, { id }) => sum + (parts.get(id)?.width ?? 0) * (parts.get(id)?.height ?? 0), 0) / (kind.width * kind.height);
  const last = sheets
    .filter(({ kind }) => kind.offcut === null)
    .reduce<Sheet | undefined>((least, sheet) => (least && share(least) <= share(sheet) ? least : sheet), undefined);
  if (!last || share(last) > LITTLE || last.placements.length > 3) return [];
  const mend = savings(laid).find(({ edit }) => sheetsAfter(laid, edit) < sheets.length) ?? null;
  // Where the bound says so and nothing helps, it is as it is.
  if (!mend && sheets.length === least) return [];
  const first = last.placements[0]?.id ?? '';
  return [
    {
      code: 'sheet-for-little',
      severity: 'note',
      board: board.name,
      parts: last.placements.map(({ id }) => `${parts.get(id)?.tag} ${parts.get(id)?.name}`),
      numbers: { parts: last.placements.length },
      where: { pieceId: pieceOf(derived, first), partIds: last.placements.map(({ id }) => id) },
      mend,
    },
  ];
};

/** A sheet that is bought though less than this share of it is needed. */
const SCRAP = 0.3;

const offcutWouldDo = ({ board, derived, laid }: Laid): readonly Finding[] => {
  const parts = partsById(derived);
  return laid.layout.sheets.flatMap((sheet, index): readonly Finding[] => {
    if (!sheet.bought) return [];
    const boxes = sheet.placements.map((placement) => {
      const { width, height } = orientedSize(parts.get(placement.id) ?? { width: 0, height: 0 }, placement);
      return { x0: placement.x, y0: placement.y, x1: placement.x + width, y1: placement.y + height };
    });
    const width = Math.max(...boxes.map(({ x1 }) => x1)) - Math.min(...boxes.map(({ x0 }) => x0));
    const height = Math.max(...boxes.map(({ y1 }) => y1)) - Math.min(...boxes.map(({ y0 }) => y0));
    if (width * height > SCRAP * sheet.kind.width * sheet.kind.height) return [];
    const where = { pieceId: '', partIds: sheet.placements.map(({ id }) => id) };
    return [
      { code: 'offcut-would-do', severity: 'note', board: board.name, numbers: { width, height, sheet: index + 1 }, where, mend: null },
    ];
  });
};

const pieceOf = ({ pieces }: DerivedSet, part: string): string =>
  pieces.find(({ made }) => made?.assembly.parts.some(({ id }) => id === part))?.id ?? '';

const grainIsDear = (laid: Laid): readonly Finding[] => {
  const { board } = laid;
  if (board.grain === 'none') return [];
  const mend = noGrain(board);
  const sheets = laid.laid.layout.sheets.length - sheetsAfter(laid, mend.edit);
  return sheets > 0
    ? [{ code: 'grain-is-dear', severity: 'note', board: board.name, numbers: { sheets }, where: { pieceId: '' }, mend }]
    : [];
};

/** Said only where the maker counts what is there. */
const boardsToBuy = ({ board, laid }: Laid): readonly Finding[] => {
  if (board.sheets.every(({ atHand }) => atHand === 0)) return [];
  const bought = laid.layout.sheets.filter((sheet) => sheet.bought);
  if (bought.length === 0) return [];
  const names = [...new Set(bought.map(({ kind }) => kind.name))];
  const what = names.map((name) => `${bought.filter(({ kind }) => kind.name === name).length} × ${name}`).join(', ');
  return [
    {
      code: 'boards-to-buy',
      severity: 'note',
      board: board.name,
      what,
      numbers: { sheets: bought.length },
      where: { pieceId: '' },
      mend: null,
    },
  ];
};

/** Findings about the boards of a set, and how they lie. */
export const cuttingFindings = (document: SetDocument, derived: DerivedSet, layouts: readonly BoardLayout[]): readonly Finding[] =>
  layouts.flatMap((laid) => {
    const board = document.boards.find(({ id }) => id === laid.board);
    if (!board) return [];
    const all: Laid = { document, derived, board, laid };
    return [...boardsToBuy(all), ...sheetForLittle(all), ...offcutWouldDo(all), ...grainIsDear(all)];
  });
