import { choice, type Field } from '../family/field.ts';
import { boardFields, bodyScaleField, count, size } from '../family/fields.ts';
import { LOW } from './buildStickwork.ts';
import type { Form, Stickwork } from './stickwork.ts';

const on =
  (...forms: readonly Form[]): ((piece: never) => boolean) =>
  (piece: never) =>
    forms.includes((piece as Stickwork).form);

const off =
  (...forms: readonly Form[]): ((piece: never) => boolean) =>
  (piece: never) =>
    !on(...forms)(piece);

const FORM_WORDS: readonly (readonly [Form, string])[] = [
  ['fence', 'a fence'],
  ['cot', 'a cot'],
  ['rack', 'a rack like an A'],
  ['ladder', 'a ladder'],
  ['easel', 'an easel'],
  ['rail', 'a rod on the wall'],
  ['shelves', 'shelves'],
  ['plate rack', 'a rack for plates'],
];

/** What is decided about stickwork. */
export const STICKWORK_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(10, 10_000, 'width') },
  {
    path: ['height'],
    label: 'Height',
    group: 'size',
    kind: size(10, 10_000, 'height'),
    when: on('fence', 'cot', 'rack', 'ladder', 'easel', 'shelves', 'plate rack'),
  },
  {
    path: ['depth'],
    label: 'Depth',
    group: 'size',
    kind: size(10, 10_000, 'depth'),
    when: on('cot', 'rack', 'ladder', 'easel', 'rail', 'shelves', 'plate rack'),
  },
  { path: ['form'], label: 'It is', group: 'shape', kind: choice(...FORM_WORDS) },
  { path: ['low'], label: 'Floor to the lowest rail or shelf', group: 'size', kind: size(0, 3_000), when: on(...LOW) },
  { path: ['count'], label: 'How many rails or shelves', group: 'shape', kind: count(1, 20), when: on('fence', 'rail', 'shelves') },
  { path: ['clear'], label: 'Clear height between shelves', group: 'shape', kind: size(1, 2_000), when: on('shelves') },
  { path: ['layers'], label: 'Sticks on one another', group: 'shape', kind: count(1, 6), when: on('shelves') },
  { path: ['gap'], label: 'Largest gap', group: 'shape', kind: size(1, 2_000), when: on('fence', 'cot', 'rack', 'ladder', 'plate rack') },
  { path: ['front'], label: 'Front', group: 'shape', kind: choice(['slats', 'slats'], ['open', 'open: a small bed']), when: on('cot') },
  {
    path: ['post'],
    label: 'Posts or legs of',
    group: 'shape',
    kind: { kind: 'stick', only: 'edged' },
    when: on('fence', 'cot', 'rack', 'ladder', 'easel', 'shelves'),
  },
  {
    path: ['rail'],
    label: 'Rails or shelves of',
    group: 'shape',
    kind: { kind: 'stick', only: 'edged' },
    when: on('fence', 'cot', 'rack', 'easel', 'shelves', 'plate rack'),
  },
  { path: ['slat'], label: 'Slats or pegs of', group: 'shape', kind: { kind: 'stick' }, when: on('fence', 'cot', 'rack', 'plate rack') },
  { path: ['rod'], label: 'Rod or rungs of', group: 'shape', kind: { kind: 'stick', only: 'round' }, when: on('rack', 'ladder', 'rail') },
  { path: ['knob'], label: 'Finials, across', group: 'fittings', kind: size(1, 2_000), when: on('rail') },
  { ...bodyScaleField('Its height goes by her body; the rest follows the scale.'), when: off('rail') },
  ...boardFields({ base: 'base or brackets', finial: 'finials' }),
];
