export { printAxisOf } from './axis.ts';
export { type BoardPlan, PLAN_LAYERS, type PlanLayer, type PlanLine, type PlanText, planLayers, stacked } from './boardPlan.ts';
export { boardsSvg } from './boardsSvg.ts';
export { bookletLeaves, type PrintedBooklet } from './bookletLeaves.ts';
export { type ClothSheet, clothMarks, drawCloth } from './clothSheet.ts';
export { onFold } from './halves.ts';
export { impose, imposed } from './impose.ts';
export { placerFor, type Wording, wordsWithin } from './labels.ts';
export { type FileLayer, layersSvg, WORD_STYLE } from './layersSvg.ts';
export { textWidth } from './letterWidths.ts';
export { drawMotif, type MotifName } from './motifs.ts';
export { drawNet, type NetSheet, netArt, outlineOfNet, type PanelLook, wordRoom } from './netSheet.ts';
export {
  byLayer,
  type Drawing,
  fittedWords,
  LINE_HEIGHT,
  LINE_STYLES,
  type LineMark,
  type LineStyle,
  layerOf,
  type Mark,
  PAGE_LAYERS,
  type Page,
  type PageLayer,
  type PictureMark,
  type Repeat,
  type TextMark,
  type TonesMark,
  textBox,
  type WordsMark,
  wordsIn,
} from './page.ts';
export { type PanelFrame, panelAcross, panelsOf } from './panels.ts';
export { artMarks, drawPaper, type PaperSheet, plainDrawing, repeatsOf } from './paperSheet.ts';
export { planPages } from './planPages.ts';
export {
  correctionOf,
  isCorrected,
  LEAST_SHARE,
  MOST_SHARE,
  marginsOf,
  type PageRules,
  type Printer,
  percentOf,
  printable,
  SIDES,
  type Sides,
  UNMEASURED,
} from './printer.ts';
export { fieldOf } from './sheet.ts';
export { type Habit, type Pixels, throughPrinter } from './simulated.ts';
export { escaped, mm } from './svgText.ts';
export { crossAt, drawTemplate, type Template } from './template.ts';
export { shareFrom, TEST_BARS, testPage } from './testPage.ts';
export { tileJoins } from './tile.ts';
