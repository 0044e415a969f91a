import { choice, type Field } from '../family/field.ts';
import { boardFields, bodyScaleField, count, dollSize, size } from '../family/fields.ts';
import type { Shop, ShopForm } from './shop.ts';

const on =
  (...forms: readonly ShopForm[]): ((piece: never) => boolean) =>
  (piece: never) =>
    forms.includes((piece as Shop).form);

/** What is decided about a fitting of a shop. */
export const SHOP_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(10, 10_000, 'width') },
  { path: ['height'], label: 'Height', group: 'size', kind: size(10, 10_000, 'height') },
  { path: ['depth'], label: 'Depth', group: 'size', kind: size(10, 10_000, 'depth') },
  {
    path: ['form'],
    label: 'It is',
    group: 'shape',
    kind: choice(
      ['counter', 'a counter that slants'],
      ['pillar', 'a pillar'],
      ['bay', 'a bay window'],
      ['awning', 'an awning'],
      ['stand', 'a stand with slots'],
    ),
  },
  { path: ['low'], label: 'Floor to the slope or window', group: 'size', kind: size(0, 3_000), when: on('counter', 'bay') },
  { path: ['top'], label: 'Top deep', group: 'size', kind: size(0, 3_000), when: on('counter') },
  { path: ['top'], label: 'Sides run in by', group: 'size', kind: size(0, 3_000), when: on('bay') },
  { path: ['top'], label: 'Foot and head stand out by', group: 'size', kind: size(0, 3_000), when: on('pillar') },
  {
    path: ['glazing'],
    label: 'Front of',
    group: 'shape',
    kind: choice(['clear', 'clear sheet'], ['board', 'board'], ['open', 'nothing']),
    when: on('counter', 'bay'),
  },
  { path: ['back'], label: 'Back', group: 'shape', kind: { kind: 'yes' }, when: on('counter', 'bay') },
  {
    path: ['count'],
    label: 'How many strips, scallops or slots',
    group: 'shape',
    kind: count(0, 30),
    when: on('pillar', 'awning', 'stand'),
  },
  { path: ['strip'], label: 'Strips, wide', group: 'shape', kind: size(1, 2_000), when: on('pillar') },
  { path: ['strip'], label: 'Valance, high', group: 'shape', kind: size(1, 2_000), when: on('awning') },
  { path: ['play'], label: 'Slots are wider by', group: 'build', kind: dollSize(0, 5), when: on('stand') },
  bodyScaleField('Its height goes by her body; the rest follows the scale.'),
  ...boardFields({ carcass: 'the carcass', front: 'front and what stands', trim: 'strips' }),
];
