// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer. What every part of a seat is measured from.
import type { Motion, Part } from '../../assembly/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { bodyHeight, type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import { SEAT_ROLES, type Seat, type SeatRole } from './seat.ts';

export type SeatPlan = {
  readonly piece: Seat;
  readonly sheets: Readonly<Record<SeatRole, Sheeting>>;
  readonly width: number;
  readonly depth: number;
  readonly height: number;
  /** Floor to the upper face of the seat's board, and to the padding's. */
  readonly boardTop: number;
  readonly seatTop: number;
  readonly pad: number;
  /** How far back the back leans; 0 without one. */
  readonly lean: number;
  readonly hasBack: boolean;
  readonly doll: (measure: Measure) => number;
};

export type PartsResult = { readonly parts: readonly Part[]; readonly motions: readonly Motion[] };

export const planSeat = (piece: Seat, means: Means): SeatPlan => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const hasBack = piece.back !== 'none' && piece.shape === 'rectangle' && !(piece.stands === 'box' && piece.box === 'lid');
  const seatTop = bodyHeight(piece.seat, piece.bodyScale, means);
  const pad = doll(piece.pad);
  return {
    piece,
    sheets: sheetsFor(piece, SEAT_ROLES, means),
    width: doll(piece.width),
    depth: doll(piece.depth),
    height: hasBack ? bodyHeight(piece.height, piece.bodyScale, means) : seatTop,
    boardTop: seatTop - pad,
    seatTop,
    pad,
    lean: hasBack ? doll(piece.lean) : 0,
    hasBack,
    doll,
  };
};

export const idIn = (plan: SeatPlan, id: string): string => `${plan.piece.id}/${id}`;
