// Everything that is not a box, on the very screens: seats from the side, lamps by their sections, outlines by their points and from files.
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getUp, sitDown, type Table } from './table.ts';

let table: Table;
let page: Page;
let h: Table['h'];
let faults: readonly string[];

beforeAll(async () => {
  table = await sitDown(1000);
  ({ page, h, faults } = table);
  await h.go('/sets/potting-shed/pieces/piece-1');
});
afterAll(() => getUp(table));

/** Begins a piece from the library. */
const begin = async (key: string, verdict: RegExp): Promise<void> => {
  await h.press('piece');
  await h.choose(`[data-preset="${key}"]`);
  await h.reads('[data-testid="verdict"]', verdict);
};

const outlinePath = (): Promise<string> => page.$eval('[data-testid="outline"] path', (path) => path.getAttribute('d') ?? '');
const part = (tag: RegExp): Promise<string> =>
  page.$$eval(
    '[data-testid="parts"] tbody tr',
    (rows, source) => rows.map((row) => row.textContent ?? '').find((text) => new RegExp(source).test(text)) ?? '',
    tag.source,
  );

describe('a seat', () => {
  it('is decided from the side, where its seat is pencilled; its legs say how their ends are cut', async () => {
    await begin('bar-stool', /10 parts · closes exactly/);
    await page.waitForFunction(() => document.querySelector('[data-testid="elevation"]')?.getAttribute('data-seen') === 'side', {
      polling: 50,
    });
    await h.reads('[data-testid="parts"]', /leg.*both ends at \d+(\.\d+)?°/s);
    const before = await part(/leg/);
    await h.type('floor to the seat, padding and all on the drawing', '60 cm');
    await page.waitForFunction(
      (was: string) =>
        [...document.querySelectorAll('[data-testid="parts"] tbody tr')].some(
          (row) => /leg/.test(row.textContent ?? '') && row.textContent !== was,
        ),
      { polling: 100 },
      before,
    );
    await h.reads('[data-testid="verdict"]', /closes exactly/);
  });

  it('whose feet spread beyond it is noticed, and mended with a touch', async () => {
    await h.type('Legs spread by', '20 cm');
    await h.reads('[data-finding="leg-outside"]', /Legs stand out beyond the seat/);
    await h.press('let the feet stand under the edge');
    await page.waitForFunction(() => document.querySelector('[data-finding="leg-outside"]') === null, { polling: 100 });
  });
});

describe('a round thing', () => {
  it('is its sections, each as high as the drawing says; another is put on top, moved and taken away', async () => {
    await begin('pedestal-table', /3 parts · closes exactly/);
    await h.type('height of section 2 on the drawing', '50 cm');
    await h.press('put it there');
    await h.reads('[data-testid="verdict"]', /4 parts · closes exactly/);
    // It comes open, to be decided next.
    await h.press('section 4: one down');
    await h.reads('[role="status"], [data-finding], [data-testid="verdict"]', /parts|rests/);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await h.reads('[data-testid="verdict"]', /4 parts · closes exactly/);
    await h.choose('[data-row="3"] summary');
    await h.press('section 4: take it away');
    await h.reads('[data-testid="verdict"]', /3 parts · closes exactly/);
  });
});

describe('an outline', () => {
  it('is changed by its points, with the hand and by keys, and undone in one step', async () => {
    await begin('star-sign', /2 parts · closes exactly/);
    await h.press('change it by its points');
    await h.see('[data-testid="outline"]');
    const star = await outlinePath();
    const box = await ((await page.$('[data-testid="outline"]')) as ElementHandle).boundingBox();
    if (!box) throw new Error('no drawing');
    const [x, y] = [box.x + box.width / 2, box.y + 24];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 30, y + 40, { steps: 6 });
    // It follows the hand before it is let go.
    expect(await outlinePath()).not.toBe(star);
    await page.mouse.up();
    await page.waitForFunction(() => document.querySelector('[data-point]') !== null, { polling: 50 });
    const moved = await outlinePath();
    await page.$eval('[data-testid="outline"]', (each) => (each as SVGElement).focus());
    await page.keyboard.press('ArrowDown');
    await page.waitForFunction(
      (was: string) => document.querySelector('[data-testid="outline"] path')?.getAttribute('d') !== was,
      { polling: 50 },
      moved,
    );
    await h.press('a point after it');
    await h.reads('[aria-label="Its outline"]', /11 points/);
    await h.press('take the point away');
    await h.reads('[aria-label="Its outline"]', /10 points/);
    for (let step = 0; step < 4; step += 1) {
      await page.keyboard.down('Control');
      await page.keyboard.press('z');
      await page.keyboard.up('Control');
    }
    await page.waitForFunction(
      (was: string) => document.querySelector('[data-testid="outline"] path')?.getAttribute('d') === was,
      { polling: 50 },
      star,
    );
  });

  it('is taken from a file at the width that is stated; one that does not do is refused with the reason, and nothing is lost', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'parlor-outline-'));
    const write = (name: string, inside: string): string => {
      const file = join(folder, name);
      writeFileSync(file, `<svg xmlns="http://www.w3.org/2000/svg" width="4in" height="2in" viewBox="0 0 400 200">${inside}</svg>`);
      return file;
    };
    const input = (await page.$('input[aria-label="An outline from an SVG file"]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(write('open.svg', '<path d="M0 0H300V150"/>'));
    await h.reads('[role="alert"]', /outline is open/);
    await h.reads('[data-testid="verdict"]', /2 parts · closes exactly/);
    await input.uploadFile(write('crossing.svg', '<path d="M0 0L300 150L300 0L0 150Z"/>'));
    await h.reads('[role="alert"]', /crosses itself/);
    await input.uploadFile(
      write('oval.svg', '<g transform="rotate(10)"><ellipse cx="200" cy="100" rx="150" ry="80"/><circle cx="200" cy="100" r="40"/></g>'),
    );
    await h.reads('[role="status"]', /Taken, .* wide; 1 opening/);
    await h.reads('[data-testid="verdict"]', /2 parts · closes exactly/);
    await h.saved();
  });

  it('its layers are larger, smaller or rims, by what stands in each', async () => {
    await h.choose('[aria-label="Layers, from behind"] [data-row="1"] summary');
    await h.type('Only a rim, wide, layer 2', '3 cm');
    await h.reads('[aria-label="Layers, from behind"]', /a rim .* wide/);
    await h.reads('[data-testid="verdict"]', /2 parts · closes exactly/);
  });
});

describe('what follows from them', () => {
  it('sticks and boards are both planned, and templates carry the slanting ends', async () => {
    await h.go('/sets/night-ferry-hall/pieces/piece-17');
    await h.reads('[data-testid="parts"]', /leg.*ends at .*° and .*°/s);
    await h.go('/sets/night-ferry-hall/cutting');
    await h.reads('[data-testid="sticks"], main', /square dowel, 0\.5 cm/);
    await h.go('/sets/night-ferry-hall/printing?find=17A');
    await h.reads('main', /17A/);
  });

  it('nothing was said to the console that a maker should not see', () => {
    expect(faults).toEqual([]);
  });
});
