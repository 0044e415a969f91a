export { type BoardPlan, PLAN_GAP, PLAN_LAYERS, type PlanLayer, type PlanRing, type PlanText, stacked } from './boardPlan.ts';
export { boardsSvg } from './boardsSvg.ts';
export { impose } from './impose.ts';
export {
  byLayer,
  type Drawing,
  fittedWords,
  LINE_STYLES,
  type LineMark,
  type LineStyle,
  layerOf,
  type Mark,
  PAGE_LAYERS,
  type Page,
  type PageLayer,
  type PictureMark,
  type TextMark,
  type TonesMark,
  type WordsMark,
} from './page.ts';
export { pageSvg, type SvgPictures, type Widths } from './pageSvg.ts';
export { artMarks, drawPaper, type PaperSheet, plainDrawing } from './paperSheet.ts';
export { planPages } from './planPages.ts';
export {
  correctionOf,
  isCorrected,
  LEAST_SHARE,
  MOST_SHARE,
  marginsOf,
  type PageRules,
  type Printer,
  printable,
  SIDES,
  type Sides,
  UNMEASURED,
} from './printer.ts';
export { fieldOf } from './sheet.ts';
export { type Habit, type Pixels, throughPrinter } from './simulated.ts';
export { drawTemplate, type Template } from './template.ts';
export { shareFrom, TEST_BARS, testPage } from './testPage.ts';
