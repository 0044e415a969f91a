// The order of assembly in words.
import type { Order, OrderStep } from '@parlor/core/assembly';
import type { MadePiece } from '@parlor/core/set';

/** A step of the build: which part comes, by its tag and name, from where, and what is to be minded. */
export type BuildStep = {
  readonly part: number;
  readonly along: OrderStep['along'];
  readonly tag: string;
  readonly name: string;
  readonly from: string;
  readonly mind: string | null;
};

const FROM: Readonly<Record<string, string>> = {
  '0 0 -1': ', from the front',
  '0 0 1': ', from behind',
  '-1 0 0': ', from the right',
  '1 0 0': ', from the left',
  '0 -1 0': ', from above',
  '0 1 0': ', from below',
};

/** The caution or the craft of a kind of part, said where it is its turn. */
const MINDS: Readonly<Record<string, string>> = {
  light: 'only cells, never the mains; keep button cells away from children',
  glass: 'peel the film off, and keep glue to the margin',
  'last side': 'is everything in that belongs inside? dry fit first',
  wire: 'file the cut ends, and mind your eyes when it springs',
};

/** A piece's steps, in the order of work. */
export const buildStepsOf = (made: MadePiece, order: Order): readonly BuildStep[] =>
  order.steps.map(({ part, along }, index): BuildStep => {
    const { name, role, stuff } = made.assembly.parts[part] as MadePiece['assembly']['parts'][number];
    const from = index === 0 ? ', to begin with' : (FROM[along.map((value) => Math.round(value) + 0).join(' ')] ?? ', along its slant');
    return { part, along, tag: made.tags[part] ?? '', name, from, mind: MINDS[role] ?? MINDS[stuff] ?? null };
  });
