import type { CutGroup } from '@parlor/core/cut';
import { showLength, type Units } from '@parlor/core/measure';
import type { Extra } from '@parlor/core/piece';
import { stockWords } from '@parlor/core/stock';

/** A thing taken besides, in words. */
export const takenWords = ({ what, length, count, wide, grams }: Extra, units: Units): string => {
  if (grams !== undefined) return `${grams} g of ${what}`;
  if (length === 0) return `${count} ${what}`;
  const size = `${showLength(Math.round(length), units)}${wide ? ` × ${showLength(wide, units)}` : ''}`;
  return `${size} of ${what}${count > 1 ? `, in ${count} pieces` : ''}`;
};

/** Parts that are cut for a thing, in words. */
const cutWords = ({ tag, name, stuff, stock, length, width, height, parts }: CutGroup, units: Units): string => {
  const size = length === null ? `${showLength(width, units)} × ${showLength(height, units)}` : showLength(Math.round(length), units);
  return `${parts.length} × ${tag} ${name}, ${stuff === 'board' ? 'board' : stockWords(stock, units)}, ${size}`;
};

/** What a thing takes: parts that are cut for it, where they are told here, and what is neither cut from board nor printed. */
export const Takes = ({
  extras,
  groups = [],
  units,
}: {
  readonly extras: readonly Extra[];
  readonly groups?: readonly CutGroup[];
  readonly units: Units;
}) => (
  <ul className="text-note space-y-1" data-testid="takes">
    {groups
      .filter(({ stuff }) => stuff !== 'found')
      .map((group) => (
        <li key={group.tag}>{cutWords(group, units)}</li>
      ))}
    {extras.map((extra) => (
      <li key={extra.what}>{takenWords(extra, units)}</li>
    ))}
  </ul>
);
