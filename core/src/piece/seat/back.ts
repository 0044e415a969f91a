// µm, doll size. Backs that lean, and the padding on seat and back.
import type { Part } from '../../assembly/index.ts';
import { evenly } from '../../kit/index.ts';
import { ellipseRing, type Vec3 } from '../../shape/index.ts';
import { PADDING } from '../../stock/index.ts';
import { evenSlats } from '../parts/evenSlats.ts';
import { leaningBoard, leaningDepth, stickBetween } from '../parts/leaning.ts';
import { sectionOf } from '../parts/panels.ts';
import { padIn } from '../parts/parts.ts';
import { idIn, type SeatPlan } from './plan.ts';

/** How far forwards of the leaning plane's foot the back reaches at the seat, and the stretch across in which it is padded. */
export type BackFace = { readonly deep: number; readonly x0: number; readonly x1: number };

const risesBy = ({ height, boardTop }: SeatPlan): number => height - boardTop;

/** Where the back's hidden face is, so high above the seat's board. */
const planeAt = (plan: SeatPlan, up: number): number => plan.lean - (plan.lean * up) / risesBy(plan);

/** Two posts on the seat's back corners and what fills them: a board, rails, or slats between two rails. */
export const postedBack = (plan: SeatPlan): { readonly parts: readonly Part[]; readonly face: BackFace } => {
  const { piece, width, lean, boardTop, height, sheets } = plan;
  const post = sectionOf(piece.post);
  const rise = risesBy(plan);
  const deep = leaningDepth(post.thickness, rise, lean);
  const level: readonly [Vec3, Vec3] = [
    [0, 1, 0],
    [0, 1, 0],
  ];
  const posts = (['left', 'right'] as const).map((side) => {
    const x = side === 'left' ? post.width / 2 : width - post.width / 2;
    return stickBetween(
      { from: [x, boardTop, lean + deep / 2], to: [x, height, deep / 2], wide: [1, 0, 0], stick: piece.post, cuts: level },
      { id: idIn(plan, `back-post-${side}`), role: 'post', name: 'back post' },
    );
  });
  const [x0, x1] = [post.width, width - post.width];
  const from = Math.min(plan.doll(piece.backFrom), Math.round(rise * 0.6));
  if (piece.back === 'board') {
    const place = { x0, x1, y0: boardTop + from, y1: height, z: planeAt(plan, from), lean: Math.round((lean * (rise - from)) / rise) };
    const board = leaningBoard(place, { id: idIn(plan, 'back'), role: 'back', name: 'back' }, sheets.back);
    return {
      parts: [...posts, ...board],
      face: { deep: leaningDepth(Math.max(post.thickness, sheets.back.thickness), rise, lean), x0, x1 },
    };
  }
  // Rails lie in the posts' own slope, their middles along the posts' axes.
  const slope: Vec3 = [0, rise / Math.hypot(rise, lean), -lean / Math.hypot(rise, lean)];
  const rail = sectionOf(piece.rung);
  const steep = rise / Math.hypot(rise, lean);
  const half = (rail.width * steep) / 2;
  const at = (up: number, stick: SeatPlan['piece']['rung'], id: string, name: string): Part =>
    stickBetween(
      {
        from: [x0, boardTop + up, planeAt(plan, up) + deep / 2],
        to: [x1, boardTop + up, planeAt(plan, up) + deep / 2],
        wide: slope,
        stick,
      },
      { id: idIn(plan, id), role: 'rail', name },
    );
  const top = rise - half - 1_000;
  const low = from + half;
  if (piece.back === 'rails') {
    const count = piece.rails;
    const rails = Array.from({ length: count }, (_, index) =>
      at(count === 1 ? top : low + ((top - low) * index) / (count - 1), piece.rung, `back-rail-${index}`, 'back rail'),
    );
    return { parts: [...posts, ...rails], face: { deep, x0, x1 } };
  }
  const { count, gap } = evenSlats(x1 - x0, rail.width, plan.doll(piece.gap));
  const slats = Array.from({ length: count }, (_, index) => {
    const x = x0 + (index + 1) * gap + (index + 0.5) * rail.width;
    const point = (up: number): Vec3 => [x, boardTop + up, planeAt(plan, up) + deep / 2];
    return stickBetween(
      { from: point(low + half), to: point(top - half), wide: [1, 0, 0], stick: piece.rung },
      { id: idIn(plan, `back-slat-${index}`), role: 'slat', name: 'back slat' },
    );
  });
  return {
    parts: [...posts, at(low, piece.rung, 'back-rail-low', 'back rail'), at(top, piece.rung, 'back-rail-top', 'back rail'), ...slats],
    face: { deep, x0, x1 },
  };
};

/** A board that stands on the seat's board and leans back, between the arms or over the whole width. */
export const boardBack = (plan: SeatPlan, x0: number, x1: number): { readonly parts: readonly Part[]; readonly face: BackFace } => {
  const { lean, boardTop, height, sheets } = plan;
  const parts = leaningBoard(
    { x0, x1, y0: boardTop, y1: height, z: lean, lean },
    { id: idIn(plan, 'back'), role: 'back', name: 'back' },
    sheets.back,
  );
  return { parts, face: { deep: leaningDepth(sheets.back.thickness, risesBy(plan), lean), x0, x1 } };
};

/** Cushions are this much short of the back, which leans away from them. */
const PLAY = 100;

/** Cushions side by side on the seat's board, before the back; and leaning on it. */
export const padsOf = (plan: SeatPlan, x0: number, x1: number, face: BackFace | null): readonly Part[] => {
  const { piece, pad, boardTop, seatTop, depth, lean, height } = plan;
  if (pad === 0) return [];
  const back = lean + Math.ceil(face?.deep ?? 0) + (face ? PLAY : 0);
  const round = piece.shape === 'round';
  const seats = evenly(x0, x1, round ? 1 : piece.pads).map(([from, to], index) =>
    padIn(
      { x0: from, x1: to, y0: boardTop, y1: seatTop, z0: back, z1: depth },
      {
        id: idIn(plan, `pad-${index}`),
        role: 'pad',
        name: 'seat pad',
        shows: 'up',
        ...(round ? { outline: ellipseRing((to - from) / 2, (depth - back) / 2, (to - from) / 2, (depth - back) / 2) } : {}),
      },
    ),
  );
  if (!piece.backPad || !face) return seats;
  const rise = risesBy(plan);
  // Where the back's front is at the level of the seat's padding.
  const z = planeAt(plan, pad) + face.deep;
  const backs = evenly(face.x0, face.x1, piece.pads).flatMap(([from, to], index) =>
    leaningBoard(
      { x0: from, x1: to, y0: seatTop, y1: height, z, lean: (lean * (rise - pad)) / rise },
      { id: idIn(plan, `back-pad-${index}`), role: 'pad', name: 'back pad', stuff: 'pad' },
      { board: PADDING.name, one: pad, layers: 1 },
    ),
  );
  return [...seats, ...backs];
};
