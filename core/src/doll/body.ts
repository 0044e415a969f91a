// µm, doll size. What a doll's body measures: her own measures first, the published shares of her height for the rest.
import type { Doll } from './doll.ts';
import { BODY } from './figure.ts';
import { BODY_MEASURES, type BodyMeasure } from './measures.ts';

/** Shares of stature. Drillis & Contini 1966 as drawn in Winter (recalled from memory); how deep a thigh is: about a twelfth, common practice without
 *  source. */
const SHARE: Readonly<Record<BodyMeasure, number>> = {
  eye: BODY.eye,
  chin: BODY.chin,
  shoulder: BODY.shoulder,
  elbow: BODY.shoulder - BODY.upperArm,
  hip: BODY.hip,
  knee: BODY.knee,
  shoulderBreadth: BODY.shoulderBreadth,
  hipBreadth: BODY.hipBreadth,
  arm: BODY.upperArm + BODY.forearm + BODY.hand,
  foot: BODY.foot,
  thighDepth: 0.083,
};

/** A body as furniture meets it. */
export type Body = Readonly<Record<BodyMeasure, number>> & {
  readonly height: number;
  /** Whether knees, hips and elbows bend. */
  readonly bends: Doll['bends'];
};

/** What a doll's body measures by the shares alone. */
export const shareOf = (doll: Pick<Doll, 'height'>, measure: BodyMeasure): number => Math.round(doll.height * SHARE[measure]);

/** A doll's body.
 *  Shape: doll → every measure in µm at doll size. What the maker measured wins over what her height says. */
export const bodyOf = (doll: Doll): Body => {
  const measures = Object.fromEntries(BODY_MEASURES.map((measure) => [measure, doll.measures[measure] ?? shareOf(doll, measure)]));
  return { ...(measures as Record<BodyMeasure, number>), height: doll.height, bends: doll.bends };
};
