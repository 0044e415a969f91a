// Where things of the front elevation stand on the screen. Pixels, y down.
import { type Bay, type Cell, type CellPath, cellAt, frontOf } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import type { SightName } from '../../ui/index.ts';

/** From millimetres of the piece (y up) to pixels of the drawing (y down). */
export type DrawingScale = { readonly scale: number; readonly left: number; readonly floor: number; readonly figureAt: number };

const MARGIN = { left: 84, right: 4, top: 56, bottom: 16 } as const;

/** Room under the floor for the pencilled widths of its columns. */
const BELOW = 34;

/** Room right of the piece for the pencilled heights of its rows; the figure stands behind them. */
const BESIDE = 74;

/** Of a figure that is taller than the piece by more than this the upper part is cut off. */
const LOW = 2;

/** The share of its height that the figure takes across. */
const FIGURE_ACROSS = 0.36;

/** The largest scale at which the piece and the figure beside it fit, with room for the pencilled sizes. */
export const sightFor = (
  pieceWidth: number,
  pieceHeight: number,
  figureHeight: number,
  width: number,
  height: number,
  hasColumns: boolean,
): DrawingScale => {
  // Beside something low only her legs are shown, so that its sizes can be read.
  const seenHeight = Math.min(figureHeight, Math.max(pieceHeight * LOW, pieceWidth * 0.6));
  const figureWidth = figureHeight * FIGURE_ACROSS;
  const acrossRoom = width - MARGIN.left - MARGIN.right;
  const below = MARGIN.bottom + (hasColumns ? BELOW : 0);
  const upRoom = height - MARGIN.top - below;
  const across = Math.min(acrossRoom / (pieceWidth + figureWidth), (acrossRoom - BESIDE) / pieceWidth);
  const scale = Math.max(0.02, Math.min(across, upRoom / Math.max(pieceHeight, seenHeight)));
  const beside = Math.max(BESIDE, figureWidth * scale);
  const left = MARGIN.left + Math.max(0, (acrossRoom - pieceWidth * scale - beside) / 2);
  return { scale, left, floor: height - below, figureAt: left + pieceWidth * scale + beside / 2 };
};

/** A stretch with a size to pencil beside it. */
export type SizeStretch = {
  readonly path: CellPath;
  readonly from: number;
  readonly to: number;
  readonly lengthUm: number;
  readonly fixed: boolean;
};

/** The nearest row of the given kind that the path runs through, as stretches along it. */
const rowOf = (front: Cell, bays: readonly Bay[], path: CellPath, kind: 'columns' | 'rows'): readonly SizeStretch[] => {
  for (let length = path.length; length >= 0; length -= 1) {
    const at = path.slice(0, length);
    const cell = cellAt(front, at);
    if (cell?.kind !== kind) continue;
    return cell.slots.flatMap((slot, index): readonly SizeStretch[] => {
      const bay = bays.find(
        ({ path: each }) => each.length === at.length + 1 && each.every((step, depth) => step === [...at, index][depth]),
      );
      if (!bay) return [];
      const { x0, x1, y0, y1 } = bay.space;
      const [from, to] = kind === 'columns' ? [x0, x1] : [y0, y1];
      return [{ path: [...at, index], from: from / 1000, to: to / 1000, lengthUm: to - from, fixed: 'clear' in slot.size }];
    });
  }
  return [];
};

/** The rows to pencil: columns along the floor, rows up the right edge; those of the chosen bay, else those of the whole front. */
export const stretchesOf = (
  piece: Piece,
  bays: readonly Bay[],
  chosen: CellPath | null,
  sight: SightName,
): { readonly columns: readonly SizeStretch[]; readonly rows: readonly SizeStretch[] } => {
  const front = frontOf(piece);
  if (!front || sight !== 'front') return { columns: [], rows: [] };
  const path = chosen ?? firstSplit(front);
  return { columns: rowOf(front, bays, path, 'columns'), rows: rowOf(front, bays, path, 'rows') };
};

const firstSplit = (front: Cell): CellPath => {
  if (front.kind === 'columns' || front.kind === 'rows') return [0];
  return front.kind === 'door' ? [0, ...firstSplit(front.behind)] : [];
};

/** True when both paths lead to the same cell. */
export const samePath = (a: readonly number[], b: readonly number[] | null): boolean =>
  b !== null && a.length === b.length && a.every((step, index) => step === b[index]);
