// Parts laid by hand: where they may go, and the edits that pin them there and let them go.
import { type CutItem, type CutRules, holds, type LotPlacement, roomOf, type Sheet, trimOf } from '../../cut/index.ts';
import { orientedSize } from '../../shape/index.ts';
import type { Board } from '../../stock/index.ts';
import type { PinnedTo, SetDocument } from '../document/document.ts';
import type { Edit } from '../document/edit.ts';

const withPins = ({ cutting }: SetDocument, pinned: readonly PinnedTo[]): Edit => ({
  kind: 'change-set',
  change: { cutting: { ...cutting, pinned: pinned.filter(({ parts }) => parts.length > 0) } },
});

const without = ({ cutting }: SetDocument, part: string): readonly PinnedTo[] =>
  cutting.pinned.map((sheet) => ({ ...sheet, parts: sheet.parts.filter(({ id }) => id !== part) }));

/** A part comes to lie against an edge or a neighbour that is nearer than this. */
const SNAP = 6_000;

/** Where a part that is let go at a place comes to lie: against what is near, inside the trim, clear of what is pinned; undefined where there
 *  is no room for it as it is held, however near. `items` are the parts of the board by id.
 *  Units: µm, from the sheet's lower left corner. */
export const placeNear = (
  sheet: Sheet,
  items: ReadonlyMap<string, CutItem>,
  wanted: LotPlacement,
  rules: CutRules,
): LotPlacement | undefined => {
  const item = items.get(wanted.id);
  if (!item) return undefined;
  const { left, bottom } = trimOf(sheet.kind, rules);
  const room = roomOf(sheet.kind, rules);
  const size = orientedSize(item, wanted);
  const standing = sheet.placements
    .filter(({ id }) => id !== wanted.id && sheet.pinned?.parts.includes(id))
    .flatMap((placement) => {
      const other = items.get(placement.id);
      return other ? [{ id: other.id, x: placement.x, y: placement.y, ...orientedSize(other, placement) }] : [];
    });
  const { gap } = rules;
  const most = { x: left + room.width - size.width, y: bottom + room.height - size.height };
  const lines = (low: number, high: number, sides: readonly (readonly [from: number, to: number])[], side: number): readonly number[] =>
    [low, high, ...sides.flatMap(([from, to]) => [to + gap, from - gap - side, from, to - side])].filter((at) => at >= low && at <= high);
  const xs = lines(
    left,
    most.x,
    standing.map(({ x, width }) => [x, x + width] as const),
    size.width,
  );
  const ys = lines(
    bottom,
    most.y,
    standing.map(({ y, height }) => [y, y + height] as const),
    size.height,
  );
  const near = (at: number, all: readonly number[], low: number, high: number): number => {
    const inside = Math.round(Math.max(low, Math.min(high, at)));
    const best = all.reduce((one, other) => (Math.abs(other - inside) < Math.abs(one - inside) ? other : one), Number.POSITIVE_INFINITY);
    return Math.abs(best - inside) <= SNAP ? best : inside;
  };
  const at = (x: number, y: number): LotPlacement => ({ ...wanted, x, y });
  const fits = (placement: LotPlacement): boolean => holds(item, placement, standing, sheet.kind, rules);
  const first = at(near(wanted.x, xs, left, most.x), near(wanted.y, ys, bottom, most.y));
  if (fits(first)) return first;
  // Pushed aside to the nearest place beside what is in the way.
  return [...xs, first.x]
    .flatMap((x) => [...ys, first.y].map((y) => at(x, y)))
    .sort((a, b) => Math.hypot(a.x - wanted.x, a.y - wanted.y) - Math.hypot(b.x - wanted.x, b.y - wanted.y))
    .find(fits);
};

/** The edit that pins a part to a sheet of a layout; wherever it was pinned before, it is let go there. */
export const pinPart = (document: SetDocument, board: Board, sheet: Sheet, placement: LotPlacement, newId: () => string): Edit => {
  const others = without(document, placement.id);
  const part = { id: placement.id, x: placement.x, y: placement.y, turn: placement.turn, mirrored: placement.mirrored };
  const known = sheet.pinned?.id;
  if (known !== undefined && others.some(({ id }) => id === known))
    return withPins(
      document,
      others.map((each) => (each.id === known ? { ...each, parts: [...each.parts, part] } : each)),
    );
  const { name, offcut } = sheet.kind;
  return withPins(document, [...others, { id: newId(), board: board.id, name, offcut, parts: [part] }]);
};

/** The edit that lets a pinned part go. */
export const letGo = (document: SetDocument, part: string): Edit => withPins(document, without(document, part));

/** The edit that lets all parts of a board go. */
export const letAllGo = (document: SetDocument, board: string): Edit =>
  withPins(
    document,
    document.cutting.pinned.filter((each) => each.board !== board),
  );

/** The edit that has two parts, and all that is kept with them, come from one sheet. */
export const keepTogether = ({ cutting }: SetDocument, one: string, other: string): Edit => {
  const [mine, rest] = [
    cutting.together.filter((parts) => parts.includes(one) || parts.includes(other)),
    cutting.together.filter((parts) => !parts.includes(one) && !parts.includes(other)),
  ];
  const group = [...new Set([one, other, ...mine.flat()])];
  return { kind: 'change-set', change: { cutting: { ...cutting, together: [...rest, group] } } };
};

/** The edit that lets a part come from any sheet again. */
export const keepApart = ({ cutting }: SetDocument, part: string): Edit => {
  const together = cutting.together.map((parts) => parts.filter((id) => id !== part)).filter(({ length }) => length > 1);
  return { kind: 'change-set', change: { cutting: { ...cutting, together } } };
};
