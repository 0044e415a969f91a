// Takes one picture of each main view, with the demo data, into docs/screenshots.
import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { startApp, stopApp } from './app.ts';
import { launch } from './browser.ts';

const target = resolve(import.meta.dirname, '../../docs/screenshots');

const SHOTS = [
  { name: 'sets', path: '/sets', ready: '[data-set="night-ferry-hall"] svg rect' },
  { name: 'doll', path: '/sets/harbour-post-office/doll', ready: '[data-figure]' },
  { name: 'pieces', path: '/sets/harbour-post-office/pieces/piece-2', ready: 'canvas', touch: '[data-bay="1.2"]' },
  { name: 'cutting', path: '/sets/harbour-post-office/cutting', ready: '[data-board="white"] svg title' },
  { name: 'printing', path: '/sets/harbour-post-office/printing', ready: '[data-page="2"]' },
  { name: 'night', path: '/sets/potting-shed/pieces/piece-2', ready: 'canvas', touch: '[aria-label^="Night"]' },
] as const;

const [app, browser] = await Promise.all([startApp(), launch()]);
mkdirSync(target, { recursive: true });
for (const shot of SHOTS) {
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(app.address + shot.path, { waitUntil: 'networkidle0' });
  await page.waitForSelector(shot.ready);
  if ('touch' in shot) await page.locator(shot.touch).click();
  await new Promise((done) => setTimeout(done, 900));
  await page.screenshot({ path: join(target, `${shot.name}.png`) as `${string}.png` });
  await page.close();
}
await browser.close();
await stopApp(app);
