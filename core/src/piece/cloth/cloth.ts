import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { type DollUm, dollField, dollUm, type Measure, measureField, UM } from '../../measure/index.ts';
import { ROUND_STICKS, type StickName } from '../../stock/index.ts';
import { type Piecelike, pieceFields } from '../kit/base.ts';
import type { PlaceOf } from '../kit/means.ts';
import { placeSchema } from '../kit/place.ts';
import { base, mm } from '../kit/sizes.ts';

export const CLOTH_ROLES = ['panel', 'bracket'] as const;
export type ClothPartRole = (typeof CLOTH_ROLES)[number];

/** What can be sewn, glued or cut from cloth. */
export const CLOTH_FORMS = [
  'cushion',
  'box cushion',
  'bolster',
  'seat cover',
  'mattress cover',
  'fitted sheet',
  'flat sheet',
  'quilt',
  'comforter',
  'curtain',
  'blind',
  'rug',
  'runner',
  'table cloth',
  'apron',
  'bag',
  'towel',
  'upholstery',
  'pet bed',
  'pockets',
] as const;
export type ClothForm = (typeof CLOTH_FORMS)[number];

/** How edges are joined: sewn inside out and turned; turned in and glued; turned in and ironed on a tape; or of felt, edge on edge, which needs no allowance. */
export const WAYS = ['sewn', 'glued', 'tape', 'felt'] as const;
export type Way = (typeof WAYS)[number];

export const HANGS = ['pocket', 'rings', 'tabs'] as const;

/** The sides over which cloth hangs. */
export type Drops = { readonly left: boolean; readonly right: boolean; readonly front: boolean; readonly back: boolean };

/** A thing of cloth, so many of it. */
export type ClothThing = Piecelike<'cloth', ClothPartRole> & {
  readonly form: ClothForm;
  /** Left to right; upright, or how thick it is filled; front to back. */
  readonly width: Measure;
  readonly height: Measure;
  readonly depth: Measure;
  readonly round: boolean;
  readonly way: Way;
  /** What is cut beyond a line that is sewn, glued or ironed; how wide a hem is; how far cloth is tucked under. */
  readonly seam: DollUm;
  readonly hem: DollUm;
  readonly tuck: DollUm;
  readonly drop: Measure;
  readonly drops: Drops;
  readonly edge: 'gathered' | 'tucked';
  /** Layers of batting, and how thick one is once it is pressed. */
  readonly layers: number;
  readonly loft: DollUm;
  /** Panels of a quilt, curtains at a window, tucks, pockets across; pockets up, folds of a blind. */
  readonly panels: number;
  readonly rows: number;
  /** Between stiff panels. */
  readonly gap: DollUm;
  readonly folded: boolean;
  /** How wide cloth is to what it is gathered to, in hundredths. */
  readonly fullness: number;
  readonly hang: (typeof HANGS)[number];
  /** Above the pocket for the rod. */
  readonly header: DollUm;
  readonly rod: StickName;
  /** How far the rod goes beyond the frame at each end. */
  readonly beyond: Measure;
  readonly brackets: boolean;
  readonly tied: boolean;
  /** Ribbon round it or along it, so wide; 0 for none. */
  readonly border: DollUm;
  /** Straps, handles, ties: how long each is. */
  readonly straps: Measure;
  /** Cloths of the set: what shows, and what is second (a lining, a pocket). Null is the set's first. */
  readonly cloths: { readonly main: string | null; readonly second: string | null };
  /** Where it lies or hangs; and whether it takes its size from there. */
  readonly on: PlaceOf | null;
  readonly fits: boolean;
  readonly count: number;
};

export const MOST_CLOTH_COPIES = 60;

const side = measureField({ min: 2 * UM.mm, max: 6 * UM.m });
const dolls = (least: number, most: number, usual: number) =>
  dollField({ min: Math.round(least * UM.mm), max: most * UM.mm }).default(dollUm(Math.round(usual * UM.mm)));
const count = (least: number, most: number, usual: number) => z.number().int().min(least).max(most).default(usual);
const clothId = textField(60, 1).nullable().default(null);

export const clothThingSchema = z.strictObject({
  family: z.literal('cloth'),
  ...pieceFields(CLOTH_ROLES),
  name: textField(80).default('cushion'),
  form: z.enum(CLOTH_FORMS).default('cushion'),
  width: side.default(mm(400)),
  height: side.default(mm(120)),
  depth: side.default(mm(400)),
  round: z.boolean().default(false),
  way: z.enum(WAYS).default('sewn'),
  seam: dolls(1, 30, 6),
  hem: dolls(1, 60, 5),
  tuck: dolls(0, 80, 15),
  drop: base.default(mm(250)),
  drops: z
    .strictObject({
      left: z.boolean().default(true),
      right: z.boolean().default(true),
      front: z.boolean().default(true),
      back: z.boolean().default(true),
    })
    .prefault({}),
  edge: z.enum(['gathered', 'tucked']).default('gathered'),
  layers: count(0, 8, 2),
  loft: dolls(0.2, 30, 3),
  panels: count(1, 24, 3),
  rows: count(1, 12, 2),
  gap: dolls(0, 60, 12.7),
  folded: z.boolean().default(false),
  fullness: count(60, 400, 200),
  hang: z.enum(HANGS).default('pocket'),
  header: dolls(0, 60, 4),
  rod: z.enum(ROUND_STICKS as [StickName, ...StickName[]]).default('skewer'),
  beyond: base.default(mm(120)),
  brackets: z.boolean().default(true),
  tied: z.boolean().default(false),
  border: dolls(0, 60, 0),
  straps: base.default(mm(300)),
  cloths: z.strictObject({ main: clothId, second: clothId }).prefault({}),
  on: placeSchema.nullable().default(null),
  fits: z.boolean().default(true),
  count: count(1, MOST_CLOTH_COPIES, 1),
});

/** Which of a thing's sizes its place gives: across, and front to back or upright; how thick what lies there is. */
export const SIZED: Readonly<Partial<Record<ClothForm, readonly ('width' | 'depth' | 'height' | 'thick')[]>>> = {
  'box cushion': ['width', 'depth'],
  cushion: ['width', 'depth'],
  'seat cover': ['width', 'depth'],
  'mattress cover': ['width', 'depth'],
  'fitted sheet': ['width', 'depth', 'thick'],
  'flat sheet': ['width', 'depth'],
  comforter: ['width', 'depth'],
  quilt: ['width', 'depth'],
  'table cloth': ['width', 'depth'],
  runner: ['width'],
  upholstery: ['width', 'depth', 'thick'],
  curtain: ['width'],
  blind: ['width', 'height'],
};

/** Whether a form takes its size from a place at all. */
export const takesSize = (form: ClothForm): boolean => SIZED[form] !== undefined;
