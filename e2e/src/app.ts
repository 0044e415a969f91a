import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const root = resolve(import.meta.dirname, '../..');

/** A running application of its own, on a data directory of its own. */
export type App = { readonly address: string; readonly directory: string; readonly process: ChildProcess };

/** Starts the built application; on a port of the system's choice unless one is given; `environment` adds settings. */
export const startApp = (directory = mkdtempSync(join(tmpdir(), 'parlor-e2e-')), port = '0', environment = {}): Promise<App> =>
  new Promise((started, failed) => {
    const child = spawn(process.execPath, ['--liftoff-only', join(root, 'server/dist/main.js')], {
      env: { ...process.env, PARLOR_DATA: directory, PORT: port, ...environment },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    child.stdout.on('data', (chunk: Buffer) => {
      const address = /open at (http\S+)\//.exec(chunk.toString())?.[1];
      if (address) started({ address, directory, process: child });
    });
    child.once('exit', (code) => failed(new Error(`the application ended with ${code}`)));
  });

/** Stops an application and waits until it has ended. */
export const stopApp = ({ process: child }: App, signal: NodeJS.Signals = 'SIGTERM'): Promise<void> =>
  new Promise((ended) => {
    child.once('exit', () => ended());
    child.kill(signal);
  });
