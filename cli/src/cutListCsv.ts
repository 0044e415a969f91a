import type { CutGroup } from '@parlor/core/cut';
import { formatLength } from '@parlor/core/measure';
import { type DerivedSet, type SetDocument, type Taking, takingsOf } from '@parlor/core/set';
import papaparse from 'papaparse';

const slantsOf = ({ slants }: CutGroup): string =>
  slants
    .map(({ at, angle, long, short }) => `${at} ${((angle * 180) / Math.PI).toFixed(1)}°, ${long / 1000} to ${short / 1000} mm`)
    .join('; ');

/** The columns of a taking; what is found is not cut and has no row. */
const rowOf = (taking: Taking, document: SetDocument) => {
  const size = (length: number): string => formatLength(length, document.units).text;
  const blank = {
    'length mm': '',
    'thickness mm': '',
    'width mm': '',
    'height mm': '',
    width: '',
    height: '',
    'slanting cuts': '',
    grain: '',
  };
  const sides = (width: number, height: number) => ({
    'width mm': width / 1000,
    'height mm': height / 1000,
    width: size(width),
    height: size(height),
  });
  if (taking.kind === 'besides') {
    const { what, length, wide, grams } = taking.extra;
    return {
      tag: '',
      part: grams === undefined ? what : `${what}, ${grams} g`,
      quantity: taking.count,
      board: '',
      ...blank,
      ...(length > 0 ? { 'length mm': Math.round(length) / 1000 } : {}),
      ...(wide ? { 'width mm': wide / 1000, width: size(wide) } : {}),
    };
  }
  const { tag, count: quantity } = taking;
  if (taking.kind === 'flat') {
    const { kind, name, of, width, height } = taking.flat;
    return { tag, part: kind === 'net' ? `${name}, to fold` : name, quantity, board: of, ...blank, ...sides(width, height) };
  }
  const { name: part, stock, length, thickness, width, height, grained } = taking.group;
  return {
    ...{ tag, part, quantity, board: document.boards.find(({ id }) => id === stock)?.name ?? stock, ...blank },
    'length mm': length === null ? '' : length / 1000,
    'thickness mm': thickness / 1000,
    ...sides(width, height),
    'slanting cuts': slantsOf(taking.group),
    grain: grained ? 'along height' : '',
  };
};

/** All that a set takes as a table: one row per group of identical parts, net, pattern, and what is bought besides; sizes exact in mm and on the maker's rule.
 *  A cell that a spreadsheet would take for a formula is led by an apostrophe. */
export const cutListCsv = (document: SetDocument, derived: DerivedSet): string => {
  const rows = derived.pieces.flatMap((piece) =>
    takingsOf(document, derived, piece)
      .filter(({ kind }) => kind !== 'found')
      .map((taking) => {
        const { tag, ...row } = rowOf(taking, document);
        return { tag, piece: piece.name, ...row };
      }),
  );
  return `${papaparse.unparse(rows, { escapeFormulae: true })}\n`;
};
