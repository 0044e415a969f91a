// µm, doll size. What is in a wall, moved along it and up where it is seen.
import { dollOf, dollUm, inWorld, isDollSize, type Measure, type Scale } from '../../measure/index.ts';
import { asRoom, type PlanOpening, type Room } from '../../piece/index.ts';
import type { PieceChange } from './edit.ts';
import { shellChange } from './shellChange.ts';

/** Forms that stand on the floor, whatever is said of their height. */
const LOW: ReadonlySet<string> = new Set(['door']);

/** The change of a room that moves an opening so far along its wall, to the right as seen from inside, and so far up. Sizes that were real stay real.
 *  Shape: room, the opening, by how much, scale → the change; nothing goes below the floor or beyond the end that it is measured from. */
export const openingMoved = (
  room: Room,
  { shell, wall, index }: Pick<PlanOpening, 'shell' | 'wall' | 'index'>,
  by: readonly [along: number, up: number],
  scale: Scale,
): PieceChange => {
  const own = asRoom(room, shell);
  const there = own.walls[wall];
  const opening = there?.openings[index];
  if (!there || !opening) return {};
  const moved = (measure: Measure, um: number): Measure => {
    const to: Measure = { doll: dollUm(Math.max(0, Math.round(dollOf(measure, scale) + um))) };
    return inWorld(to, isDollSize(measure) ? 'doll' : 'real', scale);
  };
  const next = {
    ...opening,
    from: moved(opening.from, opening.end === 'left' ? by[0] : -by[0]),
    up: LOW.has(opening.form) ? opening.up : moved(opening.up, by[1]),
  };
  return shellChange(room, shell, { walls: own.walls.with(wall, { ...there, openings: there.openings.with(index, next) }) });
};
