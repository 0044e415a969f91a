// µm, doll size. Shells that become one room: their parts in place, what lifts and fills the lower and the shallower ones, and strips over the seams.
import { movedMotion, type Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf } from '../../measure/index.ts';
import type { Vec3 } from '../../shape/index.ts';
import { lack, type PieceProblem, unless } from '../family/problem.ts';
import { movedParts } from '../parts/parts.ts';
import type { RoomSoFar } from './addWall.ts';
import { type At, isWalled, movedOut, type RoomPlan, sideBetween, stripWide, wallAt } from './plan.ts';
import type { Room } from './room.ts';
import { buildShell, lying, lyingStrips } from './shell.ts';
import { faceOf } from './standing.ts';
import { LEAST, lessStretches, strip, type TrimStretch } from './strip.ts';
import { frontEdgeOf, LEAST_FILL, type StandingShell, topOf } from './together.ts';
import { wallBoards } from './walls.ts';

const rectangle = (x0: number, z0: number, x1: number, z1: number): readonly At[] => [
  [x0, z0],
  [x1, z0],
  [x1, z1],
  [x0, z1],
];

const extent = (ring: readonly At[]): { x0: number; x1: number; z0: number; z1: number } => ({
  x0: Math.min(...ring.map(([x]) => x)),
  x1: Math.max(...ring.map(([x]) => x)),
  z0: Math.min(...ring.map(([, z]) => z)),
  z1: Math.max(...ring.map(([, z]) => z)),
});

const sizeOf = ({ ring }: RoomPlan): readonly [width: number, depth: number] => [ring[1]?.[0] ?? 0, ring[2]?.[1] ?? 0];

/** What one shell needs to be as deep as the deepest: floor, and what stands on it at its sides. From its own origin. */
const deepened = (shell: StandingShell, front: number): readonly Part[] => {
  const { plan } = shell;
  const { id } = plan.room;
  const [width, depth] = sizeOf(plan);
  const to = front - shell.at[2];
  const floor = plan.sheets.floor;
  const ground = extent(plan.room.stands === 'beside' ? plan.ring : movedOut(plan.ring, plan.thick));
  const added = rectangle(ground.x0, depth, ground.x1, to);
  const low = plan.room.stands === 'beside' ? 0 : floor.thickness;
  const side = (index: 1 | 3): readonly Part[] => {
    if (!isWalled(wallAt(plan, index))) return [];
    const line = index === 1 ? sideBetween([width, depth], [width, to]) : sideBetween([0, to], [0, depth]);
    const along: TrimStretch = [0, to - depth];
    const name = `${index === 1 ? 'right' : 'left'} wall, filler in front`;
    const board = (part: string, heights: TrimStretch): readonly Part[] =>
      wallBoards(line, { outer: along, inner: along }, heights, [], plan.sheets.wall, plan.sheets.wall.thickness, {
        id: `${id}/wall-${index}-${part}`,
        role: 'panel',
        name,
      });
    // A ceiling lies between the wall and what fills it up.
    const [top, filled] = [topOf(plan), topOf(plan) + plan.raise];
    if (!plan.room.ceiling) return board('front', [low, filled]);
    return [...board('front', [low, top - floor.thickness]), ...(plan.raise > 0 ? board('front-filler', [top, filled]) : [])];
  };
  const outer = extent(movedOut(plan.ring, plan.thick));
  const above = plan.room.ceiling
    ? lying(rectangle(outer.x0, depth, outer.x1, to), floor.thickness + plan.clear, floor, `${id}/front-ceiling`, 'top', 'ceiling filler')
    : [];
  return [...lying(added, 0, floor, `${id}/front-floor`, 'bottom', 'floor filler'), ...side(1), ...side(3), ...above];
};

/** The boards that lift a shell, from its own origin downwards. */
const packed = ({ plan, packing, at: [, up] }: StandingShell, front: number | undefined, z: number): readonly Part[] => {
  const { x0, x1, z0, z1 } = extent(movedOut(plan.ring, plan.thick));
  let y = -up;
  return packing.flatMap(({ board, one }, index) => {
    const part = lying(
      rectangle(x0, z0, x1, front === undefined ? z1 : front - z),
      y,
      { board, one, layers: 1, thickness: one },
      `${plan.room.id}/packing-${index}`,
      'bottom',
      'floor packing',
    );
    y += one;
    return part;
  });
};

/** Where a deeper shell begins behind the one beside it: a wall that leads back to it, in its own plan. */
const returned = (deep: StandingShell, other: StandingShell, end: 'left' | 'right', number: number, id: string): readonly Part[] => {
  const { plan } = deep;
  const by = other.at[2] - deep.at[2] - other.plan.sheets.wall.thickness;
  const walls = isWalled(wallAt(plan, end === 'left' ? 3 : 1)) || !isWalled(wallAt(plan, 0)) || !isWalled(wallAt(other.plan, 0));
  if (by < LEAST_FILL || walls) return [];
  const [width] = sizeOf(plan);
  const back = -(plan.thick[0] as number);
  const line = end === 'left' ? sideBetween([0, by], [0, back]) : sideBetween([width, back], [width, by]);
  const along: TrimStretch = [0, by - back];
  const kind = { id: `${id}/return-${number}`, role: 'side', name: 'return between the backs' } as const;
  return wallBoards(
    line,
    { outer: along, inner: along },
    [0, topOf(plan) + plan.raise],
    [],
    plan.sheets.wall,
    plan.sheets.wall.thickness,
    kind,
  );
};

/** The gap that two shells leave, closed: a strip of floor, and one of wall on it. In the plan of all. */
const closed = (one: StandingShell, next: StandingShell, gap: number, front: number, number: number, id: string): readonly Part[] => {
  if (gap < LEAST) return [];
  const { plan, at } = one;
  const x0 = next.at[0] + extent(movedOut(next.plan.ring, next.plan.thick)).x0 - gap;
  const deeper = Math.max(at[2], next.at[2]);
  // Of two floors the thinner one is gone on with: the strip lies between them.
  const thinner = next.plan.sheets.floor.thickness < plan.sheets.floor.thickness ? next : one;
  const floor = thinner.plan.sheets.floor;
  const level = thinner.at[1] + floor.thickness;
  const back = isWalled(wallAt(plan, 0)) && isWalled(wallAt(next.plan, 0)) && at[2] === next.at[2];
  const t = back ? plan.sheets.wall.thickness : 0;
  const line = sideBetween([x0, deeper], [x0 + gap, deeper]);
  const along: TrimStretch = [0, gap];
  return [
    ...lying(
      rectangle(x0, deeper - t, x0 + gap, front),
      level - floor.thickness,
      floor,
      `${id}/gap-${number}-floor`,
      'bottom',
      'gap strip of the floor',
    ),
    ...(back
      ? wallBoards(
          line,
          { outer: along, inner: along },
          [level, Math.min(at[1] + topOf(plan) + plan.raise, next.at[1] + topOf(next.plan) + next.plan.raise)],
          [],
          plan.sheets.wall,
          t,
          {
            id: `${id}/gap-${number}-back`,
            role: 'back',
            name: 'gap strip of the back wall',
          },
        )
      : []),
  ];
};

/** A strip over the seam of two back walls that are in one line. In the plan of all. */
const seamStrip = (
  room: Room,
  one: StandingShell,
  next: StandingShell,
  gap: number,
  number: number,
): Result<readonly Part[], PieceProblem> => {
  const { plan, at } = one;
  const wide = stripWide(plan.strip, dollOf(room.seams, plan.means.scale));
  const [face, other] = [faceOf(plan, wallAt(plan, 0)), faceOf(next.plan, wallAt(next.plan, 0))];
  const apart =
    isWalled(wallAt(plan, 1)) || isWalled(wallAt(next.plan, 3)) || !isWalled(wallAt(plan, 0)) || !isWalled(wallAt(next.plan, 0));
  if (wide === 0 || apart || face !== other || at[2] !== next.at[2]) return ok([]);
  const problem = lack('a strip over the gap between two shells', wide, gap + 2 * LEAST);
  if (problem) return err(problem);
  const floors = [at[1] + plan.sheets.floor.thickness, next.at[1] + next.plan.sheets.floor.thickness] as const;
  const middle = next.at[0] - gap / 2;
  const [from, to] = [Math.round(middle - wide / 2), Math.round(middle - wide / 2) + wide];
  const line = sideBetween([from, at[2] + face], [to, at[2] + face]);
  const low = Math.max(...floors);
  const high = Math.min(
    floors[0] + plan.clear + (plan.room.ceiling ? 0 : plan.raise),
    floors[1] + next.plan.clear + (next.plan.room.ceiling ? 0 : next.plan.raise),
  );
  const lyingOn = (shell: StandingShell, floor: number): readonly TrimStretch[] =>
    lyingStrips(shell.plan).map(({ y0, y1 }): TrimStretch => [floor + y0, floor + y1]);
  const inTheWay = [...lyingOn(one, floors[0]), ...lyingOn(next, floors[1])];
  return ok(
    lessStretches([low, high], inTheWay)
      .filter(([a, b]) => b - a >= LEAST)
      .map(([a, b], piece) =>
        strip(line, [0, wide], [0, wide], [a, b], plan.strip, `${room.id}/seam-${number}-${piece}`, 'strip over the seam'),
      ),
  );
};

const CORNERS = (box: ReturnType<typeof extent>, y0: number, y1: number): readonly Vec3[] =>
  [box.x0, box.x1].flatMap((x) => [box.z0, box.z1].flatMap((z) => [y0, y1].map((y): Vec3 => [x, y, z])));

/** Whether a shop's front, which stands out beyond its wall, is where two shells meet. */
const between = (shells: readonly StandingShell[]): boolean =>
  shells.some(
    ({ plan }, index) => (index > 0 && wallAt(plan, 3).kind === 'shop') || (index < shells.length - 1 && wallAt(plan, 1).kind === 'shop'),
  );

/** Builds shells that are joined.
 *  Shape: room, its shells in place → parts of all, packing, fillers, returns, gap and seam strips. Errors: those of a shell; 'does-not-fit' for shells
 *  that have other plans than rectangles, or several storeys. */
export const buildJoined = (room: Room, shells: readonly StandingShell[]): Result<RoomSoFar, PieceProblem> => {
  const problem =
    unless(
      'joined shells with square plans',
      shells.every(({ plan }) => plan.room.plan === 'rectangle'),
    ) ??
    unless('joined shells without a shop’s front between them', !between(shells)) ??
    unless(
      'joined shells of one storey',
      shells.every(({ plan }) => plan.room.storeys === 1),
    );
  if (problem) return err(problem);
  const made: RoomSoFar = { parts: [], motions: [], reach: [] };
  for (const [index, shell] of shells.entries()) {
    const built = buildShell(shell.plan);
    if (!built.ok) return built;
    const front = frontEdgeOf(shell, shells);
    const before = shells[index - 1];
    const next = shells[index + 1];
    const own = [
      ...built.value.parts,
      ...packed(shell, front, shell.at[2]),
      ...(front === undefined ? [] : deepened(shell, front)),
      ...(before ? returned(shell, before, 'left', index - 1, room.id) : []),
      ...(next ? returned(shell, next, 'right', index, room.id) : []),
    ];
    const moved = ([x, y, z]: Vec3): Vec3 => [x + shell.at[0], y + shell.at[1], z + shell.at[2]];
    made.parts.push(...movedParts(own, shell.at));
    made.motions.push(...built.value.motions.map((motion) => movedMotion(motion, moved, (way) => way)));
    const box = extent(movedOut(shell.plan.ring, shell.plan.thick));
    const to = front === undefined ? box.z1 : front - shell.at[2];
    made.reach.push(
      ...[...built.value.reach, ...CORNERS({ ...box, z1: to }, -shell.at[1], topOf(shell.plan) + shell.plan.raise)].map(moved),
    );
    if (!next) continue;
    const gap = room.shells[index]?.gap ?? 0;
    const fronts = [front ?? shell.at[2] + sizeOf(shell.plan)[1], frontEdgeOf(next, shells) ?? next.at[2] + sizeOf(next.plan)[1]] as const;
    const over = seamStrip(room, shell, next, gap, index);
    if (!over.ok) return over;
    made.parts.push(...closed(shell, next, gap, Math.min(...fronts), index, room.id), ...over.value);
  }
  return ok(made);
};
