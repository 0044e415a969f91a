// What can happen to a shelf, many times over: power cuts, kills, hostile input, many hands, PostgreSQL going away. Writes the table in
// docs/benchmarks.md. `npm run bench:trust` runs all of it (some three hours); words after it choose (`cuts kills inputs requests load starts postgres`, or of the
// inputs `documents files drawings journals copies`); each row is written as soon as it is known.
import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { findPostgres, startCluster } from '../../server/src/app/cluster.testing.ts';
import { killRounds } from '../../server/src/app/crash.testing.ts';
import { endAll, ended, type Started, startIn } from '../../server/src/app/process.testing.ts';
import { DOORS } from '../../server/src/hostile.testing.ts';
import { serve } from '../../server/src/http/serve.testing.ts';
import { sendWild } from '../../server/src/http/wild.testing.ts';

const root = resolve(import.meta.dirname, '../..');
const say = (line: string): void => void process.stdout.write(`${line}\n`);
const place = () => mkdtempSync(join(tmpdir(), 'parlor-bench-'));

/** The application as it is started by whoever uses it. */
const start = (directory: string, environment: Record<string, string> = {}): Promise<Started> => startIn([], directory, environment, []);

type Row = readonly [what: string, came: string];

const cutPower = (states: number, seed: number, ...more: string[]): Promise<Row> =>
  new Promise((resolved, rejected) => {
    const program = join(root, 'server/src/shelf/powercutMain.testing.ts');
    const words = ['--liftoff-only', '--import', 'tsx', program, String(states), String(seed), ...more];
    execFile(process.execPath, words, { cwd: root, maxBuffer: 64_000_000 }, (_, out, said) => {
      if (!out.startsWith('{')) return rejected(new Error(said));
      const { operations, acknowledged, opened, rebuilt, failed } = JSON.parse(out);
      const deaf = more.length > 0 ? ', of a database that never syncs' : '';
      return resolved([
        `power cut at ${states} moments${deaf}`,
        `${operations} writes, syncs and names, ${acknowledged} acknowledged: ${opened} opened by themselves, ${rebuilt} made anew, ${failed} lost anything`,
      ]);
    });
  });

const kills = async (rounds: number): Promise<Row> => {
  const { tried, lost } = await killRounds(rounds, 1_000, (done) => done % 50 === 0 && say(`… ${done} of ${rounds} kills`));
  for (const line of lost) say(line);
  return [`kill -9 in mid-save, ${rounds} times`, `${tried} saves, ${lost.length} lost or half-written`];
};

/** A million in all: what is quick more often than what is slow. */
const COUNTS: Readonly<Record<string, number>> = {
  documents: 150_000,
  files: 150_000,
  drawings: 350_000,
  journals: 250_000,
  copies: 100_000,
};

const inputsFor = async (door: string, count: number): Promise<Row> => {
  let faults = 0;
  let slowest = 0;
  for (let seed = 100_001; seed <= 100_000 + count; seed += 1) {
    const before = performance.now();
    await Promise.resolve(DOORS[door]?.(seed)).catch((problem) => {
      faults += 1;
      say(`${door}, seed ${seed}: ${problem}`);
    });
    slowest = Math.max(slowest, performance.now() - before);
    if ((seed - 100_000) % 25_000 === 0) say(`… ${seed - 100_000} of ${count} ${door}, ${faults} faults`);
  }
  return [`${count.toLocaleString('en')} mutated ${door}`, `${faults} faults, the slowest ${Math.round(slowest)} ms`];
};

/** Eight at a time, to an application in this process. */
const requests = async (count: number): Promise<Row> => {
  const served = await serve();
  const statuses = new Map<number, number>();
  let [faults, slowest] = [0, 0];
  for (let seed = 1_000_001; seed <= 1_000_000 + count; seed += 8) {
    const before = performance.now();
    await Promise.all(
      Array.from({ length: 8 }, async (_, index) => {
        const { status, fault } = await sendWild(served, seed + index);
        statuses.set(status, (statuses.get(status) ?? 0) + 1);
        if (!fault) return;
        faults += 1;
        say(fault);
      }),
    );
    slowest = Math.max(slowest, performance.now() - before);
    if ((seed - 1_000_001) % 8_000 === 0) say(`… ${seed - 1_000_001} of ${count} requests, ${faults} faults`);
  }
  await served.stop();
  const came = [...statuses].sort(([a], [b]) => a - b).map(([status, times]) => `${times} × ${status}`);
  return [
    `${count.toLocaleString('en')} hostile requests`,
    `${faults} faults, the slowest eight ${Math.round(slowest)} ms; ${came.join(', ')}`,
  ];
};

const memoryOf = ({ child }: Started): number =>
  Math.round((Number(readFileSync(`/proc/${child.pid}/statm`, 'utf8').split(' ')[1]) * 4_096) / 1e6);

const quantile = (times: readonly number[], share: number): number =>
  Math.round([...times].sort((a, b) => a - b)[Math.floor(times.length * share)] ?? 0);

const post = (address: string, body: unknown, method = 'POST', path = 'sets') =>
  fetch(`${address}api/${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

const demo = JSON.parse(readFileSync(join(root, 'demo/1-harbour-post-office.parlor.json'), 'utf8'));

/** So many clients save a set of their own over and over; what it takes others to be answered is measured beside them. */
const hammer = async (addresses: readonly string[], clients: number, seconds: number) => {
  const until = performance.now() + seconds * 1000;
  const [saves, reads]: [number[], number[]] = [[], []];
  let refused = 0;
  const save = async (address: string) => {
    const made = (await (await post(address, { document: demo })).json()) as { id: string };
    for (let revision = 1; performance.now() < until; ) {
      const before = performance.now();
      const answer = await post(
        address,
        { basedOn: revision, document: { ...demo, name: `save ${revision}` } },
        'PUT',
        `sets/${made.id}`,
      ).catch(() => null);
      if (answer?.ok) revision += 1;
      else refused += 1;
      saves.push(performance.now() - before);
    }
  };
  const read = async (address: string) => {
    while (performance.now() < until) {
      const before = performance.now();
      await (await fetch(`${address}api/sets`)).arrayBuffer();
      reads.push(performance.now() - before);
      await new Promise((later) => setTimeout(later, 50));
    }
  };
  await Promise.all([
    ...Array.from({ length: clients }, (_, index) => save(addresses[index % addresses.length] as string)),
    read(addresses[0] as string),
  ]);
  return { saves, reads, refused };
};

const load = async (): Promise<readonly Row[]> => {
  const app = await start(place());
  const before = memoryOf(app);
  const { saves, reads, refused } = await hammer([app.address], 8, 30);
  const row: Row = [
    `8 clients saving a set of ${Math.round(JSON.stringify(demo).length / 1000)} kB for 30 s`,
    `${(saves.length / 30).toFixed(1)} saves a second, ${refused} refused; a save ${quantile(saves, 0.5)} ms in the middle, ${quantile(saves, 0.99)} at the 99th; the list beside it ${quantile(reads, 0.5)} and ${quantile(reads, 0.99)} ms; memory ${before} → ${memoryOf(app)} MB`,
  ];
  // Four drawings that cost all they may, at once.
  const pattern = (n: number) =>
    `<pattern id="p${n}" width="3" height="3" patternUnits="userSpaceOnUse"><circle r="2" fill="${n === 0 ? 'red' : `url(#p${n - 1})`}"/></pattern>`;
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40">${Array.from({ length: 9 }, (_, n) => pattern(n)).join('')}${'<rect width="60" height="40" fill="url(#p8)" opacity=".5"/>'.repeat(40)}</svg>`;
  const waits: number[] = [];
  let done = false;
  const looking = (async () => {
    while (!done) {
      const at = performance.now();
      await (await fetch(`${app.address}api/sets`)).arrayBuffer();
      waits.push(performance.now() - at);
      await new Promise((later) => setTimeout(later, 20));
    }
  })();
  const began = performance.now();
  const answers = await Promise.all(
    Array.from({ length: 4 }, () =>
      fetch(`${app.address}api/pictures`, { method: 'POST', headers: { 'content-type': 'image/svg+xml' }, body: drawing }),
    ),
  );
  const took = (performance.now() - began) / 1000;
  done = true;
  await looking;
  await ended(app.child);
  return [
    row,
    [
      'four drawings that cost all they may, at once',
      `answered with ${answers.map(({ status }) => status).join(', ')} after ${took.toFixed(1)} s; others waited ${quantile(waits, 0.5)} ms in the middle, ${quantile(waits, 0.99)} at the 99th, ${Math.round(Math.max(...waits))} at the most`,
    ],
  ];
};

const starts = async (): Promise<Row> => {
  const directory = place();
  const app = await start(directory);
  for (let count = 0; count < 497; count += 1) await post(app.address, { document: { ...demo, name: `Set ${count}` } });
  await ended(app.child);
  const times: number[] = [];
  for (let round = 0; round < 7; round += 1) {
    const before = performance.now();
    const again = await start(directory);
    times.push(performance.now() - before);
    await ended(again.child);
  }
  return [
    'a start with 500 sets, seven times',
    `${quantile(times, 0.5)} ms in the middle, ${Math.round(Math.min(...times))} at the least, ${Math.round(Math.max(...times))} at the most`,
  ];
};

const postgres = async (): Promise<readonly Row[]> => {
  const bin = findPostgres();
  if (!bin) return [['two processes on PostgreSQL', 'PostgreSQL is not installed here']];
  const cluster = startCluster(bin);
  try {
    const both = await Promise.all([start(place(), { DATABASE_URL: cluster.url }), start(place(), { DATABASE_URL: cluster.url })]);
    const before = both.map(memoryOf);
    const { saves, reads, refused } = await hammer(
      both.map(({ address }) => address),
      8,
      30,
    );
    const calm: Row = [
      'the same over two processes on PostgreSQL',
      `${(saves.length / 30).toFixed(1)} saves a second, ${refused} refused; a save ${quantile(saves, 0.5)} ms in the middle, ${quantile(saves, 0.99)} at the 99th; the list ${quantile(reads, 0.5)} and ${quantile(reads, 0.99)} ms; memory ${before.join(' and ')} → ${both.map(memoryOf).join(' and ')} MB`,
    ];
    const falling = setInterval(cluster.crash, 5_000);
    const stormy = await hammer(
      both.map(({ address }) => address),
      4,
      22,
    );
    clearInterval(falling);
    const alive = both.filter(({ child }) => child.exitCode === null).length;
    return [
      calm,
      [
        'the same with PostgreSQL ended and started every 5 s',
        `${stormy.saves.length - stormy.refused} saves taken, ${stormy.refused} answered with an error, ${alive} of 2 processes alive`,
      ],
    ];
  } finally {
    endAll();
    cluster.stop();
  }
};

const WORK: Readonly<Record<string, () => Promise<readonly Row[]>>> = {
  cuts: async () => [await cutPower(1_000, 11), await cutPower(60, 12, 'deaf')],
  kills: async () => [await kills(1_000)],
  ...Object.fromEntries(Object.entries(COUNTS).map(([door, count]) => [door, async () => [await inputsFor(door, count)]])),
  requests: async () => [await requests(48_000)],
  load,
  starts: async () => [await starts()],
  postgres,
};

const file = join(root, 'docs/benchmarks.md');

/** Puts rows into the table as soon as they are known: the whole takes hours, and may be broken off. */
const put = (rows: readonly Row[]): void => {
  const text = readFileSync(file, 'utf8');
  const [, known = ''] = /<!-- trust -->\n([\s\S]*?)<!-- \/trust -->/.exec(text) ?? [];
  const kept = new Map(
    known.split('\n').flatMap((line) => (/^\| (?!what|---)/.test(line) ? [[line.split(' | ')[0]?.slice(2) ?? '', line] as const] : [])),
  );
  for (const [what, came] of rows) kept.set(what, `| ${what} | ${came} |`);
  const table = `<!-- trust -->\n| what | what came of it |\n|---|---|\n${[...kept.values()].join('\n')}\n<!-- /trust -->`;
  writeFileSync(file, text.replace(/<!-- trust -->[\s\S]*<!-- \/trust -->/, table));
};

const words = process.argv.slice(2);
const chosen = words.includes('inputs') ? [...words, ...Object.keys(COUNTS)] : words;
for (const [name, work] of Object.entries(WORK)) {
  if (chosen.length > 0 && !chosen.includes(name)) continue;
  const rows = await work();
  for (const [what, came] of rows) say(`${what}: ${came}`);
  put(rows);
}
endAll();
process.exit(0);
