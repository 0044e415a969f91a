// µm, doll size. All that a piece takes, as one list: what is cut, folded, sewn and bought for it.
import type { CutGroup } from '../../cut/index.ts';
import type { Extra } from '../../piece/index.ts';
import type { DerivedPiece, DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import { type Flat, flatsOf } from './flats.ts';

/** One line of what a piece takes, so many times. What is found, or a body that is folded or sewn of the flats beside it, is `found` and cut from nothing. */
export type Taking =
  | { readonly kind: 'cut' | 'found'; readonly tag: string; readonly name: string; readonly count: number; readonly group: CutGroup }
  | { readonly kind: 'flat'; readonly tag: string; readonly name: string; readonly count: number; readonly flat: Flat }
  | { readonly kind: 'besides'; readonly name: string; readonly count: number; readonly extra: Extra };

/** All that a piece takes: its parts by group, its nets, patterns and hinges, then what is bought by length, count or weight.
 *  Shape: a piece of a derived set → n lines, none where it cannot be built. */
export const takingsOf = (document: SetDocument, derived: DerivedSet, piece: DerivedPiece): readonly Taking[] => [
  ...(piece.made?.groups ?? []).map((group): Taking => {
    const { tag, name, parts, stuff } = group;
    return { kind: stuff === 'found' ? 'found' : 'cut', tag, name, count: parts.length, group };
  }),
  ...flatsOf(document, derived, piece).map((flat): Taking => ({ kind: 'flat', tag: flat.tag, name: flat.name, count: flat.count, flat })),
  ...(piece.made?.extras ?? []).map((extra): Taking => ({ kind: 'besides', name: extra.what, count: extra.count, extra })),
];
