// µm. Moves, turns and clips what is drawn.
import { assertNever } from '../kit/index.ts';
import type { Point, Rect } from '../shape/index.ts';
import { line, type Mark } from './page.ts';

const mapped = (mark: Mark, move: (point: Point) => Point, quarterTurn: boolean): Mark => {
  switch (mark.kind) {
    case 'line':
      return { ...mark, points: mark.points.map(move) };
    case 'text':
      return { ...mark, at: move(mark.at), angle: quarterTurn ? (mark.angle === 0 ? 90 : 0) : mark.angle };
    default:
      return assertNever(mark);
  }
};

/** Marks moved so that their origin comes to (x, y). */
export const moved = (marks: readonly Mark[], x: number, y: number): readonly Mark[] =>
  marks.map((mark) => mapped(mark, ([px, py]) => [px + x, py + y], false));

/** Marks turned a quarter counter-clockwise, on a drawing of this height, back into the first quadrant. */
export const turned = (marks: readonly Mark[], height: number): readonly Mark[] =>
  marks.map((mark) => mapped(mark, ([x, y]) => [height - y, x], true));

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

/** What of the marks lies in a window: lines are cut at its edge, words stay when their middle is inside. */
export const clipped = (marks: readonly Mark[], window: Rect): readonly Mark[] =>
  marks.flatMap((mark): readonly Mark[] => {
    if (mark.kind === 'text') {
      const [x, y] = mark.at;
      return x >= window.x0 && x <= window.x1 && y >= window.y0 && y <= window.y1 ? [mark] : [];
    }
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
