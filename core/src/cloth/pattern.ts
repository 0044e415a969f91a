// µm, doll size. A sewing pattern: pieces of cloth as they lie flat, the edges by which they are joined, and how each is bent once it is sewn.
import type { Point, Pose, Ring } from '../shape/index.ts';

/** What becomes of an edge. 'seam': joined within its allowance, inside out. 'flap': turned in and glued. 'rim': glued or stitched on another edge, and seen. 'hem': turned
 *  once; 'double hem': turned twice; 'pocket': turned and stitched so wide that a rod goes through. 'raw' is left as it is cut, 'fold' is a fold and no cut. */
export type EdgeKind = 'seam' | 'flap' | 'rim' | 'hem' | 'double hem' | 'pocket' | 'raw' | 'fold';

/** So many sides of a piece's line, from where the last edge ends; what is cut beyond the line there. */
export type ClothEdge = { readonly name: string; readonly sides: number; readonly kind: EdgeKind; readonly allow: number };

/** Which cloth of the thing a piece is cut from; batting and padding are cut by the same lines, without allowances. */
export type ClothRole = 'main' | 'second' | 'batting';

/** A piece of cloth, its right side up, the grain along y. The line is where it is sewn or folded: counter-clockwise, its edges in the order of its sides. */
export type ClothPiece = {
  readonly name: string;
  readonly role: ClothRole;
  readonly line: Ring;
  readonly edges: readonly ClothEdge[];
  /** Where it is folded or stitched within, beside its edges. */
  readonly folds: readonly (readonly [Point, Point])[];
  readonly stitches: readonly (readonly [Point, Point])[];
  /** Whether it may be cut lying any way (no grain to be minded). */
  readonly anyWay: boolean;
};

/** A stretch of an edge, by its length from where the edge begins; the whole of it where nothing is said. */
export type EdgeRef = { readonly piece: number; readonly edge: string; readonly from?: number; readonly to?: number };

/** Two edges that are joined. They are equally long, or the first is `ratio` times as long and gathered or laid in tucks; `against` runs along the second the other way. */
export type Seam = {
  readonly name: string;
  readonly one: EdgeRef;
  readonly other: EdgeRef;
  readonly against: boolean;
  readonly how: 'plain' | 'gathered' | 'tucked';
  readonly ratio: number;
};

/** How a stretch of flat cloth is bent. */
export type Bend =
  | { readonly kind: 'plane'; readonly pose: Pose }
  /** Round an axis along v: x goes round a circle of this radius, towards the side that the pose looks to. */
  | { readonly kind: 'roll'; readonly pose: Pose; readonly radius: number }
  /** Filled from behind: flat sizes, and how far the middle stands out. */
  | { readonly kind: 'pillow'; readonly pose: Pose; readonly flat: readonly [number, number]; readonly bulge: number }
  /** In folds along u: the flat width, the span that it is gathered to, how many folds. */
  | { readonly kind: 'wave'; readonly pose: Pose; readonly flat: number; readonly span: number; readonly waves: number }
  /** A corner that hangs free between two drops: the flat corner and the place in space, the flat way along the first drop's lower edge, and the ways outwards. */
  | {
      readonly kind: 'cone';
      readonly apex: Point;
      readonly from: Point;
      readonly to: Point;
      readonly at: readonly [number, number, number];
      readonly ways: readonly [along: readonly [number, number, number], aside: readonly [number, number, number]];
    }
  /** A round cloth over a round top: its middle in space and on the cloth, the top's radius, how many folds hang down. */
  | {
      readonly kind: 'flute';
      readonly centre: Point;
      readonly at: readonly [number, number, number];
      readonly radius: number;
      readonly folds: number;
    }
  /** A strip made up as a ring: x goes round, y round the tube. */
  | {
      readonly kind: 'torus';
      readonly at: readonly [number, number, number];
      readonly radius: number;
      readonly tube: number;
      readonly squash: number;
    };

/** A part of a piece, flat, and how it is bent once all is sewn. */
export type Patch = {
  readonly piece: number;
  readonly ring: Ring;
  readonly bend: Bend;
  readonly fine: readonly [number, number] /** Of what is round: shares of its radius at which its mesh has rings, beside even steps. */;
  readonly rings?: readonly number[];
};

/** An opening that is left to turn and fill it. */
export type TurningGap = { readonly piece: number; readonly edge: string; readonly from: number; readonly to: number };

export type SewingPattern = {
  readonly pieces: readonly ClothPiece[];
  readonly seams: readonly Seam[];
  readonly openings: readonly TurningGap[];
  readonly patches: readonly Patch[];
};

const between = ([x, y]: Point, [to, up]: Point): number => Math.hypot(to - x, up - y);

/** The points of an edge, one after the other. */
export const edgePoints = ({ line, edges }: ClothPiece, name: string): readonly Point[] => {
  let first = 0;
  for (const edge of edges) {
    if (edge.name === name) return Array.from({ length: edge.sides + 1 }, (_, index) => line[(first + index) % line.length] as Point);
    first += edge.sides;
  }
  throw new Error(`a piece of cloth has no edge “${name}”`);
};

/** How long an edge is along the line. */
export const edgeLength = (piece: ClothPiece, name: string): number => {
  const points = edgePoints(piece, name);
  return points.slice(1).reduce((sum, point, index) => sum + between(points[index] as Point, point), 0);
};

/** The point of an edge that lies so far along it. */
export const pointAlong = (piece: ClothPiece, name: string, along: number): Point => {
  const points = edgePoints(piece, name);
  let left = along;
  for (let index = 1; index < points.length; index += 1) {
    const [from, to] = [points[index - 1] as Point, points[index] as Point];
    const long = between(from, to);
    if (left <= long || index === points.length - 1) {
      const share = long === 0 ? 0 : left / long;
      return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
    }
    left -= long;
  }
  return points[0] as Point;
};

/** How long a stretch of an edge is. */
export const stretchOf = (pieces: readonly ClothPiece[], { piece, edge, from, to }: EdgeRef): number => {
  const whole = edgeLength(pieces[piece] as ClothPiece, edge);
  return (to ?? whole) - (from ?? 0);
};
