// µm, doll size. A room with what stands in it, and what a careful maker would notice about that.
import type { Assembly } from '../assembly/index.ts';
import { bodyOf } from '../doll/index.ts';
import { dollOf, dollUm, type Measure, realUm, type Scale, UM } from '../measure/index.ts';
import { asRoom, newBatten, newRail, type Room, type Shell } from '../piece/index.ts';
import {
  judgeLayout,
  type Layout,
  type LayoutJudged,
  layoutOf,
  type Placed,
  type RoomSpace,
  type Seam,
  type Standing,
  seamsOf,
  spaceOf,
  standAt,
  type Way,
  wayThrough,
} from '../room/index.ts';
import type { DerivedSet } from './derive.ts';
import { meansOf } from './derive.ts';
import type { SetDocument } from './document.ts';
import type { PieceChange } from './edit.ts';
import type { Finding } from './finding.ts';
import { shellChange } from './joinRooms.ts';
import { hungOtherwise, legsInTheWay, narrowWays, type Resident } from './livesIn.ts';

/** A room that is arranged: its space, its things where they stand, the verdicts, and the doll's way. */
export type Arranged = {
  readonly room: Room;
  readonly layout: Layout | undefined;
  readonly space: RoomSpace;
  readonly standing: readonly Standing[];
  readonly judged: LayoutJudged;
  readonly way: Way;
  /** Where the boards of its walls meet, and what hides that. */
  readonly seams: readonly Seam[];
  readonly findings: readonly Finding[];
};

/** What was put in its place stays the very same thing as long as neither it nor the room has changed, so that what was asked about it holds. */
const known = new WeakMap<Placed, { readonly assembly: Assembly; readonly corner: string; readonly standing: Standing }>();

const stand = (assembly: Assembly, placed: Placed, space: RoomSpace): Standing => {
  const corner = space.corner.join(' ');
  const before = known.get(placed);
  if (before && before.assembly === assembly && before.corner === corner) return before.standing;
  const standing = standAt(assembly, placed, space);
  known.set(placed, { assembly, corner, standing });
  return standing;
};

const spaces = new WeakMap<Assembly, RoomSpace>();

const nameIn = (document: SetDocument, id: string): string => document.pieces.find((piece) => piece.id === id)?.name ?? '';

/** How far a hand reaches into a room. Common practice, no source. */
const REACH = 300 * UM.mm;

/** Things under a ceiling that lie further from every side that opens than a hand reaches; infinitely far where none opens. */
const outOfReach = (
  room: Room,
  { sides, corner }: RoomSpace,
  standing: readonly Standing[],
): readonly { readonly piece: string; readonly away: number }[] => {
  if (!room.ceiling) return [];
  const open = sides.filter(({ walled, of }) => !walled || (of !== null && asRoom(room, of[0]).walls[of[1]]?.kind === 'removable'));
  return standing.flatMap(({ placed, body: { whole } }) => {
    const [x0, x1, z0, z1] = [whole.min[0] - corner[0], whole.max[0] - corner[0], whole.min[2] - corner[2], whole.max[2] - corner[2]];
    const nearest = Math.min(
      Infinity,
      ...open.map(({ from, to }) => {
        const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
        const off = ([x, z]: readonly [number, number]): number =>
          Math.abs((to[0] - from[0]) * (z - from[1]) - (to[1] - from[1]) * (x - from[0])) / length;
        return Math.min(off([x0, z0]), off([x1, z0]), off([x0, z1]), off([x1, z1]));
      }),
    );
    return nearest > REACH ? [{ piece: placed.piece, away: Math.round(Math.min(nearest, 10 * UM.m)) }] : [];
  });
};

/** Less of a joint in sight than this is not spoken of. Common practice, no source. */
const LITTLE = 5 * UM.mm;

const inDoll = (um: number): Measure => ({ doll: dollUm(Math.round(um)) });

/** A joint so near to the upper edge, of the wall's height, is hidden by a cornice; lower ones by a rail. Common practice, no source. */
const HIGH_UP = 0.9;

/** The change of a room that lays a strip over a joint: one that stands there, the strips over the seams of its shells, its cornice or its rail. */
const stripOver = (room: Room, { sides, height }: RoomSpace, seam: Seam, scale: Scale): PieceChange | null => {
  const middle = seam.stands ? seam.at : (seam.from + seam.to) / 2;
  const run = sides[seam.side]?.runs.find(({ from, to }) => middle >= from && middle <= to);
  if (!run) return null;
  const own = asRoom(room, run.shell);
  const put = (change: Partial<Shell>): PieceChange => shellChange(room, run.shell, change);
  if (!seam.stands) {
    if (seam.at > height * HIGH_UP) return own.ceiling ? null : put({ cornice: inDoll((height - seam.at) * 1.3 + 2 * UM.mm) });
    const rail = own.rail ?? newRail();
    const up = seam.at - dollOf(rail.height, scale) / 2;
    return up < 0 ? null : put({ rail: { ...rail, up: inDoll(up) } });
  }
  if (Math.min(seam.at - run.from, run.to - seam.at) < LITTLE) return room.seams === 0 ? { seams: realUm(80 * UM.mm) } : null;
  const batten = newBatten();
  const from = seam.at - run.from - dollOf(batten.width, scale) / 2;
  const wall = own.walls[run.wall];
  return wall && from > 0
    ? put({ walls: own.walls.with(run.wall, { ...wall, battens: [...wall.battens, { ...batten, from: inDoll(from) }] }) })
    : null;
};

/** Joints nearer to each other than this are spoken of once. */
const BESIDE = 12 * UM.mm;

const seamFindings = (room: Room, space: RoomSpace, seams: readonly Seam[], scale: Scale): readonly Finding[] =>
  seams
    .filter(({ seen }) => seen >= LITTLE)
    .filter(
      (seam, index, all) =>
        !all
          .slice(0, index)
          .some(({ side, stands, at }) => side === seam.side && stands === seam.stands && Math.abs(at - seam.at) < BESIDE),
    )
    .map((seam): Finding => {
      const change = stripOver(room, space, seam, scale);
      return {
        code: 'seam-in-sight',
        severity: 'note',
        wall: space.sides[seam.side]?.name ?? '',
        stands: seam.stands,
        numbers: { at: Math.round(seam.at), seen: seam.seen },
        where: { pieceId: room.id },
        mend: change && {
          kind: seam.stands ? 'strip-over' : seam.at > space.height * HIGH_UP ? 'cornice-over' : 'rail-over',
          detail: '',
          edit: { kind: 'change-piece', id: room.id, change },
        },
      };
    });

const findingsOf = (document: SetDocument, judged: LayoutJudged, way: Way, far: ReturnType<typeof outOfReach>): readonly Finding[] => {
  const name = (id: string): string => nameIn(document, id);
  return [
    ...judged.clashes.map(
      ([one, other]): Finding => ({
        code: 'things-clash',
        severity: 'error',
        one: name(one),
        other: other === '' ? '' : name(other),
        numbers: {},
        where: { pieceId: one },
        mend: null,
      }),
    ),
    ...judged.outside.map(
      (id): Finding => ({ code: 'stands-outside', severity: 'error', thing: name(id), numbers: {}, where: { pieceId: id }, mend: null }),
    ),
    ...judged.floating.map(
      (id): Finding => ({ code: 'hangs-free', severity: 'warning', thing: name(id), numbers: {}, where: { pieceId: id }, mend: null }),
    ),
    ...judged.stopped.map(
      ([piece, by]): Finding => ({
        code: 'opens-into',
        severity: 'warning',
        thing: name(piece),
        by: by === '' ? '' : name(by),
        numbers: {},
        where: { pieceId: piece },
        mend: null,
      }),
    ),
    ...far.map(
      ({ piece, away }): Finding => ({
        code: 'out-of-reach',
        severity: 'note',
        thing: name(piece),
        numbers: { away, reach: REACH },
        where: { pieceId: piece },
        mend: null,
      }),
    ),
    ...way.unreached.map(
      (id): Finding => ({
        code: 'no-way-to',
        severity: 'warning',
        thing: name(id),
        doll: document.doll.name,
        numbers: { shoulders: bodyOf(document.doll).shoulderBreadth },
        where: { pieceId: id },
        mend: null,
      }),
    ),
  ];
};

/** A room of a set, arranged as its layout that counts says, or another.
 *  Shape: document, its derived pieces, the room's id → the room arranged; nothing where it is no room or cannot be built. */
export const arrangedIn = (document: SetDocument, derived: DerivedSet, roomId: string, layoutId?: string): Arranged | undefined => {
  const room = document.pieces.find(({ id }) => id === roomId);
  const shell = derived.pieces.find(({ id }) => id === roomId)?.made;
  if (room?.family !== 'room' || !shell) return undefined;
  const space = spaces.get(shell.assembly) ?? spaceOf(room, shell.assembly, meansOf(document));
  if (!space) return undefined;
  spaces.set(shell.assembly, space);
  const layout = document.layouts.find(({ id }) => id === layoutId) ?? layoutOf(document.layouts, roomId);
  const residents = (layout?.placed ?? []).flatMap((placed): readonly Resident[] => {
    const made = derived.pieces.find(({ id }) => id === placed.piece)?.made;
    const piece = document.pieces.find(({ id }) => id === placed.piece);
    return made && piece ? [{ piece, assembly: made.assembly, standing: stand(made.assembly, placed, space) }] : [];
  });
  const standing = residents.map((each) => each.standing);
  const judged = judgeLayout(space, standing);
  const [body, means] = [bodyOf(document.doll), meansOf(document)];
  const way = wayThrough(space, standing, body);
  const seams = seamsOf(space, standing);
  const findings = [
    ...findingsOf(document, judged, way, outOfReach(room, space, standing)),
    ...narrowWays(space, residents, way, body, document.doll.name),
    ...legsInTheWay(space, residents, means),
    ...hungOtherwise(residents, means, document.layouts, layout),
    ...seamFindings(room, space, seams, means.scale),
  ];
  return { room, layout, space, standing, judged, way, seams, findings };
};
