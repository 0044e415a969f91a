export { type Elevation, elevationOf, placeAt, type SeenThing, seenAt } from './elevation.ts';
export { type Judged as LayoutJudged, judgeLayout, shares } from './judge.ts';
export { type Layout, layoutOf, layoutSchema, type Placed } from './layout.ts';
export { besideIt, type Standing, standAt } from './place.ts';
export { type Seam, seamsOf, shownOn } from './seams.ts';
export { footprintOf, snapped, snappedTo } from './snap.ts';
export { lengthOf, pointOn, type RoomSide, type RoomSpace, spaceOf } from './space.ts';
export { goesInto, type Stored, storedOf } from './store.ts';
export { type Way, wayThrough } from './way.ts';
