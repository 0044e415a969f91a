// Frustum of a cone: slant height s = √((R − r)² + h²), area of its side π (R + r) s, unrolled a sector of a ring with the radii R s / (R − r) and
// r s / (R − r) and the angle 2π (R − r) / s. Mensuration of solids as in Machinery’s Handbook, recalled from memory.
import { describe, expect, it } from 'vitest';
import type { Part } from '../assembly/index.ts';
import { type Point, regionArea, toSpace, type Vec3, vec3 } from '../shape/index.ts';
import { ontoRolled, rolledUp, unrolled } from './taper.ts';

const SIDES = 720;

/** A disc whose edge tapers from one radius to another, and its side as a closed row of points below and above. */
const frustum = (low: number, high: number, thickness: number, sides = SIDES) => {
  const ring = (radius: number): Point[] =>
    Array.from({ length: sides }, (_, index) => [
      radius * Math.cos((2 * Math.PI * index) / sides),
      radius * Math.sin((2 * Math.PI * index) / sides),
    ]);
  const [under, over] = [ring(low), ring(high)];
  const part: Part = {
    id: 'cone',
    role: 'pad',
    name: 'cone',
    stuff: 'board',
    stock: 'white',
    thickness,
    region: { outline: under, holes: [] },
    upper: { outline: over, holes: [] },
    pose: { origin: [12_000, -7_000, 3_000], u: [0, 1, 0], v: [0, 0, 1] },
    grain: 'any',
    held: 'glue',
    length: null,
    centres: [],
  };
  const closed = (points: Point[]): Point[] => [...points, points[0] as Point];
  return { part, ...unrolled(part, closed(under), closed(over)) };
};

const apart = (p: readonly number[], q: readonly number[]): number => Math.hypot(...p.map((value, axis) => value - (q[axis] as number)));

describe('the side of a frustum, unrolled', () => {
  it.each([
    [30_000, 20_000, 40_000],
    [12_000, 38_000, 25_000],
    [50_000, 49_000, 5_000],
    [20_000, 4_000, 60_000],
  ])('from radius %i to %i µm over %i µm: area, slant height and sector angle are the handbook’s', (low, high, height) => {
    const { region, quads } = frustum(low, high, height);
    const slant = Math.hypot(low - high, height);
    // Chords of half a degree are short of their arcs by one part in eighty thousand; the points are whole micrometres.
    expect(regionArea(region) / (Math.PI * (low + high) * slant)).toBeCloseTo(1, 3);
    for (const { flat } of quads) expect(apart(flat[0], flat[3]) / slant).toBeCloseTo(1, 4);
    const [first, last] = [quads[0], quads.at(-1)];
    const wayOf = (from: Point, to: Point) => Math.atan2(to[1] - from[1], to[0] - from[0]);
    const turned = wayOf(first?.flat[0] as Point, first?.flat[3] as Point) - wayOf(last?.flat[1] as Point, last?.flat[2] as Point);
    // Whichever way round it lies.
    expect(Math.cos(turned)).toBeCloseTo(Math.cos((2 * Math.PI * (low - high)) / slant), 3);
  });

  it('of a cylinder is a rectangle of its height and circumference', () => {
    const { quads } = frustum(25_000, 25_000, 30_000);
    const [first, last] = [quads[0], quads.at(-1)];
    expect(apart(first?.flat[0] as Point, last?.flat[1] as Point) / (2 * Math.PI * 25_000)).toBeCloseTo(1, 4);
    expect(apart(first?.flat[3] as Point, last?.flat[2] as Point) / (2 * Math.PI * 25_000)).toBeCloseTo(1, 4);
    expect(apart(first?.flat[0] as Point, last?.flat[2] as Point)).toBeCloseTo(Math.hypot(2 * Math.PI * 25_000, 30_000), -2);
  });

  it('keeps every edge’s length, and rolls up again to where it came from', () => {
    const { part, quads } = frustum(30_000, 20_000, 40_000, 48);
    quads.forEach(({ flat, space }, index) => {
      for (const [p, q] of [
        [0, 1],
        [1, 2],
        [2, 3],
        [3, 0],
        [0, 2],
      ] as const)
        expect(apart(flat[p], flat[q])).toBeCloseTo(apart(space[p], space[q]), 3);
      const middle: Point = [(flat[0][0] + flat[2][0]) / 2, (flat[0][1] + flat[2][1]) / 2];
      const there: Vec3 = vec3((axis) => (space[0][axis] + space[2][axis]) / 2);
      expect(apart(rolledUp(quads, middle), there)).toBeLessThan(1);
      // The next stretch begins where this one ends.
      const next = quads[index + 1];
      if (next) expect(apart(next.flat[0], flat[1]) + apart(next.flat[3], flat[2])).toBeLessThan(0.01);
    });
    expect(apart(quads[0]?.space[0] as Vec3, toSpace(part.pose, part.region.outline[0] as Point))).toBe(0);
  });

  it('takes what lies on one of its stretches, and nothing that lies beside them', () => {
    const { quads } = frustum(30_000, 20_000, 40_000, 12);
    const { flat, space } = quads[5] as (typeof quads)[number];
    const laid = ontoRolled(quads, space, 12) as readonly Point[];
    for (const [index, point] of laid.entries()) expect(apart(point, flat[index] as Point)).toBeLessThan(2);
    expect(
      ontoRolled(
        quads,
        space.map(([x, y, z]) => [x + 5_000, y, z] as const),
        12,
      ),
    ).toBeUndefined();
  });
});
