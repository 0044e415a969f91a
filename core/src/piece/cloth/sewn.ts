// µm, doll size. One copy of a thing of cloth: its pattern, what it takes, the space it fills. x right, y up, z towards the viewer, its lower left back corner at the origin.
import type { Part } from '../../assembly/index.ts';
import type { EdgeWork, Seam, SewingPattern, TurningGap } from '../../cloth/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { UM } from '../../measure/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import type { PlaceSpace, Sheeting } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Extra } from '../parts/built.ts';
import { foundThing, type Space } from '../parts/panels.ts';
import { padIn } from '../parts/parts.ts';
import type { Put } from '../parts/put.ts';
import type { ClothPartRole, ClothThing } from './cloth.ts';

/** What one copy is made by, at doll size: its sizes are those of its place where it takes them from there. */
export type ClothSizes = {
  readonly piece: ClothThing;
  readonly width: number;
  readonly height: number;
  readonly depth: number;
  readonly drop: number;
  readonly beyond: number;
  readonly straps: number;
  readonly round: boolean;
  /** How thick its cloth is. */
  readonly cloth: number;
  readonly place: PlaceSpace | undefined;
  readonly sheets: Readonly<Record<ClothPartRole, Sheeting>>;
  readonly put: Put;
};

export type Sewn = {
  readonly pattern: SewingPattern;
  readonly size: Vec3;
  readonly parts: readonly Part[];
  readonly extras: readonly Extra[];
  /** The point that comes to the middle of the place it lies or hangs on. */
  readonly anchor: Vec3;
  /** Whether it is filled with what is loose, so that its patches close in a space. */
  readonly filled?: boolean;
};

export type SewnResult = Result<Sewn, PieceProblem>;
export const made = (sewn: Sewn): SewnResult => ok(sewn);
export const refused = (problem: PieceProblem): SewnResult => err(problem);

/** What is done along an edge by which two flat pieces lie on one another. Felt keeps a rim in sight. */
export const closing = ({ way, seam }: ClothThing): EdgeWork =>
  way === 'sewn' ? ['seam', seam] : way === 'felt' ? ['rim', seam] : ['flap', seam];

/** How much of a finished size is a rim, on each side. */
export const rimOf = ({ way, seam }: ClothThing): number => (way === 'felt' ? seam : 0);

/** What is done along an edge at which two pieces meet at an angle: felt is stitched or glued edge to edge. */
export const meeting = ({ way, seam }: ClothThing): EdgeWork =>
  way === 'sewn' ? ['seam', seam] : way === 'felt' ? ['rim', 0] : ['flap', seam];

/** What is done along an edge that is not joined: turned twice where it is sewn, once where it is glued or ironed; felt is only cut. */
export const hemming = ({ way, hem }: ClothThing): EdgeWork =>
  way === 'sewn' ? ['double hem', 2 * hem] : way === 'felt' ? ['raw', 0] : ['hem', hem];

/** A finger or the blunt end of a stick goes through, and no more than four fifths of an edge is left open. Common practice, no source. */
const FINGER = 25 * UM.mm;

/** An opening in the middle of an edge so long, to turn and fill it by. */
export const openingOn = (piece: number, edge: string, length: number): TurningGap => {
  const wide = Math.min(0.8 * length, Math.max(0.45 * length, FINGER));
  return { piece, edge, from: Math.round((length - wide) / 2), to: Math.round((length + wide) / 2) };
};

type Ends = readonly [piece: number, edge: string, from?: number, to?: number];

const refTo = ([piece, edge, from, to]: Ends) => ({ piece, edge, ...(from !== undefined && { from }), ...(to !== undefined && { to }) });

/** Two edges joined that run against one another, as right sides laid on each other do. */
export const seam = (name: string, one: Ends, other: Ends, more: Partial<Seam> = {}): Seam => ({
  name,
  one: refTo(one),
  other: refTo(other),
  against: true,
  how: 'plain',
  ratio: 1,
  ...more,
});

/** Cloth that takes its place as a body, and is not cut from board. */
export const body = ({ piece }: ClothSizes, id: string, space: Space): Part =>
  foundThing(space, { id: `${piece.id}/${id}`, role: 'found', name: piece.form, shows: 'up', held: 'slides' }, 'cloth');

/** Foam or batting in the shape of a block. */
export const padding = ({ piece }: ClothSizes, id: string, name: string, space: Space): Part =>
  padIn(space, { id: `${piece.id}/${id}`, role: 'pad', name, shows: 'up', held: 'slides' });

export const spaceOf = ([x0, y0, z0]: Vec3, [x1, y1, z1]: Vec3): Space => ({ x0, y0, z0, x1, y1, z1 });

/** Ribbon goes round a corner and a little over where it began. Common practice, no source. */
export const RIBBON_OVER = 10 * UM.mm;
