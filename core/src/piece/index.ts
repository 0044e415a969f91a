export type { Bay, BayProblem } from './bays.ts';
export { type Built, boardFor, buildCasework, type PieceProblem } from './buildCasework.ts';
export { BOARD_ROLES, type BoardRole, type Casework, caseworkSchema, partsAbout } from './casework.ts';
export {
  type Cell,
  type CellPath,
  cellAt,
  cellsOf,
  type DoorCell,
  MOST_SHELVES,
  MOST_SLOTS,
  OPEN,
  type ShelvesCell,
  type Size,
  type SplitCell,
  withCellAt,
} from './cell.ts';
export { PRESETS, type Preset } from './presets.ts';
export { share } from './share.ts';
