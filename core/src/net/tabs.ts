// µm, doll size. Tabs: narrower than what they are glued to, their ends at a slant, on nothing else of the net.
import { areaOf, common, type Point, type Region } from '../shape/index.ts';
import type { NetFace, NetRing, NetSeam, NetTab } from './net.ts';

const asRegion = (ring: NetRing): Region => ({ outline: ring.map(([x, y]): Point => [Math.round(x), Math.round(y)]), holes: [] });

type Span = readonly [x0: number, y0: number, x1: number, y1: number];

const spanOf = (ring: NetRing): Span => {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of ring) {
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
  }
  return [x0, y0, x1, y1];
};

/** Sides turn one way all round: no corner stands in. */
const isConvex = (ring: NetRing): boolean =>
  ring.every((here, index) => {
    const [before, next] = [ring[(index + ring.length - 1) % ring.length] as Point, ring[(index + 1) % ring.length] as Point];
    return (here[0] - before[0]) * (next[1] - here[1]) - (here[1] - before[1]) * (next[0] - here[0]) > -1;
  });

/** What lies no deeper in another than this only touches it. */
const TOUCH = 2;

/** Some side of a convex figure, run counter-clockwise, has all of another outside. */
const parts = (one: NetRing, other: NetRing): boolean =>
  one.some(([ax, ay], index) => {
    const [bx, by] = one[(index + 1) % one.length] as Point;
    const long = Math.hypot(bx - ax, by - ay);
    return long > 0 && other.every(([x, y]) => ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / long < TOUCH);
  });

/** Two figures of a net share area: more than a hair along a side that both have. Convex ones by separating sides, others by clipping. */
export const overlap = (one: NetRing, other: NetRing): boolean => {
  const [a, b] = [spanOf(one), spanOf(other)];
  if (a[0] >= b[2] - 1 || b[0] >= a[2] - 1 || a[1] >= b[3] - 1 || b[1] >= a[3] - 1) return false;
  if (isConvex(one) && isConvex(other)) return !parts(one, other) && !parts(other, one);
  const shared = areaOf(common(asRegion(one), [asRegion(other)]));
  return shared > 4 * Math.max(...[...one, ...other].flat().map(Math.abs), 1_000);
};

/** Where a tab has no room it is made shallower by these shares, down to what fingers still press. Common practice, no source. */
const SHARE = 0.6;
const LEAST = 1_000;

const inside = (ring: NetRing, [x, y]: Point, margin: number): boolean =>
  ring.every(([ax, ay], index) => {
    const [bx, by] = ring[(index + 1) % ring.length] as Point;
    return ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay) >= margin;
  });

/** A tab on a side, so deep and with ends so slanted: its outline out of the face. */
const tabRing = ([ax, ay]: Point, [bx, by]: Point, deep: number): NetRing => {
  const length = Math.hypot(bx - ax, by - ay);
  const [wx, wy] = [(bx - ax) / length, (by - ay) / length];
  const slant = Math.min(deep, length / 3);
  // Out of a face that runs counter-clockwise is on the right.
  const at = (along: number, out: number): Point => [ax + wx * along + wy * out, ay + wy * along - wx * out];
  return [at(0, 0), at(slant, deep), at(length - slant, deep), at(length, 0)];
};

/** Where a tab comes to lie on the face that its side meets: the same figure, mirrored at the side. */
const onTarget = (deep: number, [ax, ay]: Point, [bx, by]: Point): NetRing => {
  const length = Math.hypot(bx - ax, by - ay);
  const [wx, wy] = [(bx - ax) / length, (by - ay) / length];
  const slant = Math.min(deep, length / 3);
  // Into a face that runs counter-clockwise is on the left.
  const at = (along: number, into: number): Point => [ax + wx * along - wy * into, ay + wy * along + wx * into];
  return [at(0, 0), at(slant, deep), at(length - slant, deep), at(length, 0)];
};

/** A tab for a seam: on its one side or the other, as deep as it may be; nothing where even a millimetre is too much. Its angle is still to be found. */
export const tabOn = ({ one, other }: NetSeam, faces: readonly NetFace[], tabs: readonly NetTab[], wanted: number): NetTab | undefined => {
  const taken = [...faces.map(({ outline }) => outline), ...tabs.map(({ outline }) => outline)];
  for (const [on, to] of [
    [one, other],
    [other, one],
  ] as const) {
    const target = faces[to.face]?.outline as NetRing;
    const fits = (deep: number): boolean =>
      onTarget(deep, to.from, to.to).every((point) => inside(target, point, -1)) &&
      taken.every((ring) => !overlap(tabRing(on.from, on.to, deep), ring));
    const depth = [1, SHARE, 0.4, 0.25].map((share) => Math.round(wanted * share)).find((deep) => deep >= LEAST && fits(deep));
    if (depth !== undefined) return { outline: tabRing(on.from, on.to, depth), on, to: to.face, angle: 0 };
  }
  return undefined;
};
