// µm, doll size. Parts that are larger than every sheet are joined of several: where the joints run, and what holds them from behind.
import { evenly } from '../kit/index.ts';
import {
  add,
  bounds,
  dot,
  intersection,
  isInRing,
  normalOf,
  type Point,
  type Rect,
  type Region,
  rectRing,
  scaled,
  signedArea,
  toPlane,
  toSpace,
  type Vec3,
} from '../shape/index.ts';
import { findContacts, outlineOf } from './contacts.ts';
import { findInterference } from './interference.ts';
import type { Assembly, Part } from './part.ts';
import { type FitsBoard, type Joint, linesOn, openingsOf, planOf, side } from './splicePlan.ts';
import type { Contact } from './touching.ts';

/** A part that was joined: the ids of its pieces and of the strips behind its joints, and what hides each joint. */
export type Spliced = {
  readonly part: string;
  readonly name: string;
  readonly pieces: readonly string[];
  readonly strips: readonly string[];
  /** Names of the parts that stand on a joint and hide it; a joint that nothing hides is to be covered by a trim. */
  readonly behind: readonly string[];
  readonly open: number;
};

/** A strip of board behind a joint is so many boards wide: half of it holds on either side. Common practice, no source. */
const STRIP = 8;

/** What of a region lies in a rectangle: one figure, or several beside an opening. */
const within = (region: Region, box: Rect): readonly Region[] => {
  const rings = intersection(region, { outline: rectRing(box.x0, box.y0, box.x1, box.y1), holes: [] });
  const outer = rings.filter((ring) => signedArea(ring) > 0);
  const holes = rings.filter((ring) => signedArea(ring) < 0);
  return outer.map((outline) => ({
    outline,
    holes: outer.length === 1 ? holes : holes.filter((hole) => isInRing(outline, ...(hole[0] as Point))),
  }));
};

const asPiece = (part: Part, region: Region, number: number): Part => {
  const { x0, y0, x1, y1 } = bounds(region.outline);
  return {
    ...part,
    id: `${part.id} piece ${number}`,
    name: `${part.name}, piece ${number}`,
    region,
    centres: part.centres.filter(([x, y]) => x >= x0 && x < x1 && y >= y0 && y < y1),
    scores: part.scores
      ?.filter(([[x]]) => x > x0 && x < x1)
      .map(
        ([[x], [to]]) =>
          [
            [x, y0],
            [to, y1],
          ] as const,
      ),
  };
};

/** Strips behind one joint on one face, wherever nothing stands there; `made` are the strips that are there already. */
const stripsOn = (
  part: Part,
  joint: Joint,
  face: 'front' | 'back',
  parts: readonly Part[],
  contacts: readonly Contact[],
  made: readonly Part[],
  fits: FitsBoard,
): readonly Part[] => {
  const index = parts.indexOf(part);
  const half = (STRIP * part.thickness) / 2;
  const across = [joint.at - half, joint.at + half] as const;
  const raised = face === 'front' ? part.thickness : -part.thickness;
  const origin = add(part.pose.origin, scaled(normalOf(part.pose), raised));
  const standing = contacts.flatMap((contact): readonly Rect[] => {
    if (contact.a !== index && contact.b !== index) return [];
    if ((contact.a === index ? contact.faceA : contact.faceB) !== face) return [];
    return [bounds(outlineOf(contact).map((point): Point => toPlane(part.pose, point)))];
  });
  const lying = made
    .filter(({ pose }) => pose.origin.every((value, axis) => value === origin[axis]))
    .map(({ region }) => bounds(region.outline));
  let free: readonly (readonly [from: number, to: number])[] = [[joint.from, joint.to]];
  for (const box of [...standing, ...lying, ...openingsOf(part.region)]) {
    const [low, high] = side(box, joint.axis);
    if (low >= across[1] || high <= across[0]) continue;
    const [from, to] = side(box, joint.axis === 0 ? 1 : 0);
    free = free.flatMap(([start, end]) =>
      to <= start || from >= end ? [[start, end] as const] : [[start, from] as const, [to, end] as const].filter(([a, b]) => b > a),
    );
  }
  const { x0, y0, x1, y1 } = bounds(part.region.outline);
  // A strip that is longer than every sheet is cut into equal ones.
  const wide = 2 * half;
  const bits = free.flatMap(([from, to]) => {
    let count = 1;
    while (count < 40 && !fits({ ...part, grain: 'any' }, wide, Math.ceil((to - from) / count))) count += 1;
    return evenly(from, to, count);
  });
  return bits
    .filter(([from, to]) => to - from >= STRIP * part.thickness)
    .map(([from, to], number): Part => {
      const outline =
        joint.axis === 0
          ? rectRing(Math.max(x0, across[0]), from, Math.min(x1, across[1]), to)
          : rectRing(from, Math.max(y0, across[0]), to, Math.min(y1, across[1]));
      return {
        ...part,
        id: `${part.id} strip ${joint.axis} ${joint.at} ${joint.from} ${number + 1}`,
        name: `strip behind the ${part.name}`,
        role: 'strip',
        region: { outline, holes: [] },
        pose: { ...part.pose, origin },
        grain: 'any',
        held: 'glue',
        centres: [],
        scores: undefined,
      };
    })
    .filter((strip) => findInterference([strip, ...parts.filter((other) => other !== part), ...made]).every(({ a }) => a !== 0));
};

const lengthOf = (strips: readonly Part[]): number =>
  strips.reduce((sum, { region }) => {
    const { x0, y0, x1, y1 } = bounds(region.outline);
    return sum + Math.max(x1 - x0, y1 - y0);
  }, 0);

/** The strips behind a joint, on the face where more of it can be held; of two alike the one that looks away from the clear space. */
const stripsFor = (
  part: Part,
  joint: Joint,
  { parts, clear }: Assembly,
  contacts: readonly Contact[],
  made: readonly Part[],
  fits: FitsBoard,
): readonly Part[] => {
  const [front, back] = (['front', 'back'] as const).map((face) => stripsOn(part, joint, face, parts, contacts, made, fits)) as [
    readonly Part[],
    readonly Part[],
  ];
  const middle = [0, 1, 2].map((axis) => ((clear.min[axis] as number) + (clear.max[axis] as number)) / 2) as unknown as Vec3;
  const looksIn = dot(normalOf(part.pose), add(middle, scaled(toSpace(part.pose, [0, 0]), -1))) > 0;
  const [one, other] = looksIn ? [back, front] : [front, back];
  // Crossing strips of one face cost each other a little: that alone is no reason to lie in the room.
  return lengthOf(other) > 1.25 * lengthOf(one) ? other : one;
};

/** Joins parts of board that are larger than every sheet of several, with strips behind the joints.
 *  Shape: assembly → the same with each such part replaced by its pieces and their strips, and who was joined. Doors and whatever moves
 *  stay as they are, and so does what no straight joints part. Units: µm, doll size. */
export const spliced = (assembly: Assembly, fits: FitsBoard): { readonly assembly: Assembly; readonly spliced: readonly Spliced[] } => {
  const moving = new Set(assembly.motions.flatMap(({ parts }) => parts));
  const large = assembly.parts.flatMap((part, index) => {
    if (part.stuff !== 'board' || part.flat || part.upper) return [];
    const { x0, y0, x1, y1 } = bounds(part.region.outline);
    return !fits(part, x1 - x0, y1 - y0) && !moving.has(part.id) ? [index] : [];
  });
  if (large.length === 0) return { assembly, spliced: [] };
  const contacts = findContacts(assembly.parts);
  const joined: Spliced[] = [];
  const made: Part[] = [];
  const instead = new Map<number, readonly Part[]>();
  const jointsOf = new Map<number, readonly Joint[]>();
  for (const index of large) {
    const part = assembly.parts[index] as Part;
    const beside = contacts.flatMap(({ a, b, faceA, faceB }) =>
      (a === index || b === index) && faceA !== 'edge' && faceB !== 'edge' ? (jointsOf.get(a === index ? b : a) ?? []) : [],
    );
    const holes = openingsOf(part.region);
    const plan = planOf(bounds(part.region.outline), part, fits, linesOn(assembly.parts, index, contacts), holes, beside);
    if (!plan) continue;
    const regions = plan.pieces.flatMap((box) => within(part.region, box));
    jointsOf.set(index, plan.joints);
    const pieces = regions.map((region, number) => asPiece(part, region, number + 1));
    // What stands on a joint holds it, and so does a layer glued over it.
    const layered = contacts.some(({ a, b, faceA, faceB }) => (a === index || b === index) && faceA !== 'edge' && faceB !== 'edge');
    const strips: Part[] = [];
    if (!layered) for (const joint of plan.joints) strips.push(...stripsFor(part, joint, assembly, contacts, [...made, ...strips], fits));
    made.push(...strips);
    instead.set(index, [...pieces, ...strips]);
    joined.push({
      part: part.id,
      name: part.name,
      pieces: pieces.map(({ id }) => id),
      strips: strips.map(({ id }) => id),
      behind: [...new Set(plan.joints.flatMap(({ behind }) => behind ?? []))],
      open: plan.joints.filter(({ behind }) => behind === null).length,
    });
  }
  const parts = assembly.parts.flatMap((part, index) => instead.get(index) ?? [part]);
  return { assembly: { ...assembly, parts }, spliced: joined };
};
