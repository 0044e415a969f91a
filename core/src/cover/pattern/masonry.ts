// Bricks and tiles. µm, doll size.
import type { Rect, Ring } from '../../shape/index.ts';
import { blocksIn } from './catalogue.ts';
import { chance, type DrawAreas, gathered, ground, type PatternSizes, rect, regular, stepsOver, type Tint, toneAt } from './pattern.ts';

/** Rows of equal blocks, every other one shifted by a share of the step. The first joint lies half below the origin's line. */
const rows = ({ length, height, joint }: PatternSizes, shift: number, window: Rect, seed: number, most: number) => {
  const [l, h, j] = [length as number, height as number, joint as number];
  const [step, course] = [l + j, h + j];
  return stepsOver(window.y0, window.y1, course).flatMap((row) => {
    const offset = (((row % 2) + 2) % 2) * shift * step;
    return stepsOver(window.x0, window.x1, step, offset).map((column) => {
      const [x, y] = [offset + column * step, row * course];
      const tint: Tint = { ink: 1, tone: toneAt(chance(seed, column, row), most) };
      return { tint, ring: rect(x + j / 2, y + j / 2, x + j / 2 + l, y + j / 2 + h) };
    });
  });
};

/** Blocks in rows, every other row shifted by a share of the step. */
const bond =
  (shift: number, tone: number): DrawAreas =>
  (sizes, window, seed) => [ground(window), ...gathered(rows(sizes, shift, window, seed, tone))];

/** Blocks n times as long as they are wide, laid in zigzag. In units of the width a lying block stands at (k, k) and an upright one at
 *  (k − 1, k), and both again after every step of (1, 1) and of (n, −n). */
const zigzag = (sizes: PatternSizes, window: Rect, seed: number) => {
  const [w, j] = [sizes.width as number, sizes.joint as number];
  const unit = w + j;
  const n = blocksIn(sizes);
  const reach = n + 2;
  const [low, high] = [Math.floor(Math.min(window.x0, window.y0) / unit) - reach, Math.ceil(Math.max(window.x1, window.y1) / unit) + reach];
  const found: { tint: Tint; ring: Ring }[] = [];
  const put = (x: number, y: number, long: boolean, a: number, b: number): void => {
    const [width, height] = long ? [n, 1] : [1, n];
    const ring = rect(x * unit + j / 2, y * unit + j / 2, (x + width) * unit - j / 2, (y + height) * unit - j / 2);
    const [[x0, y0], , [x1, y1]] = ring as [Ring[0], Ring[0], Ring[0], Ring[0]];
    if (x1 < window.x0 || x0 > window.x1 || y1 < window.y0 || y0 > window.y1) return;
    found.push({ tint: { ink: 1, tone: toneAt(chance(seed, a, b, long ? 1 : 2), 0.14) }, ring });
  };
  const span = high - low;
  for (let strip = -Math.ceil(span / n); strip <= Math.ceil(span / n); strip += 1) {
    for (let k = low - span; k <= high + span; k += 1) {
      const [x, y] = [k + strip * n, k - strip * n];
      if (x < low || x > high || y < low || y > high) continue;
      put(x, y, true, k, strip);
      put(x - 1, y, false, k, strip);
    }
  }
  return found;
};

/** Squares of n slats side by side, every other one turned. */
const weave = (sizes: PatternSizes, window: Rect, seed: number) => {
  const [w, j] = [sizes.width as number, sizes.joint as number];
  const unit = w + j;
  const n = blocksIn(sizes);
  const side = n * unit;
  return stepsOver(window.y0, window.y1, side).flatMap((row) =>
    stepsOver(window.x0, window.x1, side).flatMap((column) =>
      Array.from({ length: n }, (_, slat) => {
        const [x, y] = [column * side, row * side];
        const lies = (((row + column) % 2) + 2) % 2 === 0;
        const ring = lies
          ? rect(x + j / 2, y + slat * unit + j / 2, x + side - j / 2, y + (slat + 1) * unit - j / 2)
          : rect(x + slat * unit + j / 2, y + j / 2, x + (slat + 1) * unit - j / 2, y + side - j / 2);
        return { tint: { ink: 1, tone: toneAt(chance(seed, column * n + slat, row), 0.14) }, ring };
      }),
    ),
  );
};

const chequered = (sizes: PatternSizes, window: Rect) => {
  const [side, j] = [sizes.side as number, sizes.joint as number];
  const unit = side + j;
  return stepsOver(window.y0, window.y1, unit).flatMap((row) =>
    stepsOver(window.x0, window.x1, unit).map((column) => ({
      tint: { ink: (((row + column) % 2) + 2) % 2 === 0 ? 1 : 2 },
      ring: rect(column * unit + j / 2, row * unit + j / 2, (column + 1) * unit - j / 2, (row + 1) * unit - j / 2),
    })),
  );
};

/** Hexagons that stand on a corner: rows are √3/2 of a step apart. */
const hexagons = (sizes: PatternSizes, window: Rect, seed: number) => {
  const [flat, j] = [sizes.side as number, sizes.joint as number];
  const step = flat + j;
  const rise = (step * Math.sqrt(3)) / 2;
  return stepsOver(window.y0 - step, window.y1 + step, rise).flatMap((row) => {
    const offset = (((row % 2) + 2) % 2) * (step / 2);
    return stepsOver(window.x0 - step, window.x1 + step, step, offset).map((column) => ({
      tint: { ink: 1, tone: toneAt(chance(seed, column, row), 0.05) },
      ring: regular(offset + column * step, row * rise, flat / Math.sqrt(3), 6, Math.PI / 6),
    }));
  });
};

export const MASONRY = {
  'running bond': bond(0.5, 0.16),
  'stack bond': bond(0, 0.16),
  'header bond': bond(0.5, 0.16),
  'metro tile': bond(0.5, 0.03),
  'square tile': bond(0, 0.03),
  'hexagon tile': (sizes, window, seed) => [ground(window), ...gathered(hexagons(sizes, window, seed))],
  'chequer tile': (sizes, window) => [ground(window), ...gathered(chequered(sizes, window))],
  herringbone: (sizes, window, seed) => [ground(window), ...gathered(zigzag(sizes, window, seed))],
  'basket weave': (sizes, window, seed) => [ground(window), ...gathered(weave(sizes, window, seed))],
} as const satisfies Readonly<Record<string, DrawAreas>>;
