// One sheet while it is filled, and the room that is left on it. µm, origin at the lower left.
// Free cutting keeps the maximal free rectangles (Jylänki, "A thousand ways to pack the bin", 2010, recalled). Straight cuts keep the
// L that a part leaves undecided: until something lands in one of its arms, the first cut may run either way.
import type { Items } from './items.ts';

/** `free` holds four numbers for each free rectangle: x, y, width, height. In straight mode `rival` names, by index, the rectangle that
 *  overlaps it because the cut between them is not decided yet, or −1. */
export type SheetSpace = {
  readonly width: number;
  readonly height: number;
  count: number;
  filled: number;
  readonly item: Int32Array;
  readonly x: Int32Array;
  readonly y: Int32Array;
  readonly turned: Uint8Array;
  frees: number;
  free: Int32Array;
  rival: Int32Array;
};

export type Mode = 'free' | 'straight';

export const newSpace = (width: number, height: number, items: Items): SheetSpace => {
  const space: SheetSpace = {
    width,
    height,
    count: 0,
    filled: 0,
    item: new Int32Array(items.count),
    x: new Int32Array(items.count),
    y: new Int32Array(items.count),
    turned: new Uint8Array(items.count),
    frees: 1,
    free: new Int32Array(4 * 32),
    rival: new Int32Array(32),
  };
  clear(space);
  return space;
};

/** Takes everything off a sheet. */
export const clear = (space: SheetSpace): void => {
  space.count = 0;
  space.filled = 0;
  space.frees = 0;
  addFree(space, 0, 0, space.width, space.height, -1);
};

const addFree = (space: SheetSpace, x: number, y: number, width: number, height: number, rival: number): number => {
  const index = space.frees;
  if (4 * index >= space.free.length) {
    const [free, rivals] = [new Int32Array(2 * space.free.length), new Int32Array(2 * space.rival.length)];
    free.set(space.free);
    rivals.set(space.rival);
    space.free = free;
    space.rival = rivals;
  }
  const { free } = space;
  free[4 * index] = x;
  free[4 * index + 1] = y;
  free[4 * index + 2] = width;
  free[4 * index + 3] = height;
  space.rival[index] = rival;
  space.frees = index + 1;
  return index;
};

/** Takes a free rectangle out; the last one moves into its place. */
const dropFree = (space: SheetSpace, index: number): void => {
  const { free, rival } = space;
  const last = space.frees - 1;
  if (index !== last) {
    for (let k = 0; k < 4; k += 1) free[4 * index + k] = free[4 * last + k] as number;
    const other = rival[last] as number;
    rival[index] = other;
    if (other >= 0) rival[other] = index;
  }
  space.frees = last;
};

/** Splits every maximal free rectangle that the new part covers, and drops those that lie within another. */
const takeFree = (space: SheetSpace, x: number, y: number, width: number, height: number): void => {
  const [right, top] = [x + width, y + height];
  const before = space.frees;
  let kept = 0;
  // The pieces of split rectangles are written behind all that were there.
  for (let index = 0; index < before; index += 1) {
    const { free } = space;
    const fx = free[4 * index] as number;
    const fy = free[4 * index + 1] as number;
    const fw = free[4 * index + 2] as number;
    const fh = free[4 * index + 3] as number;
    if (x >= fx + fw || right <= fx || y >= fy + fh || top <= fy) {
      free[4 * kept] = fx;
      free[4 * kept + 1] = fy;
      free[4 * kept + 2] = fw;
      free[4 * kept + 3] = fh;
      kept += 1;
      continue;
    }
    if (x > fx) addFree(space, fx, fy, x - fx, fh, -1);
    if (right < fx + fw) addFree(space, right, fy, fx + fw - right, fh, -1);
    if (y > fy) addFree(space, fx, fy, fw, y - fy, -1);
    if (top < fy + fh) addFree(space, fx, top, fw, fy + fh - top, -1);
  }
  const { free } = space;
  const after = space.frees;
  // Old ones are maximal among themselves; a new one is kept unless it lies in an old or another new one.
  let count = kept;
  for (let index = before; index < after; index += 1) {
    const fx = free[4 * index] as number;
    const fy = free[4 * index + 1] as number;
    const fr = fx + (free[4 * index + 2] as number);
    const ft = fy + (free[4 * index + 3] as number);
    let inside = false;
    for (let other = 0; other < count && !inside; other += 1) {
      const ox = free[4 * other] as number;
      const oy = free[4 * other + 1] as number;
      inside = fx >= ox && fy >= oy && fr <= ox + (free[4 * other + 2] as number) && ft <= oy + (free[4 * other + 3] as number);
    }
    for (let other = index + 1; other < after && !inside; other += 1) {
      const ox = free[4 * other] as number;
      const oy = free[4 * other + 1] as number;
      inside = fx >= ox && fy >= oy && fr <= ox + (free[4 * other + 2] as number) && ft <= oy + (free[4 * other + 3] as number);
    }
    if (inside) continue;
    for (let k = 0; k < 4; k += 1) free[4 * count + k] = free[4 * index + k] as number;
    count += 1;
  }
  space.frees = count;
};

/** A part in the corner of a free rectangle leaves an L, whose two arms stay rivals. What the rectangle's own rival loses by that is taken
 *  off it: the cut between those two is decided now. */
const takeStraight = (space: SheetSpace, index: number, width: number, height: number): void => {
  const { free, rival } = space;
  const fx = free[4 * index] as number;
  const fy = free[4 * index + 1] as number;
  const fw = free[4 * index + 2] as number;
  const fh = free[4 * index + 3] as number;
  const other = rival[index] as number;
  if (other >= 0) {
    // The right arm begins where the part ends; the upper one lies over the part as well. Used, an arm keeps its full extent and the
    // other one ends at it.
    const ox = free[4 * other] as number;
    const oy = free[4 * other + 1] as number;
    if (ox > fx) free[4 * other + 3] = fy - oy;
    else free[4 * other + 2] = fx - ox;
    rival[other] = -1;
    rival[index] = -1;
  }
  dropFree(space, index);
  const right = width < fw ? addFree(space, fx + width, fy, fw - width, fh, -1) : -1;
  const above = height < fh ? addFree(space, fx, fy + height, fw, fh - height, -1) : -1;
  if (right >= 0 && above >= 0) {
    space.rival[right] = above;
    space.rival[above] = right;
  }
};

/** Lays an item in the corner of a free rectangle, named by index. */
export const layIn = (space: SheetSpace, mode: Mode, index: number, items: Items, item: number, turned: boolean): void => {
  const width = (turned ? items.height : items.width)[item] as number;
  const height = (turned ? items.width : items.height)[item] as number;
  const [x, y] = [space.free[4 * index] as number, space.free[4 * index + 1] as number];
  const at = space.count;
  space.item[at] = item;
  space.x[at] = x;
  space.y[at] = y;
  space.turned[at] = turned ? 1 : 0;
  space.count = at + 1;
  space.filled += items.area[item] as number;
  if (mode === 'free') takeFree(space, x, y, width, height);
  else takeStraight(space, index, width, height);
};

/** Lays anew on one sheet what lies on another, the first so many of its parts, each where it lay. */
export const layAgain = (space: SheetSpace, from: SheetSpace, mode: Mode, items: Items, count: number): void => {
  clear(space);
  for (let at = 0; at < count; at += 1) {
    const [item, turned] = [from.item[at] as number, from.turned[at] === 1];
    const width = (turned ? items.height : items.width)[item] as number;
    const height = (turned ? items.width : items.height)[item] as number;
    const [x, y] = [from.x[at] as number, from.y[at] as number];
    for (let index = 0; index < space.frees; index += 1) {
      const { free } = space;
      if (free[4 * index] !== x || free[4 * index + 1] !== y) continue;
      if (width > (free[4 * index + 2] as number) || height > (free[4 * index + 3] as number)) continue;
      layIn(space, mode, index, items, item, turned);
      break;
    }
  }
};
