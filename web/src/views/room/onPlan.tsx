import { showLength } from '@parlor/core/measure';
import { lengthOf, pointOn, type RoomSide, type RoomSpace, type StandingThing } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { useMemo } from 'react';
import { useUnits } from '../../state/index.ts';
import { Drawn, drawnFrom, mm } from '../../ui/index.ts';
import type { PlanMark } from './planMarks.ts';

/** How tall the numbers of things are, as a share of the plan's margin. */
export const MARK = 0.42;

/** A thing as it is seen from above, in its own place; drawn once for as long as it stands there. */
export const Above = ({ standing, arranged }: { readonly standing: StandingThing; readonly arranged: Arranged }) => {
  const [cx0, , cz] = arranged.space.corner;
  const drawings = useMemo(() => drawnFrom(standing.body.parts, 'top'), [standing]);
  const front = Math.max(...standing.body.boxes.map(({ max }) => max[2]));
  return (
    <g transform={`translate(${-mm(cx0)} ${mm(front - cz)})`}>
      <Drawn drawings={drawings} />
    </g>
  );
};

/** The numbers of things, on them or beside them with a line. */
export const NumbersOnPlan = ({ marks, margin }: { readonly marks: readonly PlanMark[]; readonly margin: number }) => (
  <g className="font-hand" fill="var(--ink)" fontSize={margin * MARK} textAnchor="middle" pointerEvents="none">
    {marks.map(({ id, mark, x, y, from }) => (
      <g key={id}>
        {from && <path d={`M${from[0]} ${from[1]}L${x} ${y}`} stroke="var(--graphite)" strokeWidth="1" vectorEffect="non-scaling-stroke" />}
        <text x={x} y={y} dominantBaseline="central" stroke="var(--paper)" strokeWidth={margin * 0.1} paintOrder="stroke">
          {mark}
        </text>
      </g>
    ))}
  </g>
);

/** Walls between rooms side by side, with the doors in them left open. */
export const WallsBetween = ({ between }: Pick<RoomSpace, 'between'>) =>
  between.map(({ x0, x1, from, to, doors }) => (
    <path
      key={x0}
      d={[from, ...doors.flat(), to]
        .map((at, index, edges) => (index % 2 === 0 ? `M${mm(x0)} ${mm(at)}H${mm(x1)}V${mm(edges[index + 1] as number)}H${mm(x0)}Z` : ''))
        .join('')}
      fill="var(--ink)"
      pointerEvents="none"
    />
  ));

type SizesProps = { readonly width: number; readonly depth: number; readonly margin: number };

/** The room's width and depth, beside it. */
export const PlanSizes = ({ width, depth, margin }: SizesProps) => {
  const units = useUnits();
  return (
    <g className="font-hand" fill="var(--graphite)" fontSize={margin * 0.5} textAnchor="middle">
      <text x={mm(width) / 2} y={mm(depth) + margin * 0.72}>
        {showLength(width, units)}
      </text>
      <text transform={`translate(${-margin * 0.4} ${mm(depth) / 2}) rotate(-90)`}>{showLength(depth, units)}</text>
    </g>
  );
};

type SideProps = { readonly wall: RoomSide; readonly index: number; readonly chosen: boolean; readonly onSide: (side: number) => void };

/** A side of the room with its doors, to be touched. */
export const SideOnPlan = ({ wall, index, chosen, onSide }: SideProps) => {
  const at = (along: number): { readonly x: number; readonly y: number } => {
    const [x, z] = pointOn(wall, along);
    return { x: mm(x), y: mm(z) };
  };
  const between = (from: number, to: number) => ({ x1: at(from).x, y1: at(from).y, x2: at(to).x, y2: at(to).y });
  const whole = between(0, lengthOf(wall));
  return (
    <g>
      <line
        {...whole}
        stroke={chosen ? 'var(--moss)' : 'var(--ink)'}
        strokeWidth={wall.walled ? 7 : 1.5}
        strokeDasharray={wall.walled ? undefined : '3 5'}
        strokeLinecap="square"
        vectorEffect="non-scaling-stroke"
      />
      {wall.doors.map(([p, q]) => (
        <line key={p} {...between(p, q)} stroke="var(--paper)" strokeWidth="5" vectorEffect="non-scaling-stroke" />
      ))}
      <line
        {...whole}
        stroke="transparent"
        strokeWidth="26"
        vectorEffect="non-scaling-stroke"
        className="cursor-pointer"
        data-side={index}
        onPointerDown={(event) => {
          event.stopPropagation();
          onSide(index);
        }}
      />
    </g>
  );
};
