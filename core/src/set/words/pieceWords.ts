import { UM } from '../../measure/index.ts';
import { article, capital, type Described, type FindingOf, listed, type Speech, type Words } from './speech.ts';

const stopped = (finding: FindingOf<'door-stopped'>, show: Speech['show']): Described => {
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

const more = (others: number): string =>
  others === 0 ? ' ends' : others === 1 ? ' and one more foot end' : ` and ${others} more feet end`;

/** What is said about a piece. */
export const PIECE_WORDS: Words<
  | 'cannot-be-built'
  | 'left-out'
  | 'does-not-fit'
  | 'unknown-face'
  | 'part-joined'
  | 'part-too-narrow'
  | 'shelf-gap-too-low'
  | 'shelf-too-shallow'
  | 'opening-off-bay'
  | 'door-stopped'
  | 'long-span'
  | 'layers-off'
  | 'lamp-shut-in'
  | 'little-joint'
  | 'goes-not-under'
  | 'thickness-off-scale'
  | 'tips-over'
  | 'no-order'
  | 'parts-interfere'
  | 'does-not-close'
  | 'part-is-loose'
  | 'stick-too-thin'
  | 'seat-not-level'
  | 'feet-not-level'
  | 'leg-outside'
  | 'slot-too-loose'
  | 'rolled-too-tight'
  | 'outline-too-fine'
> = {
  'cannot-be-built': (finding, { two }) => {
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
  },
  'left-out': (finding, { two }) => {
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
  },
  'does-not-fit': (finding, { two }) => {
    if (finding.numbers.needed <= 1) return { title: 'It cannot be made so', reason: `It takes ${finding.what}.` };
    const [needed, available] = two(finding.numbers.needed, finding.numbers.available);
    const left = finding.numbers.available <= 0 ? 'no room is left' : `only ${available} is available`;
    return {
      title: 'It does not fit',
      reason: `There is no room for ${finding.what}: it needs ${needed}, and ${left} (doll size).${otherwise(finding.tiny)}`,
    };
  },
  'unknown-face': (finding) => ({
    title: 'No such face',
    reason: `${capital(finding.what)} is placed by the ${finding.face}, which is not there before it or runs another way.`,
  }),
  'part-joined': (finding) => {
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
  },
  'part-too-narrow': (finding, { two }) => ({
    title: 'Too narrow to cut',
    reason: `${finding.part} is ${two(finding.numbers.width, finding.numbers.least)[0]} wide; narrower than ${two(finding.numbers.width, finding.numbers.least)[1]}, board crumbles under the knife. A stick does it better.`,
  }),
  'shelf-gap-too-low': (finding, { two }) => ({
    title: 'Shelf gap too low',
    reason: `${article(finding.object)} needs ${two(finding.numbers.needed, finding.numbers.gap)[0]} at doll size; the gap is ${two(finding.numbers.needed, finding.numbers.gap)[1]}.`,
  }),
  'shelf-too-shallow': (finding, { two }) => ({
    title: 'Too shallow to stand there',
    reason: `${article(finding.object)} needs ${two(finding.numbers.needed, finding.numbers.depth)[0]} of depth at doll size; there are ${two(finding.numbers.needed, finding.numbers.depth)[1]}.`,
  }),
  'opening-off-bay': (finding, { show }) => ({
    title: 'An opening is not over its bay',
    reason: `A wall behind the face frame stands ${show(finding.numbers.off)} into it.`,
  }),
  'door-stopped': (finding, { fine }) => stopped(finding, fine),
  'long-span': (finding, { show }) => ({
    title: 'It will sag',
    reason: `${finding.part} runs ${show(finding.numbers.span)} without support; ${finding.clear ? 'clear sheet' : 'a board'} of its thickness carries about ${show(finding.numbers.most)}.`,
  }),
  'layers-off': (finding, { fine }) => {
    const { wanted, gets, layers } = finding.numbers;
    return {
      title: layers === 1 ? 'One board is what it takes' : `Glued up from ${layers} boards`,
      reason: `${capital(finding.part)}: ${fine(wanted)} wanted, ${fine(gets)} come of it, ${fine(Math.abs(gets - wanted))} ${gets > wanted ? 'more' : 'less'}.`,
    };
  },
  'lamp-shut-in': (finding) => ({
    title: 'The lamp cannot be reached',
    reason: `${finding.numbers.lamps === 1 ? 'A lamp has' : `${finding.numbers.lamps} lamps have`} walls on every side: nobody can change the cell or reach the switch.`,
  }),
  'little-joint': (finding, { squares }) => ({
    title: 'Hardly anything to glue',
    reason: `${finding.part} touches the rest on ${squares(finding.numbers.area)}; less than ${squares(finding.numbers.least)}, a square of its thickness, holds nothing.`,
  }),
  'goes-not-under': (finding, { show }) => ({
    title: 'It does not go under',
    reason: `It is ${show(finding.numbers.height)} high at doll size, and must pass under ${show(finding.numbers.under)}.`,
  }),
  'thickness-off-scale': (finding, { fine }) => {
    const { board, scaled } = finding.numbers;
    return {
      title: board > scaled ? 'A thick board' : 'A thin board',
      reason: `${capital(finding.board)} is ${fine(board)} where a usual furniture board of ${fine(18 * UM.mm)} would be ${fine(scaled)} at this scale: the inside comes out ${board > scaled ? 'tighter' : 'wider'} by ${fine(2 * Math.abs(board - scaled))}.`,
    };
  },
  'tips-over': (finding, { show }) => ({
    title: 'It tips',
    reason: `${show(finding.numbers.height)} tall on ${show(finding.numbers.depth)} of depth is more than twice as tall as deep.`,
  }),
  'no-order': (finding) => ({
    title: 'It cannot be put together',
    reason: `No order brings these to their places, each is in another's way: ${listed(finding.parts)}.`,
  }),
  'parts-interfere': (finding) => ({
    title: 'Parts run into each other',
    reason: `${finding.parts.join(' and ')} share the same space${finding.numbers.pairs > 1 ? `, and ${finding.numbers.pairs - 1} more pairs do` : ''}.`,
  }),
  'does-not-close': () => ({
    title: 'The box does not close',
    reason: 'The parts do not fill the sizes that were asked for. This is a fault of the program; please tell its makers.',
  }),
  'part-is-loose': (finding) => ({
    title: 'Nothing holds it',
    reason:
      finding.numbers.parts === 1
        ? `${finding.part} touches no other part.`
        : `${finding.part} and ${finding.numbers.parts - 1} more touch no other part.`,
  }),
  'stick-too-thin': (finding, { show }) => ({
    title: 'Too thin for its length',
    reason: `${finding.part} is held by nothing for ${show(finding.numbers.free)}; a stick of its section stays straight for about ${show(finding.numbers.most)}. Take a thicker one, or hold it in between.`,
  }),
  'seat-not-level': (finding, { show }) => ({
    title: 'The seat is not level',
    reason: `${finding.part} slopes by ${finding.numbers.degrees}°, ${show(finding.numbers.off)} from edge to edge: she slides off.`,
  }),
  'feet-not-level': (finding, { show }) => ({
    title: 'It will rock',
    reason: `${finding.part}${more(finding.numbers.feet - 1)} up to ${show(finding.numbers.gap)} above the floor that the others stand on.`,
  }),
  'leg-outside': (finding, { show }) => ({
    title: 'Legs stand out beyond the seat',
    reason: `${finding.part} reaches ${show(finding.numbers.beyond)} beyond what it carries: it is stumbled over, and things do not stand close.`,
  }),
  'slot-too-loose': (finding, { fine }) => ({
    title: 'Looser than its tab',
    reason: `${finding.part} has ${fine(finding.numbers.play)} of play in its slot; beyond ${fine(finding.numbers.most)} it leans.`,
  }),
  'rolled-too-tight': (finding, { show, fine }) => ({
    title: 'Too thick to roll so tightly',
    reason: `${finding.part} is ${show(finding.numbers.radius)} from its middle to its inside. ${
      finding.foam
        ? `Foam board ${fine(finding.numbers.thickness)} thick, scored line beside line on one face, rolls to about ${show(finding.numbers.least)} and no tighter: it kinks.`
        : `Board ${fine(finding.numbers.thickness)} thick rolls to about ${show(finding.numbers.least)} and no tighter: it cracks.`
    }`,
  }),
  'outline-too-fine': (finding, { fine }) => ({
    title: 'Too fine for a knife',
    reason:
      finding.what === 'bend'
        ? `${finding.part} has an inward curve of ${fine(finding.numbers.size)} radius in board ${fine(finding.numbers.least)} thick: the blade cannot follow it. Cut it in thinner layers, or with a machine.`
        : `${finding.part} has a neck or rim narrower than its board is thick, ${fine(finding.numbers.least)}: it breaks. Make it wider, or cut it from card.`,
  }),
};
