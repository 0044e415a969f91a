import { z } from 'zod';
import { type DollUm, dollField, dollUm, type RealUm, realField, UM } from '../measure/index.ts';
import { OBJECT_NAMES, type ObjectName } from '../stock/index.ts';

/** How much of its row or column a cell takes: a clear size of the real thing, or a share of what is left. */
export type Size = { readonly clear: RealUm } | { readonly share: number };

export type Slot = { readonly size: Size; readonly cell: Cell };

/** What may stand in a bay, named so that its height can be checked. */
type Holds = { readonly holds: ObjectName | null };

export type OpenCell = Holds & { readonly kind: 'open' };

/** Shelves at even gaps, as wide as their cell. */
export type ShelvesCell = Holds & { readonly kind: 'shelves'; readonly count: number };

/** A door, or a pair, before another cell. Overlay doors lie on the front and cover `lap` of the panels round them (where two
 *  doors share a panel, at most half of it less half the gap); inset doors sit inside with the gap all round. */
export type DoorCell = {
  readonly kind: 'door';
  readonly hinge: 'left' | 'right' | 'pair';
  readonly fit: 'overlay' | 'inset';
  readonly lap: DollUm;
  readonly gap: DollUm;
  readonly behind: Cell;
};

/** Columns stand side by side from the left, rows lie one on the other from the bottom; boards between them. */
export type SplitCell = { readonly kind: 'columns' | 'rows'; readonly slots: readonly Slot[] };

export type Cell = OpenCell | ShelvesCell | DoorCell | SplitCell;

export const OPEN: OpenCell = { kind: 'open', holds: null };

export const MOST_SHELVES = 40;
export const MOST_SLOTS = 40;

const holds = z
  .enum(OBJECT_NAMES as [ObjectName, ...ObjectName[]])
  .nullable()
  .default(null);
const small = dollField({ min: 0, max: 20 * UM.mm });

const sizeSchema: z.ZodType<Size> = z.union([
  z.strictObject({ clear: realField({ min: UM.mm, max: 10 * UM.m }) }),
  z.strictObject({ share: z.number().positive().max(1000) }),
]);

const slotSchema = z.strictObject({
  size: sizeSchema.default({ share: 1 }),
  cell: z.lazy((): z.ZodType<Cell> => cellSchema).default(OPEN),
});

const split = (kind: 'columns' | 'rows') => z.strictObject({ kind: z.literal(kind), slots: z.array(slotSchema).min(2).max(MOST_SLOTS) });

/** A cell as it may stand in a file: the tree of bays behind a casework's front. */
export const cellSchema: z.ZodType<Cell> = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('open'), holds }),
  z.strictObject({ kind: z.literal('shelves'), count: z.number().int().min(1).max(MOST_SHELVES).default(3), holds }),
  z.strictObject({
    kind: z.literal('door'),
    hinge: z.enum(['left', 'right', 'pair']).default('left'),
    fit: z.enum(['overlay', 'inset']).default('overlay'),
    lap: small.default(dollUm(2 * UM.mm)),
    gap: small.default(dollUm(0.5 * UM.mm)),
    behind: z.lazy((): z.ZodType<Cell> => cellSchema).default(OPEN),
  }),
  split('columns'),
  split('rows'),
]) as unknown as z.ZodType<Cell>;

/** The cells directly inside a cell, in the order of their paths. */
export const childrenOf = (cell: Cell): readonly Cell[] => {
  if (cell.kind === 'columns' || cell.kind === 'rows') return cell.slots.map((slot) => slot.cell);
  return cell.kind === 'door' ? [cell.behind] : [];
};

/** A way down the tree: at each split the slot's number, at each door 0. */
export type CellPath = readonly number[];

/** The cell at the end of a path, if the path leads anywhere. */
export const cellAt = (cell: Cell, path: CellPath): Cell | undefined => {
  const [next, ...rest] = path;
  if (next === undefined) return cell;
  const child = childrenOf(cell)[next];
  return child && cellAt(child, rest);
};

/** The tree with another cell at the end of a path; the tree unchanged when the path leads nowhere. */
export const withCellAt = (cell: Cell, path: CellPath, put: Cell): Cell => {
  const [next, ...rest] = path;
  if (next === undefined) return put;
  if (cell.kind === 'door') return { ...cell, behind: withCellAt(cell.behind, rest, put) };
  if (cell.kind !== 'columns' && cell.kind !== 'rows') return cell;
  return { ...cell, slots: cell.slots.map((slot, index) => (index === next ? { ...slot, cell: withCellAt(slot.cell, rest, put) } : slot)) };
};

/** Every cell of the tree, with doors in front of which number of doors. */
export const cellsOf = (cell: Cell, doorsBefore = 0): readonly { readonly cell: Cell; readonly doorsBefore: number }[] => [
  { cell, doorsBefore },
  ...childrenOf(cell).flatMap((child) => cellsOf(child, doorsBefore + (cell.kind === 'door' ? 1 : 0))),
];
