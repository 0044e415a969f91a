// µm, doll size. Legs of stick under a seat's board, upright or spread, and rungs between them.
import type { Part } from '../../assembly/index.ts';
import { add, cross, minus, scaled, unit, type Vec3 } from '../../shape/index.ts';
import { stickBetween } from '../parts/leaning.ts';
import { sectionOf } from '../parts/panels.ts';
import { idIn, type SeatPlan } from './plan.ts';

const UP: readonly [Vec3, Vec3] = [
  [0, 1, 0],
  [0, 1, 0],
];

type Leg = { readonly word: string; readonly right: boolean; readonly front: boolean; readonly foot: Vec3; readonly top: Vec3 };

/** The place where legs stand under the board: the seat, or under a round one the square that it holds, less the inset. */
export const standing = (plan: SeatPlan): { readonly x0: number; readonly x1: number; readonly z0: number; readonly z1: number } => {
  const { piece, width, depth, lean } = plan;
  const keep = piece.shape === 'round' ? (1 - Math.SQRT1_2) / 2 : 0;
  const inset = plan.doll(piece.inset);
  const [x, z] = [Math.ceil(width * keep) + inset, Math.ceil((depth - lean) * keep) + inset];
  return { x0: x, x1: width - x, z0: lean + z, z1: depth - z };
};

const legsOf = (plan: SeatPlan): readonly Leg[] => {
  const { piece, boardTop, sheets } = plan;
  const { x0, x1, z0, z1 } = standing(plan);
  const stick = sectionOf(piece.stick);
  const splay = plan.doll(piece.splay);
  const under = boardTop - sheets.seat.thickness;
  return [false, true].flatMap((front) =>
    [false, true].map((right): Leg => {
      const [x, z] = [right ? x1 - stick.width / 2 : x0 + stick.width / 2, front ? z1 - stick.thickness / 2 : z0 + stick.thickness / 2];
      return {
        word: `${right ? 'right' : 'left'}-${front ? 'front' : 'back'}`,
        right,
        front,
        top: [x, under, z],
        foot: [x + (right ? splay : -splay), 0, z + (front ? splay : -splay)],
      };
    }),
  );
};

/** A leg's axis at a height. */
const at = ({ foot, top }: Leg, up: number): Vec3 => add(foot, scaled(minus(top, foot), up / top[1]));

/** Half the leg's section towards its neighbour beside it, or before and behind it: square to its own run. */
const halves = (plan: SeatPlan, { foot, top }: Leg): { readonly aside: Vec3; readonly ahead: Vec3 } => {
  const run = minus(top, foot);
  const along = unit(run);
  const wide: Vec3 = add([1, 0, 0], scaled(along, -along[0]));
  const v = unit(wide);
  const stick = sectionOf(plan.piece.stick);
  return { aside: scaled(v, stick.width / 2), ahead: scaled(cross(along, v), stick.thickness / 2) };
};

export const hasRungs = ({ piece }: SeatPlan): boolean => piece.rungs !== null && sectionOf(piece.stick).section !== 'round';

/** A rung between two legs, each end cut to lie flat on its leg. */
const rungBetween = (plan: SeatPlan, one: Leg, other: Leg, up: number, word: string): Part => {
  const [mine, theirs] = [halves(plan, one), halves(plan, other)];
  const beside = one.front === other.front;
  const [a, b] = beside ? [mine.aside, theirs.aside] : [mine.ahead, theirs.ahead];
  const towards = (from: Leg, to: Leg, half: Vec3): Vec3 => {
    const way = add(at(to, up), scaled(at(from, up), -1));
    return way[0] * half[0] + way[2] * half[2] > 0 ? half : scaled(half, -1);
  };
  const [start, end] = [add(at(one, up), towards(one, other, a)), add(at(other, up), towards(other, one, b))];
  const id = { id: idIn(plan, `rung-${word}`), role: 'rail' as const, name: 'rung' };
  return stickBetween({ from: start, to: end, wide: [0, 1, 0], stick: plan.piece.rung, cuts: [a, b] }, id);
};

/** How far apart two legs stand at a height, from face to face. */
export const clearBetween = (plan: SeatPlan, up: number): number => {
  const [backLeft, backRight, frontLeft] = legsOf(plan) as [Leg, Leg, Leg, Leg];
  const stick = sectionOf(plan.piece.stick);
  const across = at(backRight, up)[0] - at(backLeft, up)[0] - stick.width * 1.2;
  return Math.floor(Math.min(across, at(frontLeft, up)[2] - at(backLeft, up)[2] - stick.thickness * 1.2));
};

/** Four legs, their tops glued under the board and their feet cut level, and rungs all round. */
export const legParts = (plan: SeatPlan): readonly Part[] => {
  const { piece } = plan;
  const legs = legsOf(plan);
  const posts = legs.map(({ word, foot, top }) =>
    stickBetween(
      { from: foot, to: top, wide: [1, 0, 0], stick: piece.stick, cuts: UP },
      { id: idIn(plan, `leg-${word}`), role: 'post', name: 'leg' },
    ),
  );
  if (!hasRungs(plan)) return posts;
  const up = plan.doll(piece.rungs as NonNullable<typeof piece.rungs>);
  const [backLeft, backRight, frontLeft, frontRight] = legs as [Leg, Leg, Leg, Leg];
  return [
    ...posts,
    rungBetween(plan, backLeft, backRight, up, 'back'),
    rungBetween(plan, frontLeft, frontRight, up, 'front'),
    rungBetween(plan, backLeft, frontLeft, up, 'left'),
    rungBetween(plan, backRight, frontRight, up, 'right'),
  ];
};
