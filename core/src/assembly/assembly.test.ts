import fc from 'fast-check';
import Module, { type ManifoldToplevel } from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import { seededRandom } from '../kit/index.ts';
import { scaleFromRatio } from '../measure/index.ts';
import { pieces } from '../piece/casework/randomPieces.testing.ts';
import { buildPiece, type Piece } from '../piece/index.ts';
import { boardOf } from '../piece/randomDecisions.testing.ts';
import { normalOf, type Point, type Ring, rectRing, regionArea, toSpace } from '../shape/index.ts';
import { around, boxOf, findContacts, findInterference, guidesOf, inspect, outlineOf, type Part } from './index.ts';

// Independent solid geometry: the Manifold kernel, a general-purpose library that knows nothing of boards. Millimetres, to keep its
// single-precision sums small.
let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

const solidOf = ({ region, thickness, pose }: Part) => {
  const ring = (points: Ring): [number, number][] => points.map(([x, y]) => [x / 1000, y / 1000]);
  const flat = new kernel.CrossSection([ring(region.outline), ...region.holes.map(ring)], 'EvenOdd');
  const [u, v, n, o] = [pose.u, pose.v, normalOf(pose), pose.origin];
  return flat.extrude(thickness / 1000).transform([...u, 0, ...v, 0, ...n, 0, o[0] / 1000, o[1] / 1000, o[2] / 1000, 1]);
};

const part = (outline: Ring, thickness: number, pose: Part['pose'], holes: readonly Ring[] = []): Part => ({
  id: 'x',
  role: 'shelf',
  name: 'x',
  stuff: 'board',
  stock: 'white',
  thickness,
  region: { outline, holes },
  pose,
  grain: 'any',
  held: 'glue',
  length: null,
  centres: [],
});

const sixth = (piece: Piece, thickness: number) =>
  buildPiece(piece, { scale: scaleFromRatio(6), body: scaleFromRatio(6), boards: [boardOf(thickness)] });

const FLAT = { u: [1, 0, 0], v: [0, 1, 0] } as const;
const UPRIGHT = { u: [0, 0, -1], v: [0, 1, 0] } as const;
const LYING = { u: [1, 0, 0], v: [0, 0, -1] } as const;

describe('the truth test', () => {
  it('a solid kernel agrees: parts share no volume, and together fill what they fill apart', () => {
    let checked = 0;
    fc.assert(
      fc.property(pieces(2), (piece) => {
        const built = sixth(piece, 4_800);
        if (!built.ok || built.value.assembly.parts.length > 60) return;
        const solids = built.value.assembly.parts.map(solidOf);
        const apart = built.value.assembly.parts.reduce((sum, { region, thickness }) => sum + (regionArea(region) * thickness) / 1e9, 0);
        const union = kernel.Manifold.union(solids).volume();
        expect(Math.abs(union - apart) / apart).toBeLessThan(1e-4);
        checked += 1;
      }),
      { seed: 43, numRuns: 40 },
    );
    expect(checked).toBeGreaterThan(25);
  });

  it('and on random outlines that do run into each other, both find the same pairs', () => {
    const random = seededRandom(5);
    const whole = (most: number) => Math.floor(random() * most);
    const outlines: Ring[] = [
      rectRing(0, 0, 40_000, 30_000),
      [
        [0, 0],
        [40_000, 0],
        [0, 30_000],
      ],
      [
        [0, 0],
        [40_000, 0],
        [40_000, 10_000],
        [12_000, 10_000],
        [12_000, 30_000],
        [0, 30_000],
      ],
    ];
    let hits = 0;
    for (let round = 0; round < 150; round += 1) {
      const make = () =>
        part(outlines[whole(3)] as Ring, 3_000 + whole(3) * 1_000, {
          ...([FLAT, UPRIGHT, LYING][whole(3)] as typeof FLAT),
          origin: [whole(50) * 1_000, whole(50) * 1_000, whole(50) * 1_000],
        });
      const pair = [make(), make()] as const;
      const shared = kernel.Manifold.intersection([solidOf(pair[0]), solidOf(pair[1])]).volume();
      const found = findInterference(pair).length === 1;
      hits += found ? 1 : 0;
      expect(found, JSON.stringify(pair)).toBe(shared > 1e-3);
    }
    expect(hits).toBeGreaterThan(10);
  });

  it('sees a part moved by one micrometre into another, and one moved away', () => {
    const floor = part(rectRing(0, 0, 50_000, 50_000), 5_000, { ...LYING, origin: [0, 0, 50_000] });
    const wall = (y: number) => part(rectRing(0, 0, 50_000, 40_000), 5_000, { ...FLAT, origin: [0, y, 0] });
    expect(findInterference([floor, wall(5_000)])).toEqual([]);
    expect(findInterference([floor, wall(4_999)])).toEqual([{ a: 0, b: 1 }]);
    expect(findContacts([floor, wall(5_000)])).toHaveLength(1);
    expect(findContacts([floor, wall(5_001)])).toEqual([]);
    expect(
      inspect({
        parts: [floor, wall(5_001)],
        outside: { min: [0, 0, 0], max: [50_000, 45_001, 50_000] },
        clear: { min: [0, 0, 0], max: [0, 0, 0] },
        motions: [],
      }),
    ).toMatchObject({ loose: [1], closes: true });
  });

  it('takes one part alone, and what lies on the ground by itself, for whole things; what stands on an edge is held by nothing', () => {
    const plate = (x: number) => part(rectRing(0, 0, 30_000, 30_000), 3_000, { ...LYING, origin: [x, 0, 30_000] });
    const upright = part(rectRing(0, 0, 50_000, 40_000), 5_000, { ...FLAT, origin: [100_000, 0, 0] });
    const loose = (parts: readonly Part[]): readonly number[] => {
      const whole = around(parts.map(boxOf));
      return inspect({ parts, outside: whole, clear: whole, motions: [] }).loose;
    };
    expect(loose([upright])).toEqual([]);
    expect(loose([plate(0), plate(40_000), plate(80_000)])).toEqual([]);
    expect(loose([plate(0), upright])).toEqual([1]);
  });

  it('leaves matter out of holes: a peg through a ring touches it all round and shares no volume', () => {
    const ring = part(rectRing(0, 0, 30_000, 30_000), 4_000, { ...FLAT, origin: [0, 0, 0] }, [
      [
        [10_000, 10_000],
        [10_000, 20_000],
        [20_000, 20_000],
        [20_000, 10_000],
      ],
    ]);
    const peg = part(rectRing(0, 0, 10_000, 10_000), 20_000, { ...FLAT, origin: [10_000, 10_000, -8_000] });
    expect(findInterference([ring, peg])).toEqual([]);
    const contacts = findContacts([ring, peg]);
    expect(contacts.reduce((area, contact) => area + contact.area, 0)).toBe(4 * 10_000 * 4_000);
    expect(findInterference([ring, { ...peg, pose: { ...peg.pose, origin: [9_999, 10_000, -8_000] } }])).toHaveLength(1);
  });

  it('pencils a shelf’s place on both sides at the same height, and nothing where only a door rests', () => {
    const shelf = part(rectRing(0, 0, 90_000, 40_000), 5_000, { ...LYING, origin: [5_000, 60_000, 40_000] });
    const left = part(rectRing(0, 0, 40_000, 200_000), 5_000, { ...UPRIGHT, origin: [0, 0, 40_000] });
    const right = part(rectRing(0, 0, 40_000, 200_000), 5_000, { u: [0, 0, 1], v: [0, 1, 0], origin: [100_000, 0, 0] });
    const door: Part = { ...part(rectRing(0, 0, 100_000, 200_000), 5_000, { ...FLAT, origin: [0, 0, 40_000] }), held: 'hinge' };
    const parts = [left, right, shelf, door];
    const guides = guidesOf(
      { parts, outside: around(parts.map(boxOf)), clear: around(parts.map(boxOf)), motions: [] },
      findContacts(parts),
    );
    for (const side of [0, 1]) {
      expect(guides[side]).toHaveLength(1);
      expect(guides[side]?.[0]).toMatchObject({ face: 'front', part: 2 });
      const ys = guides[side]?.[0]?.region.outline.map((point: Point) => point[1]) ?? [];
      expect([Math.min(...ys), Math.max(...ys)]).toEqual([60_000, 65_000]);
    }
    expect(guides[3]).toEqual([]);
  });

  it('contacts lie on both parts they join', () => {
    fc.assert(
      fc.property(pieces(2), (piece) => {
        const built = sixth(piece, 5_000);
        if (!built.ok) return;
        const { parts } = built.value.assembly;
        const corners = parts.map(({ region, thickness, pose }) =>
          region.outline.flatMap((point) => [toSpace(pose, point), toSpace(pose, point, thickness)]),
        );
        for (const contact of findContacts(parts)) {
          const { a, b, area } = contact;
          expect(area).toBeGreaterThan(0);
          for (const index of [a, b]) {
            for (const point of outlineOf(contact)) {
              for (const axis of [0, 1, 2] as const) {
                const values = (corners[index] ?? []).map((corner) => corner[axis]);
                expect(point[axis]).toBeGreaterThanOrEqual(Math.min(...values));
                expect(point[axis]).toBeLessThanOrEqual(Math.max(...values));
              }
            }
          }
        }
      }),
      { seed: 44, numRuns: 60 },
    );
  });
});
