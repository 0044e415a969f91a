// How boards and sticks are cut, as a maker decides it.
import { z } from 'zod';
import { JOINTS, type Joints } from '../../assembly/index.ts';
import type { Wishes } from '../../cut/index.ts';
import { textField } from '../../kit/index.ts';
import { type DollUm, dollField, dollUm, UM } from '../../measure/index.ts';
import type { Orientation } from '../../shape/index.ts';
import { type Offcut, offcutSchema, STICK_NAMES, type StickName } from '../../stock/index.ts';

/** How long one stick is, whether pieces longer than that are joined of several, and what lengths lie there from other work. */
export type StickWish = { readonly length: DollUm; readonly joins: boolean; readonly rests: readonly DollUm[] };

/** A sheet that has been cut: it is laid out no more. What lay on it, where it came from, and the offcuts that it left. */
export type CutSheet = {
  readonly id: string;
  readonly board: string;
  readonly name: string;
  readonly width: DollUm;
  readonly height: DollUm;
  readonly parts: readonly {
    readonly id: string;
    readonly x: number;
    readonly y: number;
    readonly turn: Orientation['turn'];
    readonly mirrored: boolean;
    readonly width: number;
    readonly height: number;
  }[];
  /** The offcut that was used up, where it was one; whether it was counted among those at hand. */
  readonly offcut: Offcut | null;
  readonly atHand: boolean;
  readonly left: readonly string[];
};

/** A sheet that the maker laid parts on by hand, by the name of its kind or the id of the offcut that it is. */
export type PinnedTo = {
  readonly id: string;
  readonly board: string;
  readonly name: string;
  readonly offcut: string | null;
  readonly parts: readonly (Orientation & { readonly id: string; readonly x: number; readonly y: number })[];
};

/** How boards are cut: what the knife takes, what is cut off each edge of a sheet first, and whether every cut runs from edge to edge. */
export type Cutting = {
  readonly gap: DollUm;
  readonly trim: { readonly left: DollUm; readonly right: DollUm; readonly bottom: DollUm; readonly top: DollUm };
  readonly mode: 'straight' | 'free';
  /** What is larger than every sheet is joined of several, or left as it is and said to be too large. */
  readonly splice: 'join' | 'leave';
  /** Which way the joints of walls and other upright parts run. */
  readonly joints: Joints;
  readonly wishes: Wishes;
  /** What the saw takes at each cut through a stick. */
  readonly kerf: DollUm;
  /** A rest is worth keeping from this on, on both sides. */
  readonly keep: DollUm;
  readonly cut: readonly CutSheet[];
  readonly pinned: readonly PinnedTo[];
  /** Parts, by id, that come from one sheet. */
  readonly together: readonly (readonly string[])[];
  /** Sticks that come in another length than usual, or may be joined where they are too short. */
  readonly sticks: Readonly<Partial<Record<StickName, StickWish>>>;
};

/** A set of more parts than this would keep the drawing board waiting for seconds. */
export const MOST_PARTS = 3_000;

const trim = dollField({ min: 0, max: 50 * UM.mm });
const edge = trim.default(dollUm(0));
const trimSides = z.strictObject({ left: edge, right: edge, bottom: edge, top: edge });

const micrometres = z
  .number()
  .int()
  .min(0)
  .max(5 * UM.m);
const sheetSide = dollField({ min: 5 * UM.mm, max: 3 * UM.m });

const turn = z.literal([0, 1, 2, 3]);

const stickRest = dollField({ min: 10 * UM.mm, max: 3 * UM.m });

const cutSheet: z.ZodType<CutSheet> = z.strictObject({
  id: textField(60, 1),
  board: textField(60, 1),
  name: textField(60, 1),
  width: sheetSide,
  height: sheetSide,
  parts: z
    .array(
      z
        .strictObject({
          id: textField(200, 1),
          x: micrometres,
          y: micrometres,
          turn: turn.default(0),
          mirrored: z.boolean().default(false),
          width: micrometres,
          height: micrometres,
          // Sets that were saved before parts could lie on their faces say only this.
          rotated: z.boolean().optional(),
        })
        .transform(({ rotated, ...part }) => (rotated ? { ...part, turn: 1 as const } : part)),
    )
    .max(MOST_PARTS),
  offcut: offcutSchema.nullable().default(null),
  atHand: z.boolean().default(false),
  left: z.array(textField(60, 1)).max(200).default([]),
});

const pinnedTo: z.ZodType<PinnedTo> = z.strictObject({
  id: textField(60, 1),
  board: textField(60, 1),
  name: textField(60, 1),
  offcut: textField(60, 1).nullable().default(null),
  parts: z
    .array(
      z.strictObject({
        id: textField(200, 1),
        x: micrometres,
        y: micrometres,
        turn: turn.default(0),
        mirrored: z.boolean().default(false),
      }),
    )
    .max(MOST_PARTS),
});

/** How boards and sticks are cut, as it stands in a file. */
export const cuttingSchema = z
  .strictObject({
    gap: dollField({ min: 0, max: 10 * UM.mm }).default(dollUm(0)),
    trim: z.union([trim.transform((all) => ({ left: all, right: all, bottom: all, top: all })), trimSides]).prefault({}),
    mode: z.enum(['straight', 'free']).default('straight'),
    splice: z.enum(['join', 'leave']).default('join'),
    joints: z.enum(JOINTS).default('best'),
    wishes: z
      .strictObject({ first: z.enum(['money', 'sheets']).default('money'), next: z.enum(['rest', 'settings']).default('rest') })
      .prefault({}),
    kerf: dollField({ min: 0, max: 5 * UM.mm }).default(dollUm(0.5 * UM.mm)),
    keep: dollField({ min: 5 * UM.mm, max: UM.m }).default(dollUm(40 * UM.mm)),
    cut: z.array(cutSheet).max(500).default([]),
    pinned: z.array(pinnedTo).max(500).default([]),
    together: z
      .array(z.array(textField(200, 1)).min(2).max(200))
      .max(500)
      .default([]),
    sticks: z
      .partialRecord(
        z.enum(STICK_NAMES as [StickName, ...StickName[]]),
        z.strictObject({
          length: dollField({ min: 20 * UM.mm, max: 3 * UM.m }),
          joins: z.boolean().default(false),
          rests: z.array(stickRest).max(200).default([]),
        }),
      )
      .default({}),
  })
  .prefault({});
