import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { realUm } from '../../measure/index.ts';
import { PRESETS } from '../../piece/index.ts';
import {
  applyEdit,
  bytesOf,
  describeChange,
  doSentEdits,
  type Edit,
  editBetween,
  type Piece,
  readEdited,
  readSet,
  type SetDocument,
  sentEdit,
} from '../index.ts';
import { mutated } from './mutate.testing.ts';

const read = (file: Record<string, unknown>): SetDocument => {
  const result = readSet({ format: 'bashful-parlor-set', version: 1, ...file });
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};

const all = read({
  boards: [{ id: 'white' }, { id: 'thin', nominal: '3 mm' }],
  pieces: PRESETS.map(({ piece }, index) => ({ ...piece, id: `p${index}`, mark: index + 1 })).filter((_, index) => index % 2 === 0),
});
const some: SetDocument = { ...all, pieces: all.pieces.filter((_, index) => index % 5 === 0) };

const json = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

/** What is kept of a document, and read again. */
const kept = (document: SetDocument): SetDocument => read(json(document) as Record<string, unknown>);

/** What people do: sizes, names, boards, settings; pieces put in, taken away, or as they are in another preset of their family. */
const steps = (document: SetDocument): fc.Arbitrary<Edit> => {
  const id = fc.constantFrom(...document.pieces.map((piece) => piece.id));
  return fc.oneof(
    fc.record({ kind: fc.constant('change-piece' as const), id, change: fc.record({ name: fc.string({ maxLength: 20 }) }) }),
    fc.record({
      kind: fc.constant('change-piece' as const),
      id,
      change: fc.record({ width: fc.integer({ min: 300_000, max: 900_000 }).map(realUm) }),
    }),
    id.map((name): Edit => {
      const piece = document.pieces.find((each) => each.id === name) as Piece;
      const other = all.pieces.find((each) => each.family === piece.family && each !== piece) ?? piece;
      const { id: _id, mark: _mark, family: _family, ...change } = other;
      // What the other does not have is taken away.
      const without = Object.fromEntries(
        Object.keys(piece).flatMap((key) => (key in other || key === 'id' || key === 'mark' ? [] : [[key, undefined]])),
      );
      return { kind: 'change-piece', id: name, change: { ...without, ...change } };
    }),
    id.map((name): Edit => ({ kind: 'remove-piece', id: name })),
    fc.nat(12).map((at): Edit => ({ kind: 'add-piece', at, piece: { ...(all.pieces[at + 1] as Piece), id: `new-${at}`, mark: 500 + at } })),
    fc.string({ maxLength: 30 }).map((about): Edit => ({ kind: 'change-set', change: { about } })),
    fc.boolean().map((fine): Edit => ({ kind: 'change-set', change: { units: { unit: 'in', fine } } })),
    fc.constantFrom<Edit>(
      { kind: 'change-board', id: 'thin', change: { name: 'card' } },
      { kind: 'add-board', at: 1, board: { ...(all.boards[0] as SetDocument['boards'][number]), id: 'more' } },
      { kind: 'remove-board', id: 'thin' },
    ),
  );
};

describe('an edit that is sent', () => {
  it('makes the same document there as here, whatever was done, and is judged as the whole document would be', () => {
    let whole = 0;
    fc.assert(
      fc.property(fc.array(steps(some), { minLength: 1, maxLength: 5 }), (edits) => {
        const after = edits.reduce((document, edit) => applyEdit(document, edit).document, some);
        const edit = editBetween(some, after) as Edit;
        const sent = sentEdit(edit);
        if (!sent) {
          expect(kept(after)).toEqual(kept(some));
          return;
        }
        const there = readEdited(kept(some), json(sent));
        const wholeRead = readSet(json(after));
        expect(there.ok).toBe(wholeRead.ok);
        if (!there.ok || !wholeRead.ok) {
          expect(there).toEqual(wholeRead);
          return;
        }
        whole += 1;
        expect(there.value).toEqual(wholeRead.value);
        expect(bytesOf(there.value)).toBeGreaterThanOrEqual(JSON.stringify(wholeRead.value).length);
        // What is kept is done again without being judged, and comes to the same.
        expect(kept(doSentEdits(json(some), json(sentEdit(editBetween(kept(some), there.value) as Edit) ?? [])) as SetDocument)).toEqual(
          wholeRead.value,
        );
        expect(describeChange(some, there.value)).toBe(describeChange(some, after));
      }),
      { seed: 261, numRuns: 300 },
    );
    expect(whole).toBeGreaterThan(200);
  });

  it('is as small in a set of 200 pieces as in one of two', () => {
    const lengths = [2, 200].map((count) => {
      const document = { ...all, pieces: Array.from({ length: count }, (_, index) => ({ ...(all.pieces[0] as Piece), id: `p${index}` })) };
      const edit: Edit = { kind: 'change-piece', id: 'p1', change: { name: 'Dresser' } };
      return JSON.stringify(sentEdit(editBetween(document, applyEdit(document, edit).document) as Edit)).length;
    });
    expect(lengths[0]).toBe(lengths[1]);
    expect(lengths[0]).toBeLessThan(120);
  });

  it('is left to the whole document where pieces changed places or one became another thing', () => {
    const [first, second, ...rest] = some.pieces as readonly [Piece, Piece, ...Piece[]];
    const other = some.pieces.find(({ family }) => family !== first.family) as Piece;
    expect(editBetween(some, { ...some, pieces: [second, first, ...rest] })).toBeNull();
    expect(editBetween(some, { ...some, pieces: [{ ...other, id: first.id }, ...some.pieces.slice(1)] })).toBeNull();
    expect(sentEdit({ kind: 'replace', document: some })).toBeNull();
  });

  it.each([
    ['no list', { kind: 'remove-piece', id: 'p0' }],
    ['nothing in it', []],
    ['a document', [{ kind: 'replace', document: {} }]],
    ['another family', [{ kind: 'change-piece', id: 'p0', change: { family: 'table' } }]],
    ['another id', [{ kind: 'change-piece', id: 'p0', change: { id: 'p9' } }]],
    ['a family taken away', [{ kind: 'change-piece', id: 'p0', change: {}, without: ['family'] }]],
    ['all pieces at once', [{ kind: 'change-set', change: { pieces: [] } }]],
    ['a field nobody knows', [{ kind: 'change-piece', id: 'p0', change: { colour: 'red' } }]],
    ['a size that is none', [{ kind: 'change-piece', id: 'p0', change: { width: '5 feat' } }]],
    ['the mark of another', [{ kind: 'change-piece', id: 'p0', change: { mark: 11 } }]],
    ['a board that is missed', [{ kind: 'change-piece', id: 'p0', change: { boards: { carcass: 'gone' } } }]],
    ['a piece that is there', [{ kind: 'add-piece', at: 0, piece: { id: 'fresh', family: 'table', width: -1 } }]],
    ['a name without end', [{ kind: 'change-set', change: { name: 'x'.repeat(5000) } }]],
  ])('is refused with where and why, and nothing is changed: %s', (_, data) => {
    const before = kept(some);
    const done = readEdited(some, data);
    expect(done).toMatchObject({ ok: false });
    if (!done.ok) expect(done.error[0]?.message.length).toBeGreaterThan(10);
    expect(kept(some)).toEqual(before);
  });

  it('made wrong on purpose, 3,000 times, is read or refused; what is read passes the door as a whole', () => {
    const good = [
      { kind: 'change-piece', id: 'p9', change: { ...(json(all.pieces[1]) as object), id: undefined, family: undefined } },
      { kind: 'change-set', change: { doll: json(all.doll), printing: json(all.printing) } },
      { kind: 'add-piece', at: 2, piece: { ...(json(all.pieces[3]) as object), id: 'fresh', mark: 777 } },
      { kind: 'change-board', id: 'white', change: { name: 'grey' } },
    ];
    let ok = 0;
    for (let seed = 0; seed < 3_000; seed += 1) {
      const done = readEdited(some, mutated(json(good), seed));
      if (!done.ok) continue;
      ok += 1;
      const whole = readSet(json(done.value));
      expect(whole.ok && whole.value).toEqual(done.value);
    }
    expect(ok).toBeGreaterThan(30);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });
});
