// Takes one picture of each main view, with the demo data, into docs/screenshots.
import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { Page } from 'puppeteer-core';
import { startApp, stopApp } from './app.ts';
import { launch } from './browser.ts';

const target = resolve(import.meta.dirname, '../../docs/screenshots');

const SHOTS = [
  { name: 'sets', path: '/sets', ready: '[data-set="night-ferry-hall"] svg path' },
  { name: 'doll', path: '/sets/harbour-post-office/doll', ready: '[data-figure]' },
  { name: 'suits', path: '/sets/night-ferry-hall/doll', ready: '[data-testid="suits"] [data-fit]', below: '[data-testid="suits"]' },
  { name: 'pieces', path: '/sets/harbour-post-office/pieces/piece-2', ready: 'canvas', touch: '[data-bay="1.2"]' },
  {
    name: 'library',
    path: '/sets/harbour-post-office/pieces/piece-4',
    ready: 'canvas',
    touch: '::-p-aria(piece)',
    after: '[data-preset="oven"] svg path',
  },
  {
    name: 'build',
    path: '/sets/night-ferry-hall/pieces/piece-7',
    ready: 'canvas',
    touch: '[data-testid="steps"] summary',
    after: '[data-testid="steps"] li',
    step: 30,
  },
  {
    name: 'coverings',
    path: '/sets/potting-shed/coverings/piece-9',
    ready: 'canvas[data-testid="model"]',
    touch: '[data-swatch="garden brick"]',
    after: 'section[aria-label="About garden brick"]',
  },
  {
    name: 'goods',
    path: '/sets/harbour-post-office/goods/piece-23',
    ready: 'canvas[data-testid="folding"]',
    touch: '::-p-xpath(//button[contains(., "all where they stand")])',
    after: '[data-testid="pages-taken"] li',
  },
  {
    name: 'cloth',
    path: '/sets/night-ferry-hall/goods/piece-31',
    ready: 'canvas[data-testid="sewn"]',
    touch: '::-p-xpath(//button[contains(., "where it is")])',
    after: '[data-testid="ways"]',
  },
  {
    name: 'odd',
    path: '/sets/harbour-post-office/goods/piece-32',
    ready: 'canvas[data-testid="folding"]',
    after: '[data-testid="stand-ins"]',
  },
  { name: 'room', path: '/sets/harbour-post-office/room', ready: '[data-testid="plan"] [data-placed]' },
  { name: 'joined', path: '/sets/night-ferry-hall/room/piece-22', ready: '[data-testid="differences"]' },
  { name: 'cutting', path: '/sets/harbour-post-office/cutting', ready: '[data-board="white"] svg title' },
  {
    name: 'printing',
    path: '/sets/potting-shed/printing',
    ready: '[data-page="2"][data-shown="there"]',
    touch: '::-p-xpath(//button[normalize-space(.)="coverings"])',
    after: '[data-page="2"][data-shown="there"]',
  },
  {
    name: 'calibrate',
    path: '/sets/harbour-post-office/printing',
    ready: '[data-page="2"]',
    touch: '::-p-xpath(//button[contains(., "measure it")])',
    after: '[role="dialog"]',
    tick: '::-p-xpath(//label[contains(., "made-up one")])',
  },
  {
    name: 'machine',
    path: '/sets/potting-shed/printing',
    ready: '[data-page="1"]',
    touch: '::-p-xpath(//button[contains(., "cutting machine")])',
    after: '[data-testid="machine"]',
  },
  { name: 'history', path: '/sets/harbour-post-office/history', ready: '[data-revision="1"]', touch: '[data-revision="1"]' },
  { name: 'night', path: '/sets/potting-shed/pieces/piece-2', ready: 'canvas', touch: '[aria-label^="Night"]' },
] as const;

const set = (id: string) => `${app.address}/api/sets/${id}`;
type Stored = { readonly revision: number; readonly document: { readonly pieces: readonly Record<string, unknown>[] } };

/** Saves a set with one of its pieces changed, as a maker would. */
const change = async (id: string, index: number, part: Record<string, unknown>): Promise<void> => {
  const { revision, document } = (await (await fetch(set(id))).json()) as Stored;
  const pieces = document.pieces.map((piece, each) => (each === index ? { ...piece, ...part } : piece));
  await fetch(set(id), {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ basedOn: revision, document: { ...document, pieces } }),
  });
};

/** Two hands on one set: this page has one piece changed, somebody else saved another. */
const twoVersions = async (page: Page): Promise<void> => {
  // The lamp stays as the picture before left it.
  await page.evaluateOnNewDocument(() => localStorage.setItem('parlor.night', 'false'));
  await page.goto(`${app.address}/sets/potting-shed/pieces/piece-1`);
  await page.waitForSelector('[data-testid="verdict"]');
  await change('potting-shed', 1, { width: 700_000 });
  await change('potting-shed', 2, { name: 'Damp cupboard' });
  await page.focus('input[data-size="height on the drawing"]');
  await page.keyboard.type('5 ft');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-strand]');
};

const [app, browser] = await Promise.all([startApp(), launch('with 3D')]);
mkdirSync(target, { recursive: true });
await change('harbour-post-office', 1, { depth: 520_000 });
await change('harbour-post-office', 2, { corner: 'top' });
for (const shot of SHOTS) {
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(app.address + shot.path);
  await page.waitForSelector(shot.ready);
  if ('touch' in shot) await page.locator(shot.touch).click();
  if ('after' in shot) await page.waitForSelector(shot.after);
  if ('tick' in shot) {
    await page.locator(shot.tick).click();
    await page.waitForSelector('[data-tried="plain"]');
  }
  if ('step' in shot) await page.$eval(`[data-testid="steps"] li:nth-child(${shot.step}) button`, (step) => (step as HTMLElement).click());
  await page.$eval('section[aria-label="What follows"]', (side) => side.scrollTo(0, 0)).catch(() => undefined);
  if ('below' in shot) await page.$eval(shot.below, (each) => each.scrollIntoView({ block: 'start' }));
  await new Promise((done) => setTimeout(done, 900));
  await page.screenshot({ path: join(target, `${shot.name}.png`) as `${string}.png` });
  await page.close();
}
const page = await browser.newPage();
await page.setViewport({ width: 1280, height: 800 });
await twoVersions(page);
await new Promise((done) => setTimeout(done, 900));
await page.screenshot({ path: join(target, 'versions.png') });
await browser.close();
await stopApp(app);
