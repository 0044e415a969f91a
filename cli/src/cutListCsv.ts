import { formatLength } from '@parlor/core/measure';
import type { DerivedSet, SetDocument } from '@parlor/core/set';
import papaparse from 'papaparse';
import { flatsOf } from './flats.ts';

/** The cut list as a table: one row per group of identical parts, sizes exact in mm and on the maker's rule.
 *  A cell that a spreadsheet would take for a formula is led by an apostrophe. */
export const cutListCsv = (document: SetDocument, derived: DerivedSet): string => {
  const boardName = (id: string) => document.boards.find((board) => board.id === id)?.name ?? id;
  const size = (length: number): string => formatLength(length, document.units).text;
  const flats = derived.pieces.flatMap((piece) =>
    flatsOf(document, derived, piece).map(({ kind, piece: name, tag, name: part, of, count, width, height }) => ({
      tag,
      piece: name,
      part: kind === 'net' ? `${part}, to fold` : part,
      quantity: count,
      board: of,
      'length mm': '',
      'thickness mm': '',
      'width mm': width / 1000,
      'height mm': height / 1000,
      width: size(width),
      height: size(height),
      'slanting cuts': '',
      grain: '',
    })),
  );
  const parts = derived.pieces.flatMap(({ name, made }) =>
    // What is found, or folded from a net, is not cut as a body.
    (made?.groups ?? [])
      .filter(({ stuff }) => stuff !== 'found')
      .map((group) => ({
        tag: group.tag,
        piece: name,
        part: group.name,
        quantity: group.parts.length,
        board: boardName(group.stock),
        'length mm': group.length === null ? '' : group.length / 1000,
        'thickness mm': group.thickness / 1000,
        'width mm': group.width / 1000,
        'height mm': group.height / 1000,
        width: size(group.width),
        height: size(group.height),
        'slanting cuts': group.slants
          .map(({ at, angle, long, short }) => `${at} ${((angle * 180) / Math.PI).toFixed(1)}°, ${long / 1000} to ${short / 1000} mm`)
          .join('; '),
        grain: group.grained ? 'along height' : '',
      })),
  );
  return `${papaparse.unparse([...parts, ...flats], { escapeFormulae: true })}\n`;
};
