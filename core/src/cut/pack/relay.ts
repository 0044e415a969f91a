// The same items on one sheet, laid in every way that the orders and rules know.
import { ORDERS } from './construct.ts';
import { layBest, PACKING_RULES, type PackingRule } from './fit.ts';
import { itemsOf, type PackedSheet, type PackItem } from './items.ts';
import { clear, type Mode, newSpace } from './space.ts';

/** Ways to lay what lies on a sheet, the way it lies first.
 *  Shape: one filled sheet → one or more with the same items on the same kind of sheet. */
export const laidAnew = (
  sheet: PackedSheet,
  list: readonly PackItem[],
  room: { readonly width: number; readonly height: number },
  mode: Mode,
): readonly PackedSheet[] => {
  const items = itemsOf(sheet.items.map(({ item }) => list[item] as PackItem));
  const space = newSpace(room.width, room.height, items);
  const ways: PackedSheet[] = [sheet];
  for (const order of ORDERS) {
    const sorted = sheet.items.map((_, at) => at).sort((a, b) => order(items, b) - order(items, a) || a - b);
    for (let rule = 0; rule < PACKING_RULES.length; rule += 1) {
      clear(space);
      if (!sorted.every((at) => layBest(space, mode, items, at, rule as PackingRule))) continue;
      ways.push({
        kind: sheet.kind,
        items: Array.from({ length: space.count }, (_, at) => ({
          item: (sheet.items[space.item[at] as number] as PackedSheet['items'][number]).item,
          x: space.x[at] as number,
          y: space.y[at] as number,
          turned: space.turned[at] === 1,
        })),
      });
    }
  }
  return ways;
};
