// A page as SVG at true size, a millimetre to the unit, each kind of mark in a layer of its own.
import { encode } from 'fast-png';
import { strToU8, zipSync } from 'fflate';
import { type Affine, paintTones } from '../cover/index.ts';
import { assertNever } from '../kit/index.ts';
import { byLayer, escaped, fittedWords, LINE_STYLES, type Mark, mm, type Page, type TonesMark, type WordsMark } from '../print/index.ts';
import type { Ring } from '../shape/index.ts';

/** The maker's own pictures by what they are kept under, JPEG or PNG. */
export type SvgPictures = ReadonlyMap<string, Uint8Array>;

/** How wide lines of words are at size 1 in a face, measured by whoever has the font. */
export type Widths = (lines: readonly string[], face: WordsMark['face']) => readonly number[];

const base64 = (bytes: Uint8Array): string => {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
};

const FAMILIES = { text: 'Atkinson Hyperlegible Next', name: 'Fraunces', hand: 'Shantell Sans' } as const;

const path = (rings: readonly Ring[], high: number, closed: boolean): string =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${mm(x)} ${mm(high - y)}`).join('L')}${closed ? 'Z' : ''}`).join('');

/** A matrix of the page, whose y runs up, as SVG's, whose y runs down, of a picture in the unit square. */
const placed = ([a, b, c, d, e, f]: Affine, high: number): string =>
  `matrix(${[a, -b, -c, d, c + e, high - d - f].map((value) => mm(value)).join(' ')})`;

const tonesSvg = ({ look, window, place }: TonesMark, high: number): string => {
  const tones = paintTones(look, window);
  if (!tones) return '';
  const data = new Uint8Array(tones.width * tones.height * 3);
  tones.pixels.forEach((tone, index) => {
    for (let part = 0; part < 3; part += 1) data[index * 3 + part] = tones.palette[tone * 3 + part] as number;
  });
  const png = encode({ width: tones.width, height: tones.height, data, channels: 3, depth: 8 });
  const [wide, tall] = [window.x1 - window.x0, window.y1 - window.y0];
  const { cos, sin, dx, dy } = place;
  const at: Affine = [
    wide * cos,
    wide * sin,
    -tall * sin,
    tall * cos,
    window.x0 * cos - window.y0 * sin + dx,
    window.x0 * sin + window.y0 * cos + dy,
  ];
  return `<image width="1" height="1" preserveAspectRatio="none" transform="${placed(at, high)}" href="data:image/png;base64,${base64(png)}"/>`;
};

const wordsSvg = (mark: WordsMark, high: number, widths: Widths): string => {
  const shown = widths(mark.lines, mark.face);
  const { size, middles } = fittedWords(shown, mark);
  const [a, b, c, d, e, f] = mark.matrix;
  const lines = mark.lines.map((words, index) => {
    const wide = (shown[index] as number) * size;
    const x = mark.align === 'middle' ? (mark.width - wide) / 2 : 0;
    const fitted = words.trim() ? ` textLength="${mm(wide)}" lengthAdjust="spacingAndGlyphs"` : '';
    return `<text x="${mm(x)}" y="${mm(-(middles[index] as number))}"${fitted}>${escaped(words)}</text>`;
  });
  return `<g transform="matrix(${a} ${-b} ${-c} ${d} ${mm(e)} ${mm(high - f)})" font-family="${FAMILIES[mark.face]}, sans-serif" font-size="${mm(size)}" fill="${mark.colour}" dominant-baseline="central">${lines.join('')}</g>`;
};

type Means = { readonly pictures: SvgPictures; readonly widths: Widths; readonly clip: (rings: readonly Ring[]) => string };

const markSvg = (mark: Mark, high: number, means: Means): string => {
  switch (mark.kind) {
    case 'line': {
      const { weight, dash, colour } = LINE_STYLES[mark.style];
      const dashes = dash.length > 0 ? ` stroke-dasharray="${dash.map(mm).join(' ')}"` : '';
      return `<path d="${path([mark.points], high, mark.closed)}" fill="none" stroke="${colour}" stroke-width="${mm(weight)}"${dashes}/>`;
    }
    case 'text': {
      const [x, y] = [mm(mark.at[0]), mm(high - mark.at[1])];
      const turn = mark.angle === 90 ? ` transform="rotate(-90 ${x} ${y})"` : '';
      return `<text x="${x}" y="${y}" font-size="${mm(mark.size)}" text-anchor="${mark.anchor}"${turn}>${escaped(mark.text)}</text>`;
    }
    case 'fill':
      return `<path d="${path(mark.rings, high, true)}" fill="${mark.colour}" fill-rule="evenodd"/>`;
    case 'tones':
      return tonesSvg(mark, high);
    case 'picture': {
      const bytes = means.pictures.get(mark.picture);
      if (!bytes) return '';
      const kind = bytes[0] === 0xff ? 'jpeg' : 'png';
      return `<image width="1" height="1" preserveAspectRatio="none" transform="${placed(mark.matrix, high)}" href="data:image/${kind};base64,${base64(bytes)}"/>`;
    }
    case 'words':
      return wordsSvg(mark, high, means.widths);
    case 'group':
      return `<g clip-path="url(#${means.clip(mark.clip)})">${mark.marks.map((each) => markSvg(each, high, means)).join('')}</g>`;
    default:
      return assertNever(mark);
  }
};

/** A page as SVG: lengths in millimetres, larger by the page's correction, layers named as their marks are meant. */
export const pageSvg = (page: Page, pictures: SvgPictures, widths: Widths): string => {
  const { width, height, correction } = page;
  const clips: string[] = [];
  const clip = (rings: readonly Ring[]): string => {
    clips.push(`<clipPath id="c${clips.length}"><path d="${path(rings, height, true)}" clip-rule="evenodd"/></clipPath>`);
    return `c${clips.length - 1}`;
  };
  const layers = byLayer(page.marks).map(([layer, marks]) => {
    const text = layer === 'text' ? ' fill="#2b2440" dominant-baseline="central" font-family="Atkinson Hyperlegible Next, sans-serif"' : '';
    return `<g id="${layer}"${text}>${marks.map((mark) => markSvg(mark, height, { pictures, widths, clip })).join('')}</g>`;
  });
  const [byX, byY] = correction;
  const larger = `matrix(${byX} 0 0 ${byY} ${mm((width / 2) * (1 - byX))} ${mm((height / 2) * (1 - byY))})`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}"><title>${escaped(page.title)}</title><defs>${clips.join('')}</defs><g transform="${larger}">${layers.join('')}</g></svg>\n`;
};

/** Pages as a zip with an SVG for each, named by their numbers. `onPage` hears after each page how many are written. */
export const svgZip = (
  pages: readonly Page[],
  numbers: readonly number[],
  pictures: SvgPictures,
  widths: Widths,
  onPage: (written: number, count: number) => void,
): Uint8Array<ArrayBuffer> => {
  const files: Record<string, Uint8Array> = {};
  for (const [index, page] of pages.entries()) {
    files[`page-${String(numbers[index]).padStart(3, '0')}.svg`] = strToU8(pageSvg(page, pictures, widths));
    onPage(index + 1, pages.length);
  }
  return zipped(files);
};

/** A day for all files of a zip, so that equal files give equal bytes. */
const A_DAY = new Date(1980, 0, 1);

const zipped = (files: Readonly<Record<string, Uint8Array>>): Uint8Array<ArrayBuffer> => zipSync(files, { level: 6, mtime: A_DAY });

/** Texts as one zip, by their names. */
export const textZip = (files: readonly { readonly name: string; readonly text: string }[]): Uint8Array<ArrayBuffer> =>
  zipped(Object.fromEntries(files.map(({ name, text }) => [name, strToU8(text)])));
