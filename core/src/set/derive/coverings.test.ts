import { describe, expect, it } from 'vitest';
import { type Finish, finishSchema, lookOf, type Paper, sizeOfPaper, USUAL_TRIM } from '../../cover/index.ts';
import { scaleFromRatio, UM } from '../../measure/index.ts';
import { writePdf } from '../../pdf/index.ts';
import { readPdf, shippedFonts } from '../../pdf/readPdf.testing.ts';
import { type Page, wordsIn } from '../../print/index.ts';
import { areaOf } from '../../shape/index.ts';
import {
  applyEdit,
  coverFindings,
  derive,
  deriveCoverings,
  describeFinding,
  describeMend,
  pagesOf,
  paperJoinsOf,
  paperNeeds,
  readSet,
  rulerGrid,
  type SetDocument,
  setSchema,
  VERSION,
} from '../index.ts';

const bookcase = { name: 'Bookcase', width: '900 mm', height: '1800 mm', depth: '300 mm', front: { kind: 'shelves', count: 3 } };

const PIECE = { at: { kind: 'piece' } };

const setOf = (finishes: readonly object[], pieces: readonly object[], change: object = {}): SetDocument =>
  setSchema.parse({
    format: 'bashful-parlor-set',
    version: VERSION,
    doll: { height: '29 cm', scale: { by: 'ratio', ratio: 6 } },
    boards: [{ id: 'white', name: 'white', nominal: '5 mm', sheets: ['20 × 30 in'] }],
    finishes,
    pieces,
    ...change,
  });

const followed = (document: SetDocument) => {
  const derived = derive(document);
  const coverings = deriveCoverings(document, derived);
  const needs = paperNeeds(document, derived, coverings);
  return { derived, coverings, needs, findings: coverFindings(document, derived, coverings, needs) };
};

const brick = { id: 'brick', name: 'brick', art: { kind: 'pattern', pattern: 'running bond' } };
const dots = (supply: object) => ({ id: 'dots', name: 'dots', art: { kind: 'pattern', pattern: 'dots' }, edges: 'strips', supply });

describe('a room dressed by the list', () => {
  const paint = { id: 'paint', name: 'paint', how: 'paint', art: { kind: 'plain', ink: 'chalk' } };
  const painted = (at: object, more: object = {}): number => {
    const room = { family: 'room', id: 'r', name: 'room', width: '2400 mm', depth: '1800 mm', height: '2400 mm' };
    const big = [{ id: 'white', nominal: '5 mm', sheets: [{ name: 'large', width: '2 m', height: '2 m' }] }];
    const document = setOf([paint], [{ ...room, dress: { wears: [{ at, finish: 'paint' }], ...more } }], { boards: big });
    return followed(document).coverings[0]?.covering.paints[0]?.area ?? 0;
  };

  it.each([
    ['every back wall', { kind: 'role', role: 'back' }, 'behind'],
    ['the back wall alone', { kind: 'part', part: 'r/wall-0' }, 'behind'],
    ['a side wall alone', { kind: 'part', part: 'r/wall-1' }, 'behind'],
    ['the floor alone', { kind: 'part', part: 'r/floor' }, 'underneath'],
  ])('%s wears it on the side that is seen; on the other one only when that is asked for', (_, at, option) => {
    const [one, both] = [painted(at), painted(at, { [option]: true })];
    expect(one).toBeGreaterThan(0);
    expect(both).toBeGreaterThan(1.8 * one);
    expect(both).toBeLessThan(2.4 * one);
  });
});

describe('what it takes', () => {
  it('a floor of 18 × 24 in from 12 × 12 in papers laid whole takes four, two by two (common practice, no source)', () => {
    const [across, up] = [18, 24].map((inches) => paperJoinsOf(inches * UM.in, 12 * UM.in, null).length + 1) as [number, number];
    expect(across * up).toBe(4);
    expect(paperJoinsOf(18 * UM.in, 12 * UM.in, null)).toEqual([12 * UM.in]);
  });

  it('seams fall on lines of the pattern where it has any: a repeat of 5 cm on sheets of 30.48 is joined every 30', () => {
    expect(paperJoinsOf(700_000, 304_800, 50_000)).toEqual([300_000, 600_000]);
    expect(paperJoinsOf(300_000, 304_800, 50_000)).toEqual([]);
    // A repeat larger than the sheet matches nowhere, and sheets are used whole.
    expect(paperJoinsOf(700_000, 304_800, 400_000)).toEqual([304_800, 609_600]);
  });

  it('sheets: enough of them for all papers, none larger than a sheet, those at hand before those to buy', () => {
    const document = setOf(
      [dots({ kind: 'sheets', atHand: 1, price: 0.8 })],
      [{ ...bookcase, dress: { wears: [{ ...PIECE, finish: 'dots' }] } }],
    );
    const { needs, coverings } = followed(document);
    const [need] = needs;
    if (need?.kind !== 'sheets') throw new Error('of sheets');
    const area = coverings
      .flatMap(({ covering }) => covering.papers)
      .reduce((sum, paper) => sum + areaOf(paper.panels.map(({ region }) => region)), 0);
    const sheet = (12 * UM.in) ** 2;
    expect(need.count).toBeGreaterThanOrEqual(Math.ceil(area / sheet));
    expect(need.count).toBeLessThanOrEqual(Math.ceil((1.6 * area) / sheet) + 1);
    expect(need.buy).toBe(need.count - 1);
    expect(need.price).toBeCloseTo(need.buy * 0.8, 9);
    const cuts = need.laid.flatMap((sheet) => sheet.cuts);
    // One cut for each paper, and one more for each seam.
    expect(cuts.length).toBe(coverings.flatMap(({ covering }) => covering.papers).length + need.seams.length);
    for (const { x, y, width, height, tag } of cuts) {
      expect([x + width <= 12 * UM.in, y + height <= 12 * UM.in, /^\d+[A-Z]+$/.test(tag)]).toEqual([true, true, true]);
    }
    for (const { cuts: side } of need.laid)
      for (const one of side)
        for (const other of side)
          expect(
            one === other ||
              one.x + one.width <= other.x ||
              other.x + other.width <= one.x ||
              one.y + one.height <= other.y ||
              other.y + other.height <= one.y,
          ).toBe(true);
  });

  it('strips under a trim: a length of it over every seam, as long as the paper is there, and nothing left to warn of', () => {
    const wall = () =>
      setOf(
        [dots({ kind: 'sheets', atHand: 9 })],
        [{ ...bookcase, width: '240 cm', dress: { wears: [{ at: { kind: 'role', role: 'back' }, finish: 'dots' }] } }],
      );
    const open = followed(wall());
    const [seams] = open.findings.filter(({ code }) => code === 'seams');
    expect(seams?.mend?.kind).toBe('trim-over-seams');
    // The mend does away with the finding, and seams lie where they lay.
    if (!seams?.mend) throw new Error('one click mends it');
    const mended = followed(applyEdit(wall(), seams.mend.edit).document);
    expect(mended.findings.filter(({ code }) => code === 'seams')).toEqual([]);
    const [bare, under] = [open, mended].map(({ needs: [need] }) => (need && 'seams' in need ? need.seams : []));
    expect(bare?.length).toBeGreaterThan(0);
    expect(under?.map(({ at, length }) => [at, length])).toEqual(bare?.map(({ at, length }) => [at, length]));
    expect(under?.every(({ trim }) => trim === USUAL_TRIM)).toBe(true);
    for (const { paper, way, length } of under ?? []) {
      const { x1, y1 } = sizeOfPaper(mended.coverings[0]?.covering.papers[paper] as Paper);
      expect(length).toBe(Math.round(way === 'across' ? y1 : x1));
    }
  });

  it('a roll: no shorter than the area on its width, and little longer', () => {
    const document = setOf(
      [dots({ kind: 'roll', width: '45 cm', atHand: '10 cm', price: 4 })],
      [{ ...bookcase, dress: { wears: [{ ...PIECE, finish: 'dots' }] } }],
    );
    const { needs, coverings } = followed(document);
    const [need] = needs;
    if (need?.kind !== 'roll') throw new Error('of a roll');
    const boxes = coverings
      .flatMap(({ covering }) => covering.papers)
      .reduce((sum, paper) => sum + sizeOfPaper(paper).x1 * sizeOfPaper(paper).y1, 0);
    expect(need.length).toBeGreaterThanOrEqual(boxes / 450_000);
    expect(need.length).toBeLessThan((1.25 * boxes) / 450_000);
    expect(need.buy).toBe(need.length - 100_000);
  });

  it('printed: as many pages as are made up, and none of what nobody wears', () => {
    const document = setOf(
      [brick, { ...brick, id: 'unworn' }],
      [{ ...bookcase, dress: { wears: [{ at: { kind: 'role', role: 'back' }, finish: 'brick' }] } }],
    );
    const { derived, needs } = followed(document);
    const pages = pagesOf(document, derived, { pieces: null, what: 'coverings' });
    expect(needs).toMatchObject([{ kind: 'printed', finish: 'brick', pages: pages.length }]);
    expect(pagesOf(document, derived, { pieces: [], what: 'coverings' })).toEqual([]);
  });

  it('what one piece wears changes neither its parts nor the coverings of others', () => {
    const before = setOf(
      [brick],
      [
        { ...bookcase, dress: { wears: [{ ...PIECE, finish: 'brick' }] } },
        { ...bookcase, name: 'Other', dress: { wears: [{ ...PIECE, finish: 'brick' }] } },
      ],
    );
    const derived = derive(before);
    const coverings = deriveCoverings(before, derived);
    const [first] = before.pieces;
    const { document } = applyEdit(before, {
      kind: 'change-piece',
      id: first?.id ?? '',
      change: { dress: { ...(first?.dress as never as object), wears: [] } as never },
    });
    const now = derive(document, derived);
    expect(now.pieces[0]).toBe(derived.pieces[0]);
    expect(deriveCoverings(document, now, coverings)).toEqual([coverings[1]]);
    expect(deriveCoverings(document, now, coverings)[0]).toBe(coverings[1]);
  });
});

describe('findings', () => {
  it('paper that does not go round says how high it goes, and its mend ends it there under a rail', () => {
    const document = setOf([dots({ kind: 'sheets', atHand: 1 })], [{ ...bookcase, dress: { wears: [{ ...PIECE, finish: 'dots' }] } }]);
    const { findings } = followed(document);
    const short = findings.find(({ code }) => code === 'paper-short');
    if (short?.code !== 'paper-short' || !short.mend) throw new Error('not short');
    expect(short.numbers.has).toBe(1);
    expect(short.numbers.needed).toBeGreaterThan(1);
    expect(short.numbers.reach % 10_000).toBe(0);
    expect(describeFinding(short, document.units).reason).toMatch(/covers the lower \d+ mm of Bookcase: a rail/);
    expect(describeMend(short.mend, { unit: 'mm', fine: false })).toBe('stop there, under a rail');
    const mended = applyEdit(document, short.mend.edit);
    const after = followed(mended.document);
    expect(after.findings.filter(({ code }) => code === 'paper-short')).toEqual([]);
    expect(after.needs).toMatchObject([{ count: 1 }]);
    expect(applyEdit(mended.document, mended.inverse).document).toEqual(document);
  });

  it('raw edges are measured; strips mend them', () => {
    const document = setOf([{ ...brick, edges: 'raw' }], [{ ...bookcase, dress: { wears: [{ ...PIECE, finish: 'brick' }] } }]);
    const raw = followed(document).findings.find(({ code }) => code === 'raw-edges');
    if (raw?.code !== 'raw-edges' || !raw.mend) throw new Error('not raw');
    expect(raw.numbers.length).toBeGreaterThan(500_000);
    const { document: after } = applyEdit(document, raw.mend.edit);
    expect(followed(after).findings.filter(({ code }) => code === 'raw-edges')).toEqual([]);
  });

  it('joints too fine for a printer, colours that fight and colours hardly told apart', () => {
    const paint = (id: string, ink: string) => ({ id, name: id, how: 'paint', art: { kind: 'plain', ink } });
    const palette = [
      { id: 'red', name: 'red', colour: '#d0402f' },
      { id: 'green', name: 'green', colour: '#2f8f4a' },
      { id: 'white', name: 'white', colour: '#f4efe4' },
      { id: 'cream', name: 'cream', colour: '#f2ecdf' },
    ];
    const wearing = (piece: string, back: string) => ({
      ...bookcase,
      dress: {
        wears: [
          { ...PIECE, finish: piece },
          { at: { kind: 'role', role: 'back' }, finish: back },
        ],
      },
    });
    const said = (document: SetDocument) =>
      followed(document).findings.map((finding) => `${finding.code}${finding.code === 'colours-beside' ? ` ${finding.how}` : ''}`);
    const finishes = ['red', 'green', 'white', 'cream'].map((id) => paint(id, id));
    expect(said(setOf(finishes, [wearing('red', 'green')], { palette }))).toContain('colours-beside fight');
    expect(said(setOf(finishes, [wearing('white', 'cream')], { palette }))).toContain('colours-beside alike');
    expect(said(setOf(finishes, [wearing('white', 'green')], { palette }))).toEqual([]);
    const fine = setOf(
      [{ ...brick, art: { ...brick.art, sizes: { joint: '0.5 mm' } } }],
      [{ ...bookcase, dress: { wears: [{ ...PIECE, finish: 'brick' }] } }],
    );
    expect(said(fine)).toContain('pattern-too-fine');
  });
});

/** All words that stand on pages. */
const wordsOn = (pages: readonly Page[]) => pages.flatMap(({ marks }) => wordsIn(marks));

describe('pictures and signs', () => {
  const picture = (width: number, change: object = {}) => ({
    id: 'p',
    name: 'harbour view',
    edges: 'raw',
    art: { kind: 'picture', picture: { id: 'b'.repeat(64), width, height: width, name: 'view.jpg' }, ...change },
  });
  const onBack = (finish: object, height = bookcase.height) =>
    setOf([finish], [{ ...bookcase, height, dress: { wears: [{ at: { kind: 'role', role: 'back' }, finish: 'p' }] } }]);
  const about = (document: SetDocument) => {
    const { findings, derived } = followed(document);
    const coarse = findings.find(({ code }) => code === 'picture-too-coarse');
    return { coarse, pages: pagesOf(document, derived, { pieces: null, what: 'coverings' }).length };
  };

  it('under 150 dots to the inch at print size it is refused with the reason, under 250 warned of, above printed', () => {
    // The back is 150 mm wide and 300 mm high at doll size: fitted, a square picture is 300 mm, 11.8 in.
    const { coarse, pages } = about(onBack(picture(1_500)));
    expect(coarse).toMatchObject({ severity: 'error', numbers: { least: 150, good: 250 } });
    expect(coarse && describeFinding(coarse, { unit: 'mm', fine: false }).reason).toMatch(
      /Harbour view has 1\d\d dots to the inch at this size; under 150/,
    );
    expect(pages).toBe(0);
    expect(about(onBack(picture(2_400))).coarse).toMatchObject({ severity: 'warning' });
    expect(about(onBack(picture(2_400))).pages).toBeGreaterThan(0);
    expect(about(onBack(picture(4_000))).coarse).toBeUndefined();
    // Shown smaller the same picture is sharp: 60 cm are 100 mm, 3.9 in.
    expect(about(onBack(picture(1_500, { across: '600 mm' }))).coarse).toBeUndefined();
  });

  it('a sign is as large as it was said to be, in the middle of what wears it, and its words fit', async () => {
    const sign = {
      id: 'p',
      name: 'price list',
      edges: 'raw',
      art: {
        kind: 'sign',
        words: 'Stamps 2\nLetters by night boat 5',
        ink: 'walnut',
        ground: 'chalk',
        width: '600 mm',
        height: '300 mm',
        face: 'name',
      },
    };
    const document = onBack(sign);
    const pages = pagesOf(document, derive(document), { pieces: null, what: 'coverings' });
    const [words] = wordsOn(pages);
    if (!words) throw new Error('no words');
    // 600 × 300 mm at 1 : 6 is 100 × 50 mm; the border and its air take 4 × 2.5 % of the height on every side.
    expect([words.width, words.height]).toEqual([expect.closeTo(90_000, 0), expect.closeTo(40_000, 0)]);
    const bytes = await writePdf(pages, shippedFonts(), 'x');
    const texts = (await readPdf(bytes)).flatMap((page) => page.texts);
    expect(texts).toEqual(expect.arrayContaining(['Stamps 2', 'Letters by night boat 5']));
  });

  it.each(['long', 'short', 'one'] as const)('a sign that hangs is printed on both sides, in register (%s edge)', (sides) => {
    const sign = {
      id: 'p',
      edges: 'raw',
      supply: { kind: 'printed', on: 'card', both: true },
      art: {
        kind: 'sign',
        words: 'OPEN\nuntil the night boat',
        align: 'left',
        ink: 'walnut',
        ground: 'chalk',
        width: '500 mm',
        height: '200 mm',
      },
    };
    const set = onBack(sign, '1200 mm');
    const document = { ...set, printing: { ...set.printing, sides } };
    const pages = pagesOf(document, derive(document), { pieces: null, what: 'coverings' });
    expect(pages).toHaveLength(2);
    const [front, back] = pages.map((page) => wordsOn([page])[0]);
    if (!front || !back) throw new Error('no words');
    expect([back.lines, back.width, back.height]).toEqual([front.lines, front.width, front.height]);
    const middle = ({ matrix: [a, b, c, d, e, f], width, height }: typeof front): readonly [number, number] => [
      (a * width + c * height) / 2 + e,
      (b * width + d * height) / 2 + f,
    ];
    const [[x, y], [u, v]] = [middle(front), middle(back)];
    const { width, height } = pages[0] as { width: number; height: number };
    // Turned over its long edge the sheet changes left and right, over its short edge top and bottom.
    expect([u, v]).toEqual(
      sides === 'short' ? [expect.closeTo(x, 3), expect.closeTo(height - y, 3)] : [expect.closeTo(width - x, 3), expect.closeTo(y, 3)],
    );
    // Letters run on as on the front, never mirrored.
    const [a, b, c, d] = back.matrix;
    expect(a * d - b * c).toBeCloseTo(1, 9);
  });

  it('are refused at the door for what they cannot be', () => {
    const issues = (art: object): string => {
      const read = readSet({ format: 'bashful-parlor-set', version: 1, finishes: [{ id: 'p', art }] });
      return read.ok ? '' : read.error.map(({ path, message }) => `${path}: ${message}`).join(' | ');
    };
    const { art } = picture(100) as { art: { picture: object } };
    expect(issues(art)).toBe('');
    expect(issues({ ...art, picture: { ...art.picture, id: '../../etc' } })).toMatch(/picture is named by/);
    expect(issues({ ...art, crop: { left: 0.5, right: 0.5 } })).toMatch(/twentieth of the picture/);
    expect(issues({ kind: 'sign', words: 'a\u0007', ink: 'x', ground: 'y', width: '1 m', height: '1 m' })).toMatch(/cannot be written/);
    expect(issues({ kind: 'sign', words: '\n'.repeat(50), ink: 'x', ground: 'y', width: '1 m', height: '1 m' })).toMatch(/40 lines/);
  });
});

describe('by hand', () => {
  it('classic-scale brick drawn with a rule: courses of 1/4 in, bricks of 1 in, each course shifted by 1/2 in (common practice, no source)', () => {
    const inch = (value: number) => Math.round(value * UM.in);
    const art = finishSchema.parse({
      id: 'x',
      art: { kind: 'pattern', pattern: 'running bond', sizes: { length: inch(11.5), height: inch(2.5), joint: inch(0.5) } },
    }).art;
    const grid = rulerGrid(lookOf(art, [], scaleFromRatio(12)));
    expect(grid).toEqual({ up: expect.closeTo(0.25 * UM.in, 0), across: expect.closeTo(UM.in, 0), shift: expect.closeTo(0.5 * UM.in, 0) });
    expect(rulerGrid(lookOf({ ...art, pattern: 'stack bond' } as Finish['art'], [], scaleFromRatio(12)))).toMatchObject({ shift: 0 });
    expect(rulerGrid(lookOf({ ...art, pattern: 'marble', sizes: {} } as Finish['art'], [], scaleFromRatio(12)))).toBeNull();
  });
});

describe('at the door', () => {
  const issues = (finishes: readonly object[], dress?: object): string => {
    const read = readSet({ format: 'bashful-parlor-set', version: 1, finishes, pieces: dress ? [{ ...bookcase, dress }] : [] });
    return read.ok ? '' : read.error.map(({ path, message }) => `${path}: ${message}`).join(' | ');
  };

  it('refuses what no pattern has, and says which and why', () => {
    expect(issues([{ ...brick, art: { kind: 'pattern', pattern: 'bricks' } }])).toMatch(/pattern/);
    expect(issues([{ ...brick, art: { kind: 'pattern', pattern: 'running bond', sizes: { wide: '3 cm' } } }])).toMatch(/no size “wide”/);
    expect(issues([{ ...brick, art: { kind: 'pattern', pattern: 'running bond', sizes: { height: '3 m' } } }])).toMatch(
      /height of a brick: between 20 and 600 mm/,
    );
    expect(issues([brick, brick])).toMatch(/Another finish has this id/);
    expect(issues([brick], { wears: [{ at: { kind: 'face', part: 'x', face: 'top' }, finish: 'brick' }] })).toMatch(/A face is/);
    expect(issues([brick], { wears: [{ ...PIECE, finish: 'gone' }] })).toBe('');
  });
});

it('equal coverings make equal bytes; marble stands in the file once at 300 dots to the inch, square by square, however many papers show it', async () => {
  const dressed = (count: number) =>
    setOf(
      [{ id: 'm', name: 'marble', art: { kind: 'pattern', pattern: 'marble' } }],
      Array.from({ length: count }, () => ({ ...bookcase, dress: { wears: [{ at: { kind: 'role', role: 'back' }, finish: 'm' }] } })),
    );
  const fileOf = (count: number) => {
    const document = dressed(count);
    return writePdf(pagesOf(document, derive(document), { pieces: null, what: 'coverings' }), shippedFonts(), 'x');
  };
  const [one, again, two] = [await fileOf(1), await fileOf(1), await fileOf(2)];
  expect(Buffer.compare(one, again)).toBe(0);
  const [text, twice] = [one, two].map((file) => new TextDecoder('latin1').decode(file)) as [string, string];
  const sizes = (file: string) => [...file.matchAll(/\/Width (\d+)\s+\/Height (\d+)/g)].map(([, width, height]) => `${width} ${height}`);
  expect(new Set(sizes(text))).toEqual(new Set(['202 202']));
  expect(sizes(twice)).toHaveLength(sizes(text).length);
  // The matrix before each says how large its 202 dots are: 72 points to the inch, whichever way it is turned.
  const drawn = [...text.matchAll(/([-\d.]+) ([-\d.]+) ([-\d.]+) ([-\d.]+) [-\d.]+ [-\d.]+ cm\n\/Tones\d+ Do/g)];
  expect(drawn.length).toBeGreaterThanOrEqual(sizes(text).length);
  for (const [, a, b] of drawn) expect((202 / Math.hypot(Number(a), Number(b))) * 72).toBeCloseTo(300, 2);
});
