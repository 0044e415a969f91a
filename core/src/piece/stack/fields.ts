import { choice, type Field } from '../family/field.ts';
import { boardFields, count, size } from '../family/fields.ts';
import type { OutlineKind, Stack } from './stack.ts';

const on =
  (...kinds: readonly OutlineKind[]): ((piece: never) => boolean) =>
  (piece: never) =>
    kinds.includes((piece as Stack).outline);

const lies = (how: Stack['lies']): ((piece: never) => boolean) => ((piece: Stack) => piece.lies === how) as (piece: never) => boolean;

/** What is decided about one layer. */
export const LAYER_FIELDS: readonly Field[] = [
  { path: ['out'], label: 'Larger all round by', group: 'size', kind: size(0, 2_000) },
  { path: ['in'], label: 'Smaller all round by', group: 'size', kind: size(0, 2_000) },
  { path: ['rim'], label: 'Only a rim, wide', group: 'size', kind: size(0, 2_000) },
  { path: ['boards'], label: 'Boards on one another', group: 'size', kind: count(1, 12) },
  {
    path: ['board'],
    label: 'Cut from',
    group: 'size',
    kind: choice(['first', 'the first kind'], ['second', 'the second kind'], ['third', 'the third kind']),
  },
  { path: ['level'], label: 'It lies', group: 'size', kind: choice(['on', 'on the one before'], ['beside', 'level with it']) },
];

/** What is decided about a stacked shape; its layers have a list of their own. */
export const STACK_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(2, 10_000, 'width') },
  { path: ['height'], label: 'Length', group: 'size', kind: size(2, 10_000, 'depth'), when: lies('lies') },
  { path: ['height'], label: 'Height', group: 'size', kind: size(2, 10_000, 'height'), when: lies('stands') },
  {
    path: ['outline'],
    label: 'Outline',
    group: 'shape',
    kind: choice(
      'rectangle',
      ['rounded', 'rounded rectangle'],
      ['circle', 'circle or oval'],
      'polygon',
      'star',
      'heart',
      'cloud',
      'crown',
      'arch',
      ['own', 'my own'],
    ),
  },
  { path: ['corners'], label: 'Corners or points', group: 'shape', kind: count(3, 24), when: on('polygon', 'star', 'crown') },
  { path: ['round'], label: 'Corners rounded by', group: 'shape', kind: size(0, 2_000), when: on('rounded') },
  { path: ['lies'], label: 'It', group: 'shape', kind: choice(['lies', 'lies on its layers'], ['stands', 'stands upright']) },
  ...boardFields({ first: 'the first kind', second: 'the second kind', third: 'the third kind' }),
];
