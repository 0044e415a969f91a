// In which view of a set each finding is told, and so at which thumb of the index it is counted.
import { isRoom, isSmall } from '../../piece/index.ts';
import type { Piece } from '../document/document.ts';
import type { Finding } from './finding.ts';

export type FindingView = 'doll' | 'pieces' | 'room' | 'coverings' | 'goods' | 'cutting' | 'printing';

/** Every code there is, by view: a new one does not compile without. */
const VIEWS: { readonly [Code in Finding['code']]: FindingView } = {
  'does-not-suit': 'doll',
  'cannot-be-built': 'pieces',
  'left-out': 'pieces',
  'does-not-fit': 'pieces',
  'unknown-face': 'pieces',
  'part-joined': 'pieces',
  'part-too-narrow': 'pieces',
  'shelf-gap-too-low': 'pieces',
  'shelf-too-shallow': 'pieces',
  'opening-off-bay': 'pieces',
  'door-stopped': 'pieces',
  'long-span': 'pieces',
  'layers-off': 'pieces',
  'lamp-shut-in': 'pieces',
  'little-joint': 'pieces',
  'goes-not-under': 'pieces',
  'thickness-off-scale': 'pieces',
  'tips-over': 'pieces',
  'no-order': 'pieces',
  'parts-interfere': 'pieces',
  'does-not-close': 'pieces',
  'part-is-loose': 'pieces',
  'stick-too-thin': 'pieces',
  'seat-not-level': 'pieces',
  'feet-not-level': 'pieces',
  'leg-outside': 'pieces',
  'slot-too-loose': 'pieces',
  'rolled-too-tight': 'pieces',
  'outline-too-fine': 'pieces',
  'floors-uneven': 'room',
  'things-clash': 'room',
  'stands-outside': 'room',
  'hangs-free': 'room',
  'opens-into': 'room',
  'out-of-reach': 'room',
  'no-way-to': 'room',
  'narrow-way': 'room',
  'seam-in-sight': 'room',
  'legs-in-the-way': 'room',
  'paper-short': 'coverings',
  'picture-too-coarse': 'coverings',
  'raw-edges': 'coverings',
  'pattern-too-fine': 'coverings',
  seams: 'coverings',
  'colours-beside': 'coverings',
  'too-thick-to-fold': 'goods',
  'strip-too-narrow': 'goods',
  'lid-too-tight': 'goods',
  'art-upside-down': 'goods',
  'small-part': 'goods',
  'no-such-shelf': 'goods',
  'within-seams': 'goods',
  'curtain-skimpy': 'goods',
  'reaches-floor': 'goods',
  'cloth-too-narrow': 'goods',
  'glue-through': 'goods',
  'cloth-frays': 'goods',
  'quilt-folds-not': 'goods',
  'mattress-off': 'goods',
  'too-tall-for-place': 'goods',
  'wider-than-place': 'goods',
  'place-gone': 'goods',
  'part-larger-than-board': 'cutting',
  'sheet-for-little': 'cutting',
  'offcut-would-do': 'cutting',
  'grain-is-dear': 'cutting',
  'boards-to-buy': 'cutting',
  'pages-wasteful': 'printing',
  'page-inky': 'printing',
  'words-too-small': 'printing',
  'seam-through-words': 'printing',
  'printer-changed': 'printing',
};

/** The view in which a finding is told: what is wrong with how a small good or a room is built stands with that.
 *  Shape: a finding, the piece that it is about where there is one → a view. */
export const viewOfFinding = ({ code }: Finding, piece: Piece | undefined): FindingView => {
  const view = VIEWS[code];
  if (!piece || (view !== 'pieces' && view !== 'goods')) return view;
  return isSmall(piece) ? 'goods' : isRoom(piece) ? 'room' : 'pieces';
};
