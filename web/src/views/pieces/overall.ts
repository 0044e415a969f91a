// Which outer sizes stand on which drawing.
import { type Field, fieldsOf, isFieldShown, SECTION_FIELDS } from '@parlor/core/piece';
import type { Piece } from '@parlor/core/set';
import type { SightName } from '../../ui/index.ts';

export type Overall = { readonly field: Field; readonly way: 'across' | 'up' };

const WAYS = {
  front: { across: 'width', up: 'height' },
  side: { across: 'depth', up: 'height' },
  top: { across: 'width', up: 'depth' },
} as const;

/** The first outer size of each way that a drawing shows. */
export const overallOn = (piece: Piece, sight: SightName): readonly Overall[] =>
  (['across', 'up'] as const).flatMap((way) => {
    const field = fieldsOf(piece).find(
      (each) =>
        each.group === 'size' &&
        each.path.length === 1 &&
        each.kind.kind === 'size' &&
        each.kind.drives === WAYS[sight][way] &&
        isFieldShown(each, piece),
    );
    return field ? [{ field, way }] : [];
  });

/** The decision behind a size that stands on a drawing: one of the piece's own, or of a section. */
export const markField = (piece: Piece, path: readonly string[]): Field | undefined => {
  const key = path.join('.');
  if (path[0] === 'sections') {
    const field = SECTION_FIELDS.find((each) => each.path.join('.') === path.slice(2).join('.'));
    return field && { ...field, path, label: `${field.label} of section ${Number(path[1]) + 1}` };
  }
  return fieldsOf(piece).find((field) => field.path.join('.') === key && field.kind.kind === 'size' && isFieldShown(field, piece));
};
