import type { Assembly } from '../../assembly/index.ts';
import type { SewingPattern } from '../../cloth/index.ts';
import type { Net } from '../../net/index.ts';
import type { Point, Pose, Rect, Vec3 } from '../../shape/index.ts';
import type { PrintStock, StandIn } from '../../stock/index.ts';
import type { Space } from './panels.ts';

/** A bay or a divided field of a front: which cell it is, by its path, and the clear space it has. */
export type BuiltBay = { readonly path: readonly number[]; readonly kind: string; readonly space: Space };

/** A decided size where it stands on a drawing: the way to the decision, the drawing, which way it runs there, from where to where along that
 *  axis of space, and at which place across it. */
export type SizeMark = {
  readonly path: readonly string[];
  readonly sight: 'front' | 'side' | 'top';
  readonly way: 'across' | 'up';
  readonly from: number;
  readonly to: number;
  readonly at: number;
};

/** A net that is printed, cut and folded for a piece: where its first face stands in each copy, by the copy's number; lines to tear along; how many
 *  fields of it are printed alike. */
export type StandingNet = {
  readonly key: string;
  readonly name: string;
  readonly net: Net;
  readonly on: PrintStock;
  readonly tears: readonly (readonly [Point, Point])[];
  readonly cells: readonly [across: number, up: number];
  readonly copies: readonly { readonly number: number; readonly pose: Pose }[];
};

/** What a piece takes that is neither cut from board nor printed: so many lengths, together so long; sheets so wide. */
export type Extra = {
  readonly what: string;
  readonly length: number;
  readonly wide?: number;
  readonly count: number;
  /** So many grams, of what is neither measured nor counted. */
  readonly grams?: number;
};

/** What is sewn for a piece: the pattern of one copy and where each copy stands. */
export type Sewing = { readonly pattern: SewingPattern; readonly copies: readonly Vec3[] };

/** A piece that stands: its assembly; the bays of its front, parents before children; the openings of its face frame; and sizes that stand on
 *  its drawings beside the outer ones; nets of what is folded from paper. µm, doll size. */
export type Built = {
  readonly assembly: Assembly;
  readonly bays: readonly BuiltBay[];
  readonly openings: readonly Rect[];
  readonly marks: readonly SizeMark[];
  readonly nets?: readonly StandingNet[];
  readonly extras?: readonly Extra[];
  /** What from the house could stand in for it, or for something of it. */
  readonly wanted?: readonly StandIn[];
  readonly sewing?: Sewing;
  /** The point of the piece that comes to the middle of the place it stands, lies or hangs on. */
  readonly anchor?: Vec3;
};
