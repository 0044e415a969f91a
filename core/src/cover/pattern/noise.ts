// µm. Fields of noise that are the same at a place whatever window asks: they are known on a lattice of the whole plane, and interpolated.
import { createNoise2D } from 'simplex-noise';
import { seededRandom } from '../../kit/index.ts';
import type { Rect } from '../../shape/index.ts';

/** A field over a window; `row` fills one number, about −1 … 1, for each pixel of a row at height y, the first in the middle of the first pixel. */
export type Noise = { readonly row: (y: number, into: Float32Array) => void };

/** Six lattice points to a wave: bilinear interpolation between them is not seen on paper. */
const PER_WAVE = 6;

/** Simplex noise (Gustavson's, by the package) of a wavelength, which may differ across and up. */
export const noiseOver = (window: Rect, pixel: number, seed: number, waveX: number, waveY: number = waveX): Noise => {
  const noise = createNoise2D(seededRandom(seed));
  const [stepX, stepY] = [Math.max(waveX / PER_WAVE, pixel), Math.max(waveY / PER_WAVE, pixel)];
  const [left, low] = [Math.floor(window.x0 / stepX), Math.floor(window.y0 / stepY)];
  const columns = Math.ceil(window.x1 / stepX) - left + 2;
  const rows = Math.ceil(window.y1 / stepY) - low + 2;
  const known = new Float32Array(columns * rows);
  for (let r = 0; r < rows; r += 1) {
    for (let c = 0; c < columns; c += 1) known[r * columns + c] = noise(((left + c) * stepX) / waveX, ((low + r) * stepY) / waveY);
  }
  const between = new Float32Array(columns);
  return {
    row: (y, into) => {
      const at = Math.min(rows - 2, Math.max(0, y / stepY - low));
      const base = Math.floor(at) * columns;
      const share = at - Math.floor(at);
      for (let c = 0; c < columns; c += 1) {
        const value = known[base + c] as number;
        between[c] = value + ((known[base + columns + c] as number) - value) * share;
      }
      // From lattice point to lattice point the value runs straight: it is walked, not asked for at each pixel.
      const step = pixel / stepX;
      const from = (window.x0 + pixel / 2) / stepX - left;
      for (let index = 0; index < into.length; ) {
        const x = from + index * step;
        const cell = Math.floor(x);
        const end = Math.min(into.length, index + Math.max(1, Math.ceil((cell + 1 - x) / step)));
        const slope = (between[cell + 1] as number) - (between[cell] as number);
        let value = (between[cell] as number) + slope * (x - cell);
        for (; index < end; index += 1) {
          into[index] = value;
          value += slope * step;
        }
      }
    },
  };
};
