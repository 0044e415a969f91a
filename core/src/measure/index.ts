export {
  bareUnit,
  type Formatted,
  formatLength,
  formatNumber,
  ROUNDING_TOLERANCE_UM,
  ruleStep,
  showExact,
  showLength,
  showTwo,
  type Units,
} from './formatLength.ts';
export { type DollUm, dollUm, type RealUm, realUm, UM, type Um, type UnitName } from './length.ts';
export { dollField, realField } from './lengthField.ts';
export { dollOf, inWorld, isDollSize, type Measure, measureField, realOf } from './measure.ts';
export { explainLength, type LengthError, parseLength } from './parseLength.ts';
export { type Scale, scaleFromRatio, timesSmaller, toDoll, toReal, USUAL_RATIOS } from './scale.ts';
