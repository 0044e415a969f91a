// Bricks and tiles. µm, doll size.
import type { Rect, Ring } from '../../shape/index.ts';
import {
  chance,
  from,
  gathered,
  ground,
  rect,
  regular,
  type Sizes,
  size,
  stepsOver,
  type Tint,
  toneAt,
  type VectorPattern,
} from './pattern.ts';

const BRICK = 'BS EN 771-1, usual format 215 × 102.5 × 65 mm, recalled from memory';
const JOINT = 'coursing 225 × 75 mm: joint 10 mm (BS EN 771-1 usual format, recalled from memory)';

const brickSizes = (length: string, usual: number) => ({
  length: size(length, usual, 40, 1200, BRICK),
  height: size('height of a brick', 65, 20, 600, BRICK),
  joint: size('joint', 10, 0, 60, JOINT),
});

const brickInks = [
  { label: 'joints', usual: '#d9d2c5' },
  { label: 'bricks', usual: '#a5563f' },
] as const;

/** Rows of equal blocks, every other one shifted by a share of the step. The first joint lies half below the origin's line. */
const rows = ({ length, height, joint }: Sizes, shift: number, window: Rect, seed: number, most: number) => {
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

const courseOf = ({ height, joint }: Sizes): number => (height as number) + (joint as number);

/** Blocks in rows, every other row shifted by a share of the step. */
const bond = (
  rest: Pick<VectorPattern, 'label' | 'words' | 'kind' | 'sizes' | 'inks' | 'isDirected'>,
  shift: number,
  tone: number,
): VectorPattern => ({
  made: 'vector',
  ...rest,
  repeat: (sizes) => ({ x: (sizes.length as number) + (sizes.joint as number), y: courseOf(sizes) * (shift === 0 ? 1 : 2) }),
  course: courseOf,
  draw: (sizes, window, seed) => [ground(window), ...gathered(rows(sizes, shift, window, seed, tone))],
});

const brick = (name: string, shift: number, length: string, usual: number): VectorPattern =>
  bond(
    { label: `brick, ${name}`, words: 'bricks wall', kind: 'wall', sizes: brickSizes(length, usual), inks: brickInks, isDirected: true },
    shift,
    0.16,
  );

const tileSizes = (across: number, up: number) => ({
  length: size('tile, across', across, 10, 1200, from.handbook),
  height: size('tile, up', up, 10, 1200, from.handbook),
  joint: size('joint', 2, 0, 20),
});

const tileInks = [
  { label: 'joints', usual: '#cfc9c0' },
  { label: 'tiles', usual: '#f3f1ea' },
] as const;

/** Blocks n times as long as they are wide, laid in zigzag. In units of the width a lying block stands at (k, k) and an upright one at
 *  (k − 1, k), and both again after every step of (1, 1) and of (n, −n). */
const zigzag = (sizes: Sizes, window: Rect, seed: number) => {
  const [w, j] = [sizes.width as number, sizes.joint as number];
  const unit = w + j;
  const n = Math.max(2, Math.round((sizes.length as number) / w));
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
const weave = (sizes: Sizes, window: Rect, seed: number) => {
  const [w, j] = [sizes.width as number, sizes.joint as number];
  const unit = w + j;
  const n = Math.max(2, Math.round((sizes.length as number) / w));
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

const blockSizes = {
  width: size('block, wide', 70, 15, 400),
  length: size('block, long (a whole number of widths)', 210, 30, 1600),
  joint: size('joint', 1, 0, 20),
};
const blockInks = [
  { label: 'joints', usual: '#6f5138' },
  { label: 'blocks', usual: '#b98a5a' },
] as const;
const blockSide = ({ width, length, joint }: Sizes): number =>
  Math.max(2, Math.round((length as number) / (width as number))) * ((width as number) + (joint as number));

const chequered = (sizes: Sizes, window: Rect) => {
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
const hexagons = (sizes: Sizes, window: Rect, seed: number) => {
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

const vector = (pattern: Omit<VectorPattern, 'made'>): VectorPattern => ({ made: 'vector', ...pattern });

export const MASONRY = {
  'running bond': brick('running bond', 0.5, 'length of a brick', 215),
  'stack bond': brick('stack bond', 0, 'length of a brick', 215),
  'header bond': brick('header bond', 0.5, 'width of a header', 102.5),
  'metro tile': bond(
    { label: 'metro tile', words: 'subway kitchen bath wall', kind: 'wall', sizes: tileSizes(150, 75), inks: tileInks, isDirected: true },
    0.5,
    0.03,
  ),
  'square tile': bond(
    {
      label: 'square tile',
      words: 'bath kitchen floor wall',
      kind: 'floor',
      sizes: tileSizes(150, 150),
      inks: tileInks,
      isDirected: false,
    },
    0,
    0.03,
  ),
  'hexagon tile': vector({
    label: 'hexagon tile',
    words: 'honeycomb bath floor',
    kind: 'floor',
    sizes: { side: size('tile, across flats', 100, 20, 600, from.handbook), joint: size('joint', 2, 0, 20) },
    inks: [
      { label: 'joints', usual: '#b9b2a6' },
      { label: 'tiles', usual: '#efece4' },
    ],
    repeat: ({ side, joint }) => ({ x: (side as number) + (joint as number), y: ((side as number) + (joint as number)) * Math.sqrt(3) }),
    course: null,
    isDirected: false,
    draw: (sizes, window, seed) => [ground(window), ...gathered(hexagons(sizes, window, seed))],
  }),
  'chequer tile': vector({
    label: 'chequer tile',
    words: 'checkerboard black white floor diner',
    kind: 'floor',
    sizes: { side: size('tile', 300, 20, 900, from.handbook), joint: size('joint', 2, 0, 20) },
    inks: [
      { label: 'joints', usual: '#8f8a80' },
      { label: 'light tiles', usual: '#f3f1ea' },
      { label: 'dark tiles', usual: '#3a3540' },
    ],
    repeat: ({ side, joint }) => ({ x: 2 * ((side as number) + (joint as number)), y: 2 * ((side as number) + (joint as number)) }),
    course: ({ side, joint }) => (side as number) + (joint as number),
    isDirected: false,
    draw: (sizes, window) => [ground(window), ...gathered(chequered(sizes, window))],
  }),
  herringbone: vector({
    label: 'herringbone',
    words: 'parquet zigzag floor blocks',
    kind: 'floor',
    sizes: blockSizes,
    inks: blockInks,
    repeat: (sizes) => ({ x: 2 * blockSide(sizes), y: 2 * blockSide(sizes) }),
    course: null,
    isDirected: true,
    draw: (sizes, window, seed) => [ground(window), ...gathered(zigzag(sizes, window, seed))],
  }),
  'basket weave': vector({
    label: 'basket weave',
    words: 'parquet floor blocks',
    kind: 'floor',
    sizes: blockSizes,
    inks: blockInks,
    repeat: (sizes) => ({ x: 2 * blockSide(sizes), y: 2 * blockSide(sizes) }),
    course: blockSide,
    isDirected: false,
    draw: (sizes, window, seed) => [ground(window), ...gathered(weave(sizes, window, seed))],
  }),
} as const;
