import { choice, type Field } from '../family/field.ts';
import { boardFields, bodyScaleField, count, isSome, size } from '../family/fields.ts';
import type { Seat } from './seat.ts';

const on = (test: (piece: Seat) => boolean): ((piece: never) => boolean) => test as (piece: never) => boolean;
const sticks = on(({ stands }) => stands === 'sticks');
const backed = ({ back, shape, stands, box }: Seat): boolean =>
  back !== 'none' && shape === 'rectangle' && !(stands === 'box' && box === 'lid');
const runged = on(({ stands, shape }) => stands === 'sticks' && shape === 'rectangle');
const posted = on((seat) => seat.stands === 'sticks' && backed(seat));

/** What is decided about something to sit on. */
export const SEAT_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(10, 10_000, 'width') },
  { path: ['depth'], label: 'Depth', group: 'size', kind: size(10, 10_000, 'depth') },
  { path: ['height'], label: 'Height of the back', group: 'size', kind: size(10, 10_000, 'height'), when: on(backed) },
  { path: ['seat'], label: 'Floor to the seat, padding and all', group: 'size', kind: size(10, 10_000) },
  {
    path: ['stands'],
    label: 'It stands on',
    group: 'shape',
    kind: choice(['sticks', 'legs of stick'], ['sides', 'two sides'], ['box', 'a box']),
  },
  { path: ['shape'], label: 'Seat', group: 'shape', kind: choice(['rectangle', 'square-cut'], 'round'), when: sticks },
  {
    path: ['stick'],
    label: 'Legs or feet of',
    group: 'shape',
    kind: { kind: 'stick' },
    when: on(({ stands, feet }) => stands === 'sticks' || (stands === 'sides' && isSome(feet))),
  },
  { path: ['inset'], label: 'Legs in from the edge', group: 'shape', kind: size(0, 2_000), when: sticks },
  { path: ['splay'], label: 'Legs spread by', group: 'shape', kind: size(0, 2_000), when: sticks },
  { path: ['rungs'], label: 'Rungs', group: 'shape', kind: { kind: 'optional', make: 150_000 }, when: runged },
  {
    path: ['rungs'],
    label: 'Rungs above the floor',
    group: 'shape',
    kind: size(0, 2_000),
    when: on((seat) => runged(seat as never) && seat.rungs !== null),
  },
  {
    path: ['rung'],
    label: 'Rungs and rails of',
    group: 'shape',
    kind: { kind: 'stick', only: 'edged' },
    when: on(
      (seat) => seat.stands === 'sticks' && ((runged(seat as never) && seat.rungs !== null) || (backed(seat) && seat.back !== 'board')),
    ),
  },
  {
    path: ['back'],
    label: 'Back',
    group: 'shape',
    kind: choice('none', ['board', 'a board'], ['rails', 'rails'], ['slats', 'slats']),
    when: on((seat) => backed({ ...seat, back: 'board' })),
  },
  { path: ['lean'], label: 'Back leans by', group: 'shape', kind: size(0, 2_000), when: on(backed) },
  { path: ['post'], label: 'Back posts of', group: 'shape', kind: { kind: 'stick', only: 'edged' }, when: posted },
  { path: ['backFrom'], label: 'Back begins above the seat', group: 'shape', kind: size(0, 2_000), when: posted },
  {
    path: ['rails'],
    label: 'Back rails',
    group: 'shape',
    kind: count(1, 8),
    when: on((seat) => posted(seat as never) && seat.back === 'rails'),
  },
  {
    path: ['gap'],
    label: 'Largest gap between slats',
    group: 'shape',
    kind: size(1, 2_000),
    when: on((seat) => posted(seat as never) && seat.back === 'slats'),
  },
  { path: ['pad'], label: 'Padding, thick', group: 'fittings', kind: size(0, 2_000) },
  {
    path: ['pads'],
    label: 'Cushions side by side',
    group: 'fittings',
    kind: count(1, 5),
    when: on(({ pad, shape }) => pad !== 0 && shape === 'rectangle'),
  },
  { path: ['backPad'], label: 'Padded back', group: 'fittings', kind: { kind: 'yes' }, when: on((seat) => seat.pad !== 0 && backed(seat)) },
  {
    path: ['arms'],
    label: 'Arms',
    group: 'shape',
    kind: { kind: 'optional', make: 620_000 },
    when: on(({ stands }) => stands === 'sides'),
  },
  {
    path: ['arms'],
    label: 'Floor to the arms',
    group: 'shape',
    kind: size(0, 2_000),
    when: on(({ stands, arms }) => stands === 'sides' && arms !== null),
  },
  { path: ['feet'], label: 'Feet below the carcass', group: 'shape', kind: size(0, 2_000), when: on(({ stands }) => stands === 'sides') },
  {
    path: ['box'],
    label: 'The box is',
    group: 'shape',
    kind: choice('closed', ['lid', 'a chest with a lid'], ['boxes', 'open, with boxes']),
    when: on(({ stands }) => stands === 'box'),
  },
  {
    path: ['boxes'],
    label: 'Boxes side by side',
    group: 'fittings',
    kind: count(1, 6),
    when: on(({ stands, box }) => stands === 'box' && box === 'boxes'),
  },
  {
    path: ['grip'],
    label: 'Grip',
    group: 'fittings',
    kind: choice('none', 'knob', 'bar'),
    when: on(({ stands, box }) => stands === 'box' && box === 'boxes'),
  },
  bodyScaleField('Its seat and back go by her body; the rest follows the scale.'),
  ...boardFields({ seat: 'the seat', carcass: 'sides and box', back: 'the back', tray: 'boxes' }),
];
