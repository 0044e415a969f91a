import { assertNever } from '../kit/index.ts';
import { showLength, type Units } from '../measure/index.ts';
import type { Finding, Mend } from './finding.ts';

/** A finding in a person's words: what it is, and why with its numbers, all at doll size. */
export type Described = { readonly title: string; readonly reason: string };

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const DIRECTIONS = { width: 'across', height: 'in height', depth: 'in depth' } as const;

/** The words of a finding, sizes in the maker's units. */
export const describeFinding = (finding: Finding, units: Units): Described => {
  const show = (lengthUm: number) => showLength(lengthUm, units);
  // Board thicknesses differ by tenths of a millimetre, which no fraction of an inch on a rule tells apart.
  const showBoard = (lengthUm: number) => showLength(lengthUm, { unit: 'mm', fine: true });
  switch (finding.code) {
    case 'cannot-be-built': {
      const { available, needed } = finding.numbers;
      return finding.direction === 'bay'
        ? {
            title: 'No room in this row',
            reason: `Its fixed sizes and boards need ${show(needed)} at doll size, and there are ${show(available)}.`,
          }
        : {
            title: 'Too small to build',
            reason: `The boards alone take all there is ${DIRECTIONS[finding.direction]}: ${show(needed)} needed, ${show(available)} there, at doll size.`,
          };
    }
    case 'part-larger-than-board':
      return {
        title: 'Larger than its board',
        reason: `${finding.part} is ${show(finding.numbers.width)} by ${show(finding.numbers.height)}; no sheet of ${finding.board} takes it.`,
      };
    case 'shelf-gap-too-low':
      return {
        title: 'Too low to stand there',
        reason: `${/^[aeiou]/.test(finding.object) ? 'An' : 'A'} ${finding.object} needs ${show(finding.numbers.needed)} at doll size; the gap is ${show(finding.numbers.gap)}.`,
      };
    case 'thickness-off-scale': {
      const { board, scaled } = finding.numbers;
      return {
        title: board > scaled ? 'A thick board' : 'A thin board',
        reason: `${capital(finding.board)} is ${showBoard(board)} where a usual 18 mm furniture board would be ${showBoard(scaled)} at this scale: the inside comes out ${board > scaled ? 'tighter' : 'wider'} by ${showBoard(2 * Math.abs(board - scaled))}.`,
      };
    }
    case 'tips-over':
      return {
        title: 'It tips',
        reason: `${show(finding.numbers.height)} tall on ${show(finding.numbers.depth)} of depth is more than twice as tall as deep.`,
      };
    case 'parts-interfere':
      return {
        title: 'Parts run into each other',
        reason: `${finding.numbers.pairs} pairs of parts share the same space. This is a fault of the program; please tell its makers.`,
      };
    case 'does-not-close':
      return {
        title: 'The box does not close',
        reason: 'The parts do not fill the sizes that were asked for. This is a fault of the program; please tell its makers.',
      };
    case 'part-is-loose':
      return { title: 'Nothing holds it', reason: `${finding.numbers.parts} parts touch no other part.` };
    default:
      return assertNever(finding);
  }
};

/** What a mend's one click does, in words. */
export const describeMend = (mend: Mend): string => {
  switch (mend.kind) {
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
    default:
      return assertNever(mend.kind);
  }
};
