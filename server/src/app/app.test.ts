import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { readConfig } from './index.ts';
import { endAll, ended, start } from './process.testing.ts';

const place = () => mkdtempSync(join(tmpdir(), 'parlor-app-'));

afterEach(endAll);

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
    expect(await ended(child)).toBe(0);
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
    await expect(start(directory)).rejects.toThrow(`in use by another Bashful Parlor (process ${child.pid} on `);
  });

  it('moves to the next free port and says so', async () => {
    const blocker = createServer().listen(0, '127.0.0.1');
    await new Promise((ready) => blocker.once('listening', ready));
    const { port } = blocker.address() as { port: number };
    const { said, address } = await start(place(), { PORT: String(port) });
    expect(said()).toContain(`Port ${port} is busy`);
    expect(Number(new URL(address).port)).toBeGreaterThan(port);
    blocker.close();
  });

  it('on a network starts only with a pass phrase, and lets in nobody without it', async () => {
    await expect(start(place(), { PARLOR_HOST: '0.0.0.0' })).rejects.toThrow('Set PARLOR_PASSPHRASE');
    const { address } = await start(place(), { PARLOR_HOST: '0.0.0.0', PARLOR_PASSPHRASE: 'paper and pins' });
    const near = address.replace('0.0.0.0', '127.0.0.1');
    expect((await fetch(`${near}api/sets`)).status).toBe(401);
    const knock = await fetch(`${near}api/door`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ phrase: 'paper and pins' }),
    });
    const cookie = (knock.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    expect((await fetch(`${near}api/sets`, { headers: { cookie } })).status).toBe(200);
  });

  it('writes a log of lines that programs read, without what stands in documents', async () => {
    const { said, address } = await start(place(), { PARLOR_LOG: 'info' });
    await fetch(`${address}api/sets`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ document: { format: 'bashful-parlor-set', version: 1, name: 'A private parlour' } }),
    });
    await expect.poll(said).toContain('"event":"request"');
    const lines = said()
      .split('\n')
      .filter((line) => line.startsWith('{'))
      .map((line) => JSON.parse(line) as object);
    expect(lines.at(-1)).toMatchObject({ level: 'info', event: 'request', method: 'POST', status: 201 });
    expect(said()).not.toContain('private parlour');
  });
});

describe('the configuration', () => {
  it('listens on the own machine unless told otherwise', () => {
    expect(readConfig({}, '/parlor')).toEqual({
      port: 5180,
      host: '127.0.0.1',
      names: [],
      proxies: [],
      keep: null,
      onNetwork: false,
      phrase: null,
      log: 'warn',
      data: '/parlor/data',
      databaseUrl: null,
    });
    const all = {
      PORT: '6000',
      PARLOR_HOST: '0.0.0.0',
      PARLOR_NAMES: 'a.local, b.local',
      PARLOR_PASSPHRASE: 'paper and pins',
      PARLOR_DATA: '/srv/x',
      DATABASE_URL: 'postgres://localhost/parlor',
    };
    expect(readConfig(all, '/parlor')).toMatchObject({
      port: 6000,
      names: ['a.local', 'b.local'],
      onNetwork: true,
      phrase: 'paper and pins',
      databaseUrl: 'postgres://localhost/parlor',
    });
  });

  it('takes a setting that is empty for one that is not there', () => {
    expect(readConfig({ PORT: '', PARLOR_DATA: '', PARLOR_PASSPHRASE: '', DATABASE_URL: '' }, '/parlor')).toMatchObject({
      port: 5180,
      data: '/parlor/data',
      phrase: null,
      databaseUrl: null,
    });
  });

  it.each([
    [{ PORT: 'soon' }, 'PORT must be a number'],
    [{ PARLOR_HOST: '192.168.1.5' }, 'PARLOR_PASSPHRASE'],
    [{ PARLOR_HOST: '::' }, 'PARLOR_PASSPHRASE'],
    [{ PARLOR_PASSPHRASE: 'short' }, 'PARLOR_PASSPHRASE must have at least 12 letters and signs'],
    [{ PARLOR_PASSPHRASE: '             ' }, 'PARLOR_PASSPHRASE must have at least 12'],
    [{ PARLOR_PASSPHRASE: 'password123456' }, 'none that everybody tries'],
    [{ PARLOR_PASSPHRASE: 'aaaaaaaaaaaaaaaaaa' }, 'none that everybody tries'],
    [{ PARLOR_PROXY: 'loopback' }, 'PARLOR_PASSPHRASE'],
    [{ DATABASE_URL: 'mysql://x' }, 'DATABASE_URL must begin with postgres://'],
  ])('names the setting that cannot be used: %o', (environment, words) => {
    expect(() => readConfig(environment, '/')).toThrow(words);
  });
});
