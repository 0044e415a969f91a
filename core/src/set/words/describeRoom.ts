import { assertNever } from '../../kit/index.ts';
import { showLength, type Units } from '../../measure/index.ts';
import type { Finding } from '../findings/finding.ts';
import type { Described } from './describeShape.ts';

type RoomFinding = Finding & {
  readonly code:
    | 'things-clash'
    | 'stands-outside'
    | 'hangs-free'
    | 'opens-into'
    | 'no-way-to'
    | 'out-of-reach'
    | 'seam-in-sight'
    | 'floors-uneven'
    | 'narrow-way'
    | 'legs-in-the-way';
};

const named = (wall: string): string => (/^wall \d/.test(wall) ? `W${wall.slice(1)}` : `The ${wall}`);

/** The words of a finding about what stands in a room, sizes in the maker's units. */
export const describeRoom = (finding: RoomFinding, units: Units): Described => {
  switch (finding.code) {
    case 'things-clash':
      return {
        title: 'Two things in one place',
        reason:
          finding.other === ''
            ? `${finding.one} runs into the room’s own walls, or what is in them.`
            : `${finding.one} and ${finding.other} run into each other.`,
      };
    case 'stands-outside':
      return { title: 'Not in the room', reason: `${finding.thing} stands out beyond the clear floor.` };
    case 'hangs-free':
      return { title: 'Nothing holds it up', reason: `${finding.thing} hangs in the air: no wall and nothing else is near it.` };
    case 'opens-into':
      return {
        title: 'No room to open',
        reason: `What opens of ${finding.thing} runs into ${finding.by === '' ? 'the room’s wall' : finding.by}.`,
      };
    case 'no-way-to':
      return {
        title: 'She cannot get there',
        reason: `${finding.doll} is ${showLength(finding.numbers.shoulders, units)} across the shoulders, and no way as wide leads to ${finding.thing}.`,
      };
    case 'out-of-reach':
      return {
        title: 'Your hand does not get there',
        reason: `Under the ceiling ${finding.thing} is ${showLength(finding.numbers.away, units)} from the nearest side that opens; a hand reaches in about ${showLength(finding.numbers.reach, units)}.`,
      };
    case 'seam-in-sight':
      return {
        title: 'A joint in sight',
        reason: `${named(finding.wall)} is joined ${showLength(finding.numbers.at, units)} ${finding.stands ? 'from its left end' : 'up from the floor'}, and ${showLength(finding.numbers.seen, units)} of the joint can be seen: nothing lies over it or stands before it.`,
      };
    case 'floors-uneven':
      return {
        title: 'Floors not level',
        reason: `The floor of shell ${finding.numbers.shell} stays ${showLength(finding.numbers.by, { ...units, fine: true })} lower than the highest: no boards at hand make up the rest. A slip of card under it does.`,
      };
    case 'narrow-way':
      return {
        title: 'She squeezes through',
        reason: `${finding.doll} comes to ${finding.thing} sideways only: a way of ${showLength(finding.numbers.wanted, units)} would let her walk.`,
      };
    case 'legs-in-the-way':
      return {
        title: 'No room for her legs',
        reason: `${finding.doll}’s legs stand out straight, ${showLength(finding.numbers.needed, units)} before ${finding.thing}, and ${finding.by === '' ? 'the wall' : finding.by} is in their way.`,
      };
    default:
      return assertNever(finding);
  }
};
