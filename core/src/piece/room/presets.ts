import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { roomSchema } from './room.ts';

const preset = presetsOf<z.input<typeof roomSchema>>('room', 'rooms');

const OPEN = { kind: 'open' } as const;
const DOOR = { form: 'door', width: '838 mm', height: '2032 mm' } as const;
const WINDOW = { form: 'window', width: '900 mm', height: '1200 mm', up: '850 mm' } as const;

/** A ceiling at 8 ft and a door leaf of 2032 mm: interior-design handbooks, recalled from memory. All else is common practice without source. */
export const ROOM_PRESETS: readonly Preset[] = [
  preset('three-walls', 'Room of three walls', 'open towards you, a window in the back, a door at the side', 'shell scene playset', {
    walls: [{ openings: [{ ...WINDOW, from: '1050 mm' }] }, { openings: [{ ...DOOR, from: '1250 mm', hinge: 'right' }] }, OPEN, {}],
    skirting: '120 mm',
  }),
  preset('corner-room', 'Corner', 'two walls that meet', 'photo backdrop small', {
    width: '2400 mm',
    depth: '2000 mm',
    walls: [{}, OPEN, OPEN, { openings: [{ ...WINDOW, from: '500 mm' }] }],
    skirting: '100 mm',
  }),
  preset('four-walls', 'Room of four walls', 'its front comes off', 'closed box shell', {
    walls: [{}, { openings: [{ ...WINDOW, from: '700 mm' }] }, { kind: 'removable', openings: [{ ...DOOR, from: '1000 mm' }] }, {}],
    skirting: '120 mm',
    trims: 'mitred',
  }),
  preset('box-room', 'Box with a ceiling', 'three walls and a ceiling, a rail and a cornice', 'shelf cube stackable', {
    ceiling: true,
    walls: [{ openings: [{ ...WINDOW, from: '1050 mm' }] }, {}, OPEN, {}],
    skirting: '120 mm',
    cornice: '100 mm',
    rail: { height: '60 mm', up: '2100 mm' },
    trims: 'mitred',
  }),
  preset('two-cells', 'Two rooms side by side', 'they share a wall with a door in it', 'cells house apartment', {
    width: '5200 mm',
    cells: 2,
    between: [{ openings: [{ ...DOOR, from: '900 mm' }] }],
    walls: [
      {
        openings: [
          { ...WINDOW, from: '900 mm' },
          { ...WINDOW, from: '3500 mm' },
        ],
      },
      {},
      OPEN,
      {},
    ],
    skirting: '120 mm',
  }),
  preset('two-storeys', 'Two storeys', 'one room over another', 'upper floor house tall', {
    storeys: 2,
    ceiling: true,
    walls: [{ openings: [{ ...WINDOW, from: '1050 mm' }] }, {}, OPEN, {}],
  }),
  preset('shopfront', 'Shopfront', 'pillars, glazed bays and a shallow display behind them', 'store window street', {
    width: '4000 mm',
    depth: '900 mm',
    walls: [{}, {}, { kind: 'shop', bays: 2, pillar: '380 mm', riser: '450 mm', lintel: '350 mm' }, {}],
    corners: ['right', 'right', 'left', 'left'],
  }),
  preset('folding-room', 'Room with a wall that folds', 'the right wall is scored and opens', 'fold away storage', {
    width: '1829 mm',
    depth: '2134 mm',
    height: '1981 mm',
    walls: [{}, { fold: '914 mm' }, OPEN, {}],
    corners: ['right', 'left', 'left', 'right'],
    joined: 'taped',
  }),
  preset('false-wall', 'Room with a false wall', 'lamps, and a cavity for their battery box behind a second wall', 'lights lamps battery', {
    walls: [{ cavity: '25 mm', lights: { from: '600 mm', up: '1900 mm', count: 3, apart: '900 mm', across: '5 mm' } }, {}, OPEN, {}],
    skirting: '120 mm',
    cornerStrips: '100 mm',
  }),
  preset('arched-room', 'Room with an arch', 'an arch to walk through and a round window', 'chapel hall garden', {
    walls: [
      { openings: [{ form: 'arch', from: '950 mm', up: '0 mm', width: '1100 mm', height: '2100 mm' }] },
      {},
      OPEN,
      { openings: [{ form: 'round', from: '900 mm', up: '1300 mm', width: '600 mm' }] },
    ],
  }),
  preset('bay-room', 'Room with a bay', 'its back stands out in three sides', 'window alcove', {
    plan: 'own',
    points: [
      [0, 600_000],
      [700_000, 600_000],
      [1_100_000, 0],
      [2_100_000, 0],
      [2_500_000, 600_000],
      [3_200_000, 600_000],
      [3_200_000, 2_800_000],
      [0, 2_800_000],
    ],
    walls: [{}, {}, { openings: [{ ...WINDOW, width: '600 mm', from: '200 mm' }] }, {}, {}, {}, OPEN, {}],
    corners: ['mitred', 'mitred', 'mitred', 'mitred', 'mitred', 'left', 'left', 'right'],
    trims: 'mitred',
    skirting: '120 mm',
  }),
  preset('l-room', 'L-shaped room', 'a corner of it is taken by another', 'kitchen nook', {
    plan: 'own',
    points: [
      [0, 0],
      [3_600_000, 0],
      [3_600_000, 2_600_000],
      [1_800_000, 2_600_000],
      [1_800_000, 1_500_000],
      [0, 1_500_000],
    ],
    walls: [{ openings: [{ ...WINDOW, from: '1300 mm' }] }, {}, OPEN, {}, OPEN, {}],
    corners: ['right', 'left', 'left', 'left', 'left', 'right'],
    skirting: '120 mm',
  }),
  preset('joined-room', 'Three rooms joined', 'shells of other times, levelled and filled up to one', 'together long gallery modules', {
    width: '2400 mm',
    depth: '2700 mm',
    height: '2400 mm',
    walls: [{ openings: [{ ...WINDOW, from: '700 mm' }] }, OPEN, OPEN, {}],
    skirting: '120 mm',
    seams: '100 mm',
    shells: [
      { shell: { width: '2400 mm', depth: '2700 mm', height: '2438 mm', walls: [{}, OPEN, OPEN, OPEN], skirting: '120 mm' } },
      {
        shell: {
          width: '2400 mm',
          depth: '2400 mm',
          height: '2300 mm',
          walls: [{ openings: [{ ...WINDOW, from: '700 mm' }] }, {}, OPEN, OPEN],
          skirting: '120 mm',
          thick: { wall: null, floor: '50 mm', trim: null },
        },
      },
    ],
  }),
  preset('panelled-room', 'Panelled room', 'strips up to a rail, beams under the ceiling', 'dado wainscot parlour beams', {
    ceiling: true,
    walls: [{ openings: [{ ...WINDOW, from: '1050 mm', view: '25 mm' }] }, {}, OPEN, {}],
    skirting: '120 mm',
    rail: { height: '60 mm', up: '900 mm' },
    panelling: { form: 'battens', up: '900 mm', apart: '430 mm', width: '60 mm' },
    beams: { count: 2, width: '130 mm', height: '160 mm' },
    trims: 'mitred',
  }),
];
