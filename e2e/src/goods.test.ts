// Small goods on the very screens: found by what people call them, folded step by step, printed panel by panel, filling shelves.
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
  // A quarter of the pixels to draw; the page is as large as ever.
  await page.setViewport({ width: 1280, height: 1100, deviceScaleFactor: 0.5 });
  await h.go('/sets/harbour-post-office/goods/piece-20');
  await h.see('[data-testid="panel-art"]');
});
afterAll(() => getUp(table));

const wait = (test: (argument: string) => boolean, argument = ''): Promise<unknown> =>
  page.waitForFunction(test, { timeout: 20_000, polling: 100 }, argument);

const undo = async (): Promise<void> => {
  // A field that is still held takes back its own letters.
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
};

/** Writes words on the panel in hand. */
const write = async (words: string): Promise<void> => {
  const field = await page.waitForSelector('[data-testid="panel-art"] textarea');
  await field?.evaluate((each) => {
    each.focus();
    each.select();
  });
  await page.keyboard.type(words);
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
};

const pickPanel = async (panel: string): Promise<void> => {
  await page.$eval(`svg [data-panel="${panel}"]`, (each) => each.dispatchEvent(new MouseEvent('click', { bubbles: true })));
  await wait((wanted) => document.querySelector<HTMLSelectElement>('[data-testid="panel-art"] select')?.value === wanted, panel);
};

const sets = async (): Promise<
  readonly { readonly family?: string; readonly name: string; readonly art?: readonly { words: string }[] }[]
> => {
  await h.saved();
  const { document } = (await (await fetch(`${table.app.address}/api/sets/harbour-post-office`)).json()) as {
    document: { pieces: readonly { name: string }[] };
  };
  return document.pieces;
};

describe('a tray of small things', () => {
  it('is searched by what people call them; what is taken is a piece of the set, and undo takes it back', async () => {
    await h.press('small good');
    await h.see('[data-testid="tray"] [data-preset="carton"] svg');
    expect(await page.$$eval('[data-testid="tray"] [data-preset]', (list) => list.length)).toBeGreaterThan(40);
    await page.locator('[role="dialog"] input').fill('cereal');
    await wait(() => document.querySelectorAll('[data-testid="tray"] [data-preset]').length === 1);
    await page.locator('[role="dialog"] input').fill('zeppelin');
    await h.reads('[role="dialog"]', /Nothing is called that here/);
    await page.locator('[role="dialog"] input').fill('cereal');
    await h.choose('[data-preset="carton"]');
    await h.reads('[data-testid="verdict"]', /31.7 mm × 46.7 mm × 11.7 mm/);
    expect((await sets()).at(-1)).toMatchObject({ family: 'paper', name: 'Carton' });
    await undo();
    await wait(() => !document.body.textContent?.includes('31.7 mm × 46.7 mm'));
    expect((await sets()).at(-1)?.name).not.toBe('Carton');
  });
});

describe('a carton', () => {
  beforeAll(async () => {
    await h.go('/sets/harbour-post-office/goods/piece-20');
    await h.press('small good');
    await h.choose('[data-preset="carton"]');
    // What was open before has a fold player too: the carton is there once its own panels are.
    await h.see('svg [data-panel="tuck above"]');
    await h.see('canvas[data-testid="folding"][data-share="1.00"]');
  });

  it('lies flat with its panels, and follows a changed size', async () => {
    const panels = await page.$$eval('svg [data-panel]', (list) => list.map((each) => each.getAttribute('data-panel')));
    expect(panels).toEqual(expect.arrayContaining(['front', 'right', 'back', 'left', 'top', 'bottom', 'tuck above']));
    await h.type('Height', '300 mm');
    await h.reads('[data-testid="verdict"]', /× 50 mm ×/);
    await undo();
    await h.reads('[data-testid="verdict"]', /× 46.7 mm ×/);
  });

  it('folds step by step, to and fro, by itself and by keys', async () => {
    const share = async (): Promise<number> =>
      Number(await page.$eval('[data-testid="folding"]', (each) => each.getAttribute('data-share')));
    const folds = Number(
      /of (\d+)/.exec(await page.$eval('input[type="range"]', (each) => each.getAttribute('aria-valuetext') ?? ''))?.[1],
    );
    expect(folds).toBe(9);
    await h.press('One fold back');
    await wait(() => document.querySelector('[data-testid="folding"]')?.getAttribute('data-share') !== '1.00');
    expect(await share()).toBeCloseTo(8 / 9, 2);
    await page.focus('input[type="range"]');
    await page.keyboard.press('Home');
    await h.reads('[role="group"][aria-label="Folding"]', /flat/);
    expect(await share()).toBe(0);
    await h.press('One fold on');
    await wait(() => document.querySelector('[data-testid="folding"]')?.getAttribute('data-share') === '0.11');
    await h.press('Fold it');
    await wait(() => Number(document.querySelector('[data-testid="folding"]')?.getAttribute('data-share')) > 0.2);
    await h.press('Stop here');
    await page.focus('input[type="range"]');
    await page.keyboard.press('End');
    await h.reads('[role="group"][aria-label="Folding"]', /folded/);
  });

  it('is printed panel by panel; what stands on its head is noticed, and mended', async () => {
    await pickPanel('front');
    await write('oats');
    await h.saved();
    expect((await sets()).at(-1)?.art?.map(({ words }) => words)).toEqual(['oats']);
    await h.press('turn it a quarter');
    await h.press('turn it a quarter');
    await h.see('[data-finding="art-upside-down"]');
    await h.reads('[data-finding="art-upside-down"]', /Upside down once it is folded.*front/);
    await page.$eval('[data-finding="art-upside-down"] button', (each) => (each as HTMLElement).click());
    await wait(() => document.querySelector('[data-finding="art-upside-down"]') === null);
    await h.reads('[data-testid="panel-art"]', /the right way up once it is folded/);
  });

  it('a touch on the folded thing takes its panel in hand', async () => {
    await pickPanel('back');
    const canvas = await page.waitForSelector('canvas[data-testid="folding"]');
    const box = await canvas?.boundingBox();
    if (!box) throw new Error('it is not there');
    await page.mouse.click(box.x + box.width * 0.52, box.y + box.height * 0.55);
    await wait(() => document.querySelector<HTMLSelectElement>('[data-testid="panel-art"] select')?.value === 'front');
  });

  it('in any number takes pages by its paper, and says so', async () => {
    await h.reads('[data-testid="pages-taken"]', /1 page of card, 200 g\/m², for 1 net/);
    await h.press('How many: one more');
    await h.reads('[data-testid="pages-taken"]', /for 2 nets/);
  });
});

describe('a shelf', () => {
  it('is filled from the piece that it is in, counts what stands there, and leads to it', async () => {
    await h.go('/sets/harbour-post-office/pieces/piece-1');
    await h.see('[data-testid="shelves"]');
    await page.$eval('[data-testid="shelves"]', (each) => {
      (each as HTMLDetailsElement).open = true;
    });
    await h.reads('[data-shelf="3"]', /19 × Stamp books, third shelf/);
    await page.select('[data-shelf="1"] select', 'food-can');
    await h.reads('[data-shelf="1"]', /11 × Tins, shelf 1/);
    await undo();
    await h.see('[data-shelf="1"] select');
    await page.select('[data-shelf="1"] select', 'paperback');
    await h.reads('[data-shelf="1"]', /34 × Paperbacks, shelf 1/);
    await page.$eval('[data-shelf="1"] a', (each) => (each as HTMLElement).click());
    await h.reads('[data-testid="verdict"]', /^140.5? mm|^140.\d+ mm/);
    await h.reads('[data-testid="pages-taken"]', /pages of plain paper, 80 g\/m², for 68 nets/);
  });

  it('leads to its pages, which show its nets', async () => {
    await page.$eval('[data-testid="pages-taken"] a', (each) => (each as HTMLElement).click());
    await h.see('[data-testid="page-count"]');
    expect(page.url()).toMatch(/printing\?print=coverings&find=\d+-1$/);
    await h.reads('main', /page \d+.*\d+-1/);
  });

  it('no fault was heard of on the way', () => {
    expect(faults).toEqual([]);
  });
});
