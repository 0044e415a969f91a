import { capital, listed, type Words } from './speech.ts';

/** What is said about pages. */
export const PAGE_WORDS: Words<'pages-wasteful' | 'page-inky' | 'words-too-small' | 'seam-through-words' | 'printer-changed'> = {
  'pages-wasteful': (finding) => ({
    title: 'More pages than the paper needs',
    reason: `${finding.numbers.pages} pages, and ${finding.numbers.least} could do. Print more pieces together, or take the other paper.`,
  }),
  'page-inky': (finding) => ({
    title: 'Takes much ink',
    reason: `${finding.pages.length === 1 ? 'Page' : 'Pages'} ${listed(finding.pages)}: up to ${finding.numbers.share} % of the page is solid colour. Let it dry flat; bought paper or paint may be cheaper.`,
  }),
  'words-too-small': (finding, { fine }) => ({
    title: 'Words too small to read',
    reason: `${capital(finding.paper)}: its letters are ${fine(finding.numbers.size)} high; printers blur what is under ${fine(finding.numbers.least)}.`,
  }),
  'seam-through-words': (finding) => ({
    title: 'A seam runs through words',
    reason: `${capital(finding.paper)} is larger than a page, and two of its ${finding.numbers.tiles} tiles meet in its words. Print it smaller, or on larger paper.`,
  }),
  'printer-changed': (finding) => ({
    title: 'The printer has changed since it was measured',
    reason: `Something about it changed on ${finding.since}; ${finding.measured ? `it was measured on ${finding.measured}` : 'it was never measured'}. Print the test page again.`,
  }),
};
