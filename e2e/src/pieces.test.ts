// Pieces of every family on the very screens: found in the library, changed on every side, built step by step.
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getUp, sitDown, type Table } from './table.ts';

let table: Table;
let page: Page;
let h: Table['h'];
let faults: readonly string[];

beforeAll(async () => {
  table = await sitDown(1000);
  ({ page, h, faults } = table);
});
afterAll(() => getUp(table));

const search = async (words: string): Promise<void> => {
  await h.see('input[aria-label="What people call it"]');
  await page.$eval('input[aria-label="What people call it"]', (field) => (field as HTMLInputElement).select());
  await page.focus('input[aria-label="What people call it"]');
  await page.keyboard.type(words);
};

describe('the library', () => {
  it('shows every preset as a picture of its own parts, and finds it by what people call it', async () => {
    await h.go('/sets/harbour-post-office/pieces/piece-1');
    await h.press('piece');
    await page.waitForFunction(
      () => {
        const tickets = [...document.querySelectorAll('[data-preset]')];
        return tickets.length >= 38 && tickets.every((ticket) => ticket.querySelector('svg path'));
      },
      { timeout: 60_000 },
    );
    for (const [words, key] of [
      ['dresser', 'chest'],
      ['stove', 'oven'],
      ['castle', 'castle-bed'],
      ['murphy', 'folding-table'],
    ] as const) {
      await search(words);
      await page.waitForFunction(
        (wanted: string) => document.querySelector('[data-preset]')?.getAttribute('data-preset') === wanted,
        { polling: 50 },
        key,
      );
      await page.$eval('input[aria-label="What people call it"]', (field) => (field as HTMLInputElement).select());
    }
    await page.keyboard.type('zzz');
    await h.reads('[role="dialog"]', /Nothing is called that here/);
  });

  it('adds what is chosen, named first, and it closes exactly', async () => {
    await search('loft');
    await h.choose('[data-preset="loft-bed"]');
    await h.reads('[data-testid="verdict"]', /\d+ parts · closes exactly/);
    await page.waitForFunction(() => (document.activeElement as HTMLInputElement).value === 'Loft bed');
  });
});

describe('a bed, a table, free panels', () => {
  it('are changed on the drawing from the front, the right and above', async () => {
    await h.sizeIs('mattress length on the drawing', '2000 mm');
    await h.type('mattress length on the drawing', '190 cm');
    await h.reads('[data-testid="parts"]', /bed base/);
    await h.press('above');
    await h.see('[data-seen="top"]');
    await h.sizeIs('mattress length on the drawing', '1900 mm');
    await h.type('mattress width on the drawing', '80 cm');
    await h.press('the right');
    await h.see('[data-seen="side"]');
    await h.sizeIs('mattress width on the drawing', '800 mm');
    await h.press('the front');
  });

  it('follow a choice at once: two beds for one, and a note when a ladder finds no room', async () => {
    await page.locator('::-p-xpath(//div[@aria-label="It is"]//button[contains(., "a bunk")])').click();
    await h.reads('[data-testid="verdict"]', /closes exactly/);
    await h.reads('[data-testid="parts"]', /side rail/);
    await h.choose('[data-group="fittings"] summary');
    await h.type('Rungs apart', '3 m');
    await h.reads('[data-finding="does-not-fit"]', /no room for a ladder/);
    // The nearest that stands is drawn meanwhile, and is a touch away.
    await h.choose('::-p-xpath(//*[@data-testid="instead"]//button[contains(., "make it so: rungs apart")])');
    await h.reads('[data-testid="verdict"]', /closes exactly/);
    await h.choose('button[aria-label^="Undo: make it so: rungs apart"]');
    await h.reads('[data-finding="does-not-fit"]', /no room for a ladder/);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await h.reads('[data-testid="verdict"]', /closes exactly/);
  });

  it('take a size as the doll’s instead, without changing what is cut', async () => {
    const before = await h.text('[data-testid="parts"]');
    await h.press('Rail height is the real thing’s; say it at the doll’s size instead');
    await page.waitForSelector('[aria-label="Rail height is the doll’s; say it at the real thing’s size instead"]');
    expect(await h.text('[data-testid="parts"]')).toBe(before);
  });

  it('of free panels are placed by faces, and a panel that runs into another is told by its tag', async () => {
    await h.press('piece');
    await search('corner');
    await h.choose('[data-preset="corner-shelf"]');
    await h.reads('[data-testid="verdict"]', /5 parts · closes exactly/);
    await page.$$eval('section[aria-label="Panels"] > button', (buttons) => buttons.at(-1)?.click());
    await h.see('[data-panel="panel-6"][open]');
    await h.reads('[data-finding="parts-interfere"]', /panel 6 .*share the same space|share the same space/);
    await page.select('[data-panel="panel-6"] select[id]:not([disabled])', 'second');
    await h.type('It lies against: away from it', '30 cm');
    await h.reads('[data-testid="verdict"]', /6 parts/);
  });
});

describe('what a maker does with a piece', () => {
  it('a note that does not hold for it is set aside with why, and counts again when it is taken up', async () => {
    await h.go('/');
    const id = await page.evaluate(async () => {
      const bookcase = { family: 'casework', name: 'Tall shelves', width: '400 mm', height: '1800 mm', depth: '250 mm' };
      const document = { format: 'bashful-parlor-set', version: 1, name: 'Set aside', pieces: [bookcase] };
      const answer = await fetch('/api/sets', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ document }),
      });
      return ((await answer.json()) as { id: string }).id;
    });
    await h.go(`/sets/${id}/pieces/piece-1`);
    await h.see('[data-finding="tips-over"]');
    await h.press('not for this one: It tips');
    await page.waitForFunction(() => document.querySelector('[data-finding="tips-over"]') === null);
    await h.choose('[data-testid="set-aside"] summary');
    await h.number('Why not for this one', 'it leans on a wall of the shop');
    await h.saved();
    await page.reload();
    await h.reads('[data-testid="set-aside"]', /one note set aside/);
    await h.choose('[data-testid="set-aside"] summary');
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-testid="set-aside"] input')?.value === 'it leans on a wall of the shop',
    );
    await h.press('let it count again');
    await h.see('[data-finding="tips-over"]');
    await h.saved();
  });

  it('another like it, mirrored, and kept among one’s own to start others from', async () => {
    await h.go('/sets/harbour-post-office/pieces/piece-2');
    await h.reads('[data-testid="verdict"]', /23 parts/);
    await h.press('Another Sorting counter');
    await page.waitForFunction(() => !location.pathname.endsWith('/piece-2'));
    await h.press('Mirror Sorting counter 2');
    await h.reads('[data-testid="parts"]', /door hinged right/);
    await h.press('Undo: Sorting counter 2 mirrored');
    await h.reads('[data-testid="parts"]', /door hinged left/);
    await h.press('Keep Sorting counter 2 among yours');
    await h.reads('[role="status"]', /kept among yours/);
    await h.press('piece');
    await page.locator('::-p-xpath(//button[text()="yours"])').click();
    await h.reads('[data-testid="library"]', /Sorting counter 2/);
    await h.press('Forget Sorting counter 2');
    await h.reads('[role="dialog"]', /None yet/);
    await page.keyboard.press('Escape');
  });

  it('makes bays into drawers that run, slides and fronts, and hangs doors with windows, on the drawing', async () => {
    await h.go('/sets/harbour-post-office/pieces/piece-3');
    await h.see('[data-bay="0"]');
    await page.$eval('[data-bay="0"]', (bay) => (bay as SVGElement).focus());
    await page.keyboard.press('Enter');
    await page.select('::-p-xpath(//label[text()="This bay is"]/following-sibling::select)', 'drawers');
    await h.reads('[data-testid="parts"]', /false drawer/);
    await page.locator('::-p-xpath(//div[@aria-label="They"]//button[text()="run"])').click();
    await h.reads('[data-testid="parts"]', /drawer floor/);
    await h.press('Drawers: one less');
    await h.reads('[data-testid="verdict"]', /closes exactly/);
    await page.$eval('[data-bay="1.0"]', (bay) => (bay as SVGElement).focus());
    await page.keyboard.press('Enter');
    await page.locator('::-p-xpath(//div[@aria-label="Made as"]//button[text()="a window"])').click();
    await h.reads('[data-testid="parts"]', /door window/);
  });

  it('is built step by step, each with its tag and where it comes from, last the doors', async () => {
    await h.choose('[data-testid="steps"] summary');
    const steps = await page.$$eval('[data-testid="steps"] li', (list) => list.map((each) => each.textContent ?? ''));
    expect(steps.length).toBeGreaterThan(12);
    // What is made apart is made on the table first: doors with what sits on them, drawers.
    expect(steps[0]).toMatch(/^on the table, by itself: .*to begin with/);
    const itself = steps.slice(steps.findIndex((step) => step.startsWith('then the piece itself')));
    expect(itself[0]).toMatch(/3\w bottom, to begin with/);
    expect(itself.findIndex((step) => /right side/.test(step))).toBeGreaterThan(itself.findIndex((step) => /back/.test(step)));
    expect(itself.at(-1)).toMatch(/(door|drawer).*, whole/);
    await page.$eval('[data-testid="steps"] li:nth-child(3) button', (step) => (step as HTMLElement).click());
    await h.reads('[data-testid="build-step"]', /^3 of/);
    await h.press('The next step');
    await h.reads('[data-testid="build-step"]', /^4 of/);
    await h.press('Show it whole again');
  });

  it('is brought onto the rule only when that is asked for, and that is undone like any edit', async () => {
    await h.go('/sets/night-ferry-hall/pieces/piece-2');
    await h.reads('[data-testid="verdict"]', /closes exactly/);
    const before = await h.text('[data-testid="parts"]');
    await h.press('make every cut land on the rule');
    await h.reads('[data-testid="rule-fit"]', /cut sizes land on it/);
    expect(await h.text('[data-testid="parts"]')).toBe(before);
    await h.press('Change it so');
    await page.waitForFunction(
      (was: string) => document.querySelector('[data-testid="parts"]')?.textContent !== was,
      { polling: 50 },
      before,
    );
    await h.press('Undo: Timetable rack brought onto the rule');
    await page.waitForFunction(
      (was: string) => document.querySelector('[data-testid="parts"]')?.textContent === was,
      { polling: 50 },
      before,
    );
    expect(faults).toEqual([]);
  });
});
