import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { type DollUm, dollField, dollUm, type Measure, UM } from '../../measure/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { base, edgedStick, mm, side, some } from '../family/sizes.ts';
import { mirroredWall, OTHER, place, wallSchema } from './wall.ts';

export const ROOM_ROLES = ['wall', 'floor', 'trim'] as const;
export type RoomRole = (typeof ROOM_ROLES)[number];

/** Which wall runs over at a corner: the one on its left as it is seen from inside, the one on its right, or neither. */
export const CORNERS = ['left', 'right', 'mitred'] as const;
export type Corner = (typeof CORNERS)[number];

/** A strip that runs round the room: how high it is, and how far up it begins. */
export type Rail = { readonly height: Measure; readonly up: Measure };

/** Strips that stand on the walls at even distances, or panels between these, from the skirting up. */
export type Panelling = {
  readonly form: 'battens' | 'panels';
  readonly up: Measure;
  readonly apart: Measure;
  readonly width: Measure;
};

/** Beams under the ceiling, from the back to the front. */
export type Beams = { readonly count: number; readonly width: Measure; readonly height: Measure };

/** A shell that is joined to others: all of a room but its name, and what covers it. */
export type Shell = Omit<Room, 'family' | 'id' | 'mark' | 'name' | 'bodyScale' | 'dress' | 'aside' | 'shells' | 'level' | 'fill' | 'seams'>;

/** A shell on the right of the one before it, and the gap that the two leave. */
export type JoinedShell = { readonly gap: DollUm; readonly shell: Shell };

export const MOST_CORNERS = 16;

const railSchema = z.strictObject({ height: some.default(mm(60)), up: place.default(mm(900)) });

const corner = z.enum(CORNERS);
const point = z.tuple([
  z
    .number()
    .int()
    .min(-30 * UM.m)
    .max(30 * UM.m),
  z
    .number()
    .int()
    .min(-30 * UM.m)
    .max(30 * UM.m),
]);

const panellingSchema = z.strictObject({
  form: z.enum(['battens', 'panels']).default('battens'),
  up: some.default(mm(900)),
  apart: some.default(mm(450)),
  width: some.default(mm(70)),
});

const beamsSchema = z.strictObject({
  count: z.number().int().min(1).max(12).default(2),
  width: some.default(mm(120)),
  height: some.default(mm(150)),
});

const { id, mark, bodyScale, dress, aside, ...boards } = pieceFields(ROOM_ROLES);

const shellFields = {
  ...boards,
  width: side.default(mm(3_000)),
  depth: side.default(mm(2_400)),
  /** From floor to ceiling. */
  height: side.default(mm(2_438)),
  /** What the sizes are: the clear room inside, or all that stands there. */
  hold: z.enum(['inside', 'outside']).default('inside'),
  plan: z.enum(['rectangle', 'own']).default('rectangle'),
  /** Its own plan: corners of the clear room, right and towards the viewer, in µm of the real thing or the doll's, clockwise from the back left one. */
  points: z.array(point).max(MOST_CORNERS).default([]),
  pointsAre: z.enum(['real', 'doll']).default('real'),
  stands: z.enum(['on', 'beside']).default('on'),
  walls: z
    .array(wallSchema)
    .max(MOST_CORNERS)
    .prefault([{}, {}, { kind: 'open' }, {}]),
  corners: z.array(corner).max(MOST_CORNERS).default(['right', 'left', 'left', 'right']),
  joined: z.enum(['glued', 'pinned', 'taped']).default('glued'),
  /** Rooms side by side, with a wall between each two. */
  cells: z.number().int().min(1).max(6).default(1),
  between: z.array(wallSchema).max(5).default([]),
  storeys: z.number().int().min(1).max(4).default(1),
  ceiling: z.boolean().default(false),
  skirting: base.default(mm(0)),
  rail: railSchema.nullable().default(null),
  /** A second one higher up. */
  pictureRail: railSchema.nullable().default(null),
  cornice: base.default(mm(0)),
  cornerStrips: base.default(mm(0)),
  trims: z.enum(['mitred', 'butted']).default('butted'),
  /** The stick that strips are cut from; null for strips of board. */
  trimStick: edgedStick.nullable().default(null),
  panelling: panellingSchema.nullable().default(null),
  beams: beamsSchema.nullable().default(null),
};

const joinedSchema = z.strictObject({
  gap: dollField({ min: 0, max: 50 * UM.mm }).default(dollUm(0)),
  shell: z.strictObject(shellFields).prefault({}),
});

/** How many shells may be joined to a first one. */
export const MOST_SHELLS = 5;

export const roomSchema = z.strictObject({
  family: z.literal('room'),
  id,
  mark,
  bodyScale,
  dress,
  aside,
  name: textField(80).default('room'),
  ...shellFields,
  /** Shells that were made by themselves and stand on its right, one after the other; it is one room with them. */
  shells: z.array(joinedSchema).max(MOST_SHELLS).default([]),
  /** Which of them is in one line where they are not equally deep. */
  level: z.enum(['backs', 'fronts']).default('backs'),
  /** What is lower or shallower is filled up to the others. */
  fill: z.boolean().default(true),
  /** Strips over the seams between shells: how wide; 0 for none. */
  seams: base.default(mm(0)),
});

/** A room's shell. Sides are counted clockwise as seen from above, from the back wall: back, right, front, left; or as its own points run. */
export type Room = PieceOf<typeof roomSchema>;

/** About how many parts a shell has. */
const shellAbout = ({ walls, between, storeys, cells, panelling, beams }: Shell): number =>
  storeys * (10 + (panelling ? 24 : 6) * cells + (beams ? 3 * beams.count * cells : 0)) +
  storeys * [...walls, ...between].reduce((sum, { openings, battens }) => sum + 3 + 2 * battens.length + 20 * openings.length, 0);

export const roomModel = defineModel({
  schema: roomSchema,
  roles: ROOM_ROLES,
  partsAbout: (room) => [room, ...room.shells.map(({ shell }) => shell)].reduce((sum, shell) => sum + shellAbout(shell), 0),
  boardsWithin: ({ shells }) => shells.map(({ shell }, index) => ({ path: ['shells', index, 'shell'], boards: shell.boards })),
});

export const newRail = (): Rail => railSchema.parse({});
export const newPictureRail = (): Rail => railSchema.parse({ height: mm(40), up: mm(2_000) });
export const newPanelling = (): Panelling => panellingSchema.parse({});
export const newBeams = (): Beams => beamsSchema.parse({});

const SIDES = ['back', 'right', 'front', 'left'] as const;

/** What a side of a room is called. */
export const sideName = ({ plan }: Pick<Room, 'plan'>, side: number): string =>
  plan === 'rectangle' ? `${SIDES[side] ?? 'back'} wall` : `wall ${side + 1}`;

const mirroredCorner = (corner: Corner): Corner => (corner === 'mitred' ? corner : OTHER[corner]);

/** A list of what goes round, walked the other way; `first` is where its first one is found. */
const backwards = <T>(list: readonly T[], first: number): readonly T[] =>
  list.map((_, index) => list[(((first - index) % list.length) + list.length) % list.length] as T);

const mirroredShell = <S extends Shell>(shell: S): S => ({
  ...shell,
  points: backwards(shell.points, 1).map(([x, z]) => [-x + 0, z] as const),
  walls: backwards(shell.walls, 0).map(mirroredWall),
  corners: backwards(shell.corners, 1).map(mirroredCorner),
  between: shell.between.toReversed().map(mirroredWall),
});

/** A shell as a room by itself, of the piece that it is joined in; its parts are told by its number. */
export const asRoom = (room: Room, number: number): Room => {
  const shell = number === 0 ? room : room.shells[number - 1]?.shell;
  return { ...room, ...shell, shells: [], id: number === 0 ? room.id : `${room.id}/shell-${number}` };
};

/** What a room is as a shell that is joined to another. */
export const asShell = ({
  family,
  id: _id,
  mark: _mark,
  name,
  bodyScale: _bodyScale,
  dress: _dress,
  aside: _aside,
  shells,
  level,
  fill,
  seams,
  ...shell
}: Room): Shell => shell;

/** The room as a looking-glass shows it: of several shells the last is the first. */
export const mirroredRoom = (room: Room): Room => {
  const gaps = room.shells.map(({ gap }) => gap).toReversed();
  const [first, ...rest] = [asShell(room), ...room.shells.map(({ shell }) => shell)].toReversed().map(mirroredShell) as [Shell, ...Shell[]];
  return { ...room, ...first, shells: rest.map((shell, index) => ({ gap: gaps[index] as DollUm, shell })) };
};
