// The cutting board on the very screen: what is at hand, the order of cuts, what is ticked, sticks, files.
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getUp, sitDown, type Table } from './table.ts';

let table: Table;
let browser: Browser;
let page: Page;
let h: Table['h'];
let faults: readonly string[];

beforeAll(async () => {
  table = await sitDown(1000);
  ({ browser, page, h, faults } = table);
  await h.go('/sets/harbour-post-office/cutting');
  await h.see('[data-testid="bound"]');
});
afterAll(() => getUp(table));

/** Types a plain number over what stands in a field, found by its label. */
const number = async (label: string, value: string): Promise<void> => {
  const field = await page.waitForSelector(`::-p-aria(${label})`);
  await field?.click({ count: 3 });
  await page.keyboard.type(value);
  await page.keyboard.press('Enter');
};

const WHITE = '[data-board="white"]';
const sheetsOf = (board: string) => page.$$eval(`${board} figure`, (figures) => figures.length);

describe('boards at hand', () => {
  it('with a price say what they cost and what is the least possible', async () => {
    await number('price of one', '4,5');
    await h.reads(`${WHITE} [data-testid="bound"]`, /4 sheets; 4 is the least possible.*costs 18, the least possible/);
  });

  it('a price that is none is refused with the reason, and nothing is lost', async () => {
    await number('price of one', 'dear');
    await h.reads('[role="alert"]', /A number, please/);
    await page.keyboard.press('Escape');
    await h.reads(`${WHITE} [data-testid="bound"]`, /costs 18/);
  });

  it('that lie there are used first: only what is missing is bought, and it is said', async () => {
    await number('at hand', '3');
    await h.reads('[data-finding="boards-to-buy"]', /must be bought: 1 × 20 × 30 in/);
    await h.reads(`${WHITE} [data-testid="bound"]`, /costs 4.50/);
    await h.reads(`${WHITE} figcaption`, /at hand/);
  });

  it('edges may be trimmed each by itself', async () => {
    await page.$$eval('summary', (all) => all.find((each) => /each edge by itself/.test(each.textContent ?? ''))?.click());
    await h.type('Trim, top', '20 mm');
    await h.sizeIs('Trim off the left edge', '3 mm');
    await h.reads('[role="status"]', /./);
    await h.press('Undo: the trim at the top');
    await h.sizeIs('Trim off each sheet edge', '3 mm');
  });
});

describe('the order of cuts', () => {
  it('is shown one cut after another, turned by the arrows, until all parts are cut', async () => {
    await h.press('how to cut sheet 1');
    await h.reads('[data-testid="cut-step"]', /Rule at 3 mm from the left edge.*Falls off: the trimmed edge/);
    const cuts = Number(/of (\d+) cuts/.exec(await h.text('[role="dialog"]'))?.[1]);
    expect(cuts).toBeGreaterThan(10);
    for (let cut = 0; cut < cuts; cut += 1) await page.keyboard.press('ArrowRight');
    await h.reads('[data-testid="cut-step"]', /All parts are cut/);
    await page.keyboard.press('ArrowLeft');
    await h.reads('[data-testid="cut-step"]', /Rule at/);
    // What lies on the table in the end are the parts that the sheet's drawing shows.
    await page.keyboard.press('ArrowRight');
    const tags = await page.$$eval('[role="dialog"] svg text', (texts) => texts.map((text) => text.textContent ?? '').sort());
    await page.keyboard.press('Escape');
    const drawn = await page.$eval(`${'[data-board="white"]'} figure svg[role="img"]`, (svg) =>
      [...svg.querySelectorAll('text')].map((text) => text.textContent ?? '').sort(),
    );
    expect(tags).toEqual(drawn);
  });
});

describe('a sheet that is ticked', () => {
  it('is planned no more, leaves offcuts, and is taken back', async () => {
    const before = await sheetsOf(WHITE);
    await h.press('it is cut: sheet 1');
    await h.reads('[data-testid="cut-sheets"]', /20 × 30 in: .*not cut after all/);
    await page.waitForFunction(
      (find: string, most: number) => document.querySelectorAll(find).length <= most,
      { polling: 100 },
      `${WHITE} figure`,
      before,
    );
    await h.reads('fieldset li', /^\d+(\.\d+)? × \d+(\.\d+)? mm/);
    await h.press('not cut after all');
    await page.waitForFunction(() => document.querySelector('[data-testid="cut-sheets"]') === null, { polling: 100 });
    await page.waitForFunction(
      (find: string, count: number) => document.querySelectorAll(find).length === count,
      { polling: 100 },
      `${WHITE} figure`,
      before,
    );
    await h.saved();
  });
});

describe('sticks', () => {
  it('say how few could do, and may be longer or joined where they are too short', async () => {
    await h.go('/sets/night-ferry-hall/cutting');
    await h.reads('[data-stick="square dowel, 10 mm"]', /Longer than a stick: 4E post/);
    await h.type('square dowel, 10 mm, one is', '91.5 cm');
    await h.reads('[data-stick="square dowel, 10 mm"]', /(\d+) of 91.5 cm; \1 is the least possible/);
    await h.press('Undo: the length of square dowel, 10 mm');
    await h.reads('[data-stick="square dowel, 10 mm"]', /Longer than a stick/);
  });
});

describe('the boards as files', () => {
  it('are written at true size, as SVG and as DXF', async () => {
    const downloads = mkdtempSync(join(tmpdir(), 'parlor-boards-'));
    const client = await browser.target().createCDPSession();
    await client.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: downloads });
    await h.go('/sets/harbour-post-office/cutting');
    await h.see('[data-testid="bound"]');
    await h.press('SVG');
    await h.press('DXF');
    await expect
      .poll(() => readdirSync(downloads).sort(), { timeout: 20_000 })
      .toEqual(['harbour-post-office-boards.dxf', 'harbour-post-office-boards.svg']);
    expect(readFileSync(join(downloads, 'harbour-post-office-boards.svg'), 'utf8')).toMatch(/^<svg [^>]*mm"/);
    expect(readFileSync(join(downloads, 'harbour-post-office-boards.dxf'), 'utf8')).toContain('LWPOLYLINE');
    expect(faults).toEqual([]);
  });
});
