// µm, doll size. Beams under the ceiling, from the back to the front: a board below and one on edge at either side of it.
import type { Part, Role } from '../../assembly/index.ts';
import { rectRing } from '../../shape/index.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { boardAt } from '../parts/boardAt.ts';
import type { At, RoomPlan } from './plan.ts';
import type { SeenWall, TrimKind } from './trims.ts';

type Size = { readonly wide: number; readonly high: number; readonly count: number; readonly one: number };

const sizeOf = ({ room, doll, strip }: RoomPlan): Size | undefined =>
  room.beams ? { wide: doll(room.beams.width), high: doll(room.beams.height), count: room.beams.count, one: strip.sheet.one } : undefined;

/** Where the middles of beams lie between two walls. */
const middles = (x0: number, x1: number, { count }: Size): readonly number[] =>
  Array.from({ length: count }, (_, index) => Math.round(x0 + ((x1 - x0) * (index + 1)) / (count + 1)));

/** Beams that are too slight to be made of boards, or too many. */
export const beamProblem = (plan: RoomPlan): PieceProblem | undefined => {
  const size = sizeOf(plan);
  if (!size) return undefined;
  const narrow = Math.min(...plan.cells.map(({ x0, x1 }) => x1 - x0));
  return (
    lack('a beam over the boards at its sides', size.wide, 2 * size.one + 1_000) ??
    lack('a beam over the board below it', size.high, size.one + 1_000) ??
    lack('beams under the ceiling', plan.clear, size.high + 10_000) ??
    lack('beams beside each other', narrow, (size.count + 1) * (size.wide + 2_000))
  );
};

/** The beams of one cell.
 *  Shape: its ring and walls, what runs round it, its floor → parts. They end at the walls, or at what runs along these as high up. */
export const beamsOf = (
  plan: RoomPlan,
  ring: readonly At[],
  seen: readonly SeenWall[],
  lying: readonly TrimKind[],
  floor: number,
  id: string,
): readonly Part[] => {
  const size = sizeOf(plan);
  if (!size) return [];
  const { wide, high, one } = size;
  const [[x0], , [x1, depth]] = ring as readonly [At, At, At];
  const low = plan.clear - high;
  const before = lying.some(({ y0, y1 }) => y1 > low && y0 < plan.clear) ? plan.strip.thick : 0;
  const [back, front] = [seen[0] as SeenWall, seen[2] as SeenWall];
  // Where something framed lies behind its end a beam stops at the frame.
  const framed = (wall: SeenWall, x: number, next: number): number =>
    wall.opened.some(({ x0: a, x1: b, y1, border }) => y1 + border > low && a - border < next && b + border > x) ? plan.sheets.trim.one : 0;
  const stop = (wall: SeenWall, x: number, next: number): number => (wall.walled ? wall.face + Math.max(before, framed(wall, x, next)) : 0);
  const board = (
    part: string,
    role: Role,
    x: number,
    y: number,
    across: number,
    tall: boolean,
    [from, to]: readonly [number, number],
  ): Part =>
    // Boards on edge look to the left, the one below looks down; all run along z.
    tall
      ? boardAt(
          { id: `${id}/${part}`, role, name: 'side of a beam' },
          plan.strip.sheet,
          { outline: rectRing(0, 0, to - from, across), holes: [] },
          { origin: [x + one, y, from], u: [0, 0, 1], v: [0, 1, 0] },
          'x',
        )
      : boardAt(
          { id: `${id}/${part}`, role, name: 'beam' },
          plan.strip.sheet,
          { outline: rectRing(0, 0, across, to - from), holes: [] },
          { origin: [x, y + one, from], u: [1, 0, 0], v: [0, 0, 1] },
          'y',
        );
  return middles(x0, x1, size).flatMap((middle, number) => {
    const [x, y] = [middle - Math.round(wide / 2), floor + low];
    const ends = [stop(back, x - x0, x - x0 + wide), depth - stop(front, x1 - x - wide, x1 - x)] as const;
    return [
      board(`${number}-below`, 'rail', x, y, wide, false, ends),
      board(`${number}-left`, 'rail', x, y + one, high - one, true, ends),
      board(`${number}-right`, 'rail', x + wide - one, y + one, high - one, true, ends),
    ];
  });
};
