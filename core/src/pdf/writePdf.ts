// The one place that knows PDF units: 1/72 in (ISO 32000-1, 8.3.2.3).

import { zlibSync } from 'fflate';
import PDFDocument from 'pdfkit';
import { paintTones } from '../cover/index.ts';
import { assertNever } from '../kit/index.ts';
import { UM } from '../measure/index.ts';
import { LINE_STYLES, type LineMark, type Mark, type Page, type TextMark, type TonesMark } from '../print/index.ts';
import type { Ring } from '../shape/index.ts';

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

const drawRings = (pdf: Document, rings: readonly Ring[], height: number): void => {
  for (const ring of rings) {
    ring.forEach(([x, y], index) => {
      if (index === 0) pdf.moveTo(points(x), points(height - y));
      else pdf.lineTo(points(x), points(height - y));
    });
    pdf.closePath();
  }
};

/** Raw operators and objects, which the library has and its types leave out. */
type Raw = {
  readonly ref: (data: object) => { readonly end: (bytes: Uint8Array) => void };
  readonly addContent: (operators: string) => void;
  readonly page: { readonly xobjects: Record<string, unknown> };
};

type Images = Map<TonesMark['window'], { readonly name: string; readonly image: unknown }>;

/** Pictures of tones at 300 dots to the inch, as indexed images (ISO 32000-1, 8.9.5 and 8.6.6.3); each is written once for all its tiles. */
const drawTones = (pdf: Document, mark: TonesMark, height: number, known: Images): void => {
  const raw = pdf as unknown as Raw;
  const { window, place } = mark;
  let entry = known.get(window);
  if (!entry) {
    const tones = paintTones(mark.look, window);
    if (!tones) return;
    const colours = raw.ref({});
    colours.end(tones.palette);
    const image = raw.ref({
      Type: 'XObject',
      Subtype: 'Image',
      Width: tones.width,
      Height: tones.height,
      BitsPerComponent: 8,
      ColorSpace: ['Indexed', 'DeviceRGB', 255, colours],
      Filter: 'FlateDecode',
    });
    image.end(zlibSync(tones.pixels, { level: 3 }));
    entry = { name: `Tones${known.size + 1}`, image };
    known.set(window, entry);
  }
  raw.page.xobjects[entry.name] = entry.image;
  const [wide, high] = [points(window.x1 - window.x0), points(window.y1 - window.y0)];
  // From the unit square to the pattern's window, to the page, whose y runs down here.
  const [x, y] = [window.x0 * place.cos - window.y0 * place.sin + place.dx, window.x0 * place.sin + window.y0 * place.cos + place.dy];
  const n = (value: number) => Number(value.toFixed(6));
  pdf.save();
  const { cos, sin } = place;
  pdf.transform(n(wide * cos), n(-wide * sin), n(-high * sin), n(-high * cos), n(points(x)), n(points(height - y)));
  raw.addContent(`/${entry.name} Do`);
  pdf.restore();
};

type Means = { readonly fontFor: (text: string) => string; readonly images: Images };

const drawMarks = (pdf: Document, marks: readonly Mark[], height: number, means: Means): void => {
  for (const mark of marks) {
    switch (mark.kind) {
      case 'line':
        drawLine(pdf, mark, height);
        break;
      case 'text':
        drawText(pdf, mark, height, means.fontFor);
        break;
      case 'fill':
        drawRings(pdf, mark.rings, height);
        pdf.fillColor(mark.colour).fill('even-odd');
        break;
      case 'tones':
        drawTones(pdf, mark, height, means.images);
        break;
      case 'group':
        pdf.save();
        drawRings(pdf, mark.clip, height);
        pdf.clip('even-odd');
        drawMarks(pdf, mark.marks, height, means);
        pdf.restore();
        break;
      default:
        assertNever(mark);
    }
  }
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
  const images: Images = new Map();
  for (const [index, page] of pages.entries()) {
    pdf.addPage({ size: [points(page.width), points(page.height)], margin: 0 });
    drawMarks(pdf, page.marks, page.height, { fontFor, images });
    onPage?.(index + 1, pages.length);
  }
  return bytesOf(pdf);
};
