import type { Units } from '../../measure/index.ts';
import type { Mend } from '../findings/finding.ts';
import { type Speech, speechIn } from './speech.ts';

type Said = { readonly detail: string; readonly size: number };

/** What each mend's one click does: a new kind does not compile without. */
const WORDS: { readonly [Kind in Mend['kind']]: (mend: Said, speech: Speech) => string } = {
  'opening-moved': () => 'move it along the wall',
  'opening-lowered': () => 'lower it',
  'opening-smaller': () => 'make it smaller',
  'take-out': ({ detail }) => `take ${detail} out`,
  'fewer-shelves': ({ detail }) =>
    detail === '0' ? 'take the shelves out' : detail === '1' ? 'one shelf only' : `${detail} shelves instead`,
  'hold-inside': () => 'hold the inside',
  'fix-to-wall': () => 'fix it to the wall',
  'add-sheet': ({ detail }) => `get ${detail} sheets too`,
  'share-bays': () => 'share the room evenly',
  deepen: () => 'make it deeper',
  'centre-openings': () => 'centre the openings on the bays',
  'widen-gap': ({ size }, { fine }) => `a gap of ${fine(size)}`,
  'sit-inside': () => 'let it sit inside',
  'move-pin': ({ size }, { fine }) => `pins ${fine(size)} from the edge`,
  'glue-up': ({ detail }) => `glue up ${detail} layers`,
  lower: () => 'make it lower',
  'cut-freely': () => 'cut anywhere, not only from edge to edge',
  'no-gap': () => 'leave nothing for the knife',
  'no-trim': () => 'trim no edges',
  'trim-over-seams': ({ detail }) => `a trim over the seams of ${detail}`,
  'stop-at-rail': () => 'stop there, under a rail',
  'stand-within': () => 'let the feet stand under the edge',
  tighten: () => 'make the slots tighter',
  'cover-edges': ({ detail }) => `strips on the edges of ${detail}`,
  suit: ({ detail, size }, { show }) => `make it ${show(size)} for ${detail}`,
  'strip-over': () => 'put a strip over it',
  'rail-over': () => 'let a rail run over it',
  'cornice-over': () => 'let a cornice run over it',
  hang: () => 'hang it where it suits her',
  'thinner-paper': () => 'print it on plain paper',
  loosen: (_, { fine }) => `make it looser by ${fine(300)}`,
  'turn-art': ({ detail }) => (detail === '' ? 'turn it the right way up' : `leave “${detail}” out`),
  'off-shelf': () => 'let it stand by itself',
  'narrow-seams': () => 'sew narrower seams',
  'shorter-rod': () => 'a shorter rod',
  'set-size': ({ detail, size }, { fine }) => `make it so: ${detail} ${fine(size)}`,
  'set-count': ({ detail }) => `make it so: ${detail}`,
  'leave-off': ({ detail }) => `leave off: ${detail}`,
  fuller: () => 'twice as wide as its rod',
  shorten: () => 'let it end just above the floor',
  'other-cloth': ({ detail }) => `cut it from ${detail}`,
  'turn-in': () => 'turn its edges in and glue them',
  'widen-fold': () => 'widen the gaps',
  batting: ({ detail }) => (detail === '1' ? 'one layer of batting' : `${detail} layers of batting`),
  'off-place': () => 'let it be by itself',
  'other-board': ({ detail, size }, { fine }) => `cut it from ${detail}, ${fine(size)}`,
  'thinner-board': ({ detail, size }, { fine }) => `cut the whole set from ${detail}, ${fine(size)}`,
  'thicker-sheet': ({ size }, { fine }) => `clear sheet of ${fine(size)}`,
  'no-grain': () => 'let the grain run any way',
};

/** What a mend's one click does, in words. */
export const describeMend = ({ kind, detail, size = 0 }: Mend, units: Units): string => WORDS[kind]({ detail, size }, speechIn(units));
