// µm, doll size. A picture of what lies outside, behind an opening: how large it must be for no edge of it to be seen.
import { err, ok, type Result } from '../../kit/index.ts';
import { rectRing, type Vec3 } from '../../shape/index.ts';
import { CLEAR_SHEET } from '../../stock/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { boardAt } from '../parts/boardAt.ts';
import { single } from '../parts/put.ts';
import { MARGIN, type Opened, type PutIn } from './opened.ts';
import { pointAt, poseOn, type RoomPlan, type Side } from './plan.ts';

/** Someone who looks in sees as far to the side as she looks aslant, by a half right angle: the picture reaches beyond the opening by as much as it
 *  lies behind it, and leaves room for the strips that hold it. Geometry; the angle is common practice. */
export const viewSize = ({ x0, x1, y0, y1, border, opening }: Opened, strip: number): Pick<Opened, 'x0' | 'x1' | 'y0' | 'y1'> => {
  const beside = Math.max(opening.view, Math.max(border, MARGIN) + strip + 500);
  return { x0: x0 - beside, x1: x1 + beside, y0: Math.max(0, y0 - opening.view), y1: y1 + opening.view };
};

const NOTHING: PutIn = { parts: [], motions: [], reach: [] };

/** The picture and the two strips on edge that hold it off the wall; it only leans there, so that it can be changed.
 *  Shape: opening → parts. Errors: 'does-not-fit' where a frame behind the wall is thicker than the distance. */
export const viewBehind = (plan: RoomPlan, side: Side, opened: Opened, floor: number, out: number): Result<PutIn, PieceProblem> => {
  const away = opened.opening.view;
  if (away === 0) return ok(NOTHING);
  const sheet = single(plan.sheets.wall);
  const frame = opened.border > 0 ? plan.sheets.trim.one : 0;
  const problem = lack('the view behind the wall', away, frame + CLEAR_SHEET.thickness + 1_000);
  if (problem) return err(problem);
  const { x0, x1, y0, y1 } = viewSize(opened, sheet.one);
  const { id } = opened;
  const outline = rectRing(x0, y0, x1, y1);
  const picture = boardAt(
    { id: `${id}/view`, role: 'panel', name: 'view', held: 'slides' },
    sheet,
    { outline, holes: [] },
    poseOn(side, -out - away - sheet.one, floor),
    'any',
  );
  const strips = [x0, x1 - sheet.one].map((along, number) => {
    const [x, z] = pointAt(side, along + sheet.one, -out - away);
    return boardAt(
      { id: `${id}/view-strip-${number}`, role: 'rail', name: 'strip behind the wall' },
      sheet,
      { outline: rectRing(0, 0, away, y1 - y0), holes: [] },
      { origin: [x, floor + y0, z], u: [side.inward[0], 0, side.inward[1]], v: [0, 1, 0] },
      'y',
    );
  });
  const reach = [x0, x1].flatMap((along) => {
    const [x, z] = pointAt(side, along, -out - away - sheet.one);
    return [y0, y1].map((y): Vec3 => [x, floor + y, z]);
  });
  return ok({ parts: [picture, ...strips], motions: [], reach });
};
