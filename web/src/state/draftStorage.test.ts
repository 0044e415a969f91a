import { readSet, type SetDocument } from '@parlor/core/set';
import { IDBFactory } from 'fake-indexeddb';
import { createStore, get, keys } from 'idb-keyval';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  type DraftPlaces,
  dropAside,
  findHeld,
  findKept,
  forget,
  hold,
  keep,
  keepAtOnce,
  letGo,
  listAside,
  putAside,
  unsentSets,
} from './draftStorage.ts';

const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'Attic' });
if (!read.ok) throw new Error('the test document is bad');
const document: SetDocument = read.value;
const called = (name: string): SetDocument => ({ ...document, name });

/** The browser's own stores: the small one with as little room as wanted, the large one there or not. */
const places = (room = Number.POSITIVE_INFINITY, hasStore = true) => {
  const items = new Map<string, string>();
  const local = {
    getItem: (key: string) => items.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (value.length > room) throw new DOMException('full', 'QuotaExceededError');
      items.set(key, value);
    },
    removeItem: (key: string) => void items.delete(key),
    key: (index: number) => [...items.keys()][index] ?? null,
    get length() {
      return items.size;
    },
  };
  globalThis.indexedDB = new IDBFactory();
  const store = hasStore ? createStore('parlor', 'kept') : null;
  const here: DraftPlaces = {
    local: () => local,
    store: () => {
      if (!store) throw new DOMException('not here', 'SecurityError');
      return store;
    },
  };
  return { items, here };
};

let here: DraftPlaces;
let items: Map<string, string>;
beforeEach(() => {
  ({ here, items } = places());
});

describe('what is kept in the browser', () => {
  it('is found again by the same page, and forgotten when told', async () => {
    expect(await keep('attic', 'tab-1', { basedOn: 3, document, at: 1 }, here)).toBe(true);
    expect(items.size).toBe(0);
    expect(await findKept('attic', 'tab-1', new Set(['tab-1']), here)).toEqual({ tab: 'tab-1', basedOn: 3, document, at: 1 });
    expect([...(await unsentSets(here))]).toEqual(['attic']);
    await forget('attic', 'tab-1', here);
    expect(await findKept('attic', 'tab-1', new Set(), here)).toBeNull();
    expect([...(await unsentSets(here))]).toEqual([]);
  });

  it('by a page that is gone is found by the next; by one that lives it is left alone', async () => {
    await keep('attic', 'gone', { basedOn: 3, document, at: 1 }, here);
    await keep('cellar', 'gone', { basedOn: 8, document, at: 1 }, here);
    expect(await findKept('attic', 'new', new Set(['new', 'gone']), here)).toBeNull();
    expect(await findKept('attic', 'new', null, here)).toBeNull();
    expect(await findKept('attic', 'new', new Set(['new']), here)).toMatchObject({ tab: 'gone', basedOn: 3 });
    expect(await findKept('att', 'new', new Set(['new']), here)).toBeNull();
  });

  it('two pages on one set keep their own', async () => {
    await keep('attic', 'one', { basedOn: 3, document: called('One'), at: 1 }, here);
    await keep('attic', 'two', { basedOn: 3, document: called('Two'), at: 1 }, here);
    expect(await findKept('attic', 'one', new Set(['one', 'two']), here)).toMatchObject({ document: { name: 'One' } });
    expect(await findKept('attic', 'two', new Set(['one', 'two']), here)).toMatchObject({ document: { name: 'Two' } });
  });

  it('in the last moment of a page counts before what was kept earlier, and the other way round', async () => {
    await keep('attic', 'tab', { basedOn: 3, document: called('Earlier'), at: 1 }, here);
    keepAtOnce('attic', 'tab', { basedOn: 3, document: called('Last words'), at: 2 }, here);
    expect(await findKept('attic', 'tab', null, here)).toMatchObject({ document: { name: 'Last words' } });
    await keep('attic', 'tab', { basedOn: 4, document: called('After a reload'), at: 3 }, here);
    expect(await findKept('attic', 'tab', null, here)).toMatchObject({ document: { name: 'After a reload' } });
  });

  it('by the program of before, in the small store alone, is found too', async () => {
    items.set('parlor.unsaved.attic/old', JSON.stringify({ basedOn: 2, document }));
    expect(await findKept('attic', 'new', new Set(['new']), here)).toMatchObject({ tab: 'old', basedOn: 2 });
  });

  it('where there is no large store goes to the small one; where neither takes it, that is said, and nothing breaks', async () => {
    const small = places(Number.POSITIVE_INFINITY, false);
    expect(await keep('attic', 'tab', { basedOn: 1, document, at: 1 }, small.here)).toBe(true);
    expect(await findKept('attic', 'tab', null, small.here)).toMatchObject({ basedOn: 1 });
    const none = places(10, false);
    expect(await keep('attic', 'tab', { basedOn: 1, document, at: 1 }, none.here)).toBe(false);
    expect(await findKept('attic', 'tab', new Set(), none.here)).toBeNull();
    expect([await listAside(none.here), await findHeld('attic', none.here), [...(await unsentSets(none.here))]]).toEqual([
      [],
      undefined,
      [],
    ]);
    await forget('attic', 'tab', none.here);
    const forbidden: DraftPlaces = {
      store: none.here.store,
      local: () => {
        throw new DOMException('not here', 'SecurityError');
      },
    };
    expect(await keep('attic', 'tab', { basedOn: 1, document, at: 1 }, forbidden)).toBe(false);
    expect(await findKept('attic', 'tab', new Set(), forbidden)).toBeNull();
  });

  it('half written in the small store is no find', async () => {
    items.set('parlor.unsaved.attic/tab', '{"basedOn":');
    items.set('parlor.unsaved.cellar/tab', '{"document":{}}');
    expect(await findKept('attic', 'tab', new Set(), here)).toBeNull();
    expect(await findKept('cellar', 'tab', new Set(), here)).toBeNull();
  });
});

describe('what is kept of a set again and again', () => {
  const large = called('Attic');
  const sizeOf = async (key: string) => JSON.stringify(await get(key, here.store())).length;
  const bases = async () => (await keys<string>(here.store())).filter((key) => key.startsWith('parlor.base.'));

  it('is written whole once, and then as what has changed; every state is found as it was', async () => {
    for (let step = 1; step < 40; step += 1) {
      const document = { ...large, about: `step ${step}` };
      await keep('large', 'tab', { basedOn: step, document, at: step }, here);
      if (step % 5 === 0) await hold('large', 'tab', { revision: step, document, at: step }, here);
      expect(await findKept('large', 'tab', null, here)).toEqual({ tab: 'tab', basedOn: step, document, at: step });
    }
    expect(await findHeld('large', here)).toEqual({ revision: 35, document: { ...large, about: 'step 35' }, at: 35 });
    expect(await bases()).toHaveLength(1);
    expect(await sizeOf('parlor.unsaved.large/tab')).toBeLessThan(250);
  });

  it('gets a new base when much has changed; what the last save needs stays, the rest is cleared away', async () => {
    for (let step = 1; step <= 6; step += 1) {
      const document = { ...large, about: String(step).repeat(30_000) };
      await keep('large', 'tab', { basedOn: step, document, at: step }, here);
      if (step === 2) await hold('large', 'tab', { revision: 2, document, at: 2 }, here);
    }
    expect(await findKept('large', 'tab', null, here)).toMatchObject({ document: { about: '6'.repeat(30_000) } });
    expect(await findHeld('large', here)).toMatchObject({ document: { about: '2'.repeat(30_000) } });
    expect((await bases()).length).toBeLessThanOrEqual(3);
  });

  it('in the last moment of a page is as short, and is found with its base', async () => {
    await keep('large', 'tab', { basedOn: 1, document: large, at: 1 }, here);
    keepAtOnce('large', 'tab', { basedOn: 1, document: { ...large, about: 'last' }, at: 2 }, here);
    expect(items.get('parlor.unsaved.large/tab')?.length).toBeLessThan(250);
    expect(await findKept('large', 'tab', null, here)).toMatchObject({ document: { name: 'Attic', about: 'last' } });
  });

  it('by pages that are gone is cleared away when nothing needs it', async () => {
    await keep('large', 'gone', { basedOn: 1, document: large, at: 1 }, here);
    await keep('other', 'waits', { basedOn: 1, document: large, at: 1 }, here);
    await forget('large', 'gone', here);
    await findKept('large', 'new', new Set(['new']), here);
    await new Promise((later) => setTimeout(later, 50));
    expect((await bases()).map((key) => key.split('/').slice(0, 2).join('/'))).toEqual(['parlor.base.other/waits']);
    expect(await findKept('other', 'new', new Set(['new']), here)).toMatchObject({ tab: 'waits', document: { name: 'Attic' } });
  });
});

describe('what cannot be read, or was not accepted', () => {
  it('is put aside under a name of its own, touched by no save and no reload, and goes only when told', async () => {
    const strange = { name: 'From tomorrow', format: 'bashful-parlor-set', version: 99 };
    keepAtOnce('attic', 'tab', { basedOn: 3, document: strange as unknown as SetDocument, at: 7 }, here);
    const found = await findKept('attic', 'tab', null, here);
    expect(found && (await putAside('attic', found, here))).toBe(true);
    expect(await findKept('attic', 'tab', new Set(), here)).toBeNull();
    await forget('attic', 'tab', here);
    const [aside, ...more] = await listAside(here);
    expect([aside, more]).toMatchObject([{ id: 'attic', name: 'From tomorrow', at: 7, document: strange }, []]);
    await dropAside(aside?.key ?? '', here);
    expect(await listAside(here)).toEqual([]);
  });

  it('keeps its old name where it cannot be put aside', async () => {
    const small = places(Number.POSITIVE_INFINITY, false);
    keepAtOnce('attic', 'tab', { basedOn: 3, document, at: 7 }, small.here);
    const found = await findKept('attic', 'tab', null, small.here);
    expect(found && (await putAside('attic', found, small.here))).toBe(false);
    expect(await findKept('attic', 'tab', null, small.here)).toMatchObject({ basedOn: 3 });
  });
});

it('the last save that was acknowledged is held, of the twenty sets that were saved last', async () => {
  for (let count = 0; count < 25; count += 1) await hold(`set-${count}`, 'tab', { revision: count, document, at: count }, here);
  expect(await findHeld('set-4', here)).toBeUndefined();
  expect(await findHeld('set-5', here)).toMatchObject({ revision: 5 });
  await letGo('set-5', here);
  expect(await findHeld('set-5', here)).toBeUndefined();
});
