import { showExact, showLength, showTwo, UM, type Units } from '../../measure/index.ts';
import type { Finding } from '../findings/finding.ts';
import { describeCloth } from './describeCloth.ts';
import { describeFit } from './describeFit.ts';
import { describeGood } from './describeGood.ts';
import { describeRoom } from './describeRoom.ts';
import { type Described, describeShape } from './describeShape.ts';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const article = (thing: string): string => `${/^[aeiou]/.test(thing) ? 'An' : 'A'} ${thing}`;

/** An area in squares of the maker's unit. */
const squares = (squareUm: number, { unit }: Units): string => {
  const area = squareUm / UM[unit] ** 2;
  return `${Number(area < 1 ? area.toPrecision(2) : area.toFixed(1))} ${unit}²`;
};

const listed = (names: readonly string[]): string =>
  names.length > 6 ? `${names.slice(0, 5).join(', ')} and ${names.length - 5} more` : names.join(', ');

const stopped = (finding: Finding & { code: 'door-stopped' }, show: (um: number) => string): Described => {
  const { degrees, needed, has } = finding.numbers;
  if (finding.slides) return { title: 'It does not slide out', reason: `${finding.part} runs into ${finding.by}.` };
  const turns = degrees < 1 ? 'as soon as it moves' : `after ${degrees}°`;
  const why = needed > has && has > 0 ? ` Its far corner swings ${show(needed)} beyond its edge; the gap is ${show(has)}.` : '';
  return { title: 'It does not swing', reason: `${finding.part} runs into ${finding.by} ${turns}.${why}` };
};

const DIRECTIONS = { width: 'wide', height: 'high', depth: 'deep' } as const;

/** Of what has no room at a small scale: how it is made instead. */
const otherwise = (tiny = false): string =>
  tiny
    ? ' So small it is better made otherwise: carved whole from a scrap of wood or card glued up, or drawn and printed as a picture.'
    : '';

/** The words of a finding, sizes in the maker's units. */
export const describeFinding = (finding: Finding, units: Units): Described => {
  const show = (lengthUm: number) => showLength(lengthUm, units);
  // Board thicknesses differ by tenths of a millimetre, which no fraction of an inch on a rule tells apart.
  const showBoard = (lengthUm: number) => showExact(lengthUm, units);
  const two = (one: number, other: number) => showTwo(one, other, units);
  switch (finding.code) {
    case 'cannot-be-built': {
      const [needed, available] = two(finding.numbers.needed, finding.numbers.available);
      const left = finding.numbers.available <= 0 ? 'nothing is left for them' : `only ${available} is available`;
      return finding.direction === 'bay'
        ? {
            title: 'The bays don’t fit',
            reason: `Fixed bays and dividers add up to ${needed}; ${left} (doll size). Make one smaller, or the piece larger.${otherwise(finding.tiny)}`,
          }
        : {
            title: 'Too small to build',
            reason: `The boards alone are ${needed} ${DIRECTIONS[finding.direction]}; the piece is ${available} (doll size). Make it larger, or choose a thinner board.${otherwise(finding.tiny)}`,
          };
    }
    case 'part-larger-than-board':
      return {
        title: 'Larger than its board',
        reason: `${finding.part} is ${show(finding.numbers.width)} by ${show(finding.numbers.height)}; no sheet of ${finding.board} takes it.`,
      };
    case 'part-joined': {
      const { pieces, strips, open } = finding.numbers;
      const hide = (names: readonly string[], where: string): string =>
        names.length > 0 ? ` ${capital(listed(names))} ${names.length === 1 ? 'hides' : 'hide'} a joint${where}.` : '';
      const hides = hide(finding.behind, '') + hide(finding.before, ' where it stands');
      const trim = open > 0 ? ` ${open === 1 ? 'One joint shows' : `${open} joints show`}: put a trim over it.` : '';
      const held =
        strips === 0
          ? ''
          : finding.layered
            ? ' A second layer lies under it, its joints elsewhere, so that it stands level: glue the two before anything stands on them.'
            : ` Glue the ${strips === 1 ? 'strip' : 'strips'} behind before it goes in.`;
      return {
        title: 'Made from several pieces',
        reason: `No sheet of ${finding.board} is as large as the ${finding.part}: it is made of ${pieces} pieces.${hides}${trim}${held}`,
      };
    }
    case 'shelf-gap-too-low':
      return {
        title: 'Shelf gap too low',
        reason: `${article(finding.object)} needs ${two(finding.numbers.needed, finding.numbers.gap)[0]} at doll size; the gap is ${two(finding.numbers.needed, finding.numbers.gap)[1]}.`,
      };
    case 'sheet-for-little':
      return {
        title: 'A sheet for little',
        reason: `One more sheet of ${finding.board} is needed only for ${listed(finding.parts)}.`,
      };
    case 'offcut-would-do': {
      const { width, height, sheet } = finding.numbers;
      return {
        title: 'An offcut would do',
        reason: `Of sheet ${sheet} of ${finding.board} only ${show(width)} by ${show(height)} is needed.`,
      };
    }
    case 'grain-is-dear':
      return {
        title: 'The grain costs board',
        reason: `With its grain one way, ${finding.board} takes ${finding.numbers.sheets} ${finding.numbers.sheets === 1 ? 'sheet' : 'sheets'} more.`,
      };
    case 'pages-wasteful':
      return {
        title: 'More pages than the paper needs',
        reason: `${finding.numbers.pages} pages, and ${finding.numbers.least} could do. Print more pieces together, or take the other paper.`,
      };
    case 'page-inky':
      return {
        title: 'Takes much ink',
        reason: `${finding.pages.length === 1 ? 'Page' : 'Pages'} ${listed(finding.pages)}: up to ${finding.numbers.share} % of the page is solid colour. Let it dry flat; bought paper or paint may be cheaper.`,
      };
    case 'words-too-small':
      return {
        title: 'Words too small to read',
        reason: `${capital(finding.paper)}: its letters are ${showBoard(finding.numbers.size)} high; printers blur what is under ${showBoard(finding.numbers.least)}.`,
      };
    case 'seam-through-words':
      return {
        title: 'A seam runs through words',
        reason: `${capital(finding.paper)} is larger than a page, and two of its ${finding.numbers.tiles} tiles meet in its words. Print it smaller, or on larger paper.`,
      };
    case 'printer-changed':
      return {
        title: 'The printer has changed since it was measured',
        reason: `Something about it changed on ${finding.since}; ${finding.measured ? `it was measured on ${finding.measured}` : 'it was never measured'}. Print the test page again.`,
      };
    case 'boards-to-buy':
      return { title: 'Not enough board', reason: `Of ${finding.board} must be bought: ${finding.what}.` };
    case 'thickness-off-scale': {
      const { board, scaled } = finding.numbers;
      return {
        title: board > scaled ? 'A thick board' : 'A thin board',
        reason: `${capital(finding.board)} is ${showBoard(board)} where a usual furniture board of ${showBoard(18 * UM.mm)} would be ${showBoard(scaled)} at this scale: the inside comes out ${board > scaled ? 'tighter' : 'wider'} by ${showBoard(2 * Math.abs(board - scaled))}.`,
      };
    }
    case 'tips-over':
      return {
        title: 'It tips',
        reason: `${show(finding.numbers.height)} tall on ${show(finding.numbers.depth)} of depth is more than twice as tall as deep.`,
      };
    case 'left-out': {
      const { available, needed } = finding.numbers;
      const [needs, has] = two(needed, available);
      const why = available <= 0 ? `it needs ${needs}, and no room is left` : `it needs ${needs}, and only ${has} is available`;
      const there = finding.lacks === null || needed <= 1 ? '' : ` (${finding.lacks})`;
      return {
        title: 'Left out',
        reason:
          needed <= 1
            ? `${capital(finding.what)} does not fit: ${finding.lacks ?? 'there is no room for it'}. Everything else is built.`
            : `${capital(finding.what)} does not fit${there}: ${why} (doll size). Everything else is built.`,
      };
    }
    case 'does-not-fit': {
      const [needed, available] = two(finding.numbers.needed, finding.numbers.available);
      const left = finding.numbers.available <= 0 ? 'no room is left' : `only ${available} is available`;
      return {
        title: 'It does not fit',
        reason: `There is no room for ${finding.what}: it needs ${needed}, and ${left} (doll size).${otherwise(finding.tiny)}`,
      };
    }
    case 'unknown-face':
      return {
        title: 'No such face',
        reason: `${capital(finding.what)} is placed by the ${finding.face}, which is not there before it or runs another way.`,
      };
    case 'part-too-narrow':
      return {
        title: 'Too narrow to cut',
        reason: `${finding.part} is ${two(finding.numbers.width, finding.numbers.least)[0]} wide; narrower than ${two(finding.numbers.width, finding.numbers.least)[1]}, board crumbles under the knife. A stick does it better.`,
      };
    case 'shelf-too-shallow':
      return {
        title: 'Too shallow to stand there',
        reason: `${article(finding.object)} needs ${two(finding.numbers.needed, finding.numbers.depth)[0]} of depth at doll size; there are ${two(finding.numbers.needed, finding.numbers.depth)[1]}.`,
      };
    case 'opening-off-bay':
      return {
        title: 'An opening is not over its bay',
        reason: `A wall behind the face frame stands ${show(finding.numbers.off)} into it.`,
      };
    case 'door-stopped':
      return stopped(finding, showBoard);
    case 'long-span':
      return {
        title: 'It will sag',
        reason: `${finding.part} runs ${show(finding.numbers.span)} without support; ${finding.clear ? 'clear sheet' : 'a board'} of its thickness carries about ${show(finding.numbers.most)}.`,
      };
    case 'layers-off': {
      const { wanted, gets, layers } = finding.numbers;
      return {
        title: layers === 1 ? 'One board is what it takes' : `Glued up from ${layers} boards`,
        reason: `${capital(finding.part)}: ${showBoard(wanted)} wanted, ${showBoard(gets)} come of it, ${showBoard(Math.abs(gets - wanted))} ${gets > wanted ? 'more' : 'less'}.`,
      };
    }
    case 'lamp-shut-in':
      return {
        title: 'The lamp cannot be reached',
        reason: `${finding.numbers.lamps === 1 ? 'A lamp has' : `${finding.numbers.lamps} lamps have`} walls on every side: nobody can change the cell or reach the switch.`,
      };
    case 'little-joint':
      return {
        title: 'Hardly anything to glue',
        reason: `${finding.part} touches the rest on ${squares(finding.numbers.area, units)}; less than ${squares(finding.numbers.least, units)}, a square of its thickness, holds nothing.`,
      };
    case 'goes-not-under':
      return {
        title: 'It does not go under',
        reason: `It is ${show(finding.numbers.height)} high at doll size, and must pass under ${show(finding.numbers.under)}.`,
      };
    case 'paper-short': {
      const { needed, has, reach } = finding.numbers;
      const amount = (value: number) => (finding.roll ? show(value) : String(value));
      const goes =
        reach > 0 ? ` What is there covers the lower ${show(reach)} of ${finding.piece || 'it'}: a rail would hide where it ends.` : '';
      return { title: 'Not enough paper', reason: `${capital(finding.paper)}: ${amount(needed)} needed, ${amount(has)} there.${goes}` };
    }
    case 'picture-too-coarse': {
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
    }
    case 'raw-edges':
      return { title: 'Raw edges show', reason: `${show(finding.numbers.length)} of board edges stay uncovered beside what is covered.` };
    case 'pattern-too-fine':
      return {
        title: 'Too fine to print',
        reason: `${capital(finding.paper)}: ${finding.what} is ${showBoard(finding.numbers.size)} at doll size; printers show little under ${showBoard(finding.numbers.finest)}.`,
      };
    case 'seams': {
      const { seams, off } = finding.numbers;
      const how = off === 0 ? 'on a line of the pattern' : off === seams ? 'across the pattern' : `${off} of them across the pattern`;
      return {
        title: seams === 1 ? 'Two sheets meet' : `Sheets meet in ${seams} places`,
        reason: `${capital(finding.paper)} is joined ${how}. Put the seam into a corner or behind furniture where you can, or lay a trim over it.`,
      };
    }
    case 'colours-beside':
      return finding.how === 'fight'
        ? {
            title: 'Two colours that fight',
            reason: `${capital(finding.one)} and ${finding.other} are both strong and equally light. Try them on paper before you paint.`,
          }
        : {
            title: 'Hardly told apart',
            reason: `${capital(finding.one)} and ${finding.other} lie side by side at a contrast of ${(finding.numbers.contrast / 100).toFixed(2)}.`,
          };
    case 'no-order':
      return {
        title: 'It cannot be put together',
        reason: `No order brings these to their places, each is in another's way: ${listed(finding.parts)}.`,
      };
    case 'parts-interfere':
      return {
        title: 'Parts run into each other',
        reason: `${finding.parts.join(' and ')} share the same space${finding.numbers.pairs > 1 ? `, and ${finding.numbers.pairs - 1} more pairs do` : ''}.`,
      };
    case 'does-not-close':
      return {
        title: 'The box does not close',
        reason: 'The parts do not fill the sizes that were asked for. This is a fault of the program; please tell its makers.',
      };
    case 'part-is-loose':
      return {
        title: 'Nothing holds it',
        reason:
          finding.numbers.parts === 1
            ? `${finding.part} touches no other part.`
            : `${finding.part} and ${finding.numbers.parts - 1} more touch no other part.`,
      };
    case 'things-clash':
    case 'stands-outside':
    case 'hangs-free':
    case 'opens-into':
    case 'no-way-to':
    case 'out-of-reach':
    case 'seam-in-sight':
    case 'floors-uneven':
    case 'narrow-way':
    case 'legs-in-the-way':
      return describeRoom(finding, units);
    case 'too-thick-to-fold':
    case 'strip-too-narrow':
    case 'lid-too-tight':
    case 'art-upside-down':
    case 'small-part':
    case 'no-such-shelf':
      return describeGood(finding, units);
    case 'within-seams':
    case 'curtain-skimpy':
    case 'reaches-floor':
    case 'cloth-too-narrow':
    case 'glue-through':
    case 'cloth-frays':
    case 'quilt-folds-not':
    case 'mattress-off':
    case 'too-tall-for-place':
    case 'wider-than-place':
    case 'place-gone':
      return describeCloth(finding, units);
    case 'does-not-suit':
      return describeFit(finding, units);
    default:
      return describeShape(finding, units);
  }
};
