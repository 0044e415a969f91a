// µm on paper. Where a net is glued: a hatch on each tab, and the number in which it is glued.
import type { Net, NetTab } from '../net/index.ts';
import { bounds, less, type Point, type Rect, type Region, type Ring, rectRing } from '../shape/index.ts';
import { type Placer, placerFor, wordsWithin } from './labels.ts';
import { type LineMark, line, type Mark } from './page.ts';

const NUMBER = 2_000;

/** A number that does not fit onto its tab stands no farther from it than this. */
const NEAR = 15_000;

type Corners = readonly [Point, Point, Point, Point];

/** A tab is a quadrilateral. */
const cornersOf = ({ outline: [a, b, c, d] }: NetTab): Corners => {
  if (!a || !b || !c || !d) throw new Error('a tab has four corners');
  return [a, b, c, d];
};

const middleOf = ([a, b, c, d]: Corners): Point => [(a[0] + b[0] + c[0] + d[0]) / 4, (a[1] + b[1] + c[1] + d[1]) / 4];

const hatchOf = ([a, b, c, d]: Corners): LineMark =>
  line(
    'glue',
    [0.15, 0.3, 0.45, 0.6, 0.75, 0.9].map((share, step): Point => {
      const [from, to] = step % 2 === 0 ? ([a, d] as const) : ([b, c] as const);
      return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
    }),
  );

/** What of the paper round a tab is not cut out with the net, within the net's own box. */
const besideTab = (corners: Corners, cut: readonly Region[], { x0, y0, x1, y1 }: Rect): readonly Region[] => {
  const box = bounds(corners);
  const round = rectRing(
    Math.max(x0, box.x0 - NEAR),
    Math.max(y0, box.y0 - NEAR),
    Math.min(x1, box.x1 + NEAR),
    Math.min(y1, box.y1 + NEAR),
  );
  return less({ outline: round, holes: [] }, cut);
};

const numberMarks = (placer: Placer, corners: Corners, number: number, cut: readonly Region[], box: Rect): readonly Mark[] => {
  const middle = middleOf(corners);
  const words = [[{ text: String(number), size: NUMBER }]];
  const own = wordsWithin(placer, { outline: corners.map(([x, y]): Point => [Math.round(x), Math.round(y)]), holes: [] }, words, middle);
  if (own) return own;
  for (const region of besideTab(corners, cut, box)) {
    const beside = wordsWithin(placer, region, words, middle);
    const at = beside?.[0]?.at;
    if (beside && at) return [...beside, line('map', [[at[0], at[1] + NUMBER * 0.3], middle])];
  }
  return [];
};

/** The hatch and the number of each tab: on it where it fits, else beside the net with a line to it.
 *  Shape: a net and what is cut of it → marks in the net's own places. A number that finds no room within the net's box is left out. */
export const tabMarks = ({ tabs, hinges }: Net, cut: readonly Region[]): readonly Mark[] => {
  if (tabs.length === 0) return [];
  const hatches = tabs.map((tab) => hatchOf(cornersOf(tab)));
  const placer = placerFor([
    ...hatches.map(({ points }) => ({ points, closed: false })),
    ...hinges.map(({ from, to }) => ({ points: [from, to] as Ring, closed: false })),
    ...cut.map(({ outline }) => ({ points: outline, closed: true })),
  ]);
  const box = bounds(cut.flatMap(({ outline }) => outline));
  return [...hatches, ...tabs.flatMap((tab, index) => numberMarks(placer, cornersOf(tab), index + 1, cut, box))];
};
