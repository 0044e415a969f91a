import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { root } from '../fresh.testing.ts';
import { type Cluster, findPostgres, startCluster } from './cluster.testing.ts';
import { endAll, ended, type Started, start } from './process.testing.ts';

const bin = findPostgres();

describe.runIf(bin)('on a PostgreSQL server', () => {
  let cluster: Cluster;
  let both: [Started, Started];
  const environment = () => ({ DATABASE_URL: cluster.url });
  const place = () => mkdtempSync(join(tmpdir(), 'parlor-pg-'));

  beforeAll(async () => {
    cluster = startCluster(bin as string);
    both = await Promise.all([start(place(), environment()), start(place(), environment())]);
  }, 90_000);
  afterAll(() => {
    endAll();
    cluster.stop();
  });

  const ask = async (which: 0 | 1, method: string, path: string, body?: unknown) => {
    const response = await fetch(`${both[which].address}api${path}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
    return { status: response.status, body: (await response.json()) as Record<string, unknown> };
  };
  const named = (name: string) => ({ format: 'bashful-parlor-set', version: 1, name });

  it('two processes that start at once on an empty database lay out the demo sets once', async () => {
    const lists = await Promise.all(
      ([0, 1] as const).map(async (which) => (await ask(which, 'GET', '/sets')).body['sets'] as { id: string }[]),
    );
    for (const list of lists) expect(list.map(({ id }) => id)).toEqual(['harbour-post-office', 'potting-shed', 'night-ferry-hall']);
  });

  it('what one saves, the other reads, with its history; a stale save is refused by either', async () => {
    expect((await ask(0, 'PUT', '/sets/potting-shed', { basedOn: 1, document: named('Shed of glass') })).body).toEqual({ revision: 2 });
    expect((await ask(1, 'GET', '/sets/potting-shed')).body).toMatchObject({ revision: 2, document: { name: 'Shed of glass' } });
    expect((await ask(1, 'GET', '/sets/potting-shed/revisions')).body).toMatchObject({ revisions: [{ revision: 2 }, { revision: 1 }] });
    expect(await ask(1, 'PUT', '/sets/potting-shed', { basedOn: 1, document: named('Other') })).toMatchObject({
      status: 409,
      body: { error: { code: 'stale-revision', revision: 2 } },
    });
  });

  it('of many saves on one revision over both processes exactly one wins, round after round', async () => {
    for (let revision = 1; revision <= 5; revision += 1) {
      const answers = await Promise.all(
        Array.from({ length: 12 }, (_, index) =>
          ask((index % 2) as 0 | 1, 'PUT', '/sets/night-ferry-hall', { basedOn: revision, document: named(`try ${index}`) }),
        ),
      );
      expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array(11).fill(409)]);
    }
  });

  it('sets go off the shelf and come back', async () => {
    await ask(0, 'DELETE', '/sets/potting-shed');
    expect((await ask(1, 'GET', '/sets/potting-shed')).status).toBe(404);
    expect((await ask(1, 'GET', '/away')).body).toMatchObject({ sets: [{ id: 'potting-shed' }] });
    await ask(1, 'POST', '/sets/potting-shed/restore');
    expect((await ask(0, 'GET', '/sets/potting-shed')).status).toBe(200);
  });

  it('keeps everything over a clean stop, and keeps no lock of its own', async () => {
    const [first] = both;
    expect(await ended(first.child)).toBe(0);
    both[0] = await start(place(), environment());
    expect((await ask(0, 'GET', '/sets/night-ferry-hall')).body).toMatchObject({ revision: 6 });
  });

  it('a phrase said to one process opens the other', async () => {
    const withDoor = { ...environment(), PARLOR_PASSPHRASE: 'paper and pins' };
    const [one, other] = await Promise.all([start(place(), withDoor), start(place(), withDoor)]);
    const knock = await fetch(`${one.address}api/door`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ phrase: 'paper and pins' }),
    });
    const cookie = (knock.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    expect((await fetch(`${other.address}api/sets`, { headers: { cookie } })).status).toBe(200);
    expect((await fetch(`${other.address}api/sets`)).status).toBe(401);
  });

  it('lives on when the server falls over in the middle of saves, loses nothing acknowledged, and saves again when it is back', async () => {
    const address = both[0].address;
    const made = (await ask(0, 'POST', '/sets', { document: named('0') })).body as { id: string };
    let [revision, on] = [1, true];
    const hands = (async () => {
      while (on) {
        const answer = await fetch(`${address}api/sets/${made.id}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ basedOn: revision, document: named(String(revision)) }),
        }).catch(() => null);
        if (answer?.ok) revision += 1;
        // What was under way when it fell may have come through without its answer.
        else if (answer?.status === 409) revision = ((await answer.json()) as { error: { revision: number } }).error.revision;
      }
    })();
    for (let times = 0; times < 3; times += 1) {
      await new Promise((later) => setTimeout(later, 400));
      cluster.crash();
    }
    const before = revision;
    await expect.poll(() => revision, { timeout: 20_000 }).toBeGreaterThan(before + 3);
    on = false;
    await hands;
    expect([both[0].child.exitCode, both[1].child.exitCode]).toEqual([null, null]);
    expect((await ask(1, 'GET', `/sets/${made.id}`)).body).toMatchObject({ revision });
  });

  it('keeps at most as many presets as it says, over both processes', async () => {
    const answers = await Promise.all(
      Array.from({ length: 212 }, (_, index) => ask((index % 2) as 0 | 1, 'POST', '/presets', { piece: { name: `piece ${index}` } })),
    );
    expect(answers.filter(({ status }) => status === 201)).toHaveLength(200);
    expect(((await ask(0, 'GET', '/presets')).body['presets'] as unknown[]).length).toBe(200);
  });

  it('everything goes out into a file, and comes back from it into a data directory, and the other way', async () => {
    const parlor = (env: Record<string, string>, ...words: string[]) =>
      spawnSync(process.execPath, ['--liftoff-only', join(root, 'server/dist/shelfMain.js'), ...words], {
        env: { ...process.env, ...env },
        encoding: 'utf8',
      });
    const file = join(place(), 'all.parlor-shelf');
    expect(parlor(environment(), 'keep', '--out', file)).toMatchObject({ status: 0 });
    const directory = place();
    const came = parlor({ PARLOR_DATA: directory }, 'restore', file);
    expect([came.status, came.stderr]).toEqual([0, '']);
    expect(came.stdout).toMatch(/200 templates/);
    const back = join(place(), 'back.parlor-shelf');
    expect(parlor({ PARLOR_DATA: directory }, 'keep', '--out', back).status).toBe(0);
    const again = parlor(environment(), 'restore', back);
    expect(again).toMatchObject({ status: 0, stdout: expect.stringMatching(/0 templates/) });
  }, 120_000);

  it('says so when the server cannot be reached, and ends', async () => {
    await expect(start(place(), { DATABASE_URL: 'postgres://parlor@127.0.0.1:1/x' })).rejects.toThrow(
      /exit 1: .*DATABASE_URL names cannot be used \(ECONNREFUSED\).*Is it running/s,
    );
  });
});
