// Covering pages as another program renders them: poppler's picture of the PDF is measured pixel by pixel.
import { expect, it } from 'vitest';
import { lookOf, type Paper, paintTones, TONES_EDGE } from '../cover/index.ts';
import { scaleFromRatio, UM } from '../measure/index.ts';
import { drawPaper, impose, type Pixels } from '../print/index.ts';
import { rectRing } from '../shape/index.ts';
import { writePdf } from './index.ts';
import { shippedFonts } from './readPdf.testing.ts';
import { renderPdf } from './renderPdf.testing.ts';

/** Ten pixels to the millimetre. */
const DPI = 254;

type Picture = {
  readonly width: number;
  readonly height: number;
  readonly at: (x: number, y: number) => readonly [number, number, number];
};

/** The first page of a PDF as poppler draws it. */
const rendered = (bytes: Uint8Array): Picture => {
  const [{ width, height, data }] = renderPdf(bytes, DPI) as [Pixels];
  const at = (x: number, y: number) => {
    const index = (y * width + x) * 4;
    return [data[index], data[index + 1], data[index + 2]] as [number, number, number];
  };
  return { width, height, at };
};

/** A paper of 120 × 80 mm whose pattern begins `dx`, `dy` before its corner, turned a quarter or not. */
const paperOf = (dx: number, dy: number, turned = false): Paper => ({
  how: 'cover',
  wear: { at: { kind: 'piece' }, finish: 'f', runs: 'as drawn', upTo: null },
  panels: [
    { kind: 'face', surface: 0, region: { outline: rectRing(0, 0, 120_000, 80_000), holes: [] }, place: { cos: 1, sin: 0, dx: 0, dy: 0 } },
  ],
  scores: [],
  fit: { x0: 0, y0: 0, x1: 120_000, y1: 80_000 },
  art: turned ? { cos: 0, sin: 1, dx, dy } : { cos: 1, sin: 0, dx, dy },
});

const palette = [
  { id: 'black', name: 'black', colour: '#000000' },
  { id: 'red', name: 'red', colour: '#ff0000' },
];

const pageOf = async (paper: Paper, art: Parameters<typeof lookOf>[0]): Promise<Picture> => {
  const look = lookOf(art, palette, scaleFromRatio(6));
  const pages = impose(
    [drawPaper({ tag: '1A', name: 'x', paper, look, on: 'plain' })],
    { paper: 'a4', margin: 10_000, overlap: 12_000 },
    'set',
  );
  return rendered(await writePdf(pages, shippedFonts(), 'x'));
};

const isRed = ([r, g]: readonly [number, number, number]): boolean => r > 200 && g < 90;
const isDark = ([r]: readonly [number, number, number]): boolean => r < 90;

/** The stretches of pixels along a line that are of one kind, without thin ones. */
const stretches = (count: number, is: (index: number) => boolean): readonly (readonly [number, number])[] => {
  const found: [number, number][] = [];
  for (let index = 0; index < count; index += 1) {
    if (!is(index)) continue;
    const last = found.at(-1);
    if (last && index - last[1] <= 1) last[1] = index;
    else found.push([index, index]);
  }
  return found.filter(([from, to]) => to - from > 8);
};

it('tiles of 60 mm at 1 : 6 are 10 mm on paper, the same across and up, and a paper is as wide as it should be', async () => {
  const art = {
    kind: 'pattern',
    pattern: 'chequer tile',
    sizes: { side: 60 * UM.mm, joint: 0 },
    inks: ['black', 'black', 'red'],
    seed: 1,
  } as never;
  const picture = await pageOf(paperOf(0, 0), art);
  // Poppler rounds a page up to whole pixels.
  expect([picture.width, picture.height]).toEqual([2101, 2971]);
  const rows = Array.from({ length: picture.height }, (_, y) => y).filter(
    (y) => stretches(picture.width, (x) => isRed(picture.at(x, y))).length >= 5,
  );
  const row = stretches(picture.width, (x) => isRed(picture.at(x, rows[50] as number)));
  expect(row.length).toBe(6);
  // The outermost tiles go on into the bleed; those between are 100 pixels wide and 200 apart, within a pixel of anti-aliasing.
  for (const [from, to] of row.slice(1, -1)) expect(Math.abs(to - from + 1 - 100)).toBeLessThanOrEqual(1);
  for (let index = 1; index < row.length; index += 1)
    expect(Math.abs((row[index]?.[1] ?? 0) - (row[index - 1]?.[1] ?? 0) - 200)).toBeLessThanOrEqual(12);
  const column = stretches(picture.height, (y) => isRed(picture.at((row[2]?.[0] ?? 0) + 50, y)));
  for (const [from, to] of column.slice(1, -1)) expect(Math.abs(to - from + 1 - 100)).toBeLessThanOrEqual(1);
});

it('a paper that lies further on shows the pattern further on, and a turned one shows it turned', async () => {
  const art = {
    kind: 'pattern',
    pattern: 'stripes',
    sizes: { wide: 60 * UM.mm, between: 60 * UM.mm },
    inks: ['black', 'red'],
    seed: 1,
  } as never;
  const middle = async (paper: Paper) => {
    const picture = await pageOf(paper, art);
    const across = (y: number) => stretches(picture.width, (x) => isRed(picture.at(x, y)));
    const ink = (y: number) =>
      Array.from({ length: picture.width }, (_, x) => x).filter((x) => isRed(picture.at(x, y)) || isDark(picture.at(x, y))).length;
    const rows = Array.from({ length: picture.height }, (_, y) => y).filter((y) => ink(y) > 1_000);
    return { picture, across: across(rows[Math.floor(rows.length / 2)] as number), rows };
  };
  const [plain, further] = [await middle(paperOf(0, 0)), await middle(paperOf(4_000, 0))];
  expect(plain.across.length).toBe(6);
  // Four millimetres on in the pattern, the stripes stand forty pixels to the left.
  expect(Math.abs((plain.across[2]?.[0] ?? 0) - (further.across[2]?.[0] ?? 0) - 40)).toBeLessThanOrEqual(1);
  const turned = await middle(paperOf(0, 0, true));
  const x = Math.floor(turned.picture.width / 2) - 300;
  expect(stretches(turned.picture.height, (y) => isRed(turned.picture.at(x, y))).length).toBeGreaterThanOrEqual(4);
});

it.each([
  ['within a paper of the look', 0, 0],
  ['across its edges, where it goes on mirrored', TONES_EDGE - 61_000, -37_000],
])('tones lie the right way up: the page shows what was painted, %s', async (_, x0, y0) => {
  const art = {
    kind: 'pattern',
    pattern: 'wood grain',
    sizes: { ring: 60 * UM.mm, fibre: 12 * UM.mm },
    inks: ['black', 'red'],
    seed: 3,
  } as never;
  const look = lookOf(art, palette, scaleFromRatio(6));
  const picture = await pageOf(paperOf(x0, y0), art);
  const painted = paintTones(look, { x0, y0, x1: x0 + 120_000, y1: y0 + 80_000 }, 100);
  if (!painted) throw new Error('of tones');
  // Find the paper's lower left corner by its cut line, then compare a grid of points well inside.
  const inked = (x: number, y: number) => picture.at(x, y)[0] - picture.at(x, y)[2] > 25;
  const xs = Array.from({ length: picture.width }, (_, x) => x).filter((x) =>
    Array.from({ length: 30 }, (_, step) => 1200 + step * 50).some((y) => y < picture.height && inked(x, y)),
  );
  const ys = Array.from({ length: picture.height }, (_, y) => y).filter((y) =>
    Array.from({ length: 30 }, (_, step) => 300 + step * 30).some((x) => inked(x, y)),
  );
  const [left, top] = [Math.min(...xs) + 10, Math.min(...ys) + 10];
  let [sum, sumP, sumQ, sumPP, sumQQ, sumPQ] = [0, 0, 0, 0, 0, 0];
  for (let row = 60; row < 740; row += 13) {
    for (let column = 60; column < 1140; column += 13) {
      const p = picture.at(left + column, top + row)[0];
      const q = painted.pixels[row * painted.width + column] as number;
      sum += 1;
      sumP += p;
      sumQ += q;
      sumPP += p * p;
      sumQQ += q * q;
      sumPQ += p * q;
    }
  }
  const correlation = (sum * sumPQ - sumP * sumQ) / Math.sqrt((sum * sumPP - sumP * sumP) * (sum * sumQQ - sumQ * sumQ));
  expect(correlation).toBeGreaterThan(0.9);
});

it('a picture lies where it should, the right way up and cropped', async () => {
  const { default: sharp } = await import('sharp');
  // Red above, black below; the right third is green and is cut off.
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600"><rect width="900" height="300" fill="#f00"/><rect y="300" width="900" height="300"/><rect x="600" width="300" height="600" fill="#0f0"/></svg>';
  for (const kind of ['png', 'jpeg'] as const) {
    const bytes = new Uint8Array(await sharp(Buffer.from(svg)).flatten({ background: '#fff' }).toFormat(kind).toBuffer());
    const art = {
      kind: 'picture',
      picture: { id: 'c'.repeat(64), width: 900, height: 600, name: 'x' },
      crop: { left: 0, right: 1 / 3, top: 0, bottom: 0 },
      quarters: 0,
      tiles: 'once',
      // 60 mm at 1 : 6 are 10 mm; six times that is 60 mm on paper.
      across: 360 * UM.mm,
    } as never;
    const look = lookOf(art, palette, scaleFromRatio(6));
    const pages = impose(
      [drawPaper({ tag: '1A', name: 'x', paper: paperOf(0, 0), look, on: 'plain' })],
      { paper: 'a4', margin: 10_000, overlap: 12_000 },
      'set',
    );
    const picture = rendered(await writePdf(pages, shippedFonts(), 'x', new Map([['c'.repeat(64), bytes]])));
    const red: [number, number][] = [];
    let green = 0;
    for (let y = 0; y < picture.height; y += 4)
      for (let x = 0; x < picture.width; x += 4) {
        if (isRed(picture.at(x, y))) red.push([x, y]);
        const [r, g] = picture.at(x, y);
        if (g > 200 && r < 90) green += 1;
      }
    const [xs, ys] = [red.map(([x]) => x), red.map(([, y]) => y)];
    // 60 mm wide and the upper half of 60 mm high: 600 × 300 pixels.
    expect(Math.abs(Math.max(...xs) - Math.min(...xs) - 600)).toBeLessThanOrEqual(8);
    expect(Math.abs(Math.max(...ys) - Math.min(...ys) - 300)).toBeLessThanOrEqual(8);
    expect(green).toBe(0);
    expect(isDark(picture.at(Math.min(...xs) + 300, Math.max(...ys) + 100))).toBe(true);
  }
});
