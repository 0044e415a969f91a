import { z } from 'zod';
import { assertNever, textField } from '../kit/index.ts';
import { type DollUm, dollField, dollUm, UM } from '../measure/index.ts';
import { ellipseRing, type Ring } from '../shape/index.ts';
import { USUAL_SHEETS, type UsualSheet } from './sheets.ts';

/** A board in stock. Its nominal thickness is what the label says, `measured` what a stack of ten says divided by ten;
 *  the measured one wins. Grain runs along a sheet's longer side. */
export type Board = {
  readonly id: string;
  readonly name: string;
  readonly nominal: DollUm;
  readonly measured: DollUm | null;
  readonly grain: 'none' | 'along';
  /** Whether a part may be cut lying on its face, because nobody can tell one face from the other. */
  readonly faces: 'alike' | 'different';
  readonly sheets: readonly SheetType[];
  readonly offcuts: readonly Offcut[];
};

/** A size in which a board is sold: what one costs, in the maker's money, where that is known, and how many are there. */
export type SheetType = UsualSheet & { readonly price: number | null; readonly atHand: number };

/** What is missing of the rectangle round an offcut: nothing; its upper right corner; all above the slant from its upper left to its lower
 *  right corner; or all round the largest ellipse. */
export type OffcutShape =
  | { readonly kind: 'whole' | 'triangle' | 'round' }
  | { readonly kind: 'corner'; readonly width: DollUm; readonly height: DollUm };

/** What was left over and is worth keeping. */
export type Offcut = { readonly id: string; readonly width: DollUm; readonly height: DollUm; readonly shape: OffcutShape };

export const WHOLE: OffcutShape = { kind: 'whole' };

/** The outline of an offcut, its lower left corner at the origin; nothing for one that is a whole rectangle. */
export const outlineOfOffcut = ({ width, height, shape }: Offcut): Ring | undefined => {
  switch (shape.kind) {
    case 'whole':
      return undefined;
    case 'triangle':
      return [
        [0, 0],
        [width, 0],
        [0, height],
      ];
    case 'round':
      return ellipseRing(Math.round(width / 2), Math.round(height / 2), Math.floor(width / 2), Math.floor(height / 2));
    case 'corner': {
      const [x, y] = [width - Math.min(shape.width, width), height - Math.min(shape.height, height)];
      if (x === 0 || y === 0) return undefined;
      return [
        [0, 0],
        [width, 0],
        [width, y],
        [x, y],
        [x, height],
        [0, height],
      ];
    }
    default:
      return assertNever(shape);
  }
};

/** A usual sheet of which nothing more is known. */
export const asSold = (usual: UsualSheet): SheetType => ({ ...usual, price: null, atHand: 0 });

const side = dollField({ min: 20 * UM.mm, max: 3 * UM.m });
const thickness = dollField({ min: 0.2 * UM.mm, max: 60 * UM.mm });

export const sheetTypeSchema: z.ZodType<SheetType> = z.union([
  z
    .enum(
      USUAL_SHEETS.map((usual) => usual.name),
      'Not a usual sheet: give name, width and height instead.',
    )
    .transform((name) => asSold(USUAL_SHEETS.find((usual) => usual.name === name) as UsualSheet)),
  z.strictObject({
    name: textField(60, 1),
    width: side,
    height: side,
    price: z.number().min(0).max(1e6).nullable().default(null),
    atHand: z.number().int().min(0).max(999).default(0),
  }),
]);

export const offcutSchema: z.ZodType<Offcut> = z.strictObject({
  id: textField(60, 1),
  width: side,
  height: side,
  shape: z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.enum(['whole', 'triangle', 'round']) }),
      z.strictObject({ kind: z.literal('corner'), width: side, height: side }),
    ])
    .default(WHOLE),
});

export const boardSchema: z.ZodType<Board> = z.strictObject({
  id: textField(60, 1),
  name: textField(80).default('foam board'),
  nominal: thickness.default(dollUm(5 * UM.mm)),
  measured: thickness.nullable().default(null),
  grain: z.enum(['none', 'along']).default('none'),
  faces: z.enum(['alike', 'different']).default('alike'),
  sheets: z
    .array(sheetTypeSchema)
    .min(1)
    .max(20)
    .default([asSold(USUAL_SHEETS[0] as UsualSheet)]),
  offcuts: z.array(offcutSchema).max(200).default([]),
});

/** The thickness that counts: as measured, else as labelled. */
export const thicknessOf = (board: Board): DollUm => board.measured ?? board.nominal;
