import { AXES } from '../shape/index.ts';
import { findContacts } from './contacts.ts';
import { TOUCH } from './convex.ts';
import { findInterference, type Interference } from './interference.ts';
import { type Stopped, stoppedMotions } from './motion.ts';
import { type Assembly, around, axisOf, type Box, boxOf, type Part, type Role, standsOut } from './part.ts';
import type { Contact } from './touching.ts';

/** What the truth test says of an assembly. Everything empty and both flags true: it is right. */
export type Inspection = {
  /** The box round each part, by index. */
  readonly boxes: readonly Box[];
  readonly interference: readonly Interference[];
  readonly contacts: readonly Contact[];
  /** The box round the parts is the stated outside, to the micrometre; where a part leans, to what its rounding costs. */
  readonly closes: boolean;
  /** No carcass part stands in the clear space. */
  readonly clearIsFree: boolean;
  /** Parts, by index, that nothing holds: no contact, no hinge, and they do not lie on the ground by themselves. */
  readonly loose: readonly number[];
  /** Doors, drawers and trays that cannot move as they should. */
  readonly stopped: readonly Stopped[];
};

const sameBox = (a: Box, b: Box, within: number): boolean =>
  [a.min, a.max].every((corner, end) =>
    corner.every((value, axis) => Math.abs(value - ((end === 0 ? b.min : b.max)[axis] as number)) <= within),
  );

const leans = ({ pose, upper }: Part): boolean => upper !== undefined || axisOf(pose.u) === undefined || axisOf(pose.v) === undefined;

const CARCASS: ReadonlySet<Role> = new Set(['side', 'last side', 'top', 'bottom', 'back', 'lining']);

const stands = (part: Part): boolean => CARCASS.has(part.role);

const intrudes = (box: Box, clear: Box): boolean =>
  AXES.every((axis) => box.min[axis] < clear.max[axis] && clear.min[axis] < box.max[axis]);

/** What lies on the ground by itself and is no more than so many times as high as its foot is wide stays there: a plate, a pencil. Common practice, no source. */
const STEADY = 3;

const liesByItself = ({ min, max }: Box, ground: number): boolean =>
  min[1] <= ground + TOUCH && max[1] - min[1] <= STEADY * Math.min(max[0] - min[0], max[2] - min[2]);

/** Parts that nothing holds. One part alone is a whole thing; so is what lies on the ground by itself. */
const looseIn = ({ parts, outside }: Assembly, boxes: readonly Box[], contacts: readonly Contact[]): readonly number[] => {
  if (parts.length === 1) return [];
  const touched = new Set(contacts.flatMap(({ a, b }) => [a, b]));
  return parts.flatMap((part, index) =>
    part.held === 'glue' && !touched.has(index) && !liesByItself(boxes[index] as Box, outside.min[1]) ? [index] : [],
  );
};

/** Computes, and does not assume, that an assembly is right: interference, contacts, closure, clear space, loose parts, and what moves. */
export const inspect = (assembly: Assembly): Inspection => {
  const { parts } = assembly;
  const boxes = parts.map(boxOf);
  const contacts = findContacts(parts, boxes);
  const within = parts.some(leans) ? TOUCH : 0;
  return {
    boxes,
    interference: findInterference(parts, boxes),
    contacts,
    closes: parts.length > 0 && sameBox(around(boxes.filter((_, index) => !standsOut(parts[index] as Part))), assembly.outside, within),
    clearIsFree: parts.every((part, index) => !stands(part) || !intrudes(boxes[index] as Box, assembly.clear)),
    loose: looseIn(assembly, boxes, contacts),
    stopped: stoppedMotions(parts, assembly.motions, boxes),
  };
};
