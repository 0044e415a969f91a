export { PATTERN_NAMES, PATTERNS, type PatternName } from './catalogue.ts';
export { DRAWINGS, isOfTones, PAINTINGS } from './drawings.ts';
export type { Fill, PatternInk, PatternSize, PatternSizes, SurfacePattern, Tint } from './pattern.ts';
