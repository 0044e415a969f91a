import { applyEdit, type Edit, readSet, type SetDocument } from '@parlor/core/set';
import { describe, expect, it } from 'vitest';
import { documentHeld, documentLog, type Holder } from './documents.ts';

const begun = (): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 2, pieces: [{ name: 'chest' }, { family: 'table' }] });
  if (!read.ok) throw new Error('not read');
  return read.value;
};

const named = (name: string): Edit => ({ kind: 'change-piece', id: 'piece-1', change: { name } });

/** What goes to a worker is copied on the way. */
const sent = <T>(what: T): T => structuredClone(what);

describe('a worker that holds the open document', () => {
  it('is given it once, then edits, and comes to the same document; what no edit touched stays the same object', () => {
    const [log, holder, held] = [documentLog(), { at: null } as Holder, documentHeld()];
    let document = begun();
    const first = log.tell(holder, document);
    expect(first).toHaveProperty('whole');
    const [, table] = held(sent(first)).pieces;
    for (const name of ['a', 'b', 'c']) {
      const after = applyEdit(document, named(name)).document;
      log.follow(document, named(name), after);
      document = after;
      if (name === 'a') continue;
      const ref = sent(log.tell(holder, document));
      expect(ref).toHaveProperty('edits', name === 'b' ? [named('a'), named('b')] : [named('c')]);
      expect(held(ref)).toEqual(document);
    }
    expect(log.tell(holder, document)).toEqual({ at: expect.any(Number) });
    expect(held(sent(log.tell(holder, document))).pieces[1]).toBe(table);
  });

  it('goes back by the edit that takes back, and is given whole what it cannot come to', () => {
    const [log, holder, held] = [documentLog(), { at: null } as Holder, documentHeld()];
    const document = begun();
    held(sent(log.tell(holder, document)));
    const { document: after, inverse } = applyEdit(document, named('x'));
    log.follow(document, named('x'), after);
    held(sent(log.tell(holder, after)));
    const back = applyEdit(after, inverse).document;
    log.follow(after, inverse, back);
    expect(held(sent(log.tell(holder, back)))).toEqual(document);
    expect(log.tell(holder, begun())).toHaveProperty('whole');
    const other = documentHeld();
    expect(() => other({ at: 7 })).toThrow('document 7 is not here');
  });

  it('who fell too far behind is given it whole', () => {
    const [log, holder] = [documentLog(), { at: null } as Holder];
    let document = begun();
    log.tell(holder, document);
    for (let step = 0; step < 250; step += 1) {
      const after = applyEdit(document, named(`n${step}`)).document;
      log.follow(document, named(`n${step}`), after);
      document = after;
    }
    expect(log.tell(holder, document)).toHaveProperty('whole');
  });
});
