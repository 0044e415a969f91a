// µm, doll size. Strips as wide as the board is thick, for edges that no flap covers.
import { areaOf, bounds, common, less, type Region, rectRing } from '../shape/index.ts';
import type { Surface } from './exposed.ts';
import type { Iso } from './iso.ts';
import { onSurface, type Panel, type Score } from './paper.ts';
import type { WrappedFace } from './wrap.ts';

/** What a strip goes on beyond a gap between flaps, either way. */
const LAP = 2_000;
/** Gaps nearer to one another than this are covered by one strip. */
const NEAR = 4_000;
/** Gaps smaller than this, in µm², are what flaps of paper give: half a square millimetre. */
const LEAST_GAP = 500_000;

type Stretch = { readonly edge: WrappedFace; readonly from: number; readonly to: number; readonly region: Region };

const lengthOf = ({ surface }: WrappedFace): number => surface.run?.length ?? 0;

/** What of an edge no flap covers. */
const gapsOf = ({ surface }: WrappedFace, flaps: readonly Region[]): readonly Region[] => {
  if (flaps.length === 0) return surface.exposed;
  if (surface.area - areaOf(flaps) < LEAST_GAP) return [];
  return surface.exposed.flatMap((region) => less(region, flaps)).filter((gap) => areaOf([gap]) > LEAST_GAP / 10);
};

const stretchesOf = (edge: WrappedFace, flaps: readonly Region[]): readonly Stretch[] => {
  const gaps = gapsOf(edge, flaps);
  if (areaOf(gaps) < LEAST_GAP) return [];
  const { x0: first, y0, x1: last, y1 } = bounds(edge.surface.region.outline);
  const spans = gaps
    .map(({ outline }) => bounds(outline))
    .map(({ x0, x1 }): [number, number] => (flaps.length === 0 ? [x0, x1] : [Math.max(first, x0 - LAP), Math.min(last, x1 + LAP)]))
    .sort((a, b) => a[0] - b[0]);
  const joined: [number, number][] = [];
  for (const span of spans) {
    const last = joined.at(-1);
    if (last && span[0] - last[1] < (flaps.length === 0 ? 1 : NEAR)) last[1] = Math.max(last[1], span[1]);
    else joined.push([...span]);
  }
  return joined.flatMap(([from, to]) => {
    const band: Region = { outline: rectRing(Math.round(from), y0, Math.round(to), y1), holes: [] };
    return common(band, edge.surface.exposed)
      .filter((region) => areaOf([region]) > LEAST_GAP / 10)
      .map((region): Stretch => {
        const { x0, x1 } = bounds(region.outline);
        return { edge, from: x0, to: x1, region };
      });
  });
};

/** Stretches that meet at a corner of the part are one strip, scored there. */
const chained = (
  stretches: readonly Stretch[],
  follows: (one: WrappedFace) => WrappedFace | undefined,
): readonly (readonly Stretch[])[] => {
  const next = new Map<Stretch, Stretch>();
  const taken = new Set<Stretch>();
  for (const stretch of stretches) {
    if (stretch.to < lengthOf(stretch.edge) - 1) continue;
    const after = follows(stretch.edge);
    const following = stretches.find((each) => each.edge === after && each.from <= 1 && each !== stretch && !taken.has(each));
    if (!following || !meetAtCorner(stretch, following)) continue;
    next.set(stretch, following);
    taken.add(following);
  }
  const chains: Stretch[][] = [];
  const used = new Set<Stretch>();
  // Rings that are covered all round have no beginning; they are cut open at their first side.
  for (const start of [...stretches.filter((each) => !taken.has(each)), ...stretches]) {
    if (used.has(start)) continue;
    const chain: Stretch[] = [];
    for (let at: Stretch | undefined = start; at && !used.has(at); at = next.get(at)) {
      used.add(at);
      chain.push(at);
    }
    chains.push(chain);
  }
  return chains;
};

/** The heights at which two stretches both reach the corner between them: where they hang together, and where that is scored. */
const cornerOf = (one: Stretch, other: Stretch): readonly [low: number, high: number] => {
  const [a, b] = [one, other].map(({ region }, index) => {
    const edgeX = index === 0 ? one.to : other.from;
    const heights = region.outline.filter(([x]) => Math.abs(x - edgeX) <= 1).map(([, y]) => y);
    return [Math.min(...heights), Math.max(...heights)] as const;
  }) as [readonly [number, number], readonly [number, number]];
  return [Math.max(a[0], b[0]), Math.min(a[1], b[1])];
};

/** Two stretches hang together when both are there at a common height of their corner. */
const meetAtCorner = (one: Stretch, other: Stretch): boolean => {
  const [low, high] = cornerOf(one, other);
  return high - low > 300;
};

/** The strips of a part's edges.
 *  Shape: edges in the order of their rings, with what flaps cover of each → strips, each a row of panels along x with scores between. */
export const stripsOf = (
  edges: readonly WrappedFace[],
  flaps: readonly Panel[],
  follows: (edge: WrappedFace) => WrappedFace | undefined,
): readonly { readonly panels: readonly Panel[]; readonly scores: readonly Score[] }[] => {
  const covered = (edge: WrappedFace) => flaps.filter(({ surface, kind }) => surface === edge.index && kind === 'flap').map(onSurface);
  const stretches = edges.flatMap((edge) => stretchesOf(edge, covered(edge)));
  return chained(stretches, follows).map((chain) => {
    let x = 0;
    const panels: Panel[] = [];
    const scores: Score[] = [];
    for (const [index, stretch] of chain.entries()) {
      const { edge, from, to, region } = stretch;
      const place: Iso = { cos: 1, sin: 0, dx: from - x, dy: 0 };
      const outline = region.outline.map(([px, py]) => [px - from + x, py] as const);
      const before = chain[index - 1];
      if (before) {
        const [low, high] = cornerOf(before, stretch);
        scores.push([
          [x, low],
          [x, high],
        ]);
      }
      panels.push({ kind: 'strip', surface: edge.index, region: { outline, holes: [] }, place });
      x += to - from;
    }
    return { panels, scores };
  });
};

export const isEdge = ({ id }: Surface): boolean => id !== 'front' && id !== 'back';

/** Edges round a bend, which lie in no one plane. */
export const isBent = ({ run }: Surface): boolean => run !== null && run.points.length > 2;
