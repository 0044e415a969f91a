import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type App, startApp, stopApp } from './app.ts';
import { launch } from './browser.ts';

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
  page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
});
afterAll(async () => {
  await browser.close();
  await stopApp(app);
});

const VIEWS = [
  '/sets',
  '/sets/harbour-post-office/doll',
  '/sets/harbour-post-office/pieces/piece-2',
  '/sets/harbour-post-office/cutting',
  '/sets/harbour-post-office/printing',
];

describe.each(['day', 'night'])('by %s', (time) => {
  it.each(VIEWS)('%s has no fault that axe can see (WCAG 2.2 AA)', async (path) => {
    await page.goto(app.address + path, { waitUntil: 'networkidle0' });
    if (time === 'night') await page.locator('::-p-aria(Night: the lamp is low)').click();
    await page.waitForFunction((night: boolean) => document.documentElement.classList.contains('night') === night, {}, time === 'night');
    await page.evaluate(axe);
    const violations = await page.evaluate(async () => {
      const runner = (
        globalThis as unknown as { axe: { run: (context: Document, options: object) => Promise<{ violations: Violation[] }> } }
      ).axe;
      return (await runner.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })).violations;
    });
    expect(
      violations.flatMap(({ id, nodes }) =>
        nodes.slice(0, 3).map(({ target, failureSummary }) => `${id}: ${target.join(' ')} ${failureSummary ?? ''}`),
      ),
    ).toEqual([]);
  });
});

describe('narrow and upright', () => {
  it.each([
    [834, 1112],
    [390, 844],
  ])('at %i × %i nothing runs out of the page', async (width, height) => {
    await page.setViewport({ width, height });
    for (const path of VIEWS) {
      await page.goto(app.address + path, { waitUntil: 'networkidle0' });
      expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(width);
    }
  });
});
