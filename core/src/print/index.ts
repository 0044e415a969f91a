export { impose } from './impose.ts';
export { LINE_STYLES, type LineMark, type LineStyle, type Mark, type Page, type TextMark } from './page.ts';
export { fieldOf, type PageRules } from './sheet.ts';
export { type SheetDrawing, sheetsSvg } from './sheetsSvg.ts';
export type { Template } from './template.ts';
