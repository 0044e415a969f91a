import { figureOutline } from '@parlor/core/doll';
import { useMemo } from 'react';

type Props = { readonly heightUm: number; readonly x: number; readonly floor: number; readonly fill?: string };

/** The standing figure as an SVG shape: feet on `floor`, `x` its middle; drawing units are millimetres, y down. */
export const Figure = ({ heightUm, x, floor, fill = 'var(--lilac)' }: Props) => {
  const path = useMemo(
    () =>
      `M${figureOutline(heightUm)
        .map(([px, py]) => `${px / 1000} ${-py / 1000}`)
        .join('L')}Z`,
    [heightUm],
  );
  return (
    <path
      d={path}
      fill={fill}
      stroke="var(--figure-line)"
      strokeWidth="1"
      vectorEffect="non-scaling-stroke"
      transform={`translate(${x} ${floor})`}
      data-figure=""
    />
  );
};
