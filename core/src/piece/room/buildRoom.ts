// µm, doll size. A room as a piece: its shell, or several that are joined.
import { movedMotion } from '../../assembly/index.ts';
import { ok, type Result } from '../../kit/index.ts';
import { mapVec, type Vec3, vec3 } from '../../shape/index.ts';
import type { Means } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Built, SizeMark } from '../parts/built.ts';
import { movedParts } from '../parts/parts.ts';
import { buildJoined } from './join.ts';
import { type At, pointAt, type Side, sidesOf } from './plan.ts';
import type { Room } from './room.ts';
import { buildShell } from './shell.ts';
import { faceOf } from './standing.ts';
import { type StandingShell, standTogether } from './together.ts';

/** A point inside a plan: a little way in from the middle of its longest side. */
const insideOf = (ring: readonly At[], y: number): Vec3 => {
  const [side] = sidesOf(ring).toSorted((a, b) => b.length - a.length) as [Side];
  const [x, z] = pointAt(side, side.length / 2, 5_000);
  return [Math.round(x), y + 5_000, Math.round(z)];
};

/** Builds a room's shell.
 *  Shape: room, means → floor, walls with what is in them, strips, a ceiling; the clear room is exactly the stated one. Errors: 'does-not-fit' for
 *  walls that cross, openings, bays, strips, second walls, cells. */
export const buildRoom = (room: Room, means: Means): Result<Built, PieceProblem> => {
  const shells = standTogether(room, means);
  const plan = (shells[0] as StandingShell).plan;
  const built = shells.length === 1 ? buildShell(plan) : buildJoined(room, shells);
  if (!built.ok) return built;
  const made = built.value;
  const { sheets, clear, ring } = plan;
  const ft = sheets.floor.thickness;
  const lifted = (shells[0] as StandingShell).at[1];
  const least = vec3((axis) => Math.min(...made.reach.map((at) => at[axis])));
  const most = vec3((axis) => Math.max(...made.reach.map((at) => at[axis])));
  const shift = mapVec(least, (value) => 0 - Math.floor(value));
  const moved = ([x, y, z]: Vec3): Vec3 => [x + shift[0], y + shift[1], z + shift[2]];
  const inside = ring[2] ?? [0, 0];
  // Of rooms side by side the first is meant.
  const first = plan.cells[0]?.x1 ?? 0;
  const [back, right, front, left] = plan.walls.map((wall) => faceOf(plan, wall)) as [number, number, number, number];
  const clearBox =
    room.plan === 'rectangle' && shells.length === 1
      ? { min: moved([left, ft, back]), max: moved([first - (plan.cells.length > 1 ? 0 : right), ft + clear, inside[1] - front]) }
      : // Of a plan of its own only where its middle lies is told: which face of a wall looks into the room follows from that.
        { min: moved(insideOf(ring, ft + lifted)), max: moved(insideOf(ring, ft + lifted)) };
  const motions = made.motions.map((motion) => movedMotion(motion, moved, (way) => way));
  const marks: SizeMark[] =
    room.plan === 'rectangle' && room.hold === 'inside' && shells.length === 1
      ? [
          { path: ['width'], sight: 'front', way: 'across', from: shift[0], to: shift[0] + inside[0], at: moved(most)[1] },
          { path: ['height'], sight: 'front', way: 'up', from: shift[1] + ft, to: shift[1] + ft + clear, at: moved(most)[0] },
        ]
      : [];
  return ok({
    assembly: { parts: movedParts(made.parts, shift), outside: { min: [0, 0, 0], max: moved(most) }, clear: clearBox, motions },
    bays: [],
    openings: [],
    marks,
  });
};
