import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { shopSchema } from './shop.ts';

const preset = presetsOf<z.input<typeof shopSchema>>('shop', 'shop');

/** Fittings of shops. All of it is common practice without source. */
export const SHOP_PRESETS: readonly Preset[] = [
  preset('display-counter', 'Display counter', 'a clear front that slants over a shelf', 'bakery cafe shop glass', {}),
  preset('till', 'Till', 'a block whose front slants', 'cash register counter pay', {
    width: '380 mm',
    height: '320 mm',
    depth: '400 mm',
    low: '120 mm',
    top: '180 mm',
    glazing: 'board',
    back: true,
  }),
  preset('lectern', 'Reading desk', 'a board that slants, open behind', 'music book stand pulpit', {
    width: '500 mm',
    height: '1150 mm',
    depth: '450 mm',
    low: '850 mm',
    top: '150 mm',
    glazing: 'board',
  }),
  preset('pillar', 'Pillar', 'a square core faced with strips', 'column shopfront facade', {
    form: 'pillar',
    width: '260 mm',
    height: '2400 mm',
    depth: '260 mm',
    top: '40 mm',
    count: 2,
    strip: '40 mm',
  }),
  preset('bay-window', 'Display bay', 'three panes over a base', 'shopfront window facade', {
    form: 'bay',
    width: '1600 mm',
    height: '2200 mm',
    depth: '450 mm',
    low: '500 mm',
    top: '250 mm',
  }),
  preset('awning', 'Awning', 'slopes from the wall, a scalloped edge', 'shopfront canopy market cafe', {
    form: 'awning',
    width: '1800 mm',
    height: '650 mm',
    depth: '700 mm',
    count: 9,
    strip: '160 mm',
  }),
  preset('card-stand', 'Stand with slots', 'boards with tabs in a board with slots', 'menu sign postcard display record', {
    form: 'stand',
    width: '300 mm',
    height: '260 mm',
    depth: '260 mm',
    count: 2,
  }),
];
