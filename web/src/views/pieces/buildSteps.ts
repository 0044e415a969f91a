// The order of assembly in words.
import type { Order, OrderStep } from '@parlor/core/assembly';
import type { MadePiece } from '@parlor/core/set';

/** A step of the build: what comes, by its tag and name, from where, and what is to be minded. */
export type BuildStep = OrderStep & {
  /** What is made apart in this step; null for the piece itself. */
  readonly of: string | null;
  /** Of one part; a thing that was made apart has none. */
  readonly tag: string;
  readonly name: string;
  readonly from: string;
  /** What it is glued to; nothing for what slides or lies. */
  readonly glued: string;
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

/** So many names are told of what a part is glued to. */
const MOST_NAMES = 2;

/** A piece's steps, in the order of work. */
export const buildStepsOf = (made: MadePiece, { steps, units }: Order): readonly BuildStep[] => {
  const { parts } = made.assembly;
  const nameOf = (part: number): string => (parts[part]?.name ?? '').replace(/, layer \d+$/, '');
  return steps.map((step, index): BuildStep => {
    const { parts: come, along, onto, unit } = step;
    const first = parts[come[0] as number] as MadePiece['assembly']['parts'][number];
    const isFirst = index === 0 || steps[index - 1]?.unit !== unit;
    const from = isFirst ? ', to begin with' : (FROM[along.map((value) => Math.round(value) + 0).join(' ')] ?? ', along its slant');
    const names = [...new Set(onto.map(nameOf))];
    const glued = names.length === 0 ? '' : `, glued to ${names.slice(0, MOST_NAMES).join(' and ')}`;
    const of = unit === null ? null : (units[unit]?.name ?? '');
    if (come.length === 1)
      return {
        ...step,
        of,
        tag: made.tags[come[0] as number] ?? '',
        name: first.name,
        from,
        glued,
        mind: MINDS[first.role] ?? MINDS[first.stuff] ?? null,
      };
    const whole = units.find(({ parts: members }) => members === come)?.name ?? first.name;
    return {
      ...step,
      of,
      tag: '',
      name: `${whole}, whole`,
      from,
      glued,
      mind: come.some((part) => parts[part]?.role === 'last side') ? (MINDS['last side'] ?? null) : null,
    };
  });
};

/** A line of the list: a step, how often it is done, the number of the first and how far apart they are. */
export type StepLine = { readonly step: BuildStep; readonly first: number; readonly every: number; readonly count: number };

/** No row of steps that comes again and again (the layers of a foot, the parts of a drawer) is longer. */
const LONGEST_ROW = 24;

const alike = (one: BuildStep | undefined, other: BuildStep | undefined): boolean =>
  one !== undefined &&
  other !== undefined &&
  (['of', 'tag', 'name', 'from', 'glued', 'mind'] as const).every((key) => one[key] === other[key]);

/** How often the row of `length` steps that begins at `at` is done one after the other. */
const timesOf = (steps: readonly BuildStep[], at: number, length: number): number => {
  let same = 0;
  while (alike(steps[at + same], steps[at + same + length])) same += 1;
  return 1 + Math.floor(same / length);
};

/** Steps that are done alike one after the other, and rows of them, are one line each. */
export const likeSteps = (steps: readonly BuildStep[]): readonly StepLine[] => {
  const lines: StepLine[] = [];
  for (let at = 0; at < steps.length; ) {
    let [length, count] = [1, timesOf(steps, at, 1)];
    for (let longer = 2; longer <= LONGEST_ROW && count === 1; longer += 1) {
      const times = timesOf(steps, at, longer);
      if (times > 1) [length, count] = [longer, times];
    }
    for (let first = at; first < at + length; first += 1) lines.push({ step: steps[first] as BuildStep, first, every: length, count });
    at += length * count;
  }
  return lines;
};

/** Whether a step is one of those of a line. */
export const isOfLine = ({ first, every, count }: StepLine, step: number): boolean =>
  step >= first && step < first + every * count && (step - first) % every === 0;
