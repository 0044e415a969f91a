import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../kit/index.ts';
import { fewest } from './fewest.testing.ts';
import { type CutItem, layOut, leastSheets, provesInfeasible } from './index.ts';
import { kind, rules, searching } from './searching.testing.ts';
import { solve } from './solver.testing.ts';

/** Parts of one size counted together. */
const countedItems = (parts: readonly { readonly width: number; readonly height: number; readonly turns: boolean }[]) => {
  const key = (part: (typeof parts)[number]) => `${part.width} ${part.height}`;
  return [...new Map(parts.map((part) => [key(part), part])).values()].map((part) => ({
    ...part,
    count: parts.filter((other) => key(other) === key(part)).length,
  }));
};

/** Seconds that pass by how often one looks at them, so that a slow machine shows as much as a quick one. */
const untilTries = (count: number): (() => number) => {
  let asked = 0;
  return () => {
    asked += 1;
    return Math.max(0, count - asked);
  };
};

/** A sheet cut apart from edge to edge, by seed. */
const cutApart = (width: number, height: number, count: number, seed: number) => {
  const random = seededRandom(seed);
  const parts = [{ width, height }];
  while (parts.length < count) {
    const [largest] = [...parts].sort((a, b) => b.width * b.height - a.width * a.height) as [(typeof parts)[number]];
    parts.splice(parts.indexOf(largest), 1);
    const wide = largest.width >= largest.height;
    const at = 1 + Math.floor(random() * ((wide ? largest.width : largest.height) - 1));
    parts.push(
      wide ? { ...largest, width: at } : { ...largest, height: at },
      wide ? { ...largest, width: largest.width - at } : { ...largest, height: largest.height - at },
    );
  }
  return parts;
};

describe('that so many sheets are too few', () => {
  it('so many are never shown to be too few when they are enough, and often when they are not (lengths, by enumeration)', () => {
    let shown = 0;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 4, max: 30 }), { minLength: 4, maxLength: 10 }), (lengths) => {
        const grouped = countedItems(lengths.map((width) => ({ width, height: 10, turns: false })));
        const true_ = fewest(lengths, 30);
        const left = untilTries(400);
        expect(provesInfeasible(grouped, { width: 30, height: 10 }, true_, [], solve, left)).toBe(false);
        if (provesInfeasible(grouped, { width: 30, height: 10 }, true_ - 1, [], solve, left)) shown += 1;
      }),
      { seed: 58, numRuns: 60 },
    );
    expect(shown).toBeGreaterThan(50);
  });

  it('what two sheets were cut apart into is never shown to be too much for them, turned or not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.boolean(), (seed, turns) => {
        const parts = [...cutApart(40, 30, 7, seed), ...cutApart(40, 30, 6, seed + 1)].map((part) => ({ ...part, turns }));
        expect(provesInfeasible(countedItems(parts), { width: 40, height: 30 }, 2, [], solve, untilTries(200))).toBe(false);
        expect(provesInfeasible(countedItems(parts), { width: 40, height: 30 }, 1, [], solve, untilTries(200))).toBe(true);
      }),
      { seed: 59, numRuns: 15 },
    );
  });

  it('shows of one order by hand what no pair of functions shows', () => {
    // A published class made by seed (Berkey & Wang 1987, V: sides of 1 to 100 on 100 × 100, twenty parts, which may turn).
    const random = seededRandom(50_000 + 2_000);
    const side = () => 1 + Math.floor(random() * 100);
    const parts = Array.from({ length: 20 }, () => ({ width: side(), height: side(), turns: true }));
    const square = { width: 100, height: 100 };
    expect(leastSheets(countedItems(parts), square, 'thorough')).toBe(7);
    expect(provesInfeasible(countedItems(parts), square, 7, [], solve, untilTries(2_000))).toBe(true);
    const list = parts.map(({ width, height }, index): CutItem => ({ id: `${index}`, width, height, lies: 'either' }));
    const search = { ...searching(3_000), choose: { solve, seconds: 5, proving: untilTries(2_000) } };
    const laid = layOut(list, [kind(100, 100)], rules(0, 0, 'free'), search);
    expect([laid.sheets.length, laid.least, laid.proven]).toEqual([8, 8, true]);
  });
});
