export { PATTERN_NAMES, PATTERNS, type PatternName } from './catalogue.ts';
export { DRAWINGS, isOfTones, PAINTINGS } from './drawings.ts';
export type { Fill, Pattern, PatternInk, PatternSize, Sizes, Tint } from './pattern.ts';
