// µm on paper, origin at the page's lower left corner, y up.
import type { Affine, Iso, Look, SignFace } from '../cover/index.ts';
import type { Point, Rect, Ring } from '../shape/index.ts';

/** What a line is for. Each has a dash and weight of its own, so that colour is never needed to tell them apart. */
export type LineStyle = 'cut' | 'guide' | 'guide-behind' | 'join' | 'bar' | 'map' | 'score' | 'glue' | 'centre';

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
};

/** A page as it is printed: its size and what stands on it, and which parts it shows. */
export type Page = { readonly width: number; readonly height: number; readonly marks: readonly Mark[]; readonly title: string };

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
  glue: { weight: 90, dash: [300, 500], colour: '#55753f' },
  centre: { weight: 150, dash: [], colour: '#2b2440' },
};

export const line = (style: LineStyle, points: Ring, closed = false): LineMark => ({ kind: 'line', style, points, closed });

/** The share of its size that a letter is wide, on the average; enough to judge whether words fit. */
const LETTER_WIDTH = 0.54;

export const textWidth = (text: string, size: number): number => [...text].length * size * LETTER_WIDTH;

/** Words cut to a width, with an ellipsis where they had to be. */
export const fitText = (text: string, size: number, width: number): string => {
  const room = Math.floor(width / (size * LETTER_WIDTH));
  const signs = [...text];
  return signs.length <= room ? text : `${signs.slice(0, Math.max(0, room - 1)).join('')}…`;
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
