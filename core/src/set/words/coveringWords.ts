import { capital, type Words } from './speech.ts';

/** What is said about coverings. */
export const COVERING_WORDS: Words<'paper-short' | 'picture-too-coarse' | 'raw-edges' | 'pattern-too-fine' | 'seams' | 'colours-beside'> = {
  'paper-short': (finding, { show }) => {
    const { needed, has, reach } = finding.numbers;
    const amount = (value: number) => (finding.roll ? show(value) : String(value));
    const goes =
      reach > 0 ? ` What is there covers the lower ${show(reach)} of ${finding.piece || 'it'}: a rail would hide where it ends.` : '';
    return { title: 'Not enough paper', reason: `${capital(finding.paper)}: ${amount(needed)} needed, ${amount(has)} there.${goes}` };
  },
  'picture-too-coarse': (finding) => {
    const { dots, least, good } = finding.numbers;
    return dots < least
      ? {
          title: 'Too coarse to print',
          reason: `${capital(finding.paper)} has ${dots} dots to the inch at this size; under ${least} it would be a blur, and is left out of the pages. Use a larger picture, or show it smaller.`,
        }
      : {
          title: 'It will look soft',
          reason: `${capital(finding.paper)} has ${dots} dots to the inch at this size; ${good} look sharp.`,
        };
  },
  'raw-edges': (finding, { show }) => ({
    title: 'Raw edges show',
    reason: `${show(finding.numbers.length)} of board edges stay uncovered beside what is covered.`,
  }),
  'pattern-too-fine': (finding, { fine }) => ({
    title: 'Too fine to print',
    reason: `${capital(finding.paper)}: ${finding.what} is ${fine(finding.numbers.size)} at doll size; printers show little under ${fine(finding.numbers.finest)}.`,
  }),
  seams: (finding) => {
    const { seams, off } = finding.numbers;
    const how = off === 0 ? 'on a line of the pattern' : off === seams ? 'across the pattern' : `${off} of them across the pattern`;
    return {
      title: seams === 1 ? 'Two sheets meet' : `Sheets meet in ${seams} places`,
      reason: `${capital(finding.paper)} is joined ${how}. Put the seam into a corner or behind furniture where you can, or lay a trim over it.`,
    };
  },
  'colours-beside': (finding) =>
    finding.how === 'fight'
      ? {
          title: 'Two colours that fight',
          reason: `${capital(finding.one)} and ${finding.other} are both strong and equally light. Try them on paper before you paint.`,
        }
      : {
          title: 'Hardly told apart',
          reason: `${capital(finding.one)} and ${finding.other} lie side by side at a contrast of ${(finding.numbers.contrast / 100).toFixed(2)}.`,
        },
};
