import { boxOf } from '@parlor/core/assembly';
import { PRESETS } from '@parlor/core/piece';
import { derive, readSet } from '@parlor/core/set';
import { describe, expect, it } from 'vitest';
import { drawnFrom, SIGHTS, type SightName } from './drawings.ts';
import { pictureOf } from './picture.ts';

/** Every preset at 1 : 6, built. */
const built = [0, 1].flatMap((half) => {
  // More than one set may hold.
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    doll: { scale: { by: 'ratio', ratio: 6 } },
    pieces: PRESETS.filter((_, index) => index % 2 === half).map(({ piece }) => piece),
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return derive(read.value).pieces.flatMap(({ name, made }) => (made ? [{ name, ...made.assembly }] : []));
});

const numbersIn = (path: string): readonly number[] => (path.match(/-?\d+(\.\d+)?(e-?\d+)?/g) ?? []).map(Number);

/** The box round everything that is drawn. */
const around = (drawings: ReturnType<typeof drawnFrom>) => ({
  x0: Math.min(...drawings.map(({ x }) => x)),
  x1: Math.max(...drawings.map(({ x, width }) => x + width)),
  y0: Math.min(...drawings.map(({ y }) => y)),
  y1: Math.max(...drawings.map(({ y, height }) => y + height)),
});

describe('elevations of every preset', () => {
  it('there are presets to be drawn', () => {
    expect(built.length).toBeGreaterThan(35);
  });

  it.each(SIGHTS)('from the %s all parts are drawn, together as large as the parts are', (sight) => {
    const across: Readonly<Record<SightName, readonly [number, number]>> = { front: [0, 1], side: [2, 1], top: [0, 2] };
    const [wide, high] = across[sight];
    for (const { name, parts } of built) {
      const drawings = drawnFrom(parts, sight);
      expect(
        [...drawings.map(({ index }) => index)].sort((a, b) => a - b),
        name,
      ).toEqual(parts.map((_, index) => index));
      const boxes = parts.map(boxOf);
      const extent = (axis: number) =>
        (Math.max(...boxes.map(({ max }) => max[axis] as number)) - Math.min(...boxes.map(({ min }) => min[axis] as number))) / 1000;
      const { x0, x1, y0, y1 } = around(drawings);
      expect(
        [x1 - x0, y1 - y0].map((value) => Math.round(value * 100) / 100),
        name,
      ).toEqual([extent(wide), extent(high)].map((value) => Math.round(value * 100) / 100));
      // The box that is said is the box of the path; only holes lie further in.
      for (const { path, x, y, width, height } of drawings) {
        const numbers = numbersIn(path);
        const [xs, ys] = [numbers.filter((_, at) => at % 2 === 0), numbers.filter((_, at) => at % 2 === 1)];
        expect(Math.min(...xs), name).toBeCloseTo(x, 3);
        expect(Math.max(...xs), name).toBeCloseTo(x + width, 3);
        expect(-Math.max(...ys), name).toBeCloseTo(y, 3);
        expect(-Math.min(...ys), name).toBeCloseTo(y + height, 3);
      }
    }
  });

  it('what is nearer is drawn later', () => {
    for (const { parts } of built) {
      const fronts = drawnFrom(parts, 'front').map(({ index }) => boxOf(parts[index] as (typeof parts)[number]).max[2]);
      expect(fronts.every((near, at) => at === 0 || near >= (fronts[at - 1] as number))).toBe(true);
    }
  });
});

describe('pictures of every preset', () => {
  it('show faces that lie inside the picture, lit from above', () => {
    for (const { name, parts } of built) {
      const { faces, x, y, width, height } = pictureOf(parts);
      expect(faces.length, name).toBeGreaterThanOrEqual(parts.length);
      for (const { path, light, as } of faces) {
        const numbers = numbersIn(path);
        if (as !== 'line') expect(light, name).toBeGreaterThan(0.6);
        expect(light, name).toBeLessThanOrEqual(1);
        const [xs, ys] = [numbers.filter((_, at) => at % 2 === 0), numbers.filter((_, at) => at % 2 === 1)];
        expect(Math.min(...xs) >= x - 0.02 && Math.max(...xs) <= x + width + 0.02, name).toBe(true);
        expect(Math.min(...ys) >= y - 0.02 && Math.max(...ys) <= y + height + 0.02, name).toBe(true);
      }
    }
  });
});
