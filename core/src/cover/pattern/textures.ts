// Materials as tones, from the darkest ink to the lightest. µm, doll size.
import type { Rect } from '../../shape/index.ts';
import { type Noise, noiseOver } from './noise.ts';
import type { PaintTones } from './pattern.ts';

/** Fills one row of tones at height y from what each noise says along it. Each texture has a loop of its own, so that none is slowed down by
 *  the others. */
type PaintRow = (y: number, noises: readonly Float32Array[], into: Uint8ClampedArray) => void;

/** Paints row by row: each noise fills a row, then the texture does. */
const painted = (window: Rect, pixel: number, into: Uint8Array, noises: readonly Noise[], paint: PaintRow): void => {
  const width = Math.max(1, Math.round((window.x1 - window.x0) / pixel));
  const height = Math.floor(into.length / width);
  const rows = noises.map(() => new Float32Array(width));
  const clamped = new Uint8ClampedArray(into.buffer, into.byteOffset, into.length);
  for (let row = 0; row < height; row += 1) {
    const y = window.y1 - (row + 0.5) * pixel;
    for (let index = 0; index < noises.length; index += 1) (noises[index] as Noise).row(y, rows[index] as Float32Array);
    paint(y, rows, clamped.subarray(row * width, (row + 1) * width));
  }
};

const TABLE = 2048;
/** A periodic profile as a table, since sines and powers for eight million pixels take a second. */
const profile = (shape: (share: number) => number): Float32Array =>
  Float32Array.from({ length: TABLE }, (_, index) => shape(index / TABLE));
const look = (table: Float32Array, phase: number): number => table[((phase - Math.floor(phase)) * TABLE) | 0] as number;

const VEIN = profile((share) => {
  const off = Math.abs(share - 0.5) * 2;
  return 255 * (1 - 0.85 * Math.max(0, 1 - off * 9) ** 1.5 - 0.22 * Math.max(0, 1 - off * 2.2) ** 2);
});

const marble: PaintTones = ({ vein }, window, pixel, seed, into) => {
  const v = vein as number;
  const noises = [
    noiseOver(window, pixel, seed, v * 1.7),
    noiseOver(window, pixel, seed + 1, v * 0.45),
    noiseOver(window, pixel, seed + 2, v * 0.9),
  ];
  const [along, up] = [0.78 / v, 0.62 / v];
  painted(window, pixel, into, noises, (y, [broad, fine, cloud], row) => {
    const [a, b, c] = [broad, fine, cloud] as [Float32Array, Float32Array, Float32Array];
    let phase = (window.x0 + pixel / 2) * along + y * up;
    for (let index = 0; index < row.length; index += 1) {
      const at = phase + 0.85 * (a[index] as number) + 0.2 * (b[index] as number);
      row[index] = look(VEIN, at) - 26 + 26 * (c[index] as number);
      phase += pixel * along;
    }
  });
};

const RING = profile((share) => 255 * (0.35 + 0.65 * (share < 0.8 ? 1 - (share / 0.8) * 0.75 : (share - 0.8) * 3.75 + 0.25)));

/** Grain runs along x: noises are drawn out that way. */
const wood: PaintTones = ({ ring, fibre }, window, pixel, seed, into) => {
  const [r, f] = [ring as number, fibre as number];
  const noises = [
    noiseOver(window, pixel, seed, r * 26, r * 5),
    noiseOver(window, pixel, seed + 1, f * 30, f),
    noiseOver(window, pixel, seed + 2, r * 60, r * 9),
  ];
  painted(window, pixel, into, noises, (y, [near, fibres, far], row) => {
    const [a, b, c] = [near, fibres, far] as [Float32Array, Float32Array, Float32Array];
    for (let index = 0; index < row.length; index += 1) {
      const phase = y / r + 2.4 * (a[index] as number) + 1.6 * (c[index] as number);
      row[index] = 52 + 0.62 * look(RING, phase) + 34 * (b[index] as number);
    }
  });
};

/** Noises of several waves, each by its weight, about a middle tone. */
const summed = (
  waves: readonly (readonly [across: number, up: number, weight: number])[],
  middle: number,
  window: Rect,
  pixel: number,
  seed: number,
  into: Uint8Array,
): void => {
  const noises = waves.map(([across, up], index) => noiseOver(window, pixel, seed + index, across, up));
  const sum = new Float32Array(Math.max(1, Math.round((window.x1 - window.x0) / pixel)));
  painted(window, pixel, into, noises, (_y, rows, row) => {
    sum.fill(middle);
    for (let wave = 0; wave < rows.length; wave += 1) {
      const [values, weight] = [rows[wave] as Float32Array, (waves[wave] as (typeof waves)[number])[2]];
      for (let index = 0; index < sum.length; index += 1) sum[index] = (sum[index] as number) + weight * (values[index] as number);
    }
    row.set(sum);
  });
};

const stone: PaintTones = ({ grain }, window, pixel, seed, into) => {
  const g = grain as number;
  summed(
    [
      [g * 6, g * 6, 46],
      [g * 2, g * 2, 32],
      [g, g, 30],
      [g * 0.5, g * 0.5, 26],
    ],
    128,
    window,
    pixel,
    seed,
    into,
  );
};

const plaster: PaintTones = ({ trowel }, window, pixel, seed, into) => {
  const t = trowel as number;
  summed(
    [
      [t, t, 34],
      [t * 0.35, t * 0.2, 26],
      [t * 0.06, t * 0.06, 14],
    ],
    190,
    window,
    pixel,
    seed,
    into,
  );
};

const cork: PaintTones = ({ crumb }, window, pixel, seed, into) => {
  const c = crumb as number;
  const noises = [
    noiseOver(window, pixel, seed, c),
    noiseOver(window, pixel, seed + 1, c * 0.5),
    noiseOver(window, pixel, seed + 2, c * 5),
  ];
  painted(window, pixel, into, noises, (_y, [large, small, wide], row) => {
    const [a, b, d] = [large, small, wide] as [Float32Array, Float32Array, Float32Array];
    for (let index = 0; index < row.length; index += 1) {
      const crumbs = (a[index] as number) + 0.6 * (b[index] as number);
      // Bark between the crumbs is dark.
      row[index] = (crumbs < -0.55 ? 40 : 150 + 62 * crumbs) + 16 * (d[index] as number);
    }
  });
};

const THREAD = profile((share) => Math.sin(Math.PI * share) ** 0.7);

const weave: PaintTones = ({ thread }, window, pixel, seed, into) => {
  const t = thread as number;
  const noises = [noiseOver(window, pixel, seed, t * 24, t * 1.5), noiseOver(window, pixel, seed + 1, t * 1.5, t * 24)];
  painted(window, pixel, into, noises, (y, [weft, warp], row) => {
    const [lying, upright] = [weft, warp] as [Float32Array, Float32Array];
    const up = y / t;
    const [rowNumber, rowTone] = [Math.floor(up), look(THREAD, up)];
    let across = (window.x0 + pixel / 2) / t;
    for (let index = 0; index < row.length; index += 1) {
      const over = ((Math.floor(across) + rowNumber) & 1) === 0;
      row[index] = 70 + 130 * (over ? look(THREAD, across) : rowTone) + 34 * ((over ? upright[index] : lying[index]) as number);
      across += pixel / t;
    }
  });
};

export const TEXTURES = { marble, 'wood grain': wood, stone, plaster, cork, 'fabric weave': weave } as const satisfies Readonly<
  Record<string, PaintTones>
>;
