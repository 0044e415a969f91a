// A piece as a small picture from the front right and above, every face taken from its parts. Painted back to front: of two boards the one
// that lies behind, below or to the left of the other is painted first.
import { type Box, boxOf, type Part, type Role, upperOf } from '@parlor/core/assembly';
import { cross, dot, minus, normalOf, type Point, type Region, type Ring, toSpace, unit, type Vec3 } from '@parlor/core/shape';

/** A face to paint: a path in millimetres, y down, and how light falls on it: 0 dark to 1 light. */
export type PictureFace = {
  readonly path: string;
  readonly role: Role;
  readonly clear: boolean;
  readonly light: number;
  /** Painted and outlined; only painted, as the facets of a curve are; or only a line. */
  readonly as: 'face' | 'facet' | 'line';
};

export type PartPicture = {
  readonly faces: readonly PictureFace[];
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
};

const EYE = unit([0.5, 0.42, 1]);
const ACROSS = unit(cross([0, 1, 0], EYE));
const UP = cross(EYE, ACROSS);

const seen = (at: Vec3): Point => [dot(at, ACROSS) / 1000, -dot(at, UP) / 1000];

const lightOf = (normal: Vec3): number => 0.62 + 0.38 * Math.max(0, dot(normal, unit([-0.3, 1, 0.6])));

type Painted = { readonly rings: readonly (readonly Vec3[])[]; readonly light: number; readonly as: PictureFace['as'] };

/** Outlines with more points than this are curves, whose facets show no edges. */
const CURVE = 12;
/** Where a curve turns by more than this its edge shows. */
const CORNER = Math.cos(Math.PI / 6);

const facesOf = (part: Part): readonly Painted[] => {
  const { pose, thickness, region } = part;
  const n = normalOf(pose);
  const ringsIn = ({ outline, holes }: Region): readonly Ring[] => [outline, ...holes];
  const [low, high] = [ringsIn(region), ringsIn(upperOf(part))];
  const faces: Painted[] = [];
  // What is seen through an opening is painted before the outside.
  for (const number of [...low.keys()].reverse()) {
    const [ring, over] = [low[number] as Ring, high[number] as Ring];
    const under = ring.map((point) => toSpace(pose, point));
    const above = over.map((point) => toSpace(pose, point, thickness));
    const after = (index: number): number => (index + 1) % ring.length;
    const outs = ring.map((_, index) => {
      const [a, b, c, d] = [under[index], under[after(index)], above[after(index)], above[index]] as [Vec3, Vec3, Vec3, Vec3];
      return unit(cross(minus(c, a), minus(d, b)));
    });
    const shows = outs.map((out) => dot(out, EYE) > 0.001);
    const curved = ring.length > CURVE;
    const lines: Painted[] = [];
    ring.forEach((_, index) => {
      const next = after(index);
      const corners = [under[index], under[next], above[next], above[index]] as Vec3[];
      if (shows[index]) faces.push({ rings: [corners], light: lightOf(outs[index] as Vec3), as: curved ? 'facet' : 'face' });
      if (!curved) return;
      if (shows[index])
        lines.push({ rings: [corners.slice(0, 2)], light: 0, as: 'line' }, { rings: [corners.slice(2)], light: 0, as: 'line' });
      const turns = dot(outs[index] as Vec3, outs[next] as Vec3) < CORNER;
      if (shows[index] !== shows[next] || (shows[index] && turns)) lines.push({ rings: [corners.slice(1, 3)], light: 0, as: 'line' });
    });
    faces.push(...lines);
  }
  const front = dot(n, EYE) > 0;
  const rings = front ? high : low;
  const cap = (ring: Ring) => ring.map((point) => toSpace(pose, point, front ? thickness : 0));
  const facing: Vec3 = front ? n : [-n[0], -n[1], -n[2]];
  return [...faces, { rings: rings.map(cap), light: lightOf(facing), as: 'face' }];
};

const SLACK = 20;

/** Whether something stands in another, as a dowel in its disc, and rises above it. */
const risesFrom = (a: Box, b: Box): boolean =>
  b.max[1] > a.max[1] && b.min[0] >= a.min[0] && b.max[0] <= a.max[0] && b.min[2] >= a.min[2] && b.max[2] <= a.max[2];

/** Whether `a` must be painted before `b`. */
const before = (a: Box, b: Box): boolean =>
  a.max[2] <= b.min[2] + SLACK || a.max[1] <= b.min[1] + SLACK || a.max[0] <= b.min[0] + SLACK || risesFrom(a, b);

/** An order in which nothing nearer is painted under something farther. */
const painted = (boxes: readonly Box[]): readonly number[] => {
  const left = new Set(boxes.map((_, index) => index).sort((a, b) => (boxes[a] as Box).max[2] - (boxes[b] as Box).max[2]));
  const order: number[] = [];
  while (left.size > 0) {
    const free = [...left].find((index) =>
      [...left].every(
        (other) => other === index || !before(boxes[other] as Box, boxes[index] as Box) || before(boxes[index] as Box, boxes[other] as Box),
      ),
    );
    const next = free ?? ([...left][0] as number);
    order.push(next);
    left.delete(next);
  }
  return order;
};

const path = (rings: readonly (readonly Vec3[])[], open: boolean): string =>
  rings
    .map(
      (ring) =>
        `M${ring
          .map((at) =>
            seen(at)
              .map((value) => value.toFixed(2))
              .join(' '),
          )

          .join('L')}${open ? '' : 'Z'}`,
    )
    .join('');

/** Facets beside one another that are about as light, and lines beside one another, are painted as one. */
const together = (faces: readonly PictureFace[]): readonly PictureFace[] => {
  const found: PictureFace[] = [];
  for (const face of faces) {
    const last = found.at(-1);
    const alike = last && last.as === face.as && face.as !== 'face' && Math.abs(last.light - face.light) < 0.02;
    if (alike) found[found.length - 1] = { ...last, path: last.path + face.path };
    else found.push(face);
  }
  return found;
};

/** The picture of a piece. */
export const pictureOf = (parts: readonly Part[]): PartPicture => {
  const order = painted(parts.map(boxOf));
  const faces = order.flatMap((index) => {
    const part = parts[index] as Part;
    return facesOf(part).map(
      ({ rings, light, as }): PictureFace => ({
        path: path(rings, as === 'line'),
        role: part.role,
        clear: part.stuff === 'clear',
        light,
        as,
      }),
    );
  });
  const points = parts.flatMap((part) => {
    const { min, max } = boxOf(part);
    return [0, 1, 2, 3, 4, 5, 6, 7].map((bits) => seen([(bits & 1 ? max : min)[0], (bits & 2 ? max : min)[1], (bits & 4 ? max : min)[2]]));
  });
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { faces: together(faces), x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
};
