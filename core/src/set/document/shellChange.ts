import type { Room, Shell } from '../../piece/index.ts';
import type { PieceChange } from './edit.ts';

/** The change of a room that changes one of its shells, by its number from the left. */
export const shellChange = (room: Room, number: number, change: Partial<Shell>): PieceChange => {
  if (number === 0) return change;
  const joined = room.shells[number - 1];
  return joined ? { shells: room.shells.with(number - 1, { ...joined, shell: { ...joined.shell, ...change } }) } : {};
};
