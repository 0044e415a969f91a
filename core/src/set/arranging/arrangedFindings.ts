// What a careful maker would notice about all rooms of a set, as the layouts that count say.
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import type { Finding } from '../findings/finding.ts';
import { arrangedIn } from './arrange.ts';

/** The findings of all rooms of a set about how they are arranged. */
export const arrangedFindings = (document: SetDocument, derived: DerivedSet): readonly Finding[] =>
  document.pieces.flatMap(({ id, family }) => (family === 'room' ? (arrangedIn(document, derived, id)?.findings ?? []) : []));
