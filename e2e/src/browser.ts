import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type BrowserContext, type Page } from 'puppeteer-core';

/** Debian's browser in a profile of its own. Drawing in three dimensions is done in software and takes most of a test's time, so only who
 *  looks at the model asks for it. */
export const launch = (model: 'with 3D' | 'without 3D' = 'without 3D'): Promise<Browser> =>
  puppeteer.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    userDataDir: mkdtempSync(join(tmpdir(), 'parlor-browser-')),
    // As users see it: bars where something scrolls.
    ignoreDefaultArgs: ['--hide-scrollbars'],
    args: [
      '--no-sandbox',
      // New sets are measured and printed as is usual where the browser is at home.
      '--lang=en-GB',
      '--disable-quic',
      '--no-first-run',
      // A page that is kept for the way back, its workers with it, has frozen the page that was gone to.
      '--disable-features=BackForwardCache',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      ...(model === 'with 3D'
        ? ['--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--disable-gpu-compositing']
        : ['--disable-gpu', '--disable-3d-apis']),
      '--force-prefers-reduced-motion',
    ],
  });

/** A new page. The search for better layouts takes a core for seconds after every change, so only who looks at boards asks for it. */
export const openPage = async (
  where: Browser | BrowserContext,
  search: 'with search' | 'without search' = 'without search',
): Promise<Page> => {
  const page = await where.newPage();
  if (search === 'without search') await page.evaluateOnNewDocument(() => localStorage.setItem('parlor.search', 'off'));
  return page;
};
