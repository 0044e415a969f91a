import { boxOf } from '@parlor/core/assembly';
import { PRESETS } from '@parlor/core/piece';
import { elevationOf } from '@parlor/core/room';
import { arrangedIn, derive, readSet } from '@parlor/core/set';
import { describe, expect, it } from 'vitest';
import { whereSheStands } from './where.ts';

const preset = (key: string): object => PRESETS.find((each) => each.key === key)?.piece ?? {};

/** A bookcase against each wall of a room of three, and what is in the walls. */
const arranged = (() => {
  const cases = ['back', 'right', 'left'];
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    boards: [{ id: 'white', measured: '4.8 mm', sheets: ['A1'] }],
    pieces: [{ ...preset('three-walls'), id: 'room' }, ...cases.map((id) => ({ ...preset('bookcase'), id }))],
    layouts: [
      {
        id: 'a',
        room: 'room',
        placed: [
          { piece: 'back', x: '90 mm', z: '32 mm' },
          { piece: 'right', x: '467 mm', z: '100 mm', turn: 270 },
          { piece: 'left', x: '33 mm', z: '260 mm', turn: 90 },
        ],
      },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const found = arrangedIn(read.value, derive(read.value), 'room');
  if (!found) throw new Error('no room');
  return found;
})();

const side = (index: number) => arranged.space.sides[index] as (typeof arranged.space.sides)[number];

describe('a wall as it is seen from inside', () => {
  it('begins at its left end on the floor, with the room in front of it', () => {
    for (const index of [0, 1, 3]) {
      const { wall } = elevationOf(arranged.space, arranged.standing, side(index));
      const main = wall.find(({ id }) => id === `room/wall-${index}`);
      expect(main, side(index).name).toBeDefined();
      const { min, max } = boxOf(main as never);
      // Its inner face is where z is nought, and it stands on the floor.
      expect(max[2]).toBeCloseTo(0, 3);
      expect(min[1]).toBeCloseTo(0, 3);
    }
  });

  it('shows what stands against it the right way round: as far from its left end as it is', () => {
    const [back, right, left] = ([0, 1, 3] as const).map((index) => elevationOf(arranged.space, arranged.standing, side(index))) as [
      ReturnType<typeof elevationOf>,
      ReturnType<typeof elevationOf>,
      ReturnType<typeof elevationOf>,
    ];
    const middle = ({ things }: typeof back, piece: string): readonly [number, number] => {
      const boxes = things.find((each) => each.piece === piece)?.parts.map(boxOf) ?? [];
      const [x0, x1] = [Math.min(...boxes.map(({ min }) => min[0])), Math.max(...boxes.map(({ max }) => max[0]))];
      return [Math.round((x0 + x1) / 2_000), Math.round(Math.min(...boxes.map(({ min }) => min[2])) / 1_000)];
    };
    expect(middle(back, 'back')[0]).toBe(90);
    // The right wall is walked from the back to the front, the left one from the front to the back.
    expect(middle(right, 'right')[0]).toBe(100);
    expect(middle(left, 'left')[0]).toBe(400 - 260);
    // Each is near its own wall and far from the one across.
    expect(middle(right, 'right')[1]).toBeLessThan(20);
    expect(middle(right, 'left')[1]).toBeGreaterThan(400);
    expect(back.things.map(({ away }) => away)).toEqual([...back.things.map(({ away }) => away)].sort((a, b) => a - b));
  });

  it('shows its own openings and strips, and nothing of the walls beside it', () => {
    const { wall } = elevationOf(arranged.space, arranged.standing, side(0));
    const ids = wall.map(({ id }) => id);
    expect(ids.some((id) => id.startsWith('room/wall-0/window'))).toBe(true);
    expect(ids.some((id) => id.includes('skirting-back'))).toBe(true);
    expect(ids.filter((id) => /^room\/wall-[123]$/.test(id))).toEqual([]);
    expect(ids.some((id) => id.includes('floor'))).toBe(false);
  });

  it('has the doll before it where she can stand', () => {
    const [x, z] = whereSheStands(arranged);
    const column = Math.floor(x / arranged.way.cell);
    const row = Math.floor(z / arranged.way.cell);
    expect(arranged.way.reached[row * arranged.way.columns + column]).toBe(1);
  });
});
