// µm, doll size. Joints of a room's walls that can be seen, and what hides them by one click.
import { dollOf, dollUm, type Measure, realUm, type Scale, UM } from '../../measure/index.ts';
import { asRoom, newBatten, newRail, type Room, type Shell } from '../../piece/index.ts';
import type { RoomSpace, WallJoint } from '../../room/index.ts';
import type { PieceChange } from '../document/edit.ts';
import { shellChange } from '../document/shellChange.ts';
import type { Finding } from './finding.ts';

/** Less of a joint in sight than this is not spoken of. Common practice, no source. */
const LITTLE = 5 * UM.mm;

const inDoll = (um: number): Measure => ({ doll: dollUm(Math.round(um)) });

/** A joint so near to the upper edge, of the wall's height, is hidden by a cornice; lower ones by a rail. Common practice, no source. */
const HIGH_UP = 0.9;

/** The change of a room that lays a strip over a joint: one that stands there, the strips over the seams of its shells, its cornice or its rail. */
const stripOver = (room: Room, { sides, height }: RoomSpace, seam: WallJoint, scale: Scale): PieceChange | null => {
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

/** Joints in sight, each with the strip that would hide it. */
export const seamFindings = (room: Room, space: RoomSpace, seams: readonly WallJoint[], scale: Scale): readonly Finding[] =>
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
