// A packed sheet brought into the form in which it is drawn and cut. µm, doll size, origin at the sheet's lower left corner.
import { orientedSize } from '../shape/index.ts';
import { cutSteps } from './cutSteps.ts';
import { type CutNode, cutsIn, cutTree, treePlacements } from './cutTree.ts';
import { type CutItem, type Lot, type LotPlacement, membersAt } from './lots.ts';
import type { NestedSheet } from './nest/index.ts';
import { largestOffcut } from './offcuts.ts';
import { type Kind, laidAnew, type PackedSheet, type PackItem } from './pack/index.ts';
import { type CutRules, roomOf, type SheetKind, type SheetSupply, trimOf } from './supplies.ts';

export type Sheet = {
  readonly kind: SheetKind;
  /** True for one that must be bought. */
  readonly bought: boolean;
  readonly placements: readonly LotPlacement[];
  /** How it is cut apart inside its trim, from edge to edge; null where it is cut freely. */
  readonly cuts: CutNode | null;
  /** Rectangles that several parts share by their outlines, as the cuts name them. */
  readonly shared: readonly { readonly id: string; readonly parts: readonly string[] }[];
  /** The parts that the maker laid there by hand, on a sheet by the id that he pinned them to. */
  readonly pinned: { readonly id: string; readonly parts: readonly string[] } | null;
  /** The largest rectangle left whole. */
  readonly offcut: { readonly width: number; readonly height: number };
};

/** Everything that laying out knows: the parts, the lots that they were put into, and the sheets. */
export type LayingOut = {
  readonly sizes: ReadonlyMap<string, CutItem>;
  readonly lots: readonly Lot[];
  readonly packItems: readonly PackItem[];
  readonly supplies: readonly SheetSupply[];
  readonly kinds: readonly Kind[];
  readonly rules: CutRules;
  readonly least: number;
  readonly tooLarge: readonly string[];
};

const restSize = (...of: Parameters<typeof largestOffcut>): Sheet['offcut'] => {
  const { width, height } = largestOffcut(...of);
  return { width, height };
};

/** A sheet as it was packed, its strips in the order in which they are cut best. */
export const sheetOf = ({ kind, items: packed }: PackedSheet, plan: LayingOut): Sheet => {
  const { lots, supplies, rules, sizes } = plan;
  const supply = supplies[kind] as SheetSupply;
  const { left, bottom } = trimOf(supply.kind, rules);
  const room = roomOf(supply.kind, rules);
  const sizeOf = (id: string) => sizes.get(id) as CutItem;
  const placed = packed.flatMap(({ item, x, y, turned }) => {
    const lot = lots[item] as Lot;
    const turn = turned ? 1 : 0;
    if (!lot.apart) return [{ id: lot.id, x, y, ...orientedSize(lot, { turn }), members: membersAt(lot, 0, 0, turn, sizeOf) }];
    // What is only kept together is cut apart as everything else is.
    return membersAt(lot, x, y, turn, sizeOf).map((member) => ({
      id: member.id,
      x: member.x,
      y: member.y,
      ...orientedSize(sizeOf(member.id), member),
      members: [{ ...member, x: 0, y: 0 }],
    }));
  });
  const tree = rules.mode === 'straight' ? cutTree(room, placed, rules.gap) : undefined;
  // Strips lie again in the order in which they are best cut.
  const lying = tree ? treePlacements(tree, rules.gap) : placed;
  const byId = new Map(placed.map((each) => [each.id, each]));
  return {
    kind: supply.kind,
    bought: supply.bought,
    placements: lying.flatMap(({ id, x, y }) =>
      (byId.get(id) as (typeof placed)[number]).members.map((member) => ({ ...member, x: member.x + x + left, y: member.y + y + bottom })),
    ),
    cuts: tree ?? null,
    shared: placed.flatMap(({ id, members }) => (members.length > 1 ? [{ id, parts: members.map((each) => each.id) }] : [])),
    pinned: null,
    offcut: restSize(room, lying, rules.gap),
  };
};

/** Which of two lists comes first, number by number. */
const isLess = (a: readonly number[], b: readonly number[]): boolean => {
  const at = a.findIndex((value, index) => value !== b[index]);
  return at >= 0 && (a[at] as number) < (b[at] as number);
};

const areaOf = ({ width, height }: PackItem): number => width * height;

/** A sheet that is fuller than this has no rest worth looking for. */
const FULL = 0.9;

/** Of all ways to lay what lies on a sheet, the one that leaves the largest rest, and among those the one with the fewest cuts; or the one
 *  that asks for the fewest settings of the rule first, when that is wished. */
export const roomiest = (packed: PackedSheet, plan: LayingOut): Sheet => {
  const { width, height } = plan.kinds[packed.kind] as Kind;
  const filled = packed.items.reduce((sum, { item }) => sum + areaOf(plan.packItems[item] as PackItem), 0);
  const byRest = plan.rules.wishes.next === 'rest';
  if (byRest && filled > FULL * width * height) return sheetOf(packed, plan);
  const size = ({ offcut }: Sheet): number => offcut.width * offcut.height;
  const cuts = (sheet: Sheet): number => (sheet.cuts ? cutsIn(sheet.cuts) : 0);
  const settings = ({ kind, cuts: tree }: Sheet): number =>
    tree ? cutSteps(kind, trimOf(kind, plan.rules), tree, plan.rules.gap).length : 0;
  return laidAnew(packed, plan.packItems, { width, height }, plan.rules.mode)
    .map((way) => sheetOf(way, plan))
    .map((sheet) => ({ sheet, rank: byRest ? [-size(sheet), cuts(sheet)] : [settings(sheet), cuts(sheet), -size(sheet)] }))
    .reduce((best, each) => (isLess(each.rank, best.rank) ? each : best)).sheet;
};

/** A first answer must be quick: only sheets with few parts, and those not full, are laid anew. */
export const roomierAtOnce = (packed: PackedSheet, plan: LayingOut): Sheet => {
  const { width, height } = plan.kinds[packed.kind] as Kind;
  const filled = packed.items.reduce((sum, { item }) => sum + areaOf(plan.packItems[item] as PackItem), 0);
  return packed.items.length > 16 || filled > 0.6 * width * height ? sheetOf(packed, plan) : roomiest(packed, plan);
};

/** A sheet as a search among outlines sees it: every part by itself, inside the trim; and back again. */
export const outlinesOn = (sheet: Sheet, kind: number, { rules, sizes }: LayingOut): NestedSheet => {
  const { left, bottom } = trimOf(sheet.kind, rules);
  return {
    kind,
    room: roomOf(sheet.kind, rules),
    parts: sheet.placements.map((placement) => ({
      item: sizes.get(placement.id) as CutItem,
      placement: { ...placement, x: placement.x - left, y: placement.y - bottom },
    })),
  };
};

export const nestedSheet = ({ kind, room, parts }: NestedSheet, { supplies, rules }: LayingOut): Sheet => {
  const supply = supplies[kind] as SheetSupply;
  const { left, bottom } = trimOf(supply.kind, rules);
  const lying = parts.map(({ item, placement }) => ({ ...placement, ...orientedSize(item, placement) }));
  return {
    kind: supply.kind,
    bought: supply.bought,
    placements: parts.map(({ placement }) => ({ ...placement, x: placement.x + left, y: placement.y + bottom })),
    cuts: null,
    shared: [],
    pinned: null,
    offcut: restSize(room, lying, rules.gap),
  };
};
