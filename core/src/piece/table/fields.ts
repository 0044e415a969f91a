import { choice, type Field } from '../family/field.ts';
import { boardFields, bodyScaleField, count, size } from '../family/fields.ts';
import { sectionOf } from '../parts/panels.ts';
import type { Table } from './table.ts';

const on = (test: (piece: Table) => boolean): ((piece: never) => boolean) => test as (piece: never) => boolean;
const legged = on(({ stands }) => stands !== 'wall');

/** What is decided about a table. */
export const TABLE_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(10, 10_000, 'width') },
  { path: ['depth'], label: 'Depth', group: 'size', kind: size(10, 10_000, 'depth') },
  { path: ['height'], label: 'Height', group: 'size', kind: size(10, 10_000, 'height') },
  { path: ['shape'], label: 'The top', group: 'shape', kind: choice(['rectangle', 'rectangle'], ['round', 'round or oval']), when: legged },
  {
    path: ['stands'],
    label: 'It stands on',
    group: 'shape',
    kind: choice(
      ['sticks', 'legs of stick'],
      ['L', 'L-shaped legs'],
      ['panels', 'end panels'],
      ['trestles', 'trestles'],
      ['wall', 'the wall'],
    ),
  },
  { path: ['stick'], label: 'Legs of', group: 'shape', kind: { kind: 'stick' }, when: on(({ stands }) => stands === 'sticks') },
  {
    path: ['legWidth'],
    label: 'Width of its members',
    group: 'shape',
    kind: size(1, 2_000),
    when: on(({ stands }) => stands === 'L' || stands === 'trestles'),
  },
  { path: ['inset'], label: 'Legs stand in', group: 'shape', kind: size(0, 2_000) },
  { path: ['apron'], label: 'Apron height', group: 'shape', kind: size(0, 2_000, 'height'), when: legged },
  {
    path: ['stretchers'],
    label: 'Stretchers',
    group: 'shape',
    kind: choice('none', ['H', 'sides and middle'], 'all round'),
    when: on((table) => table.stands !== 'wall' && !(table.stands === 'sticks' && sectionOf(table.stick).section === 'round')),
  },
  {
    path: ['stretcherUp'],
    label: 'Stretchers above the floor',
    group: 'shape',
    kind: size(0, 2_000),
    when: on(({ stretchers, stands }) => stands !== 'wall' && stretchers !== 'none'),
  },
  {
    path: ['drawers'],
    label: 'Drawers',
    group: 'fittings',
    kind: count(0, 6),
    when: on(({ stands }) => stands !== 'wall' && stands !== 'trestles'),
  },
  { path: ['grip'], label: 'Grip', group: 'fittings', kind: choice('none', 'knob', 'bar'), when: on(({ drawers }) => drawers > 0) },
  { path: ['brackets'], label: 'Brackets', group: 'shape', kind: count(2, 8), when: on(({ stands }) => stands === 'wall') },
  {
    path: ['bracketHeight'],
    label: 'Bracket height',
    group: 'shape',
    kind: size(1, 2_000, 'height'),
    when: on(({ stands }) => stands === 'wall'),
  },
  { path: ['folds'], label: 'Folds down', group: 'shape', kind: { kind: 'yes' }, when: on(({ stands }) => stands === 'wall') },
  bodyScaleField('The table top goes by the body; the rest follows the scale.'),
  { path: ['under'], label: 'Must pass under something', group: 'fittings', kind: { kind: 'optional', make: 720_000 } },
  { path: ['under'], label: 'How high that is', group: 'fittings', kind: size(0, 2_000), when: on(({ under }) => under !== null) },
  ...boardFields({ top: 'the top', apron: 'aprons and stretchers', leg: 'legs and brackets', drawer: 'drawers' }),
];
