import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { readConfig } from './index.ts';

const root = resolve(import.meta.dirname, '../../..');
const main = join(root, 'server/dist/main.js');
const running: ChildProcess[] = [];

type Started = { readonly child: ChildProcess; readonly said: () => string; readonly address: string };

const start = (directory: string, port = '0'): Promise<Started> =>
  new Promise((resolved, reject) => {
    const child = spawn(process.execPath, [main], {
      env: { ...process.env, PARLOR_DATA: directory, PORT: port },
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

const ended = (child: ChildProcess, signal: NodeJS.Signals): Promise<number | null> =>
  new Promise((resolved) => {
    child.once('exit', (code) => resolved(code));
    child.kill(signal);
  });

const place = () => mkdtempSync(join(tmpdir(), 'parlor-app-'));

afterEach(() => {
  for (const child of running.splice(0)) child.kill('SIGKILL');
});

describe('the application as a process', () => {
  it('keeps what was saved over a clean stop and over a kill, and recognises the lock it left behind', async () => {
    const directory = place();
    let { child, address } = await start(directory);
    const put = async (basedOn: number, name: string) =>
      (
        await fetch(`${address}api/sets/potting-shed`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ basedOn, document: { format: 'bashful-parlor-set', version: 1, name } }),
        })
      ).status;
    const name = async () =>
      ((await (await fetch(`${address}api/sets/potting-shed`)).json()) as { document: { name: string } }).document.name;
    expect(await put(1, 'first')).toBe(200);
    expect(await ended(child, 'SIGTERM')).toBe(0);
    ({ child, address } = await start(directory));
    expect(await name()).toBe('first');
    expect(await put(2, 'second')).toBe(200);
    await ended(child, 'SIGKILL');
    ({ child, address } = await start(directory));
    expect(await name()).toBe('second');
    rmSync(directory, { recursive: true, force: true });
  });

  it('refuses a directory that another process has, naming it', async () => {
    const directory = place();
    const { child } = await start(directory);
    await expect(start(directory)).rejects.toThrow(`in use by another Bashful Parlor (process ${child.pid})`);
  });

  it('moves to the next free port and says so', async () => {
    const blocker = createServer().listen(0, '127.0.0.1');
    await new Promise((ready) => blocker.once('listening', ready));
    const { port } = blocker.address() as { port: number };
    const { said, address } = await start(place(), String(port));
    expect(said()).toContain(`Port ${port} is busy`);
    expect(Number(new URL(address).port)).toBeGreaterThan(port);
    blocker.close();
  });
});

describe('the configuration', () => {
  it('listens on the own machine unless told otherwise', () => {
    expect(readConfig({}, '/parlor')).toEqual({ port: 5180, host: '127.0.0.1', data: '/parlor/data' });
    expect(readConfig({ PORT: '6000', PARLOR_HOST: '0.0.0.0', PARLOR_DATA: '/srv/x' }, '/parlor')).toEqual({
      port: 6000,
      host: '0.0.0.0',
      data: '/srv/x',
    });
  });

  it('names the setting that cannot be used', () => {
    expect(() => readConfig({ PORT: 'soon' }, '/')).toThrow('PORT');
  });
});
