import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type App, startApp, stopApp } from './app.ts';
import { launch, openPage } from './browser.ts';
import { hand } from './hand.ts';

let app: App;
let browser: Browser;
let page: Page;
let h: ReturnType<typeof hand>;
beforeAll(async () => {
  const directory = mkdtempSync(join(tmpdir(), 'parlor-door-'));
  [app, browser] = await Promise.all([startApp(directory, '0', { PARLOR_PASSPHRASE: 'paper and pins' }), launch()]);
  page = await openPage(browser);
  h = hand(page, app.address);
});
afterAll(async () => {
  await browser.close();
  await stopApp(app);
});

const say = async (phrase: string) => {
  await page.locator('#phrase').fill(phrase);
  await h.press('Come in');
};

it('a locked parlor shows no set, says when the phrase is wrong, and opens to the right one', async () => {
  await h.go('/sets/potting-shed/pieces/piece-1');
  await h.reads('h1', /The parlor is locked/);
  await say('paper and nails');
  await h.reads('[role="alert"]', /That is not the pass phrase/);
  await say('paper and pins');
  await h.sizeIs('height on the drawing', '66 in');
});

it('work done when the door closes is kept, and saved once one is in again', async () => {
  await page.deleteCookie(...(await page.cookies()));
  await h.type('height on the drawing', '60 in');
  await h.reads('h1', /The parlor is locked/);
  await say('paper and pins');
  await h.saved();
  await h.sizeIs('height on the drawing', '60 in');
  await page.reload();
  await h.sizeIs('height on the drawing', '60 in');
  expect(await page.$('[data-save="saved"]')).not.toBeNull();
});
