export { pageSvg, svgZip, textZip, type Widths } from './pageSvg.ts';
export { type PdfFonts, type PdfPictures, writePdf } from './writePdf.ts';
