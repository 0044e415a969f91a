import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ellipseRing, intersection, type Ring, rectRing, signedArea } from '../shape/index.ts';
import { cutAsLaid, type RoomOnSheet, refilled, roomsAround, roomsIn, roomsInside } from './asLaid.ts';
import { canBeCutStraight } from './checkLayout.testing.ts';
import { type Lying, treePlacements } from './cutTree.ts';

const ROOM = { width: 400_000, height: 300_000 };
const GAP = 1_000;

const apart = (a: Omit<Lying, 'id'>, b: Omit<Lying, 'id'>): boolean =>
  a.x >= b.x + b.width + GAP || b.x >= a.x + a.width + GAP || a.y >= b.y + b.height + GAP || b.y >= a.y + a.height + GAP;

/** Parts thrown on a sheet, those left out that fall on others. */
const thrown = fc
  .array(
    fc.record({
      x: fc.nat(350_000),
      y: fc.nat(250_000),
      width: fc.integer({ min: 5_000, max: 200_000 }),
      height: fc.integer({ min: 5_000, max: 200_000 }),
    }),
    { minLength: 1, maxLength: 9 },
  )
  .map((list): readonly Lying[] => {
    const laid: Lying[] = [];
    for (const [index, { x, y, width, height }] of list.entries()) {
      const part = { id: `part ${index}`, x, y, width: Math.min(width, ROOM.width - x), height: Math.min(height, ROOM.height - y) };
      if (laid.every((other) => apart(part, other))) laid.push(part);
    }
    return laid;
  });

const sidesOf = ({ id, x, y, width, height }: Lying) => ({ id, left: x, low: y, right: x + width, high: y + height });
const byId = (a: Lying, b: Lying): number => (a.id < b.id ? -1 : 1);

const clear = (rooms: readonly RoomOnSheet[], parts: readonly Lying[]): void => {
  const real = rooms.filter(({ width, height }) => width > 0 && height > 0);
  for (const [index, room] of real.entries()) {
    for (const part of parts) expect(apart(room, part)).toBe(true);
    for (const other of real.slice(index + 1)) expect(apart(room, other)).toBe(true);
    expect(room.x >= 0 && room.y >= 0 && room.x + room.width <= ROOM.width && room.y + room.height <= ROOM.height).toBe(true);
  }
};

describe('cuts round parts that stay where they lie', () => {
  it('move nothing; what they leave is clear of every part, and no line goes where they say that none does', () => {
    let [cut, not] = [0, 0];
    fc.assert(
      fc.property(thrown, (parts) => {
        const tree = cutAsLaid(ROOM, parts, GAP);
        if (!tree) {
          not += 1;
          // Either no line from edge to edge parts them, or one lies nearer to the edge than the knife is wide.
          const near = parts.some(({ x, y }) => (x > 0 && x < GAP) || (y > 0 && y < GAP));
          const close = parts.some((a) =>
            parts.some((b) => a !== b && [b.x - a.x - a.width, b.y - a.y - a.height].some((d) => d > 0 && d < 2 * GAP)),
          );
          expect(near || close || !canBeCutStraight(parts.map(sidesOf))).toBe(true);
          return;
        }
        cut += 1;
        expect([...treePlacements(tree, GAP)].sort(byId)).toEqual([...parts].sort(byId));
        clear(roomsIn(tree, GAP), parts);
      }),
      { seed: 31, numRuns: 400 },
    );
    expect(Math.min(cut, not)).toBeGreaterThan(5);
  });

  it('rests are filled in the order in which they are told', () => {
    const tree = cutAsLaid(ROOM, [{ id: 'a', x: 100_000, y: 100_000, width: 50_000, height: 50_000 }], GAP);
    if (!tree) throw new Error('not cut');
    const rooms = roomsIn(tree, GAP);
    const full = refilled(
      tree,
      rooms.map(({ width, height }, index) => ({ kind: 'part' as const, id: `room ${index}`, width, height })),
    );
    const placed = treePlacements(full, GAP);
    rooms.forEach(({ x, y }, index) => {
      expect(placed.find(({ id }) => id === `room ${index}`)).toMatchObject({ x, y });
    });
  });
});

describe('rooms', () => {
  it('around parts that no straight cuts go round are clear of them and of each other', () => {
    fc.assert(
      fc.property(thrown, (parts) => {
        clear(roomsAround(ROOM, parts, GAP), parts);
      }),
      { seed: 32, numRuns: 150 },
    );
  });

  it.each<[string, Ring, number]>([
    [
      'a right-angled triangle: half of it, the largest rectangle in one',
      [
        [0, 0],
        [200_000, 0],
        [0, 100_000],
      ],
      0.5,
    ],
    ['a disc: about half of it', ellipseRing(100_000, 100_000, 100_000), 0.45],
    [
      'an L: all of it but the knife’s way',
      [
        [0, 0],
        [200_000, 0],
        [200_000, 80_000],
        [90_000, 80_000],
        [90_000, 200_000],
        [0, 200_000],
      ],
      0.97,
    ],
  ])('inside %s', (_, outline, least) => {
    const rooms = roomsInside(outline, GAP);
    const area = (ring: Ring): number => Math.abs(signedArea(ring));
    let sum = 0;
    for (const { x, y, width, height } of rooms) {
      const room = rectRing(x, y, x + width, y + height);
      sum += width * height;
      const shared = intersection({ outline: room, holes: [] }, { outline, holes: [] }).reduce((all, ring) => all + area(ring), 0);
      expect(Math.abs(shared - width * height)).toBeLessThan(2_000);
    }
    expect(rooms.every((room, index) => rooms.slice(index + 1).every((other) => apart(room, other)))).toBe(true);
    expect(sum / area(outline)).toBeGreaterThanOrEqual(least);
  });
});
