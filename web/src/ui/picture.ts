// A piece as a small picture from the front right and above, every face taken from its parts. Painted back to front: of two boards the one
// that lies behind, below or to the left of the other is painted first.
import { type Box, boxOf, type Part, type Role } from '@parlor/core/assembly';
import { cross, dot, normalOf, type Point, type Ring, toSpace, type Vec3 } from '@parlor/core/shape';

/** A face to paint: a path in millimetres, y down, and how light falls on it: 0 dark to 1 light. */
export type Face = { readonly path: string; readonly role: Role; readonly clear: boolean; readonly light: number };

export type Picture = {
  readonly faces: readonly Face[];
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
};

const unit = (vector: Vec3): Vec3 => {
  const length = Math.hypot(...vector);
  return [vector[0] / length, vector[1] / length, vector[2] / length];
};

const EYE = unit([0.5, 0.42, 1]);
const ACROSS = unit(cross([0, 1, 0], EYE));
const UP = cross(EYE, ACROSS);

const seen = (at: Vec3): Point => [dot(at, ACROSS) / 1000, -dot(at, UP) / 1000];

const lightOf = (normal: Vec3): number => 0.62 + 0.38 * Math.max(0, dot(normal, unit([-0.3, 1, 0.6])));

type Painted = { readonly rings: readonly (readonly Vec3[])[]; readonly light: number };

const facesOf = (part: Part): readonly Painted[] => {
  const { pose, thickness, region } = part;
  const n = normalOf(pose);
  const rings = [region.outline, ...region.holes];
  const faces: Painted[] = [];
  for (const ring of rings) {
    ring.forEach((from, index) => {
      const to = ring[(index + 1) % ring.length] as Point;
      const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
      const length = Math.hypot(dx, dy);
      const out: Vec3 = [
        (pose.u[0] * dy - pose.v[0] * dx) / length,
        (pose.u[1] * dy - pose.v[1] * dx) / length,
        (pose.u[2] * dy - pose.v[2] * dx) / length,
      ];
      if (dot(out, EYE) <= 0.001) return;
      faces.push({
        rings: [[toSpace(pose, from), toSpace(pose, to), toSpace(pose, to, thickness), toSpace(pose, from, thickness)]],
        light: lightOf(out),
      });
    });
  }
  const front = dot(n, EYE) > 0;
  const cap = (ring: Ring) => ring.map((point) => toSpace(pose, point, front ? thickness : 0));
  const facing: Vec3 = front ? n : [-n[0], -n[1], -n[2]];
  return [...faces, { rings: rings.map(cap), light: lightOf(facing) }];
};

const SLACK = 20;

/** Whether `a` must be painted before `b`. */
const before = (a: Box, b: Box): boolean => a.max[2] <= b.min[2] + SLACK || a.max[1] <= b.min[1] + SLACK || a.max[0] <= b.min[0] + SLACK;

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

const path = (rings: readonly (readonly Vec3[])[]): string =>
  rings
    .map(
      (ring) =>
        `M${ring
          .map((at) =>
            seen(at)
              .map((value) => value.toFixed(2))
              .join(' '),
          )
          .join('L')}Z`,
    )
    .join('');

/** The picture of a piece. */
export const pictureOf = (parts: readonly Part[]): Picture => {
  const order = painted(parts.map(boxOf));
  const faces = order.flatMap((index) => {
    const part = parts[index] as Part;
    return facesOf(part).map(({ rings, light }): Face => ({ path: path(rings), role: part.role, clear: part.stuff === 'clear', light }));
  });
  const points = parts.flatMap((part) => {
    const { min, max } = boxOf(part);
    return [0, 1, 2, 3, 4, 5, 6, 7].map((bits) => seen([(bits & 1 ? max : min)[0], (bits & 2 ? max : min)[1], (bits & 4 ? max : min)[2]]));
  });
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { faces, x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
};
