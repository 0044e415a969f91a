// The families as data, a line each: what stands in documents. What builds them stands in `families.ts`, which the page that opens first does not need.
import { bedModel } from './bed/bed.ts';
import { type Casework, caseworkModel } from './casework/casework.ts';
import type { Cell } from './casework/cell.ts';
import { clothModel } from './cloth/cloth.ts';
import type { PlaceOf } from './family/means.ts';
import type { FamilyModel, PieceOf } from './family/model.ts';
import { freeModel } from './free/free.ts';
import { oddModel } from './odd/odd.ts';
import { openingModel } from './opening/opening.ts';
import { paperModel } from './paper/good.ts';
import { type Room, roomModel } from './room/room.ts';
import { roundModel } from './round/turned.ts';
import { screenModel } from './screen/screen.ts';
import { seatModel } from './seat/seat.ts';
import { shopModel } from './shop/shop.ts';
import { stackModel } from './stack/stack.ts';
import { stickworkModel } from './stickwork/stickwork.ts';
import { tableModel } from './table/table.ts';
import { wallModel } from './wall/wallThing.ts';

export const MODELS = {
  casework: caseworkModel,
  table: tableModel,
  bed: bedModel,
  seat: seatModel,
  stickwork: stickworkModel,
  round: roundModel,
  stack: stackModel,
  wall: wallModel,
  opening: openingModel,
  shop: shopModel,
  room: roomModel,
  paper: paperModel,
  cloth: clothModel,
  odd: oddModel,
  panels: freeModel,
  screen: screenModel,
};

export type FamilyName = keyof typeof MODELS;

/** A piece of a set: one of the families. */
export type Piece = { [F in FamilyName]: PieceOf<(typeof MODELS)[F]['schema']> }[FamilyName];

/** The data of a piece's family, as one that takes any piece of its own kind. */
export const modelOf = ({ family }: Pick<Piece, 'family'>): FamilyModel => MODELS[family] as FamilyModel;

/** Whether a piece is one of the small goods. */
export const isSmall = (piece: Pick<Piece, 'family'>): boolean => modelOf(piece).small ?? false;

/** Whether a piece is a room, in which others stand. */
export const isRoom = (piece: Piece): piece is Room => piece.family === 'room';

/** Whether a piece has a front of bays. */
export const hasBays = (piece: Piece): piece is Casework => piece.family === 'casework';

/** The tree of bays of a piece that has one. */
export const frontOf = (piece: Piece): Cell | undefined => (hasBays(piece) ? piece.front : undefined);

/** Pieces that may lie, stand or hang on another. */
type Belonging = Extract<Piece, { readonly on: PlaceOf | null }>;
export const belongs = (piece: Piece): piece is Belonging => 'on' in piece && typeof piece.on !== 'string';

/** The piece of the set on which one stands, lies or hangs, or whose shelf it fills: it goes where that goes. */
export const hostOf = (piece: Piece): string | null => modelOf(piece).host?.(piece) ?? null;

const OUTER = ['width', 'height', 'depth', 'mattressLength', 'mattressWidth'] as const;

/** The outer sizes of a piece that were decided as the real thing's, in µm. */
export const drivingSizes = (piece: Piece): readonly number[] =>
  OUTER.flatMap((key) => {
    const value = (piece as Partial<Record<(typeof OUTER)[number], unknown>>)[key];
    return typeof value === 'number' ? [value] : [];
  });
