// Which shell of a room is decided on, and what its plan may be made. Lengths are µm, real or the doll's.
import type { Measure } from '@parlor/core/measure';
import { asRoom, newWall, type Room, type Shell, type Wall } from '@parlor/core/piece';

/** The shell and the wall in hand. */
export type InHand = { readonly shell: number; readonly wall: number };

/** What stands between two shells that meet. */
export type Meeting = 'open' | 'left' | 'right' | 'both';

const walled = ({ kind }: Wall): boolean => kind !== 'open';

/** The right wall of the one on the left and the left wall of the one on the right. */
const meetingWalls = (room: Room, joint: number): readonly [Wall, Wall] => [
  asRoom(room, joint).walls[1] ?? newWall(),
  asRoom(room, joint + 1).walls[3] ?? newWall(),
];

export const meetingOf = (room: Room, joint: number): Meeting => {
  const [left, right] = meetingWalls(room, joint).map(walled) as [boolean, boolean];
  return left ? (right ? 'both' : 'left') : right ? 'right' : 'open';
};

/** A shell with a wall of it made one, or open. */
const withWall = (walls: readonly Wall[], index: number, there: boolean): readonly Wall[] =>
  Array.from({ length: 4 }, (_, number) => {
    const wall = walls[number] ?? newWall(number === 2 ? { kind: 'open' } : {});
    return number !== index || walled(wall) === there ? wall : { ...wall, kind: there ? 'wall' : 'open' };
  });

/** The room with what stands between two of its shells made another. */
export const withMeeting = (room: Room, joint: number, meeting: Meeting): Pick<Room, 'walls' | 'shells'> => {
  const put = (number: number, change: (shell: Shell) => Partial<Shell>): void => {
    if (number === 0) walls = change({ ...room, walls }).walls ?? walls;
    else shells = shells.map((each, index) => (index === number - 1 ? { ...each, shell: { ...each.shell, ...change(each.shell) } } : each));
  };
  let { walls, shells } = room;
  put(joint, (shell) => ({ walls: withWall(shell.walls, 1, meeting === 'left' || meeting === 'both') }));
  put(joint + 1, (shell) => ({ walls: withWall(shell.walls, 3, meeting === 'right' || meeting === 'both') }));
  return { walls, shells };
};

type Points = Room['points'];

const CORNERS = ['right', 'left', 'left', 'right'] as const;

const around = <T>(list: readonly T[], index: number): T => list[((index % list.length) + list.length) % list.length] as T;

/** A rectangular room as a plan of its own, by the real sizes that it has. */
export const asOwnPlan = (room: Room, real: (measure: Measure) => number): Partial<Room> => {
  const [width, depth] = [Math.round(real(room.width)), Math.round(real(room.depth))];
  return {
    plan: 'own',
    pointsAre: 'real',
    points: [
      [0, 0],
      [width, 0],
      [width, depth],
      [0, depth],
    ],
    corners: Array.from({ length: 4 }, (_, index) => room.corners[index] ?? (CORNERS[index] as 'left')),
  };
};

/** A corner moved to another place. */
export const cornerTo = (points: Points, index: number, to: readonly [number, number]): Points =>
  points.map((point, at) => (at === index ? [Math.round(to[0]), Math.round(to[1])] : point));

/** How long a wall is. */
export const wallLong = (points: Points, index: number): number => {
  const [a, b] = [around(points, index), around(points, index + 1)];
  return Math.hypot(b[0] - a[0], b[1] - a[1]);
};

/** A wall moved out of the room by so much, or into it: its corners go along the walls that it meets, or straight where these run on in its line. */
export const wallOut = (points: Points, index: number, by: number): Points => {
  const count = points.length;
  const [a, b] = [around(points, index), around(points, index + 1)];
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [wx, wz] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
  const [ox, oz] = [wz, -wx];
  const along = (end: readonly [number, number], other: readonly [number, number]): readonly [number, number] => {
    const [dx, dz] = [end[0] - other[0], end[1] - other[1]];
    const lean = dx * ox + dz * oz;
    const reach = Math.hypot(dx, dz);
    if (Math.abs(lean) < reach * 0.05) return [end[0] + ox * by, end[1] + oz * by];
    return [end[0] + (dx / lean) * by, end[1] + (dz / lean) * by];
  };
  const [from, to] = [along(a, around(points, index - 1)), along(b, around(points, index + 2))];
  return cornerTo(cornerTo(points, index, from), (index + 1) % count, to);
};

/** A wall made so long: by moving the next one, or, where that runs on in its line, the corner between the two. */
export const wallTo = (points: Points, index: number, length: number): Points => {
  const next = (index + 1) % points.length;
  const [a, b, c] = [around(points, index), around(points, next), around(points, next + 1)];
  const long = wallLong(points, index);
  const off = Math.abs((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]));
  if (off > long * wallLong(points, next) * 0.05) return wallOut(points, next, length - long);
  return cornerTo(points, next, [a[0] + ((b[0] - a[0]) / long) * length, a[1] + ((b[1] - a[1]) / long) * length]);
};

const inserted = <T>(list: readonly T[], at: number, item: T): readonly T[] => [...list.slice(0, at), item, ...list.slice(at)];

/** A wall broken in two in its middle; what is in it stays with its left half. */
export const wallBroken = (room: Room, index: number): Partial<Room> => {
  const [a, b] = [around(room.points, index), around(room.points, index + 1)];
  const wall = room.walls[index] ?? newWall();
  return {
    points: inserted(room.points, index + 1, [Math.round((a[0] + b[0]) / 2), Math.round((a[1] + b[1]) / 2)]),
    walls: inserted(
      room.points.map((_, number) => room.walls[number] ?? newWall()),
      index + 1,
      newWall({ kind: wall.kind }),
    ),
    corners: inserted(
      room.points.map((_, number) => room.corners[number] ?? 'mitred'),
      index + 1,
      'mitred',
    ),
  };
};

/** A wall taken away: its right corner goes, and the wall before it runs on to the next. */
export const wallGone = (room: Room, index: number): Partial<Room> => {
  const gone = (index + 1) % room.points.length;
  return {
    points: room.points.toSpliced(gone, 1),
    walls: room.points.map((_, number) => room.walls[number] ?? newWall()).toSpliced(gone, 1),
    corners: room.points.map((_, number) => room.corners[number] ?? 'mitred').toSpliced(gone, 1),
  };
};
