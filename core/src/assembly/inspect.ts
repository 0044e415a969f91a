import type { Vec3 } from '../shape/index.ts';
import { type Contact, findContacts } from './contacts.ts';
import { findInterference, type Interference } from './interference.ts';
import { type Assembly, type Box, boxOf, type Part } from './part.ts';

/** What the truth test says of an assembly. Everything empty and both flags true: it is right. */
export type Inspection = {
  readonly interference: readonly Interference[];
  readonly contacts: readonly Contact[];
  /** The box round the parts is the stated outside, to the micrometre. */
  readonly closes: boolean;
  /** No carcass part stands in the clear space. */
  readonly clearIsFree: boolean;
  /** Parts, by index, that nothing holds: no contact, and no hinge. */
  readonly loose: readonly number[];
};

const sameBox = (a: Box, b: Box): boolean => [0, 1, 2].every((axis) => a.min[axis] === b.min[axis] && a.max[axis] === b.max[axis]);

const around = (boxes: readonly Box[]): Box => ({
  min: [0, 1, 2].map((axis) => Math.min(...boxes.map((box) => box.min[axis] as number))) as unknown as Vec3,
  max: [0, 1, 2].map((axis) => Math.max(...boxes.map((box) => box.max[axis] as number))) as unknown as Vec3,
});

const stands = (part: Part): boolean => part.role === 'side' || part.role === 'top' || part.role === 'bottom' || part.role === 'back';

const intrudes = (box: Box, clear: Box): boolean =>
  [0, 1, 2].every(
    (axis) => (box.min[axis] as number) < (clear.max[axis] as number) && (clear.min[axis] as number) < (box.max[axis] as number),
  );

/** Computes, and does not assume, that an assembly is right: interference, contacts, closure, clear space, loose parts. */
export const inspect = (assembly: Assembly): Inspection => {
  const { parts } = assembly;
  const boxes = parts.map(boxOf);
  const contacts = findContacts(parts);
  const touched = new Set(contacts.flatMap(({ a, b }) => [a, b]));
  return {
    interference: findInterference(parts),
    contacts,
    closes: parts.length > 0 && sameBox(around(boxes), assembly.outside),
    clearIsFree: parts.every((part, index) => !stands(part) || !intrudes(boxes[index] as Box, assembly.clear)),
    loose: parts.flatMap((part, index) => (part.held === 'glue' && !touched.has(index) ? [index] : [])),
  };
};
