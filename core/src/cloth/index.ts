export { FILLING_GRAMS_PER_LITRE, THREAD, volumeWithin, workLength } from './amounts.ts';
export { arcOver, drawnRadius, halfAngleOf, loftOf, waveOf } from './arcs.ts';
export { type Mesh, meshOf, placerOf } from './bend.ts';
export { cutLineOf, cutSizeOf, edgeOfSides } from './cutLine.ts';
export {
  type Bend,
  type ClothEdge,
  type ClothPiece,
  type ClothRole,
  type EdgeKind,
  type EdgeRef,
  edgeLength,
  edgePoints,
  type Patch,
  pointAlong,
  type Seam,
  type SewingPattern,
  stretchOf,
  type TurningGap,
} from './pattern.ts';
export { discPiece, discRing, type EdgeWork, outlinePiece, patch, plane, ROUND, rectPiece, SIDES, type SideName } from './pieces.ts';
