import type { StickLayout } from '@parlor/core/cut';
import { IDBFactory, IDBKeyRange } from 'fake-indexeddb';
import { createStore, entries, type UseStore } from 'idb-keyval';
import { beforeEach, describe, expect, it } from 'vitest';
import { type FoundLayout, keepLayouts, keptLayouts } from './foundLayouts.ts';

const found = (key: string, least = 1): FoundLayout => ({ key, layout: { sticks: [], least, tooLong: [] } satisfies StickLayout });

let store: UseStore;
const here = () => store;

describe('layouts that were found', () => {
  beforeEach(() => {
    Object.assign(globalThis, { indexedDB: new IDBFactory(), IDBKeyRange });
    store = createStore('found', 'layouts');
  });

  it('are there again for the same jobs of the same program, and for no other', async () => {
    await keepLayouts('one', [found('a'), found('b', 2)], here);
    expect(await keptLayouts('one', ['b', 'c', 'a'], here)).toEqual([found('b', 2), found('a')]);
    expect(await keptLayouts('two', ['a', 'b'], here)).toEqual([]);
    await keepLayouts('one', [found('a', 3)], here);
    expect(await keptLayouts('one', ['a'], here)).toEqual([found('a', 3)]);
  });

  it('are let go when there are too many, the oldest first', async () => {
    const many = (from: number) => Array.from({ length: 300 }, (_, index) => found(`job ${from + index}`));
    await keepLayouts('one', many(0), here, 1);
    await keepLayouts('one', many(300), here, 2);
    expect((await entries(store)).length).toBe(400);
    expect((await keptLayouts('one', ['job 300', 'job 599'], here)).length).toBe(2);
  });

  it('are searched anew where nothing can be kept', async () => {
    const broken = (): UseStore => () => Promise.reject(new Error('not allowed'));
    await keepLayouts('one', [found('a')], broken);
    expect(await keptLayouts('one', ['a'], broken)).toEqual([]);
  });
});
