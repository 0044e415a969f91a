import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dollUm, realUm, UM } from '../../measure/index.ts';
import { type Casework, newCell } from '../../piece/index.ts';
import {
  applyEdit,
  bringTogether,
  compareVersions,
  describeChange,
  describeDifference,
  differences,
  type Edit,
  readSet,
  type SetDocument,
} from '../index.ts';

const read = (file: Record<string, unknown> = {}): SetDocument => {
  const result = readSet({ format: 'bashful-parlor-set', version: 1, ...file });
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
};

const base = read({
  name: 'Attic',
  boards: [
    { id: 'white', name: 'white board' },
    { id: 'grey', name: 'grey board', nominal: '3 mm' },
  ],
  pieces: [{ name: 'Chest' }, { name: 'Shelf', front: { kind: 'shelves', count: 3 } }, { name: 'Press', boards: { back: 'grey' } }],
});

const after = (...edits: readonly Edit[]): SetDocument => applyEdit(base, { kind: 'all', edits }).document;
const change = (id: string, part: object): Edit => ({ kind: 'change-piece', id, change: part });
const extra = read({ pieces: [{ id: 'extra', mark: 9, name: 'Stool', boards: { carcass: null } }] })
  .pieces[0] as SetDocument['pieces'][number];

const NO_TRIM = { left: dollUm(0), right: dollUm(0), bottom: dollUm(0), top: dollUm(0) };

describe('what tells two versions apart', () => {
  it('is nothing when they are equal, whatever the order of their fields', () => {
    const shuffled = Object.fromEntries(Object.entries(base).reverse()) as unknown as SetDocument;
    expect(differences(base, shuffled)).toEqual([]);
    expect(describeChange(base, shuffled)).toBe('nothing changed');
  });

  it.each<[string, Edit, string]>([
    ['a size', change('piece-1', { height: realUm(1_676_400) }), 'Chest: height 1800 mm → 1676.5 mm'],
    ['a name', change('piece-1', { name: 'Trunk' }), 'Trunk: name “Chest” → “Trunk”'],
    [
      'what is held',
      change('piece-1', { hold: 'inside', corner: 'top' }),
      'Chest: hold true outside → inside, which panel runs over sides → top',
    ],
    ['shelves', { kind: 'put-cell', id: 'piece-2', path: [], cell: { ...newCell('shelves'), count: 5 } }, 'Shelf: shelves 3 → 5'],
    [
      'what stands in a bay',
      { kind: 'put-cell', id: 'piece-2', path: [], cell: { ...newCell('shelves'), count: 3, holds: 'paperback' } },
      'Shelf: the bays of its front',
    ],
    ['a piece more', { kind: 'add-piece', at: 0, piece: extra }, 'Stool added'],
    ['a piece less', { kind: 'remove-piece', id: 'piece-1' }, 'Chest taken away'],
    ['a board', { kind: 'change-board', id: 'grey', change: { measured: dollUm(2_900) } }, 'grey board: as measured not measured → 2.9 mm'],
    [
      'the doll',
      { kind: 'change-set', change: { doll: { ...base.doll, height: dollUm(46 * UM.cm), scale: { by: 'ratio', ratio: 3 } } } },
      'The doll: height 290 mm → 460 mm, scale 1 : 6 → 1 : 3',
    ],
    ['the paper', { kind: 'change-set', change: { printing: { ...base.printing, paper: 'letter' } } }, 'Printing: paper A4 → Letter'],
    [
      'the cutting',
      {
        kind: 'change-set',
        change: {
          cutting: {
            gap: dollUm(500),
            trim: NO_TRIM,
            mode: 'straight',
            splice: 'join',
            joints: 'best',
            wishes: { first: 'money', next: 'rest' },
            kerf: dollUm(500),
            sticks: {},
            keep: dollUm(40_000),
            cut: [],
            pinned: [],
            together: [],
          },
        },
      },
      'Cutting: knife gap 0 mm → 0.5 mm',
    ],
    ['the name of the set', { kind: 'change-set', change: { name: 'Loft' } }, 'The name of the set: “Attic” → “Loft”'],
    ['the units', { kind: 'change-set', change: { units: { unit: 'mm', fine: true } } }, 'Units: mm → mm, fine'],
  ])('%s is said in words', (_, edit, words) => {
    expect(differences(base, after(edit)).map(describeDifference)).toEqual([words]);
  });

  it('of many, two are named and the rest counted', () => {
    const many = after(...[1, 2, 3].map((each) => change(`piece-${each}`, { depth: realUm(400_000) })), {
      kind: 'add-piece',
      at: 0,
      piece: extra,
    });
    expect(describeChange(base, many)).toBe('Chest: depth 300 mm → 400 mm; Shelf: depth 300 mm → 400 mm; and 2 more');
  });
});

/** A handful of edits to the same set, by whichever hand. */
const hands: fc.Arbitrary<SetDocument> = fc
  .array(
    fc.oneof(
      fc
        .record({ id: fc.constantFrom('piece-1', 'piece-2', 'piece-3'), width: fc.integer({ min: 20_000, max: 5_000_000 }) })
        .map(({ id, width }): Edit => change(id, { width: realUm(width) })),
      fc.constantFrom('piece-1', 'piece-2', 'piece-3').map((id): Edit => ({ kind: 'remove-piece', id })),
      fc.integer({ min: 1, max: 12 }).map((mark): Edit => ({ kind: 'add-piece', at: 0, piece: { ...extra, id: `new-${mark}`, mark } })),
      fc.constant<Edit>({
        kind: 'add-board',
        at: 1,
        board: { ...(base.boards[1] as SetDocument['boards'][number]), id: 'oak', name: 'oak' },
      }),
      fc.constant<Edit>(change('piece-2', { boards: { carcass: 'oak', back: 'oak', inner: null, door: null, plinth: null } })),
      fc.string({ maxLength: 20 }).map((name): Edit => ({ kind: 'change-set', change: { name } })),
    ),
    { maxLength: 6 },
  )
  .map((edits) => after(...edits))
  .filter((document) => readSet(document).ok);

describe('two hands on one set', () => {
  it('whatever each took and however one chooses, one valid set comes of it', () => {
    fc.assert(
      fc.property(hands, hands, fc.infiniteStream(fc.boolean()), (mine, theirs, stream) => {
        const choices = new Map<string, boolean>();
        const made = bringTogether(mine, theirs, (key) => {
          if (!choices.has(key)) choices.set(key, Boolean(stream.next().value));
          return choices.get(key) ? 'mine' : 'theirs';
        });
        expect(readSet(made)).toMatchObject({ ok: true });
      }),
      { seed: 11, numRuns: 400 },
    );
  });

  it('always theirs gives their set, but for boards; always mine holds every piece of mine', () => {
    fc.assert(
      fc.property(hands, hands, (mine, theirs) => {
        expect(bringTogether(mine, theirs, () => 'theirs')).toEqual(theirs);
        const own = bringTogether(mine, theirs, () => 'mine');
        const bare = (set: SetDocument) => set.pieces.map(({ mark: _, ...piece }) => piece).sort((a, b) => (a.id < b.id ? -1 : 1));
        expect(bare(own)).toEqual(bare(mine));
        expect(own.name).toBe(mine.name);
      }),
      { seed: 12, numRuns: 300 },
    );
  });

  it('suggests the hand that did something; where both did, one’s own', () => {
    const mine = after(change('piece-1', { width: realUm(1_000_000) }), change('piece-3', { depth: realUm(200_000) }));
    const theirs = after(change('piece-2', { height: realUm(900_000) }), change('piece-3', { depth: realUm(500_000) }));
    const strands = compareVersions(base, mine, theirs);
    expect(strands.map(({ title, suggested }) => [title, suggested])).toEqual([
      ['Chest', 'mine'],
      ['Shelf', 'theirs'],
      ['Press', 'mine'],
    ]);
    expect(strands[2]).toMatchObject({ mine: { words: ['depth 300 mm → 200 mm'] }, theirs: { words: ['depth 300 mm → 500 mm'] } });
    const both = bringTogether(mine, theirs, (key) => strands.find((strand) => strand.key === key)?.suggested ?? 'theirs');
    expect(both.pieces.map((piece) => piece.family === 'casework' && [piece.width, piece.height, piece.depth])).toEqual([
      [1_000_000, 1_800_000, 300_000],
      [900_000, 900_000, 300_000],
      [900_000, 1_800_000, 200_000],
    ]);
  });

  it('brings a board along that a chosen piece is cut from, and gives a doubled mark a free number', () => {
    const oak = { ...(base.boards[1] as SetDocument['boards'][number]), id: 'oak', name: 'oak' };
    const boards = { ...(extra as Casework).boards, carcass: 'oak' };
    const mine = after(
      { kind: 'add-board', at: 2, board: oak },
      { kind: 'add-piece', at: 3, piece: { ...(extra as Casework), boards, mark: 4 } },
    );
    const theirs = after({ kind: 'add-piece', at: 3, piece: { ...extra, id: 'bench', name: 'Bench', mark: 4 } });
    const made = bringTogether(mine, theirs, (key) => (key === 'board oak' ? 'theirs' : 'mine'));
    expect(made.boards.map(({ id }) => id)).toEqual(['white', 'grey', 'oak']);
    expect(made.pieces.map(({ name, mark }) => [name, mark])).toEqual([
      ['Chest', 1],
      ['Shelf', 2],
      ['Press', 3],
      ['Stool', 4],
    ]);
    const kept = bringTogether(mine, theirs, (key) => (key === 'piece bench' ? 'theirs' : 'mine'));
    expect(kept.pieces.map(({ name, mark }) => [name, mark]).slice(3)).toEqual([
      ['Bench', 4],
      ['Stool', 5],
    ]);
  });

  it('without the version both began from, all differences count as mine', () => {
    const mine = after(change('piece-1', { width: realUm(1_000_000) }));
    const theirs = after({ kind: 'remove-piece', id: 'piece-2' });
    expect(compareVersions(null, mine, theirs).map(({ title, suggested }) => [title, suggested])).toEqual([
      ['Chest', 'mine'],
      ['Shelf', 'mine'],
    ]);
  });
});

describe('rooms and who lives in them, between two versions', () => {
  const layout = { id: 'a', name: 'A', room: 'piece-1', chosen: true, placed: [] };
  const mine = after({ kind: 'change-set', change: { layouts: [layout] } });
  const guest = read({ company: [{ id: 'guest', name: 'Little Oona', height: '18 cm' }] }).company;
  const theirs = after({ kind: 'change-set', change: { company: guest } });

  it('are told in words', () => {
    const words = (document: SetDocument): string => differences(base, document).map(describeDifference).join(' ');
    expect(words(mine)).toMatch(/How rooms are arranged.*“A” added/);
    expect(words(theirs)).toMatch(/Who else lives there.*“Little Oona” added/);
    const measured = after({
      kind: 'change-set',
      change: {
        doll: { ...base.doll, bends: { knees: false, hips: true, elbows: true }, stands: 'stand', measures: { knee: dollUm(80 * UM.mm) } },
      },
    });
    expect(words(measured)).toMatch(/bends knees, hips, elbows → hips, elbows/);
    expect(words(measured)).toMatch(/stands by herself → with a stand/);
    expect(words(measured)).toMatch(/measured on her 0 → 1/);
  });

  it('of a room are told by what changed in it: its walls, its plan, its shells', () => {
    const room = (over: object = {}): SetDocument => {
      const read = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [{ family: 'room', id: 'r', name: 'Hall', ...over }] });
      if (!read.ok) throw new Error(JSON.stringify(read.error));
      return read.value;
    };
    const told = (over: object): string => differences(room(), room(over)).map(describeDifference).join(' ');
    expect(told({ walls: [{ kind: 'open' }, {}, { kind: 'open' }, {}] })).toMatch(/its walls/);
    expect(told({ shells: [{ shell: {} }] })).toMatch(/joined shells 0 → 1/);
    expect(
      told({
        plan: 'own',
        points: [
          [0, 0],
          [900_000, 0],
          [900_000, 900_000],
        ],
      }),
    ).toMatch(/its plan/);
    expect(told({ pictureRail: { up: '2 m', height: '40 mm' } })).toMatch(/a picture rail higher up/);
  });

  it('are brought together each by itself', () => {
    const both = bringTogether(mine, theirs, (key) => (key.includes('layouts') ? 'mine' : 'theirs'));
    expect(both.layouts).toEqual([layout]);
    expect(both.company).toEqual(guest);
  });
});
