// From derived pieces to sheets, one stock of board after another.
import { cutRegionOf, type Part } from '../../assembly/index.ts';
import {
  type CutItem,
  type CutLayout,
  type CutRules,
  FIRST_ANSWER,
  layOutPinned,
  type PinnedSheet,
  type Search,
  type SheetKind,
} from '../../cut/index.ts';
import { seededRandom } from '../../kit/index.ts';
import { asRect, bounds, movedRing, type Region, type Ring } from '../../shape/index.ts';
import { type Board, outlineOfOffcut } from '../../stock/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import { isCut } from './isCut.ts';

/** The sheets of one board. `key` is all that they depend on; `searched` says that the search has had its turn. */
export type BoardLayout = { readonly key: string; readonly board: string; readonly layout: CutLayout; readonly searched: boolean };

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

/** So many tries are made for each board before its best layout stands: about a second's work on a table of a hundred parts. Counted, not
 *  timed, so that equal sets come out equal everywhere. */
const TRIES_IN_ALL = 60_000;
const TRIES_PER_GOAL = 20_000;

/** What the search of one board is allowed: a count of tries, and whatever stops it from outside. */
export const searchOf = (choose: Search['choose'], goOn: () => boolean = () => true): Search => {
  let tries = 0;
  return {
    random: seededRandom(1),
    tries: TRIES_PER_GOAL,
    goOn: () => {
      tries += 1;
      return tries < TRIES_IN_ALL && goOn();
    },
    ...(choose ? { choose } : {}),
  };
};

/** Lays out every board that the set cuts from.
 *  Shape: derived set → a layout per board in the order of the document; boards that nothing is cut from are left out. A board whose
 *  items and sheets did not change keeps its layout. Without a search the first answers stand. `better` hears of each answer on the way. */
export const layOutSet = (
  document: SetDocument,
  derived: DerivedSet,
  previous: readonly BoardLayout[] = [],
  search: (() => Search) | null = null,
  better: (layout: BoardLayout) => void = () => undefined,
): readonly BoardLayout[] =>
  document.boards.flatMap((board): readonly BoardLayout[] => {
    const items = itemsFor(document, derived, board);
    if (items.length === 0) return [];
    const kinds = kindsOf(board);
    const rules = rulesOf(document);
    const pinned = pinnedOn(document, board, kinds);
    const key = JSON.stringify([board.id, kinds, rules, items, pinned]);
    const known = previous.find((layout) => layout.key === key);
    if (known && (known.searched || search === null)) return [known];
    const told = (layout: CutLayout): void => better({ key, board: board.id, layout, searched: false });
    const layout = layOutPinned(items, kinds, pinned, rules, search ? { ...search(), better: told } : FIRST_ANSWER);
    return [{ key, board: board.id, layout, searched: search !== null || layout.proven }];
  });
