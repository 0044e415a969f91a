// µm. What a careful maker would notice about a casework: what stands in its bays, its frame, its board.
import { dollOf, realUm, UM } from '../../measure/index.ts';
import { type Bay, boardFor, type Casework, cellAt, type ShelvesCell } from '../../piece/index.ts';
import { STANDING_OBJECTS, thicknessOf } from '../../stock/index.ts';
import type { Finding, Mend } from './finding.ts';
import { type Judged, mendPiece } from './judged.ts';

type Case = Judged<Casework>;

/** Furniture board is 18 mm chipboard or 3/4 in ply: common practice, no source. */
const USUAL_BOARD = realUm(18 * UM.mm);

/** A thickness is worth a note when it is off by a millimetre and by a quarter. */
const OFF_BY = 1 * UM.mm;
const OFF_SHARE = 0.25;

/** The gaps of a bay with n even shelves: the least is at most a micrometre under the even share. */
const gapWith = (height: number, shelves: number, thickness: number): number => Math.floor((height - shelves * thickness) / (shelves + 1));

const shelfMend = (piece: Casework, bay: Bay, cell: ShelvesCell, height: number, needed: number, thickness: number): Mend | null => {
  if (cell.spacing !== 'even') return null;
  const counts = Array.from({ length: cell.count }, (_, index) => cell.count - 1 - index);
  const enough = counts.find((count) => gapWith(height, count, thickness) >= needed);
  if (enough === undefined) return null;
  const fewer = enough === 0 ? ({ kind: 'open', holds: cell.holds, turntable: null } as const) : { ...cell, count: enough };
  return { kind: 'fewer-shelves', detail: String(enough), edit: { kind: 'put-cell', id: piece.id, path: bay.path, cell: fewer } };
};

const cellOf = (piece: Casework, bay: Bay) => {
  const cell = cellAt(piece.front, bay.path);
  return cell && (cell.kind === 'open' || cell.kind === 'shelves') && cell.holds !== null
    ? { cell, object: STANDING_OBJECTS[cell.holds] }
    : undefined;
};

/** The least clear height over a bay's floor and its shelves, from the parts as they stand. */
const leastGap = ({ built }: Case, bay: Bay): number => {
  const { x0, x1, y0, y1, z1 } = bay.space;
  const floors = built.assembly.parts.flatMap(({ role, pose, region, thickness }) => {
    const low = pose.origin[1];
    const [across] = region.outline[1] as readonly [number, number];
    const inside =
      role === 'shelf' && pose.origin[0] >= x0 && pose.origin[0] + across <= x1 && low > y0 && low < y1 && pose.origin[2] <= z1;
    return inside ? [{ low, high: low + thickness }] : [];
  });
  const levels = [...floors].sort((a, b) => a.low - b.low);
  return Math.min(...[...levels.map(({ low }) => low), y1].map((ceiling, index) => ceiling - (levels[index - 1]?.high ?? y0)));
};

export const shelfGaps = (judged: Case): readonly Finding[] => {
  const { piece, means, built } = judged;
  return built.bays.flatMap((bay): readonly Finding[] => {
    const holds = cellOf(piece, bay);
    if (!holds) return [];
    const { cell, object } = holds;
    const needed = dollOf(object.height, means.scale);
    const gap = leastGap(judged, bay);
    if (gap >= needed) return [];
    const thickness = thicknessOf(boardFor(piece.boards, 'inner', means.boards));
    const mend = cell.kind === 'shelves' ? shelfMend(piece, bay, cell, bay.space.y1 - bay.space.y0, needed, thickness) : null;
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
};

/** What stands on a shelf may look out over its edge by a tenth of its depth, not more: common practice, no source. */
const MAY_LOOK_OUT = 0.9;

export const shelfDepths = ({ piece, means, built }: Case): readonly Finding[] =>
  built.bays.flatMap((bay): readonly Finding[] => {
    const holds = cellOf(piece, bay);
    if (!holds) return [];
    const { cell, object } = holds;
    const back = cell.kind === 'shelves' ? dollOf(cell.back, means.scale) : 0;
    const depth = bay.space.z1 - bay.space.z0 - back;
    const needed = Math.ceil(dollOf(object.depth, means.scale) * MAY_LOOK_OUT);
    if (depth >= needed) return [];
    const deeper = dollOf(piece.depth, means.scale) + needed - depth;
    const mend = mendPiece(piece, 'deepen', { depth: realUm((deeper * means.scale.real) / means.scale.doll) });
    return [
      {
        code: 'shelf-too-shallow',
        severity: 'warning',
        object: object.name,
        numbers: { depth, needed },
        where: { pieceId: piece.id, bay: bay.path },
        mend,
      },
    ];
  });

/** An opening stands over its bay when no wall behind it is seen in it. */
export const openingsOverBays = ({ piece, built }: Case): readonly Finding[] => {
  if (!piece.frame?.openings) return [];
  const fields = built.bays.filter(({ kind }) => kind !== 'columns' && kind !== 'rows' && kind !== 'door');
  const fronts = [...fields, ...built.bays.filter(({ kind }) => kind === 'door')].map(({ space }) => space);
  const off = built.openings.map((opening) =>
    Math.min(...fronts.map((bay) => Math.max(0, bay.x0 - opening.x0, opening.x1 - bay.x1, bay.y0 - opening.y0, opening.y1 - bay.y1))),
  );
  const worst = Math.max(0, ...off);
  if (worst === 0) return [];
  const mend = mendPiece(piece, 'centre-openings', { frame: { ...piece.frame, openings: null } });
  const partIds = built.assembly.parts.filter(({ role }) => role === 'frame').map(({ id }) => id);
  return [{ code: 'opening-off-bay', severity: 'warning', numbers: { off: worst }, where: { pieceId: piece.id, partIds }, mend }];
};

export const thicknessOffScale = ({ piece, means }: Case): readonly Finding[] => {
  const board = boardFor(piece.boards, 'carcass', means.boards);
  const [has, scaled] = [thicknessOf(board), dollOf(USUAL_BOARD, means.scale)];
  const off = Math.abs(has - scaled);
  if (piece.hold === 'inside' || off <= OFF_BY || off <= OFF_SHARE * scaled) return [];
  const mend = mendPiece(piece, 'hold-inside', heldInside(piece, means.scale));
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
const heldInside = (piece: Casework, scale: Case['means']['scale']): Pick<Casework, 'hold' | 'width' | 'height' | 'depth'> => {
  const real = (size: Casework['width']) => (dollOf(size, scale) * scale.real) / scale.doll;
  const less = (size: number, boards: number) => realUm(Math.max(10 * UM.mm, size - boards * USUAL_BOARD));
  const back = piece.back === 'none' ? 0 : 1;
  return {
    hold: 'inside',
    width: less(real(piece.width), 2),
    height: less(real(piece.height) - real(piece.plinth), 2),
    depth: less(real(piece.depth), back),
  };
};

/** Fixed to the wall is a mend that only what can hang has. */
export const tipsOver = ({ piece, built }: Case): readonly Finding[] => {
  const [, height, depth] = built.assembly.outside.max;
  if (piece.standing !== 'free' || height <= 2 * depth) return [];
  const mend = mendPiece(piece, 'fix-to-wall', { standing: 'fixed to the wall' });
  return [{ code: 'tips-over', severity: 'warning', numbers: { height, depth }, where: { pieceId: piece.id }, mend }];
};
