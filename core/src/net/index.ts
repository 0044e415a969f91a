export { bagNet, cartonNet, handleNet, hingedNet, sleeveNet } from './cartons.ts';
export { coneNet, coneStands, discNet, facetsOf, tubeNet, tubeStands } from './curved.ts';
export { rect } from './draft.ts';
export { awningNet, coverNet, foldedSheetNet, folderNet, leafNet, pocketNet, ringNet, rowNet, sheetNet } from './flats.ts';
export { foldedNet, foldedTab, inSpaceOf, stepsOf } from './fold.ts';
export type { Net, NetFace, NetHinge, NetRing, NetSeam, NetSide, NetTab } from './net.ts';
export {
  boxSolid,
  houseOf,
  type PolyFace,
  type Polyhedron,
  poseOfFace,
  prismOf,
  pyramidOf,
  taperOf,
  volumeOf,
} from './polyhedron.ts';
export { labelOf, type Rolled, type Sector, sectorOf, spiralOf } from './rolled.ts';
export { unfold } from './unfold.ts';
