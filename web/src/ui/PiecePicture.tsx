import type { Part } from '@parlor/core/assembly';
import { useMemo } from 'react';
import { fillOf } from './drawings.ts';
import { pictureOf } from './picture.ts';

/** A small picture of a piece, from its parts. */
export const PiecePicture = ({ parts, label }: { readonly parts: readonly Part[]; readonly label: string }) => {
  const { faces, x, y, width, height } = useMemo(() => pictureOf(parts), [parts]);
  const room = Math.max(width, height) * 0.04;
  return (
    <svg
      viewBox={`${x - room} ${y - room} ${width + 2 * room} ${height + 2 * room}`}
      preserveAspectRatio="xMidYMid meet"
      className="w-full h-full"
      role="img"
      aria-label={label}
    >
      {faces.map(({ path, role, clear, light, as }, index) => {
        const fill = `color-mix(in oklab, ${fillOf({ role, clear })} ${Math.round(light * 100)}%, var(--graphite))`;
        return (
          <path
            key={index}
            d={path}
            fillRule="evenodd"
            fill={as === 'line' ? 'none' : fill}
            fillOpacity={clear ? 0.4 : 1}
            // Facets of one curve run into one another.
            stroke={as === 'facet' ? fill : 'var(--ink)'}
            strokeWidth="0.8"
            strokeLinejoin="round"
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
    </svg>
  );
};
