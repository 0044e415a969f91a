// µm. What a careful maker would notice about one piece.
import type { Assembly, Inspection } from '../assembly/index.ts';
import type { CutGroup } from '../cut/index.ts';
import { realUm, type Scale, toDoll, UM } from '../measure/index.ts';
import { type Bay, type Built, boardFor, type Casework, cellAt, type PieceProblem, type ShelvesCell } from '../piece/index.ts';
import { type Board, STANDING_OBJECTS, thicknessOf, USUAL_SHEETS, type UsualSheet } from '../stock/index.ts';
import type { Finding, Mend } from './finding.ts';

/** What the findings of a piece are made from. */
export type Judged = {
  readonly piece: Casework;
  readonly scale: Scale;
  readonly boards: readonly Board[];
  readonly trim: number;
  readonly built: Built;
  readonly inspection: Inspection;
  readonly groups: readonly CutGroup[];
};

/** Furniture board is 18 mm chipboard or 3/4 in ply: common practice, no source. */
const USUAL_BOARD = realUm(18 * UM.mm);

/** A thickness is worth a note when it is off by a millimetre and by a quarter. */
const OFF_BY = 1 * UM.mm;
const OFF_SHARE = 0.25;

const fits = (group: CutGroup, sheet: { readonly width: number; readonly height: number }, trim: number): boolean => {
  const [across, along] = [Math.min(sheet.width, sheet.height) - 2 * trim, Math.max(sheet.width, sheet.height) - 2 * trim];
  return (group.width <= across && group.height <= along) || (!group.grained && group.height <= across && group.width <= along);
};

const addSheet = (board: Board, sheet: UsualSheet): Mend => ({
  kind: 'add-sheet',
  detail: sheet.name,
  edit: { kind: 'change-board', id: board.id, change: { sheets: [...board.sheets, sheet] } },
});

const largerThanBoard = ({ piece, boards, groups, built, trim }: Judged): readonly Finding[] =>
  groups.flatMap((group): readonly Finding[] => {
    const board = boards.find(({ id }) => id === group.board);
    if (!board || board.sheets.some((sheet) => fits(group, sheet, trim))) return [];
    const helps = [...USUAL_SHEETS].sort((a, b) => a.width * a.height - b.width * b.height).find((sheet) => fits(group, sheet, trim));
    return [
      {
        code: 'part-larger-than-board',
        severity: 'error',
        part: `${group.tag} ${group.name}`,
        board: board.name,
        numbers: { width: group.width, height: group.height },
        where: { pieceId: piece.id, partIds: group.parts.map((index) => built.assembly.parts[index]?.id ?? '') },
        mend: helps ? addSheet(board, helps) : null,
      },
    ];
  });

/** The gaps of a bay with n even shelves: the least is at most a micrometre under the even share. */
const gapWith = (height: number, shelves: number, thickness: number): number => Math.floor((height - shelves * thickness) / (shelves + 1));

const shelfMend = (piece: Casework, bay: Bay, cell: ShelvesCell, height: number, needed: number, thickness: number): Mend | null => {
  const counts = Array.from({ length: cell.count }, (_, index) => cell.count - 1 - index);
  const enough = counts.find((count) => gapWith(height, count, thickness) >= needed);
  if (enough === undefined) return null;
  const fewer = enough === 0 ? ({ kind: 'open', holds: cell.holds } as const) : { ...cell, count: enough };
  return { kind: 'fewer-shelves', detail: String(enough), edit: { kind: 'put-cell', id: piece.id, path: bay.path, cell: fewer } };
};

const shelfGaps = ({ piece, scale, boards, built }: Judged): readonly Finding[] =>
  built.bays.flatMap((bay): readonly Finding[] => {
    const cell = cellAt(piece.front, bay.path);
    if (!cell || (cell.kind !== 'open' && cell.kind !== 'shelves') || cell.holds === null) return [];
    const object = STANDING_OBJECTS[cell.holds];
    const needed = toDoll(object.height, scale);
    const height = bay.space.y1 - bay.space.y0;
    const thickness = thicknessOf(boardFor(piece, 'inner', boards));
    const gap = cell.kind === 'shelves' ? gapWith(height, cell.count, thickness) : height;
    if (gap >= needed) return [];
    const mend = cell.kind === 'shelves' ? shelfMend(piece, bay, cell, height, needed, thickness) : null;
    return [
      {
        code: 'shelf-gap-too-low',
        severity: 'warning',
        object: object.name,
        numbers: { gap, needed },
        where: { pieceId: piece.id, bay: bay.path },
        mend,
      },
    ];
  });

const thicknessOffScale = ({ piece, scale, boards }: Judged): readonly Finding[] => {
  const board = boardFor(piece, 'carcass', boards);
  const [has, scaled] = [thicknessOf(board), toDoll(USUAL_BOARD, scale)];
  const off = Math.abs(has - scaled);
  if (piece.hold === 'inside' || off <= OFF_BY || off <= OFF_SHARE * scaled) return [];
  const mend: Mend = { kind: 'hold-inside', detail: '', edit: { kind: 'change-piece', id: piece.id, change: heldInside(piece) } };
  return [
    {
      code: 'thickness-off-scale',
      severity: 'note',
      board: board.name,
      numbers: { board: has, scaled },
      where: { pieceId: piece.id },
      mend,
    },
  ];
};

/** Holding the inside keeps the clear space that the real thing has: its outside less two of its own boards. */
const heldInside = (piece: Casework): Pick<Casework, 'hold' | 'width' | 'height' | 'depth'> => {
  const less = (size: number, boards: number) => realUm(Math.max(10 * UM.mm, size - boards * USUAL_BOARD));
  const back = piece.back === 'none' ? 0 : 1;
  return { hold: 'inside', width: less(piece.width, 2), height: less(piece.height - piece.plinth, 2), depth: less(piece.depth, back) };
};

const tipsOver = ({ piece, built }: Judged): readonly Finding[] => {
  const [, height, depth] = built.assembly.outside.max;
  if (piece.standing !== 'free' || height <= 2 * depth) return [];
  const mend: Mend = {
    kind: 'fix-to-wall',
    detail: '',
    edit: { kind: 'change-piece', id: piece.id, change: { standing: 'fixed to the wall' } },
  };
  return [{ code: 'tips-over', severity: 'warning', numbers: { height, depth }, where: { pieceId: piece.id }, mend }];
};

const idsOf = (assembly: Assembly, indices: readonly number[]): readonly string[] =>
  indices.map((index) => assembly.parts[index]?.id ?? '');

/** The truth test's own verdicts. On what our families build they stay silent; a part that breaks them must be seen. */
const untrue = ({ piece, built: { assembly }, inspection }: Judged): readonly Finding[] => {
  const { interference, closes, clearIsFree, loose } = inspection;
  const found: Finding[] = [];
  const base = { severity: 'error', mend: null } as const;
  if (interference.length > 0) {
    found.push({
      ...base,
      code: 'parts-interfere',
      numbers: { pairs: interference.length },
      where: {
        pieceId: piece.id,
        partIds: idsOf(
          assembly,
          interference.flatMap(({ a, b }) => [a, b]),
        ),
      },
    });
  }
  if (!closes || !clearIsFree) found.push({ ...base, code: 'does-not-close', numbers: {}, where: { pieceId: piece.id } });
  if (loose.length > 0)
    found.push({
      ...base,
      code: 'part-is-loose',
      numbers: { parts: loose.length },
      where: { pieceId: piece.id, partIds: idsOf(assembly, loose) },
    });
  return found;
};

/** All findings about a piece that stands, the gravest kinds first. */
export const findingsOf = (judged: Judged): readonly Finding[] =>
  [untrue, largerThanBoard, shelfGaps, tipsOver, thicknessOffScale].flatMap((judge) => judge(judged));

const shareOut = (piece: Casework, path: readonly number[]): Mend | null => {
  const cell = cellAt(piece.front, path);
  if (cell?.kind !== 'columns' && cell?.kind !== 'rows') return null;
  const slots = cell.slots.map((slot) => ({ ...slot, size: { share: 1 } }));
  return { kind: 'share-bays', detail: '', edit: { kind: 'put-cell', id: piece.id, path, cell: { ...cell, slots } } };
};

/** The finding that stands for a piece which cannot be built. */
export const problemFinding = (piece: Casework, problem: PieceProblem): Finding => {
  const numbers = { available: problem.available, needed: problem.needed };
  if (problem.code === 'too-small')
    return { code: 'cannot-be-built', severity: 'error', direction: problem.direction, numbers, where: { pieceId: piece.id }, mend: null };
  return {
    code: 'cannot-be-built',
    severity: 'error',
    direction: 'bay',
    numbers,
    where: { pieceId: piece.id, bay: problem.path },
    mend: shareOut(piece, problem.path),
  };
};
