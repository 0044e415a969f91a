import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { roundSchema } from './turned.ts';

const preset = presetsOf<z.input<typeof roundSchema>>('round', 'round');

/** Round things. All of it is common practice without source. */
export const ROUND_PRESETS: readonly Preset[] = [
  preset('table-lamp', 'Table lamp', 'a foot, a dowel, a shade rolled from a sector', 'light bedside desk', {
    sections: [
      { kind: 'disc', across: '160 mm', height: '30 mm' },
      { kind: 'stem', height: '330 mm' },
      { kind: 'shade', across: '320 mm', above: '200 mm', height: '200 mm' },
    ],
  }),
  preset('floor-lamp', 'Floor lamp', 'tall, a wide shade', 'standing light reading', {
    sections: [
      { kind: 'disc', across: '300 mm', height: '30 mm' },
      { kind: 'stem', height: '1450 mm', stick: 'round dowel, 5 mm' },
      { kind: 'shade', across: '450 mm', above: '300 mm', height: '280 mm' },
    ],
  }),
  preset('round-tower', 'Tower', 'a tube with battlements on an overhanging floor', 'castle turret knight', {
    sections: [
      { kind: 'disc', across: '700 mm', height: '30 mm' },
      { kind: 'tube', across: '620 mm', height: '1300 mm' },
      { kind: 'disc', across: '740 mm', height: '30 mm' },
      { kind: 'merlons', across: '740 mm', hole: '600 mm', height: '90 mm', count: 9 },
    ],
  }),
  preset('round-tray', 'Round tray', 'a disc with a rim round it', 'serving tea drinks', {
    sections: [
      { kind: 'disc', across: '380 mm', height: '10 mm' },
      { kind: 'rim', height: '50 mm' },
    ],
  }),
  preset(
    'round-pouf',
    'Round pouf',
    'a padded drum',
    'ottoman footstool hassock',
    {
      sections: [
        { kind: 'disc', across: '470 mm', height: '30 mm' },
        { kind: 'tube', across: '470 mm', height: '290 mm' },
        { kind: 'disc', across: '470 mm', height: '30 mm' },
        { kind: 'pad', across: '470 mm', height: '60 mm' },
      ],
    },
    'seats',
  ),
  preset(
    'pedestal-table',
    'Pedestal table',
    'a disc on a dowel on a disc',
    'bistro cafe side plant',
    {
      sections: [
        { kind: 'disc', across: '420 mm', height: '30 mm' },
        { kind: 'stem', height: '640 mm', stick: 'round dowel, 8 mm' },
        { kind: 'disc', across: '600 mm', height: '30 mm' },
      ],
    },
    'tables',
  ),
  preset('plant-pot', 'Plant pot', 'a cone that widens, a ring as its rim', 'flower planter garden terracotta', {
    sections: [
      { kind: 'disc', across: '200 mm', height: '10 mm' },
      { kind: 'cone', across: '180 mm', above: '300 mm', height: '240 mm' },
      { kind: 'disc', across: '350 mm', hole: '250 mm', height: '30 mm' },
    ],
  }),
  preset('bin', 'Waste bin', 'a found tube on a disc', 'paper basket umbrella stand', {
    sections: [
      { kind: 'disc', across: '250 mm', height: '10 mm' },
      { kind: 'found tube', across: '240 mm', height: '300 mm' },
    ],
  }),
  preset('round-cushion', 'Cushion form', 'a disc with padding on it', 'pillow seat floor', {
    sections: [
      { kind: 'disc', across: '420 mm', height: '10 mm' },
      { kind: 'pad', across: '420 mm', height: '90 mm' },
    ],
  }),
  preset('cake-stand', 'Cake stand', 'a wide disc on a cone', 'bakery shop dessert display', {
    sections: [
      { kind: 'disc', across: '150 mm', height: '10 mm' },
      { kind: 'cone', across: '150 mm', above: '100 mm', height: '110 mm' },
      { kind: 'disc', across: '300 mm', height: '10 mm' },
      { kind: 'rim', height: '40 mm' },
    ],
  }),
];
