// Drawing units of a sheet: millimetres, y down, the origin at its upper left corner.
import type { LotPlacement, Sheet } from '@parlor/core/cut';
import { placedOn } from '@parlor/core/set';
import type { Point, Ring } from '@parlor/core/shape';
import type { Parts } from './SheetTable.tsx';

export type SheetPart = Parts extends ReadonlyMap<string, infer Value> ? Value : never;

export const mm = (um: number): number => um / 1000;

/** A part's outline and holes where it lies, as a path. */
export const pathOf = (part: SheetPart, placement: LotPlacement, sheetHeight: number): string => {
  const lies = placedOn(placement, part);
  const place = (point: Point): string => {
    const [x, y] = lies(point);
    return `${mm(x)} ${mm(sheetHeight - y)}`;
  };
  const ring = (points: Ring): string => `M${points.map(place).join('L')}Z`;
  return [part.region.outline, ...part.region.holes].map(ring).join('');
};

/** A point of the window on a drawn sheet, in micrometres from the sheet's lower left corner. */
export const pointOn = (svg: SVGSVGElement, { kind }: Sheet, clientX: number, clientY: number): Point => {
  const at = new DOMPoint(clientX, clientY).matrixTransform(svg.getScreenCTM()?.inverse());
  return [at.x * 1000, kind.height - at.y * 1000];
};
