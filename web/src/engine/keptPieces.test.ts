import { derive, readSet } from '@parlor/core/set';
import { IDBFactory, IDBKeyRange } from 'fake-indexeddb';
import { createStore, entries, type UseStore } from 'idb-keyval';
import { beforeEach, describe, expect, it } from 'vitest';
import { type KeptPiece, keepPiece, keptPiece } from './keptPieces.ts';

const read = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [{ name: 'chest' }] });
if (!read.ok) throw new Error('the test document is bad');
const { scale, pieces } = derive(read.value);
const chest = (id: string, revision: number): KeptPiece => ({ revision, scale, piece: { ...(pieces[0] as KeptPiece['piece']), id } });

let store: UseStore;
const here = () => store;

describe('pieces that were looked at', () => {
  beforeEach(() => {
    Object.assign(globalThis, { indexedDB: new IDBFactory(), IDBKeyRange });
    store = createStore('pieces', 'looked-at');
  });

  it('are there again whole, with the save that they are of, for the same program alone', async () => {
    await keepPiece('one', 'attic', chest('a', 3), here);
    expect(await keptPiece('one', 'attic', 'a', here)).toMatchObject(chest('a', 3));
    expect(await keptPiece('two', 'attic', 'a', here)).toBeNull();
    expect(await keptPiece('one', 'cellar', 'a', here)).toBeNull();
    await keepPiece('one', 'attic', chest('a', 4), here);
    expect((await keptPiece('one', 'attic', 'a', here))?.revision).toBe(4);
  });

  it('are let go when there are too many, the oldest first; where nothing can be kept, nothing breaks', async () => {
    for (let count = 0; count < 60; count += 1) await keepPiece('one', 'attic', chest(`p${count}`, 1), here, count);
    expect((await entries(store)).length).toBe(40);
    expect(await keptPiece('one', 'attic', 'p19', here)).toBeNull();
    expect(await keptPiece('one', 'attic', 'p20', here)).not.toBeNull();
    const nowhere = (): UseStore => {
      throw new DOMException('not here', 'SecurityError');
    };
    await keepPiece('one', 'attic', chest('a', 1), nowhere);
    expect(await keptPiece('one', 'attic', 'a', nowhere)).toBeNull();
  });
});
