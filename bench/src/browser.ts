// Times the built application in a browser: opening a view, and a size changed until its parts have followed.
import { startApp, stopApp } from '../../e2e/src/app.ts';
import { launch } from '../../e2e/src/browser.ts';

type Page = Awaited<ReturnType<Awaited<ReturnType<typeof launch>>['newPage']>>;

const PIECE = '/sets/harbour-post-office/pieces/piece-1';
const HEIGHT = 'input[data-size="height on the drawing"]';

const median = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] as number;

/** An outline of 2,000 points under the hand: how long a move of one takes until it is drawn, the middle one of twenty. */
const pointMoved = async (page: Page, address: string): Promise<number> => {
  const ring = Array.from({ length: 2_000 }, (_, index) => {
    const angle = (2 * Math.PI * index) / 2_000;
    const radius = 400_000 + 40_000 * Math.sin(angle * 9);
    return [Math.round(radius * Math.cos(angle)), Math.round(radius * Math.sin(angle))];
  });
  const piece = { family: 'stack', outline: 'own', points: [ring], width: '600 mm', height: '600 mm' };
  const made = await fetch(`${address}/api/sets`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ document: { format: 'bashful-parlor-set', version: 1, name: 'An outline', pieces: [piece] } }),
  });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`${address}/sets/${id}/pieces`);
  await page.waitForSelector('[data-testid="outline"]');
  await new Promise((later) => setTimeout(later, 1000));
  const times = await page.evaluate(async () => {
    const svg = document.querySelector<SVGSVGElement>('[data-testid="outline"]');
    if (!svg) return [];
    svg.scrollIntoView({ block: 'center' });
    // A finger that no screen has cannot be captured.
    svg.setPointerCapture = () => undefined;
    const { left, top, width } = svg.getBoundingClientRect();
    const send = (kind: string, x: number, y: number) =>
      svg.dispatchEvent(new PointerEvent(kind, { clientX: left + x, clientY: top + y, bubbles: true, pointerId: 1 }));
    send('pointerdown', width / 2, 20);
    await new Promise(requestAnimationFrame);
    const found: number[] = [];
    for (let step = 0; step < 20; step += 1) {
      const before = svg.querySelector('path')?.getAttribute('d');
      const start = performance.now();
      send('pointermove', width / 2 + step, 30 + step);
      while (svg.querySelector('path')?.getAttribute('d') === before && performance.now() - start < 1000)
        await new Promise((soon) => setTimeout(soon));
      found.push(performance.now() - start);
    }
    send('pointerup', width / 2, 40);
    return found;
  });
  return median(times);
};

/** Rows of the table: what, median in ms, aim in ms. */
export const browserRows = async (): Promise<readonly (readonly [string, number, string])[]> => {
  const [app, browser] = await Promise.all([startApp(), launch('with 3D')]);
  const openings: number[] = [];
  const shelves: number[] = [];
  const follows: number[] = [];
  const dresses: number[] = [];
  const touches: number[] = [];
  const pictures: number[] = [];
  const points: number[] = [];
  try {
    for (let round = 0; round < 5; round += 1) {
      const page = await browser.newPage();
      await page.setCacheEnabled(false);
      await page.goto(`${app.address}/sets`);
      await page.waitForSelector('[data-set]');
      shelves.push(await page.evaluate(() => performance.now()));
      await page.goto(app.address + PIECE);
      await page.waitForSelector('[data-testid="verdict"]');
      openings.push(await page.evaluate(() => performance.now()));
      // Until fonts, model and boards have come too, so that they do not fall into the next time.
      await new Promise((later) => setTimeout(later, 1500));
      const changed = await page.evaluate(async (selector) => {
        const field = document.querySelector<HTMLInputElement>(selector);
        if (!field) return Number.NaN;
        const before = document.querySelector('[data-testid="parts"]')?.textContent;
        field.focus();
        const start = performance.now();
        field.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', shiftKey: true, bubbles: true }));
        while (document.querySelector('[data-testid="parts"]')?.textContent === before) await new Promise(requestAnimationFrame);
        return performance.now() - start;
      }, HEIGHT);
      follows.push(changed);
      await page.goto(`${app.address}/sets/harbour-post-office/coverings/piece-3`);
      await page.waitForSelector('canvas[data-testid="model"]');
      await page.waitForSelector('[data-paper]');
      await new Promise((later) => setTimeout(later, 1500));
      dresses.push(
        await page.evaluate(async () => {
          const field = document.querySelector<HTMLSelectElement>('[data-wears="every side"] select');
          const clothes = () => document.querySelector('[data-clothes]')?.getAttribute('data-clothes');
          if (!field) return Number.NaN;
          const before = clothes();
          const start = performance.now();
          // Each round finds what the one before it left.
          field.value = field.value === 'bare' ? '' : 'bare';
          field.dispatchEvent(new Event('change', { bubbles: true }));
          while (clothes() === before) await new Promise(requestAnimationFrame);
          return performance.now() - start;
        }),
      );
      await page.locator('[data-swatch]').click();
      await new Promise((later) => setTimeout(later, 500));
      touches.push(
        await page.evaluate(async () => {
          const canvas = document.querySelector<HTMLCanvasElement>('canvas[data-testid="model"]');
          if (!canvas) return Number.NaN;
          const { left, top, width, height } = canvas.getBoundingClientRect();
          // Here and there until the piece is hit; what is timed is the touch that hits, and the frame that shows it.
          for (let tries = 0; tries < 60; tries += 1) {
            const at = {
              clientX: left + width * (0.2 + 0.05 * (tries % 4)),
              clientY: top + height * (0.4 + 0.1 * (tries % 3)),
              bubbles: true,
            };
            canvas.dispatchEvent(new PointerEvent('pointerdown', at));
            const start = performance.now();
            canvas.dispatchEvent(new PointerEvent('pointerup', at));
            if (canvas.dataset['foretold'] !== undefined) {
              const shown = performance.now() - start;
              await new Promise(requestAnimationFrame);
              return shown;
            }
          }
          return Number.NaN;
        }),
      );
      // On a small page the pages stand below, and are painted when they come into sight.
      await page.setViewport({ width: 1280, height: 800 });
      await page.goto(`${app.address}/sets/harbour-post-office/cutting`);
      await page.waitForSelector('[data-testid="bound"]');
      await new Promise((later) => setTimeout(later, 1500));
      pictures.push(
        await page.evaluate(async () => {
          document.querySelector<HTMLElement>('nav a[href$="/printing"]')?.click();
          while (!document.querySelector('[data-page="1"]')) await new Promise(requestAnimationFrame);
          const start = performance.now();
          while (!document.querySelector('[data-page="1"][data-shown="there"]')) await new Promise(requestAnimationFrame);
          return performance.now() - start;
        }),
      );
      points.push(await pointMoved(page, app.address));
      await page.close();
    }
  } finally {
    await browser.close();
    await stopApp(app);
  }
  return [
    ['the application opened, until the shelf can be used', median(shelves), '1000'],
    ['a piece opened, until its parts stand there', median(openings), '1000'],
    ['a size changed by a key, until the parts table has followed', median(follows), ''],
    ['a face touched, until its new colour is drawn', median(touches), '16'],
    ['two sides of a piece dressed otherwise by the list, until it wears it', median(dresses), ''],
    ['a point of an outline of 2,000 moved by the hand, until the outline is drawn', median(points), '16'],
    ['pages made up, until the picture of the first one stands there', median(pictures), '300'],
  ];
};
