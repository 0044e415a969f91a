// From derived pieces to sheets, one stock of board after another.
import { cutRegionOf, type Part } from '../../assembly/index.ts';
import {
  type BoardJob,
  type BoardLayout,
  type CutItem,
  type CutRules,
  layOutJobs,
  type PinnedSheet,
  type Search,
  type SheetKind,
} from '../../cut/index.ts';
import { asRect, bounds, movedRing, type Region, type Ring } from '../../shape/index.ts';
import { type Board, outlineOfOffcut } from '../../stock/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import { isCut } from './isCut.ts';

/** What is still to be cut from a board. */
export const itemsFor = (document: SetDocument, derived: DerivedSet, board: Board): readonly CutItem[] => {
  const done = isCut(document);
  const groups = new Map(document.cutting.together.flatMap((parts, index) => parts.map((id) => [id, String(index)] as const)));
  return all(derived, board)
    .filter(({ id, width, height }) => !done(board.id, id, width, height))
    .map((item) => (groups.has(item.id) ? { ...item, group: groups.get(item.id) } : item));
};

/** The outlines of parts with their lower left corner at the origin. Parts are never written to, and most are laid out again and again. */
const outlines = new WeakMap<Part, Region>();

const outlineOf = (part: Part): Region => {
  const known = outlines.get(part);
  if (known) return known;
  const cut = cutRegionOf(part);
  const { x0, y0 } = bounds(cut.outline);
  const home = (ring: Ring): Ring => movedRing(ring, -x0, -y0);
  const outline = { outline: home(cut.outline), holes: cut.holes.map(home) };
  outlines.set(part, outline);
  return outline;
};

const all = (derived: DerivedSet, board: Board): readonly CutItem[] =>
  derived.pieces.flatMap(({ made }) =>
    (made?.assembly.parts ?? [])
      .filter((part) => part.stuff === 'board' && part.stock === board.id)
      .map((part): CutItem => {
        const cut = cutRegionOf(part);
        const { x0, y0, x1, y1 } = bounds(cut.outline);
        const free = board.grain === 'none' || part.grain === 'any';
        const whole = cut.holes.length === 0 && asRect(cut.outline) !== undefined;
        return {
          id: part.id,
          width: x1 - x0,
          height: y1 - y0,
          lies: free ? 'either' : part.grain === 'x' ? 'turned' : 'drawn',
          ...(whole ? {} : { outline: outlineOf(part), flips: board.faces === 'alike' }),
        };
      }),
  );

/** Sheets stand upright, so grain runs along their height; an offcut's height is its grain's way as the maker says. */
export const kindsOf = ({ sheets, offcuts, grain }: Board): readonly SheetKind[] => [
  ...offcuts.map((each): SheetKind => {
    const { id, width, height } = each;
    const outline = outlineOfOffcut(each);
    // One that is no rectangle lies as the maker says, whichever way is longer.
    if (outline) return { name: 'offcut', width, height, price: null, atHand: 1, offcut: id, outline };
    const [across, along] = grain === 'none' ? [Math.min(width, height), Math.max(width, height)] : [width, height];
    return { name: 'offcut', width: across, height: along, price: null, atHand: 1, offcut: id };
  }),
  ...sheets.map(
    ({ name, width, height, price, atHand }): SheetKind => ({
      name,
      width: Math.min(width, height),
      height: Math.max(width, height),
      price,
      atHand,
      offcut: null,
    }),
  ),
];

/** The sheets that parts are pinned to, as far as there is still such a kind. */
const pinnedOn = ({ cutting }: SetDocument, { id }: Board, kinds: readonly SheetKind[]): readonly PinnedSheet[] =>
  cutting.pinned.flatMap((pinned): readonly PinnedSheet[] => {
    const kind = kinds.find(({ name, offcut }) => offcut === pinned.offcut && (offcut !== null || name === pinned.name));
    return pinned.board === id && kind ? [{ id: pinned.id, kind, parts: pinned.parts }] : [];
  });

/** How the boards of a set are cut. */
export const rulesOf = ({ cutting: { gap, trim, mode, wishes } }: SetDocument): CutRules => ({ gap, trim, mode, wishes });

/** What is to be cut from each board that the set cuts from, in the order of the document; boards that nothing is cut from are left out. */
export const boardJobs = (document: SetDocument, derived: DerivedSet): readonly BoardJob[] =>
  document.boards.flatMap((board): readonly BoardJob[] => {
    const items = itemsFor(document, derived, board);
    if (items.length === 0) return [];
    const kinds = kindsOf(board);
    const rules = rulesOf(document);
    const pinned = pinnedOn(document, board, kinds);
    return [{ key: JSON.stringify([board.id, kinds, rules, items, pinned]), board: board.id, items, kinds, pinned, rules }];
  });

/** Lays out every board that the set cuts from.
 *  Shape: derived set → a layout per board in the order of the document. A board whose items and sheets did not change keeps its layout. Without a
 *  search the first answers stand. */
export const layOutSet = (
  document: SetDocument,
  derived: DerivedSet,
  previous: readonly BoardLayout[] = [],
  search: (() => Search) | null = null,
): readonly BoardLayout[] => layOutJobs(boardJobs(document, derived), previous, search);
