// Lighthouse on the built application: performance, accessibility and best practices of the views that are opened first.
import lighthouse from 'lighthouse';
import { startApp, stopApp } from '../../e2e/src/app.ts';
import { launch } from '../../e2e/src/browser.ts';

const VIEWS = [
  ['Sets', '/sets'],
  ['Pieces', '/sets/harbour-post-office/pieces/piece-1'],
  ['Cutting', '/sets/harbour-post-office/cutting'],
  ['Printing', '/sets/harbour-post-office/printing'],
] as const;

const KINDS = ['performance', 'accessibility', 'best-practices'] as const;

/** A desk computer as Lighthouse sees one; the application is opened where it runs, so the line is not slowed down. */
const CONFIG = {
  extends: 'lighthouse:default',
  settings: {
    formFactor: 'desktop',
    screenEmulation: { mobile: false, width: 1280, height: 800, deviceScaleFactor: 1, disabled: false },
    throttlingMethod: 'provided',
  },
} as const;

/** Rows of the table: view, then a score out of 100 for each kind. */
export const lighthouseRows = async (): Promise<readonly (readonly [string, ...number[]])[]> => {
  const [app, browser] = await Promise.all([startApp(), launch('with 3D')]);
  try {
    const rows: [string, ...number[]][] = [];
    for (const [name, path] of VIEWS) {
      const port = Number(new URL(browser.wsEndpoint()).port);
      const found = await lighthouse(app.address + path, { port, onlyCategories: [...KINDS], logLevel: 'error' }, CONFIG);
      rows.push([name, ...KINDS.map((kind) => Math.round(100 * (found?.lhr.categories[kind]?.score ?? 0)))]);
    }
    return rows;
  } finally {
    await browser.close();
    await stopApp(app);
  }
};
