import { showLength } from '@parlor/core/measure';
import { lengthOf, type RoomSide } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { useMemo } from 'react';
import { useSet, useUnits } from '../../state/index.ts';
import { Drawn, drawnFrom, Figure, opacityOf } from '../../ui/index.ts';
import { elevationOf } from './elevations.ts';

/** Things further from the wall than this share of the room are only hinted at. */
const FAR = 0.45;

/** A wall seen from inside, with what stands before it and the doll. */
export const WallElevation = ({ arranged, side }: { readonly arranged: Arranged; readonly side: RoomSide }) => {
  const { doll } = useSet();
  const units = useUnits();
  const { space } = arranged;
  const { name } = side;
  const length = lengthOf(side);
  const drawn = useMemo(() => {
    const { wall, things } = elevationOf(arranged, side);
    return {
      // Drawings begin at their own left edge from the side only; from the front they stand where they stand.
      wall: drawnFrom(wall, 'front'),
      things: things.map(({ piece, parts, away }) => ({ piece, away, drawings: drawnFrom(parts, 'front') })),
    };
  }, [arranged, side]);
  const deep = Math.max(...space.ring.flat());
  const [width, height] = [length / 1000, Math.max(space.height, doll.height) / 1000];
  const margin = width * 0.06 + 8;
  return (
    <svg
      viewBox={`${-margin} ${-height - margin} ${width + 2 * margin} ${height + 1.6 * margin}`}
      className="w-full h-full"
      role="img"
      aria-label={`The ${name} seen from inside, ${showLength(length, units)} wide and ${showLength(space.height, units)} high, the doll before it`}
      data-testid="elevation"
    >
      <Drawn drawings={drawn.wall} line="var(--line)" opacityOf={opacityOf} />
      {drawn.things.map(({ piece, away, drawings }) => (
        <g key={piece} opacity={away > deep * FAR ? 0.25 : 1}>
          <Drawn drawings={drawings} />
        </g>
      ))}
      <line x1={-margin} x2={width + margin} y1="0" y2="0" stroke="var(--ink)" strokeWidth="1.5" vectorEffect="non-scaling-stroke" />
      <g opacity="0.86">
        <Figure heightUm={doll.height} x={width * 0.5} floor={0} />
      </g>
    </svg>
  );
};
