// The table of families: what each is as data. What is decided about them, what builds them and what they may be started from stand in
// `building.ts`, which the page that opens first does not need. Whoever wants a piece asks at these two tables and never for a family by name.
import type { z } from 'zod';
import { BED_ROLES, type Bed, bedSchema } from './bed/bed.ts';
import { BOARD_ROLES, type Casework, caseworkSchema, partsAbout } from './casework/casework.ts';
import { CLOTH_ROLES, type ClothThing, clothThingSchema } from './cloth/cloth.ts';
import { FREE_ROLES, type Free, freeSchema } from './free/free.ts';
import type { PlaceOf } from './kit/means.ts';
import { ODD_ROLES, type OddThing, oddSchema } from './odd/odd.ts';
import { OPENING_ROLES, type Opening, openingSchema } from './opening/opening.ts';
import { GOOD_ROLES, type Good, goodSchema, MOST_COPIES } from './paper/good.ts';
import { ROOM_ROLES, type Room, roomSchema, type Shell } from './room/room.ts';
import { ROUND_ROLES, roundSchema, type Turned } from './round/turned.ts';
import { SEAT_ROLES, type Seat, seatSchema } from './seat/seat.ts';
import { SHOP_ROLES, type Shop, shopSchema } from './shop/shop.ts';
import { STACK_ROLES, type Stack, stackSchema } from './stack/stack.ts';
import { STICKWORK_ROLES, type Stickwork, stickworkSchema } from './stickwork/stickwork.ts';
import { TABLE_ROLES, type Table, tableSchema } from './table/table.ts';
import { WALL_ROLES, type WallThing, wallSchema } from './wall/wallThing.ts';

/** A piece of a set: one of the families. */
export type Piece =
  | Casework
  | Table
  | Bed
  | Seat
  | Stickwork
  | Turned
  | Stack
  | WallThing
  | Opening
  | Shop
  | Room
  | Good
  | ClothThing
  | OddThing
  | Free;
export type FamilyName = Piece['family'];

/** All that a family is. */
export type Family<P extends Piece = Piece> = {
  /** A piece as it may stand in a file. */
  readonly schema: z.ZodType<Omit<P, 'id' | 'mark'> & { readonly id?: string | undefined; readonly mark?: number | undefined }>;
  readonly roles: readonly string[];
  /** About how many parts it has, before anything is built. */
  readonly partsAbout: (piece: Omit<P, 'id' | 'mark'>) => number;
};

/** About how many parts a shell has. */
const shellAbout = ({ walls, between, storeys, cells, panelling, beams }: Shell): number =>
  storeys * (10 + (panelling ? 24 : 6) * cells + (beams ? 3 * beams.count * cells : 0)) +
  storeys * [...walls, ...between].reduce((sum, { openings, battens }) => sum + 3 + 2 * battens.length + 20 * openings.length, 0);

export const FAMILIES: { readonly [F in FamilyName]: Family<Extract<Piece, { readonly family: F }>> } = {
  casework: {
    schema: caseworkSchema as unknown as Family<Casework>['schema'],
    roles: BOARD_ROLES,
    partsAbout,
  },
  table: {
    schema: tableSchema as unknown as Family<Table>['schema'],
    roles: TABLE_ROLES,
    partsAbout: ({ drawers }) => 20 + 12 * drawers,
  },
  bed: {
    schema: bedSchema as unknown as Family<Bed>['schema'],
    roles: BED_ROLES,
    partsAbout: ({ drawers, base, levels }) => 24 + 12 * drawers + (base === 'slats' ? 20 : 0) * (levels === 'bunk' ? 2 : 1),
  },
  seat: {
    schema: seatSchema as unknown as Family<Seat>['schema'],
    roles: SEAT_ROLES,
    partsAbout: ({ boxes, pads }) => 30 + 10 * boxes + 2 * pads,
  },
  stickwork: {
    schema: stickworkSchema as unknown as Family<Stickwork>['schema'],
    roles: STICKWORK_ROLES,
    partsAbout: ({ count, layers }) => 60 + 4 * count * layers,
  },
  round: {
    schema: roundSchema as unknown as Family<Turned>['schema'],
    roles: ROUND_ROLES,
    partsAbout: ({ sections }) => sections.reduce((sum, { kind, count }) => sum + (kind === 'merlons' ? 2 * count : 4), 0),
  },
  stack: {
    schema: stackSchema as unknown as Family<Stack>['schema'],
    roles: STACK_ROLES,
    partsAbout: ({ layers }) => layers.reduce((sum, { boards }) => sum + boards, 0),
  },
  wall: {
    schema: wallSchema as unknown as Family<WallThing>['schema'],
    roles: WALL_ROLES,
    partsAbout: ({ count }) => 8 + 2 * count,
  },
  opening: {
    schema: openingSchema as unknown as Family<Opening>['schema'],
    roles: OPENING_ROLES,
    partsAbout: ({ form, panelsAcross, panelsUp, barsUpright, barsLying }) =>
      16 + (form === 'door' ? panelsAcross * panelsUp : barsUpright + barsLying * (barsUpright + 1)),
  },
  shop: {
    schema: shopSchema as unknown as Family<Shop>['schema'],
    roles: SHOP_ROLES,
    partsAbout: ({ count }) => 12 + 3 * count,
  },
  room: {
    schema: roomSchema as unknown as Family<Room>['schema'],
    roles: ROOM_ROLES,
    partsAbout: (room) => [room, ...room.shells.map(({ shell }) => shell)].reduce((sum, shell) => sum + shellAbout(shell), 0),
  },
  paper: {
    schema: goodSchema as unknown as Family<Good>['schema'],
    roles: GOOD_ROLES,
    partsAbout: ({ count, form, fills }) => (fills ? MOST_COPIES / 4 : count) * (form === 'book' || form === 'sheet' ? 4 : 1),
  },
  cloth: {
    schema: clothThingSchema as unknown as Family<ClothThing>['schema'],
    roles: CLOTH_ROLES,
    partsAbout: ({ count, panels, form }) => count * (form === 'quilt' ? 2 * panels : 4),
  },
  odd: {
    schema: oddSchema as unknown as Family<OddThing>['schema'],
    roles: ODD_ROLES,
    partsAbout: ({ count, slices }) => count * (4 + 2 * slices),
  },
  panels: {
    schema: freeSchema as unknown as Family<Free>['schema'],
    roles: FREE_ROLES,
    partsAbout: ({ panels }) => panels.length * 2,
  },
};

/** Small things that are folded, sewn or put together of what is found: they stand among the small goods. */
export const isSmall = ({ family }: Pick<Piece, 'family'>): boolean => family === 'paper' || family === 'cloth' || family === 'odd';

/** Pieces that may lie, stand or hang on another. */
type Belonging = Extract<Piece, { readonly on: PlaceOf | null }>;
export const belongs = (piece: Piece): piece is Belonging => piece.family === 'cloth' || piece.family === 'odd';

/** The piece of the set on which one stands, lies or hangs, or whose shelf it fills: it goes where that goes. */
export const hostOf = (piece: Piece): string | null =>
  piece.family === 'paper' ? (piece.fills?.piece ?? null) : belongs(piece) ? (piece.on?.piece ?? null) : null;

/** The family of a piece, as one that takes any piece of its own kind. */
export const familyOf = (piece: Pick<Piece, 'family'>): Family => FAMILIES[piece.family] as unknown as Family;

const OUTER = ['width', 'height', 'depth', 'mattressLength', 'mattressWidth'] as const;

/** The outer sizes of a piece that were decided as the real thing's, in µm. */
export const drivingSizes = (piece: Piece): readonly number[] =>
  OUTER.flatMap((key) => {
    const value = (piece as Partial<Record<(typeof OUTER)[number], unknown>>)[key];
    return typeof value === 'number' ? [value] : [];
  });
