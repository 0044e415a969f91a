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
  table = await sitDown(1000, 'without 3D', 'with search');
  ({ browser, page, h, faults } = table);
  await h.go('/sets/harbour-post-office/cutting');
  await h.see('[data-testid="bound"]');
});
afterAll(() => getUp(table));

/** Until nothing better is looked for any more: what is first on a sheet then stays first. */
const found = () => h.see('[data-sheets="found"]');

const WHITE = '[data-board="white"]';
const sheetsOf = (board: string) => page.$$eval(`${board} figure`, (figures) => figures.length);

describe('boards at hand', () => {
  it('with a price say what they cost and what is the least possible', async () => {
    await h.number('price of one', '4,5');
    await h.reads(`${WHITE} [data-testid="bound"]`, /4 sheets; 4 is the least possible.*costs 18, the least possible/);
  });

  it('a price that is none is refused with the reason, and nothing is lost', async () => {
    await h.number('price of one', 'dear');
    await h.reads('[role="alert"]', /A number, please/);
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => document.querySelector('[role="alert"]') === null, { polling: 100 });
    await h.reads(`${WHITE} [data-testid="bound"]`, /costs 18/);
  });

  it('that lie there are used first: only what is missing is bought, and it is said', async () => {
    await h.number('at hand', '3');
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
    await found();
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
    const tags = await page.$$eval('[role="dialog"] svg text', (texts) =>
      texts.flatMap((text) => (text.textContent ?? '').split(' + ')).sort(),
    );
    await page.keyboard.press('Escape');
    const drawn = await page.$eval(`${'[data-board="white"]'} figure svg[role="img"]`, (svg) =>
      [...svg.querySelectorAll('text')].map((text) => text.textContent ?? '').sort(),
    );
    expect(tags).toEqual(drawn);
  });
});

describe('a sheet that is ticked', () => {
  it('is planned no more, leaves offcuts, and is taken back', async () => {
    await found();
    const before = await sheetsOf(WHITE);
    await h.press(`it is cut: sheet ${before}`);
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

/** Where the sheets of a board lie: each part's sheet and its outline as it is drawn. */
const lying = (): Promise<Readonly<Record<string, string>>> =>
  page.$$eval('[data-board="white"] svg[data-sheet]', (sheets) =>
    Object.fromEntries(
      sheets.flatMap((sheet) =>
        [...sheet.querySelectorAll('g[data-part]')].map((part) => [
          part.getAttribute('data-part') ?? '',
          `${sheet.getAttribute('data-sheet')} ${part.querySelector('path')?.getAttribute('d')}`,
        ]),
      ),
    ),
  );

/** The middle of what the selector finds, once it has stood still: notes above push the sheets down while they come. */
const middleOf = async (find: string): Promise<{ x: number; y: number }> => {
  let last = '';
  for (let round = 0; round < 40; round += 1) {
    const box = await (await page.waitForSelector(find))?.boundingBox();
    if (box && JSON.stringify(box) === last) return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    last = JSON.stringify(box);
    await new Promise((wake) => setTimeout(wake, 400));
  }
  throw new Error(`${find} does not stand still`);
};

/** A part that is whole in its middle, to take hold of there. */
const wholePart = async (): Promise<string> => {
  const id = await page.$$eval(`${WHITE} svg[data-sheet="0"] g[data-part]`, (parts) => {
    parts[0]?.closest('svg')?.scrollIntoView({ block: 'center' });
    const whole = parts.find((part) => part.querySelector('path')?.getAttribute('d')?.split('M').length === 2);
    return whole?.getAttribute('data-part') ?? '';
  });
  return `${WHITE} svg[data-sheet="0"] g[data-part="${id}"]`;
};

describe('parts laid by hand', () => {
  it('are carried to another sheet and stay there; the rest lies round; undone in one step', async () => {
    await h.go('/sets/harbour-post-office/cutting');
    await h.see(`${WHITE} svg[data-sheet="1"]`);
    await found();
    const from = await middleOf(await wholePart());
    const to = await middleOf(`${WHITE} svg[data-sheet="1"]`);
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(to.x - 5, to.y, { steps: 4 });
    await page.mouse.move(to.x, to.y, { steps: 2 });
    await h.see('[data-testid="ghost"]');
    // Nothing else moves while it is in the hand.
    const before = await lying();
    const id = await page.$eval('g[data-part][opacity="0.35"]', (part) => part.getAttribute('data-part') ?? '');
    await page.mouse.up();
    await h.see('[data-testid="pin"]');
    await h.reads('[data-board="white"]', /1 part lies where you laid it/);
    const after = await lying();
    expect(Object.keys(after).sort()).toEqual(Object.keys(before).sort());
    expect(after[id]).not.toBe(before[id]);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await page.waitForFunction(() => document.querySelector('[data-testid="pin"]') === null, { polling: 100 });
    await expect.poll(async () => (await lying())[id] !== after[id], { timeout: 10_000 }).toBe(true);
  });

  it('let go with Escape in the air it lies where it lay', async () => {
    // Parts are taken up only once the layout is that of the newest change.
    await h.see('button[aria-label="it is cut: sheet 1"]:not([disabled])');
    await found();
    const from = await middleOf(await wholePart());
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y - 30, { steps: 4 });
    await h.see('[data-testid="ghost"]');
    const before = await lying();
    await page.keyboard.press('Escape');
    await page.mouse.up();
    expect(await page.$('[data-testid="ghost"]')).toBeNull();
    expect(await lying()).toEqual(before);
  });

  it('by keyboard: picked from the table, kept, turned, laid on another sheet, cut from one sheet with another, let go', async () => {
    await found();
    await page.$eval(`${WHITE} figure details`, (details) => details.setAttribute('open', ''));
    const name = (await page.$eval(`${WHITE} figure details tbody button`, (button) => button.textContent)) ?? '';
    await (await page.$(`${WHITE} figure details tbody button`))?.focus();
    await page.keyboard.press('Enter');
    await h.press('keep it here');
    await h.see('[data-testid="pin"]');
    await found();
    await h.press('turn it');
    await h.reads('[role="group"][aria-label$="where it lies"]', /on sheet 1/);
    await h.see('[data-testid="pin"]');
    const others = await page.$$eval('[role="group"][aria-label$="where it lies"] select', (lists) =>
      lists.map((list) => [...list.options].map(({ value }) => value)),
    );
    const sheets = others[0] as readonly string[];
    expect(sheets.length).toBeGreaterThan(1);
    await page.select('[role="group"][aria-label$="where it lies"] select', sheets[1] as string);
    await h.see('button[aria-label="it is cut: sheet 1"]:not([disabled])');
    const partner = (others[1] as readonly string[])[1] as string;
    await (await page.$$('[role="group"][aria-label$="where it lies"] select')).at(-1)?.select(partner);
    await h.reads('[role="group"][aria-label$="where it lies"] button', /from any sheet/);
    await h.press('from any sheet');
    await h.press('let it go');
    await page.waitForFunction(() => document.querySelector('[data-testid="pin"]') === null, { polling: 100 });
    expect(name).toMatch(/^\d+[A-Z]+ /);
    await h.press(`Leave ${name.trim()} be`);
    await h.saved();
  });
});

describe('what is larger than every sheet', () => {
  it('is joined, and said; or left, when the maker says so', async () => {
    await h.go('/sets/night-ferry-hall/cutting');
    await h.reads('[data-finding="part-joined"]', /Made from several pieces.*Kiosk back shelf.*made of 2 pieces/s);
    await h.press('are left');
    await h.reads('[data-finding="part-larger-than-board"]', /3C back is/);
    await h.press('are joined');
    await h.see('[data-finding="part-joined"]');
  });
});

describe('sticks', () => {
  it('say how few could do, and may be longer or joined where they are too short', async () => {
    await h.go('/sets/night-ferry-hall/cutting');
    await h.reads('[data-stick="square dowel, 10 mm"]', /Longer than a stick: 4E post/);
    await h.type('square dowel, 1 cm, one is', '91.5 cm');
    await h.reads('[data-stick="square dowel, 10 mm"]', /(\d+) of 91.5 cm; \1 is the least possible/);
    await h.press('Undo: the length of square dowel, 1 cm');
    await h.reads('[data-stick="square dowel, 10 mm"]', /Longer than a stick/);
  });
});

describe('the boards as files', () => {
  it('are written at true size, as SVG and as DXF, and smaller as a plan to print', async () => {
    const downloads = mkdtempSync(join(tmpdir(), 'parlor-boards-'));
    const client = await browser.target().createCDPSession();
    await client.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: downloads });
    await h.go('/sets/harbour-post-office/cutting');
    await h.see('[data-testid="bound"]');
    await h.press('SVG');
    await h.press('DXF');
    await h.press('the plan as PDF');
    await expect
      .poll(() => readdirSync(downloads).sort(), { timeout: 20_000 })
      .toEqual(['dxf', 'pdf', 'svg'].map((kind) => `harbour-post-office-boards.${kind}`));
    expect(readFileSync(join(downloads, 'harbour-post-office-boards.svg'), 'utf8')).toMatch(/^<svg [^>]*mm"/);
    expect(readFileSync(join(downloads, 'harbour-post-office-boards.pdf'), 'latin1')).toMatch(/^%PDF-1/);
    expect(readFileSync(join(downloads, 'harbour-post-office-boards.dxf'), 'utf8')).toContain('LWPOLYLINE');
    expect(faults).toEqual([]);
  });
});
