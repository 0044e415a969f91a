// µm, doll size. Walls as boards that stand along the sides of a plan: how they meet at corners, and what is cut out of them.
import type { Part } from '../../assembly/index.ts';
import type { Point, Region, Ring } from '../../shape/index.ts';
import type { Sheeting } from '../family/means.ts';
import { type BoardKind, boardAt, layerKind } from '../parts/boardAt.ts';
import { cornerOut, poseOn, type RoomPlan, type Side, turnOf } from './plan.ts';

/** How far a wall's faces reach beyond its side's ends: its outer face, and the one that looks into the room. */
export type Reach = { readonly outer: number; readonly inner: number };

const NONE: Reach = { outer: 0, inner: 0 };

/** How far a wall reaches beyond a corner, by who runs over there. Corners that are not square can only be mitred. */
const reachAt = (plan: RoomPlan, before: number, after: number, mine: 'before' | 'after', sides: readonly Side[]): Reach => {
  const [one, other] = [sides[before] as Side, sides[after] as Side];
  const [tb, ta] = [plan.thick[before] as number, plan.thick[after] as number];
  const { sin, cos } = turnOf(one, other);
  if (tb === 0 || ta === 0 || Math.abs(sin) < 1e-9) return NONE;
  const square = Math.abs(cos) < 1e-9;
  const rule = square ? plan.corners[after] : 'mitred';
  if (rule === 'mitred') {
    const [x, z] = cornerOut(one, other, tb, ta);
    const [px, pz] = other.from;
    const way = mine === 'before' ? one.way : other.way;
    const along = (x - px) * way[0] + (z - pz) * way[1];
    return { outer: Math.round(mine === 'before' ? along : -along), inner: 0 };
  }
  // At a corner that stands into the room nothing runs over: one of the two stops short.
  const over = (rule === 'left') === (mine === 'before');
  const by = sin > 0 ? (over ? (mine === 'before' ? ta : tb) : 0) : over ? 0 : -(mine === 'before' ? ta : tb);
  return { outer: by, inner: by };
};

/** From where to where a wall reaches along its side, on its outer face and on its inner one. */
export type Span = { readonly outer: readonly [number, number]; readonly inner: readonly [number, number] };

export const spanOfWall = (plan: RoomPlan, index: number, sides: readonly Side[]): Span => {
  const count = sides.length;
  const [last, next] = [(index + count - 1) % count, (index + 1) % count];
  const start = reachAt(plan, last, index, 'after', sides);
  const end = reachAt(plan, index, next, 'before', sides);
  const length = Math.round((sides[index] as Side).length);
  return { outer: [-start.outer, length + end.outer], inner: [-start.inner, length + end.inner] };
};

/** What is cut out of a wall: a ring within it, counter-clockwise, along its side and up from its lower edge; one that reaches its lower edge is cut from there. */
export type Cut = { readonly ring: Ring; readonly low: boolean };

/** A board's outline with what is cut from its lower edge, between two heights. */
const outlined = ([from, to]: readonly [number, number], y0: number, y1: number, cuts: readonly Cut[]): Region => {
  const low = cuts.filter((cut) => cut.low).sort((a, b) => (a.ring[0] as Point)[0] - (b.ring[0] as Point)[0]);
  // A ring that stands on the edge begins with its foot on the left and ends with that on the right, backwards.
  const lower = low.flatMap(({ ring }): Ring => {
    const [left, right] = [Math.min(...ring.map(([x]) => x)), Math.max(...ring.map(([x]) => x))];
    const above = ring.filter(([, y]) => y > y0).toReversed();
    return [[left, y0], ...above, [right, y0]];
  });
  return {
    outline: [[from, y0], ...lower, [to, y0], [to, y1], [from, y1]],
    holes: cuts.filter((cut) => !cut.low).map(({ ring }) => ring.toReversed()),
  };
};

const between = (a: number, b: number, share: number): number => Math.round(a + (b - a) * share);

/** A wall as boards, one for each layer, the innermost last. `out` is how far behind its side's line its outer face lies.
 *  Shape: side, span, heights, cuts → parts whose shown face looks into the room. Cuts lie within the span. */
export const wallBoards = (
  side: Side,
  span: Span,
  [y0, y1]: readonly [number, number],
  cuts: readonly Cut[],
  sheet: Sheeting,
  out: number,
  kind: BoardKind,
): readonly Part[] =>
  Array.from({ length: sheet.layers }, (_, layer): Part => {
    const face = (share: number): Region =>
      outlined([between(span.outer[0], span.inner[0], share), between(span.outer[1], span.inner[1], share)], 0, y1 - y0, cuts);
    const [under, over] = [face(layer / sheet.layers), face((layer + 1) / sheet.layers)];
    const mitred = under.outline.some(([x], index) => x !== over.outline[index]?.[0]);
    const board = boardAt(layerKind(kind, sheet, layer), sheet, under, poseOn(side, layer * sheet.one - out, y0), 'y');
    return mitred ? { ...board, upper: over } : board;
  });
