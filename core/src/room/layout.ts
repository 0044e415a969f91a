import { z } from 'zod';
import { textField } from '../kit/index.ts';
import { type DollUm, dollField, UM } from '../measure/index.ts';

/** Where a piece stands or hangs in a room: the middle of the floor it covers, from the clear room's back left corner to the right and towards the
 *  viewer; how far above the floor; how it is turned, in degrees, to the left as seen from above. */
export type Placement = { readonly piece: string; readonly x: DollUm; readonly z: DollUm; readonly up: DollUm; readonly turn: number };

/** A way to arrange a room: several may be kept side by side, and one is the one that counts. */
export type RoomLayout = {
  readonly id: string;
  readonly name: string;
  /** The piece that is the room's shell. */
  readonly room: string;
  readonly chosen: boolean;
  readonly placed: readonly Placement[];
};

const at = dollField({ min: -5 * UM.m, max: 5 * UM.m });

export const layoutSchema: z.ZodType<RoomLayout> = z.strictObject({
  id: textField(60, 1),
  name: textField(40, 1).default('A'),
  room: textField(80, 1),
  chosen: z.boolean().default(true),
  placed: z
    .array(
      z.strictObject({
        piece: textField(80, 1),
        x: at,
        z: at,
        up: at.default(0 as DollUm),
        turn: z.number().int().min(0).max(359).default(0),
      }),
    )
    .max(200)
    .default([]),
});

/** The layout that counts of a room: the one that was chosen, else its first. */
export const layoutOf = (layouts: readonly RoomLayout[], room: string): RoomLayout | undefined =>
  layouts.find((layout) => layout.room === room && layout.chosen) ?? layouts.find((layout) => layout.room === room);
