import { choice, type Field } from '../family/field.ts';
import { boardFields, count, dollSize, isSome, size } from '../family/fields.ts';
import { newBeams, newPanelling, newPictureRail, newRail, type Rail, type Room } from './room.ts';
import { newBox, newLights, type OpeningForm, type Wall, type WallOpening } from './wall.ts';

const rectangle = ((room: Room) => room.plan === 'rectangle') as (piece: never) => boolean;

const panelled = ((room: Room) => room.panelling !== null) as (piece: never) => boolean;
/** Strips run round its walls. */
const trimmed = ((room: Room) =>
  [room.skirting, room.cornice, room.cornerStrips].some(isSome) ||
  [room.rail, room.pictureRail, room.panelling].some((each) => each !== null)) as (piece: never) => boolean;
const beamed = ((room: Room) => room.plan === 'rectangle' && room.beams !== null) as (piece: never) => boolean;
/** A shell of several has none itself. */
const isJoined = ((room: Partial<Room>) => (room.shells?.length ?? 0) > 0) as (piece: never) => boolean;

const railFields = (key: 'rail' | 'pictureRail', label: string, word: string, make: Rail): readonly Field[] => {
  const when = ((room: Room) => room[key] !== null) as (piece: never) => boolean;
  return [
    { path: [key], label, group: 'fittings', kind: { kind: 'optional', make } },
    { path: [key, 'up'], label: `${word}, from the floor`, group: 'fittings', kind: size(0, 5_000), when },
    { path: [key, 'height'], label: `${word}, high`, group: 'fittings', kind: size(1, 1_000), when },
  ];
};

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
  { path: ['trims'], label: 'Strips at corners', group: 'fittings', kind: choice('mitred', 'butted'), when: trimmed },
  ...railFields('rail', 'A rail round the walls', 'The rail', newRail()),
  ...railFields('pictureRail', 'A picture rail higher up', 'The picture rail', newPictureRail()),
  {
    path: ['trimStick'],
    label: 'Strips are cut from sticks',
    group: 'fittings',
    kind: { kind: 'optional', make: 'craft stick' },
    when: trimmed,
  },
  {
    path: ['trimStick'],
    label: 'The stick',
    group: 'fittings',
    kind: { kind: 'stick', only: 'edged' },
    when: ((room: Room) => room.trimStick !== null && trimmed(room as never)) as never,
  },
  { path: ['panelling'], label: 'Panelling', group: 'fittings', kind: { kind: 'optional', make: newPanelling() } },
  {
    path: ['panelling', 'form'],
    label: 'The panelling is of',
    group: 'fittings',
    kind: choice(['battens', 'strips'], ['panels', 'panels']),
    when: panelled,
  },
  { path: ['panelling', 'up'], label: 'The panelling, up to', group: 'fittings', kind: size(50, 3_000), when: panelled },
  { path: ['panelling', 'apart'], label: 'Apart by about', group: 'fittings', kind: size(20, 3_000), when: panelled },
  { path: ['panelling', 'width'], label: 'Strips or gaps, wide', group: 'fittings', kind: size(5, 500), when: panelled },
  { path: ['beams'], label: 'Beams under the ceiling', group: 'fittings', kind: { kind: 'optional', make: newBeams() }, when: rectangle },
  { path: ['beams', 'count'], label: 'Beams', group: 'fittings', kind: count(1, 12), when: beamed },
  { path: ['beams', 'width'], label: 'Beams, wide', group: 'fittings', kind: size(20, 1_000), when: beamed },
  { path: ['beams', 'height'], label: 'Beams, high', group: 'fittings', kind: size(20, 1_000), when: beamed },
  { path: ['level'], label: 'In one line are the', group: 'build', kind: choice('backs', 'fronts'), when: isJoined },
  { path: ['fill'], label: 'Fill up what is lower or shallower', group: 'build', kind: { kind: 'yes' }, when: isJoined },
  { path: ['seams'], label: 'Strips over the seams, wide', group: 'build', kind: size(0, 1_000), when: isJoined },
  ...boardFields({ wall: 'walls', floor: 'floor and ceiling', trim: 'strips and frames' }),
];

/** What is decided about a shell that is joined, beside what is decided about any. */
export const JOINED_FIELDS: readonly Field[] = [
  { path: ['gap'], label: 'Gap to the one on its left', group: 'build', kind: dollSize(0, 50) },
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

const boxed = ((wall: Wall) => wall.kind !== 'open' && wall.kind !== 'shop' && (wall.lights?.box ?? null) !== null) as (
  wall: never,
) => boolean;

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
  { path: ['lights', 'box'], label: 'A battery box behind it', group: 'fittings', kind: { kind: 'optional', make: newBox() }, when: lit },
  { path: ['lights', 'box', 'from'], label: 'The box, from the wall’s end', group: 'fittings', kind: size(0, 20_000), when: boxed },
  { path: ['lights', 'box', 'end'], label: 'The box is measured from the', group: 'fittings', kind: choice('left', 'right'), when: boxed },
  { path: ['lights', 'box', 'up'], label: 'The box, from the floor', group: 'fittings', kind: size(0, 6_000), when: boxed },
  { path: ['lights', 'box', 'width'], label: 'The box, wide', group: 'fittings', kind: dollSize(5, 200), when: boxed },
  { path: ['lights', 'box', 'height'], label: 'The box, high', group: 'fittings', kind: dollSize(5, 200), when: boxed },
  { path: ['lights', 'box', 'depth'], label: 'The box, deep', group: 'fittings', kind: dollSize(2, 100), when: boxed },
];

/** What is decided about a strip that stands on a wall. */
export const BATTEN_FIELDS: readonly Field[] = [
  { path: ['from'], label: 'From the wall’s end', group: 'size', kind: size(0, 20_000) },
  { path: ['end'], label: 'Measured from the', group: 'size', kind: choice('left', 'right') },
  { path: ['width'], label: 'Width', group: 'size', kind: size(5, 1_000) },
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
  { path: ['view'], label: 'A view, so far behind it', group: 'fittings', kind: dollSize(0, 200) },
];
