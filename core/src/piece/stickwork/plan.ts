// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer. What everything made of sticks is measured from.
import type { Part, Role } from '../../assembly/index.ts';
import type { Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import type { Stick } from '../../stock/index.ts';
import { bodyHeight, type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import { sectionOf } from '../parts/panels.ts';
import { STICKWORK_ROLES, type Stickwork, type StickworkRole } from './stickwork.ts';

export type StickworkPlan = {
  readonly piece: Stickwork;
  readonly sheets: Readonly<Record<StickworkRole, Sheeting>>;
  readonly width: number;
  readonly height: number;
  readonly depth: number;
  readonly post: Stick;
  readonly rail: Stick;
  readonly slat: Stick;
  readonly rod: Stick;
  readonly gap: number;
  readonly low: number;
  readonly doll: (measure: Measure) => number;
};

/** What is built, and how far it reaches from the origin. */
export type PartsResult = Result<{ readonly parts: readonly Part[]; readonly outside: Vec3 }, PieceProblem>;

export const planStickwork = (piece: Stickwork, means: Means): StickworkPlan => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  return {
    piece,
    sheets: sheetsFor(piece, STICKWORK_ROLES, means),
    width: doll(piece.width),
    height: bodyHeight(piece.height, piece.bodyScale, means),
    depth: doll(piece.depth),
    post: sectionOf(piece.post),
    rail: sectionOf(piece.rail),
    slat: sectionOf(piece.slat),
    rod: sectionOf(piece.rod),
    gap: doll(piece.gap),
    low: doll(piece.low),
    doll,
  };
};

export const kind = ({ piece }: StickworkPlan, id: string, role: Role, name: string) => ({ id: `${piece.id}/${id}`, role, name });

/** A thing's place along a row: its middle, for so many evenly from end to end. */
export const inRow = (from: number, to: number, count: number, wide: number): readonly number[] =>
  Array.from({ length: count }, (_, index) =>
    count === 1 ? Math.round((from + to) / 2) : Math.round(from + wide / 2 + ((to - from - wide) * index) / (count - 1)),
  );
