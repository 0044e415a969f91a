export type { Bed } from './bed/bed.ts';
export { type Casework, HOLE_PANELS, type Hole } from './casework/casework.ts';
export {
  type BaySize,
  CELL_WORDS,
  type Cell,
  type CellPath,
  cellAt,
  cellsOf,
  childrenOf,
  type DoorCell,
  type DoorFit,
  MOST_SHELVES,
  MOST_SLOTS,
  newCell,
  OPEN,
  type ShelvesCell,
  type SplitCell,
  withCellAt,
} from './casework/cell.ts';
export { CELL_FIELDS } from './casework/fields.ts';
export { clothFor, sizesOfCloth } from './cloth/buildCloth.ts';
export {
  CLOTH_FORMS,
  type ClothForm,
  type ClothThing,
  CONSTRUCTIONS,
  type Construction,
  MOST_CLOTH_COPIES,
  takesSize,
} from './cloth/cloth.ts';
export { CLOTH_WORDS, CONSTRUCTION_WORDS } from './cloth/fields.ts';
export {
  buildPiece,
  buildWithout,
  changesOf,
  editorsOf,
  fieldsOf,
  fromPreset,
  goesRound,
  groupOf,
  hungAt,
  innerFieldsOf,
  isTrim,
  liesFlat,
  mirroredPiece,
  offersOf,
  PRESETS,
  placesOf,
  satAt,
  seatHeightOf,
  sightOf,
  sittingOn,
  spanRoleOf,
} from './families.ts';
export type { Aside } from './family/base.ts';
export type { Editor } from './family/family.ts';
export { type Field, type FieldKind, isFieldShown, valueAt, withValueAt } from './family/field.ts';
export type { BuiltWithout, LeftMend, LeftOut } from './family/leftOut.ts';
export {
  boardFor,
  layersFor,
  type Means,
  PLACE_KINDS,
  type PlaceOf,
  type PlaceSpace,
  type Sheeting,
  type ShelfOf,
  type ShelfSpace,
  type User,
} from './family/means.ts';
export type { PlaceAt } from './family/placeAt.ts';
export type { Preset } from './family/preset.ts';
export type { PieceProblem } from './family/problem.ts';
export { BOX, FACES, FREE_ROLES, type Free, type FreePanel, MOST_PANELS, OUTLINES, partsText } from './free/free.ts';
export {
  belongs,
  drivingSizes,
  type FamilyName,
  frontOf,
  hasBays,
  hostOf,
  isRoom,
  isSmall,
  MODELS,
  modelOf,
  type Piece,
} from './models.ts';
export { ODD_WORDS } from './odd/fields.ts';
export { MOST_ODD_COPIES, ODD_FORMS, type OddForm, type OddThing } from './odd/odd.ts';
export { MOTIFS, type Motif, newArt, type PrintedArt } from './paper/art.ts';
export { paperOf } from './paper/buildGood.ts';
export { FORM_WORDS } from './paper/fields.ts';
export { type Good, type GoodForm, hasBoards, MOST_COPIES } from './paper/good.ts';
export { artFor, panelNames } from './paper/panels.ts';
export type { Built, BuiltBay as Bay, Extra, Sewing, SizeMark, StandingNet } from './parts/built.ts';
export type { Space } from './parts/panels.ts';
export { rolesOf, shownFields } from './rolesOf.ts';
export { BATTEN_FIELDS, JOINED_FIELDS, OPENING_WORDS, ROOM_FIELDS, WALL_FIELDS, WALL_OPENING_FIELDS, WALL_WORDS } from './room/fields.ts';
export { isOfOpening } from './room/opened.ts';
export { openingFor, type WhichWall } from './room/openingFor.ts';
export {
  asRoom,
  asShell,
  CORNERS,
  type Corner,
  type JoinedShell,
  MOST_CORNERS,
  MOST_SHELLS,
  newPanelling,
  newRail,
  type Room,
  type Shell,
  sideName,
} from './room/room.ts';
export { floorCorner, type PlanBetween, type PlanOfRoom, type PlanOpening, type PlanSide, roomPlan } from './room/roomPlan.ts';
export { packingFor, type StandingShell, standTogether } from './room/together.ts';
export { viewSize } from './room/view.ts';
export {
  MOST_BATTENS,
  MOST_OPENINGS,
  newBatten,
  newOpening,
  newWall,
  OPENING_FORMS,
  type OpeningForm,
  type Wall,
  type WallOpening,
} from './room/wall.ts';
export { SECTION_FIELDS, SECTION_WORDS } from './round/fields.ts';
export { MOST_SECTIONS, newSection, SECTIONS, type Section, type SectionKind, type Turned } from './round/turned.ts';
export { outlineOfStack } from './stack/buildStack.ts';
export { LAYER_FIELDS } from './stack/fields.ts';
export {
  MOST_LAYERS,
  MOST_POINTS,
  newLayer,
  OUTLINE_KINDS,
  type OutlineKind,
  STACK_ROLES,
  type Stack,
  type StackLayer,
} from './stack/stack.ts';
export type { Table } from './table/table.ts';
