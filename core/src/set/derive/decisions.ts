import { type Field, fieldsOf, innerFieldsOf, isFieldShown, type Piece } from '../../piece/index.ts';

/** What is decided about a piece as it is, the members of its lists too. */
export const decisionsOf = (piece: Piece): readonly Field[] => [
  ...fieldsOf(piece).filter((field) => isFieldShown(field, piece)),
  ...innerFieldsOf(piece),
];
