import type { Words } from './speech.ts';

const named = (wall: string): string => (/^wall \d/.test(wall) ? `W${wall.slice(1)}` : `The ${wall}`);

/** What is said about what stands in a room. */
export const ROOM_WORDS: Words<
  | 'floors-uneven'
  | 'things-clash'
  | 'stands-outside'
  | 'hangs-free'
  | 'opens-into'
  | 'out-of-reach'
  | 'no-way-to'
  | 'narrow-way'
  | 'seam-in-sight'
  | 'legs-in-the-way'
> = {
  'floors-uneven': (finding, { finer }) => ({
    title: 'Floors not level',
    reason: `The floor of shell ${finding.numbers.shell} stays ${finer(finding.numbers.by)} lower than the highest: no boards at hand make up the rest. A slip of card under it does.`,
  }),
  'things-clash': (finding) => ({
    title: 'Two things in one place',
    reason:
      finding.other === ''
        ? `${finding.one} runs into the room’s own walls, or what is in them.`
        : `${finding.one} and ${finding.other} run into each other.`,
  }),
  'stands-outside': (finding) => ({ title: 'Not in the room', reason: `${finding.thing} stands out beyond the clear floor.` }),
  'hangs-free': (finding) => ({
    title: 'Nothing holds it up',
    reason: `${finding.thing} hangs in the air: no wall and nothing else is near it.`,
  }),
  'opens-into': (finding) => ({
    title: 'No room to open',
    reason: `What opens of ${finding.thing} runs into ${finding.by === '' ? 'the room’s wall' : finding.by}.`,
  }),
  'out-of-reach': (finding, { show }) => ({
    title: 'Your hand does not get there',
    reason: `Under the ceiling ${finding.thing} is ${show(finding.numbers.away)} from the nearest side that opens; a hand reaches in about ${show(finding.numbers.reach)}.`,
  }),
  'no-way-to': (finding, { show }) => ({
    title: 'She cannot get there',
    reason: `${finding.doll} is ${show(finding.numbers.shoulders)} across the shoulders, and no way as wide leads to ${finding.thing}.`,
  }),
  'narrow-way': (finding, { show }) => ({
    title: 'She squeezes through',
    reason: `${finding.doll} comes to ${finding.thing} sideways only: a way of ${show(finding.numbers.wanted)} would let her walk.`,
  }),
  'seam-in-sight': (finding, { show }) => ({
    title: 'A joint in sight',
    reason: `${named(finding.wall)} is joined ${show(finding.numbers.at)} ${finding.stands ? 'from its left end' : 'up from the floor'}, and ${show(finding.numbers.seen)} of the joint can be seen: nothing lies over it or stands before it.`,
  }),
  'legs-in-the-way': (finding, { show }) => ({
    title: 'No room for her legs',
    reason: `${finding.doll}’s legs stand out straight, ${show(finding.numbers.needed)} before ${finding.thing}, and ${finding.by === '' ? 'the wall' : finding.by} is in their way.`,
  }),
};
