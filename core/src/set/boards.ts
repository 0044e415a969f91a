// From derived pieces to sheets, one stock of board after another.
import { type CutItem, FIRST_ANSWER, type Layout, layOut, type Search, type SheetKind } from '../cut/index.ts';
import { seededRandom } from '../kit/index.ts';
import { bounds } from '../shape/index.ts';
import type { Board } from '../stock/index.ts';
import type { DerivedSet } from './derive.ts';
import type { SetDocument } from './document.ts';
import { isCut } from './isCut.ts';

/** The sheets of one board. `key` is all that they depend on; `searched` says that the search has had its turn. */
export type BoardLayout = { readonly key: string; readonly board: string; readonly layout: Layout; readonly searched: boolean };

const itemsFor = (document: SetDocument, derived: DerivedSet, board: Board): readonly CutItem[] => {
  const done = isCut(document);
  return all(derived, board).filter(({ id, width, height }) => !done(board.id, id, width, height));
};

const all = (derived: DerivedSet, board: Board): readonly CutItem[] =>
  derived.pieces.flatMap(({ made }) =>
    (made?.assembly.parts ?? [])
      .filter((part) => part.stuff === 'board' && part.stock === board.id)
      .map((part): CutItem => {
        const { x0, y0, x1, y1 } = bounds(part.region.outline);
        const free = board.grain === 'none' || part.grain === 'any';
        return { id: part.id, width: x1 - x0, height: y1 - y0, lies: free ? 'either' : part.grain === 'x' ? 'turned' : 'drawn' };
      }),
  );

/** Sheets stand upright, so grain runs along their height; an offcut's height is its grain's way as the maker says. */
const kindsOf = ({ sheets, offcuts, grain }: Board): readonly SheetKind[] => [
  ...offcuts.map(({ id, width, height }): SheetKind => {
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
    const { gap, trim, mode } = document.cutting;
    const key = JSON.stringify([board.id, kinds, gap, trim, mode, items]);
    const known = previous.find((layout) => layout.key === key);
    if (known && (known.searched || search === null)) return [known];
    const told = (layout: Layout): void => better({ key, board: board.id, layout, searched: false });
    const layout = layOut(items, kinds, { gap, trim, mode }, search ? { ...search(), better: told } : FIRST_ANSWER);
    return [{ key, board: board.id, layout, searched: search !== null || layout.proven }];
  });
