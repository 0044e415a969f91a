// Rooms and who lives in them, on the very screens: a shell begun, its walls changed, things put in, moved by hand and by keys, taken out; dolls measured.
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getUp, sitDown, type Table } from './table.ts';

let table: Table;
let page: Page;
let h: Table['h'];
let faults: readonly string[];

beforeAll(async () => {
  table = await sitDown(1100);
  ({ page, h, faults } = table);
  await h.go('/sets/harbour-post-office/room');
  await h.see('[data-testid="plan"] [data-placed]');
});
afterAll(() => getUp(table));

const wait = (test: (argument: string) => boolean, argument = ''): Promise<unknown> =>
  page.waitForFunction(test, { timeout: 20_000, polling: 100 }, argument);

/** Where a thing stands, as its words say. */
const placeOf = (piece: string): Promise<string> =>
  page.$eval(`[data-placed="${piece}"] [role="button"]`, (each) => each.getAttribute('aria-label') ?? '');

const middleOf = (piece: string): Promise<readonly [number, number]> =>
  page.$eval(`[data-placed="${piece}"] [role="button"]`, (each) => {
    const { x, y, width, height } = each.getBoundingClientRect();
    return [x + width / 2, y + height / 2] as const;
  });

const drag = async (piece: string, dx: number, dy: number): Promise<void> => {
  const [x, y] = await middleOf(piece);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 3 });
  await page.mouse.move(x + dx, y + dy, { steps: 3 });
  await page.mouse.up();
};

const focus = (piece: string): Promise<void> =>
  page.$eval(`[data-placed="${piece}"] [role="button"]`, (each) => (each as SVGElement).focus());

const notes = (): Promise<readonly string[]> =>
  page.$$eval('[data-testid="notes"] [data-finding]', (list) =>
    list.map((each) => `${each.getAttribute('data-finding')} ${each.textContent}`),
  );

describe('an arranged room', () => {
  it('shows its things on the plan and on its walls, and says how it is put away', async () => {
    await h.reads('[data-testid="verdict"]', /\d+ parts · 9 things/);
    await h.reads('[data-testid="stored"]', /^Put away it is \d+ flat boards/);
    expect(await page.$$eval('[data-testid="elevation"] g', (list) => list.length)).toBeGreaterThan(9);
  });

  it('a thing that is dragged into another is noticed at once, and free again when the step is taken back', async () => {
    expect((await notes()).some((note) => note.startsWith('things-clash'))).toBe(false);
    const before = await placeOf('piece-12');
    await drag('piece-12', 10, 45);
    await wait(() => document.querySelector('[data-finding="things-clash"]') !== null);
    expect((await notes()).find((note) => note.startsWith('things-clash'))).toMatch(/Clerk’s stool|Sorting counter/);
    expect(await placeOf('piece-12')).not.toBe(before);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await wait(() => document.querySelector('[data-finding="things-clash"]') === null);
    expect(await placeOf('piece-12')).toBe(before);
  });

  it('is arranged by keys alone: moved by the rule, turned, taken out', async () => {
    await focus('piece-9');
    const before = await placeOf('piece-9');
    await page.keyboard.press('ArrowLeft');
    await wait((was) => document.querySelector('[data-placed="piece-9"] [role="button"]')?.getAttribute('aria-label') !== was, before);
    const [was, is] = [before, await placeOf('piece-9')].map((text) => Number(/([\d.]+) mm from the left/.exec(text)?.[1]));
    expect((was as number) - (is as number)).toBeCloseTo(1, 3);
    await focus('piece-9');
    await page.keyboard.press('Delete');
    await wait(() => document.querySelector('[data-placed="piece-9"]') === null);
    await h.reads('[data-testid="verdict"]', /8 things/);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await h.see('[data-placed="piece-9"]');
  });

  it('has other ways beside it, of which one counts', async () => {
    await h.press('another way');
    await h.reads('[aria-label="Arrangement"]', /A.*B.*C/);
    await page.click('[aria-label="Take arrangement C away"]');
    await wait(() => !/C/.test(document.querySelector('[aria-label="Arrangement"]')?.textContent ?? 'C'));
    await page.$$eval('[aria-label="Arrangement"] button', (list) => (list[1] as HTMLElement).click());
    await h.reads('[data-testid="verdict"]', /4 things/);
    await page.$$eval('[aria-label="Arrangement"] button', (list) => (list[0] as HTMLElement).click());
    await h.reads('[data-testid="verdict"]', /9 things/);
  });

  it('takes what is not yet in it', async () => {
    await page.select('select[id]', await page.$eval('select option', (each) => (each as HTMLOptionElement).value));
    await h.press('put it in');
    await h.reads('[data-testid="verdict"]', /10 things/);
    await h.see('[data-testid="in-hand"]');
  });
});

describe('a new room', () => {
  it('is begun from a shell that is drawn from itself, and its walls are touched on the plan', async () => {
    await h.go('/sets/potting-shed/room');
    await h.see('[data-testid="plan"]');
    await h.press('room');
    await h.see('[data-preset="corner-room"] svg path');
    await h.choose('[data-preset="corner-room"]');
    await h.reads('[data-testid="verdict"]', /parts · 0 things/);
    await page.$eval('[data-side="0"]', (each) => each.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true })));
    await page.$eval('::-p-xpath(//button[normalize-space(.)="put it there"])', (each) => (each as HTMLElement).click());
    await wait(() => [...document.querySelectorAll('[data-row]')].length === 1);
    await h.reads('section[aria-label="Walls"]', /a window/);
  });

  it('says what does not fit, loses nothing, and stands again when it does', async () => {
    await page.$eval('[data-row="0"] summary', (each) => (each as HTMLElement).click());
    await h.type('Width, opening 1', '180 in');
    await h.reads('[data-testid="notes"]', /window.*wall’s length/s);
    await h.type('Width, opening 1', '20 in');
    await h.see('[data-testid="plan"]');
    expect((await notes()).some((note) => note.startsWith('does-not-fit'))).toBe(false);
  });
});

describe('the doll', () => {
  it('who does not suit her things is said on one page with the reason, and mended by a touch', async () => {
    await h.go('/sets/night-ferry-hall/doll');
    await h.see('[data-testid="suits"] [data-fit="odd"]');
    const before = await page.$$eval('[data-fit="odd"], [data-fit="wrong"]', (list) => list.length);
    await page.$eval('[data-fit="odd"] button', (each) => (each as HTMLElement).click());
    await wait((was) => document.querySelectorAll('[data-fit="odd"], [data-fit="wrong"]').length < Number(was), String(before));
  });

  it('sits with straight legs when her knees do not bend, and by other rules', async () => {
    const label = () => page.$eval('svg[aria-label*="sitting"]', (each) => each.getAttribute('aria-label') ?? '');
    expect(await label()).not.toContain('straight legs');
    await page.locator('::-p-xpath(//label[contains(., "knees bend")])').click();
    await wait(() => document.querySelector('svg[aria-label*="straight legs"]') !== null);
    await h.reads('[data-testid="suits"]', /legs that do not bend/);
  });

  it('another who lives there is measured and looked at too', async () => {
    await h.press('another doll');
    await h.see('[data-companion]');
    await page.$eval('[data-companion] summary', (each) => (each as HTMLElement).click());
    await h.type('How tall doll 2 is', '18 cm');
    await h.reads('[data-testid="suits"]', /doll 2: /);
    expect(faults).toEqual([]);
  });
});
