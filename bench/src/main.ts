// Times the core side by side in one run; the figures go to docs/benchmarks.md. Nothing here decides a test.
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { findContacts, findInterference, type Part } from '@parlor/core/assembly';
import { lookOf, paintTones } from '@parlor/core/cover';
import { realUm, scaleFromRatio } from '@parlor/core/measure';
import { writePdf } from '@parlor/core/pdf';
import { PRESETS, type Preset } from '@parlor/core/piece';
import { imposed } from '@parlor/core/print';
import {
  applyEdit,
  arrangedIn,
  clothPlans,
  derive,
  deriveCoverings,
  layOutSet,
  type Piece,
  type PieceChange,
  pagesOf,
  paperNeeds,
  printedGoods,
  readSet,
  type SetDocument,
  templatePages,
} from '@parlor/core/set';
import { browserRows } from './browser.ts';
import { lighthouseRows } from './lighthouse.ts';

const setWith = (name: string, pieces: readonly object[]): SetDocument => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    name,
    boards: [{ id: 'white', nominal: '5 mm', measured: '4.8 mm' }],
    cutting: { gap: '1 mm', trim: '3 mm' },
    pieces,
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

/** So many pieces, every preset in turn, each a little wider than the one before. */
const setOf = (pieces: number): SetDocument =>
  setWith(
    `${pieces} pieces`,
    Array.from({ length: pieces }, (_, index) => {
      const { piece } = PRESETS[index % PRESETS.length] as Preset;
      return 'width' in piece ? { ...piece, width: `${Number.parseFloat(String(piece.width)) + index} mm` } : piece;
    }),
  );

const median = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] as number;

const timed = async (
  rounds: number,
  work: (round: number) => unknown,
): Promise<{ readonly first: number; readonly median: number; readonly least: number }> => {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const start = performance.now();
    await work(round);
    times.push(performance.now() - start);
  }
  // The least is what the work takes when no neighbour has the machine.
  return { first: times[0] as number, median: median(times.slice(1)), least: Math.min(...times) };
};

const find = createRequire(import.meta.url);
const font = (name: string) => new Uint8Array(readFileSync(find.resolve(name)));
const fonts = {
  text: font('@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
  fallback: font('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf'),
  name: font('@expo-google-fonts/fraunces/600SemiBold/Fraunces_600SemiBold.ttf'),
  hand: font('@expo-google-fonts/shantell-sans/400Regular/ShantellSans_400Regular.ttf'),
};

const document = setOf(60);
const cold = await timed(9, () => derive(document));
let derived = derive(document);
const parts = derived.pieces.reduce((sum, { made }) => sum + (made?.assembly.parts.length ?? 0), 0);
const cases = document.pieces.filter(({ family }) => family === 'casework');
const changed = await timed(61, (round) => {
  const id = cases[round % cases.length]?.id ?? '';
  derived = derive(applyEdit(document, { kind: 'change-piece', id, change: { depth: realUm(650_000 + round * 100) } }).document, derived);
});

// Every preset by itself, sixty times, by code that has made each of them a few times before, as a worker at its table has.
for (let round = 0; round < 10; round += 1) for (const { name, piece } of PRESETS) derive(setWith(name, [piece]));
const alone: { readonly name: string; readonly time: Awaited<ReturnType<typeof timed>> }[] = [];
for (const { name, piece } of PRESETS) {
  const single = setWith(name, [piece]);
  alone.push({ name, time: await timed(61, () => derive(single)) });
}
const byTime = [...alone].sort((a, b) => a.time.median - b.time.median);
const [middlePreset, slowestPreset] = [byTime[Math.floor(byTime.length / 2)], byTime.at(-1)] as [
  (typeof alone)[number],
  (typeof alone)[number],
];

/** Every net by itself, one of each; and two hundred books, no two alike, from decisions to pages. */
const goods = PRESETS.filter(({ kind }) => kind === 'paper').map(({ name, piece }) => setWith(name, [{ ...piece, count: 1, vary: 0 }]));
for (let round = 0; round < 10; round += 1) for (const one of goods) derive(one);
const nets: { readonly name: string; readonly time: Awaited<ReturnType<typeof timed>> }[] = [];
for (const one of goods) nets.push({ name: one.name, time: await timed(41, () => derive(one)) });
const netsByTime = [...nets].sort((a, b) => a.time.median - b.time.median);
const [middleNet, slowestNet] = [netsByTime[Math.floor(nets.length / 2)], netsByTime.at(-1)] as [
  (typeof nets)[number],
  (typeof nets)[number],
];
/** Every thing of cloth by itself, its pattern and what is noticed about it; and as many as make forty pieces and more, laid on their cloths. */
const cloths = PRESETS.filter(({ kind }) => kind === 'cloth').map(({ name, piece }) => setWith(name, [piece]));
for (let round = 0; round < 10; round += 1) for (const one of cloths) derive(one);
const sewn: { readonly name: string; readonly time: Awaited<ReturnType<typeof timed>> }[] = [];
for (const one of cloths) sewn.push({ name: one.name, time: await timed(41, () => derive(one)) });
const sewnByTime = [...sewn].sort((a, b) => a.time.median - b.time.median);
const [middleSewn, slowestSewn] = [sewnByTime[Math.floor(sewn.length / 2)], sewnByTime.at(-1)] as [
  (typeof sewn)[number],
  (typeof sewn)[number],
];
const linen = setWith(
  'linen',
  PRESETS.filter(({ kind }) => kind === 'cloth').map(({ piece }) => piece),
);
const linenDerived = derive(linen);
const clothPieces = clothPlans(linen, linenDerived).reduce((sum, { laid }) => sum + laid.places.length, 0);
const laidOnCloth = await timed(9, () => clothPlans(linen, linenDerived));

const library = setWith('books', [
  {
    family: 'paper',
    form: 'book',
    width: '110 mm',
    height: '178 mm',
    depth: '25 mm',
    count: 200,
    vary: 25,
    on: 'plain',
    play: '0 mm',
    tab: '2 mm',
    art: [
      { panel: 'spine', words: '{title}', turn: 3 },
      { panel: 'front cover', words: '{title}' },
    ],
  },
]);
const shelved = await timed(15, () => {
  const books = derive(library);
  imposed(printedGoods(library, books, null), { ...library.printing, sides: 'one' }, library.name);
});

/** A wavy ring of so many points, two boards thick, with a rim on it. */
const wavy = (count: number) =>
  Array.from({ length: count }, (_, index) => {
    const angle = (2 * Math.PI * index) / count;
    const radius = 400_000 + 40_000 * Math.sin(angle * 9);
    return [Math.round(radius * Math.cos(angle)), Math.round(radius * Math.sin(angle))];
  });
const outline = setWith('outline', [
  { family: 'stack', outline: 'own', points: [wavy(2_000)], width: '600 mm', height: '600 mm', layers: [{ boards: 2 }, { rim: '60 mm' }] },
]);
const outlined = derive(outline);
const pointMoved = await timed(61, (round) => {
  const points = [wavy(2_000).with(round * 7, [450_000 + round * 100, 0])] as never;
  derive(
    applyEdit(outline, { kind: 'change-piece', id: outline.pieces[0]?.id ?? '', change: { points } as PieceChange }).document,
    outlined,
  );
});

/** A room of sixty things, in rows; one of them is dragged, and the whole room is looked at again. */
const SIXTY = 60;
const furniture = PRESETS.filter(({ kind }) => kind !== 'rooms' && kind !== 'openings' && kind !== 'walls');
const crowded = setWith('room', [
  { family: 'room', id: 'hall', width: '10000 mm', depth: '10000 mm', walls: [{}, {}, { kind: 'open' }, {}] },
  ...Array.from({ length: SIXTY }, (_, index) => ({ ...furniture[index % furniture.length]?.piece, id: `thing-${index}` })),
]);
const hall: SetDocument = {
  ...crowded,
  layouts: [
    {
      id: 'a',
      name: 'A',
      room: 'hall',
      chosen: true,
      placed: Array.from({ length: SIXTY }, (_, index) => ({
        piece: `thing-${index}`,
        x: (100_000 + (index % 10) * 160_000) as never,
        z: (130_000 + Math.floor(index / 10) * 270_000) as never,
        up: 0 as never,
        turn: (index % 4) * 90,
      })),
    },
  ],
};
const hallDerived = derive(hall);
arrangedIn(hall, hallDerived, 'hall');
const dragged = await timed(121, (round) => {
  const layouts = hall.layouts.map((layout) => ({
    ...layout,
    placed: layout.placed.map((each, index) => (index === 17 ? { ...each, x: (each.x + round * 1_000) as never } : each)),
  }));
  arrangedIn({ ...hall, layouts }, hallDerived, 'hall');
});

/** A street of sideboards, one beside the other, of at least so many parts. */
const street = (count: number): readonly Part[] => {
  const made = derive(setWith('street', [PRESETS.find(({ key }) => key === 'sideboard')?.piece ?? {}])).pieces[0]?.made;
  const one = made?.assembly.parts ?? [];
  const width = made?.assembly.outside.max[0] ?? 0;
  return Array.from({ length: Math.ceil(count / one.length) }, (_, house) =>
    one.map((part): Part => {
      const [x, y, z] = part.pose.origin;
      return { ...part, id: `${part.id} ${house}`, pose: { ...part.pose, origin: [x + house * width, y, z] } };
    }),
  )
    .flat()
    .slice(0, count);
};
const growth: {
  readonly count: number;
  readonly contacts: Awaited<ReturnType<typeof timed>>;
  readonly interference: Awaited<ReturnType<typeof timed>>;
}[] = [];
for (const count of [100, 1_000, 5_000]) {
  const parts = street(count);
  growth.push({ count, contacts: await timed(7, () => findContacts(parts)), interference: await timed(7, () => findInterference(parts)) });
}

/** The same sixty, every part of them dressed: a third in printed brick, a third in wood grain, a third painted; every fourth covered once built. */
const dressed = ((): SetDocument => {
  const read = readSet({
    ...document,
    doll: { scale: { by: 'ratio', ratio: 6 } },
    finishes: [
      { id: 'brick', art: { kind: 'pattern', pattern: 'running bond' } },
      { id: 'wood', art: { kind: 'pattern', pattern: 'wood grain' } },
      { id: 'paint', how: 'paint', art: { kind: 'plain', ink: 'moss' } },
    ],
    pieces: document.pieces.map((piece, index) => ({
      ...piece,
      dress: {
        when: index % 4 === 3 ? 'built' : 'flat',
        wears: [
          { at: { kind: 'piece' }, finish: ['brick', 'wood', 'paint'][index % 3] },
          { at: { kind: 'role', role: 'back' }, finish: 'brick' },
        ],
      },
    })),
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
})();
const dressedPieces = derive(dressed);
const coverAll = await timed(25, () => deriveCoverings(dressed, dressedPieces));
const covered = deriveCoverings(dressed, dressedPieces);
const papers = covered.reduce((sum, { covering }) => sum + covering.papers.length, 0);
const coverOne = await timed(61, (round) => {
  const piece = dressed.pieces[(round * 7) % dressed.pieces.length] as Piece;
  const dress = {
    ...piece.dress,
    behind: true,
    wears: [...piece.dress.wears, { at: { kind: 'role', role: 'side' }, finish: 'wood', runs: 'turned', upTo: null }],
  };
  const now = applyEdit(dressed, { kind: 'change-piece', id: piece.id, change: { dress } as PieceChange }).document;
  deriveCoverings(now, derive(now, dressedPieces), covered);
});
const needs = await timed(5, () => paperNeeds(dressed, dressedPieces, covered));
const marbleLook = lookOf({ kind: 'pattern', pattern: 'marble', sizes: {}, inks: [], seed: 1 }, [], scaleFromRatio(6));
const marble = await timed(9, () => paintTones(marbleLook, { x0: 0, y0: 0, x1: 210_000, y1: 297_000 }));

const small = setOf(12);
const smallDerived = derive(small);
const smallParts = smallDerived.pieces.reduce((sum, { made }) => sum + (made?.assembly.parts.length ?? 0), 0);
const layOutSmall = await timed(7, () => layOutSet(small, smallDerived));
const layOutLarge = await timed(3, () => layOutSet(document, derive(document)));
const all = templatePages(small, smallDerived, { pieces: null });
const forty = [...all, ...all, ...all].slice(0, 40);
const impose = await timed(5, () => templatePages(small, smallDerived, { pieces: null }));
const pdf = await timed(7, () => writePdf(forty, fonts, 'bench'));
const printed = pagesOf(dressed, dressedPieces, { pieces: null, what: 'coverings' }, covered);
/** A hundred of such pages, each as often as it takes. */
const hundredOf = async (pages: typeof printed) => {
  const hundred = Array.from({ length: 100 }, (_, index) => pages[index % pages.length] as (typeof pages)[number]);
  let size = 0;
  const time = await timed(3, async () => {
    size = (await writePdf(hundred, fonts, 'bench')).length / 1e6;
  });
  return { time, size: size.toFixed(1) };
};
const isPainted = (marks: (typeof printed)[number]['marks']): boolean =>
  marks.some((mark) => mark.kind === 'tones' || (mark.kind === 'group' && isPainted(mark.marks)));
const drawnPages = await hundredOf(printed.filter(({ marks }) => !isPainted(marks)));
const paintedPages = await hundredOf(printed);

const ms = (value: number): string => value.toFixed(1);
const rows = [
  [`derive ${document.pieces.length} pieces, ${parts} parts, from nothing`, cold, '300'],
  ['one size changed in that set, derived again', changed, '16'],
  [`the middle one of ${alone.length} presets by itself (${middlePreset.name})`, middlePreset.time, '4'],
  [`the slowest preset by itself (${slowestPreset.name})`, slowestPreset.time, '4'],
  [`the middle one of ${nets.length} small goods, its nets and findings (${middleNet.name})`, middleNet.time, '2'],
  [`the slowest small good (${slowestNet.name})`, slowestNet.time, '2'],
  [`the middle one of ${sewn.length} things of cloth, its pattern and findings (${middleSewn.name})`, middleSewn.time, '2'],
  [`the slowest thing of cloth (${slowestSewn.name})`, slowestSewn.time, '2'],
  [`${clothPieces} pieces of cloth laid on their cloths`, laidOnCloth, '300'],
  ['200 books, no two alike: derived, drawn with titles, imposed', shelved, '500'],
  ['an outline of 2,000 points in three boards, one point moved, derived again', pointMoved, '16'],
  [`one thing dragged in a room of ${SIXTY}, the whole room judged again`, dragged, '16'],
  ...growth.flatMap(({ count, contacts, interference }) => [
    [`contacts of ${count} parts`, contacts, ''] as const,
    [`interference of ${count} parts`, interference, ''] as const,
  ]),
  [`coverings of ${dressed.pieces.length} pieces, ${papers} papers, from nothing`, coverAll, '300'],
  ['one piece of that set dressed otherwise', coverOne, '16'],
  ['what all its coverings take: pages, sheets, paint', needs, ''],
  ['an A4 page of marble at 300 dots to the inch', marble, '500'],
  [`lay out ${smallParts} parts (first layout)`, layOutSmall, '100'],
  [`lay out ${parts} parts`, layOutLarge, ''],
  [`write a PDF of 100 pages of patterns that are drawn, ${drawnPages.size} MB`, drawnPages.time, '2000'],
  [`the same, half of it wood grain at 300 dots to the inch, ${paintedPages.size} MB`, paintedPages.time, '2000'],
  [`make up ${all.length} pages`, impose, ''],
  [`write a PDF of ${forty.length} pages`, pdf, '2000'],
] as const;
const table = rows
  .map(
    ([name, { first, median: middle, least }, aim]) =>
      `| ${name} | ${ms(first)} | ${ms(middle)} | ${ms(least)} | ${(middle / cold.median).toFixed(3)} | ${aim} |`,
  )
  .join('\n');
const measured = `| what | first, ms | median after, ms | least, ms | ratio to the first row | aim, ms |\n|---|---|---|---|---|---|\n${table}\n`;
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
