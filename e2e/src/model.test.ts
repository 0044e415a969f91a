// The model is drawn in software here, which is slow; so only this file looks at it.
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { getUp, sitDown, type Table } from './table.ts';

let table: Table;
let page: Page;
let h: Table['h'];

beforeAll(async () => {
  table = await sitDown(800, 'with 3D');
  ({ page, h } = table);
});
afterAll(() => getUp(table));

/** The picture that stands on the canvas, once it has not changed for a moment. */
const picture = async (): Promise<string> => {
  const canvas = await page.waitForSelector('canvas[data-testid="model"]', { timeout: 20_000 });
  let last = '';
  for (let tries = 0; tries < 40; tries += 1) {
    const now = (await canvas?.screenshot({ encoding: 'base64' })) as string;
    if (now === last) return now;
    last = now;
    await new Promise((later) => setTimeout(later, 300));
  }
  throw new Error('the model never came to rest');
};

it('stands beside the doll, follows a changed size, and can be turned and pulled apart by keys', async () => {
  await h.go('/sets/harbour-post-office/pieces/piece-1');
  await h.see('[data-testid="verdict"]');
  const seen = [await picture()];
  const changed = async (): Promise<void> => {
    const now = await picture();
    expect(seen).not.toContain(now);
    seen.push(now);
  };
  await h.type('height on the drawing', `5' 6"`);
  await h.reads('[data-testid="parts"] tr[data-tag="1A"]', /50×279\.5/);
  await changed();
  await page.focus('canvas[data-testid="model"]');
  await page.keyboard.press('ArrowLeft');
  await changed();
  await page.focus('[aria-label="Pull the parts apart"]');
  for (let press = 0; press < 6; press += 1) await page.keyboard.press('ArrowUp');
  await changed();
  expect(await page.$eval('canvas[data-testid="model"]', (canvas) => canvas.getAttribute('aria-label'))).toMatch(
    /12 parts, with the doll beside it/,
  );
});
