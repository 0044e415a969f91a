// µm, doll size. The paper of a board's face with the flaps that go over its edges and on over the face behind.
import type { Part } from '../assembly/index.ts';
import { areaOf, asRect, common, less, type Point, type Region, type Ring, signedArea } from '../shape/index.ts';
import { type Chunk, halfAcross, isPlain, wayOf } from './chunks.ts';
import type { Surface } from './exposed.ts';
import { bringing, type Iso, moveBy, movedRegion, STAY } from './iso.ts';
import { hangingOn, LEAST_FOLD, onPaper, type Panel, reaches, type Score } from './paper.ts';

/** A surface of the part, with its index among all. */
export type WrappedFace = { readonly surface: Surface; readonly index: number };

/** What a wrap is made from: the part, its sides, the face that is papered, the one behind, and the edges that its paper goes over. */
export type WrapOf = {
  readonly part: Part;
  readonly chunks: readonly Chunk[];
  readonly main: WrappedFace;
  readonly other: WrappedFace;
  readonly edges: ReadonlyMap<string, WrappedFace>;
  readonly turn: number;
  /** What flaps cover of the face behind, in its own coordinates; added to. */
  readonly turnedIn: Region[];
};

const isWhole = ({ exposed, region }: Surface): boolean => exposed.length === 1 && exposed[0] === region;

const both = (one: readonly (readonly [number, number])[], other: readonly (readonly [number, number])[]) =>
  one.flatMap(([a, b]) =>
    other.flatMap(([c, d]): readonly (readonly [number, number])[] => {
      const [start, end] = [Math.max(a, c), Math.min(b, d)];
      return end - start > LEAST_FOLD ? [[start, end]] : [];
    }),
  );

/** How much shorter a flap's far side is at an end where it would meet the next one's: on the bisector of the angle between them. */
const mitre = (deep: number, angle: number): number => (angle >= Math.PI - 1e-9 ? 0 : deep / Math.tan(angle / 2));

/** A flap as it hangs on its fold: from `start` to `end` along it, so deep, shortened at either end. */
const flapRing = (start: number, end: number, deep: number, cutStart: number, cutEnd: number): Ring => {
  const room = end - start;
  if (cutStart + cutEnd < room) {
    return [
      [start, 0],
      [end, 0],
      [end - cutEnd, deep],
      [start + cutStart, deep],
    ];
  }
  // The two cuts meet before the flap is so deep: it ends in a point.
  const share = room / (cutStart + cutEnd);
  return [
    [start, 0],
    [end, 0],
    [start + cutStart * share, deep * share],
  ];
};

/** A side as its face sees it: counter-clockwise on the paper. On the face behind everything is mirrored, and the side runs the other way. */
type Side = {
  readonly chunk: Chunk;
  readonly a: Point;
  readonly b: Point;
  readonly way: Point;
  readonly out: Point;
  readonly length: number;
  readonly turnA: number;
  readonly turnB: number;
  /** A point (along, deep) of a flap as a point of the edge. */
  readonly onEdge: (along: number, deep: number) => Point;
};

const sideOf = (chunk: Chunk, isBack: boolean, thickness: number): Side => {
  const mirrored = ([x, y]: Point): Point => [-x, y];
  const [a, b] = isBack ? [mirrored(chunk.b), mirrored(chunk.a)] : [chunk.a, chunk.b];
  const way = wayOf({ a, b });
  return {
    chunk,
    a,
    b,
    way,
    out: [way[1], -way[0]],
    length: Math.hypot(b[0] - a[0], b[1] - a[1]),
    turnA: isBack ? chunk.turnB : chunk.turnA,
    turnB: isBack ? chunk.turnA : chunk.turnB,
    onEdge: isBack ? (along, deep) => [chunk.s1 - along, deep] : (along, deep) => [chunk.s0 + along, thickness - deep],
  };
};

/** Where an edge shows beside its fold, along the side. */
const edgeReaches = ({ surface }: WrappedFace, side: Side): readonly (readonly [number, number])[] => {
  if (isWhole(surface)) return [[0, side.length]];
  const [from, to, inwards] = [side.onEdge(0, 0), side.onEdge(1, 0), side.onEdge(0, 1)];
  return reaches(surface.exposed, from, [to[0] - from[0], to[1] - from[1]], side.length, [inwards[0] - from[0], inwards[1] - from[1]]);
};

/** The pieces of a flap's outline that lie on what shows of a surface. */
const showing = (ring: Ring, surface: Surface): readonly Region[] => {
  const region: Region = { outline: ring, holes: [] };
  return isWhole(surface) ? [region] : common(region, surface.exposed);
};

const rounded = (ring: Ring): Ring => ring.map(([x, y]): Point => [Math.round(x) + 0, Math.round(y) + 0]);

/** Rings of surfaces run counter-clockwise, whichever way they were written. */
const counterClockwise = (ring: Ring): Ring => (signedArea(ring) < 0 ? [...ring].reverse() : ring);

/** The paper of one showing region of a face.
 *  Shape: a wrap and a region → panels (the face first) and scores, in the face's own coordinates. Flaps are cut on the bisector where they would
 *  meet another, end where something is glued, and reach at most half across an opening. */
export const wrapOf = (wrap: WrapOf, region: Region): { readonly panels: readonly Panel[]; readonly scores: readonly Score[] } => {
  const { part, main, other, edges, turn, turnedIn } = wrap;
  const isBack = main.surface.id === 'back';
  const face = main.surface.region;
  const plain = isPlain(part.region);
  const panels: Panel[] = [{ kind: 'face', surface: main.index, region, place: STAY }];
  const scores: Score[] = [];
  // Tabs of one curve are cut on the bisectors between them, and cannot meet.
  const edgeOf: string[] = [''];
  const taken = ({ edge }: Chunk): readonly Region[] => {
    if (plain) return [];
    const isBent = (edges.get(edge)?.surface.run?.points.length ?? 0) > 2;
    return panels.filter((_, index) => !isBent || (index > 0 && edgeOf[index] !== edge)).map((panel) => panel.region);
  };
  const wholeFace = region === face;
  const rings = [face.outline, ...face.holes];
  const isRect = asRect(part.region.outline) !== undefined && plain;

  const put = (
    kind: Panel['kind'],
    on: WrappedFace,
    shapes: readonly Region[],
    place: Iso,
    from: Point,
    side: Side,
    length: number,
    uncut = isWhole(on.surface),
  ): readonly Region[] => {
    const flat = shapes.map((shape) => onPaper(place, shape));
    const hanging = hangingOn(flat, taken(side.chunk), uncut, from, side.way, length, side.out);
    const kept = hanging.filter((each) => areaOf([each]) > LEAST_FOLD * LEAST_FOLD);
    for (const each of kept) {
      panels.push({ kind, surface: on.index, region: each, place });
      edgeOf.push(side.chunk.edge);
    }
    if (kept.length > 0) scores.push([from, [from[0] + side.way[0] * length, from[1] + side.way[1] * length]]);
    return kept;
  };

  const turnIn = (side: Side, flap: readonly Region[], start: number, end: number): void => {
    if (turn <= 0 || other.surface.exposed.length === 0) return;
    const at = (along: number, deep: number): Point => [
      side.a[0] + side.way[0] * along + side.out[0] * deep,
      side.a[1] + side.way[1] * along + side.out[1] * deep,
    ];
    const { thickness } = part;
    const base = at(0, thickness);
    // Just inside the flap's far side.
    const far = reaches(flap, base, side.way, side.length, [-side.out[0], -side.out[1]]);
    const [only] = flap;
    const farSide = ([x, y]: Point): boolean => (x - side.a[0]) * side.out[0] + (y - side.a[1]) * side.out[1] > thickness - 3;
    const isUncut = flap.length === 1 && only?.outline.length === 4 && only.outline.filter(farSide).length === 2;
    const reach = isUncut && wholeFace ? [[start, end] as const] : far;
    // On the face behind x is mirrored, so that a fold runs from b to a there.
    const behind = ([x, y]: Point): Point => [-x, y];
    const place = bringing(base, side.way, behind(side.a), [-side.way[0], side.way[1]]);
    const deep = Math.min(turn, halfAcross(rings, side.a, side.b, [-side.out[0], -side.out[1]]));
    for (const [from, to] of both(reach, [[start, end]])) {
      const cutA = from < 1 && side.turnA > 0 ? mitre(deep, Math.PI - side.turnA) : 0;
      const cutB = to > side.length - 1 && side.turnB > 0 ? mitre(deep, Math.PI - side.turnB) : 0;
      const ring = flapRing(from, to, deep, cutA, cutB).map(([along, down]) => moveBy(place, at(along, thickness + down)));
      const shown = showing(counterClockwise(rounded(ring)), other.surface);
      // What another turn-in has taken is cut off, and what is left need not hang on its fold.
      const shapes = shown.flatMap((shape) => (isRect ? [shape] : less(shape, turnedIn)));
      const uncut = isWhole(other.surface) && shapes.length === 1 && shapes[0] === shown[0];
      const kept = put('turn-in', other, shapes, place, at(from, thickness), side, to - from, uncut);
      turnedIn.push(...kept.map((each) => movedRegion(place, each)));
    }
  };

  for (const chunk of wrap.chunks) {
    const edge = edges.get(chunk.edge);
    if (!edge || edge.surface.exposed.length === 0) continue;
    const side = sideOf(chunk, isBack, part.thickness);
    const inwards: Point = [-side.out[0], -side.out[1]];
    const folds = wholeFace ? [[0, side.length] as const] : reaches([region], side.a, side.way, side.length, inwards);
    const deep = plain ? part.thickness : Math.min(part.thickness, Math.floor(halfAcross(rings, side.a, side.b, side.out)));
    for (const [start, end] of both(folds, edgeReaches(edge, side))) {
      const cutA = start < 1 && side.turnA < 0 ? mitre(deep, Math.PI + side.turnA) : 0;
      const cutB = end > side.length - 1 && side.turnB < 0 ? mitre(deep, Math.PI + side.turnB) : 0;
      const ring = flapRing(start, end, deep, cutA, cutB).map(([along, down]) => side.onEdge(along, down));
      const [from, along] = [side.onEdge(0, 0), side.onEdge(1, 0)];
      const place = bringing(side.a, side.way, from, [along[0] - from[0], along[1] - from[1]]);
      const at: Point = [side.a[0] + side.way[0] * start, side.a[1] + side.way[1] * start];
      const kept = put('flap', edge, showing(counterClockwise(rounded(ring)), edge.surface), place, at, side, end - start);
      if (kept.length > 0 && deep === part.thickness) turnIn(side, kept, start + cutA, end - cutB);
    }
  }
  return { panels, scores };
};
