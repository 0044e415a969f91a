import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser } from 'puppeteer-core';

/** Debian's browser, drawing 3D in software, in a profile of its own. */
export const launch = (): Promise<Browser> =>
  puppeteer.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    userDataDir: mkdtempSync(join(tmpdir(), 'parlor-browser-')),
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
      '--force-prefers-reduced-motion',
    ],
  });
