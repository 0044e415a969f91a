import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { type DollUm, dollField, dollUm, type Measure, UM } from '../../measure/index.ts';
import { type Piecelike, pieceFields } from '../kit/base.ts';
import { base, mm, side, some } from '../kit/sizes.ts';

export const OPENING_ROLES = ['frame', 'leaf', 'bar'] as const;
export type OpeningRole = (typeof OPENING_ROLES)[number];

/** A door or window as a unit that goes into an opening of a wall. Width and height are the opening's own, in the wall. */
export type Opening = Piecelike<'opening', OpeningRole> & {
  readonly form: 'door' | 'window';
  readonly width: Measure;
  readonly height: Measure;
  /** How thick the wall is that it goes into. */
  readonly wall: DollUm;
  /** How wide the strips are that cover the joint, on both sides of the wall. */
  readonly border: Measure;
  readonly corners: 'mitred' | 'butted';
  /** Round the leaf of a door. */
  readonly gap: DollUm;
  readonly hinge: 'left' | 'right';
  /** Raised panels on the leaf, across and up. */
  readonly panelsAcross: number;
  readonly panelsUp: number;
  readonly knob: boolean;
  /** Glazing bars of a window, upright and lying, and how wide. */
  readonly barsUpright: number;
  readonly barsLying: number;
  readonly bar: Measure;
  /** How far the clear sheet goes under the strips, all round. */
  readonly margin: DollUm;
  /** How far the sill stands out; 0 for none. */
  readonly sill: Measure;
};

const dolls = (least: number, most: number, usual: number) =>
  dollField({ min: least * UM.mm, max: most * UM.mm }).default(dollUm(usual * UM.mm));

export const openingSchema = z.strictObject({
  family: z.literal('opening'),
  ...pieceFields(OPENING_ROLES),
  name: textField(80).default('door'),
  form: z.enum(['door', 'window']).default('door'),
  width: side.default(mm(838)),
  height: side.default(mm(2032)),
  wall: dolls(0.5, 60, 5),
  border: some.default(mm(70)),
  corners: z.enum(['mitred', 'butted']).default('butted'),
  gap: dolls(0.2, 10, 0.6),
  hinge: z.enum(['left', 'right']).default('left'),
  panelsAcross: z.number().int().min(0).max(4).default(1),
  panelsUp: z.number().int().min(1).max(6).default(2),
  knob: z.boolean().default(true),
  barsUpright: z.number().int().min(0).max(8).default(1),
  barsLying: z.number().int().min(0).max(8).default(1),
  bar: some.default(mm(25)),
  margin: dolls(0, 30, 4),
  sill: base.default(mm(80)),
});
