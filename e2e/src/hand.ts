import type { Page } from 'puppeteer-core';

/** A page behind another one draws no frames, so it is asked by the clock. */
const WAIT = { timeout: 30_000, polling: 100 };

/** Asked whether to leave with unsaved work, the hand leaves; whoever tests the question listens for it before the hand does. */
const leaveWhenAsked = (page: Page): void => {
  if (page.listenerCount('dialog') === 0) page.on('dialog', (dialog) => void dialog.accept());
};

/** Goes to a view; one that is open turns to it, which is what its links do and takes a tenth of the time. */
export const turnTo = async (page: Page, address: string, path: string): Promise<void> => {
  leaveWhenAsked(page);
  if (!page.url().startsWith(address)) {
    await page.goto(address + path);
    return;
  }
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
  // What stood there before is not taken for what is gone to.
  await page.waitForFunction(
    (to: string) => document.querySelector('main')?.getAttribute('data-at')?.startsWith(to),
    WAIT,
    path.replace(/\?.*/, ''),
  );
};

/** What a maker's hand does on a page, found by the words that stand there. */
export const hand = (page: Page, address: string) => {
  leaveWhenAsked(page);
  const field = (label: string) => `input[data-size="${label}"]`;
  return {
    /** To another view as its links lead there, without opening the application anew when it is open. */
    go: (path: string): Promise<void> => turnTo(page, address, path),
    see: async (selector: string): Promise<void> => {
      await page.waitForSelector(selector, { timeout: 30_000 });
    },
    /** Waits until the text of what the selector finds matches. */
    reads: async (selector: string, text: RegExp): Promise<void> => {
      await page.waitForFunction(
        (find: string, source: string) =>
          [...document.querySelectorAll(find)].some((each) => new RegExp(source).test(each.textContent ?? '')),
        WAIT,
        selector,
        text.source,
      );
    },
    text: (selector: string): Promise<string> => page.$eval(selector, (each) => each.textContent ?? ''),
    /** Types over a size and presses Enter. */
    type: async (label: string, text: string): Promise<void> => {
      await page.waitForSelector(field(label));
      await page.$eval(field(label), (each) => {
        (each as HTMLInputElement).focus();
        (each as HTMLInputElement).select();
      });
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
    },
    size: (label: string): Promise<string> => page.$eval(field(label), (each) => (each as HTMLInputElement).value),
    sizeIs: async (label: string, value: string): Promise<void> => {
      await page.waitForFunction(
        (find: string, wanted: string) => document.querySelector<HTMLInputElement>(find)?.value === wanted,
        WAIT,
        field(label),
        value,
      );
    },
    /** Types a plain number over what stands in a field, found by its label. */
    number: async (label: string, value: string): Promise<void> => {
      const found = await page.waitForSelector(`::-p-aria(${label})`);
      await found?.evaluate((each) => {
        (each as HTMLInputElement).focus();
        (each as HTMLInputElement).select();
      });
      await page.keyboard.type(value);
      await page.keyboard.press('Enter');
    },
    press: async (name: string): Promise<void> => {
      await page.locator(`::-p-aria(${name})`).setTimeout(30_000).click();
    },
    /** Presses something the very moment it is there. */
    catch: async (selector: string): Promise<void> => {
      await page.waitForFunction(
        (find: string) => {
          const found = document.querySelector<HTMLElement>(find);
          found?.click();
          return found !== null;
        },
        { ...WAIT, polling: 20 },
        selector,
      );
    },
    choose: async (selector: string): Promise<void> => {
      await page.locator(selector).setTimeout(30_000).click();
    },
    saved: async (): Promise<void> => {
      await page.waitForSelector('[data-save="saved"]', { timeout: 30_000 });
    },
  };
};
