// From how far away all of something is seen. Millimetres.
import { Vector3 } from 'three';

/** Where it is looked at from: the front left, and above. */
export const FROM = new Vector3(-0.46, 0.42, 1).normalize();

/** From how far away of their middle all points are seen. */
export const farFor = (
  points: readonly Vector3[],
  middle: Vector3,
  { fov, aspect }: { readonly fov: number; readonly aspect: number },
): number => {
  const back = FROM;
  const right = new Vector3(0, 1, 0).cross(back).normalize();
  const up = back.clone().cross(right);
  const reach = Math.tan((fov * Math.PI) / 360);
  return points.reduce((most, point) => {
    const to = point.clone().sub(middle);
    return Math.max(most, to.dot(back) + Math.max(Math.abs(to.dot(up)), Math.abs(to.dot(right)) / aspect) / reach);
  }, 1);
};

export const middleOf = (points: readonly Vector3[]): Vector3 => {
  const low = new Vector3(Infinity, Infinity, Infinity);
  const high = new Vector3(-Infinity, -Infinity, -Infinity);
  for (const point of points) [low.min(point), high.max(point)];
  return low.add(high).multiplyScalar(0.5);
};
