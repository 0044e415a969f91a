export { type PdfFonts, type PdfPictures, writePdf } from './writePdf.ts';
