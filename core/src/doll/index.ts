export { type Doll, dollSchema, nearestRatio, STATURES, scaleOf } from './doll.ts';
export { BODY, figureOutline } from './figure.ts';
