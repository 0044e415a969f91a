// What a seamstress with a tape would find: edges that are joined are equally long, lie on one another once it is sewn, and the whole is as large as was said.
import { isInRing, type Point, type Vec3, vec3 } from '../shape/index.ts';
import { meshOf, placerOf } from './bend.ts';
import { edgeLength, pointAlong, type SewingPattern, stretchOf } from './pattern.ts';

/** Seams whose edges are not as long as one another, or not by the ratio that was stated: which, and by how much, in µm. */
export const unequalSeams = ({ pieces, seams }: SewingPattern): readonly (readonly [string, number])[] =>
  seams.flatMap(({ name, one, other, ratio }) => {
    const off = stretchOf(pieces, one) - ratio * stretchOf(pieces, other);
    return Math.abs(off) > 12 ? [[name, off] as const] : [];
  });

const onRing = ([x, y]: Point, ring: readonly Point[]): boolean =>
  ring.some((from, index) => {
    const to = ring[(index + 1) % ring.length] as Point;
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const long = Math.hypot(dx, dy);
    if (long === 0) return false;
    const along = ((x - from[0]) * dx + (y - from[1]) * dy) / long;
    return along > -2 && along < long + 2 && Math.abs((x - from[0]) * dy - (y - from[1]) * dx) / long < 2;
  });

/** Where a point of a flat piece stands once it is sewn: in each patch that it belongs to. */
export const standsAt = ({ patches }: SewingPattern, piece: number, point: Point): readonly Vec3[] =>
  patches.flatMap((patch) =>
    patch.piece === piece && (isInRing(patch.ring, point[0], point[1]) || onRing(point, patch.ring)) ? [placerOf(patch.bend)(point)] : [],
  );

const away = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** Samples along each seam of which both sides stand somewhere: how many there were, and the farthest that two of them are apart. */
export const gapsOfSeams = (pattern: SewingPattern): { readonly asked: number; readonly worst: number; readonly where: string } => {
  let [asked, worst, where] = [0, 0, ''];
  for (const { name, one, other, against, how } of pattern.seams) {
    if (how !== 'plain') continue;
    const [a, b] = [pattern.pieces[one.piece], pattern.pieces[other.piece]];
    if (!a || !b) continue;
    const [fromA, fromB] = [one.from ?? 0, other.from ?? 0];
    const [longA, longB] = [stretchOf(pattern.pieces, one), stretchOf(pattern.pieces, other)];
    for (let step = 1; step < 16; step += 1) {
      const share = step / 16;
      const p = pointAlong(a, one.edge, fromA + longA * share);
      const q = pointAlong(b, other.edge, fromB + longB * (against ? 1 - share : share));
      const [here, there] = [standsAt(pattern, one.piece, p), standsAt(pattern, other.piece, q)];
      if (here.length === 0 || there.length === 0) continue;
      asked += 1;
      const least = Math.min(...here.flatMap((x) => there.map((y) => away(x, y))));
      if (least > worst) [worst, where] = [least, `${name} at ${share}`];
    }
  }
  return { asked, worst, where };
};

/** Where patches of one piece meet, both bring the line between them to the same place: the farthest that they are apart. */
export const tornApart = (pattern: SewingPattern): number => {
  let worst = 0;
  for (const [index, patch] of pattern.patches.entries())
    for (const other of pattern.patches.slice(index + 1)) {
      if (other.piece !== patch.piece) continue;
      const [here, there] = [placerOf(patch.bend), placerOf(other.bend)];
      for (const [at, from] of patch.ring.entries()) {
        const to = patch.ring[(at + 1) % patch.ring.length] as Point;
        for (let step = 0; step <= 8; step += 1) {
          const point: Point = [from[0] + ((to[0] - from[0]) * step) / 8, from[1] + ((to[1] - from[1]) * step) / 8];
          if (onRing(point, other.ring)) worst = Math.max(worst, away(here(point), there(point)));
        }
      }
    }
  return worst;
};

/** The box round all that is sewn. */
export const boxOfSewn = ({ patches }: SewingPattern): { readonly min: Vec3; readonly max: Vec3 } => {
  const points = patches.flatMap((patch) => meshOf(patch).space);
  const by = (pick: (...values: number[]) => number): Vec3 =>
    vec3((axis) => points.reduce((found, point) => pick(found, point[axis]), points[0]?.[axis] as number));
  return { min: by(Math.min), max: by(Math.max) };
};

/** How long a line across flat cloth is once it is sewn, taken along so many steps. */
export const lengthSewn = (place: (point: Point) => Vec3, from: Point, to: Point, steps = 400): number => {
  let [sum, last] = [0, place(from)];
  for (let step = 1; step <= steps; step += 1) {
    const next = place([from[0] + ((to[0] - from[0]) * step) / steps, from[1] + ((to[1] - from[1]) * step) / steps]);
    sum += away(last, next);
    last = next;
  }
  return sum;
};

/** Pieces by the length of all their edges: for the test that edges are the whole line. */
export const edgesAreWhole = ({ pieces }: SewingPattern): boolean =>
  pieces.every((piece) => {
    const sides = piece.edges.reduce((sum, { sides: each }) => sum + each, 0);
    return sides === piece.line.length && piece.edges.every(({ name }) => edgeLength(piece, name) > 0);
  });
