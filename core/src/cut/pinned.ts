// Parts that the maker laid by hand stay where they are; the rest is laid out round them. µm, doll size.
import { type Orientation, orientedSize, type Ring } from '../shape/index.ts';
import { cutAsLaid, type RoomOnSheet, refilled, roomsAround, roomsIn, roomsInside } from './asLaid.ts';
import type { CutNode, Lying } from './cutTree.ts';
import { type CutLayout, FIRST_ANSWER, layOut, type Search } from './layOut.ts';
import type { CutItem, LotPlacement } from './lots.ts';
import type { Sheet } from './sheet.ts';
import { type CutRules, roomOf, type SheetKind, trimOf } from './supplies.ts';

/** A sheet that parts are pinned to: of a kind, and where each lies, from the sheet's lower left corner. */
export type PinnedSheet = { readonly id: string; readonly kind: SheetKind; readonly parts: readonly LotPlacement[] };

const mayLie = ({ lies, flips, outline }: CutItem, { turn, mirrored }: Orientation): boolean =>
  (lies === 'either' || (turn % 2 === 1) === (lies === 'turned')) && (!mirrored || outline === undefined || flips === true);

const lyingOf = (item: CutItem, placement: LotPlacement): Lying => ({
  id: item.id,
  x: placement.x,
  y: placement.y,
  ...orientedSize(item, placement),
});

/** Whether a part may lie on a sheet beside others: inside the trim, with its grain, a knife gap from all of them. */
export const holds = (item: CutItem, placement: LotPlacement, others: readonly Lying[], kind: SheetKind, rules: CutRules): boolean => {
  const { x, y, width, height } = lyingOf(item, placement);
  const { left, bottom } = trimOf(kind, rules);
  const room = roomOf(kind, rules);
  const inside = x >= left && y >= bottom && x + width <= left + room.width && y + height <= bottom + room.height;
  const { gap } = rules;
  return (
    kind.outline === undefined &&
    inside &&
    mayLie(item, placement) &&
    others.every(
      (other) =>
        x >= other.x + other.width + gap || other.x >= x + width + gap || y >= other.y + other.height + gap || other.y >= y + height + gap,
    )
  );
};

/** An offcut that is no rectangle, as the rectangles in it. */
const beginShaped = (kind: SheetKind, outline: Ring, rules: CutRules): Begun => ({
  pinned: { id: '', kind, parts: [] },
  lying: [],
  placements: [],
  tree: undefined,
  rooms: roomsInside(outline, rules.gap),
});

/** A pinned sheet as it is begun: who lies there still, and the rooms that are left between. */
type Begun = {
  readonly pinned: PinnedSheet;
  readonly lying: readonly Lying[];
  readonly placements: readonly LotPlacement[];
  readonly tree: CutNode | undefined;
  readonly rooms: readonly RoomOnSheet[];
};

/** A pin whose part is gone, has grown over another or the edge, or may not lie so any more, is let go. */
const begin = (pinned: PinnedSheet, items: ReadonlyMap<string, CutItem>, rules: CutRules): Begun => {
  const { left, bottom } = trimOf(pinned.kind, rules);
  const room = roomOf(pinned.kind, rules);
  const placements: LotPlacement[] = [];
  const onSheet: Lying[] = [];
  for (const placement of pinned.parts) {
    const item = items.get(placement.id);
    if (!item || !holds(item, placement, onSheet, pinned.kind, rules)) continue;
    placements.push(placement);
    onSheet.push(lyingOf(item, placement));
  }
  const lying = onSheet.map((each) => ({ ...each, x: each.x - left, y: each.y - bottom }));
  const tree = rules.mode === 'straight' ? cutAsLaid(room, lying, rules.gap) : undefined;
  return { pinned, lying, placements, tree, rooms: tree ? roomsIn(tree, rules.gap) : roomsAround(room, lying, rules.gap) };
};

const roomName = (sheet: number, room: number): string => `room ${sheet} ${room}`;

/** Puts what was laid into the rooms of a pinned sheet back on it. */
const whole = (
  { pinned, lying, placements, tree, rooms }: Begun,
  filled: readonly (Sheet | undefined)[],
  bought: boolean,
  rules: CutRules,
): Sheet => {
  const { left, bottom } = trimOf(pinned.kind, rules);
  const added = filled.flatMap((sheet, index) => {
    const { x, y } = rooms[index] as RoomOnSheet;
    return (sheet?.placements ?? []).map((placement) => ({ ...placement, x: placement.x + x + left, y: placement.y + y + bottom }));
  });
  const rest = largestOf(filled, rooms);
  return {
    kind: pinned.kind,
    bought,
    placements: [...placements, ...added],
    cuts: tree
      ? refilled(
          tree,
          filled.map((sheet) => sheet?.cuts ?? undefined),
        )
      : null,
    shared: filled.flatMap((sheet) => sheet?.shared ?? []),
    pinned: lying.length > 0 ? { id: pinned.id, parts: lying.map(({ id }) => id) } : null,
    offcut: rest,
  };
};

/** The largest rest of the rooms, filled or not. */
const largestOf = (filled: readonly (Sheet | undefined)[], rooms: readonly RoomOnSheet[]): Sheet['offcut'] =>
  rooms
    .map(({ width, height }, index) => filled[index]?.offcut ?? { width, height })
    .reduce((best, each) => (each.width * each.height > best.width * best.height ? each : best), { width: 0, height: 0 });

/** Lays out items round those that are pinned, and into offcuts of any outline, as `layOut` does it with rectangles. Pins that do not hold
 *  any more are let go; nothing is pinned to an offcut that is no rectangle.
 *  Shape: as `layOut`; pinned sheets come first and say who is pinned there. `least` is what any layout could need, without pins too. */
export const layOutPinned = (
  items: readonly CutItem[],
  kinds: readonly SheetKind[],
  pinnedSheets: readonly PinnedSheet[],
  rules: CutRules,
  search: Search,
): CutLayout => {
  const byId = new Map(items.map((item) => [item.id, item]));
  const begun = [
    ...pinnedSheets.map((pinned) => begin(pinned, byId, rules)).filter(({ lying }) => lying.length > 0),
    ...kinds.flatMap((kind) => (kind.outline ? [beginShaped(kind, kind.outline, rules)] : [])),
  ];
  if (begun.length === 0) return layOut(items, kinds, rules, search);
  const held = new Set(begun.flatMap(({ lying }) => lying.map(({ id }) => id)));
  const begunOf = (kind: SheetKind): number =>
    begun.filter(({ pinned }) => pinned.kind.name === kind.name && pinned.kind.offcut === null).length;
  const others = kinds
    .filter(({ offcut }) => offcut === null || !begun.some(({ pinned }) => pinned.kind.offcut === offcut))
    .map((kind) => (kind.offcut === null ? { ...kind, atHand: Math.max(0, kind.atHand - begunOf(kind)) } : kind));
  const rooms = begun.flatMap(({ rooms: mine }, sheet) =>
    mine.map(
      ({ width, height }, room): SheetKind => ({ name: 'room', width, height, price: null, atHand: 1, offcut: roomName(sheet, room) }),
    ),
  );
  const without = layOut(items, kinds, rules, FIRST_ANSWER);
  const rest = items.filter(({ id }) => !held.has(id));
  const merged = (layout: CutLayout): CutLayout => {
    const seen = new Map<string, number>();
    const sheets = begun.flatMap((each, sheet): readonly Sheet[] => {
      const { kind } = each.pinned;
      const nth = seen.get(kind.name) ?? 0;
      seen.set(kind.name, nth + 1);
      const filled = each.rooms.map((_, room) => layout.sheets.find(({ kind: { offcut } }) => offcut === roomName(sheet, room)));
      if (each.lying.length === 0 && filled.every((one) => one === undefined)) return [];
      return [whole(each, filled, kind.offcut === null && nth >= (kinds.find(({ name }) => name === kind.name)?.atHand ?? 0), rules)];
    });
    const all = [...sheets, ...layout.sheets.filter(({ kind: { name, offcut } }) => offcut === null || name !== 'room')];
    const priced = without.price !== null;
    const price = priced ? all.reduce((sum, { kind, bought }) => sum + (bought ? (kind.price ?? 0) : 0), 0) : null;
    return {
      ...layout,
      sheets: all,
      least: without.least,
      price,
      leastPrice: price !== null && without.leastPrice !== null ? Math.min(price, without.leastPrice) : null,
      proven: layout.proven && all.length === without.least,
    };
  };
  const { better } = search;
  return merged(layOut(rest, [...others, ...rooms], rules, better ? { ...search, better: (layout) => better(merged(layout)) } : search));
};
