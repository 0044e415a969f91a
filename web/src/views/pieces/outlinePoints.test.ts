import { seededRandom } from '@parlor/core/kit';
import { type Ring, ringArea } from '@parlor/core/shape';
import { describe, expect, it } from 'vitest';
import { nearestPoint, type PointAt, pointAt, withPointAdded, withPointGone, withPointMoved } from './outlinePoints.ts';

const SQUARE: Ring = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
];
const HOLE: Ring = [
  [40, 40],
  [40, 60],
  [60, 60],
];

describe('points of an outline', () => {
  it('the nearest is found, in whatever ring', () => {
    expect(nearestPoint([SQUARE, HOLE], [90, 8])).toEqual({ ring: 0, index: 1 });
    expect(nearestPoint([SQUARE, HOLE], [44, 57])).toEqual({ ring: 1, index: 1 });
    expect(nearestPoint([], [0, 0])).toBeNull();
    expect(pointAt([SQUARE], null)).toBeUndefined();
  });

  it('the nearest by looking at each, among two thousand', () => {
    const random = seededRandom(5);
    const ring = Array.from({ length: 2_000 }, () => [Math.round(random() * 1e6), Math.round(random() * 1e6)] as const);
    for (let count = 0; count < 50; count += 1) {
      const [x, y] = [random() * 1e6, random() * 1e6];
      const sorted = ring.map(([px, py], index) => ({ index, off: Math.hypot(px - x, py - y) })).sort((a, b) => a.off - b.off);
      expect(nearestPoint([ring], [x, y])).toEqual({ ring: 0, index: sorted[0]?.index });
    }
  });

  it('one that is put in lies halfway to the next, changes no area, and can be taken out again', () => {
    for (let index = 0; index < 4; index += 1) {
      const at: PointAt = { ring: 0, index };
      const added = withPointAdded([SQUARE, HOLE], at);
      expect(added.rings[0]).toHaveLength(5);
      expect(ringArea(added.rings[0] as Ring)).toBe(10_000);
      expect(withPointGone(added.rings, added.at)).toEqual([SQUARE, HOLE]);
    }
  });

  it('one that is moved moves alone; nothing is written to', () => {
    const rings = [SQUARE, HOLE];
    const moved = withPointMoved(rings, { ring: 1, index: 2 }, [70.4, 71.6]);
    expect(moved).toEqual([SQUARE, [...HOLE.slice(0, 2), [70, 72]]]);
    expect(rings).toEqual([SQUARE, HOLE]);
  });

  it('an outline keeps three points; a hole with three goes altogether', () => {
    expect(withPointGone([SQUARE, HOLE], { ring: 1, index: 0 })).toEqual([SQUARE]);
    const three = withPointGone([SQUARE], { ring: 0, index: 0 });
    expect(withPointGone(three, { ring: 0, index: 0 })).toBe(three);
  });
});
