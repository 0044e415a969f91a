// Things that makers cut of sticks, rounds and shapes, and that worked. Common practice, no source, except where one is named.
import { describe, expect, it } from 'vitest';
import { boxOf, findContacts, outlineOf, type Part, slantsOf } from '../assembly/index.ts';
import { dollOf, scaleFromRatio, UM } from '../measure/index.ts';
import { areaOf, figureRing, grown, less, type Region, regionArea } from '../shape/index.ts';
import { STICKS } from '../stock/index.ts';
import { decided, like, mm, partsOf, span } from './decided.testing.ts';
import { outlineOfStack } from './index.ts';

const inch = (value: number) => ({ doll: Math.round(value * UM.in) });
const lengths = (parts: readonly Part[]): readonly number[] => parts.map(({ length }) => length ?? 0).sort((a, b) => a - b);

describe('stick-built tall bookcase', () => {
  it('two uprights of 8 in; six shelves 4 3/4 in long, each two jumbo sticks thick; the first 1 1/2 in from the floor, 1 in clear between', () => {
    const thick = STICKS['jumbo stick'].thickness;
    const parts = partsOf(
      decided('stick-shelves', {
        width: { doll: Math.round(4.75 * UM.in) + 2 * thick },
        height: inch(8),
        depth: { doll: STICKS['jumbo stick'].width },
        low: inch(1.5),
        clear: inch(1),
      }),
      4_800,
    );
    expect(lengths(like(parts, /upright/))).toEqual([8 * UM.in, 8 * UM.in]);
    const sticks = like(parts, /shelf stick/);
    expect(lengths(sticks)).toEqual(Array(12).fill(Math.round(4.75 * UM.in)));
    const levels = [...new Set(sticks.map((part) => boxOf(part).min[1]))].sort((a, b) => a - b);
    // Two layers to a shelf: the lower ones are the shelves’ undersides.
    const undersides = levels.filter((_, index) => index % 2 === 0);
    expect(undersides[0]).toBe(Math.round(1.5 * UM.in));
    expect(undersides.slice(1).map((level, index) => level - (undersides[index] as number) - 2 * thick)).toEqual(Array(5).fill(UM.in));
  });
});

describe('cot', () => {
  const cot = partsOf(
    decided('cot', {
      width: { doll: 6 * UM.in + 10_000 },
      depth: { doll: 4 * UM.in + 10_000 },
      height: inch(5.5),
      low: inch(2),
      gap: mm(12),
    }),
    3_000,
  );

  it('4 posts of 5 1/2 in, 4 long rails of 6 in, 4 short ones of 4 in, rails 2 in from one end of the posts', () => {
    expect(lengths(like(cot, /^post/))).toEqual(Array(4).fill(5.5 * UM.in));
    expect(lengths(like(cot, /long rail/))).toEqual(Array(4).fill(6 * UM.in));
    expect(lengths(like(cot, /short rail/))).toEqual(Array(4).fill(4 * UM.in));
    const lower = like(cot, /rail-.*-low/).map((part) => boxOf(part).min[1]);
    expect(lower).toEqual(Array(4).fill(2 * UM.in));
  });

  it('has gaps that are equal within 0.05 mm and never over the largest that is allowed', () => {
    for (const [which, axis] of [
      ['front', 0],
      ['left', 2],
    ] as const) {
      const slats = like(cot, new RegExp(`slat-${which}`))
        .map((part) => span(part, axis))
        .sort((a, b) => a[0] - b[0]);
      const posts = like(cot, /^post/).map((part) => span(part, axis));
      const [from, to] = [Math.min(...posts.map(([, end]) => end)), Math.max(...posts.map(([start]) => start))];
      const gaps = [...slats, [to, to] as const].map(([start], index) => start - (index === 0 ? from : (slats[index - 1]?.[1] as number)));
      expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThan(0.05);
      expect(Math.max(...gaps)).toBeLessThanOrEqual(12.05);
      // With one slat fewer a gap would be over it.
      const clear = to - from;
      expect((clear - (slats.length - 1) * 3) / slats.length).toBeGreaterThan(12);
    }
  });

  it('open in front it is a small bed: no slats and no upper rail there', () => {
    const open = partsOf(decided('cot', { front: 'open', width: mm(220), depth: mm(130), height: mm(150), low: mm(50) }), 3_000);
    expect(like(open, /slat-front|rail-front-top/)).toEqual([]);
    expect(like(open, /rail-front-low/)).toHaveLength(1);
  });
});

describe('A-frame rack', () => {
  const [width, height, depth] = [180, 280, 120];
  const rack = partsOf(decided('clothes-rack', { width: mm(width), height: mm(height), depth: mm(depth), low: mm(44) }), 3_000);
  const legs = like(rack, /^leg/);

  it('has legs whose outer edges run from the floor’s edge to the ridge: lengths and angles by Pythagoras', () => {
    expect(legs).toHaveLength(4);
    // The outer edge is √(60² + 280²) = 286.36 mm; level at the foot, upright at the ridge.
    const edge = Math.hypot(depth / 2, height);
    const slope = Math.atan(depth / 2 / height);
    for (const leg of legs) {
      const slants = slantsOf(leg);
      expect(slants.map(({ angle }) => angle).sort((a, b) => a - b)).toEqual([
        expect.closeTo(slope, 3),
        expect.closeTo(Math.PI / 2 - slope, 3),
      ]);
      expect((leg.length ?? 0) / 1000).toBeCloseTo(edge, 1);
      // The short side is less by what each cut takes of the stick's 5 mm: 5 · tan at the foot and 5 ÷ tan at the ridge.
      expect((slants[0]?.short ?? 0) / 1000).toBeCloseTo(edge - 5 * Math.tan(slope) - 5 / Math.tan(slope), 1);
    }
    expect(Math.max(...legs.map((leg) => boxOf(leg).max[1]))).toBeCloseTo(height * 1000, -1);
  });

  it('has legs that meet in the upright plane under the ridge, ties that lie flat on them, and a rod between the frames', () => {
    const contacts = findContacts(rack);
    const between = (a: RegExp, b: RegExp) =>
      contacts.filter((contact) => {
        const [one, other] = [rack[contact.a]?.id ?? '', rack[contact.b]?.id ?? ''];
        return (a.test(one) && b.test(other)) || (a.test(other) && b.test(one));
      });
    const ridge = between(/leg-left-back/, /leg-left-front/);
    expect(ridge).toHaveLength(1);
    expect(outlineOf(ridge[0] as (typeof ridge)[number]).every(([, , z]) => Math.abs(z - (depth * 1000) / 2) < 15)).toBe(true);
    expect(between(/tie-left/, /leg-left/)).toHaveLength(2);
    expect(between(/rod/, /leg-/).length).toBeGreaterThanOrEqual(2);
    expect(lengths(like(rack, /^rod/))).toEqual([(width - 10) * 1000]);
  });
});

describe('pan round a shaped filling', () => {
  it('its outer edge is the outline offset by an even margin, its rim that less the outline', () => {
    const piece = decided('shaped-pan', {});
    const doll = (measure: never) => dollOf(measure, scaleFromRatio(1));
    const base = outlineOfStack(piece as never, doll as never) as Region;
    const parts = partsOf(piece, 4_800);
    const bottom = parts.find(({ role }) => role === 'bottom') as Part;
    const rims = parts.filter(({ role }) => role === 'border');
    const filling = parts.find(({ id }) => id.endsWith('layer-2')) as Part;
    const margin = 30_000;
    const outer = regionArea(grown(base, margin)[0] as Region);
    expect(regionArea(bottom.region)).toBe(outer);
    expect(rims).toHaveLength(2);
    for (const rim of rims) expect(Math.abs(regionArea(rim.region) - (outer - regionArea(base)))).toBeLessThan(1e5);
    // The filling fills the rim's opening: nothing of it is left when the rim is put round it.
    expect(areaOf(less(filling.region, [{ outline: rims[0]?.region.holes[0] as Region['outline'], holes: [] }]))).toBeLessThan(1e5);
    expect(boxOf(filling).min[1]).toBe(boxOf(rims[0] as Part).min[1]);
    // A rounded rectangle of a × b with corners r offset by m: (a + 2m)(b + 2m) − (4 − π)(r + m)².
    const [a, b, r] = [260, 120, 30];
    expect(outer / 1e6).toBeCloseTo((a + 60) * (b + 60) - (4 - Math.PI) * (r + 30) ** 2, -2);
  });
});

describe('polygons', () => {
  it('hexagon: across corners a ÷ sin(π/6) and across flats a ÷ tan(π/6) make sides of 1 in, as a strip of 6 in folded every inch does', () => {
    // Plane geometry, regular n-gon of side a (any table of mensuration).
    const [corners, flats] = [UM.in / Math.sin(Math.PI / 6), UM.in / Math.tan(Math.PI / 6)].map(Math.round) as [number, number];
    const ring = figureRing('polygon', { width: flats, height: corners, corners: 6, round: 0 });
    const sides = ring.map(([x, y], index) => {
      const [nx, ny] = ring[(index + 1) % 6] as readonly [number, number];
      return Math.hypot(nx - x, ny - y);
    });
    for (const side of sides) expect(Math.abs(side - UM.in)).toBeLessThan(2);
    expect(Math.abs(sides.reduce((sum, side) => sum + side, 0) - 6 * UM.in)).toBeLessThan(6);
  });

  it('curved outlines fill their box and stand no chord further off than 0.01 mm', () => {
    for (const figure of ['circle', 'rounded', 'heart', 'cloud', 'arch'] as const) {
      const coarse = figureRing(figure, { width: 90_000, height: 80_000, corners: 5, round: 20_000 });
      expect(Math.max(...coarse.map(([x]) => x))).toBe(90_000);
      expect(Math.max(...coarse.map(([, y]) => y))).toBe(80_000);
      expect(Math.min(...coarse.flat())).toBe(0);
      // Of a circle of radius r a chord c stands c² ÷ 8r off: facets that turn by an angle t over c have r = c ÷ t.
      coarse.forEach((point, index) => {
        const [next, after] = [1, 2].map((more) => coarse[(index + more) % coarse.length] as readonly [number, number]) as [
          readonly [number, number],
          readonly [number, number],
        ];
        const [ax, ay, bx, by] = [next[0] - point[0], next[1] - point[1], after[0] - next[0], after[1] - next[1]];
        const turn = Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
        const chord = Math.max(Math.hypot(ax, ay), Math.hypot(bx, by));
        if (turn < 0.4 && chord < 12_000) expect((chord * turn) / 8).toBeLessThan(14);
      });
    }
  });
});

describe('real sizes of what is sat on and gone through', () => {
  const real = (key: string, path: string) => decided(key)[path as never] as unknown as number;
  // Interior-design handbooks (Panero & Zelnik; Neufert), recalled from memory; ranges in mm.
  it.each([
    ['side-chair', 'seat', 430, 460],
    ['side-chair', 'width', 430, 500],
    ['side-chair', 'height', 800, 950],
    ['slat-chair', 'height', 800, 950],
    ['armchair', 'seat', 400, 450],
    ['armchair', 'width', 800, 800],
    ['armchair', 'depth', 850, 850],
    ['sofa', 'width', 2100, 2100],
    ['sofa', 'depth', 900, 900],
    ['sofa', 'seat', 400, 450],
    ['panel-door', 'width', 762, 914],
    ['panel-door', 'height', 2032, 2032],
  ])('%s: %s lies within its handbook range', (key, path, least, most) => {
    expect(real(key, path)).toBeGreaterThanOrEqual(least * UM.mm);
    expect(real(key, path)).toBeLessThanOrEqual(most * UM.mm);
  });
});

describe('frames', () => {
  it('mitred strips of a 500 × 700 mm frame 45 wide: 500 and 700 at the long point, 410 and 610 at the short, 45° at both ends', () => {
    const strips = like(partsOf(decided('picture-frame', { width: mm(500), height: mm(700), border: mm(45) }), 5_000), /frame strip/);
    const said = strips.map((strip) =>
      slantsOf(strip).map(({ angle, long, short }) => [Math.round((angle * 180) / Math.PI), long / 1000, short / 1000]),
    );
    expect(said.filter(([first]) => first?.[1] === 500)).toEqual(Array(2).fill(Array(2).fill([45, 500, 410])));
    expect(said.filter(([first]) => first?.[1] === 700)).toEqual(Array(2).fill(Array(2).fill([45, 700, 610])));
  });
});
