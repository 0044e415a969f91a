// µm, doll size, in the plane of the part whose template carries the lines.
import { asSimple, type Region, type Ring, toPlane } from '../shape/index.ts';
import { outlineOf } from './contacts.ts';
import type { Motion } from './moves.ts';
import type { Assembly, Part } from './part.ts';
import type { Contact, FaceName } from './touching.ts';

/** A pencil guide: where another part stands on this one's broad face, whether glue goes there, and which part it is. */
export type Guide = { readonly face: 'front' | 'back'; readonly region: Region; readonly glued: boolean; readonly part: number };

/** How two parts that touch are held to one another: glued; only standing there; or moving past, which leaves no mark. */
export type Bond = 'glued' | 'stands' | 'moves';

/** The number of the motion that each part takes part in, by its id. */
export const motionsById = (motions: readonly Motion[]): ReadonlyMap<string, number> =>
  new Map(motions.flatMap(({ parts }, index) => parts.map((id) => [id, index] as const)));

/** The bond of two parts that touch, by what moves as one. */
export const bondOf = (a: Part, b: Part, moves: ReadonlyMap<string, number>): Bond => {
  const [one, other] = [moves.get(a.id), moves.get(b.id)];
  if (one !== other) return 'moves';
  // What turns or slides as one is glued together.
  if (one !== undefined) return 'glued';
  if (a.held === 'hinge' || b.held === 'hinge') return 'moves';
  return (a.held === 'slides') === (b.held === 'slides') ? 'glued' : 'stands';
};

/** Contacts between the same faces of the same two parts, as one figure each. */
const together = (contacts: readonly Contact[]): readonly (readonly Contact[])[] => {
  const groups = new Map<string, Contact[]>();
  for (const contact of contacts) {
    const { a, b, faceA, faceB } = contact;
    const key = `${a} ${b} ${faceA} ${faceB}`;
    const known = groups.get(key);
    if (known) known.push(contact);
    else groups.set(key, [contact]);
  }
  return [...groups.values()];
};

/** The figure that rings make: holes are rings with less than no area. */
const regionsOf = (contacts: readonly Contact[], rings: readonly Ring[]): readonly Region[] =>
  contacts.some(({ area }) => area < 0) ? asSimple(rings) : rings.map((outline) => ({ outline, holes: [] }));

/** The pencil guide lines of every part: the outlines of what stands on its two broad faces.
 *  Shape: n parts → n lists. What turns or slides past leaves no line: nothing is glued there. */
export const guidesOf = ({ parts, motions }: Assembly, contacts: readonly Contact[]): readonly (readonly Guide[])[] => {
  const guides: Guide[][] = parts.map(() => []);
  const moves = motionsById(motions);
  for (const group of together(contacts)) {
    const { a, b, faceA, faceB } = group[0] as Contact;
    if (faceA === 'edge' && faceB === 'edge') continue;
    const [partA, partB] = [parts[a] as Part, parts[b] as Part];
    const bond = bondOf(partA, partB, moves);
    if (bond === 'moves') continue;
    const add = (index: number, face: FaceName, other: number): void => {
      if (face === 'edge') return;
      const { pose } = parts[index] as Part;
      const rings = group.map((contact) => outlineOf(contact).map((point) => toPlane(pose, point)));
      for (const region of regionsOf(group, rings)) guides[index]?.push({ face, region, glued: bond === 'glued', part: other });
    };
    add(a, faceA, b);
    add(b, faceB, a);
  }
  return guides;
};
