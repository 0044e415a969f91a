import fc from 'fast-check';
import type { ManifoldToplevel } from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import { UM } from '../measure/index.ts';
import { openKernel, solidOf } from '../piece/kernel.testing.ts';
import { AXES, bounds, rectRing, regionArea } from '../shape/index.ts';
import { type Assembly, boxOf, findInterference, inspect, type Part, spliced } from './index.ts';

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await openKernel();
});

const T = 5_000;

const board = (id: string, width: number, height: number, pose: Part['pose'], more: Partial<Part> = {}): Part => ({
  id,
  role: 'panel',
  name: id,
  stuff: 'board',
  stock: 'white',
  thickness: T,
  region: { outline: rectRing(0, 0, width, height), holes: [] },
  pose,
  grain: 'any',
  held: 'glue',
  length: null,
  centres: [],
  ...more,
});

const FACING: Part['pose'] = { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] };

const assembly = (parts: readonly Part[], width: number, height: number, depth: number): Assembly => ({
  parts,
  outside: { min: [0, 0, 0], max: [width, height, depth] },
  clear: { min: [width, height, depth], max: [width, height, depth] },
  motions: [],
});

/** Sheets of one size, either way up. */
const from =
  (across: number, along: number) =>
  (_: Part, width: number, height: number): boolean =>
    Math.min(width, height) <= across && Math.max(width, height) <= along;

const inch = UM.in;

const sizes = (parts: readonly Part[]): readonly string[] =>
  parts
    .filter(({ role }) => role !== 'strip')
    .map(({ region }) => {
      const { x0, y0, x1, y1 } = bounds(region.outline);
      return [x1 - x0, y1 - y0].map((um) => Math.round((um / inch) * 100) / 100).join(' × ');
    });

describe('parts larger than every sheet', () => {
  // Common practice of the trade, no source: makers cut these, and they worked.
  it('a wall 20 × 24 in comes from sheets of 18 × 24 in as a whole sheet and a strip of 2 × 24 in along one edge', () => {
    const wall = board('wall', 20 * inch, 24 * inch, FACING);
    const made = spliced(assembly([wall], 20 * inch, 24 * inch, T), from(18 * inch, 24 * inch));
    expect([...sizes(made.assembly.parts)].sort()).toEqual(['18 × 24', '2 × 24']);
    expect(made.spliced).toMatchObject([{ part: 'wall', behind: [] }]);
    expect(made.spliced[0]?.open).toHaveLength(1);
  });

  it('a floor 18 × 48 in comes from sheets of 20 × 30 in as two pieces end to end', () => {
    const floor = board('floor', 18 * inch, 48 * inch, FACING);
    const made = spliced(assembly([floor], 18 * inch, 48 * inch, T), from(20 * inch, 30 * inch));
    const pieces = sizes(made.assembly.parts);
    expect(pieces.length).toBe(2);
    expect(pieces.every((size) => size.startsWith('18 × '))).toBe(true);
  });

  it('what lies on the ground gets a whole second layer under all that stands there, its joints elsewhere, so that it does not rock', () => {
    const [w, d] = [48 * inch, 18 * inch];
    const floor = board('floor', w, d, { origin: [0, 0, d], u: [1, 0, 0], v: [0, 0, -1] });
    const wall = board('wall', w, 10 * inch, { origin: [0, 0, -T], u: [1, 0, 0], v: [0, 1, 0] });
    const whole: Assembly = {
      parts: [floor, wall],
      outside: { min: [0, 0, -T], max: [w, 10 * inch, d] },
      clear: { min: [0, T, 0], max: [w, 10 * inch, d] },
      motions: [],
    };
    const made = spliced(whole, from(20 * inch, 30 * inch));
    const under = made.assembly.parts.filter(({ id }) => id.startsWith('floor under'));
    expect(made.spliced.find(({ part }) => part === 'floor')).toMatchObject({ layered: true, strips: under.map(({ id }) => id) });
    // All that lies lower than the ground is that layer, and it is as large as floor and wall together.
    expect(made.assembly.parts.filter((part) => boxOf(part).min[1] < 0)).toEqual(under);
    expect(under.reduce((sum, { region }) => sum + regionArea(region), 0)).toBe(w * (d + T));
    const joint = (parts: readonly Part[]): number =>
      Math.max(...parts.filter((part) => boxOf(part).min[0] === 0).map((part) => boxOf(part).max[0]));
    const above = made.assembly.parts.filter(({ id }) => id.startsWith('floor piece'));
    expect(Math.abs(joint(under) - joint(above))).toBeGreaterThanOrEqual(10 * T);
    expect(inspect(made.assembly)).toMatchObject({ interference: [], closes: true, loose: [] });
  });

  it('joints of upright parts run as they were told to', () => {
    const wall = board('wall', 44 * inch, 36 * inch, FACING);
    const joints = (how: 'upright' | 'lying') =>
      spliced(assembly([wall], 44 * inch, 36 * inch, T), from(20 * inch, 60 * inch), how).assembly.parts.flatMap(({ id, region }) =>
        id.startsWith('wall piece') ? [bounds(region.outline)] : [],
      );
    expect(joints('upright').every(({ y0, y1 }) => y0 === 0 && y1 === 36 * inch)).toBe(true);
    expect(joints('lying').every(({ x0, x1 }) => x0 === 0 && x1 === 44 * inch)).toBe(true);
  });

  it('the joint is put behind what stands there, and needs no trim', () => {
    const back = board('back', 900_000, 400_000, FACING, { role: 'back' });
    const upright = (x: number, id: string): Part => board(id, 200_000, 400_000, { origin: [x + T, 0, T], u: [0, 0, 1], v: [0, 1, 0] });
    const parts = [back, upright(0, 'left'), upright(380_000, 'divider'), upright(895_000, 'right')];
    const made = spliced(assembly(parts, 900_000, 400_000, 205_000), from(520_000, 760_000));
    expect(made.spliced).toMatchObject([{ part: 'back', behind: ['divider'], open: [] }]);
    const pieces = made.assembly.parts.filter(({ id }) => id.startsWith('back piece'));
    expect(pieces.map(({ region }) => bounds(region.outline).x1)).toEqual([382_500, 900_000]);
    // The strip behind it holds both halves, on the face where nothing else stands.
    const seen = inspect(made.assembly);
    expect(seen).toMatchObject({ interference: [], closes: true, loose: [] });
    const strip = made.assembly.parts.findIndex(({ role }) => role === 'strip');
    const touches = seen.contacts
      .filter(({ a, b }) => a === strip || b === strip)
      .map(({ a, b }) => made.assembly.parts[a === strip ? b : a]?.id);
    expect([...new Set(touches)].sort()).toEqual(['back piece 1', 'back piece 2']);
  });

  it('joints of layers that lie on each other are staggered, and the layers hold them', () => {
    const layer = (number: number): Part =>
      board(`top, layer ${number}`, 1_000_000, 300_000, { origin: [0, 0, number * T], u: [1, 0, 0], v: [0, 1, 0] });
    const made = spliced(assembly([layer(0), layer(1), layer(2)], 1_000_000, 300_000, 3 * T), from(520_000, 760_000));
    expect(made.assembly.parts.some(({ role }) => role === 'strip')).toBe(false);
    const joints = AXES.map((number) => {
      const first = made.assembly.parts.find(({ id }) => id === `top, layer ${number} piece 1`) as Part;
      return bounds(first.region.outline).x1;
    });
    for (const [index, at] of joints.slice(1).entries()) expect(Math.abs(at - (joints[index] as number))).toBeGreaterThanOrEqual(10 * T);
  });

  it('whatever the part, its openings and the sheet: the pieces are the part, no more and no less, and each fits a sheet', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300_000, max: 2_000_000 }),
        fc.integer({ min: 300_000, max: 1_400_000 }),
        fc.integer({ min: 200_000, max: 600_000 }),
        fc.integer({ min: 300_000, max: 900_000 }),
        fc.array(
          fc.tuple(
            fc.integer({ min: 5, max: 60 }),
            fc.integer({ min: 5, max: 60 }),
            fc.integer({ min: 5, max: 30 }),
            fc.integer({ min: 5, max: 30 }),
          ),
          { maxLength: 1 },
        ),
        (width, height, across, along, windows) => {
          const holes = windows.map(([x, y, w, h]) => {
            const [x0, y0] = [Math.round((width * x) / 100), Math.round((height * y) / 100)];
            return [...rectRing(x0, y0, x0 + Math.round((width * w) / 100), y0 + Math.round((height * h) / 100))].reverse();
          });
          const wall = board('wall', width, height, FACING, { region: { outline: rectRing(0, 0, width, height), holes } });
          const fits = from(Math.min(across, along), Math.max(across, along));
          const made = spliced(assembly([wall], width, height, T), fits);
          const pieces = made.assembly.parts.filter(({ role }) => role !== 'strip');
          if (made.spliced.length === 0) {
            expect(pieces).toEqual([wall]);
            return;
          }
          for (const { region } of pieces) {
            const { x0, y0, x1, y1 } = bounds(region.outline);
            expect(fits(wall, x1 - x0, y1 - y0)).toBe(true);
          }
          expect(pieces.reduce((sum, { region }) => sum + regionArea(region), 0)).toBe(regionArea(wall.region));
          expect(findInterference(made.assembly.parts)).toEqual([]);
          const union = pieces.map((part) => solidOf(kernel, part)).reduce((all, solid) => all.add(solid));
          const whole = solidOf(kernel, wall).volume();
          expect(Math.abs(union.volume() - whole) / whole).toBeLessThan(1e-4);
        },
      ),
      { seed: 55, numRuns: 60 },
    );
  });

  it('a wall as large as a room from sheets as small as a page: bounded, and every piece fits', () => {
    const wall = board('wall', 6_000_000, 4_000_000, FACING);
    const fits = from(200_000, 287_000);
    const made = spliced(assembly([wall], 6_000_000, 4_000_000, T), fits);
    const pieces = made.assembly.parts.filter(({ role }) => role !== 'strip');
    expect(pieces.reduce((sum, { region }) => sum + regionArea(region), 0)).toBe(regionArea(wall.region));
    for (const { region } of pieces) {
      const { x0, y0, x1, y1 } = bounds(region.outline);
      expect(pieces.length === 1 || fits(wall, x1 - x0, y1 - y0)).toBe(true);
    }
  });

  it('doors stay whole, and what fits is left alone', () => {
    const door = board('door', 900_000, 400_000, FACING, { role: 'door', held: 'hinge' });
    const whole: Assembly = {
      ...assembly([door], 900_000, 400_000, T),
      motions: [{ kind: 'slide', door: 'door', parts: ['door'], along: [0, 0, 1], by: 100_000 }],
    };
    expect(spliced(whole, from(500_000, 700_000)).assembly).toBe(whole);
    const small = assembly([board('shelf', 100_000, 50_000, FACING)], 100_000, 50_000, T);
    expect(spliced(small, from(500_000, 700_000)).assembly).toBe(small);
  });

  it('with openings: a cut through one parts it into figures, which are all of it, and no strip lies across a window', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 260 }),
        fc.integer({ min: 40, max: 160 }),
        fc.integer({ min: 60, max: 140 }),
        fc.integer({ min: 60, max: 120 }),
        fc.boolean(),
        (x, y, wide, high, low) => {
          const [width, height] = [480_000, 330_000];
          const [x0, x1] = [x * 1_000, Math.min(width - 20_000, (x + wide) * 1_000)];
          const [y0, y1] = [low ? 0 : y * 1_000, Math.min(height - 20_000, (y + high) * 1_000)];
          const notch: Part['region'] = {
            outline: [
              [0, 0],
              [x0, 0],
              [x0, y1],
              [x1, y1],
              [x1, 0],
              [width, 0],
              [width, height],
              [0, height],
            ],
            holes: [],
          };
          const holed: Part['region'] = { outline: rectRing(0, 0, width, height), holes: [[...rectRing(x0, y0, x1, y1)].reverse()] };
          const region = low ? notch : holed;
          const wall = board('wall', width, height, FACING, { region });
          const made = spliced(assembly([wall], width, height, T), from(200_000, 290_000));
          const pieces = made.assembly.parts.filter(({ role }) => role !== 'strip');
          const strips = made.assembly.parts.filter(({ role }) => role === 'strip');
          const area = (parts: readonly Part[]): number => parts.reduce((sum, part) => sum + regionArea(part.region), 0);
          expect(Math.abs(area(pieces) - regionArea(region))).toBeLessThan(10);
          expect(findInterference(made.assembly.parts)).toEqual([]);
          for (const { region: each } of pieces) {
            const box = bounds(each.outline);
            expect(from(200_000, 290_000)(wall, box.x1 - box.x0, box.y1 - box.y0)).toBe(true);
          }
          for (const { region: each } of strips) {
            const box = bounds(each.outline);
            const across = box.x0 < x1 && box.x1 > x0 && box.y0 < y1 && box.y1 > y0;
            expect(across).toBe(false);
          }
        },
      ),
      { numRuns: 120, seed: 3 },
    );
  });

  it('with slanting ends: a skirting is cut in two, and only its ends slant', () => {
    const upper = { outline: rectRing(5_000, 0, 995_000, 40_000), holes: [] };
    const skirting = board('skirting', 1_000_000, 40_000, FACING, { role: 'border', upper });
    const { assembly: made, spliced: joined } = spliced(assembly([skirting], 1_000_000, 40_000, T), from(20 * inch, 30 * inch));
    expect(joined).toMatchObject([{ part: 'skirting', pieces: ['skirting piece 1', 'skirting piece 2'] }]);
    const pieces = made.parts.filter(({ role }) => role === 'border');
    const volume = (parts: readonly Part[]) => parts.reduce((sum, part) => sum + solidOf(kernel, part).volume(), 0);
    expect(volume(pieces)).toBeCloseTo(volume([skirting]), 0);
    expect(findInterference(pieces)).toEqual([]);
    const joint = bounds((pieces[0] as Part).region.outline).x1;
    expect(pieces.map((part) => bounds(part.upper?.outline ?? []))).toEqual([
      { x0: 5_000, y0: 0, x1: joint, y1: 40_000 },
      { x0: joint, y0: 0, x1: 995_000, y1: 40_000 },
    ]);
  });

  it('keeps its scores on the pieces that they run through, from edge to edge of each', () => {
    const scored = board('wall', 400_000, 300_000, FACING, {
      scores: [
        [
          [90_000, 0],
          [90_000, 300_000],
        ],
      ],
    });
    const made = spliced(assembly([scored], 400_000, 300_000, T), from(220_000, 310_000));
    const pieces = made.assembly.parts.filter(({ role }) => role !== 'strip');
    const with1 = pieces.filter(({ scores }) => (scores?.length ?? 0) > 0);
    expect(pieces.length).toBeGreaterThan(1);
    expect(with1.length).toBeGreaterThanOrEqual(1);
    for (const { scores, region } of with1) {
      const { y0, y1 } = bounds(region.outline);
      expect(scores?.[0]).toEqual([
        [90_000, y0],
        [90_000, y1],
      ]);
    }
    expect(made.assembly.parts.filter(({ role }) => role === 'strip').every(({ scores }) => scores === undefined)).toBe(true);
  });
});
