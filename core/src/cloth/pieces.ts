// µm, doll size. Pieces of cloth as they are mostly cut: rectangles, discs, outlines; and patches of them.
import { type Point, type Pose, type Ring, rectRing } from '../shape/index.ts';
import { drawnRadius } from './arcs.ts';
import type { Bend, ClothEdge, ClothPiece, ClothRole, EdgeKind, Patch } from './pattern.ts';

/** What is done with an edge, and what that needs beyond the line. */
export type EdgeWork = readonly [kind: EdgeKind, allow: number];

export const SIDES = ['lower', 'right', 'upper', 'left'] as const;
export type SideName = (typeof SIDES)[number];

type More = Partial<Pick<ClothPiece, 'folds' | 'stitches' | 'role' | 'anyWay'>>;

const pieceOf = (name: string, line: Ring, edges: readonly ClothEdge[], more: More): ClothPiece => ({
  name,
  role: 'main' as ClothRole,
  line: line.map(([x, y]): Point => [Math.round(x) + 0, Math.round(y) + 0]),
  edges,
  folds: [],
  stitches: [],
  anyWay: false,
  ...more,
});

/** A rectangle, its lower left corner at the origin: edges lower, right, upper, left. */
export const rectPiece = (
  name: string,
  width: number,
  height: number,
  work: EdgeWork | Readonly<Record<SideName, EdgeWork>>,
  more: More = {},
): ClothPiece => {
  const of = (side: SideName): EdgeWork =>
    Array.isArray(work) ? (work as EdgeWork) : (work as Readonly<Record<SideName, EdgeWork>>)[side];
  return pieceOf(
    name,
    rectRing(0, 0, Math.round(width), Math.round(height)),
    SIDES.map((side) => ({ name: side, sides: 1, kind: of(side)[0], allow: of(side)[1] })),
    more,
  );
};

/** Corners with which round cloth is drawn. */
export const ROUND = 96;

/** A ring round a middle whose sides together are as long as the true circle, beginning at the right. */
export const discRing = (radius: number, centre: Point = [radius, radius], corners = ROUND): Ring => {
  const r = drawnRadius(radius, corners);
  return Array.from({ length: corners }, (_, index): Point => {
    const angle = (2 * Math.PI * index) / corners;
    return [centre[0] + r * Math.cos(angle), centre[1] + r * Math.sin(angle)];
  });
};

/** A disc: one edge, round. */
export const discPiece = (name: string, radius: number, [kind, allow]: EdgeWork, more: More = {}): ClothPiece =>
  pieceOf(name, discRing(radius), [{ name: 'round', sides: ROUND, kind, allow }], { anyWay: true, ...more });

/** A piece of any outline, counter-clockwise: each edge with how many sides it has. */
export const outlinePiece = (
  name: string,
  line: Ring,
  edges: readonly (readonly [name: string, sides: number, work: EdgeWork])[],
  more: More = {},
): ClothPiece =>
  pieceOf(
    name,
    line,
    edges.map(([edge, sides, [kind, allow]]) => ({ name: edge, sides, kind, allow })),
    more,
  );

/** A rectangle of a piece, bent. */
export const patch = (
  piece: number,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
  bend: Bend,
  fine: readonly [number, number] = [1, 1],
): Patch => ({
  piece,
  ring: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ],
  bend,
  fine,
});

/** Plane cloth whose flat origin stands at a place. */
export const plane = (origin: Pose['origin'], u: Pose['u'], v: Pose['v']): Bend => ({ kind: 'plane', pose: { origin, u, v } });
