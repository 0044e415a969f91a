export {
  asRect,
  bounds,
  intersection,
  type Point,
  type Rect,
  type Region,
  type Ring,
  rectRing,
  regionArea,
  ringArea,
} from './plane.ts';
export { add, cross, dot, normalOf, type Pose, scaled, toPlane, toSpace, type Vec3 } from './pose.ts';
