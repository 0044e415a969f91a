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
  // A quarter of the pixels to draw; the page is as large as ever.
  await page.setViewport({ width: 1280, height: 800, deviceScaleFactor: 0.5 });
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

it('is dressed where it is touched: a face, then all of its kind', async () => {
  await h.go('/sets/potting-shed/coverings/piece-1');
  await h.see('[data-clothes="0"]');
  await h.choose('[data-swatch="garden brick"]');
  await h.see('section[aria-label="About garden brick"]');
  const canvas = await page.$('canvas[data-testid="model"]');
  const box = await canvas?.boundingBox();
  if (!box) throw new Error('no canvas');
  const count = () => page.$eval('[data-clothes]', (stage) => Number(stage.getAttribute('data-clothes')));
  // Here and there until the rack is hit: the model takes a moment to come.
  const touch = async (): Promise<void> => {
    const before = await count();
    for (let tries = 0; tries < 60; tries += 1) {
      await page.mouse.click(box.x + box.width * (0.2 + 0.05 * (tries % 4)), box.y + box.height * (0.4 + 0.1 * (tries % 3)));
      await new Promise((later) => setTimeout(later, 300));
      if ((await count()) > before) {
        // What was touched was seen at once, before anything was worked out.
        expect(await canvas?.evaluate((each) => each.dataset['foretold'])).toMatch(/^\d+$/);
        return;
      }
    }
    throw new Error('nothing was hit');
  };
  await touch();
  expect(await count()).toBeGreaterThanOrEqual(1);
  const shot = () =>
    page.screenshot({ encoding: 'base64', clip: { x: box.x + box.width * 0.15, y: box.y + box.height * 0.3, width: 60, height: 60 } });
  const one = await shot();
  await page.locator('::-p-xpath(//button[text()="the whole piece"])').click();
  await touch();
  await expect.poll(shot, { timeout: 10_000 }).not.toBe(one);
});
