// µm, doll size. What is rolled, as nets: strips and sectors in so many facets that a curve and its chords part by less than a cut is wide.
import type { Pose, Vec3 } from '../shape/index.ts';
import { draftOf, flapOf } from './draft.ts';
import type { Net, NetRing, NetTab } from './net.ts';
import { sectorOf } from './rolled.ts';

/** A chord may lie this far inside its curve: a third of what scissors cut off. */
const GIVE = 60;

/** In how many facets something round is folded, a whole number of quarters. */
export const facetsOf = (diameter: number): number => {
  const needed = Math.PI / Math.acos(Math.max(0, 1 - GIVE / Math.max(diameter / 2, GIVE)));
  return Math.min(96, Math.max(16, 4 * Math.ceil(needed / 4)));
};

/** A disc. Its middle is the origin, or where it is put; a hole in its middle. */
export const discNet = (name: string, diameter: number, hole = 0, behind?: string): Net => {
  const ring = (across: number, count: number): NetRing =>
    Array.from({ length: count }, (_, index) => {
      const angle = (2 * Math.PI * index) / count;
      return [(across / 2) * Math.cos(angle), (across / 2) * Math.sin(angle)] as const;
    });
  const inner = ring(hole, Math.max(16, facetsOf(hole)));
  return draftOf(name, ring(diameter, facetsOf(diameter)), {
    holes: hole > 0 ? [[...inner].reverse()] : [],
    ...(behind !== undefined && { behind }),
  }).net();
};

/** A strip that goes round a circle once, its overlap under its beginning. Its length without the overlap is exactly the circle's; all facets are one panel.
 *  Shape: diameter of the circle on which the paper's middle lies, height → the net. Source: circumference, as in any handbook. */
export const tubeNet = (name: string, diameter: number, height: number, overlap: number): Net => {
  const count = facetsOf(diameter);
  const side = (Math.PI * diameter) / count;
  const draft = draftOf(name, [
    [0, 0],
    [side, 0],
    [side, height],
    [0, height],
  ]);
  let last = 0;
  for (let facet = 1; facet < count; facet += 1)
    last = draft.hang([last, facet === 1 ? 1 : 2], name, flapOf(height, side), (2 * Math.PI) / count, { how: 'rolled', step: 0 });
  draft.meet([last, 2], [0, 3]);
  return overlapping(draft.net(), last, overlap);
};

/** Where the first facet of a tube stands for its seam to be at the back, round an axis upwards through a point. */
export const tubeStands = (diameter: number, [x, y, z]: Vec3): Pose => {
  const count = facetsOf(diameter);
  const side = (Math.PI * diameter) / count;
  return { origin: [x + side / 2, y, z - side / (2 * Math.tan(Math.PI / count))], u: [-1, 0, 0], v: [0, 1, 0] };
};

/** The end of a strip that goes on under its beginning: a tab over several facets. */
const overlapping = (net: Net, last: number, wanted: number, cone?: Mantle): Net => {
  const seam = net.seams[0];
  if (!seam || wanted <= 0) return net;
  const { from, to } = seam.one;
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [wx, wy] = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
  const at = (along: number, out: number) => [from[0] + wx * along + wy * out, from[1] + wy * along - wx * out] as const;
  // Towards the tip a cone is narrow, and the other end of a sector that is almost a whole disc is near: the tab is drawn in there.
  const slope = cone ? Math.tan(Math.min(cone.gap * 0.9, (2 * Math.PI - cone.gap) * 0.4, 1.25)) : Infinity;
  const outer = cone ? cone.inner + long : Infinity;
  const overlap = Math.min(wanted, ((cone?.inner ?? 0) + long * 0.7) * slope, outer * 0.45);
  // At the wider edge its corner stays within the arc.
  const within = cone ? outer - Math.sqrt(Math.max(0, outer * outer - overlap * overlap)) : 0;
  const slant = Math.max(within, Math.min(overlap * 0.3, long / 8));
  const tip = Math.max(slant, Math.min(overlap / slope - (cone?.inner ?? 0), long * 0.7));
  const tab: NetTab = {
    outline: [at(0, 0), at(slant, overlap), at(long - tip, overlap), at(long, 0)],
    on: { face: last, from, to },
    to: 0,
    angle: net.hinges[0]?.angle ?? 0,
  };
  return { ...net, tabs: [tab] };
};

/** How a facet of a cone turns against the next: a regular pyramid whose faces have this angle at the tip. Source: spherical trigonometry, the dihedral angle
 *  of a regular pyramid: sin(δ/2) = cos(π/n) / cos(α/2). */
const turnOf = (count: number, tip: number): number => Math.PI - 2 * Math.asin(Math.min(1, Math.cos(Math.PI / count) / Math.cos(tip / 2)));

type Mantle = {
  readonly count: number;
  readonly below: number;
  readonly above: number;
  readonly leg: number;
  readonly inner: number;
  readonly gap: number;
};

/** The facets of a mantle: chords as long as the sector's arcs, so that what is cut is as long as it should be round its edge. */
const mantleOf = (low: number, high: number, height: number): Mantle => {
  const { inner, outer, angle } = sectorOf(low, high, height);
  const count = facetsOf(Math.max(low, high));
  const tip = angle / count;
  return { count, below: outer * tip, above: inner * tip, leg: (outer - inner) * Math.cos(tip / 2), inner, gap: 2 * Math.PI - angle };
};

/** Where the first facet of a mantle stands for its seam to be at the back, its larger edge below, or above where it stands on its head. */
export const coneStands = (low: number, high: number, height: number, [x, y, z]: Vec3, onHead: boolean): Pose => {
  const { count, below, above, leg } = mantleOf(low, high, height);
  const far = (chord: number): number => chord / (2 * Math.tan(Math.PI / count));
  const drawn = far(below) - far(above);
  const up = Math.sqrt(Math.max(0, leg * leg - drawn * drawn)) / leg;
  return onHead
    ? { origin: [x - below / 2, y + height, z - far(below)], u: [1, 0, 0], v: [0, -up, drawn / leg] }
    : { origin: [x + below / 2, y, z - far(below)], u: [-1, 0, 0], v: [0, up, drawn / leg] };
};

/** A mantle that is rolled from the sector of a ring: a shade, a cup, a cone where it comes to a point.
 *  Shape: diameters below and above, height → the net; the facets are one panel, the larger edge below. */
export const coneNet = (name: string, low: number, high: number, height: number, overlap: number): Net => {
  const mantle = mantleOf(low, high, height);
  const { count, below, above, leg } = mantle;
  const ease = (below - above) / 2;
  const pointed = above < 1;
  const first: NetRing = pointed
    ? [
        [0, 0],
        [below, 0],
        [below / 2, leg],
      ]
    : [
        [0, 0],
        [below, 0],
        [below - ease, leg],
        [ease, leg],
      ];
  const draft = draftOf(name, first);
  const slope = Math.hypot(leg, ease);
  const lean = Math.atan2(ease, leg);
  // Each hangs on the slope of the one before, which runs from the edge below up; it leans away by twice the slope's lean.
  const corner = (x: number, y: number) => {
    return [x * Math.sin(lean) + y * Math.cos(lean), x * Math.cos(lean) - y * Math.sin(lean)] as const;
  };
  const flap = [[slope, 0] as const, [0, 0] as const, corner(below, 0), ...(pointed ? [] : [corner(below - ease, leg)])];
  let last = 0;
  for (let facet = 1; facet < count; facet += 1)
    last = draft.hang([last, facet === 1 ? 1 : 2], name, flap, turnOf(count, 2 * lean), { how: 'rolled', step: 0 });
  draft.meet([last, 2], [0, pointed ? 2 : 3]);
  return overlapping(draft.net(), last, overlap, mantle);
};
