import type { DerivedSet, SetDocument } from '@parlor/core/set';
import { useMemo } from 'react';
import { drawnFrom, fillOf } from './drawings.ts';
import { Figure } from './Figure.tsx';

const BETWEEN = 0.12;

type Props = { readonly document: SetDocument; readonly derived: DerivedSet; readonly label: string };

/** The pieces of a set side by side on a floor, the doll before them, all to one scale. */
export const SetScene = ({ document, derived, label }: Props) => {
  const doll = document.doll.height / 1000;
  const placed = useMemo(() => {
    let x = doll * 0.5;
    return derived.pieces.flatMap(({ id, made }) => {
      if (!made) return [];
      const at = x;
      x += made.assembly.outside.max[0] / 1000 + doll * BETWEEN;
      return [{ id, at, drawings: drawnFrom(made.assembly.parts, 'front'), end: x, height: made.assembly.outside.max[1] / 1000 }];
    });
  }, [derived, doll]);
  const width = Math.max(placed.at(-1)?.end ?? 0, doll * 1.2);
  const height = Math.max(doll, ...placed.map((piece) => piece.height)) * 1.08;
  return (
    <svg
      viewBox={`0 ${-height} ${width} ${height * 1.06}`}
      className="w-full h-full"
      preserveAspectRatio="xMidYMax meet"
      role="img"
      aria-label={label}
    >
      <line x1={-width} x2={width * 2} y1="0" y2="0" stroke="var(--line)" strokeWidth={height * 0.006} />
      {placed.map(({ id, at, drawings }) => (
        <g key={id} transform={`translate(${at} 0)`}>
          {drawings.map((drawing) => (
            <path
              key={drawing.index}
              d={drawing.path}
              fillRule="evenodd"
              fill={fillOf(drawing)}
              fillOpacity={drawing.clear ? 0.35 : 1}
              stroke="var(--ink)"
              strokeWidth="1"
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </g>
      ))}
      <Figure heightUm={document.doll.height} x={doll * 0.24} floor={0} />
    </svg>
  );
};
