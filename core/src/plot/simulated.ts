// A cutting machine made of arithmetic. Millimetres, y up, the bed's near left corner at the origin.
import type { Point } from '../shape/index.ts';
import type { ReadPlot, ReadStroke } from './readPlot.ts';

/** What the machine does along a line. What only is pencilled or glued, and words, it leaves alone. */
export type MachineAction = 'cuts' | 'scores' | 'leaves';

const DOING: Readonly<Record<string, MachineAction>> = {
  cut: 'cuts',
  score: 'scores',
  fold: 'scores',
  guide: 'leaves',
  glue: 'leaves',
  text: 'leaves',
  sheet: 'leaves',
};

/** A line in the order in which it is made; `beyond` where some of it lies off the bed. */
export type MadeStroke = ReadStroke & { readonly doing: MachineAction; readonly beyond: boolean; readonly length: number };

/** What comes of a file on a machine: every line in turn, how far the blade goes in the material and above it, and what falls off the bed. */
export type Trial = {
  readonly strokes: readonly MadeStroke[];
  readonly cut: number;
  readonly scored: number;
  readonly travel: number;
  readonly beyond: number;
};

const distance = (a: Point, b: Point): number => Math.hypot(b[0] - a[0], b[1] - a[1]);

const lengthOf = ({ points, closed }: ReadStroke): number =>
  points.reduce((sum, point, index) => {
    const next = points[index + 1] ?? (closed ? points[0] : undefined);
    return next ? sum + distance(point, next) : sum;
  }, 0);

/** Half a hair: lines that end on the bed's edge lie on it. */
const EDGE = 0.02;

const ORDER: readonly MachineAction[] = ['leaves', 'scores', 'cuts'];

/** Runs a file on a machine with a bed of this size: what is scored before what is cut, each in the file's order. */
export const tryPlot = (plot: ReadPlot, bed: { readonly width: number; readonly height: number }): Trial => {
  const within = ([x, y]: Point): boolean => x >= -EDGE && y >= -EDGE && x <= bed.width + EDGE && y <= bed.height + EDGE;
  const strokes = plot.strokes
    .map(
      (stroke): MadeStroke => ({
        ...stroke,
        doing: DOING[stroke.layer.toLowerCase()] ?? 'cuts',
        beyond: !stroke.points.every(within),
        length: lengthOf(stroke),
      }),
    )
    .sort((a, b) => ORDER.indexOf(a.doing) - ORDER.indexOf(b.doing));
  let [at, travel]: [Point, number] = [[0, 0], 0];
  for (const { doing, points, closed } of strokes) {
    if (doing === 'leaves') continue;
    travel += distance(at, points[0] as Point);
    at = (closed ? points[0] : points.at(-1)) as Point;
  }
  const sum = (doing: MachineAction) => strokes.reduce((all, stroke) => (stroke.doing === doing ? all + stroke.length : all), 0);
  return {
    strokes,
    cut: sum('cuts'),
    scored: sum('scores'),
    travel,
    beyond: strokes.filter(({ beyond, doing }) => beyond && doing !== 'leaves').length,
  };
};
