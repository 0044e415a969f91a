// A drawing that somebody made elsewhere, read as the outline of a board. Points are whole numbers, y up, in millionths of the drawing's longer side.
import { err, ok, type Result } from '../kit/index.ts';
import { areaOf, asSimple, bounds, type Point, type Region, type Ring } from '../shape/index.ts';
import { type ReadStroke, readSvgPlot } from './readPlot.ts';

/** An outline and its holes, the outer ring first; how large the file drew it, in µm; and what was put right. */
export type ReadOutline = {
  readonly rings: readonly Ring[];
  readonly width: number;
  readonly height: number;
  readonly mends: readonly OutlineMend[];
};

export type OutlineMend =
  | { readonly code: 'gap-closed'; readonly share: number }
  | { readonly code: 'loop-taken-away' | 'crumbs-left-out' | 'coarser' };

/** Why a file gives no outline. `share` is of the drawing's longer side; `at` in the same measure, from its lower left corner. */
export type OutlineProblem =
  | { readonly code: 'unreadable'; readonly reason: string }
  | { readonly code: 'empty' }
  | { readonly code: 'open'; readonly share: number }
  | { readonly code: 'crosses'; readonly at: Point }
  | { readonly code: 'several'; readonly count: number };

const WHOLE = 1e6;

/** A gap so small is a slip of the pen; a loop, or a bit beside the rest, that holds so little is left out. Common practice, no source. */
const SLIP = 0.02;
const CRUMB = 0.02;

/** What is too large for a board's outline to be drawn and cut by hand. */
const MOST = 4_000;

const bare = (text: string): string =>
  /^\s*[Mm][\d\s.,eE+\-a-zA-Z]*$/.test(text) ? `<svg viewBox="0 0 100 100"><path d="${text.trim()}"/></svg>` : text;

const crossingOf = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point, [dx, dy]: Point): Point | undefined => {
  const turn = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx);
  if (turn === 0) return undefined;
  const s = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / turn;
  const t = ((cx - ax) * (by - ay) - (cy - ay) * (bx - ax)) / turn;
  return s > 1e-9 && s < 1 - 1e-9 && t > 1e-9 && t < 1 - 1e-9 ? [ax + (bx - ax) * s, ay + (by - ay) * s] : undefined;
};

/** Where a ring crosses itself first; nothing for one that does not. */
export const crossingIn = (ring: Ring): Point | undefined => {
  const count = ring.length;
  const at = (index: number): Point => ring[index % count] as Point;
  for (let one = 0; one < count; one += 1) {
    const [a, b] = [at(one), at(one + 1)];
    const [x0, x1, y0, y1] = [Math.min(a[0], b[0]), Math.max(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[1], b[1])];
    for (let other = one + 2; other < count; other += 1) {
      if (one === 0 && other === count - 1) continue;
      const [c, d] = [at(other), at(other + 1)];
      if (Math.max(c[0], d[0]) < x0 || Math.min(c[0], d[0]) > x1 || Math.max(c[1], d[1]) < y0 || Math.min(c[1], d[1]) > y1) continue;
      const crossing = crossingOf(a, b, c, d);
      if (crossing) return crossing;
    }
  }
  return undefined;
};

type Closed = Result<{ readonly rings: readonly Ring[]; readonly gap: number }, OutlineProblem>;

/** Lines as rings: those that are closed, and those whose ends nearly meet. */
const closedRings = (strokes: readonly ReadStroke[], longer: number): Closed => {
  const rings: Ring[] = [];
  let [gap, widest] = [0, 0];
  for (const { points, closed } of strokes) {
    const [first, last] = [points[0] as Point, points.at(-1) as Point];
    const apart = Math.hypot(first[0] - last[0], first[1] - last[1]) / longer;
    if (points.length < 3) continue;
    if (!closed && apart > SLIP) {
      widest = Math.max(widest, apart);
      continue;
    }
    if (!closed) gap = Math.max(gap, apart);
    rings.push(apart < 1e-9 ? points.slice(0, -1) : points);
  }
  if (rings.length === 0) return err(widest > 0 ? { code: 'open', share: widest } : { code: 'empty' });
  return ok({ rings, gap });
};

const withoutRepeats = (ring: Ring): Ring =>
  ring.filter(([x, y], index) => {
    const [px, py] = ring[(index + ring.length - 1) % ring.length] as Point;
    return x !== px || y !== py;
  });

/** The one region that nearly all of it is. */
const wholeOf = (regions: readonly Region[]): { readonly region: Region; readonly rest: number } | undefined => {
  const sorted = [...regions].sort((a, b) => areaOf([b]) - areaOf([a]));
  const [region] = sorted;
  return region && { region, rest: 1 - areaOf([region]) / areaOf(sorted) };
};

const read = (text: string, chord: number) => readSvgPlot(bare(text), { chord, unsized: 'pixels' });

/** Reads an SVG file, or the text of one path, as an outline with holes.
 *  Shape: text → rings in millionths of the longer side; curves are followed to a twenty-thousandth of it. Units, moves, arcs and groups are read as
 *  a cutting machine's file is. Errors: 'unreadable', 'empty', 'open' beyond a small gap, 'crosses' itself in more than a small loop, 'several'
 *  outlines that are none in the other. */
export const readOutline = (text: string): Result<ReadOutline, OutlineProblem> => {
  const rough = read(text, 0.1);
  if (!rough.ok) return err({ code: 'unreadable', reason: rough.error });
  const all = rough.value.strokes.flatMap(({ points }) => points);
  if (all.length < 3) return err({ code: 'empty' });
  const size = (points: readonly Point[]) => {
    const { x0, y0, x1, y1 } = bounds(points);
    return { x0, y0, width: x1 - x0, height: y1 - y0, longer: Math.max(x1 - x0, y1 - y0) };
  };
  const mends: OutlineMend[] = [];
  const { longer } = size(all);
  if (!(longer > 0)) return err({ code: 'empty' });
  let fine = read(text, longer / 20_000);
  for (let chord = longer / 20_000; fine.ok && fine.value.strokes.reduce((sum, { points }) => sum + points.length, 0) > MOST; ) {
    chord *= 2;
    if (chord > longer / 200) break;
    fine = read(text, chord);
    if (!mends.some(({ code }) => code === 'coarser')) mends.push({ code: 'coarser' });
  }
  if (!fine.ok) return err({ code: 'unreadable', reason: fine.error });
  const closed = closedRings(fine.value.strokes, longer);
  if (!closed.ok) return closed;
  if (closed.value.gap > 1e-6) mends.push({ code: 'gap-closed', share: closed.value.gap });
  const { x0, y0 } = size(closed.value.rings.flat());
  const placed = closed.value.rings.map((ring) =>
    withoutRepeats(ring.map(([x, y]): Point => [Math.round(((x - x0) * WHOLE) / longer), Math.round(((y - y0) * WHOLE) / longer)])),
  );
  const crossing = placed.map(crossingIn).find((at) => at !== undefined);
  const whole = wholeOf(asSimple(placed.filter((ring) => ring.length > 2)));
  if (!whole) return err({ code: 'empty' });
  if (whole.rest > CRUMB) return err(crossing ? { code: 'crosses', at: crossing } : { code: 'several', count: placed.length });
  if (crossing) mends.push({ code: 'loop-taken-away' });
  else if (whole.rest > 1e-9) mends.push({ code: 'crumbs-left-out' });
  const rings = [whole.region.outline, ...whole.region.holes];
  const { width, height } = size(whole.region.outline);
  const um = (share: number): number => Math.round((share / WHOLE) * longer * 1000);
  return ok({ rings, width: um(width), height: um(height), mends });
};
