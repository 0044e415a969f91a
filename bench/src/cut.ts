// How near to the least possible the boards and sticks come: the published classes, makers' furniture, sheets cut apart without waste, and
// orders of sticks. The plain packer of the registry runs beside it. Figures go to docs/benchmarks.md; nothing here decides a test.
// With a number as argument only every so many-th instance is looked at.
import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { cutSticks, layOut, leastSheets, type Solver, solverFrom, USUAL_WISHES } from '@parlor/core/cut';
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

const classRows = (['drawn', 'either'] as const).flatMap((lies) => {
  const turns = lies === 'either';
  // The bound is the same for both ways of cutting, and for the plain packer.
  const least = classes.map((all) =>
    all.map(({ side, items }) =>
      leastSheets(
        items.map((item) => ({ ...item, turns, count: 1 })),
        { width: side, height: side },
        'thorough',
      ),
    ),
  );
  const total = least.flat().reduce((sum, each) => sum + each, 0);
  const rows = (['free', 'straight'] as const).map((mode) => {
    let [proven, longest] = [0, 0];
    const per = classes.map((all, kind) => {
      const bins = all.map(({ side, items }, at) => {
        const start = performance.now();
        const count = inASecond(items, [{ width: side, height: side }], mode, turns).sheets.length;
        longest = Math.max(longest, performance.now() - start);
        if (count === least[kind]?.[at]) proven += 1;
        return count;
      });
      return bins.reduce((sum, each) => sum + each, 0);
    });
    const sum = per.reduce((a, b) => a + b, 0);
    const ratios = per.map((bins, kind) => (bins / (least[kind] ?? []).reduce((a, b) => a + b, 0)).toFixed(3)).join(' ');
    return [
      `${turns ? 'rotation' : 'no rotation'}, ${mode}`,
      sum,
      total,
      (sum / total).toFixed(4),
      proven,
      `${longest.toFixed(0)} ms`,
      ratios,
    ];
  });
  const plain = classes.flat().reduce((sum, instance) => sum + plainPacker(instance, turns), 0);
  return [
    ...rows,
    [`${turns ? 'rotation' : 'no rotation'}, the registry’s plain packer`, plain, total, (plain / total).toFixed(4), '', '', ''],
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
  table([`${instances} instances`, 'sheets', 'bound', 'ratio', 'proven', 'longest', 'classes I to X'], classRows),
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
