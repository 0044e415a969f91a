// What a maker must be able to trust: nothing lost, everything undone, two hands on one set.
import { mkdirSync, mkdtempSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, HTTPRequest, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type App, startApp, stopApp } from './app.ts';
import { launch, openPage } from './browser.ts';
import { hand } from './hand.ts';

let app: App;
let browser: Browser;
beforeAll(async () => {
  [app, browser] = await Promise.all([startApp(), launch()]);
});
afterAll(async () => {
  await browser.close();
  await stopApp(app);
});

const HEIGHT = 'height on the drawing';
const SHED = '/sets/potting-shed/pieces/piece-1';
const HALL = '/sets/night-ferry-hall/pieces/piece-1';

type Hand = ReturnType<typeof hand> & { readonly page: Page };

/** A page of this browser, or of another person's. */
const sitDown = async (path: string, whose: 'mine' | 'theirs' = 'mine', at = app): Promise<Hand> => {
  const page = await openPage(whose === 'mine' ? browser : await browser.createBrowserContext());
  await page.setViewport({ width: 1280, height: 800 });
  const h = hand(page, at.address);
  await h.go(path);
  return { ...h, page };
};

const stored = async (id: string, at = app) =>
  (await (await fetch(`${at.address}/api/sets/${id}`)).json()) as {
    revision: number;
    document: { name: string; pieces: { name: string; width: number; height: number; depth: number }[] };
  };

describe('nothing is lost', () => {
  it('of what was typed a moment before the page was closed', async () => {
    const h = await sitDown(SHED);
    await h.sizeIs(HEIGHT, '66 in');
    await h.type(HEIGHT, '61 in');
    await h.page.close();
    const again = await sitDown(SHED);
    await again.sizeIs(HEIGHT, '61 in');
    await again.saved();
    expect((await stored('potting-shed')).document.pieces[0]?.height).toBe(1_549_400);
    await again.page.close();
  });

  it('of what stands in a field that nobody has left yet, over a reload', async () => {
    const h = await sitDown(SHED);
    await h.sizeIs(HEIGHT, '61 in');
    await h.page.click(`input[data-size="${HEIGHT}"]`, { count: 3 });
    await h.page.keyboard.type('62 in');
    await h.page.reload();
    await h.sizeIs(HEIGHT, '62 in');
    await h.saved();
    await h.page.close();
  });

  it('with the application away: it says so, tries again by itself, and sends everything when it is back', async () => {
    const { port } = new URL(app.address);
    const h = await sitDown(SHED);
    await h.sizeIs(HEIGHT, '62 in');
    await stopApp(app, 'SIGKILL');
    await h.type(HEIGHT, '63 in');
    await h.reads('[data-save="offline"]', /offline, kept here/);
    await h.type(HEIGHT, '64 in');
    app = await startApp(app.directory, port);
    await h.saved();
    expect((await stored('potting-shed')).document.pieces[0]?.height).toBe(1_625_600);
    await h.page.close();
  });

  it('when a save came through but its answer was lost, it is not taken for somebody else’s', async () => {
    const h = await sitDown(SHED);
    await h.sizeIs(HEIGHT, '64 in');
    await h.page.setRequestInterception(true);
    let lost = 0;
    h.page.on('request', async (request) => {
      if (!request.url().endsWith('/edits') || lost > 0) return request.continue();
      lost += 1;
      await fetch(request.url(), { method: 'POST', headers: { 'content-type': 'application/json' }, body: request.postData() ?? '' });
      return request.abort();
    });
    const { revision } = await stored('potting-shed');
    await h.type(HEIGHT, '65 in');
    await h.see('[data-save="offline"]');
    await h.saved();
    const now = await stored('potting-shed');
    expect([now.revision, now.document.pieces[0]?.height]).toEqual([revision + 1, 1_651_000]);
    // The same, and more is typed before it is tried again.
    lost = 0;
    await h.type(HEIGHT, '66 in');
    await h.see('[data-save="offline"]');
    await h.type(HEIGHT, '67 in');
    await h.saved();
    const later = await stored('potting-shed');
    expect([later.revision, later.document.pieces[0]?.height]).toEqual([revision + 3, 1_701_800]);
    await h.type(HEIGHT, '64 in');
    await h.see('[data-save="unsaved"], [data-save="saving"]');
    await h.saved();
    await h.page.close();
  });

  // The first segment of the journal is a device that answers every write as a full disk does.
  it('on a full disk: a clear message, kept in the browser, and saved when there is room', async () => {
    const directory = mkdtempSync(join(tmpdir(), 'parlor-full-'));
    const journal = join(directory, 'journal');
    mkdirSync(journal);
    symlinkSync('/dev/full', join(journal, '000000000001.log'));
    const full = await startApp(directory);
    const h = await sitDown(SHED, 'theirs', full);
    await h.sizeIs(HEIGHT, '66 in');
    await h.type(HEIGHT, '70 in');
    await h.reads('[data-save="full"]', /disk full, kept here/);
    expect((await stored('potting-shed', full)).revision).toBe(1);
    await stopApp(full, 'SIGKILL');
    rmSync(journal, { recursive: true });
    await h.page.reload().catch(() => null);
    const roomy = await startApp(directory, new URL(full.address).port);
    await h.go(SHED);
    await h.sizeIs(HEIGHT, '70 in');
    await h.saved();
    expect((await stored('potting-shed', roomy)).document.pieces[0]?.height).toBe(1_778_000);
    await h.page.close();
    await stopApp(roomy);
  });
});

describe('two pages, two people', () => {
  it('a page with nothing unsaved takes what another page of the browser saved', async () => {
    const [one, other] = [await sitDown(HALL), await sitDown(HALL)];
    await Promise.all([one, other].map((each) => each.see('[data-testid="verdict"]')));
    const before = await one.size(HEIGHT);
    await one.page.bringToFront();
    await one.type(HEIGHT, '190 cm');
    await one.saved();
    await other.sizeIs(HEIGHT, '190 cm');
    await other.reads('[role="status"]', /changed on another page; here is the newest/);
    expect(before).not.toBe('190 cm');
    await Promise.all([one.page.close(), other.page.close()]);
  });

  it('two people on one set: what differs is shown piece by piece, and both changes can be kept', async () => {
    const [mine, theirs] = [await sitDown(HALL), await sitDown('/sets/night-ferry-hall/pieces/piece-3', 'theirs')];
    await theirs.see('[data-testid="verdict"]');
    await mine.see('[data-testid="verdict"]');
    await theirs.page.bringToFront();
    await theirs.type(HEIGHT, '123.4 cm');
    await theirs.saved();
    await mine.page.bringToFront();
    await mine.type(HEIGHT, '177.7 cm');
    await mine.reads('h1', /Two versions/);
    await mine.reads('[data-strand="piece piece-1"]', /height 190 cm → 177\.7/);
    await mine.reads('[data-strand="piece piece-3"]', /the saved one.*→ 123\.4/);
    await mine.press('Bring them together');
    await mine.reads('[data-testid="verdict"]', /closes exactly/);
    await mine.saved();
    const both = (await stored('night-ferry-hall')).document.pieces;
    expect([both[0]?.height, both[2]?.height]).toEqual([1_777_000, 1_234_000]);
    await mine.press('Undo: both versions brought together');
    await mine.saved();
    const own = (await stored('night-ferry-hall')).document.pieces;
    expect(own[0]?.height).toBe(1_777_000);
    expect(own[2]?.height).not.toBe(1_234_000);
    await Promise.all([mine.page.close(), theirs.page.close()]);
  });

  it('a set taken off the shelf elsewhere can be put back with what was changed since', async () => {
    const h = await sitDown(HALL);
    await h.see('[data-testid="verdict"]');
    await fetch(`${app.address}/api/sets/night-ferry-hall`, { method: 'DELETE' });
    await h.type(HEIGHT, '180 cm');
    await h.reads('[role="alert"]', /taken off the shelf on another page/);
    await h.press('Put it back');
    await h.saved();
    expect((await stored('night-ferry-hall')).document.pieces[0]?.height).toBe(1_800_000);
    await h.page.close();
  });
});

describe('history', () => {
  it('lists saves in words, shows an old one, brings it back, and that can be undone', async () => {
    const h = await sitDown('/sets/potting-shed/history');
    await h.reads('[data-revision="2"]', /Pot rack: height 66 in → 61 in/);
    await h.choose('[data-revision="1"]');
    await h.reads('[data-testid="differences"]', /Pot rack height 64 in → 66 in/);
    await h.see('section [role="img"][aria-label*="as it was"]');
    expect(await h.page.$$eval('section [role="img"][aria-label*="as it was"]', (found) => found.length)).toBe(1);
    await h.press('Bring this back');
    await h.reads('[role="status"]', /as it was today at .*; undo takes that back/);
    await h.saved();
    expect((await stored('potting-shed')).document.pieces[0]?.height).toBe(1_676_400);
    await h.page.keyboard.down('Control');
    await h.page.keyboard.press('z');
    await h.page.keyboard.up('Control');
    await h.reads('[role="status"]', /Taken back: the set as it was today/);
    await h.saved();
    expect((await stored('potting-shed')).document.pieces[0]?.height).toBe(1_625_600);
    await h.page.close();
  });

  it('a set off the shelf asks nothing, and waits to be put back, for thirty days', async () => {
    const h = await sitDown(SHED);
    await h.see('[data-testid="verdict"]');
    await h.choose('nav a[href="/sets"]');
    await h.press('Take off the shelf');
    await h.page.waitForFunction(() => !document.querySelector('[data-set="potting-shed"]'));
    await h.page.reload();
    await h.reads('[data-testid="away"]', /off the shelf: 1 set/);
    await h.choose('[data-testid="away"] summary');
    await h.reads('[data-testid="away"] li', /Potting shed.*30 days left/);
    await h.press('Put Potting shed back');
    await h.see('[data-set="potting-shed"]');
    await h.page.close();
  });
});

describe('undo and redo', () => {
  it('say in words what is undone, across views; what is typed in one field is one step', async () => {
    const h = await sitDown(SHED);
    await h.sizeIs(HEIGHT, '64 in');
    await h.page.focus(`input[data-size="${HEIGHT}"]`);
    for (let press = 0; press < 7; press += 1) await h.page.keyboard.press('ArrowUp');
    await h.sizeIs(HEIGHT, '64 7/16 in');
    await h.choose('nav a[href$="/cutting"]');
    await h.press('+ A3');
    await h.choose('nav a[href$="/printing"]');
    await h.choose('[aria-label^="Undo: A3 sheets of"]');
    await h.press('Undo: height of Pot rack');
    await h.reads('[role="status"]', /Taken back: height of Pot rack/);
    await h.choose('nav a[href$="/pieces"]');
    await h.sizeIs(HEIGHT, '64 in');
    await h.press('Redo: height of Pot rack');
    await h.sizeIs(HEIGHT, '64 7/16 in');
    await h.press('Undo: height of Pot rack');
    await h.saved();
    await h.page.close();
  });
});

describe('work that takes its time', () => {
  // Leaning panels with battlements, one above the other, as many parts as a set may have: what slants and is notched takes the longest.
  const panels = Array.from({ length: 60 }, (_, index) => ({
    id: `panel-${index}`,
    facing: 'up',
    lean: '20 mm',
    outline: 'battlements',
    rise: '30 mm',
    against: { face: 'bottom', away: `${60 * index} mm` },
    along: { from: { face: 'back' }, to: { face: 'front', away: `${index} mm` } },
  }));
  const pieces = Array.from({ length: 12 }, (_, index) => ({
    family: 'panels',
    name: `Stack ${index}`,
    width: 900_000 + index * 12_340,
    height: 4_000_000,
    depth: 400_000,
    panels,
  }));

  it('says how it goes, can be stopped, and be taken up again', async () => {
    const made = await fetch(`${app.address}/api/sets`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        document: {
          format: 'bashful-parlor-set',
          version: 1,
          name: 'A warehouse',
          boards: [{ id: 'white', sheets: ['20 × 30 in', '18 × 24 in', 'A1'] }],
          pieces,
        },
      }),
    });
    const { id } = (await made.json()) as { id: string };
    // An address that names no piece of the set has none worked out before the others.
    const h = await sitDown(`/sets/${id}/pieces/nobody`);
    await h.catch('[data-testid="patience"] button');
    await h.press('Work it out');
    await h.reads('[data-testid="verdict"]', /60 parts/);
    // Whoever lays them out comes late; the boards alone may be done before anybody can press anything.
    await h.page.setRequestInterception(true);
    const hold = (request: HTTPRequest): void => void (request.url().includes('cutWorker') ? undefined : request.continue());
    h.page.on('request', hold);
    await h.page.goto(`${app.address}/sets/${id}/cutting`);
    await h.catch('[data-testid="patience"] button');
    await h.reads('section', /Stopped: the boards below are those of before/);
    h.page.off('request', hold);
    await h.page.setRequestInterception(false);
    await h.press('Lay them out');
    await h.reads('[data-testid="bound"]', /sheets; /);
    await h.choose('nav a[href$="/printing"]');
    await h.reads('[data-testid="page-count"]', /\d+ pages/);
    await h.press('Download the pages (PDF)');
    await h.catch('[data-testid="patience"] button');
    await h.reads('[role="status"]', /Stopped; nothing was written/);
    // Who was stopped has forgotten the pages, and makes them up again when they are asked for.
    await h.press('Download the pages (PDF)');
    await h.catch('[data-testid="patience"] button');
    await h.see('[data-page="1"][data-shown="there"]');
    await h.page.close();
  });
});
