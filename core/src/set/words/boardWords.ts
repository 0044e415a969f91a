import { listed, type Words } from './speech.ts';

/** What is said about boards and sheets. */
export const BOARD_WORDS: Words<'part-larger-than-board' | 'sheet-for-little' | 'offcut-would-do' | 'grain-is-dear' | 'boards-to-buy'> = {
  'part-larger-than-board': (finding, { show }) => ({
    title: 'Larger than its board',
    reason: `${finding.part} is ${show(finding.numbers.width)} by ${show(finding.numbers.height)}; no sheet of ${finding.board} takes it.`,
  }),
  'sheet-for-little': (finding) => ({
    title: 'A sheet for little',
    reason: `One more sheet of ${finding.board} is needed only for ${listed(finding.parts)}.`,
  }),
  'offcut-would-do': (finding, { show }) => {
    const { width, height, sheet } = finding.numbers;
    return {
      title: 'An offcut would do',
      reason: `Of sheet ${sheet} of ${finding.board} only ${show(width)} by ${show(height)} is needed.`,
    };
  },
  'grain-is-dear': (finding) => ({
    title: 'The grain costs board',
    reason: `With its grain one way, ${finding.board} takes ${finding.numbers.sheets} ${finding.numbers.sheets === 1 ? 'sheet' : 'sheets'} more.`,
  }),
  'boards-to-buy': (finding) => ({ title: 'Not enough board', reason: `Of ${finding.board} must be bought: ${finding.what}.` }),
};
