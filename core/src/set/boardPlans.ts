import { cutRegionOf, guidesOf } from '../assembly/index.ts';
import type { Placement } from '../cut/index.ts';
import { formatNumber } from '../measure/index.ts';
import type { BoardPlan, PlanRing } from '../print/index.ts';
import { bounds, lain, lyingSize, movedRing, type Point, type Region, type Ring, rectRing } from '../shape/index.ts';
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
        const cut = cutRegionOf(part);
        const { x0, y0, x1, y1 } = bounds(cut.outline);
        const home = (ring: Ring) => movedRing(ring, -x0, -y0);
        const region = { outline: home(cut.outline), holes: cut.holes.map(home) };
        return [part.id, { tag: made?.tags[index] ?? '', name: part.name, width: x1 - x0, height: y1 - y0, region }];
      }),
    ),
  );

/** How a part's own points come to lie on the sheet. */
export const placedOn = (placement: Placement, size: { readonly width: number; readonly height: number }): ((point: Point) => Point) => {
  const place = lain(size, placement);
  return (point) => {
    const [x, y] = place(point);
    return [placement.x + x, placement.y + y];
  };
};

/** `guides` and `behind` are the pencil lines on the face that the template shows and on the other one. */
type Lines = { readonly outlines: readonly Ring[]; readonly guides: readonly Ring[]; readonly behind: readonly Ring[] };

/** The outlines of every part with its lower left corner at the origin, and its pencil lines. */
const linesById = (derived: DerivedSet): ReadonlyMap<string, Lines> =>
  new Map(
    derived.pieces.flatMap(({ made }) => {
      if (!made) return [];
      const guides = guidesOf(made.assembly.parts, made.inspection.contacts);
      return made.assembly.parts.map((part, index): [string, Lines] => {
        const region = cutRegionOf(part);
        const { x0, y0 } = bounds(region.outline);
        const home = (ring: Ring) => movedRing(ring, -x0, -y0);
        const on = (side: 'front' | 'back') =>
          part.flat ? [] : (guides[index] ?? []).filter(({ face }) => face === side).map(({ outline }) => home(outline));
        return [part.id, { outlines: [region.outline, ...region.holes].map(home), guides: on('front'), behind: on('back') }];
      });
    }),
  );

/** Every sheet of a set as it is cut, at true size, in the order of the boards. */
export const boardPlans = (document: SetDocument, derived: DerivedSet, layouts: readonly BoardLayout[]): readonly BoardPlan[] => {
  const [parts, lines] = [partsById(derived), linesById(derived)];
  const sizes = (width: number, height: number): string =>
    `${formatNumber(width, document.units).text} × ${formatNumber(height, document.units).text} ${document.units.unit}`;
  const nameOf = (id: string) => document.boards.find((board) => board.id === id)?.name ?? id;
  return layouts.flatMap(({ board, layout }) =>
    layout.sheets.map(({ kind, placements }, index): BoardPlan => {
      const drawn = placements.map((placement) => {
        const { tag, width, height } = parts.get(placement.id) as Named;
        const { outlines, guides, behind } = lines.get(placement.id) as Lines;
        const place = placedOn(placement, { width, height });
        const rings: PlanRing[] = [
          ...outlines.map((ring) => ({ layer: 'cut' as const, ring: ring.map(place) })),
          // What lies on its face shows its back.
          ...(placement.mirrored ? behind : guides).map((ring) => ({ layer: 'guide' as const, ring: ring.map(place) })),
        ];
        const high = Math.min(12_000, Math.min(width, height) * 0.4);
        const text = {
          at: place([width / 2, height / 2]),
          high,
          text: tag,
          sizes: sizes(width, height),
          ...lyingSize({ width, height }, placement),
        };
        return { rings, text };
      });
      return {
        heading: `${nameOf(board)} · ${kind.name} · ${index + 1} of ${layout.sheets.length}`,
        size: sizes(kind.width, kind.height),
        width: kind.width,
        height: kind.height,
        rings: [{ layer: 'sheet', ring: kind.outline ?? rectRing(0, 0, kind.width, kind.height) }, ...drawn.flatMap(({ rings }) => rings)],
        texts: drawn.map(({ text }) => text),
      };
    }),
  );
};
