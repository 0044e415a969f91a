import { type Field, fieldsOf, isFieldShown, type Piece, SECTION_FIELDS } from '../../piece/index.ts';

/** What is decided about a piece as it is, the sections of a round one too. */
export const decisionsOf = (piece: Piece): readonly Field[] => {
  const own = fieldsOf(piece).filter((field) => isFieldShown(field, piece));
  if (piece.family !== 'round') return own;
  const ofSection = (section: object, index: number): readonly Field[] =>
    SECTION_FIELDS.filter((field) => isFieldShown(field, section)).map((field) => ({
      ...field,
      path: ['sections', String(index), ...field.path],
    }));
  return [...own, ...piece.sections.flatMap(ofSection)];
};
