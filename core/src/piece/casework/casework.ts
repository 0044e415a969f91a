import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { type DollUm, dollField, dollUm, type Measure, measureField, realUm, UM } from '../../measure/index.ts';
import { STICK_NAMES, type StickName } from '../../stock/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { type Cell, cellSchema, cellsOf, OPEN, partsOfCell } from './cell.ts';

/** The roles that a casework's boards are chosen for. */
export const BOARD_ROLES = ['carcass', 'back', 'inner', 'door', 'plinth', 'worktop', 'frame', 'lining', 'drawer'] as const;
export type BoardRole = (typeof BOARD_ROLES)[number];

/** A found tub let into the worktop: the hole takes its body, its rim hangs in a wider hole of the board below, hidden. */
export type Tub = {
  readonly shape: 'square' | 'round';
  readonly width: Measure;
  readonly depth: Measure;
  readonly height: Measure;
  readonly rim: Measure;
  /** From the worktop's left edge to the tub's middle; null for its middle. */
  readonly fromLeft: Measure | null;
};

/** A board on top of it all, with an overhang on each side. */
export type Worktop = {
  readonly left: Measure;
  readonly right: Measure;
  readonly front: Measure;
  readonly back: Measure;
  readonly tub: Tub | null;
  /** Discs for burners, in two rows, and their diameter. */
  readonly burners: number;
  readonly burner: Measure;
};

/** An opening of a face frame: from the carcass's left edge and from the frame's lower edge. */
export type FrameOpening = { readonly x: Measure; readonly y: Measure; readonly width: Measure; readonly height: Measure };

/** A frame before the front edges. Its openings stand centred on the bays behind, the outer border even; or where the maker says. */
export type FaceFrame = { readonly border: Measure; readonly openings: readonly FrameOpening[] | null };

/** Panels that every casework has, by the words a file may use for them. */
export const HOLE_PANELS = ['left', 'right', 'top', 'bottom', 'back'] as const;

/** A hole in a panel: where the lamp pokes through, where the switch is reached, where a wire runs. The panel is one of those words, or what
 *  follows the piece in a part's id (`divider-0`, `worktop`). From the lower left corner of its template to its middle. */
export type Hole = {
  readonly panel: string;
  readonly what: 'lamp' | 'switch' | 'wire';
  readonly across: Measure;
  readonly up: Measure;
  readonly diameter: DollUm;
};

/** More bays than this are one piece too many for one drawing. */
export const MOST_CELLS = 600;

/** About how many parts a casework has, carcass and all; enough to refuse what no maker would ever cut. */
const partsAbout = ({ front, lining, worktop }: Pick<Casework, 'front' | 'lining' | 'worktop'>): number =>
  cellsOf(front).reduce((sum, { cell }) => sum + partsOfCell(cell), 10 + (lining ? 5 : 0) + (worktop?.burners ?? 0));

const side = measureField({ min: 10 * UM.mm, max: 10 * UM.m });
const base = measureField({ min: 0, max: 2 * UM.m });
const some = measureField({ min: UM.mm, max: 3 * UM.m });
const mm = (millimetres: number) => realUm(millimetres * UM.mm);

const checkFront = (front: Cell, context: z.RefinementCtx): void => {
  const cells = cellsOf(front);
  if (cells.length > MOST_CELLS)
    context.addIssue({ code: 'custom', message: `This front has ${cells.length} bays; ${MOST_CELLS} are the most.` });
  if (cells.some(({ cell, doorsBefore }) => doorsBefore > 0 && (cell.kind === 'door' || cell.kind === 'plate'))) {
    context.addIssue({ code: 'custom', message: 'Neither a door nor a fixed front can stand behind a door.' });
  }
};

const tubSchema: z.ZodType<Tub> = z.strictObject({
  shape: z.enum(['square', 'round']).default('square'),
  width: some.default(mm(400)),
  depth: some.default(mm(340)),
  height: some.default(mm(150)),
  rim: some.default(mm(12)),
  fromLeft: base.nullable().default(null),
});

const worktopSchema: z.ZodType<Worktop> = z.strictObject({
  left: base.default(mm(0)),
  right: base.default(mm(0)),
  front: base.default(mm(20)),
  back: base.default(mm(0)),
  tub: tubSchema.nullable().default(null),
  burners: z.number().int().min(0).max(8).default(0),
  burner: some.default(mm(160)),
});

const frameSchema: z.ZodType<FaceFrame> = z.strictObject({
  border: some.default(mm(50)),
  openings: z
    .array(z.strictObject({ x: base, y: base, width: some, height: some }))
    .min(1)
    .max(200)
    .nullable()
    .default(null),
});

const holeSchema: z.ZodType<Hole> = z.strictObject({
  panel: textField(60, 1).default('top'),
  what: z.enum(['lamp', 'switch', 'wire']).default('lamp'),
  across: base.default(mm(100)),
  up: base.default(mm(100)),
  diameter: dollField({ min: 0.5 * UM.mm, max: 60 * UM.mm }).default(dollUm(5 * UM.mm)),
});

/** A casework as it may stand in a file; `id` and `mark` are filled in by the set where they are left out. */
export const caseworkSchema = z.strictObject({
  family: z.literal('casework').default('casework'),
  ...pieceFields(BOARD_ROLES),
  name: textField(80).default('bookcase'),
  width: side.default(mm(900)),
  height: side.default(mm(1800)),
  depth: side.default(mm(300)),
  /** What the sizes say: the box round the piece, or the clear space in it. */
  hold: z.enum(['outside', 'inside']).default('outside'),
  /** Which panels run over at the corners: sides from floor to top, or top and bottom across the sides. */
  corner: z.enum(['sides', 'top']).default('sides'),
  back: z.enum(['inset', 'over', 'none']).default('inset'),
  /** Fixed, or a lid that turns on its back edge (it always runs over). */
  top: z.enum(['fixed', 'lid']).default('fixed'),
  /** What it stands on: a plinth, a toe-kick cut out of the sides, legs of stick, feet of stacked board. */
  base: z.enum(['plinth', 'toe-kick', 'legs', 'feet']).default('plinth'),
  /** How high the base is; 0 for none. */
  plinth: base.default(mm(0)),
  /** How far the base stands back from the front (legs and feet: from every side). */
  setback: base.default(mm(0)),
  leg: z.enum(STICK_NAMES as [StickName, ...StickName[]]).default('square dowel, 8 mm'),
  /** The side of a square foot. */
  foot: some.default(mm(60)),
  worktop: worktopSchema.nullable().default(null),
  frame: frameSchema.nullable().default(null),
  /** A second wall inside the first, glued to it or with a hollow between for wires. */
  lining: z
    .strictObject({ cavity: dollField({ min: 0, max: 40 * UM.mm }).default(dollUm(0)) })
    .nullable()
    .default(null),
  holes: z.array(holeSchema).max(20).default([]),
  standing: z.enum(['free', 'fixed to the wall']).default('free'),
  front: cellSchema.default(OPEN).superRefine(checkFront),
});

/** Casework: a box of boards, open or closed at the front, divided into a tree of bays. */
export type Casework = PieceOf<typeof caseworkSchema>;

export const caseworkModel = defineModel({
  schema: caseworkSchema,
  roles: BOARD_ROLES,
  partsAbout,
});
