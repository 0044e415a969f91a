import type { SheetDrawing } from '../print/index.ts';
import { bounds, movedRing, type Region, type Ring } from '../shape/index.ts';
import type { BoardLayout } from './boards.ts';
import type { DerivedSet } from './derive.ts';
import type { SetDocument } from './document.ts';

/** A part by what stands on its template, its size, and its outline with the lower left corner at the origin. */
type Named = { readonly tag: string; readonly name: string; readonly width: number; readonly height: number; readonly region: Region };

/** Tag, name and size of every part of a set, by its id. */
export const partsById = (derived: DerivedSet): ReadonlyMap<string, Named> =>
  new Map(
    derived.pieces.flatMap(({ made }) =>
      (made?.assembly.parts ?? []).map((part, index): [string, Named] => {
        const { x0, y0, x1, y1 } = bounds(part.region.outline);
        const home = (ring: Ring) => movedRing(ring, -x0, -y0);
        const region = { outline: home(part.region.outline), holes: part.region.holes.map(home) };
        return [part.id, { tag: made?.tags[index] ?? '', name: part.name, width: x1 - x0, height: y1 - y0, region }];
      }),
    ),
  );

/** Every sheet of a set with what lies on it, in the order of the boards. */
export const sheetDrawings = (document: SetDocument, derived: DerivedSet, layouts: readonly BoardLayout[]): readonly SheetDrawing[] => {
  const parts = partsById(derived);
  const nameOf = (id: string) => document.boards.find((board) => board.id === id)?.name ?? id;
  return layouts.flatMap(({ board, layout }) =>
    layout.sheets.map(
      ({ kind, placements }, index): SheetDrawing => ({
        heading: `${nameOf(board)} · ${kind.name} · ${index + 1} of ${layout.sheets.length}`,
        kind,
        placements: placements.map((placement) => {
          const { tag, width, height } = parts.get(placement.id) as Named;
          return { ...placement, tag, width, height };
        }),
      }),
    ),
  );
};
