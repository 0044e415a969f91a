// µm, doll size. Parts that are larger than every sheet are joined of several: where the joints run, and what holds them from behind.
import { evenly } from '../kit/index.ts';
import {
  add,
  bounds,
  dot,
  hullOf,
  intersection,
  isInRing,
  merged,
  normalOf,
  type Point,
  type Rect,
  type Region,
  type Ring,
  rectRing,
  scaled,
  signedArea,
  toPlane,
  toSpace,
  type Vec3,
  vec3,
} from '../shape/index.ts';
import { findContacts, outlineOf } from './contacts.ts';
import { TOUCH } from './convex.ts';
import { findInterference } from './interference.ts';
import { type Assembly, boxOf, isSquare, type Part, upperOf } from './part.ts';
import { type FitsBoard, type Joint, linesOn, openingsOf, planOf, type SplicePlan, side } from './splicePlan.ts';
import type { Contact } from './touching.ts';

/** A joint that nothing on the part hides: its two ends on the face that shows, and which way that looks. */
export type OpenJoint = { readonly from: Vec3; readonly to: Vec3; readonly looks: Vec3 };

/** A part that was joined: the ids of its pieces and of the strips behind its joints, and what hides each joint. */
export type Spliced = {
  readonly part: string;
  readonly name: string;
  readonly pieces: readonly string[];
  readonly strips: readonly string[];
  /** Names of the parts that stand on a joint and hide it; a joint that nothing hides is to be covered by a trim. */
  readonly behind: readonly string[];
  readonly open: readonly OpenJoint[];
  /** It lies on the ground, and what holds it is a whole second layer under all that stands there. */
  readonly layered: boolean;
};

/** Which way joints of what stands upright run: wherever it is best, upright or lying. */
export const JOINTS = ['best', 'upright', 'lying'] as const;
export type Joints = (typeof JOINTS)[number];

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

/** The box of a part's outline, of both faces where its edges slant. */
const boundsOf = (part: Part): Rect => bounds([...part.region.outline, ...upperOf(part).outline]);

/** A ring whose points begin where another's do, one for one; nothing where it has not as many. */
const pairedRing = (ring: Ring, like: Ring): Ring | undefined => {
  if (ring.length !== like.length) return undefined;
  const far = (turn: number): number =>
    like.reduce((sum, [x, y], index) => {
      const [px, py] = ring[(index + turn) % ring.length] as Point;
      return sum + Math.hypot(px - x, py - y);
    }, 0);
  const turns = ring.map((_, turn) => far(turn));
  const turn = turns.indexOf(Math.min(...turns));
  return [...ring.slice(turn), ...ring.slice(0, turn)];
};

/** What of a part lies in a rectangle; nothing where edges slant and the two faces are not cut alike. */
const pieceIn = (part: Part, box: Rect): readonly Pick<Part, 'region' | 'upper'>[] | undefined => {
  const regions = within(part.region, box);
  if (!part.upper) return regions.map((region) => ({ region }));
  const [region, upper] = [regions[0], within(part.upper, box)[0]];
  if (!region || !upper || regions.length > 1 || region.holes.length !== upper.holes.length) return undefined;
  const outline = pairedRing(upper.outline, region.outline);
  const holes = region.holes.map((hole, index) => pairedRing(upper.holes[index] as Ring, hole));
  return outline && holes.every((hole) => hole !== undefined) ? [{ region, upper: { outline, holes } }] : undefined;
};

const asPiece = (part: Part, { region, upper }: Pick<Part, 'region' | 'upper'>, number: number): Part => {
  const { x0, y0, x1, y1 } = bounds(region.outline);
  return {
    ...part,
    id: `${part.id} piece ${number}`,
    name: `${part.name}, piece ${number}`,
    region,
    upper,
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
        upper: undefined,
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
  const middle = vec3((axis) => (clear.min[axis] + clear.max[axis]) / 2);
  const looksIn = dot(normalOf(part.pose), add(middle, scaled(toSpace(part.pose, [0, 0]), -1))) > 0;
  const [one, other] = looksIn ? [back, front] : [front, back];
  // Crossing strips of one face cost each other a little: that alone is no reason to lie in the room.
  return lengthOf(other) > 1.25 * lengthOf(one) ? other : one;
};

/** A joint on the face where no strip lies, from end to end. */
const shown = (part: Part, { axis, at, from, to }: Joint, strips: readonly Part[]): OpenJoint => {
  const up = normalOf(part.pose);
  const isBehind = !strips.some(({ pose }) => dot(up, add(pose.origin, scaled(part.pose.origin, -1))) > 0);
  const end = (along: number): Vec3 => toSpace(part.pose, axis === 0 ? [at, along] : [along, at], isBehind ? part.thickness : 0);
  return { from: end(from), to: end(to), looks: isBehind ? up : scaled(up, -1) };
};

/** The axes across which a part may be cut so that its joints run as they were told to. What lies has neither. */
const axesFor = ({ pose }: Part, joints: Joints): readonly (0 | 1)[] => {
  if (joints === 'best' || Math.abs(normalOf(pose)[1]) > 0.7) return [0, 1];
  const across = Math.abs(pose.v[1]) > 0.7 ? 0 : 1;
  return [joints === 'upright' ? across : across === 0 ? 1 : 0];
};

const planned = (
  part: Part,
  fits: FitsBoard,
  joints: Joints,
  ...rest: readonly [...Parameters<typeof linesOn>, readonly Joint[]]
): SplicePlan | undefined => {
  const [parts, index, contacts, beside] = rest;
  const how = [boundsOf(part), part, fits, linesOn(parts, index, contacts), openingsOf(part.region), beside] as const;
  // A joint that runs the other way is better than none.
  return planOf(...how, axesFor(part, joints)) ?? planOf(...how);
};

/** Where a part stands on the ground, in the plane of another that lies there. */
const footOf = (part: Part, plane: Part['pose'], ground: number): readonly Region[] => {
  if (part.stuff !== 'board' || boxOf(part).min[1] > ground + TOUCH) return [];
  if (Math.abs(normalOf(part.pose)[1]) > 0.999)
    return [{ outline: part.region.outline.map((point): Point => toPlane(plane, toSpace(part.pose, point))), holes: [] }];
  const low = [0, part.thickness].flatMap((height) =>
    part.region.outline.map((point) => toSpace(part.pose, point, height)).filter(([, y]) => y < ground + TOUCH),
  );
  const foot = hullOf(low.map((point): Point => toPlane(plane, point).map(Math.round) as unknown as Point));
  return foot.length > 2 ? [{ outline: foot, holes: [] }] : [];
};

const liesOn = (part: Part, ground: number): boolean =>
  Math.abs(normalOf(part.pose)[1]) > 0.999 && boxOf(part).min[1] <= ground + TOUCH && isSquare(part);

/** A whole layer under a part that lies on the ground and all that stands there beside it, its joints away from the part's: a strip would make it rock. */
const layerUnder = (part: Part, assembly: Assembly, joints: readonly Joint[], made: readonly Part[], fits: FitsBoard): readonly Part[] => {
  const ground = assembly.outside.min[1];
  const [x, y, z] = part.pose.origin;
  const pose = { ...part.pose, origin: [x, y - part.thickness, z] as Vec3 };
  const { x0, y0, x1, y1 } = bounds(part.region.outline);
  const middle: Point = [(x0 + x1) / 2, (y0 + y1) / 2];
  const inSpace = toSpace(pose, middle);
  const isThere = made.some((other) => {
    const at = toPlane(other.pose, inSpace);
    return other.role === 'strip' && boxOf(other).max[1] <= ground + TOUCH && isInRing(other.region.outline, at[0], at[1]);
  });
  if (isThere) return [];
  const region = merged(assembly.parts.flatMap((other) => footOf(other, part.pose, ground))).find(({ outline }) =>
    isInRing(outline, ...middle),
  );
  if (!region) return [];
  const whole: Part = {
    ...part,
    id: `${part.id} under`,
    name: `second layer under the ${part.name}`,
    role: 'strip',
    region: { outline: region.outline, holes: [] },
    upper: undefined,
    pose,
    grain: 'any',
    held: 'glue',
    centres: [],
    scores: undefined,
  };
  const plan = planOf(bounds(region.outline), whole, fits, [], [], joints);
  if (!plan) return [];
  return plan.pieces
    .flatMap((box) => within(whole.region, box))
    .map((piece, index) => ({ ...whole, id: `${whole.id} ${index + 1}`, name: `${whole.name}, piece ${index + 1}`, region: piece }));
};

/** Joins parts of board that are larger than every sheet of several, with strips behind the joints.
 *  Shape: assembly → the same with each such part replaced by its pieces and their strips, and who was joined. Doors and whatever moves
 *  stay as they are, and so does what no straight joints part. Units: µm, doll size. */
export const spliced = (
  assembly: Assembly,
  fits: FitsBoard,
  joints: Joints = 'best',
): {
  readonly assembly: Assembly;
  readonly spliced: readonly Spliced[];
} => {
  const moving = new Set(assembly.motions.flatMap(({ parts }) => parts));
  const large = assembly.parts.flatMap((part, index) => {
    if (part.stuff !== 'board' || part.flat) return [];
    const { x0, y0, x1, y1 } = boundsOf(part);
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
    const plan = planned(part, fits, joints, assembly.parts, index, contacts, beside);
    const cut = plan?.pieces.map((box) => pieceIn(part, box));
    if (!plan || !cut || cut.includes(undefined)) continue;
    jointsOf.set(index, plan.joints);
    const pieces = cut.flatMap((each) => each ?? []).map((piece, number) => asPiece(part, piece, number + 1));
    // What stands on a joint holds it, and so does a layer glued over it.
    const layered = contacts.some(({ a, b, faceA, faceB }) => (a === index || b === index) && faceA !== 'edge' && faceB !== 'edge');
    const strips: Part[] = [];
    const lies = !layered && liesOn(part, assembly.outside.min[1]);
    if (lies) strips.push(...layerUnder(part, assembly, plan.joints, made, fits));
    else if (!layered)
      for (const joint of plan.joints) strips.push(...stripsFor(part, joint, assembly, contacts, [...made, ...strips], fits));
    made.push(...strips);
    instead.set(index, [...pieces, ...strips]);
    joined.push({
      part: part.id,
      name: part.name,
      pieces: pieces.map(({ id }) => id),
      strips: strips.map(({ id }) => id),
      behind: [...new Set(plan.joints.flatMap(({ behind }) => behind ?? []))],
      open: plan.joints.filter(({ behind }) => behind === null).map((joint) => shown(part, joint, strips)),
      layered: lies,
    });
  }
  const parts = assembly.parts.flatMap((part, index) => instead.get(index) ?? [part]);
  return { assembly: { ...assembly, parts }, spliced: joined };
};
