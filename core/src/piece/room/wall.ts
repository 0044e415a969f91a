// A wall of a room as it is decided: what it is, what is in it and on it.
import { z } from 'zod';
import { type DollUm, dollField, dollUm, type Measure, measureField, UM } from '../../measure/index.ts';
import { base, mm, some } from '../family/sizes.ts';

/** A place along a wall or up it. */
export const place = measureField({ min: 0, max: 30 * UM.m });

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
  /** A picture of what lies outside, so far behind the wall; 0 for none. */
  readonly view: DollUm;
};

/** Where the battery box of a wall's lamps hangs behind the face that is seen, and how large it is. */
export type BatteryBox = {
  readonly end: End;
  readonly from: Measure;
  readonly up: Measure;
  readonly width: DollUm;
  readonly height: DollUm;
  readonly depth: DollUm;
};

/** Holes for small lamps in a row, how thick each lamp is, and the box that they are lit from. */
export type Lights = {
  readonly end: End;
  readonly from: Measure;
  readonly up: Measure;
  readonly count: number;
  readonly apart: Measure;
  readonly across: DollUm;
  readonly box: BatteryBox | null;
};

/** A strip that stands on a wall from the skirting up, to divide it or to hide a joint of its boards. */
export type Batten = { readonly end: End; readonly from: Measure; readonly width: Measure };

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
  readonly battens: readonly Batten[];
  /** A shop's front: how many bays between its pillars, how wide these are, and what is closed below and above the bays. */
  readonly bays: number;
  readonly pillar: Measure;
  readonly riser: Measure;
  readonly lintel: Measure;
};

export const MOST_OPENINGS = 12;
export const MOST_BATTENS = 12;

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
  view: dolls(0, 200, 0),
});

const boxSchema = z.strictObject({
  end: z.enum(ENDS).default('left'),
  from: place.default(mm(300)),
  up: place.default(mm(300)),
  // A box for two small cells with its switch. Common practice, no source.
  width: dolls(5, 200, 70),
  height: dolls(5, 200, 38),
  depth: dolls(2, 100, 20),
});

const battenSchema = z.strictObject({
  end: z.enum(ENDS).default('left'),
  from: place.default(mm(300)),
  width: some.default(mm(80)),
});

const lightsSchema = z.strictObject({
  end: z.enum(ENDS).default('left'),
  from: place.default(mm(300)),
  up: place.default(mm(2_000)),
  count: z.number().int().min(1).max(30).default(3),
  apart: place.default(mm(400)),
  across: dolls(0.5, 30, 5),
  box: boxSchema.nullable().default(null),
});

export const wallSchema = z.strictObject({
  kind: z.enum(WALL_KINDS).default('wall'),
  cavity: dolls(0, 200, 0),
  fold: place.default(mm(0)),
  foldEnd: z.enum(ENDS).default('left'),
  seen: z.enum(ENDS).default('left'),
  openings: z.array(openingSchema).max(MOST_OPENINGS).default([]),
  lights: lightsSchema.nullable().default(null),
  battens: z.array(battenSchema).max(MOST_BATTENS).default([]),
  bays: z.number().int().min(1).max(8).default(2),
  pillar: some.default(mm(380)),
  riser: base.default(mm(500)),
  lintel: base.default(mm(300)),
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
export const newBox = (): BatteryBox => boxSchema.parse({});
export const newBatten = (): Batten => battenSchema.parse({});
export const OTHER = { left: 'right', right: 'left' } as const;

export const mirroredWall = (wall: Wall): Wall => ({
  ...wall,
  foldEnd: OTHER[wall.foldEnd],
  seen: OTHER[wall.seen],
  lights: wall.lights && {
    ...wall.lights,
    end: OTHER[wall.lights.end],
    box: wall.lights.box && { ...wall.lights.box, end: OTHER[wall.lights.box.end] },
  },
  battens: wall.battens.map((batten) => ({ ...batten, end: OTHER[batten.end] })),
  openings: wall.openings.map((opening) => ({ ...opening, end: OTHER[opening.end], hinge: OTHER[opening.hinge] })),
});
