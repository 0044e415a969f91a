// The built application as a process of its own, for tests.
import { type ChildProcess, spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from '../fresh.testing.ts';

const main = join(root, 'server/dist/main.js');
const running: ChildProcess[] = [];

export type Started = { readonly child: ChildProcess; readonly said: () => string; readonly address: string };

/** Starts it; rejects with what it said when it ends instead. */
export const start = (directory: string, environment: Record<string, string> = {}): Promise<Started> => startIn([], directory, environment);

/** Starts it behind another command, which runs it where or as whom it will. */
export const startIn = (
  before: readonly string[],
  directory: string,
  environment: Record<string, string> = {},
  // A process that lives for a moment gains nothing from having the database compiled twice.
  flags: readonly string[] = ['--liftoff-only'],
): Promise<Started> =>
  new Promise((resolved, reject) => {
    const [command = '', ...words] = [...before, process.execPath, ...flags, main];
    const child = spawn(command, words, {
      env: { ...process.env, PARLOR_DATA: directory, PORT: '0', ...environment },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    running.push(child);
    let said = '';
    const listen = (chunk: Buffer) => {
      said += chunk.toString();
      const address = /open at (http\S+)/.exec(said)?.[1];
      if (address) resolved({ child, said: () => said, address });
    };
    child.stdout.on('data', listen);
    child.stderr.on('data', listen);
    child.once('exit', (code) => reject(new Error(`exit ${code}: ${said}`)));
  });

/** Sends a signal and waits for the end; its exit status. */
export const ended = (child: ChildProcess, signal: NodeJS.Signals = 'SIGTERM'): Promise<number | null> =>
  new Promise((resolved) => {
    child.once('exit', (code) => resolved(code));
    child.kill(signal);
  });

export const killed = (child: ChildProcess): Promise<number | null> => ended(child, 'SIGKILL');

export const endAll = (): void => {
  for (const child of running.splice(0)) child.kill('SIGKILL');
};
