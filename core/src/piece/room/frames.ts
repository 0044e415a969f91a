// µm, doll size. What lies round an opening of any outline, on both faces of its wall: strips cut in one, and a clear sheet.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { bounds, grown, type Point, type Region, type Ring, rectRing, type Vec3 } from '../../shape/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { boardAt } from '../parts/boardAt.ts';
import { single } from '../parts/put.ts';
import { MARGIN, type Opened, type PutIn, ringOf } from './opened.ts';
import { pointAt, poseOn, type RoomPlan, type Side } from './plan.ts';

/** What lies round an opening of any outline on both faces of its wall: strips cut in one, and a clear sheet under the outer ones. */
export const framesRound = (
  plan: RoomPlan,
  side: Side,
  opened: Opened,
  floor: number,
  out: number,
  thickness: number,
): Result<PutIn, PieceProblem> => {
  const { opening, id, border, inside = false } = opened;
  const ring = ringOf(opened);
  const sheet = single(plan.sheets.trim);
  const around = border > 0 ? outerOf(ring, border, opened.y0) : undefined;
  const glazed = opening.form === 'round' || opening.form === 'plain' ? opening.glazed : false;
  const pane = glazed ? CLEAR_SHEET.thickness : 0;
  if (glazed && around) {
    const problem = lack('the clear sheet under its frame', border, MARGIN + 500);
    if (problem) return err(problem);
  }
  const frame = (name: string, into: number): readonly Part[] =>
    around ? [boardAt({ id: `${id}/${name}`, role: 'border', name: 'frame' }, sheet, around, poseOn(side, into, floor), 'any')] : [];
  const box = bounds(ring);
  const under: Region = {
    outline: rectRing(box.x0 - MARGIN, Math.max(0, box.y0 - MARGIN), box.x1 + MARGIN, box.y1 + MARGIN),
    holes: [],
  };
  const shown: Region | undefined = glazed ? (inside ? under : grown({ outline: ring, holes: [] }, MARGIN)[0]) : undefined;
  const clear = shown
    ? [
        {
          ...boardAt(
            { id: `${id}/glass`, role: 'glass', name: 'clear sheet' },
            sheet,
            shown,
            poseOn(side, inside ? thickness - out : -out - pane, floor),
            'any',
          ),
          stuff: 'clear' as const,
          stock: CLEAR_SHEET.name,
          thickness: pane,
        },
      ]
    : [];
  const behind = out + (inside ? 0 : pane) + (around ? sheet.one : 0);
  const wide = around ? around.outline : clear[0] ? clear[0].region.outline : [];
  const [xs, ys] = [wide.map(([x]) => x), wide.map(([, y]) => y + floor)];
  const spans = wide.length > 0 ? [Math.min(...xs), Math.max(...xs)] : [];
  const reach = spans.flatMap((along) =>
    [Math.min(...ys), Math.max(...ys)].flatMap((y) =>
      [-behind, thickness - out + (inside ? pane : 0) + (around ? sheet.one : 0)].map((into): Vec3 => {
        const [x, z] = pointAt(side, along, into);
        return [x, y, z];
      }),
    ),
  );
  return ok({ parts: [...clear, ...frame('outer-frame', -behind), ...frame('inner-frame', thickness - out)], motions: [], reach });
};

/** A frame of even width round an outline; one that stands on the floor is open below. */
const outerOf = (ring: Ring, border: number, y0: number): Region => {
  const [grownBy] = grown({ outline: ring, holes: [] }, border) as [Region];
  if (y0 > 0) return { outline: grownBy.outline, holes: [ring.toReversed()] };
  const above = (points: Ring): Ring => points.filter(([, y]) => y > 0);
  const [outside, inside] = [above(grownBy.outline), above(ring)];
  const [left, right] = [Math.min(...ring.map(([x]) => x)), Math.max(...ring.map(([x]) => x))];
  const kept = outside.map(([x, y]): Point => [Math.min(right + border, Math.max(left - border, x)), y]);
  const rightFirst = (points: Ring): Ring => {
    // Begun at the lowest one on the right, run counter-clockwise over the top to the left.
    const start = points.reduce((best, point, index) => {
      const [x, y] = points[best] as Point;
      return point[0] > x || (point[0] === x && point[1] < y) ? index : best;
    }, 0);
    return [...points.slice(start), ...points.slice(0, start)];
  };
  return {
    outline: [[right, 0], [right + border, 0], ...rightFirst(kept), [left - border, 0], [left, 0], ...rightFirst(inside).toReversed()],
    holes: [],
  };
};
