// From derived pieces to sheets, one stock of board after another.
import { type CutItem, type Layout, layOut } from '../cut/index.ts';
import { bounds } from '../shape/index.ts';
import type { Board } from '../stock/index.ts';
import type { DerivedSet } from './derive.ts';
import type { SetDocument } from './document.ts';

/** The sheets of one board. `key` is all that they depend on. */
export type BoardLayout = { readonly key: string; readonly board: string; readonly layout: Layout };

const itemsFor = (derived: DerivedSet, board: Board): readonly CutItem[] =>
  derived.pieces.flatMap(({ made }) =>
    (made?.assembly.parts ?? [])
      .filter((part) => part.stuff === 'board' && part.stock === board.id)
      .map((part): CutItem => {
        const { x0, y0, x1, y1 } = bounds(part.region.outline);
        const free = board.grain === 'none' || part.grain === 'any';
        return { id: part.id, width: x1 - x0, height: y1 - y0, lies: free ? 'either' : part.grain === 'x' ? 'turned' : 'drawn' };
      }),
  );

/** Lays out every board that the set cuts from.
 *  Shape: derived set → a layout per board in the order of the document; boards that nothing is cut from are left out. A board whose
 *  items and sheets did not change keeps its layout. Sheets stand upright, so grain runs along their height. */
export const layOutSet = (document: SetDocument, derived: DerivedSet, previous: readonly BoardLayout[] = []): readonly BoardLayout[] =>
  document.boards.flatMap((board): readonly BoardLayout[] => {
    const items = itemsFor(derived, board);
    if (items.length === 0) return [];
    const kinds = board.sheets.map(({ name, width, height }) => ({
      name,
      width: Math.min(width, height),
      height: Math.max(width, height),
    }));
    const rules = document.cutting;
    const key = JSON.stringify([board.id, kinds, rules, items]);
    return [previous.find((layout) => layout.key === key) ?? { key, board: board.id, layout: layOut(items, kinds, rules) }];
  });
