// µm. The line about which an outline is the same on both sides.
import { areaOf, bounds, less, type Point, type Region, type Ring, regionArea } from '../shape/index.ts';

/** About which line an outline is its own mirror image: 'x' for the upright one, which mirrors x. */
export type Axis = 'x' | 'y';

const mirrored = (region: Region, axis: Axis, width: number, height: number): Region => {
  const turn = (ring: Ring): Ring => ring.map(([x, y]): Point => (axis === 'x' ? [width - x, y] : [x, height - y])).toReversed();
  return { outline: turn(region.outline), holes: region.holes.map(turn) };
};

/** What may differ for two sides to be the same to the eye: a ten-thousandth of what there is. */
const SAME = 1e-4;

/** The line of a region whose lower left corner is at the origin; the upright one when both do. Plain rectangles need none. */
export const printAxisOf = (region: Region): Axis | null => {
  const { x1: width, y1: height } = bounds(region.outline);
  if (region.outline.length <= 4) return null;
  const area = regionArea(region);
  return (['x', 'y'] as const).find((axis) => areaOf(less(region, [mirrored(region, axis, width, height)])) < SAME * area) ?? null;
};

/** It runs out of the outline by so much on either side, so that it is taken for no cut. */
const BEYOND = 2_000;

/** The ends of the line. */
export const axisLine = (axis: Axis, width: number, height: number): readonly [Point, Point] =>
  axis === 'x'
    ? [
        [Math.round(width / 2), -BEYOND],
        [Math.round(width / 2), height + BEYOND],
      ]
    : [
        [-BEYOND, Math.round(height / 2)],
        [width + BEYOND, Math.round(height / 2)],
      ];
