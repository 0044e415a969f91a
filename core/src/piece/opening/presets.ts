import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { openingSchema } from './opening.ts';

const preset = presetsOf<z.input<typeof openingSchema>>('opening', 'openings');

/** A door leaf is 762–914 wide and 2032 high (interior-design handbooks, recalled from memory); windows and what they are made of: common practice
 *  without source. */
export const OPENING_PRESETS: readonly Preset[] = [
  preset('panel-door', 'Panelled door', 'a leaf with raised panels in its frame', 'entrance room front', { panelsAcross: 2, panelsUp: 3 }),
  preset('plain-door', 'Plain door', 'a flat leaf, mitred frame', 'room modern bathroom', {
    panelsAcross: 0,
    corners: 'mitred',
    hinge: 'right',
  }),
  preset('sash-window', 'Window with bars', 'four panes and a sill', 'kitchen cottage bedroom', {
    form: 'window',
    width: '900 mm',
    height: '1200 mm',
  }),
  preset('shop-window', 'Wide window', 'one upright bar, no sill', 'shop display modern', {
    form: 'window',
    width: '1800 mm',
    height: '1200 mm',
    barsUpright: 1,
    barsLying: 0,
    sill: '0 mm',
    corners: 'mitred',
  }),
];
