// µm, doll size. What turns or slides once a piece is built.
import type { Vec3 } from '../shape/index.ts';

/** How a door is held: a strip of paper glued with one leaf on each side of its score, or pins in holes at both ends. */
export type Hinge =
  | { readonly kind: 'paper'; readonly leaf: number; readonly length: number }
  | { readonly kind: 'pins'; readonly fromEdge: number; readonly length: number; readonly diameter: number };

/** A group of parts, by id, that turns about an axis or slides out along a way. Angles are right-handed about `along`, in radians. */
export type Motion =
  | {
      readonly kind: 'swing';
      readonly door: string;
      readonly parts: readonly string[];
      /** What was moved out of its way before: brackets that fold aside. */
      readonly aside: readonly string[];
      readonly at: Vec3;
      readonly along: Vec3;
      readonly angle: number;
      readonly hinge: Hinge;
    }
  | { readonly kind: 'slide'; readonly door: string; readonly parts: readonly string[]; readonly along: Vec3; readonly by: number };

/** A motion as it is where its piece was moved to: `point` brings points there, `way` turns directions. */
export const movedMotion = (motion: Motion, point: (at: Vec3) => Vec3, way: (along: Vec3) => Vec3): Motion =>
  motion.kind === 'swing' ? { ...motion, at: point(motion.at), along: way(motion.along) } : { ...motion, along: way(motion.along) };
