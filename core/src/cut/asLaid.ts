// µm, doll size, origin at the lower left of the room inside the trim. Cuts round parts that must stay where they lie.
import { type Region, type Ring, without } from '../shape/index.ts';
import { bandsOf, type CutNode, type CutSize, type Lying, SPANS, sideOf } from './cutTree.ts';
import { inscribed } from './nest/index.ts';
import { largestOffcut } from './offcuts.ts';

/** A rest and where it lies. */
export type RoomOnSheet = CutSize & { readonly x: number; readonly y: number };

const restOf = (width: number, height: number): CutNode => ({ kind: 'rest', width, height });

const stripsAsLaid = (size: CutSize, parts: readonly Lying[], gap: number, way: 'across' | 'along'): CutNode | undefined => {
  const bands = bandsOf(parts, SPANS[way]);
  const [first, side] = [bands[0]?.from ?? 0, sideOf(size, way)];
  // A rest before the first part is cut off with one cut, so it and the cut must have room.
  if (first > 0 && first < gap) return undefined;
  if (bands.slice(1).some(({ from }, index) => from - (bands[index]?.to ?? 0) < gap)) return undefined;
  const before = first > 0 ? [{ from: 0, to: first - gap, parts: [] as readonly Lying[] }] : [];
  const last = bands.at(-1)?.to ?? 0;
  const after = last < side ? [{ from: last + gap, to: Math.max(side, last + gap), parts: [] as readonly Lying[] }] : [];
  // What is open between two bands stays with the first of them until that is cut again.
  const held = bands.map((band, index) => ({ ...band, to: (bands[index + 1]?.from ?? band.to + gap) - gap }));
  const all = [...before, ...held, ...after];
  if (all.length < 2) return undefined;
  const strips = all.map(({ from, to, parts: mine }) => {
    const piece: CutSize = way === 'across' ? { width: to - from, height: size.height } : { width: size.width, height: to - from };
    const home = mine.map((part) => (way === 'across' ? { ...part, x: part.x - from } : { ...part, y: part.y - from }));
    return cutAsLaid(piece, home, gap);
  });
  return strips.some((strip) => strip === undefined) ? undefined : { ...size, kind: 'strips', way, strips: strips as CutNode[] };
};

/** The cuts that part what lies on a sheet without moving any of it; undefined when no cuts from edge to edge do.
 *  Shape: room, parts → a tree that holds each part once, where it lies. */
export const cutAsLaid = (size: CutSize, parts: readonly Lying[], gap: number): CutNode | undefined => {
  const [only] = parts;
  if (!only) return restOf(size.width, size.height);
  if (parts.length === 1 && only.width === size.width && only.height === size.height) return { ...size, kind: 'part', id: only.id };
  const ways = (['along', 'across'] as const).flatMap((way) => stripsAsLaid(size, parts, gap, way) ?? []);
  const largest = (node: CutNode): number => Math.max(0, ...roomsIn(node, gap).map(({ width, height }) => width * height));
  return ways.sort((a, b) => largest(b) - largest(a))[0];
};

/** All rests of a tree, and where they lie, in the order of the tree. */
export const roomsIn = (node: CutNode, gap: number, x = 0, y = 0): readonly RoomOnSheet[] => {
  if (node.kind === 'part') return [];
  if (node.kind === 'rest') return [{ x, y, width: node.width, height: node.height }];
  let at = 0;
  return node.strips.flatMap((strip) => {
    const [dx, dy] = node.way === 'across' ? [at, 0] : [0, at];
    at += sideOf(strip, node.way) + gap;
    return roomsIn(strip, gap, x + dx, y + dy);
  });
};

/** A tree with something else in the place of each rest, in the order of `roomsIn`. */
export const refilled = (node: CutNode, rests: readonly (CutNode | undefined)[]): CutNode => {
  const left = [...rests];
  const fill = (each: CutNode): CutNode => {
    if (each.kind === 'rest') return left.shift() ?? each;
    return each.kind === 'strips' ? { ...each, strips: each.strips.map(fill) } : each;
  };
  return fill(node);
};

const MOST_ROOMS = 12;

const MOST_INSIDE = 4;

/** An outline as rectangles that lie in it, a gap apart, the largest first. */
export const roomsInside = (outline: Ring, gap: number): readonly RoomOnSheet[] => {
  const rooms: RoomOnSheet[] = [];
  let left: readonly Region[] = [{ outline, holes: [] }];
  while (rooms.length < MOST_INSIDE) {
    const [best] = left.map(inscribed).sort((a, b) => (b.x1 - b.x0) * (b.y1 - b.y0) - (a.x1 - a.x0) * (a.y1 - a.y0));
    if (!best || best.x1 <= best.x0 || best.y1 <= best.y0) break;
    rooms.push({ x: best.x0, y: best.y0, width: best.x1 - best.x0, height: best.y1 - best.y0 });
    left = left.flatMap((region) => without(region, { x0: best.x0 - gap, y0: best.y0 - gap, x1: best.x1 + gap, y1: best.y1 + gap }));
  }
  return rooms;
};

/** What parts leave open, as rectangles a gap apart, the largest first, where no straight cuts go round them. */
export const roomsAround = (room: CutSize, parts: readonly Lying[], gap: number): readonly RoomOnSheet[] => {
  const rooms: RoomOnSheet[] = [];
  while (rooms.length < MOST_ROOMS) {
    const next = largestOffcut(room, [...parts, ...rooms], gap);
    if (next.width <= 0 || next.height <= 0) break;
    rooms.push(next);
  }
  return rooms;
};
