// Boards: floors, panelling. µm, doll size.
import type { Rect, Ring } from '../../shape/index.ts';
import { chance, type DrawAreas, type Fill, gathered, ground, type PatternSizes, rect, stepsOver, type Tint, toneAt } from './pattern.ts';

type Figure = { readonly tint: Tint; readonly ring: Ring };

/** Where in its row the n-th plank begins: rows are staggered by chance, planks of a row are of one length, and no end lies beside another
 *  row's by less than a sixth of a plank. */
const staggered = (row: number, length: number, seed: number): number => {
  // A third of a plank on from row to row keeps ends apart; chance moves each by up to a twelfth more, either way.
  const share = ((((row * 5) % 12) + 12) % 12) / 12 + (chance(seed, row, 7) - 0.5) / 6;
  return share * length;
};

const planks = (sizes: PatternSizes, window: Rect, seed: number): readonly Figure[] => {
  const [w, l, g] = [sizes.width as number, sizes.length as number, sizes.gap as number];
  return stepsOver(window.y0, window.y1, w).flatMap((row) => {
    const offset = staggered(row, l, seed);
    return stepsOver(window.x0, window.x1, l, offset).map((column) => ({
      tint: { ink: 1, tone: toneAt(chance(seed, column, row), 0.22, 7) },
      ring: rect(offset + column * l + g / 2, row * w + g / 2, offset + (column + 1) * l - g / 2, (row + 1) * w - g / 2),
    }));
  });
};

/** Boards with a groove between: a dark line on its one side, a light one on its other, as the light falls. */
const grooved = (sizes: PatternSizes, window: Rect): readonly Fill[] => {
  const [w, g] = [sizes.width as number, sizes.groove as number];
  const upright = (x0: number, x1: number, tone: number): Figure => ({
    tint: { ink: 0, tone },
    ring: rect(x0, window.y0, x1, window.y1),
  });
  return [
    ground(window),
    ...gathered(
      stepsOver(window.x0, window.x1, w).flatMap((index) => [
        upright(index * w - g / 2, index * w, -0.32),
        upright(index * w, index * w + g / 2, 0.4),
      ]),
    ),
  ];
};

/** A frame's four sides as mitred strips: the upper and left ones in shade where the field lies lower, the others lit. */
const moulding = (x0: number, y0: number, x1: number, y1: number, wide: number, sunk: 1 | -1): readonly Figure[] => {
  const [a, b, c, d] = [x0 + wide, y0 + wide, x1 - wide, y1 - wide];
  const side = (tone: number, ring: Ring): Figure => ({ tint: { ink: 0, tone: tone * sunk }, ring });
  return [
    side(-0.3, [
      [x0, y1],
      [a, d],
      [c, d],
      [x1, y1],
    ]),
    side(-0.18, [
      [x0, y0],
      [a, b],
      [a, d],
      [x0, y1],
    ]),
    side(0.3, [
      [x0, y0],
      [x1, y0],
      [c, b],
      [a, b],
    ]),
    side(0.18, [
      [x1, y0],
      [x1, y1],
      [c, d],
      [c, b],
    ]),
  ];
};

/** Panels in a frame: the moulding falls to the field, and the field rises again by its own bevel. */
const panelled = (sizes: PatternSizes, window: Rect): readonly Fill[] => {
  const [w, h, s, m] = [sizes.width as number, sizes.height as number, sizes.frame as number, sizes.moulding as number];
  const figures = stepsOver(window.y0, window.y1, h).flatMap((row) =>
    stepsOver(window.x0, window.x1, w).flatMap((column) => {
      const [x0, y0, x1, y1] = [column * w + s / 2, row * h + s / 2, (column + 1) * w - s / 2, (row + 1) * h - s / 2];
      const inset = m * 2.2;
      return [...moulding(x0, y0, x1, y1, m, 1), ...moulding(x0 + inset, y0 + inset, x1 - inset, y1 - inset, m * 0.8, -1)];
    }),
  );
  return [ground(window), ...gathered(figures)];
};

export const WOOD = {
  planks: (sizes, window, seed) => [ground(window), ...gathered(planks(sizes, window, seed))],
  'tongue and groove': grooved,
  panelling: panelled,
} as const satisfies Readonly<Record<string, DrawAreas>>;
