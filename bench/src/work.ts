// What a first look and an edit cost in CPU seconds, by how many pieces a set has: of the browser with all its processes, and of the server.
// `npm run bench:work` writes the table in docs/benchmarks.md; with sizes (`33,60`) only those are told, with `threads` where the time goes. Run in two copies of the
// project in turn, it stands two commits side by side.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isSmall, PRESETS, type Preset } from '@parlor/core/piece';
import { startApp, stopApp } from '../../e2e/src/app.ts';
import { launch } from '../../e2e/src/browser.ts';

/** Clock ticks of the kernel in a second. */
const TICKS = 100;

type Usage = ReadonlyMap<string, number>;

const fieldsOf = (path: string): readonly string[] => {
  try {
    const text = readFileSync(path, 'latin1');
    return [text.slice(text.indexOf('(') + 1, text.lastIndexOf(')')), ...text.slice(text.lastIndexOf(')') + 2).split(' ')];
  } catch {
    return [];
  }
};

/** A process and all that it started. */
const familyOf = (root: number): readonly number[] => {
  const children = new Map<number, number[]>();
  for (const name of readdirSync('/proc')) {
    if (!/^\d+$/.test(name)) continue;
    const parent = Number(fieldsOf(`/proc/${name}/stat`)[2]);
    children.set(parent, [...(children.get(parent) ?? []), Number(name)]);
  }
  const found = [root];
  for (let index = 0; index < found.length; index += 1) found.push(...(children.get(found[index] as number) ?? []));
  return found;
};

const secondsOf = (fields: readonly string[]): number => (Number(fields[12] ?? 0) + Number(fields[13] ?? 0)) / TICKS;

/** CPU seconds of a process and all that it started. */
const cpuOf = (root: number): number => familyOf(root).reduce((sum, pid) => sum + secondsOf(fieldsOf(`/proc/${pid}/stat`)), 0);

/** The same by the names of threads. */
const threadsOf = (root: number): Usage => {
  const usage = new Map<string, number>();
  for (const pid of familyOf(root)) {
    let threads: readonly string[] = [];
    try {
      threads = readdirSync(`/proc/${pid}/task`);
    } catch {
      continue;
    }
    const kind = /--type=([\w-]+)/.exec(readFileSync(`/proc/${pid}/cmdline`, 'latin1'))?.[1] ?? 'browser';
    for (const thread of threads) {
      const fields = fieldsOf(`/proc/${pid}/task/${thread}/stat`);
      const name = `${kind} ${fields[0]}`;
      usage.set(name, (usage.get(name) ?? 0) + secondsOf(fields));
    }
  }
  return usage;
};

const pause = (ms: number): Promise<void> => new Promise((go) => setTimeout(go, ms));

const median = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] as number;

/** So many pieces, presets in turn, each a little wider than the one before, the first a bookcase whose height can be typed. */
const setOf = (count: number): object => {
  const bookcase = PRESETS.findIndex(({ piece }) => !('family' in piece) || piece.family === 'casework');
  // A set holds 3,000 parts at the most, so what comes after sixty pieces of all kinds is small.
  const small = PRESETS.filter(({ piece }) => isSmall(piece as never));
  const pieces = Array.from({ length: count }, (_, index) => {
    const { piece } = (index < 60 ? PRESETS[(bookcase + index * 7) % PRESETS.length] : small[index % small.length]) as Preset;
    const wider = 'width' in piece ? { width: `${Number.parseFloat(String(piece.width)) + index} mm` } : {};
    return { ...piece, ...wider, id: `piece-${index + 1}` };
  });
  return { format: 'bashful-parlor-set', version: 1, name: `${count} pieces`, pieces };
};

type Figures = { parts: number; first: number; edit: number; after: number; server: number };

const HEIGHT = 'input[data-size="height on the drawing"]';

const say = (line: string): void => void process.stdout.write(`${line}\n`);

const told = (what: string, before: Usage, after: Usage): void => {
  const rows = [...after].map(([name, now]) => [name, now - (before.get(name) ?? 0)] as const).filter(([, spent]) => spent >= 0.03);
  say(
    `  ${what}: ${rows
      .sort((a, b) => b[1] - a[1])
      .map(([name, spent]) => `${name} ${spent.toFixed(2)}`)
      .join(' · ')}`,
  );
};

const measure = async (count: number, threads: boolean): Promise<Figures> => {
  const app = await startApp();
  const server = app.process.pid as number;
  const made = await fetch(`${app.address}/api/sets`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: app.address },
    body: JSON.stringify({ document: setOf(count) }),
  });
  const { id } = (await made.json()) as { id: string };
  const browser = await launch('with 3D');
  try {
    const root = browser.process()?.pid as number;
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await pause(1500);
    const [begin, beginThreads] = [cpuOf(root), threadsOf(root)];
    await page.goto(`${app.address}/sets/${id}/pieces/piece-1`);
    await page.waitForSelector('[data-testid="parts"]');
    const parts = await page.evaluate(() => performance.now());
    // The first view is there when the browser does no more than wait; the search, which goes on, is another matter.
    await page.waitForSelector('canvas[data-testid="model"]');
    await pause(3000);
    const first = cpuOf(root) - begin;
    if (threads) told('first view', beginThreads, threadsOf(root));
    const saved = () =>
      page.waitForFunction(() => document.querySelector('[data-save]')?.getAttribute('data-save') === 'saved', { polling: 20 });
    await page.focus(HEIGHT);
    await pause(12_000);
    const edits: number[] = [];
    const afters: number[] = [];
    const servers: number[] = [];
    for (let round = 0; round < 4; round += 1) {
      const [was, wasServer, wasThreads] = [cpuOf(root), cpuOf(server), threadsOf(root)];
      await page.keyboard.press('ArrowDown');
      await page.waitForFunction(() => document.querySelector('[data-save]')?.getAttribute('data-save') !== 'saved', { polling: 10 });
      await saved();
      await pause(150);
      const now = cpuOf(root);
      // The first save of a session has more to warm up; it is not counted.
      if (round > 0) edits.push(now - was);
      if (threads) told('edit', wasThreads, threadsOf(root));
      if (round > 0) servers.push(cpuOf(server) - wasServer);
      await pause(6_000);
      if (round > 0) afters.push(cpuOf(root) - now);
    }
    return { parts, first, edit: median(edits), after: median(afters), server: median(servers) };
  } finally {
    await browser.close();
    await stopApp(app);
  }
};

const words = process.argv.slice(2);
const threads = words.includes('threads');
const sizes = words.filter((word) => /^[\d,]+$/.test(word)).flatMap((word) => word.split(',').map(Number));
const rows = [
  '| pieces | parts stand there after, ms | first view, CPU s | an edit until saved, CPU s | six seconds after it, CPU s | server, a save, CPU s |',
  '|--:|--:|--:|--:|--:|--:|',
];
for (const count of sizes.length > 0 ? sizes : [10, 33, 60, 120, 200]) {
  const { parts, first, edit, after, server } = await measure(count, threads);
  rows.push(`| ${count} | ${Math.round(parts)} | ${first.toFixed(2)} | ${edit.toFixed(2)} | ${after.toFixed(2)} | ${server.toFixed(3)} |`);
  say(rows.at(-1) as string);
}
if (sizes.length === 0) {
  const file = join(import.meta.dirname, '../../docs/benchmarks.md');
  writeFileSync(
    file,
    readFileSync(file, 'utf8').replace(/(<!-- work -->\n).*?(<!-- \/work -->)/s, (_, begin, end) => `${begin}${rows.join('\n')}\n${end}`),
  );
}
