// µm, doll size, in the plane of the part whose template carries the lines.
import { type Ring, toPlane } from '../shape/index.ts';
import { outlineOf } from './contacts.ts';
import type { Part } from './part.ts';
import type { Contact } from './touching.ts';

/** A pencil guide: where another part stands on this one's broad face, and which part it is. */
export type Guide = { readonly face: 'front' | 'back'; readonly outline: Ring; readonly part: number };

/** The pencil guide lines of every part: the outlines of what is glued on its two broad faces.
 *  Shape: n parts → n lists. Hinged parts leave no line: nothing is glued there. */
export const guidesOf = (parts: readonly Part[], contacts: readonly Contact[]): readonly (readonly Guide[])[] => {
  const guides: Guide[][] = parts.map(() => []);
  for (const contact of contacts) {
    const { a, b, faceA, faceB } = contact;
    const [partA, partB] = [parts[a] as Part, parts[b] as Part];
    if (partA.held === 'hinge' || partB.held === 'hinge') continue;
    if (faceA === 'edge' && faceB === 'edge') continue;
    const outline = outlineOf(contact);
    const flat = (part: Part): Ring => outline.map((point) => toPlane(part.pose, point));
    if (faceA !== 'edge') guides[a]?.push({ face: faceA, outline: flat(partA), part: b });
    if (faceB !== 'edge') guides[b]?.push({ face: faceB, outline: flat(partB), part: a });
  }
  return guides;
};
