// Lighthouse on the built application: performance, accessibility and best practices of the views that are opened first.
import lighthouse from 'lighthouse';
import { startApp, stopApp } from '../../e2e/src/app.ts';
import { launch } from '../../e2e/src/browser.ts';

const VIEWS = [
  ['Sets', '/sets'],
  ['Pieces', '/sets/harbour-post-office/pieces/piece-1'],
  ['Coverings', '/sets/harbour-post-office/coverings'],
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

type Row = readonly [string, ...number[]];

const scores = async (model: Parameters<typeof launch>[0], views: readonly (readonly [string, string])[]): Promise<readonly Row[]> => {
  const [app, browser] = await Promise.all([startApp(), launch(model)]);
  try {
    const rows: Row[] = [];
    for (const [name, path] of views) {
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

/** Rows of the table: view, then a score out of 100 for each kind. This machine has no graphics card: with a software one standing in for it
 *  the browser draws every page slowly, so only the view that needs one is measured that way too. */
export const lighthouseRows = async (): Promise<readonly Row[]> => [
  ...(await scores('without 3D', VIEWS)),
  ...(await scores('with 3D', [['Pieces, the model drawn in software', VIEWS[1][1]]])),
];
