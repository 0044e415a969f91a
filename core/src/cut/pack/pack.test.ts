import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../kit/index.ts';
import { sheetFaults } from '../checkLayout.testing.ts';
import { largestOffcut } from '../offcuts.ts';
import { solve } from '../solver.testing.ts';
import type { Kind } from './construct.ts';
import { itemsOf, type PackedSheet, type PackItem } from './items.ts';
import { mergeAll } from './merge.ts';
import { costOf, firstAnswer, improve } from './pack.ts';

const NOBODY = (): void => undefined;

/** Rectangles as the checker knows them. */
const lying = (packed: PackedSheet['items'], list: readonly PackItem[]) =>
  packed.map(({ item, x, y, turned }) => {
    const { width, height } = list[item] as PackItem;
    const [w, h] = turned ? [height, width] : [width, height];
    return { id: String(item), left: x, low: y, right: x + w, high: y + h };
  });

/** A rectangle cut apart at random from edge to edge. */
const cutApart = (width: number, height: number, count: number, seed: number): readonly PackItem[] => {
  const random = seededRandom(seed);
  const parts = [{ width, height, turns: true }];
  while (parts.length < count) {
    const at = parts.reduce(
      (best, part, index) => (part.width * part.height > (parts[best] as PackItem).width * (parts[best] as PackItem).height ? index : best),
      0,
    );
    const part = parts[at] as PackItem;
    const long = Math.max(part.width, part.height);
    const cut = Math.round(long * (0.3 + 0.4 * random()));
    const halves =
      part.width === long
        ? [
            { ...part, width: cut },
            { ...part, width: long - cut },
          ]
        : [
            { ...part, height: cut },
            { ...part, height: long - cut },
          ];
    parts.splice(at, 1, ...halves);
  }
  // Handed over turned and in another order than they were cut in.
  return parts.map((part) => (random() < 0.5 ? part : { width: part.height, height: part.width, turns: true })).sort(() => random() - 0.5);
};

describe('what was cut apart without waste', () => {
  it('is put together again, every part once, none over another', () => {
    for (const [count, seed] of [4, 7, 10, 13, 16].flatMap((each) => [1, 2, 3].map((number) => [each, number] as const))) {
      const list = cutApart(500, 420, count, seed);
      const packed = mergeAll(list, { width: 500, height: 420, cost: 1, count: 1 });
      expect(packed, `${count} parts, seed ${seed}`).toBeDefined();
      expect(new Set(packed?.map(({ item }) => item)).size).toBe(count);
      expect(sheetFaults(500, 420, lying(packed ?? [], list), 0, 0)).toEqual([]);
    }
  });

  it('is left alone when the areas do not come to the sheet’s, or something may not turn', () => {
    const list = cutApart(500, 420, 6, 1);
    expect(mergeAll(list, { width: 500, height: 421, cost: 1, count: 1 })).toBeUndefined();
    expect(
      mergeAll(
        list.map((part) => ({ ...part, turns: false })),
        { width: 500, height: 420, cost: 1, count: 1 },
      ),
    ).toBeUndefined();
  });
});

describe('the search', () => {
  const list = fc.array(
    fc.record({ width: fc.integer({ min: 5, max: 90 }), height: fc.integer({ min: 5, max: 90 }), turns: fc.boolean() }),
    { minLength: 2, maxLength: 30 },
  );

  it('never costs more than the first answer, loses no item and lays none over another; with the solver behind it too', () => {
    let better = 0;
    fc.assert(
      fc.property(list, fc.constantFrom('free', 'straight'), fc.boolean(), (items, mode, solver) => {
        const kinds: readonly Kind[] = [
          { width: 100, height: 100, cost: 5, count: Number.POSITIVE_INFINITY },
          { width: 100, height: 160, cost: 7, count: 3 },
        ];
        const packing = itemsOf(items);
        const first = firstAnswer(packing, kinds, mode, 0, NOBODY);
        if (!first) throw new Error('nothing');
        const before = costOf(first, kinds);
        let tries = 0;
        const found = improve(first, items, packing, kinds, mode, 0, {
          random: seededRandom(1),
          tries: 400,
          goOn: () => {
            tries += 1;
            return tries < 800;
          },
          ...(solver ? { choose: { solve, seconds: 1 } } : {}),
        });
        expect(costOf(found, kinds)).toBeLessThanOrEqual(before);
        if (costOf(found, kinds) < before) better += 1;
        expect(found.filter(({ kind }) => kind === 1).length).toBeLessThanOrEqual(3);
        expect(found.flatMap(({ items: packed }) => packed.map(({ item }) => item)).sort((a, b) => a - b)).toEqual(
          items.map((_, index) => index),
        );
        for (const { kind, items: packed } of found) {
          const { width, height } = kinds[kind] as Kind;
          expect(sheetFaults(width, height, lying(packed, items), 0, 0)).toEqual([]);
          for (const { item, turned } of packed) if (turned) expect(items[item]?.turns).toBe(true);
        }
      }),
      { seed: 61, numRuns: 50 },
    );
    // It must really find something now and then.
    expect(better).toBeGreaterThan(0);
  });
});

describe('the largest rest', () => {
  it('is what trying every pair of corners finds', () => {
    const slow = (
      room: { width: number; height: number },
      parts: readonly { x: number; y: number; width: number; height: number }[],
      gap: number,
    ): number => {
      const xs = [0, room.width, ...parts.flatMap(({ x, width }) => [x - gap, x + width + gap])].filter((x) => x >= 0 && x <= room.width);
      const ys = [0, room.height, ...parts.flatMap(({ y, height }) => [y - gap, y + height + gap])].filter(
        (y) => y >= 0 && y <= room.height,
      );
      let best = 0;
      for (const x0 of xs)
        for (const x1 of xs)
          for (const y0 of ys)
            for (const y1 of ys) {
              if (x1 <= x0 || y1 <= y0 || (x1 - x0) * (y1 - y0) <= best) continue;
              const free = parts.every(
                ({ x, y, width, height }) => x - gap >= x1 || x + width + gap <= x0 || y - gap >= y1 || y + height + gap <= y0,
              );
              if (free) best = (x1 - x0) * (y1 - y0);
            }
      return best;
    };
    const part = fc.record({
      x: fc.integer({ min: 0, max: 40 }),
      y: fc.integer({ min: 0, max: 40 }),
      width: fc.integer({ min: 1, max: 20 }),
      height: fc.integer({ min: 1, max: 20 }),
    });
    fc.assert(
      fc.property(fc.array(part, { maxLength: 5 }), fc.integer({ min: 0, max: 2 }), (parts, gap) => {
        const { width, height } = largestOffcut({ width: 50, height: 45 }, parts, gap);
        expect(width * height).toBe(slow({ width: 50, height: 45 }, parts, gap));
      }),
      { seed: 62, numRuns: 150 },
    );
  });
});
