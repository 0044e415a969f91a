import { assertNever } from '../../kit/index.ts';
import { showLength, type Units } from '../../measure/index.ts';
import type { Finding } from '../findings/finding.ts';
import type { Described } from './describeShape.ts';

/** What is said about cloth, and about what lies, stands or hangs on something. */
type ClothFinding = Finding & {
  readonly code:
    | 'within-seams'
    | 'curtain-skimpy'
    | 'reaches-floor'
    | 'cloth-too-narrow'
    | 'glue-through'
    | 'cloth-frays'
    | 'quilt-folds-not'
    | 'mattress-off'
    | 'too-tall-for-place'
    | 'wider-than-place'
    | 'place-gone';
};

/** The words of a finding about cloth and odd things, sizes in the maker's units. */
export const describeCloth = (finding: ClothFinding, units: Units): Described => {
  const size = (lengthUm: number) => showLength(lengthUm, units);
  switch (finding.code) {
    case 'within-seams':
      return {
        title: 'Smaller than its seams let it be',
        reason: `It is ${size(finding.numbers.size)} wide, and ${size(finding.numbers.seam)} is sewn in on each side: turned inside out, nearly all of it is seam.`,
      };
    case 'curtain-skimpy':
      return finding.severity === 'error'
        ? {
            title: 'The curtain is too short for its rod',
            reason: `Its cloth is ${size(finding.numbers.cloth)} wide, its rod ${size(finding.numbers.rod)}: it does not close.`,
          }
        : {
            title: 'The curtain hangs nearly flat',
            reason: `Its cloth is ${size(finding.numbers.cloth)} wide on a rod of ${size(finding.numbers.rod)}; it falls in folds from one and a half times as wide.`,
          };
    case 'reaches-floor':
      return {
        title: 'It reaches the floor',
        reason: `It hangs from ${size(finding.numbers.above)} above the floor, and ${size(finding.numbers.over)} of it would lie there.`,
      };
    case 'cloth-too-narrow':
      return {
        title: 'The cloth is too narrow',
        reason: `“${finding.cloth}” is ${size(finding.numbers.width)} wide, and a piece is ${size(finding.numbers.needed)} across the grain. Take a wider one, or sew it together of two.`,
      };
    case 'glue-through':
      return {
        title: 'Hot glue soaks through batting',
        reason:
          'It comes through cloth and batting and burns the fingers that press it down. White glue, or hot glue on the board only; a grown-up holds the gun.',
      };
    case 'cloth-frays':
      return {
        title: 'This cloth frays',
        reason: `“${finding.cloth}” comes apart where it is cut and not turned in. Felt and fleece do not.`,
      };
    case 'quilt-folds-not':
      return {
        title: 'The quilt does not fold',
        reason: `Between its panels is a gap of ${size(finding.numbers.gap)}; folded on one another they need ${size(finding.numbers.needed)}.`,
      };
    case 'mattress-off':
      return {
        title: finding.numbers.height > finding.numbers.bed ? 'Thicker than the bed’s mattress' : 'Thinner than the bed’s mattress',
        reason: `It is ${size(finding.numbers.height)} thick; the bed is made for ${size(finding.numbers.bed)}.`,
      };
    case 'too-tall-for-place':
      return {
        title: 'Too tall for where it stands',
        reason: `It is ${size(finding.numbers.height)} high on something that is ${size(finding.numbers.above)} high: it tips easily, and a lamp shines in the eyes.`,
      };
    case 'wider-than-place':
      return { title: 'Wider than what it stands on', reason: `It stands out beyond it by ${size(finding.numbers.over)}.` };
    case 'place-gone':
      return {
        title: 'What it was on is gone',
        reason: 'The place where it was to lie, stand or hang is not there any more; its size is its own again.',
      };
    default:
      return assertNever(finding);
  }
};
