import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { wallThingSchema } from './wallThing.ts';

const preset = presetsOf<z.input<typeof wallThingSchema>>('wall', 'walls');

/** Things for walls. All of it is common practice without source. */
export const WALL_PRESETS: readonly Preset[] = [
  preset('bracket-shelf', 'Shelf on brackets', 'a board on two triangles', 'kitchen spice bathroom', { height: '220 mm', depth: '220 mm' }),
  preset('curved-shelf', 'Shelf on curved brackets', 'a board on the wall behind it', 'hall mantel kitchen', {
    width: '900 mm',
    height: '240 mm',
    depth: '240 mm',
    count: 3,
    bracket: 'curved',
    backed: true,
  }),
  preset('peg-rail', 'Peg rail', 'pegs that rise a little, for coats', 'hook coat hall cloakroom', {
    form: 'pegs',
    width: '1200 mm',
    height: '120 mm',
    depth: '110 mm',
    count: 6,
  }),
  preset('coat-shelf', 'Coat rail with a shelf', 'pegs under a shelf', 'hook hat hall entry', {
    form: 'pegs',
    width: '900 mm',
    height: '180 mm',
    depth: '220 mm',
    count: 5,
    rise: '25 mm',
    backed: true,
  }),
  preset('picture-frame', 'Picture frame', 'mitred strips round a backing', 'art photo poster', {
    form: 'frame',
    width: '500 mm',
    height: '700 mm',
    border: '45 mm',
  }),
  preset('mirror', 'Wall mirror', 'a frame for mirror film, clear sheet in front', 'glass bathroom hall', {
    form: 'frame',
    holds: 'mirror',
    width: '600 mm',
    height: '900 mm',
    border: '60 mm',
    corners: 'butted',
    glazed: true,
  }),
  preset('wall-sign', 'Sign', 'a board with a narrow frame', 'shop name notice', {
    form: 'frame',
    holds: 'sign',
    width: '900 mm',
    height: '300 mm',
    border: '25 mm',
  }),
  preset('wall-clock', 'Wall clock', 'a dial, a rim, two hands', 'station kitchen time', {
    form: 'clock',
    width: '400 mm',
    border: '40 mm',
  }),
];
