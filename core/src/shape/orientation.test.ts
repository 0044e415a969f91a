import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  AS_DRAWN,
  bounds,
  type Orientation,
  oriented,
  orientedSize,
  type Point,
  type Quarters,
  type Ring,
  signedArea,
  turnedBy,
} from './index.ts';

const lies = fc.record({ turn: fc.constantFrom<Quarters[]>(0, 1, 2, 3), mirrored: fc.boolean() });
const L: Ring = [
  [0, 0],
  [70, 0],
  [70, 20],
  [30, 20],
  [30, 50],
  [0, 50],
];
const SIZE = { width: 70, height: 50 };
const laid = (lie: Orientation): Ring => L.map(oriented(SIZE, lie));

/** A quarter counter-clockwise about the origin, brought back into the corner: worked out by hand, not by the code. */
const quarter = (ring: Ring): Ring => {
  const turned = ring.map(([x, y]): Point => [-y, x]);
  const { x0, y0 } = bounds(turned);
  return turned.map(([x, y]): Point => [x - x0, y - y0]);
};

describe('how a figure lies', () => {
  it('always in the corner of the rectangle that it takes up, as large as it was, seen from behind when mirrored', () => {
    fc.assert(
      fc.property(lies, (lie) => {
        const ring = laid(lie);
        const { width, height } = orientedSize(SIZE, lie);
        expect(bounds(ring)).toEqual({ x0: 0, y0: 0, x1: width, y1: height });
        expect(signedArea(ring)).toBe(lie.mirrored ? -signedArea(L) : signedArea(L));
      }),
    );
  });

  it('one more quarter is a quarter counter-clockwise, and four are none', () => {
    fc.assert(
      fc.property(lies, (lie) => {
        expect(laid(turnedBy(lie, 1))).toEqual(quarter(laid(lie)));
        expect(turnedBy(turnedBy(lie, 3), 1)).toEqual(lie);
        expect(turnedBy(turnedBy(lie, 2), 2)).toEqual(lie);
      }),
    );
    expect(laid(AS_DRAWN)).toEqual(L);
  });

  it('mirrored it is as a board laid on its face from right to left', () => {
    expect(laid({ turn: 0, mirrored: true })).toEqual(L.map(([x, y]) => [70 - x, y]));
  });
});
