// µm, doll size. Where a piece goes when it is dragged: against walls and other pieces when it comes near, else onto the maker's rule.
import type { Point } from '../shape/index.ts';
import type { StandingThing } from './place.ts';
import type { RoomSpace } from './space.ts';

type Extent = { readonly half: Point; readonly others: readonly StandingThing[]; readonly space: RoomSpace };

/** Lines to stand against along one axis: of the plan's sides, and of other pieces' footprints. */
const linesOf = ({ others, space }: Extent, axis: 0 | 1): readonly number[] => {
  const [corner, of] = axis === 0 ? [space.corner[0], 0 as const] : [space.corner[2], 2 as const];
  const corners = space.ring.map((point) => point[axis]);
  // What stands against a wall stands against its skirting.
  const walls = corners.flatMap((line) => (space.skirting > 0 ? [line, line + space.skirting, line - space.skirting] : [line]));
  return [...new Set([...walls, ...others.flatMap(({ body }) => [body.whole.min[of] - corner, body.whole.max[of] - corner])])];
};

/** The middle of something that reaches `half` to either side: against the nearest line within `reach`, else on a multiple of `grid` for its edge. */
export const snappedTo = (value: number, half: number, lines: readonly number[], reach: number, grid: number): number => {
  const near = lines
    .flatMap((line) => [line + half, line - half])
    .map((to) => ({ to, off: Math.abs(to - value) }))
    .sort((a, b) => a.off - b.off)[0];
  if (near && near.off <= reach) return near.to;
  return Math.round((value - half) / grid) * grid + half;
};

/** Snaps the middle of a piece.
 *  Shape: where the hand would put it, half its footprint, what else stands there → where it goes: against a line nearer than `reach`, or on a
 *  multiple of `grid` for its left and back edges. */
export const snapped = ([x, z]: Point, extent: Extent, reach: number, grid: number): Point => {
  const along = (value: number, axis: 0 | 1): number => snappedTo(value, extent.half[axis], linesOf(extent, axis), reach, grid);
  return [Math.round(along(x, 0)), Math.round(along(z, 1))];
};

/** How large a footprint a piece has when it is turned, by the box round it. */
export const footprintOf = ([width, , depth]: readonly [number, number, number], turn: number): Point => {
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.abs(Math.cos(angle)), Math.abs(Math.sin(angle))];
  const clean = (value: number): number => (value < 1e-9 ? 0 : value);
  return [Math.round(width * clean(cos) + depth * clean(sin)), Math.round(width * clean(sin) + depth * clean(cos))];
};
