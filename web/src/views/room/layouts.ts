// What is decided about arrangements: things put in, moved, turned, taken out; ways kept side by side. Lengths are µm at doll size.
import type { DollUm } from '@parlor/core/measure';
import type { Placement, RoomLayout } from '@parlor/core/room';

const um = (value: number): DollUm => Math.round(value) as DollUm;

/** The next letter that no arrangement of the room has. */
export const freeName = (layouts: readonly RoomLayout[], room: string): string => {
  const taken = new Set(layouts.filter((layout) => layout.room === room).map(({ name }) => name));
  const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
  return letters.find((letter) => !taken.has(letter)) ?? `${taken.size + 1}`;
};

/** An arrangement with nothing in it, the one that counts when it is the first. */
export const newLayout = (layouts: readonly RoomLayout[], room: string, id: string): RoomLayout => ({
  id,
  name: freeName(layouts, room),
  room,
  chosen: layouts.every((layout) => layout.room !== room),
  placed: [],
});

export const withLayout = (layouts: readonly RoomLayout[], changed: RoomLayout): readonly RoomLayout[] =>
  layouts.some(({ id }) => id === changed.id) ? layouts.map((each) => (each.id === changed.id ? changed : each)) : [...layouts, changed];

/** The same with another one of a room's arrangements as the one that counts. */
export const withChosen = (layouts: readonly RoomLayout[], id: string): readonly RoomLayout[] => {
  const room = layouts.find((each) => each.id === id)?.room;
  return layouts.map((each) => (each.room === room && each.chosen !== (each.id === id) ? { ...each, chosen: each.id === id } : each));
};

/** The same without one; when it was the one that counts, the first that is left takes its place. */
export const withoutLayout = (layouts: readonly RoomLayout[], id: string): readonly RoomLayout[] => {
  const gone = layouts.find((each) => each.id === id);
  const left = layouts.filter((each) => each.id !== id);
  const next = gone?.chosen ? left.find(({ room }) => room === gone.room) : undefined;
  return next ? withChosen(left, next.id) : left;
};

export const withPlaced = (layout: RoomLayout, placed: Placement): RoomLayout => ({
  ...layout,
  placed: layout.placed.some(({ piece }) => piece === placed.piece)
    ? layout.placed.map((each) => (each.piece === placed.piece ? placed : each))
    : [...layout.placed, placed],
});

export const withoutPlaced = (layout: RoomLayout, piece: string): RoomLayout => ({
  ...layout,
  placed: layout.placed.filter((each) => each.piece !== piece),
});

export const placedAt = (piece: string, x: number, z: number, up = 0, turn = 0): Placement => ({
  piece,
  x: um(x),
  z: um(z),
  up: um(up),
  turn,
});

export const movedTo = (placed: Placement, x: number, z: number): Placement => ({ ...placed, x: um(x), z: um(z) });

export const turnedBy = (placed: Placement, by: number): Placement => ({ ...placed, turn: (((placed.turn + by) % 360) + 360) % 360 });
