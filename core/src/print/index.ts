export { type BoardPlan, PLAN_GAP, PLAN_LAYERS, type PlanLayer, type PlanRing, type PlanText, stacked } from './boardPlan.ts';
export { boardsSvg } from './boardsSvg.ts';
export { impose } from './impose.ts';
export {
  type Drawing,
  fittedWords,
  LINE_STYLES,
  type LineMark,
  type LineStyle,
  type Mark,
  type Page,
  type PictureMark,
  type TextMark,
  type TonesMark,
  type WordsMark,
} from './page.ts';
export { artMarks, drawPaper, type PaperSheet, plainDrawing } from './paperSheet.ts';
export { planPages } from './planPages.ts';
export { fieldOf, type PageRules } from './sheet.ts';
export { drawTemplate, type Template } from './template.ts';
