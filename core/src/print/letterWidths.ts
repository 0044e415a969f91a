// How wide letters are in the face that pages are written in, in hundredths of its size. Source: the advance widths in the font file itself
// (Atkinson Hyperlegible Next, regular); `pdf/labels.test.ts` reads them there again.

/** From the blank to the tilde, in the order of their codes. */
const PLAIN = [
  28, 29, 30, 65, 59, 92, 73, 16, 30, 30, 49, 61, 21, 36, 21, 39, 65, 41, 55, 58, 61, 59, 60, 51, 62, 60, 21, 21, 55, 63, 55, 48, 78, 63,
  61, 65, 67, 57, 55, 69, 69, 39, 51, 63, 54, 82, 69, 71, 59, 72, 61, 59, 56, 69, 59, 86, 62, 57, 61, 32, 39, 34, 55, 37, 24, 53, 57, 49,
  56, 54, 31, 56, 55, 25, 25, 49, 26, 85, 55, 55, 57, 57, 35, 47, 33, 54, 46, 68, 48, 45, 46, 34, 24, 34, 56,
] as const;

const OTHERS: Readonly<Record<string, number>> = { '×': 53, '·': 24, '½': 82, '–': 50, '≈': 55, '°': 35, '…': 67, '’': 24 };

/** A letter that is not listed is taken for a wide one. */
const UNLISTED = 66;

const widthOf = (letter: string): number => OTHERS[letter] ?? PLAIN[(letter.codePointAt(0) ?? 0) - 32] ?? UNLISTED;

/** How wide words are at a size, in its unit. */
export const textWidth = (text: string, size: number): number => ([...text].reduce((sum, letter) => sum + widthOf(letter), 0) * size) / 100;

/** Words cut to a width, with an ellipsis where they had to be. */
export const fitText = (text: string, size: number, width: number): string => {
  if (textWidth(text, size) <= width) return text;
  const letters = [...text];
  while (letters.length > 0 && textWidth(`${letters.join('')}…`, size) > width) letters.pop();
  return letters.length === 0 ? '' : `${letters.join('').trimEnd()}…`;
};
