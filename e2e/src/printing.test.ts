// Printing on the very screen: real page pictures, pages found by part, a printer measured on the simulated one, files for a cutting machine.
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { ElementHandle, Page } from 'puppeteer-core';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getUp, sitDown, type Table } from './table.ts';

let table: Table;
let page: Page;
let h: Table['h'];
let faults: readonly string[];
let downloads: string;

beforeAll(async () => {
  table = await sitDown(1000);
  ({ page, h, faults } = table);
  downloads = mkdtempSync(join(tmpdir(), 'parlor-printing-'));
  const client = await table.browser.target().createCDPSession();
  await client.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: downloads });
  await h.go('/sets/potting-shed/printing');
});
afterAll(() => getUp(table));

/** A file once it has come down. */
const came = async (name: string): Promise<Uint8Array> => {
  await expect.poll(() => readdirSync(downloads), { timeout: 20_000 }).toContain(name);
  return new Uint8Array(readFileSync(join(downloads, name)));
};

const textOf = async (bytes: Uint8Array, number: number): Promise<string> => {
  const pdf = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
  const { items } = await (await pdf.getPage(number)).getTextContent();
  return items.flatMap((item) => ('str' in item ? [item.str] : [])).join(' ');
};

const pagesIn = async (bytes: Uint8Array): Promise<number> => (await getDocument({ data: bytes.slice(), verbosity: 0 }).promise).numPages;

/** How much of a page's picture is not white. */
const inkOn = async (selector: string): Promise<number> => {
  const element = (await page.waitForSelector(`${selector}[data-shown="there"]`, { timeout: 20_000 })) as ElementHandle<Element>;
  const { data } = await sharp(await element.screenshot())
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return data.filter((grey) => grey < 200).length / data.length;
};

/** Presses the button of the foremost sheet whose words begin so. */
const pressLike = async (words: string): Promise<void> => {
  const sheet = (await page.$('[role="dialog"]')) ? '//*[@role="dialog"]' : '';
  await page.locator(`::-p-xpath(${sheet}//button[starts-with(normalize-space(.), "${words}")])`).setTimeout(12_000).click();
};

describe('pages', () => {
  it('are shown as they are in their own PDF, the first ones at once', async () => {
    await h.reads('[data-testid="page-count"]', /\d+ pages/);
    expect(await inkOn('[data-page="1"]')).toBeGreaterThan(0.005);
  });

  it('are found by a part, chosen, and only these are written: as one PDF, and each as SVG', async () => {
    await page.type('input[type="search"]', '2A');
    await page.waitForFunction(() => document.querySelectorAll('[data-page]').length < 4, { polling: 100 });
    const shown = await page.$$eval('[data-page]', (pages) => pages.length);
    await h.press(`only these ${shown}`);
    await pressLike('Download');
    const pdf = await came('templates.pdf');
    expect(await pagesIn(pdf)).toBe(shown);
    expect(await textOf(pdf, 1)).toMatch(/2A/);
    await h.press('each as SVG, zipped');
    const files = unzipSync(await came('templates.zip'));
    expect(Object.keys(files)).toHaveLength(shown);
    const svg = new TextDecoder().decode(Object.values(files)[0]);
    expect(/^<svg [^>]*width="215\.9mm" height="279\.4mm" viewBox="0 0 215\.9 279\.4"/.test(svg)).toBe(true);
    expect([...svg.matchAll(/<g id="(\w+)"/g)].map(([, id]) => id)).toEqual(expect.arrayContaining(['guide', 'cut', 'text']));
    const { info } = await sharp(Buffer.from(svg)).png().toBuffer({ resolveWithObject: true });
    expect(info.width / info.height).toBeCloseTo(215.9 / 279.4, 2);
  });

  it('lead to the part that they show, and a part leads to its page', async () => {
    await h.choose('figcaption a[aria-label="2A: where it is made"]');
    await h.see('tr[data-tag="2A"].bg-sprig');
    await h.choose('tr[data-tag="2B"] th a');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('input[type="search"]')?.value === '2B', { polling: 100 });
    await h.reads('figcaption', /2B/);
  });

  it('are turned close by the arrows', async () => {
    await h.go('/sets/potting-shed/printing');
    await h.choose('button[aria-label^="Page 1:"]');
    expect(await inkOn('[role="dialog"] [data-page="1"]')).toBeGreaterThan(0.003);
    await page.keyboard.press('ArrowRight');
    await h.see('[role="dialog"] [data-page="2"][data-shown="there"]');
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => document.querySelector('[role="dialog"]') === null, { polling: 100 });
  });

  it('on both sides are twice as many, fronts and backs in turn', async () => {
    const count = async () => Number(/(\d+) pages/.exec(await h.text('[data-testid="page-count"]'))?.[1]);
    const one = await count();
    await page.$$eval('summary', (all) => all.find((each) => /both sides of the paper/.test(each.textContent ?? ''))?.click());
    await h.press('both, long edge');
    await h.reads('figcaption', /from behind|nothing here/);
    const both = await count();
    expect(both % 2).toBe(0);
    expect(both).toBeGreaterThanOrEqual(2 * one);
    await h.press('Undo: the sides of the paper');
    await expect.poll(count, { timeout: 20_000 }).toBe(one);
  });
});

describe('a printer that does not print true', () => {
  it('is measured in three steps: what it says is kept, and every page is corrected', async () => {
    await h.press('measure it, two minutes');
    await h.press('the test page (PDF)');
    expect(await textOf(await came('test-page.pdf'), 1)).toContain('printer test page');
    await h.press('no printer at hand: try it on a made-up one');
    await h.see('[data-tried="plain"]');
    const [across, up] = (/says ([\d.]+) mm across and ([\d.]+) mm up/.exec(await h.text('[data-testid="rule-says"]')) ?? []).slice(1) as [
      string,
      string,
    ];
    // What no printer does is refused with the reason.
    await h.number('The bar across says, mm', '120');
    await h.reads('[role="alert"]', /between 141 and 159/);
    await h.number('The bar across says, mm', across.replace('.', ','));
    await h.number('The bar up says, mm', up);
    await h.reads('[data-testid="measured"]', /97 % across and 98\.5 % up/);
    await h.press('keep it');
    await h.see('[data-tried="corrected"]');
    await h.reads('[data-testid="rule-says"]', /the rule says 150 mm across and 200 mm up/);
    await page.keyboard.press('Escape');
    await h.reads('[data-testid="printer"]', /Makes 97 % across and 98\.5 % up/);
    await h.reads('[data-testid="page-count"]', /\d+ pages/);
    rmSync(join(downloads, 'templates.pdf'), { force: true });
    await h.press('Download the pages (PDF)');
    expect(await textOf(await came('templates.pdf'), 1)).toContain('corrected: this printer makes 97 % × 98.5 %');
    await h.saved();
  });

  it('is known to the next set on this computer, and said when something about it has changed', async () => {
    await h.go('/sets/night-ferry-hall/printing');
    await pressLike('use the one measured');
    await h.reads('[data-testid="printer"]', /Makes 97 %/);
    await h.press('something about it has changed');
    await h.press('laser');
    await h.press('as measured');
    await h.reads('[data-testid="page-count"]', /\d+ pages/);
    // On the day itself it is taken for measured after the change: nothing is said until it was measured before.
    expect(await page.$$('[data-finding="printer-changed"]')).toHaveLength(0);
    await h.saved();
  });
});

describe('files for a cutting machine', () => {
  it('are laid on its bed, written, and tried on the simulated one', async () => {
    await h.go('/sets/potting-shed/printing');
    await h.press('files for a cutting machine, SVG or DXF');
    await h.reads('[data-testid="beds"]', /\d+ beds? full, \d+ to cut out/);
    await h.see('[data-testid="machine"][data-beyond="0"]');
    const { strokes } = await page.$eval('[data-testid="machine"]', (machine) => ({ ...(machine as HTMLElement).dataset }));
    expect(Number(strokes)).toBeGreaterThan(10);
    await h.reads('[data-testid="trial"]', /counts in mm, and is 12 in by 12 in/);
    await h.press('DXF');
    await h.reads('button', /Download \d+ files, zipped/);
    await pressLike('Download');
    const files = unzipSync(await came('cut-files.zip'));
    expect(Object.keys(files)[0]).toBe('potting-shed-bed-1.dxf');
    expect(new TextDecoder().decode(Object.values(files)[0])).toContain('LWPOLYLINE');
  });

  it('a bed too small leaves parts out by their tags', async () => {
    await page.select('[role="dialog"] select', 'own size');
    await h.type('Bed, wide', '2 in');
    await h.reads('[data-testid="off-bed"]', /Larger than the bed, and left out: .*\d+[A-Z]/);
  });

  it('somebody else’s file can be tried; what runs off the bed is said, and what is no file is refused', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'parlor-plot-'));
    const [wide, none] = [join(folder, 'wide.svg'), join(folder, 'none.dxf')];
    writeFileSync(
      wide,
      '<svg xmlns="http://www.w3.org/2000/svg" width="400mm" height="50mm" viewBox="0 0 400 50"><path d="M10 10H390V40H10Z"/></svg>',
    );
    writeFileSync(none, 'this is a letter');
    const input = (await page.$('input[type="file"][accept=".svg,.dxf"]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(wide);
    await h.reads('[role="alert"]', /1 line runs off the bed/);
    await input.uploadFile(none);
    await h.reads('[role="alert"]', /none\.dxf: This.*DXF/);
    await h.press('back to this set’s files');
    await h.see('[data-testid="machine"][data-beyond="0"]');
    expect(faults).toEqual([]);
  });
});
