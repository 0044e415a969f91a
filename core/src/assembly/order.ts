// µm, doll size. The order of assembly: the finished piece is taken apart, and the way back is the way to build it (blocking graphs:
// Wilson & Latombe 1994, recalled).
import { dot, normalOf, type Vec3 } from '../shape/index.ts';
import { blockingOf } from './blocking.ts';
import { type Box, boxOf, type Part, ROLES } from './part.ts';
import type { Contact } from './touching.ts';

/** A part, by index, the way it comes to its place (a unit vector), and the parts that stand there already to which it is glued, where it holds
 *  most first. */
export type OrderStep = { readonly part: number; readonly along: Vec3; readonly onto: readonly number[] };

/** Steps in the order of work; `stuck` names the parts, by index, that no order can bring to their places, because each is in another's
 *  way. It is empty for everything that can be built. */
export type Order = { readonly steps: readonly OrderStep[]; readonly stuck: readonly number[] };

const neighboursOf = (count: number, contacts: readonly Contact[]): readonly Set<number>[] => {
  const neighbours = Array.from({ length: count }, () => new Set<number>());
  for (const { a, b } of contacts) {
    neighbours[a]?.add(b);
    neighbours[b]?.add(a);
  }
  return neighbours;
};

/** An order in which every part comes to its place along a free straight way, touching what stands already where that can be.
 *  Shape: n parts and their contacts → n steps, or fewer and who is stuck. Taken apart from the finished piece: of the parts with a free
 *  way the one goes first that the trade puts on last (doors, frames, the last side), so that what is inside goes in before it closes. */
export const orderOf = (parts: readonly Part[], contacts: readonly Contact[], boxes: readonly Box[] = parts.map(boxOf)): Order => {
  const blocking = blockingOf(parts, boxes);
  const blockedBy: (readonly [mover: number, way: number])[][] = parts.map(() => []);
  blocking.forEach(({ by }, mover) => {
    by.forEach((list, way) => {
      for (const blocker of list) blockedBy[blocker]?.push([mover, way]);
    });
  });
  const neighbours = neighboursOf(parts.length, contacts);
  const lateness = parts.map(({ role }) => ROLES.indexOf(role));
  // The last to go on leaves first; among equals the one listed last.
  const standing = new Set([...parts.keys()].sort((a, b) => (lateness[b] as number) - (lateness[a] as number) || b - a));
  // Boards are pressed on face to face where that way is free; else they come from the front, the side, above, behind, below.
  const normals = parts.map(({ pose }) => normalOf(pose));
  const freeWay = (part: number): number => {
    const { by = [], ways = [] } = blocking[part] ?? {};
    const [n, free] = [normals[part] as Vec3, by.flatMap(({ size }, way) => (size === 0 ? [way] : []))];
    return free.find((way) => Math.abs(dot(ways[way] as Vec3, n)) > 0.99) ?? free[0] ?? -1;
  };
  // What is left must hold together, so that each part touches one that stands when it comes: whatever the part touches must still be
  // reached from one of its neighbours without it.
  const wouldTear = (part: number): boolean => {
    const around = [...(neighbours[part] ?? [])].filter((other) => standing.has(other));
    const [first] = around;
    if (first === undefined || around.length === 1) return false;
    const reached = new Set([part, first]);
    const ahead = [first];
    let missing = around.length - 1;
    for (let at = ahead.pop(); at !== undefined && missing > 0; at = ahead.pop()) {
      for (const next of neighbours[at] ?? []) {
        if (!standing.has(next) || reached.has(next)) continue;
        reached.add(next);
        if (neighbours[part]?.has(next)) missing -= 1;
        ahead.push(next);
      }
    }
    return missing > 0;
  };
  const nextToLeave = (): number | undefined => {
    let fallback: number | undefined;
    for (const part of standing) {
      if (freeWay(part) < 0) continue;
      if (!wouldTear(part)) return part;
      fallback ??= part;
    }
    return fallback;
  };
  const held = contacts.filter(({ a, b }) => parts[a]?.held === 'glue' && parts[b]?.held === 'glue');
  const ontoOf = (part: number): readonly number[] =>
    held
      .flatMap(({ a, b, area }) => (a === part || b === part ? [{ other: a === part ? b : a, area }] : []))
      .filter(({ other }) => standing.has(other))
      .toSorted((p, q) => q.area - p.area)
      .map(({ other }) => other);
  const leaves: OrderStep[] = [];
  for (let next = nextToLeave(); next !== undefined; next = nextToLeave()) {
    const way = blocking[next]?.ways[freeWay(next)] as Vec3;
    standing.delete(next);
    leaves.push({ part: next, along: [0 - way[0], 0 - way[1], 0 - way[2]], onto: ontoOf(next) });
    for (const [mover, each] of blockedBy[next] ?? []) blocking[mover]?.by[each]?.delete(next);
  }
  return { steps: leaves.reverse(), stuck: [...standing] };
};
