// The one family whose parts stand at an angle to each other: worked by hand here, from the plan seen from above.
import { describe, expect, it } from 'vitest';
import { boxOf, inspect, type Part } from '../../assembly/index.ts';
import { type Measure, realUm, scaleFromRatio } from '../../measure/index.ts';
import { toSpace } from '../../shape/index.ts';
import { boardSchema } from '../../stock/index.ts';
import { buildPiece, type Means } from '../index.ts';
import { type Screen, screenSchema } from './screen.ts';

const BOARD = boardSchema.parse({ id: 'white', name: 'white' });
const MEANS: Means = { scale: scaleFromRatio(6), body: scaleFromRatio(6), boards: [BOARD] };
const screen = (change: Partial<Record<keyof Screen, unknown>> = {}): Screen =>
  ({ ...screenSchema.parse({ family: 'screen', ...change }), id: 's', mark: 1 }) as Screen;
const built = (piece: Screen) => {
  const made = buildPiece(piece, MEANS);
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value.assembly;
};
const mm = (size: number): Measure => realUm(size * 1_000);

/** The corners of a panel in the plan, back left, back right, front left, front right. */
const plan = ({ pose, region, thickness }: Part): readonly (readonly [number, number])[] => {
  const wide = Math.max(...region.outline.map(([x]) => x));
  return [
    [0, 0],
    [wide, 0],
    [0, thickness],
    [wide, thickness],
  ].map(([x = 0, off = 0]) => {
    const [a, , b] = toSpace(pose, [x, 0], off);
    return [a, b] as const;
  });
};

const apart = (a: readonly [number, number] | undefined, b: readonly [number, number] | undefined): number =>
  Math.hypot((a?.[0] ?? 0) - (b?.[0] ?? 1e9), (a?.[1] ?? 0) - (b?.[1] ?? 1e9));

describe('a folding screen', () => {
  it('stands as deep as was asked for, and its panels meet in edges that look into the fold', () => {
    for (const [panels, depth] of [
      [3, 200],
      [4, 350],
      [8, 60],
    ] as const) {
      const assembly = built(screen({ panels, depth: mm(depth), width: mm(450) }));
      expect(assembly.outside.max[2] / 1_000).toBeCloseTo(depth / 6, 1);
      // Turned by θ, a board w × t is w sin θ + t cos θ deep: here w = 75 mm, t = 5 mm. Along the floor it is w cos θ, and up to t sin θ more at each fold.
      const theta = Math.asin(depth / 6 / Math.hypot(75, 5)) - Math.atan2(5, 75);
      const long = panels * 75 * Math.cos(theta);
      expect(Math.abs(assembly.outside.max[0] / 1_000 - long)).toBeLessThan(5 * Math.sin(theta) * panels + 0.5);
      const corners = assembly.parts.map(plan);
      for (let joint = 0; joint + 1 < panels; joint += 1) {
        const [one, other] = [corners[joint] ?? [], corners[joint + 1] ?? []];
        // Back edges meet at every other fold, front edges between.
        const [meets, opens] =
          joint % 2 === 0 ? [apart(one[1], other[0]), apart(one[3], other[2])] : [apart(one[3], other[2]), apart(one[1], other[0])];
        expect(meets).toBeLessThan(3);
        expect(opens).toBeGreaterThan(100);
      }
    }
  });

  it('has nothing that runs into another, opens flat, and hangs on as many hinges as it has folds', () => {
    for (const panels of [2, 3, 5, 8]) {
      const assembly = built(screen({ panels }));
      expect(inspect(assembly)).toMatchObject({ interference: [], loose: [], closes: true, stopped: [] });
      expect(assembly.motions.length).toBe(panels - 1);
    }
  });

  it('opened by its own angle, two panels are in line', () => {
    const { motions, parts } = built(screen({ panels: 2 }));
    const [swing] = motions;
    if (swing?.kind !== 'swing') throw new Error('no swing');
    const [cos, sin] = [Math.cos(swing.angle), Math.sin(swing.angle)];
    const u = parts[1]?.pose.u ?? [0, 0, 0];
    const turned = [u[0] * cos + u[2] * sin, u[2] * cos - u[0] * sin];
    expect(turned[0]).toBeCloseTo(parts[0]?.pose.u[0] ?? 9, 6);
    expect(turned[1]).toBeCloseTo(parts[0]?.pose.u[2] ?? 9, 6);
  });

  it('at nought stands flat, in one line', () => {
    const { outside, parts } = built(screen({ depth: mm(0), panels: 4 }));
    expect(outside.max).toEqual([300_000, 283_333, 5_000]);
    expect(parts.map((part) => boxOf(part).min[0])).toEqual([0, 75_000, 150_000, 225_000]);
  });

  it('says what does not fit: deeper than it reaches, narrower than its hinges', () => {
    const said = (change: Partial<Record<keyof Screen, unknown>>) => {
      const made = buildPiece(screen(change), MEANS);
      return made.ok ? 'built' : 'what' in made.error ? made.error.what : made.error.code;
    };
    expect(said({ depth: mm(420) })).toBe('the panels, folded so deep');
    expect(said({ width: mm(80) })).toBe('the hinges of a panel');
  });
});
