// What is put into a wall begins where it fits: as it is usual, else moved along, else smaller.
import { dollOf, dollUm, type Measure, type Scale, toReal, UM } from '../../measure/index.ts';
import type { Means } from '../family/means.ts';
import { buildRoom } from './buildRoom.ts';
import { openingsDecided } from './holes.ts';
import type { Opened } from './opened.ts';
import type { Room } from './room.ts';
import { roomPlan } from './roomPlan.ts';
import { newOpening, newWall, type OpeningForm, type Wall, type WallOpening } from './wall.ts';

/** Which wall of a room: one round it, or one that parts its cells. */
export type WhichWall = { readonly wall: number } | { readonly between: number };

/** Sizes are tried so much smaller. */
const SHARES = [1, 0.8, 0.6, 0.45, 0.32, 0.22] as const;

/** Places along the wall that are tried. */
const PLACES = 24;

/** No more rooms are built to try one. */
const MOST_BUILT = 16;

/** So far from the wall's ends, its upper edge and other openings nothing is in the way. Common practice, no source. */
const APART = 3 * UM.mm;

const wallAt = (room: Room, which: WhichWall): Wall =>
  ('wall' in which ? room.walls[which.wall] : room.between[which.between]) ?? newWall();

const withOpening = (room: Room, which: WhichWall, opening: WallOpening): Room => {
  const put = (walls: readonly Wall[], at: number, count: number): readonly Wall[] =>
    Array.from({ length: Math.max(count, walls.length, at + 1) }, (_, index) => {
      const wall = walls[index] ?? newWall();
      return index === at ? { ...wall, openings: [...wall.openings, opening] } : wall;
    });
  return 'wall' in which
    ? { ...room, walls: put(room.walls, which.wall, room.plan === 'own' ? room.points.length : 4) }
    : { ...room, between: put(room.between, which.between, room.cells - 1) };
};

const lengthOf = (room: Room, which: WhichWall, means: Means): { readonly length: number; readonly clear: number } => {
  const { sides, clear, ring } = roomPlan(room, means);
  const side = 'wall' in which ? sides.find(({ of }) => of?.[1] === which.wall) : undefined;
  const length = side
    ? Math.hypot(side.to[0] - side.from[0], side.to[1] - side.from[1])
    : Math.max(...ring.map(([, z]) => z)) - Math.min(...ring.map(([, z]) => z));
  return { length, clear };
};

const reaches = (one: Opened, other: Opened): boolean => {
  const by = one.border + other.border + APART;
  return one.x0 - by < other.x1 && one.x1 + by > other.x0 && one.y0 - by < other.y1 && one.y1 + by > other.y0;
};

/** An opening as it begins in a wall: with the usual sizes where there is room for them, else where along the wall there is, else smaller.
 *  Shape: a room (a shell by itself), which of its walls, what is put in, means → an opening with which the room was built; the usual one
 *  where none fits. */
export const openingFor = (room: Room, which: WhichWall, form: OpeningForm, means: Means): WallOpening => {
  const usual = newOpening(form);
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const { length, clear } = lengthOf(room, which, means);
  const there = openingsDecided({ doll }, wallAt(room, which), '', length);
  const real = (um: number): Measure => roundDown(um, means.scale);
  const candidates = SHARES.flatMap((share): readonly WallOpening[] => {
    const border = doll(usual.border) * share;
    const width = Math.min(doll(usual.width) * share, length - 2 * (border + APART));
    const most = clear - doll(usual.up) - border - APART;
    const height = form === 'round' ? width : Math.min(doll(usual.height) * share, most > 0 ? most : clear - 2 * (border + APART));
    const up = form === 'door' ? usual.up : real(Math.min(doll(usual.up), clear - height - border - APART));
    if (width < 2 * UM.mm || height < 2 * UM.mm) return [];
    const sized =
      share === 1 && height === doll(usual.height) && width === doll(usual.width)
        ? usual
        : { ...usual, width: real(width), height: real(height), up, border: real(border) };
    const play = length - width - 2 * (border + APART);
    const places = Array.from({ length: PLACES + 1 }, (_, place) => real(border + APART + (play * place) / PLACES));
    // What is too low or too high where it usually is may be right above or below what is there.
    const heights = form === 'door' ? [up] : [up, real(clear - height - border - APART), real(border + APART)];
    return [sized, ...heights.flatMap((at) => places.map((from) => ({ ...sized, from, up: at })))];
  });
  const free = candidates.filter((opening) => {
    const [mine] = openingsDecided({ doll }, { ...newWall(), openings: [opening] }, '', length) as readonly [Opened];
    const within = mine.x0 >= mine.border && mine.x1 <= length - mine.border && mine.y1 <= clear - mine.border;
    return within && !there.some((other) => reaches(mine, other));
  });
  // Of those that look free the room itself says which are: corners, strips and second walls take their share.
  return (
    free
      .slice(0, 4)
      .concat(spread(free.slice(4), MOST_BUILT - 4))
      .find((opening) => buildRoom(withOpening(room, which, opening), means).ok) ?? usual
  );
};

/** So many of a list, from all of it. */
const spread = <T>(list: readonly T[], most: number): readonly T[] =>
  list.length <= most ? list : Array.from({ length: most }, (_, index) => list[Math.floor((index * list.length) / most)] as T);

/** The real size of a doll size, down to the centimetre where that says anything. */
const roundDown = (um: number, scale: Scale): Measure => {
  const size = toReal(dollUm(Math.max(0, Math.round(um))), scale);
  const step = size > 200 * UM.mm ? 10 * UM.mm : UM.mm;
  return (Math.floor(size / step) * step) as Measure;
};
