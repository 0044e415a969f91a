export { type Body, bodyOf, shareOf } from './body.ts';
export {
  type Companion,
  companionSchema,
  type Doll,
  dollSchema,
  nearestRatio,
  ownScale,
  STANDS,
  STATURES,
  scaleOf,
} from './doll.ts';
export { BODY, figureOutline } from './figure.ts';
export { type Judgement, judge, proposed, seatRules, type Verdict } from './judge.ts';
export { BODY_MEASURES, type BodyMeasure, MEASURE_WORDS } from './measures.ts';
export { type PoseName, posed, posturesOf } from './poses.ts';
export { RULES, type RuleName } from './rules.ts';
