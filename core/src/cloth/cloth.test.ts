import { describe, expect, it } from 'vitest';
import { seededRandom } from '../kit/index.ts';
import { type Point, type Pose, signedArea, type Vec3 } from '../shape/index.ts';
import {
  arcOver,
  cutLineOf,
  cutSizeOf,
  discPiece,
  drawnRadius,
  edgeLength,
  halfAngleOf,
  loftOf,
  meshOf,
  outlinePiece,
  patch,
  placerOf,
  pointAlong,
  rectPiece,
  volumeWithin,
  waveOf,
  workLength,
} from './index.ts';
import { lengthSewn } from './sewn.testing.ts';

const UP: Pose = { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] };

/** The complete elliptic integral of the second kind by the arithmetic-geometric mean. Source: Abramowitz & Stegun, Handbook of Mathematical Functions, 17.6. */
const ellipticE = (m: number): number => {
  let [a, b, c] = [1, Math.sqrt(1 - m), Math.sqrt(m)];
  let [sum, power] = [c * c, 1];
  while (c > 1e-15) {
    [a, b, c] = [(a + b) / 2, Math.sqrt(a * b), (a - b) / 2];
    power *= 2;
    sum += power * c * c;
  }
  return (Math.PI / (2 * a)) * (1 - sum / 2);
};

describe('lengths of bowed cloth', () => {
  it('over a chord: the circular segment of handbooks, half a circle, and Huygens’ approximation', () => {
    // Half a circle: the chord is the diameter.
    expect(arcOver(100, 50)).toBeCloseTo(50 * Math.PI, 9);
    expect(arcOver(100, 0)).toBe(100);
    // Machinery's Handbook, recalled: the arc is about (8 × chord of half the arc − chord) ÷ 3; close for flat arcs.
    for (const h of [2, 5, 10, 15]) {
      const half = Math.hypot(50, h);
      expect(Math.abs(arcOver(100, h) - (8 * half - 100) / 3) / 100).toBeLessThan(4e-4);
    }
  });

  it('is more than half a circle where it stands out by more than half its chord', () => {
    // A circle of radius 10 cut by a chord 5 from its middle, seen from the far side: sagitta 15, chord 2√75, angle 240°.
    expect(arcOver(2 * Math.sqrt(75), 15)).toBeCloseTo((10 * 4 * Math.PI) / 3, 9);
  });

  it('half its angle is found again from its length and how far it stands out', () => {
    const random = seededRandom(3);
    for (let round = 0; round < 200; round += 1) {
      const chord = 20 + random() * 300;
      const sagitta = random() * chord * 0.45;
      const long = arcOver(chord, sagitta);
      const half = halfAngleOf(long, sagitta);
      const radius = half === 0 ? Infinity : long / (2 * half);
      expect(half === 0 ? chord : 2 * radius * Math.sin(half)).toBeCloseTo(chord, 5);
    }
  });

  it('in waves: the length of a sine by the complete elliptic integral', () => {
    const random = seededRandom(5);
    for (let round = 0; round < 60; round += 1) {
      const span = 5_000 + random() * 40_000;
      const full = 1 + random() * 2;
      const { amplitude } = waveOf(span, span * full);
      const k = (2 * Math.PI * amplitude) / span;
      const exact = ((2 * span) / Math.PI) * Math.sqrt(1 + k * k) * ellipticE((k * k) / (1 + k * k));
      // The curve is drawn in 96 chords: a chord is shorter than its arc.
      expect(Math.abs(exact - span * full) / (span * full)).toBeLessThan(2e-3);
    }
    expect(waveOf(100, 90).amplitude).toBe(0);
  });

  it('round a padded edge: half round its thickness less its reach, on both sides', () => {
    expect(loftOf(10)).toBeCloseTo(Math.PI * 5 - 10, 12);
  });

  it('a circle is drawn with sides as long as itself', () => {
    for (const corners of [8, 48, 96]) {
      const r = drawnRadius(100, corners);
      expect(2 * corners * r * Math.sin(Math.PI / corners)).toBeCloseTo(2 * Math.PI * 100, 9);
    }
  });
});

describe('where cloth is cut', () => {
  it('a rectangle with its own allowance on each side', () => {
    const piece = rectPiece('p', 1_000, 500, { lower: ['seam', 10], right: ['seam', 20], upper: ['double hem', 30], left: ['raw', 0] });
    expect(cutSizeOf(piece)).toEqual([1_020, 540]);
    expect(cutLineOf(piece)).toEqual([
      [0, -10],
      [1_020, -10],
      [1_020, 530],
      [0, 530],
    ]);
  });

  it('corners of what is turned in are cut off, so that nothing lies there four times', () => {
    const line = cutLineOf(rectPiece('p', 1_000, 500, ['flap', 100]));
    expect(line).toHaveLength(8);
    // A square with its flaps, and no more: area is that of the rectangle, four flaps and four half squares.
    expect(signedArea(line)).toBeCloseTo(1_000 * 500 + 2 * (1_000 + 500) * 100 + 4 * (100 * 100) * 0.5, 6);
    expect(signedArea(cutLineOf(rectPiece('p', 1_000, 500, ['seam', 100])))).toBe(1_200 * 700);
  });

  it('round a disc: the area of the larger circle', () => {
    const random = seededRandom(8);
    for (let round = 0; round < 20; round += 1) {
      const [radius, allow] = [8_000 + random() * 90_000, 1_000 + random() * 9_000];
      const area = signedArea(cutLineOf(discPiece('d', radius, ['seam', allow])));
      // Source: plane geometry, π r².
      expect(Math.abs(area / (Math.PI * (radius + allow) ** 2) - 1)).toBeLessThan(1.2e-3);
    }
  });

  it('hollow corners draw the allowances in', () => {
    const line: Point[] = [
      [0, 0],
      [1_000, 0],
      [1_000, 400],
      [400, 400],
      [400, 1_000],
      [0, 1_000],
    ];
    const cut = cutLineOf(outlinePiece('l', line, [['all', 6, ['seam', 50]]]));
    expect(cut).toContainEqual([450, 450]);
    expect(signedArea(cut)).toBe(1_100 * 1_100 - 600 * 600);
  });

  it('edges are as long as their sides, and points go along them', () => {
    const piece = rectPiece('p', 1_000, 500, ['seam', 10]);
    expect(['lower', 'right', 'upper', 'left'].map((name) => edgeLength(piece, name))).toEqual([1_000, 500, 1_000, 500]);
    expect(pointAlong(piece, 'upper', 250)).toEqual([750, 500]);
    expect(() => edgeLength(piece, 'front')).toThrow('no edge');
  });
});

describe('sewn cloth keeps its lengths', () => {
  const along = (bend: Parameters<typeof placerOf>[0], from: Point, to: Point): number => lengthSewn(placerOf(bend), from, to);

  it('rolled, both ways and aslant', () => {
    const bend = { kind: 'roll', pose: UP, radius: -20_000 } as const;
    expect(along(bend, [0, 0], [60_000, 0]) / 60_000).toBeCloseTo(1, 4);
    expect(along(bend, [0, 0], [30_000, 40_000]) / 50_000).toBeCloseTo(1, 4);
  });

  it('filled: along both lines through the middle exactly, along its edges as nearly as cloth eases', () => {
    const [w, h, bulge] = [90_000, 60_000, 16_000];
    const bend = { kind: 'pillow', pose: UP, flat: [w, h], bulge } as const;
    const lines: readonly (readonly [Point, Point])[] = [
      [
        [0, h / 2],
        [w, h / 2],
      ],
      [
        [w / 2, 0],
        [w / 2, h],
      ],
    ];
    for (const [from, to] of lines) expect(along(bend, from, to) / Math.hypot(to[0] - from[0], to[1] - from[1])).toBeCloseTo(1, 4);
    expect(Math.abs(along(bend, [0, 0], [w, 0]) / w - 1)).toBeLessThan(0.02);
    expect(Math.abs(along(bend, [w, 0], [w, h]) / h - 1)).toBeLessThan(0.02);
    const place = placerOf(bend);
    expect(place([w / 2, h / 2])[2]).toBeCloseTo(bulge, 3);
    // The middles of its sides are drawn in, its corners are not.
    expect(place([0, h / 2])[0]).toBeGreaterThan(place([0, 0])[0]);
  });

  it('in folds: across, upwards and aslant', () => {
    const bend = { kind: 'wave', pose: UP, flat: 200_000, span: 90_000, waves: 6 } as const;
    expect(lengthSewn(placerOf(bend), [0, 5_000], [200_000, 5_000], 6_000) / 200_000).toBeCloseTo(1, 3);
    expect(along(bend, [33_000, 0], [33_000, 80_000]) / 80_000).toBeCloseTo(1, 6);
    expect(lengthSewn(placerOf(bend), [0, 0], [120_000, 160_000], 6_000) / 200_000).toBeCloseTo(1, 3);
  });

  it('a free corner hangs as a cone: every length in it is kept, and both its sides hang straight down', () => {
    const bend = {
      kind: 'cone',
      apex: [0, 0],
      from: [0, -1],
      to: [-1, 0],
      at: [0, 0, 0],
      ways: [
        [-1, 0, 0],
        [0, 0, 1],
      ],
    } as const;
    const place = placerOf(bend);
    const random = seededRandom(11);
    for (let round = 0; round < 80; round += 1) {
      const from: Point = [-random() * 50_000, -random() * 50_000];
      const to: Point = [-random() * 50_000, -random() * 50_000];
      const flat = Math.hypot(to[0] - from[0], to[1] - from[1]);
      expect(Math.abs(lengthSewn(place, from, to, 600) / flat - 1)).toBeLessThan(1e-3);
    }
    const near = (point: Vec3, [x, y, z]: Vec3): void => {
      expect(Math.hypot(point[0] - x, point[1] - y, point[2] - z)).toBeLessThan(1e-6);
    };
    near(place([0, -7_000]), [0, -7_000, 0]);
    near(place([-7_000, 0]), [0, -7_000, 0]);
  });

  it('round over a round top: as long round at every height, as long down along every thread', () => {
    const [radius, drop] = [60_000, 30_000];
    const whole = radius + drop;
    const place = placerOf({ kind: 'flute', centre: [whole, whole], at: [0, 0, 0], radius, folds: 12 });
    for (const down of [drop / 2, drop]) {
      let [sum, last] = [0, place([whole + radius + down, whole])];
      for (let step = 1; step <= 1_440; step += 1) {
        const angle = (2 * Math.PI * step) / 1_440;
        const next = place([whole + (radius + down) * Math.cos(angle), whole + (radius + down) * Math.sin(angle)]);
        sum += Math.hypot(next[0] - last[0], next[2] - last[2]);
        last = next;
      }
      // Source: circumference, 2 π r.
      expect(sum / (2 * Math.PI * (radius + down))).toBeCloseTo(1, 2);
    }
    for (const angle of [0, 0.1, 0.26, 0.4]) {
      const at = (r: number): Point => [whole + r * Math.cos(angle), whole + r * Math.sin(angle)];
      expect(lengthSewn(place, at(radius), at(whole), 60) / drop).toBeCloseTo(1, 1);
    }
  });

  it('a ring of a tube closes both ways', () => {
    const [radius, tube] = [70_000, 20_000];
    const place = placerOf({ kind: 'torus', at: [0, 0, 0], radius, tube, squash: 1 });
    const [long, wide] = [2 * Math.PI * radius, 2 * Math.PI * tube];
    const near = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
    expect(near(place([0, 3_000]), place([long, 3_000]))).toBeLessThan(1e-3);
    expect(near(place([9_000, 0]), place([9_000, wide]))).toBeLessThan(1e-3);
  });
});

describe('what a pattern takes', () => {
  it('closes in the volume of a box, of a drum', () => {
    const box = [
      patch(0, [0, 0, 3_000, 2_000], { kind: 'plane', pose: { origin: [0, 4_000, 2_000], u: [1, 0, 0], v: [0, 0, -1] } }),
      patch(0, [0, 0, 3_000, 2_000], { kind: 'plane', pose: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 0, 1] } }),
      patch(0, [0, 0, 3_000, 4_000], { kind: 'plane', pose: { origin: [0, 0, 2_000], u: [1, 0, 0], v: [0, 1, 0] } }),
      patch(0, [0, 0, 3_000, 4_000], { kind: 'plane', pose: { origin: [3_000, 0, 0], u: [-1, 0, 0], v: [0, 1, 0] } }),
      patch(0, [0, 0, 2_000, 4_000], { kind: 'plane', pose: { origin: [3_000, 0, 2_000], u: [0, 0, -1], v: [0, 1, 0] } }),
      patch(0, [0, 0, 2_000, 4_000], { kind: 'plane', pose: { origin: [0, 0, 0], u: [0, 0, 1], v: [0, 1, 0] } }),
    ];
    expect(volumeWithin({ pieces: [], seams: [], openings: [], patches: box })).toBeCloseTo(3_000 * 4_000 * 2_000, 0);
  });

  it('counts each seam once and every hem', () => {
    const pieces = [
      rectPiece('a', 400, 300, ['seam', 5]),
      rectPiece('b', 400, 300, { lower: ['hem', 5], right: ['raw', 0], upper: ['seam', 5], left: ['raw', 0] }),
    ];
    const work = workLength({
      pieces,
      seams: [{ name: 's', one: { piece: 0, edge: 'lower' }, other: { piece: 1, edge: 'upper' }, against: true, how: 'plain', ratio: 1 }],
      openings: [],
      patches: [],
    });
    expect(work).toEqual({ seams: 400, hems: 400 });
  });

  it('meshes reach every corner of what they are over', () => {
    const mesh = meshOf(patch(0, [0, 0, 700, 900], { kind: 'plane', pose: UP }, [3, 2]));
    expect(mesh.flat).toHaveLength(12);
    expect(mesh.triangles).toHaveLength(12);
    expect(Math.max(...mesh.space.map(([x]) => x))).toBe(700);
    expect(Math.max(...mesh.space.map(([, y]) => y))).toBeCloseTo(900, 6);
  });
});
