import type { Edit } from './edit.ts';

/** What a finding is about. */
export type Where = { readonly pieceId: string; readonly bay?: readonly number[]; readonly partIds?: readonly string[] };

/** A judgement that a careful maker would make: what is wrong, how much, and the edit that mends it, where there is one.
 *  Numbers are µm; which world they belong to stands in `describeFinding`. */
export type Finding = {
  readonly severity: 'error' | 'warning' | 'note';
  readonly where: Where;
  readonly mend: Mend | null;
} & FindingCase;

export type FindingCase =
  | {
      readonly code: 'cannot-be-built';
      readonly numbers: { readonly available: number; readonly needed: number };
      readonly direction: 'width' | 'height' | 'depth' | 'bay';
    }
  | {
      readonly code: 'part-larger-than-board';
      readonly numbers: { readonly width: number; readonly height: number };
      readonly part: string;
      readonly board: string;
    }
  | { readonly code: 'shelf-gap-too-low'; readonly numbers: { readonly gap: number; readonly needed: number }; readonly object: string }
  | { readonly code: 'thickness-off-scale'; readonly numbers: { readonly board: number; readonly scaled: number }; readonly board: string }
  | { readonly code: 'tips-over'; readonly numbers: { readonly height: number; readonly depth: number } }
  | { readonly code: 'parts-interfere'; readonly numbers: { readonly pairs: number } }
  | { readonly code: 'does-not-close'; readonly numbers: Record<string, never> }
  | { readonly code: 'part-is-loose'; readonly numbers: { readonly parts: number } };

/** A one-click mend; its words come from `describeMend`. */
export type Mend = {
  readonly kind: 'fewer-shelves' | 'hold-inside' | 'fix-to-wall' | 'add-sheet' | 'share-bays';
  readonly detail: string;
  readonly edit: Edit;
};
