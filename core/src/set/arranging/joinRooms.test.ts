import { describe, expect, it } from 'vitest';
import { PRESETS, type Room } from '../../piece/index.ts';
import {
  applyEdit,
  arrangedIn,
  canJoin,
  derive,
  differencesOfShells,
  joinRooms,
  openingMoved,
  readSet,
  type SetDocument,
  shellChange,
  takeOff,
} from '../index.ts';

const preset = (key: string): object => PRESETS.find((each) => each.key === key)?.piece ?? {};
const OPEN = { kind: 'open' };

const SET: SetDocument = (() => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    doll: { name: 'Marisol', height: '290 mm' },
    boards: [
      { id: 'white', measured: '4.8 mm', sheets: ['A1'] },
      { id: 'thin', measured: '3 mm', sheets: ['A1'] },
    ],
    pieces: [
      {
        ...preset('three-walls'),
        skirting: '0 mm',
        walls: [{}, OPEN, OPEN, {}],
        width: { doll: '400 mm' },
        depth: { doll: '300 mm' },
        height: { doll: '400 mm' },
        id: 'left',
      },
      {
        ...preset('three-walls'),
        skirting: '0 mm',
        walls: [{}, {}, OPEN, OPEN],
        width: { doll: '360 mm' },
        depth: { doll: '260 mm' },
        height: { doll: '380 mm' },
        id: 'right',
      },
      { ...preset('l-room'), id: 'nook' },
      { ...preset('bookcase'), id: 'case' },
      { ...preset('side-chair'), id: 'chair' },
    ],
    layouts: [
      { id: 'a', room: 'left', placed: [{ piece: 'case', x: '120 mm', z: '40 mm' }] },
      { id: 'b', room: 'right', placed: [{ piece: 'chair', x: '250 mm', z: '150 mm', turn: 90 }] },
      { id: 'c', name: 'B', room: 'right', chosen: false, placed: [] },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
})();

const roomOf = (document: SetDocument, id: string): Room => document.pieces.find((piece) => piece.id === id) as Room;

/** How far things stand from each other where they are built, in µm. */
const middleOf = (document: SetDocument, room: string, thing: string): readonly number[] => {
  const arranged = arrangedIn(document, derive(document), room);
  const standing = arranged?.standing.find(({ placed }) => placed.piece === thing);
  if (!arranged || !standing) throw new Error(`${thing} is not in ${room}`);
  const floor = arranged.space.shell.parts
    .map((part, index) => ({ part, box: arranged.space.shell.boxes[index] }))
    .filter(({ part }) => part.name === 'floor');
  const under = floor.find(({ box }) => box && standing.body.whole.min[0] >= box.min[0] && standing.body.whole.max[0] <= box.max[0]);
  return [0, 2].map((axis) => standing.body.whole.min[axis as 0 | 2] - (under?.box?.min[axis as 0 | 2] ?? Number.NaN));
};

describe('rooms of a set', () => {
  const edit = joinRooms(SET, 'left', 'right');
  if (!edit) throw new Error('not joined');
  const { document: joined, inverse } = applyEdit(SET, edit);

  it('become one: the other is a shell of the first, and what stood in both stands where it stood', () => {
    expect(joined.pieces.map(({ id }) => id)).not.toContain('right');
    expect(roomOf(joined, 'left').shells).toHaveLength(1);
    expect(joined.layouts.map(({ id }) => id)).toEqual(['a']);
    const arranged = arrangedIn(joined, derive(joined), 'left');
    expect(arranged?.standing.map(({ placed }) => placed.piece)).toEqual(['case', 'chair']);
    expect(middleOf(joined, 'left', 'chair')).toEqual(middleOf(SET, 'right', 'chair').map((each) => expect.closeTo(each, -1)));
    expect(arranged?.judged.clashes).toEqual([]);
  });

  it('are two again by one undo, equal in every field', () => {
    expect(applyEdit(joined, inverse).document).toEqual(SET);
  });

  it('say what each lacks to be level with the other', () => {
    expect(differencesOfShells(joined, roomOf(joined, 'left'))).toEqual([
      { from: 0, packing: [], uneven: 0, raise: 0, shallower: 0, gap: 0 },
      { from: 400_000, packing: [], uneven: 0, raise: 20_000, shallower: 40_000, gap: 0 },
    ]);
    const thick = applyEdit(joined, {
      kind: 'change-piece',
      id: 'left',
      change: { thick: { wall: null, trim: null, floor: { doll: 9_600 as never } } },
    }).document;
    expect(differencesOfShells(thick, roomOf(thick, 'left'))[1]).toMatchObject({
      packing: [{ board: 'white', one: 4_800 }],
      raise: 20_000,
    });
  });

  it('come apart: a shell is a room by itself, with what stands on its floor', () => {
    const off = takeOff(joined, 'left', 1, { room: 'again', layout: 'new' });
    if (!off) throw new Error('not taken off');
    const { document: apart, inverse: back } = applyEdit(joined, off);
    expect(roomOf(apart, 'left').shells).toEqual([]);
    expect(roomOf(apart, 'again')).toMatchObject({ family: 'room', shells: [], width: roomOf(SET, 'right').width });
    expect(middleOf(apart, 'again', 'chair')).toEqual(middleOf(SET, 'right', 'chair').map((each) => expect.closeTo(each, -1)));
    expect(new Set(apart.pieces.map(({ mark }) => mark)).size).toBe(apart.pieces.length);
    expect(applyEdit(apart, back).document).toEqual(joined);
    expect(takeOff(joined, 'left', 2, { room: 'x', layout: 'y' })).toBeUndefined();
    expect(takeOff(joined, 'case', 1, { room: 'x', layout: 'y' })).toBeUndefined();
  });

  it('what stands on the right of a shell that is taken off comes nearer by as much', () => {
    const three = applyEdit(joined, {
      kind: 'change-piece',
      id: 'left',
      change: { shells: [...roomOf(joined, 'left').shells, ...roomOf(joined, 'left').shells] },
    }).document;
    const far = {
      ...three,
      layouts: three.layouts.map((layout) => ({
        ...layout,
        placed: layout.placed.map((each) => (each.piece === 'chair' ? { ...each, x: (each.x + 360_000) as never } : each)),
      })),
    };
    const before = middleOf(far, 'left', 'chair');
    const off = takeOff(far, 'left', 1, { room: 'again', layout: 'new' });
    if (!off) throw new Error('not taken off');
    const { document } = applyEdit(far, off);
    expect(middleOf(document, 'left', 'chair')).toEqual(before.map((each) => expect.closeTo(each, -1)));
    expect(document.layouts.map(({ id }) => id)).toEqual(['a']);
  });

  it('cannot be joined to themselves, to plans of their own, nor to more than a room may have', () => {
    expect(joinRooms(SET, 'left', 'left')).toBeUndefined();
    expect(joinRooms(SET, 'left', 'nook')).toBeUndefined();
    expect(joinRooms(SET, 'left', 'case')).toBeUndefined();
    const room = roomOf(joined, 'left');
    const full = { ...room, shells: Array.from({ length: 5 }, () => room.shells[0] as Room['shells'][number]) };
    expect(canJoin(full, roomOf(SET, 'right'))).toBe(false);
  });

  it('a change of one shell leaves the others as they are', () => {
    const room = roomOf(joined, 'left');
    expect(shellChange(room, 0, { cells: 2 })).toEqual({ cells: 2 });
    const { document } = applyEdit(joined, { kind: 'change-piece', id: 'left', change: shellChange(room, 1, { ceiling: true }) });
    expect(roomOf(document, 'left')).toMatchObject({
      ceiling: false,
      shells: [{ shell: { ceiling: true, width: room.shells[0]?.shell.width } }],
    });
    expect(shellChange(room, 4, { cells: 2 })).toEqual({});
  });

  it('a board that is not there is named where it is wanted', () => {
    const text = JSON.parse(JSON.stringify(joined));
    text.pieces[0].shells[0].shell.boards.floor = 'nowhere';
    const read = readSet(text);
    expect(read.ok ? [] : read.error.map(({ path, message }) => [path, message])).toEqual([
      ['pieces[0].shells[0].shell.boards.floor', 'There is no board with the id “nowhere”.'],
    ]);
  });
});

describe('an opening moved on its wall', () => {
  const window = { form: 'plain', up: '850 mm', width: '600 mm', height: '600 mm', glazed: false };
  const set = (over: object): SetDocument => {
    const read = readSet({
      format: 'bashful-parlor-set',
      version: 1,
      pieces: [
        {
          ...preset('three-walls'),
          skirting: '0 mm',
          id: 'room',
          walls: [{ openings: [{ ...window, from: '900 mm', ...over }] }, {}, OPEN, {}],
        },
      ],
    });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    return read.value;
  };
  const placeIn = (document: SetDocument) => arrangedIn(document, derive(document), 'room')?.space.sides[0]?.openings[0];

  it.each([
    ['from the left, a real size', {}],
    ['from the right, a real size', { end: 'right' }],
    ['a size of the doll’s', { from: { doll: '150 mm' }, up: { doll: '140 mm' } }],
  ])('goes as far as the hand does: %s', (_, over) => {
    const document = set(over);
    const before = placeIn(document);
    if (!before) throw new Error('no opening');
    const room = roomOf(document, 'room');
    const { document: after } = applyEdit(document, {
      kind: 'change-piece',
      id: 'room',
      change: openingMoved(room, before, [12_000, -7_000], derive(document).scale),
    });
    const now = placeIn(after);
    expect((now?.x0 ?? 0) - before.x0).toBeCloseTo(12_000, -1);
    expect((now?.y0 ?? 0) - before.y0).toBeCloseTo(-7_000, -1);
    const opening = roomOf(after, 'room').walls[0]?.openings[0];
    expect(typeof opening?.from).toBe(typeof room.walls[0]?.openings[0]?.from);
    expect(typeof opening?.up).toBe(typeof room.walls[0]?.openings[0]?.up);
  });

  it('a door stays on the floor, nothing goes below it, and what is not there changes nothing', () => {
    const door = set({ form: 'door', height: '2032 mm', up: '0 mm' });
    const room = roomOf(door, 'room');
    const at = { shell: 0, wall: 0, index: 0 };
    const { scale } = derive(door);
    expect((openingMoved(room, at, [0, 9_000], scale) as Partial<Room>).walls?.[0]?.openings[0]?.up).toBe(0);
    expect((openingMoved(roomOf(set({}), 'room'), at, [0, -900_000], scale) as Partial<Room>).walls?.[0]?.openings[0]?.up).toBe(0);
    expect(openingMoved(room, { ...at, index: 3 }, [1, 1], scale)).toEqual({});
  });
});
