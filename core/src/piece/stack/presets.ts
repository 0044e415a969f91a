import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { stackSchema } from './stack.ts';

const preset = presetsOf<z.input<typeof stackSchema>>('stack', 'shapes');

/** Outlines in layers. All of it is common practice without source. */
export const STACK_PRESETS: readonly Preset[] = [
  preset('shaped-pan', 'Pan round a shape', 'a rim stands round its filling', 'cake tin loaf baking kitchen', {
    outline: 'rounded',
    width: '260 mm',
    height: '120 mm',
    round: '30 mm',
    layers: [{ out: '30 mm' }, { out: '30 mm', rim: '30 mm', boards: 2 }, { level: 'beside', board: 'second' }],
  }),
  preset('tiered-cake', 'Cake in tiers', 'each layer smaller than the one below', 'wedding birthday bakery', {
    outline: 'circle',
    width: '360 mm',
    height: '360 mm',
    layers: [{ boards: 3 }, { in: '50 mm', boards: 3 }, { in: '100 mm', boards: 2 }],
  }),
  preset('cloud-sign', 'Cloud', 'stands upright, a smaller one in front', 'sign nursery decoration sky', {
    outline: 'cloud',
    width: '600 mm',
    height: '380 mm',
    lies: 'stands',
    layers: [{}, { in: '45 mm' }],
  }),
  preset('heart-box', 'Heart box', 'a tray with a heart’s outline', 'chocolates valentine gift', {
    outline: 'heart',
    width: '300 mm',
    height: '280 mm',
    layers: [{}, { rim: '30 mm', boards: 2 }],
  }),
  preset('star-sign', 'Star', 'two stars, one on the other', 'sign night decoration show', {
    outline: 'star',
    width: '500 mm',
    height: '480 mm',
    lies: 'stands',
    layers: [{}, { in: '30 mm' }],
  }),
  preset('crown', 'Crown over a bed', 'a crown with spikes', 'canopy princess wall headboard', {
    outline: 'crown',
    width: '600 mm',
    height: '300 mm',
    lies: 'stands',
    layers: [{}, { in: '30 mm' }],
  }),
  preset('hexagon-tray', 'Hexagon tray', 'a polygon with its rim', 'shelf honeycomb six', {
    outline: 'polygon',
    corners: 6,
    width: '300 mm',
    height: '260 mm',
    layers: [{}, { rim: '30 mm', boards: 2 }],
  }),
  preset('arch-panel', 'Arched panel', 'a board with a round top, a frame on it', 'niche screen headboard backdrop', {
    outline: 'arch',
    width: '700 mm',
    height: '1400 mm',
    lies: 'stands',
    layers: [{}, { rim: '60 mm' }],
  }),
];
