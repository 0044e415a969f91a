// Times the core side by side in one run; the figures go to docs/benchmarks.md. Nothing here decides a test.
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { realUm } from '@parlor/core/measure';
import { writePdf } from '@parlor/core/pdf';
import { applyEdit, derive, layOutSet, readSet, type SetDocument, templatePages } from '@parlor/core/set';
import { browserRows } from './browser.ts';
import { lighthouseRows } from './lighthouse.ts';

const setOf = (pieces: number): SetDocument => {
  const fronts = [
    { kind: 'shelves', count: 5 },
    { kind: 'rows', slots: Array.from({ length: 4 }, () => ({ cell: { kind: 'columns', slots: Array.from({ length: 4 }, () => ({})) } })) },
    {
      kind: 'columns',
      slots: [{ cell: { kind: 'door', behind: { kind: 'shelves', count: 2 } } }, { cell: { kind: 'shelves', count: 4 } }],
    },
  ];
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name: `${pieces} pieces`,
    cutting: { gap: '1 mm', trim: '3 mm' },
    pieces: Array.from({ length: pieces }, (_, index) => ({
      name: `piece ${index}`,
      width: `${700 + 10 * index} mm`,
      front: fronts[index % 3],
    })),
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const median = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] as number;

const timed = async (rounds: number, work: (round: number) => unknown): Promise<{ readonly first: number; readonly median: number }> => {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const start = performance.now();
    await work(round);
    times.push(performance.now() - start);
  }
  return { first: times[0] as number, median: median(times.slice(1)) };
};

const find = createRequire(import.meta.url);
const font = (name: string) => new Uint8Array(readFileSync(find.resolve(name)));
const fonts = {
  text: font('@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
  fallback: font('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'),
};

const document = setOf(60);
const cold = await timed(9, () => derive(document));
let derived = derive(document);
const parts = derived.pieces.reduce((sum, { made }) => sum + (made?.assembly.parts.length ?? 0), 0);
const changed = await timed(41, (round) => {
  const id = document.pieces[round % 60]?.id ?? '';
  derived = derive(
    applyEdit(document, { kind: 'change-piece', id, change: { height: realUm(1_500_000 + round * 1_000) } }).document,
    derived,
  );
});
const small = setOf(12);
const smallDerived = derive(small);
const smallParts = smallDerived.pieces.reduce((sum, { made }) => sum + (made?.assembly.parts.length ?? 0), 0);
const layOutSmall = await timed(7, () => layOutSet(small, smallDerived));
const layOutLarge = await timed(3, () => layOutSet(document, derive(document)));
const all = templatePages(small, smallDerived, { pieces: null });
const forty = [...all, ...all, ...all].slice(0, 40);
const impose = await timed(5, () => templatePages(small, smallDerived, { pieces: null }));
const pdf = await timed(7, () => writePdf(forty, fonts, 'bench'));

const ms = (value: number): string => value.toFixed(1);
const rows = [
  [`derive ${document.pieces.length} pieces, ${parts} parts, from nothing`, cold, '300'],
  ['one size changed in that set, derived again', changed, '16'],
  [`lay out ${smallParts} parts (first layout)`, layOutSmall, '100'],
  [`lay out ${parts} parts`, layOutLarge, ''],
  [`make up ${all.length} pages`, impose, ''],
  [`write a PDF of ${forty.length} pages`, pdf, '2000'],
] as const;
const table = rows
  .map(
    ([name, { first, median: middle }, aim]) =>
      `| ${name} | ${ms(first)} | ${ms(middle)} | ${(middle / cold.median).toFixed(3)} | ${aim} |`,
  )
  .join('\n');
const measured = `| what | first, ms | median after, ms | ratio to the first row | aim, ms |\n|---|---|---|---|---|\n${table}\n`;
process.stdout.write(measured);

const inBrowser = (await browserRows()).map(([name, time, aim]) => `| ${name} | ${ms(time)} | ${aim} |`).join('\n');
const seen = `| what | median, ms | aim, ms |\n|---|---|---|\n${inBrowser}\n`;
process.stdout.write(seen);

const scores = (await lighthouseRows()).map((row) => `| ${row.join(' | ')} |`).join('\n');
const lit = `| view | performance | accessibility | best practices |\n|---|---|---|---|\n${scores}\n`;
process.stdout.write(lit);

const file = join(dirname(fileURLToPath(import.meta.url)), '../../docs/benchmarks.md');
const page = readFileSync(file, 'utf8');
const put = (text: string, name: string, table: string) =>
  text.replace(new RegExp(`(<!-- ${name} -->\\n)[\\s\\S]*?(<!-- /${name} -->)`), `$1${table}$2`);
writeFileSync(file, put(put(put(page, 'core', measured), 'browser', seen), 'lighthouse', lit));
