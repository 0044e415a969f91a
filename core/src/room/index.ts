export { type Judged as LayoutJudged, judgeLayout } from './judge.ts';
export { type Layout, layoutOf, layoutSchema, type Placed } from './layout.ts';
export { type Standing, standAt } from './place.ts';
export { footprintOf, snapped } from './snap.ts';
export { lengthOf, pointOn, type RoomSide, type RoomSpace, spaceOf } from './space.ts';
export { goesInto, type Stored, storedOf } from './store.ts';
export { type Way, wayThrough } from './way.ts';
