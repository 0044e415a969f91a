export { api, type SetSummary } from './api.ts';
export { bayChosen, nightTurned, noticed, type Pointed, pointedAt, tagPointed } from './desk.ts';
export { useDerivedPiece, useEdit, useScale, useSet, useUnits } from './hooks.ts';
export { forget } from './keep.ts';
export { loadSet } from './loadSet.ts';
export { closed, redone, type SaveState, undone } from './openSet.ts';
export { store, useAppDispatch, useAppSelector } from './store.ts';
export { workshop } from './workshop.ts';
