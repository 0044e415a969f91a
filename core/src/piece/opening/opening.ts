import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { dollField, dollUm, UM } from '../../measure/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { base, mm, side, some } from '../family/sizes.ts';

export const OPENING_ROLES = ['frame', 'leaf', 'bar'] as const;
export type OpeningRole = (typeof OPENING_ROLES)[number];

const dolls = (least: number, most: number, usual: number) =>
  dollField({ min: least * UM.mm, max: most * UM.mm }).default(dollUm(usual * UM.mm));

export const openingSchema = z.strictObject({
  family: z.literal('opening'),
  ...pieceFields(OPENING_ROLES),
  name: textField(80).default('door'),
  form: z.enum(['door', 'window']).default('door'),
  width: side.default(mm(838)),
  height: side.default(mm(2032)),
  /** How thick the wall is that it goes into. */
  wall: dolls(0.5, 60, 5),
  /** How wide the strips are that cover the joint, on both sides of the wall. */
  border: some.default(mm(70)),
  corners: z.enum(['mitred', 'butted']).default('butted'),
  /** Round the leaf of a door. */
  gap: dolls(0.2, 10, 0.6),
  hinge: z.enum(['left', 'right']).default('left'),
  /** Raised panels on the leaf, across and up. */
  panelsAcross: z.number().int().min(0).max(4).default(1),
  panelsUp: z.number().int().min(1).max(6).default(2),
  knob: z.boolean().default(true),
  /** Glazing bars of a window, upright and lying, and how wide. */
  barsUpright: z.number().int().min(0).max(8).default(1),
  barsLying: z.number().int().min(0).max(8).default(1),
  bar: some.default(mm(25)),
  /** How far the clear sheet goes under the strips, all round. */
  margin: dolls(0, 30, 4),
  /** How far the sill stands out; 0 for none. */
  sill: base.default(mm(80)),
});

/** A door or window as a unit that goes into an opening of a wall. Width and height are the opening's own, in the wall. */
export type Opening = PieceOf<typeof openingSchema>;

export const openingModel = defineModel({
  schema: openingSchema,
  roles: OPENING_ROLES,
  partsAbout: ({ form, panelsAcross, panelsUp, barsUpright, barsLying }) =>
    16 + (form === 'door' ? panelsAcross * panelsUp : barsUpright + barsLying * (barsUpright + 1)),
});
