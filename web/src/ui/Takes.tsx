import type { CutGroup } from '@parlor/core/cut';
import { showLength, type Units } from '@parlor/core/measure';
import type { Extra } from '@parlor/core/piece';
import type { Taking } from '@parlor/core/set';
import { stockWords } from '@parlor/core/stock';

/** A thing taken besides, in words. */
export const takenWords = ({ what, length, count, wide, grams }: Extra, units: Units): string => {
  if (grams !== undefined) return `${grams} g of ${what}`;
  if (length === 0) return `${count} ${what}`;
  const size = `${showLength(Math.round(length), units)}${wide ? ` × ${showLength(wide, units)}` : ''}`;
  return `${size} of ${what}${count > 1 ? `, in ${count} pieces` : ''}`;
};

const ROUND_CORNERS = 16;

/** How large a part is cut: by its length, across where it is round, or by its sides. */
const cutSize = ({ stuff, stock, length, width, height, region }: CutGroup, units: Units): string => {
  if (length !== null) return `${showLength(Math.round(length), units)} of ${stockWords(stock, units)}`;
  const round = region.outline.length > ROUND_CORNERS && Math.abs(width - height) < 100;
  const size = round ? `∅ ${showLength(width, units)}` : `${showLength(width, units)} × ${showLength(height, units)}`;
  return stuff === 'board' ? size : `${size} of ${stockWords(stock, units)}`;
};

const sizeWords = (taking: Exclude<Taking, { kind: 'besides' }>, units: Units): string => {
  if (taking.kind !== 'flat') return cutSize(taking.group, units);
  const { kind, of, width, height } = taking.flat;
  return `${showLength(width, units)} × ${showLength(height, units)}${kind === 'pattern' ? ` of ${of}` : ''}`;
};

/** What a thing takes, line by line as the core lists it: its tag, how many of what, how large. */
export const Takes = ({ takings, units }: { readonly takings: readonly Taking[]; readonly units: Units }) => (
  <ul className="text-note space-y-1" data-testid="takes">
    {takings.map((taking, index) =>
      taking.kind === 'besides' ? (
        <li key={taking.name}>{takenWords(taking.extra, units)}</li>
      ) : (
        <li key={`${taking.tag} ${index}`}>
          <span className="font-hand">{taking.tag}</span> {taking.count > 1 && `${taking.count} × `}
          {taking.name}: {sizeWords(taking, units)}
        </li>
      ),
    )}
  </ul>
);
