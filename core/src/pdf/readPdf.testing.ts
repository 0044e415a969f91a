// Reads a PDF back with another library than the one that wrote it, into millimetres with y up.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { PdfFonts } from './index.ts';

export type Drawn = { readonly points: readonly (readonly [number, number])[]; readonly closed: boolean; readonly weight: number };
export type ReadPage = {
  readonly width: number;
  readonly height: number;
  readonly paths: readonly Drawn[];
  readonly texts: readonly string[];
};

const MM = 25.4 / 72;

type Matrix = readonly [number, number, number, number, number, number];

const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

/** A path as the library gives it: 0 x y moves, 1 x y draws, 4 closes. */
const pathsOf = (data: ArrayLike<number>, matrix: Matrix, weight: number): readonly Drawn[] => {
  const paths: { points: [number, number][]; closed: boolean; weight: number }[] = [];
  for (let at = 0; at < data.length; ) {
    const step = data[at] as number;
    if (step === 4) {
      const last = paths.at(-1);
      if (last) last.closed = true;
      at += 1;
      continue;
    }
    if (step > 1) throw new Error(`a curve (${step}) where only lines are drawn`);
    const [x, y] = [data[at + 1] as number, data[at + 2] as number];
    const point: [number, number] = [(matrix[0] * x + matrix[2] * y + matrix[4]) * MM, (matrix[1] * x + matrix[3] * y + matrix[5]) * MM];
    if (step === 0) paths.push({ points: [point], closed: false, weight });
    else paths.at(-1)?.points.push(point);
    at += 3;
  }
  return paths;
};

/** Every line and text of every page. */
export const readPdf = async (bytes: Uint8Array): Promise<readonly ReadPage[]> => {
  const document = await getDocument({ data: bytes.slice(), disableFontFace: true, verbosity: 0 }).promise;
  const pages: ReadPage[] = [];
  for (let number = 1; number <= document.numPages; number += 1) {
    const page = await document.getPage(number);
    const { fnArray, argsArray } = await page.getOperatorList();
    let [matrix, weight]: [Matrix, number] = [[1, 0, 0, 1, 0, 0], 1];
    const stack: Matrix[] = [];
    const paths: Drawn[] = [];
    fnArray.forEach((operation: number, index: number) => {
      const args = argsArray[index];
      if (operation === OPS.save) stack.push(matrix);
      else if (operation === OPS.restore) matrix = stack.pop() ?? matrix;
      else if (operation === OPS.transform) matrix = times(matrix, args as Matrix);
      else if (operation === OPS.setLineWidth) weight = args[0] * MM;
      else if (operation === OPS.constructPath && args[1]?.[0]) paths.push(...pathsOf(args[1][0], matrix, weight));
    });
    const { items } = await page.getTextContent();
    const [, , width, height] = page.view as [number, number, number, number];
    pages.push({
      width: width * MM,
      height: height * MM,
      paths,
      texts: items.flatMap((item) => ('str' in item && item.str.trim() ? [item.str] : [])),
    });
  }
  return pages;
};

const find = createRequire(import.meta.url);

/** The fonts that the application ships with. */
export const shippedFonts = (): PdfFonts => ({
  text: new Uint8Array(
    readFileSync(find.resolve('@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf')),
  ),
  fallback: new Uint8Array(readFileSync(find.resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'))),
  name: new Uint8Array(readFileSync(find.resolve('@expo-google-fonts/fraunces/600SemiBold/Fraunces_600SemiBold.ttf'))),
  hand: new Uint8Array(readFileSync(find.resolve('@expo-google-fonts/shantell-sans/400Regular/ShantellSans_400Regular.ttf'))),
});
