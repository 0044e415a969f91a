// µm, doll size. The faces of a part as paper meets them: each flat, seen from outside, x to the right and y up.
import { type Part, upperOf } from '../assembly/index.ts';
import {
  add,
  dot,
  minus,
  normalOf,
  type Point,
  type Pose,
  type Region,
  type Ring,
  rectRing,
  scaled,
  signedArea,
  toPlane,
  toSpace,
  type Vec3,
} from '../shape/index.ts';

import { type Quad, unrolled } from './taper.ts';

/** A face of a part: the one its template shows, the one behind, or a smooth stretch of its cut edges, by ring (0 the outline, then
 *  holes) and number. */
export type FaceId = 'front' | 'back' | `edge ${number}.${number}`;

/** A stretch of a ring without a corner, in the order in which its matter lies on the left; `closed` for one that goes all the way round.
 *  Rolled out flat it is a rectangle, as long as the stretch and as high as the part is thick; where the part tapers it is what its plane
 *  stretches make when they are laid flat. */
export type Run = {
  readonly points: Ring;
  readonly closed: boolean;
  readonly length: number;
  readonly quads?: readonly Quad[];
};

/** A face with what it is in the plane. */
export type Face = {
  readonly part: number;
  readonly id: FaceId;
  readonly region: Region;
  /** Where the plane lies, u × v looking outwards; for a bent edge the plane of its first side. */
  readonly pose: Pose;
  /** The stretch of ring that an edge is; null for the two broad faces. */
  readonly run: Run | null;
};

/** Corners turn by more than this; less is a curve drawn in chords (a small circle has twelve, which turn by 30°). */
const CORNER = Math.cos((35 * Math.PI) / 180);

const lengthOf = ([xa, ya]: Point, [xb, yb]: Point): number => Math.hypot(xb - xa, yb - ya);

const isCorner = (a: Point, b: Point, c: Point): boolean => {
  const [one, other] = [lengthOf(a, b), lengthOf(b, c)];
  const cos = ((b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1])) / (one * other);
  return cos < CORNER;
};

const runOf = (points: Ring, closed: boolean): Run => {
  const ends = closed ? [...points, points[0] as Point] : points;
  const length = ends.slice(1).reduce((sum, point, index) => sum + lengthOf(ends[index] as Point, point), 0);
  return { points: ends, closed, length: Math.round(length) };
};

/** A ring cut at its corners, as the numbers of its points; one without corners goes on to its first point again. */
const stretchesOf = (ring: Ring): readonly (readonly number[])[] => {
  const count = ring.length;
  const at = (index: number): Point => ring[((index % count) + count) % count] as Point;
  const corners = ring.flatMap((_, index) => (isCorner(at(index - 1), at(index), at(index + 1)) ? [index] : []));
  if (corners.length === 0) return [[...ring.keys(), 0]];
  return corners.map((from, number) => {
    const to = corners[(number + 1) % corners.length] as number;
    const steps = to > from ? to - from : to + count - from;
    return Array.from({ length: steps + 1 }, (_, step) => (from + step) % count);
  });
};

/** The edges of a part, each laid flat. */
const edgesOf = (part: Part, index: number): readonly Face[] => {
  const above = part.upper && ringsOf(upperOf(part), part.region);
  return ringsOf(part.region).flatMap((ring, number) =>
    stretchesOf(ring).map((stretch, count): Face => {
      const closed = stretch.length > ring.length;
      const points = stretch.map((at) => ring[at] as Point);
      const run = runOf(closed ? points.slice(0, -1) : points, closed);
      const base = { part: index, id: `edge ${number}.${count}` as const };
      const over = above?.[number];
      if (!over)
        return {
          ...base,
          region: { outline: rectRing(0, 0, run.length, part.thickness), holes: [] },
          pose: poseOfSide(part.pose, points[0] as Point, points[1] as Point),
          run,
        };
      const { pose, quads, region } = unrolled(
        part,
        points,
        stretch.map((at) => over[at] as Point),
      );
      return { ...base, region, pose, run: { ...run, ...(quads.length > 1 ? { quads } : {}) } };
    }),
  );
};

/** The rings of a part with its matter on the left: the outline counter-clockwise, holes clockwise; or turned as another region's are. */
export const ringsOf = ({ outline, holes }: Region, like: Region = { outline, holes }): readonly Ring[] => [
  outline,
  ...holes.map((hole, index) => (signedArea(like.holes[index] as Ring) > 0 ? [...hole].reverse() : hole)),
];

/** Where a side of a ring stands as a plane: u along the side, v along the part's normal, looking out of the matter. */
export const poseOfSide = (pose: Pose, from: Point, to: Point): Pose => {
  const length = lengthOf(from, to);
  const along = add(scaled(pose.u, (to[0] - from[0]) / length), scaled(pose.v, (to[1] - from[1]) / length));
  return { origin: toSpace(pose, from), u: along, v: normalOf(pose) };
};

/** Every face of a part, the broad ones first.
 *  Shape: a part → two faces and one for each smooth stretch of its edges. A point (x, y) of the back is the point (−x, y) of the part's
 *  own plane; a point (s, h) of an edge lies s along its stretch and h above the back. */
export const facesOf = (part: Part, index: number): readonly Face[] => {
  const { pose, region, thickness } = part;
  const n = normalOf(pose);
  const mirrored = (ring: Ring): Ring => ring.map(([x, y]): Point => [-x + 0, y]).reverse();
  return [
    { part: index, id: 'front', region: upperOf(part), pose: { ...pose, origin: add(pose.origin, scaled(n, thickness)) }, run: null },
    {
      part: index,
      id: 'back',
      region: { outline: mirrored(region.outline), holes: region.holes.map(mirrored) },
      pose: { origin: pose.origin, u: scaled(pose.u, -1), v: pose.v },
      run: null,
    },
    ...edgesOf(part, index),
  ];
};

/** The way a face looks; a bent edge has none. */
export const looksTo = (face: Face): Vec3 | null => (face.run && face.run.points.length > 2 ? null : normalOf(face.pose));

/** How far a point of space lies before a plane. */
export const before = (pose: Pose, point: Vec3): number => dot(minus(point, pose.origin), normalOf(pose));

/** How near a point lies to the way along a run. */
const offRun = ({ points }: Run, [x, y]: Point): number =>
  points.slice(1).reduce((least, [bx, by], index) => {
    const [ax, ay] = points[index] as Point;
    const [dx, dy] = [bx - ax, by - ay];
    const share = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)));
    return Math.min(least, Math.hypot(x - ax - share * dx, y - ay - share * dy));
  }, Infinity);

/** The face of a part that a point of its surface lies on: the nearest. */
export const faceAt = (part: Part, point: Vec3): FaceId => {
  const height = before(part.pose, point);
  const at = toPlane(part.pose, point);
  const faces = facesOf(part, 0).map(({ id, run }) => ({
    id,
    off: run ? offRun(run, at) : Math.abs(height - (id === 'front' ? part.thickness : 0)),
  }));
  return faces.reduce((best, face) => (face.off < best.off ? face : best)).id;
};
