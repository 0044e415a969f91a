import { afterAll, describe, expect, it } from 'vitest';
import { killRounds } from './crash.testing.ts';
import { endAll } from './process.testing.ts';

const ROUNDS = 20;

afterAll(endAll);

describe('killed in mid-save', () => {
  it(`over ${ROUNDS} rounds keeps every save it acknowledged, and is never half-written`, { timeout: 900_000 }, async () => {
    const { tried, lost } = await killRounds(ROUNDS, 20);
    expect(lost).toEqual([]);
    expect(tried).toBeGreaterThan(ROUNDS * 3);
  });
});
