import { guidesOf } from '../assembly/index.ts';
import type { Placement } from '../cut/index.ts';
import type { BoardPlan, PlanRing } from '../print/index.ts';
import { bounds, movedRing, type Point, type Region, type Ring, rectRing } from '../shape/index.ts';
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

/** How a part's own points come to lie on the sheet: a turned one by a quarter, counter-clockwise. */
export const placedOn =
  ({ x, y, rotated }: Placement, height: number): ((point: Point) => Point) =>
  ([px, py]) =>
    rotated ? [x + height - py, y + px] : [x + px, y + py];

type Lines = { readonly outlines: readonly Ring[]; readonly guides: readonly Ring[] };

/** The outlines of every part with its lower left corner at the origin, and the pencil lines on the face that its template shows. */
const linesById = (derived: DerivedSet): ReadonlyMap<string, Lines> =>
  new Map(
    derived.pieces.flatMap(({ made }) => {
      if (!made) return [];
      const guides = guidesOf(made.assembly.parts, made.inspection.contacts);
      return made.assembly.parts.map(({ id, region }, index): [string, Lines] => {
        const { x0, y0 } = bounds(region.outline);
        const home = (ring: Ring) => movedRing(ring, -x0, -y0);
        const shown = (guides[index] ?? []).filter(({ face }) => face === 'front');
        return [id, { outlines: [region.outline, ...region.holes].map(home), guides: shown.map(({ outline }) => home(outline)) }];
      });
    }),
  );

/** Every sheet of a set as it is cut, at true size, in the order of the boards. */
export const boardPlans = (document: SetDocument, derived: DerivedSet, layouts: readonly BoardLayout[]): readonly BoardPlan[] => {
  const [parts, lines] = [partsById(derived), linesById(derived)];
  const nameOf = (id: string) => document.boards.find((board) => board.id === id)?.name ?? id;
  return layouts.flatMap(({ board, layout }) =>
    layout.sheets.map(({ kind, placements }, index): BoardPlan => {
      const drawn = placements.map((placement) => {
        const { tag, width, height } = parts.get(placement.id) as Named;
        const { outlines, guides } = lines.get(placement.id) as Lines;
        const place = placedOn(placement, height);
        const rings: PlanRing[] = [
          ...outlines.map((ring) => ({ layer: 'cut' as const, ring: ring.map(place) })),
          ...guides.map((ring) => ({ layer: 'guide' as const, ring: ring.map(place) })),
        ];
        return { rings, text: { at: place([width / 2, height / 2]), high: Math.min(12_000, Math.min(width, height) * 0.4), text: tag } };
      });
      return {
        heading: `${nameOf(board)} · ${kind.name} · ${index + 1} of ${layout.sheets.length}`,
        width: kind.width,
        height: kind.height,
        rings: [{ layer: 'sheet', ring: rectRing(0, 0, kind.width, kind.height) }, ...drawn.flatMap(({ rings }) => rings)],
        texts: drawn.map(({ text }) => text),
      };
    }),
  );
};
