import type { Browser, Page } from 'puppeteer-core';
import { type App, startApp, stopApp } from './app.ts';
import { launch, openPage } from './browser.ts';
import { hand } from './hand.ts';

/** The application, one page of it, the hand on that page, and what went wrong there, as it comes. */
export type Table = {
  readonly app: App;
  readonly browser: Browser;
  readonly page: Page;
  readonly h: ReturnType<typeof hand>;
  readonly faults: string[];
};

/** Starts the application and opens a page, so high in pixels. */
export const sitDown = async (
  height: number,
  model: Parameters<typeof launch>[0] = 'without 3D',
  search: Parameters<typeof openPage>[1] = 'without search',
): Promise<Table> => {
  const [app, browser] = await Promise.all([startApp(), launch(model)]);
  const page = await openPage(browser, search);
  await page.setViewport({ width: 1280, height });
  const faults: string[] = [];
  page.on('pageerror', (problem) => faults.push(String(problem)));
  return { app, browser, page, h: hand(page, app.address), faults };
};

/** Closes what was opened. */
export const getUp = async ({ app, browser }: Table): Promise<void> => {
  await browser.close();
  await stopApp(app);
};
