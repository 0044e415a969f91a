import { expect, it } from 'vitest';
import { DOORS } from './hostile.testing.ts';

// With the ten thousand requests, and the four hundred copies that are restored, more than twenty thousand; a million in `npm run bench:trust`.
const COUNTS: Readonly<Record<string, number>> = { documents: 2_000, files: 2_000, drawings: 3_000, journals: 2_000, copies: 1_000 };

it.each(Object.entries(COUNTS))('%s from anybody, %i by seed, are taken or refused, and nothing in between', async (door, count) => {
  for (let seed = 1; seed <= count; seed += 1)
    try {
      await DOORS[door]?.(seed);
    } catch (problem) {
      expect.fail(`seed ${seed}: ${problem instanceof Error ? problem.message : problem}`);
    }
});
