// Words on pages: as wide as the face makes them, on no others, and a key of the very lines that stand there.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { describe, expect, it } from 'vitest';
import { PRESETS } from '../piece/index.ts';
import { type Mark, type Page, textBox, textWidth } from '../print/index.ts';
import { derive, pagesOf, readSet, type SetDocument } from '../set/index.ts';
import type { Rect } from '../shape/index.ts';

const DEMOS = ['1-harbour-post-office', '2-potting-shed', '3-night-ferry-hall'];
const demo = (name: string): SetDocument => {
  const read = readSet(JSON.parse(readFileSync(new URL(`../../../demo/${name}.parlor.json`, import.meta.url), 'utf8')));
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const alone = (index: number, printing: object): SetDocument => {
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'alone', printing, pieces: [PRESETS[index]?.piece] });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const pages = (document: SetDocument): readonly Page[] => pagesOf(document, derive(document), { pieces: null, what: 'all' });

/** A hair less than words take up: what only touches is read all the same. */
const core = ({ x0, y0, x1, y1 }: Rect): Rect => ({ x0: x0 + 100, y0: y0 + 100, x1: x1 - 100, y1: y1 - 100 });

const clashes = (page: Page): readonly string[] => {
  const texts = page.marks.flatMap((mark) => (mark.kind === 'text' && mark.text !== '' ? [{ mark, box: core(textBox(mark)) }] : []));
  const sorted = texts.toSorted((a, b) => a.box.x0 - b.box.x0);
  return sorted.flatMap(({ mark, box }, index) =>
    sorted.slice(index + 1).flatMap(({ mark: other, box: its }) => {
      const meet = box.x1 > its.x0 && box.y1 > its.y0 && its.y1 > box.y0;
      return meet ? [`“${mark.text}” and “${other.text}” on ${page.title}`] : [];
    }),
  );
};

it('letters are as wide as the font file says', () => {
  const file = createRequire(import.meta.url).resolve(
    '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  );
  const pdf = new PDFDocument().font(file).fontSize(1_000);
  const letters = [...Array.from({ length: 95 }, (_, index) => String.fromCodePoint(32 + index)), ...'×·½–≈°…’'];
  for (const letter of letters) {
    expect(Math.abs(textWidth(letter, 1_000) - pdf.widthOfString(letter)), letter).toBeLessThanOrEqual(5.1);
  }
});

describe('no two texts stand on one another', () => {
  it.each(DEMOS)('on any page of %s', (name) => {
    expect(pages(demo(name)).flatMap(clashes)).toEqual([]);
  });

  it.each(PRESETS.map(({ key }, index) => [key, index] as const))('on the pages of %s alone', (_, index) => {
    const paper = index % 2 === 0 ? 'a4' : 'letter';
    const all = pages(alone(index, { paper, sides: index % 3 === 0 ? 'long' : 'one' }));
    expect(all.flatMap(clashes)).toEqual([]);
  });
});

const stylesIn = (marks: readonly Mark[]): readonly string[] =>
  marks.flatMap((mark) => (mark.kind === 'line' ? [mark.style] : mark.kind === 'group' ? stylesIn(mark.marks) : []));

it('every page of templates names the lines that stand on it, and no others', () => {
  const words: Readonly<Record<string, string>> = {
    cut: 'cut',
    glue: 'glue here',
    axis: 'centre line, no cut',
    guide: 'something stands here',
  };
  for (const page of pagesOf(demo('1-harbour-post-office'), derive(demo('1-harbour-post-office')), { pieces: null, what: 'templates' })) {
    const texts = new Set(page.marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])));
    const used = stylesIn(page.marks);
    // The key itself draws each of its lines once.
    for (const [style, word] of Object.entries(words))
      expect(texts.has(word), style).toBe(used.filter((each) => each === style).length > 1);
  }
});
