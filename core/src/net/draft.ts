// µm, doll size. Nets drawn by hand: a first face, others hung on its sides, seams and tabs. What a maker would draw with a rule.
import { cross, dot, minus, normalOf, type Point, scaled, toSpace } from '../shape/index.ts';
import { foldedNet } from './fold.ts';
import type { Net, NetFace, NetHinge, NetRing, NetSeam, NetSide, NetTab } from './net.ts';
import { tabOn } from './tabs.ts';

/** A side of a face: the face, and which of its sides as its outline runs. */
export type SideOf = readonly [face: number, side: number];

/** What hangs on a side: corners by how far along the side, from its end back to its beginning, and how far out of it. */
export type Flap = readonly Point[];

type More = Pick<NetHinge, 'how' | 'step' | 'between'> & Pick<NetFace, 'holes' | 'behind'>;

/** A net under the pencil. Sides of the first face are numbered as its outline runs; those of a flap begin with the side that it hangs on, then comes the
 *  one where the side began, its far side, and the other end. */
export type Draft = {
  readonly hang: (on: SideOf, name: string, flap: Flap, angle: number, more?: More) => number;
  /** Two sides meet once it is folded; with a depth, a tab on the first (or the second) holds them. */
  readonly meet: (one: SideOf, other: SideOf, tab?: number) => void;
  readonly lengthOf: (side: SideOf) => number;
  readonly net: () => Net;
};

/** A flap as long as its side, with ends drawn in. */
export const flapOf = (long: number, deep: number, begins = 0, ends = 0): Flap => [
  [long, 0],
  [0, 0],
  [begins, deep],
  [long - ends, deep],
];

/** A rectangle, its lower left corner at the origin. */
export const rect = (width: number, height: number): NetRing => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];

/** Sides of a face that was hung to the right of another: where it hangs is 0. Of the first face: below 0, right 1, above 2, left 3. */
export const BELOW = 1;
export const FAR = 2;
export const ABOVE = 3;

const QUARTER = Math.PI / 2;
/** A square fold, standing out. */
export const SQUARE = QUARTER;

/** Begins a net with its first face. */
export const draftOf = (name: string, outline: NetRing, more: Pick<NetFace, 'holes' | 'behind'> = {}): Draft => {
  const faces: NetFace[] = [{ name, outline, ...more }];
  const hinges: NetHinge[] = [];
  const seams: NetSeam[] = [];
  const wanted: number[] = [];
  const side = ([face, number]: SideOf): NetSide => {
    const ring = faces[face]?.outline as NetRing;
    return { face, from: ring[number % ring.length] as Point, to: ring[(number + 1) % ring.length] as Point };
  };
  return {
    hang: (on, called, flap, angle, { how, step, between, ...face } = {}) => {
      const { from, to } = side(on);
      const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
      const [wx, wy] = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
      const at = ([along, out]: Point): Point => [from[0] + wx * along + wy * out, from[1] + wy * along - wx * out];
      const holes = face.holes?.map((ring) => ring.map(at));
      faces.push({ name: called, outline: flap.map(at), ...face, ...(holes && { holes }) });
      const folded = { ...(how && { how }), ...(step !== undefined && { step }), ...(between !== undefined && { between }) };
      hinges.push({ parent: on[0], child: faces.length - 1, from, to, angle, ...folded });
      return faces.length - 1;
    },
    meet: (one, other, tab = 0) => {
      seams.push({ one: side(one), other: side(other) });
      wanted.push(tab);
    },
    lengthOf: (of) => {
      const { from, to } = side(of);
      return Math.hypot(to[0] - from[0], to[1] - from[1]);
    },
    net: () => {
      const poses = foldedNet({ faces, hinges, seams, tabs: [] }, 1);
      const tabs: NetTab[] = [];
      seams.forEach((seam, index) => {
        const found = (wanted[index] as number) > 0 ? tabOn(seam, faces, tabs, wanted[index] as number) : undefined;
        if (!found) return;
        const [own, other] = [poses[found.on.face], poses[found.to]] as [(typeof poses)[number], (typeof poses)[number]];
        const way = minus(toSpace(own, found.on.to), toSpace(own, found.on.from));
        const axis = scaled(way, 1 / Math.hypot(...way));
        const [a, b] = [normalOf(own), normalOf(other)];
        const angle = Math.atan2(dot(cross(a, b), axis), dot(a, b));
        // What is folded flat on itself turns the whole way, and outwards.
        tabs.push({ ...found, angle: angle < -Math.PI + 1e-6 ? Math.PI : angle });
      });
      return { faces, hinges, seams, tabs };
    },
  };
};
