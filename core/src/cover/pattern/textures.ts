// Materials as tones, from the darkest ink to the lightest. µm, doll size.
import type { Rect } from '../../shape/index.ts';
import { type Noise, noiseOver } from './noise.ts';
import type { PaintTones, Sizes } from './pattern.ts';

/** What a pixel is made of: where it lies, and what each noise says there. */
type Tone = (x: number, y: number, noises: readonly Float32Array[], index: number) => number;

/** Paints row by row: each noise fills a row, and the tone is asked for each pixel of it. */
const painted = (window: Rect, pixel: number, into: Uint8Array, noises: readonly Noise[], tone: Tone): void => {
  const width = Math.max(1, Math.round((window.x1 - window.x0) / pixel));
  const height = Math.floor(into.length / width);
  const rows = noises.map(() => new Float32Array(width));
  for (let row = 0; row < height; row += 1) {
    const y = window.y1 - (row + 0.5) * pixel;
    for (let index = 0; index < noises.length; index += 1) (noises[index] as Noise).row(y, rows[index] as Float32Array);
    let x = window.x0 + pixel / 2;
    const start = row * width;
    for (let index = 0; index < width; index += 1) {
      // A typed array of bytes that clamps would round; this one must be told.
      const value = tone(x, y, rows, index);
      into[start + index] = value < 0 ? 0 : value > 255 ? 255 : value;
      x += pixel;
    }
  }
};

const at = (rows: readonly Float32Array[], noise: number, index: number): number => (rows[noise] as Float32Array)[index] as number;

const TABLE = 2048;
/** A periodic profile as a table, since sines and powers for eight million pixels take a second. */
const profile = (shape: (share: number) => number): Float32Array =>
  Float32Array.from({ length: TABLE }, (_, index) => shape(index / TABLE));
const look = (table: Float32Array, phase: number): number => table[((phase - Math.floor(phase)) * TABLE) | 0] as number;

const VEIN = profile((share) => {
  const off = Math.abs(share - 0.5) * 2;
  return 255 * (1 - 0.85 * Math.max(0, 1 - off * 9) ** 1.5 - 0.22 * Math.max(0, 1 - off * 2.2) ** 2);
});

const marble = ({ vein }: Sizes, window: Rect, pixel: number, seed: number, into: Uint8Array): void => {
  const v = vein as number;
  const noises = [
    noiseOver(window, pixel, seed, v * 1.7),
    noiseOver(window, pixel, seed + 1, v * 0.45),
    noiseOver(window, pixel, seed + 2, v * 0.9),
  ];
  const [along, up] = [0.78 / v, 0.62 / v];
  painted(window, pixel, into, noises, (x, y, rows, index) => {
    const warp = 0.85 * at(rows, 0, index) + 0.2 * at(rows, 1, index);
    return look(VEIN, x * along + y * up + warp) - 26 + 26 * at(rows, 2, index);
  });
};

const RING = profile((share) => 255 * (0.35 + 0.65 * (share < 0.8 ? 1 - (share / 0.8) * 0.75 : (share - 0.8) * 3.75 + 0.25)));

/** Grain runs along x: noises are drawn out that way. */
const wood = ({ ring, fibre }: Sizes, window: Rect, pixel: number, seed: number, into: Uint8Array): void => {
  const [r, f] = [ring as number, fibre as number];
  const noises = [
    noiseOver(window, pixel, seed, r * 26, r * 5),
    noiseOver(window, pixel, seed + 1, f * 30, f),
    noiseOver(window, pixel, seed + 2, r * 60, r * 9),
  ];
  painted(window, pixel, into, noises, (_x, y, rows, index) => {
    const phase = y / r + 2.4 * at(rows, 0, index) + 1.6 * at(rows, 2, index);
    return 52 + 0.62 * look(RING, phase) + 34 * at(rows, 1, index);
  });
};

const stone = ({ grain }: Sizes, window: Rect, pixel: number, seed: number, into: Uint8Array): void => {
  const g = grain as number;
  const noises = [g * 6, g * 2, g, g * 0.5].map((wave, index) => noiseOver(window, pixel, seed + index, wave));
  painted(
    window,
    pixel,
    into,
    noises,
    (_x, _y, rows, index) => 128 + 46 * at(rows, 0, index) + 32 * at(rows, 1, index) + 30 * at(rows, 2, index) + 26 * at(rows, 3, index),
  );
};

const plaster = ({ trowel }: Sizes, window: Rect, pixel: number, seed: number, into: Uint8Array): void => {
  const t = trowel as number;
  const noises = [
    noiseOver(window, pixel, seed, t),
    noiseOver(window, pixel, seed + 1, t * 0.35, t * 0.2),
    noiseOver(window, pixel, seed + 2, t * 0.06),
  ];
  painted(
    window,
    pixel,
    into,
    noises,
    (_x, _y, rows, index) => 190 + 34 * at(rows, 0, index) + 26 * at(rows, 1, index) + 14 * at(rows, 2, index),
  );
};

const cork = ({ crumb }: Sizes, window: Rect, pixel: number, seed: number, into: Uint8Array): void => {
  const c = crumb as number;
  const noises = [
    noiseOver(window, pixel, seed, c),
    noiseOver(window, pixel, seed + 1, c * 0.5),
    noiseOver(window, pixel, seed + 2, c * 5),
  ];
  painted(window, pixel, into, noises, (_x, _y, rows, index) => {
    const crumbs = at(rows, 0, index) + 0.6 * at(rows, 1, index);
    // Bark between the crumbs is dark.
    return (crumbs < -0.55 ? 40 : 150 + 62 * crumbs) + 16 * at(rows, 2, index);
  });
};

const THREAD = profile((share) => Math.sin(Math.PI * share) ** 0.7);

const weave = ({ thread }: Sizes, window: Rect, pixel: number, seed: number, into: Uint8Array): void => {
  const t = thread as number;
  const noises = [noiseOver(window, pixel, seed, t * 24, t * 1.5), noiseOver(window, pixel, seed + 1, t * 1.5, t * 24)];
  painted(window, pixel, into, noises, (x, y, rows, index) => {
    const [across, up] = [x / t, y / t];
    const over = ((Math.floor(across) + Math.floor(up)) & 1) === 0;
    const round = over ? look(THREAD, across) : look(THREAD, up);
    return 70 + 130 * round + 34 * (over ? at(rows, 1, index) : at(rows, 0, index));
  });
};

export const TEXTURES = { marble, 'wood grain': wood, stone, plaster, cork, 'fabric weave': weave } as const satisfies Readonly<
  Record<string, PaintTones>
>;
