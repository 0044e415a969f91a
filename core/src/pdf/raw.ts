// The one place that knows PDF units: 1/72 in (ISO 32000-1, 8.3.2.3); and what the library has that its types leave out.
import type PDFDocument from 'pdfkit';
import { UM } from '../measure/index.ts';
import type { Ring } from '../shape/index.ts';

export type Document = InstanceType<typeof PDFDocument>;

export const points = (micrometres: number): number => (micrometres * 72) / UM.in;

/** Draws closed rings; the page's y runs up, the file's as the library has it runs down. */
export const drawRings = (pdf: Document, rings: readonly Ring[], height: number): void => {
  for (const ring of rings) {
    ring.forEach(([x, y], index) => {
      if (index === 0) pdf.moveTo(points(x), points(height - y));
      else pdf.lineTo(points(x), points(height - y));
    });
    pdf.closePath();
  }
};

/** An object of the file. */
export type Ref = { readonly end: (bytes?: Uint8Array) => void; readonly data: Record<string, unknown> };

/** Raw operators and objects, which the library has and its types leave out. */
export type Raw = {
  readonly ref: (data: object) => Ref;
  readonly addContent: (operators: string) => void;
  readonly page: { readonly xobjects: Record<string, unknown>; readonly resources: Ref };
  readonly _root: Ref;
};

/** What a PDF document can do beside what its types tell. */
export const rawOf = (pdf: Document): Raw => pdf as unknown as Raw;
