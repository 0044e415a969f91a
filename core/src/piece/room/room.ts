import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { type DollUm, dollField, dollUm, type Measure, measureField, UM } from '../../measure/index.ts';
import { type Piecelike, pieceFields } from '../kit/base.ts';
import { base, mm, side, some } from '../kit/sizes.ts';

/** A place along a wall or up it. */
const place = measureField({ min: 0, max: 30 * UM.m });

export const ROOM_ROLES = ['wall', 'floor', 'trim'] as const;
export type RoomRole = (typeof ROOM_ROLES)[number];

/** What can be in a wall: a window or door unit, an opening with nothing in it, an arch, a round window, or a unit that was bought, by its outer size. */
export const OPENING_FORMS = ['window', 'door', 'plain', 'arch', 'round', 'bought'] as const;
export type OpeningForm = (typeof OPENING_FORMS)[number];

/** Which end of a wall something is measured from, as it is seen from inside. */
export const ENDS = ['left', 'right'] as const;
export type End = (typeof ENDS)[number];

/** An opening in a wall: so far from one of its ends, and up from the floor. */
export type WallOpening = {
  readonly form: OpeningForm;
  readonly end: End;
  readonly from: Measure;
  readonly up: Measure;
  readonly width: Measure;
  readonly height: Measure;
  /** Frame strips on both sides, and their width. */
  readonly border: Measure;
  readonly corners: 'mitred' | 'butted';
  readonly barsUpright: number;
  readonly barsLying: number;
  readonly sill: Measure;
  readonly hinge: 'left' | 'right';
  readonly panelsAcross: number;
  readonly panelsUp: number;
  readonly glazed: boolean;
  /** Play round a unit that was bought. */
  readonly play: DollUm;
};

/** Holes for small lamps in a row, and how thick each lamp is. */
export type Lights = {
  readonly end: End;
  readonly from: Measure;
  readonly up: Measure;
  readonly count: number;
  readonly apart: Measure;
  readonly across: DollUm;
};

/** One side of a room: a wall, nothing, a wall that is only leaned against the rest, or a shop's front with pillars and glazed bays. */
export const WALL_KINDS = ['wall', 'open', 'removable', 'shop'] as const;
export type WallKind = (typeof WALL_KINDS)[number];
export type Wall = {
  readonly kind: WallKind;
  /** A second wall so far in front of this one; 0 for none. */
  readonly cavity: DollUm;
  /** Scored so far from one end, and folded there when it is put away; 0 for none. */
  readonly fold: Measure;
  readonly foldEnd: End;
  /** Of a wall between two rooms: the one that it is seen from. */
  readonly seen: End;
  readonly openings: readonly WallOpening[];
  readonly lights: Lights | null;
  /** A shop's front: how many bays between its pillars, how wide these are, and what is closed below and above the bays. */
  readonly bays: number;
  readonly pillar: Measure;
  readonly riser: Measure;
  readonly lintel: Measure;
};

/** Which wall runs over at a corner: the one on its left as it is seen from inside, the one on its right, or neither. */
export const CORNERS = ['left', 'right', 'mitred'] as const;
export type Corner = (typeof CORNERS)[number];

/** A strip that runs round the room: how high it is, and how far up it begins. */
export type Rail = { readonly height: Measure; readonly up: Measure };

/** A room's shell. Sides are counted clockwise as seen from above, from the back wall: back, right, front, left; or as its own points run. */
export type Room = Piecelike<'room', RoomRole> & {
  readonly width: Measure;
  readonly depth: Measure;
  /** From floor to ceiling. */
  readonly height: Measure;
  /** What the sizes are: the clear room inside, or all that stands there. */
  readonly hold: 'inside' | 'outside';
  readonly plan: 'rectangle' | 'own';
  /** Its own plan: corners of the clear room, right and towards the viewer, in µm of the real thing or the doll's, clockwise from the back left one. */
  readonly points: readonly (readonly [x: number, z: number])[];
  readonly pointsAre: 'real' | 'doll';
  readonly stands: 'on' | 'beside';
  readonly walls: readonly Wall[];
  readonly corners: readonly Corner[];
  readonly joined: 'glued' | 'pinned' | 'taped';
  /** Rooms side by side, with a wall between each two. */
  readonly cells: number;
  readonly between: readonly Wall[];
  readonly storeys: number;
  readonly ceiling: boolean;
  readonly skirting: Measure;
  readonly rail: Rail | null;
  readonly cornice: Measure;
  readonly cornerStrips: Measure;
  readonly trims: 'mitred' | 'butted';
};

export const MOST_OPENINGS = 12;
export const MOST_CORNERS = 16;

const dolls = (least: number, most: number, usual: number) =>
  dollField({ min: least * UM.mm, max: most * UM.mm }).default(dollUm(usual * UM.mm));

const openingSchema = z.strictObject({
  form: z.enum(OPENING_FORMS).default('window'),
  end: z.enum(ENDS).default('left'),
  from: place.default(mm(600)),
  up: place.default(mm(850)),
  width: some.default(mm(900)),
  height: measureField({ min: UM.mm, max: 5 * UM.m }).default(mm(1_200)),
  border: some.default(mm(70)),
  corners: z.enum(['mitred', 'butted']).default('butted'),
  barsUpright: z.number().int().min(0).max(8).default(1),
  barsLying: z.number().int().min(0).max(8).default(1),
  sill: base.default(mm(80)),
  hinge: z.enum(['left', 'right']).default('left'),
  panelsAcross: z.number().int().min(0).max(4).default(1),
  panelsUp: z.number().int().min(1).max(6).default(2),
  glazed: z.boolean().default(true),
  play: dolls(0, 5, 0.5),
}) as unknown as z.ZodType<WallOpening>;

const lightsSchema = z.strictObject({
  end: z.enum(ENDS).default('left'),
  from: place.default(mm(300)),
  up: place.default(mm(2_000)),
  count: z.number().int().min(1).max(30).default(3),
  apart: place.default(mm(400)),
  across: dolls(0.5, 30, 5),
}) as unknown as z.ZodType<Lights>;

const wallSchema = z.strictObject({
  kind: z.enum(WALL_KINDS).default('wall'),
  cavity: dolls(0, 200, 0),
  fold: place.default(mm(0)),
  foldEnd: z.enum(ENDS).default('left'),
  seen: z.enum(ENDS).default('left'),
  openings: z.array(openingSchema).max(MOST_OPENINGS).default([]),
  lights: lightsSchema.nullable().default(null),
  bays: z.number().int().min(1).max(8).default(2),
  pillar: some.default(mm(380)),
  riser: base.default(mm(500)),
  lintel: base.default(mm(300)),
}) as unknown as z.ZodType<Wall>;

const railSchema = z.strictObject({ height: some.default(mm(60)), up: place.default(mm(900)) }) as unknown as z.ZodType<Rail>;

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

export const roomSchema = z.strictObject({
  family: z.literal('room'),
  ...pieceFields(ROOM_ROLES),
  name: textField(80).default('room'),
  width: side.default(mm(3_000)),
  depth: side.default(mm(2_400)),
  height: side.default(mm(2_438)),
  hold: z.enum(['inside', 'outside']).default('inside'),
  plan: z.enum(['rectangle', 'own']).default('rectangle'),
  points: z.array(point).max(MOST_CORNERS).default([]),
  pointsAre: z.enum(['real', 'doll']).default('real'),
  stands: z.enum(['on', 'beside']).default('on'),
  walls: z
    .array(wallSchema)
    .max(MOST_CORNERS)
    .prefault([{}, {}, { kind: 'open' }, {}] as never),
  corners: z.array(corner).max(MOST_CORNERS).default(['right', 'left', 'left', 'right']),
  joined: z.enum(['glued', 'pinned', 'taped']).default('glued'),
  cells: z.number().int().min(1).max(6).default(1),
  between: z.array(wallSchema).max(5).default([]),
  storeys: z.number().int().min(1).max(4).default(1),
  ceiling: z.boolean().default(false),
  skirting: base.default(mm(0)),
  rail: railSchema.nullable().default(null),
  cornice: base.default(mm(0)),
  cornerStrips: base.default(mm(0)),
  trims: z.enum(['mitred', 'butted']).default('butted'),
});

/** A wall as it begins. */
export const newWall = (over: Partial<Wall> = {}): Wall => ({ ...wallSchema.parse({}), ...over });

/** An opening as it begins, by what it is. */
export const newOpening = (form: OpeningForm): WallOpening => {
  const low = form === 'door' || form === 'arch';
  const size = low
    ? { up: mm(0), width: mm(838), height: mm(2_032) }
    : form === 'round'
      ? { width: mm(500), height: mm(500), up: mm(1_300) }
      : {};
  return { ...openingSchema.parse({ form }), ...size };
};

export const newLights = (): Lights => lightsSchema.parse({});
export const newRail = (): Rail => railSchema.parse({});

const SIDES = ['back', 'right', 'front', 'left'] as const;

/** What a side of a room is called. */
export const sideName = ({ plan }: Pick<Room, 'plan'>, side: number): string =>
  plan === 'rectangle' ? `${SIDES[side] ?? 'back'} wall` : `wall ${side + 1}`;

const OTHER = { left: 'right', right: 'left' } as const;

const mirroredWall = (wall: Wall): Wall => ({
  ...wall,
  foldEnd: OTHER[wall.foldEnd],
  seen: OTHER[wall.seen],
  lights: wall.lights && { ...wall.lights, end: OTHER[wall.lights.end] },
  openings: wall.openings.map((opening) => ({ ...opening, end: OTHER[opening.end], hinge: OTHER[opening.hinge] })),
});

const mirroredCorner = (corner: Corner): Corner => (corner === 'mitred' ? corner : OTHER[corner]);

/** A list of what goes round, walked the other way; `first` is where its first one is found. */
const backwards = <T>(list: readonly T[], first: number): readonly T[] =>
  list.map((_, index) => list[(((first - index) % list.length) + list.length) % list.length] as T);

/** The room as a looking-glass shows it. */
export const mirroredRoom = (room: Room): Room => ({
  ...room,
  points: backwards(room.points, 1).map(([x, z]) => [-x + 0, z] as const),
  walls: backwards(room.walls, 0).map(mirroredWall),
  corners: backwards(room.corners, 1).map(mirroredCorner),
  between: room.between.toReversed().map(mirroredWall),
});
