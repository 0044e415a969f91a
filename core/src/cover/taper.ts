// µm, doll size. The sides of parts that taper or are cut at a slant, laid flat: a bevelled edge is a plane of its own, a cone is unrolled.

import type { Part } from '../assembly/index.ts';
import { add, cross, dot, mapFour, minus, type Point, type Pose, type Region, scaled, toSpace, unit, type Vec3 } from '../shape/index.ts';

/** A plane stretch of a side: its corners as they lie flat and in space, the two below first. */
export type Quad = { readonly flat: readonly [Point, Point, Point, Point]; readonly space: readonly [Vec3, Vec3, Vec3, Vec3] };

/** The plane of a stretch: along its lower side, looking outwards. */
const planeOf = ([a, b, c, d]: Quad['space']): Pose => {
  const along = Math.hypot(...minus(b, a)) > 1 ? minus(b, a) : minus(c, d);
  const u = unit(along);
  const n = unit(cross(u, minus(d, a)));
  return { origin: a, u, v: cross(n, u) };
};

const inPlane = ({ origin, u, v }: Pose, at: Vec3): Point => {
  const off = minus(at, origin);
  return [dot(off, u), dot(off, v)];
};

/** A side between a stretch of ring below and the one above it, laid flat from its first point.
 *  Shape: n points below, n above → n − 1 stretches that hang together, the first one's plane, and the figure they make. */
export const unrolled = (
  part: Part,
  low: readonly Point[],
  high: readonly Point[],
): { readonly pose: Pose; readonly quads: readonly Quad[]; readonly region: Region } => {
  const under = low.map((point) => toSpace(part.pose, point));
  const over = high.map((point) => toSpace(part.pose, point, part.thickness));
  const quads: Quad[] = [];
  for (let index = 0; index + 1 < under.length; index += 1) {
    const space: Quad['space'] = [under[index] as Vec3, under[index + 1] as Vec3, over[index + 1] as Vec3, over[index] as Vec3];
    const plane = planeOf(space);
    const local = mapFour(space, (point) => inPlane(plane, point));
    const before = quads.at(-1);
    if (!before) {
      quads.push({ flat: local, space });
      continue;
    }
    // Turned so that its first rib lies on the last one of the stretch before.
    const [, from, to] = before.flat;
    const angle = Math.atan2(to[1] - from[1], to[0] - from[0]) - Math.atan2(local[3][1] - local[0][1], local[3][0] - local[0][0]);
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const flat = mapFour(local, ([x, y]): Point => {
      const [dx, dy] = [x - local[0][0], y - local[0][1]];
      return [from[0] + dx * cos - dy * sin, from[1] + dx * sin + dy * cos];
    });
    quads.push({ flat, space });
  }
  const [first, last] = [quads[0] as Quad, quads.at(-1) as Quad];
  const whole = ([x, y]: Point): Point => [Math.round(x) + 0, Math.round(y) + 0];
  const outline = [...quads.map(({ flat }) => flat[0]), last.flat[1], last.flat[2], ...quads.map(({ flat }) => flat[3]).toReversed()].map(
    whole,
  );
  return { pose: planeOf(first.space), quads, region: { outline, holes: [] } };
};

/** Where a flat point of a stretch is in space: by the two sides that meet in its first corner. */
const raised = ({ flat: [a, b, c, d], space }: Quad, [x, y]: Point): Vec3 => {
  const across: Point = Math.hypot(b[0] - a[0], b[1] - a[1]) > 1 ? [b[0] - a[0], b[1] - a[1]] : [c[0] - d[0], c[1] - d[1]];
  const up: Point = [d[0] - a[0], d[1] - a[1]];
  const turn = across[0] * up[1] - across[1] * up[0];
  const [dx, dy] = [x - a[0], y - a[1]];
  const [s, t] = [(dx * up[1] - dy * up[0]) / turn, (across[0] * dy - across[1] * dx) / turn];
  const along = Math.hypot(b[0] - a[0], b[1] - a[1]) > 1 ? minus(space[1], space[0]) : minus(space[2], space[3]);
  return add(space[0], add(scaled(along, s), scaled(minus(space[3], space[0]), t)));
};

/** How far a point lies outside a stretch; negative within. */
const outside = ({ flat }: Quad, [x, y]: Point): number =>
  flat.reduce((most, [ax, ay], index) => {
    const [bx, by] = flat[(index + 1) % 4] as Point;
    const length = Math.hypot(bx - ax, by - ay);
    return length < 1 ? most : Math.max(most, ((y - ay) * (bx - ax) - (x - ax) * (by - ay)) / -length);
  }, -Infinity);

/** Where a point of an unrolled side is in space. */
export const rolledUp = (quads: readonly Quad[], point: Point): Vec3 =>
  raised(
    quads.reduce((best, quad) => (outside(quad, point) < outside(best, point) ? quad : best)),
    point,
  );

/** A figure in space as it lies on an unrolled side, on the stretch whose plane holds it; nothing where none does. */
export const ontoRolled = (quads: readonly Quad[], figure: readonly Vec3[], within: number): readonly Point[] | undefined => {
  for (const quad of quads) {
    const plane = planeOf(quad.space);
    const n = cross(plane.u, plane.v);
    if (!figure.every((point) => Math.abs(dot(minus(point, plane.origin), n)) <= within)) continue;
    const local = mapFour(quad.space, (point) => inPlane(plane, point));
    const [a, d] = [local[0], local[3]];
    const [fa, fd] = [quad.flat[0], quad.flat[3]];
    const angle = Math.atan2(fd[1] - fa[1], fd[0] - fa[0]) - Math.atan2(d[1] - a[1], d[0] - a[0]);
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const flat = figure.map((point): Point => {
      const [x, y] = inPlane(plane, point);
      const [dx, dy] = [x - a[0], y - a[1]];
      return [Math.round(fa[0] + dx * cos - dy * sin), Math.round(fa[1] + dx * sin + dy * cos)];
    });
    if (flat.every((point) => outside(quad, point) <= within * 3)) return flat;
  }
  return undefined;
};
