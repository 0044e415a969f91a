import { realUm } from '@parlor/core/measure';
import { type Edit, editBetween, readSet, type SetDocument } from '@parlor/core/set';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { broughtTogether, edited, notSaved, type OpenSet, opened, openSetReducer, redone, saved, saving, undone } from './openSet.ts';

const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'Attic', pieces: [{ name: 'Chest' }, { name: 'Shelf' }] });
if (!read.ok) throw new Error('the test document is bad');
const document: SetDocument = read.value;

const begun = (): OpenSet => openSetReducer(undefined, opened({ id: 'attic', revision: 4, document, unsaved: false }));
const wide = (id: string, width: number): Edit => ({ kind: 'change-piece', id, change: { width: realUm(width) } });
const deep = (id: string, depth: number): Edit => ({ kind: 'change-piece', id, change: { depth: realUm(depth) } });
const edit = (state: OpenSet, words: string, what: Edit, group?: string): OpenSet =>
  openSetReducer(state, edited({ words, edit: what, ...(group && { group }) }));
const widthOf = ({ document: open }: OpenSet) => {
  const [first] = open?.pieces ?? [];
  return first?.family === 'casework' ? first.width : undefined;
};
const undo = (state: OpenSet) => openSetReducer(state, undone());
const redo = (state: OpenSet) => openSetReducer(state, redone());

describe('steps of work', () => {
  it('are kept two hundred deep, and not deeper', () => {
    let state = begun();
    for (let step = 1; step <= 250; step += 1) state = edit(state, `step ${step}`, wide('piece-1', 1_000_000 + step));
    expect(state.past).toHaveLength(200);
    for (let step = 0; step < 200; step += 1) state = undo(state);
    expect(widthOf(state)).toBe(1_000_050);
    expect(undo(state).document).toBe(state.document);
    for (let step = 0; step < 200; step += 1) state = redo(state);
    expect(widthOf(state)).toBe(1_000_250);
  });

  it('of one group are one, with the words of the last', () => {
    let state = begun();
    for (let press = 1; press <= 30; press += 1)
      state = edit(state, `width of Chest ${press}`, wide('piece-1', 900_000 + press), 'group 1');
    state = edit(state, 'width of Shelf', wide('piece-2', 500_000), 'group 2');
    expect(state.past.map(({ words }) => words)).toEqual(['width of Chest 30', 'width of Shelf']);
    const back = undo(undo(state));
    expect(back.document).toEqual(document);
    expect(widthOf(redo(back))).toBe(900_030);
  });

  it('taken back in the middle of a group do not swallow what is typed afterwards', () => {
    const typed = edit(edit(begun(), 'one', wide('piece-1', 1_000_000), 'group 1'), 'two', wide('piece-1', 1_100_000), 'group 1');
    const again = edit(undo(typed), 'three', wide('piece-1', 1_200_000), 'group 1');
    expect(again.past.map(({ words }) => words)).toEqual(['three']);
    expect(undo(again).document).toEqual(document);
  });

  it('whatever was done, taken back and done again, in groups or not: all taken back is the beginning', () => {
    const action = fc.oneof(
      {
        weight: 5,
        arbitrary: fc.record({
          id: fc.constantFrom('piece-1', 'piece-2'),
          size: fc.integer({ min: 20_000, max: 5_000_000 }),
          group: fc.constantFrom(undefined, 'a', 'b'),
          wide: fc.boolean(),
        }),
      },
      { weight: 2, arbitrary: fc.constantFrom('undo' as const, 'redo' as const) },
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 40 }), (actions) => {
        let state = begun();
        for (const each of actions) {
          if (each === 'undo') state = undo(state);
          else if (each === 'redo') state = redo(state);
          else state = edit(state, 'x', each.wide ? wide(each.id, each.size) : deep(each.id, each.size), each.group);
        }
        const end = state.document;
        let steps = state.past.length;
        let back = state;
        for (; steps > 0; steps -= 1) back = undo(back);
        expect(back.document).toEqual(document);
        for (let step = state.past.length; step > 0; step -= 1) back = redo(back);
        expect(back.document).toEqual(end);
      }),
      { seed: 5, numRuns: 400 },
    );
  });

  it('a new step forgets what was taken back', () => {
    const state = edit(undo(edit(begun(), 'one', wide('piece-1', 1_000_000))), 'two', wide('piece-1', 2_000_000));
    expect(state.future).toEqual([]);
  });
});

describe('how far it is saved', () => {
  it('a change during a save is not taken for saved', () => {
    const changed = edit(begun(), 'one', wide('piece-1', 1_000_000));
    const underWay = openSetReducer(changed, saving());
    const meanwhile = edit(underWay, 'two', wide('piece-1', 1_100_000));
    const sent = changed.document as SetDocument;
    const answered = openSetReducer(meanwhile, saved({ version: changed.version, revision: 5, document: sent }));
    expect(answered).toMatchObject({ save: 'unsaved', revision: 5, savedVersion: changed.version });
    // What is sent next is what was changed since.
    expect(editBetween(answered.savedDocument as SetDocument, answered.document as SetDocument)).toMatchObject({
      edits: [{ change: { width: 1_100_000 } }],
    });
    const done = openSetReducer(answered, saved({ version: answered.version, revision: 6, document: answered.document as SetDocument }));
    expect(done).toMatchObject({ save: 'saved', revision: 6 });
  });

  it.each(['stale', 'gone', 'closed'] as const)('a change does not make the choice of “%s” go away', (save) => {
    const asked = openSetReducer(edit(begun(), 'one', wide('piece-1', 1_000_000)), notSaved({ save }));
    expect(edit(asked, 'two', wide('piece-1', 1_100_000)).save).toBe(save);
    expect(edit(openSetReducer(asked, notSaved({ save: 'offline' })), 'two', wide('piece-1', 1_200_000)).save).toBe('unsaved');
  });

  it('two versions brought together stand on the other’s revision, and undo gives one’s own back', () => {
    const mine = openSetReducer(edit(begun(), 'one', wide('piece-1', 1_000_000)), notSaved({ save: 'stale' }));
    const together = openSetReducer(mine, broughtTogether({ document: { ...document, name: 'Both' }, revision: 9 }));
    expect(together).toMatchObject({ revision: 9, save: 'unsaved', document: { name: 'Both' } });
    expect(undo(together).document).toEqual(mine.document);
  });
});
