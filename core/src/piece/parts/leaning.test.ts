// Sticks and boards that lean, and what goes round: against plane and solid geometry, and an independent solid kernel.
import type { ManifoldToplevel } from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import { boxOf, findContacts, findInterference, type Part, slantsOf } from '../../assembly/index.ts';
import { seededRandom } from '../../kit/index.ts';
import { add, areaOf, cross, dot, rectRing, ringArea, scaled, toSpace, type Vec3 } from '../../shape/index.ts';
import { EDGED_STICKS, ROUND_STICKS, STICKS } from '../../stock/index.ts';
import { openKernel, solidOf } from '../kernel.testing.ts';
import { leaningBoard, leaningDepth, stickBetween } from './leaning.ts';
import { axisAt, dowel, frustumFlat, frustumSector, roundPart, tubeStrip } from './round.ts';

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await openKernel();
});

const KIND = { id: 'stick', role: 'post', name: 'stick' } as const;
const BOARD = { stuff: 'board', stock: 'white', length: null } as const;
const UP: Vec3 = [0, 1, 0];

const volume = (part: Part): number => solidOf(kernel, part).volume();

const between = (random: () => number, low: number, high: number): number => Math.round(low + random() * (high - low));

describe('a stick from one point to another', () => {
  const cases = Array.from({ length: 40 }, (_, seed) => {
    const random = seededRandom(seed + 1);
    const from: Vec3 = [between(random, 0, 40_000), 0, between(random, 0, 40_000)];
    const to: Vec3 = [between(random, -20_000, 60_000), between(random, 60_000, 160_000), between(random, -20_000, 60_000)];
    const names = seed % 2 === 0 ? EDGED_STICKS : ROUND_STICKS;
    return { seed, from, to, stick: names[seed % names.length] as (typeof names)[number] };
  });

  it.each(cases)('holds its section times its length, cut level or square ($stick, $seed)', ({ from, to, stick }) => {
    const run = add(to, scaled(from, -1));
    const length = Math.hypot(...run);
    const { width, thickness, section } = STICKS[stick];
    for (const cuts of [undefined, [UP, UP] as const]) {
      const part = stickBetween({ from, to, wide: [1, 0, 0], stick, ...(cuts ? { cuts } : {}) }, KIND);
      // Between parallel cuts a stick holds its section times the length of its axis, however slanting they are (Cavalieri). A round one has the
      // area of its chords: n/2 · r² · sin(2π/n).
      const n = part.region.outline.length;
      const area = section === 'round' ? (n / 2) * (width / 2) ** 2 * Math.sin((2 * Math.PI) / n) : width * thickness;
      expect(volume(part) / ((area * length) / 1e9)).toBeCloseTo(1, 2);
      if (!cuts) continue;
      const { min, max } = boxOf(part);
      expect(Math.abs(min[1])).toBeLessThan(1.5);
      expect(Math.abs(max[1] - to[1])).toBeLessThan(1.5);
      const slope = Math.acos(run[1] / length);
      const slants = slantsOf(part);
      if (slope < 0.006) continue;
      expect(slants.map(({ at }) => at)).toEqual(['end', 'end']);
      for (const { angle, long, short } of slants) {
        expect(angle).toBeCloseTo(slope, 2);
        // The axis lies halfway between the long and the short point.
        expect((long + short) / 2 / length).toBeCloseTo(1, 2);
        expect(Math.abs((part.length ?? 0) - long)).toBeLessThan(15);
      }
    }
  });

  it('is cut along planes that differ: a mitre of 45° at one end, square at the other', () => {
    const stick = 'square dowel, 10 mm';
    const part = stickBetween(
      {
        from: [0, 0, 0],
        to: [100_000, 0, 0],
        wide: UP,
        stick,
        cuts: [
          [1, 0, 0],
          [Math.SQRT1_2, Math.SQRT1_2, 0],
        ],
      },
      KIND,
    );
    const [mitre] = slantsOf(part);
    // The long point stands half a width beyond the axis's end, the short one half a width before it.
    expect(mitre).toMatchObject({ at: 'end', long: 105_000, short: 95_000 });
    expect(((mitre?.angle ?? 0) * 180) / Math.PI).toBeCloseTo(45, 6);
    expect(slantsOf(part)).toHaveLength(1);
  });

  it('lies with its level end on a board, over the section that the cut has', () => {
    const leg = stickBetween(
      { from: [0, 0, 0], to: [20_000, 60_000, 0], wide: [1, 0, 0], stick: 'square dowel, 8 mm', cuts: [UP, UP] },
      KIND,
    );
    const seat: Part = {
      ...leg,
      id: 'seat',
      stuff: 'board',
      length: null,
      thickness: 5_000,
      region: { outline: rectRing(0, 0, 90_000, 40_000), holes: [] },
      pose: { origin: [-30_000, 60_000, 20_000], u: [1, 0, 0], v: [0, 0, -1] },
    };
    const { upper: _, ...flat } = seat;
    const contacts = findContacts([leg, flat]);
    expect(contacts).toHaveLength(1);
    // A level cut is longer than the section by 1 ÷ cos: 8 × 8 × √(20² + 60²) ÷ 60.
    expect((contacts[0]?.area ?? 0) / 1e6).toBeCloseTo((64 * Math.hypot(20, 60)) / 60, 1);
    expect(findInterference([leg, flat])).toEqual([]);
  });
});

describe('a board that leans', () => {
  it.each([
    [60_000, 12_000, 5_000, 1],
    [90_000, 40_000, 3_000, 2],
    [40_000, 30_000, 4_800, 3],
  ])('holds width × height × level depth, and its layers lie on one another (%i, %i)', (high, lean, one, layers) => {
    const place = { x0: 0, x1: 70_000, y0: 10_000, y1: 10_000 + high, z: 50_000, lean };
    const parts = leaningBoard(place, { id: 'back', role: 'back', name: 'back' }, { board: 'white', one, layers });
    const deep = leaningDepth(one, high, lean);
    for (const part of parts) expect(volume(part) / ((70_000 * high * deep) / 1e9)).toBeCloseTo(1, 3);
    expect(findInterference(parts)).toEqual([]);
    const glued = findContacts(parts).filter(({ faceA, faceB }) => faceA !== 'edge' && faceB !== 'edge');
    expect(glued).toHaveLength(layers - 1);
    for (const { area } of glued) expect(area / (70_000 * Math.hypot(high, lean))).toBeGreaterThan(0.9);
    const [bevel] = slantsOf(parts[0] as Part);
    expect(bevel?.angle).toBeCloseTo(Math.atan(lean / high), 3);
    expect((bevel?.long ?? 0) - (bevel?.short ?? 0)).toBeCloseTo((one * lean) / high, -1);
  });
});

describe('what goes round', () => {
  const axis = axisAt(50_000, 50_000, 40_000);
  const disc = (y0: number, y1: number, radius: number, id = 'disc') =>
    roundPart(axis, [y0, y1], { outer: radius, inner: 0 }, { outer: radius, inner: 0 }, { id, role: 'bottom', name: id }, BOARD);
  const shell = (y0: number, y1: number, low: number, high: number, wall: number, id = 'shell') =>
    roundPart(
      axis,
      [y0, y1],
      { outer: low, inner: low - wall },
      { outer: high, inner: high - wall },
      { id, role: 'side', name: id },
      { ...BOARD, flat: frustumFlat(low, high, y1 - y0, wall, 0) },
    );

  it('a disc in a tube touches all round: its rim is glued', () => {
    const contacts = findContacts([disc(0, 5_000, 30_000), shell(0, 60_000, 31_000, 31_000, 1_000)]);
    const area = contacts.reduce((sum, contact) => sum + contact.area, 0);
    expect(area / (2 * Math.PI * 30_000 * 5_000)).toBeCloseTo(1, 3);
    expect(findContacts([disc(0, 5_000, 29_900), shell(0, 60_000, 31_000, 31_000, 1_000)])).toEqual([]);
  });

  it('a dowel in its hole touches all round, whatever the board’s outline', () => {
    const post = dowel(axis, [0, 60_000], 'round dowel, 5 mm', { id: 'post', role: 'post', name: 'post' });
    const hole = [...post.region.outline].reverse().map(([x, y]) => [x + 30_000, y + 20_000] as const);
    const board: Part = {
      ...disc(0, 1, 1),
      id: 'board',
      thickness: 5_000,
      region: { outline: rectRing(0, 0, 60_000, 40_000), holes: [hole] },
      pose: { origin: [20_000, 20_000, 70_000], u: [1, 0, 0], v: [0, 0, -1] },
    };
    const contacts = findContacts([post, board]);
    const area = contacts.reduce((sum, contact) => sum + contact.area, 0);
    expect(area / (Math.PI * 5_000 * 5_000)).toBeCloseTo(1, 2);
    expect(findInterference([post, board])).toEqual([]);
  });

  it('a bevelled disc in a cone is glued over the frustum that they share', () => {
    const [low, high, h, wall] = [40_000, 25_000, 50_000, 600];
    const cone = shell(0, h, low, high, wall);
    const radius = (y: number) => Math.round(low - wall + ((high - low) * y) / h);
    const plug = roundPart(
      axis,
      [44_000, h],
      { outer: radius(44_000), inner: 0 },
      { outer: high - wall, inner: 0 },
      { id: 'plug', role: 'shelf', name: 'plug' },
      BOARD,
    );
    const area = findContacts([cone, plug]).reduce((sum, contact) => sum + contact.area, 0);
    // Lateral area of a frustum, π(R + r)s: plane geometry, as in any table of mensuration (Bronstein & Semendyayev, recalled).
    const [R, r] = [radius(44_000), high - wall];
    expect(area / (Math.PI * (R + r) * Math.hypot(R - r, 6_000))).toBeCloseTo(1, 3);
    expect(findInterference([cone, plug])).toEqual([]);
  });

  it('profiles tell as the kernel does whether two that go round one axis share volume', () => {
    const random = seededRandom(77);
    let [apart, shared] = [0, 0];
    for (let count = 0; count < 120; count += 1) {
      const one = shell(
        between(random, 0, 30_000),
        between(random, 31_000, 70_000),
        between(random, 15_000, 39_000),
        between(random, 15_000, 39_000),
        2_000,
        'a',
      );
      const y = between(random, 0, 60_000);
      const other =
        random() < 0.5
          ? disc(y, y + 4_000, between(random, 5_000, 39_000))
          : shell(y, y + 20_000, between(random, 15_000, 39_000), between(random, 15_000, 39_000), 2_000, 'b');
      const common = solidOf(kernel, one).intersect(solidOf(kernel, other)).volume();
      const found = findInterference([one, other]).length > 0;
      // What only grazes may be called either.
      if (common > 3) expect(found).toBe(true);
      if (common === 0) expect(found).toBe(false);
      if (found) shared += 1;
      else apart += 1;
    }
    expect(Math.min(apart, shared)).toBeGreaterThan(20);
  });

  it('a cone’s sector: slant, radii and angle, and arcs as long as the circles that they become', () => {
    // R 40, r 25, h 50: s = √(50² + 15²) = 52.2015, outer 139.204, inner 87.003, angle 2π · 15 ÷ 52.2015 = 1.80546.
    const { slant, outer, inner, angle } = frustumSector(40, 25, 50);
    expect(slant).toBeCloseTo(52.2015, 4);
    expect(outer).toBeCloseTo(139.2041, 3);
    expect(inner).toBeCloseTo(87.0025, 3);
    expect(angle).toBeCloseTo(1.80546, 4);
    expect(angle * outer).toBeCloseTo(2 * Math.PI * 40, 9);
    expect(angle * inner).toBeCloseTo(2 * Math.PI * 25, 9);
    // The flat sheet holds what the cone’s middle does: π(R + r)s.
    const flat = frustumFlat(40_000, 25_000, 50_000, 400, 0);
    expect(areaOf([flat.region]) / (Math.PI * (39_800 + 24_800) * Math.hypot(50_000, 15_000))).toBeCloseTo(1, 3);
    const lapped = frustumFlat(40_000, 25_000, 50_000, 400, 5_000);
    expect((areaOf([lapped.region]) - areaOf([flat.region])) / (5_000 * Math.hypot(50_000, 15_000))).toBeCloseTo(1, 1);
  });

  it('a tube’s strip is as long as the middle of its wall goes round, and what overlaps', () => {
    const { region, thickness } = tubeStrip(50_000, 1_000, 80_000, 6_000);
    expect(thickness).toBe(1_000);
    expect(ringArea(region.outline)).toBe((Math.round(Math.PI * 49_000) + 6_000) * 80_000);
  });

  it('bevels of a six-sided shade meet: each board’s edge lies in the plane between it and the next', () => {
    // Six boards round an axis, each a trapezoid whose side edges are bevelled by 30° less what the slope takes.
    const [low, high, h, t] = [40_000, 28_000, 50_000, 3_000];
    const corner = (radius: number, number: number, y: number): Vec3 => {
      const angle = (Math.PI / 3) * number;
      return [radius * Math.cos(angle), y, radius * Math.sin(angle)];
    };
    const boards = Array.from({ length: 6 }, (_, number): Part => {
      const outer = [corner(low, number + 1, 0), corner(low, number, 0), corner(high, number, h), corner(high, number + 1, h)] as const;
      const inset = (t * Math.hypot(1, ((low - high) * Math.cos(Math.PI / 6)) / h)) / Math.cos(Math.PI / 6);
      const inner = [
        corner(low - inset, number + 1, 0),
        corner(low - inset, number, 0),
        corner(high - inset, number, h),
        corner(high - inset, number + 1, h),
      ] as const;
      const minus = (p: Vec3, q: Vec3): Vec3 => add(p, scaled(q, -1));
      const unit = (p: Vec3): Vec3 => scaled(p, 1 / Math.hypot(...p));
      const u = unit(minus(inner[1], inner[0]));
      const n = unit(cross(u, minus(inner[3], inner[0])));
      const pose = { origin: inner[0], u, v: cross(n, u) };
      const flat = (points: readonly Vec3[]) =>
        points.map((p) => [Math.round(dot(minus(p, pose.origin), pose.u)), Math.round(dot(minus(p, pose.origin), pose.v))] as const);
      return {
        ...disc(0, 1, 1),
        id: `board-${number}`,
        thickness: Math.round(dot(minus(outer[0], inner[0]), n)),
        region: { outline: flat(inner), holes: [] },
        upper: { outline: flat(outer), holes: [] },
        pose,
      };
    });
    expect(findInterference(boards)).toEqual([]);
    const pairs = findContacts(boards);
    expect(pairs).toHaveLength(6);
    // Each joint runs from ring to ring: as high as the boards are, as deep as they are thick along it.
    for (const { area } of pairs) expect(area / 1e6).toBeGreaterThan((h / 1000) * (t / 1000));
    expect(toSpace((boards[0] as Part).pose, [0, 0])[1]).toBeCloseTo(0, 6);
  });
});
