import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Booklet, leavesOf } from '../cover/index.ts';
import { derive, makeUp, readSet, type SetDocument } from '../set/index.ts';
import { bookletLeaves, type Mark, type PrintedBooklet, wordsIn } from './index.ts';

const BOOKLET: PrintedBooklet = {
  tag: 'b1',
  name: 'timetable',
  width: 30_000,
  height: 40_000,
  pages: ['cover', 'two', 'three', 'four', 'five', 'six', 'seven', 'back'],
  face: 'text',
  align: 'middle',
  ink: '#000000',
  ground: '#ffffff',
  on: 'card',
};

describe('leaves of a booklet', () => {
  it('of eight pages: 8 and 1 outside, 2 and 7 behind them, then 6 and 3, 4 and 5 (common practice, no source)', () => {
    const counted = leavesOf(8).map(({ outside, inside }) => [outside, inside].map((side) => side.map((page) => (page ?? -1) + 1)));
    expect(counted).toEqual([
      [
        [8, 1],
        [2, 7],
      ],
      [
        [6, 3],
        [4, 5],
      ],
    ]);
  });

  it('folded and laid into one another they are read in order, whatever their number; the last page is the back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 64 }), (count) => {
        const leaves = leavesOf(count);
        expect(leaves).toHaveLength(Math.ceil(count / 4));
        // Turned over one after the other: the right half of each leaf from without to within, then the left halves back out.
        const read = [
          ...leaves.flatMap(({ outside, inside }) => [outside[1], inside[0]]),
          ...[...leaves].reverse().flatMap(({ outside, inside }) => [inside[1], outside[0]]),
        ];
        expect(read.filter((page) => page !== null)).toEqual(Array.from({ length: count }, (_, page) => page));
        if (count > 1) expect(read.at(-1)).toBe(count - 1);
      }),
      { numRuns: 64 },
    );
  });

  it('each page stands on its half, upright, and what is behind it is the page that is read next', () => {
    const [outer] = bookletLeaves(BOOKLET);
    const at = (marks: readonly Mark[]) => wordsIn(marks).map(({ lines, matrix, width }) => [lines.join(), matrix[4] + width / 2] as const);
    expect(at(outer?.marks ?? [])).toEqual([
      ['back', 15_000],
      ['cover', 45_000],
    ]);
    // Turned over, right is left: behind the cover lies page two.
    expect(at(outer?.back ?? [])).toEqual([
      ['two', 15_000],
      ['seven', 45_000],
    ]);
  });
});

describe('booklets of a set', () => {
  const setWith = (booklets: readonly object[], change: object = {}): SetDocument => {
    const read = readSet({
      format: 'bashful-parlor-set',
      version: 1,
      doll: { scale: { by: 'ratio', ratio: 6 } },
      palette: [
        { id: 'night', name: 'night', colour: '#223355' },
        { id: 'chalk', name: 'chalk', colour: '#f4efe4' },
      ],
      booklets,
      ...change,
    });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    return read.value;
  };
  const timetable: Partial<Record<keyof Booklet, unknown>> = {
    id: 't',
    name: 'ferry timetable',
    width: '150 mm',
    height: '210 mm',
    pages: ['Night boats', 'out 20:10', 'back 23:40', 'no boats in ice'],
    ink: 'chalk',
    ground: 'night',
  };
  const pagesOf = (document: SetDocument) => makeUp(document, derive(document), { pieces: null, what: 'all' }).pages;

  it('come at doll size, outside on the front and inside on the back, and are found by their mark', () => {
    const pages = pagesOf(setWith([timetable]));
    expect(pages.map(({ parts }) => parts)).toEqual([['book 1'], ['book 1']]);
    const [front, back] = pages.map(({ marks }) => wordsIn(marks));
    expect(front?.map(({ lines }) => lines[0])).toEqual(['no boats in ice', 'Night boats']);
    expect(back?.map(({ lines }) => lines[0])).toEqual(['out 20:10', 'back 23:40']);
    // Closed 150 mm wide at 1 : 6 is 25 mm: so far apart are the middles of two pages.
    const [left, right] = front ?? [];
    expect((right?.matrix[4] ?? 0) - (left?.matrix[4] ?? 0)).toBeCloseTo(25_000, 6);
    // The sheet is turned over like a leaf: behind the cover lies the page that is read next, and behind the back the one before it.
    const width = pages[0]?.width ?? 0;
    const middle = (words: typeof left) => (words?.matrix[4] ?? 0) + (words?.width ?? 0) / 2;
    expect(width - middle(back?.[0])).toBeCloseTo(middle(right), 6);
    expect(width - middle(back?.[1])).toBeCloseTo(middle(left), 6);
  });

  it('are of the set, not of a piece; letters too small for print are told', () => {
    const document = setWith([{ ...timetable, pages: [Array.from({ length: 38 }, (_, line) => `line ${line}`).join('\n')] }]);
    const derived = derive(document);
    expect(makeUp(document, derived, { pieces: [], what: 'all' }).pages).toEqual([]);
    expect(makeUp(document, derived, { pieces: null, what: 'templates' }).pages).toEqual([]);
    expect(makeUp(document, derived, { pieces: null, what: 'all' }).findings.map(({ code }) => code)).toContain('words-too-small');
  });

  it('are refused by field and reason where they cannot be', () => {
    const issues = (booklet: object): string => {
      const read = readSet({ format: 'bashful-parlor-set', version: 1, booklets: [booklet] });
      return read.ok ? '' : read.error.map(({ path, message }) => `${path}: ${message}`).join(' | ');
    };
    expect(issues(timetable)).toBe('');
    expect(issues({ ...timetable, pages: [] })).toMatch(/^booklets\[0\]\.pages/);
    expect(issues({ ...timetable, pages: ['a\u0007'] })).toMatch(/booklets\[0\]\.pages\[0\]: There is a sign/);
    expect(issues({ ...timetable, width: '0 mm' })).toMatch(/^booklets\[0\]\.width/);
  });
});
