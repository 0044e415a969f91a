// Where on a sheet an item lies best. Scores: less is better.
import type { Items } from './items.ts';
import { layIn, type Mode, type SheetSpace } from './space.ts';

/** Rules by which places are compared; the last looks at how much of the item's edge touches others or the sheet's edge. */
export const PACKING_RULES = ['short side', 'long side', 'area', 'lowest', 'leftmost', 'contact'] as const;
export type PackingRule = 0 | 1 | 2 | 3 | 4 | 5;

/** How much of the outline of a rectangle would touch what lies there and the sheet's edges. */
const contactOf = (space: SheetSpace, items: Items, x: number, y: number, width: number, height: number): number => {
  let sum = 0;
  if (x === 0) sum += height;
  if (y === 0) sum += width;
  if (x + width === space.width) sum += height;
  if (y + height === space.height) sum += width;
  for (let at = 0; at < space.count; at += 1) {
    const [item, turned] = [space.item[at] as number, space.turned[at] === 1];
    const [ox, oy] = [space.x[at] as number, space.y[at] as number];
    const ow = (turned ? items.height : items.width)[item] as number;
    const oh = (turned ? items.width : items.height)[item] as number;
    if (ox === x + width || ox + ow === x) {
      const shared = Math.min(y + height, oy + oh) - Math.max(y, oy);
      if (shared > 0) sum += shared;
    } else if (oy === y + height || oy + oh === y) {
      const shared = Math.min(x + width, ox + ow) - Math.max(x, ox);
      if (shared > 0) sum += shared;
    }
  }
  return sum;
};

/** The best place that was found: on which sheet, in which free rectangle, turned or not. */
export type BestPlace = { space: SheetSpace | undefined; index: number; turned: boolean; score: number };

/** Looks for a better place on one sheet than the one found so far. */
export const seek = (space: SheetSpace, items: Items, item: number, rule: PackingRule, found: BestPlace): void => {
  const w = items.width[item] as number;
  const h = items.height[item] as number;
  // Most sheets are too full for most items.
  if (space.width * space.height - space.filled < w * h) return;
  const { free, frees } = space;
  const ways = items.turns[item] as number;
  let best = found.score;
  for (let at = 0, index = 0; index < frees; index += 1, at += 4) {
    const fw = free[at + 2] as number;
    const fh = free[at + 3] as number;
    for (let way = 0; way <= ways; way += 1) {
      const width = way === 1 ? h : w;
      const height = way === 1 ? w : h;
      if (width > fw || height > fh) continue;
      let score: number;
      if (rule === 0) score = fw - width < fh - height ? fw - width : fh - height;
      else if (rule === 1) score = fw - width < fh - height ? fh - height : fw - width;
      else if (rule === 2) score = fw * fh - width * height;
      else {
        const x = free[at] as number;
        const y = free[at + 1] as number;
        if (rule === 3) score = (y + height) * 4e6 + x;
        else if (rule === 4) score = (x + width) * 4e6 + y;
        else score = -contactOf(space, items, x, y, width, height);
      }
      if (score >= best) continue;
      best = score;
      found.space = space;
      found.index = index;
      found.turned = way === 1;
    }
  }
  found.score = best;
};

/** Lays an item on the sheet where it fits best by a rule; false when it fits nowhere on it. */
export const layBest = (space: SheetSpace, mode: Mode, items: Items, item: number, rule: PackingRule): boolean => {
  const found: BestPlace = { space: undefined, index: -1, turned: false, score: Infinity };
  seek(space, items, item, rule, found);
  if (!found.space) return false;
  layIn(space, mode, found.index, items, item, found.turned);
  return true;
};
