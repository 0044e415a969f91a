// Wallpapers, cloths and terrazzo. µm, doll size.
import type { Point, Rect, Ring } from '../../shape/index.ts';
import {
  chance,
  type DrawAreas,
  type Fill,
  gathered,
  ground,
  type PatternSizes,
  rect,
  regular,
  stepsOver,
  type Tint,
  toneAt,
} from './pattern.ts';

type Figure = { readonly tint: Tint; readonly ring: Ring };

/** Bands across one way of a window, each from and to within every step. */
const bands = (window: Rect, step: number, spans: readonly (readonly [number, number, Tint])[], upright: boolean): readonly Figure[] => {
  const [low, high] = upright ? [window.x0, window.x1] : [window.y0, window.y1];
  return stepsOver(low, high, step).flatMap((index) =>
    spans.map(([start, end, tint]) => ({
      tint,
      ring: upright
        ? rect(index * step + start, window.y0, index * step + end, window.y1)
        : rect(window.x0, index * step + start, window.x1, index * step + end),
    })),
  );
};

const gingham = ({ check }: PatternSizes, window: Rect): readonly Fill[] => {
  const c = check as number;
  const half: Tint = { ink: 1, mix: { ink: 0, share: 0.5 } };
  const crossings = stepsOver(window.y0, window.y1, 2 * c).flatMap((row) =>
    stepsOver(window.x0, window.x1, 2 * c).map((column) => ({
      tint: { ink: 1 },
      ring: rect(column * 2 * c, row * 2 * c, column * 2 * c + c, row * 2 * c + c),
    })),
  );
  // Woven bands: half the colour where one of the two threads has it, all of it where both do.
  return [
    ground(window),
    ...gathered(bands(window, 2 * c, [[0, c, half]], true)),
    ...gathered(bands(window, 2 * c, [[0, c, half]], false)),
    ...gathered(crossings),
  ];
};

/** A set of stripes, in shares of the sett, woven with itself: each crossing is half of either. */
const SETT: readonly (readonly [number, number, number])[] = [
  [0, 0.3, 1],
  [0.36, 0.39, 2],
  [0.42, 0.58, 1],
  [0.61, 0.64, 2],
  [0.78, 0.82, 3],
];

const plaid = ({ sett }: PatternSizes, window: Rect): readonly Fill[] => {
  const s = sett as number;
  const threads = (share: number) => SETT.map(([a, b, ink]) => [a * s, b * s, { ink, mix: { ink: 0, share } }] as const);
  const crossings = stepsOver(window.y0, window.y1, s).flatMap((row) =>
    stepsOver(window.x0, window.x1, s).flatMap((column) =>
      SETT.flatMap(([a, b, up]) =>
        SETT.map(
          ([c, d, across]): Figure => ({
            tint: up === across ? { ink: up } : { ink: up, mix: { ink: across, share: 0.5 } },
            ring: rect(column * s + a * s, row * s + c * s, column * s + b * s, row * s + d * s),
          }),
        ),
      ),
    ),
  );
  return [
    ground(window),
    ...gathered(bands(window, s, threads(0.5), true)),
    ...gathered(bands(window, s, threads(0.5), false)),
    ...gathered(crossings),
  ];
};

/** Places of a half-drop: every other column stands half a step higher. */
const halfDrop = (
  window: Rect,
  x: number,
  y: number,
  reach: number,
  put: (cx: number, cy: number, column: number, row: number) => readonly Figure[],
) =>
  stepsOver(window.x0 - reach, window.x1 + reach, x).flatMap((column) => {
    const lift = (((column % 2) + 2) % 2) * (y / 2);
    return stepsOver(window.y0 - reach, window.y1 + reach, y, lift).flatMap((row) =>
      put((column + 0.5) * x, lift + (row + 0.5) * y, column, row),
    );
  });

const turned = (ring: Ring, cx: number, cy: number, angle: number): Ring => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return ring.map(([x, y]): Point => [cx + x * cos - y * sin, cy + x * sin + y * cos]);
};

/** A pointed leaf from the origin along x. */
const leaf = (long: number, wide: number): Ring => {
  const side = Array.from({ length: 9 }, (_, index): Point => {
    const at = index / 8;
    return [at * long, Math.sin(Math.PI * at) * (wide / 2) * (1 - 0.35 * at)];
  });
  return [
    ...side,
    ...side
      .slice(1, -1)
      .reverse()
      .map(([x, y]): Point => [x, -y]),
  ];
};

const sprig = (cx: number, cy: number, tall: number, angle: number): readonly Figure[] => {
  const green: Tint = { ink: 1 };
  const put = (ring: Ring, x: number, y: number, by: number, tint: Tint): Figure => {
    const [px, py] = turned([[x, y]], cx, cy, angle)[0] as Point;
    return { tint, ring: turned(ring, px, py, angle + by) };
  };
  const stem = put(rect(-tall * 0.014, 0, tall * 0.014, tall * 0.62), 0, -tall * 0.5, 0, green);
  const leaves = [0.12, 0.3, 0.46].flatMap((up, index) =>
    [1, -1].map((way) =>
      put(leaf(tall * (0.27 - index * 0.05), tall * 0.11), 0, tall * (up - 0.5), Math.PI / 2 - way * 0.95, { ink: 1, tone: index * 0.12 }),
    ),
  );
  const flower = Array.from({ length: 5 }, (_, petal) =>
    put(leaf(tall * 0.19, tall * 0.15), 0, tall * 0.24, Math.PI / 2 + (petal - 2) * 1.256, { ink: 2, tone: petal % 2 === 0 ? 0 : 0.16 }),
  );
  return [stem, ...leaves, ...flower, put(regular(0, 0, tall * 0.05, 8), 0, tall * 0.24, 0, { ink: 2, tone: -0.3 })];
};

const sprigs = ({ across, up, tall }: PatternSizes, window: Rect, seed: number): readonly Fill[] => [
  ground(window),
  ...gathered(
    halfDrop(window, across as number, up as number, tall as number, (cx, cy, column, row) =>
      sprig(cx, cy, tall as number, (chance(seed, column, row) - 0.5) * 0.7),
    ),
  ),
];

/** Half an ornament's outline mirrored: bulbs, a waist and a tip, after no model but the compass. */
const ornament = (cx: number, cy: number, wide: number, tall: number, share: number): Ring => {
  const right = Array.from({ length: 41 }, (_, index): Point => {
    const at = index / 40;
    const swell =
      Math.sin(Math.PI * at) ** 0.8 * (0.62 + 0.38 * Math.cos(2 * Math.PI * (at - 0.34)) ** 2) * (1 - 0.25 * Math.cos(6 * Math.PI * at));
    return [cx + (swell * wide * share) / 2, cy + (at - 0.5) * tall * (0.7 + 0.3 * share)];
  });
  return [
    ...right,
    ...right
      .slice(1, -1)
      .reverse()
      .map(([x, y]): Point => [2 * cx - x, y]),
  ];
};

const damask = ({ across, up }: PatternSizes, window: Rect): readonly Fill[] => {
  const [x, y] = [across as number, up as number];
  const one: Tint = { ink: 1 };
  const other: Tint = { ink: 0 };
  return [
    ground(window),
    ...gathered(halfDrop(window, x, y, y, (cx, cy) => [{ tint: one, ring: ornament(cx, cy, x * 0.9, y * 0.82, 1) }])),
    ...gathered(
      halfDrop(window, x, y, y, (cx, cy) => [
        { tint: other, ring: ornament(cx, cy, x * 0.9, y * 0.82, 0.66) },
        ...[1, -1].flatMap((way) =>
          [0.25, -0.25].map((high) => ({
            tint: other,
            ring: turned(leaf(x * 0.2, y * 0.07), cx + way * x * 0.3, cy + high * y * 0.4, way > 0 ? 0.9 : Math.PI - 0.9),
          })),
        ),
      ]),
    ),
    ...gathered(
      halfDrop(window, x, y, y, (cx, cy) => [
        { tint: one, ring: ornament(cx, cy, x * 0.9, y * 0.82, 0.34) },
        ...Array.from({ length: 6 }, (_, petal) => ({
          tint: one,
          ring: turned(leaf(x * 0.12, x * 0.07), cx, cy - y * 0.5, (petal * Math.PI) / 3 + Math.PI / 6),
        })),
      ]),
    ),
  ];
};

/** Chips by chance, a few to each cell of a grid, none so large that it reaches beyond the cells beside its own. */
const chips = ({ chip, apart }: PatternSizes, window: Rect, seed: number): readonly Figure[] => {
  const cell = apart as number;
  return stepsOver(window.y0 - cell, window.y1 + cell, cell).flatMap((row) =>
    stepsOver(window.x0 - cell, window.x1 + cell, cell).map((column) => {
      const [a, b, c, d] = [0, 1, 2, 3].map((salt) => chance(seed, column, row, salt)) as [number, number, number, number];
      const radius = (chip as number) * (0.25 + 0.5 * c * c);
      const [cx, cy] = [(column + 0.15 + 0.7 * a) * cell, (row + 0.15 + 0.7 * b) * cell];
      const corners = 4 + Math.floor(d * 3);
      const ring = Array.from({ length: corners }, (_, index): Point => {
        const angle = d * 6 + ((index + 0.35 * chance(seed, column * 8 + index, row, 5)) * 2 * Math.PI) / corners;
        const reach = radius * (0.65 + 0.35 * chance(seed, column * 8 + index, row, 6));
        return [cx + reach * Math.cos(angle), cy + reach * Math.sin(angle) * 0.8];
      });
      return { tint: { ink: 1 + Math.floor(chance(seed, column, row, 4) * 3), tone: toneAt(d, 0.1) }, ring };
    }),
  );
};

const dots = ({ dot, apart }: PatternSizes, window: Rect): readonly Figure[] => {
  const step = apart as number;
  return halfDrop(window, step, step, step, (cx, cy) => [{ tint: { ink: 1 }, ring: regular(cx, cy, (dot as number) / 2, 20) }]);
};

const stripes: DrawAreas = ({ wide, between }, window) => [
  ground(window),
  ...gathered(bands(window, (wide as number) + (between as number), [[0, wide as number, { ink: 1 }]], true)),
];

export const PRINTED = {
  stripes,
  gingham,
  plaid,
  dots: (sizes, window) => [ground(window), ...gathered(dots(sizes, window))],
  sprigs,
  damask,
  terrazzo: (sizes, window, seed) => [ground(window), ...gathered(chips(sizes, window, seed))],
} as const satisfies Readonly<Record<string, DrawAreas>>;
