import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type App, startApp, stopApp } from './app.ts';
import { launch, openPage } from './browser.ts';
import { hand } from './hand.ts';

let app: App;
let browser: Browser;
let page: Page;
let h: ReturnType<typeof hand>;
const faults: string[] = [];

beforeAll(async () => {
  [app, browser] = await Promise.all([startApp(), launch()]);
  page = await openPage(browser, 'with search');
  await page.setViewport({ width: 1280, height: 800 });
  page.on('pageerror', (problem) => faults.push(String(problem)));
  page.on('console', (line) => {
    if (line.type() === 'error' && !/409|422|ERR_CONNECTION|Failed to load resource/.test(line.text())) faults.push(line.text());
  });
  h = hand(page, app.address);
});
afterAll(async () => {
  await browser.close();
  await stopApp(app);
});

const HEIGHT = 'height on the drawing';
const sideLength = async (): Promise<string> => h.text('[data-testid="parts"] tr[data-tag="1A"]');

describe('a maker’s way through', () => {
  it('finds the three demo sets as vignettes, drawn from their models', async () => {
    await h.go('/');
    for (const id of ['harbour-post-office', 'potting-shed', 'night-ferry-hall']) await h.see(`[data-set="${id}"] svg path`);
    expect(await page.$$eval('[data-set] svg [data-figure]', (found) => found.length)).toBe(3);
  });

  it('opens the harbour post office: bookcase, sorting counter, parcel cupboard, all closing exactly', async () => {
    await h.choose('[data-set="harbour-post-office"]');
    for (const [tab, parts] of [
      ['piece-1', 12],
      ['piece-2', 23],
      ['piece-3', 11],
    ] as const) {
      await h.choose(`a[href$="/pieces/${tab}"]`);
      await h.reads('[data-testid="verdict"]', new RegExp(`${parts} parts · closes exactly`));
    }
    await h.choose('a[href$="/pieces/piece-1"]');
  });

  it('changes the real height to 5 feet 6: drawing, parts, model, boards and notes follow', async () => {
    await h.sizeIs(HEIGHT, '1800 mm');
    expect(await sideLength()).toContain('300');
    const panel = await page.$eval(
      '[data-testid="elevation"] [data-part="piece-1-0"]',
      (drawn) => (drawn as SVGPathElement).getBBox().height / (drawn as SVGPathElement).getBBox().width,
    );
    await h.type(HEIGHT, `5' 6"`);
    // 1676.4 mm is 279.4 mm at 1:6; on a rule of half millimetres 1676.5 and 279.5.
    await h.sizeIs(HEIGHT, '1676.5 mm');
    await h.reads('[data-testid="parts"] tr[data-tag="1A"]', /50×279\.5/);
    const now = await page.$eval(
      '[data-testid="elevation"] [data-part="piece-1-0"]',
      (drawn) => (drawn as SVGPathElement).getBBox().height / (drawn as SVGPathElement).getBBox().width,
    );
    expect(now / panel).toBeCloseTo(1676.4 / 1800, 3);
    await h.reads('[data-testid="notes"] [data-finding="tips-over"]', /279\.5 mm tall/);
    await h.saved();
    await h.choose('a[href$="/cutting"]');
    await h.reads('[data-board="white"] [data-testid="bound"]', /4 sheets; 4 is the least possible/);
    await h.reads('[data-board="white"] svg title', /1A left side, 50 × 279\.5 mm/);
    await h.choose('nav a[href$="/pieces"]');
  });

  it('undoes and does again, by button and by key', async () => {
    await h.press('Undo: height of Stamp-book bookcase');
    await h.sizeIs(HEIGHT, '1800 mm');
    await h.press('Redo: height of Stamp-book bookcase');
    await h.sizeIs(HEIGHT, '1676.5 mm');
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await h.sizeIs(HEIGHT, '1800 mm');
  });

  it('mends with one click what a note says, and the mend is undone like any edit', async () => {
    await h.reads('[data-finding="shelf-gap-too-low"]', /5 shelves instead/);
    await h.press('5 shelves instead');
    await page.waitForFunction(() => !document.querySelector('[data-finding="shelf-gap-too-low"]'));
    await h.reads('[data-testid="verdict"]', /11 parts/);
    await h.press('Undo: 5 shelves instead');
    await h.see('[data-finding="shelf-gap-too-low"]');
  });

  it('says what is wrong with a size where it stands, keeps what was typed, and changes nothing', async () => {
    await h.type(HEIGHT, '5 feat');
    await h.reads('[role="alert"]', /“feat” is not a number or a unit I know .* \(character 3\)/);
    expect(await h.size(HEIGHT)).toBe('5 feat');
    expect(await sideLength()).toContain('300');
    await page.keyboard.press('Escape');
    await h.sizeIs(HEIGHT, '1800 mm');
    await h.type(HEIGHT, '2 mm');
    await h.reads('[role="alert"]', /At least 10 mm/);
    await page.keyboard.press('Escape');
  });

  it('adds a piece of their own, divides it on the drawing, and sees it on the boards', async () => {
    await h.press('piece');
    await h.choose('[data-preset="box"]');
    await h.reads('[data-testid="verdict"]', /5 parts · closes exactly/);
    await h.choose('[data-testid="elevation"] [data-bay=""]');
    await h.press('split: an upright through the bay');
    await h.reads('[data-testid="verdict"]', /6 parts/);
    await h.press('shelf: a shelf more');
    await h.reads('[data-testid="verdict"]', /7 parts/);
    await page.$eval('[data-testid="elevation"] [data-bay="1"]', (bay) => (bay as SVGElement).focus());
    await page.keyboard.press('Enter');
    await h.press('door: a door');
    await h.reads('[data-testid="verdict"]', /8 parts · closes exactly/);
    await h.type('shared clear width of bay 2', '30 cm');
    await h.see('input[data-size="fixed clear width of bay 2"]');
    await h.saved();
    await h.choose('a[href$="/cutting"]');
    await h.reads('[data-board="white"] svg title', /34A left side/);
  });

  it('downloads one PDF of templates, whose pages say what the screen shows', async () => {
    const downloads = mkdtempSync(join(tmpdir(), 'parlor-download-'));
    const client = await browser.target().createCDPSession();
    await client.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: downloads });
    await h.choose('a[href$="/printing"]');
    await h.see('[data-page="2"]');
    const count = Number(/(\d+) pages/.exec(await h.text('[data-testid="page-count"]'))?.[1]);
    await h.press('Download the pages (PDF)');
    const file = join(downloads, 'templates.pdf');
    await expect.poll(() => readdirSync(downloads), { timeout: 20_000 }).toEqual(['templates.pdf']);
    const pdf = await getDocument({ data: new Uint8Array(readFileSync(file)), verbosity: 0 }).promise;
    expect(pdf.numPages).toBe(count);
    expect(count).toBeGreaterThan(10);
  });

  it('finds everything as it was after a reload and after the application was stopped and started', async () => {
    await page.reload();
    await h.see('[data-page="2"]');
    await h.choose('nav a[href$="/pieces"]');
    await page.locator('::-p-xpath(//nav//a[contains(., "Plain box")])').click();
    await h.reads('[data-testid="verdict"]', /8 parts/);
    const { port } = new URL(app.address);
    await stopApp(app);
    await h.choose('[data-testid="elevation"] [data-bay="0"]');
    await h.press('shelf: a shelf more');
    await h.reads('[data-testid="verdict"]', /9 parts/);
    await page.waitForSelector('[data-save="offline"]');
    // The page goes away while the server is away: what was done is kept in the browser.
    await page.goto('about:blank');
    app = await startApp(app.directory, port);
    await page.goBack();
    await h.reads('[data-testid="verdict"]', /9 parts/);
    await h.saved();
    const { sets } = (await (await fetch(`${app.address}/api/sets`)).json()) as { sets: { id: string; revision: number }[] };
    expect(sets.find(({ id }) => id === 'harbour-post-office')?.revision).toBeGreaterThan(2);
  });

  it('with two pages on one set, the later save is not swallowed: both versions can be kept', async () => {
    const { document, revision } = (await (await fetch(`${app.address}/api/sets/potting-shed`)).json()) as {
      document: Record<string, unknown>;
      revision: number;
    };
    await h.go('/sets/potting-shed/pieces/piece-1');
    await h.see('[data-testid="verdict"]');
    await fetch(`${app.address}/api/sets/potting-shed`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ basedOn: revision, document: { ...document, name: 'Theirs' } }),
    });
    await h.type(HEIGHT, '6 ft');
    await h.reads('[role="alert"]', /saved on another page meanwhile/);
    await h.reads('[data-strand="name"]', /“Potting shed” → “Theirs”/);
    await h.press('Keep mine as a copy');
    await h.sizeIs(HEIGHT, '72 in');
    const { sets } = (await (await fetch(`${app.address}/api/sets`)).json()) as { sets: { name: string }[] };
    expect(sets.map(({ name }) => name)).toEqual(expect.arrayContaining(['Theirs', 'Potting shed (my copy)']));
  });

  it('an import that fails lists every issue with its path and changes nothing', async () => {
    await h.go('/sets');
    await h.see('[data-set="night-ferry-hall"]');
    const before = await page.$$eval('[data-set]', (found) => found.length);
    const file = join(mkdtempSync(join(tmpdir(), 'parlor-import-')), 'bad.parlor.json');
    writeFileSync(file, JSON.stringify({ format: 'bashful-parlor-set', version: 1, pieces: [{ width: '12 bananas' }, { heigth: 3 }] }));
    const chooser = await page.$('input[type="file"]');
    await (chooser as { uploadFile: (path: string) => Promise<void> } | null)?.uploadFile(file);
    await h.reads('[data-testid="import-issues"]', /pieces\[0\]\.width.*bananas/);
    await h.reads('[data-testid="import-issues"]', /pieces\[1\]\.heigth/);
    expect(await page.$$eval('[data-set]', (found) => found.length)).toBe(before);
  });

  it('takes a set off the shelf and puts it back', async () => {
    await h.go('/sets/night-ferry-hall/pieces');
    await h.see('[data-testid="verdict"]');
    await h.choose('nav a[href="/sets"]');
    await h.press('Take off the shelf');
    await page.waitForFunction(() => !document.querySelector('[data-set="night-ferry-hall"]'));
    await h.press('Put it back');
    await h.see('[data-set="night-ferry-hall"]');
  });

  it('converts on the twin rule by keyboard, and shows every size in the units that were chosen', async () => {
    await page.goto(`${app.address}/sets/harbour-post-office/pieces/piece-1`);
    await h.see('[data-testid="verdict"]');
    await page.focus('[aria-label="Twin rule"]');
    await page.keyboard.down('Shift');
    for (let step = 0; step < 3; step += 1) await page.keyboard.press('ArrowRight');
    await page.keyboard.up('Shift');
    await h.reads('[data-testid="rule-reading"]', /real 180 mm, doll 30 mm/);
    await page.keyboard.press('Escape');
    await h.press('in');
    await h.reads('[data-testid="parts"] thead', /doll size, in/);
    await h.press('Undo: units: in');
    await h.reads('[data-testid="parts"] thead', /doll size, mm/);
  });

  it('did all this without a fault on the page', () => {
    expect(faults).toEqual([]);
  });
});
