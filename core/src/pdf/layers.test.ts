// Layers and pages as other libraries see them.
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import sharp from 'sharp';
import { expect, it } from 'vitest';
import { lookOf, type Paper } from '../cover/index.ts';
import { scaleFromRatio, UM } from '../measure/index.ts';
import { drawPaper, impose, PAGE_LAYERS, type Page, type PageRules, type Pixels } from '../print/index.ts';
import { bounds, rectRing } from '../shape/index.ts';
import { pageSvg, textZip, writePdf } from './index.ts';
import { readPdf, shippedFonts } from './readPdf.testing.ts';
import { darkness, renderPdf } from './renderPdf.testing.ts';

const paper: Paper = {
  how: 'cover',
  wear: { at: { kind: 'piece' }, finish: 'f', runs: 'as drawn', upTo: null },
  panels: [
    { kind: 'face', surface: 0, region: { outline: rectRing(0, 0, 120_000, 80_000), holes: [] }, place: { cos: 1, sin: 0, dx: 0, dy: 0 } },
  ],
  scores: [
    [
      [0, 40_000],
      [120_000, 40_000],
    ],
  ],
  fit: { x0: 0, y0: 0, x1: 120_000, y1: 80_000 },
  art: { cos: 1, sin: 0, dx: 0, dy: 0 },
};
const palette = [
  { id: 'black', name: 'black', colour: '#000000' },
  { id: 'red', name: 'red', colour: '#d04030' },
];
const RULES: PageRules = { paper: 'a4', margin: 10_000, overlap: 12_000 };

const pageOf = (pattern: string, sizes: object, rules = RULES): Page => {
  const look = lookOf({ kind: 'pattern', pattern, sizes, inks: ['black', 'red'], seed: 1 } as never, palette, scaleFromRatio(6));
  return impose([drawPaper({ tag: '1A', name: 'x', paper, look, on: 'plain' })], rules, 'set')[0] as Page;
};

it('a PDF has its layers by name, all shown, and a reader can hide one', async () => {
  const bytes = await writePdf([pageOf('stripes', { wide: 60 * UM.mm, between: 60 * UM.mm })], shippedFonts(), 'layers');
  const document = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
  const config = await document.getOptionalContentConfig();
  const groups = [...(config as unknown as Iterable<readonly [string, { readonly name: string; readonly visible: boolean }]>)].map(
    ([, group]) => group,
  );
  expect(groups.map(({ name }) => name).sort()).toEqual([...PAGE_LAYERS].sort());
  expect(groups.every(({ visible }) => visible)).toBe(true);
  // Each layer that has marks is opened once on the page and closed again.
  const text = Buffer.from(bytes).toString('latin1');
  const opened = [...text.matchAll(/\/OC \/(\w+) BDC/g)].map(([, name]) => name);
  expect(opened).toEqual(['art', 'guide', 'score', 'cut', 'text']);
  expect(text.match(/^EMC$/gm)).toHaveLength(opened.length);
});

it('a pattern keeps its period over the page: lines of every stripe stand within a hundredth of a millimetre, corrected or not', async () => {
  for (const [x, y] of [
    [1, 1],
    [0.97, 1.02],
  ] as const) {
    const rules: PageRules = { ...RULES, printer: { kind: 'own', x, y, measured: null, changed: null } };
    const page = pageOf('stripes', { wide: 36 * UM.mm, between: 30 * UM.mm }, rules);
    const [read] = await readPdf(await writePdf([page], shippedFonts(), 'x'));
    // Stripes of 6 mm, 11 mm apart, run up the paper: the left side of each, as the printer makes it.
    const lefts = (read?.paths ?? [])
      .filter(({ points }) => points.length === 4)
      .map(({ points }) => bounds(points))
      .filter(({ x0, x1, y0, y1 }) => Math.abs((x1 - x0) * x - 6) < 0.01 && (y1 - y0) * y > 70)
      .map(({ x0 }) => x0 * x)
      .sort((a, b) => a - b);
    expect(lefts.length).toBeGreaterThanOrEqual(9);
    lefts.forEach((left, index) => {
      expect(Math.abs(left - (lefts[0] as number) - 11 * index)).toBeLessThan(0.01);
    });
  }
});

it('an SVG of a page shows what its PDF shows, drawn by another library; corrected pages too, and tones', async () => {
  const corrected: PageRules = { ...RULES, printer: { kind: 'own', x: 0.96, y: 0.98, measured: null, changed: null } };
  for (const page of [
    pageOf('stripes', { wide: 60 * UM.mm, between: 60 * UM.mm }),
    pageOf('stripes', { wide: 60 * UM.mm, between: 60 * UM.mm }, corrected),
    pageOf('wood grain', { ring: 60 * UM.mm, fibre: 12 * UM.mm }),
  ]) {
    const [pdf] = renderPdf(await writePdf([page], shippedFonts(), 'x'), 60) as [Pixels];
    const svg = pageSvg(page, new Map(), (lines) => lines.map((line) => line.length * 0.54));
    const { data } = await sharp(Buffer.from(svg), { density: 60 })
      .resize(pdf.width, pdf.height, { fit: 'fill' })
      .flatten({ background: '#fff' })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const other: Pixels = { width: pdf.width, height: pdf.height, data: new Uint8ClampedArray(data) };
    let [differs, inked] = [0, 0];
    for (let y = 0; y < pdf.height; y += 1)
      for (let x = 0; x < pdf.width; x += 1) {
        const [a, b] = [darkness(pdf, x, y), darkness(other, x, y)];
        if (a > 0.3) inked += 1;
        if (Math.abs(a - b) > 0.35) differs += 1;
      }
    expect(inked).toBeGreaterThan(5_000);
    expect(differs / inked).toBeLessThan(0.03);
  }
});

it('a zip of equal texts is equal bytes', () => {
  const files = [{ name: 'a.svg', text: '<svg/>' }];
  expect(Buffer.compare(textZip(files), textZip(files))).toBe(0);
});
