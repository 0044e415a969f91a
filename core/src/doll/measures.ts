/** What can be measured on a doll: heights from the floor as she stands, breadths, lengths of limbs. */
export const BODY_MEASURES = [
  'eye',
  'chin',
  'shoulder',
  'elbow',
  'hip',
  'knee',
  'shoulderBreadth',
  'hipBreadth',
  'arm',
  'foot',
  'thighDepth',
] as const;
export type BodyMeasure = (typeof BODY_MEASURES)[number];

export const MEASURE_WORDS: Readonly<Record<BodyMeasure, string>> = {
  eye: 'floor to eyes',
  chin: 'floor to chin',
  shoulder: 'floor to shoulder',
  elbow: 'floor to elbow',
  hip: 'floor to hip joint',
  knee: 'floor to knee',
  shoulderBreadth: 'across the shoulders',
  hipBreadth: 'across the hips',
  arm: 'shoulder to fingertips',
  foot: 'foot, long',
  thighDepth: 'thigh, thick',
};
