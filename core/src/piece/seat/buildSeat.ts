// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer.
import { around, boxOf, standsOutOf } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { ellipseRing } from '../../shape/index.ts';
import type { Means } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import type { Built, SizeMark } from '../parts/built.ts';
import { layered, sectionOf } from '../parts/panels.ts';
import { movedParts, overhangOf } from '../parts/parts.ts';
import { padsOf, postedBack } from './back.ts';
import { onBox, onSides } from './boxes.ts';
import { clearBetween, hasRungs, legParts, standing } from './legs.ts';
import { idIn, type PartsResult, planSeat, type SeatPlan } from './plan.ts';
import type { Seat } from './seat.ts';

const onSticks = (plan: SeatPlan): Result<PartsResult, PieceProblem> => {
  const { piece, width, depth, boardTop, sheets, lean, height, hasBack } = plan;
  const under = boardTop - sheets.seat.thickness;
  const stick = sectionOf(piece.stick);
  const [post, rung] = [sectionOf(piece.post), sectionOf(piece.rung)];
  const { x0, x1, z0, z1 } = standing(plan);
  const up = hasRungs(plan) ? plan.doll(piece.rungs as NonNullable<typeof piece.rungs>) : 0;
  const rise = height - boardTop;
  const from = Math.min(plan.doll(piece.backFrom), Math.round(rise * 0.6));
  const railed = hasBack && piece.back !== 'board';
  const problem =
    lack('legs under the seat', under, 2 * stick.width) ??
    lack('legs side by side', x1 - x0, 2 * stick.width + 1_000) ??
    lack('legs one behind the other', z1 - z0, 2 * stick.thickness + 1_000) ??
    lack('legs that spread as far as they are high', under, 1.5 * plan.doll(piece.splay)) ??
    lack('the rungs under the seat', hasRungs(plan) ? under : up, up + (hasRungs(plan) ? rung.width : 0)) ??
    lack('the rungs above the floor', up, hasRungs(plan) ? rung.width / 2 : 0) ??
    lack('rungs between their legs', hasRungs(plan) ? clearBetween(plan, under) : 1, hasRungs(plan) ? 2_000 : 1) ??
    lack(
      'rungs on their legs',
      hasRungs(plan) ? Math.min(stick.width, stick.thickness) : 20_000,
      hasRungs(plan) ? rung.thickness + (rung.width * plan.doll(piece.splay)) / under : 0,
    ) ??
    (hasBack
      ? (lack('back posts side by side', width, 2 * post.width + 4_000) ??
        lack('the back on the seat', depth - lean, 3 * Math.max(post.thickness, sheets.back.thickness) + 1_000) ??
        lack('the back above the seat', rise - from, 6_000) ??
        lack('a back that stands rather than lies', rise, 1.2 * lean))
      : undefined) ??
    lack('back rails between their posts', railed ? post.thickness : 20_000, railed ? rung.thickness : 0) ??
    lack(
      'the rails of the back',
      railed ? rise - from - 1_000 : 1,
      railed ? Math.max(2, piece.back === 'rails' ? piece.rails : 3) * (rung.width + 500) : 1,
    );
  if (problem) return err(problem);
  const round = piece.shape === 'round';
  const [rx, rz] = [width / 2, (depth - lean) / 2];
  const seat = layered(
    { x0: 0, x1: width, y0: under, y1: boardTop, z0: lean, z1: depth },
    { id: idIn(plan, 'seat'), role: 'top', name: 'seat', shows: 'up', ...(round ? { outline: ellipseRing(rx, rz, rx, rz) } : {}) },
    sheets.seat,
  );
  const back = hasBack ? postedBack(plan) : null;
  const parts = [...seat, ...legParts(plan), ...(back?.parts ?? []), ...padsOf(plan, 0, width, back?.face ?? null)];
  return ok({ parts, motions: [] });
};

const BUILD = { sticks: onSticks, sides: onSides, box: onBox } as const;

/** Builds something to sit on.
 *  Shape: piece, means → parts; the seat is level and so high, padding and all; the back ends at the stated height. Spread feet may stand out
 *  beyond the seat, and the outside grows by them. Errors: 'does-not-fit' for legs, rungs, back, arms, boxes; 'too-small' for the seat. */
export const buildSeat = (piece: Seat, means: Means): Result<Built, PieceProblem> => {
  const plan = planSeat(piece, means);
  const { width, depth, height, boardTop, seatTop, sheets, hasBack, lean, pad } = plan;
  const thick = sheets.seat.thickness;
  if (boardTop - thick <= 0)
    return err({ code: 'too-small', direction: 'height', available: Math.max(0, seatTop), needed: pad + thick + 1 });
  const deep = Math.max(sheets.back.thickness, pad) * (hasBack ? 2 : 0);
  const problem =
    lack(hasBack ? 'the seat before its back' : 'a seat so deep', depth - lean, 2 * deep + 4 * thick) ??
    lack('the back above the seat', height, hasBack ? seatTop + 3 * thick : 0) ??
    lack('a back that stands rather than lies', height - seatTop, hasBack ? 1.2 * lean : -1);
  if (problem) return err(problem);
  const drawn = BUILD[piece.stands](plan);
  if (!drawn.ok) return drawn;
  const over = overhangOf(drawn.value.parts);
  const parts = movedParts(drawn.value.parts, over);
  const splayed = piece.stands === 'sticks' && plan.doll(piece.splay) > plan.doll(piece.inset);
  const { max } =
    splayed || over[0] > 0 || over[2] > 0
      ? around(parts.filter((part) => !standsOutOf(part)).map(boxOf))
      : { max: [width, 0, depth] as const };
  const arms = piece.stands === 'sides' && piece.arms !== null ? plan.doll(piece.arms) : 0;
  const outside = { min: [0, 0, 0], max: [max[0], Math.max(height, arms), max[2]] } as const;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  const [dx, , dz] = over;
  const marks: SizeMark[] = [
    { path: ['seat'], sight: 'side', way: 'up', from: 0, to: seatTop, at: depth + dz },
    ...(arms > 0 ? [{ path: ['arms'], sight: 'front', way: 'up', from: 0, to: arms, at: width + dx } as const] : []),
  ];
  return ok({ assembly: { parts, outside, clear, motions: drawn.value.motions }, bays: [], openings: [], marks });
};
