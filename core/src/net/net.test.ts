import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dot, normalOf, type Point } from '../shape/index.ts';
import { away, folds, held, keepsSides, of } from './fold.testing.ts';
import {
  boxSolid,
  foldedNet,
  houseOf,
  labelOf,
  type Net,
  type Polyhedron,
  prismOf,
  pyramidOf,
  sectorOf,
  spiralOf,
  taperOf,
  unfold,
} from './index.ts';

const size = fc.integer({ min: 8_000, max: 120_000 });
const sides = fc.integer({ min: 3, max: 10 });

const checks = (solid: Polyhedron, net: Net): void => {
  folds(net);
  keepsSides(solid, net);
};

const netOf = (solid: Polyhedron, tab = 6_000, root = 0): Net => {
  const net = unfold(solid, root, tab);
  if (!net) throw new Error('it does not unfold');
  return net;
};

const closeTo = (volume: number, formula: number): void => expect(volume / formula).toBeCloseTo(1, 6);

/** The radius of a regular polygon's inner circle and its area, by its side. Source: Bronshtein & Semendyayev, Handbook of Mathematics (regular polygons), recalled. */
const polygonArea = (count: number, side: number): number => (count * side * side) / (4 * Math.tan(Math.PI / count));

describe('nets, folded again', () => {
  it('of boxes enclose width × depth × height, whichever face stays flat', () => {
    fc.assert(
      fc.property(size, size, size, fc.integer({ min: 0, max: 5 }), (width, depth, height, root) => {
        const solid = boxSolid(width, depth, height);
        const net = netOf(solid, 5_000, root);
        expect([net.faces.length, net.seams.length]).toEqual([6, 7]);
        checks(solid, net);
        closeTo(held(net), width * depth * height);
      }),
      { numRuns: 60, seed: 1 },
    );
  });

  it('of trays have four seams and no lid', () => {
    fc.assert(
      fc.property(size, size, size, (width, depth, height) => {
        const solid = boxSolid(width, depth, height, true);
        const net = netOf(solid);
        expect([net.faces.length, net.seams.length]).toEqual([5, 4]);
        checks(solid, net);
      }),
      { numRuns: 40, seed: 2 },
    );
  });

  it('of prisms, pyramids and what tapers enclose what the formulae say', () => {
    fc.assert(
      fc.property(sides, size, size, fc.double({ min: 0.2, max: 0.95, noNaN: true }), (count, side, height, share) => {
        const area = polygonArea(count, side);
        const prism = prismOf(count, side, height);
        checks(prism, netOf(prism));
        closeTo(held(netOf(prism)), area * height);
        const pyramid = pyramidOf(count, side, height);
        checks(pyramid, netOf(pyramid));
        closeTo(held(netOf(pyramid)), (area * height) / 3);
        // A frustum: h/3 (A + a + √(A a)).
        const top = side * share;
        const taper = taperOf(count, side, top, height);
        const small = polygonArea(count, top);
        checks(taper, netOf(taper));
        closeTo(held(netOf(taper)), (height / 3) * (area + small + Math.sqrt(area * small)));
      }),
      { numRuns: 40, seed: 3 },
    );
  });

  it('of houses enclose a box and a roof', () => {
    fc.assert(
      fc.property(size, size, size, fc.integer({ min: 3_000, max: 60_000 }), (width, depth, wall, rise) => {
        const solid = houseOf(width, depth, wall, wall + rise);
        const net = netOf(solid);
        checks(solid, net);
        closeTo(held(net), width * depth * (wall + rise / 2));
      }),
      { numRuns: 40, seed: 4 },
    );
  });

  it('lie flat at first, and are folded one face after the other or all at once to the same end', () => {
    const net = netOf(houseOf(60_000, 40_000, 30_000, 50_000));
    for (const pose of foldedNet(net, 0))
      expect([...pose.origin, ...pose.u, ...pose.v].map((value) => value + 0)).toEqual([0, 0, 0, 1, 0, 0, 0, 1, 0]);
    const [together, after] = [foldedNet(net, 1), foldedNet(net, 1, true)];
    for (const [face, pose] of together.entries()) expect(away(pose.origin, of(after, face).origin)).toBeLessThan(1e-6);
    // Half-way with one after the other, the last ones still lie as they hang.
    const half = foldedNet(net, 0.5, true);
    const last = net.hinges.at(-1) as Net['hinges'][number];
    expect(dot(normalOf(of(half, last.child)), normalOf(of(half, last.parent)))).toBeCloseTo(1, 9);
  });

  it('have a tab on one side of every seam, shallower where the face that it is glued to is narrow, none where that is too narrow', () => {
    const box = netOf(boxSolid(60_000, 40_000, 30_000), 6_000);
    expect(box.tabs).toHaveLength(7);
    const flat = netOf(boxSolid(60_000, 40_000, 3_000), 6_000);
    const deep = ({ outline }: Net['tabs'][number]): number => {
      const [[ax, ay], [px, py], , [bx, by]] = outline as unknown as readonly [Point, Point, Point, Point];
      return Math.abs((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / Math.hypot(bx - ax, by - ay);
    };
    for (const tab of box.tabs) expect(deep(tab)).toBeCloseTo(6_000, 6);
    // On the long sides of walls 3 mm high no tab is deeper than these are high.
    const long = ({ outline }: Net['tabs'][number]): number =>
      Math.hypot(of(outline, 3)[0] - of(outline, 0)[0], of(outline, 3)[1] - of(outline, 0)[1]);
    const onWalls = flat.tabs.filter((tab) => !['bottom', 'top'].includes(of(flat.faces, tab.to).name) && long(tab) > 10_000);
    for (const tab of onWalls) expect(deep(tab)).toBeLessThanOrEqual(3_000);
    expect(flat.tabs.length).toBeGreaterThan(3);
    checks(boxSolid(60_000, 40_000, 3_000), flat);
    expect(netOf(boxSolid(60_000, 800, 800), 6_000).tabs.length).toBeLessThan(7);
  });
});

describe('what is rolled', () => {
  it('a can of 66 × 122 mm at 1:6: its label goes once round and its overlap is kept', () => {
    // 66 mm over 6 is 11 mm across; paper of 0.1 mm on it lies on a circle of 11.1 mm.
    const label = labelOf(11_000, 20_333, 100, 3_000);
    expect(label.length).toBe(Math.round(Math.PI * 11_100 + 3_000));
  });

  it('a shade’s sector has both circumferences and the slant as its width', () => {
    fc.assert(
      fc.property(size, size, size, (low, high, height) => {
        fc.pre(Math.abs(low - high) > 100);
        const { inner, outer, angle } = sectorOf(low, high, height);
        expect(angle * outer).toBeCloseTo(Math.PI * Math.max(low, high), 3);
        expect(angle * inner).toBeCloseTo(Math.PI * Math.min(low, high), 3);
        expect(outer - inner).toBeCloseTo(Math.hypot(height, (low - high) / 2), 6);
        // Lateral area of a frustum of a cone: π (R + r) s.
        expect(((angle / 2) * (outer ** 2 - inner ** 2)) / (Math.PI * ((low + high) / 2) * (outer - inner))).toBeCloseTo(1, 9);
      }),
    );
    expect(() => sectorOf(20_000, 20_000, 5_000)).toThrow(RangeError);
  });

  it('a log from a rolled strip: the spiral’s length by summing its turns', () => {
    const [diameter, core, thickness] = [12_000, 3_000, 250];
    const turns = (diameter - core) / 2 / thickness;
    let length = 0;
    for (let turn = 0; turn < turns; turn += 1) length += Math.PI * (core + thickness * (2 * turn + 1));
    expect(spiralOf(diameter, core, thickness) / length).toBeCloseTo(1, 4);
  });
});
