import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { type DollUm, dollField, dollUm, type Measure, measureField, realUm, UM } from '../../measure/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';

export const FREE_ROLES = ['first', 'second', 'third'] as const;
export type FreeRole = (typeof FREE_ROLES)[number];

export const FACES = ['left', 'right', 'bottom', 'top', 'back', 'front'] as const;
export type FaceWord = (typeof FACES)[number];

/** A plane to measure from: a face of the room that the piece takes (from inside), or of a panel listed before (from outside); and how
 *  far off it. */
export type Anchor = { readonly of: string; readonly face: FaceWord; readonly away: Measure };

export const BOX = 'box';

export const OUTLINES = ['whole', 'triangle', 'slope', 'arch', 'half-round', 'battlements', 'round'] as const;

/** A panel placed by faces: one face lies against an anchor, its edges run from anchor to anchor. */
export type FreePanel = {
  readonly id: string;
  readonly name: string;
  readonly board: FreeRole;
  readonly facing: 'side' | 'front' | 'up';
  readonly against: Anchor;
  /** Along the first and second way of its plane: across and up, or across and along. */
  readonly across: { readonly from: Anchor; readonly to: Anchor };
  readonly along: { readonly from: Anchor; readonly to: Anchor };
  readonly outline: (typeof OUTLINES)[number];
  /** How far a slope, an arch or battlements rise. */
  readonly rise: Measure;
  /** How far its upper or back edge leans back or rises: a panel that slants. 0 stands square. */
  readonly lean: Measure;
  readonly holes: readonly { readonly across: Measure; readonly along: Measure; readonly diameter: DollUm; readonly lamp: boolean }[];
};

export const MOST_PANELS = 60;

const away = measureField({ min: 0, max: 5 * UM.m });
const base = measureField({ min: 0, max: 3 * UM.m });
const side = measureField({ min: 10 * UM.mm, max: 10 * UM.m });
const mm = (millimetres: number) => realUm(millimetres * UM.mm);

const anchor = (face: FaceWord): z.ZodDefault<z.ZodType<Anchor>> =>
  z
    .strictObject({ of: textField(60, 1).default(BOX), face: z.enum(FACES).default(face), away: away.default(mm(0)) })
    .prefault({}) as unknown as z.ZodDefault<z.ZodType<Anchor>>;

const run = z.strictObject({ from: anchor('left'), to: anchor('right') }).prefault({}) as unknown as z.ZodDefault<
  z.ZodType<FreePanel['across']>
>;

const panelSchema: z.ZodType<FreePanel> = z.strictObject({
  id: textField(60, 1),
  name: textField(60).default('panel'),
  board: z.enum(FREE_ROLES).default('first'),
  facing: z.enum(['side', 'front', 'up']).default('front'),
  against: anchor('back'),
  across: run,
  along: z.strictObject({ from: anchor('bottom'), to: anchor('top') }).prefault({}) as unknown as z.ZodDefault<
    z.ZodType<FreePanel['along']>
  >,
  outline: z.enum(OUTLINES).default('whole'),
  rise: base.default(mm(100)),
  lean: base.default(mm(0)),
  holes: z
    .array(
      z.strictObject({
        across: base.default(mm(50)),
        along: base.default(mm(50)),
        diameter: dollField({ min: 0.5 * UM.mm, max: 100 * UM.mm }).default(dollUm(5 * UM.mm)),
        lamp: z.boolean().default(true),
      }),
    )
    .max(20)
    .default([]),
});

const checkIds = (panels: readonly FreePanel[], context: z.RefinementCtx): void => {
  panels.forEach(({ id }, index) => {
    if (id === BOX || panels.findIndex((other) => other.id === id) !== index)
      context.addIssue({ code: 'custom', path: [index, 'id'], message: `Another panel, or the room itself, is called “${id}”.` });
  });
};

export const freeSchema = z.strictObject({
  family: z.literal('panels'),
  ...pieceFields(FREE_ROLES),
  name: textField(80).default('panels'),
  /** The room that it takes, whose faces panels are placed by. */
  width: side.default(mm(600)),
  height: side.default(mm(600)),
  depth: side.default(mm(400)),
  panels: z
    .array(panelSchema)
    .min(1)
    .max(MOST_PANELS)
    .prefault([{ id: 'panel-1' }])
    .superRefine(checkIds),
});

/** A piece made of panels placed by faces, for what no other family covers. */
export type Free = PieceOf<typeof freeSchema>;

export const freeModel = defineModel({
  schema: freeSchema,
  roles: FREE_ROLES,
  partsAbout: ({ panels }) => panels.length * 2,
});

/** How two lists of panels differ, in a word. */
export const partsText = (was: readonly FreePanel[], is: readonly FreePanel[]): string =>
  was.length === is.length ? 'its panels' : `panels ${was.length} → ${is.length}`;
