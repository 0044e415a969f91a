import type { Assembly } from '../../assembly/index.ts';
import type { Rect } from '../../shape/index.ts';
import type { Space } from './panels.ts';

/** A bay or a divided field of a front: which cell it is, by its path, and the clear space it has. */
export type BuiltBay = { readonly path: readonly number[]; readonly kind: string; readonly space: Space };

/** A decided size where it stands on a drawing: the way to the decision, the drawing, which way it runs there, from where to where along that
 *  axis of space, and at which place across it. */
export type SizeMark = {
  readonly path: readonly string[];
  readonly sight: 'front' | 'side' | 'top';
  readonly way: 'across' | 'up';
  readonly from: number;
  readonly to: number;
  readonly at: number;
};

/** A piece that stands: its assembly; the bays of its front, parents before children; the openings of its face frame; and sizes that stand on
 *  its drawings beside the outer ones. µm, doll size. */
export type Built = {
  readonly assembly: Assembly;
  readonly bays: readonly BuiltBay[];
  readonly openings: readonly Rect[];
  readonly marks: readonly SizeMark[];
};
