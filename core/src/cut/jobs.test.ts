import { describe, expect, it } from 'vitest';
import { type BoardJob, boughtSticks, cutStickJobs, layOutJobs, type StickJob, searchOf } from './jobs.ts';
import { type SheetKind, USUAL_WISHES } from './supplies.ts';

const SHEET: SheetKind = { name: 'sheet', width: 100, height: 200, price: null, atHand: 0, offcut: null };

const job = (key: string, count: number): BoardJob => ({
  key,
  board: 'white',
  items: Array.from({ length: count }, (_, index) => ({ id: `${key} ${index}`, width: 60, height: 90, lies: 'either' as const })),
  kinds: [SHEET],
  pinned: [],
  rules: { gap: 0, trim: { left: 0, right: 0, bottom: 0, top: 0 }, mode: 'free', wishes: USUAL_WISHES },
});

describe('jobs of boards', () => {
  it('are laid out one after another; a job that was laid out keeps its very layout', () => {
    const [one, two] = layOutJobs([job('a', 3), job('b', 5)]);
    expect([one?.layout.sheets.length, two?.layout.sheets.length]).toEqual([1, 2]);
    const again = layOutJobs([job('b', 5), job('c', 1)], one && two ? [one, two] : []);
    expect(again[0]).toBe(two);
    expect(again.map(({ key }) => key)).toEqual(['b', 'c']);
  });

  it('are searched once: what was searched for is kept, and what only stood at first is not', () => {
    const first = layOutJobs([job('a', 7)]).map((each) => ({ ...each, searched: false }));
    const heard: string[] = [];
    const searched = layOutJobs(
      [job('a', 7)],
      first,
      () => searchOf(undefined),
      ({ key }) => heard.push(key),
    );
    expect(searched[0]).toMatchObject({ searched: true, key: 'a' });
    expect(heard.every((key) => key === 'a')).toBe(true);
    expect(
      layOutJobs([job('a', 7)], searched, () => {
        throw new Error('searched again');
      })[0],
    ).toBe(searched[0]);
  });
});

describe('jobs of sticks', () => {
  const sticks = (key: string, lengths: readonly number[]): StickJob => ({
    key,
    stock: { length: 300, ends: 0, kerf: 1 },
    items: lengths.map((length, index) => ({ id: `${key} ${index}`, length })),
  });

  it('keep the layout of equal jobs and whatever else is told of them', () => {
    const [plan] = cutStickJobs([{ ...sticks('a', [200, 90, 150]), marked: 'x' }]);
    expect([plan?.marked, plan && boughtSticks(plan.layout).length]).toEqual(['x', 2]);
    const [again] = cutStickJobs([{ ...sticks('a', [200, 90, 150]), marked: 'y' }], plan ? [plan] : []);
    expect(again?.layout).toBe(plan?.layout);
    expect(again?.marked).toBe('y');
  });
});
