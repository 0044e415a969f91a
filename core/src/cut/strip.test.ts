import { describe, expect, it } from 'vitest';
import { seededRandom } from '../kit/index.ts';
import { layOnStrip, type StripItem, type StripPlace } from './index.ts';

const overlaps = (a: StripPlace, b: StripPlace, gap: number): boolean =>
  a.x < b.x + b.width + gap && b.x < a.x + a.width + gap && a.y < b.y + b.height + gap && b.y < a.y + a.height + gap;

const someItems = (seed: number, count: number, width: number): readonly StripItem[] => {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, index) => ({
    id: `p${index}`,
    width: Math.round(5_000 + random() * width * 0.6),
    height: Math.round(5_000 + random() * 120_000),
    crosswise: random() < 0.4,
  }));
};

/** A rectangle cut to and fro into pieces: they fill it exactly, so nothing is shorter. */
const cutUp = (seed: number, width: number, height: number, cuts: number): readonly StripItem[] => {
  const random = seededRandom(seed);
  let pieces: readonly (readonly [number, number])[] = [[width, height]];
  for (let cut = 0; cut < cuts; cut += 1) {
    const index = pieces.reduce((best, [w, h], at) => (w * h > (pieces[best]?.[0] ?? 0) * (pieces[best]?.[1] ?? 0) ? at : best), 0);
    const [w, h] = pieces[index] as readonly [number, number];
    const share = 0.3 + random() * 0.4;
    const halves =
      w > h
        ? ([
            [Math.round(w * share), h],
            [w - Math.round(w * share), h],
          ] as const)
        : ([
            [w, Math.round(h * share)],
            [w, h - Math.round(h * share)],
          ] as const);
    pieces = [...pieces.slice(0, index), ...halves, ...pieces.slice(index + 1)];
  }
  return pieces.map(([w, h], index) => ({ id: `p${index}`, width: w, height: h, crosswise: false }));
};

describe('pieces on cloth of one width', () => {
  it('lie within it, a gap apart, each exactly once, turned only where they may be, and never shorter than the bound', () => {
    for (let seed = 0; seed < 40; seed += 1) {
      const [width, gap] = [[300_000, 700_000, 1_100_000][seed % 3] as number, seed % 2 === 0 ? 3_000 : 0];
      const items = someItems(seed, 1 + (seed % 25), width);
      const rests = seed % 4 === 0 ? [{ id: 'r', width: 160_000, height: 110_000 }] : [];
      const { places, rests: filled, length, least, tooWide } = layOnStrip(items, width, rests, gap);
      const all = [...places, ...filled.flatMap((rest) => rest.places)];
      expect([...all.map(({ id }) => id), ...tooWide].sort()).toEqual(items.map(({ id }) => id).sort());
      for (const place of all) {
        const item = items.find(({ id }) => id === place.id) as StripItem;
        expect(place.turned ? [place.height, place.width] : [place.width, place.height]).toEqual([item.width, item.height]);
        if (place.turned) expect(item.crosswise).toBe(true);
      }
      for (const [lain, wide, long] of [
        [places, width, length] as const,
        ...filled.map(({ places: on, rest }) => [on, rest.width, rest.height] as const),
      ])
        lain.forEach((place, index) => {
          expect(place.x >= 0 && place.y >= 0 && place.x + place.width <= wide && place.y + place.height <= long).toBe(true);
          for (const other of lain.slice(index + 1)) expect(overlaps(place, other, gap)).toBe(false);
        });
      expect(least).toBeLessThanOrEqual(length);
    }
  });

  it('is near the shortest where that is known', () => {
    let worst = 1;
    for (let seed = 0; seed < 12; seed += 1) {
      const { length, least } = layOnStrip(cutUp(seed, 600_000, 400_000, 7 + seed), 600_000, [], 0);
      expect(least).toBeLessThanOrEqual(400_000);
      worst = Math.max(worst, length / 400_000);
    }
    expect(worst).toBeLessThan(1.2);
  });

  it('finds the shortest of few: all orders compared', () => {
    const items = someItems(77, 5, 300_000).map((item) => ({ ...item, crosswise: false }));
    const orders = (list: readonly StripItem[]): readonly (readonly StripItem[])[] =>
      list.length <= 1 ? [list] : list.flatMap((first) => orders(list.filter((each) => each !== first)).map((rest) => [first, ...rest]));
    // Each piece lies on others or on the edge: of all orders in which they can be put down lowest, one is best.
    const lowest = (order: readonly StripItem[]): number => {
      const down: { x: number; y: number; w: number; h: number }[] = [];
      for (const { width, height } of order) {
        const xs = [0, ...down.map(({ x, w }) => x + w)].filter((x) => x + width <= 300_000);
        const at = xs
          .map((x) => ({ x, y: Math.max(0, ...down.filter((d) => d.x < x + width && x < d.x + d.w).map((d) => d.y + d.h)) }))
          .sort((a, b) => a.y - b.y || a.x - b.x)[0] as { x: number; y: number };
        down.push({ ...at, w: width, h: height });
      }
      return Math.max(...down.map(({ y, h }) => y + h));
    };
    const best = Math.min(...orders(items).map(lowest));
    expect(layOnStrip(items, 300_000, [], 0).length).toBeLessThanOrEqual(best);
  });

  it('uses scraps first, and says what is too wide', () => {
    const small: StripItem = { id: 'small', width: 50_000, height: 40_000, crosswise: false };
    const wide: StripItem = { id: 'wide', width: 900_000, height: 10_000, crosswise: false };
    const laid = layOnStrip([small, wide], 300_000, [{ id: 's', width: 60_000, height: 60_000 }], 3_000);
    expect(laid.rests.map(({ rest, places }) => [rest.id, places.map(({ id }) => id)])).toEqual([['s', ['small']]]);
    expect(laid).toMatchObject({ length: 0, tooWide: ['wide'] });
    expect(layOnStrip([{ ...wide, crosswise: true }], 300_000, [], 0)).toMatchObject({ length: 900_000, tooWide: [] });
  });

  it('is the same for the same pieces', () => {
    const items = someItems(9, 24, 700_000);
    expect(layOnStrip(items, 700_000, [], 3_000)).toEqual(layOnStrip(items, 700_000, [], 3_000));
  });
});
