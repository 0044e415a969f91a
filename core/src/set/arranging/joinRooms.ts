// µm, doll size. Rooms of a set that become one, and come apart again, with what stands in them.
import { dollUm } from '../../measure/index.ts';
import { asRoom, asShell, isRoom, type JoinedShell, MOST_SHELLS, type Room, type StandingShell, standTogether } from '../../piece/index.ts';
import { layoutOf, type Placement, type RoomLayout } from '../../room/index.ts';
import { meansOf } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import type { Edit } from '../document/edit.ts';

const roomIn = (document: SetDocument, id: string): Room | undefined => {
  const piece = document.pieces.find((each) => each.id === id);
  return piece && isRoom(piece) ? piece : undefined;
};

/** Whether another room may be joined to one: both have square plans and one storey, and together not too many shells. */
export const canJoin = (room: Room, other: Room): boolean =>
  room.id !== other.id &&
  [room, other].every((each) => each.plan === 'rectangle' && each.storeys === 1) &&
  room.shells.length + 1 + other.shells.length <= MOST_SHELLS;

/** Where a shell's own floor begins in the plan of all of them: its clear back left corner, from that of the whole. */
const cornerOf = (shells: readonly StandingShell[], number: number): readonly [x: number, z: number] => {
  const back = Math.min(...shells.map(({ at }) => at[2]));
  const [x, , z] = (shells[number] as StandingShell).at;
  return [x, z - back];
};

const movedBy = ({ x, z, ...placed }: Placement, dx: number, dz: number): Placement => ({
  ...placed,
  x: dollUm(Math.round(x + dx)),
  z: dollUm(Math.round(z + dz)),
});

/** Another room stands on the right of one, which is one room with it; what stood in both stands there still, as the arrangements that count have it.
 *  Shape: document, ids → the edit; nothing where the two cannot be joined. */
export const joinRooms = (document: SetDocument, roomId: string, otherId: string): Edit | undefined => {
  const [room, other] = [roomIn(document, roomId), roomIn(document, otherId)];
  if (!room || !other || !canJoin(room, other)) return undefined;
  const added: readonly JoinedShell[] = [{ gap: dollUm(0), shell: asShell(other) }, ...other.shells];
  const shells = [...room.shells, ...added];
  const [mine, theirs] = [layoutOf(document.layouts, roomId), layoutOf(document.layouts, otherId)];
  const [dx, dz] = cornerOf(standTogether({ ...room, shells }, meansOf(document)), room.shells.length + 1);
  const here = new Set(mine?.placed.map(({ piece }) => piece));
  const moved = (theirs?.placed ?? []).filter(({ piece }) => !here.has(piece)).map((placed) => movedBy(placed, dx, dz));
  const kept = document.layouts.filter((layout) => layout.room !== otherId);
  const layouts: readonly RoomLayout[] = mine
    ? kept.map((layout) => (layout.id === mine.id ? { ...layout, placed: [...layout.placed, ...moved] } : layout))
    : theirs
      ? [...kept, { ...theirs, room: roomId, placed: moved }]
      : kept;
  return {
    kind: 'all',
    edits: [
      { kind: 'change-piece', id: roomId, change: { shells } },
      { kind: 'change-set', change: { layouts } },
      { kind: 'remove-piece', id: otherId },
    ],
  };
};

/** A shell comes off a room and is a room by itself, with what stands on its floor.
 *  Shape: document, room, the shell's number (not the first), ids for the new room and its arrangement → the edit. */
export const takeOff = (
  document: SetDocument,
  roomId: string,
  number: number,
  ids: { readonly room: string; readonly layout: string },
): Edit | undefined => {
  const room = roomIn(document, roomId);
  if (!room?.shells[number - 1]) return undefined;
  const shells = standTogether(room, meansOf(document));
  const [x0, z0] = cornerOf(shells, number);
  const width = (shells[number] as StandingShell).plan.ring[1]?.[0] ?? 0;
  const mine = layoutOf(document.layouts, roomId);
  const goes = ({ x }: Placement): boolean => x >= x0 && x <= x0 + width;
  const gone = (mine?.placed ?? []).filter(goes);
  const mark = Math.max(0, ...document.pieces.map((piece) => piece.mark)) + 1;
  const alone: Room = { ...asRoom(room, number), id: ids.room, mark, name: `${room.name}, shell ${number + 1}` };
  // What stands on the right of it comes nearer by what is taken away.
  const rest: Room = { ...room, shells: room.shells.toSpliced(number - 1, 1) };
  const after = standTogether(rest, meansOf(document));
  const shiftOf = ({ x }: Placement): number => {
    const behind = shells.findIndex(
      ({ at }, index) => index > number && x >= at[0] && x <= at[0] + ((shells[index] as StandingShell).plan.ring[1]?.[0] ?? 0),
    );
    return behind < 0 ? 0 : (after[behind - 1] as StandingShell).at[0] - (shells[behind] as StandingShell).at[0];
  };
  const layouts = document.layouts.map((layout) =>
    layout.id === mine?.id
      ? { ...layout, placed: layout.placed.filter((each) => !goes(each)).map((each) => movedBy(each, shiftOf(each), 0)) }
      : layout,
  );
  const own: RoomLayout = { id: ids.layout, name: 'A', room: ids.room, chosen: true, placed: gone.map((each) => movedBy(each, -x0, -z0)) };
  return {
    kind: 'all',
    edits: [
      { kind: 'change-piece', id: roomId, change: { shells: rest.shells } },
      { kind: 'add-piece', at: document.pieces.findIndex(({ id }) => id === roomId) + 1, piece: alone },
      { kind: 'change-set', change: { layouts: [...layouts, ...(gone.length > 0 ? [own] : [])] } },
    ],
  };
};

/** What one shell lacked to be level with the others, and what makes it so. */
export type ShellDifference = {
  /** Where its floor begins, from the left: the seam of the floors. */
  readonly from: number;
  readonly packing: readonly { readonly board: string; readonly one: number }[];
  readonly uneven: number;
  /** How far its walls are filled up, and how far its floor and its sides are brought forward or lie behind. */
  readonly raise: number;
  readonly shallower: number;
  readonly gap: number;
};

/** How the shells of a room differ.
 *  Shape: document, room → for each shell, from the left, what it falls short of the highest floor, the highest wall and the greatest depth. */
export const differencesOfShells = (document: SetDocument, room: Room): readonly ShellDifference[] => {
  const shells = standTogether(room, meansOf(document));
  return shells.map(
    ({ packing, uneven, short, shallower }, index): ShellDifference => ({
      from: cornerOf(shells, index)[0],
      packing,
      uneven,
      raise: short,
      shallower,
      gap: index === 0 ? 0 : (room.shells[index - 1]?.gap ?? 0),
    }),
  );
};
