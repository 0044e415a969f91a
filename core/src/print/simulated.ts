// A printer made of arithmetic: it takes the picture of a page and gives it back as a real one would print it. Lengths in µm.
import type { Margins, PaperName } from '../stock/index.ts';
import { PAPERS } from '../stock/index.ts';

/** A picture, four bytes to the pixel, the first row at the top. */
export type Pixels = { readonly width: number; readonly height: number; readonly data: Uint8ClampedArray<ArrayBuffer> };

/** What a printer does to every page: how much of a length comes out, across and up, and what stays white whatever it is sent. */
export type Habit = { readonly x: number; readonly y: number; readonly margins: Readonly<Record<keyof Margins, number>> };

/** Where along a row the pixels of a printed picture are taken from: the left one of two, and the share of the right one; -1 beside the page. */
const sources = (count: number, share: number): { readonly from: Int32Array; readonly part: Float32Array } => {
  const [from, part] = [new Int32Array(count), new Float32Array(count)];
  for (let index = 0; index < count; index += 1) {
    const at = count / 2 + (index + 0.5 - count / 2) / share - 0.5;
    const left = Math.floor(at);
    from[index] = left < 0 || left + 1 >= count ? -1 : left;
    part[index] = at - left;
  }
  return { from, part };
};

/** The page as it comes out of a printer: smaller or larger about its middle, white where the printer cannot reach.
 *  Shape: a picture of the whole page → one of the same size. */
export const throughPrinter = ({ width, height, data }: Pixels, paper: PaperName, { x, y, margins }: Habit): Pixels => {
  const out = new Uint8ClampedArray(data.length).fill(255);
  const [across, up] = [sources(width, x), sources(height, y)];
  const perX = width / PAPERS[paper].width;
  const perY = height / PAPERS[paper].height;
  const [left, right] = [Math.ceil(margins.left * perX), Math.floor(width - margins.right * perX)];
  const [top, bottom] = [Math.ceil(margins.top * perY), Math.floor(height - margins.bottom * perY)];
  for (let row = top; row < bottom; row += 1) {
    const above = up.from[row] as number;
    if (above < 0) continue;
    const low = up.part[row] as number;
    for (let column = left; column < right; column += 1) {
      const beside = across.from[column] as number;
      if (beside < 0) continue;
      const off = across.part[column] as number;
      const [a, to] = [(above * width + beside) * 4, (row * width + column) * 4];
      const b = a + width * 4;
      for (let part = 0; part < 3; part += 1) {
        const upper = (data[a + part] as number) * (1 - off) + (data[a + 4 + part] as number) * off;
        const lower = (data[b + part] as number) * (1 - off) + (data[b + 4 + part] as number) * off;
        out[to + part] = upper * (1 - low) + lower * low;
      }
    }
  }
  return { width, height, data: out };
};
