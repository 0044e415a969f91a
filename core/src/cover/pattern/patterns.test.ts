import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { scaleFromRatio, UM } from '../../measure/index.ts';
import { areaOf, bounds, common, type Rect, type Region, rectRing, ringArea } from '../../shape/index.ts';
import { contrastOf, fillsOf, type Look, lookOf, PRINT_PIXEL, paintTones, TONES_EDGE } from '../look.ts';
import { PATTERN_NAMES, PATTERNS, type PatternName } from './index.ts';

const look = (pattern: PatternName, ratio = 12, sizes: Record<string, number> = {}, seed = 1): Look & { kind: 'pattern' } =>
  lookOf({ kind: 'pattern', pattern, sizes: sizes as never, inks: [], seed }, [], scaleFromRatio(ratio)) as Look & { kind: 'pattern' };

const WINDOW: Rect = { x0: -20_000, y0: -15_000, x1: 60_000, y1: 70_000 };
const AREAS = PATTERN_NAMES.filter((name) => PATTERNS[name].made === 'areas');
const TONES = PATTERN_NAMES.filter((name) => PATTERNS[name].made === 'tones');

/** What of a figure lies in a window, as whole micrometres. */
const within = (ring: Region['outline'], window: Rect): readonly Region[] =>
  common({ outline: ring.map(([x, y]) => [Math.round(x), Math.round(y)] as const), holes: [] }, [
    { outline: rectRing(window.x0, window.y0, window.x1, window.y1), holes: [] },
  ]);

/** The figures of a pattern that lie in a window, without the ground. */
const figures = (name: Look & { kind: 'pattern' }, window: Rect): readonly Region[] =>
  (fillsOf(name, window) ?? []).slice(1).flatMap(({ rings }) => rings.flatMap((ring) => within(ring, window)));

describe('patterns of areas', () => {
  it.each(AREAS)('%s fills its window, and is the same at a place whatever window is drawn', (name) => {
    const drawn = fillsOf(look(name), WINDOW) ?? [];
    expect(bounds(drawn[0]?.rings[0] ?? [])).toEqual(WINDOW);
    const part: Rect = { x0: 3_000, y0: 2_000, x1: 31_000, y1: 27_000 };
    const seen = (window: Rect) => {
      const by = new Map<string, number>();
      for (const { colour, rings } of fillsOf(look(name), window) ?? [])
        for (const ring of rings) by.set(colour, (by.get(colour) ?? 0) + areaOf(within(ring, part)));
      return [...by].filter(([, area]) => area > 0).sort();
    };
    const [small, large] = [seen(part), seen(WINDOW)];
    expect(small.map(([colour]) => colour)).toEqual(large.map(([colour]) => colour));
    small.forEach(([, area], index) => {
      expect(area / (large[index]?.[1] as number)).toBeCloseTo(1, 3);
    });
  });

  const masonry: readonly PatternName[] = [
    'running bond',
    'stack bond',
    'header bond',
    'metro tile',
    'square tile',
    'hexagon tile',
    'chequer tile',
    'herringbone',
    'basket weave',
    'planks',
  ];

  it.each(masonry)('%s: no two of its blocks overlap, and with their joints they are the wall', (name) => {
    const joint = 'joint' in PATTERNS[name].sizes ? 'joint' : 'gap';
    const tight = figures(look(name, 12, { [joint]: 0 }), WINDOW);
    const wall = (WINDOW.x1 - WINDOW.x0) * (WINDOW.y1 - WINDOW.y0);
    // Blocks without joints cover all of it, once: their areas add up to the wall's. Whole micrometres round a ten-thousandth off.
    expect(areaOf(tight) / wall).toBeCloseTo(1, 3);
  });

  it.each(AREAS.filter((name) => PATTERNS[name].repeat(look(name).sizes)))('%s begins anew after its repeat', (name) => {
    const its = look(name);
    const repeat = PATTERNS[name].repeat(its.sizes) as { x: number; y: number };
    const [a, b]: [Rect, Rect] = [
      { x0: 1_000, y0: 500, x1: 13_000, y1: 9_500 },
      { x0: 1_000 + repeat.x, y0: 500 + repeat.y, x1: 13_000 + repeat.x, y1: 9_500 + repeat.y },
    ];
    // Tones change from brick to brick, joints do not.
    const [one, other] = [a, b].map((window) => areaOf(figures(its, window))) as [number, number];
    expect(one / other).toBeCloseTo(1, 3);
  });

  it('brick: 225 × 75 mm coursing (BS EN 771-1 usual format), so that 12 courses are 900 mm; at 1:12 a course is 6.25 mm', () => {
    const { course, repeat } = PATTERNS['running bond'];
    const { sizes } = look('running bond', 12);
    expect(course?.(sizes)).toBeCloseTo(6_250, 9);
    expect((course?.(sizes) as number) * 12 * 12).toBeCloseTo(900 * UM.mm, 6);
    expect(repeat(sizes)).toEqual({ x: expect.closeTo((225 * UM.mm) / 12, 6), y: expect.closeTo(12_500, 6) });
    const bricks = figures(look('running bond', 12), { x0: 0, y0: 0, x1: 75_000, y1: 75_000 });
    const whole = bricks.map(({ outline }) => bounds(outline)).filter(({ x0, x1 }) => x1 - x0 > 17_900);
    for (const { x0, x1, y0, y1 } of whole) expect([x1 - x0, y1 - y0]).toEqual([Math.round(x1 - x0), expect.closeTo(65_000 / 12, -0.5)]);
    expect(whole.length).toBeGreaterThanOrEqual(12 * 3);
  });

  it('US modular (BIA Technical Note 10): 7 5/8 in and a joint of 3/8 in step by 8 in, whatever the scale', () => {
    const inch = (value: number) => Math.round(value * UM.in);
    for (const ratio of [1, 6, 12, 24]) {
      const { sizes } = look('running bond', ratio, { length: inch(7.625), height: inch(2.25), joint: inch(0.375) });
      expect(((sizes.length as number) + (sizes.joint as number)) * ratio).toBeCloseTo(8 * UM.in, -1);
    }
  });

  it('every other course of a running bond is shifted by half, so that joints never stand above one another', () => {
    const bricks = figures(look('running bond', 12), { x0: 0, y0: 0, x1: 90_000, y1: 12_500 }).map(({ outline }) => bounds(outline));
    const lower = bricks.filter(({ y1 }) => y1 < 6_250).map(({ x0 }) => x0);
    const upper = bricks.filter(({ y0 }) => y0 > 6_250).map(({ x0 }) => x0);
    for (const x of upper.filter((each) => each > 0)) expect(Math.min(...lower.map((each) => Math.abs(each - x)))).toBeGreaterThan(8_000);
  });

  it('ends of planks in neighbouring rows keep a sixth of a plank apart, whatever the chance', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), (seed) => {
        const ends = new Map<number, number[]>();
        for (const { outline } of figures(look('planks', 6, {}, seed), { x0: 0, y0: 0, x1: 400_000, y1: 240_000 })) {
          const { x0, y0, x1 } = bounds(outline);
          const row = Math.floor((y0 + 1_000) / 20_000);
          ends.set(row, [...(ends.get(row) ?? []), ...[x0, x1].filter((x) => x > 500 && x < 399_500)]);
        }
        for (const [row, mine] of ends)
          for (const x of mine) for (const other of ends.get(row + 1) ?? []) expect(Math.abs(x - other)).toBeGreaterThan(200_000 / 6 - 400);
      }),
      { numRuns: 20, seed: 5 },
    );
  });

  it('gingham has three tones: a quarter full, half of it half, a quarter ground', () => {
    const repeat = PATTERNS.gingham.repeat(look('gingham').sizes) as { x: number; y: number };
    const window: Rect = { x0: 0, y0: 0, x1: repeat.x * 8, y1: repeat.y * 8 };
    const [, upright, lying, full] = fillsOf(look('gingham'), window) ?? [];
    const area = (rings: readonly (readonly (readonly [number, number])[])[] = []) =>
      areaOf(rings.flatMap((ring) => within(ring, window))) / (window.x1 * window.y1);
    expect([area(upright?.rings), area(lying?.rings), area(full?.rings)]).toEqual([
      expect.closeTo(0.5, 3),
      expect.closeTo(0.5, 3),
      expect.closeTo(0.25, 3),
    ]);
    expect(upright?.colour).not.toBe(full?.colour);
  });

  it('a regular hexagon of side a is a·√3 across its flats', () => {
    const [hexagon] = figures(look('hexagon tile', 1, { side: 100 * UM.mm, joint: 0 }), {
      x0: -50_000,
      y0: -60_000,
      x1: 50_000,
      y1: 60_000,
    })
      .map(({ outline }) => outline)
      .filter((ring) => ring.length === 6);
    const [first, second] = hexagon as NonNullable<typeof hexagon>;
    const side = Math.hypot((second?.[0] ?? 0) - (first?.[0] ?? 0), (second?.[1] ?? 0) - (first?.[1] ?? 0));
    expect(side * Math.sqrt(3)).toBeCloseTo(100_000, -1);
    expect(ringArea(hexagon as NonNullable<typeof hexagon>)).toBeCloseTo(((3 * Math.sqrt(3)) / 2) * side * side, -6);
  });
});

describe('patterns of tones', () => {
  it.each(TONES)('%s has the same tone at a place whatever window is painted, and uses its range', (name) => {
    const its = look(name, 6);
    const pixel = 100;
    const whole = paintTones(its, { x0: 0, y0: 0, x1: 40_000, y1: 30_000 }, pixel);
    const part = paintTones(its, { x0: 10_000, y0: 5_000, x1: 25_000, y1: 20_000 }, pixel);
    if (!whole || !part) throw new Error('of tones');
    expect([whole.width, whole.height, part.width]).toEqual([400, 300, 150]);
    let off = 0;
    for (let row = 0; row < part.height; row += 1)
      for (let column = 0; column < part.width; column += 1) {
        // The part's top lies 20 mm up: 100 rows below the whole's.
        const other = whole.pixels[(row + 100) * whole.width + column + 100] as number;
        if (Math.abs((part.pixels[row * part.width + column] as number) - other) > 2) off += 1;
      }
    expect(off / part.pixels.length).toBeLessThan(0.002);
    const sorted = [...whole.pixels].sort((a, b) => a - b);
    expect((sorted[Math.floor(sorted.length * 0.98)] as number) - (sorted[Math.floor(sorted.length * 0.02)] as number)).toBeGreaterThan(25);
  });

  it('go on beyond their edge mirrored, without a seam, whatever window is painted', () => {
    const pixel = TONES_EDGE / 3000;
    const its = look('marble', 6);
    const painted = (x: number, y: number) =>
      paintTones(its, { x0: x * pixel, y0: y * pixel, x1: (x + 80) * pixel, y1: (y + 60) * pixel }, pixel)?.pixels ?? new Uint8Array();
    const over = painted(3000 - 40, -20);
    const at = (column: number, row: number) => over[row * 80 + column] as number;
    for (let row = 0; row < 60; row += 1) for (let column = 0; column < 40; column += 1) expect(at(column, row)).toBe(at(79 - column, row));
    // Row 40 from the top begins below 0: 20 rows above it and 20 below are the same.
    for (let row = 0; row < 20; row += 1)
      for (let column = 0; column < 80; column += 1) expect(at(column, 39 - row)).toBe(at(column, 40 + row));
    // Two papers on it is the same again.
    expect(painted(3000 - 40 + 6000, -20 - 6000)).toEqual(over);
  });

  it('are painted at 300 dots to the inch unless asked otherwise, and differ by their seed', () => {
    const inch: Rect = { x0: 0, y0: 0, x1: UM.in, y1: UM.in };
    expect(PRINT_PIXEL).toBeCloseTo(84.667, 3);
    const [one, other] = [1, 2].map((seed) => paintTones(look('marble', 6, {}, seed), inch));
    expect([one?.width, one?.height]).toEqual([300, 300]);
    expect(one?.pixels).not.toEqual(other?.pixels);
    expect(one?.palette.length).toBe(768);
  });
});

it('contrast of black on white is 21, of a colour on itself 1 (WCAG 2.2)', () => {
  expect(contrastOf('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrastOf('#6f8a5c', '#6f8a5c')).toBe(1);
  // A worked example: #777777 on white is 4.48, recalled from memory of contrast checkers.
  expect(contrastOf('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
});
