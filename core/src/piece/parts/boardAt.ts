// µm, doll size. Boards of any outline in any pose.
import type { Part, Role } from '../../assembly/index.ts';
import type { Pose, Region } from '../../shape/index.ts';
import type { Sheeting } from '../family/means.ts';

export type BoardKind = { readonly id: string; readonly role: Role; readonly name: string; readonly held?: Part['held'] };

/** One board of a sheeting, as it lies in space. */
export const boardAt = (kind: BoardKind, { board, one }: Sheeting, region: Region, pose: Pose, grain: Part['grain']): Part => ({
  ...kind,
  stuff: 'board',
  stock: board,
  thickness: one,
  region,
  pose,
  grain,
  held: kind.held ?? 'glue',
  length: null,
  centres: [],
});

/** What one of several layers is called, and which it is. */
export const layerKind = (kind: BoardKind, { layers }: Sheeting, layer: number): BoardKind =>
  layers === 1 ? kind : { ...kind, id: `${kind.id}~${layer + 1}`, name: `${kind.name}, layer ${layer + 1}` };
