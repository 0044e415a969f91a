// What the shelf does not take, what the browser has no room for, what a copy brings back: nothing is dropped without a word.
import { mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
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

type Hand = ReturnType<typeof hand> & { readonly page: Page };

/** A page of another person's browser, which begins with nothing kept. */
const sitDown = async (path: string, prepare: (page: Page) => Promise<unknown> = async () => undefined): Promise<Hand> => {
  const page = await openPage(await browser.createBrowserContext());
  await page.setViewport({ width: 1280, height: 800 });
  await prepare(page);
  const h = hand(page, app.address);
  await h.go(path);
  return { ...h, page };
};

const api = async (method: string, path: string, body?: unknown) => {
  const answer = await fetch(`${app.address}/api${path}`, {
    method,
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
  return (await answer.json()) as { id: string; revision: number; document: { name: string; pieces: { height: number }[] } };
};
const small = (name: string, more: object = {}) => ({
  format: 'bashful-parlor-set',
  version: 1,
  name,
  pieces: [{ name: 'chest' }],
  ...more,
});

/** The questions that a page asked on being left, each answered with yes. */
const questions = (page: Page): string[] => {
  const asked: string[] = [];
  page.on('dialog', (dialog) => {
    asked.push(dialog.type());
    void dialog.accept();
  });
  return asked;
};

describe('leaving with unsaved work', () => {
  it('asks, and nothing is lost whatever the answer is; with everything saved it asks nothing', async () => {
    let asked: string[] = [];
    const h = await sitDown(SHED, async (page) => {
      asked = questions(page);
    });
    await h.sizeIs(HEIGHT, '66 in');
    await h.type(HEIGHT, '61 in');
    await h.page.reload();
    expect(asked).toEqual(['beforeunload']);
    await h.sizeIs(HEIGHT, '61 in');
    await h.saved();
    await h.page.reload();
    await h.sizeIs(HEIGHT, '61 in');
    expect(asked).toHaveLength(1);
    await h.page.close();
  });

  it('where the browser keeps nothing at all, asks, says so, and sends what it can on the way out', async () => {
    let asked: string[] = [];
    const { id } = await api('POST', '/sets', { document: small('Nowhere to keep') });
    const h = await sitDown(`/sets/${id}/pieces/piece-1`, async (page) => {
      asked = questions(page);
      await page.evaluateOnNewDocument(() => {
        Storage.prototype.setItem = () => {
          throw new DOMException('full', 'QuotaExceededError');
        };
        Object.defineProperty(window, 'indexedDB', { value: undefined });
      });
    });
    await h.see(`input[data-size="${HEIGHT}"]`);
    await h.type(HEIGHT, '70 in');
    await h.page.reload();
    expect(asked).toEqual(['beforeunload']);
    await expect.poll(async () => (await api('GET', `/sets/${id}`)).document.pieces[0]?.height, { timeout: 20_000 }).toBe(1_778_000);
    await h.page.reload();
    await h.sizeIs(HEIGHT, '1778 mm');
    // What the shelf has is saved, whatever the browser has room for.
    await h.reads('[data-save]', /^saved$/);
    await h.page.close();
  });
});

describe('the browser’s store cleared in mid-work', () => {
  const clear = async (page: Page): Promise<void> => {
    const session = await page.createCDPSession();
    await session.send('Storage.clearDataForOrigin', { origin: new URL(app.address).origin, storageTypes: 'indexeddb,local_storage' });
    await session.detach();
    // What was cleared is the maker's; the search stays off, whose script an offline page could not fetch.
    await page.evaluate(() => localStorage.setItem('parlor.search', 'off'));
  };
  const heightOf = async (id: string) => (await api('GET', `/sets/${id}`)).document.pieces[0]?.height;

  it('with the server there, the next edits are kept and saved as ever', async () => {
    const { id } = await api('POST', '/sets', { document: small('Cleared') });
    const h = await sitDown(`/sets/${id}/pieces/piece-1`);
    await h.see(`input[data-size="${HEIGHT}"]`);
    await h.type(HEIGHT, '61 in');
    await h.saved();
    await clear(h.page);
    await h.type(HEIGHT, '60 in');
    await h.saved();
    expect(await heightOf(id)).toBe(1_524_000);
    await h.page.reload();
    await h.sizeIs(HEIGHT, '1524 mm');
    await h.page.close();
  });

  it('with the server away, what was typed before and after is still in the page, is kept again, and outlives it', async () => {
    const { id } = await api('POST', '/sets', { document: small('Cleared and away') });
    const h = await sitDown(`/sets/${id}/pieces/piece-1`);
    await h.see(`input[data-size="${HEIGHT}"]`);
    await h.page.setOfflineMode(true);
    await h.type(HEIGHT, '70 in');
    await h.reads('[data-save]', /not saved|offline, kept here/);
    await clear(h.page);
    await h.type('width on the drawing', '40 in');
    await h.reads('[data-save]', /not saved|offline, kept here/);
    await h.page.setOfflineMode(false);
    await h.page.reload();
    await h.sizeIs(HEIGHT, '1778 mm');
    await h.sizeIs('width on the drawing', '1016 mm');
    await h.saved();
    expect(await heightOf(id)).toBe(1_778_000);
    await h.page.close();
  });
});

describe('what is not accepted', () => {
  it('an edit that breaks a limit is refused where it is made, with the reason, and the set stays as it was', async () => {
    // As many pieces as a set takes, but one.
    let id = '';
    for (let count = 190; !id; count -= 1) {
      const shelves = Array.from({ length: count }, (_, index) => ({ name: `Shelf ${index}`, front: { kind: 'shelves', count: 16 } }));
      id = (await api('POST', '/sets', { document: small('Just under', { pieces: shelves }) })).id ?? '';
    }
    const before = await api('GET', `/sets/${id}`);
    const h = await sitDown(`/sets/${id}/pieces/piece-1`);
    await h.see(`input[data-size="${HEIGHT}"]`);
    await h.press('Another Shelf 0');
    await h.reads('[role="status"]', /Not done: A set can hold at most 3000 parts; this one would have about \d+/);
    await h.saved();
    await h.page.reload();
    await h.saved();
    const now = await api('GET', `/sets/${id}`);
    expect([now.document.pieces.length, now.revision]).toEqual([before.document.pieces.length, before.revision]);
    // The next change is taken as ever.
    await h.type(HEIGHT, '70 in');
    await h.saved();
    expect((await api('GET', `/sets/${id}`)).document.pieces[0]?.height).toBe(1_778_000);
    await h.page.close();
  }, 180_000);

  it('a kept version that cannot be read here waits on the page of sets, survives reloads, and can be saved, added, deleted', async () => {
    const { id } = await api('POST', '/sets', { document: small('Strange') });
    const h = await sitDown('/sets');
    await h.see('[data-set="potting-shed"]');
    const strange = small('From tomorrow', { pieces: [{ family: 'casework', name: 'chest', fromTomorrow: true }] });
    await h.page.evaluate(
      (key, kept) => localStorage.setItem(key, kept),
      `parlor.unsaved.${id}/gone`,
      JSON.stringify({ basedOn: 1, document: strange, at: Date.now() }),
    );
    await h.page.goto(`${app.address}/sets`);
    await h.reads(`[data-set="${id}"] [data-testid="unsent"]`, /unsaved changes in this browser/);
    await h.page.goto(`${app.address}/sets/${id}/pieces/piece-1`);
    await h.reads('[role="status"]', /could not be read here/);
    for (let times = 0; times < 2; times += 1) {
      await h.page.goto(`${app.address}/sets`);
      await h.reads('[data-testid="kept-here"] li', /From tomorrow/);
    }
    await h.press('Add as a set');
    await h.reads('[role="status"]', /It could not be added\. pieces\[0\]\.fromTomorrow: /);
    await h.press('Delete the kept version of From tomorrow');
    await h.page.waitForFunction(() => !document.querySelector('[data-testid="kept-here"]'));
    await h.page.close();
  });
});

describe('a set that is opened again', () => {
  it('shows the piece that was looked at before anything is worked out; one that was changed elsewhere is worked out', async () => {
    const { id } = await api('POST', '/sets', { document: small('Again') });
    const path = `/sets/${id}/pieces/piece-1`;
    const h = await sitDown(path);
    await h.type(HEIGHT, '63 in');
    await h.saved();
    await h.page.waitForFunction(
      async () => {
        const store = await new Promise<IDBObjectStore | null>((resolve) => {
          const asked = indexedDB.open('parlor-pieces');
          asked.onerror = () => resolve(null);
          asked.onsuccess = () =>
            resolve(
              asked.result.objectStoreNames.contains('looked-at') ? asked.result.transaction('looked-at').objectStore('looked-at') : null,
            );
        });
        const kept = await new Promise<{ revision: number }[]>((resolve) => {
          if (!store) return resolve([]);
          const asked = store.getAll();
          asked.onsuccess = () => resolve(asked.result);
        });
        return kept[0]?.revision === 2;
      },
      { timeout: 30_000, polling: 500 },
    );
    // As if the worker took for ever.
    await h.page.setRequestInterception(true);
    const hold = (request: HTTPRequest): void => void (request.url().includes('engineWorker') ? undefined : request.continue());
    h.page.on('request', hold);
    await h.page.reload();
    await h.reads('[data-testid="parts"]', /side/);
    h.page.off('request', hold);
    await h.page.setRequestInterception(false);
    const { revision, document } = await api('GET', `/sets/${id}`);
    await api('PUT', `/sets/${id}`, {
      basedOn: revision,
      document: { ...document, pieces: [{ ...document.pieces[0], height: 1_000_000 }] },
    });
    await h.page.reload();
    await h.sizeIs(HEIGHT, '1000 mm');
    await h.reads('[data-testid="parts"]', /166\.\d|166/);
    await h.page.close();
  });
});

describe('a shelf that lost something', () => {
  it('is offered the newer save that a browser still holds', async () => {
    const { id } = await api('POST', '/sets', { document: small('Held') });
    const h = await sitDown(`/sets/${id}/pieces/piece-1`);
    await h.see(`input[data-size="${HEIGHT}"]`);
    await h.type(HEIGHT, '71 in');
    await h.saved();
    await h.type(HEIGHT, '72 in');
    await h.reads('[data-save]', /not saved|saving/);
    await h.saved();
    const { revision } = await api('GET', `/sets/${id}`);
    // The shelf as it was before: as if its newest entries had been unreadable.
    await h.page.evaluate(
      async (key, add) => {
        const opened = await new Promise<IDBDatabase>((resolve) => {
          const asked = indexedDB.open('parlor');
          asked.onsuccess = () => resolve(asked.result);
        });
        const store = opened.transaction('kept', 'readwrite').objectStore('kept');
        const held = await new Promise<{ revision: number; edits: object[] }>((resolve) => {
          const asked = store.get(key);
          asked.onsuccess = () => resolve(asked.result);
        });
        const more = { kind: 'change-set', change: { name: 'Held, and newer' } };
        store.put({ ...held, revision: held.revision + add, edits: [...held.edits, more] }, key);
      },
      `parlor.held.${id}`,
      2,
    );
    await h.page.reload();
    await h.reads('h1', /Two versions/);
    await h.press('Bring them together');
    await h.saved();
    const now = await api('GET', `/sets/${id}`);
    expect([now.document.name, now.revision]).toEqual(['Held, and newer', revision + 1]);
    await h.page.close();
  });

  it('says calmly that it was made anew, until that is closed', async () => {
    const other = mkdtempSync(join(tmpdir(), 'parlor-e2e-'));
    const first = await startApp(other);
    await expect
      .poll(async () => (await (await fetch(`${first.address}/api/shelf`)).json()).newestCopy, { timeout: 20_000 })
      .not.toBeNull();
    await stopApp(first);
    rmSync(join(other, 'database'), { recursive: true });
    const again = await startApp(other);
    const page = await openPage(await browser.createBrowserContext());
    const h = hand(page, again.address);
    await h.go('/sets');
    await h.reads('[data-notice="rebuilt"]', /made again from the newest copy and the journal; nothing was lost/);
    await h.press('Close this notice');
    await page.waitForFunction(() => !document.querySelector('[data-notice]'));
    await page.reload();
    await h.see('[data-set="potting-shed"]');
    expect(await page.$('[data-notice]')).toBeNull();
    await page.close();
    await stopApp(again);
  });
});

describe('a copy of everything', () => {
  it('is downloaded from the shelf, and restored into another beside what is there; a damaged one changes nothing', async () => {
    const downloads = mkdtempSync(join(tmpdir(), 'parlor-downloads-'));
    const h = await sitDown('/sets');
    await h.see('[data-set="potting-shed"]');
    const session = await h.page.createCDPSession();
    await session.send('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: downloads,
      browserContextId: h.page.browserContext().id ?? '',
    });
    await h.press('Keep a copy of everything');
    await expect.poll(() => readdirSync(downloads).filter((name) => name.endsWith('.parlor-shelf')), { timeout: 20_000 }).toHaveLength(1);
    const file = join(downloads, 'everything.parlor-shelf');
    renameSync(join(downloads, readdirSync(downloads)[0] as string), file);
    await h.page.close();
    const empty = await startApp();
    await fetch(`${empty.address}/api/sets/potting-shed`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ basedOn: 1, document: small('Changed here') }),
    });
    const page = await openPage(await browser.createBrowserContext());
    const other = hand(page, empty.address);
    await other.go('/sets');
    await other.see('[data-set="potting-shed"]');
    const input = await page.$('input[aria-label="A copy of a shelf"]');
    const broken = join(downloads, 'broken.parlor-shelf');
    writeFileSync(broken, readFileSync(file).subarray(0, 5_000));
    await (input as NonNullable<typeof input> & { uploadFile: (path: string) => Promise<void> }).uploadFile(broken);
    await other.reads('[data-testid="restored"]', /incomplete or damaged; nothing was restored/);
    const before = ((await (await fetch(`${empty.address}/api/sets`)).json()) as { sets: unknown[] }).sets.length;
    expect(before).toBe(3);
    await (input as NonNullable<typeof input> & { uploadFile: (path: string) => Promise<void> }).uploadFile(file);
    await other.reads('[data-testid="restored"]', /Restored: \d+ sets?, 1 of them beside a changed set.*were here already/);
    const { sets } = (await (await fetch(`${empty.address}/api/sets`)).json()) as { sets: { name: string }[] };
    expect(sets.map(({ name }) => name)).toEqual(expect.arrayContaining(['Changed here', 'Potting shed', 'Strange', 'Held, and newer']));
    await page.close();
    await stopApp(empty);
  });
});
