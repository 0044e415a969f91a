// µm, doll size. The assembly stands with its lower left back corner at the origin: x right, y up, z towards the viewer.
import { normalOf, type Pose, type Region, toSpace, type Vec3 } from '../shape/index.ts';

/** What a part is in its piece; words for people come from it and `where`. */
export type Role = 'side' | 'top' | 'bottom' | 'back' | 'divider' | 'shelf' | 'door' | 'plinth';

/** A board part: a plane region, extruded by its thickness along u × v. The face at full thickness is the one its
 *  template shows. */
export type Part = {
  readonly id: string;
  readonly role: Role;
  readonly name: string;
  readonly board: string;
  readonly thickness: number;
  readonly region: Region;
  readonly pose: Pose;
  /** Which way the board's grain should run: along the region's x, its y, or either. */
  readonly grain: 'x' | 'y' | 'any';
  /** Glued where it touches; a hinged part only rests there and is held by its hinge. */
  readonly held: 'glue' | 'hinge';
};

/** A box in space, by its least and greatest corner. */
export type Box = { readonly min: Vec3; readonly max: Vec3 };

/** A piece put together: its parts and what was promised about it. */
export type Assembly = {
  readonly parts: readonly Part[];
  /** The box that the parts must fill to the micrometre. */
  readonly outside: Box;
  /** The clear space that the carcass must leave free. */
  readonly clear: Box;
};

/** The box round a part. */
export const boxOf = (part: Part): Box => {
  const [min, max]: [number[], number[]] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (const point of part.region.outline) {
    for (const height of [0, part.thickness]) {
      toSpace(part.pose, point, height).forEach((value, axis) => {
        min[axis] = Math.min(min[axis] as number, value);
        max[axis] = Math.max(max[axis] as number, value);
      });
    }
  }
  return { min: min as unknown as Vec3, max: max as unknown as Vec3 };
};

/** The axis (0 x, 1 y, 2 z) that a vector runs along, when it runs along one; otherwise undefined. */
export const axisOf = (vector: Vec3): 0 | 1 | 2 | undefined => {
  const lying = vector.map((value) => Math.abs(value) === 1);
  const index = lying.indexOf(true);
  return index >= 0 && vector.every((value, axis) => axis === index || value === 0) ? (index as 0 | 1 | 2) : undefined;
};

/** True when the part's plane stands square to the axes, so that its solid is bounded by upright planes or edges. */
export const isSquare = (part: Part): boolean => axisOf(part.pose.u) !== undefined && axisOf(normalOf(part.pose)) !== undefined;
