export { type Doll, dollSchema, nearestRatio, ownScale, STATURES, scaleOf } from './doll.ts';
export { BODY, figureOutline } from './figure.ts';
