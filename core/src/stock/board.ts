import { z } from 'zod';
import { textField } from '../kit/index.ts';
import { type DollUm, dollField, dollUm, UM } from '../measure/index.ts';
import { USUAL_SHEETS, type UsualSheet } from './sheets.ts';

/** A board in stock. Its nominal thickness is what the label says, `measured` what a stack of ten says divided by ten;
 *  the measured one wins. Grain runs along a sheet's longer side. */
export type Board = {
  readonly id: string;
  readonly name: string;
  readonly nominal: DollUm;
  readonly measured: DollUm | null;
  readonly grain: 'none' | 'along';
  readonly sheets: readonly SheetType[];
  readonly offcuts: readonly Offcut[];
};

/** A size in which a board is sold: what one costs, in the maker's money, where that is known, and how many are there. */
export type SheetType = UsualSheet & { readonly price: number | null; readonly atHand: number };

/** What was left over and is worth keeping. */
export type Offcut = { readonly id: string; readonly width: DollUm; readonly height: DollUm };

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

export const offcutSchema: z.ZodType<Offcut> = z.strictObject({ id: textField(60, 1), width: side, height: side });

export const boardSchema: z.ZodType<Board> = z.strictObject({
  id: textField(60, 1),
  name: textField(80).default('foam board'),
  nominal: thickness.default(dollUm(5 * UM.mm)),
  measured: thickness.nullable().default(null),
  grain: z.enum(['none', 'along']).default('none'),
  sheets: z
    .array(sheetTypeSchema)
    .min(1)
    .max(20)
    .default([asSold(USUAL_SHEETS[0] as UsualSheet)]),
  offcuts: z.array(offcutSchema).max(200).default([]),
});

/** The thickness that counts: as measured, else as labelled. */
export const thicknessOf = (board: Board): DollUm => board.measured ?? board.nominal;
