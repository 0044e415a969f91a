import { hostOf } from '@parlor/core/piece';
import type { DerivedSet, SetDocument } from '@parlor/core/set';
import { useMemo } from 'react';
import { Drawn } from './Drawn.tsx';
import { drawnFrom } from './drawings.ts';
import { Figure } from './Figure.tsx';

const BETWEEN = 0.12;

/** A vignette is about so much wider than high. */
const ASPECT = 1.75;

/** Pieces side by side on as many floors, one above the other, as let them be drawn largest; the doll stands on the lowest. */
const arranged = (document: SetDocument, derived: DerivedSet, doll: number) => {
  // What fills a shelf, lies or hangs on something is there, and not by itself on the floor.
  const onShelf = new Set(document.pieces.flatMap((piece) => (hostOf(piece) === null ? [] : [piece.id])));
  const pieces = derived.pieces.flatMap(({ id, made }) =>
    made && !onShelf.has(id)
      ? [
          {
            id,
            parts: made.assembly.parts,
            wide: made.assembly.outside.max[0] / 1000 + doll * BETWEEN,
            high: made.assembly.outside.max[1] / 1000,
          },
        ]
      : [],
  );
  const highest = Math.max(doll, ...pieces.map(({ high }) => high)) * 1.08;
  const all = pieces.reduce((sum, { wide }) => sum + wide, doll * 0.5);
  const sizeWith = (floors: number) => Math.min(ASPECT / Math.max(all / floors, ...pieces.map(({ wide }) => wide)), 1 / (floors * highest));
  const floors = [1, 2, 3, 4].reduce((best, each) => (sizeWith(each) > sizeWith(best) ? each : best));
  // Each floor takes an even share of the whole row; the doll begins the first.
  let [done, floor, x, width] = [doll * 0.5, 0, doll * 0.5, doll * 1.2];
  const placed = pieces.map(({ id, parts, wide }) => {
    const own = Math.min(floors - 1, Math.floor(((done + wide / 2) * floors) / all));
    if (own > floor) [floor, x] = [own, 0];
    const at = x;
    [x, done] = [x + wide, done + wide];
    width = Math.max(width, x);
    return { id, at, up: floor * highest, drawings: drawnFrom(parts, 'front') };
  });
  return { placed, width, height: highest * (floor + 1), floors: floor + 1, highest };
};

type Props = { readonly document: SetDocument; readonly derived: DerivedSet; readonly label: string };

/** The pieces of a set side by side on a floor, the doll before them, all to one scale. */
export const SetScene = ({ document, derived, label }: Props) => {
  const doll = document.doll.height / 1000;
  const { placed, width, height, floors, highest } = useMemo(() => arranged(document, derived, doll), [document, derived, doll]);
  return (
    <svg
      viewBox={`0 ${-height} ${width} ${height * 1.06}`}
      className="w-full h-full"
      preserveAspectRatio="xMidYMax meet"
      role="img"
      aria-label={label}
    >
      {Array.from({ length: floors }, (_, floor) => (
        <line
          key={floor}
          x1={-width}
          x2={width * 2}
          y1={-floor * highest}
          y2={-floor * highest}
          stroke="var(--line)"
          strokeWidth={height * 0.006}
        />
      ))}
      {placed.map(({ id, at, up, drawings }) => (
        <g key={id} transform={`translate(${at} ${-up})`}>
          <Drawn drawings={drawings} />
        </g>
      ))}
      <Figure heightUm={document.doll.height} x={doll * 0.24} floor={0} />
    </svg>
  );
};
