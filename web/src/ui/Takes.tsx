import { showLength, type Units } from '@parlor/core/measure';
import type { Extra } from '@parlor/core/piece';

/** A thing taken besides, in words. */
export const takenWords = ({ what, length, count, wide, grams }: Extra, units: Units): string => {
  if (grams !== undefined) return `${grams} g of ${what}`;
  if (length === 0) return `${count} ${what}`;
  const size = `${showLength(Math.round(length), units)}${wide ? ` × ${showLength(wide, units)}` : ''}`;
  return `${size} of ${what}${count > 1 ? `, in ${count} pieces` : ''}`;
};

/** What a thing takes that is neither cut from board nor printed. */
export const Takes = ({ extras, units }: { readonly extras: readonly Extra[]; readonly units: Units }) => (
  <ul className="text-note space-y-1" data-testid="takes">
    {extras.map((extra) => (
      <li key={extra.what}>{takenWords(extra, units)}</li>
    ))}
  </ul>
);
