// µm, doll size. The sides of a part's rings as flaps are folded over them: straight sides whole, curves in tabs.
import { isConvex, type Point, type Region, type Ring } from '../shape/index.ts';
import type { FaceId, Run } from './surface.ts';

/** A side to fold a flap over, from a to b with the matter on its left; `s0` … `s1` is where it lies on its run. The turns are the angles from
 *  the side before and to the side after, positive to the left, where the part's corner stands out. */
export type Chunk = {
  readonly edge: FaceId;
  readonly a: Point;
  readonly b: Point;
  readonly s0: number;
  readonly s1: number;
  readonly turnA: number;
  readonly turnB: number;
};

/** How far a tab's straight fold may stand off the curve: what paper gives. */
const MOST_SAGITTA = 100;

/** How far the points of a ring between two of them stand off the straight line. */
const sagitta = (points: Ring, from: number, to: number): number => {
  const [a, b] = [points[from] as Point, points[to] as Point];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  let most = 0;
  for (let index = from + 1; index < to; index += 1) {
    const [x, y] = points[index] as Point;
    most = Math.max(most, Math.abs((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) / length);
  }
  return most;
};

type Stretch = Pick<Chunk, 'edge' | 'a' | 'b' | 's0' | 's1'>;

/** A run cut into stretches that are as good as straight. */
const stretchesOf = ({ points }: Run, edge: FaceId): readonly Stretch[] => {
  const found: Stretch[] = [];
  let [s, from] = [0, 0];
  while (from + 1 < points.length) {
    let to = from + 1;
    while (to + 1 < points.length && sagitta(points, from, to + 1) <= MOST_SAGITTA) to += 1;
    const along = points.slice(from, to + 1);
    const length = along
      .slice(1)
      .reduce((sum, [x, y], index) => sum + Math.hypot(x - (along[index] as Point)[0], y - (along[index] as Point)[1]), 0);
    found.push({ edge, a: points[from] as Point, b: points[to] as Point, s0: s, s1: s + length });
    s += length;
    from = to;
  }
  return found;
};

export const wayOf = ({ a, b }: Pick<Chunk, 'a' | 'b'>): Point => {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
};

const turnBetween = (one: Stretch, other: Stretch): number => {
  const [p, q] = [wayOf(one), wayOf(other)];
  return Math.atan2(p[0] * q[1] - p[1] * q[0], p[0] * q[0] + p[1] * q[1]);
};

/** The sides of all rings of a part, ring by ring; `runs` gives the runs of each ring in their order. */
export const chunksOf = (runs: readonly (readonly { readonly id: FaceId; readonly run: Run }[])[]): readonly Chunk[] =>
  runs.flatMap((ring) => {
    const stretches = ring.flatMap(({ id, run }) => stretchesOf(run, id));
    return stretches.map((stretch, index) => ({
      ...stretch,
      turnA: turnBetween(stretches[(index + stretches.length - 1) % stretches.length] as Stretch, stretch),
      turnB: turnBetween(stretch, stretches[(index + 1) % stretches.length] as Stretch),
    }));
  });

/** How far it is from a point across to the next side of some rings, in a direction; Infinity where there is none. The curve that the point itself
 *  lies on, as its chord, does not count. */
export const across = (rings: readonly Ring[], [x, y]: Point, [dx, dy]: Point): number => {
  let least = Infinity;
  for (const ring of rings) {
    let last = ring[ring.length - 1] as Point;
    for (const point of ring) {
      const [ex, ey] = [point[0] - last[0], point[1] - last[1]];
      const cross = dx * ey - dy * ex;
      if (Math.abs(cross) > 1e-9) {
        const [px, py] = [last[0] - x, last[1] - y];
        const far = (px * ey - py * ex) / cross;
        const share = (px * dy - py * dx) / cross;
        if (far > MOST_SAGITTA * 1.5 && share >= 0 && share <= 1) least = Math.min(least, far);
      }
      last = point;
    }
  }
  return least;
};

/** Half the way across from a side, at its middle and towards both ends: as far as a flap may reach before it meets one from beyond. */
export const halfAcross = (rings: readonly Ring[], a: Point, b: Point, way: Point): number =>
  Math.min(...[0.25, 0.5, 0.75].map((share) => across(rings, [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share], way) / 2));

/** True when no flap of a part can meet another: its outline turns in nowhere, and has no openings. */
export const isPlain = ({ outline, holes }: Region): boolean => holes.length === 0 && isConvex(outline);
