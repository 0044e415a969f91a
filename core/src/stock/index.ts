export {
  asSold,
  type Board,
  boardSchema,
  type Offcut,
  type OffcutShape,
  offcutSchema,
  outlineOfOffcut,
  type SheetType,
  thicknessOf,
  WHOLE,
} from './board.ts';
export {
  CLOTH_KIND_NAMES,
  CLOTH_KINDS,
  type Cloth,
  type ClothKind,
  clothSchema,
  clothThickness,
  FIRST_CLOTHS,
  hasNap,
  MOST_CLOTHS,
  type Scrap,
} from './cloth.ts';
export { HOUSE_THINGS, type HouseThing, PASSES, type StandIn, standInsFor, THING_SHAPES, type ThingShape } from './household.ts';
export { OBJECT_NAMES, type ObjectName, STANDING_OBJECTS, type StandingObject } from './objects.ts';
export {
  type Margins,
  PRINT_STOCK_NAMES,
  PRINT_STOCKS,
  PRINTER_KINDS,
  PRINTERS,
  type PrinterKind,
  type PrintStock,
} from './printers.ts';
export { PAPERS, type PaperName, USUAL_SHEETS, type UsualSheet } from './sheets.ts';
export { CLEAR_SHEET, EDGED_STICKS, PADDING, ROUND_STICKS, STICK_NAMES, STICKS, type Stick, type StickName, WIRE } from './sticks.ts';
export { stockWords } from './stockWords.ts';
export { boardsToGet, usualBoard } from './usualBoards.ts';
