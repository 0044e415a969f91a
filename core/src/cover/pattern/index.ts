import { MASONRY } from './masonry.ts';
import type { Pattern } from './pattern.ts';
import { PRINTED } from './printed.ts';
import { TEXTURES } from './textures.ts';
import { WOOD } from './wood.ts';

export type { Fill, Pattern, PatternInk, PatternSize, RasterPattern, Sizes, Tint, VectorPattern } from './pattern.ts';

const ALL = { ...MASONRY, ...WOOD, ...PRINTED, ...TEXTURES } as const;

export type PatternName = keyof typeof ALL;

/** Every pattern by its name. */
export const PATTERNS: Readonly<Record<PatternName, Pattern>> = ALL;

export const PATTERN_NAMES = Object.keys(ALL) as [PatternName, ...PatternName[]];
