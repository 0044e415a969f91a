// µm on paper. What every drawing of a paper has: ink that goes on beyond the cut, and its name below.
import { fitText, textWidth } from './letterWidths.ts';
import type { Mark } from './page.ts';

/** The ink goes on this far beyond the cut, so that no white shows where scissors stray. */
export const BLEED = 1_000;
/** Room for the name below. */
export const NAME_ROOM = 4_200;
const NAME_SIZE = 2_300;
/** Scores are shown by ticks at their ends: a dashed line would be seen on the finished edge. */
export const TICK = 1_600;
const LEAST_WIDTH = 12_000;

/** A name as it is cut to a drawing's width, and the size in which it is written. */
export const nameFor = (text: string, width: number): { readonly text: string; readonly size: number } => ({
  text: fitText(text, NAME_SIZE, Math.max(width, LEAST_WIDTH)),
  size: NAME_SIZE,
});

/** How wide a drawing so wide is with its name below it. */
export const widthWithName = (name: string, width: number): number => {
  const { text, size } = nameFor(name, width);
  return Math.max(width, Math.ceil(textWidth(text, size)));
};

/** A name in the room below a drawing of that width. */
export const nameBelow = (text: string, width: number): Mark => ({
  kind: 'text',
  ...nameFor(text, width),
  at: [0, NAME_ROOM / 2 - 600],
  anchor: 'start',
  angle: 0,
});
