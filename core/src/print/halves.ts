// µm. Templates of shaped parts: the half that is laid on a fold.
import { areaOf, bounds, common, movedRing, type Point, type Ring, rectRing } from '../shape/index.ts';
import type { Template } from './template.ts';

type Room = { readonly width: number; readonly height: number };

const fits = ([a, b]: readonly [number, number], { width, height }: Room): boolean =>
  (a <= width && b <= height) || (b <= width && a <= height);

/** A shaped template that no page takes whole, but a page takes half of: half of it, to be laid on a fold of paper. One whose guide lines are not
 *  the same on both sides stays as it is, and is tiled. */
export const onFold = (template: Template, room: Room): Template => {
  const { axis, region, guides } = template;
  const { x1: width, y1: height } = bounds(region.outline);
  if (!axis || guides.length > 0 || fits([width, height], room)) return template;
  const half: readonly [number, number] = axis === 'x' ? [Math.ceil(width / 2), height] : [width, Math.ceil(height / 2)];
  if (!fits(half, room)) return template;
  const [left] = common(region, [{ outline: rectRing(0, 0, ...half), holes: [] }]).toSorted((a, b) => areaOf([b]) - areaOf([a]));
  if (!left) return template;
  const { x0, y0, x1, y1 } = bounds(left.outline);
  const home = (ring: Ring): Ring => movedRing(ring, -x0, -y0);
  const fold: readonly [Point, Point] =
    axis === 'x'
      ? [
          [x1 - x0, 0],
          [x1 - x0, y1 - y0],
        ]
      : [
          [0, y1 - y0],
          [x1 - x0, y1 - y0],
        ];
  return {
    ...template,
    name: `${template.name}, half: lay the dashed edge on a fold`,
    region: { outline: home(left.outline), holes: left.holes.map(home) },
    centres: template.centres.filter(([x, y]) => x <= half[0] && y <= half[1]).map(([x, y]): Point => [x - x0, y - y0]),
    scores: [...template.scores, fold],
    axis: null,
  };
};
