// Pages as another program draws them: poppler's pictures of a PDF.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Pixels } from '../print/index.ts';

/** Poppler's own picture file: a head, and three bytes to the pixel. */
const fromPpm = (file: Buffer): Pixels => {
  const [, width, height] = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(file.subarray(0, 40).toString('latin1')) ?? [];
  const [wide, high] = [Number(width), Number(height)];
  const from = file.length - wide * high * 3;
  const data = new Uint8ClampedArray(wide * high * 4);
  for (let index = 0; index < wide * high; index += 1) {
    data[index * 4] = file[from + index * 3] as number;
    data[index * 4 + 1] = file[from + index * 3 + 1] as number;
    data[index * 4 + 2] = file[from + index * 3 + 2] as number;
    data[index * 4 + 3] = 255;
  }
  return { width: wide, height: high, data };
};

/** Every page of a PDF as a picture, at so many dots to the inch. */
export const renderPdf = (bytes: Uint8Array, dpi: number): readonly Pixels[] => {
  const folder = mkdtempSync(join(tmpdir(), 'parlor-pages-'));
  try {
    writeFileSync(join(folder, 'pages.pdf'), bytes);
    execFileSync('pdftoppm', ['-r', String(dpi), join(folder, 'pages.pdf'), join(folder, 'page')]);
    return readdirSync(folder)
      .filter((name) => name.endsWith('.ppm'))
      .sort()
      .map((name) => fromPpm(readFileSync(join(folder, name))));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};

/** How dark a pixel is, from 0 (white) to 1. */
export const darkness = ({ width, data }: Pixels, x: number, y: number): number => {
  const at = (y * width + x) * 4;
  return 1 - ((data[at] as number) + (data[at + 1] as number) + (data[at + 2] as number)) / 765;
};

/** The middles of the dark stretches along a row of pixels, or down a column, to parts of a pixel. */
export const darkMiddles = (picture: Pixels, line: number, way: 'row' | 'column', from: number, to: number): readonly number[] => {
  const found: number[] = [];
  let [weight, moment] = [0, 0];
  for (let at = from; at <= to; at += 1) {
    const dark = at === to ? 0 : way === 'row' ? darkness(picture, at, line) : darkness(picture, line, at);
    if (dark > 0.06) {
      weight += dark;
      moment += dark * (at + 0.5);
    } else if (weight > 0) {
      if (weight > 0.4) found.push(moment / weight);
      [weight, moment] = [0, 0];
    }
  }
  return found;
};
