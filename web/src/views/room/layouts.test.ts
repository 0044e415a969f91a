import type { RoomLayout } from '@parlor/core/room';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  freeName,
  movedTo,
  newLayout,
  placedAt,
  turnedBy,
  withChosen,
  withLayout,
  withoutLayout,
  withoutPlaced,
  withPlaced,
} from './layouts.ts';

const layout = (id: string, over: Partial<RoomLayout> = {}): RoomLayout => ({
  id,
  name: id.toUpperCase(),
  room: 'hall',
  chosen: false,
  placed: [],
  ...over,
});

describe('arrangements of a room', () => {
  it('are begun with the next free letter, and the first of a room is the one that counts', () => {
    const first = newLayout([], 'hall', 'x');
    expect(first).toEqual({ id: 'x', name: 'A', room: 'hall', chosen: true, placed: [] });
    expect(newLayout([first], 'hall', 'y')).toMatchObject({ name: 'B', chosen: false });
    // Those of another room are no matter.
    expect(newLayout([first], 'shed', 'z')).toMatchObject({ name: 'A', chosen: true });
    expect(freeName([layout('a'), layout('c')], 'hall')).toBe('B');
    const all = [...'abcdefghijklmnopqrstuvwxyz'].map((letter) => layout(letter));
    expect(freeName(all, 'hall')).toBe('27');
  });

  it('are changed in their place, or added at the end', () => {
    const two = [layout('a'), layout('b')];
    expect(withLayout(two, { ...layout('a'), name: 'Winter' }).map(({ name }) => name)).toEqual(['Winter', 'B']);
    expect(withLayout(two, layout('c')).map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  });

  it('exactly one of a room counts, whatever is chosen or taken away', () => {
    const ids = ['a', 'b', 'c', 'd'];
    fc.assert(
      fc.property(fc.array(fc.record({ id: fc.constantFrom(...ids), take: fc.boolean() }), { maxLength: 12 }), (steps) => {
        let now: readonly RoomLayout[] = [
          ...ids.map((id, index) => layout(id, { chosen: index === 0 })),
          layout('other', { room: 'shed', chosen: true }),
        ];
        for (const { id, take } of steps)
          now = take ? withoutLayout(now, id) : now.some((each) => each.id === id) ? withChosen(now, id) : now;
        const mine = now.filter(({ room }) => room === 'hall');
        expect(mine.filter(({ chosen }) => chosen)).toHaveLength(mine.length === 0 ? 0 : 1);
        expect(now.find(({ id }) => id === 'other')).toEqual(layout('other', { room: 'shed', chosen: true }));
      }),
      { numRuns: 200, seed: 11 },
    );
  });

  it('that are not touched stay the very same, so that nothing is worked out anew for them', () => {
    const two = [layout('a', { chosen: true }), layout('b')];
    expect(withChosen(two, 'a')).toEqual(two);
    expect(withChosen(two, 'a')[1]).toBe(two[1]);
    expect(withLayout(two, layout('b', { name: 'x' }))[0]).toBe(two[0]);
  });
});

describe('what stands in them', () => {
  it('is put in once, moved and turned in its place, and taken out', () => {
    const chair = placedAt('chair', 100_000.4, 50_000.6);
    expect(chair).toEqual({ piece: 'chair', x: 100_000, z: 50_001, up: 0, turn: 0 });
    const one = withPlaced(withPlaced(layout('a'), chair), placedAt('table', 1, 2));
    const moved = withPlaced(one, movedTo(chair, 7, 8));
    expect(moved.placed.map(({ piece, x, z }) => [piece, x, z])).toEqual([
      ['chair', 7, 8],
      ['table', 1, 2],
    ]);
    expect(moved.placed[1]).toBe(one.placed[1]);
    expect(withoutPlaced(moved, 'chair').placed.map(({ piece }) => piece)).toEqual(['table']);
  });

  it('turns round and round, and back', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(15, -15, 45, -45, 90), { maxLength: 30 }), (steps) => {
        const there = steps.reduce(turnedBy, placedAt('chair', 0, 0));
        expect(there.turn).toBeGreaterThanOrEqual(0);
        expect(there.turn).toBeLessThan(360);
        expect(steps.map((step) => -step).reduce(turnedBy, there).turn).toBe(0);
      }),
      { numRuns: 100, seed: 5 },
    );
  });
});
