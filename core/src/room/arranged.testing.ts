// Rooms, pieces and places for the tests of arranging, at 1:6; sizes in mm at doll size.
import type { Assembly } from '../assembly/index.ts';
import { dollUm, scaleFromRatio, UM } from '../measure/index.ts';
import { buildPiece, fromPreset, type Means, newWall, type Piece, PRESETS, type Room } from '../piece/index.ts';
import { boardOf } from '../piece/randomDecisions.testing.ts';
import { type Placement, type RoomSpace, spaceOf } from './index.ts';

const ONE = scaleFromRatio(6);
export const means: Means = { scale: ONE, body: ONE, boards: [boardOf(4_800)] };
export const mm = (value: number) => ({ doll: dollUm(value * UM.mm) });

export const built = (piece: Piece): Assembly => {
  const made = buildPiece(piece, means);
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value.assembly;
};

export const preset = (key: string, over: object = {}): Piece => {
  const found = PRESETS.find((each) => each.key === key);
  if (!found) throw new Error(key);
  return { ...fromPreset(found, key, 1), ...over } as Piece;
};

export const OPEN = newWall({ kind: 'open' });

/** A room without skirting, open in front. */
export const roomOf = (
  width: number,
  depth: number,
  over: object = {},
): { readonly room: Room; readonly assembly: Assembly; readonly space: RoomSpace } => {
  const room = preset('three-walls', {
    width: mm(width),
    depth: mm(depth),
    height: mm(300),
    skirting: mm(0),
    walls: [newWall(), newWall(), OPEN, newWall()],
    ...over,
  }) as Room;
  const assembly = built(room);
  return { room, assembly, space: spaceOf(room, assembly, means) as RoomSpace };
};

export const put = (piece: string, x: number, z: number, up = 0, turn = 0): Placement => ({
  piece,
  x: dollUm(x * UM.mm),
  z: dollUm(z * UM.mm),
  up: dollUm(up * UM.mm),
  turn,
});
