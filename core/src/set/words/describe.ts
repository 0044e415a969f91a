import type { Units } from '../../measure/index.ts';
import type { Finding } from '../findings/finding.ts';
import { BOARD_WORDS } from './boardWords.ts';
import { COVERING_WORDS } from './coveringWords.ts';
import { describeFit } from './describeFit.ts';
import { GOODS_WORDS } from './goodsWords.ts';
import { PAGE_WORDS } from './pageWords.ts';
import { PIECE_WORDS } from './pieceWords.ts';
import { ROOM_WORDS } from './roomWords.ts';
import { type Described, type Speech, speechIn, type Words } from './speech.ts';

/** The words of every finding: a new code does not compile without. */
const WORDS: Words<Exclude<Finding['code'], 'does-not-suit'>> = {
  ...PIECE_WORDS,
  ...BOARD_WORDS,
  ...ROOM_WORDS,
  ...GOODS_WORDS,
  ...COVERING_WORDS,
  ...PAGE_WORDS,
};

/** The words of a finding, sizes in the maker's units. */
export const describeFinding = (finding: Finding, units: Units): Described => {
  if (finding.code === 'does-not-suit') return describeFit(finding, units);
  // Each is given findings of its own code only.
  const say = WORDS[finding.code] as (finding: Finding, speech: Speech) => Described;
  return say(finding, speechIn(units));
};
