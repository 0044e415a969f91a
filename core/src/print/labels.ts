// µm. Where words stand on a drawing: within the region that they name, on no other words, and on no line where that can be. One placer for all drawings.
import { asRect, bounds, enters, liesIn, type Point, type Rect, type Region, type Ring } from '../shape/index.ts';
import { textWidth } from './letterWidths.ts';
import { line, type Mark, type TextMark, textBox } from './page.ts';

/** Something that wants room: how wide and high it is as it is read. */
export type Block = { readonly width: number; readonly height: number };

/** Where a block's middle stands, and whether it is turned to be read from the right. */
export type Spot = { readonly at: Point; readonly angle: 0 | 90 };

export type Placer = {
  /** The first place within a region where a block lies on no other, nearest to a point of it (its middle, where none is said); `shy` keeps it off lines.
   *  The place is taken from then on. Nothing where there is none. */
  readonly spot: (region: Region, block: Block, shy: boolean, near?: Point) => Spot | null;
  /** Takes a rectangle that something else stands in. */
  readonly take: (rect: Rect) => void;
};

/** Words keep this far from other words and from lines. */
const AIR = 350;

const apart = (a: Rect, b: Rect): boolean => a.x0 >= b.x1 || b.x0 >= a.x1 || a.y0 >= b.y1 || b.y0 >= a.y1;

const grownBy = ({ x0, y0, x1, y1 }: Rect, by: number): Rect => ({ x0: x0 - by, y0: y0 - by, x1: x1 + by, y1: y1 + by });

type Line = { readonly ring: Ring; readonly closed: boolean; readonly box: Rect };

const meets = ({ ring, closed, box }: Line, rect: Rect): boolean => {
  if (box.x0 > rect.x1 || box.x1 < rect.x0 || box.y0 > rect.y1 || box.y1 < rect.y0) return false;
  const ends = closed ? ring.length : ring.length - 1;
  for (let index = 0; index < ends; index += 1)
    if (enters(ring[index] as Point, ring[(index + 1) % ring.length] as Point, rect)) return true;
  return false;
};

/** So many places are tried along a side, and no closer than this; fewer in an outline of many corners, where each costs more. */
const TRIES = 17;
const FEWER_TRIES = 7;
const MANY_CORNERS = 60;
const STEP = 700;

const along = (from: number, to: number, most: number): readonly number[] => {
  if (to <= from) return [(from + to) / 2];
  const count = Math.max(2, Math.min(most, Math.floor((to - from) / STEP) + 1));
  return Array.from({ length: count }, (_, index) => from + ((to - from) * index) / (count - 1));
};

/** Middles that a block of this size may have within a box, the nearest to a point first: that one does mostly, and the others are not asked for. */
function* middles({ x0, y0, x1, y1 }: Rect, [wide, high]: readonly [number, number], [nx, ny]: Point, most: number): Generator<Point> {
  if (wide > x1 - x0 || high > y1 - y0) return;
  const clamp = (value: number, low: number, top: number): number => Math.min(Math.max(value, low), top);
  const [left, right, low, top] = [x0 + wide / 2, x1 - wide / 2, y0 + high / 2, y1 - high / 2];
  yield [clamp(nx, left, right), clamp(ny, low, top)];
  const others = along(left, right, most).flatMap((x) => along(low, top, most).map((y): Point => [x, y]));
  const far = ([x, y]: Point): number => (x - nx) ** 2 + (y - ny) ** 2;
  yield* others.sort((a, b) => far(a) - far(b));
}

const asked = new WeakMap<Region, Map<string, boolean>>();

/** Whether a rectangle lies in a region: asked again for words that keep off lines and for those that do not. */
const lies = (region: Region, rect: Rect): boolean => {
  const known = asked.get(region) ?? new Map<string, boolean>();
  asked.set(region, known);
  const key = `${rect.x0} ${rect.y0} ${rect.x1} ${rect.y1}`;
  const found = known.get(key) ?? liesIn(rect, region) === true;
  known.set(key, found);
  return found;
};

/** A placer for one drawing; `lines` are those that words keep off where they can. */
export const placerFor = (lines: readonly { readonly points: Ring; readonly closed: boolean }[]): Placer => {
  const known = lines.map(({ points, closed }): Line => ({ ring: points, closed, box: bounds(points) }));
  const taken: Rect[] = [];
  const spot: Placer['spot'] = (region, { width, height }, shy, near) => {
    const box = bounds(region.outline);
    const upright = box.y1 - box.y0 > 1.2 * (box.x1 - box.x0);
    // Most regions are rectangles: there whatever lies in the box lies in the region.
    const whole = region.holes.length === 0 && asRect(region.outline) !== undefined;
    const corners = region.holes.reduce((sum, hole) => sum + hole.length, region.outline.length);
    const most = corners > MANY_CORNERS ? FEWER_TRIES : TRIES;
    for (const angle of upright ? ([90, 0] as const) : ([0, 90] as const)) {
      const [wide, high] = angle === 0 ? [width, height] : [height, width];
      for (const at of middles(box, [wide, high], near ?? [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2], most)) {
        const rect: Rect = { x0: at[0] - wide / 2, y0: at[1] - high / 2, x1: at[0] + wide / 2, y1: at[1] + high / 2 };
        const airy = grownBy(rect, AIR);
        if (!taken.every((other) => apart(airy, other))) continue;
        if (shy && known.some((each) => meets(each, airy))) continue;
        if (!whole && !lies(region, rect)) continue;
        taken.push(rect);
        return { at, angle };
      }
    }
    return null;
  };
  return { spot, take: (rect) => void taken.push(rect) };
};

/** Words as large as they may be, and what else would do: each a list of lines, the first of them the largest. */
export type Wording = readonly { readonly text: string; readonly size: number }[];

/** Words smaller than this are not read. */
export const LEAST_WORDS = 1_300;

const SHARES = [1, 0.85, 0.7, 0.58, 0.48] as const;

const spacing = 1.25;

const blockOf = (wording: Wording): Block => ({
  width: Math.max(...wording.map(({ text, size }) => textWidth(text, size))),
  height: wording.reduce((sum, { size }) => sum + size * spacing, 0) - (spacing - 0.9) * (wording.at(-1)?.size ?? 0),
});

/** The lines of a wording round the middle of its spot. */
const written = (wording: Wording, { at: [x, y], angle }: Spot): readonly TextMark[] => {
  const { height } = blockOf(wording);
  let from = height / 2;
  return wording.map(({ text, size }): TextMark => {
    const off = from - size * 0.45;
    from -= size * spacing;
    return { kind: 'text', text, at: angle === 0 ? [x, y + off] : [x - off, y], size, anchor: 'middle', angle };
  });
};

/** Puts the first wording that fits into a region: off all lines at any size that can be read, before on them. Nothing where none fits. */
export const wordsWithin = (placer: Placer, region: Region, wordings: readonly Wording[], near?: Point): readonly TextMark[] | null => {
  for (const shy of [true, false])
    for (const wording of wordings)
      for (const share of SHARES) {
        const smaller = wording.map(({ text, size }) => ({ text, size: size * share }));
        if (smaller.some(({ size }) => size < LEAST_WORDS)) break;
        const spot = placer.spot(region, blockOf(smaller), shy, near);
        if (spot) return written(smaller, spot);
      }
  return null;
};

/** Words that found no room where they belong, and the point that they are about. */
export type LabelBeside = { readonly text: string; readonly about: Point };

const ASIDE = 2_000;
const ROW = 3_000;

/** Rows of words above a drawing so high, each with a line to what it is about.
 *  Shape: n words → marks, and how much higher and how wide the drawing is with them. */
export const wordsBeside = (
  asides: readonly LabelBeside[],
  height: number,
): { readonly marks: readonly Mark[]; readonly high: number; readonly wide: number } => {
  const sorted = [...asides].sort((a, b) => b.about[0] - a.about[0]);
  const marks = sorted.flatMap(({ text, about }, index): readonly Mark[] => {
    const y = height + 1_200 + ROW * (index + 0.5);
    const x = Math.max(0, about[0]);
    const word: TextMark = { kind: 'text', text, at: [x + 900, y], size: ASIDE, anchor: 'start', angle: 0 };
    return [line('map', [[x, y], [x, Math.min(height, about[1])], about]), word];
  });
  const wide = Math.max(0, ...marks.flatMap((mark) => (mark.kind === 'text' ? [textBox(mark).x1] : [])));
  return { marks, high: asides.length === 0 ? 0 : 1_200 + ROW * asides.length, wide };
};

/** The point of a region that a line to it ends at: the middle of what of it lies highest. */
export const pointOn = ({ outline }: Region): Point => {
  const top = Math.max(...outline.map(([, y]) => y));
  const high = outline.filter(([, y]) => y > top - 200).map(([x]) => x);
  const { y0 } = bounds(outline);
  return [(Math.min(...high) + Math.max(...high)) / 2, top - Math.min(600, (top - y0) / 2)];
};
