// What the hand can do to a bay: each is the front as it becomes, and the bay that is then chosen.
import {
  type BaySize,
  type Cell,
  type CellPath,
  cellAt,
  type DoorCell,
  MOST_SHELVES,
  MOST_SLOTS,
  newCell,
  OPEN,
  type SplitCell,
  withCellAt,
} from '@parlor/core/piece';

export type BayEdit = { readonly front: Cell; readonly chosen: CellPath };

const isSplit = (cell: Cell | undefined): cell is SplitCell => cell?.kind === 'columns' || cell?.kind === 'rows';

/** The path of what stands behind a door, or the path itself. */
const behind = (front: Cell, path: CellPath): CellPath => (cellAt(front, path)?.kind === 'door' ? [...path, 0] : path);

const put = (front: Cell, path: CellPath, cell: Cell, chosen: CellPath = path): BayEdit => ({
  front: withCellAt(front, path, cell),
  chosen,
});

/** The same kind of bay with nothing decided about sizes; what stands in it stays. */
const emptyLike = (cell: Cell | undefined): Cell => (cell?.kind === 'open' || cell?.kind === 'shelves' ? cell : OPEN);

export const addShelf = (front: Cell, path: CellPath): BayEdit | null => {
  const at = behind(front, path);
  const cell = cellAt(front, at);
  if (cell?.kind === 'open') return put(front, at, { ...newCell('shelves'), count: 1, holds: cell.holds }, path);
  return cell?.kind === 'shelves' && cell.count < MOST_SHELVES ? put(front, at, { ...cell, count: cell.count + 1 }, path) : null;
};

export const takeShelf = (front: Cell, path: CellPath): BayEdit | null => {
  const at = behind(front, path);
  const cell = cellAt(front, at);
  if (cell?.kind !== 'shelves') return null;
  return put(front, at, cell.count > 1 ? { ...cell, count: cell.count - 1 } : { ...OPEN, holds: cell.holds }, path);
};

/** A board through the bay. In a row of the same kind the row gets one bay more; elsewhere the bay becomes a row of two. */
export const split = (front: Cell, path: CellPath, kind: 'columns' | 'rows'): BayEdit | null => {
  const cell = cellAt(front, path);
  if (!cell) return null;
  const [parentPath, index] = [path.slice(0, -1), path.at(-1)];
  const parent = index === undefined ? undefined : cellAt(front, parentPath);
  if (isSplit(parent) && parent.kind === kind && index !== undefined) {
    if (parent.slots.length >= MOST_SLOTS) return null;
    const slot = { size: { share: 1 }, cell: cell.kind === 'door' ? cell : emptyLike(cell) };
    return put(front, parentPath, { ...parent, slots: parent.slots.toSpliced(index + 1, 0, slot) }, path);
  }
  const at = behind(front, path);
  const inside = cellAt(front, at);
  if (!inside) return null;
  return put(
    front,
    at,
    {
      kind,
      slots: [
        { size: { share: 1 }, cell: inside },
        { size: { share: 1 }, cell: emptyLike(inside) },
      ],
    },
    [...at, 0],
  );
};

const doorAbove = (front: Cell, path: CellPath): boolean => path.some((_, length) => cellAt(front, path.slice(0, length))?.kind === 'door');

const hasFront = (cell: Cell): boolean =>
  cell.kind === 'door' || cell.kind === 'plate' || (isSplit(cell) && cell.slots.some((slot) => hasFront(slot.cell)));

/** Hangs a door before the bay, or takes it off. Not where a door hangs before or behind already. */
export const toggleDoor = (front: Cell, path: CellPath, made: DoorCell): BayEdit | null => {
  const cell = cellAt(front, path);
  if (cell?.kind === 'door') return put(front, path, cell.behind);
  if (!cell || hasFront(cell) || doorAbove(front, path)) return null;
  return put(front, path, { ...made, behind: cell });
};

/** Takes a bay out of its row; of two, the other one takes the whole place. */
export const removeBay = (front: Cell, path: CellPath): BayEdit | null => {
  const index = path.at(-1);
  const parentPath = path.slice(0, -1);
  const parent = cellAt(front, parentPath);
  if (index === undefined || !isSplit(parent)) return null;
  const slots = parent.slots.toSpliced(index, 1);
  if (slots.length > 1) return put(front, parentPath, { ...parent, slots }, [...parentPath, Math.min(index, slots.length - 1)]);
  return put(front, parentPath, slots[0]?.cell ?? OPEN);
};

/** Gives a bay of a row its size. At least one bay of a row must share what is left, or the row could not fill its place. */
export const sizeSlot = (front: Cell, path: CellPath, size: BaySize): BayEdit | null => {
  const index = path.at(-1);
  const parent = cellAt(front, path.slice(0, -1));
  if (index === undefined || !isSplit(parent)) return null;
  const sized = parent.slots.map((slot, each) => (each === index ? { ...slot, size } : slot));
  const shares = sized.some((slot) => 'share' in slot.size);
  const yielding = index === sized.length - 1 ? index - 1 : sized.length - 1;
  const slots = shares ? sized : sized.map((slot, each) => (each === yielding ? { ...slot, size: { share: 1 } } : slot));
  return put(front, path.slice(0, -1), { ...parent, slots }, path);
};

/** What a bay can be made into. */
export const LEAF_KINDS = ['open', 'shelves', 'drawers', 'slides', 'plate'] as const;
export type LeafKind = (typeof LEAF_KINDS)[number];

/** A bay of another kind in the place of one; what stands in it stays named. */
export const madeInto = (cell: Cell, kind: LeafKind): Cell => {
  const made = newCell(kind);
  const holds = cell.kind === 'open' || cell.kind === 'shelves' ? cell.holds : null;
  return made.kind === 'open' || made.kind === 'shelves' ? { ...made, holds } : made;
};
