import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type App, startApp, stopApp } from './app.ts';
import { launch, openPage } from './browser.ts';
import { turnTo } from './hand.ts';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

type Violation = {
  readonly id: string;
  readonly nodes: readonly { readonly target: readonly string[]; readonly failureSummary?: string }[];
};

let app: App;
let browser: Browser;
let page: Page;
beforeAll(async () => {
  [app, browser] = await Promise.all([startApp(), launch()]);
  page = await openPage(browser);
  await page.setViewport({ width: 1280, height: 800 });
});
afterAll(async () => {
  await browser.close();
  await stopApp(app);
});

/** Each view, and what stands there once it is worked out. */
const VIEWS = [
  ['/sets', '[data-set="night-ferry-hall"] svg path'],
  ['/sets/harbour-post-office/doll', '[data-figure]'],
  ['/sets/harbour-post-office/pieces/piece-2', '[data-testid="verdict"]'],
  ['/sets/harbour-post-office/room', '[data-testid="plan"] [data-placed]'],
  ['/sets/harbour-post-office/coverings/piece-2', '[data-paper]'],
  ['/sets/harbour-post-office/goods/piece-20', '[data-testid="panel-art"]'],
  ['/sets/harbour-post-office/goods/piece-28', '[data-testid="ways"]'],
  ['/sets/harbour-post-office/goods/piece-32', '[data-testid="stand-ins"]'],
  ['/sets/harbour-post-office/cutting', '[data-testid="cloth-plans"]'],
  ['/sets/potting-shed/printing', '[data-page="2"][data-shown="there"]'],
  ['/sets/harbour-post-office/history', '[data-revision="1"]'],
] as const;

const open = async (path: string, ready: string): Promise<void> => {
  await turnTo(page, app.address, path);
  await page.waitForSelector(ready, { timeout: 20_000 });
};

const ALL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** Light changes colours and nothing else. */
const COLOURS = ['color-contrast', 'link-in-text-block'];

/** What axe finds on the page as it stands, by rules or groups of rules. */
const faults = async (runOnly: readonly string[]): Promise<readonly string[]> => {
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(axe);
  const violations = await page.evaluate(async (rules) => {
    const runner = (globalThis as unknown as { axe: { run: (context: Document, options: object) => Promise<{ violations: Violation[] }> } })
      .axe;
    return (await runner.run(document, { runOnly: rules })).violations;
  }, runOnly);
  return violations.flatMap(({ id, nodes }) =>
    nodes.slice(0, 3).map(({ target, failureSummary }) => `${id}: ${target.join(' ')} ${failureSummary ?? ''}`),
  );
};

const PIECE = ['/sets/harbour-post-office/pieces/piece-1', '[data-testid="verdict"]'] as const;

/** States that an address does not lead to. */
const STATES: readonly (readonly [name: string, path: string, ready: string, act: () => Promise<void>])[] = [
  ['a save looked at', '/sets/harbour-post-office/history', '[data-revision="1"]', () => page.locator('[data-revision="1"]').click()],
  ['the sheet of keys', '/sets', 'main section', () => page.locator('[aria-label="All keys on one sheet"]').click()],
  ['a help', ...PIECE, () => page.locator('[aria-label^="What is meant by outside"]').click()],
  ['how it is built', ...PIECE, () => page.locator('details summary').click()],
  ['a wrong size', ...PIECE, () => typeWrong()],
  [
    'a sheet as a table',
    '/sets/harbour-post-office/cutting',
    '[data-testid="bound"]',
    () => page.locator('figure details summary').click(),
  ],
  ['a tray of small goods', '/sets/harbour-post-office/goods/piece-20', '[data-testid="panel-art"]', () => openTray()],
  ['two versions', '/sets/potting-shed/pieces/piece-1', '[data-testid="verdict"]', () => makeTwoVersions()],
];

const SIZES = [
  [1920, 1080],
  [1024, 768],
  [834, 1112],
  [390, 844],
  [1280, 800],
] as const;

const openTray = async (): Promise<void> => {
  await page.locator('::-p-aria(small good)').click();
  await page.waitForSelector('[data-testid="tray"] svg');
};

const typeWrong = async (): Promise<void> => {
  await page.locator('input[data-size="height on the drawing"]').fill('5 feat');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[role="alert"]');
};

const makeTwoVersions = async (): Promise<void> => {
  await page.waitForSelector('[data-testid="verdict"]');
  const set = `${app.address}/api/sets/potting-shed`;
  const { document, revision } = (await (await fetch(set)).json()) as { document: object; revision: number };
  await fetch(set, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ basedOn: revision, document: { ...document, name: `Shed ${revision}` } }),
  });
  await page.focus('input[data-size="height on the drawing"]');
  await page.keyboard.press('ArrowUp');
  await page.waitForSelector('[data-strand]');
};

const inBothLights = async (): Promise<void> => {
  expect(await faults(ALL), 'by day').toEqual([]);
  await page.evaluate(() => document.documentElement.classList.add('night'));
  expect(await faults(COLOURS), 'by night').toEqual([]);
  await page.evaluate(() => document.documentElement.classList.remove('night'));
};

describe('no fault that axe can see (WCAG 2.2 AA), by day and by night', () => {
  it.each(VIEWS)('%s, which also runs out of no page from a phone to a large table', async (path, ready) => {
    await open(path, ready);
    await inBothLights();
    for (const [width, height] of SIZES) {
      await page.setViewport({ width, height });
      expect(await page.evaluate(() => document.documentElement.scrollWidth), `${width} × ${height}`).toBeLessThanOrEqual(width);
    }
    // A drawing says what it shows: by a name, or by the table beside it.
    const nameless = await page.$$eval('svg:not([aria-hidden="true"]):not(.lucide), canvas', (drawings) =>
      drawings.filter((drawing) => !drawing.getAttribute('aria-label')).map((drawing) => drawing.outerHTML.slice(0, 120)),
    );
    expect(nameless).toEqual([]);
  });

  it.each(STATES)('%s', async (_, path, ready, act) => {
    await open(path, ready);
    await act();
    await inBothLights();
  });
});

it('the lamp is turned by its button, and stays as it was left', async () => {
  await open('/sets', 'main section');
  await page.locator('::-p-aria(Night: the lamp is low)').click();
  await page.waitForSelector('html.night');
  await page.reload();
  await page.waitForSelector('html.night');
  await page.locator('::-p-aria(Night: the lamp is low)').click();
  await page.waitForSelector('html:not(.night)');
});

it('every part drawn on a sheet stands in the table below it', async () => {
  await open('/sets/harbour-post-office/cutting', 'figure table tbody tr');
  // Three boards are laid out; all are drawn before anything is counted.
  await page.waitForFunction(() => document.querySelectorAll('[data-testid="bound"]').length === 3);
  await page.waitForFunction(() => document.querySelectorAll('figure svg g').length > 30, { timeout: 15_000 });
  const [drawn, told] = await Promise.all([
    page.$$eval('figure svg g', (parts) => parts.length),
    page.$$eval('figure table tbody tr', (rows) => rows.length),
  ]);
  expect(drawn).toBeGreaterThan(30);
  expect(told).toBe(drawn);
});
