import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { dollField, dollUm, measureField, UM } from '../../measure/index.ts';
import { ROUND_STICKS, type StickName } from '../../stock/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { placeSchema } from '../family/place.ts';
import { base, mm } from '../family/sizes.ts';

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
export const CONSTRUCTIONS = ['sewn', 'glued', 'tape', 'felt'] as const;
export type Construction = (typeof CONSTRUCTIONS)[number];

export const HANGS = ['pocket', 'rings', 'tabs'] as const;

/** The sides over which cloth hangs. */
export type Drops = { readonly left: boolean; readonly right: boolean; readonly front: boolean; readonly back: boolean };

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
  /** Left to right; upright, or how thick it is filled; front to back. */
  width: side.default(mm(400)),
  height: side.default(mm(120)),
  depth: side.default(mm(400)),
  round: z.boolean().default(false),
  way: z.enum(CONSTRUCTIONS).default('sewn'),
  /** What is cut beyond a line that is sewn, glued or ironed; how wide a hem is; how far cloth is tucked under. */
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
  /** Layers of batting, and how thick one is once it is pressed. */
  layers: count(0, 8, 2),
  loft: dolls(0.2, 30, 3),
  /** Panels of a quilt, curtains at a window, tucks, pockets across; pockets up, folds of a blind. */
  panels: count(1, 24, 3),
  rows: count(1, 12, 2),
  /** Between stiff panels. */
  gap: dolls(0, 60, 12.7),
  folded: z.boolean().default(false),
  /** How wide cloth is to what it is gathered to, in hundredths. */
  fullness: count(60, 400, 200),
  hang: z.enum(HANGS).default('pocket'),
  /** Above the pocket for the rod. */
  header: dolls(0, 60, 4),
  rod: z.enum(ROUND_STICKS as [StickName, ...StickName[]]).default('skewer'),
  /** How far the rod goes beyond the frame at each end. */
  beyond: base.default(mm(120)),
  brackets: z.boolean().default(true),
  tied: z.boolean().default(false),
  /** Ribbon round it or along it, so wide; 0 for none. */
  border: dolls(0, 60, 0),
  /** Straps, handles, ties: how long each is. */
  straps: base.default(mm(300)),
  /** Cloths of the set: what shows, and what is second (a lining, a pocket). Null is the set's first. */
  cloths: z.strictObject({ main: clothId, second: clothId }).prefault({}),
  /** Where it lies or hangs; and whether it takes its size from there. */
  on: placeSchema.nullable().default(null),
  fits: z.boolean().default(true),
  count: count(1, MOST_CLOTH_COPIES, 1),
});

/** A thing of cloth, so many of it. */
export type ClothThing = PieceOf<typeof clothThingSchema>;

export const clothModel = defineModel({
  schema: clothThingSchema,
  roles: CLOTH_ROLES,
  partsAbout: ({ count, panels, form }) => count * (form === 'quilt' ? 2 * panels : 4),
  small: true,
  host: ({ on }) => on?.piece ?? null,
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
