// What a piece is made with: the scales of its set and its boards.
import type { Body } from '../../doll/index.ts';
import { type DollUm, dollOf, type Measure, type Scale } from '../../measure/index.ts';
import { type Board, type Cloth, thicknessOf } from '../../stock/index.ts';

/** The set's scale, the doll's own (her height to the stature of whom she stands for), and the boards at hand. */
export type Means = {
  readonly scale: Scale;
  readonly body: Scale;
  readonly boards: readonly Board[];
  /** Who uses the pieces. */
  readonly users?: readonly User[];
  /** The clear space of a shelf of another piece of the set; nothing where there is none. */
  readonly shelf?: (shelf: ShelfOf) => ShelfSpace | undefined;
  /** A place of another piece of the set on which something may lie, stand or hang; nothing where there is none. */
  readonly place?: (place: PlaceOf) => PlaceSpace | undefined;
  /** Cloth at hand; one that is named by no piece is the first. */
  readonly cloths?: readonly Cloth[];
};

/** A shelf of a piece: the bay of its front, and which gap in it, counted from below. */
export type ShelfOf = { readonly piece: string; readonly bay: readonly number[]; readonly gap: number };

export type ShelfSpace = { readonly width: number; readonly height: number; readonly depth: number };

/** A place of a piece: which piece, and which of its places by name. */
export type PlaceOf = { readonly piece: string; readonly at: string };

/** What a place is: a mattress, padding that is sat on, a top, a window, a seat without padding. */
export const PLACE_KINDS = ['mattress', 'pad', 'seat', 'top', 'window'] as const;

/** A place's measures: across and front to back (upright for a window), how thick what lies there is, how high it is above the floor, whether it is round. */
export type PlaceSpace = {
  readonly kind: (typeof PLACE_KINDS)[number];
  readonly width: number;
  readonly depth: number;
  readonly thick: number;
  /** From the floor to the upper side; to the lower edge of a window, where that is known. */
  readonly above: number | null;
  readonly round: boolean;
};

/** A doll who uses every piece, or those that are named by their ids. */
export type User = { readonly name: string; readonly body: Body; readonly uses: 'all' | readonly string[] };

/** Which way body heights are taken: by the set's scale, or by the doll's own body. */
export const BODY_SCALES = ['set', 'doll'] as const;
export type BodyScale = (typeof BODY_SCALES)[number];

/** A height that touches the body (a table top, a bed's length, a counter): by the scale that the piece follows for it. */
export const bodyHeight = (measure: Measure, bodyScale: BodyScale, means: Means): DollUm =>
  dollOf(measure, bodyScale === 'set' ? means.scale : means.body);

/** Board as a part needs it: how thick one is, and how many are glued on one another. µm, doll size. */
export type Sheeting = { readonly board: string; readonly one: number; readonly layers: number; readonly thickness: number };

/** Which board each role is cut from, and the thickness that layers are glued up to; null is the carcass's board, and one layer. */
export type BoardChoice = Readonly<Record<string, string | null>>;
export type ThickChoice = Readonly<Record<string, Measure | null>>;

/** The board a role is cut from: its own, else the first role's, else the set's first. */
export const boardFor = (boards: BoardChoice, role: string, at: readonly Board[]): Board => {
  const wanted = boards[role] ?? Object.values(boards)[0];
  const board = at.find(({ id }) => id === wanted) ?? at[0];
  if (!board) throw new Error('a set has at least one board');
  return board;
};

/** How many layers of a board reach a wanted thickness, and what they are over it: n = ceil(wanted ÷ board), at most twelve. A surplus of
 *  under a twentieth of a board is let go. */
export const layersFor = (wanted: number, one: number): { readonly layers: number; readonly error: number } => {
  const layers = Math.max(1, Math.min(12, Math.ceil(wanted / one - 0.05)));
  return { layers, error: layers * one - wanted };
};

/** The board of a role, in as many layers as were decided. */
export const sheetingOf = (boards: BoardChoice, thick: ThickChoice, role: string, means: Means): Sheeting => {
  const board = boardFor(boards, role, means.boards);
  const one = thicknessOf(board);
  const wanted = thick[role] ?? null;
  const layers = wanted === null ? 1 : layersFor(dollOf(wanted, means.scale), one).layers;
  return { board: board.id, one, layers, thickness: one * layers };
};

/** The board of each of a family's roles. */
export const sheetsFor = <Role extends string>(
  { boards, thick }: { readonly boards: BoardChoice; readonly thick: ThickChoice },
  roles: readonly Role[],
  means: Means,
): Readonly<Record<Role, Sheeting>> =>
  Object.fromEntries(roles.map((role) => [role, sheetingOf(boards, thick, role, means)])) as Record<Role, Sheeting>;
