// µm, doll size. The order of assembly: the finished piece is taken apart, and the way back is the way to build it (blocking graphs:
// Wilson & Latombe 1994, recalled).
import { dot, normalOf, type Vec3 } from '../shape/index.ts';
import { type Blocking, blockingOf } from './blocking.ts';
import { bondOf, motionsById } from './guides.ts';
import type { Unit } from './madeApart.ts';
import type { Motion } from './moves.ts';
import { type Box, boxOf, type Part, ROLES } from './part.ts';
import type { Contact } from './touching.ts';

/** A step of the work: the parts, by index, that come (several where they are one thing by then), the way they come (a unit vector), the
 *  parts that stand there already to which they are glued, where it holds most first, and what they are part of: the piece itself (null),
 *  or a thing that is made apart, by its number. */
export type OrderStep = {
  readonly parts: readonly number[];
  readonly along: Vec3;
  readonly onto: readonly number[];
  readonly unit: number | null;
};

/** Steps in the order of work: what is made apart first, then the piece, to which each part comes once. `stuck` names the parts, by index,
 *  that no order can bring to their places, because each is in another's way. It is empty for everything that can be built. */
export type Order = { readonly steps: readonly OrderStep[]; readonly stuck: readonly number[]; readonly units: readonly Unit[] };

const neighboursOf = (count: number, contacts: readonly Contact[]): readonly Set<number>[] => {
  const neighbours = Array.from({ length: count }, () => new Set<number>());
  for (const { a, b } of contacts) {
    neighbours[a]?.add(b);
    neighbours[b]?.add(a);
  }
  return neighbours;
};

/** Parts that come as one, and where each could leave to: one part, or a thing made apart. */
type Node = {
  readonly parts: readonly number[];
  readonly ways: readonly Vec3[];
  /** The nodes that stand in each way. */
  readonly by: readonly Set<number>[];
};

/** Parts and units as nodes, units by the ways that are open to each of their parts. */
const nodesOf = (blocking: Blocking, units: readonly Unit[]): readonly Node[] => {
  const unitAt = new Map(units.flatMap((unit) => unit.parts.map((part) => [part, unit] as const)));
  const members = [...blocking.keys()].flatMap((part): (readonly number[])[] => {
    const unit = unitAt.get(part);
    return unit === undefined ? [[part]] : unit.parts[0] === part ? [unit.parts] : [];
  });
  const nodeAt = new Map(members.flatMap((parts, node) => parts.map((part) => [part, node] as const)));
  return members.map((parts, node): Node => {
    const all = parts.map((part) => blocking[part] as Blocking[number]);
    const ways = (all[0]?.ways ?? []).filter((way) => all.every((each) => each.ways.includes(way)));
    const by = ways.map((way) => {
      const there = new Set(all.flatMap((each) => [...(each.by[each.ways.indexOf(way)] ?? [])].map((part) => nodeAt.get(part) as number)));
      there.delete(node);
      return there;
    });
    return { parts, ways, by };
  });
};

/** An order in which every part comes to its place along a free straight way, touching what stands already where that can be.
 *  Shape: n parts, their contacts, and what of them is made apart → as many steps as things come, and within what is made apart; or fewer
 *  and who is stuck. Taken apart from the finished piece: of the parts with a free way the one goes first that the trade puts on last
 *  (doors, frames, the last side), so that what is inside goes in before it closes. A thing that cannot come as one comes part by part. */
export const orderOf = (
  parts: readonly Part[],
  contacts: readonly Contact[],
  boxes: readonly Box[] = parts.map(boxOf),
  units: readonly Unit[] = [],
  motions: readonly Motion[] = [],
): Order => {
  const moves = motionsById(motions);
  const glued = contacts.filter(({ a, b }) => bondOf(parts[a] as Part, parts[b] as Part, moves) === 'glued');
  const blocking = blockingOf(parts, boxes);
  const apart = units.map((unit) => inside(unit, parts, contacts, glued, boxes));
  const whole = units.filter((_, number) => apart[number]);
  const main = orderOfNodes(nodesOf(blocking, whole), parts, contacts, glued);
  if (main.stuck.length > 0 && units.length > 0) return orderOf(parts, contacts, boxes, [], motions);
  const steps = apart.filter((each) => each !== undefined).flatMap((each, unit) => each.map((step) => ({ ...step, unit })));
  return { steps: [...steps, ...main.steps], stuck: main.stuck, units: whole };
};

/** The steps in which a unit is made by itself; undefined where it does not hold together, or cannot be put together by itself. */
const inside = (
  { parts: members }: Unit,
  parts: readonly Part[],
  contacts: readonly Contact[],
  glued: readonly Contact[],
  boxes: readonly Box[],
): readonly OrderStep[] | undefined => {
  const place = new Map(members.map((part, index) => [part, index]));
  const within = (list: readonly Contact[]): readonly Contact[] =>
    list.flatMap((contact) => {
      const [a, b] = [place.get(contact.a), place.get(contact.b)];
      return a === undefined || b === undefined ? [] : [{ ...contact, a, b }];
    });
  const own = within(contacts);
  const mine = members.map((part) => parts[part] as Part);
  const { steps, stuck } = orderOfNodes(
    nodesOf(
      blockingOf(
        mine,
        members.map((part) => boxes[part] as Box),
      ),
      [],
    ),
    mine,
    own,
    within(glued),
  );
  const standing = new Set(steps[0]?.parts);
  const holds = steps.slice(1).every(({ parts: [part = -1] }) => {
    const touches = own.some(({ a, b }) => (a === part && standing.has(b)) || (b === part && standing.has(a)));
    standing.add(part);
    return touches;
  });
  const back = (list: readonly number[]): readonly number[] => list.map((index) => members[index] as number);
  return stuck.length > 0 || !holds ? undefined : steps.map((step) => ({ ...step, parts: back(step.parts), onto: back(step.onto) }));
};

const orderOfNodes = (
  nodes: readonly Node[],
  parts: readonly Part[],
  contacts: readonly Contact[],
  glued: readonly Contact[],
): Pick<Order, 'steps' | 'stuck'> => {
  const nodeAt = new Map(nodes.flatMap(({ parts: members }, node) => members.map((part) => [part, node] as const)));
  const blockedBy: (readonly [mover: number, way: number])[][] = nodes.map(() => []);
  nodes.forEach(({ by }, mover) => {
    by.forEach((list, way) => {
      for (const blocker of list) blockedBy[blocker]?.push([mover, way]);
    });
  });
  const between = contacts.map((contact) => ({ ...contact, a: nodeAt.get(contact.a) as number, b: nodeAt.get(contact.b) as number }));
  const neighbours = neighboursOf(nodes.length, between);
  const lateness = nodes.map((node) => Math.max(...node.parts.map((part) => ROLES.indexOf(parts[part]?.role as Part['role']))));
  // The last to go on leaves first; among equals the one listed last.
  const standing = new Set([...nodes.keys()].sort((a, b) => (lateness[b] as number) - (lateness[a] as number) || b - a));
  // Boards are pressed on face to face where that way is free; else they come from the front, the side, above, behind, below.
  const normals = nodes.map((node) => normalOf((parts[node.parts[0] as number] as Part).pose));
  const freeWay = (node: number): number => {
    const { by = [], ways = [] } = nodes[node] ?? {};
    const [n, free] = [normals[node] as Vec3, by.flatMap(({ size }, way) => (size === 0 ? [way] : []))];
    return free.find((way) => Math.abs(dot(ways[way] as Vec3, n)) > 0.99) ?? free[0] ?? -1;
  };
  // What is left must hold together, so that each part touches one that stands when it comes: whatever the part touches must still be
  // reached from one of its neighbours without it.
  const wouldTear = (node: number): boolean => {
    const around = [...(neighbours[node] ?? [])].filter((other) => other !== node && standing.has(other));
    const [first] = around;
    if (first === undefined || around.length === 1) return false;
    const reached = new Set([node, first]);
    const ahead = [first];
    let missing = around.length - 1;
    for (let at = ahead.pop(); at !== undefined && missing > 0; at = ahead.pop()) {
      for (const next of neighbours[at] ?? []) {
        if (!standing.has(next) || reached.has(next)) continue;
        reached.add(next);
        if (neighbours[node]?.has(next)) missing -= 1;
        ahead.push(next);
      }
    }
    return missing > 0;
  };
  const nextToLeave = (): number | undefined => {
    let fallback: number | undefined;
    for (const node of standing) {
      if (freeWay(node) < 0) continue;
      if (!wouldTear(node)) return node;
      fallback ??= node;
    }
    return fallback;
  };
  const ontoOf = (node: number): readonly number[] => {
    const isMine = (part: number): boolean => nodeAt.get(part) === node;
    return glued
      .flatMap(({ a, b, area }) => (isMine(a) === isMine(b) ? [] : [{ other: isMine(a) ? b : a, area }]))
      .filter(({ other }) => standing.has(nodeAt.get(other) as number))
      .toSorted((p, q) => q.area - p.area)
      .map(({ other }) => other);
  };
  const leaves: OrderStep[] = [];
  for (let next = nextToLeave(); next !== undefined; next = nextToLeave()) {
    const { ways, parts: coming } = nodes[next] as Node;
    const way = ways[freeWay(next)] as Vec3;
    standing.delete(next);
    leaves.push({ parts: coming, along: [0 - way[0], 0 - way[1], 0 - way[2]], onto: ontoOf(next), unit: null });
    for (const [mover, each] of blockedBy[next] ?? []) nodes[mover]?.by[each]?.delete(next);
  }
  return { steps: leaves.reverse(), stuck: [...standing].flatMap((node) => nodes[node]?.parts ?? []) };
};
