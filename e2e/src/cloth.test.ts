// Cloth and odd things on the very screens: found by what they are made of, sewn beside no-sew, following what they belong to, laid on cloth, printed.
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getUp, sitDown, type Table } from './table.ts';

let table: Table;
let page: Page;
let h: Table['h'];
let faults: readonly string[];

beforeAll(async () => {
  table = await sitDown(1100, 'with 3D');
  ({ page, h, faults } = table);
  await page.setViewport({ width: 1280, height: 1100, deviceScaleFactor: 0.5 });
  await h.go('/sets/harbour-post-office/goods/piece-28');
  await h.see('[data-testid="ways"]');
});
afterAll(() => getUp(table));

const wait = (test: (argument: string) => boolean, argument = ''): Promise<unknown> =>
  page.waitForFunction(test, { timeout: 20_000, polling: 100 }, argument);

const undo = async (): Promise<void> => {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
};

const pick = async (label: string, value: string): Promise<void> => {
  const select = await page.waitForSelector(`::-p-aria([name="${label}"][role="combobox"])`);
  await select?.select(value);
};

const pieces = async (
  set = 'harbour-post-office',
): Promise<readonly { readonly name: string; readonly family?: string; readonly way?: string }[]> => {
  await h.saved();
  const { document } = (await (await fetch(`${table.app.address}/api/sets/${set}`)).json()) as {
    document: { pieces: readonly { name: string }[] };
  };
  return document.pieces;
};

describe('a thing of cloth', () => {
  it('is found among what is made of cloth, taken, and taken back', async () => {
    await h.press('small good');
    await h.see('[data-testid="tray"] [data-preset="cushion"] svg');
    await page.locator('::-p-xpath(//div[@role="dialog"]//*[normalize-space(.)="of cloth"])').click();
    await wait(() => document.querySelector('[data-testid="tray"] [data-preset="carton"]') === null);
    expect(await page.$$eval('[data-testid="tray"] [data-preset]', (list) => list.length)).toBeGreaterThan(25);
    await h.choose('[data-preset="cushion"]');
    await h.reads('[data-testid="verdict"]', /75 mm × 26.7 mm × 75 mm/);
    expect((await pieces()).at(-1)).toMatchObject({ family: 'cloth', name: 'Cushion' });
  });

  it('lies flat with its lines, and stands sewn beside them', async () => {
    await h.see('canvas[data-testid="sewn"][data-patches="2"]');
    await h.reads('[data-testid="cut"]', /34a front, back: cut 2 of checked cotton; seams 6 mm/);
    expect(await page.$$eval('[data-testid="pattern"] [data-cut]', (list) => list.length)).toBe(1);
    // Cut, four seams, four notches, an opening with its two ends, the grain.
    expect(await page.$$eval('[data-testid="pattern"] [data-cut="34a"] g path', (list) => list.length)).toBeGreaterThan(11);
    await page.focus('canvas[data-testid="sewn"]');
    await page.keyboard.press('ArrowLeft');
  });

  it('shows sewn beside no-sew, and is made the other way at a touch', async () => {
    const cut = (way: string): Promise<string> => page.$eval(`[data-way="${way}"] ul li`, (each) => each.textContent ?? '');
    await h.see('[data-way="glued"] ul li');
    expect(await cut('sewn')).toMatch(/2 × front, back.*93 mm/);
    await pick('Beside it', 'felt');
    await h.reads('[data-way="felt"]', /thread or line of glue/);
    await h.press('make it so');
    await h.reads('[data-way="felt"]', /as it is decided/);
    await h.see('[data-finding="cloth-frays"]');
    expect((await pieces()).at(-1)?.way).toBe('felt');
    await page.$eval('[data-finding="cloth-frays"] button', (each) => (each as HTMLElement).click());
    await wait(() => document.querySelector('[data-finding="cloth-frays"]') === null);
    await h.reads('[data-testid="cut"]', /red felt/);
    await undo();
    await undo();
    await h.reads('[data-way="sewn"]', /as it is decided/);
  });

  it('a size that cannot be is said where it stands, and loses nothing', async () => {
    await h.type('Filled so thick', '900 mm');
    await h.reads('[data-testid="notes"]', /cushion within its rim/);
    await undo();
    await h.reads('[data-testid="verdict"]', /75 mm × 26.7 mm × 75 mm/);
    await h.press('Take Cushion away');
    await wait(() => !document.body.textContent?.includes('75 mm × 26.7 mm'));
    expect((await pieces()).at(-1)?.name).toBe('Pencils on the desk');
  });
});

describe('what belongs to another piece', () => {
  it('takes its size from its bed and follows when that changes; undone, it comes back', async () => {
    await h.go('/sets/night-ferry-hall/goods/piece-28');
    await h.reads('[data-testid="verdict"]', /66.67 cm × 6 cm × 46.67 cm/);
    expect(await page.$('input[data-size="Front to back"]')).toBe(null);
    await h.go('/sets/night-ferry-hall/pieces/piece-10');
    await h.type('Mattress width', '120 cm');
    await h.go('/sets/night-ferry-hall/goods/piece-28');
    await h.reads('[data-testid="verdict"]', /66.67 cm × 6 cm × 40 cm/);
    await undo();
    await h.reads('[data-testid="verdict"]', /66.67 cm × 6 cm × 46.67 cm/);
  });

  it('hangs at the window of its room, by itself or where it is', async () => {
    await h.go('/sets/harbour-post-office/goods/piece-30');
    await h.reads('[data-testid="verdict"]', /210 mm × 208.3 mm/);
    await h.press('by itself');
    await h.see('canvas[data-testid="sewn"][data-patches="2"]');
    await h.go('/sets/harbour-post-office/room');
    await h.see('[data-testid="elevation"]');
    await wait(() =>
      [...document.querySelectorAll('[data-testid="elevation"] title')].some(
        ({ textContent }) => textContent === 'Curtains of the night room',
      ),
    );
  });

  it('let go, it has its own size again', async () => {
    await h.go('/sets/harbour-post-office/goods/piece-27');
    await h.reads('[data-testid="verdict"]', /333.3 mm/);
    await pick('It lies or hangs on', '');
    await h.see('input[data-size="Front to back"]');
    await undo();
    await wait(() => document.querySelector('input[data-size="Front to back"]') === null);
  });
});

describe('cloth at hand', () => {
  it('shows how pieces lie on it, with the least that could be; a scrap is used first', async () => {
    await h.go('/sets/harbour-post-office/cutting');
    await h.reads('[data-plan="gingham"] [data-testid="cloth-needs"]', /233 mm of it, 1100 mm wide, for 3 pieces; less is not possible/);
    expect(await page.$$eval('[data-plan="gingham"] [data-lies]', (list) => list.length)).toBe(3);
    await page.$eval('[data-cloth="gingham"] details summary', (each) => (each as HTMLElement).click());
    await h.type('Scrap, across the grain', '400 mm');
    await h.type('Scrap, along the grain', '300 mm');
    await page.$eval('[data-cloth="gingham"] details button', (each) => (each as HTMLElement).click());
    await h.reads('[data-cloth="gingham"]', /400 mm × 300 mm/);
    await wait(() => document.querySelectorAll('[data-plan="gingham"] svg').length === 2);
    await undo();
    await wait(() => document.querySelectorAll('[data-plan="gingham"] svg').length === 1);
  });

  it('says when there is less of it than is needed', async () => {
    await page.locator('::-p-xpath(//*[@data-cloth="chalk"]//label[contains(., "only so much")])').click();
    await page.waitForSelector('[data-cloth="chalk"] input[data-size="Long, along the grain"]');
    await h.type('Long, along the grain', '100 mm');
    await h.reads('[data-plan="chalk"]', /more than is at hand/);
    await undo();
    await undo();
    await h.saved();
  });

  it('is printed as a pattern at true size', async () => {
    await h.go('/sets/harbour-post-office/printing?print=patterns&find=29a');
    await h.see('[data-page][data-shown="there"]');
    await h.reads('main', /29a/);
    await h.reads('main', /sew along it/);
  });
});

describe('an odd thing', () => {
  it('says what is cut, what it takes, and what from the house could stand in', async () => {
    await h.go('/sets/harbour-post-office/goods/piece-32');
    await h.reads('[data-testid="takes"]', /foot of the lamp: ∅/);
    await h.reads('[data-testid="takes"]', /stem: 64\.5 mm of round dowel/);
    await h.reads('[data-testid="takes"]', /1 small battery light/);
    await h.reads('[data-for="its shade"]', /cap of a glue stick|coffee capsule|medicine cup/);
    await h.see('canvas[data-testid="folding"]');
  });

  it('found, it is not cut any more; undone, it is', async () => {
    await page.locator('::-p-xpath(//label[contains(., "it was found")])').click();
    await wait(() => document.querySelector('[data-testid="takes"]') === null);
    await undo();
    await h.see('[data-testid="takes"]');
  });

  it('too tall for its table it is noticed, and mended', async () => {
    await h.type('Height', '900 mm');
    await h.see('[data-finding="too-tall-for-place"]');
    await page.$eval('[data-finding="too-tall-for-place"] button', (each) => (each as HTMLElement).click());
    await wait(() => document.querySelector('[data-finding="too-tall-for-place"]') === null);
    await undo();
    await undo();
    await h.sizeIs('Height', '480 mm');
  });

  it('once more is another of its own, and stands among the tickets', async () => {
    await h.press('Desk lamp once more');
    await wait(() => document.querySelector('nav[aria-label="Small goods of this set"] a[title="Desk lamp 2"]') !== null);
    await undo();
    await wait(() => document.querySelector('nav[aria-label="Small goods of this set"] a[title="Desk lamp 2"]') === null);
  });

  it('nothing went wrong on the way', () => {
    expect(faults).toEqual([]);
  });
});
