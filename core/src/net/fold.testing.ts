// Folding a net with nothing but its lines, and looking whether it came out.
import { expect } from 'vitest';
import { areaOf, dot, mapVec, merged, minus, normalOf, type Point, type Vec3, vec3 } from '../shape/index.ts';
import { foldedNet, foldedTab, inSpaceOf, type Net, type NetRing, type Polyhedron, volumeOf } from './index.ts';

/** What stands at a place of a list. */
export const of = <T>(list: readonly T[], index: number): T => list[index] as T;

export const away = (a: Vec3, b: Vec3): number => Math.hypot(...minus(a, b));

const areaOfRing = (ring: NetRing): number =>
  Math.abs(
    ring.reduce(
      (sum, [x, y], index) => sum + (x * of(ring, (index + 1) % ring.length)[1] - of(ring, (index + 1) % ring.length)[0] * y) / 2,
      0,
    ),
  );

const whole = (ring: NetRing) => ({ outline: ring.map(([x, y]): Point => [Math.round(x), Math.round(y)]), holes: [] });

/** What must hold of every net: a hundredth of a millimetre. */
export const HAIR = 10;

/** Folded, its seams meet corner on corner; flat, nothing lies on anything else, the tabs among it; folded, tabs lie on the hidden side of what they are glued
 *  to and nowhere beyond it (`round` ones go over several facets). */
export const folds = (net: Net, round = false): void => {
  const poses = foldedNet(net, 1);
  for (const { one, other } of net.seams) {
    const [a, b] = [inSpaceOf(of(poses, one.face), [one.from, one.to]), inSpaceOf(of(poses, other.face), [other.from, other.to])];
    expect(away(of(a, 0), of(b, 1))).toBeLessThan(HAIR);
    expect(away(of(a, 1), of(b, 0))).toBeLessThan(HAIR);
  }
  const rings = [...net.faces, ...net.tabs].map(({ outline }) => outline);
  const sum = rings.reduce((all, ring) => all + areaOfRing(ring), 0);
  // Thin facets lose some area to whole micrometres.
  expect(areaOf(merged(rings.map(whole))) / sum).toBeCloseTo(1, round ? 2 : 3);
  if (round) return;
  for (const tab of net.tabs) {
    const pose = foldedTab(tab, poses);
    const target = of(poses, tab.to);
    const n = normalOf(target);
    const ring = of(net.faces, tab.to).outline;
    for (const corner of inSpaceOf(pose, tab.outline)) {
      const rel = minus(corner, target.origin);
      expect(Math.abs(dot(rel, n))).toBeLessThan(HAIR);
      const [x, y] = [dot(rel, target.u), dot(rel, target.v)];
      for (const [at, [ax, ay]] of ring.entries()) {
        const [bx, by] = of(ring, (at + 1) % ring.length);
        expect(((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay)).toBeGreaterThan(-HAIR);
      }
    }
    expect(dot(normalOf(pose), n)).toBeGreaterThan(0.999);
  }
};

/** Folding stretches nothing: every face has the sides that it has on the solid. */
export const keepsSides = (solid: Polyhedron, net: Net): void => {
  const poses = foldedNet(net, 1);
  for (const [index, { name, outline }] of net.faces.entries()) {
    const place = inSpaceOf(of(poses, index), outline);
    const sides = (ring: readonly Vec3[]): readonly number[] =>
      ring.map((corner, at) => away(corner, of(ring, (at + 1) % ring.length))).sort((p, q) => p - q);
    const face = solid.faces.find((each) => each.name === name) as Polyhedron['faces'][number];
    const real = sides(face.ring.map((corner) => of(solid.corners, corner)));
    for (const [at, long] of sides(place).entries()) expect(Math.abs(long - of(real, at))).toBeLessThan(HAIR);
  }
};

/** The volume that a folded net encloses. */
export const held = (net: Net): number => {
  const poses = foldedNet(net, 1);
  return Math.abs(volumeOf(net.faces.map(({ outline }, face) => inSpaceOf(of(poses, face), outline))));
};

/** The box round a folded net, its first face where it lies. */
export const boxRound = (net: Net): readonly [low: Vec3, high: Vec3] => {
  const poses = foldedNet(net, 1);
  const all = net.faces.flatMap(({ outline }, face) => inSpaceOf(of(poses, face), outline));
  const by = (pick: (...values: number[]) => number): Vec3 => vec3((axis) => pick(...all.map((corner) => of(corner, axis))));
  return [by(Math.min), by(Math.max)];
};

/** True where a side of one face goes through the inside of another: faces that only touch, or lie on one another, do not. */
export const crosses = (net: Net): string | undefined => {
  const poses = foldedNet(net, 1);
  const faces = net.faces.map(({ name, outline }, face) => ({
    name,
    outline,
    pose: of(poses, face),
    corners: inSpaceOf(of(poses, face), outline),
  }));
  const deepIn = (ring: NetRing, x: number, y: number): boolean =>
    ring.every(([ax, ay], at) => {
      const [bx, by] = of(ring, (at + 1) % ring.length);
      return ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay) > 5 * HAIR;
    });
  for (const one of faces) {
    const n = normalOf(one.pose);
    for (const other of faces) {
      if (one === other) continue;
      const offs = other.corners.map((corner) => dot(minus(corner, one.pose.origin), n));
      for (const [at, off] of offs.entries()) {
        const next = (at + 1) % offs.length;
        const beyond = of(offs, next);
        if (!(off > HAIR && beyond < -HAIR) && !(off < -HAIR && beyond > HAIR)) continue;
        const share = off / (off - beyond);
        const [from, to] = [of(other.corners, at), of(other.corners, next)];
        const point = mapVec(from, (value, axis) => value + (of(to, axis) - value) * share);
        const rel = minus(point, one.pose.origin);
        if (deepIn(one.outline, dot(rel, one.pose.u), dot(rel, one.pose.v))) return `${other.name} through ${one.name}`;
      }
    }
  }
  return undefined;
};
