// Rooms and who lives in them, on the very screens: a shell begun, its walls changed, things put in, moved by hand and by keys, taken out; dolls measured.
import type { KeyInput, Page } from 'puppeteer-core';
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
    await h.reads('[data-testid="verdict"]', /\d+ parts · 10 things/);
    await h.reads('[data-testid="stored"]', /^Put away it is \d+ flat boards/);
    expect(await page.$$eval('[data-testid="elevation"] g', (list) => list.length)).toBeGreaterThan(9);
  });

  it('a thing that is dragged into another is noticed at once, and free again when the step is taken back', async () => {
    expect((await notes()).some((note) => note.startsWith('things-clash'))).toBe(false);
    const before = await placeOf('piece-12');
    await drag('piece-12', 10, 45);
    await wait(() => document.querySelector('[data-finding="things-clash"]') !== null);
    // The thumb of the index counts what weighs something.
    await h.reads('nav a[href$="/room"]', /Room\s*2 notes/);
    expect((await notes()).find((note) => note.startsWith('things-clash'))).toMatch(/Clerk’s stool|Sorting counter/);
    expect(await placeOf('piece-12')).not.toBe(before);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await wait(() => document.querySelector('[data-finding="things-clash"]') === null);
    await h.reads('nav a[href$="/room"]', /Room\s*1 notes/);
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
    await h.reads('[data-testid="verdict"]', /9 things/);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await h.see('[data-placed="piece-9"]');
  });

  it('a distance to the wall is typed, and a row is spaced evenly in one step', async () => {
    await focus('piece-6');
    const before = await placeOf('piece-6');
    await h.type('to Letter wall, on the left', '20 mm');
    await h.sizeIs('to Letter wall, on the left', '20 mm');
    expect(await placeOf('piece-6')).not.toBe(before);
    await h.choose('::-p-xpath(//*[@data-testid="distances"]//button[contains(., "from wall to wall")])');
    const gap = (side: string) =>
      page.$eval(`[data-testid="distances"] input[data-size$="${side}"]`, (each) => (each as HTMLInputElement).value);
    await expect.poll(async () => (await gap('on the left')) === (await gap('on the right')), { timeout: 10_000 }).toBe(true);
    await h.press('Undo: 2 things spaced evenly');
    await h.press('Undo: Stamp drawers moved');
    await expect.poll(() => placeOf('piece-6'), { timeout: 10_000 }).toBe(before);
  });

  it('has other ways beside it, of which one counts', async () => {
    await h.press('another way');
    await h.reads('[aria-label="Arrangement"]', /A.*B.*C/);
    await page.click('[aria-label="Take arrangement C away"]');
    await wait(() => !/C/.test(document.querySelector('[aria-label="Arrangement"]')?.textContent ?? 'C'));
    await page.$$eval('[aria-label="Arrangement"] button', (list) => (list[1] as HTMLElement).click());
    await h.reads('[data-testid="verdict"]', /4 things/);
    await page.$$eval('[aria-label="Arrangement"] button', (list) => (list[0] as HTMLElement).click());
    await h.reads('[data-testid="verdict"]', /10 things/);
  });

  it('a window is moved where it is seen, by keys and by hand, and put back', async () => {
    const window = '[data-opening="0"]';
    const label = (): Promise<string> => page.$eval(window, (each) => each.getAttribute('aria-label') ?? '');
    const before = await label();
    await page.$eval(window, (each) => (each as SVGElement).focus());
    await page.keyboard.press('ArrowRight');
    await wait((was) => document.querySelector('[data-opening="0"]')?.getAttribute('aria-label') !== was, before);
    const { x, y } = await page.$eval(window, (each) => {
      const box = each.getBoundingClientRect();
      return { x: box.x + box.width / 2, y: box.y + box.height / 4 };
    });
    const after = await label();
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 14, y, { steps: 4 });
    await page.mouse.up();
    await wait((was) => document.querySelector('[data-opening="0"]')?.getAttribute('aria-label') !== was, after);
    for (const _ of [0, 1]) {
      await page.keyboard.down('Control');
      await page.keyboard.press('z');
      await page.keyboard.up('Control');
    }
    await wait((was) => document.querySelector('[data-opening="0"]')?.getAttribute('aria-label') === was, before);
  });

  it('takes what is not yet in it', async () => {
    await page.select('select[id]', await page.$eval('select option', (each) => (each as HTMLOptionElement).value));
    await h.press('put it in');
    await h.reads('[data-testid="verdict"]', /11 things/);
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
    // What has just been added is open already.
    await page.$eval('[data-row="0"]', (row) => (row as HTMLDetailsElement).open || row.querySelector('summary')?.click());
    await h.type('Width, opening 1', '180 in');
    await h.reads('[data-testid="notes"]', /window.*wall’s length/s);
    await h.type('Width, opening 1', '20 in');
    await h.see('[data-testid="plan"]');
    expect((await notes()).some((note) => note.startsWith('does-not-fit'))).toBe(false);
  });
});

describe('a room joined of shells', () => {
  const press = async (selector: string, key: KeyInput): Promise<void> => {
    await page.$eval(selector, (each) => (each as SVGElement).focus());
    await page.keyboard.press(key);
  };
  const labelOf = (selector: string): Promise<string> => page.$eval(selector, (each) => each.getAttribute('aria-label') ?? '');

  it('says how its shells differ, and where joints are in sight; a strip over one is a touch away', async () => {
    await h.go('/sets/night-ferry-hall/room/piece-22');
    await h.see('[data-testid="differences"]');
    await h.reads('[data-testid="differences"]', /5 mm of white foam board|0.5 cm of white foam board/);
    expect(await page.$$eval('[data-testid="elevation"] [data-seam]', (list) => list.length)).toBeGreaterThan(3);
    const seen = () => page.$$eval('[data-seam="seen"]', (list) => list.length);
    const before = await seen();
    await page.$eval('[data-finding="seam-in-sight"] button', (each) => (each as HTMLElement).click());
    await wait((was) => document.querySelectorAll('[data-seam="seen"]').length < Number(was), String(before));
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await wait((was) => document.querySelectorAll('[data-seam="seen"]').length === Number(was), String(before));
  });

  it('its things are moved along a wall and up it by keys and by hand', async () => {
    const thing = '[data-hung="piece-13"]';
    const before = await labelOf(thing);
    await press(thing, 'ArrowUp');
    await wait((was) => document.querySelector('[data-hung="piece-13"]')?.getAttribute('aria-label') !== was, before);
    expect(await labelOf(thing)).toMatch(/0.1 cm up/);
    await press(thing, 'ArrowDown');
    await wait((was) => document.querySelector('[data-hung="piece-13"]')?.getAttribute('aria-label') === was, before);
    const { x, y } = await page.$eval(thing, (each) => {
      each.scrollIntoView({ block: 'center' });
      const box = each.getBoundingClientRect();
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    });
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x - 30, y - 20, { steps: 4 });
    await page.mouse.up();
    await wait((was) => document.querySelector('[data-hung="piece-13"]')?.getAttribute('aria-label') !== was, before);
    await wait(
      () => document.querySelector('[data-finding="hangs-free"], [data-finding="stands-outside"], [data-hung="piece-13"]') !== null,
    );
    expect(await labelOf(thing)).not.toMatch(/, 0 cm up/);
  });

  it('the doll is led about, and it is said where she does not fit', async () => {
    const doll = '[data-testid="doll-on-plan"]';
    const before = await labelOf(doll);
    expect(before).not.toContain('does not fit');
    await page.keyboard.down('Shift');
    await press(doll, 'ArrowLeft');
    await page.keyboard.up('Shift');
    await wait((was) => document.querySelector('[data-testid="doll-on-plan"]')?.getAttribute('aria-label') !== was, before);
    for (let step = 0; step < 60 && !(await labelOf(doll)).includes('does not fit'); step += 1) {
      await page.keyboard.down('Shift');
      await page.keyboard.press('ArrowUp');
      await page.keyboard.up('Shift');
    }
    expect(await labelOf(doll)).toContain('does not fit');
  });

  it('a wall wears a paper of the set, chosen where it stands', async () => {
    const picker = await page.$eval('::-p-xpath(//label[contains(., "wears")])', (each) => each.getAttribute('for') ?? '');
    await page.select(`[id="${picker}"]`, 'blue');
    await wait((id) => (document.getElementById(id) as HTMLSelectElement).value === 'blue', picker);
  });

  it('a shell comes off as a room by itself, and is joined again', async () => {
    await page.$$eval('[data-testid="joining"] button', (list) =>
      (list.find((each) => each.textContent === 'shell 2') as HTMLElement).click(),
    );
    await h.press('take shell 2 off, as a room by itself');
    await wait(() => document.querySelectorAll('[data-testid="differences"] tbody tr').length === 2);
    await h.reads('nav[aria-label="Rooms of this set"]', /Galley below deck, joined, shell 2/);
    const rooms = await page.$$eval('[data-testid="joining"] select option', (list) =>
      list.map((each) => [(each as HTMLOptionElement).value, each.textContent ?? '']),
    );
    const again = rooms.find(([, text]) => text?.includes('shell 2'))?.[0] ?? '';
    await page.select('[data-testid="joining"] select', again);
    await h.press('join');
    await wait(() => document.querySelectorAll('[data-testid="differences"] tbody tr').length === 3);
    expect(faults).toEqual([]);
  });
});

describe('a plan of its own', () => {
  it('begins as the rectangle; its walls are moved by keys and by hand, made as long as is typed, broken in two', async () => {
    await h.go('/sets/potting-shed/room');
    await h.see('[data-testid="plan"]');
    await h.press('move its walls one by one');
    await h.see('[data-testid="own-plan"]');
    const long = () => page.$$eval('[data-testid="own-plan"] text', (list) => list.map((each) => each.textContent));
    const before = await long();
    await page.$eval('[data-testid="own-plan"]', (each) => (each as SVGElement).focus());
    await page.keyboard.press('.');
    await page.keyboard.press('ArrowRight');
    await wait(
      (was) => [...document.querySelectorAll('[data-testid="own-plan"] text')].map((each) => each.textContent).join() !== was,
      before.join(),
    );
    const after = await long();
    expect(after[0]).not.toBe(before[0]);
    expect(after[1]).toBe(before[1]);
    await h.press('break it in two');
    await wait(() => document.querySelectorAll('[data-testid="own-plan"] [data-wall]').length === 5);
    await h.type('Wall 2, long', '60 in');
    await wait(() => [...document.querySelectorAll('[data-testid="own-plan"] text')].some((each) => each.textContent?.includes('60 in')));
    expect(faults).toEqual([]);
  });

  it('a room is made as large as a paper or a board', async () => {
    await h.go('/sets/harbour-post-office/room');
    await h.see('[data-testid="plan"]');
    await page.$eval('[data-group="as-wide"] summary', (each) => (each as HTMLElement).click());
    await page
      .$$eval('[data-group="as-wide"] select', (list) => list.map((each) => each.id))
      .then(async ([side, sheet]) => {
        await page.select(`[id="${side}"]`, 'height');
        const short = await page.$eval(
          `[id="${sheet}"]`,
          (each) => [...(each as HTMLSelectElement).options].find(({ text }) => text === '20 × 30 in board, its short side')?.value ?? '',
        );
        await page.select(`[id="${sheet}"]`, short);
      });
    await h.press('make it 508 mm');
    await wait(() => /508 mm high/.test(document.querySelector('[data-testid="elevation"]')?.getAttribute('aria-label') ?? ''));
    expect(faults).toEqual([]);
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
