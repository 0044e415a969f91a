// µm, doll size. Faces that lie in one plane, look at each other and overlap, touch.
import { intersection, type Pose, type Region, type Ring, rectRing, signedArea, toSpace, type Vec3 } from '../shape/index.ts';
import { type Box, boxOf, type Part } from './part.ts';
import { type Plane, type PlaneFace, planesOf } from './planes.ts';
import { roundContacts } from './round.ts';
import type { Contact } from './touching.ts';

/** Where two parts touch, in space, to the micrometre. */
export const outlineOf = ({ plane, ring }: Contact): readonly Vec3[] =>
  ring.map((point): Vec3 => {
    const [x, y, z] = toSpace(plane, point);
    return [Math.round(x), Math.round(y), Math.round(z)];
  });

const regionOf = ({ region, box }: PlaneFace): Region => region?.() ?? { outline: rectRing(box.x0, box.y0, box.x1, box.y1), holes: [] };

const sharedBy = (a: PlaneFace, b: PlaneFace): readonly Ring[] => {
  if (a.region || b.region) return intersection(regionOf(a), regionOf(b), a.box, b.box);
  const [x0, y0, x1, y1] = [
    Math.max(a.box.x0, b.box.x0),
    Math.max(a.box.y0, b.box.y0),
    Math.min(a.box.x1, b.box.x1),
    Math.min(a.box.y1, b.box.y1),
  ];
  return [rectRing(x0, y0, x1, y1)];
};

const touch = (a: PlaneFace, b: PlaneFace): boolean =>
  a.looks !== b.looks && a.part !== b.part && a.box.x0 < b.box.x1 && b.box.x0 < a.box.x1 && a.box.y0 < b.box.y1 && b.box.y0 < a.box.y1;

const contactsOf = (one: PlaneFace, other: PlaneFace, basis: Pose): readonly Contact[] => {
  const [first, second] = one.part < other.part ? [one, other] : [other, one];
  return sharedBy(one, other).map(
    (ring): Contact => ({
      a: first.part,
      b: second.part,
      faceA: first.name,
      faceB: second.name,
      plane: basis,
      ring,
      area: signedArea(ring),
    }),
  );
};

/** Sweeps over a plane from the left, so that only faces side by side are compared. */
const contactsIn = ({ basis, faces }: Plane): readonly Contact[] => {
  if (faces.length < 2) return [];
  const sorted = [...faces].sort((a, b) => a.box.x0 - b.box.x0);
  const found: Contact[] = [];
  let active: PlaneFace[] = [];
  for (const face of sorted) {
    active = active.filter((other) => other.box.x1 > face.box.x0);
    for (const other of active) if (touch(face, other)) found.push(...contactsOf(face, other, basis));
    active.push(face);
  }
  return found;
};

/** Where parts touch.
 *  Shape: n parts → contacts with area, by index, a < b. Near-linear: faces are bucketed by plane, and only faces of one
 *  plane that look at each other are compared. */
export const findContacts = (parts: readonly Part[], boxes: readonly Box[] = parts.map(boxOf)): readonly Contact[] =>
  [...planesOf(parts, boxes).flatMap(contactsIn), ...roundContacts(parts)].sort((p, q) => p.a - q.a || p.b - q.b);
