import { UM, type Units } from '@parlor/core/measure';

/** A tick of a rule: where it stands in pixels, how long it is, and its number when it has one. */
export type Tick = { readonly x: number; readonly rank: 0 | 1 | 2; readonly label: string | null };

/** Distances that ticks may have, from small to large, in the unit. */
const STEPS = {
  in: [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 3, 6, 12, 24, 60, 120],
  mm: [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000],
  cm: [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200],
} as const;

const atLeast = (steps: readonly number[], least: number): number => steps.find((step) => step >= least) ?? (steps.at(-1) as number);

/** Ticks for a rule `width` pixels long on which `perPx` micrometres of its world lie in a pixel. Ticks stand at least 6 px apart and
 *  numbers at least 54. */
export const ruleTicks = (width: number, perPx: number, units: Units): readonly Tick[] => {
  const unit = UM[units.unit];
  const fine = atLeast(STEPS[units.unit], (6 * perPx) / unit);
  const numbered = atLeast(
    STEPS[units.unit].filter((step) => Number.isInteger(Math.round((step / fine) * 1e6) / 1e6)),
    (54 * perPx) / unit,
  );
  const every = Math.round(numbered / fine);
  const count = Math.floor((width * perPx) / (fine * unit));
  return Array.from({ length: count + 1 }, (_, index): Tick => {
    const main = index % every === 0;
    return {
      x: (index * fine * unit) / perPx,
      rank: main ? 2 : index % Math.max(1, every / 2) === 0 ? 1 : 0,
      label: main ? String(Number((index * fine).toFixed(3))) : null,
    };
  });
};
