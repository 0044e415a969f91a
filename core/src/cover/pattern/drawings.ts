// How each pattern of the catalogue is drawn or painted.
import type { PatternName } from './catalogue.ts';
import { MASONRY } from './masonry.ts';
import type { DrawAreas, PaintTones } from './pattern.ts';
import { PRINTED } from './printed.ts';
import { TEXTURES } from './textures.ts';
import { WOOD } from './wood.ts';

type ToneName = keyof typeof TEXTURES;

export const DRAWINGS: Readonly<Record<Exclude<PatternName, ToneName>, DrawAreas>> = { ...MASONRY, ...WOOD, ...PRINTED };

export const PAINTINGS: Readonly<Record<ToneName, PaintTones>> = TEXTURES;

export const isOfTones = (name: PatternName): name is ToneName => name in PAINTINGS;
