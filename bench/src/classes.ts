// The ten published classes of two-dimensional bin packing, made anew by seed after their description: I–VI Berkey & Wang, "Two-dimensional
// finite bin-packing algorithms" (1987); VII–X Martello & Vigo, "Exact solution of the two-dimensional finite bin packing problem" (1998).
// Recalled from memory. Ten instances each for 20, 40, 60, 80 and 100 items: 500 in all.
import { seededRandom } from '@parlor/core/kit';

export type Instance = { readonly side: number; readonly items: readonly { readonly width: number; readonly height: number }[] };

type Draw = (from: number, to: number) => number;

/** Classes I–VI: both sides alike up to so many, on a square sheet of so many. */
const EVEN: readonly (readonly [most: number, side: number])[] = [
  [10, 10],
  [10, 30],
  [35, 40],
  [35, 100],
  [100, 100],
  [100, 300],
];

const SIDE = 100;

/** The four types that classes VII–X mix: one with seven tenths, the others with a tenth each. */
const TYPES: readonly ((draw: Draw) => readonly [width: number, height: number])[] = [
  (draw) => [draw(Math.ceil((2 * SIDE) / 3), SIDE), draw(1, SIDE / 2)],
  (draw) => [draw(1, SIDE / 2), draw(Math.ceil((2 * SIDE) / 3), SIDE)],
  (draw) => [draw(SIDE / 2, SIDE), draw(SIDE / 2, SIDE)],
  (draw) => [draw(1, SIDE / 2), draw(1, SIDE / 2)],
];

const mixed = (main: number, random: () => number): number => {
  const at = random();
  if (at < 0.7) return main;
  const others = [0, 1, 2, 3].filter((type) => type !== main);
  return others[Math.min(2, Math.floor((at - 0.7) * 10))] as number;
};

/** All instances of a class, 1 to 10. */
export const instancesOf = (kind: number): readonly Instance[] =>
  [20, 40, 60, 80, 100].flatMap((count) =>
    Array.from({ length: 10 }, (_, number): Instance => {
      const random = seededRandom(kind * 10_000 + count * 100 + number);
      const draw: Draw = (from, to) => from + Math.floor(random() * (to - from + 1));
      const [most, side] = EVEN[kind - 1] ?? [0, SIDE];
      const items = Array.from({ length: count }, () => {
        const [width, height] =
          kind <= 6 ? [draw(1, most), draw(1, most)] : (TYPES[mixed(kind - 7, random)] as (typeof TYPES)[number])(draw);
        return { width, height };
      });
      return { side, items };
    }),
  );
