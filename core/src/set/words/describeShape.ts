import { assertNever } from '../../kit/index.ts';
import { showExact, showLength, type Units } from '../../measure/index.ts';
import type { Finding } from '../findings/finding.ts';

/** A finding in a person's words: what it is, and why with its numbers, all at doll size. */
export type Described = { readonly title: string; readonly reason: string };

/** What is said about sticks, legs, slots and outlines. */
type ShapeFinding = Finding & {
  readonly code:
    | 'rolled-too-tight'
    | 'stick-too-thin'
    | 'seat-not-level'
    | 'feet-not-level'
    | 'leg-outside'
    | 'slot-too-loose'
    | 'outline-too-fine';
};

const more = (others: number): string =>
  others === 0 ? ' ends' : others === 1 ? ' and one more foot end' : ` and ${others} more feet end`;

/** The words of a finding about sticks, legs, slots and outlines, sizes in the maker's units. */
export const describeShape = (finding: ShapeFinding, units: Units): Described => {
  const show = (lengthUm: number) => showLength(lengthUm, units);
  const fine = (lengthUm: number) => showExact(lengthUm, units);
  switch (finding.code) {
    case 'stick-too-thin':
      return {
        title: 'Too thin for its length',
        reason: `${finding.part} is held by nothing for ${show(finding.numbers.free)}; a stick of its section stays straight for about ${show(finding.numbers.most)}. Take a thicker one, or hold it in between.`,
      };
    case 'rolled-too-tight':
      return {
        title: 'Too thick to roll so tightly',
        reason: `${finding.part} is ${show(finding.numbers.radius)} from its middle to its inside. ${
          finding.foam
            ? `Foam board ${fine(finding.numbers.thickness)} thick, scored line beside line on one face, rolls to about ${show(finding.numbers.least)} and no tighter: it kinks.`
            : `Board ${fine(finding.numbers.thickness)} thick rolls to about ${show(finding.numbers.least)} and no tighter: it cracks.`
        }`,
      };
    case 'seat-not-level':
      return {
        title: 'The seat is not level',
        reason: `${finding.part} slopes by ${finding.numbers.degrees}°, ${show(finding.numbers.off)} from edge to edge: she slides off.`,
      };
    case 'feet-not-level':
      return {
        title: 'It will rock',
        reason: `${finding.part}${more(finding.numbers.feet - 1)} up to ${show(finding.numbers.gap)} above the floor that the others stand on.`,
      };
    case 'leg-outside':
      return {
        title: 'Legs stand out beyond the seat',
        reason: `${finding.part} reaches ${show(finding.numbers.beyond)} beyond what it carries: it is stumbled over, and things do not stand close.`,
      };
    case 'slot-too-loose':
      return {
        title: 'Looser than its tab',
        reason: `${finding.part} has ${fine(finding.numbers.play)} of play in its slot; beyond ${fine(finding.numbers.most)} it leans.`,
      };
    case 'outline-too-fine':
      return {
        title: 'Too fine for a knife',
        reason:
          finding.what === 'bend'
            ? `${finding.part} has an inward curve of ${fine(finding.numbers.size)} radius in board ${fine(finding.numbers.least)} thick: the blade cannot follow it. Cut it in thinner layers, or with a machine.`
            : `${finding.part} has a neck or rim narrower than its board is thick, ${fine(finding.numbers.least)}: it breaks. Make it wider, or cut it from card.`,
      };
    default:
      return assertNever(finding);
  }
};
