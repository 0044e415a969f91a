import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxOf, inspect } from '../../assembly/index.ts';
import { dollOf, type Scale, scaleFromRatio, UM } from '../../measure/index.ts';
import { regionArea } from '../../shape/index.ts';
import type { Board } from '../../stock/index.ts';
import type { Built } from '../parts/built.ts';
import { boardOf } from '../randomDecisions.testing.ts';
import { buildCasework as build } from './buildCasework.ts';
import { type Casework, caseworkSchema } from './casework.ts';
import { pieces, walls } from './randomPieces.testing.ts';

const buildCasework = (piece: Casework, scale: Scale, boards: readonly Board[]) => build(piece, { scale, body: scale, boards });

const SIXTH = scaleFromRatio(6);
const white = [boardOf(4_800)];

const made = (piece: Casework, scale = SIXTH, boards = white): Built => {
  const built = buildCasework(piece, scale, boards);
  if (!built.ok) throw new Error(JSON.stringify(built.error));
  return built.value;
};

const casework = (file: Record<string, unknown>): Casework => ({ ...caseworkSchema.parse(file), id: 'p', mark: 1 }) as Casework;

const sizesOf = ({ assembly }: Built, role: string): readonly string[] =>
  assembly.parts
    .filter((part) => part.role === role || (role === 'side' && part.role === 'last side'))
    .map(({ region }) => {
      const [x, y] = region.outline[2] as readonly [number, number];
      return `${x} × ${y}`;
    });

describe('casework', () => {
  it('any tree of bays assembles without gap or overlap, and fills its box to the micrometre', () => {
    let parts = 0;
    let standing = 0;
    fc.assert(
      fc.property(pieces(3), fc.integer({ min: 1_500, max: 6_500 }), fc.constantFrom(3, 4, 6), (piece, thickness, ratio) => {
        const built = buildCasework(piece, scaleFromRatio(ratio), [boardOf(thickness)]);
        if (!built.ok) {
          expect('available' in built.error && built.error.available < built.error.needed).toBe(true);
          return;
        }
        const { assembly } = built.value;
        parts = Math.max(parts, assembly.parts.length);
        standing += 1;
        const seen = inspect(assembly);
        expect(seen.interference).toEqual([]);
        expect(seen.closes).toBe(true);
        expect(seen.clearIsFree).toBe(true);
        expect(seen.loose).toEqual([]);
        expect(new Set(assembly.parts.map(({ id }) => id)).size).toBe(assembly.parts.length);
        expect(assembly.parts.every(({ region }) => regionArea(region) > 0)).toBe(true);
      }),
      { seed: 41, numRuns: 500 },
    );
    // The generator must really reach what it claims to test.
    expect(standing).toBeGreaterThan(300);
    expect(parts).toBeGreaterThan(50);
  });

  it('walls of hundreds of parts are as right as small ones', () => {
    fc.assert(
      fc.property(walls, (wall) => {
        const { assembly } = made(wall, scaleFromRatio(6), [boardOf(3_000)]);
        expect(assembly.parts.length).toBeGreaterThan(60);
        const { interference, closes, clearIsFree, loose } = inspect(assembly);
        expect({ interference, closes, clearIsFree, loose }).toEqual({ interference: [], closes: true, clearIsFree: true, loose: [] });
      }),
      { seed: 45, numRuns: 25 },
    );
    const most = fc
      .sample(walls, { seed: 45, numRuns: 25 })
      .map((wall) => made(wall, scaleFromRatio(6), [boardOf(3_000)]).assembly.parts.length);
    expect(Math.max(...most)).toBeGreaterThan(200);
  });

  it('holds the outside: the box is the stated size; holds the inside: the clear space is, and the box grows by the boards exactly', () => {
    fc.assert(
      fc.property(pieces(2), (piece) => {
        const outside = buildCasework({ ...piece, hold: 'outside' }, SIXTH, white);
        const inside = buildCasework({ ...piece, hold: 'inside' }, SIXTH, white);
        if (!outside.ok || !inside.ok) return;
        const stated = [piece.width, piece.height, piece.depth].map((size) => dollOf(size, SIXTH));
        expect(outside.value.assembly.outside.max).toEqual(stated);
        const { min, max } = inside.value.assembly.clear;
        expect(max.map((value, axis) => value - (min[axis] as number))).toEqual(stated);
        const grown = inside.value.assembly.outside.max[0] - outside.value.assembly.outside.max[0];
        expect(grown).toBe(2 * 4_800);
      }),
      { seed: 42, numRuns: 200 },
    );
  });

  it('a part between two others is shorter by two thicknesses', () => {
    const sides = made(casework({ width: '600 mm', height: '1200 mm', depth: '300 mm', corner: 'sides', back: 'none' }));
    expect(sizesOf(sides, 'side')).toEqual(['50000 × 200000', '50000 × 200000']);
    expect(sizesOf(sides, 'top')).toEqual([`${100_000 - 2 * 4_800} × 50000`]);
    const top = made(casework({ width: '600 mm', height: '1200 mm', depth: '300 mm', corner: 'top', back: 'none' }));
    expect(sizesOf(top, 'top')).toEqual(['100000 × 50000']);
    expect(sizesOf(top, 'side')).toEqual([`50000 × ${200_000 - 2 * 4_800}`, `50000 × ${200_000 - 2 * 4_800}`]);
  });

  it('a measured thickness re-solves every part that it touches', () => {
    const piece = casework({ front: { kind: 'shelves', count: 2 } });
    const [nominal] = sizesOf(made(piece, SIXTH, [boardOf(5_000)]), 'shelf');
    const [measured] = sizesOf(made(piece, SIXTH, [{ ...boardOf(5_000), measured: 4_600 as never }]), 'shelf');
    expect(nominal).toBe(`${150_000 - 2 * 5_000} × ${50_000 - 5_000}`);
    expect(measured).toBe(`${150_000 - 2 * 4_600} × ${50_000 - 4_600}`);
  });

  it('inset doors keep their gap on every side; overlay doors lap the panels and keep a gap between neighbours', () => {
    const inset = made(casework({ front: { kind: 'door', fit: 'inset', gap: '0.5 mm' } }));
    expect(sizesOf(inset, 'door')).toEqual([`${150_000 - 2 * 4_800 - 1_000} × ${300_000 - 2 * 4_800 - 1_000}`]);
    const door = { kind: 'door', fit: 'overlay', lap: '3 mm', gap: '1 mm' };
    const pair = made(casework({ front: { kind: 'columns', slots: [{ cell: door }, { cell: door }] } }));
    const [left, right] = pair.assembly.parts.filter(({ role }) => role === 'door').map(boxOf);
    // Each may cover half of the upright between them less half the gap.
    expect((right?.min[0] ?? 0) - (left?.max[0] ?? 0)).toBe(1_000);
    expect(left?.min[0]).toBe(4_800 - 3_000);
  });

  it('says which bay has no room, and which direction is too small', () => {
    const crowded = casework({
      width: '600 mm',
      front: {
        kind: 'columns',
        slots: [
          { size: { clear: '500 mm' }, cell: { kind: 'open' } },
          { size: { clear: '300 mm' }, cell: { kind: 'open' } },
        ],
      },
    });
    expect(buildCasework(crowded, SIXTH, white)).toMatchObject({
      ok: false,
      error: { code: 'no-room', path: [], available: 90_400, needed: 138_133 },
    });
    expect(buildCasework(casework({ width: '50 mm' }), SIXTH, white)).toMatchObject({
      ok: false,
      error: { code: 'too-small', direction: 'width' },
    });
  });
});

describe('shelf cases that makers have cut', () => {
  // Common practice, no source: shelf unit of foam board, two 7 × 1 1/2 in uprights, four shelves 1 1/2 in deep × 4 1/2 in, one on top.
  it('shelf unit: two uprights of 7 × 1 1/2 in, four boards of 4 1/2 × 1 1/2 in', () => {
    const board = boardOf(Math.round((3 / 16) * UM.in));
    const unit = casework({
      width: 4.5 * UM.in + 2 * board.nominal,
      height: 7 * UM.in,
      depth: 1.5 * UM.in,
      back: 'none',
      front: { kind: 'shelves', count: 2 },
    });
    const built = made(unit, scaleFromRatio(1), [board]);
    expect(sizesOf(built, 'side')).toEqual(Array(2).fill(`${1.5 * UM.in} × ${7 * UM.in}`));
    expect([...sizesOf(built, 'top'), ...sizesOf(built, 'shelf'), ...sizesOf(built, 'bottom')]).toEqual(
      Array(4).fill(`${4.5 * UM.in} × ${1.5 * UM.in}`),
    );
    const heights = built.assembly.parts
      .filter(({ role }) => role !== 'side' && role !== 'last side')
      .map((part) => boxOf(part).min[1])
      .sort((a, b) => a - b);
    const gaps = heights.slice(1).map((height, index) => height - (heights[index] as number));
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1);
  });

  // Common practice, no source: two 8 in uprights; six shelves 4 3/4 in long, each two jumbo sticks thick (sticks of 1.8 mm); the first
  // 1 1/2 in from the floor, 1 in clear between. Our carcass adds a top above them.
  it('tall bookcase: six boards of 4 3/4 in, the first 1 1/2 in from the floor, 1 in clear between', () => {
    const board = boardOf(3_600);
    const rows = [...Array.from({ length: 5 }, () => ({ size: { clear: '1 in' }, cell: { kind: 'open' } })), { cell: { kind: 'open' } }];
    const built = made(
      casework({
        width: 4.75 * UM.in + 2 * 3_600,
        height: '8 in',
        depth: '3/4 in',
        back: 'none',
        plinth: '1 1/2 in',
        front: { kind: 'rows', slots: rows },
      }),
      scaleFromRatio(1),
      [board],
    );
    const shelves = built.assembly.parts
      .filter(({ role }) => role === 'bottom' || role === 'divider')
      .map(boxOf)
      .sort((a, b) => a.min[1] - b.min[1]);
    expect(shelves).toHaveLength(6);
    expect(shelves.every(({ min, max }) => max[0] - min[0] === 4.75 * UM.in)).toBe(true);
    expect(shelves[0]?.min[1]).toBe(1.5 * UM.in);
    expect(shelves.slice(1).map(({ min }, index) => min[1] - (shelves[index]?.max[1] ?? 0))).toEqual(Array(5).fill(UM.in));
    expect(sizesOf(built, 'side')).toEqual(Array(2).fill(`${0.75 * UM.in} × ${8 * UM.in}`));
  });
});
