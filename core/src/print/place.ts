// µm. Moves, turns and clips what is drawn.

import { affineOf, after, followedBy, type Iso } from '../cover/index.ts';
import { assertNever } from '../kit/index.ts';
import { bounds, type Point, type Rect, type Ring, rectRing } from '../shape/index.ts';
import { line, type Mark, type TextMark } from './page.ts';

/** A move of the page; `iso` says the same as `point`. */
type Move = { readonly point: (point: Point) => Point; readonly iso: Iso; readonly turn: 0 | 1 | 2 };

/** How words stand that are turned: upright words stay readable from below or from the right, so what is turned round begins at its other end. */
const turnedText = (mark: TextMark, turn: Move['turn']): Pick<TextMark, 'angle' | 'anchor'> => {
  const { angle, anchor } = mark;
  if (turn === 0) return { angle, anchor };
  const other = ({ start: 'end', middle: 'middle', end: 'start' } as const)[anchor];
  if (turn === 2) return { angle, anchor: other };
  return angle === 0 ? { angle: 90, anchor } : { angle: 0, anchor: other };
};

const mapped = (mark: Mark, move: Move): Mark => {
  const rings = (all: readonly Ring[]) => all.map((ring) => ring.map(move.point));
  switch (mark.kind) {
    case 'line':
      return { ...mark, points: mark.points.map(move.point) };
    case 'text':
      return { ...mark, at: move.point(mark.at), ...turnedText(mark, move.turn) };
    case 'fill':
      return { ...mark, rings: rings(mark.rings) };
    case 'tones':
      return { ...mark, place: after(mark.place, move.iso) };
    case 'picture':
    case 'words':
      return { ...mark, matrix: followedBy(mark.matrix, affineOf(move.iso)) };
    case 'group':
      return { ...mark, clip: rings(mark.clip), marks: mark.marks.map((each) => mapped(each, move)) };
    default:
      return assertNever(mark);
  }
};

/** Marks moved so that their origin comes to (x, y). */
export const moved = (marks: readonly Mark[], x: number, y: number): readonly Mark[] =>
  marks.map((mark) => mapped(mark, { point: ([px, py]) => [px + x, py + y], iso: { cos: 1, sin: 0, dx: x, dy: y }, turn: 0 }));

/** Marks turned a quarter counter-clockwise, on a drawing of this height, back into the first quadrant. */
export const turned = (marks: readonly Mark[], height: number): readonly Mark[] =>
  marks.map((mark) => mapped(mark, { point: ([x, y]) => [height - y, x], iso: { cos: 0, sin: 1, dx: height, dy: 0 }, turn: 1 }));

/** Marks turned round, on a drawing of this size, back into its place. Words are still read from below. */
export const turnedRound = (marks: readonly Mark[], width: number, height: number): readonly Mark[] =>
  marks.map((mark) =>
    mapped(mark, { point: ([x, y]) => [width - x, height - y], iso: { cos: -1, sin: 0, dx: width, dy: height }, turn: 2 }),
  );

/** The stretch of a segment inside a window, or undefined. Source: Liang & Barsky's parametric clipping (1984), recalled. */
const clipSegment = (from: Point, to: Point, window: Rect): readonly [Point, Point] | undefined => {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  let [enter, leave] = [0, 1];
  for (const [step, room] of [
    [-dx, from[0] - window.x0],
    [dx, window.x1 - from[0]],
    [-dy, from[1] - window.y0],
    [dy, window.y1 - from[1]],
  ] as const) {
    if (step === 0) {
      if (room < 0) return undefined;
    } else if (step < 0) enter = Math.max(enter, room / step);
    else leave = Math.min(leave, room / step);
  }
  if (enter >= leave) return undefined;
  const at = (share: number): Point => [from[0] + dx * share, from[1] + dy * share];
  return [enter === 0 ? from : at(enter), leave === 1 ? to : at(leave)];
};

/** Areas stay whole and are looked at through the window; those beside it are dropped. */
const clippedArea = (mark: Exclude<Mark, { readonly kind: 'line' | 'text' }>, window: Rect): readonly Mark[] => {
  if (mark.kind === 'group') {
    const boxes = mark.clip.map(bounds);
    const beside = boxes.every((box) => box.x1 <= window.x0 || box.x0 >= window.x1 || box.y1 <= window.y0 || box.y0 >= window.y1);
    if (beside) return [];
  }
  return [{ kind: 'group', clip: [rectRing(window.x0, window.y0, window.x1, window.y1)], marks: [mark] }];
};

/** What of the marks lies in a window: lines are cut at its edge, words stay when their middle is inside. */
export const clipped = (marks: readonly Mark[], window: Rect): readonly Mark[] =>
  marks.flatMap((mark): readonly Mark[] => {
    if (mark.kind === 'text') {
      const [x, y] = mark.at;
      return x >= window.x0 && x <= window.x1 && y >= window.y0 && y <= window.y1 ? [mark] : [];
    }
    if (mark.kind !== 'line') return clippedArea(mark, window);
    const inside = mark.points.every(([x, y]) => x >= window.x0 && x <= window.x1 && y >= window.y0 && y <= window.y1);
    if (inside) return [mark];
    const ends = mark.closed ? mark.points.length : mark.points.length - 1;
    // Stretches that follow on one another inside stay one line.
    const chains: Point[][] = [];
    for (let index = 0; index < ends; index += 1) {
      const segment = clipSegment(mark.points[index] as Point, mark.points[(index + 1) % mark.points.length] as Point, window);
      if (!segment) continue;
      const last = chains.at(-1)?.at(-1);
      if (last && last[0] === segment[0][0] && last[1] === segment[0][1]) chains.at(-1)?.push(segment[1]);
      else chains.push([...segment]);
    }
    return chains.map((chain) => line(mark.style, chain));
  });
