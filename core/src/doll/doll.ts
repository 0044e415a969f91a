import { z } from 'zod';
import { textField } from '../kit/index.ts';
import {
  type DollUm,
  dollField,
  dollUm,
  type RealUm,
  realField,
  realUm,
  type Scale,
  scaleFromRatio,
  UM,
  USUAL_RATIOS,
} from '../measure/index.ts';
import { BODY_MEASURES, type BodyMeasure } from './measures.ts';

/** Who lives in a set: the doll's own height, whom she stands for, and which of the two ways the scale is taken. */
export type Doll = {
  readonly name: string;
  readonly height: DollUm;
  readonly standsFor: string;
  readonly stature: RealUm;
  /** By the doll's height and the stature, or a usual ratio such as 6 for 1:6. */
  readonly scale: { readonly by: 'stature' } | { readonly by: 'ratio'; readonly ratio: number };
  /** What bends. */
  readonly bends: { readonly knees: boolean; readonly hips: boolean; readonly elbows: boolean };
  /** Whether she stands by herself, or is held by a stand or by what she leans on. */
  readonly stands: (typeof STANDS)[number];
  /** What the maker measured on her; the rest follows from her height. */
  readonly measures: Readonly<Partial<Record<BodyMeasure, DollUm>>>;
};

export const STANDS = ['alone', 'leaning', 'stand'] as const;

/** Another doll of the set: she uses every piece, or those that are named. */
export type Companion = Doll & { readonly id: string; readonly uses: 'all' | readonly string[] };

/** People a doll may stand for. Adults: NHANES means; children: medians of the CDC 2000 growth charts; all recalled from
 *  memory, rounded to the centimetre. */
export const STATURES: readonly { readonly name: string; readonly stature: RealUm }[] = [
  { name: 'woman', stature: realUm(162 * UM.cm) },
  { name: 'man', stature: realUm(176 * UM.cm) },
  { name: 'child of 12', stature: realUm(150 * UM.cm) },
  { name: 'child of 10', stature: realUm(138 * UM.cm) },
  { name: 'child of 8', stature: realUm(128 * UM.cm) },
  { name: 'child of 6', stature: realUm(115 * UM.cm) },
  { name: 'child of 4', stature: realUm(102 * UM.cm) },
  { name: 'child of 2', stature: realUm(87 * UM.cm) },
];

const measure = dollField({ min: UM.mm, max: 1.5 * UM.m });
const yes = z.boolean().default(true);

const shape = {
  name: textField(80).default('the doll'),
  height: dollField({ min: 20 * UM.mm, max: 1.2 * UM.m }).default(dollUm(29 * UM.cm)),
  standsFor: textField(80).default('woman'),
  stature: realField({ min: 300 * UM.mm, max: 2.5 * UM.m }).default(realUm(162 * UM.cm)),
  scale: z
    .discriminatedUnion('by', [
      z.strictObject({ by: z.literal('stature') }),
      z.strictObject({ by: z.literal('ratio'), ratio: z.number().min(1).max(200) }),
    ])
    .default({ by: 'ratio', ratio: 6 }),
  bends: z.strictObject({ knees: yes, hips: yes, elbows: yes }).prefault({}),
  stands: z.enum(STANDS).default('alone'),
  measures: z.partialRecord(z.enum(BODY_MEASURES), measure).default({}),
};

export const dollSchema: z.ZodType<Doll> = z.strictObject(shape);

export const companionSchema: z.ZodType<Companion> = z.strictObject({
  ...shape,
  id: textField(60, 1),
  uses: z.union([z.literal('all'), z.array(textField(80, 1)).max(200)]).default('all'),
});

/** The set's scale: the doll's height to the stature of whom she stands for, or the usual ratio that was chosen. */
export const scaleOf = (doll: Doll): Scale =>
  doll.scale.by === 'ratio' ? scaleFromRatio(doll.scale.ratio) : { doll: doll.height, real: doll.stature };

/** The doll's own scale: her height to the stature of whom she stands for, whatever the set's is. */
export const ownScale = (doll: Doll): Scale => ({ doll: doll.height, real: doll.stature });

/** The usual ratio nearest to the doll's own, by proportion. */
export const nearestRatio = (doll: Doll): number => {
  const own = doll.stature / doll.height;
  const distance = (ratio: number) => Math.abs(Math.log(ratio / own));
  return USUAL_RATIOS.reduce((best, ratio) => (distance(ratio) < distance(best) ? ratio : best));
};
