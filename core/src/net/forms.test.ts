import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dot, minus, normalOf, type Vec3, vec3 } from '../shape/index.ts';
import { away, boxRound, folds, HAIR, held, of } from './fold.testing.ts';
import {
  awningNet,
  bagNet,
  cartonNet,
  coneNet,
  coverNet,
  discNet,
  foldedNet,
  foldedSheetNet,
  handleNet,
  hingedNet,
  inSpaceOf,
  leafNet,
  type Net,
  pocketNet,
  ringNet,
  rowNet,
  sectorOf,
  sheetNet,
  sleeveNet,
  stepsOf,
  tubeNet,
  volumeOf,
} from './index.ts';

const size = fc.integer({ min: 8_000, max: 120_000 });
const tab = fc.integer({ min: 2_000, max: 9_000 });

const sizeOf = (net: Net): Vec3 => {
  const [low, high] = boxRound(net);
  return minus(high, low);
};
const near = (found: Vec3, wanted: Vec3): void => expect(away(found, wanted)).toBeLessThan(20);
const named = (net: Net, name: string): readonly Vec3[] => {
  const face = net.faces.findIndex((each) => each.name === name);
  return inSpaceOf(of(foldedNet(net, 1), face), of(net.faces, face).outline);
};
const within = (corners: readonly Vec3[], [low, high]: readonly [Vec3, Vec3]): void => {
  for (const corner of corners)
    for (const axis of [0, 1, 2]) {
      expect(of(corner, axis)).toBeGreaterThan(of(low, axis) - 20);
      expect(of(corner, axis)).toBeLessThan(of(high, axis) + 20);
    }
};

describe('boxes that close', () => {
  it('a tucked carton is as large as stated, its lids meet its front, its flaps stay inside', () => {
    fc.assert(
      fc.property(size, size, size, tab, (width, depth, height, deep) => {
        const net = cartonNet(width, depth, height, deep, 8_000);
        folds(net);
        expect(net.seams).toHaveLength(3);
        near(sizeOf(net), [width, height, depth]);
        for (const name of ['right flap above', 'left flap below', 'tuck above', 'tuck below']) within(named(net, name), boxRound(net));
      }),
      { numRuns: 40, seed: 11 },
    );
  });

  it('a sleeve and a bag have the girth that they should', () => {
    fc.assert(
      fc.property(size, size, size, tab, (width, depth, height, deep) => {
        const sleeve = sleeveNet(width, depth, height, deep);
        folds(sleeve);
        near(sizeOf(sleeve), [width, depth, height]);
        const bag = bagNet(width, depth, height, deep);
        folds(bag);
        near(sizeOf(bag), [width, height, depth]);
        // Its sides are scored in the middle, so that it folds flat.
        expect(bag.hinges.filter(({ how }) => how === 'valley')).toHaveLength(2);
      }),
      { numRuns: 40, seed: 12 },
    );
  });

  it('a lid on a back wall closes level with the walls; its own go into the box, or over it', () => {
    fc.assert(
      fc.property(size, size, size, tab, fc.constantFrom(-300, 500), (width, depth, height, deep, wider) => {
        const walls = wider < 0 ? Math.min(height * 0.8, 8_000) : height;
        const net = hingedNet(width, depth, height, deep, walls, wider);
        folds(net);
        const box: readonly [Vec3, Vec3] = [
          [0, 0, -height],
          [width, depth, 0],
        ];
        const lid = named(net, 'lid');
        for (const corner of lid) expect(of(corner, 2)).toBeCloseTo(-height, 3);
        if (wider < 0) for (const name of ['lid', 'lid front', 'lid side']) within(named(net, name), box);
        else for (const corner of named(net, 'lid front')) expect(of(corner, 1)).toBeCloseTo(depth + wider, 3);
      }),
      { numRuns: 40, seed: 13 },
    );
  });

  it('an awning slopes from its wall to its valance', () => {
    fc.assert(
      fc.property(
        size,
        size,
        fc.integer({ min: 20_000, max: 60_000 }),
        fc.integer({ min: 2_000, max: 15_000 }),
        (width, depth, height, drop) => {
          const net = awningNet(width, depth, height, drop, 4_000);
          folds(net);
          const rise = height - drop;
          // Its roof is the slope's length; its cheeks are right-angled at the wall.
          const [low, high] = boxRound({ ...net, faces: net.faces.slice(0, 1), hinges: [] });
          expect(of(high, 1) - of(low, 1)).toBeCloseTo(Math.hypot(depth, rise), 3);
          const cheek = named(net, 'right cheek');
          const [top, front, foot] = cheek as unknown as readonly [Vec3, Vec3, Vec3];
          expect(away(front, foot)).toBeCloseTo(depth, 3);
          expect(away(top, foot)).toBeCloseTo(rise, 3);
          expect(Math.abs(dot(minus(front, foot), minus(top, foot)))).toBeLessThan(1e-6 * depth * rise);
          // All that is glued to the wall lies in one plane with the upper edge.
          const poses = foldedNet(net, 1);
          const flaps = net.faces.flatMap(({ name, outline }, face) => (name === 'wall flap' ? inSpaceOf(of(poses, face), outline) : []));
          const n = normalOf(
            of(
              poses,
              net.faces.findIndex(({ name }) => name === 'wall flap'),
            ),
          );
          for (const corner of flaps) expect(Math.abs(dot(minus(corner, top), n))).toBeLessThan(20);
        },
      ),
      { numRuns: 30, seed: 14 },
    );
  });
});

describe('what is flat, or folds flat', () => {
  it('a pocket closes: its back covers its front, its flap lies on its back', () => {
    fc.assert(
      fc.property(size, size, tab, (width, height, deep) => {
        const net = pocketNet(width, height, deep, height * 0.4, true);
        folds(net);
        expect(net.tabs).toHaveLength(2);
        near(sizeOf(net), [width, height, 0]);
      }),
      { numRuns: 30, seed: 15 },
    );
    const open = pocketNet(60_000, 40_000, 4_000, 15_000, false);
    near(sizeOf(open), [60_000, 55_000, 0]);
  });

  it('a cover stands round its block, its turn-ins lie inside it', () => {
    fc.assert(
      fc.property(size, size, fc.integer({ min: 1_500, max: 15_000 }), (width, height, spine) => {
        const turn = Math.min(3_000, width / 3, height / 3);
        const net = coverNet(width, height, spine, turn);
        folds(net);
        near(sizeOf(net), [spine, height, width]);
        expect(net.faces.filter(({ name }) => name === 'turn-in')).toHaveLength(8);
      }),
      { numRuns: 30, seed: 16 },
    );
  });

  it('a map folds to one field, whatever its fields; half-way its rows still fold as one sheet', () => {
    fc.assert(
      fc.property(size, size, fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 5 }), (width, height, across, up) => {
        const net = foldedSheetNet('map', width, height, across, up);
        expect(net.faces).toHaveLength(across * up);
        folds(net);
        near(sizeOf(net), [width / across, height / up, 0]);
        const steps = Math.max(-1, ...stepsOf(net.hinges)) + 1;
        expect(steps).toBe(Math.max(0, across - 1) + Math.max(0, up - 1));
        if (up < 2) return;
        // While its rows are folded no column parts from the next.
        const half = foldedNet(net, 0.5 / steps, true);
        for (const normal of half.filter((_, face) => face % up === 1).map(normalOf)) near(normal, normalOf(of(half, 1)));
      }),
      { numRuns: 40, seed: 17 },
    );
  });

  it('a leaf is folded in its middle; a row of spines is as long as its fields; a hole stays in its sheet', () => {
    const leaf = leafNet(30_000, 40_000, ['page 4', 'page 1'], ['page 2', 'page 3']);
    folds(leaf);
    near(sizeOf(leaf), [30_000, 40_000, 0]);
    expect(leaf.faces.map(({ name, behind }) => [name, behind])).toEqual([
      ['page 1', 'page 2'],
      ['page 4', 'page 3'],
    ]);
    const row = rowNet([
      { name: 'a', width: 4_000, height: 20_000 },
      { name: 'b', width: 6_000, height: 25_000 },
      { name: 'c', width: 3_000, height: 18_000 },
    ]);
    folds(row);
    near(sizeOf(row), [13_000, 25_000, 0]);
    expect(discNet('lid', 20_000, 3_000).faces[0]?.holes).toHaveLength(1);
    expect(sheetNet('card', of(leaf.faces, 0).outline, 'back').faces[0]).toMatchObject({ name: 'card', behind: 'back' });
    near(sizeOf(handleNet(20_000, 15_000, 3_000)), [20_000, 3_000, 15_000]);
  });

  // A strip of 6 in, folded every inch, closes to a regular hexagon of side 1 in: a fact of the trade, common practice without source.
  it('a strip of six inches makes a hexagon of one inch; other strips make other polygons', () => {
    const net = ringNet(6, 25_400, 25_400, 5_000);
    folds(net);
    const strip = net.faces.reduce((sum, { outline }) => sum + away([...of(outline, 0), 0] as Vec3, [...of(outline, 1), 0] as Vec3), 0);
    expect(Math.round(strip)).toBe(6 * 25_400);
    // Across corners of a regular hexagon: twice its side. Bronshtein & Semendyayev, Handbook of Mathematics, recalled.
    const places = net.faces.map(
      (_, face) => inSpaceOf(of(foldedNet(net, 1), face), [of(of(net.faces, face).outline, face === 0 ? 0 : 1)])[0] as Vec3,
    );
    expect(Math.max(...places.map((corner) => away(corner, of(places, 0))))).toBeCloseTo(50_800, 0);
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), size, size, (sides, side, height) => folds(ringNet(sides, side, height, 4_000))),
      { numRuns: 30, seed: 18 },
    );
  });
});

describe('what is rolled, in facets', () => {
  it('a tube closes; its strip is exactly as long as its circle', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3_000, max: 120_000 }), size, (diameter, height) => {
        const net = tubeNet('label', diameter, height, 3_000);
        folds(net, true);
        const xs = net.faces.flatMap(({ outline }) => outline.map(([x]) => x));
        expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(Math.PI * diameter, 3);
        // The circle runs between the facets' corners and their middles, all within a cut's width.
        const [low, high] = boxRound(net);
        expect(Math.abs(of(high, 0) - of(low, 0) - diameter)).toBeLessThan(diameter * 0.015 + 60);
      }),
      { numRuns: 40, seed: 19 },
    );
  });

  it('cones and shades close, as wide below and above and as high as stated', () => {
    fc.assert(
      fc.property(size, fc.double({ min: 0, max: 0.9, noNaN: true }), size, (low, share, height) => {
        const high = share < 0.05 ? 0 : Math.round(low * share);
        const net = coneNet('shade', low, high, height, 3_000);
        folds(net, true);
        const poses = foldedNet(net, 1);
        const rims = [0, of(net.faces, 0).outline.length - 1].map((corner) =>
          net.faces.map(({ outline }, face) => {
            // The first facet begins below on its left; the others with the end and the beginning of their slope.
            const at = face === 0 ? (corner === 0 ? 0 : outline.length - 1) : corner === 0 ? 1 : 0;
            return inSpaceOf(of(poses, face), [of(outline, at)])[0] as Vec3;
          }),
        );
        const acrossOf = (ring: readonly Vec3[]): number => Math.max(...ring.map((corner) => away(corner, of(ring, 0))));
        expect(Math.abs(acrossOf(of(rims, 0)) - low)).toBeLessThan(low * 0.015 + 60);
        expect(Math.abs(acrossOf(of(rims, 1)) - high)).toBeLessThan(low * 0.015 + 60);
        const middle = (ring: readonly Vec3[]): Vec3 =>
          vec3((axis) => ring.reduce((sum, corner) => sum + of(corner, axis), 0) / ring.length);
        expect(Math.abs(away(middle(of(rims, 0)), middle(of(rims, 1))) - height)).toBeLessThan(Math.max(height * 0.01, low * 0.002) + 60);
      }),
      { numRuns: 40, seed: 20 },
    );
  });

  it('the overlap of what is rolled lies on the strip or sector that it goes under, and nowhere beyond it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3_000, max: 120_000 }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        size,
        tab,
        (low, share, height, overlap) => {
          const tube = tubeNet('tube', low, height, overlap);
          const round = Math.PI * low;
          for (const [x, y] of of(tube.tabs, 0).outline) {
            expect(x - round).toBeGreaterThan(-HAIR);
            expect(x - round).toBeLessThan(round);
            expect(y).toBeGreaterThan(-HAIR);
            expect(y).toBeLessThan(height + HAIR);
          }
          const high = share < 0.05 ? 0 : Math.round(low * share);
          const net = coneNet('cone', low, high, height, overlap);
          const { inner, outer, angle } = sectorOf(low, high, height);
          const { from, to } = of(net.tabs, 0).on;
          // The sector's tip lies where the slope, run up from its wider edge, has gone all of the outer radius.
          const slope = Math.hypot(to[0] - from[0], to[1] - from[1]);
          const [ux, uy] = [(to[0] - from[0]) / slope, (to[1] - from[1]) / slope];
          const tip = [from[0] + ux * outer, from[1] + uy * outer] as const;
          for (const [x, y] of of(net.tabs, 0).outline) {
            const [dx, dy] = [x - tip[0], y - tip[1]];
            const far = Math.hypot(dx, dy);
            expect(far).toBeLessThan(outer + 60);
            expect(far).toBeGreaterThan(inner - 60);
            // How far round from the slope on which it hangs: less than the sector goes round.
            const turned = far < 60 ? 0 : Math.atan2(Math.abs(ux * dy - uy * dx), -(ux * dx + uy * dy));
            expect(turned).toBeLessThan(angle);
          }
        },
      ),
      { numRuns: 80, seed: 22 },
    );
  });

  // A frustum of a cone: π h (R² + R r + r²) / 3. Source: Bronshtein & Semendyayev, Handbook of Mathematics, recalled.
  it('tubes and cones enclose what the formulae say, but for what chords cut off', () => {
    fc.assert(
      fc.property(size, fc.double({ min: 0.1, max: 1, noNaN: true }), size, (low, share, height) => {
        const high = share > 0.95 ? low : Math.round(low * share);
        const net = high === low ? tubeNet('tube', low, height, 3_000) : coneNet('shade', low, high, height, 3_000);
        const poses = foldedNet(net, 1);
        const faces = net.faces.map(({ outline }, face) => inSpaceOf(of(poses, face), outline));
        // Rims: of the first face corners 0 and 3, of the others (which hang on their slope) 1 and 0.
        const rim = (first: number, other: number): readonly Vec3[] => faces.map((ring, face) => of(ring, face === 0 ? first : other));
        const below = rim(0, 1);
        const above = rim(3, 0);
        const volume = Math.abs(volumeOf([...faces, [...below].reverse(), above]));
        const [R, r] = [low / 2, high / 2];
        const formula = (Math.PI * height * (R * R + R * r + r * r)) / 3;
        expect(volume / formula).toBeLessThan(1.03);
        expect(volume / formula).toBeGreaterThan(0.96);
      }),
      { numRuns: 40, seed: 21 },
    );
  });

  it('an open box holds what it should: a sleeve with ends is a box', () => {
    const net = cartonNet(30_000, 20_000, 50_000, 4_000, 6_000);
    const walls = { ...net, faces: net.faces.filter(({ name }) => ['front', 'right', 'back', 'left', 'top', 'bottom'].includes(name)) };
    // The six faces alone enclose the volume; flaps lie inside on them.
    const poses = foldedNet(net, 1);
    const corners = net.faces.flatMap((face, index) => (walls.faces.includes(face) ? [inSpaceOf(of(poses, index), face.outline)] : []));
    const volume = corners.reduce((sum, ring) => sum + dot(of(ring, 0), normalTimesArea(ring)) / 3, 0);
    expect(Math.abs(volume) / (30_000 * 20_000 * 50_000)).toBeCloseTo(1, 6);
    expect(held(net)).toBeGreaterThan(0);
  });
});

/** Twice nothing: the area of a plane ring as a vector. */
const normalTimesArea = (ring: readonly Vec3[]): Vec3 =>
  ring.reduce<Vec3>(
    (sum, [ax, ay, az], index) => {
      const [bx, by, bz] = of(ring, (index + 1) % ring.length);
      return [sum[0] + (ay * bz - az * by) / 2, sum[1] + (az * bx - ax * bz) / 2, sum[2] + (ax * by - ay * bx) / 2];
    },
    [0, 0, 0],
  );
