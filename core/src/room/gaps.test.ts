// Distances between things, against boxes whose places were chosen: what is typed is what a rule between them reads.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Box } from '../assembly/index.ts';
import { UM } from '../measure/index.ts';
import { put as at, built, mm, preset, roomOf } from './arranged.testing.ts';
import { evenRows, gapsOf, type Placement, type RoomSpace, type StandingThing, standAt, withGap } from './index.ts';

const { space } = roomOf(500, 400);
const box = built(preset('box', { width: mm(60), height: mm(60), depth: mm(40) }));
const stand = (placed: Placement): StandingThing => standAt(box, placed, space);
const gaps = (standing: readonly StandingThing[], piece: string) =>
  Object.fromEntries(gapsOf(space, standing, piece).map(({ way, gap, to }) => [way, [gap / UM.mm, to]]));

describe('how far things stand from one another', () => {
  it('from walls, from the open edge, and from what is next', () => {
    const standing = [at('a', 100, 20), at('b', 300, 30), at('c', 300, 300)].map(stand);
    expect(gaps(standing, 'a')).toEqual({ left: [70, null], right: [140, 'b'], back: [0, null], front: [360, null] });
    expect(gaps(standing, 'b')).toMatchObject({ left: [140, 'a'], right: [170, null], back: [10, null], front: [230, 'c'] });
  });

  it('what hangs above is not next to what stands below; what is turned counts by the room it takes', () => {
    const standing = [at('a', 100, 20), at('b', 300, 20, 100), at('c', 400, 20, 0, 90)].map(stand);
    expect(gaps(standing, 'a').right).toEqual([250, 'c']);
    expect(gaps(standing, 'b').right).toEqual([170, null]);
  });

  it('a distance that is typed is the distance that is read', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100_000 }), fc.constantFrom('left', 'right', 'back', 'front'), (wanted, way) => {
        const standing = [at('a', 200, 150), at('b', 400, 150), at('c', 60, 150), at('d', 200, 50), at('e', 200, 330)].map(stand);
        const gap = gapsOf(space, standing, 'a').find((each) => each.way === way);
        if (!gap) throw new Error(way);
        const moved = stand(withGap(at('a', 200, 150), gap, wanted));
        const now = gapsOf(space, [moved, ...standing.slice(1)], 'a').find((each) => each.way === way);
        expect(Math.abs((now?.gap ?? -1) - wanted)).toBeLessThanOrEqual(1);
        expect(now?.to).toBe(gap.to);
      }),
    );
  });

  it('a row is spaced evenly: its ends where they are, or from wall to wall', () => {
    const standing = [at('b', 150, 20), at('a', 60, 20), at('c', 260, 24), at('d', 400, 20), at('far', 250, 300)].map(stand);
    for (const row of evenRows(space, standing, 'b').filter(({ along }) => along === 'x')) {
      const there = row.placed.map((placed) => stand(placed).body.whole);
      const read = there.slice(1).map(({ min }, index) => min[0] - (there[index] as Box).max[0]);
      expect(row.placed.map(({ piece }) => piece)).toEqual(['a', 'b', 'c', 'd']);
      for (const gap of read) expect(Math.abs(gap - row.gap)).toBeLessThanOrEqual(1);
      const [start, end] = [(there[0] as Box).min[0] - space.corner[0], (there[3] as Box).max[0] - space.corner[0]];
      if (row.ends === 'stay') expect([start, end]).toEqual([30_000, 430_000]);
      else expect([start, 500_000 - end].map((gap) => Math.abs(gap - row.gap) <= 1)).toEqual([true, true]);
    }
    expect(evenRows(space, standing, 'b').map(({ along, ends }) => `${along} ${ends}`)).toEqual(['x stay', 'x walls', 'z walls']);
  });

  it('a wall between rooms parts them: nothing behind it is next, or of the row', () => {
    const wall = { x0: 280_000, x1: 285_000, from: 0, to: 400_000, doors: [] } as unknown as RoomSpace['between'][number];
    const two: RoomSpace = { ...space, between: [wall] };
    const standing = [at('a', 60, 20), at('b', 180, 20), at('c', 350, 20)].map(stand);
    expect(gapsOf(two, standing, 'b')).toContainEqual({ way: 'right', gap: 70_000, to: null });
    expect(evenRows(two, standing, 'b').filter(({ along }) => along === 'x')).toMatchObject([
      { ends: 'walls', gap: Math.round(160_000 / 3) },
    ]);
  });

  it('what has no room between the walls is not offered', () => {
    const wide = [60, 130, 200, 270, 340, 410, 440].map((x, index) => stand(at(`${index}`, x, 20)));
    const wider = [...wide, stand(at('7', 460, 20)), stand(at('8', 470, 20))];
    expect(evenRows(space, wide, '0').some(({ along }) => along === 'x')).toBe(true);
    expect(evenRows(space, wider, '0').some(({ along, ends }) => along === 'x' && ends === 'walls')).toBe(false);
  });
});
