// µm on paper, origin at the page's lower left corner, y up.
import type { Affine, Iso, Look, SignFace } from '../cover/index.ts';
import type { Point, Rect, Region, Ring } from '../shape/index.ts';
import type { PrintStock } from '../stock/index.ts';
import { textWidth } from './letterWidths.ts';

/** What a line is for. Each has a dash and weight of its own, so that colour is never needed to tell them apart. */
export type LineStyle =
  | 'cut'
  | 'guide'
  | 'guide-behind'
  | 'join'
  | 'bar'
  | 'map'
  | 'score'
  | 'fold'
  | 'valley'
  | 'stitch'
  | 'glue'
  | 'centre'
  | 'axis';

export type LineMark = { readonly kind: 'line'; readonly style: LineStyle; readonly points: Ring; readonly closed: boolean };

/** Text by the middle of its line; `size` is the height of the face, `angle` 0 or 90 degrees counter-clockwise. */
export type TextMark = {
  readonly kind: 'text';
  readonly text: string;
  readonly at: Point;
  readonly size: number;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly angle: 0 | 90;
};

/** An area in one colour, by the even-odd rule. */
export type FillMark = { readonly kind: 'fill'; readonly colour: string; readonly rings: readonly Ring[] };

/** A look of tones over a window of its pattern, and where the pattern lies on the page. It is painted by whoever shows it, as finely as needed. */
export type TonesMark = { readonly kind: 'tones'; readonly look: Look; readonly window: Rect; readonly place: Iso };

/** A maker's own picture: `matrix` brings its unit square, y up, to the page. */
export type PictureMark = { readonly kind: 'picture'; readonly picture: string; readonly matrix: Affine };

/** Lines of words, as large as a box of `width` × `height` lets them be; `matrix` brings the box, its lower left corner at the origin, to the
 *  page. Whoever draws them measures them with the very face. */
export type WordsMark = {
  readonly kind: 'words';
  readonly lines: readonly string[];
  readonly face: SignFace;
  readonly align: 'left' | 'middle';
  readonly colour: string;
  readonly width: number;
  readonly height: number;
  readonly matrix: Affine;
};

/** Marks of which only what lies inside the clip is seen, by the even-odd rule. */
export type GroupMark = { readonly kind: 'group'; readonly clip: readonly Ring[]; readonly marks: readonly Mark[] };

export type Mark = LineMark | TextMark | FillMark | TonesMark | PictureMark | WordsMark | GroupMark;

/** Something to be printed at true size, its lower left corner at the origin; the tag is what pages are found by. */
export type Drawing = {
  readonly tag: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly marks: readonly Mark[];
  /** What of the rectangle it takes up, where that is not all. */
  readonly outline?: Region;
  /** How much of it is solid ink: the area that would be if all its ink were black, in µm². */
  readonly ink?: number;
  /** What it is printed on; plain paper where nothing is said. */
  readonly on?: PrintStock;
  /** What is printed behind it where both sides are, as it is seen from behind. */
  readonly back?: readonly Mark[];
  /** Where its pattern begins anew, across and up: tiles meet there. */
  readonly repeats?: { readonly x: Repeat | null; readonly y: Repeat | null };
};

/** Lines of a pattern: one at `from`, and one at every step from there. */
export type Repeat = { readonly from: number; readonly step: number };

/** A page as it is printed: its size, what stands on it, which parts it shows, and what it is printed on. All stands where it is to lie on the
 *  paper; whoever prints it draws it larger by the correction, from the middle of the page. */
export type Page = {
  readonly width: number;
  readonly height: number;
  readonly marks: readonly Mark[];
  readonly title: string;
  readonly parts: readonly string[];
  readonly on: PrintStock;
  /** The share of the page that would be black if all its ink were. */
  readonly ink: number;
  readonly correction: readonly [number, number];
};

/** What lines, words and areas are for: whoever cuts, folds or only looks takes the layers that are needed. From the lowest up. */
export const PAGE_LAYERS = ['art', 'glue', 'guide', 'score', 'cut', 'text'] as const;
export type PageLayer = (typeof PAGE_LAYERS)[number];

const LAYER_OF_LINE: Readonly<Record<LineStyle, PageLayer>> = {
  cut: 'cut',
  score: 'score',
  fold: 'score',
  valley: 'score',
  glue: 'glue',
  guide: 'guide',
  stitch: 'guide',
  'guide-behind': 'guide',
  centre: 'guide',
  axis: 'guide',
  join: 'guide',
  bar: 'guide',
  map: 'guide',
};

/** The words among marks, also within groups. */
export const wordsIn = (marks: readonly Mark[]): readonly WordsMark[] =>
  marks.flatMap((mark) => (mark.kind === 'words' ? [mark] : mark.kind === 'group' ? wordsIn(mark.marks) : []));

/** The layer that a mark lies on. */
export const layerOf = (mark: Mark): PageLayer =>
  mark.kind === 'line' ? LAYER_OF_LINE[mark.style] : mark.kind === 'text' ? 'text' : 'art';

/** Marks by the layers that they lie on, the lowest first; layers without any are left out. */
export const byLayer = (marks: readonly Mark[]): readonly (readonly [PageLayer, readonly Mark[]])[] =>
  PAGE_LAYERS.flatMap((layer) => {
    const its = marks.filter((mark) => layerOf(mark) === layer);
    return its.length > 0 ? [[layer, its] as const] : [];
  });

/** Line weight and dashes, in µm. */
export const LINE_STYLES: Readonly<
  Record<LineStyle, { readonly weight: number; readonly dash: readonly number[]; readonly colour: string }>
> = {
  cut: { weight: 250, dash: [], colour: '#2b2440' },
  guide: { weight: 150, dash: [2000, 900], colour: '#55753f' },
  'guide-behind': { weight: 150, dash: [500, 900], colour: '#6b6278' },
  join: { weight: 150, dash: [3500, 900, 500, 900], colour: '#b0435a' },
  bar: { weight: 200, dash: [], colour: '#6b6278' },
  map: { weight: 120, dash: [], colour: '#6b6278' },
  score: { weight: 200, dash: [1400, 1400], colour: '#b0435a' },
  fold: { weight: 110, dash: [900, 700], colour: '#6b6278' },
  valley: { weight: 110, dash: [2200, 500, 250, 500], colour: '#6b6278' },
  stitch: { weight: 160, dash: [1200, 500, 400, 500], colour: '#2b2440' },
  glue: { weight: 90, dash: [300, 500], colour: '#55753f' },
  centre: { weight: 150, dash: [], colour: '#2b2440' },
  axis: { weight: 110, dash: [5000, 900, 900, 900], colour: '#2f6d86' },
};

export const line = (style: LineStyle, points: Ring, closed = false): LineMark => ({ kind: 'line', style, points, closed });

/** The rectangle that words take up: capitals and what hangs below them, as the line's middle lies. */
export const textBox = ({ text, at: [x, y], size, anchor, angle }: TextMark): Rect => {
  const width = textWidth(text, size);
  const before = { start: 0, middle: width / 2, end: width }[anchor];
  const [low, high] = [0.45 * size, 0.42 * size];
  return angle === 0
    ? { x0: x - before, x1: x - before + width, y0: y - low, y1: y + high }
    : { x0: x - high, x1: x + low, y0: y - before, y1: y - before + width };
};

/** Lines stand this much of their size apart. */
export const LINE_HEIGHT = 1.2;

/** How large words are written so that they fill a box, and where each line's middle lies from its lower edge.
 *  Shape: the lines' widths at size 1, the box → the size and one height for each line. */
export const fittedWords = (
  widths: readonly number[],
  { width, height }: { readonly width: number; readonly height: number },
): { readonly size: number; readonly middles: readonly number[] } => {
  const size = Math.min(width / Math.max(1e-6, ...widths), height / (LINE_HEIGHT * widths.length));
  const whole = size * LINE_HEIGHT * widths.length;
  return { size, middles: widths.map((_, line) => (height + whole) / 2 - (line + 0.5) * size * LINE_HEIGHT) };
};
