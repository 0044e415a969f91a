// Patterns are drawn in µm at doll size, x right and y up from the origin of a piece or a wall. Their sizes are decided as the real
// thing's and brought to scale without rounding, so that a hundred courses are a hundred times one course.
import type { Rect, Ring } from '../../shape/index.ts';

/** A colour of a pattern: an ink by number, lightened (1 is white) or darkened (−1 is black), or mixed with another by a share. */
export type Tint = { readonly ink: number; readonly tone?: number; readonly mix?: { readonly ink: number; readonly share: number } };

/** An area in one colour: rings that are filled by the even-odd rule. */
export type Fill = { readonly tint: Tint; readonly rings: readonly Ring[] };

/** A size of a pattern: what it is called, what it usually is on the real thing, its bounds, in mm, and where that is from. */
export type PatternSize = {
  readonly label: string;
  readonly usual: number;
  readonly min: number;
  readonly max: number;
  readonly source: string;
};

/** An ink of a pattern: what it is for, and the colour that it has until one of the palette is taken. */
export type PatternInk = { readonly label: string; readonly usual: string };

/** Sizes by name, at doll size. */
export type PatternSizes = Readonly<Record<string, number>>;

/** What a pattern is, without how it is drawn. */
export type SurfacePattern = {
  /** Of areas, each in one colour; or of tones that run from the first ink to the last. */
  readonly made: 'areas' | 'tones';
  readonly label: string;
  /** Other words that people look for it by. */
  readonly words: string;
  readonly kind: 'wall' | 'floor' | 'paper' | 'wood' | 'stone';
  readonly sizes: Readonly<Record<string, PatternSize>>;
  readonly inks: readonly PatternInk[];
  /** After how much the pattern begins anew, across and up; null where it never does. */
  readonly repeat: (sizes: PatternSizes) => { readonly x: number; readonly y: number } | null;
  /** The size of which a whole number should fit a height: a course, a tile, a board; null where none need. */
  readonly course: ((sizes: PatternSizes) => number) | null;
  /** Whether it shows when it is laid on its side. */
  readonly isDirected: boolean;
};

/** Fills a window all over with areas; what stands out of it is cut off by whoever asked. */
export type DrawAreas = (sizes: PatternSizes, window: Rect, seed: number) => readonly Fill[];

/** Fills `into` with tones from 0 to 255, row by row from the top, one number for each pixel of `pixel` µm. */
export type PaintTones = (sizes: PatternSizes, window: Rect, pixel: number, seed: number, into: Uint8Array) => void;

export const rect = (x0: number, y0: number, x1: number, y1: number): Ring => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

export const ground = (window: Rect, ink = 0): Fill => ({ tint: { ink }, rings: [rect(window.x0, window.y0, window.x1, window.y1)] });

/** The whole numbers n for which n·step + from reaches into low … high. */
export const stepsOver = (low: number, high: number, step: number, from = 0): readonly number[] => {
  const first = Math.floor((low - from) / step);
  const last = Math.ceil((high - from) / step);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => first + index);
};

/** A number in [0, 1) for a place of the pattern: the same for the same place and seed, whatever window it is drawn in.
 *  Source: the finaliser of MurmurHash3 (public domain). */
export const chance = (seed: number, x: number, y: number, salt = 0): number => {
  let h = Math.imul(seed | 0, 0x9e3779b1) ^ Math.imul(x | 0, 0x85ebca6b) ^ Math.imul(y | 0, 0xc2b2ae35) ^ Math.imul(salt + 1, 0x27d4eb2f);
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
};

/** Figures of one colour put together, so that a wall of bricks is a few fills and not a thousand. */
export const gathered = (figures: readonly { readonly tint: Tint; readonly ring: Ring }[]): readonly Fill[] => {
  const by = new Map<string, { readonly tint: Tint; readonly rings: Ring[] }>();
  for (const { tint, ring } of figures) {
    const key = `${tint.ink} ${tint.tone ?? 0} ${tint.mix?.ink ?? ''} ${tint.mix?.share ?? ''}`;
    const known = by.get(key);
    if (known) known.rings.push(ring);
    else by.set(key, { tint, rings: [ring] });
  }
  return [...by.values()];
};

/** A tone from a few steps round 0, so that bricks and planks differ without each having a colour of its own. */
export const toneAt = (share: number, most: number, steps = 5): number =>
  Number((((Math.floor(share * steps) - (steps - 1) / 2) / ((steps - 1) / 2)) * most).toFixed(3));

export const regular = (cx: number, cy: number, radius: number, corners: number, turn = 0): Ring =>
  Array.from({ length: corners }, (_, index) => {
    const angle = turn + (2 * Math.PI * index) / corners;
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)] as const;
  });

const HANDBOOK = 'interior-design handbooks, recalled from memory';
const TRADE = 'common practice, no source';
export const from = { handbook: HANDBOOK, trade: TRADE } as const;

export const size = (label: string, usual: number, min: number, max: number, source: string = TRADE): PatternSize => ({
  label,
  usual,
  min,
  max,
  source,
});
