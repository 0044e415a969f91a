import { formatLength } from '@parlor/core/measure';
import type { DerivedSet, SetDocument } from '@parlor/core/set';
import papaparse from 'papaparse';

/** The cut list as a table: one row per group of identical parts, sizes exact in mm and on the maker's rule.
 *  A cell that a spreadsheet would take for a formula is led by an apostrophe. */
export const cutListCsv = (document: SetDocument, derived: DerivedSet): string => {
  const boardName = (id: string) => document.boards.find((board) => board.id === id)?.name ?? id;
  const rows = derived.pieces.flatMap(({ name, made }) =>
    (made?.groups ?? []).map((group) => ({
      tag: group.tag,
      piece: name,
      part: group.name,
      quantity: group.parts.length,
      board: boardName(group.stock),
      'length mm': group.length === null ? '' : group.length / 1000,
      'thickness mm': group.thickness / 1000,
      'width mm': group.width / 1000,
      'height mm': group.height / 1000,
      width: formatLength(group.width, document.units).text,
      height: formatLength(group.height, document.units).text,
      'slanting cuts': group.slants
        .map(({ at, angle, long, short }) => `${at} ${((angle * 180) / Math.PI).toFixed(1)}°, ${long / 1000} to ${short / 1000} mm`)
        .join('; '),
      grain: group.grained ? 'along height' : '',
    })),
  );
  return `${papaparse.unparse(rows, { escapeFormulae: true })}\n`;
};
