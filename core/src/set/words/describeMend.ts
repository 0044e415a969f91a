import { assertNever } from '../../kit/index.ts';
import { showExact, showLength, type Units } from '../../measure/index.ts';
import type { Mend } from '../findings/finding.ts';

/** What a mend's one click does, in words. */
export const describeMend = (mend: Mend, units: Units): string => {
  const size = mend.size ?? 0;
  switch (mend.kind) {
    case 'opening-moved':
      return 'move it along the wall';
    case 'opening-lowered':
      return 'lower it';
    case 'opening-smaller':
      return 'make it smaller';
    case 'take-out':
      return `take ${mend.detail} out`;
    case 'fewer-shelves':
      return mend.detail === '0' ? 'take the shelves out' : mend.detail === '1' ? 'one shelf only' : `${mend.detail} shelves instead`;
    case 'hold-inside':
      return 'hold the inside';
    case 'fix-to-wall':
      return 'fix it to the wall';
    case 'add-sheet':
      return `get ${mend.detail} sheets too`;
    case 'share-bays':
      return 'share the room evenly';
    case 'deepen':
      return 'make it deeper';
    case 'centre-openings':
      return 'centre the openings on the bays';
    case 'widen-gap':
      return `a gap of ${showExact(size, units)}`;
    case 'sit-inside':
      return 'let it sit inside';
    case 'move-pin':
      return `pins ${showExact(size, units)} from the edge`;
    case 'glue-up':
      return `glue up ${mend.detail} layers`;
    case 'lower':
      return 'make it lower';
    case 'cut-freely':
      return 'cut anywhere, not only from edge to edge';
    case 'no-gap':
      return 'leave nothing for the knife';
    case 'no-trim':
      return 'trim no edges';
    case 'trim-over-seams':
      return `a trim over the seams of ${mend.detail}`;
    case 'stop-at-rail':
      return 'stop there, under a rail';
    case 'stand-within':
      return 'let the feet stand under the edge';
    case 'tighten':
      return 'make the slots tighter';
    case 'cover-edges':
      return `strips on the edges of ${mend.detail}`;
    case 'suit':
      return `make it ${showLength(size, units)} for ${mend.detail}`;
    case 'strip-over':
      return 'put a strip over it';
    case 'rail-over':
      return 'let a rail run over it';
    case 'cornice-over':
      return 'let a cornice run over it';
    case 'hang':
      return 'hang it where it suits her';
    case 'thinner-paper':
      return 'print it on plain paper';
    case 'loosen':
      return `make it looser by ${showExact(300, units)}`;
    case 'turn-art':
      return mend.detail === '' ? 'turn it the right way up' : `leave “${mend.detail}” out`;
    case 'off-shelf':
      return 'let it stand by itself';
    case 'narrow-seams':
      return 'sew narrower seams';
    case 'shorter-rod':
      return 'a shorter rod';
    case 'set-size':
      return `make it so: ${mend.detail} ${showExact(size, units)}`;
    case 'set-count':
      return `make it so: ${mend.detail}`;
    case 'leave-off':
      return `leave off: ${mend.detail}`;
    case 'fuller':
      return 'twice as wide as its rod';
    case 'shorten':
      return 'let it end just above the floor';
    case 'other-cloth':
      return `cut it from ${mend.detail}`;
    case 'turn-in':
      return 'turn its edges in and glue them';
    case 'widen-fold':
      return 'widen the gaps';
    case 'batting':
      return mend.detail === '1' ? 'one layer of batting' : `${mend.detail} layers of batting`;
    case 'off-place':
      return 'let it be by itself';
    case 'other-board':
      return `cut it from ${mend.detail}, ${showExact(size, units)}`;
    case 'thinner-board':
      return `cut the whole set from ${mend.detail}, ${showExact(size, units)}`;
    case 'thicker-sheet':
      return `clear sheet of ${showExact(size, units)}`;
    case 'no-grain':
      return 'let the grain run any way';
    default:
      return assertNever(mend.kind);
  }
};
