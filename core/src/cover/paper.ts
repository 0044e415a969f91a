// µm, doll size. A paper as it is cut: flat panels that hang together at score lines, each of which comes to lie on a face.
import { bounds, less, merged, type Point, type Rect, type Region, signedArea } from '../shape/index.ts';
import type { Wear } from './dress.ts';
import { after, type Iso, inverse, movedRegion } from './iso.ts';

/** What a panel does: covers a face, covers an edge as a flap of its face, turns in over the face behind, or covers an edge as a strip. */
export type CoverKind = 'face' | 'flap' | 'turn-in' | 'strip';

export type Panel = {
  readonly kind: CoverKind;
  /** The surface that it lies on, by index. */
  readonly surface: number;
  /** On the paper. */
  readonly region: Region;
  /** From the paper to the surface's own coordinates. */
  readonly place: Iso;
};

export type Score = readonly [Point, Point];

/** One paper. The first panel is what it is for. */
export type Paper = {
  readonly how: 'cover' | 'strip' | 'net';
  readonly wear: Wear;
  readonly panels: readonly Panel[];
  /** Where it is scored and folded back. */
  readonly scores: readonly Score[];
  /** From the paper to the pattern, which is wound round the piece. */
  readonly art: Iso;
  /** The whole face that it is for, in the pattern's coordinates: what pictures are fitted to, and signs stand in the middle of. */
  readonly fit: Rect;
};

/** The rectangle round a paper. */
export const sizeOfPaper = ({ panels }: Paper): Rect => {
  const boxes = panels.map(({ region }) => bounds(region.outline));
  return {
    x0: Math.min(...boxes.map(({ x0 }) => x0)),
    y0: Math.min(...boxes.map(({ y0 }) => y0)),
    x1: Math.max(...boxes.map(({ x1 }) => x1)),
    y1: Math.max(...boxes.map(({ y1 }) => y1)),
  };
};

/** The region of a panel on its surface. */
export const onSurface = ({ region, place }: Panel): Region => movedRegion(place, region);

/** What lies no deeper than this beside a line reaches it. */
export const TOUCH = 60;

/** What is no farther from the end of a line than this ends there: corners are rounded, and looked at a hair inside. */
const SNAP = 10;

type Stretch = readonly [start: number, end: number];

/** Where a straight way runs through a region, measured along it from its beginning. */
const inside = ({ outline, holes }: Region, from: Point, along: Point): readonly Stretch[] => {
  const met: number[] = [];
  for (const ring of [outline, ...holes]) {
    let [px, py] = ring[ring.length - 1] as Point;
    let before = (py - from[1]) * along[0] - (px - from[0]) * along[1];
    for (const [x, y] of ring) {
      const off = (y - from[1]) * along[0] - (x - from[0]) * along[1];
      if (off > 0 !== before > 0) {
        const share = before / (before - off);
        met.push((px + (x - px) * share - from[0]) * along[0] + (py + (y - py) * share - from[1]) * along[1]);
      }
      [px, py, before] = [x, y, off];
    }
  }
  met.sort((a, b) => a - b);
  return Array.from({ length: met.length / 2 }, (_, pair) => [met[pair * 2] as number, met[pair * 2 + 1] as number] as const);
};

/** Panels that hang together at a score may end a hair before it: corners are rounded, and a tab's fold is the chord of a curve. */
const HAIR = 140;

/** Paper along a score where there is some on both sides of it, so that what is folded there is not cut off. */
const bridgesOver = (regions: readonly Region[], [a, b]: Score): readonly Region[] => {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const way: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const at = (along: number, off: number): Point => [a[0] + way[0] * along - way[1] * off, a[1] + way[1] * along + way[0] * off];
  const beside = (off: number): readonly Stretch[] => regions.flatMap((region) => inside(region, at(0, off), way));
  const other = beside(-HAIR);
  return beside(HAIR).flatMap(([from, to]) =>
    other.flatMap(([start, end]): readonly Region[] => {
      const [first, last] = [Math.max(from, start, 0), Math.min(to, end, length)];
      const margin = Math.min(HAIR, (last - first) / 4);
      const [low, high] = [first + margin, last - margin];
      if (high - low < TOUCH) return [];
      const ring = [at(low, -HAIR), at(high, -HAIR), at(high, HAIR), at(low, HAIR)].map(([x, y]): Point => [Math.round(x), Math.round(y)]);
      return [{ outline: signedArea(ring) < 0 ? ring.reverse() : ring, holes: [] }];
    }),
  );
};

/** What is cut out: the outline of all panels together, whole for every paper, save where a cut meets itself. */
export const outlineOfPaper = ({ panels, scores }: Paper): readonly Region[] => {
  const regions = panels.map(({ region }) => region);
  const outlines = merged(regions);
  return outlines.length < 2 ? outlines : merged([...regions, ...scores.flatMap((score) => bridgesOver(regions, score))]);
};

/** Where along a line, from its beginning, regions reach it on its one side: sorted stretches without those too short to fold. */
export const reaches = (
  regions: readonly Region[],
  from: Point,
  along: Point,
  length: number,
  side: Point,
): readonly (readonly [number, number])[] => {
  const found = [2, TOUCH - 2]
    .flatMap((deep) => {
      const at: Point = [from[0] + side[0] * deep, from[1] + side[1] * deep];
      return regions.flatMap((region) => inside(region, at, along));
    })
    .map(([start, end]): Stretch => [start < SNAP ? 0 : start, end > length - SNAP ? length : end])
    .filter(([start, end]) => end > start)
    .sort((one, other) => one[0] - other[0]);
  const joined: [number, number][] = [];
  for (const [start, end] of found) {
    const last = joined[joined.length - 1];
    if (last && start <= last[1] + 1) last[1] = Math.max(last[1], end);
    else joined.push([start, end]);
  }
  return joined.filter(([start, end]) => end - start > LEAST_FOLD);
};

/** A flap on a shorter fold than this would only tear. */
export const LEAST_FOLD = 300;

/** What of a flap is left where other panels lie already, and hangs on its fold; one that is `whole` and was cut nowhere hangs there surely. */
export const hangingOn = (
  flap: readonly Region[],
  taken: readonly Region[],
  whole: boolean,
  from: Point,
  along: Point,
  length: number,
  side: Point,
): readonly Region[] =>
  flap.flatMap((region) => {
    const left = less(region, taken);
    return whole && left[0] === region ? left : left.filter((each) => reaches([each], from, along, length, side).length > 0);
  });

export const onPaper = (place: Iso, region: Region): Region => movedRegion(inverse(place), region);

/** The paper moved so that its lower left corner is the origin. */
export const atOrigin = (paper: Paper): Paper => {
  const { x0, y0 } = sizeOfPaper(paper);
  const move: Iso = { cos: 1, sin: 0, dx: -x0, dy: -y0 };
  const back: Iso = { cos: 1, sin: 0, dx: x0, dy: y0 };
  return {
    ...paper,
    panels: paper.panels.map((panel) => ({ ...panel, region: movedRegion(move, panel.region), place: after(back, panel.place) })),
    scores: paper.scores.map(([a, b]) => [
      [a[0] - x0, a[1] - y0],
      [b[0] - x0, b[1] - y0],
    ]),
    art: after(back, paper.art),
  };
};
