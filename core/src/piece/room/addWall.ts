// µm, doll size. A wall with all that belongs to it: its boards, what is put into its openings, a second wall, pillars.
import type { Motion, Part } from '../../assembly/index.ts';
import { type Pose, rectRing, type Vec3 } from '../../shape/index.ts';
import type { Sheeting } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import { boardAt } from '../parts/boardAt.ts';
import { single } from '../parts/put.ts';
import { lampCuts, openingCuts, putInto } from './holes.ts';
import { pointAt, poseOn, type RoomPlan, type Side } from './plan.ts';
import { faceOf, foldOf, type Standing } from './standing.ts';
import { type Cut, type Span, wallBoards } from './walls.ts';
import { accessOf, type BoxAt, boxIn } from './wire.ts';

/** What a room has so far, and the points in space that it reaches to. */
export type RoomSoFar = { readonly parts: Part[]; readonly motions: Motion[]; readonly reach: Vec3[] };

/** A wall, what is in it, and a second one before it. */
export const addWall = (
  plan: RoomPlan,
  made: RoomSoFar,
  standing: Standing,
  low: number,
  floor: number,
  ends: Span['inner'],
  role: Part['role'],
): PieceProblem | undefined => {
  const { wall, id, name, side, span, thick, opened } = standing;
  const { sheets, clear } = plan;
  const length = Math.round(side.length);
  // Lamps shine out of the wall that is seen: where there are two, their battery stands between.
  const lamps = (up: number) => lampCuts(plan, wall, length, up);
  const box = boxIn(plan, wall, length);
  const cuts = [
    ...openingCuts(opened, floor - low),
    ...(wall.cavity > 0 ? (box ? [accessCut(box, floor - low)] : []) : lamps(floor - low)),
  ];
  const held = wall.kind === 'removable' ? ({ held: 'slides' } as const) : {};
  const fold = foldOf(plan, wall, side);
  const boards = wallBoards(side, span, [low, floor + clear], cuts, sheets.wall, thick, { id, role, name, ...held });
  const high = floor + clear - low;
  made.parts.push(
    ...(fold === 0
      ? boards
      : boards.map((board) => ({
          ...board,
          scores: [
            [
              [fold, 0],
              [fold, high],
            ],
          ] as const,
        }))),
  );
  // What is lower than the shells beside it is filled up, above its ceiling where it has one.
  const top = floor + clear + (plan.room.ceiling ? sheets.floor.thickness : 0);
  const filled = [top, top + plan.raise] as const;
  if (plan.raise > 0) {
    made.parts.push(
      ...wallBoards(side, span, filled, [], sheets.wall, thick, { id: `${id}/filler`, role: 'panel', name: `${name}, filler`, ...held }),
    );
  }
  for (const along of [...span.outer, ...span.inner])
    for (const into of [-thick, 0]) {
      const [x, z] = pointAt(side, along, into);
      made.reach.push([x, low, z], [x, floor + clear, z], [x, plan.raise > 0 ? filled[1] : floor + clear, z]);
    }
  if (wall.cavity > 0) {
    const one = single(sheets.wall);
    const before: Span = { outer: ends, inner: ends };
    const again = [...openingCuts(opened, 0), ...lamps(0)];
    made.parts.push(
      ...wallBoards(side, before, [floor, floor + clear], again, one, -wall.cavity, {
        id: `${id}/second`,
        role: 'panel',
        name: `${name}, second`,
      }),
      ...[ends[0], ends[1] - one.one].map((along, number) =>
        spacer(side, along, [floor, floor + clear], wall.cavity, one, `${id}/spacer-${number}`),
      ),
    );
    if (plan.raise > 0) {
      const above = { id: `${id}/second-filler`, role: 'panel', name: `${name}, second, filler` } as const;
      made.parts.push(...wallBoards(side, before, filled, [], one, -wall.cavity, above));
    }
  }
  if (box) addBox(made, standing, box, floor);
  const through = thick + faceOf(plan, wall);
  for (const each of opened) {
    const put = putInto(plan, side, each, floor, thick, through);
    if (!put.ok) return put.error;
    made.parts.push(...put.value.parts);
    made.motions.push(...put.value.motions);
    made.reach.push(...put.value.reach);
  }
  return wall.kind === 'shop' ? addPillars(plan, made, standing, floor) : undefined;
};

/** What is cut behind a battery box between two walls, for a hand. */
const accessCut = (box: BoxAt, floor: number): Cut => {
  const { x0, x1, y0, y1 } = accessOf(box);
  return { ring: rectRing(x0, y0 + floor, x1, y1 + floor), low: false };
};

/** The battery box: behind the wall, or in the cavity against the back of the second one. */
const addBox = (made: RoomSoFar, { side, wall, id, thick }: Standing, { x0, x1, y0, y1, depth }: BoxAt, floor: number): void => {
  const from = wall.cavity > 0 ? wall.cavity - depth : -thick - depth;
  const region = { outline: rectRing(x0, y0, x1, y1), holes: [] };
  made.parts.push({
    ...boardAt({ id: `${id}/battery-box`, role: 'light', name: 'battery box' }, FOUND, region, poseOn(side, from, floor), 'any'),
    stuff: 'found',
    thickness: depth,
  });
  for (const along of [x0, x1]) {
    const [x, z] = pointAt(side, along, from);
    made.reach.push([x, floor + y0, z], [x, floor + y1, z]);
  }
};

const FOUND: Sheeting = { board: 'battery box', one: 0, layers: 1, thickness: 0 };

/** A strip on edge that keeps a second wall away from the first. */
const spacer = (side: Side, along: number, [y0, y1]: readonly [number, number], wide: number, sheet: Sheeting, id: string): Part => {
  const [x, z] = pointAt(side, along + sheet.one);
  const pose: Pose = { origin: [x, y0, z], u: [side.inward[0], 0, side.inward[1]], v: [0, 1, 0] };
  return boardAt({ id, role: 'rail', name: 'spacer' }, sheet, { outline: rectRing(0, 0, wide, y1 - y0), holes: [] }, pose, 'y');
};

/** Strips that face the pillars of a shop's front, on its outside. */
const addPillars = (plan: RoomPlan, made: RoomSoFar, { side, wall, id, thick, opened }: Standing, floor: number): undefined => {
  const sheet = single(plan.sheets.trim);
  const pillar = plan.doll(wall.pillar);
  const bays = opened.flatMap(({ x0, x1 }) => [x0, x1]);
  const edges = [(bays[0] ?? 0) - pillar, ...bays, (bays.at(-1) ?? 0) + pillar];
  for (let index = 0; index < edges.length; index += 2) {
    const [low, high] = [edges[index] as number, edges[index + 1] as number];
    if (high - low < 1_000) continue;
    const outer: Span = { outer: [low, high], inner: [low, high] };
    const facing = { id: `${id}/pillar-${index / 2}`, role: 'border', name: 'pillar facing' } as const;
    made.parts.push(...wallBoards(side, outer, [floor, floor + plan.clear], [], sheet, thick + sheet.one, facing));
    for (const along of [low, high]) {
      const [x, z] = pointAt(side, along, -thick - sheet.one);
      made.reach.push([x, floor, z]);
    }
  }
  return undefined;
};
