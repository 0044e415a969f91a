import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Part } from '../assembly/index.ts';
import { type Point, type Ring, rectRing } from '../shape/index.ts';
import { cutList } from './index.ts';

const part = (outline: Ring, over: Partial<Part> = {}): Part => ({
  id: 'x',
  role: 'shelf',
  name: 'shelf',
  stuff: 'board',
  stock: 'white',
  thickness: 5_000,
  region: { outline, holes: [] },
  grain: 'x',
  held: 'glue',
  length: null,
  centres: [],
  pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
  ...over,
});

const TURNS = [
  ([x, y]: Point): Point => [x, y],
  ([x, y]: Point): Point => [-y, x],
  ([x, y]: Point): Point => [-x, -y],
  ([x, y]: Point): Point => [x, -y],
  ([x, y]: Point): Point => [y, x],
];

describe('the cut list', () => {
  it('counts an outline once however it is turned, flipped, moved or begun', () => {
    const outline = fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 90 })), {
      minLength: 3,
      maxLength: 7,
      selector: ([x, y]) => `${x} ${y}`,
    });
    fc.assert(
      fc.property(outline, fc.nat(4), fc.nat(6), fc.integer({ min: -50, max: 50 }), (corners, turn, start, move) => {
        // Far apart, so that no two corners fall within the few micrometres that count as the same.
        const ring = corners.map(([x, y]): Point => [x * 1000, y * 1000]);
        const other = ring.map(TURNS[turn] as (point: Point) => Point).map(([x, y]): Point => [x + move * 100, y - move * 100]);
        const from = start % other.length;
        expect(cutList(1, [part(ring), part([...other.slice(from), ...other.slice(0, from)])], () => false)).toHaveLength(1);
      }),
      { seed: 61, numRuns: 400 },
    );
  });

  it('gives slices of a pie one tag, whichever way each lies, and a mirrored or notched one as well or its own', () => {
    const slice = (turn: number, tip = 0): Ring =>
      [
        [tip, 0] as const,
        ...Array.from({ length: 9 }, (_, step) => [40_000 * Math.cos(step / 16), 40_000 * Math.sin(step / 16)] as const),
      ].map(([x, y]): Point => [Math.round(x * Math.cos(turn) - y * Math.sin(turn)), Math.round(x * Math.sin(turn) + y * Math.cos(turn))]);
    const slices = Array.from({ length: 12 }, (_, index) => part(slice((index * Math.PI) / 6)));
    expect(cutList(1, slices, () => false).map(({ parts }) => parts.length)).toEqual([12]);
    const mirrored = part(
      slice(0.7)
        .map(([x, y]): Point => [-x, y])
        .toReversed(),
    );
    expect(cutList(1, [...slices, mirrored, part(slice(0.3, 60))], () => false).map(({ parts }) => parts.length)).toEqual([13, 1]);
    // Grain has a way: there each lies otherwise.
    expect(cutList(1, slices, () => true).length).toBeGreaterThan(1);
  });

  it('keeps grained parts apart when their grain runs another way, and lets half turns be one', () => {
    const [wide, tall] = [part(rectRing(0, 0, 100_000, 40_000)), part(rectRing(0, 0, 40_000, 100_000))];
    expect(cutList(1, [wide, tall], () => true)).toHaveLength(2);
    // The same part drawn lying down: along its grain it is as long.
    expect(cutList(1, [wide, { ...tall, grain: 'y' }], () => true)).toMatchObject([{ width: 40_000, height: 100_000, parts: [0, 1] }]);
    expect(cutList(1, [wide, tall], () => false)).toHaveLength(1);
  });

  it('takes a few micrometres for the same, a hundredth of a millimetre for another', () => {
    expect(cutList(2, [part(rectRing(0, 0, 39_583, 9)), part(rectRing(0, 0, 39_584, 9))], () => false)).toMatchObject([
      { tag: '2A', parts: [0, 1] },
    ]);
    expect(cutList(2, [part(rectRing(0, 0, 39_583, 9)), part(rectRing(0, 0, 39_593, 9))], () => false)).toHaveLength(2);
  });

  it('never mixes boards, thicknesses or holes, and names what it groups', () => {
    const plain = part(rectRing(0, 0, 9_000, 9_000), { name: 'left side' });
    const groups = cutList(
      3,
      [
        plain,
        { ...plain, name: 'right side' },
        { ...plain, stock: 'thin' },
        { ...plain, region: { ...plain.region, holes: [rectRing(1_000, 1_000, 2_000, 2_000)] } },
      ],
      () => false,
    );
    expect(groups.map(({ tag, name, parts }) => [tag, name, parts])).toEqual([
      ['3A', 'left side, right side', [0, 1]],
      ['3B', 'left side 1', [2]],
      ['3C', 'left side 2', [3]],
    ]);
  });
});
