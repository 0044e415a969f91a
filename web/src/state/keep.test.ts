import { readSet, type SetDocument } from '@parlor/core/set';
import { describe, expect, it } from 'vitest';
import { findKept, forget, keep } from './keep.ts';

const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'Attic' });
if (!read.ok) throw new Error('the test document is bad');
const document: SetDocument = read.value;

/** The browser's own storage, with as little room as wanted. */
const storage = (room = Number.POSITIVE_INFINITY) => {
  const items = new Map<string, string>();
  const place = {
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
  return { items, here: () => place };
};

describe('what is kept in the browser', () => {
  it('is found again by the same page, and forgotten when told', () => {
    const { here } = storage();
    expect(keep('attic', 'tab-1', { basedOn: 3, document }, here)).toBe(true);
    expect(findKept('attic', 'tab-1', new Set(['tab-1']), here)).toEqual({ tab: 'tab-1', basedOn: 3, document });
    forget('attic', 'tab-1', here);
    expect(findKept('attic', 'tab-1', new Set(), here)).toBeNull();
  });

  it('by a page that is gone is found by the next; by one that lives it is left alone', () => {
    const { here } = storage();
    keep('attic', 'gone', { basedOn: 3, document }, here);
    keep('cellar', 'gone', { basedOn: 8, document }, here);
    expect(findKept('attic', 'new', new Set(['new', 'gone']), here)).toBeNull();
    expect(findKept('attic', 'new', null, here)).toBeNull();
    expect(findKept('attic', 'new', new Set(['new']), here)).toMatchObject({ tab: 'gone', basedOn: 3 });
    expect(findKept('att', 'new', new Set(['new']), here)).toBeNull();
  });

  it('two pages on one set keep their own', () => {
    const { here } = storage();
    keep('attic', 'one', { basedOn: 3, document: { ...document, name: 'One' } }, here);
    keep('attic', 'two', { basedOn: 3, document: { ...document, name: 'Two' } }, here);
    expect(findKept('attic', 'one', new Set(['one', 'two']), here)).toMatchObject({ document: { name: 'One' } });
    expect(findKept('attic', 'two', new Set(['one', 'two']), here)).toMatchObject({ document: { name: 'Two' } });
  });

  it('where there is no room or no storage, that is said, and nothing breaks', () => {
    const full = storage(10);
    expect(keep('attic', 'tab', { basedOn: 1, document }, full.here)).toBe(false);
    const forbidden = () => {
      throw new DOMException('not here', 'SecurityError');
    };
    expect(keep('attic', 'tab', { basedOn: 1, document }, forbidden)).toBe(false);
    expect(findKept('attic', 'tab', new Set(), forbidden)).toBeNull();
    expect(() => forget('attic', 'tab', forbidden)).not.toThrow();
  });

  it('what cannot be read is no find', () => {
    const { items, here } = storage();
    items.set('parlor.unsaved.attic/tab', '{"basedOn":');
    items.set('parlor.unsaved.cellar/tab', '{"document":{}}');
    expect(findKept('attic', 'tab', new Set(), here)).toBeNull();
    expect(findKept('cellar', 'tab', new Set(), here)).toBeNull();
  });
});
