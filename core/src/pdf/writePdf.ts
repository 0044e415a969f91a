// Pages as a PDF, through the library's drawing and a few raw operators.

import PDFDocument from 'pdfkit';
import { type Affine, PRINT_PIXEL, type SignFace } from '../cover/index.ts';
import { assertNever } from '../kit/index.ts';
import {
  byLayer,
  fittedWords,
  isCorrected,
  LINE_STYLES,
  type LineMark,
  type Mark,
  PAGE_LAYERS,
  type Page,
  type PageLayer,
  type PictureMark,
  type TextMark,
  type WordsMark,
} from '../print/index.ts';
import { type Document, drawRings, points, type Ref, rawOf } from './raw.ts';
import { drawTones, type Squares } from './tones.ts';

/** Complete TrueType fonts: the first is used wherever it has every letter of a text, the second otherwise. The other two are for signs. */
export type PdfFonts = { readonly text: Uint8Array; readonly fallback: Uint8Array; readonly name: Uint8Array; readonly hand: Uint8Array };

/** The maker's own pictures, JPEG or PNG, by what they are kept under. */
export type PdfPictures = ReadonlyMap<string, Uint8Array>;

const NO_PICTURES: PdfPictures = new Map();

type FontSource = Parameters<Document['registerFont']>[1];
type Knows = { readonly hasGlyphForCodePoint: (code: number) => boolean };

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

type Layers = ReadonlyMap<PageLayer, Ref>;

/** Layers that a reader can show and hide (ISO 32000-1, 8.11: optional content), the uppermost named first. */
const makeLayers = (pdf: Document): Layers => {
  const raw = rawOf(pdf);
  const layers = new Map(
    PAGE_LAYERS.map((name) => {
      const group = raw.ref({ Type: 'OCG', Name: new String(name) });
      group.end();
      return [name, group] as const;
    }),
  );
  const all = [...layers.values()];
  raw._root.data.OCProperties = { OCGs: all, D: { Order: [...all].reverse(), ON: all, BaseState: 'ON' } };
  return layers;
};

type Means = {
  readonly fontFor: (text: string, face?: SignFace) => string;
  readonly images: Squares;
  /** The edge of a tone's dot, in µm. */
  readonly pixel: number;
  readonly pictures: PdfPictures;
  readonly opened: Map<string, Embedded>;
};

/** The library's own image, of which its types say nothing. */
type Embedded = { readonly label: string; readonly obj: unknown; readonly embed: (pdf: Document) => void };

/** A matrix of the page, whose y runs up, as the library's, whose y runs down. */
const flipped = ([a, b, c, d, e, f]: Affine, height: number): readonly number[] =>
  [points(a), -points(b), points(c), -points(d), points(e), points(height - f)].map((value) => Number(value.toFixed(6)));

const drawPicture = (pdf: Document, { picture, matrix }: PictureMark, height: number, { pictures, opened }: Means): void => {
  const bytes = pictures.get(picture);
  if (!bytes) return;
  let image = opened.get(picture);
  if (!image) {
    image = (pdf as unknown as { readonly openImage: (bytes: Uint8Array) => Embedded }).openImage(bytes);
    image.embed(pdf);
    opened.set(picture, image);
  }
  const raw = rawOf(pdf);
  raw.page.xobjects[image.label] = image.obj;
  pdf.save();
  pdf.transform(...(flipped(matrix, height) as Parameters<Document['transform']>));
  raw.addContent(`/${image.label} Do`);
  pdf.restore();
};

/** Words as large as their box lets them be, measured with the very font. */
const drawWords = (pdf: Document, mark: WordsMark, height: number, { fontFor }: Means): void => {
  const shown = mark.lines.map((line) => {
    pdf.font(fontFor(line, mark.face)).fontSize(100);
    return pdf.widthOfString(line) / 100;
  });
  const { size, middles } = fittedWords(shown, mark);
  const [a, b, c, d, e, f] = mark.matrix;
  pdf.save();
  pdf.transform(
    ...([a, -b, -c, d, points(e), points(height - f)].map((value) => Number(value.toFixed(6))) as unknown as Parameters<
      Document['transform']
    >),
  );
  mark.lines.forEach((line, index) => {
    const wide = (shown[index] as number) * size;
    const x = mark.align === 'middle' ? (mark.width - wide) / 2 : 0;
    pdf.font(fontFor(line, mark.face)).fontSize(points(size)).fillColor(mark.colour);
    pdf.text(line, points(x), -points(middles[index] as number), { lineBreak: false, baseline: 'middle' });
  });
  pdf.restore();
};

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
        drawTones(pdf, mark, height, means.images, means.pixel);
        break;
      case 'picture':
        drawPicture(pdf, mark, height, means);
        break;
      case 'words':
        drawWords(pdf, mark, height, means);
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

/** A page, layer by layer; larger about its middle where the printer shrinks it. */
const drawPage = (pdf: Document, page: Page, layers: Layers, means: Means): void => {
  const raw = rawOf(pdf);
  raw.page.resources.data.Properties = Object.fromEntries(layers);
  const [byX, byY] = page.correction;
  pdf.save();
  if (isCorrected(page.correction)) {
    const [x, y] = [points(page.width / 2), points(page.height / 2)];
    pdf.transform(byX, 0, 0, byY, x * (1 - byX), y * (1 - byY));
  }
  for (const [layer, marks] of byLayer(page.marks)) {
    raw.addContent(`/OC /${layer} BDC`);
    drawMarks(pdf, marks, page.height, means);
    raw.addContent('EMC');
  }
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
 *  `onPage` hears after each page how many are written. Tones have dots of an edge of `pixel` µm: 300 to the inch where nothing else is said.
 *  Units: every mark stands where the page says, larger by its correction, within the file's millionth of a point. */
export const writePdf = (
  pages: readonly Page[],
  fonts: PdfFonts,
  title: string,
  pictures: PdfPictures = NO_PICTURES,
  onPage?: (written: number, count: number) => void,
  pixel: number = PRINT_PIXEL,
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
  const faces = new Map<SignFace, Knows>();
  const faceOf = (face: SignFace): Knows => {
    const open = faces.get(face);
    if (open) return open;
    // Signs are few; their faces are opened, and stand in the file, only where one is written in them.
    if (face !== 'text') pdf.registerFont(face, fonts[face] as FontSource);
    const known = (pdf.font(face) as unknown as { readonly _font: { readonly font: Knows } })._font.font;
    faces.set(face, known);
    return known;
  };
  const fontFor = (text: string, face: SignFace = 'text') => {
    const known = faceOf(face);
    return [...text].every((sign) => known.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0)) ? face : 'fallback';
  };
  const layers = makeLayers(pdf);
  const means: Means = { fontFor, images: new Map(), pixel, pictures, opened: new Map() };
  for (const [index, page] of pages.entries()) {
    pdf.addPage({ size: [points(page.width), points(page.height)], margin: 0 });
    drawPage(pdf, page, layers, means);
    onPage?.(index + 1, pages.length);
  }
  return bytesOf(pdf);
};
