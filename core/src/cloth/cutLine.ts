// µm, doll size. Where a piece of cloth is cut: its line moved out by what each edge needs.
import { bounds, type Point, type Ring } from '../shape/index.ts';
import type { ClothEdge, ClothPiece, EdgeKind } from './pattern.ts';

/** The edge of each side of the line. */
export const edgeOfSides = ({ edges }: ClothPiece): readonly ClothEdge[] =>
  edges.flatMap((edge) => Array.from({ length: edge.sides }, () => edge));

type Side = { readonly from: Point; readonly to: Point; readonly n: Point; readonly edge: ClothEdge };

const sidesOf = (piece: ClothPiece): readonly Side[] => {
  const edges = edgeOfSides(piece);
  return piece.line.map((from, index) => {
    const to = piece.line[(index + 1) % piece.line.length] as Point;
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
    return { from, to, n: [(to[1] - from[1]) / long, (from[0] - to[0]) / long], edge: edges[index] as ClothEdge };
  });
};

/** What is turned in is thin at its corners: they are cut off, so that nothing lies there four times. */
const TURNED: ReadonlySet<EdgeKind> = new Set(['flap', 'hem']);

const out = ([x, y]: Point, [nx, ny]: Point, by: number): Point => [x + nx * by, y + ny * by];

/** Corners sharper than this reach further out than three allowances: they are cut off. */
const SHARP = -0.75;

/** Where the cut goes round the corner between two sides. */
const corner = (before: Side, after: Side): readonly Point[] => {
  const [a, b] = [before.edge.allow, after.edge.allow];
  const at = after.from;
  const turn = before.n[0] * after.n[1] - before.n[1] * after.n[0];
  const along = before.n[0] * after.n[0] + before.n[1] * after.n[1];
  if (Math.abs(turn) < 1e-4 && along > 0) return a === b ? [out(at, after.n, a)] : [out(at, before.n, a), out(at, after.n, b)];
  const bevelled = turn > 0 && TURNED.has(before.edge.kind) && TURNED.has(after.edge.kind) && before.edge.name !== after.edge.name;
  if (bevelled || along < SHARP) return [out(at, before.n, a), out(at, after.n, b)];
  // The point that lies `a` beyond one side and `b` beyond the other.
  return [[at[0] + (a * after.n[1] - b * before.n[1]) / turn, at[1] + (b * before.n[0] - a * after.n[0]) / turn]];
};

/** The line along which a piece is cut.
 *  Shape: a counter-clockwise ring, in whole micrometres. A side is moved out by its own allowance; corners of what is turned in are cut off. */
export const cutLineOf = (piece: ClothPiece): Ring => {
  const sides = sidesOf(piece);
  return sides.flatMap((side, index) =>
    corner(sides[(index - 1 + sides.length) % sides.length] as Side, side).map(([x, y]): Point => [Math.round(x) + 0, Math.round(y) + 0]),
  );
};

/** How wide and how long cloth must be for a piece. */
export const cutSizeOf = (piece: ClothPiece): readonly [width: number, height: number] => {
  const { x0, y0, x1, y1 } = bounds(cutLineOf(piece));
  return [x1 - x0, y1 - y0];
};
