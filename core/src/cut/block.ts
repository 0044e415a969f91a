// Parts that are kept together: laid side by side in one rectangle, which then goes on one sheet. µm, doll size.
import { type CutItem, type Lot, membersAt, single } from './lots.ts';
import { firstAnswer, itemsOf, packedOf } from './pack/index.ts';
import type { CutRules } from './supplies.ts';

type Size = { readonly width: number; readonly height: number };

/** Shares of a sheet's width that a block is tried in, beside the widths of its own parts. */
const SHARES = [1, 0.75, 0.5, 0.35, 0.25] as const;

const blockIn = (items: readonly CutItem[], room: Size, { gap, mode }: CutRules): Lot | undefined => {
  const lots = items.map(single);
  const packing = itemsOf(lots.map(({ width, height, turns }) => ({ width: width + gap, height: height + gap, turns })));
  const kind = { width: room.width + gap, height: room.height + gap, cost: 1, count: 1 };
  const [sheet, more] = firstAnswer(packing, [kind], mode, 0, () => undefined) ?? [];
  if (!sheet || more) return undefined;
  const sizes = new Map(items.map((item) => [item.id, item]));
  const placed = packedOf(sheet).items.map(({ item, x, y, turned }) => {
    const lot = lots[item] as Lot;
    const size: Size = turned ? { width: lot.height, height: lot.width } : lot;
    return { right: x + size.width, top: y + size.height, members: membersAt(lot, x, y, turned ? 1 : 0, (id) => sizes.get(id) as CutItem) };
  });
  return {
    id: items.map(({ id }) => id).join(' with '),
    width: Math.max(...placed.map(({ right }) => right)),
    height: Math.max(...placed.map(({ top }) => top)),
    turns: lots.every(({ turns }) => turns),
    members: placed.flatMap(({ members }) => members),
    apart: true,
  };
};

/** The smallest rectangle in which parts lie side by side, cut as the rules say; undefined when no sheet takes them all.
 *  Shape: parts, rooms of the sheets → one lot that holds each part once. */
export const blockOf = (items: readonly CutItem[], rooms: readonly Size[], rules: CutRules): Lot | undefined => {
  const sides = items.flatMap(({ width, height }) => [width, height]);
  const row = items.reduce((sum, item) => sum + single(item).width + rules.gap, 0);
  const tries = rooms.flatMap((room) =>
    [...SHARES.map((share) => Math.round(room.width * share)), ...sides, row]
      .filter((width) => width <= room.width)
      .flatMap((width) => blockIn(items, { width, height: room.height }, rules) ?? []),
  );
  return tries.reduce<Lot | undefined>((best, lot) => (best && best.width * best.height <= lot.width * lot.height ? best : lot), undefined);
};

/** Parts that belong together, group by group, and the rest. */
export const groupsOf = (
  items: readonly CutItem[],
): { readonly groups: readonly (readonly CutItem[])[]; readonly rest: readonly CutItem[] } => {
  const groups = new Map<string, CutItem[]>();
  const rest: CutItem[] = [];
  for (const item of items) {
    if (item.group === undefined) rest.push(item);
    else groups.set(item.group, [...(groups.get(item.group) ?? []), item]);
  }
  const several = [...groups.values()].filter(({ length }) => length > 1);
  return { groups: several, rest: [...rest, ...[...groups.values()].filter(({ length }) => length === 1).flat()] };
};
