// Dressing a piece on the very screens: swatches, who wears what by keyboard, a picture and a sign of one's own, what it takes, pages.
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import sharp from 'sharp';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { getUp, sitDown, type Table } from './table.ts';

let table: Table;
let page: Page;
let h: Table['h'];
let faults: readonly string[];
const folder = mkdtempSync(join(tmpdir(), 'parlor-pictures-'));

beforeAll(async () => {
  table = await sitDown(1000);
  ({ page, h, faults } = table);
});
afterAll(() => getUp(table));

const wearer = (label: string) => `[data-wears="${label}"] select`;
const wears = (label: string): Promise<string> =>
  page.$eval(wearer(label), (field) => (field as HTMLSelectElement).selectedOptions[0]?.textContent ?? '');
/** Chooses by the words of an option, as a hand on the keys does. */
const dress = async (label: string, words: string): Promise<void> => {
  await h.see(wearer(label));
  const value = await page.$eval(
    wearer(label),
    (field, wanted) => [...(field as HTMLSelectElement).options].find(({ textContent }) => textContent === wanted)?.value ?? '',
    words,
  );
  await page.select(wearer(label), value);
};
const papers = () => page.$$eval('[data-paper]', (found) => found.map((each) => each.getAttribute('aria-label') ?? ''));
const undo = async (): Promise<void> => {
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
};

it('a dressed piece shows its papers, as large as they are cut, and what the set takes', async () => {
  await h.go('/sets/harbour-post-office/coverings/piece-5');
  await h.reads('h2', /Parcel table, dressed/);
  await h.see('[data-paper="cover"]');
  // 1700 × 750 mm at 1 : 6 is 283.3 × 125 mm; the board is 4.8 mm, and its paper turns in by 8 mm on every side but the one to the wall.
  expect((await papers())[0]).toMatch(/5A top, top, 309 mm × ≈ 138 mm/);
  await h.reads('[data-testid="needs"]', /packing-table planks 4 pages to print/);
  await h.reads('[data-testid="needs"]', /sea green paint \d+ ml for 2 coats/);
});

it('a swatch is taken from the library, dresses a kind of part by the list, and is undone', async () => {
  await page.locator('::-p-xpath(//section[@aria-label="The swatch tray"]//button[contains(., "swatch") and not(@data-swatch)])').click();
  await h.choose('[role="dialog"] [data-swatch="hexagon tile"]');
  await h.see('section[aria-label="About hexagon tile"]');
  await dress('every top', 'hexagon tile');
  await h.reads('[data-testid="needs"]', /hexagon tile \d+ pages? to print/);
  await h.type('tile, across flats, real', '12 cm');
  await h.sizeIs('tile, across flats, real', '120 mm');
  await h.type('tile, across flats, real', '5 m');
  await h.reads('[role="alert"]', /At most 600 mm here/);
  await page.keyboard.press('Escape');
  // Back past the size to what the top wore before.
  await page.$eval('[data-swatch="hexagon tile"]', (swatch) => (swatch as HTMLElement).focus());
  await undo();
  await undo();
  await page.waitForFunction(
    (find: string) => document.querySelector<HTMLSelectElement>(find)?.selectedOptions[0]?.textContent === 'packing-table planks',
    { polling: 50 },
    wearer('every top'),
  );
  expect(await wears('the whole piece')).toBe('nothing');
});

it('a part can wear its own, run another way, and go without', async () => {
  await h.go('/sets/harbour-post-office/coverings/piece-1');
  // Papers are drawn one after the other, the nine largest of them.
  await page.waitForFunction(() => document.querySelectorAll('[data-paper]').length === 9, { polling: 50 });
  const before = (await papers()).length;
  await page.waitForFunction(() =>
    [...document.querySelectorAll('select')].some((field) =>
      [...field.options].some(({ textContent }) => textContent === 'choose a part …'),
    ),
  );
  const [picker] = (await page.$$('select')).slice(-1) as [ElementHandle<HTMLSelectElement>];
  const choice = await picker.evaluate(
    (field) => [...field.options].find(({ textContent }) => /left side/.test(textContent ?? ''))?.value ?? '',
  );
  await picker.select(choice);
  await h.see('[data-wears$="left side"]');
  const label = await page.$eval('[data-wears$="left side"]', (row) => row.getAttribute('data-wears') ?? '');
  await dress(label, 'bare board');
  await page.waitForFunction(() => !/left side/.test(document.querySelector('[data-testid="papers"]')?.textContent ?? ''), { polling: 50 });
  await undo();
  await page.waitForFunction((count: number) => document.querySelectorAll('[data-paper]').length === count, { polling: 50 }, before);
  await h.saved();
});

it('a picture of one’s own is brought in, refused where it would be a blur, and printed where it is sharp', async () => {
  const file = join(folder, 'harbour view.jpg');
  writeFileSync(
    file,
    await sharp({ create: { width: 900, height: 1200, channels: 3, background: '#3f6f9f' } })
      .jpeg()
      .toBuffer(),
  );
  const noise = join(folder, 'no picture.png');
  writeFileSync(noise, 'this is none');
  await h.go('/sets/harbour-post-office/coverings/piece-8');
  await h.see('[data-swatch="bare board"]');
  await page.locator('::-p-xpath(//section[@aria-label="The swatch tray"]//button[contains(., "swatch") and not(@data-swatch)])').click();
  const input = (await page.waitForSelector('[role="dialog"] input[type="file"]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(noise);
  await h.reads('[role="dialog"] [role="alert"]', /no picture\.png was not taken\. It cannot be read as a picture/);
  await input.uploadFile(file);
  await h.see('section[aria-label="About harbour view"] img');
  await dress('every back', 'harbour view');
  // The back stands between top and plinth, (1800 − 80) ÷ 6 less two boards of 4.8 mm: 277 mm, on which 1200 pixels are 110 to the inch.
  await h.reads('[data-finding="picture-too-coarse"]', /Too coarse to print.*110 dots to the inch/);
  await page.locator('::-p-xpath(//button[text()="of a known width"])').click();
  await h.see('input[data-size="wide, real"]');
  await page.waitForFunction(() => !document.querySelector('[data-finding="picture-too-coarse"]'), { timeout: 15_000, polling: 50 });
  await h.reads('[data-testid="needs"]', /harbour view \d+ pages? to print/);
  await h.saved();
});

it('a sign says what is written, and a finish that is thrown away comes off everything, until it is undone', async () => {
  await page.locator('::-p-xpath(//section[@aria-label="The swatch tray"]//button[contains(., "swatch") and not(@data-swatch)])').click();
  await page.locator('::-p-xpath(//div[@role="dialog"]//button[contains(., "a sign, label or poster")])').click();
  await h.see('section[aria-label="About sign"] textarea');
  await page.focus('section[aria-label="About sign"] textarea');
  await page.$eval('section[aria-label="About sign"] textarea', (field) => (field as HTMLTextAreaElement).select());
  await page.keyboard.type('POSTE RESTANTE');
  await page.keyboard.press('Enter');
  await page.keyboard.type('ask here');
  await page.keyboard.press('Tab');
  await dress('every top', 'sign');
  await page.locator('::-p-xpath(//button[contains(., "show all")])').click();
  await h.reads('[data-testid="papers"] text', /POSTE RESTANTE/);
  await h.reads('[data-testid="papers"] text', /ask here/);
  await h.press('Throw sign away');
  await page.waitForFunction(() => !document.querySelector('[data-swatch="sign"]') && !/POSTE/.test(document.body.textContent ?? ''), {
    polling: 50,
  });
  await undo();
  await h.reads('[data-testid="papers"] text', /POSTE RESTANTE/);
  await h.saved();
});

it('colours are mixed anew for all that wear them, and everything is there again after a reload', async () => {
  await page.$eval('input[aria-label="Mix sea green"]', (field) => {
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
    set?.call(field, '#335577');
    field.dispatchEvent(new Event('input', { bubbles: true }));
  });
  await h.saved();
  await page.reload();
  await h.see('[data-swatch="sign"]');
  expect(await page.$eval('input[aria-label="Mix sea green"]', (field) => (field as HTMLInputElement).value)).toBe('#335577');
  await h.see(wearer('every top'));
  expect(await wears('every top')).toBe('sign');
});

it('a piece that loses parts while it is looked at is dressed as it then stands', async () => {
  await h.go('/sets/harbour-post-office/pieces/piece-2');
  const bay = '[data-testid="elevation"] [data-bay="1.2"]';
  await h.see(bay);
  await page.$eval(bay, (each) => (each as SVGElement).focus());
  await page.keyboard.press('d');
  await h.reads('[data-testid="verdict"]', /2[4-9] parts/);
  // The piece in hand stays in hand from view to view.
  await h.choose('nav[aria-label="The way through the work"] a[href$="/coverings/piece-2"]');
  await h.reads('h2', /Sorting counter, dressed/);
  const doors = () =>
    page.$$eval('[data-paper]', (found) => found.filter((each) => /door/.test(each.getAttribute('aria-label') ?? '')).length);
  await expect.poll(doors, { timeout: 15_000 }).toBeGreaterThan(2);
  const before = await doors();
  await undo();
  await expect.poll(doors, { timeout: 15_000 }).toBeLessThan(before);
  await h.reads('h2', /Sorting counter, dressed/);
  await h.saved();
  expect(faults).toEqual([]);
});

it('the pages of the coverings are made up by themselves, and say so', async () => {
  await h.go('/sets/potting-shed/printing');
  await h.see('[data-page="1"]');
  await h.press('coverings');
  await h.reads('figcaption', /5A/);
  await h.see('[data-page="1"][data-shown="there"]');
  expect(faults).toEqual([]);
});

it('a booklet is written page by page, and printed on both sides of leaves that fold', async () => {
  await h.go('/sets/night-ferry-hall/coverings');
  await h.choose('[data-booklet="night-boat timetable"] summary');
  await h.reads('[data-booklet="night-boat timetable"]', /5 cm × 7 cm at doll size · one leaf/);
  await h.press('a page before the back');
  await h.reads('[data-booklet="night-boat timetable"]', /2 leaves laid into one another/);
  await h.press('Undo: a page more in night-boat timetable');
  await h.reads('[data-booklet="night-boat timetable"]', /one leaf/);
  await h.press('another booklet');
  await h.see('[data-booklet="booklet 2"]');
  await page.locator('[data-booklet="night-boat timetable"] a').click();
  await h.reads('[data-testid="page-count"]', /\d+ pages/);
  await h.see('[data-page][data-shown="there"]');
  expect(await page.$$eval('[data-page]', (all) => all.map((each) => each.getAttribute('aria-label') ?? ''))).toEqual([
    expect.stringMatching(/book 1/),
    expect.stringMatching(/book 1/),
  ]);
});
