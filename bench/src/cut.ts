// How near to the least possible the boards and sticks come: the published classes, makers' furniture, sheets cut apart without waste, and
// orders of sticks. The plain packer of the registry runs beside it. Figures go to docs/benchmarks.md; nothing here decides a test.
// With a number as argument only every so many-th instance is looked at; a second one says how many seconds a sharper bound may take.
import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { cutSticks, layOut, leastSheets, provesInfeasible, type Solver, solverFrom, USUAL_WISHES } from '@parlor/core/cut';
import { seededRandom } from '@parlor/core/kit';
import loadHighs from 'highs';
import { MaxRectsPacker } from 'maxrects-packer';
import { type Instance, instancesOf } from './classes.ts';

const STEP = Number(process.argv[2] ?? 1);
const SECOND = 1_000;
const solve: Solver = solverFrom(await loadHighs());

type Mode = 'free' | 'straight';
type Size = { readonly width: number; readonly height: number };

const rulesFor = (mode: Mode, gap = 0) => ({ gap, trim: { left: 0, right: 0, bottom: 0, top: 0 }, mode, wishes: USUAL_WISHES });

/** One second for all of it, bounds and solver included. */
const inASecond = (items: readonly Size[], sheets: readonly Size[], mode: Mode, turns: boolean, gap = 0) => {
  const start = performance.now();
  return layOut(
    items.map(({ width, height }, index) => ({
      id: String(index).padStart(4, '0'),
      width,
      height,
      lies: turns ? ('either' as const) : ('drawn' as const),
    })),
    sheets.map(({ width, height }, index) => ({ name: String(index), width, height, price: null, atHand: 0, offcut: null })),
    rulesFor(mode, gap),
    {
      random: seededRandom(1),
      tries: 1e9,
      goOn: () => performance.now() - start < 0.85 * SECOND,
      choose: { solve, seconds: 0.1 },
    },
  );
};

const plainPacker = ({ side, items }: Instance, turns: boolean): number => {
  const packer = new MaxRectsPacker(side, side, 0, { smart: false, pot: false, square: false, allowRotation: turns });
  packer.addArray(
    [...items].sort((a, b) => b.width * b.height - a.width * a.height).map(({ width, height }) => ({ width, height, x: 0, y: 0 })) as never,
  );
  return packer.bins.length;
};

const classes = Array.from({ length: 10 }, (_, index) => instancesOf(index + 1).filter((_each, at) => at % STEP === 0));

/** How long a bound may be looked for where no single pair of functions met the sheets that were found; not counted in the search. */
const PROVING = Number(process.argv[3] ?? 60);

/** The least number of sheets for each instance: by pairs of functions, then by what all of them allow at once. `found` are the fewest sheets
 *  of any layout, by what lies on them. */
const sharpened = ({ side, items }: Instance, turns: boolean, least: number, found: readonly (readonly number[])[]): number => {
  if (found.length <= least) return least;
  const keyOf = ({ width, height }: Size) => (turns ? [Math.max(width, height), Math.min(width, height)] : [width, height]).join(' ');
  const kinds = [...new Set(items.map(keyOf))];
  const counted = kinds.map((kind) => {
    const [width, height] = kind.split(' ').map(Number) as [number, number];
    return { width, height, turns, count: items.filter((item) => keyOf(item) === kind).length };
  });
  const known = found.map((sheet) => kinds.map((kind) => sheet.filter((item) => keyOf(items[item] as Size) === kind).length));
  const began = performance.now();
  const left = () => PROVING - (performance.now() - began) / 1000;
  return provesInfeasible(counted, { width: side, height: side }, found.length - 1, known, solve, left) ? found.length : least;
};

const MODES = ['free', 'straight'] as const;
const sum = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);

/** What both ways of cutting came to for one instance, and the bounds; the sharper one is looked for when nothing is timed any more. */
const searched = (['drawn', 'either'] as const).map((lies) => {
  const turns = lies === 'either';
  return classes.map((all) =>
    all.map((instance) => {
      const { side, items } = instance;
      const sheet = { width: side, height: side };
      const least = leastSheets(
        items.map((item) => ({ ...item, turns, count: 1 })),
        sheet,
        'thorough',
      );
      const laid = MODES.map((mode) => {
        const start = performance.now();
        const { sheets } = inASecond(items, [sheet], mode, turns);
        return { sheets: sheets.map(({ placements }) => placements.map(({ id }) => Number(id))), time: performance.now() - start };
      });
      const [fewest] = laid.map(({ sheets }) => sheets).sort((a, b) => a.length - b.length);
      return { instance, least, laid, plain: plainPacker(instance, turns), fewest: fewest ?? [] };
    }),
  );
});
const classRows = searched.flatMap((kinds, index) => {
  const turns = index === 1;
  const name = turns ? 'rotation' : 'no rotation';
  const least = kinds.map((all) => all.map((each) => sharpened(each.instance, turns, each.least, each.fewest)));
  const total = sum(least.flat());
  const pairs = sum(kinds.flat().map((each) => each.least));
  const row = (what: string, counts: readonly (readonly number[])[], longest: string) => {
    const bins = sum(counts.flat());
    return [
      `${name}, ${what}`,
      bins,
      pairs,
      total,
      (bins / total).toFixed(4),
      sum(counts.map((all, kind) => all.filter((count, at) => count === least[kind]?.[at]).length)),
      longest,
      counts.map((all, kind) => (sum(all) / sum(least[kind] ?? [])).toFixed(3)).join(' '),
    ];
  };
  return [
    ...MODES.map((mode, at) =>
      row(
        mode,
        kinds.map((all) => all.map(({ laid }) => laid[at]?.sheets.length ?? 0)),
        `${Math.max(...kinds.flat().map(({ laid }) => laid[at]?.time ?? 0)).toFixed(0)} ms`,
      ),
    ),
    row(
      'the registry’s plain packer',
      kinds.map((all) => all.map(({ plain }) => plain)),
      '',
    ),
  ];
});
const instances = classes.flat().length;

const INCH = 25_400;
const SHEETS: readonly Size[] = [
  { width: 20 * INCH, height: 30 * INCH },
  { width: 18 * INCH, height: 24 * INCH },
  { width: 297_000, height: 420_000 },
];

/** Carcass furniture: pairs of sides, tops and bottoms, shelves, a back, and strips 12 mm wide. */
const furniture = (count: number, seed: number): readonly Size[] => {
  const random = seededRandom(seed);
  const between = (from: number, to: number) => Math.round(from + random() * (to - from));
  const parts: Size[] = [];
  while (parts.length < count) {
    const [wide, high, deep] = [between(60_000, 200_000), between(80_000, 280_000), between(40_000, 110_000)];
    parts.push({ width: deep, height: high }, { width: deep, height: high }, { width: wide, height: deep }, { width: wide, height: deep });
    for (let shelf = 0; shelf < between(0, 4); shelf += 1) parts.push({ width: wide - 9_600, height: deep });
    parts.push({ width: wide, height: high }, { width: 12_000, height: wide });
  }
  return parts.slice(0, count);
};

const craftRows = [10, 50, 100, 200].flatMap((count) =>
  [
    [true, 0],
    [false, 3_000],
  ].map(([turns, gap]) => {
    let [sheets, proven, area, used] = [0, 0, 0, 0];
    for (let seed = 0; seed < 5; seed += 1) {
      const items = furniture(count, seed + 1);
      const laid = inASecond(items, SHEETS, 'straight', turns as boolean, gap as number);
      sheets += laid.sheets.length;
      if (laid.proven) proven += 1;
      area += laid.sheets.reduce((sum, { kind }) => sum + kind.width * kind.height, 0);
      used += items.reduce((sum, { width, height }) => sum + width * height, 0);
    }
    return [
      `${count} parts, ${turns ? 'no grain, no gap' : 'grain, 3 mm gap'}`,
      sheets,
      `${((100 * used) / area).toFixed(1)} %`,
      `${proven} of 5`,
    ];
  }),
);

/** A square cut apart at random, edge to edge, into so many parts without waste. */
const dissected = (count: number, seed: number): readonly Size[] => {
  const random = seededRandom(seed);
  const parts: Size[] = [{ width: 500_000, height: 500_000 }];
  while (parts.length < count) {
    const largest = parts.reduce(
      (best, part, index) => (part.width * part.height > (parts[best] as Size).width * (parts[best] as Size).height ? index : best),
      0,
    );
    const { width, height } = parts[largest] as Size;
    const share = 0.3 + random() * 0.4;
    const cut = (side: number) => Math.round((side * share) / 1_000) * 1_000;
    const halves =
      width > height
        ? [
            { width: cut(width), height },
            { width: width - cut(width), height },
          ]
        : [
            { width, height: cut(height) },
            { width, height: height - cut(height) },
          ];
    parts.splice(largest, 1, ...halves);
  }
  return parts;
};

const dissectionRows = [8, 16, 32, 64].map((count) => {
  const solved = (mode: Mode): number =>
    Array.from(
      { length: 10 },
      (_, seed) => inASecond(dissected(count, seed + 1), [{ width: 500_000, height: 500_000 }], mode, true).sheets.length,
    ).filter((sheets) => sheets === 1).length;
  return [`${count} parts of one square`, `${solved('free')} of 10`, `${solved('straight')} of 10`];
});

const stickTimes: number[] = [];
let [stickProven, orders] = [0, 0];
const random = seededRandom(73);
for (let order = 0; order < 500; order += STEP) {
  const count = 20 + Math.floor(random() * 181);
  const kinds = Array.from({ length: 3 + Math.floor(random() * 25) }, () => 8_000 + Math.floor(random() * 180) * 1_000);
  const items = Array.from({ length: count }, (_, index) => ({
    id: `p${index}`,
    length: kinds[Math.floor(random() * kinds.length)] as number,
  }));
  const start = performance.now();
  const { sticks, least } = cutSticks(items, { length: 305_000, ends: 0, kerf: 1_000 }, solve);
  stickTimes.push(performance.now() - start);
  orders += 1;
  if (sticks.length === least) stickProven += 1;
}
stickTimes.sort((a, b) => a - b);
const share = (part: number): string =>
  `${(stickTimes[Math.min(stickTimes.length - 1, Math.floor(stickTimes.length * part))] as number).toFixed(0)} ms`;

const table = (head: readonly string[], rows: readonly (readonly unknown[])[]): string =>
  [head, head.map(() => '---'), ...rows].map((row) => `| ${row.join(' | ')} |`).join('\n');
const measured = [
  table([`${instances} instances`, 'sheets', 'bound by pairs', 'best bound', 'ratio', 'proven', 'longest', 'classes I to X'], classRows),
  table(['makers’ furniture, five orders each, three sizes of sheet', 'sheets', 'used', 'proven'], craftRows),
  table(['no waste at all', 'solved, free', 'solved, straight'], dissectionRows),
  table(
    ['sticks', 'proven', 'median', '95 %', '99 %', 'longest'],
    [[`${orders} orders of 20 to 200 pieces`, stickProven, share(0.5), share(0.95), share(0.99), share(1)]],
  ),
].join('\n\n');
process.stdout.write(`${measured}\n`);

const file = join(dirname(fileURLToPath(import.meta.url)), '../../docs/benchmarks.md');
const page = readFileSync(file, 'utf8');
writeFileSync(
  file,
  page.replace(/(<!-- cut -->\n)[\s\S]*?(<!-- \/cut -->)/, (_all, open, close) => `${open}${measured}\n${close}`),
);
