import { PRINT_STOCK_NAMES, PRINT_STOCKS } from '../../stock/index.ts';
import { choice, type Field } from '../family/field.ts';
import { boardFields, count, dollSize, size } from '../family/fields.ts';
import { MOST_ODD_COPIES, ODD_FORMS, type OddForm, type OddThing } from './odd.ts';

/** What each form is called. */
export const ODD_WORDS: Readonly<Record<OddForm, string>> = {
  lamp: 'a lamp with a shade',
  plant: 'a plant in a pot',
  vase: 'a vase or jar',
  candle: 'a candle',
  cake: 'a cake, pie or cheese',
  loaf: 'a loaf',
  bottle: 'a bottle',
  plate: 'a plate',
  tray: 'a tray with a rim',
  pencil: 'a pencil',
  hanger: 'a hanger of wire',
  key: 'a key',
  frame: 'a frame of strips',
  log: 'a log',
};

const on =
  (...forms: readonly OddForm[]) =>
  (piece: never): boolean =>
    forms.includes((piece as OddThing).form);
const made =
  (...forms: readonly OddForm[]) =>
  (piece: never): boolean =>
    forms.includes((piece as OddThing).form) && !(piece as OddThing).found;

const off =
  (...forms: readonly OddForm[]) =>
  (piece: never): boolean =>
    !on(...forms)(piece);
const beaded = (piece: never): boolean => made('cake')(piece) && (piece as OddThing).extras > 0;

/** What is decided about a found or mixed thing. */
export const ODD_FIELDS: readonly Field[] = [
  {
    path: ['height'],
    label: 'Height',
    group: 'size',
    kind: size(1, 4_000, 'height'),
    when: on('lamp', 'plant', 'vase', 'candle', 'cake', 'loaf', 'bottle', 'hanger', 'frame'),
  },
  { path: ['width'], label: 'Shade, across below', group: 'size', kind: size(1, 4_000), when: on('lamp') },
  { path: ['above'], label: 'Shade, across above', group: 'size', kind: size(0, 3_000), when: on('lamp') },
  { path: ['part'], label: 'Shade, high', group: 'size', kind: size(0, 3_000), when: on('lamp') },
  { path: ['foot'], label: 'Foot, across', group: 'size', kind: size(0, 3_000), when: on('lamp') },
  { path: ['width'], label: 'Pot, across above', group: 'size', kind: size(1, 4_000, 'width'), when: on('plant') },
  { path: ['above'], label: 'Pot, across below', group: 'size', kind: size(0, 3_000), when: on('plant') },
  { path: ['part'], label: 'Pot, high', group: 'size', kind: size(0, 3_000), when: on('plant') },
  { path: ['width'], label: 'Across below', group: 'size', kind: size(1, 4_000), when: on('vase') },
  { path: ['above'], label: 'Across above', group: 'size', kind: size(0, 3_000), when: on('vase') },
  { path: ['width'], label: 'Across', group: 'size', kind: size(1, 4_000, 'width'), when: on('candle', 'cake', 'bottle', 'plate') },
  { path: ['width'], label: 'Length', group: 'size', kind: size(1, 4_000, 'width'), when: on('loaf', 'pencil', 'key', 'log') },
  { path: ['width'], label: 'Width', group: 'size', kind: size(1, 4_000, 'width'), when: on('tray', 'hanger', 'frame') },
  { path: ['depth'], label: 'Front to back', group: 'size', kind: size(1, 4_000, 'depth'), when: on('loaf', 'tray') },
  { path: ['height'], label: 'Across', group: 'size', kind: size(1, 4_000, 'height'), when: on('log') },
  { path: ['height'], label: 'Its ring, across', group: 'size', kind: size(1, 4_000, 'height'), when: on('key') },
  { path: ['above'], label: 'Neck, across', group: 'size', kind: size(0, 3_000), when: on('bottle') },
  { path: ['part'], label: 'Shoulder, high', group: 'size', kind: size(0, 3_000), when: on('bottle') },
  { path: ['above'], label: 'Within its rim, across', group: 'size', kind: size(0, 3_000), when: on('plate') },
  { path: ['part'], label: 'Its point, long', group: 'size', kind: size(0, 3_000), when: on('pencil') },
  { path: ['part'], label: 'Wick above it', group: 'size', kind: size(0, 3_000), when: on('candle') },
  { path: ['part'], label: 'Hook, across', group: 'size', kind: size(0, 3_000), when: on('hanger') },
  { path: ['form'], label: 'It is', group: 'shape', kind: choice(...ODD_FORMS.map((form) => [form, ODD_WORDS[form]] as const)) },
  { path: ['found'], label: 'Found, not made: it only takes its place', group: 'shape', kind: { kind: 'yes' }, when: off('hanger') },
  { path: ['sides'], label: 'Straight sides (under 3: round)', group: 'shape', kind: count(0, 24), when: made('cake') },
  { path: ['slices'], label: 'Cut into slices', group: 'shape', kind: count(1, 24), when: made('cake') },
  { path: ['gone'], label: 'Slices that are gone', group: 'shape', kind: count(0, 23), when: made('cake', 'loaf') },
  { path: ['extras'], label: 'Beads on its rim, at most', group: 'shape', kind: count(0, 60), when: made('cake') },
  { path: ['bead'], label: 'One bead', group: 'shape', kind: dollSize(0.5, 30), when: beaded },
  { path: ['extras'], label: 'Leaves', group: 'shape', kind: count(0, 60), when: made('plant') },
  { path: ['stick'], label: 'Stem', group: 'shape', kind: { kind: 'stick', only: 'round' }, when: made('lamp') },
  { path: ['stick'], label: 'Cut from', group: 'shape', kind: { kind: 'stick', only: 'round' }, when: on('pencil') },
  { path: ['stick'], label: 'Strips', group: 'shape', kind: { kind: 'stick', only: 'edged' }, when: made('tray', 'frame') },
  {
    path: ['paper'],
    label: 'Rolled or cut from',
    group: 'build',
    kind: choice(...PRINT_STOCK_NAMES.map((stock) => [stock, `${PRINT_STOCKS[stock].name}, ${PRINT_STOCKS[stock].weight} g/m²`] as const)),
    when: made('lamp', 'plant', 'vase', 'candle', 'bottle', 'plate', 'pencil', 'key', 'frame', 'log'),
  },
  {
    path: ['tab'],
    label: 'Overlap',
    group: 'build',
    kind: dollSize(1, 30),
    when: made('lamp', 'plant', 'vase', 'candle', 'bottle', 'cake', 'loaf', 'log', 'pencil'),
  },
  { path: ['count'], label: 'How many', group: 'fittings', kind: count(1, MOST_ODD_COPIES) },
  ...boardFields({ body: 'what it is built of', base: 'foot and holder' })
    .filter(({ path }) => path[0] === 'boards')
    .map((field) => ({ ...field, when: field.path[1] === 'base' ? made('lamp') : made('plant', 'cake', 'loaf', 'tray', 'frame') })),
];
