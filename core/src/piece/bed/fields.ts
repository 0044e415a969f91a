import { choice, EDGE_WORDS, type Field } from '../family/field.ts';
import { boardFields, bodyScaleField, count, dollSize, isSome, size } from '../family/fields.ts';
import type { Bed, EndBoard } from './bed.ts';

const on = (test: (piece: Bed) => boolean): ((piece: never) => boolean) => test as (piece: never) => boolean;

const boardAt = (key: 'head' | 'foot' | 'backBoard', name: string, there: (bed: Bed) => EndBoard | null): readonly Field[] => [
  {
    path: [key, 'height'],
    label: `${name} height`,
    group: 'shape',
    kind: size(0, 3_000, 'height'),
    when: on((bed) => there(bed) !== null),
  },
  {
    path: [key, 'edge'],
    label: `${name} edge`,
    group: 'shape',
    kind: choice(...EDGE_WORDS),
    when: on((bed) => (there(bed)?.height ?? 0) !== 0),
  },
  {
    path: [key, 'rise'],
    label: `${name} rises by`,
    group: 'shape',
    kind: size(1, 3_000),
    when: on((bed) => ['arch', 'battlements'].includes(there(bed)?.edge ?? '')),
  },
];

/** It stands on posts wherever no end board reaches the floor. */
const posted = ({ levels, head, foot }: Bed): boolean =>
  levels !== 'one' || [head, foot].some((board) => board === null || !isSome(board.height));

/** What is decided about a bed. */
export const BED_FIELDS: readonly Field[] = [
  { path: ['mattressLength'], label: 'Mattress length', group: 'size', kind: size(5, 5_000, 'width') },
  { path: ['mattressWidth'], label: 'Mattress width', group: 'size', kind: size(5, 5_000, 'depth') },
  { path: ['mattressThickness'], label: 'Mattress thickness', group: 'size', kind: size(5, 5_000) },
  {
    path: ['lies'],
    label: 'Floor to mattress',
    group: 'size',
    kind: size(0, 3_000, 'height'),
    when: on(({ levels }) => levels !== 'loft'),
  },
  { path: ['levels'], label: 'It is', group: 'shape', kind: choice(['one', 'one bed'], ['loft', 'a loft bed'], ['bunk', 'a bunk']) },
  {
    path: ['clear'],
    label: 'Clear height below',
    group: 'shape',
    kind: size(0, 3_000, 'height'),
    when: on(({ levels }) => levels !== 'one'),
  },
  { path: ['recess'], label: 'Mattress sits in by', group: 'shape', kind: size(0, 3_000, 'height') },
  { path: ['rail'], label: 'Rail height', group: 'shape', kind: size(5, 5_000, 'height') },
  { path: ['play'], label: 'Room for cloth', group: 'shape', kind: dollSize(0, 20) },
  ...boardAt('head', 'Head board', ({ head }) => head),
  ...boardAt('foot', 'Foot board', ({ foot }) => foot),
  {
    path: ['backBoard'],
    label: 'Back board',
    group: 'shape',
    kind: { kind: 'optional', make: { height: 800_000, edge: 'straight', rise: 150_000 } },
    when: on(({ levels }) => levels === 'one'),
  },
  ...boardAt('backBoard', 'Back board', ({ backBoard }) => backBoard),
  { path: ['base'], label: 'It lies on', group: 'shape', kind: choice(['board', 'a board'], ['slats', 'slats']) },
  { path: ['slat'], label: 'Slats of', group: 'shape', kind: { kind: 'stick' }, when: on(({ base }) => base === 'slats') },
  { path: ['slatGap'], label: 'Largest gap', group: 'shape', kind: size(1, 3_000), when: on(({ base }) => base === 'slats') },
  { path: ['post'], label: 'Posts of', group: 'shape', kind: { kind: 'stick' }, when: on(posted) },
  { path: ['ladder'], label: 'Ladder', group: 'fittings', kind: choice('none', 'left', 'right') },
  { path: ['rungs'], label: 'Rungs apart', group: 'fittings', kind: size(5, 5_000), when: on(({ ladder }) => ladder !== 'none') },
  { path: ['drawers'], label: 'Drawers under it', group: 'fittings', kind: count(0, 6) },
  { path: ['grip'], label: 'Grip', group: 'fittings', kind: choice('none', 'knob', 'bar'), when: on(({ drawers }) => drawers > 0) },
  bodyScaleField('Its length and height go by the body; the rest follows the scale.'),
  ...boardFields({ frame: 'the rails', head: 'head and foot', base: 'the base', drawer: 'drawers' }),
];
