export { type PdfFonts, writePdf } from './writePdf.ts';
