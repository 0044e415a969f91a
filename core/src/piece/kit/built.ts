import type { Assembly } from '../../assembly/index.ts';
import type { Rect } from '../../shape/index.ts';
import type { Space } from './panels.ts';

/** A bay or a divided field of a front: which cell it is, by its path, and the clear space it has. */
export type BuiltBay = { readonly path: readonly number[]; readonly kind: string; readonly space: Space };

/** A piece that stands: its assembly; the bays of its front, parents before children; the openings of its face frame. µm, doll size. */
export type Built = { readonly assembly: Assembly; readonly bays: readonly BuiltBay[]; readonly openings: readonly Rect[] };
