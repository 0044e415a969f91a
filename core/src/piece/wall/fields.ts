import { choice, type Field } from '../family/field.ts';
import { boardFields, count, size } from '../family/fields.ts';
import type { WallForm, WallThing } from './wallThing.ts';

const on =
  (...forms: readonly WallForm[]): ((piece: never) => boolean) =>
  (piece: never) =>
    forms.includes((piece as WallThing).form);

/** What is decided about something on a wall. */
export const WALL_THING_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(10, 10_000, 'width') },
  { path: ['height'], label: 'Height', group: 'size', kind: size(10, 10_000, 'height'), when: on('shelf', 'pegs', 'frame') },
  { path: ['depth'], label: 'Depth', group: 'size', kind: size(10, 10_000, 'depth'), when: on('shelf', 'pegs') },
  {
    path: ['form'],
    label: 'It is',
    group: 'shape',
    kind: choice(['shelf', 'a shelf on brackets'], ['pegs', 'a rail with pegs'], ['frame', 'a frame'], ['clock', 'a clock']),
  },
  {
    path: ['holds'],
    label: 'It frames',
    group: 'shape',
    kind: choice(['picture', 'a picture'], ['mirror', 'a mirror'], ['sign', 'a sign']),
    when: on('frame'),
  },
  { path: ['count'], label: 'How many side by side', group: 'shape', kind: count(1, 20), when: on('shelf', 'pegs') },
  {
    path: ['bracket'],
    label: 'Brackets',
    group: 'shape',
    kind: choice(['triangle', 'triangles'], ['curved', 'curved'], ['square', 'square']),
    when: on('shelf'),
  },
  { path: ['backed'], label: 'Board on the wall, or shelf over pegs', group: 'shape', kind: { kind: 'yes' }, when: on('shelf', 'pegs') },
  { path: ['peg'], label: 'Pegs of', group: 'shape', kind: { kind: 'stick', only: 'round' }, when: on('pegs') },
  { path: ['rise'], label: 'Pegs rise by', group: 'shape', kind: size(0, 2_000), when: on('pegs') },
  { path: ['border'], label: 'Frame or rim, wide', group: 'shape', kind: size(0, 2_000), when: on('frame', 'clock') },
  { path: ['corners'], label: 'Corners', group: 'build', kind: choice('mitred', 'butted'), when: on('frame') },
  { path: ['glazed'], label: 'Clear sheet in front', group: 'fittings', kind: { kind: 'yes' }, when: on('frame') },
  ...boardFields({ board: 'the board', bracket: 'brackets', strip: 'frame, rim and hands' }),
];
