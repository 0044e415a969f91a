// What a careful maker would notice about all rooms of a set, as the layouts that count say.
import { isRoom } from '../../piece/index.ts';
import type { DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import type { Finding } from '../findings/finding.ts';
import { arrangedIn } from './arrange.ts';

/** The findings of all rooms of a set about how they are arranged. */
export const arrangedFindings = (document: SetDocument, derived: DerivedSet): readonly Finding[] =>
  document.pieces.filter(isRoom).flatMap(({ id }) => arrangedIn(document, derived, id)?.findings ?? []);
