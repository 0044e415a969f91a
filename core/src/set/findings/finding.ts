import type { RuleName } from '../../doll/index.ts';
import type { Edit } from '../document/edit.ts';

/** What a finding is about. */
export type Where = {
  readonly pieceId: string;
  readonly bay?: readonly number[];
  readonly partIds?: readonly string[];
  /** An opening of a room: its shell, the wall of that, which of the wall's. */
  readonly opening?: { readonly shell: number; readonly wall: number; readonly index: number };
};

/** A judgement that a careful maker would make: what is wrong, how much, and the edit that mends it, where there is one.
 *  Numbers are µm; which world they belong to stands in `describeFinding`. */
export type Finding = {
  readonly severity: 'error' | 'warning' | 'note';
  readonly where: Where;
  readonly mend: Mend | null;
} & FindingCase;

type Numbers<Key extends string> = { readonly numbers: Readonly<Record<Key, number>> };

export type FindingCase =
  | ({ readonly code: 'cannot-be-built'; readonly direction: 'width' | 'height' | 'depth' | 'bay'; readonly tiny?: boolean } & Numbers<
      'available' | 'needed'
    >)
  | ({ readonly code: 'left-out'; readonly what: string; readonly lacks: string | null } & Numbers<'available' | 'needed'>)
  | ({ readonly code: 'does-not-fit'; readonly what: string; readonly tiny?: boolean } & Numbers<'available' | 'needed'>)
  | ({ readonly code: 'unknown-face'; readonly what: string; readonly face: string } & Numbers<never>)
  | ({ readonly code: 'part-larger-than-board'; readonly part: string; readonly board: string } & Numbers<'width' | 'height'>)
  | ({
      readonly code: 'part-joined';
      readonly layered: boolean;
      readonly part: string;
      readonly board: string;
      readonly behind: readonly string[];
      /** What stands before joints of it in its room, so that they are not seen. */
      readonly before: readonly string[];
    } & Numbers<'pieces' | 'strips' | 'open'>)
  | ({ readonly code: 'part-too-narrow'; readonly part: string } & Numbers<'width' | 'least'>)
  | ({ readonly code: 'shelf-gap-too-low'; readonly object: string } & Numbers<'gap' | 'needed'>)
  | ({ readonly code: 'shelf-too-shallow'; readonly object: string } & Numbers<'depth' | 'needed'>)
  | ({ readonly code: 'opening-off-bay' } & Numbers<'off'>)
  | ({ readonly code: 'door-stopped'; readonly part: string; readonly by: string; readonly slides: boolean } & Numbers<
      'degrees' | 'needed' | 'has'
    >)
  | ({ readonly code: 'long-span'; readonly part: string; readonly clear: boolean } & Numbers<'span' | 'most'>)
  | ({ readonly code: 'layers-off'; readonly part: string } & Numbers<'wanted' | 'gets' | 'layers'>)
  | ({ readonly code: 'lamp-shut-in' } & Numbers<'lamps'>)
  | ({ readonly code: 'little-joint'; readonly part: string } & Numbers<'area' | 'least'>)
  | ({ readonly code: 'goes-not-under' } & Numbers<'height' | 'under'>)
  | ({ readonly code: 'thickness-off-scale'; readonly board: string } & Numbers<'board' | 'scaled'>)
  | ({ readonly code: 'sheet-for-little'; readonly parts: readonly string[]; readonly board: string } & Numbers<'parts'>)
  | ({ readonly code: 'offcut-would-do'; readonly board: string } & Numbers<'width' | 'height' | 'sheet'>)
  | ({ readonly code: 'grain-is-dear'; readonly board: string } & Numbers<'sheets'>)
  | ({ readonly code: 'paper-short'; readonly paper: string; readonly piece: string; readonly roll: boolean } & Numbers<
      'needed' | 'has' | 'reach'
    >)
  | ({ readonly code: 'picture-too-coarse'; readonly paper: string } & Numbers<'dots' | 'least' | 'good'>)
  | ({ readonly code: 'raw-edges' } & Numbers<'length'>)
  | ({ readonly code: 'pattern-too-fine'; readonly paper: string; readonly what: string } & Numbers<'size' | 'finest'>)
  | ({ readonly code: 'seams'; readonly paper: string } & Numbers<'seams' | 'off'>)
  | ({
      readonly code: 'colours-beside';
      readonly how: 'fight' | 'alike';
      readonly one: string;
      readonly other: string;
    } & Numbers<'contrast'>)
  | ({ readonly code: 'pages-wasteful' } & Numbers<'pages' | 'least'>)
  | ({ readonly code: 'page-inky'; readonly pages: readonly string[] } & Numbers<'share'>)
  | ({ readonly code: 'words-too-small'; readonly paper: string } & Numbers<'size' | 'least'>)
  | ({ readonly code: 'seam-through-words'; readonly paper: string } & Numbers<'tiles'>)
  | ({ readonly code: 'printer-changed'; readonly measured: string | null; readonly since: string } & Numbers<never>)
  | ({ readonly code: 'boards-to-buy'; readonly board: string; readonly what: string } & Numbers<'sheets'>)
  | ({ readonly code: 'tips-over' } & Numbers<'height' | 'depth'>)
  | ({ readonly code: 'no-order'; readonly parts: readonly string[] } & Numbers<never>)
  | ({ readonly code: 'parts-interfere'; readonly parts: readonly string[] } & Numbers<'pairs'>)
  | ({ readonly code: 'does-not-close' } & Numbers<never>)
  | ({ readonly code: 'part-is-loose'; readonly part: string } & Numbers<'parts'>)
  | ({ readonly code: 'stick-too-thin'; readonly part: string } & Numbers<'free' | 'most'>)
  | ({ readonly code: 'seat-not-level'; readonly part: string } & Numbers<'degrees' | 'off'>)
  | ({ readonly code: 'feet-not-level'; readonly part: string } & Numbers<'gap' | 'feet'>)
  | ({ readonly code: 'leg-outside'; readonly part: string } & Numbers<'beyond' | 'legs'>)
  | ({ readonly code: 'slot-too-loose'; readonly part: string } & Numbers<'play' | 'most' | 'slots'>)
  | ({ readonly code: 'rolled-too-tight'; readonly part: string; readonly foam: boolean } & Numbers<'radius' | 'least' | 'thickness'>)
  | ({ readonly code: 'outline-too-fine'; readonly part: string; readonly what: 'bend' | 'neck' } & Numbers<'size' | 'least'>)
  | ({ readonly code: 'too-thick-to-fold'; readonly panel: string } & Numbers<'fold' | 'paper'>)
  | ({ readonly code: 'strip-too-narrow'; readonly net: string } & Numbers<'width' | 'least'>)
  | ({ readonly code: 'lid-too-tight' } & Numbers<'play' | 'least'>)
  | ({ readonly code: 'art-upside-down'; readonly panel: string } & Numbers<never>)
  | ({ readonly code: 'small-part' } & Numbers<'longest'>)
  | ({ readonly code: 'no-such-shelf' } & Numbers<never>)
  | ({ readonly code: 'within-seams' } & Numbers<'size' | 'seam'>)
  | ({ readonly code: 'curtain-skimpy' } & Numbers<'cloth' | 'rod'>)
  | ({ readonly code: 'reaches-floor' } & Numbers<'over' | 'above'>)
  | ({ readonly code: 'cloth-too-narrow'; readonly cloth: string } & Numbers<'width' | 'needed'>)
  | ({ readonly code: 'glue-through' } & Numbers<never>)
  | ({ readonly code: 'cloth-frays'; readonly cloth: string } & Numbers<never>)
  | ({ readonly code: 'quilt-folds-not' } & Numbers<'gap' | 'needed'>)
  | ({ readonly code: 'mattress-off' } & Numbers<'height' | 'bed'>)
  | ({ readonly code: 'too-tall-for-place' } & Numbers<'height' | 'above'>)
  | ({ readonly code: 'wider-than-place' } & Numbers<'over'>)
  | ({ readonly code: 'place-gone' } & Numbers<never>)
  | ({ readonly code: 'things-clash'; readonly one: string; readonly other: string } & Numbers<never>)
  | ({ readonly code: 'stands-outside'; readonly thing: string } & Numbers<never>)
  | ({ readonly code: 'hangs-free'; readonly thing: string } & Numbers<never>)
  | ({ readonly code: 'opens-into'; readonly thing: string; readonly by: string } & Numbers<never>)
  | ({ readonly code: 'out-of-reach'; readonly thing: string } & Numbers<'away' | 'reach'>)
  | ({ readonly code: 'no-way-to'; readonly thing: string; readonly doll: string } & Numbers<'shoulders'>)
  | ({ readonly code: 'seam-in-sight'; readonly wall: string; readonly stands: boolean } & Numbers<'at' | 'seen'>)
  | ({ readonly code: 'floors-uneven' } & Numbers<'shell' | 'by'>)
  | ({ readonly code: 'narrow-way'; readonly thing: string; readonly doll: string } & Numbers<'wanted'>)
  | ({ readonly code: 'legs-in-the-way'; readonly thing: string; readonly by: string; readonly doll: string } & Numbers<'needed'>)
  | ({
      readonly code: 'does-not-suit';
      readonly rule: RuleName;
      readonly of: string;
      readonly doll: string;
      readonly off: 'low' | 'high';
    } & Numbers<'value' | 'low' | 'high'>);

export const MEND_KINDS = [
  'opening-moved',
  'opening-lowered',
  'opening-smaller',
  'take-out',
  'fewer-shelves',
  'hold-inside',
  'fix-to-wall',
  'add-sheet',
  'share-bays',
  'deepen',
  'centre-openings',
  'widen-gap',
  'sit-inside',
  'move-pin',
  'glue-up',
  'lower',
  'cut-freely',
  'no-gap',
  'no-trim',
  'no-grain',
  'stop-at-rail',
  'trim-over-seams',
  'cover-edges',
  'stand-within',
  'tighten',
  'suit',
  'strip-over',
  'rail-over',
  'cornice-over',
  'hang',
  'thinner-paper',
  'loosen',
  'turn-art',
  'off-shelf',
  'narrow-seams',
  'fuller',
  'shorter-rod',
  'set-size',
  'set-count',
  'leave-off',
  'shorten',
  'other-cloth',
  'turn-in',
  'widen-fold',
  'batting',
  'off-place',
  'other-board',
  'thinner-board',
  'thicker-sheet',
] as const;

/** A one-click mend; its words come from `describeMend`, `detail` fills them. */
export type Mend = {
  readonly kind: (typeof MEND_KINDS)[number];
  readonly detail: string;
  /** The size that it makes something, in µm at doll size. */
  readonly size?: number | undefined;
  readonly edit: Edit;
};
