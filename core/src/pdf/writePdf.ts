// The one place that knows PDF units: 1/72 in (ISO 32000-1, 8.3.2.3).
import PDFDocument from 'pdfkit';
import { UM } from '../measure/index.ts';
import { LINE_STYLES, type LineMark, type Page, type TextMark } from '../print/index.ts';

/** Complete TrueType fonts: the first is used wherever it has every letter of a text, the second otherwise. */
export type PdfFonts = { readonly text: Uint8Array; readonly fallback: Uint8Array };

type Document = InstanceType<typeof PDFDocument>;
type FontSource = Parameters<Document['registerFont']>[1];
type Knows = { readonly hasGlyphForCodePoint: (code: number) => boolean };

const points = (micrometres: number): number => (micrometres * 72) / UM.in;

const drawLine = (pdf: Document, mark: LineMark, height: number): void => {
  const { weight, dash, colour } = LINE_STYLES[mark.style];
  pdf.lineWidth(points(weight)).strokeColor(colour);
  if (dash.length > 0) pdf.dash(dash.map(points) as unknown as number, {});
  else pdf.undash();
  mark.points.forEach(([x, y], index) => {
    if (index === 0) pdf.moveTo(points(x), points(height - y));
    else pdf.lineTo(points(x), points(height - y));
  });
  if (mark.closed) pdf.closePath();
  pdf.stroke();
};

const drawText = (pdf: Document, mark: TextMark, height: number, fontFor: (text: string) => string): void => {
  const [x, y] = [points(mark.at[0]), points(height - mark.at[1])];
  const size = points(mark.size);
  pdf.font(fontFor(mark.text)).fontSize(size).fillColor('#2b2440');
  const width = pdf.widthOfString(mark.text);
  const shift = { start: 0, middle: width / 2, end: width }[mark.anchor];
  pdf.save();
  if (mark.angle !== 0) pdf.rotate(-mark.angle, { origin: [x, y] });
  pdf.text(mark.text, x - shift, y, { lineBreak: false, baseline: 'middle' });
  pdf.restore();
};

const bytesOf = (pdf: Document): Promise<Uint8Array<ArrayBuffer>> =>
  new Promise((resolve, reject) => {
    const chunks: Uint8Array[] = [];
    pdf.on('data', (chunk: Uint8Array) => chunks.push(chunk));
    pdf.on('error', reject);
    pdf.on('end', () => {
      const whole = new Uint8Array(chunks.reduce((length, chunk) => length + chunk.length, 0));
      let at = 0;
      for (const chunk of chunks) {
        whole.set(chunk, at);
        at += chunk.length;
      }
      resolve(whole);
    });
    pdf.end();
  });

/** Writes pages as a vector PDF with embedded fonts.
 *  Shape: k pages → the bytes of a k-page file; equal input gives equal bytes (no clock, no compression that differs by platform).
 *  `onPage` hears after each page how many are written.
 *  Units: every mark stands where the page says, within the file's millionth of a point. */
export const writePdf = (
  pages: readonly Page[],
  fonts: PdfFonts,
  title: string,
  onPage?: (written: number, count: number) => void,
): Promise<Uint8Array<ArrayBuffer>> => {
  const pdf = new PDFDocument({
    autoFirstPage: false,
    compress: false,
    pdfVersion: '1.7',
    info: { Title: title, Producer: 'Bashful Parlor', Creator: 'Bashful Parlor', CreationDate: new Date(0) },
    font: '',
  });
  // The types ask for a Buffer; the library takes any byte array.
  pdf.registerFont('text', fonts.text as FontSource);
  pdf.registerFont('fallback', fonts.fallback as FontSource);
  const known = (pdf.font('text') as unknown as { readonly _font: { readonly font: Knows } })._font.font;
  const fontFor = (text: string) => ([...text].every((sign) => known.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0)) ? 'text' : 'fallback');
  for (const [index, page] of pages.entries()) {
    pdf.addPage({ size: [points(page.width), points(page.height)], margin: 0 });
    for (const mark of page.marks) {
      if (mark.kind === 'line') drawLine(pdf, mark, page.height);
      else drawText(pdf, mark, page.height, fontFor);
    }
    onPage?.(index + 1, pages.length);
  }
  return bytesOf(pdf);
};
