import type { Field } from '../family/field.ts';
import { choice } from '../family/field.ts';
import { boardFields, bodyScaleField, count, dollSize, size } from '../family/fields.ts';
import type { Casework } from './casework.ts';
import type { Cell, DoorCell, DrawersCell, OpenCell, ShelvesCell, SlidesCell } from './cell.ts';

const on = <T>(test: (piece: T) => boolean): ((piece: never) => boolean) => test as (piece: never) => boolean;
const piece = (test: (piece: Casework) => boolean) => on(test);

const worktop = { left: 0, right: 0, front: 20_000, back: 0, tub: null, burners: 0, burner: 160_000 };
const tub = { shape: 'square', width: 400_000, depth: 340_000, height: 150_000, rim: 12_000, fromLeft: null };

/** What is decided about a casework as a whole. */
export const CASEWORK_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(10, 10_000, 'width') },
  { path: ['height'], label: 'Height', group: 'size', kind: size(10, 10_000, 'height') },
  { path: ['depth'], label: 'Depth', group: 'size', kind: size(10, 10_000, 'depth') },
  { path: ['hold'], label: 'Hold true', group: 'size', kind: choice('outside', 'inside') },
  { path: ['corner'], label: 'Which panel runs over', group: 'build', kind: choice('sides', 'top') },
  { path: ['back'], label: 'The back', group: 'build', kind: choice(['inset', 'between'], ['over', 'behind'], 'none') },
  {
    path: ['top'],
    label: 'The top',
    group: 'build',
    kind: choice(['fixed', 'fixed'], ['lid', 'a lid']),
    when: piece(({ worktop: top }) => top === null),
  },
  { path: ['standing'], label: 'It stands', group: 'build', kind: choice('free', 'fixed to the wall') },
  { path: ['plinth'], label: 'Base height', group: 'build', kind: size(0, 2_000, 'height') },
  {
    path: ['base'],
    label: 'The base',
    group: 'build',
    kind: choice('plinth', 'toe-kick', 'legs', 'feet'),
    when: piece(({ plinth }) => plinth !== 0),
  },
  {
    path: ['setback'],
    label: 'Base stands back',
    group: 'build',
    kind: size(0, 2_000, 'depth'),
    when: piece(({ plinth }) => plinth !== 0),
  },
  {
    path: ['leg'],
    label: 'Legs of',
    group: 'build',
    kind: { kind: 'stick' },
    when: piece(({ base, plinth }) => plinth !== 0 && base === 'legs'),
  },
  {
    path: ['foot'],
    label: 'Side of a foot',
    group: 'build',
    kind: size(1, 3_000),
    when: piece(({ base, plinth }) => plinth !== 0 && base === 'feet'),
  },
  {
    ...bodyScaleField('A worktop’s height goes by the body; the rest follows the scale.'),
    when: (piece: never): boolean => (piece as Casework).worktop !== null,
  },
  {
    path: ['worktop'],
    label: 'Worktop',
    group: 'fittings',
    kind: { kind: 'optional', make: worktop },
    when: piece(({ top }) => top === 'fixed'),
  },
  ...(['front', 'left', 'right', 'back'] as const).map(
    (side): Field => ({
      path: ['worktop', side],
      label: `Overhang, ${side}`,
      group: 'fittings',
      kind: size(0, 2_000),
      when: piece((casework) => casework.worktop !== null),
    }),
  ),
  {
    path: ['worktop', 'burners'],
    label: 'Burners',
    group: 'fittings',
    kind: count(0, 8),
    when: piece((casework) => casework.worktop !== null),
  },
  {
    path: ['worktop', 'burner'],
    label: 'Burner across',
    group: 'fittings',
    kind: size(1, 3_000),
    when: piece((casework) => (casework.worktop?.burners ?? 0) > 0),
  },
  {
    path: ['worktop', 'tub'],
    label: 'Tub let in',
    group: 'fittings',
    kind: { kind: 'optional', make: tub },
    when: piece((casework) => casework.worktop !== null),
  },
  {
    path: ['worktop', 'tub', 'shape'],
    label: 'Tub',
    group: 'fittings',
    kind: choice('square', 'round'),
    when: piece((casework) => casework.worktop?.tub != null),
  },
  ...(
    [
      ['width', 'Tub width'],
      ['depth', 'Tub depth'],
      ['height', 'Tub height'],
      ['rim', 'Its rim'],
    ] as const
  ).map(
    ([key, label]): Field => ({
      path: ['worktop', 'tub', key],
      label,
      group: 'fittings',
      kind: size(1, 3_000),
      when: piece((casework) => casework.worktop?.tub != null),
    }),
  ),
  { path: ['frame'], label: 'Face frame', group: 'fittings', kind: { kind: 'optional', make: { border: 50_000, openings: null } } },
  {
    path: ['frame', 'border'],
    label: 'Border of the frame',
    group: 'fittings',
    kind: size(1, 3_000),
    when: piece(({ frame }) => frame !== null),
  },
  { path: ['lining'], label: 'Double walls', group: 'fittings', kind: { kind: 'optional', make: { cavity: 0 } } },
  {
    path: ['lining', 'cavity'],
    label: 'Hollow between',
    group: 'fittings',
    kind: dollSize(0, 40),
    when: piece(({ lining }) => lining !== null),
  },
  ...boardFields({
    carcass: 'the carcass',
    back: 'the back',
    inner: 'shelves and uprights',
    door: 'doors and fronts',
    plinth: 'the base',
    worktop: 'the worktop',
    frame: 'the face frame',
    lining: 'the inner walls',
    drawer: 'drawers and trays',
  }),
];

const fit: readonly Field[] = [
  { path: ['fit'], label: 'It', group: 'shape', kind: choice(['overlay', 'lies on the front'], ['inset', 'sits inside']) },
  { path: ['lap'], label: 'Covers', group: 'shape', kind: dollSize(0, 20), when: on<DoorCell>((cell) => cell.fit === 'overlay') },
  { path: ['gap'], label: 'Gap', group: 'shape', kind: dollSize(0, 20) },
];

const grip: Field = { path: ['grip'], label: 'Grip', group: 'shape', kind: choice('none', 'knob', 'bar') };

/** What is decided about a bay, by what it is. What stands in it and splits are handled where they are drawn. */
export const CELL_FIELDS: Readonly<Record<Cell['kind'], readonly Field[]>> = {
  open: [
    { path: ['turntable'], label: 'Turntable', group: 'shape', kind: { kind: 'optional', make: 270_000 } },
    {
      path: ['turntable'],
      label: 'Turntable across',
      group: 'shape',
      kind: size(1, 3_000),
      when: on<OpenCell>(({ turntable }) => turntable !== null),
    },
  ],
  shelves: [
    {
      path: ['spacing'],
      label: 'Shelves at',
      group: 'shape',
      kind: choice(['even', 'even gaps'], ['positions', 'stated heights'], ['by what stands there', 'what stands there']),
    },
    {
      path: ['at'],
      label: 'Heights of their tops',
      group: 'shape',
      kind: { kind: 'sizes', min: 0, max: 10_000_000 },
      when: on<ShelvesCell>(({ spacing }) => spacing === 'positions'),
    },
    { path: ['back'], label: 'Stand back', group: 'shape', kind: size(0, 10_000) },
    { path: ['made'], label: 'Made of', group: 'shape', kind: choice('board', ['clear', 'clear sheet']) },
    {
      path: ['sheet'],
      label: 'Sheet, thick',
      group: 'shape',
      kind: dollSize(0.2, 6),
      when: on<ShelvesCell>(({ made }) => made === 'clear'),
    },
  ],
  door: [
    {
      path: ['hinge'],
      label: 'Hinged',
      group: 'shape',
      kind: choice('left', 'right', ['pair', 'a pair'], ['bottom', 'below'], ['top', 'above']),
    },
    ...fit,
    {
      path: ['style'],
      label: 'Made as',
      group: 'shape',
      kind: choice(['slab', 'a slab'], ['framed', 'a raised border'], ['glazed', 'a window']),
    },
    { path: ['border'], label: 'Border', group: 'shape', kind: size(1, 3_000), when: on<DoorCell>(({ style }) => style !== 'slab') },
    {
      path: ['window'],
      label: 'Window',
      group: 'shape',
      kind: choice('square', 'round'),
      when: on<DoorCell>(({ style }) => style !== 'slab'),
    },
    {
      path: ['hang'],
      label: 'Hangs on',
      group: 'shape',
      kind: choice(['paper', 'paper behind'], ['paper outside', 'paper outside'], ['pins', 'pins']),
    },
    {
      path: ['pin'],
      label: 'Pin from the edge',
      group: 'shape',
      kind: dollSize(0.5, 50),
      when: on<DoorCell>(({ hang }) => hang === 'pins'),
    },
    grip,
    { path: ['bins'], label: 'Bins in it', group: 'shape', kind: count(0, 8) },
  ],
  drawers: [
    { path: ['make'], label: 'They', group: 'shape', kind: choice(['false', 'are false'], ['running', 'run']) },
    { path: ['count'], label: 'Drawers', group: 'shape', kind: count(1, 20) },
    ...fit,
    {
      path: ['plate'],
      label: 'Plates as high as stated',
      group: 'shape',
      kind: { kind: 'optional', make: 150_000 },
      when: on<DrawersCell>(({ make }) => make === 'false'),
    },
    {
      path: ['plate'],
      label: 'Height of a plate',
      group: 'shape',
      kind: size(1, 3_000),
      when: on<DrawersCell>(({ make, plate }) => make === 'false' && plate !== null),
    },
    {
      path: ['clearance'],
      label: 'Clearance',
      group: 'shape',
      kind: dollSize(0, 20),
      when: on<DrawersCell>(({ make }) => make === 'running'),
    },
    {
      path: ['stops'],
      label: 'Stops',
      group: 'shape',
      kind: { kind: 'yes' },
      when: on<DrawersCell>((cell) => cell.make === 'running' && cell.fit === 'inset'),
    },
    grip,
  ],
  slides: [
    { path: ['at'], label: 'Heights of the slides', group: 'shape', kind: { kind: 'sizes', min: 0, max: 10_000_000 } },
    { path: ['stick'], label: 'Slides of', group: 'shape', kind: { kind: 'stick' } },
    { path: ['between'], label: 'Between a pair', group: 'shape', kind: dollSize(0.5, 60) },
    {
      path: ['carries'],
      label: 'They carry',
      group: 'shape',
      kind: choice('nothing', ['tray', 'a tray'], ['rack', 'a rack'], ['tines', 'tines']),
    },
    {
      path: ['count'],
      label: 'Bars or tines',
      group: 'shape',
      kind: count(2, 30),
      when: on<SlidesCell>(({ carries }) => carries === 'rack' || carries === 'tines'),
    },
    {
      path: ['tineUp'],
      label: 'Tines up',
      group: 'shape',
      kind: size(1, 3_000),
      when: on<SlidesCell>(({ carries }) => carries === 'tines'),
    },
    {
      path: ['tineAcross'],
      label: 'Tines across',
      group: 'shape',
      kind: size(1, 3_000),
      when: on<SlidesCell>(({ carries }) => carries === 'tines'),
    },
  ],
  plate: [
    ...fit,
    { path: ['discs'], label: 'Discs on it', group: 'shape', kind: count(0, 12) },
    { path: ['disc'], label: 'A disc across', group: 'shape', kind: size(1, 3_000) },
    { path: ['layers'], label: 'Layers of a disc', group: 'shape', kind: count(1, 6) },
  ],
  columns: [],
  rows: [],
};
