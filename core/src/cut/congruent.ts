// µm, doll size. Whether two outlines are one outline that was turned, flipped or moved, by any angle: slices of a pie are.
import type { Point, Region, Ring } from '../shape/index.ts';

/** Corners that were turned are rounded to the micrometre; distances between two of them differ by little more. */
const WITHIN = 4;

/** How far each corner lies from a point, and from the next corner. */
type Profile = { readonly far: readonly number[]; readonly next: readonly number[] };

const middleOf = (ring: Ring): Point => [
  ring.reduce((sum, [x]) => sum + x, 0) / ring.length,
  ring.reduce((sum, [, y]) => sum + y, 0) / ring.length,
];

const profileOf = (ring: Ring, [cx, cy]: Point): Profile => ({
  far: ring.map(([x, y]) => Math.hypot(x - cx, y - cy)),
  next: ring.map(([x, y], index) => {
    const [nx, ny] = ring[(index + 1) % ring.length] as Point;
    return Math.hypot(nx - x, ny - y);
  }),
});

const near = (one: number, other: number): boolean => Math.abs(one - other) <= WITHIN;

/** Whether one profile is the other, begun elsewhere and perhaps walked the other way. */
const follows = (one: Profile, other: Profile): boolean => {
  const count = one.far.length;
  if (count !== other.far.length) return false;
  for (const way of [1, -1])
    for (let start = 0; start < count; start += 1) {
      let step = 0;
      for (; step < count; step += 1) {
        const at = (start + way * step + 2 * count) % count;
        const edge = way === 1 ? at : (at + count - 1) % count;
        if (!near(one.far[step] as number, other.far[at] as number) || !near(one.next[step] as number, other.next[edge] as number)) break;
      }
      if (step === count) return true;
    }
  return false;
};

const profiles = new WeakMap<Region, readonly Profile[]>();

/** The outline's profile and those of the holes, all from the outline's middle. */
const profilesOf = (region: Region): readonly Profile[] => {
  const known = profiles.get(region);
  if (known) return known;
  const middle = middleOf(region.outline);
  const made = [region.outline, ...region.holes].map((ring) => profileOf(ring, middle));
  profiles.set(region, made);
  return made;
};

/** Whether two regions are cut alike from a board without grain. Each hole is where it is in the other as far as its distances from the outline's
 *  middle tell. */
export const congruent = (a: Region, b: Region): boolean => {
  if (a.outline.length !== b.outline.length || a.holes.length !== b.holes.length) return false;
  const [[outline, ...holes], [other, ...others]] = [profilesOf(a), profilesOf(b)] as [readonly Profile[], readonly Profile[]];
  if (!outline || !other || !follows(outline, other)) return false;
  const left = [...others];
  return holes.every((hole) => {
    const at = left.findIndex((each) => follows(hole, each));
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  });
};
