import { describe, expect, it } from 'vitest';
import { boxOf, findContacts, inspect, type Part } from '../assembly/index.ts';
import { scaleFromRatio } from '../measure/index.ts';
import { buildPiece, fromPreset, PRESETS } from '../piece/index.ts';
import { areaOf, mapVec, rectRing, regionArea, type Vec3 } from '../shape/index.ts';
import { boardSchema } from '../stock/index.ts';
import { type Surface, surfacesOf } from './exposed.ts';
import { faceAt, facesOf } from './surface.ts';

const WAYS: Readonly<Record<'x' | 'y' | 'z', { readonly u: Vec3; readonly v: Vec3 }>> = {
  x: { u: [0, 1, 0], v: [0, 0, 1] },
  y: { u: [0, 0, 1], v: [1, 0, 0] },
  z: { u: [1, 0, 0], v: [0, 1, 0] },
};

/** A board from one corner of space to another, its thickness along an axis. In millimetres. */
const slab = (id: string, axis: 'x' | 'y' | 'z', min: Vec3, max: Vec3, change: Partial<Part> = {}): Part => {
  const sizes = max.map((value, index) => (value - (min[index] as number)) * 1000) as [number, number, number];
  const [across, along, thickness] = {
    x: [sizes[1], sizes[2], sizes[0]],
    y: [sizes[2], sizes[0], sizes[1]],
    z: [sizes[0], sizes[1], sizes[2]],
  }[axis] as [number, number, number];
  return {
    id,
    role: 'panel',
    name: id,
    stuff: 'board',
    stock: 'b',
    thickness,
    region: { outline: rectRing(0, 0, across, along), holes: [] },
    pose: { origin: mapVec(min, (value) => value * 1000), ...WAYS[axis] },
    grain: 'any',
    held: 'glue',
    length: null,
    centres: [],
    ...change,
  };
};

const surfaces = (parts: readonly Part[], moving: readonly string[] = []): readonly Surface[] =>
  surfacesOf(parts, findContacts(parts), parts.map(boxOf), new Set(moving));

const squareCm = (list: readonly Surface[], part: number, id?: string): number =>
  list.filter((surface) => surface.part === part && (id === undefined || surface.id === id)).reduce((sum, { area }) => sum + area, 0) / 1e8;

/** A closed box of six boards, 10 mm thick, 120 × 100 × 80 mm outside. */
const box = (lid: Partial<Part> = {}): readonly Part[] => [
  slab('bottom', 'y', [0, 0, 0], [120, 10, 80]),
  slab('left', 'x', [0, 10, 0], [10, 90, 80]),
  slab('right', 'x', [110, 10, 0], [120, 90, 80]),
  slab('back', 'z', [10, 10, 0], [110, 90, 10]),
  slab('front', 'z', [10, 10, 70], [110, 90, 80]),
  slab('lid', 'y', [0, 90, 0], [120, 100, 80], lid),
];

describe('exposed faces', () => {
  it('exposed, glued and shut in are the face together, for every face of every preset', () => {
    const scale = scaleFromRatio(6);
    for (const preset of PRESETS) {
      const built = buildPiece(fromPreset(preset, 'p', 1), { scale, body: scale, boards: [boardSchema.parse({ id: 'white' })] });
      if (!built.ok) continue;
      const { parts, motions } = built.value.assembly;
      const { contacts, boxes } = inspect(built.value.assembly);
      for (const surface of surfacesOf(parts, contacts, boxes, new Set(motions.flatMap((motion) => motion.parts)))) {
        const whole = regionArea(surface.region);
        const known = surface.area + areaOf(surface.bare);
        // What is shut in is the rest, and never less than nothing; rounding leaves crumbs of a hundredth of a square millimetre.
        expect(known, `${preset.key} ${parts[surface.part]?.id} ${surface.id}`).toBeLessThanOrEqual(whole + 200_000);
        expect(surface.area).toBeGreaterThanOrEqual(0);
      }
    }
  });

  it('of a closed box only the outside is to be covered: 2 · (12·10 + 12·8 + 10·8) cm²', () => {
    const found = surfaces(box());
    expect(found.reduce((sum, { area }) => sum + area, 0) / 1e8).toBeCloseTo(2 * (12 * 10 + 12 * 8 + 10 * 8), 6);
  });

  it('a lid that opens lets the inside be reached, and its own underside', () => {
    const found = surfaces(box({ held: 'hinge' }), ['lid']);
    // Inside 10 × 8 × 6 cm without its top, the lid all round, and the edges that it only rests on.
    expect(squareCm(found, 5)).toBeCloseTo(2 * (12 * 8) + 2 * (12 + 8) * 1, 6);
    expect(squareCm(found, 0, 'front')).toBeCloseTo(10 * 6, 6);
  });

  it('a window, or glass, is no wall: what is seen through it is covered', () => {
    const holed = box().map((part) =>
      part.id === 'front'
        ? { ...part, region: { ...part.region, holes: [[...rectRing(30_000, 30_000, 70_000, 60_000)].reverse()] } }
        : part,
    );
    expect(squareCm(surfaces(holed), 0, 'front')).toBeCloseTo(10 * 6, 6);
    const glazed = box().map((part) => (part.id === 'front' ? { ...part, stuff: 'clear' as const } : part));
    expect(squareCm(surfaces(glazed), 0, 'front')).toBeCloseTo(10 * 6, 6);
  });

  it('where a shelf is glued the side stays bare, in two halves', () => {
    const parts = [slab('side', 'x', [0, 0, 0], [5, 100, 60]), slab('shelf', 'y', [5, 48, 0], [80, 53, 60])];
    const inner = surfaces(parts).find(({ part, id }) => part === 0 && id === 'front') as Surface;
    expect(inner.exposed.length).toBe(2);
    expect(areaOf(inner.bare)).toBe(5_000 * 60_000);
    expect(inner.area).toBe(95_000 * 60_000);
  });

  it('a touched point is told its face: broad, behind, or the edge it lies on', () => {
    const part = slab('side', 'z', [0, 0, 0], [100, 60, 5]);
    expect(facesOf(part, 0).length).toBe(6);
    expect(faceAt(part, [40_000, 30_000, 5_000])).toBe('front');
    expect(faceAt(part, [40_000, 30_000, 10])).toBe('back');
    expect(faceAt(part, [99_990, 30_000, 2_500])).toBe('edge 0.1');
  });
});
