export { intersection } from './clip.ts';
export { FIGURES, type OutlineName } from './figureNames.ts';
export { figureRing } from './figures.ts';
export { AS_DRAWN, type Orientation, oriented, orientedSize, type Quarters, turnedBy } from './orientation.ts';
export { boardWithEdge, chordsOf, ellipseRing, TOP_EDGES, type TopEdge } from './outlines.ts';
export {
  asRect,
  bounds,
  enters,
  isInRing,
  liesIn,
  mirroredRing,
  movedRing,
  type Point,
  type Rect,
  type Region,
  type Ring,
  rectRing,
  regionArea,
  ringArea,
  sameRegion,
  signedArea,
} from './plane.ts';
export {
  AXES,
  type AxisIndex,
  add,
  cross,
  dot,
  mapFour,
  mapVec,
  minus,
  movedPose,
  normalOf,
  type Pose,
  scaled,
  toPlane,
  toSpace,
  turnUpright,
  unit,
  type Vec3,
  vec3,
} from './pose.ts';
export { areaOf, asSimple, common, grown, less, merged, without } from './regions.ts';
export { cornersOfTriangles, hullOf, isConvex, trianglesOf, turnAt } from './triangles.ts';
export { directionTurned, type Turn, turnAbout } from './turn.ts';
