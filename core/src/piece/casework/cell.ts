import { z } from 'zod';
import { type DollUm, dollField, dollUm, type Measure, measureField, realUm, UM } from '../../measure/index.ts';
import { CLEAR_SHEET, OBJECT_NAMES, type ObjectName, STICK_NAMES, type StickName } from '../../stock/index.ts';
import { GRIPS, type Grip } from '../family/grips.ts';

/** How much of its row or column a cell takes: a clear size, or a share of what is left. */
export type BaySize = { readonly clear: Measure } | { readonly share: number };

export type Slot = { readonly size: BaySize; readonly cell: Cell };

/** What may stand in a bay, named so that its height and depth can be checked. */
type Holds = { readonly holds: ObjectName | null };

/** An open bay; a turntable is a disc that lies on its floor. */
export type OpenCell = Holds & { readonly kind: 'open'; readonly turntable: Measure | null };

/** Shelves as wide as their cell: at even gaps, at stated heights above the bay's floor (each of a shelf's top), or one above the other at
 *  what stands there plus a finger's room. They may stand back from the front, and be of clear sheet. */
export type ShelvesCell = Holds & {
  readonly kind: 'shelves';
  readonly spacing: 'even' | 'positions' | 'by what stands there';
  readonly count: number;
  readonly at: readonly Measure[];
  readonly back: Measure;
  readonly made: 'board' | 'clear';
  /** How thick clear sheet is. */
  readonly sheet: DollUm;
};

/** How a front sits: lying on the panels round it and covering `lap` of them (where two share a panel, at most half of it less half the
 *  gap), or inside with the gap all round. */
export type DoorFit = { readonly fit: 'overlay' | 'inset'; readonly lap: DollUm; readonly gap: DollUm };

/** A door, or a pair, before another cell. A framed one has a raised border, a glazed one clear sheet between two frames. It hangs on paper
 *  (glued behind, or outside on its neighbour) or turns on pins, `pin` from its edge. */
export type DoorCell = DoorFit & {
  readonly kind: 'door';
  readonly hinge: 'left' | 'right' | 'pair' | 'bottom' | 'top';
  readonly hang: 'paper' | 'paper outside' | 'pins';
  readonly pin: DollUm;
  readonly style: 'slab' | 'framed' | 'glazed';
  readonly window: 'square' | 'round';
  readonly border: Measure;
  readonly grip: Grip;
  /** Bins on its inner side, one above the other. */
  readonly bins: number;
  readonly behind: Cell;
};

/** Drawers one above the other. False ones are plates on one blank front: at even gaps, or as high as stated with equal gaps. Running
 *  ones are trays on boards of their own, with a clearance all round and, behind inset fronts, stops. */
export type DrawersCell = DoorFit & {
  readonly kind: 'drawers';
  readonly make: 'false' | 'running';
  readonly count: number;
  readonly plate: Measure | null;
  readonly clearance: DollUm;
  readonly grip: Grip;
  readonly stops: boolean;
};

/** Pairs of sticks on both sides, the lower ones at these heights above the floor, and what runs between each pair. */
export type SlidesCell = {
  readonly kind: 'slides';
  readonly at: readonly Measure[];
  readonly stick: StickName;
  readonly between: DollUm;
  readonly carries: 'nothing' | 'tray' | 'rack' | 'tines';
  readonly clearance: DollUm;
  /** Sticks across a rack, or bends of wire on a tray. */
  readonly count: number;
  /** A bend of wire: up, across, and down again. */
  readonly tineUp: Measure;
  readonly tineAcross: Measure;
};

/** A fixed board that closes a bay at the front, with discs for knobs on it. */
export type PlateCell = DoorFit & { readonly kind: 'plate'; readonly discs: number; readonly disc: Measure; readonly layers: number };

/** Columns stand side by side from the left, rows lie one on the other from the bottom; boards between them. */
export type SplitCell = { readonly kind: 'columns' | 'rows'; readonly slots: readonly Slot[] };

export type Cell = OpenCell | ShelvesCell | DoorCell | DrawersCell | SlidesCell | PlateCell | SplitCell;

export const OPEN: OpenCell = { kind: 'open', holds: null, turntable: null };

export const MOST_SHELVES = 40;
export const MOST_SLOTS = 40;

const holds = z
  .enum(OBJECT_NAMES as [ObjectName, ...ObjectName[]])
  .nullable()
  .default(null);
const small = dollField({ min: 0, max: 20 * UM.mm });
const height = measureField({ min: 0, max: 10 * UM.m });
const some = measureField({ min: UM.mm, max: 3 * UM.m });
const mm = (millimetres: number) => realUm(millimetres * UM.mm);

const sizeSchema: z.ZodType<BaySize> = z.union([
  z.strictObject({ clear: measureField({ min: UM.mm, max: 10 * UM.m }) }),
  z.strictObject({ share: z.number().positive().max(1000) }),
]);

const later = z.lazy((): z.ZodType<Cell> => cellSchema).default(OPEN);
const slotSchema = z.strictObject({ size: sizeSchema.default({ share: 1 }), cell: later });

const split = (kind: 'columns' | 'rows') => z.strictObject({ kind: z.literal(kind), slots: z.array(slotSchema).min(2).max(MOST_SLOTS) });

const fit = {
  fit: z.enum(['overlay', 'inset']).default('overlay'),
  lap: small.default(dollUm(2 * UM.mm)),
  gap: small.default(dollUm(0.5 * UM.mm)),
};
const grip = z.enum(GRIPS).default('none');

/** A cell as it may stand in a file: the tree of bays behind a casework's front. */
export const cellSchema: z.ZodType<Cell> = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('open'), holds, turntable: some.nullable().default(null) }),
  z.strictObject({
    kind: z.literal('shelves'),
    spacing: z.enum(['even', 'positions', 'by what stands there']).default('even'),
    count: z.number().int().min(1).max(MOST_SHELVES).default(3),
    at: z.array(height).max(MOST_SHELVES).default([]),
    back: height.default(mm(0)),
    made: z.enum(['board', 'clear']).default('board'),
    sheet: dollField({ min: 0.2 * UM.mm, max: 6 * UM.mm }).default(CLEAR_SHEET.thickness),
    holds,
  }),
  z.strictObject({
    kind: z.literal('door'),
    hinge: z.enum(['left', 'right', 'pair', 'bottom', 'top']).default('left'),
    ...fit,
    hang: z.enum(['paper', 'paper outside', 'pins']).default('paper'),
    pin: dollField({ min: 0.5 * UM.mm, max: 50 * UM.mm }).default(dollUm(7 * UM.mm)),
    style: z.enum(['slab', 'framed', 'glazed']).default('slab'),
    window: z.enum(['square', 'round']).default('square'),
    border: some.default(mm(60)),
    grip,
    bins: z.number().int().min(0).max(8).default(0),
    behind: later,
  }),
  z.strictObject({
    kind: z.literal('drawers'),
    make: z.enum(['false', 'running']).default('false'),
    count: z.number().int().min(1).max(20).default(3),
    ...fit,
    plate: some.nullable().default(null),
    clearance: small.default(dollUm(0.5 * UM.mm)),
    grip,
    stops: z.boolean().default(true),
  }),
  z.strictObject({
    kind: z.literal('slides'),
    at: z
      .array(height)
      .min(1)
      .max(20)
      .default([mm(120), mm(300)]),
    stick: z.enum(STICK_NAMES as [StickName, ...StickName[]]).default('square dowel, 3 mm'),
    between: dollField({ min: 0.5 * UM.mm, max: 60 * UM.mm }).default(dollUm(5 * UM.mm)),
    carries: z.enum(['nothing', 'tray', 'rack', 'tines']).default('nothing'),
    clearance: small.default(dollUm(0.5 * UM.mm)),
    count: z.number().int().min(2).max(30).default(6),
    tineUp: some.default(mm(90)),
    tineAcross: some.default(mm(75)),
  }),
  z.strictObject({
    kind: z.literal('plate'),
    ...fit,
    discs: z.number().int().min(0).max(12).default(0),
    disc: some.default(mm(40)),
    layers: z.number().int().min(1).max(6).default(1),
  }),
  split('columns'),
  split('rows'),
]);

/** What a cell is called. */
export const CELL_WORDS: Readonly<Record<Cell['kind'], string>> = {
  open: 'open bay',
  shelves: 'bay with shelves',
  door: 'door',
  drawers: 'drawers',
  slides: 'bay with slides',
  plate: 'fixed front',
  columns: 'columns',
  rows: 'rows',
};

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

const OTHER_SIDE = { left: 'right', right: 'left', pair: 'pair', bottom: 'bottom', top: 'top' } as const;

/** The tree as a looking-glass shows it: columns in the other order, doors hinged on the other side. */
export const mirroredCell = (cell: Cell): Cell => {
  if (cell.kind === 'door') return { ...cell, hinge: OTHER_SIDE[cell.hinge], behind: mirroredCell(cell.behind) };
  if (cell.kind !== 'columns' && cell.kind !== 'rows') return cell;
  const slots = cell.slots.map((slot) => ({ ...slot, cell: mirroredCell(slot.cell) }));
  return { ...cell, slots: cell.kind === 'columns' ? slots.reverse() : slots };
};

/** About how many parts a cell asks for beside its walls. */
export const partsOfCell = (cell: Cell): number => {
  switch (cell.kind) {
    case 'open':
      return cell.turntable === null ? 0 : 1;
    case 'shelves':
      return cell.spacing === 'positions' ? cell.at.length : cell.spacing === 'even' ? cell.count : 8;
    case 'door':
      return (
        (cell.hinge === 'pair' ? 2 : 1) * ({ slab: 1, framed: 2, glazed: 3 }[cell.style] + (cell.grip === 'none' ? 0 : 2) + 4 * cell.bins)
      );
    case 'drawers':
      return cell.make === 'false' ? 1 + 3 * cell.count : 9 * cell.count;
    case 'slides':
      return cell.at.length * (4 + { nothing: 0, tray: 1, rack: 2 + cell.count, tines: 1 + cell.count }[cell.carries]);
    case 'plate':
      return 1 + cell.discs * cell.layers;
    default:
      return cell.slots.length - 1;
  }
};

/** A cell of a kind with nothing decided about it. */
export const newCell = <K extends 'open' | 'shelves' | 'door' | 'drawers' | 'slides' | 'plate'>(
  kind: K,
): Extract<Cell, { readonly kind: K }> => cellSchema.parse({ kind }) as Extract<Cell, { readonly kind: K }>;
