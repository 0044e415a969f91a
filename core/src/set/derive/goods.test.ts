import { describe, expect, it } from 'vitest';
import { dollUm } from '../../measure/index.ts';
import { type Good, newArt } from '../../piece/index.ts';
import { wordsIn } from '../../print/index.ts';
import { arrangedIn } from '../arranging/arrange.ts';
import { filledIn } from '../findings/wordList.ts';
import {
  applyEdit,
  type DerivedSet,
  derive,
  describeChange,
  type GoodSheet,
  makeUp,
  printedGoods,
  readSet,
  readSetFile,
  type SetDocument,
  sheetsOfGood,
  shelvesOf,
  writeSetFile,
} from '../index.ts';
import { describeFinding } from '../words/describe.ts';
import { describeMend } from '../words/describeMend.ts';

const PALETTE = [
  { id: 'dark', name: 'dark', colour: '#2f3e5c' },
  { id: 'light', name: 'light', colour: '#f4efe4' },
];

const setWith = (pieces: readonly object[], more: object = {}): SetDocument => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: 'goods',
    boards: [{ id: 'white', nominal: '5 mm', measured: '4.8 mm' }],
    palette: PALETTE,
    pieces,
    ...more,
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const good = (over: object) => ({ family: 'paper', name: 'thing', ...over });
const CASE = { name: 'bookcase', width: '900 mm', height: '1800 mm', depth: '300 mm', front: { kind: 'shelves', count: 4 } };
const BOOKS = { form: 'book', width: '110 mm', height: '178 mm', depth: '25 mm', on: 'plain', play: '0 mm', tab: '2 mm', vary: 20 };

const codes = (set: DerivedSet, at = 0): readonly string[] => (set.pieces[at]?.findings ?? []).map(({ code }) => code);

/** The set after the mend of a finding. */
const mended = (document: SetDocument, code: string, at = 0): SetDocument => {
  const finding = derive(document).pieces[at]?.findings.find((each) => each.code === code);
  if (!finding?.mend) throw new Error(`no mend for ${code}`);
  expect(describeMend(finding.mend, { unit: 'mm', fine: false }).length).toBeGreaterThan(3);
  return applyEdit(document, finding.mend.edit).document;
};

const words = (document: SetDocument, code: string, at = 0): string => {
  const finding = derive(document).pieces[at]?.findings.find((each) => each.code === code);
  if (!finding) throw new Error(code);
  const { title, reason } = describeFinding(finding, document.units);
  return `${title}. ${reason}`;
};

describe('what is to be noticed about small goods', () => {
  it('paper too thick to fold so small, and its mend', () => {
    const document = setWith([good({ form: 'envelope', width: '60 mm', height: '40 mm', lid: '3 mm', on: 'card' })]);
    expect(codes(derive(document))).toContain('too-thick-to-fold');
    expect(words(document, 'too-thick-to-fold')).toContain('0.25 mm');
    expect(codes(derive(mended(document, 'too-thick-to-fold')))).not.toContain('too-thick-to-fold');
    expect(codes(derive(setWith([good({ form: 'envelope', width: '162 mm', height: '114 mm', on: 'plain' })])))).not.toContain(
      'too-thick-to-fold',
    );
  });

  it('a strip narrower than two millimetres', () => {
    const document = setWith([good({ form: 'roll', width: '120 mm', height: '10 mm', depth: '60 mm', on: 'plain', tab: '1 mm' })]);
    expect(codes(derive(document))).toContain('strip-too-narrow');
    expect(words(document, 'strip-too-narrow')).toContain('2 mm');
  });

  it('a lid that will not go on, and its mend', () => {
    const document = setWith([good({ form: 'lidded box', play: '0 mm' })]);
    expect(codes(derive(document))).toContain('lid-too-tight');
    const after = mended(document, 'lid-too-tight');
    expect((after.pieces[0] as Good).play).toBe(300);
    expect(codes(derive(after))).not.toContain('lid-too-tight');
  });

  it('art on its head once it is folded: turned by hand, or laid across what is folded over', () => {
    const turned = setWith([good({ form: 'carton', height: '280 mm', art: [{ panel: 'front', words: 'oats', turn: 2 }] })]);
    expect(codes(derive(turned))).toContain('art-upside-down');
    expect(codes(derive(mended(turned, 'art-upside-down')))).not.toContain('art-upside-down');
    const across = setWith([
      good({ form: 'envelope', width: '162 mm', height: '114 mm', on: 'plain', art: [{ panel: 'front', across: ['back'], words: 'far' }] }),
    ]);
    expect(codes(derive(across))).toContain('art-upside-down');
    const after = mended(across, 'art-upside-down');
    expect((after.pieces[0] as Good).art[0]?.across).toEqual([]);
    const right = setWith([good({ form: 'carton', height: '280 mm', art: [{ panel: 'front', across: ['right'], words: 'oats' }] })]);
    expect(codes(derive(right))).not.toContain('art-upside-down');
  });

  it('letters under 1.2 mm will not print', () => {
    const small = good({
      ...BOOKS,
      vary: 0,
      art: [{ panel: 'spine', words: 'A very long title of many words that no spine of a paperback takes', turn: 3 }],
    });
    const document = setWith([small]);
    expect(codes(derive(document))).toContain('words-too-small');
    expect(words(document, 'words-too-small')).toContain('1.2 mm');
    expect(codes(derive(setWith([{ ...small, art: [{ panel: 'spine', words: 'Tea', turn: 3 }] }])))).not.toContain('words-too-small');
  });

  // Small parts cylinder: 31.7 mm across, to 57.1 mm deep (ISO 8124-1; 16 CFR 1501; recalled).
  it('what goes into the cylinder of the toy safety standards is a small part', () => {
    const sized = (w: string, h: string, d: string) =>
      codes(derive(setWith([good({ form: 'carton', width: { doll: w }, height: { doll: h }, depth: { doll: d }, tab: '2 mm' })])));
    expect(sized('20 mm', '50 mm', '20 mm')).toContain('small-part');
    expect(sized('20 mm', '60 mm', '20 mm')).not.toContain('small-part');
    expect(sized('26 mm', '30 mm', '26 mm')).not.toContain('small-part');
  });
});

describe('shelves', () => {
  const filled = (over: object = {}, before: object = CASE): SetDocument =>
    setWith([before, good({ ...BOOKS, fills: { piece: 'piece-1', bay: [], gap: 1 }, ...over })]);

  it('are the clear spaces between the boards of a bay, from below', () => {
    const made = derive(setWith([CASE])).pieces[0]?.made;
    if (!made) throw new Error('it does not stand');
    const shelves = shelvesOf(made);
    expect(shelves).toHaveLength(5);
    for (const [index, { box, gap }] of shelves.entries()) {
      expect(gap).toBe(index);
      expect(box.max[1]).toBeGreaterThan(box.min[1]);
      if (index > 0) expect(box.min[1] - (shelves[index - 1]?.box.max[1] ?? 0)).toBe(4_800);
    }
  });

  it('books fill one to the micrometre, and follow when the bookcase changes; nothing else is made again', () => {
    const document = filled();
    const first = derive(document);
    const [shelf] = shelvesOf(first.pieces[0]?.made as never).filter(({ gap }) => gap === 1);
    const width = (shelf?.box.max[0] ?? 0) - (shelf?.box.min[0] ?? 0);
    expect(first.pieces[1]?.made?.assembly.outside.max[0]).toBe(width);
    const wider = applyEdit(document, { kind: 'change-piece', id: 'piece-1', change: { width: 1_000_000 as never } }).document;
    const then = derive(wider, first);
    expect(then.pieces[1]?.made?.assembly.outside.max[0]).toBeGreaterThan(width);
    const renamed = applyEdit(document, { kind: 'change-set', change: { name: 'else' } }).document;
    expect(derive(renamed, first).pieces[1]).toBe(first.pieces[1]);
  });

  it('say when what stands there is too tall or too deep, or the shelf is gone', () => {
    const tall = filled({ height: '900 mm', width: '500 mm' });
    const found = codes(derive(tall), 1);
    expect(found).toContain('shelf-gap-too-low');
    expect(found).toContain('shelf-too-shallow');
    expect(codes(derive(mended(tall, 'shelf-gap-too-low', 1)), 1)).not.toContain('shelf-gap-too-low');
    const gone = filled({ fills: { piece: 'piece-1', bay: [], gap: 40 } });
    expect(codes(derive(gone), 1)).toContain('no-such-shelf');
    expect((mended(gone, 'no-such-shelf', 1).pieces[1] as Good).fills).toBeNull();
    // As many as were said are made instead.
    expect(derive(gone).pieces[1]?.made?.nets.every(({ copies }) => copies.length === 1)).toBe(true);
  });

  it('carry what fills them into the room in which the piece stands', () => {
    const room = { family: 'room', name: 'room', width: '3000 mm', depth: '2500 mm', height: '2400 mm' };
    const document = setWith([CASE, good({ ...BOOKS, fills: { piece: 'piece-1', bay: [], gap: 1 } }), room], {
      layouts: [{ id: 'a', name: 'A', room: 'piece-3', placed: [{ piece: 'piece-1', x: '150 mm', z: '60 mm', turn: 90 }] }],
    });
    const derived = derive(document);
    const arranged = arrangedIn(document, derived, 'piece-3');
    const [onShelf] = arranged?.onThings ?? [];
    const [standing] = arranged?.standing ?? [];
    expect(onShelf?.piece).toBe('piece-2');
    if (!onShelf || !standing) throw new Error('nothing stands there');
    for (const axis of [0, 1, 2] as const) {
      expect(onShelf.body.whole.min[axis]).toBeGreaterThanOrEqual(standing.body.whole.min[axis] - 1);
      expect(onShelf.body.whole.max[axis]).toBeLessThanOrEqual(standing.body.whole.max[axis] + 1);
    }
    expect(onShelf.body.parts.length).toBe(derived.pieces[1]?.made?.assembly.parts.length);
  });
});

const firstSheet = (document: SetDocument): GoodSheet['sheet'] => {
  const derived = derive(document);
  const [first] = derived.pieces[0] ? sheetsOfGood(document, derived, derived.pieces[0]) : [];
  if (!first) throw new Error('nothing is printed');
  return first.sheet;
};

describe('what is printed for small goods', () => {
  it('a sheet for each copy: alike ones once, and as often as there are copies; different ones each by itself', () => {
    const alike = setWith([good({ ...BOOKS, vary: 0, count: 7 })]);
    const first = derive(alike);
    expect(sheetsOfGood(alike, first, first.pieces[0] as never)).toHaveLength(2);
    expect(printedGoods(alike, first, null)).toHaveLength(14);
    const titled = setWith([good({ ...BOOKS, vary: 0, count: 7, art: [{ panel: 'front cover', words: '{title}' }] })]);
    const second = derive(titled);
    const titles = printedGoods(titled, second, null)
      .flatMap(({ marks }) => wordsIn(marks))
      .map(({ lines }) => lines.join(' '));
    expect(titles).toHaveLength(7);
    expect(new Set(titles).size).toBeGreaterThan(4);
    expect(titles.some((title) => title.includes('{'))).toBe(false);
  });

  it('is on pages of its own kind of paper, each net whole and at its size; both sides where leaves are printed inside', () => {
    const document = setWith([
      good({ form: 'carton', count: 3, on: 'card' }),
      good({
        form: 'leaves',
        width: '210 mm',
        height: '280 mm',
        pages: 8,
        on: 'plain',
        art: [
          { panel: 'page 1', words: 'one' },
          { panel: 'page 2', words: 'two' },
        ],
      }),
    ]);
    const derived = derive(document);
    const { pages } = makeUp(document, derived, { pieces: null, what: 'coverings' });
    expect(new Set(pages.map(({ on }) => on))).toEqual(new Set(['card', 'plain']));
    const parts = pages.flatMap(({ parts: each }) => each);
    expect(parts).toContain('1-1');
    expect(parts).toContain('2-1');
    expect(parts).toContain('2-2');
    expect(pages.some(({ title }) => title.includes('behind'))).toBe(true);
    expect(makeUp(document, derived, { pieces: ['piece-1'], what: 'coverings' }).pages.every(({ on }) => on === 'card')).toBe(true);
    expect(makeUp(document, derived, { pieces: null, what: 'templates' }).pages).toHaveLength(0);
  });

  it('wears finishes of the tray and colours of the palette; ink is read on its ground', () => {
    const art = [
      { panel: 'front', words: 'seeds' },
      { panel: 'back', ground: 'light', words: 'seeds' },
      { panel: 'bottom', finish: 'wash' },
      { panel: 'left', finish: 'gone' },
    ];
    const finishes = [{ id: 'wash', name: 'wash', art: { kind: 'plain', ink: 'dark' } }];
    const document = setWith([good({ form: 'tray', grounds: ['dark'], art })], { finishes });
    const { ground, looks } = firstSheet(document);
    const of = (panel: string) => looks.find((each) => each.panel === panel);
    expect(ground).toBe('#2f3e5c');
    expect([of('front')?.ink, of('back')?.ink]).toEqual(['#fbf7ee', '#2b2440']);
    expect(of('bottom')?.look).toEqual({ kind: 'plain', colour: '#2f3e5c' });
    // A finish that is gone leaves the panel as it is.
    expect(of('left')?.look).toBeNull();
  });

  it('all backs of books in one strip have a title and a colour of their own', () => {
    const document = setWith([
      good({
        form: 'spines',
        width: '700 mm',
        height: '240 mm',
        depth: '150 mm',
        above: '30 mm',
        vary: 20,
        on: 'plain',
        grounds: ['dark', 'light'],
        art: [{ panel: 'back', words: '{title}', turn: 3 }],
      }),
    ]);
    const sheet = firstSheet(document);
    expect(new Set(sheet.looks.map(({ lines }) => lines.join(' '))).size).toBeGreaterThan(10);
    expect(new Set(sheet.looks.map(({ ground }) => ground))).toEqual(new Set(['#2f3e5c', '#f4efe4']));
  });

  it('blanks are filled in by the seed, the same every time; the count is left to the printer', () => {
    expect(filledIn('{title}', 5)).toBe(filledIn('{title}', 5));
    expect(new Set(Array.from({ length: 40 }, (_, seed) => filledIn('{title}', seed))).size).toBeGreaterThan(25);
    expect(filledIn('No. {n} of {nothing}', 1)).toBe('No. {n} of {nothing}');
    for (const kind of ['plant', 'food', 'name', 'town']) expect(filledIn(`{${kind}}`, 3)).not.toContain('{');
  });
});

describe('a good as a piece of the set', () => {
  it('comes back from a file as it was, and what is wrong with it is said by its field', () => {
    const document = setWith([
      good({ form: 'can', width: '66 mm', height: '115 mm', count: 6, art: [{ panel: 'label', words: 'soup', high: { doll: '3 mm' } }] }),
    ]);
    const again = readSetFile(writeSetFile(document));
    expect(again).toEqual({ ok: true, value: document });
    const wrong = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [good({ form: 'barrel' })] });
    expect(wrong).toMatchObject({ ok: false, error: [{ path: 'pieces[0].form' }] });
    const many = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [good({ count: 5_000 })] });
    expect(many).toMatchObject({ ok: false, error: [{ path: 'pieces[0].count' }, { path: 'pieces' }] });
  });

  it('every change of it can be taken back', () => {
    const document = setWith([good({ form: 'carton' })]);
    const changes: readonly Partial<Good>[] = [
      { count: 12, stands: 'stack' },
      { art: [newArt('front')] },
      { thickness: dollUm(120) },
      { fills: { piece: 'x', bay: [0], gap: 2 } },
      { form: 'bag' },
    ];
    for (const change of changes) {
      const { document: after, inverse } = applyEdit(document, { kind: 'change-piece', id: 'piece-1', change: change as never });
      expect(after).not.toEqual(document);
      expect(applyEdit(after, inverse).document).toEqual(document);
    }
  });

  it('follows the scale: twice as large a doll, twice as large a box', () => {
    const at = (ratio: string) =>
      derive(setWith([good({ form: 'tray' })], { doll: { scale: { by: 'ratio', ratio: Number(ratio) } } })).pieces[0]?.made?.assembly
        .outside.max ?? [0, 0, 0];
    const [small, large] = [at('12'), at('6')];
    for (const axis of [0, 1, 2] as const) expect(Math.abs(large[axis] - 2 * small[axis])).toBeLessThan(3);
  });
});

describe('what the history says of a good', () => {
  it('names what is printed on it, its colours, its shelf, its paper, and every decision with its sizes', () => {
    const document = setWith([good({ form: 'carton', height: '280 mm' })]);
    const said = (change: Partial<Good>): string =>
      describeChange(document, applyEdit(document, { kind: 'change-piece', id: 'piece-1', change: change as never }).document);
    expect(said({ art: [newArt('front')] })).toBe('thing: what is printed on it');
    expect(said({ grounds: ['dark'] })).toBe('thing: its colours');
    expect(said({ fills: { piece: 'x', bay: [], gap: 0 } })).toMatch(/the shelf that it fills/);
    expect(said({ thickness: dollUm(120) })).toBe('thing: how thick its paper is');
    expect(said({ count: 12 })).toBe('thing: how many 1 → 12');
    expect(said({ form: 'bag' })).toMatch(/it is a carton, tucked shut → a bag/);
  });
});
