import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { bedSchema } from './bed.ts';

const preset = presetsOf<z.input<typeof bedSchema>>('bed', 'beds');

/** Mattress sizes: European 900 × 2000, 1400 × 2000 and US twin 38 × 75 in, recalled from memory of bedding sizes; heights are common
 *  practice without source. */
export const BED_PRESETS: readonly Preset[] = [
  preset('platform-bed', 'Platform bed', 'low rails on posts, no boards', 'simple low futon', {
    mattressWidth: '1400 mm',
    head: { height: '0 mm' },
    lies: '280 mm',
    rail: '150 mm',
    recess: '40 mm',
  }),
  preset('panel-bed', 'Panel bed', 'straight head and foot boards', 'single bedroom guest', {
    mattressWidth: '900 mm',
    head: { height: '950 mm' },
    foot: { height: '600 mm' },
    lies: '350 mm',
  }),
  preset('arch-bed', 'Bed with an arched head', 'an arch behind the pillow, slats below', 'double romantic bedroom', {
    mattressWidth: '1400 mm',
    head: { height: '1150 mm', edge: 'arch', rise: '220 mm' },
    foot: { height: '650 mm', edge: 'arch', rise: '100 mm' },
    lies: '350 mm',
    base: 'slats',
  }),
  preset('half-round-bed', 'Half-round bed', 'a half-round head board', 'shell sun bedroom', {
    mattressWidth: '900 mm',
    head: { height: '1150 mm', edge: 'half-round' },
    foot: { height: '500 mm' },
    lies: '330 mm',
  }),
  preset('castle-bed', 'Castle bed', 'battlements at head and foot', 'child knight princess tower', {
    mattressWidth: '38 in',
    mattressLength: '75 in',
    head: { height: '1100 mm', edge: 'battlements', rise: '120 mm' },
    foot: { height: '700 mm', edge: 'battlements', rise: '120 mm' },
    lies: '330 mm',
  }),
  preset('daybed', 'Daybed', 'a board along the back, drawers below', 'sofa couch trundle guest', {
    mattressWidth: '900 mm',
    head: { height: '750 mm' },
    foot: { height: '750 mm' },
    backBoard: { height: '850 mm' },
    lies: '420 mm',
    rail: '120 mm',
    recess: '30 mm',
    drawers: 2,
  }),
  preset('loft-bed', 'Loft bed', 'high on posts with a ladder, room for a desk below', 'child study high', {
    mattressWidth: '900 mm',
    mattressThickness: '140 mm',
    head: { height: '0 mm' },
    levels: 'loft',
    clear: '1350 mm',
    recess: '300 mm',
    rail: '420 mm',
    ladder: 'left',
    post: 'square dowel, 10 mm',
  }),
  preset('bunk-bed', 'Bunk bed', 'two beds, one above the other', 'children siblings cabin ferry', {
    mattressWidth: '900 mm',
    mattressThickness: '140 mm',
    head: { height: '0 mm' },
    levels: 'bunk',
    lies: '330 mm',
    clear: '1000 mm',
    recess: '160 mm',
    rail: '280 mm',
    ladder: 'right',
    base: 'slats',
    post: 'square dowel, 10 mm',
  }),
];
