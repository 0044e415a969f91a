import { cutRegionOf } from '../../assembly/index.ts';
import type { BoardLayout, LotPlacement } from '../../cut/index.ts';
import { formatNumber } from '../../measure/index.ts';
import { type BoardPlan, crossAt, type PlanLine, placerFor, wordsWithin } from '../../print/index.ts';
import { bounds, movedRing, oriented, orientedSize, type Point, type Region, type Ring, rectRing } from '../../shape/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';

import { boardDrawings, type PartDrawn } from './templates.ts';

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
export const placedOn = (placement: LotPlacement, size: { readonly width: number; readonly height: number }): ((point: Point) => Point) => {
  const place = oriented(size, placement);
  return (point) => {
    const [x, y] = place(point);
    return [placement.x + x, placement.y + y];
  };
};

const ringsOf = ({ outline, holes }: Region): readonly Ring[] => [outline, ...holes];

/** What is drawn on a part as it lies on its sheet: what lies on its face shows its back. */
const linesOf = (
  { region, guides, scores, centres }: PartDrawn,
  mirrored: boolean,
  place: (point: Point) => Point,
): readonly PlanLine[] => {
  const closed = (layer: PlanLine['layer'], ring: Ring): PlanLine => ({ layer, points: ring.map(place), closed: true });
  const open = (layer: PlanLine['layer'], ends: readonly [Point, Point]): PlanLine => ({ layer, points: ends.map(place), closed: false });
  const seen = mirrored ? 'back' : 'front';
  return [
    ...ringsOf(region).map((ring) => closed('cut', ring)),
    ...scores.map((ends) => open(mirrored ? 'score-behind' : 'score', ends)),
    ...guides.flatMap(({ face, region: stands }) => ringsOf(stands).map((ring) => closed(face === seen ? 'guide' : 'guide-behind', ring))),
    ...centres.flatMap((centre) => crossAt(centre).map((ends) => open('centre', ends))),
  ];
};

/** Where a part's tag stands, and how high: within what is cut, beside its openings. */
const tagOn = (region: Region, tag: string): { readonly at: Point; readonly high: number } => {
  const { x1, y1 } = bounds(region.outline);
  const high = Math.min(12_000, Math.min(x1, y1) * 0.4);
  const [word] = wordsWithin(placerFor([]), region, [[{ text: tag, size: high }]]) ?? [];
  return word ? { at: word.at, high: word.size } : { at: [x1 / 2, y1 / 2], high };
};

/** Every sheet of a set as it is cut, at true size, in the order of the boards. */
export const boardPlans = (document: SetDocument, derived: DerivedSet, layouts: readonly BoardLayout[]): readonly BoardPlan[] => {
  const [parts, drawings] = [partsById(derived), boardDrawings(derived)];
  const sizes = (width: number, height: number): string =>
    `${formatNumber(width, document.units).text} × ${formatNumber(height, document.units).text} ${document.units.unit}`;
  const nameOf = (id: string) => document.boards.find((board) => board.id === id)?.name ?? id;
  return layouts.flatMap(({ board, layout }) =>
    layout.sheets.map(({ kind, placements }, index): BoardPlan => {
      const drawn = placements.map((placement) => {
        const { tag, width, height } = parts.get(placement.id) as Named;
        const drawn = drawings.get(placement.id) as PartDrawn;
        const place = placedOn(placement, { width, height });
        const { at, high } = tagOn(drawn.region, tag);
        const text = {
          at: place(at),
          high,
          text: tag,
          sizes: sizes(width, height),
          ...orientedSize({ width, height }, placement),
        };
        return { lines: linesOf(drawn, placement.mirrored === true, place), text };
      });
      return {
        heading: `${nameOf(board)} · ${kind.name} · ${index + 1} of ${layout.sheets.length}`,
        size: sizes(kind.width, kind.height),
        width: kind.width,
        height: kind.height,
        lines: [
          { layer: 'sheet', points: kind.outline ?? rectRing(0, 0, kind.width, kind.height), closed: true },
          ...drawn.flatMap(({ lines }) => lines),
        ],
        texts: drawn.map(({ text }) => text),
      };
    }),
  );
};
