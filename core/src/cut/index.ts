export { type BoundItem, leastSheets } from './bounds.ts';
export { type CutGroup, cutList, letters } from './cutList.ts';
export { type CutStep, cutSteps, type OffPiece, type Setting } from './cutSteps.ts';
export { type CutNode, cutRests, cutTree, treePlacements } from './cutTree.ts';
export { solverFrom } from './highsSolver.ts';
export {
  type CutItem,
  type CutRules,
  FIRST_ANSWER,
  type Layout,
  layOut,
  type Placement,
  type Search,
  type Sheet,
  type SheetKind,
  type Trim,
} from './layOut.ts';
export type { Solved, Solver } from './solver.ts';
export { type CutStick, cutSticks, type StickItem, type StickLayout, type StickStock, usableOf } from './sticks.ts';
