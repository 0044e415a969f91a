import { choice, type Field } from '../kit/field.ts';
import { boardFields, count, dollSize, size } from '../kit/fields.ts';
import { newLights, newRail, type OpeningForm, type Room, type Wall, type WallOpening } from './room.ts';

const rectangle = ((room: Room) => room.plan === 'rectangle') as (piece: never) => boolean;

/** What is decided about a room as a whole; its walls, and what is in them, have lists of their own. */
export const ROOM_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(50, 30_000, 'width'), when: rectangle },
  { path: ['depth'], label: 'Depth', group: 'size', kind: size(50, 30_000, 'depth'), when: rectangle },
  { path: ['height'], label: 'Height', group: 'size', kind: size(50, 10_000, 'height') },
  {
    path: ['hold'],
    label: 'Sizes are those of',
    group: 'shape',
    kind: choice(['inside', 'the clear room'], ['outside', 'the outside']),
    when: rectangle,
  },
  { path: ['cells'], label: 'Rooms side by side', group: 'shape', kind: count(1, 6), when: rectangle },
  { path: ['storeys'], label: 'Storeys', group: 'shape', kind: count(1, 4) },
  { path: ['ceiling'], label: 'A ceiling', group: 'shape', kind: { kind: 'yes' } },
  { path: ['stands'], label: 'Walls stand', group: 'build', kind: choice(['on', 'on the floor'], ['beside', 'beside it']) },
  { path: ['joined'], label: 'Put together with', group: 'build', kind: choice(['glued', 'glue'], ['pinned', 'pins'], ['taped', 'tape']) },
  { path: ['skirting'], label: 'Skirting, high', group: 'fittings', kind: size(0, 1_000) },
  { path: ['cornice'], label: 'Cornice, high', group: 'fittings', kind: size(0, 1_000) },
  { path: ['cornerStrips'], label: 'Strips in the corners, wide', group: 'fittings', kind: size(0, 1_000) },
  { path: ['trims'], label: 'Strips at corners', group: 'fittings', kind: choice('mitred', 'butted') },
  { path: ['rail'], label: 'A rail round the walls', group: 'fittings', kind: { kind: 'optional', make: newRail() } },
  {
    path: ['rail', 'up'],
    label: 'The rail, from the floor',
    group: 'fittings',
    kind: size(0, 5_000),
    when: ((room: Room) => room.rail !== null) as never,
  },
  {
    path: ['rail', 'height'],
    label: 'The rail, high',
    group: 'fittings',
    kind: size(1, 1_000),
    when: ((room: Room) => room.rail !== null) as never,
  },
  ...boardFields({ wall: 'walls', floor: 'floor and ceiling', trim: 'strips and frames' }),
];

const of =
  (...kinds: readonly Wall['kind'][]): ((wall: never) => boolean) =>
  (wall: never) =>
    kinds.includes((wall as Wall).kind);

export const WALL_WORDS: Readonly<Record<Wall['kind'], string>> = {
  wall: 'a wall',
  open: 'open',
  removable: 'a wall to take off',
  shop: 'a shop’s front',
};

const lit = ((wall: Wall) => wall.kind !== 'open' && wall.lights !== null) as (wall: never) => boolean;

/** What is decided about one wall. */
export const WALL_FIELDS: readonly Field[] = [
  {
    path: ['kind'],
    label: 'It is',
    group: 'shape',
    kind: choice(...Object.entries(WALL_WORDS).map(([value, label]) => [value, label] as const)),
  },
  { path: ['cavity'], label: 'A second wall before it by', group: 'build', kind: dollSize(0, 200), when: of('wall', 'removable') },
  { path: ['fold'], label: 'Scored to fold, from its end', group: 'build', kind: size(0, 20_000), when: of('wall', 'removable') },
  {
    path: ['foldEnd'],
    label: 'The fold is measured from the',
    group: 'build',
    kind: choice('left', 'right'),
    when: ((wall: Wall) => wall.kind !== 'open' && wall.kind !== 'shop' && wall.fold !== 0) as (wall: never) => boolean,
  },
  { path: ['bays'], label: 'Bays', group: 'shape', kind: count(1, 8), when: of('shop') },
  { path: ['pillar'], label: 'Pillars, wide', group: 'shape', kind: size(20, 5_000), when: of('shop') },
  { path: ['riser'], label: 'Closed below, high', group: 'shape', kind: size(0, 5_000), when: of('shop') },
  { path: ['lintel'], label: 'Closed above, high', group: 'shape', kind: size(0, 5_000), when: of('shop') },
  {
    path: ['lights'],
    label: 'Holes for lamps',
    group: 'fittings',
    kind: { kind: 'optional', make: newLights() },
    when: of('wall', 'removable'),
  },
  { path: ['lights', 'count'], label: 'Lamps', group: 'fittings', kind: count(1, 30), when: lit },
  { path: ['lights', 'from'], label: 'First lamp, from the wall’s end', group: 'fittings', kind: size(0, 20_000), when: lit },
  { path: ['lights', 'end'], label: 'Lamps are counted from the', group: 'fittings', kind: choice('left', 'right'), when: lit },
  { path: ['lights', 'apart'], label: 'Lamps apart by', group: 'fittings', kind: size(0, 5_000), when: lit },
  { path: ['lights', 'up'], label: 'Lamps, from the floor', group: 'fittings', kind: size(0, 6_000), when: lit },
  { path: ['lights', 'across'], label: 'Lamp, across', group: 'fittings', kind: dollSize(0.5, 30), when: lit },
];

export const OPENING_WORDS: Readonly<Record<OpeningForm, string>> = {
  window: 'a window',
  door: 'a door',
  plain: 'an opening',
  arch: 'an arch',
  round: 'a round window',
  bought: 'a unit that was bought',
};

const is =
  (...forms: readonly OpeningForm[]): ((opening: never) => boolean) =>
  (opening: never) =>
    forms.includes((opening as WallOpening).form);

/** What is decided about what is in a wall, by what it is. */
export const WALL_OPENING_FIELDS: readonly Field[] = [
  {
    path: ['form'],
    label: 'It is',
    group: 'shape',
    kind: choice(...Object.entries(OPENING_WORDS).map(([value, label]) => [value, label] as const)),
  },
  { path: ['from'], label: 'From the wall’s end', group: 'size', kind: size(0, 20_000) },
  { path: ['end'], label: 'Measured from the', group: 'size', kind: choice('left', 'right') },
  { path: ['up'], label: 'From the floor', group: 'size', kind: size(0, 6_000), when: is('window', 'plain', 'arch', 'round', 'bought') },
  { path: ['width'], label: 'Width', group: 'size', kind: size(20, 10_000) },
  { path: ['height'], label: 'Height', group: 'size', kind: size(20, 6_000), when: is('window', 'door', 'plain', 'arch', 'bought') },
  { path: ['border'], label: 'Frame strips, wide', group: 'shape', kind: size(1, 1_000), when: is('window', 'door', 'arch', 'round') },
  { path: ['corners'], label: 'Corners', group: 'build', kind: choice('mitred', 'butted'), when: is('window', 'door') },
  { path: ['sill'], label: 'Sill stands out by', group: 'shape', kind: size(0, 1_000), when: is('window') },
  { path: ['barsUpright'], label: 'Upright glazing bars', group: 'fittings', kind: count(0, 8), when: is('window') },
  { path: ['barsLying'], label: 'Lying glazing bars', group: 'fittings', kind: count(0, 8), when: is('window') },
  { path: ['hinge'], label: 'Hinge', group: 'fittings', kind: choice('left', 'right'), when: is('door') },
  { path: ['panelsAcross'], label: 'Raised panels across', group: 'fittings', kind: count(0, 4), when: is('door') },
  { path: ['panelsUp'], label: 'Raised panels up', group: 'fittings', kind: count(1, 6), when: is('door') },
  { path: ['glazed'], label: 'A clear sheet behind it', group: 'fittings', kind: { kind: 'yes' }, when: is('plain', 'round') },
  { path: ['play'], label: 'Play round it', group: 'build', kind: dollSize(0, 5), when: is('bought') },
];
