export { boardWithEdge, ellipseRing, TOP_EDGES, type TopEdge } from './outlines.ts';
export {
  asRect,
  bounds,
  intersection,
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
export { add, cross, dot, normalOf, type Pose, scaled, toPlane, toSpace, type Vec3 } from './pose.ts';
