// Whatever state a directory, lock, port, disk or clock is in, the application starts, or says in words what is wrong and what to do.
import { execFileSync, spawnSync } from 'node:child_process';
import { chmodSync, cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { root } from '../fresh.testing.ts';
import { endAll, ended, killed, start, startIn } from './process.testing.ts';

const place = () => mkdtempSync(join(tmpdir(), 'parlor-start-'));
const SHELF = join(root, 'server/dist/shelfMain.js');

afterEach(endAll);

const named = (name: string) => ({ format: 'bashful-parlor-set', version: 1, name });
const save = async (address: string, basedOn: number, name: string) =>
  (
    await fetch(`${address}api/sets/potting-shed`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ basedOn, document: named(name) }),
    })
  ).status;
const nameOf = async (address: string) =>
  ((await (await fetch(`${address}api/sets/potting-shed`)).json()) as { document: { name: string } }).document.name;
const notices = async (address: string) =>
  ((await (await fetch(`${address}api/shelf`)).json()) as { notices: { what: string; why: string }[] }).notices;

/** A directory in which somebody has worked, and closed the application. */
const worked = async (): Promise<string> => {
  const directory = place();
  const { child, address } = await start(directory);
  await expect
    .poll(async () => ((await (await fetch(`${address}api/shelf`)).json()) as { newestCopy: unknown }).newestCopy, { timeout: 20_000 })
    .not.toBeNull();
  expect(await save(address, 1, 'Worked on')).toBe(200);
  await ended(child);
  return directory;
};

/** What is said when it does not start: no stack, no statement, no path into the program, and a way on. */
const refusal = async (starting: Promise<unknown>): Promise<string> => {
  const said = await starting.then(
    () => 'it started',
    (problem: Error) => problem.message,
  );
  expect(said).not.toMatch(/ at .*\.js:\d|Failed query|object Object|Aborted|PGlite|node_modules/);
  return said;
};

const mayMount = spawnSync('unshare', ['-m', 'true']).status === 0;

describe('the data directory', () => {
  it('that is a file, or lies below one, or can never be, is named, with what to do', async () => {
    const file = join(place(), 'file');
    writeFileSync(file, '');
    expect(await refusal(start(file))).toMatch(
      /The data directory .*file cannot be used \(ENOTDIR\)\.\nA file stands where a directory should be/,
    );
    expect(await refusal(start(join(file, 'data')))).toMatch(/cannot be used/);
    // Node's own way of making directories never came back from here.
    expect(await refusal(start('/proc/parlor'))).toMatch(/The data directory \/proc\/parlor cannot be used .*\n.*Set PARLOR_DATA/s);
  });

  it.runIf(process.getuid?.() === 0)('on which this account has no rights is named, with what to do', async () => {
    const directory = place();
    chmodSync(directory, 0o700);
    expect(await refusal(startIn(['runuser', '-u', 'nobody', '--'], join(directory, 'data')))).toMatch(
      /cannot be used \(EACCES\)\.\nThis account may not read or write there/,
    );
  });

  it('is looked into by this account alone', async () => {
    const directory = await worked();
    for (const name of ['database', 'journal', 'copies', 'pictures']) expect(statSync(join(directory, name)).mode & 0o077, name).toBe(0);
    for (const name of readdirSync(join(directory, 'journal'))) expect(statSync(join(directory, 'journal', name)).mode & 0o077).toBe(0);
  });

  it.runIf(mayMount)('on a disk that can only be read: sets can be looked at; what is changed is answered with “full”', async () => {
    const directory = await worked();
    const { address } = await startIn(
      ['unshare', '-m', 'sh', '-c', `mount --bind ${directory} ${directory} && mount -o remount,ro,bind ${directory} && exec "$@"`, 'sh'],
      directory,
    );
    expect(await nameOf(address)).toBe('Worked on');
    expect(await save(address, 2, 'Not now')).toBe(507);
    expect(await notices(address)).toMatchObject([{ what: 'reading-only' }]);
  });

  it.runIf(mayMount)('on a full disk: sets can be looked at; with room again all goes on', async () => {
    const directory = await worked();
    const fill = `mount -t tmpfs -o size=80m tmpfs /mnt && cp -a ${directory} /mnt/data && (head -c 90000000 /dev/zero > /mnt/full; true) && exec "$@"`;
    const { address } = await startIn(['unshare', '-m', 'sh', '-c', fill, 'sh'], '/mnt/data');
    expect(await nameOf(address)).toBe('Worked on');
    expect(await save(address, 2, 'Not now')).toBe(507);
  });

  it('that was copied while its application ran is another directory, whoever holds the first', async () => {
    const directory = await worked();
    const first = await start(directory);
    const copy = join(place(), 'copy');
    cpSync(directory, copy, { recursive: true, filter: (path) => !path.endsWith('.socket') });
    expect(existsSync(join(copy, 'parlor.lock'))).toBe(true);
    const second = await start(copy);
    expect(await nameOf(second.address)).toBe('Worked on');
    expect(await nameOf(first.address)).toBe('Worked on');
  });
});

describe('the lock', () => {
  it.each<[string, (path: string) => void]>([
    ['names process 0', (path) => writeFileSync(path, '{"pid":0,"started":""}')],
    ['names process 1', (path) => writeFileSync(path, '{"pid":1,"started":"1"}')],
    ['names no start', (path) => writeFileSync(path, `{"pid":${process.pid},"started":""}`)],
    ['is a directory', (path) => mkdirSync(path)],
    ['is empty', (path) => writeFileSync(path, '')],
  ])('that %s is nobody’s', async (_, leave) => {
    const directory = place();
    leave(join(directory, 'parlor.lock'));
    const { address } = await start(directory);
    expect(await nameOf(address)).toBe('Potting shed');
  });

  it.runIf(mayMount)('is seen by a process that cannot see its holder, as another container cannot', async () => {
    const directory = place();
    const { child } = await startIn(['unshare', '-p', '-f', '--mount-proc', '--kill-child'], directory);
    expect(await refusal(start(directory))).toMatch(/is in use by another Bashful Parlor \(process \d+ on /);
    expect(await refusal(startIn(['unshare', '-p', '-f', '--mount-proc', '--kill-child'], directory))).toMatch(/is in use by another/);
    await killed(child);
    expect(await nameOf((await start(directory)).address)).toBe('Potting shed');
  });
});

describe('the port', () => {
  it('that is not for this account, or an address that is not this machine’s, is named', async () => {
    expect(await refusal(start(place(), { PARLOR_HOST: '203.0.113.1', PARLOR_PASSPHRASE: 'paper and pins' }))).toMatch(
      /203\.0\.113\.1 is no address of this machine/,
    );
  });

  it('and the twenty after it busy: that is said', async () => {
    const servers: Server[] = [];
    const first = await new Promise<number>((resolve) => {
      const server = createServer().listen(0, '127.0.0.1', () => resolve((server.address() as { port: number }).port));
      servers.push(server);
    });
    for (let port = first + 1; port <= first + 20; port += 1) {
      const server = createServer();
      servers.push(server);
      await new Promise<void>((ready) => server.once('error', () => ready()).listen(port, '127.0.0.1', () => ready()));
    }
    expect(await refusal(start(place(), { PORT: String(first) }))).toMatch(/Port \d+ and the twenty after it are busy/);
    for (const server of servers) server.close();
  });
});

describe('a database that never answers, or cannot be read', () => {
  it('after a kill is made anew, with everything, and that is told', async () => {
    const directory = place();
    const first = await start(directory);
    await expect
      .poll(async () => ((await (await fetch(`${first.address}api/shelf`)).json()) as { newestCopy: unknown }).newestCopy, {
        timeout: 20_000,
      })
      .not.toBeNull();
    expect(await save(first.address, 1, 'Before the kill')).toBe(200);
    await killed(first.child);
    writeFileSync(join(directory, 'database/global/pg_control'), Buffer.alloc(8_192, 255));
    const second = await start(directory);
    expect(await nameOf(second.address)).toBe('Before the kill');
    expect(await notices(second.address)).toMatchObject([{ what: 'rebuilt', why: 'does not open' }]);
    expect(second.said()).toMatch(/has something to tell/);
    expect(readdirSync(join(directory, 'aside'))).toHaveLength(1);
  });

  it('with nothing left to make it from is said, with a way on, and nothing is begun', async () => {
    const directory = await worked();
    for (const name of ['database', 'copies', 'journal']) rmSync(join(directory, name), { recursive: true });
    const said = await refusal(start(directory));
    expect(said).toMatch(/has held a shelf of sets .*\nNothing was deleted.*\nIf you have a copy of the directory, put it back/s);
    expect(existsSync(join(directory, 'database'))).toBe(false);
  });
});

describe('on the network', () => {
  it('it is said that nothing is encrypted, unless somebody stands in front', async () => {
    const phrase = { PARLOR_PASSPHRASE: 'paper and pins' };
    expect((await start(place(), { ...phrase, PARLOR_HOST: '0.0.0.0' })).said()).toMatch(/without encryption/);
    expect((await start(place(), { ...phrase, PARLOR_PROXY: 'loopback' })).said()).not.toMatch(/without encryption/);
  });

  it('another pass phrase at the next start closes the door to whoever had the first, and loses nothing', async () => {
    const directory = place();
    const enter = async (address: string, phrase: string) => {
      const answer = await fetch(`${address}api/door`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ phrase }),
      });
      return {
        status: answer.status,
        cookie: answer.headers
          .getSetCookie()
          .map((each) => each.split(';')[0])
          .join('; '),
      };
    };
    const first = await start(directory, { PARLOR_PASSPHRASE: 'paper and pins' });
    const { cookie } = await enter(first.address, 'paper and pins');
    expect((await fetch(`${first.address}api/sets`, { headers: { cookie } })).status).toBe(200);
    await ended(first.child);
    const same = await start(directory, { PARLOR_PASSPHRASE: 'paper and pins' });
    expect((await fetch(`${same.address}api/sets`, { headers: { cookie } })).status).toBe(200);
    await ended(same.child);
    const other = await start(directory, { PARLOR_PASSPHRASE: 'glue and needles' });
    expect((await fetch(`${other.address}api/sets`, { headers: { cookie } })).status).toBe(401);
    expect((await enter(other.address, 'paper and pins')).status).toBe(403);
    const entered = await enter(other.address, 'glue and needles');
    const { sets } = (await (await fetch(`${other.address}api/sets`, { headers: { cookie: entered.cookie } })).json()) as {
      sets: unknown[];
    };
    expect(sets).toHaveLength(3);
  });
});

describe('on the command line', () => {
  const parlor = (directory: string, ...words: string[]) => {
    const { status, stdout, stderr } = spawnSync(process.execPath, ['--liftoff-only', SHELF, ...words], {
      env: { ...process.env, PARLOR_DATA: directory },
      encoding: 'utf8',
    });
    return { status, out: stdout, said: stderr };
  };

  it('everything is kept in a file while the application runs, and restored into an empty and a full directory', async () => {
    const directory = place();
    const running = await start(directory);
    expect(await save(running.address, 1, 'While it runs')).toBe(200);
    const file = join(place(), 'all.parlor-shelf');
    expect(parlor(directory, 'keep', '--out', file)).toMatchObject({
      status: 0,
      out: expect.stringMatching(/^Everything is in .*all\.parlor-shelf/),
    });
    expect(parlor(directory, 'keep', '--out', file)).toMatchObject({
      status: 2,
      said: expect.stringMatching(/is there already; nothing is written over it/),
    });
    expect(parlor(directory, 'restore', file)).toMatchObject({ status: 2, said: expect.stringMatching(/in use by another/) });
    const other = place();
    expect(parlor(other, 'restore', file)).toMatchObject({
      status: 0,
      out: expect.stringMatching(/^Brought back: 0 sets, 1 beside sets of the same name, .* 2 were there already/),
    });
    expect(parlor(other, 'check')).toMatchObject({ status: 0, out: expect.stringMatching(/whole {3}database, 4 sets with 5 saves/) });
    writeFileSync(file, readFileSync(file).subarray(0, 1_000));
    expect(parlor(other, 'restore', file)).toMatchObject({
      status: 2,
      said: expect.stringMatching(/broken off or damaged; nothing of it was brought back/),
    });
  }, 120_000);

  it('everything is read and said to be whole or not, and mended only when told', async () => {
    const directory = await worked();
    expect(parlor(directory, 'check')).toMatchObject({ status: 0 });
    const [copy = ''] = readdirSync(join(directory, 'copies')).filter((name) => name.endsWith('.shelf'));
    rmSync(join(directory, 'database/base/5'), { recursive: true });
    const found = parlor(directory, 'check');
    expect(found).toMatchObject({ status: 1, out: expect.stringMatching(/DAMAGED database/) });
    expect(parlor(directory, 'check')).toMatchObject({ status: 1 });
    expect(parlor(directory, 'check', '--mend')).toMatchObject({
      out: expect.stringMatching(/mended {2}database made anew .*; 0 saves missing/),
    });
    expect(parlor(directory, 'check')).toMatchObject({ status: 0 });
    const path = join(directory, 'copies', copy);
    writeFileSync(path, readFileSync(path).subarray(0, 100));
    expect(parlor(directory, 'check')).toMatchObject({ status: 1, out: expect.stringMatching(/DAMAGED copy/) });
    expect(parlor(directory, 'check', '--mend')).toMatchObject({ out: expect.stringMatching(/1 damaged copy put into/) });
    expect(await nameOf((await start(directory)).address)).toBe('Worked on');
    expect(parlor(directory)).toMatchObject({ status: 2, said: expect.stringMatching(/keep --out FILE/) });
  }, 120_000);
});

it('a clock set back, or years ahead for one start, loses nothing', async () => {
  const library = ['x86_64', 'aarch64'].map((kind) => `/usr/lib/${kind}-linux-gnu/faketime/libfaketime.so.1`).find(existsSync);
  const clockAt = (away: string) => (library ? { LD_PRELOAD: library, FAKETIME: away, DONT_FAKE_MONOTONIC: '1' } : {});
  const directory = await worked();
  const first = await start(directory);
  await fetch(`${first.address}api/sets/potting-shed`, { method: 'DELETE' });
  await ended(first.child);
  // Without a program that lies about the time, the clock is set by what the tests of the store say of it.
  for (const away of ['+10y', '-3y']) {
    const lying = await start(directory, clockAt(away));
    await ended(lying.child);
  }
  const back = await start(directory);
  expect(((await (await fetch(`${back.address}api/away`)).json()) as { sets: unknown[] }).sets).toHaveLength(1);
});

it('a copy of everything is put each week where it is wished', async () => {
  const [directory, keep] = [place(), join(place(), 'weekly')];
  const { child } = await start(directory, { PARLOR_KEEP: keep });
  await expect
    .poll(() => (existsSync(keep) ? readdirSync(keep) : []), { timeout: 20_000 })
    .toEqual([expect.stringMatching(/^everything-\d{4}-\d\d-\d\d\.parlor-shelf$/)]);
  await ended(child);
  execFileSync('gzip', ['-t', '-S', '.parlor-shelf', join(keep, readdirSync(keep)[0] as string)]);
});
