import { assertNever } from '../../kit/index.ts';
import { showExact, showLength, type Units } from '../../measure/index.ts';
import type { Finding } from '../findings/finding.ts';
import type { Described } from './describeShape.ts';

/** What is said about small goods of paper. */
type GoodFinding = Finding & {
  readonly code: 'too-thick-to-fold' | 'strip-too-narrow' | 'lid-too-tight' | 'art-upside-down' | 'small-part' | 'no-such-shelf';
};

/** The words of a finding about small goods, sizes in the maker's units. */
export const describeGood = (finding: GoodFinding, units: Units): Described => {
  // Paper is thinner than any mark of a rule.
  const fine = (lengthUm: number) => showExact(lengthUm, units);
  switch (finding.code) {
    case 'too-thick-to-fold':
      return {
        title: 'Paper too thick to fold so small',
        reason: `“${finding.panel}” is ${fine(finding.numbers.fold)} from fold to edge, in paper of ${fine(finding.numbers.paper)}: under three thicknesses it crushes. Take thinner paper, or make it larger.`,
      };
    case 'strip-too-narrow':
      return {
        title: 'Too narrow to cut',
        reason: `The ${finding.net} is a strip of ${fine(finding.numbers.width)}; under ${fine(finding.numbers.least)} scissors and fingers lose it.`,
      };
    case 'lid-too-tight':
      return {
        title: 'The lid will not go on',
        reason: `It is looser than the box by ${fine(finding.numbers.play)} on each side; folds and glue take ${fine(finding.numbers.least)} at least.`,
      };
    case 'art-upside-down':
      return {
        title: 'Upside down once it is folded',
        reason: `What is printed on “${finding.panel}” stands on its head there.`,
      };
    case 'small-part':
      return {
        title: 'A small part',
        reason: `At ${showLength(finding.numbers.longest, units)} it can be swallowed: not for children under three. For small children leave it out, or glue it down.`,
      };
    case 'no-such-shelf':
      return { title: 'Its shelf is gone', reason: 'The shelf that it was to fill is not there any more; as many as you said are made.' };
    default:
      return assertNever(finding);
  }
};
