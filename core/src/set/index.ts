export { type BoardLayout, layOutSet } from './boards.ts';
export { type DerivedPiece, type DerivedSet, derive, type MadePiece } from './derive.ts';
export { describeFinding, describeMend } from './describe.ts';
export { MOST_PIECES, type Piece, type SetDocument, setSchema } from './document.ts';
export { applyEdit, type Edit } from './edit.ts';
export type { Finding, Mend } from './finding.ts';
export { type ReadIssue, readSet, readSetFile, writeSetFile } from './readSet.ts';
export { partsById, sheetDrawings } from './sheetDrawings.ts';
export { templatePages, templatesOf, type Wanted } from './templates.ts';
