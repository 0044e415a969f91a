// µm, doll size. Where two parts touch.
import type { Point, Pose, Ring } from '../shape/index.ts';

/** Which face of a part: the one its template shows, the one behind, or one of its cut edges. */
export type FaceName = 'front' | 'back' | 'edge';

/** Two parts, by index, that touch: on which face of each, over which ring of the plane that they share. */
export type Contact = {
  readonly a: number;
  readonly b: number;
  readonly faceA: FaceName;
  readonly faceB: FaceName;
  readonly plane: Pose;
  readonly ring: Ring;
  /** In µm²; negative for the ring of a hole in what touches. */
  readonly area: number;
};

/** A slanted edge shorter than this, of an outline with many corners, is a facet of a curve: it meets other parts along a line, and nothing is
 *  glued to it but what has the same curve (`round.ts`). */
const FACET = 5_000;

export const isFacet = ([ax, ay]: Point, [bx, by]: Point): boolean => ax !== bx && ay !== by && Math.hypot(bx - ax, by - ay) < FACET;
