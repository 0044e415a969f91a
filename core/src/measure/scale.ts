import { type DollUm, dollUm, type RealUm, realUm } from './length.ts';

/** A scale is a ratio of two lengths, never a bare divisor: so much doll stands for so much person. */
export type Scale = { readonly doll: DollUm; readonly real: RealUm };

/** The ratios that makers call by name; the number is how many times smaller the doll's world is. */
export const USUAL_RATIOS = [3, 4, 6, 8, 12, 24, 48] as const;

/** A usual ratio, such as 6 for 1:6, as a scale. */
export const scaleFromRatio = (timesSmaller: number): Scale => ({
  doll: dollUm(1_000_000),
  real: realUm(1_000_000 * timesSmaller),
});

/** How many times smaller the doll's world is: 6 for 1:6. For showing, never for computing. */
export const timesSmaller = (scale: Scale): number => scale.real / scale.doll;

/** The one bridge from the real world to the doll's. Rounded to the micrometre once. */
export const toDoll = (real: RealUm, scale: Scale): DollUm => dollUm((real * scale.doll) / scale.real);

/** What a doll size would measure in the real world. Rounded to the micrometre once. */
export const toReal = (doll: DollUm, scale: Scale): RealUm => realUm((doll * scale.real) / scale.doll);
