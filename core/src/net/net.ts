// µm, doll size. A net of stiff paper as it lies before it is folded: what is printed looks up, y is up on the page. Places are exact; they are
// rounded where they are printed.
import type { Point } from '../shape/index.ts';

export type NetRing = readonly Point[];

/** One face of what is folded. Faces of one name are one panel: the facets of what is rolled, the fields of a folded map. `behind` is what is printed on
 *  the hidden side. */
export type NetFace = { readonly name: string; readonly outline: NetRing; readonly holes?: readonly NetRing[]; readonly behind?: string };

/** A line on which one face hangs on another, run so that the one it hangs on is on its left; the other turns down along it by an angle, in radians,
 *  positive where the fold stands out (a mountain fold as one looks at what is printed). */
export type NetHinge = {
  readonly parent: number;
  readonly child: number;
  readonly from: Point;
  readonly to: Point;
  readonly angle: number;
  /** What is rolled bends there and is not scored; `plain` only lies beside it; `valley` is scored for folding away flat, though it stands open. */
  readonly how?: 'rolled' | 'plain' | 'valley';
  /** What has one number is folded at once; without one each is folded by itself, in order. */
  readonly step?: number;
  /** How many papers come to lie between the two, where that is more than none: folded flat over what was folded before. */
  readonly between?: number;
};

/** A side of a face, from corner to corner as its outline runs. */
export type NetSide = { readonly face: number; readonly from: Point; readonly to: Point };

/** Two sides that meet once it is folded. */
export type NetSeam = { readonly one: NetSide; readonly other: NetSide };

/** A flap on a side of a face, glued to the hidden side of the face that meets it there. */
export type NetTab = { readonly outline: NetRing; readonly on: NetSide; readonly to: number; readonly angle: number };

/** A net: the first face stays where it lies, the others are folded down from it, each after the one it hangs on. Seams are in the order in which
 *  they are glued. */
export type Net = {
  readonly faces: readonly NetFace[];
  readonly hinges: readonly NetHinge[];
  readonly seams: readonly NetSeam[];
  readonly tabs: readonly NetTab[];
};
