export { type BoundItem, leastSheets } from './bound.ts';
export { type CutGroup, cutList, letters } from './cutList.ts';
export { type CutItem, type CutRules, type Layout, layOut, type Placement, type Sheet, type SheetKind } from './layOut.ts';
