// µm, doll size. One origin for a piece: a pattern is wound round it, so that courses run on round its corners.
import { axisOf, type Box } from '../assembly/index.ts';
import { add, cross, dot, mapVec, minus, type Pose, scaled, unit, type Vec3 } from '../shape/index.ts';

/** The way that a direction mostly looks, as 0 … 5 for +x, −x, +y, −y, +z, −z; upright ways before lying ones where it is between. */
const mostly = (n: Vec3): number => {
  const order = [4, 0, 1, 5, 2, 3];
  const value = (way: number) => (n[way >> 1] as number) * (way % 2 === 0 ? 1 : -1);
  return order.reduce((best, way) => (value(way) > value(best) + 1e-9 ? way : best), 4);
};

/** Where the pattern's plane lies on a side of the box round the piece. It begins at the lower left corner of the front; from there it goes on
 *  round the right side to the back, and to the left round the left side; over the front's upper edge onto the top, under its lower one. */
const onSide = (way: number, { max }: Box): Pose => {
  const [w, h, d] = max;
  switch (way) {
    case 0:
      return { origin: [0, 0, w + d], u: [0, 0, -1], v: [0, 1, 0] };
    case 1:
      return { origin: [0, 0, d], u: [0, 0, 1], v: [0, 1, 0] };
    case 2:
      return { origin: [0, 0, h + d], u: [1, 0, 0], v: [0, 0, -1] };
    case 3:
      return { origin: [0, 0, d], u: [1, 0, 0], v: [0, 0, 1] };
    case 5:
      return { origin: [2 * w + d, 0, 0], u: [-1, 0, 0], v: [0, 1, 0] };
    default:
      return { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] };
  }
};

/** The plane of the pattern on everything that looks one way. Slanted faces take the height up their slope, and meet the side that they mostly
 *  look to in the point of it nearest the front's lower left corner.
 *  Shape: a direction, the box round the piece → a pose whose coordinates are the pattern's; where along its normal it lies means nothing. */
export const layOf = (normal: Vec3, outside: Box): Pose => {
  const way = mostly(normal);
  const side = onSide(way, outside);
  if (axisOf(mapVec(normal, (value) => Math.round(value * 1e6) / 1e6 + 0)) !== undefined) return side;
  const n = unit(normal);
  const rising = add([0, 1, 0], scaled(n, -n[1]));
  const v = Math.hypot(...rising) > 0.2 ? unit(rising) : unit(add(side.v, scaled(n, -dot(side.v, n))));
  const u = cross(v, n);
  const corner: Vec3 = [0, 0, outside.max[2]];
  const meets = [dot(minus(corner, side.origin), side.u), dot(minus(corner, side.origin), side.v)] as const;
  return { origin: add(corner, add(scaled(u, -meets[0]), scaled(v, -meets[1]))), u, v };
};

/** A pattern's plane turned a quarter, so that what ran across runs up. */
export const quarterTurned = ({ origin, u, v }: Pose): Pose => ({ origin, u: v, v: scaled(u, -1) });
