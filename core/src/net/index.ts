export { foldedNet, foldedTab, inSpaceOf } from './fold.ts';
export type { Net, NetFace, NetHinge, NetRing, NetSeam, NetSide, NetTab } from './net.ts';
export { boxOf, houseOf, type PolyFace, type Polyhedron, prismOf, pyramidOf, taperOf, volumeOf } from './polyhedron.ts';
export { labelOf, type Rolled, type Sector, sectorOf, spiralOf } from './rolled.ts';
export { unfold } from './unfold.ts';
