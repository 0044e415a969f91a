// The story without a mouse, and what a keyboard needs: focus that is seen, keys that are told.
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type App, startApp, stopApp } from './app.ts';
import { launch, openPage } from './browser.ts';
import { hand } from './hand.ts';

let app: App;
let browser: Browser;
let page: Page;
let h: ReturnType<typeof hand>;
beforeAll(async () => {
  [app, browser] = await Promise.all([startApp(), launch()]);
  page = await openPage(browser);
  await page.setViewport({ width: 1280, height: 800 });
  h = hand(page, app.address);
});
afterAll(async () => {
  await browser.close();
  await stopApp(app);
});

const together = async (...keys: readonly Parameters<Page['keyboard']['press']>[0][]) => {
  for (const key of keys.slice(0, -1)) await page.keyboard.down(key);
  await page.keyboard.press(keys.at(-1) as Parameters<Page['keyboard']['press']>[0]);
  for (const key of keys.slice(0, -1).reverse()) await page.keyboard.up(key);
};

const focused = () =>
  page.evaluate(() => {
    const element = document.activeElement;
    return element && element !== document.body ? (element.getAttribute('aria-label') ?? element.textContent ?? '') : '';
  });

/** Presses Tab until what has the focus is called so. */
const tabTo = async (name: RegExp, most = 80): Promise<void> => {
  for (let press = 0; press < most; press += 1) {
    if (name.test(await focused())) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`never came to ${name}; stands on ${await focused()}`);
};

describe('all by keyboard', () => {
  it('from the shelf to a new piece, its bays, its boards and its pages', async () => {
    await h.go('/sets');
    await h.see('[data-set="potting-shed"]');
    await tabTo(/a new set/);
    await page.keyboard.press('Enter');
    await h.reads('h1', /Nothing stands here yet/);
    await tabTo(/^piece$/);
    await page.keyboard.press('Enter');
    // The library opens on its search; the first that is found is one key on.
    await h.see('[data-testid="library"] [data-preset="box"]');
    await tabTo(/^What people call it/);
    await page.keyboard.type('plain box');
    await page.waitForFunction(() => document.querySelectorAll('[data-preset]').length === 1);
    await tabTo(/Plain box/);
    await page.keyboard.press('Enter');
    await h.reads('[data-testid="verdict"]', /5 parts/);
    // A new piece is named first.
    await page.waitForFunction(() => (document.activeElement as HTMLInputElement).value === 'Plain box');
    await tabTo(/^open bay 1/);
    await page.keyboard.press('c');
    await h.reads('[data-testid="verdict"]', /6 parts/);
    await page.waitForFunction(() => document.activeElement?.getAttribute('data-bay') === '0');
    await page.keyboard.press('ArrowRight');
    expect(await focused()).toMatch(/^open bay 2/);
    await page.keyboard.press('r');
    await h.reads('[data-testid="verdict"]', /7 parts/);
    await page.waitForFunction(() => document.activeElement?.getAttribute('data-bay') === '1.0');
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('+');
    await h.reads('[data-testid="verdict"]', /8 parts/);
    await page.keyboard.press('d');
    await h.reads('[data-testid="verdict"]', /9 parts · closes exactly/);
    await together('Control', 'z');
    await h.reads('[data-testid="verdict"]', /8 parts/);
    await together('Alt', 'PageDown');
    await h.see('main[data-at$="/room"]');
    await together('Alt', 'PageDown');
    await h.reads('h1', /Coverings/);
    await together('Alt', 'PageDown');
    await h.see('main[data-at$="/goods"]');
    await together('Alt', 'PageDown');
    await h.reads('h2', /sheet to cut/);
    await together('Alt', 'PageDown');
    await h.reads('[data-testid="page-count"]', /\d+ pages/);
    await together('Alt', 'PageUp');
    await h.reads('h2', /sheet to cut/);
    await h.saved();
  });

  it('every key stands on one sheet, which the keyboard opens and closes', async () => {
    await together('Control', '/');
    await h.reads('[role="dialog"]', /All by keyboard/);
    expect(await page.evaluate(() => document.activeElement?.closest('[role="dialog"]') !== null)).toBe(true);
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
  });

  it('a help opens at its field with a drawing, and Escape puts it away and gives the focus back', async () => {
    await h.go('/sets/harbour-post-office/pieces/piece-1');
    await h.see('[data-testid="verdict"]');
    await tabTo(/What is meant by outside or inside/);
    await page.keyboard.press('Enter');
    await h.reads('[role="dialog"]', /something has to give/);
    expect(await page.$$eval('[role="dialog"] svg rect', (found) => found.length)).toBeGreaterThan(6);
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
    await page.waitForFunction(() => /What is meant by/.test(document.activeElement?.getAttribute('aria-label') ?? ''));
  });

  it('whatever has the focus is seen to have it', async () => {
    await h.go('/sets/harbour-post-office/pieces/piece-1');
    await h.see('[data-testid="verdict"]');
    const unseen: string[] = [];
    for (let press = 0; press < 60; press += 1) {
      await page.keyboard.press('Tab');
      const { name, seen } = await page.evaluate(() => {
        const element = document.activeElement as HTMLElement;
        const style = getComputedStyle(element);
        const outlined = style.outlineStyle !== 'none' && Number.parseFloat(style.outlineWidth) >= 2;
        const stroked = element instanceof SVGElement && Number.parseFloat(style.strokeWidth) >= 3;
        const name = element === document.body ? '' : (element.getAttribute('aria-label') ?? element.textContent ?? element.tagName);
        return { name, seen: outlined || stroked };
      });
      if (!seen && name !== '') unseen.push(name.slice(0, 60));
    }
    expect(unseen).toEqual([]);
  });
});

describe('touch and motion', () => {
  it.each([
    '/sets',
    '/sets/harbour-post-office/pieces/piece-2',
    '/sets/harbour-post-office/coverings',
    '/sets/harbour-post-office/cutting',
    '/sets/potting-shed/printing',
    '/sets/harbour-post-office/doll',
  ])('on a tablet everything to press on %s is at least 24 px each way (WCAG 2.2, 2.5.8)', async (path) => {
    await page.setViewport({ width: 1024, height: 768, hasTouch: true });
    await page.goto(app.address + path);
    await page.waitForSelector('main section button');
    const small = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('button, a[href], input, select, summary, [role="button"]:not(rect)')].flatMap(
        (element) => {
          const { width, height } = element.getBoundingClientRect();
          const around = getComputedStyle(element, '::before');
          const reach = around.content === 'none' ? 0 : -2 * (Number.parseFloat(around.top) || 0);
          const hidden = width <= 1 || getComputedStyle(element).visibility === 'hidden';
          return hidden || (width + reach >= 24 && height + reach >= 24)
            ? []
            : [`${element.textContent || element.tagName} ${width}×${height}`];
        },
      ),
    );
    expect(small).toEqual([]);
  });

  it('nothing moves for those who asked for less motion', async () => {
    await h.go('/sets');
    await h.see('[data-set="potting-shed"]');
    const moving = await page.$$eval(
      '*',
      (all) =>
        all.filter(
          (element) =>
            getComputedStyle(element)
              .transitionDuration.split(',')
              .some((time) => Number.parseFloat(time) > 0) && getComputedStyle(element).transitionProperty !== 'none',
        ).length,
    );
    expect(moving).toBe(0);
  });
});
