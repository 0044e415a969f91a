import { describe, expect, it } from 'vitest';
import { type Mark, type Page, printable } from '../../print/index.ts';
import {
  derive,
  deriveCoverings,
  describeFinding,
  makeUp,
  pagesOf,
  paperNeeds,
  readSet,
  type SetDocument,
  setSchema,
  VERSION,
} from '../index.ts';
import { printFindings } from './printFindings.ts';

const BOOKCASE = { name: 'Bookcase', width: '900 mm', height: '1800 mm', depth: '300 mm', front: { kind: 'shelves', count: 3 } };
const PIECE = { at: { kind: 'piece' } };

const setOf = (change: object): SetDocument =>
  setSchema.parse({
    format: 'bashful-parlor-set',
    version: VERSION,
    doll: { height: '29 cm', scale: { by: 'ratio', ratio: 6 } },
    boards: [{ id: 'white', name: 'white', nominal: '5 mm', sheets: ['20 × 30 in'] }],
    pieces: [BOOKCASE],
    ...change,
  });

const codes = (document: SetDocument, what: 'all' | 'templates' | 'coverings' = 'all') =>
  makeUp(document, derive(document), { pieces: null, what }).findings.map(({ code }) => code);

const wordsOn = (page: Page | undefined): string => {
  const words = (marks: readonly Mark[]): readonly string[] =>
    marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : mark.kind === 'group' ? words(mark.marks) : []));
  return words(page?.marks ?? []).join(' ');
};

describe('what a careful maker notices before printing', () => {
  it('a printer that changed after it was measured, or was never measured since; not one measured after', () => {
    const printer = (measured: string | null, changed: string | null) =>
      setOf({ printing: { printer: { kind: 'laser', x: 0.97, y: 0.98, measured, changed } } });
    expect(codes(printer('2026-03-01', '2026-05-01'))).toContain('printer-changed');
    expect(codes(printer(null, '2026-05-01'))).toContain('printer-changed');
    expect(codes(printer('2026-05-02', '2026-05-01'))).not.toContain('printer-changed');
    expect(codes(printer('2026-03-01', null))).not.toContain('printer-changed');
  });

  it('pages that are mostly ink, not those of a light pattern', () => {
    const dressed = (art: object) =>
      setOf({ finishes: [{ id: 'f', name: 'f', art }], pieces: [{ ...BOOKCASE, dress: { wears: [{ ...PIECE, finish: 'f' }] } }] });
    const palette = [
      { id: 'night', name: 'night', colour: '#101018' },
      { id: 'chalk', name: 'chalk', colour: '#f8f4ea' },
    ];
    expect(codes({ ...dressed({ kind: 'plain', ink: 'night' }), palette }, 'coverings')).toContain('page-inky');
    expect(codes({ ...dressed({ kind: 'plain', ink: 'chalk' }), palette }, 'coverings')).not.toContain('page-inky');
  });

  it('words too small to read, and a seam through words', () => {
    const sign = (words: string, width: string, height: string, wall: object = {}) =>
      setOf({
        finishes: [{ id: 's', name: 's', art: { kind: 'sign', words, ink: 'slate', ground: 'chalk', width, height } }],
        pieces: [{ ...BOOKCASE, ...wall, dress: { wears: [{ at: { kind: 'role', role: 'back' }, finish: 's' }] } }],
      });
    expect(codes(sign('OPEN\nfrom eight to noon, and from two until the last boat has gone', '120 mm', '60 mm'), 'coverings')).toContain(
      'words-too-small',
    );
    expect(codes(sign('OPEN', '300 mm', '120 mm'), 'coverings')).not.toContain('words-too-small');
    const large = { width: '2400 mm', height: '2100 mm', front: { kind: 'open' } };
    expect(codes(sign('HARBOUR OFFICE', '2200 mm', '700 mm', large), 'coverings')).toContain('seam-through-words');
    expect(codes(sign('HARBOUR OFFICE', '700 mm', '300 mm'), 'coverings')).not.toContain('seam-through-words');
  });

  it('more pages than could do, proven by the bound; and says so in words', () => {
    const document = setOf({});
    const { pages } = makeUp(document, derive(document), { pieces: null, what: 'templates' });
    const twelve = Array.from({ length: 12 }, () => pages[0] as Page);
    const said = (least: number) => printFindings({ document, drawings: [], pages: twelve, least });
    expect(said(12)).toEqual([]);
    expect(said(10)).toEqual([]);
    const [found] = said(9);
    expect(found && describeFinding(found, document.units).reason).toContain('12 pages, and 9 could do');
  });
});

describe('papers that no printer prints', () => {
  it('get plans in the same pages: every cut of every sheet with its size, and where the pattern begins', () => {
    const document = setOf({
      finishes: [
        { id: 'dots', name: 'dotted paper', art: { kind: 'pattern', pattern: 'dots' }, edges: 'strips', supply: { kind: 'sheets' } },
      ],
      pieces: [{ ...BOOKCASE, dress: { wears: [{ ...PIECE, finish: 'dots' }] } }],
    });
    const derived = derive(document);
    const [need] = paperNeeds(document, derived, deriveCoverings(document, derived));
    if (need?.kind !== 'sheets') throw new Error('of sheets');
    const { pages } = makeUp(document, derived, { pieces: null, what: 'coverings' });
    const plans = pages.filter(({ title }) => title === 'papers to cut');
    expect(plans.length).toBeGreaterThan(0);
    const words = plans.map(wordsOn).join(' ');
    expect(words).toContain(`dotted paper · sheet ${need.count} of ${need.count}`);
    for (const { tag } of need.laid.flatMap(({ cuts }) => cuts)) expect(words).toContain(tag);
    expect(words).toMatch(/, from \d/);
    const room = printable(document.printing);
    for (const { marks } of plans)
      for (const [x, y] of marks.flatMap((mark) => (mark.kind === 'line' ? mark.points : [])))
        expect(x >= room.x0 && x <= room.x1 && y >= room.y0 && y <= room.y1).toBe(true);
  });

  it('the pattern of a cut begins where the one beside it ends', () => {
    const document = setOf({
      finishes: [
        {
          id: 'dots',
          name: 'dotted paper',
          art: { kind: 'pattern', pattern: 'dots' },
          edges: 'strips',
          supply: { kind: 'sheets', width: '10 cm', height: '10 cm' },
        },
      ],
      pieces: [{ ...BOOKCASE, dress: { wears: [{ at: { kind: 'role', role: 'back' }, finish: 'dots' }] } }],
    });
    const derived = derive(document);
    const [need] = paperNeeds(document, derived, deriveCoverings(document, derived));
    if (need?.kind !== 'sheets') throw new Error('of sheets');
    expect(need.seams.length).toBeGreaterThan(0);
    expect(need.seams.every(({ onLine }) => onLine)).toBe(true);
    // The back shows between shelves as four papers of two pieces each: the two of a paper begin alike, and all of them across.
    const cuts = need.laid.flatMap(({ cuts }) => cuts);
    expect(cuts).toHaveLength(8);
    expect(new Set(cuts.map(({ begins }) => begins?.x)).size).toBe(1);
    const heights = cuts.map(({ begins }) => begins?.y);
    for (const height of heights) expect(heights.filter((other) => other === height)).toHaveLength(2);
  });
});

describe('a set in inches', () => {
  const shelf = { family: 'casework', width: '400 mm', height: '400 mm', depth: '200 mm' };
  const set = (units: object, more: object = {}): SetDocument => {
    const read = readSet({ format: 'bashful-parlor-set', version: 1, units, pieces: [shelf], ...more });
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    return read.value;
  };
  const barsOf = (document: SetDocument) => {
    const [page] = pagesOf(document, derive(document), { pieces: null, what: 'templates' });
    const lines = (page?.marks ?? []).flatMap((mark) => (mark.kind === 'line' && mark.style === 'bar' ? [mark.points] : []));
    const lengths = lines.map((points) =>
      Math.hypot((points[1]?.[0] ?? 0) - (points[0]?.[0] ?? 0), (points[1]?.[1] ?? 0) - (points[0]?.[1] ?? 0)),
    );
    const words = (page?.marks ?? []).flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
    return { longest: Math.max(...lengths), ticks: lines.length - 2, words };
  };

  it('has bars of four inches with a tick every quarter, and no millimetres beside them', () => {
    const { longest, ticks, words } = barsOf(set({ unit: 'in' }));
    expect([longest, ticks]).toEqual([101_600, 2 * 17]);
    expect(words).toContain('4 in');
    expect(words.filter((word) => / mm\b/.test(word))).toEqual([]);
  });

  it('one in millimetres has bars of a hundred', () => {
    const { longest, ticks, words } = barsOf(set({ unit: 'mm' }));
    expect([longest, ticks]).toEqual([100_000, 2 * 11]);
    expect(words).toContain('100 mm');
  });

  it('is printed on letter unless it says otherwise', () => {
    expect(set({ unit: 'in' }).printing.paper).toBe('letter');
    expect(set({ unit: 'in' }, { printing: { paper: 'a4' } }).printing.paper).toBe('a4');
    expect(set({ unit: 'cm' }).printing.paper).toBe('a4');
  });
});
