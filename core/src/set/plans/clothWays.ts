// What a thing of cloth takes when it is made another way: sewn beside no-sew.
import { buildPiece, type ClothThing, type Construction, type Extra } from '../../piece/index.ts';
import { type DerivedSet, meansFor } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import { type ClothCut, cutsOfSewing } from './clothPlans.ts';

/** One way of making a thing: what is cut, and what it takes besides; nothing where it cannot be made so. */
export type MadeInWay = { readonly way: Construction; readonly cuts: readonly ClothCut[]; readonly extras: readonly Extra[] };

/** A thing of the set made in another way, all else as it is decided.
 *  Shape: document, derived pieces, a thing of cloth, a way → its cuts and extras; undefined where it does not fit. */
export const inWay = (document: SetDocument, derived: DerivedSet, thing: ClothThing, way: Construction): MadeInWay | undefined => {
  const built = buildPiece({ ...thing, way }, meansFor(document, derived));
  if (!built.ok || !built.value.sewing) return undefined;
  return { way, cuts: cutsOfSewing(document, thing, built.value.sewing), extras: built.value.extras ?? [] };
};
